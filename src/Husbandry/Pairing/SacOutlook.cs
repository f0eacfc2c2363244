using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Pairing;

/// <summary>What is to be expected of a pairing of a species, the rulebook's weighed against what the room's pairings taught.</summary>
/// <param name="Wait">The wait from the pairing to the sac, ootheca, eggs or young.</param>
/// <param name="Takes">Share of pairings that give one if nothing comes between (0–1).</param>
/// <param name="Seen">Pairings of this room that came to something.</param>
/// <param name="Ended">Pairings of this room that ended at all but by a molt.</param>
public sealed record SacOutlook(IWait Wait, double Takes, int Seen, int Ended)
{
    /// <summary>The outlook for a female.</summary>
    /// <param name="she">One of a species that is paired.</param>
    /// <remarks>The same lesson that the wait after a pairing uses: competing ends, what a molt or a sale cuts short censored.</remarks>
    public static SacOutlook Of(Subject she)
    {
        var lessons = she.Room.Lessons;
        var prior = WaitPriors.Of(she, VigilKind.EggCase, VigilEnd.AsHoped, she.Room.Now);
        var lesson = lessons.For(she, VigilKind.EggCase);
        var ends = lessons.EndsOf(she, VigilKind.EggCase);
        var own = PastWaits.Of(she, VigilKind.EggCase).Where(w => w.IsWhole).ToList();
        return new SacOutlook(
            WholeWait.Of(she, prior, lesson, own),
            (ends?.Shares ?? WaitPriors.Shares(she, VigilKind.EggCase))[VigilEnd.AsHoped],
            lesson?.Intervals ?? 0,
            ends?.Ended ?? 0
        );
    }

    /// <summary>Why, in two sentences.</summary>
    public IEnumerable<Reason> Why(SpeciesPairing rules)
    {
        var whole = new RemainingWait(Wait, EffectiveDays.Zero);
        string Days(double p) => Wording.Plain(Math.Round(whole.Quantile(p).Value));
        var seen = Seen > 0 ? $" {Seen} seen here are weighed in." : "";
        yield return rules.SacWait.Because(
            "The wait",
            "species.sacWait",
            $"{Days(0.1)}–{Days(0.9)} days from the pairing, half of them within {Days(0.5)}.{seen}"
        );
        var ended = Ended > 0 ? $" {Ended} that ended here are weighed in." : "";
        yield return rules.TakeRate.Because(
            "Take rate",
            "species.takeRate",
            $"{Wording.Chance(Takes)} pairings take if nothing comes between.{ended}"
        );
    }
}
