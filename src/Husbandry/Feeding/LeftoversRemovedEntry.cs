using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Feeding;

/// <summary>Leftovers were taken out.</summary>
/// <param name="FeederIds">Which foods; all that was in there when left out.</param>
public sealed record LeftoversRemoved(IReadOnlyList<string>? FeederIds = null) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => LeftoversRemovedEntry.It;
}

/// <summary>Leftovers taken out.</summary>
public sealed class LeftoversRemovedEntry() : EntryDefinition<LeftoversRemoved>("leftoversRemoved")
{
    /// <summary>The definition.</summary>
    public static LeftoversRemovedEntry It { get; } = new();

    /// <inheritdoc/>
    public override bool OfTanks => true;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new LeftoversRemoved(), new LeftoversRemoved(["roach-nymph"])];

    /// <summary>Prey that was left in and is found whole was turned down: that says as much as a refusal that was watched.</summary>
    protected override Standing Fold(LeftoversRemoved act, Standing standing, JournalEntry entry)
    {
        bool Goes(OfferEvent o) => act.FeederIds?.Contains(o.Offer.FeederId) ?? true;
        var feeding = standing.Feeding;
        var found = feeding
            .FoodIn.Where(o =>
                Goes(o)
                && o.Offer is { Outcome: OfferOutcome.NotSeen, Preparation: not Preparation.Fresh, LeftIn: not false }
            )
            .ToList();
        return standing with
        {
            Vigils = standing.Vigils.After(found.Select(o => new AppetiteEvent(o.At, false, o.Offer.FeederId))),
            Feeding = feeding with
            {
                FoodIn = [.. feeding.FoodIn.Where(o => !Goes(o))],
                ClearedAt = entry.When.To,
                Untaken =
                [
                    .. feeding.Untaken.Select(o =>
                        found.Any(f => f.EntryId == o.EntryId)
                            ? o with
                            {
                                Offer = o.Offer with { Outcome = OfferOutcome.FoundUneaten },
                            }
                            : o
                    ),
                ],
            },
        };
    }

    /// <inheritdoc/>
    protected override string Say(LeftoversRemoved act, RuleSet rules, Wording words) =>
        act.FeederIds is { Count: > 0 } foods
            ? $"leftovers taken out: {string.Join(", ", foods.Select(id => rules.Feeder(id)?.Name ?? id))}"
            : "leftovers taken out";

    /// <inheritdoc/>
    protected override RoundPart Round(LeftoversRemoved act) => RoundPart.Work;

    /// <inheritdoc/>
    protected override string? Pace(LeftoversRemoved act) => "leftovers";

    /// <inheritdoc/>
    protected override bool IsToldTwice(LeftoversRemoved act, LeftoversRemoved other) => true;
}
