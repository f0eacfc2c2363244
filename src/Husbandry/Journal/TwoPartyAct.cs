using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Journal;

/// <summary>
/// Something that happened to two animals of the collection. It stands in the journal of both, so that each can be read by
/// itself: the half that was logged, and a second half made from it. Neither is corrected or taken back without the other.
/// </summary>
public abstract record TwoPartyAct : Act
{
    private const string SecondHalf = "second half";

    /// <summary>The other animal, if it is in the collection.</summary>
    public abstract Guid? Other();

    /// <summary>The entry of which this is the second half; none for the one that was logged.</summary>
    public abstract Guid? FirstHalf();

    /// <summary>
    /// Whether the record of the other began with it, as that of young or of some that were parted from many: then it cannot
    /// be taken back, because they would be there twice.
    /// </summary>
    public virtual bool BeganOther() => false;

    /// <summary>
    /// The entries with which the record of the other begins, in order; none where it is there already. What holds for them
    /// all goes with them: a wait, the cold, a skin not yet hard.
    /// </summary>
    /// <param name="one">The animal in whose journal the first half is logged, before it.</param>
    /// <param name="happened">When it happened.</param>
    /// <param name="clock">The nights of the room.</param>
    /// <param name="group">Rules of their group.</param>
    public virtual IReadOnlyList<(Occurrence When, Act Act)> Beginning(
        Standing one,
        Occurrence happened,
        NightClock clock,
        GroupRules group
    ) => [];

    /// <summary>The half for the other animal's journal.</summary>
    /// <param name="stockId">The animal in whose journal this half stands.</param>
    /// <param name="firstHalf">The entry of this half.</param>
    /// <param name="name">What that animal is called.</param>
    public abstract TwoPartyAct AsSecondHalf(Guid stockId, Guid firstHalf, string name);

    /// <summary>The half that is logged; nobody but the application says of which entry it is the second.</summary>
    /// <param name="other">What the other animal is called; none when it is not in the collection.</param>
    public abstract TwoPartyAct AsFirstHalf(string? other);

    /// <summary>The entry of the other half; none when the other animal is not in the collection.</summary>
    /// <param name="entryId">The entry of this half.</param>
    public Guid? OtherHalf(Guid entryId) => FirstHalf() ?? (Other() is null ? null : DerivedId.Of(entryId, SecondHalf));
}
