using Husbandry.Vigils;

namespace Husbandry.Honesty;

/// <summary>Who made a forecast.</summary>
public enum Forecaster
{
    /// <summary>The forecast that the keeper sees.</summary>
    Engine,

    /// <summary>The rulebook's species prior alone, conditioned on the days waited.</summary>
    SpeciesPrior,

    /// <summary>"Same as last interval".</summary>
    LastInterval,
}

/// <summary>Quantiles in nights from the night of the forecast.</summary>
public sealed record Quantiles(double P10, double P50, double P90)
{
    /// <summary>Mean pinball loss of the three, days.</summary>
    public double Pinball(double happened) =>
        (Scores.Pinball(0.1, P10, happened) + Scores.Pinball(0.5, P50, happened) + Scores.Pinball(0.9, P90, happened))
        / 3;
}

/// <summary>One forecast and what came of it.</summary>
/// <param name="StockId">The animal.</param>
/// <param name="Name">Its name.</param>
/// <param name="Group">Its group.</param>
/// <param name="Vigil">What was awaited.</param>
/// <param name="MadeOn">Night of the forecast.</param>
/// <param name="AgeShare">Age of the wait then, as a share of the rulebook's median.</param>
/// <param name="Engine">What the keeper was shown.</param>
/// <param name="SpeciesPrior">What the rulebook alone would have said.</param>
/// <param name="LastInterval">"Same as last interval", for animals that had one.</param>
/// <param name="HappenedFrom">Earliest night from the forecast on which it happened.</param>
/// <param name="HappenedTo">Latest such night; the same when the day is known. None while it has still not happened.</param>
public sealed record ScoredForecast(
    Guid StockId,
    string Name,
    string Group,
    VigilKind Vigil,
    DateOnly MadeOn,
    double AgeShare,
    Quantiles Engine,
    Quantiles SpeciesPrior,
    Quantiles? LastInterval,
    double HappenedFrom,
    double? HappenedTo
)
{
    // A window is shown in whole nights, so its ends belong to it to the end of the night.
    private const double HalfNight = 0.5;

    /// <summary>
    /// How much of what happened lay within the window of 10 to 90 per cent: 1 or 0 where the night is known, the share of
    /// the interval where it is not, 0 while it has still not happened.
    /// </summary>
    public double Covered(Quantiles q)
    {
        if (HappenedTo is not { } to)
        {
            return 0;
        }

        var (low, high) = (q.P10 - HalfNight, q.P90 + HalfNight);
        return to - HappenedFrom < HalfNight
            ? to >= low && HappenedFrom <= high
                ? 1
                : 0
            : Math.Max(0, Math.Min(to, high) - Math.Max(HappenedFrom, low)) / (to - HappenedFrom);
    }

    /// <summary>
    /// The day that counts: of an event known only to lie in an interval the point nearest to the forecast median; of one
    /// that has still not happened the last night on which it had not.
    /// </summary>
    public double Counts(Quantiles q) => Math.Clamp(q.P50, HappenedFrom, HappenedTo ?? double.MaxValue);

    /// <summary>Days between the median and what happened.</summary>
    public double Error(Quantiles q) => Math.Abs(Counts(q) - q.P50);
}

/// <summary>A premolt reading and whether a molt followed within the length of premolt.</summary>
public sealed record ScoredReading(
    Guid StockId,
    string Group,
    DateOnly Night,
    double Chance,
    ReadingWord Word,
    bool Followed
);

/// <summary>Everything that a replay of a journal scored.</summary>
/// <param name="From">First night of the record.</param>
/// <param name="To">Last night of the record.</param>
/// <param name="Forecasts">Scored forecasts, in the order in which they were made.</param>
/// <param name="Readings">Scored premolt readings.</param>
/// <param name="TooLate">Forecasts made too near the end of the record to know what came of them.</param>
/// <param name="CutShort">Forecasts whose animal left before.</param>
public sealed record ReplayResult(
    DateOnly From,
    DateOnly To,
    IReadOnlyList<ScoredForecast> Forecasts,
    IReadOnlyList<ScoredReading> Readings,
    int TooLate,
    int CutShort
);

/// <summary>How the forecasts of one kind in one group did.</summary>
/// <param name="Vigil">What was awaited.</param>
/// <param name="Group">Group, or <c>all</c>.</param>
/// <param name="Forecasts">Forecasts scored.</param>
/// <param name="Coverage80">Share of them whose 10–90 % window held what happened; about 0.8 is honest.</param>
/// <param name="MedianAbsoluteErrorDays">Median distance between the 50 % night and what happened.</param>
/// <param name="PinballEngine">Mean pinball loss of what the keeper saw, days; less is better.</param>
/// <param name="PinballSpeciesPrior">The same of the rulebook alone.</param>
/// <param name="ComparedWithLast">Forecasts of animals that had an interval before.</param>
/// <param name="PinballEngineThere">Loss of what the keeper saw, on those.</param>
/// <param name="PinballLastInterval">Loss of "same as last interval", on those.</param>
/// <param name="MedianErrorSpeciesPriorDays">Median error of the rulebook alone.</param>
/// <param name="MedianErrorLastIntervalDays">Median error of "same as last interval".</param>
public sealed record BacktestLine(
    VigilKind Vigil,
    string Group,
    int Forecasts,
    double Coverage80,
    double MedianAbsoluteErrorDays,
    double PinballEngine,
    double PinballSpeciesPrior,
    int ComparedWithLast,
    double? PinballEngineThere,
    double? PinballLastInterval,
    double MedianErrorSpeciesPriorDays,
    double? MedianErrorLastIntervalDays
)
{
    /// <summary>Name of the line that sums all groups up.</summary>
    public const string AllGroups = "all";

    /// <summary>One line for every kind and group, and one for every kind over all groups.</summary>
    public static IReadOnlyList<BacktestLine> Of(IReadOnlyList<ScoredForecast> forecasts) =>
        [
            .. forecasts
                .SelectMany(f => new[] { (f, Group: f.Group), (f, Group: AllGroups) })
                .GroupBy(x => (x.f.Vigil, x.Group))
                .OrderBy(g => g.Key.Vigil)
                .ThenBy(g => g.Key.Group == AllGroups ? 1 : 0)
                .ThenBy(g => g.Key.Group, StringComparer.Ordinal)
                .Select(g => Of(g.Key.Vigil, g.Key.Group, [.. g.Select(x => x.f)])),
        ];

    private static BacktestLine Of(VigilKind vigil, string group, List<ScoredForecast> all)
    {
        var withLast = all.Where(f => f.LastInterval is not null).ToList();
        double? Mean(Func<ScoredForecast, double> of) => withLast.Count == 0 ? null : withLast.Average(of);
        return new BacktestLine(
            vigil,
            group,
            all.Count,
            all.Average(f => f.Covered(f.Engine)),
            Scores.Median(all.Select(f => f.Error(f.Engine)))!.Value,
            all.Average(f => f.Engine.Pinball(f.Counts(f.Engine))),
            all.Average(f => f.SpeciesPrior.Pinball(f.Counts(f.SpeciesPrior))),
            withLast.Count,
            Mean(f => f.Engine.Pinball(f.Counts(f.Engine))),
            Mean(f => f.LastInterval!.Pinball(f.Counts(f.LastInterval))),
            Scores.Median(all.Select(f => f.Error(f.SpeciesPrior)))!.Value,
            Scores.Median(withLast.Select(f => f.Error(f.LastInterval!)))
        );
    }
}

/// <summary>How the premolt readings of a group did.</summary>
/// <param name="Group">Group, or <c>all</c>.</param>
/// <param name="Readings">Readings scored.</param>
/// <param name="Followed">Share that a molt followed.</param>
/// <param name="Brier">Brier score; less is better.</param>
/// <param name="BrierOfShare">Brier score of always saying that share.</param>
/// <param name="AreaUnderRoc">How well readings tell premolt from the rest; 0.5 is chance. None when only one of both occurred.</param>
public sealed record ReadingLine(
    string Group,
    int Readings,
    double Followed,
    double Brier,
    double BrierOfShare,
    double? AreaUnderRoc
)
{
    /// <summary>One line for every group, and one over all.</summary>
    public static IReadOnlyList<ReadingLine> Of(IReadOnlyList<ScoredReading> readings) =>
        [
            .. readings
                .SelectMany(r => new[] { (r, Group: r.Group), (r, Group: BacktestLine.AllGroups) })
                .GroupBy(x => x.Group)
                .OrderBy(g => g.Key == BacktestLine.AllGroups ? 1 : 0)
                .ThenBy(g => g.Key, StringComparer.Ordinal)
                .Select(g =>
                {
                    var pairs = g.Select(x => (x.r.Chance, x.r.Followed)).ToList();
                    var share = pairs.Average(p => p.Followed ? 1.0 : 0);
                    return new ReadingLine(
                        g.Key,
                        pairs.Count,
                        share,
                        Scores.Brier(pairs)!.Value,
                        share * (1 - share),
                        Scores.AreaUnderRoc(pairs)
                    );
                }),
        ];
}
