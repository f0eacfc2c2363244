using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Feeding;

/// <summary>Water was given.</summary>
public sealed record Watered(WaterKind Water) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => WateredEntry.It;
}

/// <summary>Water given.</summary>
public sealed class WateredEntry() : EntryDefinition<Watered>("watered")
{
    /// <summary>The definition.</summary>
    public static WateredEntry It { get; } = new();

    /// <inheritdoc/>
    public override bool OfTanks => true;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [.. Enum.GetValues<WaterKind>().Select(kind => new Watered(kind))];

    /// <inheritdoc/>
    protected override Standing Fold(Watered act, Standing standing, JournalEntry entry)
    {
        var given = standing.Water.Given.Where(x => x.Kind != act.Water);
        return standing with
        {
            Water = standing.Water with { Given = [.. given, new WaterEvent(act.Water, entry.When.To)] },
        };
    }

    /// <inheritdoc/>
    protected override string Say(Watered act, RuleSet rules, Wording words) =>
        act.Water switch
        {
            WaterKind.Dish => "dish filled",
            WaterKind.Mist => "misted",
            WaterKind.Damp => "damp side moistened",
            WaterKind.Pools => "both pools filled",
            _ => throw new ArgumentOutOfRangeException(nameof(act), act.Water, "No words for such water."),
        };

    /// <inheritdoc/>
    protected override CareAct? Care(Watered act, Subject subject) =>
        act.Water == WaterKind.Mist ? CareAct.Mist : CareAct.Water;

    /// <inheritdoc/>
    protected override RoundPart Round(Watered act) => RoundPart.Work;

    /// <inheritdoc/>
    protected override string? Pace(Watered act) => "water";

    /// <inheritdoc/>
    protected override bool IsToldTwice(Watered act, Watered other) => act.Water == other.Water;
}
