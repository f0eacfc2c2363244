using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Records;

/// <summary>An earlier entry is taken back (undo). It stays in the journal, struck through.</summary>
public sealed record Withdrawn(Guid EntryId) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => WithdrawnEntry.It;

    /// <inheritdoc/>
    public override Guid? Withdraws() => EntryId;
}

/// <summary>An undo.</summary>
public sealed class WithdrawnEntry() : EntryDefinition<Withdrawn>("withdrawn")
{
    /// <summary>The definition.</summary>
    public static WithdrawnEntry It { get; } = new();

    /// <inheritdoc/>
    public override bool OfTanks => true;

    /// <inheritdoc/>
    public override bool TellsOfNoNight => true;

    /// <inheritdoc/>
    public override bool OutlivesDeparture => true;

    /// <inheritdoc/>
    public override Teaching Teaches => Teaching.Waits;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new Withdrawn(Guid.Empty)];

    /// <inheritdoc/>
    protected override Standing Fold(Withdrawn act, Standing standing, JournalEntry entry) => standing;

    /// <inheritdoc/>
    protected override string Say(Withdrawn act, RuleSet rules, Wording words) => "an entry taken back";
}
