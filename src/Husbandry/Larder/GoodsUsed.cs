using Husbandry.Rooms;
using Husbandry.Upkeep;

namespace Husbandry.Larder;

/// <summary>What one enclosure takes of a kind of goods by what is on record of it, in place of what its group takes at large.</summary>
/// <param name="GoodsId">Goods of the rulebook.</param>
/// <param name="Group">Group of the animals.</param>
/// <param name="Name">What the enclosure is called.</param>
/// <param name="PerWeek">Taken a week, in the unit of the goods.</param>
public sealed record GoodsUsed(string GoodsId, string Group, string Name, double PerWeek)
{
    private const double Week = 7;

    /// <summary>
    /// Powder that a tub takes: a dose of each source that stands in it, as often as this tub uses one up. Nothing is said of a tub in
    /// which none stands.
    /// </summary>
    public static IEnumerable<GoodsUsed> Of(Subject tub)
    {
        ArgumentNullException.ThrowIfNull(tub);
        var rules = tub.Room.Rules.Room.Colonies;
        var standing = tub
            .Standing.Calcium.Where(p => p.EndedAt is null)
            .Select(p => rules.Source(p.SourceId))
            .OfType<Rulebook.CalciumSource>()
            .Where(s => s is { Goods: not null, Dose: not null })
            .DistinctBy(s => s.Id)
            .ToList();
        if (standing.Count == 0)
        {
            return [];
        }

        var pace = Math.Exp(CalciumPace.Of(tub).Shift);
        return standing
            .GroupBy(s => s.Goods!)
            .Select(g => new GoodsUsed(
                g.Key,
                tub.Group.Id,
                tub.Standing.Details.Nickname,
                g.Sum(s => Week * s.Dose!.Value / (pace * s.Days.Value.P50))
            ));
    }
}
