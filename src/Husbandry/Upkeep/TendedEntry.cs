using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Upkeep;

/// <summary>Something of its upkeep was done: frass brushed out, condensation wiped, the escape barrier renewed.</summary>
/// <param name="Task">What, by its id in the rules of the stage.</param>
public sealed record Tended(string Task) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => TendedEntry.It;
}

/// <summary>Something of its upkeep done.</summary>
public sealed class TendedEntry() : EntryDefinition<Tended>("tended")
{
    /// <summary>The definition.</summary>
    public static TendedEntry It { get; } = new();

    /// <inheritdoc/>
    public override bool OfTanks => true;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new Tended("frass"), new Tended("condensation")];

    /// <inheritdoc/>
    protected override Standing Fold(Tended act, Standing standing, JournalEntry entry) =>
        standing.WithTended(act.Task, entry.When.To);

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Tended act, EntryAt at)
    {
        // Any stage of the group: a correction may be of a time when it was younger.
        if (at.Group is { } group && group.Tasks.All(t => t.Id != act.Task))
        {
            var known = string.Join(", ", group.Tasks.Select(t => t.Id).Distinct());
            yield return new Problem(
                "act.task",
                known.Length == 0 ? $"Nothing of the kind is done for a {group.One}." : $"Must be one of: {known}."
            );
        }
    }

    /// <inheritdoc/>
    protected override string Say(Tended act, RuleSet rules, Wording words) =>
        rules.Groups.SelectMany(g => g.Tasks).FirstOrDefault(t => t.Id == act.Task)?.Done ?? act.Task;

    /// <inheritdoc/>
    protected override CareAct? Care(Tended act, Subject subject) =>
        subject.Group.Tasks.FirstOrDefault(t => t.Id == act.Task)?.Care;

    /// <inheritdoc/>
    protected override RoundPart Round(Tended act) => RoundPart.Work;

    /// <inheritdoc/>
    protected override string? Pace(Tended act) => "upkeep";

    /// <inheritdoc/>
    protected override bool IsToldTwice(Tended act, Tended other) => act.Task == other.Task;
}
