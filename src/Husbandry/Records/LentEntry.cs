using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Records;

/// <summary>It went to somebody else for a time: nothing is asked for it here until it is back.</summary>
/// <param name="To">With whom, 1–60 characters.</param>
/// <param name="ContactId">The same on the list of contacts, if they are on it.</param>
/// <param name="BackBy">Night by which it is to be back, if that was agreed.</param>
/// <param name="Share">What was agreed of the offspring, in the keeper's words, at most 200 characters.</param>
/// <param name="Condition">How it looked when it went; may be left out.</param>
public sealed record Lent(
    string To,
    Guid? ContactId = null,
    DateOnly? BackBy = null,
    string? Share = null,
    BodyCondition? Condition = null
) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => LentEntry.It;
}

/// <summary>An animal lent.</summary>
public sealed class LentEntry() : EntryDefinition<Lent>("lent")
{
    /// <summary>The definition.</summary>
    public static LentEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            new Lent("a friend"),
            new Lent(
                "the keeper across the water",
                Guid.Empty,
                new DateOnly(2026, 12, 24),
                "half of the young",
                BodyCondition.Normal
            ),
        ];

    /// <inheritdoc/>
    protected override Standing Fold(Lent act, Standing standing, JournalEntry entry) =>
        Looked(act.Condition, standing, entry) with
        {
            Loan = new LoanEvent(entry.When.To, act.To, act.ContactId, act.BackBy, act.Share),
        };

    /// <summary>The state with how it looked, if that was said.</summary>
    internal static Standing Looked(BodyCondition? condition, Standing standing, JournalEntry entry) =>
        condition is { } seen ? ConditionSeenEntry.Seen(seen, standing, entry) : standing;

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Lent act, EntryAt at)
    {
        foreach (var problem in EntryCheck.CheckText("act.to", act.To, required: true, EntryCheck.LongestName))
        {
            yield return problem;
        }

        foreach (
            var problem in EntryCheck
                .CheckText("act.share", act.Share, required: false, EntryCheck.LongestCaption)
                .Concat(ConditionSeenEntry.CheckShows(act.Condition, at))
        )
        {
            yield return problem;
        }

        if (at.Standing?.Details.Borrowed is { } borrowed)
        {
            yield return new Problem("act.kind", $"It is {borrowed.Owner}’s: it is not yours to lend.");
        }

        if (at.Standing?.Loan is { } loan)
        {
            yield return new Problem("act.kind", $"It is with {loan.To} already: log that it is back first.");
        }

        if (act.BackBy is { } back && back < at.Room.Clock.NightOf(at.When.To))
        {
            yield return new Problem("act.backBy", "Must not lie before the night on which it went.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(Lent act, RuleSet rules, Wording words) =>
        $"lent to {act.To}"
        + (act.BackBy is { } back ? $", back by {words.Date(back)}" : "")
        + (act.Condition is { } seen ? $", {ConditionSeenEntry.Word(seen)}" : "")
        + (act.Share is { Length: > 0 } share ? $"; agreed: {share}" : "");

    /// <inheritdoc/>
    protected override CareAct? Care(Lent act, Subject subject) => CareAct.Ship;

    /// <inheritdoc/>
    protected override bool IsNews(Lent act) => true;

    /// <inheritdoc/>
    protected override bool IsToldTwice(Lent act, Lent other) => true;
}

/// <summary>It is back from a loan.</summary>
/// <param name="Remark">How it came back; may be left out.</param>
/// <param name="Condition">How it looks; may be left out.</param>
public sealed record Returned(string? Remark = null, BodyCondition? Condition = null) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => ReturnedEntry.It;
}

/// <summary>An animal back from a loan.</summary>
public sealed class ReturnedEntry() : EntryDefinition<Returned>("returned")
{
    /// <summary>The definition.</summary>
    public static ReturnedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new Returned(), new Returned("thin, but well", BodyCondition.Thin)];

    /// <inheritdoc/>
    protected override Standing Fold(Returned act, Standing standing, JournalEntry entry) =>
        LentEntry.Looked(act.Condition, standing, entry) with
        {
            Loan = null,
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Returned act, EntryAt at)
    {
        if (at is { Written: false, Standing: { Loan: null } })
        {
            yield return new Problem("act.kind", "It was not lent to anybody.");
        }

        foreach (
            var problem in EntryCheck
                .CheckText("act.remark", act.Remark, required: false)
                .Concat(ConditionSeenEntry.CheckShows(act.Condition, at))
        )
        {
            yield return problem;
        }
    }

    /// <inheritdoc/>
    protected override string Say(Returned act, RuleSet rules, Wording words) =>
        "back from its loan"
        + (act.Condition is { } seen ? $", {ConditionSeenEntry.Word(seen)}" : "")
        + (act.Remark is { Length: > 0 } remark ? $": {remark}" : "");

    /// <inheritdoc/>
    protected override RoundPart Round(Returned act) => RoundPart.Work;

    /// <inheritdoc/>
    protected override bool IsNews(Returned act) => true;

    /// <inheritdoc/>
    protected override bool IsToldTwice(Returned act, Returned other) => true;
}
