using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>One wait of the molts to come.</summary>
/// <param name="Stage">Stage of life during the wait.</param>
/// <param name="GrownBy">Factor on its lengths during the wait, against now.</param>
/// <param name="Wait">How long it lasts, from tonight or from the molt before.</param>
public sealed record MoltStep(Stage Stage, double GrownBy, NightsLeft Wait);

/// <summary>The molts to come, one after another: the first as forecast, the later ones by the rules and what the room taught.</summary>
public static class MoltPath
{
    /// <summary>The next waits.</summary>
    /// <param name="s">The animal.</param>
    /// <param name="molt">Its next molt, where one is awaited.</param>
    /// <param name="size">Its size, when known.</param>
    /// <param name="molts">How many.</param>
    /// <returns>None where no molt is awaited or its size is unknown.</returns>
    public static IEnumerable<MoltStep> Of(Subject s, VigilForecast? molt, BodySize? size, int molts)
    {
        if (molt is not { } next || size is not { } now)
        {
            yield break;
        }

        var lesson = s.Room.Lessons.For(s, VigilKind.Molt);
        var own = PastWaits.Of(s, VigilKind.Molt).Where(w => w.IsWhole).ToList();
        for (var k = 0; k < molts; k++)
        {
            var grown = Math.Pow(s.Profile.GrowthRatio.Value, k);
            var behind = s.Standing.MoltsInLife + k;
            var stage = StageReading.Decide(s, now.SizeMm * grown, behind);
            if (k == 0)
            {
                yield return new MoltStep(stage, grown, next.Left);
                continue;
            }

            var prior = IntervalPrior.ForMolt(s.Profile, stage, behind, now.SizeMm * grown, s.Standing.Details.Sex);
            var whole = new RemainingWait(WholeWait.Of(s, prior, lesson, own), EffectiveDays.Zero);
            yield return new MoltStep(stage, grown, new NightsToEnd(whole, s.Pace));
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
