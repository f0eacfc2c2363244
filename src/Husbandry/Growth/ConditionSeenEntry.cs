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
    protected override Standing Fold(ConditionSeen act, Standing standing, JournalEntry entry) =>
        Seen(act.Condition, standing, entry);

    /// <summary>The state after a look at its condition, by whatever entry it was told.</summary>
    internal static Standing Seen(BodyCondition condition, Standing standing, JournalEntry entry)
    {
        var growth = standing.Growth;
        var seen = new ConditionEvent(entry.When.To, condition, growth.Molts.Count);
        return standing with { Growth = growth with { ConditionByEye = seen } };
    }

    /// <summary>Problems of a condition where it does not show.</summary>
    internal static IEnumerable<Problem> CheckShows(BodyCondition? condition, EntryAt at)
    {
        if (condition is not null && at.Group is { Feeding.ConditionByEye.Value: false } group)
        {
            yield return new Problem("act.condition", $"How well fed a {group.One} is does not show by eye.");
        }
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(ConditionSeen act, EntryAt at) => CheckShows(act.Condition, at);

    /// <inheritdoc/>
    protected override string Say(ConditionSeen act, RuleSet rules, Wording words) => Word(act.Condition);

    /// <summary>The condition in words: "looks thin".</summary>
    public static string Word(BodyCondition condition) =>
        condition == BodyCondition.VeryFull ? "looks very full" : $"looks {condition.ToString().ToLowerInvariant()}";
}
