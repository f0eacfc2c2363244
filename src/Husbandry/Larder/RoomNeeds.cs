using Husbandry.Colonies;
using Husbandry.Journal;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;

namespace Husbandry.Larder;

/// <summary>What every enclosure will need in the weeks ahead.</summary>
/// <param name="Needs">Needs of all.</param>
/// <param name="Enclosures">Enclosures by group.</param>
/// <param name="Unsized">Enclosures whose meals cannot be planned, since their size is not known.</param>
/// <param name="Eaters">Larvae, and eggs that will be, that eat leaf.</param>
/// <param name="FromTubs">Animals that own tubs give a day, by food, as much as may be taken.</param>
/// <param name="ByRecord">Goods whose use is on record, tub by tub.</param>
public sealed record RoomNeeds(
    IReadOnlyList<FoodNeed> Needs,
    IReadOnlyDictionary<string, int> Enclosures,
    int Unsized,
    IReadOnlyList<LeafEater> Eaters,
    IReadOnlyDictionary<FoodKey, double> FromTubs,
    IReadOnlyList<GoodsUsed> ByRecord
)
{
    /// <summary>Judges every enclosure; each by itself, so they are shared out to the cores.</summary>
    public static RoomNeeds Of(IReadOnlyList<Standing> standings, Room room)
    {
        var nights = LarderPlan.NightsAhead(room.Rules);
        // Those of a shared tank eat with it, and those that are lent eat elsewhere.
        List<Standing> fed = [.. standings.Where(s => s is { TankId: null, Loan: null })];
        var each = fed.AsParallel()
            .AsOrdered()
            .Select(s => Judgement.TryOf(s, room))
            .OfType<Judgement>()
            .Select(j =>
                (
                    Needs: FoodNeed.Of(j, nights).ToList(),
                    IsUnsized: j.Subject.Group.Feeding.Diet == Diet.Prey && j.Size.Value is null,
                    Eats: LeafEater.Of(j),
                    Gives: TubGives(j),
                    Uses: GoodsUsed.Of(j.Subject).ToList()
                )
            )
            .ToList();
        return new RoomNeeds(
            [.. each.SelectMany(e => e.Needs)],
            fed.GroupBy(s => s.Details.Group).ToDictionary(g => g.Key, g => g.Count()),
            each.Count(e => e.IsUnsized),
            [.. each.Select(e => e.Eats).OfType<LeafEater>()],
            each.SelectMany(e => e.Gives).GroupBy(g => g.Food).ToDictionary(g => g.Key, g => g.Sum(x => x.PerDay)),
            [.. each.SelectMany(e => e.Uses)]
        );
    }

    /// <summary>What may be taken from a tub each day, in every size alike; nothing from one that nobody counted or that is in trouble.</summary>
    private static IReadOnlyList<(FoodKey Food, double PerDay)> TubGives(Judgement j)
    {
        const double Week = 7;
        var group = j.Subject.Standing.Details.Group;
        List<FeederRules> feeders = [.. j.Subject.Room.Rules.Feeders.Where(f => f.FromTubsOf == group)];
        return feeders.Count > 0 && TubHarvest.Of(j.Subject) is { Value.PerWeek: > 0 and var perWeek }
            ?
            [
                .. feeders.SelectMany(f =>
                    f.Classes.Select(c => (new FoodKey(f.Id, c.Id), perWeek / Week / f.Classes.Count))
                ),
            ]
            : [];
    }
}
