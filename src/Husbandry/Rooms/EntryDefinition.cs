using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Rooms;

/// <summary>Where and when an entry is checked.</summary>
/// <param name="When">When it happened.</param>
/// <param name="Standing">The animal before it, or none when the entry says that it came.</param>
/// <param name="Room">Rules and the present instant.</param>
/// <param name="Written">
/// Whether it was accepted before and is loaded again: rules may be others by now, and nights may have shifted by one.
/// </param>
public sealed record EntryAt(Occurrence When, Standing? Standing, Room Room, bool Written = false)
{
    /// <summary>The rules of its group; none when the entry says that it came.</summary>
    public GroupRules? Group => Standing is null ? null : Room.Rules.Group(Standing.Details.Group);
}

/// <summary>What part an entry has in the round of its night.</summary>
public enum RoundPart
{
    /// <summary>None.</summary>
    None,

    /// <summary>A look: whoever is hushed stays one to pass by.</summary>
    Look,

    /// <summary>Work done at this enclosure.</summary>
    Work,
}

/// <summary>
/// Everything that an entry of one kind means, in one place of its feature: what it does to the state, when it is refused,
/// how it is told, what it is for the hush and the round.
/// </summary>
/// <param name="id">Written with every entry of the kind.</param>
public abstract class EntryDefinition(string id) : EntryKind(id)
{
    /// <summary>The definition of an act.</summary>
    public static EntryDefinition Of(Act act)
    {
        ArgumentNullException.ThrowIfNull(act);
        return (EntryDefinition)act.Kind();
    }

    /// <summary>Whether it says what is known rather than what happened on a night: a mended detail, an undo.</summary>
    public virtual bool TellsOfNoNight => false;

    /// <summary>Whether it can be told of a shared tank; most is told of one that lives in it.</summary>
    public virtual bool OfTanks => false;

    /// <summary>Entries of every form that the kind has; every law of the journal is tried on them.</summary>
    public abstract IReadOnlyList<Act> Examples { get; }

    /// <summary>What is wrong with the content of an entry; when it can have happened is checked for all kinds alike.</summary>
    public abstract IEnumerable<Problem> Check(Act act, EntryAt at);

    /// <summary>What is wrong with an entry about two animals, held against the other one.</summary>
    public abstract IEnumerable<Problem> CheckBoth(Act act, EntryAt at, Standing other);

    /// <summary>An entry as a short phrase, such as "took 1 small roach nymph".</summary>
    public abstract string Say(Act act, RuleSet rules, Wording words);

    /// <summary>
    /// Whether a bought animal's papers may tell it of the time before it came: a molt, a meal, a pairing, a sac are history
    /// like any other and start the clocks.
    /// </summary>
    public abstract bool IsHistory(Act act);

    /// <summary>
    /// What of it goes along in the papers of an animal that is handed on: what happened to its body, with nothing of the room or of
    /// the keeper in it. None for most.
    /// </summary>
    public abstract Act? ForPapers(Act act);

    /// <summary>The act of the hush table that it is, if it is one, of an animal as it stood before.</summary>
    public abstract CareAct? Care(Act act, Subject subject);

    /// <summary>The part it has in the round.</summary>
    public abstract RoundPart Round(Act act);

    /// <summary>The rule of the room's seconds that it counts towards; none when it takes no time of its own.</summary>
    public abstract string? Pace(Act act);

    /// <summary>Whether the summary of the night tells it.</summary>
    public abstract bool IsNews(Act act);

    /// <summary>What it leaves to look at the evening after; none for most.</summary>
    public abstract string? Tomorrow(Act act);

    /// <summary>
    /// Whether two entries of one night, by two who did not know of each other, are likely one thing told twice: then the
    /// second is asked about before it is written. Source: common practice, no published source.
    /// </summary>
    public abstract bool IsToldTwice(Act act, Act other);
}

/// <summary>A definition with the record of its kind in its members.</summary>
/// <typeparam name="T">The record.</typeparam>
/// <param name="id">Written with every entry of the kind.</param>
public abstract class EntryDefinition<T>(string id) : EntryDefinition(id)
    where T : Act
{
    /// <inheritdoc/>
    public sealed override Type ActType => typeof(T);

    /// <inheritdoc/>
    public sealed override Standing Fold(Standing standing, JournalEntry entry) => Fold((T)entry.Act, standing, entry);

    /// <inheritdoc/>
    public sealed override IEnumerable<Problem> Check(Act act, EntryAt at) => Check((T)act, at);

    /// <inheritdoc/>
    public sealed override IEnumerable<Problem> CheckBoth(Act act, EntryAt at, Standing other) =>
        CheckBoth((T)act, at, other);

    /// <inheritdoc/>
    public sealed override string Say(Act act, RuleSet rules, Wording words) => Say((T)act, rules, words);

    /// <inheritdoc/>
    public sealed override bool IsHistory(Act act) => IsHistory((T)act);

    /// <inheritdoc/>
    public sealed override Act? ForPapers(Act act) => ForPapers((T)act);

    /// <inheritdoc/>
    public sealed override CareAct? Care(Act act, Subject subject) => Care((T)act, subject);

    /// <inheritdoc/>
    public sealed override RoundPart Round(Act act) => Round((T)act);

    /// <inheritdoc/>
    public sealed override string? Pace(Act act) => Pace((T)act);

    /// <inheritdoc/>
    public sealed override bool IsNews(Act act) => IsNews((T)act);

    /// <inheritdoc/>
    public sealed override string? Tomorrow(Act act) => Tomorrow((T)act);

    /// <inheritdoc/>
    public sealed override bool IsToldTwice(Act act, Act other) => other is T same && IsToldTwice((T)act, same);

    /// <inheritdoc cref="EntryKind.Fold"/>
    protected abstract Standing Fold(T act, Standing standing, JournalEntry entry);

    /// <inheritdoc cref="EntryDefinition.Check(Act, EntryAt)"/>
    protected virtual IEnumerable<Problem> Check(T act, EntryAt at) => [];

    /// <inheritdoc cref="EntryDefinition.CheckBoth(Act, EntryAt, Standing)"/>
    protected virtual IEnumerable<Problem> CheckBoth(T act, EntryAt at, Standing other) => [];

    /// <inheritdoc cref="EntryDefinition.Say(Act, RuleSet, Wording)"/>
    protected abstract string Say(T act, RuleSet rules, Wording words);

    /// <inheritdoc cref="EntryDefinition.IsHistory(Act)"/>
    protected virtual bool IsHistory(T act) => false;

    /// <inheritdoc cref="EntryDefinition.ForPapers(Act)"/>
    protected virtual T? ForPapers(T act) => null;

    /// <inheritdoc cref="EntryDefinition.Care(Act, Subject)"/>
    protected virtual CareAct? Care(T act, Subject subject) => null;

    /// <inheritdoc cref="EntryDefinition.Round(Act)"/>
    protected virtual RoundPart Round(T act) => RoundPart.None;

    /// <inheritdoc cref="EntryDefinition.Pace(Act)"/>
    protected virtual string? Pace(T act) => null;

    /// <inheritdoc cref="EntryDefinition.IsNews(Act)"/>
    protected virtual bool IsNews(T act) => false;

    /// <inheritdoc cref="EntryDefinition.Tomorrow(Act)"/>
    protected virtual string? Tomorrow(T act) => null;

    /// <inheritdoc cref="EntryDefinition.IsToldTwice(Act, Act)"/>
    protected virtual bool IsToldTwice(T act, T other) => false;
}
