using Husbandry.Rulebook;

namespace Husbandry.Honesty;

/// <summary>How the forecasts of one kind in one group did.</summary>
/// <param name="Vigil">What was awaited.</param>
/// <param name="Group">Group, or <c>all</c>.</param>
/// <param name="Forecasts">Forecasts scored.</param>
/// <param name="Coverage80">Share of them whose 10–90 % window held what happened; about 0.8 is honest.</param>
/// <param name="CoverageLikely">Between which shares that share probably lies; none from too few animals.</param>
/// <param name="Animals">Animals they were made for.</param>
/// <param name="MedianAbsoluteErrorDays">Median distance between the 50 % night and what happened.</param>
/// <param name="PinballEngine">Mean pinball loss of what the keeper saw, days; less is better.</param>
/// <param name="PinballSpeciesPrior">The same of the rulebook alone.</param>
/// <param name="LossLikely">By how many days the loss probably differs from the rulebook's, below 0 where it is less; none from too few animals.</param>
/// <param name="Verdict">What that comes to.</param>
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
    Likely? CoverageLikely,
    int Animals,
    double MedianAbsoluteErrorDays,
    double PinballEngine,
    double PinballSpeciesPrior,
    Likely? LossLikely,
    AgainstRulebook Verdict,
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
        double? There(Func<ScoredForecast, double> of) => Scores.Mean(withLast.Select(f => (of(f), f.Weight)));
        double Mean(Func<ScoredForecast, double> of) => Scores.Mean(all.Select(f => (of(f), f.Weight)))!.Value;
        var less = Bootstrap.Of(
            all.Select(f => (f.StockId, f.Pinball(f.Engine) - f.Pinball(f.SpeciesPrior), f.Weight))
        );
        return new BacktestLine(
            vigil,
            group,
            all.Count,
            Mean(f => f.EngineGave.Covered),
            Bootstrap.Of(all.Select(f => (f.StockId, f.EngineGave.Covered, f.Weight))),
            all.Select(f => f.StockId).Distinct().Count(),
            Scores.Median(all.Select(f => f.Error(f.Engine)))!.Value,
            Mean(f => f.Pinball(f.Engine)),
            Mean(f => f.Pinball(f.SpeciesPrior)),
            less,
            less switch
            {
                null => AgainstRulebook.TooFew,
                { High: < 0 } => AgainstRulebook.Better,
                { Low: > 0 } => AgainstRulebook.Worse,
                { } => AgainstRulebook.NoBetter,
            },
            withLast.Count,
            There(f => f.Pinball(f.Engine)),
            There(f => f.Pinball(f.LastInterval!)),
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
                    var pairs = g.Select(x => (x.r.Chance, x.r.Followed, x.r.Weight)).ToList();
                    var share = Scores.Mean(pairs.Select(p => (p.Followed ? 1.0 : 0, p.Weight)))!.Value;
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

/// <summary>How well it was told how waits of one kind would end.</summary>
/// <param name="Vigil">What was awaited.</param>
/// <param name="Group">Its group.</param>
/// <param name="Chances">Chances scored.</param>
/// <param name="Otherwise">Share that ended otherwise than hoped.</param>
/// <param name="Brier">Brier score of what the keeper saw; less is better.</param>
/// <param name="BrierSpeciesPrior">The same of the rulebook alone.</param>
/// <param name="BrierOfShare">Brier score of always saying that share.</param>
public sealed record EndLine(
    VigilKind Vigil,
    string Group,
    int Chances,
    double Otherwise,
    double Brier,
    double BrierSpeciesPrior,
    double BrierOfShare
)
{
    /// <summary>One line for every kind and group.</summary>
    public static IReadOnlyList<EndLine> Of(IReadOnlyList<ScoredEnd> ends) =>
        [
            .. ends.GroupBy(e => (e.Vigil, e.Group))
                .OrderBy(g => g.Key.Vigil)
                .ThenBy(g => g.Key.Group, StringComparer.Ordinal)
                .Select(g =>
                {
                    var share = g.Average(e => e.Otherwise ? 1.0 : 0);
                    return new EndLine(
                        g.Key.Vigil,
                        g.Key.Group,
                        g.Count(),
                        share,
                        Scores.Brier(g.Select(e => (e.Chance, e.Otherwise, 1.0)))!.Value,
                        Scores.Brier(g.Select(e => (e.SpeciesPrior, e.Otherwise, 1.0)))!.Value,
                        share * (1 - share)
                    );
                }),
        ];
}
