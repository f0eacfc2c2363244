using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>The keeper looked and saw no sign of a molt: that is evidence too.</summary>
public sealed record Looked : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => LookedEntry.It;
}

/// <summary>A look without a sign.</summary>
public sealed class LookedEntry() : EntryDefinition<Looked>("looked")
{
    /// <summary>The definition.</summary>
    public static LookedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new Looked()];

    /// <inheritdoc/>
    protected override Standing Fold(Looked act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Vigils = standing.Vigils with { CleanLooks = [.. standing.Vigils.CleanLooks, entry.When.To] },
        };

    /// <inheritdoc/>
    protected override string Say(Looked act, RuleSet rules, Wording words) => "looked: no sign";

    /// <inheritdoc/>
    protected override RoundPart Round(Looked act) => RoundPart.Look;

    /// <inheritdoc/>
    protected override string? Pace(Looked act) => "look";
}
