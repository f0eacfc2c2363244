using System.Text.Json.Serialization;
using Husbandry.Growth;
using Husbandry.Hush;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Feeding;

/// <summary>What to put before an animal.</summary>
/// <param name="FeederId">Feeder.</param>
/// <param name="SizeClassId">Size class.</param>
/// <param name="Count">Animals, or pieces when cut; for a brood the whole meal.</param>
/// <param name="Preparation">How to serve it.</param>
/// <param name="What">"1 small roach nymph".</param>
/// <param name="Serving">How to serve this feeder.</param>
/// <param name="Animals">Whole animals, or portions, that it takes from the larder.</param>
/// <param name="With">What goes in beside it.</param>
public sealed record MealOffer(
    string FeederId,
    string SizeClassId,
    int Count,
    Preparation Preparation,
    string What,
    string Serving,
    int Animals,
    MealOffer? With = null
)
{
    /// <summary>All that goes in, in words.</summary>
    [JsonIgnore]
    public string All => With is null ? What : $"{What} and {With.All}";
}

/// <summary>When the next meal is due and what it should be.</summary>
/// <param name="Due">Night on which it is due; none while food is forbidden.</param>
/// <param name="Forbidden">Whether food is hushed altogether.</param>
/// <param name="LastMeal">Night of the last meal on record.</param>
/// <param name="EveryDays">Days between meals now.</param>
/// <param name="Offer">What to offer, when its size is known.</param>
/// <param name="EatsNothing">Whether it takes no food at its stage, hushed or not.</param>
public sealed record MealPlan(
    DateOnly? Due,
    bool Forbidden,
    DateOnly? LastMeal,
    double EveryDays,
    MealOffer? Offer,
    bool EatsNothing = false
)
{
    /// <summary>Its clock; none where it eats nothing, or is fed with others of its tank.</summary>
    public CareDue? Care(Subject subject) =>
        EatsNothing || subject.FedWith is not null
            ? null
            : new CareDue(
                CareClock.Food,
                subject.Group.Feeding.Prey is null ? "food" : "meal",
                Due,
                EveryDays,
                LastMeal
            );

    /// <summary>Plans the next meal from cadence school, condition, phase and refusals.</summary>
    public static Answer<MealPlan> Of(
        Subject subject,
        Answer<Stage> stage,
        Answer<Condition> condition,
        FirstMeal? firstMeal,
        PreyFit? prey,
        HushTable hush,
        Variety variety
    )
    {
        var lastMeal =
            subject.Standing.Feeding.Meals.Count == 0
                ? (DateOnly?)null
                : subject.Night(subject.Standing.Feeding.Meals[^1].At);
        if (subject.Group.At(stage.Value).Food is null)
        {
            return Nothing(subject, stage.Value, lastMeal);
        }

        var cadence = Cadence.Of(subject, stage.Value, condition);
        var every = cadence.Days;
        var words = subject.Room.Wording;
        var reasons = new List<Reason>();
        var onlyLive = subject.Group.Feeding.Prey?.LiveOnly.Value == true;
        var forbidden =
            hush[CareAct.FeedDead].Verdict == Verdict.Never
            || (onlyLive && hush[CareAct.FeedLive].Verdict == Verdict.Never);
        if (!forbidden && MealChoice.EatsNothing(subject, stage.Value) is not null)
        {
            return Nothing(subject, stage.Value, lastMeal);
        }

        if (forbidden)
        {
            reasons.AddRange(hush[CareAct.FeedLive].Contributors.Select(c => c.Why));
        }

        reasons.Add(
            lastMeal is { } meal
                ? Reason.FromRecord(
                    "Last meal",
                    $"{FoodWords.Of(subject.Standing.Feeding.Meals[^1].Offer, subject.Room.Rules)}, {words.Day(meal)}, {words.Ago(meal)}.",
                    "record.offered"
                )
                : Reason.FromRecord("Last meal", "None on record.", "record.offered")
        );
        reasons.AddRange(cadence.Why);
        if (subject.FedWith is { } with && !forbidden)
        {
            var text = $"Fed with {with}.";
            return new Answer<MealPlan>(
                new MealPlan(null, false, lastMeal, every, null),
                text,
                [Reason.FromRecord("Food", text, "record.placed"), .. reasons]
            );
        }

        if (subject.Group.Feeding.Diet == Diet.SugarAndProtein && !forbidden)
        {
            (var night, every, var ants) = AntMeals.Plan(subject, stage.Value);
            reasons.Add(ants);
            var dish = MealChoice.Of(subject, stage.Value, prey, hush, variety);
            return new Answer<MealPlan>(
                new MealPlan(night, false, lastMeal, every, dish),
                night <= subject.Room.Tonight ? $"Due: {dish!.All}." : $"Next food {words.Day(night)}.",
                reasons
            );
        }

        var due = DueNight(subject, stage.Value, lastMeal, every, firstMeal, reasons);
        var offer = MealChoice.Of(subject, stage.Value, prey, hush, variety);
        reasons.AddRange(variety.Why);
        var plan = new MealPlan(forbidden ? null : due, forbidden, lastMeal, every, offer);
        var summary =
            forbidden ? Until(hush[CareAct.FeedLive].Until, words)
            : due <= subject.Room.Tonight ? $"A meal is due{(offer is null ? "" : $": {offer.All}")}."
            : $"Next meal {words.Day(due)}.";
        return new Answer<MealPlan>(plan, summary, reasons);
    }

    /// <summary>The plan of what takes no food, hushed or not.</summary>
    private static Answer<MealPlan> Nothing(Subject subject, Stage stage, DateOnly? lastMeal)
    {
        var text = $"{MealChoice.EatsNothing(subject, stage)!.ToUpperFirst()}.";
        return new Answer<MealPlan>(
            new MealPlan(null, true, lastMeal, 0, null, EatsNothing: true),
            text,
            [
                MealChoice.LivesOnYolk(subject) is { } yolk ? yolk.Because("Food", "group.eatsFrom", text)
                : subject.Profile.AdultFeeds is { Value: false } rule && stage == Stage.Adult
                    ? rule.Because("Food", "species.adultFeeds", text)
                : Reason.FromRecord("Food", text, "record.stage"),
            ]
        );
    }

    private static string Until(HushEnd? end, Wording words) =>
        end is null ? "No food for now."
        : end.From == end.To ? $"No food until {words.Date(end.Night)}."
        : $"No food until about {words.Date(end.Night)} ({words.Dates(end.From, end.To)}).";

    private static DateOnly DueNight(
        Subject subject,
        Stage stage,
        DateOnly? lastMeal,
        double every,
        FirstMeal? firstMeal,
        List<Reason> reasons
    )
    {
        var words = subject.Room.Wording;
        var settle = subject.Room.Rules.Room.Feeding.SettleDays;
        var settled = subject.Standing.Details.AcquiredOn.AddDays((int)settle.Value);
        var due = lastMeal is { } meal ? meal.AddDays((int)Math.Round(every, MidpointRounding.AwayFromZero)) : settled;
        if (lastMeal is null || lastMeal < subject.Standing.Details.AcquiredOn)
        {
            due = due < settled ? settled : due;
            reasons.Add(
                settle.Because(
                    "Settling in",
                    "room.settleDays",
                    $"A new arrival settles for {Wording.Days(settle.Value)} first."
                )
            );
        }

        if (firstMeal is { } first && first.Night > due)
        {
            due = first.Night;
        }

        if (subject.Standing.Feeding.Untaken.Count > 0)
        {
            var offered = subject.Night(subject.Standing.Feeding.Untaken[^1].At);
            var retry = subject.Group.At(stage).Food!.Retry;
            var again = offered.AddDays((int)retry.Value);
            if (again > due)
            {
                due = again;
            }

            reasons.Add(
                retry.Because(
                    "Not taken",
                    $"group.retry.{StageReading.Key(stage)}",
                    $"Not taken {words.Day(offered)}: offered again {words.Day(again)}. Not eating is no emergency."
                )
            );
        }

        return due;
    }
}
