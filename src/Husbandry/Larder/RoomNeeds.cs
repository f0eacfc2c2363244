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
public sealed record RoomNeeds(
    IReadOnlyList<FoodNeed> Needs,
    IReadOnlyDictionary<string, int> Enclosures,
    int Unsized,
    IReadOnlyList<LeafEater> Eaters
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
            .Select(s => Judgement.Of(s, room))
            .Select(j =>
                (
                    Needs: FoodNeed.Of(j, nights).ToList(),
                    IsUnsized: j.Subject.Group.Feeding.Diet == Diet.Prey && j.Size.Value is null,
                    Eats: LeafEater.Of(j)
                )
            )
            .ToList();
        return new RoomNeeds(
            [.. each.SelectMany(e => e.Needs)],
            fed.GroupBy(s => s.Details.Group).ToDictionary(g => g.Key, g => g.Count()),
            each.Count(e => e.IsUnsized),
            [.. each.Select(e => e.Eats).OfType<LeafEater>()]
        );
    }
}
