using System.Globalization;
using Husbandry.Rooms;

namespace Husbandry.Nursery;

/// <summary>How a brood came through one instar.</summary>
/// <param name="Instar">The instar as written, e.g. "L2".</param>
/// <param name="FromDays">Age at which it began, days.</param>
/// <param name="ToDays">Age at which it ended; none while it lasts.</param>
/// <param name="Living">Share (0–1) of those alive at its beginning that were at its end, or are now.</param>
/// <param name="Lost">As many were lost in it.</param>
public sealed record InstarShare(string Instar, double FromDays, double? ToDays, double Living, double Lost);

/// <summary>How many of a brood live how long.</summary>
/// <param name="Begins">The night from which ages count.</param>
/// <param name="FromHatching">Whether that is the night on which it hatched; else that on which it came.</param>
/// <param name="Middle">The curve, with losses in the middle of the span in which they fell.</param>
/// <param name="Earliest">The same with every loss as early as it can have been.</param>
/// <param name="Latest">With every loss as late.</param>
/// <param name="AgeDays">Age now, or when the last of it left.</param>
/// <param name="Instars">Instar by instar; empty where its molts are not followed.</param>
public sealed record BroodCurve(
    DateOnly Begins,
    bool FromHatching,
    SurvivalCurve Middle,
    SurvivalCurve Earliest,
    SurvivalCurve Latest,
    double AgeDays,
    IReadOnlyList<InstarShare> Instars
)
{
    /// <summary>Share (0–1) alive now.</summary>
    public double Living => Middle.At(AgeDays);

    /// <summary>The curve of a brood; none for what is kept as one, or breeds as it goes.</summary>
    public static BroodCurve? Of(Subject brood)
    {
        ArgumentNullException.ThrowIfNull(brood);
        if (!brood.IsBrood)
        {
            return null;
        }

        var lives = BroodLives.Of(brood);
        var middle = lives.Seen(LossDated.Middle);
        var begins = BroodLives.Begins(brood);
        var age = middle.Count == 0 ? 0 : middle.Max(l => l.Time);
        var curve = SurvivalCurve.Of(middle);
        return new BroodCurve(
            begins,
            BroodLives.Hatched(brood) is not null,
            curve,
            SurvivalCurve.Of(lives.Seen(LossDated.Earliest)),
            SurvivalCurve.Of(lives.Seen(LossDated.Latest)),
            age,
            InstarsOf(brood, begins, age, curve)
        );
    }

    /// <summary>Ages at which an instar began, with its number; the first is that of arrival or hatching.</summary>
    internal static IReadOnlyList<(double Age, int Instar)> Molts(Subject brood, DateOnly begins)
    {
        if (brood.Standing.MoltsInLife is not { } molts || !Growth.Molting.Follows(brood))
        {
            return [];
        }

        var dated = brood
            .Standing.Growth.Molts.Select(m => (double)(brood.Night(m.When.Middle).DayNumber - begins.DayNumber))
            .Where(age => age >= 0)
            .Order()
            .ToList();
        var first = molts - dated.Count + brood.Group.InstarAtHatching;
        var arrived = Math.Max(0, brood.Night(brood.Standing.ArrivedAt).DayNumber - begins.DayNumber);
        return
        [
            (Math.Min(arrived, dated.FirstOrDefault(arrived)), first),
            .. dated.Select((age, k) => (age, first + k + 1)),
        ];
    }

    private static List<InstarShare> InstarsOf(Subject brood, DateOnly begins, double age, SurvivalCurve curve)
    {
        var molts = Molts(brood, begins);
        var shares = new List<InstarShare>();
        for (var k = 0; k < molts.Count; k++)
        {
            double? to = k + 1 < molts.Count ? molts[k + 1].Age : null;
            var until = to ?? age;
            var (before, after) = (curve.At(molts[k].Age - 1e-9), curve.At(until));
            shares.Add(
                new InstarShare(
                    brood.Group.InstarMark + molts[k].Instar.ToString(CultureInfo.InvariantCulture),
                    molts[k].Age,
                    to,
                    before > 0 ? after / before : 0,
                    curve.Steps.Where(s => s.Time >= molts[k].Age && (to is null || s.Time < to)).Sum(s => s.Deaths)
                )
            );
        }

        return shares;
    }
}
