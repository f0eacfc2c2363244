using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Records;

/// <summary>The enclosure was moved to another place.</summary>
public sealed record Moved(Place Place) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => MovedEntry.It;
}

/// <summary>A move.</summary>
public sealed class MovedEntry() : EntryDefinition<Moved>("moved")
{
    /// <summary>The definition.</summary>
    public static MovedEntry It { get; } = new();

    /// <inheritdoc/>
    public override bool OfTanks => true;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new Moved(new Place("B", 2, 7))];

    /// <summary>Problems of a place.</summary>
    internal static IEnumerable<Problem> Check(Place place)
    {
        if (place.Rack.Length is < 1 or > 2 || place.Shelf is < 1 or > 99 || place.Slot is < 1 or > 999)
        {
            yield return new Problem("place", $"Write {Place.Form}.");
        }
    }

    /// <inheritdoc/>
    protected override Standing Fold(Moved act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Stays = [.. standing.Stays, new Stay(act.Place, entry.When.To)],
            DetailsVersion = entry.Sequence,
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Moved act, EntryAt at) => Check(act.Place);

    /// <inheritdoc/>
    protected override string Say(Moved act, RuleSet rules, Wording words) => $"moved to {act.Place.Code}";

    /// <summary>An enclosure is moved with whoever lives in it; one inmate of a shared tank is dug up and taken out.</summary>
    protected override CareAct? Care(Moved act, Subject subject) =>
        subject.Standing.TankId is null ? null : CareAct.Rehouse;

    /// <inheritdoc/>
    protected override bool IsToldTwice(Moved act, Moved other) => true;
}
