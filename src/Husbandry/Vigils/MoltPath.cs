using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>One wait of the molts to come.</summary>
/// <param name="Stage">Stage of life during the wait.</param>
/// <param name="GrownBy">Factor on its lengths during the wait, against now.</param>
/// <param name="GrowsTo">The same after the molt that ends it.</param>
/// <param name="Until">How long until that molt, from tonight.</param>
public sealed record MoltStep(Stage Stage, double GrownBy, double GrowsTo, NightsLeft Until);

/// <summary>The molts to come, one after another: the first as forecast, the later ones by what room and animal taught.</summary>
public static class MoltPath
{
    /// <summary>The next waits.</summary>
    /// <param name="s">The animal.</param>
    /// <param name="molt">Its next molt, where one is awaited.</param>
    /// <param name="size">Its size, when known.</param>
    /// <param name="molts">How many.</param>
    /// <param name="slower">Factor on the length of what is left of them, 1 as it is fed now.</param>
    /// <returns>None where no molt is awaited or its size is unknown.</returns>
    public static IEnumerable<MoltStep> Of(Subject s, VigilForecast? molt, BodySize? size, int molts, double slower = 1)
    {
        if (molt?.Left is not NightsAhead next || size is not { } now)
        {
            yield break;
        }

        var lesson = s.Room.Lessons.For(s, VigilKind.Molt);
        var own = PastWaits.Of(s, VigilKind.Molt).Where(w => w.IsWhole).ToList();
        var growth = GrowthRecord.Of(s).Value;
        var ratio = growth?.Corrected?.Ratio ?? growth?.Ratio ?? s.Profile.GrowthRatio.Value;
        // Nothing shrinks: where the measures say so one of them is wrong.
        ratio = ratio > 1 ? ratio : s.Profile.GrowthRatio.Value;
        IDaysLeft? sum = null;
        for (var k = 0; k < molts; k++)
        {
            var grown = Math.Pow(ratio, k);
            var behind = s.Standing.MoltsInLife + k;
            var stage = StageReading.Decide(s, now.SizeMm * grown, behind);
            var wait = k == 0 ? next.Left : Whole(stage, behind, grown);
            sum = WaitsInTurn.Of(sum, wait, slower);
            yield return new MoltStep(stage, grown, grown * ratio, new NightsAhead(sum, s.Pace));
        }

        RemainingWait Whole(Stage stage, int? behind, double grown)
        {
            var prior = IntervalPrior.ForMolt(s.Profile, stage, behind, now.SizeMm * grown, s.Standing.Details.Sex);
            return new RemainingWait(WholeWait.Of(s, prior, lesson, own), EffectiveDays.Zero);
        }
    }

    /// <summary>Molts left to adult, the middle of what is told; at least one.</summary>
    public static int Left(MoltsLeft? left) =>
        left is null
            ? 1
            : Math.Max(
                1,
                (int)
                    Math.Round(
                        ((left.ByInstarLow ?? left.BySizeLow ?? 1) + (left.ByInstarHigh ?? left.BySizeHigh ?? 1)) / 2.0
                    )
            );
}
