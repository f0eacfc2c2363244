using System.Text.Json.Serialization;
using Husbandry.Feeding;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Sitter;

/// <summary>What a sitter may report of one line.</summary>
public enum SitterTick
{
    /// <summary>Done as written.</summary>
    Done,

    /// <summary>Food was offered, not taken, and taken out again.</summary>
    NotTaken,

    /// <summary>Something looks wrong; the keeper should look or call.</summary>
    LooksWrong,
}

/// <summary>One safe act for somebody who minds the room.</summary>
/// <param name="StockId">Which.</param>
/// <param name="Place">Where it stands.</param>
/// <param name="Name">Its name.</param>
/// <param name="Species">Its species.</param>
/// <param name="Act">The act: water, feed, or leftovers out.</param>
/// <param name="Do">What to do, in plain words.</param>
/// <param name="Note">How to serve it, or what to mind.</param>
/// <param name="Hazard">What it can do to people; none for most.</param>
/// <param name="TwoPeople">Whether a second person must stand by.</param>
/// <param name="Offer">What to offer, when the act is to feed.</param>
/// <param name="Done">What is logged when it is ticked as done.</param>
public sealed record SitterLine(
    Guid StockId,
    Place Place,
    string Name,
    string Species,
    RoundAct Act,
    string Do,
    string Note,
    Hazard? Hazard,
    bool TwoPeople,
    MealOffer? Offer,
    [property: JsonIgnore] IReadOnlyList<Act> Done
);

/// <summary>An enclosure that the sitter must not open.</summary>
/// <param name="StockId">Which.</param>
/// <param name="Place">Where it stands.</param>
/// <param name="Name">Its name.</param>
/// <param name="Why">Why, and until when.</param>
public sealed record DoNotOpen(Guid StockId, Place Place, string Name, string Why);

/// <summary>Tonight's sheet for somebody who minds the room: only what is safe, and what to leave shut.</summary>
/// <param name="Night">The night.</param>
/// <param name="Lines">Safe acts, in walking order.</param>
/// <param name="LeaveShut">Enclosures that must not be opened.</param>
/// <param name="LeftOut">How many enclosures wait for the keeper: not safe for another hand, yet not urgent.</param>
public sealed record SitterSheet(
    DateOnly Night,
    IReadOnlyList<SitterLine> Lines,
    IReadOnlyList<DoNotOpen> LeaveShut,
    int LeftOut
)
{
    private const string NotJudged =
        "nothing can be said of it tonight. Do not open; call the keeper if it looks wrong.";
    private const string Hazardous = "dangerous venom: not for one person alone. Do not open.";
    private const string Unknown = "nobody knows what its venom does: not for one person alone. Do not open.";

    /// <summary>
    /// Composes the sheet. Hushed animals are opened for nothing but water that is due and that the hush allows: who hardens,
    /// broods or waits for a molt dries out in a week without it. Food is given only where live food is no risk; animals with
    /// dangerous venom are left shut, or need two people.
    /// </summary>
    /// <param name="judged">Animals that are due or hushed.</param>
    /// <param name="twoPeople">Whether a second person will be there for animals with dangerous venom.</param>
    /// <param name="room">The room.</param>
    public static SitterSheet Of(IEnumerable<Judgement> judged, bool twoPeople, Room room)
    {
        var (lines, shut, left) = (new List<SitterLine>(), new List<DoNotOpen>(), 0);
        foreach (var j in judged.Where(j => j.Subject.Standing.Loan is null))
        {
            var line = RoundLine.ForAnotherHand(j);
            var venom = line.Hazard?.NeedsTwo() == true;
            // What may not be fed by another hand may still need its water.
            if (line.State == LineState.Due && !IsSafe(j, line) && RoundLine.ForWater(j) is { } water)
            {
                line = water;
            }

            if (j.Subject.Standing.OpenPairing is { HoldsAll: true })
            {
                shut.Add(Shut(j, line.Why.Summary));
            }
            else if (IsOwedTheHushed(line.Act) && (!venom || twoPeople) && IsSafe(j, line))
            {
                lines.Add(LineOf(j, line, venom));
            }
            else if (IsLeftShut(j, line))
            {
                shut.Add(Shut(j, WhyShut(j, line)));
            }
            else if (venom && !twoPeople)
            {
                shut.Add(Shut(j, line.Hazard == Hazard.Unknown ? Unknown : Hazardous));
            }
            else if (line.State == LineState.Due && IsSafe(j, line))
            {
                lines.Add(LineOf(j, line, venom));
            }
            else if (line.State == LineState.Due)
            {
                left++;
            }
        }

        var order = room.Layout.WalkingOrder();
        return new SitterSheet(
            room.Tonight,
            [.. lines.OrderBy(l => l.Place, order)],
            [.. shut.OrderBy(s => s.Place, order)],
            left
        );
    }

    /// <summary>The same with enclosures of which nothing can be said: nobody knows what they bear, so they stay shut.</summary>
    /// <param name="unjudged">What cannot be judged.</param>
    /// <param name="room">The room.</param>
    public SitterSheet With(IEnumerable<Standing> unjudged, Room room)
    {
        ArgumentNullException.ThrowIfNull(unjudged);
        ArgumentNullException.ThrowIfNull(room);
        return this with
        {
            LeaveShut =
            [
                .. LeaveShut
                    .Concat(
                        unjudged
                            .Where(s => s is { Departure: null, Loan: null })
                            .Select(s => new DoNotOpen(s.StockId, s.OwnPlace, s.Details.Nickname, NotJudged))
                    )
                    .OrderBy(s => s.Place, room.Layout.WalkingOrder()),
            ],
        };
    }

    /// <summary>What a tick becomes in the journal.</summary>
    /// <param name="line">The line that was ticked.</param>
    /// <param name="tick">The tick.</param>
    /// <param name="remark">What looks wrong, in the sitter's words.</param>
    /// <returns>The entries, in order; none when this line cannot be ticked so.</returns>
    public static IReadOnlyList<Act> ActsOf(SitterLine line, SitterTick tick, string remark) =>
        (tick, line.Act) switch
        {
            (SitterTick.LooksWrong, _) => [new Noted($"looks wrong: {remark}")],
            (SitterTick.Done, _) => line.Done,
            (SitterTick.NotTaken, RoundAct.Feed) =>
            [
                .. line.Done.Select(act =>
                    act is Offered o ? o with { Outcome = OfferOutcome.NotSeen, LeftIn = false } : act
                ),
            ],
            (SitterTick.NotTaken, _) => [],
            _ => throw new ArgumentOutOfRangeException(nameof(tick), tick, "Nothing says what such a tick becomes."),
        };

    /// <summary>What a sitter did: food was put in, and nobody knows yet whether it is taken.</summary>
    private static IReadOnlyList<Act> DoneOf(RoundLine line) =>
        line.Choices.Count == 0
            ? []
            :
            [
                .. line.Choices[0]
                    .Acts.Select(act =>
                        act is Offered { Preparation: not Preparation.Fresh } o
                            ? o with
                            {
                                Outcome = OfferOutcome.NotSeen,
                            }
                            : act
                    ),
            ];

    private static bool IsSafe(Judgement j, RoundLine line) =>
        line.Act switch
        {
            RoundAct.LookAtTube => j.Subject.IsQueenAlone && j.Subject.Profile.Founding?.Value == Founding.SemiClaustral
                || !j.Subject.IsQueenAlone,
            RoundAct.Tend => j.Upkeep.Value.DueOn(j.Subject.Room.Tonight).All(c => c.Task.ForSitter),
            RoundAct.Water or RoundAct.Help => j.Hush[CareAct.Water].Verdict == Verdict.Fine
                && j.Water.Value.Clocks.All(c => c.Way != WaterWay.ColdMist),
            RoundAct.RemoveLeftovers => line.OutAt is null && MayBeFed(j),
            RoundAct.Feed => line.Offer is not null && MayBeFed(j) && IsFine(j, line),
            RoundAct.None
            or RoundAct.LookForMolt
            or RoundAct.CheckFangs
            or RoundAct.DampSide
            or RoundAct.Ask
            or RoundAct.AskBack
            or RoundAct.GiveBack
            or RoundAct.PartThem
            or RoundAct.LookForWeb
            or RoundAct.TellSex
            or RoundAct.LookForAdult
            or RoundAct.WarmUp
            or RoundAct.PairAgain
            or RoundAct.PutApart
            or RoundAct.CountYoung
            or RoundAct.LookAgain => false,
            _ => throw new ArgumentOutOfRangeException(
                nameof(line),
                line.Act,
                "Nothing says whether that is safe for a sitter."
            ),
        };

    private static bool MayBeFed(Judgement j) => PhaseMark.IsQuiet(j.Phase.Value) || IsFedWhileFounding(j);

    /// <summary>A queen that goes out for food while she founds starves if her keeper's hand is missing for a week.</summary>
    private static bool IsFedWhileFounding(Judgement j) =>
        j.Phase.Value == Phase.Founding
        && j.Subject.IsQueenAlone
        && j.Subject.Profile.Founding?.Value == Founding.SemiClaustral;

    /// <summary>Whether the hush has nothing against any of what the line puts in.</summary>
    private static bool IsFine(Judgement j, RoundLine line) =>
        line.Choices[0]
            .Acts.Select(act => EntryDefinition.Of(act).Care(act, j.Subject))
            .OfType<CareAct>()
            .All(care => j.Hush[care].Verdict == Verdict.Fine);

    /// <summary>What a hushed animal gets all the same, where the hush has nothing against it.</summary>
    private static bool IsOwedTheHushed(RoundAct act) => act is RoundAct.Tend or RoundAct.Water or RoundAct.Help;

    private static bool IsHushed(Judgement j) => PhaseMark.Of(j.Phase.Value).PassesBy;

    private static bool IsLeftShut(Judgement j, RoundLine line) =>
        line.State == LineState.PassBy || (IsHushed(j) && !IsFedWhileFounding(j));

    /// <summary>Why it is left shut, without what only its keeper is asked to do.</summary>
    private static string WhyShut(Judgement j, RoundLine line) =>
        line.Act == RoundAct.RemoveLeftovers
            ? $"{PhaseMark.Of(j.Phase.Value).Word}, and food is still in there: call the keeper"
        : line.State == LineState.Due ? $"{PhaseMark.Of(j.Phase.Value).Word}: what is due waits for the keeper"
        : j.Phase.Value == Phase.FangsUnchecked ? "fangs not black yet: no food"
        : j.Phase.Value == Phase.Pupa && j.Subject.IsChilled ? "pupa in its winter cold: it stays there"
        : line.Do;

    private static SitterLine LineOf(Judgement j, RoundLine line, bool venom) =>
        new(
            line.StockId,
            line.Place,
            line.Name,
            line.Species,
            line.Act,
            line.Act == RoundAct.Help ? "Put water within reach at once, then call" : line.Do,
            string.Join(
                " · ",
                line.Mind.Append(DetailOf(line)).Append(AndNothingElse(j, line)).Where(text => text.Length > 0)
            ),
            line.Hazard,
            venom,
            line.Offer,
            DoneOf(line)
        );

    private static string AndNothingElse(Judgement j, RoundLine line) =>
        IsHushed(j) && line.Act is RoundAct.Water or RoundAct.Help
            ? $"{PhaseMark.Of(j.Phase.Value).Word.ToUpperFirst()}: nothing else, and do not touch {j.Subject.Them}"
            : "";

    private static string DetailOf(RoundLine line) =>
        line.Act switch
        {
            RoundAct.Feed => line.Offer!.Serving,
            RoundAct.Help or RoundAct.LookAtTube => line.Detail,
            _ => "",
        };

    // The tank of one that is left alone is opened all the same: the others eat and drink.
    private static DoNotOpen Shut(Judgement j, string why) =>
        new(
            j.Subject.Standing.StockId,
            j.Subject.Place,
            j.Subject.Standing.Details.Nickname,
            j.Subject.Tank is { } tank
                ? $"in {tank.Details.Nickname}: {why.TrimEnd('.')}. The tank is opened for food and water only; dig nothing up."
                : why
        );
}
