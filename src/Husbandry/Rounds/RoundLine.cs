using Husbandry.Feeding;
using Husbandry.Housing;
using Husbandry.Hush;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Husbandry.Rounds;

/// <summary>What a line of the round asks for.</summary>
public enum RoundAct
{
    /// <summary>Nothing tonight.</summary>
    None,

    /// <summary>Give water at once: a sign that needs help was seen.</summary>
    Help,

    /// <summary>Take leftovers out.</summary>
    RemoveLeftovers,

    /// <summary>Look whether it has molted.</summary>
    LookForMolt,

    /// <summary>Look at the fangs.</summary>
    CheckFangs,

    /// <summary>Offer food.</summary>
    Feed,

    /// <summary>Give water.</summary>
    Water,
}

/// <summary>Which part of the round a line belongs to.</summary>
public enum LineState
{
    /// <summary>Needs a hand tonight.</summary>
    Due,

    /// <summary>Hushed: pass by.</summary>
    PassBy,

    /// <summary>Nothing to do tonight.</summary>
    Quiet,
}

/// <summary>One enclosure on tonight's round.</summary>
/// <param name="StockId">The animal or brood.</param>
/// <param name="Place">Where it stands.</param>
/// <param name="Name">Nickname.</param>
/// <param name="Species">Scientific name.</param>
/// <param name="Phase">Phase.</param>
/// <param name="PhaseWord">The word beside the lantern.</param>
/// <param name="Shutters">Closed shutters, 0–3.</param>
/// <param name="State">Due, pass by, or quiet.</param>
/// <param name="Act">The one obvious act.</param>
/// <param name="Do">What to do now, in plain words with numbers.</param>
/// <param name="Detail">The most telling circumstances.</param>
/// <param name="Offer">What to offer, when the act is to feed.</param>
/// <param name="PreyIn">The offer whose prey is still in there, when the act is to take it out.</param>
/// <param name="Molt">When the next molt is to be expected, for the drawing beside the reasons.</param>
/// <param name="Seconds">Estimated time for the act.</param>
/// <param name="Vials">Numbered vials of a brood; none for one animal or a colony.</param>
/// <param name="NextDue">Instant from which it will need a hand, when it does not tonight.</param>
/// <param name="Why">Why, for the drawer.</param>
public sealed record RoundLine(
    Guid StockId,
    Place Place,
    string Name,
    string Species,
    Phase Phase,
    string PhaseWord,
    int Shutters,
    LineState State,
    RoundAct Act,
    string Do,
    string Detail,
    MealOffer? Offer,
    OfferEvent? PreyIn,
    VigilForecast? Molt,
    double Seconds,
    int? Vials,
    DateTimeOffset? NextDue,
    Answer<RoundAct> Why
)
{
    /// <summary>Composes the line of an animal: at most one act, the most urgent first.</summary>
    public static RoundLine Of(Judgement j)
    {
        var s = j.Subject;
        var tonight = s.Room.Tonight;
        var candidates = new List<(DateTimeOffset At, Func<RoundLine> Line)>();
        void Add(DateTimeOffset at, Func<RoundLine> line) => candidates.Add((at, line));
        DateTimeOffset StartOf(DateOnly night) => s.Room.Clock.StartOf(night);

        if (j.Reading.Value.NeedsHelp is { } help && !WateredSinceCall(s))
        {
            Add(
                StartOf(tonight),
                () =>
                    Line(
                        j,
                        RoundAct.Help,
                        "water",
                        "Water at once, and ask for advice",
                        help,
                        As(RoundAct.Help, j.Reading)
                    )
            );
        }

        if (j.Leftover.Value is { } leftover)
        {
            Add(leftover.OutBy, () => LeftoverLine(j, leftover));
        }

        if (j.Phase.Value == Phase.Imminent && j.Reading.Value.ImminentSince is { } since)
        {
            var over = since.AddDays((int)Math.Ceiling(s.Group.ImminentDays.Value));
            Add(
                StartOf(over),
                () =>
                    Line(
                        j,
                        RoundAct.LookForMolt,
                        "molted",
                        $"Look softly: has {s.It} molted?",
                        $"{Label(j)} since {s.Room.Wording.Day(since)} · do not open, do not touch",
                        As(RoundAct.LookForMolt, j.Phase)
                    )
            );
        }

        if (
            j.Phase.Value == Phase.FangsUnchecked
            && (s.Standing.FangsSeen is null || s.Night(s.Standing.FangsSeen.At) < tonight)
        )
        {
            Add(
                StartOf(j.FirstMeal.Value!.Night),
                () =>
                    Line(
                        j,
                        RoundAct.CheckFangs,
                        "fangs",
                        "Look at the fangs: black?",
                        "the days are over; food only once they are black",
                        As(RoundAct.CheckFangs, j.Phase)
                    )
            );
        }
        else if (j.Phase.Value == Phase.Hardening && s.Group.FangCheck.Value)
        {
            Add(
                StartOf(j.FirstMeal.Value!.Night),
                () =>
                    Line(
                        j,
                        RoundAct.CheckFangs,
                        "fangs",
                        "Look at the fangs: black?",
                        "",
                        As(RoundAct.CheckFangs, j.Phase)
                    )
            );
        }

        if (j.Meal.Value.Due is { } meal)
        {
            Add(StartOf(meal), () => FeedLine(j));
        }

        if (j.Hush[CareAct.Water].Verdict == Verdict.Fine)
        {
            Add(StartOf(j.Water.Value.Due), () => WaterLine(j));
        }

        if (s.Standing.Departure is not null)
        {
            candidates.Clear();
        }

        var endOfTonight = s.Room.Clock.EndOf(tonight);
        var putOff = s.Standing.PutOffUntil is { } until && until > tonight ? StartOf(until) : (DateTimeOffset?)null;
        var due = candidates.FirstOrDefault(c => c.At < endOfTonight);
        if (due.Line is not null && putOff is null)
        {
            return due.Line() with { NextDue = candidates.Min(c => c.At) };
        }

        var next = candidates.Count == 0 ? (DateTimeOffset?)null : candidates.Min(c => c.At);
        return Resting(j, putOff is { } later && (next is null || next < later) ? later : next);
    }

    /// <summary>Whether water was given after the last sign that called for it.</summary>
    private static bool WateredSinceCall(Subject s) =>
        s.Standing.LastWater is { } watered
        && s.Standing.SignsNow.Where(sign => s.Room.Rules.Sign(sign.SignId)?.Strength == SignStrength.Opposite)
            .All(sign => sign.At < watered);

    private static Answer<RoundAct> As<T>(RoundAct act, Answer<T> why) => new(act, why.Summary, why.Reasons);

    private static RoundLine Line(
        Judgement j,
        RoundAct act,
        string timedAs,
        string @do,
        string detail,
        Answer<RoundAct> why,
        MealOffer? offer = null
    ) =>
        new(
            j.Subject.Standing.StockId,
            j.Subject.Standing.Place,
            j.Subject.Standing.Details.Nickname,
            j.Subject.SpeciesName,
            j.Phase.Value,
            Phases.Word(j.Phase.Value),
            Phases.Shutters(j.Phase.Value),
            LineState.Due,
            act,
            @do,
            detail,
            offer,
            act == RoundAct.RemoveLeftovers ? j.Subject.Standing.PreyIn : null,
            j.Molt.Value ?? j.Wait.Value,
            j.Subject.Room.Rules.Room.SecondsPerAct[timedAs].Value,
            j.Subject.IsBrood ? j.Subject.Standing.Details.Count : null,
            null,
            why
        );

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
