using Husbandry.Plants;
using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace App.Nursery;

/// <summary>Larvae, or eggs that will be, and the leaf that they are going to eat.</summary>
/// <param name="Need">The leaf.</param>
/// <param name="Boxes">Their boxes; none for one larva alone and for eggs.</param>
public sealed record LarvaeAtTable(
    Guid StockId,
    string Name,
    string Species,
    Place Place,
    Answer<LeafNeed> Need,
    Answer<BoxPlan>? Boxes
)
{
    /// <summary>What an animal or brood needs; none where it eats no leaf.</summary>
    public static LarvaeAtTable? Of(Judgement j)
    {
        var s = j.Subject;
        var hatch = j.Waits.FirstOrDefault(w => w.Value?.Vigil == VigilKind.Hatching)?.Value;
        return LeafNeed.Of(s, j.Stage.Value, hatch) is not { } need
            ? null
            : new LarvaeAtTable(
                s.Standing.StockId,
                s.Standing.Details.Nickname,
                s.SpeciesName,
                s.Standing.OwnPlace,
                need,
                hatch is null ? BoxPlan.Of(s, j.Stage.Value) : null
            );
    }
}
