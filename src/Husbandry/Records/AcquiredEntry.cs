using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Records;

/// <summary>The animal or brood came into the collection.</summary>
public sealed record Acquired(StockDetails Details, Place Place) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => AcquiredEntry.It;
}

/// <summary>How a record begins.</summary>
public sealed class AcquiredEntry() : EntryDefinition<Acquired>("acquired")
{
    /// <summary>The definition.</summary>
    public static AcquiredEntry It { get; } = new();

    /// <inheritdoc/>
    public override bool OfTanks => true;

    /// <inheritdoc/>
    public override bool Begins => true;

    /// <inheritdoc/>
    public override Teaching Teaches => Teaching.Waits;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            new Acquired(DetailsCheck.Example, new Place("A", 1, 3)),
            new Acquired(DetailsCheck.Example with { AcquiredFrom = "a friend" }, new Place("A", 1, 3)),
        ];

    /// <inheritdoc/>
    public override Standing Begin(JournalEntry entry)
    {
        ArgumentNullException.ThrowIfNull(entry);
        var came = (Acquired)entry.Act;
        return Standing.Begin(entry, came.Details, came.Place);
    }

    /// <inheritdoc/>
    protected override Standing Fold(Acquired act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Details = act.Details,
            Stays = [new Stay(act.Place, entry.When.To)],
            DetailsVersion = entry.Sequence,
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Acquired act, EntryAt at) =>
        DetailsCheck.Check(act.Details, at.Room).Concat(MovedEntry.Check(act.Place));

    /// <inheritdoc/>
    protected override string Say(Acquired act, RuleSet rules, Wording words) =>
        act.Details.AcquiredFrom is { Length: > 0 } from ? $"came from {from}" : "came";
}
