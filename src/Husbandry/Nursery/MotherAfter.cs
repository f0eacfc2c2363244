using System.Globalization;
using Husbandry.Reasons;
using Husbandry.Rooms;

namespace Husbandry.Nursery;

/// <summary>When mothers of a species ate again after their broods in this room, and when they were paired again.</summary>
/// <remarks>Source: the room's own journal; nothing is told where no mother has.</remarks>
public static class MotherAfter
{
    /// <summary>What the mothers before taught, in words; empty where nobody has.</summary>
    /// <param name="mother">One of the species.</param>
    /// <param name="all">Everything that is or was in the room.</param>
    public static string Of(Subject mother, IEnumerable<Subject> all)
    {
        ArgumentNullException.ThrowIfNull(mother);
        var others = all.Where(s =>
                s.SpeciesName == mother.SpeciesName && !s.IsMany && s.Standing.StockId != mother.Standing.StockId
            )
            .ToList();
        var meals = others.SelectMany(FirstMeals).ToList();
        var pairings = others.SelectMany(PairedAgain).ToList();
        return string.Join(
            " ",
            new[] { Told(meals, "first meal of", "came"), Told(pairings, "next pairing of", "was") }.Where(t =>
                t.Length > 0
            )
        );
    }

    private static IEnumerable<int> FirstMeals(Subject s) =>
        s.Standing.Births.Where(b => b.AteAt is not null).Select(b => Nights(s, b.At, b.AteAt!.Value));

    /// <summary>Nights from each brood to the pairing after it, before the next brood.</summary>
    private static IEnumerable<int> PairedAgain(Subject s)
    {
        var births = s.Standing.Births;
        for (var k = 0; k < births.Count; k++)
        {
            var until = k + 1 < births.Count ? births[k + 1].At : DateTimeOffset.MaxValue;
            if (s.Standing.Pairings.FirstOrDefault(p => p.At > births[k].At && p.At < until) is { } next)
            {
                yield return Nights(s, births[k].At, next.At);
            }
        }
    }

    private static int Nights(Subject s, DateTimeOffset from, DateTimeOffset to) =>
        s.Night(to).DayNumber - s.Night(from).DayNumber;

    private static string Told(List<int> nights, string what, string verb) =>
        nights.Count switch
        {
            0 => "",
            1 => $"The {what} a mother of its kind here {verb} {Wording.Nights(nights[0])} after her brood.",
            _ =>
                $"The {what} {nights.Count.ToString(CultureInfo.InvariantCulture)} mothers of its kind here {verb} {nights.Min().ToString(CultureInfo.InvariantCulture)}–{Wording.Nights(nights.Max())} after.",
        };
}
