using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Records;

/// <summary>A note in the keeper's words.</summary>
public sealed record Noted(string Text) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => NotedEntry.It;
}

/// <summary>A note.</summary>
public sealed class NotedEntry() : EntryDefinition<Noted>("noted")
{
    /// <summary>The definition.</summary>
    public static NotedEntry It { get; } = new();

    /// <inheritdoc/>
    public override bool OfTanks => true;

    /// <inheritdoc/>
    public override bool OutlivesDeparture => true;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new Noted("a note")];

    /// <inheritdoc/>
    protected override Standing Fold(Noted act, Standing standing, JournalEntry entry) => standing;

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Noted act, EntryAt at) =>
        EntryCheck.CheckText("act.text", act.Text, required: true);

    /// <inheritdoc/>
    protected override string Say(Noted act, RuleSet rules, Wording words) => act.Text;

    /// <inheritdoc/>
    protected override bool IsHistory(Noted act) => true;

    /// <inheritdoc/>
    protected override bool IsNews(Noted act) => true;
}
