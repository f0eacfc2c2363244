using Husbandry.Climate;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Honesty;

/// <summary>A forecast as it stood on a night, beside those that knew less.</summary>
/// <param name="Vigil">What was awaited.</param>
/// <param name="EngineLeft">What the keeper saw.</param>
/// <param name="AloneLeft">The rulebook alone, conditioned on the days waited.</param>
/// <param name="LastInterval">"Same as last interval" in nights from then, for animals that had one.</param>
/// <param name="OtherChance">Chance (0–1) that the wait ends otherwise than hoped; 0 for molts.</param>
/// <param name="OtherChanceAlone">The same by the rulebook alone.</param>
internal sealed record ForecastMade(
    VigilKind Vigil,
    NightsLeft EngineLeft,
    NightsLeft AloneLeft,
    double? LastInterval,
    double OtherChance,
    double OtherChanceAlone
)
{
    /// <summary>What the keeper saw.</summary>
    public Quantiles Engine { get; } = Quantiles.Of(EngineLeft);

    /// <summary>The rulebook alone.</summary>
    public Quantiles Alone { get; } = Quantiles.Of(AloneLeft);

    /// <summary>The forecast of a molt.</summary>
    public static ForecastMade OfMolt(MoltOutlook outlook)
    {
        var (life, wait, weighed, _) = outlook;
        var subject = life.Subject;
        return new ForecastMade(
            VigilKind.Molt,
            // The nights as they were shown: that it may be adult already and molt no more was said beside them.
            new NightsAhead(weighed, subject.Pace),
            new NightsAhead(new RemainingWait(wait.Prior.Alone, wait.Left.Elapsed), subject.Pace),
            SameAsLastMolt(subject),
            0,
            0
        );
    }

    /// <summary>The forecast of another wait.</summary>
    public static ForecastMade OfOther(OpenWait wait)
    {
        var subject = wait.Subject;
        var vigil = wait.Began.Vigil;
        // On the same clock: what lies in the cold waits for nothing.
        var elapsed = wait.Hoped.Left.Elapsed;
        var left = NightsAhead.Of(new RemainingWait(wait.Hoped.Prior.Alone, elapsed), wait.Colds, subject.Pace);
        var former = subject.Standing.Vigils.All.LastOrDefault(v =>
            v.Vigil == vigil && v is { Ended: not null, AsHoped: true }
        );
        var shares = WaitPriors.Shares(subject, vigil);
        var alone = wait.Clocks.Select(c => (shares[c.End.Id], new RemainingWait(c.Prior.Alone, elapsed))).ToList();
        return new ForecastMade(
            vigil,
            wait.Left,
            left,
            former is null
                ? null
                : (former.Ended!.Middle - former.Began.Middle).TotalDays - subject.NightsSince(wait.Began.Began.Middle),
            wait.OtherChance,
            EndForecast.Chances(alone).Skip(1).Sum()
        );
    }

    private static double? SameAsLastMolt(Subject subject)
    {
        var molts = subject.Standing.Growth.Molts;
        if (molts.Count == 0 || PastWaits.Start(subject.Standing, molts.Count - 1, subject) is not { } before)
        {
            return null;
        }

        var last = molts[^1].When.Middle;
        return (last - before.Middle).TotalDays - (subject.Room.Now - last).TotalDays;
    }
}
