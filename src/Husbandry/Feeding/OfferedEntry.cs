using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Trays;

namespace Husbandry.Feeding;

/// <summary>Food was offered.</summary>
/// <param name="FeederId">Feeder of the rulebook.</param>
/// <param name="SizeClassId">Size class of that feeder.</param>
/// <param name="Count">Animals or pieces offered, 1–2000 (a brood's whole meal in one entry).</param>
/// <param name="Preparation">How it was served.</param>
/// <param name="Outcome">What came of it.</param>
/// <param name="LeftIn">Whether prey stayed in the enclosure; by default what <see cref="Offer.StaysIn"/> says.</param>
/// <param name="Untaken">Of a brood in numbered vials: those that did not take it, though the others did.</param>
public sealed record Offered(
    string FeederId,
    string SizeClassId,
    int Count,
    Preparation Preparation,
    OfferOutcome Outcome,
    bool? LeftIn = null,
    IReadOnlyList<int>? Untaken = null
) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => OfferedEntry.It;

    /// <summary>The offer as it is kept in the animal's state.</summary>
    public Offer AsOffer() => new(FeederId, SizeClassId, Count, Preparation, Outcome, LeftIn, Untaken);
}

/// <summary>An offer of food.</summary>
public sealed class OfferedEntry() : EntryDefinition<Offered>("offered")
{
    /// <summary>The definition.</summary>
    public static OfferedEntry It { get; } = new();

    /// <inheritdoc/>
    public override bool OfTanks => true;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            .. Enum.GetValues<OfferOutcome>()
                .SelectMany(outcome =>
                    Enum.GetValues<Preparation>()
                        .Select(how => new Offered("roach-nymph", "small", 1, how, outcome, how == 0 ? true : null))
                ),
            new Offered("roach-nymph", "small", 12, Preparation.Live, OfferOutcome.Eaten, null, [2, 3]),
        ];

    /// <inheritdoc/>
    protected override Standing Fold(Offered act, Standing standing, JournalEntry entry)
    {
        var offer = new OfferEvent(entry.Id, entry.When.To, act.AsOffer());
        var feeding = standing.Feeding;
        // Food that is no prey is given when it is put in, seen to be eaten or not.
        return
            act.Outcome.IsMeal()
            || act is { Preparation: Preparation.Fresh, Outcome: OfferOutcome.NotSeen, LeftIn: not false }
            ? standing with
            {
                Vigils = standing.Vigils.After(Came(offer, taken: true)),
                Feeding = feeding with
                {
                    Meals = [.. feeding.Meals.Append(offer).TakeLast(FeedingState.MealsKept)],
                    Untaken = [],
                    Vials = Vials(feeding, offer),
                    Taken = Taken(feeding, act),
                    FoodIn = FoodIn(feeding, offer),
                },
                Births = standing.BirthsAfterMeal(offer.At),
            }
            : standing with
            {
                Vigils = act.Outcome.IsRefusal() ? standing.Vigils.After(Came(offer, taken: false)) : standing.Vigils,
                Feeding = feeding with
                {
                    Untaken = [.. feeding.Untaken.Append(offer).TakeLast(FeedingState.MealsKept)],
                    FoodIn = FoodIn(feeding, offer),
                },
            };
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Offered act, EntryAt at)
    {
        var rules = at.Room.Rules;
        var feeder = rules.Feeder(act.FeederId);
        if (feeder is null)
        {
            yield return new Problem(
                "act.feederId",
                $"Unknown feeder. Known: {string.Join(", ", rules.Feeders.Select(f => f.Id))}."
            );
        }
        else if (feeder.Class(act.SizeClassId) is null)
        {
            yield return new Problem(
                "act.sizeClassId",
                $"Unknown size of {feeder.Name}. Known: {string.Join(", ", feeder.Classes.Select(c => c.Id))}."
            );
        }

        if (act.Count is < 1 or > EntryCheck.MostAnimals)
        {
            yield return new Problem("act.count", $"Must be 1 to {EntryCheck.MostAnimals} animals or pieces.");
        }

        if (act.Untaken is not { Count: > 0 } untaken || at.Standing is null)
        {
            yield break;
        }

        var odd = VialNumbers.Check("act.untaken", untaken, at.Standing).ToList();
        foreach (var problem in odd)
        {
            yield return problem;
        }

        if (odd.Count == 0 && !act.Outcome.IsMeal())
        {
            yield return new Problem("act.untaken", "Exceptions are those that left what the others took.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(Offered act, RuleSet rules, Wording words)
    {
        var food = FoodWords.Of(act.AsOffer(), rules);
        return act is { Preparation: Preparation.Fresh, Outcome: OfferOutcome.Eaten or OfferOutcome.NotSeen }
            ? $"put in {food}"
            : $"{Words(act.Outcome)} {food}{Exceptions(act)}";
    }

    /// <inheritdoc/>
    protected override bool IsHistory(Offered act) => act.Outcome.IsMeal();

    /// <inheritdoc/>
    protected override CareAct? Care(Offered act, Subject subject) =>
        act.Preparation == Preparation.Live ? CareAct.FeedLive : CareAct.FeedDead;

    /// <inheritdoc/>
    protected override RoundPart Round(Offered act) => RoundPart.Work;

    /// <inheritdoc/>
    protected override string? Pace(Offered act) => act.Untaken is null ? "feed" : "feedBrood";

    /// <inheritdoc/>
    protected override bool IsNews(Offered act) => act.Outcome.IsRefusal();

    /// <inheritdoc/>
    protected override string? Tomorrow(Offered act) =>
        act.Outcome == OfferOutcome.NotSeen ? "was it taken? Leftovers out"
        : act.Outcome == OfferOutcome.KilledAndLeft ? "killed prey left in: out before it rots"
        : act.Outcome.IsRefusal() ? "refused: look for signs, offer again in a few nights"
        : null;

    private static AppetiteEvent Came(OfferEvent offer, bool taken) => new(offer.At, taken, offer.Offer.FeederId);

    /// <summary>Of prey an eaten meal means that none is left; of other food each kind has a clock of its own and fresh replaces old.</summary>
    private static List<OfferEvent> FoodIn(FeedingState feeding, OfferEvent offer)
    {
        var fresh = offer.Offer.Preparation == Preparation.Fresh;
        var kept = feeding.FoodIn.Where(f =>
            fresh ? f.Offer.FeederId != offer.Offer.FeederId
            : offer.Offer.Outcome.IsMeal() ? f.Offer.Preparation == Preparation.Fresh
            : f.Offer.FeederId != offer.Offer.FeederId
        );
        return offer.Offer.StaysIn() ? [.. kept, offer] : [.. kept];
    }

    private static IReadOnlyList<TakenFood> Taken(FeedingState feeding, Offered offer)
    {
        if (offer.Preparation is not (Preparation.Live or Preparation.PreKilled))
        {
            return feeding.Taken;
        }

        bool Same(TakenFood t) => t.FeederId == offer.FeederId && t.SizeClassId == offer.SizeClassId;
        var times = 1 + (feeding.Taken.FirstOrDefault(Same)?.Times ?? 0);
        return [.. feeding.Taken.Where(t => !Same(t)), new TakenFood(offer.FeederId, offer.SizeClassId, times)];
    }

    /// <summary>A vial that eats again is an exception no more; one that leaves its food again counts on.</summary>
    private static List<VialEvent> Vials(FeedingState feeding, OfferEvent offer) =>
        [
            .. (offer.Offer.Untaken ?? [])
                .Order()
                .Select(number => new VialEvent(
                    number,
                    1 + (feeding.Vials.FirstOrDefault(v => v.Number == number)?.Times ?? 0),
                    offer.At
                )),
        ];

    private static string Exceptions(Offered act) =>
        act.Untaken is { Count: > 0 } vials ? $"; no. {string.Join(", ", vials)} left theirs" : "";

    private static string Words(OfferOutcome outcome) =>
        outcome switch
        {
            OfferOutcome.Eaten => "took",
            OfferOutcome.TakenLater => "took later",
            OfferOutcome.Fled => "fled from",
            OfferOutcome.BattedAway => "batted away",
            OfferOutcome.KilledAndLeft => "killed and left",
            OfferOutcome.StillEating => "is still eating",
            OfferOutcome.SeenToCatch => "caught",
            OfferOutcome.FoundUneaten => "left untouched",
            OfferOutcome.NotSeen => "not seen to take",
            _ => throw new ArgumentOutOfRangeException(nameof(outcome), outcome, "No words for such an outcome."),
        };

    /// <inheritdoc/>
    protected override bool IsToldTwice(Offered act, Offered other) => true;
}
