using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Tanks;

/// <summary>It went into a shared tank, and stands where that stands from now on; a move to a place takes it out again.</summary>
/// <param name="TankId">The tank.</param>
/// <param name="Tank">What the tank was called; noted when it is written.</param>
public sealed record Placed(Guid TankId, string? Tank = null) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => PlacedEntry.It;

    /// <inheritdoc/>
    public override Guid? Names() => TankId;

    /// <inheritdoc/>
    public override Act Naming(string name) => this with { Tank = name };
}

/// <summary>An animal put into a shared tank.</summary>
public sealed class PlacedEntry() : EntryDefinition<Placed>("placed")
{
    private static readonly Guid SomeTank = new("7d9c1c56-6d0e-4a94-8c7f-6d27f3fb5a10");

    /// <summary>The definition.</summary>
    public static PlacedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new Placed(SomeTank, "the tank"), new Placed(SomeTank)];

    /// <summary>Whether an animal may share a tank at all: some eat each other.</summary>
    public static bool MayShare(Subject subject)
    {
        ArgumentNullException.ThrowIfNull(subject);
        return !subject.Standing.IsTank && subject.Group.Shared.Value;
    }

    /// <inheritdoc/>
    protected override Standing Fold(Placed act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Stays = [.. standing.Stays, new Stay(standing.OwnPlace, entry.When.To, act.TankId)],
            House = null,
            DetailsVersion = entry.Sequence,
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Placed act, EntryAt at)
    {
        if (at.Group is { Shared.Value: false } group)
        {
            yield return new Problem("act.kind", EntryCheck.Alone(group));
        }

        if (act.TankId == at.Standing?.StockId || (!at.Written && at.Room.Tanks.Find(act.TankId) is null))
        {
            yield return new Problem("act.tankId", "No such tank in the room.");
        }

        foreach (var problem in EntryCheck.CheckText("act.tank", act.Tank, required: false, EntryCheck.LongestName))
        {
            yield return problem;
        }
    }

    /// <inheritdoc/>
    protected override string Say(Placed act, RuleSet rules, Wording words) =>
        act.Tank is { Length: > 0 } name ? $"put into {name}" : "put into a shared tank";

    /// <inheritdoc/>
    protected override CareAct? Care(Placed act, Subject subject) => CareAct.Rehouse;

    /// <inheritdoc/>
    protected override bool IsToldTwice(Placed act, Placed other) => true;
}
