using Husbandry.Feeding;
using Husbandry.Housing;
using Husbandry.Hush;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Husbandry.Rounds;

/// <summary>What the lines say.</summary>
public sealed partial record RoundLine
{
    private static RoundLine LeftoverLine(Judgement j, Leftover leftover)
    {
        var s = j.Subject;
        var refusals = s
            .Standing.Untaken.Where(o => o.Offer.Outcome.IsRefusal())
            .Select(o => s.Room.Wording.Date(s.Night(o.At)))
            .ToList();
        var detail = Join(
            leftover.AtOnce ? "at once: it could bite" : "",
            refusals.Count > 0 ? $"refused {string.Join(" and ", refusals.TakeLast(2))}" : "",
            j.Meal.Value.Forbidden ? "then water only" : ""
        );
        var why = As(RoundAct.RemoveLeftovers, j.Leftover);
        return Line(
            j,
            RoundAct.RemoveLeftovers,
            "leftovers",
            $"Take out {leftover.What}, in for {leftover.InHours} h",
            detail,
            why
        );
    }

    private static RoundLine FeedLine(Judgement j)
    {
        var s = j.Subject;
        var words = s.Room.Wording;
        var offer = j.Meal.Value.Offer;
        var limit = j.Prey.Value is { } prey ? $", ≤ {words.Length(prey.MaxPreyMm)}" : "";
        var what =
            offer is null ? $"Measure {s.Them}, then feed: size unknown"
            : s.Group.Diet == Diet.Prey ? $"Offer {offer.What}{limit}"
            : $"Put in {offer.What}";
        var suspected = j.Phase.Value == Phase.Suspected;
        var detail = Join(
            suspected ? "suspected: pre-killed only, and look for darkening" : "",
            s.IsBrood && s.Group.Diet == Diet.Prey ? "one line for all: tap those that leave it" : "",
            s.RestingVials.Count > 0 ? $"pass over no. {string.Join(", ", s.RestingVials.Select(v => v.Number))}" : "",
            j.Meal.Value.LastMeal is { } last ? $"last fed {words.Ago(last)}, {words.Day(last)}" : "not fed here yet",
            j.Condition.Value.Word is ConditionWord.Thin ? "thin: check the water too" : "",
            suspected || offer?.Preparation != Preparation.Live
                ? ""
                : $"leftovers out within {s.Group.LivePreyHours[j.Stage.Value].Value:0} h"
        );
        IReadOnlyList<Reason> reasons =
        [
            .. j.Meal.Reasons,
            .. j.Prey.Reasons.Take(1),
            .. j.Molt.Value is null
                ? []
                : new[] { s.Profile.MoltInterval[j.Stage.Value].Because("Next molt", "vigil.molt", j.Molt.Summary) },
        ];
        var since = j.Meal.Value.LastMeal is { } meal
            ? $"{Wording.Nights(s.Room.Tonight.DayNumber - meal.DayNumber)} since the last meal"
            : "No meal on record yet";
        var fed =
            j.Condition.Value.Word == ConditionWord.Unknown
                ? ""
                : $", {Feeding.Condition.Text(j.Condition.Value.Word)} condition";
        var why = new Answer<RoundAct>(RoundAct.Feed, $"{since}{fed}. {j.Reading.Summary}", reasons);
        return Line(j, RoundAct.Feed, s.IsBrood ? "feedBrood" : "feed", what, detail, why, offer);
    }

    private static RoundLine WaterLine(Judgement j)
    {
        var s = j.Subject;
        var words = s.Room.Wording;
        var mist = s.Group.DrinksDrops.Value || j.Stage.Value == Stage.Sling;
        var plan = j.Water.Value.Mist;
        mist = mist || plan is not null;
        var what =
            !mist ? "Fill the water dish"
            : j.Hush[CareAct.Mist].Verdict != Verdict.Fine ? $"Put drops on the wall, away from {s.Them}"
            : plan is not null
                ? $"Mist {plan.Squirts} squirt{(plan.Squirts == 1 ? "" : "s")}, {Wording.Plain(plan.Ml)} mL{DampText(s)}"
            : "Mist: drops to drink";
        var detail = Join(
            j.Water.Value.Last is { } last ? $"last {words.Day(last)}" : "no water on record yet",
            j.Meal.Value.Forbidden ? "water only, no food"
                : j.Meal.Value.Due is { } meal && meal > s.Room.Tonight ? $"not hungry until {words.Day(meal)}"
                : ""
        );
        return Line(j, RoundAct.Water, "water", what, detail, As(RoundAct.Water, j.Water));
    }

    private static string DampText(Subject s) =>
        s.Standing.House?.Enclosure.Damp switch
        {
            null or DampSide.None => "",
            DampSide.Whole => ", the whole floor",
            { } side => $", {side.ToString().ToLowerInvariant()} side",
        };

    private static RoundLine Resting(Judgement j, DateTimeOffset? next)
    {
        var s = j.Subject;
        var words = s.Room.Wording;
        var hushed = j.Phase.Value >= Phase.Likely;
        var text =
            s.Standing.PutOffUntil is { } until && until > s.Room.Tonight ? $"put off until {words.Day(until)}"
            : j.Phase.Value == Phase.Imminent ? $"{Label(j).ToLowerInvariant()}: leave the lid shut"
            : j.Phase.Value == Phase.Hardening
                ? $"hardening, no food until {words.Date(j.FirstMeal.Value!.Night)}{(s.Group.FangCheck.Value ? ", then look at the fangs" : "")}"
            : j.Phase.Value == Phase.FangsUnchecked ? "fangs not black yet: look again tomorrow"
            : j.Wait.Value is { } wait
                ? $"{Phases.Word(j.Phase.Value)}: {VigilWords.Ends(wait.Vigil)} about {words.Date(wait.P50)} ({words.Dates(wait.P10, wait.P90)})"
            : hushed ? $"{Phases.Word(j.Phase.Value)}: {j.Meal.Summary.TrimEnd('.').ToLowerFirst()}"
            : j.Meal.Value.Due is { } meal ? $"next meal {words.Day(meal)}"
            : j.Meal.Summary.TrimEnd('.').ToLowerFirst();
        var why = hushed
            ? new Answer<RoundAct>(RoundAct.None, j.Phase.Summary, j.HushReasons)
            : As(RoundAct.None, j.Meal);
        return Line(j, RoundAct.None, "look", text, "", why) with
        {
            State = hushed ? LineState.PassBy : LineState.Quiet,
            NextDue = next,
        };
    }

    private static string Label(Judgement j) =>
        j.Reading.Value.Evidence.LastOrDefault(e => e.Strength == SignStrength.Imminent)?.Label ?? "Molting";

    private static string Join(params IEnumerable<string> parts) => string.Join(" · ", parts.Where(p => p.Length > 0));
}
