using Husbandry.Growth;
using Husbandry.Hush;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Feeding;

/// <summary>What to put before an animal.</summary>
/// <param name="FeederId">Feeder.</param>
/// <param name="SizeClassId">Size class.</param>
/// <param name="Count">Animals, or pieces when cut; for a brood the whole meal.</param>
/// <param name="Preparation">How to serve it.</param>
/// <param name="What">"1 small roach nymph".</param>
/// <param name="Serving">How to serve this feeder.</param>
public sealed record MealOffer(
    string FeederId,
    string SizeClassId,
    int Count,
    Preparation Preparation,
    string What,
    string Serving
);

/// <summary>When the next meal is due and what it should be.</summary>
/// <param name="Due">Night on which it is due; none while food is forbidden.</param>
/// <param name="Forbidden">Whether food is hushed altogether.</param>
/// <param name="LastMeal">Night of the last meal on record.</param>
/// <param name="EveryDays">Days between meals now.</param>
/// <param name="Offer">What to offer, when its size is known.</param>
public sealed record MealPlan(DateOnly? Due, bool Forbidden, DateOnly? LastMeal, double EveryDays, MealOffer? Offer)
{
    /// <summary>Plans the next meal from cadence school, condition, phase and refusals.</summary>
    public static Answer<MealPlan> Of(
        Subject subject,
        Answer<Stage> stage,
        Phase phase,
        Answer<Condition> condition,
        FirstMeal? firstMeal,
        PreyFit? prey,
        HushTable hush
    )
    {
        var (every, cadenceReason) = Cadence(subject, stage.Value);
        var (factor, conditionReasons) = ByCondition(subject, condition);
        every *= factor;
        var lastMeal =
            subject.Standing.Meals.Count == 0 ? (DateOnly?)null : subject.Night(subject.Standing.Meals[^1].At);
        var words = subject.Room.Wording;
        var reasons = new List<Reason>();
        var forbidden =
            hush[CareAct.FeedDead].Verdict == Verdict.Never || condition.Value.Word == ConditionWord.VeryPlump;
        if (forbidden)
        {
            reasons.AddRange(hush[CareAct.FeedLive].Contributors.Select(c => c.Why));
        }

        reasons.Add(
            lastMeal is { } meal
                ? Reason.FromRecord(
                    "Last meal",
                    $"{JournalText.Food(subject.Standing.Meals[^1].Offer, subject.Room.Rules)}, {words.Day(meal)}, {words.Ago(meal)}.",
                    "record.offered"
                )
                : Reason.FromRecord("Last meal", "None on record.", "record.offered")
        );
        reasons.Add(cadenceReason);
        reasons.AddRange(conditionReasons);
        var due = DueNight(subject, stage.Value, lastMeal, every, firstMeal, reasons);
        var offer =
            subject.Group.Diet != Diet.Prey ? Serve(subject)
            : prey is null ? null
            : Choose(subject, prey, hush);
        var plan = new MealPlan(forbidden ? null : due, forbidden, lastMeal, every, offer);
        var summary =
            forbidden ? Until(hush[CareAct.FeedLive].Until, words)
            : due <= subject.Room.Tonight ? $"A meal is due{(offer is null ? "" : $": {offer.What}")}."
            : $"Next meal {words.Day(due)}.";
        return new Answer<MealPlan>(plan, summary, reasons);
    }

    private static string Until(HushEnd? end, Wording words) =>
        end is null ? "No food for now."
        : end.From == end.To ? $"No food until {words.Date(end.Night)}."
        : $"No food until about {words.Date(end.Night)} ({words.Dates(end.From, end.To)}).";

    private static (double Days, Reason Why) Cadence(Subject subject, Stage stage)
    {
        var rule = subject.Group.Cadence[stage];
        var school = subject.Room.Settings.Cadence;
        var picked = school switch
        {
            CadenceSchool.Often => rule.Often,
            CadenceSchool.Lean => rule.Lean,
            _ => rule.Default,
        };
        var male =
            stage == Stage.Adult && subject.Standing.Details.Sex == Sex.Male && subject.Standing.IsMatureByRecord;
        var days = picked.Value * (male ? subject.Group.MatureMaleCadence.Value : 1);
        var suffix = male ? $" A mature male eats less: × {Wording.Plain(subject.Group.MatureMaleCadence.Value)}." : "";
        var why = picked.Because(
            "Cadence",
            $"group.cadence.{StageReading.Key(stage)}",
            $"A {StageReading.Word(stage)} eats every {Wording.Days(days)}.{suffix}",
            new School("often", $"every {Wording.Days(rule.Often.Value)}", school == CadenceSchool.Often),
            new School("default", $"every {Wording.Days(rule.Default.Value)}", school == CadenceSchool.Default),
            new School("lean", $"every {Wording.Days(rule.Lean.Value)}", school == CadenceSchool.Lean)
        );
        return (days, why);
    }

    private static (double Factor, IEnumerable<Reason> Why) ByCondition(Subject subject, Answer<Condition> condition)
    {
        var rules = subject.Group.Condition;
        return condition.Value.Word switch
        {
            ConditionWord.Thin => (
                rules.ThinFactor.Value,
                condition.Reasons.Append(
                    rules.ThinFactor.Because(
                        "Thin",
                        "group.condition.thinFactor",
                        "Thin: fed twice as soon, and check the water."
                    )
                )
            ),
            ConditionWord.Plump => (
                rules.PlumpFactor.Value,
                condition.Reasons.Append(
                    rules.PlumpFactor.Because("Plump", "group.condition.plumpFactor", "Plump: one meal is skipped.")
                )
            ),
            _ => (1, condition.Reasons),
        };
    }

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
        var settle = subject.Room.Rules.Room.SettleDays;
        var due = lastMeal is { } meal
            ? meal.AddDays((int)Math.Round(every, MidpointRounding.AwayFromZero))
            : subject.Standing.Details.AcquiredOn.AddDays((int)settle.Value);
        if (lastMeal is null)
        {
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

        if (subject.Standing.Untaken.Count > 0)
        {
            var offered = subject.Night(subject.Standing.Untaken[^1].At);
            var retry = subject.Group.Retry[stage];
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

    /// <summary>
    /// Picks what to offer: a staple of the group that fits whole, the fullest meal in the fewest animals; another
    /// when one feeder makes up too much of the last meals; else a cut one.
    /// </summary>
    private static MealOffer? Choose(Subject subject, PreyFit prey, HushTable hush)
    {
        var order = subject.Group.Staples;
        var tired = TooOften(subject);
        var option = prey
            .Options.Where(o => o.Verdict is PreyVerdict.Fits or PreyVerdict.Cut && order.Contains(o.FeederId))
            .OrderBy(o => o.Verdict == PreyVerdict.Fits ? 0 : 1)
            .ThenBy(o => o.FeederId == tired ? 1 : 0)
            .ThenBy(o => o.Fatty ? 1 : 0)
            .ThenBy(o => IndexOf(order, o.FeederId))
            .ThenBy(o => o.Count)
            .ThenByDescending(o => o.MaxMm)
            .FirstOrDefault();
        if (option is null)
        {
            return null;
        }

        var mustBeDead = hush[CareAct.FeedLive].Verdict != Verdict.Fine;
        var preparation =
            option.Verdict == PreyVerdict.Cut ? Preparation.Cut
            : mustBeDead ? Preparation.PreKilled
            : Preparation.Live;
        var count = option.Count * (subject.IsBrood ? subject.Standing.Details.Count : 1);
        var offer = new Offered(option.FeederId, option.SizeClassId, count, preparation, OfferOutcome.NotSeen, null);
        return new MealOffer(
            option.FeederId,
            option.SizeClassId,
            count,
            preparation,
            JournalText.Food(offer, subject.Room.Rules),
            option.Serving
        );
    }

    /// <summary>Food that needs no sizing: the group's first staple, as it is.</summary>
    private static MealOffer? Serve(Subject subject)
    {
        var feeder = subject.Room.Rules.Feeder(subject.Group.Staples[0])!;
        var size = feeder.Classes[0];
        var offer = new Offered(feeder.Id, size.Id, 1, Preparation.Fresh, OfferOutcome.NotSeen, null);
        return new MealOffer(
            feeder.Id,
            size.Id,
            1,
            Preparation.Fresh,
            JournalText.Food(offer, subject.Room.Rules),
            feeder.Serving
        );
    }

    private static string? TooOften(Subject subject)
    {
        var meals = subject.Standing.Meals;
        var most = meals.GroupBy(m => m.Offer.FeederId).MaxBy(g => g.Count());
        return
            most is not null
            && meals.Count == subject.Room.Rules.Room.MealsRemembered.Value
            && most.Count() > meals.Count * subject.Room.Rules.Room.VarietyShareLimit.Value
            ? most.Key
            : null;
    }

    private static int IndexOf(IReadOnlyList<string> order, string id)
    {
        for (var i = 0; i < order.Count; i++)
        {
            if (order[i] == id)
            {
                return i;
            }
        }

        return order.Count;
    }
}
