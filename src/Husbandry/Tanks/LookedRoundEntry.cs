using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Tanks;

/// <summary>Somebody looked who of a shared tank is up.</summary>
/// <param name="Seen">Those that were seen, by id.</param>
public sealed record LookedRound(IReadOnlyList<Guid> Seen) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => LookedRoundEntry.It;
}

/// <summary>A look at who is up. Who is not seen is perhaps buried, and never dug for.</summary>
public sealed class LookedRoundEntry() : EntryDefinition<LookedRound>("lookedRound")
{
    private const int Most = 500;

    /// <summary>The definition.</summary>
    public static LookedRoundEntry It { get; } = new();

    /// <inheritdoc/>
    public override bool OfTanks => true;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new LookedRound([Guid.Empty]), new LookedRound([])];

    /// <inheritdoc/>
    protected override Standing Fold(LookedRound act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Shared = standing.Shared with
            {
                Seen =
                [
                    .. standing.Shared.Seen.Where(s => !act.Seen.Contains(s.StockId)),
                    .. act.Seen.Select(id => new SeenUp(id, entry.When.To)),
                ],
            },
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(LookedRound act, EntryAt at)
    {
        if (act.Seen.Count > Most || act.Seen.Distinct().Count() < act.Seen.Count)
        {
            yield return new Problem("act.seen", $"Name each once, at most {Most}.");
        }

        if (at is not { Written: false, Standing: { } standing })
        {
            yield break;
        }

        if (!standing.IsTank)
        {
            yield return new Problem("act.kind", "Who is up is looked for in a shared tank.");
        }
        else if (act.Seen.Except(at.Room.Tanks.InmatesOf(standing.StockId).Select(i => i.StockId)).Any())
        {
            yield return new Problem("act.seen", "One of them does not live in this tank.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(LookedRound act, RuleSet rules, Wording words) =>
        act.Seen.Count == 0 ? "looked round: nobody up" : $"looked round: {act.Seen.Count} up";

    /// <inheritdoc/>
    protected override bool IsToldTwice(LookedRound act, LookedRound other) => true;
}
