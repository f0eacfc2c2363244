using Husbandry.Reasons;
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
    /// <summary>Those of a forecast.</summary>
    public static Quantiles Of(NightsLeft left) =>
        new(left.Quantile(0.1).Value, left.Quantile(0.5).Value, left.Quantile(0.9).Value);
}

/// <summary>What a forecast gave to the time in which something happened.</summary>
/// <param name="Before">Chance (0–1) that it would have happened before.</param>
/// <param name="By">Chance that it would have by the end of that time.</param>
public sealed record Given(double Before, double By)
{
    private const double Low = 0.1;
    private const double High = 0.9;
    private const double Least = 1e-9;

    // A night is as exact as anything is known.
    private const double HalfNight = 0.5;

    /// <summary>What a forecast gave to the nights from one to another; to all that come after the first where there is no other.</summary>
    public static Given Of(NightsLeft left, double from, double? to) =>
        new(
            left.Within(new CalendarDays(from - (to is null ? 0 : HalfNight))),
            to is { } last ? left.Within(new CalendarDays(last + HalfNight)) : 1
        );

    /// <summary>
    /// How much of it lay between the tenth and the ninetieth part of the forecast: 8 in 10 on the mean of honest forecasts,
    /// however wide the time in which it happened.
    /// </summary>
    /// <remarks>Source: the non-randomised probability integral transform, Czado, Gneiting &amp; Held (2009), Biometrics 65:1254–1261.</remarks>
    public double Covered =>
        By - Before < Least
            ? Before is >= Low and <= High
                ? 1
                : 0
            : Math.Max(0, Math.Min(By, High) - Math.Max(Before, Low)) / (By - Before);
}

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
/// <param name="EngineGave">What the keeper was shown gave to the time in which it happened.</param>
/// <param name="SpeciesPriorGave">What the rulebook alone gave to it.</param>
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
    Given EngineGave,
    Given SpeciesPriorGave,
    double Weight = 1
)
{
    private double Latest => Math.Min(Horizon, HappenedTo ?? Horizon);

    private double Earliest => Math.Min(HappenedFrom, Latest);

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
