using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Growth;

/// <summary>The condition was judged by eye.</summary>
public sealed record ConditionSeen(BodyCondition Condition) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => ConditionSeenEntry.It;
}

/// <summary>A judgement of the condition by eye.</summary>
public sealed class ConditionSeenEntry() : EntryDefinition<ConditionSeen>("conditionSeen")
{
    /// <summary>The definition.</summary>
    public static ConditionSeenEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [.. Enum.GetValues<BodyCondition>().Select(condition => new ConditionSeen(condition))];

    /// <inheritdoc/>
    protected override Standing Fold(ConditionSeen act, Standing standing, JournalEntry entry)
    {
        var growth = standing.Growth;
        var seen = new ConditionEvent(entry.When.To, act.Condition, growth.Molts.Count);
        return standing with { Growth = growth with { ConditionByEye = seen } };
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(ConditionSeen act, EntryAt at)
    {
        if (at.Group is { Feeding.ConditionByEye.Value: false } group)
        {
            yield return new Problem("act.condition", $"How well fed a {group.One} is does not show by eye.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(ConditionSeen act, RuleSet rules, Wording words) =>
        act.Condition == BodyCondition.VeryFull
            ? "looks very full"
            : $"looks {act.Condition.ToString().ToLowerInvariant()}";
}
