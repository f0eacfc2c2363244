using System.Text.Json.Serialization;
using Husbandry.Feeding;
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
/// <param name="Hazard">What it can do to people; none for most.</param>
/// <param name="Quarantine">Whether it stands apart as new stock: last, with tools of its own.</param>
/// <param name="NextDue">Instant from which it will need a hand, when it does not tonight.</param>
/// <param name="Why">Why, for the drawer; asked for alone, as a round of hundreds never needs it.</param>
public sealed partial record RoundLine(
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
    [property: JsonIgnore] VigilForecast? Molt,
    double Seconds,
    int? Vials,
    Hazard? Hazard,
    bool Quarantine,
    DateTimeOffset? NextDue,
    [property: JsonIgnore] Answer<RoundAct> Why
)
{
    /// <summary>What to have at hand for it.</summary>
    [JsonIgnore]
    public IReadOnlyList<KitItem> Kit { get; init; } = [];

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
        new RoundLine(
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
            j.Subject.Room.RoundPace.SecondsFor(timedAs),
            j.Subject.IsBrood ? j.Subject.Standing.Details.Count : null,
            j.Subject.Profile.Hazard?.Value,
            j.Subject.Room.Layout.IsQuarantine(j.Subject.Standing.Place),
            null,
            why
        )
        {
            Kit = RoundKit.ItemsFor(j, act, offer),
        };
}
