using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Growth;

/// <summary>Fangs were looked at after a molt.</summary>
/// <param name="Hard">Whether they were black and hard.</param>
public sealed record FangsChecked(bool Hard) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => FangsCheckedEntry.It;
}

/// <summary>A look at the fangs.</summary>
public sealed class FangsCheckedEntry() : EntryDefinition<FangsChecked>("fangsChecked")
{
    /// <summary>The definition.</summary>
    public static FangsCheckedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new FangsChecked(true), new FangsChecked(false)];

    /// <inheritdoc/>
    protected override Standing Fold(FangsChecked act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Growth = standing.Growth with { FangsSeen = new FangCheckEvent(entry.When.To, act.Hard) },
        };

    /// <inheritdoc/>
    protected override string Say(FangsChecked act, RuleSet rules, Wording words) =>
        act.Hard ? "fangs black" : "fangs not black yet";

    /// <inheritdoc/>
    protected override RoundPart Round(FangsChecked act) => RoundPart.Work;

    /// <inheritdoc/>
    protected override string? Pace(FangsChecked act) => "fangs";

    /// <inheritdoc/>
    protected override string? Tomorrow(FangsChecked act) => act.Hard ? null : "fangs: black now?";
}
