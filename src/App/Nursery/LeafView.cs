using Husbandry.Plants;
using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace App.Nursery;

/// <summary>Larvae, or eggs that will be, and the leaf that they are going to eat.</summary>
/// <param name="Need">The leaf.</param>
/// <param name="Boxes">Their boxes; none for one larva alone whose box is not on record, and for eggs.</param>
/// <param name="Looks">What they look like in their instar; none where that is not known.</param>
public sealed record LarvaeAtTable(
    Guid StockId,
    string Name,
    string Species,
    Place Place,
    Answer<LeafNeed> Need,
    Answer<BoxPlan>? Boxes,
    Answer<InstarLooks>? Looks
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
                hatch is null ? BoxPlan.Of(s, j.Stage.Value, j.Size.Value) : null,
                hatch is null ? InstarLooks.Of(s) : null
            );
    }
}

/// <summary>A box or brood in which sick ones were seen of late.</summary>
/// <param name="SeenOn">Night on which they were seen last.</param>
/// <param name="What">What was seen, in words.</param>
/// <param name="Advice">What to do about it.</param>
/// <param name="Until">Night until which it is tended last, and the others are watched.</param>
/// <param name="LookAt">Others of its kind, to be looked at daily.</param>
public sealed record SickBox(
    Guid StockId,
    string Name,
    string Species,
    Place Place,
    DateOnly SeenOn,
    string What,
    string Advice,
    DateOnly Until,
    IReadOnlyList<string> LookAt
)
{
    /// <summary>The box of some young; none where nothing sick was seen of late.</summary>
    public static SickBox? Of(Judgement j, IEnumerable<Judgement> all)
    {
        var s = j.Subject;
        return SickSeenEntry.WatchedUntil(s) is not { } until || s.Standing.Vigils.Sick is not { } seen
            ? null
            : new SickBox(
                s.Standing.StockId,
                s.Standing.Details.Nickname,
                s.SpeciesName,
                s.Standing.OwnPlace,
                s.Night(seen.At),
                (seen.Count is { } count ? $"{count} " : "") + string.Join(", ", seen.Signs.Select(SickSeenEntry.Word)),
                SickSeenEntry.Advice(seen.Signs),
                until,
                [
                    .. all.Where(o =>
                            o.Subject.SpeciesName == s.SpeciesName
                            && o.Subject.Standing.StockId != s.Standing.StockId
                            && SickSeenEntry.Concerns(o.Subject, o.Stage.Value)
                        )
                        .Select(o => $"{o.Subject.Standing.OwnPlace.Code} {o.Subject.Standing.Details.Nickname}")
                        .Distinct()
                        .Order(StringComparer.Ordinal),
                ]
            );
    }
}
