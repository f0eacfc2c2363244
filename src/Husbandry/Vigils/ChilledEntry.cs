using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>A pupa, a queen or a colony was put into its winter cold, or taken out of it.</summary>
public sealed record Chilled(bool IntoCold) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => ChilledEntry.It;
}

/// <summary>The winter cold.</summary>
public sealed class ChilledEntry() : EntryDefinition<Chilled>("chilled")
{
    /// <summary>The definition.</summary>
    public static ChilledEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new Chilled(true), new Chilled(false)];

    /// <summary>Whether it can be put into the winter cold: pupae, ants, and egg cases of groups in which some need it.</summary>
    public static bool MayBeChilled(Subject subject) =>
        subject.Standing.Vigils.OpenOf(VigilKind.Emergence) is not null
        || subject.Group.Feeding.Diet == Diet.SugarAndProtein
        || (
            subject.Group.Nursery?.CasesChill?.Value == true
            && subject.Standing.Vigils.OpenOf(VigilKind.Hatching) is not null
        );

    /// <inheritdoc/>
    protected override Standing Fold(Chilled act, Standing standing, JournalEntry entry)
    {
        var at = entry.When.To;
        var chill = act.IntoCold ? new ChillEvent(at, null) : new ChillEvent(standing.Vigils.Chill?.From ?? at, at);
        return standing with
        {
            Vigils = standing.Vigils with { Chill = chill, WarmUpOn = act.IntoCold ? standing.Vigils.WarmUpOn : null },
        };
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Chilled act, EntryAt at)
    {
        if (at is { Standing: { } standing, Group: not null } && !MayBeChilled(Subject.Of(standing, at.Room)))
        {
            yield return new Problem("act.kind", "Only pupae, ants and oothecae are put into the winter cold.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(Chilled act, RuleSet rules, Wording words) =>
        act.IntoCold ? "put into the cold" : "taken out of the cold";

    /// <inheritdoc/>
    protected override bool IsHistory(Chilled act) => true;

    /// <inheritdoc/>
    protected override Chilled? ForPapers(Chilled act) => act;

    /// <inheritdoc/>
    protected override bool IsToldTwice(Chilled act, Chilled other) => act.IntoCold == other.IntoCold;
}
