namespace Husbandry.Journal;

/// <summary>What an entry teaches besides the state of its own animal.</summary>
public enum Teaching
{
    /// <summary>Nothing, or only together with a molt after it.</summary>
    Nothing,

    /// <summary>How long its species waits.</summary>
    Waits,
}

/// <summary>A kind of entry as the mechanics of the journal see it: its id, and what it does to the state of an animal.</summary>
/// <param name="id">Written with every entry of the kind; never changes once something was written with it.</param>
public abstract class EntryKind(string id)
{
    /// <summary>Id, as in the <c>kind</c> of stored entries.</summary>
    public string Id { get; } = id;

    /// <summary>The record of the kind.</summary>
    public abstract Type ActType { get; }

    /// <summary>Whether the record of an animal begins with it.</summary>
    public virtual bool Begins => false;

    /// <summary>Whether it may be told of what happened after the animal left.</summary>
    public virtual bool OutlivesDeparture => false;

    /// <summary>What it teaches of other animals.</summary>
    public virtual Teaching Teaches => Teaching.Nothing;

    /// <summary>The state with which a record begins.</summary>
    /// <exception cref="InvalidOperationException">The kind begins no record.</exception>
    public virtual Standing Begin(JournalEntry entry) =>
        throw new InvalidOperationException($"No record begins with an entry of the kind {Id}.");

    /// <summary>The state after an entry of the kind; the instants and sequences folded so far are kept by the caller.</summary>
    public abstract Standing Fold(Standing standing, JournalEntry entry);
}
