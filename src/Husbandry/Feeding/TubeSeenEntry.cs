using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Feeding;

/// <summary>The water of a tube was looked at; it cannot be filled while somebody lives in it.</summary>
public sealed record TubeSeen(TubeWater Water) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => TubeSeenEntry.It;
}

/// <summary>A look at the water of a tube.</summary>
public sealed class TubeSeenEntry() : EntryDefinition<TubeSeen>("tubeSeen")
{
    /// <summary>The definition.</summary>
    public static TubeSeenEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [.. Enum.GetValues<TubeWater>().Select(water => new TubeSeen(water))];

    /// <inheritdoc/>
    protected override Standing Fold(TubeSeen act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Water = standing.Water with { Tube = new TubeEvent(entry.When.To, act.Water) },
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(TubeSeen act, EntryAt at)
    {
        if (at.Group is { } group && group.Stages.All(w => w.WaterWay.Value != WaterWay.Tube))
        {
            yield return new Problem("act.kind", $"A {group.One} lives in no tube with water behind cotton.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(TubeSeen act, RuleSet rules, Wording words) =>
        $"tube looked at: water {act.Water.ToString().ToLowerInvariant()}";

    /// <inheritdoc/>
    protected override CareAct? Care(TubeSeen act, Subject subject) => CareAct.Water;

    /// <inheritdoc/>
    protected override RoundPart Round(TubeSeen act) => RoundPart.Work;
}
