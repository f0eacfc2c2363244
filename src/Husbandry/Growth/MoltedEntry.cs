using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Growth;

/// <summary>The animal molted; when only found later, the entry's occurrence is the interval.</summary>
/// <param name="Ultimate">The molt to adult.</param>
/// <param name="Mismolt">Something went wrong: stuck or lost limbs, bent body.</param>
public sealed record Molted(bool Ultimate = false, bool Mismolt = false) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => MoltedEntry.It;
}

/// <summary>A molt.</summary>
public sealed class MoltedEntry() : EntryDefinition<Molted>("molted")
{
    /// <summary>The definition.</summary>
    public static MoltedEntry It { get; } = new();

    /// <inheritdoc/>
    public override Teaching Teaches => Teaching.Waits;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [new Molted(), new Molted(Ultimate: true), new Molted(Mismolt: true), new Molted(true, true)];

    /// <inheritdoc/>
    protected override Standing Fold(Molted act, Standing standing, JournalEntry entry) =>
        standing.AfterMolt(new MoltEvent(entry.Id, entry.When, act.Ultimate, act.Mismolt));

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Molted act, EntryAt at)
    {
        if (act.Ultimate && at.Standing?.IsMatureByRecord == true)
        {
            yield return new Problem("act.ultimate", "It is adult by record already.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(Molted act, RuleSet rules, Wording words) =>
        (act.Ultimate ? "molted to adult" : "molted") + (act.Mismolt ? ", a mismolt" : "");

    /// <inheritdoc/>
    protected override bool IsHistory(Molted act) => true;

    /// <inheritdoc/>
    protected override Molted? ForPapers(Molted act) => act;

    /// <inheritdoc/>
    protected override RoundPart Round(Molted act) => RoundPart.Work;

    /// <inheritdoc/>
    protected override string? Pace(Molted act) => "molted";

    /// <inheritdoc/>
    protected override bool IsNews(Molted act) => true;

    /// <inheritdoc/>
    protected override string? Tomorrow(Molted act) => "molted: still soft, no food; water there?";

    /// <inheritdoc/>
    protected override bool IsToldTwice(Molted act, Molted other) => true;
}
