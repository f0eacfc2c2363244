using System.Text.Json.Serialization;
using Husbandry.Feeding;
using Husbandry.Journal;
using Husbandry.Nursery;
using Husbandry.Plants;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Husbandry.Rounds;

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
/// <param name="Mind">What to mind with the lid off: a catch cup, clean hands.</param>
/// <param name="Choices">What can be logged with one key or tap, the obvious one first.</param>
/// <param name="PreyIn">The offer of which some is still in there, when the act is to take it out.</param>
/// <param name="OutAt">The hour at which it is to come out, when that is still to come tonight.</param>
/// <param name="Molt">When the next molt is to be expected, for the drawing beside the reasons.</param>
/// <param name="Seconds">Estimated time for the act.</param>
/// <param name="Vials">Numbers of the vials of a brood, but for those that are still soft after a molt; none for one animal or a colony.</param>
/// <param name="Hazard">What it can do to people; none for most.</param>
/// <param name="Quarantine">Whether it stands apart as new stock: last, with tools of its own.</param>
/// <param name="IsSick">Whether sick ones were seen there of late: last of all, with tools of its own.</param>
/// <param name="Signs">Whether signs can be seen on it.</param>
/// <param name="Waters">How water is given to it, what is due first; none where no water is poured.</param>
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
    IReadOnlyList<string> Mind,
    IReadOnlyList<LineChoice> Choices,
    OfferEvent? PreyIn,
    DateTimeOffset? OutAt,
    [property: JsonIgnore] VigilForecast? Molt,
    double Seconds,
    IReadOnlyList<int>? Vials,
    Hazard? Hazard,
    bool Quarantine,
    bool IsSick,
    bool Signs,
    IReadOnlyList<WaterKind> Waters,
    DateTimeOffset? NextDue,
    [property: JsonIgnore] Answer<RoundAct> Why
)
{
    /// <summary>What to have at hand for it.</summary>
    [JsonIgnore]
    public IReadOnlyList<KitItem> Kit { get; init; } = [];

    /// <summary>What a look would tell of its next molt; none where it would tell nothing.</summary>
    [JsonIgnore]
    public Answer<LookWorth?>? LookWorth { get; init; }

    /// <summary>Why it is worth a look tonight besides what there is to do; none for most.</summary>
    [JsonRequired]
    public string? Look { get; init; }

    /// <summary>Composes the line of an animal: one visit, the most urgent thing first, water before food.</summary>
    public static RoundLine Of(Judgement j) => Of(j, forAnotherHand: false);

    /// <summary>
    /// The line for somebody who minds the room: what only its keeper does, such as putting young apart, is passed over, so
    /// that the rest of its care is not.
    /// </summary>
    public static RoundLine ForAnotherHand(Judgement j) => Of(j, forAnotherHand: true);

    private static bool IsKeepersOwn(RoundAct act) =>
        act
            is RoundAct.PutApart
                or RoundAct.CountYoung
                or RoundAct.LookAgain
                or RoundAct.LookForWeb
                or RoundAct.TellSex
                or RoundAct.LookForAdult
                or RoundAct.WarmUp
                or RoundAct.PairAgain;

    private static RoundLine Of(Judgement j, bool forAnotherHand)
    {
        var s = j.Subject;
        var tonight = s.Room.Tonight;
        var endOfTonight = s.Room.Clock.EndOf(tonight);
        DateTimeOffset StartOf(DateOnly night) => s.Room.Clock.StartOf(night);
        var candidates =
            s.Standing.Departure is not null ? []
            : s.Standing.Loan is { } loan ? ReturnOf(j, loan).ToList()
            : s.Standing.OpenPairing is { HoldsAll: true } open ? TogetherOf(j, open).ToList()
            : Candidates(j).ToList();
        var putOff = s.Standing.PutOffUntil is { } until && until > tonight ? StartOf(until) : (DateTimeOffset?)null;
        var due = candidates.FirstOrDefault(c =>
            c.At < endOfTonight && !(forAnotherHand && IsKeepersOwn(c.Line().Act))
        );
        if (due.Line is not null && putOff is null)
        {
            var line = due.Line() with { NextDue = candidates.Min(c => c.At) };
            return line with { Beside = BesideOf(line, j), LookWorth = line.Signs && !s.IsMany ? j.LookWorth : null };
        }

        var next = candidates.Count == 0 ? (DateTimeOffset?)null : candidates.Min(c => c.At);
        return Resting(j, putOff is { } later && (next is null || next < later) ? later : next);
    }

    /// <summary>The line for water alone, when it is due tonight and nothing forbids it; for a hand that must not feed.</summary>
    public static RoundLine? ForWater(Judgement j) =>
        j.Subject.Standing.OpenPairing is not { HoldsAll: true } && WatersDue(j).Count > 0 ? WaterLine(j) : null;

    /// <summary>Of one that is with somebody else only the night is asked by which it is to be back.</summary>
    private static IEnumerable<(DateTimeOffset At, Func<RoundLine> Line)> ReturnOf(Judgement j, LoanEvent loan)
    {
        if (loan.BackBy is { } night)
        {
            yield return (j.Subject.Room.Clock.StartOf(night), () => AskBackLine(j, loan));
        }
    }

    /// <summary>Everything that will be asked of it, the most urgent first, each from an instant on.</summary>
    private static IEnumerable<(DateTimeOffset At, Func<RoundLine> Line)> Candidates(Judgement j)
    {
        var s = j.Subject;
        var tonight = s.Room.Tonight;
        DateTimeOffset StartOf(DateOnly night) => s.Room.Clock.StartOf(night);
        if (j.Reading.Value.NeedsHelp is { } help && !WateredSinceCall(s))
        {
            yield return (StartOf(tonight), () => HelpLine(j, help));
        }

        // What may stay for some hours yet comes after what is due now.
        var stays = j.Leftover.Value is { } later && later.IsLater ? later : null;
        if (j.Leftover.Value is { } leftover && stays is null)
        {
            yield return (leftover.OutBy, () => LeftoverLine(j, leftover));
        }

        if (j.Phase.Value == Phase.Imminent && j.Reading.Value.ImminentSince is { } since)
        {
            var over = since.AddDays((int)Math.Ceiling(s.Group.Vigils.ImminentDays.Value));
            yield return (StartOf(over), () => MoltLine(j, since));
        }

        if (s.IsQueenAlone && s.Profile.Founding is null && !s.IsChilled)
        {
            yield return (StartOf(tonight), () => AskLine(j));
        }

        if (MissingSince(j) is { } missing)
        {
            yield return (StartOf(missing), () => LookAgainLine(j));
        }

        if (NotCountedSince(j) is { } hatched)
        {
            yield return (StartOf(hatched), () => CountLine(j));
        }

        if (
            !s.AllWaitFor(VigilKind.Hatching)
            && j.Apart.Value is { On: { } apart } goes
            && (goes.BeforeMolt || goes.State != ApartState.Together)
        )
        {
            yield return (StartOf(apart), () => ApartLine(j));
        }

        if (DampSideSince(j) is { } damp)
        {
            yield return (StartOf(damp), () => DampSideLine(j));
        }

        if (j.Phase.Value is Phase.FangsUnchecked or Phase.Hardening && s.Group.ChecksFangs)
        {
            var looked = s.Standing.Growth.FangsSeen is { } seen && s.Night(seen.At) >= tonight;
            if (j.Phase.Value == Phase.Hardening || !looked)
            {
                yield return (StartOf(j.FirstMeal.Value!.Night), () => FangsLine(j));
            }
        }

        // The tube is looked at before the food goes in; other water goes in with the food.
        foreach (var clock in j.Water.Value.Clocks.Where(c => c.Way == WaterWay.Tube && MayWater(j, c)))
        {
            yield return (StartOf(clock.Due), () => TubeLine(j));
        }

        if (j.Meal.Value.Due is { } meal)
        {
            yield return (StartOf(meal), () => FeedLine(j));
        }

        foreach (var clock in j.Water.Value.Clocks.Where(c => c.Way != WaterWay.Tube && MayWater(j, c)))
        {
            yield return (StartOf(clock.Due), () => WaterLine(j));
        }

        foreach (var clock in j.Upkeep.Value.Clocks)
        {
            if (clock.Due is { } upkeep)
            {
                yield return (StartOf(upkeep), () => TendLine(j));
            }
        }

        if (s.Standing.Details.Borrowed is { BackBy: { } back } borrowed)
        {
            yield return (StartOf(back), () => GiveBackLine(j, borrowed));
        }

        foreach (var after in AfterPairing(j))
        {
            yield return after;
        }

        // Behind food and water: what is put off with it till tomorrow is then nothing that somebody needs tonight.
        if (EmergingSince(j) is { } emerging)
        {
            yield return (StartOf(emerging), () => EmergenceLine(j));
        }

        if (s.IsChilled && s.Standing.Vigils.WarmUpOn is { } warm)
        {
            yield return (StartOf(warm), () => WarmUpLine(j));
        }

        if (MayTellSex(j))
        {
            yield return (StartOf(s.Night(s.Standing.Growth.LastMolt!.When.To)), () => SexLine(j));
        }

        if (stays is not null)
        {
            yield return (stays.OutBy, () => LeftoverLine(j, stays));
        }
    }

    private static bool MayWater(Judgement j, WaterClock clock) =>
        j.Hush[CareAct.Water].Verdict == Verdict.Fine
        && (clock.Kind != WaterKind.Mist || j.Hush[CareAct.Mist].Verdict != Verdict.Never);

    /// <summary>Ways in which water is due tonight and may be given.</summary>
    private static List<WaterClock> WatersDue(Judgement j) =>
        [
            .. j.Water.Value.Clocks.Where(c =>
                c.Way != WaterWay.Tube && c.Due <= j.Subject.Room.Tonight && MayWater(j, c)
            ),
        ];

    /// <summary>
    /// Night since which one side should be damped: the first sign that its premolt has begun, darkening or likely premolt,
    /// whichever came first; none when it was done, or where its moisture school leaves it at the dish.
    /// </summary>
    private static DateOnly? DampSideSince(Judgement j)
    {
        var s = j.Subject;
        if (
            !s.Group.Water.DampSideInPremolt[s.Profile.Moisture.Value].Value
            || j.Phase.Value is not (Phase.Suspected or Phase.Likely or Phase.SealedIn)
            || !(j.Reading.Value.Darkening || j.Reading.Value.Word == Vigils.ReadingWord.Likely)
        )
        {
            return null;
        }

        var since = j.Reading.Value.Evidence.Where(e => e.LikelihoodRatio > 1).Min(e => e.Night);
        var damped = s.Standing.Water.Given.FirstOrDefault(w => w.Kind == WaterKind.Damp)?.At;
        return damped is { } at && s.Night(at) >= since ? null : since;
    }

    /// <summary>Whether water was given after the last sign that called for it.</summary>
    private static bool WateredSinceCall(Subject s) =>
        s.Standing.Water.LastGivenAt is { } watered
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
        IReadOnlyList<LineChoice> choices,
        MealOffer? offer = null,
        bool waters = false
    )
    {
        var pace = j.Subject.Room.RoundPace;
        return new RoundLine(
            j.Subject.Standing.StockId,
            j.Subject.Place,
            j.Subject.Standing.Details.Nickname,
            j.Subject.SpeciesName,
            j.Phase.Value,
            PhaseMark.Of(j.Phase.Value).Word,
            PhaseMark.Of(j.Phase.Value).Shutters,
            LineState.Due,
            act,
            @do,
            detail,
            offer,
            act == RoundAct.None ? [] : RoundKit.Mind(j, act),
            choices,
            null,
            null,
            j.Subject.WaitsOfAll.Any() ? j.Wait.Value : j.Molt.Value ?? j.Wait.Value,
            pace.SecondsFor(timedAs) + (waters ? pace.SecondsFor("water") : 0),
            j.Subject.IsBrood && j.Subject.Group.Feeding.Diet == Diet.Prey
                ? [.. j.Subject.Standing.Vials.Except(SoftVials(j))]
                : null,
            j.Subject.Profile.Hazard?.Value,
            j.Subject.Room.Layout.IsQuarantine(j.Subject.Place),
            SickSeenEntry.WatchedUntil(j.Subject) is not null,
            LogMenu.ShowsSigns(j),
            LogMenu.Given(j),
            null,
            why
        )
        {
            Kit = RoundKit.ItemsFor(j, act, offer, waters ? WatersDue(j) : []),
        };
    }
}
