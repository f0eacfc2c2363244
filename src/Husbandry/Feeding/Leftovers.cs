using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Feeding;

/// <summary>Food that is still in an enclosure: what comes out first.</summary>
/// <param name="What">"1 small cricket".</param>
/// <param name="InHours">Hours since it was offered.</param>
/// <param name="OutBy">Instant by which it must be out.</param>
/// <param name="AtOnce">Whether the phase of the animal makes it urgent.</param>
/// <param name="Offer">The offer of which it is left; none for bits of a meal.</param>
/// <param name="FeederIds">Foods that come out with it, each by its own clock.</param>
/// <param name="IsLater">Whether it was put in tonight and its hour is still to come.</param>
public sealed record Leftover(
    string What,
    int InHours,
    DateTimeOffset OutBy,
    bool AtOnce,
    OfferEvent? Offer,
    IReadOnlyList<string> FeederIds,
    bool IsLater = false
)
{
    private const string Bits = "bits and boluses of the last meal";

    /// <summary>
    /// The leftover clock of an animal. Each food has a clock of its own; litter, wood, calcium and leaf are never
    /// leftovers; what is given anew tonight takes the old out with it.
    /// </summary>
    public static Answer<Leftover?> Of(Subject subject, Stage stage, Phase phase, MealPlan meal)
    {
        var rules = subject.Room.Rules;
        var renewed = meal is { Due: { } due } && due <= subject.Room.Tonight ? Fresh(meal.Offer).ToList() : [];
        var all = subject
            .Standing.Feeding.FoodIn.Where(f => rules.Feeder(f.Offer.FeederId)?.AlwaysThere != true)
            .Where(f => f.Offer.Preparation != Preparation.Fresh || !renewed.Contains(f.Offer.FeederId))
            .Select(f => One(subject, stage, phase, f))
            .OrderBy(l => l.Value!.OutBy)
            .ToList();
        if (all.Count == 0)
        {
            return BitsOf(subject) ?? new Answer<Leftover?>(null, "Nothing left in.", []);
        }

        var first = all[0];
        var tonight = subject.Room.Clock.EndOf(subject.Room.Tonight);
        // What falls on the same night comes out in the same visit.
        var together = all.Where(l => l == first || l.Value!.OutBy < tonight).Select(l => l.Value!).ToList();
        return first with
        {
            Value = first.Value! with
            {
                What = string.Join(" and ", together.Select(l => l.What)),
                AtOnce = together.Any(l => l.AtOnce),
                IsLater = together.All(l => l.IsLater),
                FeederIds = [.. together.SelectMany(l => l.FeederIds).Distinct()],
            },
            Reasons = [.. all.Take(together.Count).SelectMany(l => l.Reasons)],
        };
    }

    private static IEnumerable<string> Fresh(MealOffer? offer) =>
        offer is null ? [] : Fresh(offer.With).Prepend(offer.FeederId);

    private static Answer<Leftover?> One(Subject subject, Stage stage, Phase phase, OfferEvent prey)
    {
        var live =
            prey.Offer.Preparation == Preparation.Live
            && prey.Offer.Outcome is not (OfferOutcome.KilledAndLeft or OfferOutcome.StillEating);
        var (rule, name) = RuleFor(subject, stage, prey.Offer, live);
        var atOnce = live && !PhaseMark.IsQuiet(phase);
        var food = FoodWords.Of(prey.Offer, subject.Room.Rules);
        var what = prey.Offer.Untaken is { Count: > 0 } vials
            ? $"what no. {string.Join(", ", vials)} left of {food}"
            : food;
        var hours = (int)Math.Max(0, Math.Floor((subject.Room.Now - prey.At).TotalHours));
        var leftover = new Leftover(
            what,
            hours,
            atOnce ? prey.At : prey.At.AddHours(rule.Value),
            atOnce,
            prey,
            [prey.Offer.FeederId],
            // What has been in there since another evening comes out on this round, an hour early or not.
            !atOnce
                && prey.At.AddHours(rule.Value) > subject.Room.Now
                && subject.Night(prey.At) == subject.Room.Tonight
        );
        var limit = rule.Because(
            "Leftovers",
            name,
            live ? $"Live prey not taken comes out within {rule.Value:0} h."
                : prey.Offer.Preparation == Preparation.Fresh ? $"Out again within {rule.Value:0} h, before it molds."
                : $"Dead prey comes out before it rots, within {rule.Value:0} h at {subject.Pace.CelsiusNow:0} °C."
        );
        var reasons = new List<Reason>
        {
            Reason.FromRecord("In there", $"{what}, for {hours} h.", "record.offered"),
            limit,
        };
        if (atOnce)
        {
            reasons.Insert(
                0,
                new Reason(
                    "At once",
                    "Live prey can bite an animal in premolt or soft after a molt: out at once.",
                    "group.livePrey.premolt",
                    RuleTag.Practice,
                    "common practice, no published source",
                    []
                )
            );
        }

        return new Answer<Leftover?>(leftover, $"{what} in for {hours} h.", reasons);
    }

    /// <summary>What a messy eater leaves of a meal comes out the night after; none where nothing has to.</summary>
    private static Answer<Leftover?>? BitsOf(Subject subject)
    {
        var rule = subject.Group.Feeding.MessyEater;
        if (
            !rule.Value
            || subject.Standing.Feeding.Meals.Count == 0
            || subject.Standing.Feeding.Meals[^1] is not { Offer.Preparation: not Preparation.Fresh } meal
            || subject.Standing.Feeding.ClearedAt > meal.At
            || subject.NightsSince(meal.At) > subject.Room.Rules.Room.Feeding.BitsNights.Value
        )
        {
            return null;
        }

        var next = subject.Room.Clock.StartOf(subject.Night(meal.At).AddDays(1));
        return new Answer<Leftover?>(
            new Leftover(Bits, 0, next, false, null, []),
            $"{Bits.ToUpperFirst()} come out.",
            [
                rule.Because(
                    "Bits",
                    "group.messyEater",
                    "It cuts its prey to pieces: what it leaves molds and draws mites, so it comes out the night after."
                ),
            ]
        );
    }

    /// <summary>The food's own limit where it has one; else live prey by stage, dead prey by warmth. Insects given to ants go by the ants' own.</summary>
    private static (Rule<double> Rule, string Name) RuleFor(Subject subject, Stage stage, Offer offer, bool live)
    {
        var cool = subject.Pace.IsKnown && subject.Pace.CelsiusNow < subject.Room.Rules.Room.Feeding.CoolBelowC.Value;
        return subject.Room.Rules.Feeder(offer.FeederId)?.StayHours is { } own
                ? (own, $"feeder.{offer.FeederId}.stayHours")
            : live && subject.Group.At(stage).Food is { } food
                ? (food.LivePreyHours, $"group.livePreyHours.{StageReading.Key(stage)}")
            : cool ? (subject.Group.Feeding.DeadPreyHoursCool, "group.deadPreyHoursCool")
            : (subject.Group.Feeding.DeadPreyHours, "group.deadPreyHours");
    }
}
