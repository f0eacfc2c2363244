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
public sealed record Quantiles(double P10, double P50, double P90);

/// <summary>
/// One forecast and what came of it. All forecasters are held to the same truth, of which no more is known than that it lay
/// between two nights, or had not come when the record ended.
/// </summary>
/// <param name="StockId">The animal.</param>
/// <param name="Name">Its name.</param>
/// <param name="Group">Its group.</param>
/// <param name="Vigil">What was awaited.</param>
/// <param name="MadeOn">Night of the forecast.</param>
/// <param name="AgeShare">Age of the wait then, as a share of the rulebook's median.</param>
/// <param name="Engine">What the keeper was shown.</param>
/// <param name="SpeciesPrior">What the rulebook alone would have said.</param>
/// <param name="LastInterval">"Same as last interval", for animals that had one.</param>
/// <param name="HappenedFrom">Earliest night from the forecast on which it happened, ≥ 0.</param>
/// <param name="HappenedTo">Latest such night; the same when the day is known. None while it had not happened when the record ended.</param>
/// <param name="Horizon">Nights from the forecast to the end of the record: beyond it nothing is told apart.</param>
/// <param name="Weight">For how many it counts: those that stayed stand for those that left before.</param>
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
    double? HappenedTo,
    double Horizon,
    double Weight = 1
)
{
    // A window is shown in whole nights, so its ends belong to it to the end of the night.
    private const double HalfNight = 0.5;

    private double Latest => Math.Min(Horizon, HappenedTo ?? Horizon);

    private double Earliest => Math.Min(HappenedFrom, Latest);

    /// <summary>
    /// How much of what happened lay within the window of 10 to 90 per cent: 1 or 0 where the night is known, the share of
    /// the interval where it is not. What had not come when the record ended is covered if the window reaches so far.
    /// </summary>
    public double Covered(Quantiles q)
    {
        var (low, high) = (Math.Min(q.P10, Horizon) - HalfNight, Math.Min(q.P90, Horizon) + HalfNight);
        return Latest - Earliest < HalfNight
            ? Latest >= low && Earliest <= high
                ? 1
                : 0
            : Math.Max(0, Math.Min(Latest, high) - Math.Max(Earliest, low)) / (Latest - Earliest);
    }

    /// <summary>
    /// Mean pinball loss of the three quantiles over all nights on which it may have happened, days; both cut at the horizon,
    /// which keeps the score proper.
    /// </summary>
    public double Pinball(Quantiles q) => (Loss(0.1, q.P10) + Loss(0.5, q.P50) + Loss(0.9, q.P90)) / 3;

    /// <summary>Mean days between the median and the nights on which it may have happened.</summary>
    public double Error(Quantiles q) => 2 * Loss(0.5, q.P50);

    /// <summary>Pinball loss averaged over an interval in which every night is as likely.</summary>
    private double Loss(double tau, double forecast)
    {
        var q = Math.Min(forecast, Horizon);
        var (a, b) = (Earliest, Latest);
        return q <= a || q >= b
            ? Scores.Pinball(tau, q, (a + b) / 2)
            : ((tau * (b - q) * (b - q)) + ((1 - tau) * (q - a) * (q - a))) / (2 * (b - a));
    }
}

/// <summary>A premolt reading and whether a molt followed within the length of premolt.</summary>
/// <param name="StockId">The animal.</param>
/// <param name="Group">Its group.</param>
/// <param name="Night">Night of the reading.</param>
/// <param name="Chance">Chance of premolt that the keeper was shown.</param>
/// <param name="Word">The word beside it.</param>
/// <param name="Followed">Whether a molt followed so soon.</param>
/// <param name="Weight">For how many it counts: those that stayed stand for those that left before.</param>
public sealed record ScoredReading(
    Guid StockId,
    string Group,
    DateOnly Night,
    double Chance,
    ReadingWord Word,
    bool Followed,
    double Weight = 1
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
