using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Housing;

/// <summary>What it lives in from now on.</summary>
/// <param name="Enclosure">The enclosure.</param>
/// <param name="Rehoused">Whether the animal was moved over into it; otherwise it was only measured or set up anew around it.</param>
public sealed record Housed(Enclosure Enclosure, bool Rehoused) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => HousedEntry.It;
}

/// <summary>An enclosure measured, set up anew or moved into.</summary>
public sealed class HousedEntry() : EntryDefinition<Housed>("housed")
{
    private static readonly Enclosure Box = new(
        "box",
        180,
        120,
        100,
        40,
        Ventilation.CrossHoles,
        DampSide.Left,
        HeatSource.Room,
        null
    );

    /// <summary>The definition.</summary>
    public static HousedEntry It { get; } = new();

    /// <inheritdoc/>
    public override bool OfTanks => true;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [new Housed(Box, true), new Housed(Box with { Mist = new MistPlan(1, 3, 3) }, false)];

    /// <inheritdoc/>
    protected override Standing Fold(Housed act, Standing standing, JournalEntry entry)
    {
        var at = entry.When.To;
        return standing with
        {
            House = new HouseEvent(at, act.Enclosure, act.Rehoused ? at : standing.House?.RehousedAt),
        };
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Housed act, EntryAt at) =>
        [
            .. act.Enclosure.Problems().Select(p => p with { Field = $"act.{p.Field}" }),
            .. at is { Written: false, Standing.TankId: not null }
                ? new[] { new Problem("act.enclosure", "It lives in a shared tank: say it of the tank.") }
                : [],
        ];

    /// <inheritdoc/>
    protected override string Say(Housed act, RuleSet rules, Wording words) =>
        $"{(act.Rehoused ? "rehoused into" : "lives in")} {act.Enclosure.Name}, {act.Enclosure.Text(words)}";

    /// <inheritdoc/>
    protected override CareAct? Care(Housed act, Subject subject) => act.Rehoused ? CareAct.Rehouse : null;

    /// <inheritdoc/>
    protected override bool IsToldTwice(Housed act, Housed other) => true;
}
