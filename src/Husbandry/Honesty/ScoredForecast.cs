using Husbandry.Rulebook;
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

/// <summary>What was said of how a wait would end, and how it did.</summary>
/// <param name="StockId">The animal.</param>
/// <param name="Group">Its group.</param>
/// <param name="Vigil">What was awaited.</param>
/// <param name="Night">Night on which it was said.</param>
/// <param name="Chance">Chance of ending otherwise that the keeper was shown.</param>
/// <param name="SpeciesPrior">The same by the rulebook alone.</param>
/// <param name="Otherwise">Whether it ended otherwise.</param>
public sealed record ScoredEnd(
    Guid StockId,
    string Group,
    VigilKind Vigil,
    DateOnly Night,
    double Chance,
    double SpeciesPrior,
    bool Otherwise
);

/// <summary>Everything that a replay of a journal scored.</summary>
/// <param name="From">First night of the record.</param>
/// <param name="To">Last night of the record.</param>
/// <param name="Forecasts">Scored forecasts, in the order in which they were made.</param>
/// <param name="Readings">Scored premolt readings.</param>
/// <param name="Ends">Scored chances of how waits other than for a molt end.</param>
/// <param name="TooLate">Forecasts made too near the end of the record to know what came of them.</param>
/// <param name="CutShort">Forecasts whose animal left before, or whose wait ended otherwise.</param>
public sealed record ReplayResult(
    DateOnly From,
    DateOnly To,
    IReadOnlyList<ScoredForecast> Forecasts,
    IReadOnlyList<ScoredReading> Readings,
    IReadOnlyList<ScoredEnd> Ends,
    int TooLate,
    int CutShort
);
