using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Growth;

/// <summary>One wait of the molts to come.</summary>
/// <param name="Stage">Stage of life during the wait.</param>
/// <param name="GrownBy">Factor on its lengths during the wait, against now.</param>
/// <param name="WaitDays">Median length, days from tonight or from the molt before.</param>
/// <param name="SpreadDays">Standard deviation, days.</param>
public sealed record MoltStep(Stage Stage, double GrownBy, double WaitDays, double SpreadDays);

/// <summary>The molts to come, one after another: the first as forecast, the later ones by the rules and what the room taught.</summary>
public static class MoltPath
{
    /// <summary>The next waits.</summary>
    /// <param name="j">The animal tonight.</param>
    /// <param name="molts">How many.</param>
    /// <returns>None where no molt is awaited or its size is unknown.</returns>
    public static IEnumerable<MoltStep> Of(Judgement j, int molts)
    {
        if (j.Molt.Value is not { } next || j.Size.Value is not { } now)
        {
            yield break;
        }

        var s = j.Subject;
        var learned = s.Room.Lessons.For(s, VigilKind.Molt)?.Offset ?? 0;
        for (var k = 0; k < molts; k++)
        {
            var grown = Math.Pow(s.Profile.GrowthRatio.Value, k);
            var behind = s.Standing.MoltsInLife + k;
            var stage = StageReading.Decide(s, now.SizeMm * grown, behind);
            if (k == 0)
            {
                yield return new MoltStep(
                    stage,
                    grown,
                    next.P50.DayNumber - s.Room.Tonight.DayNumber,
                    (next.P90.DayNumber - next.P10.DayNumber) / (2 * LogNormalWait.NormalQuantile90)
                );
                continue;
            }

            var prior = IntervalPrior.ForMolt(s.Profile, stage, behind, now.SizeMm * grown, s.Standing.Details.Sex);
            var median = Math.Exp(prior.Mu + learned);
            yield return new MoltStep(stage, grown, s.Pace.CalendarDays(median), median * prior.Sigma);
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
