using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Hush;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Trays;
using Husbandry.Upkeep;

namespace Husbandry.Rounds;

/// <summary>What the lines say.</summary>
public sealed partial record RoundLine
{
    private static RoundLine HelpLine(Judgement j, string help)
    {
        var kind = j.Subject.Group.At(j.Stage.Value).WaterWay.Value switch
        {
            WaterWay.Drops => WaterKind.Mist,
            WaterWay.Pools => WaterKind.Pools,
            WaterWay.DampEnd => WaterKind.Damp,
            WaterWay.Dish or WaterWay.Tube or WaterWay.ColdMist or WaterWay.None => WaterKind.Dish,
            var way => throw new ArgumentOutOfRangeException(
                nameof(j),
                way,
                "Nothing says how that one is watered in need."
            ),
        };
        // Seen in a molt as well, it may not be sprayed: then only eyes and advice help.
        var forbidden =
            EntryDefinition.Of(new Watered(kind)).Care(new Watered(kind), j.Subject) is { } care
            && j.Hush.Never.Contains(care);
        return forbidden || j.Subject.Group.At(j.Stage.Value).WaterWay.Value is WaterWay.None or WaterWay.ColdMist
            ? Line(
                j,
                RoundAct.Help,
                "look",
                "Look at once, and ask for advice",
                help,
                As(RoundAct.Help, j.Reading),
                [new LineChoice("w", "Seen to", "Seen to", [new Noted("seen to at once")])]
            )
            : Line(
                j,
                RoundAct.Help,
                "water",
                "Water at once, and ask for advice",
                help,
                As(RoundAct.Help, j.Reading),
                [new LineChoice("w", "Water given", "Watered", [new Watered(kind)])]
            );
    }

    private static RoundLine MoltLine(Judgement j, DateOnly since) =>
        Line(
            j,
            RoundAct.LookForMolt,
            "molted",
            $"Look softly: {Has(j.Subject)} {j.Subject.It} molted?",
            $"{Label(j)} since {j.Subject.Room.Wording.Day(since)} · do not open, do not touch",
            As(RoundAct.LookForMolt, j.Phase),
            []
        );

    private static RoundLine FangsLine(Judgement j)
    {
        var waters = WatersDue(j);
        Act[] water = [.. LineChoice.OfWater(waters, "", "").Acts];
        return Line(
            j,
            RoundAct.CheckFangs,
            "fangs",
            $"{Pour(j, waters)}{(waters.Count > 0 ? ", then look" : "Look")} at the fangs: black?",
            j.Phase.Value == Phase.FangsUnchecked ? "the days are over; food only once they are black" : "",
            As(RoundAct.CheckFangs, j.Phase),
            [
                new LineChoice("b", "Black: may eat", "Black", [.. water, new FangsChecked(true)]),
                new LineChoice("n", "Not yet", "Not yet", [.. water, new FangsChecked(false)]),
            ],
            waters: waters.Count > 0
        );
    }

    private static RoundLine AskLine(Judgement j) =>
        Line(
            j,
            RoundAct.Ask,
            "look",
            "Is her thorax large and rounded, or slim? Say it in her details",
            "nobody has said how this species founds: some queens starve without food, others are harmed by it",
            As(RoundAct.Ask, j.Phase),
            []
        );

    private static RoundLine LeftoverLine(Judgement j, Leftover leftover)
    {
        var s = j.Subject;
        var refusals = s
            .Standing.Feeding.Untaken.Where(o => o.Offer.Outcome.IsRefusal())
            .Select(o => s.Room.Wording.Date(s.Night(o.At)))
            .ToList();
        var waiting = leftover.IsLater;
        var detail = Join(
            leftover.AtOnce ? "at once: it could bite" : "",
            waiting ? "looked at then: gone is eaten" : "",
            refusals.Count > 0 ? $"refused {string.Join(" and ", refusals.TakeLast(2))}" : "",
            j.Meal.Value.Forbidden && !j.Meal.Value.EatsNothing ? "then no food" : ""
        );
        var when =
            waiting ? $" at {s.Room.Clock.HourOf(leftover.OutBy)}"
            : leftover.InHours > 0 ? $", in for {leftover.InHours} h"
            : "";
        return Line(
            j,
            RoundAct.RemoveLeftovers,
            "leftovers",
            $"Take out {leftover.What}{when}",
            detail,
            As(RoundAct.RemoveLeftovers, j.Leftover),
            [
                new LineChoice(
                    "x",
                    "Taken out",
                    "Out",
                    [new LeftoversRemoved(leftover.FeederIds.Count > 0 ? leftover.FeederIds : null)]
                ),
            ]
        ) with
        {
            PreyIn = leftover.Offer?.Offer.Preparation == Preparation.Fresh ? null : leftover.Offer,
            OutAt = waiting ? leftover.OutBy : null,
        };
    }

    /// <summary>All that is due of the upkeep, in one visit.</summary>
    private static RoundLine TendLine(Judgement j)
    {
        var due = j.Upkeep.Value.DueOn(j.Subject.Room.Tonight);
        var all = due.Count > 0 ? due : [.. j.Upkeep.Value.Clocks.Take(1)];
        var last = all.Min(c => c.Last);
        return Line(
            j,
            RoundAct.Tend,
            "upkeep",
            string.Join("; ", all.Select((c, i) => i == 0 ? c.Do.TrimEnd('.') : c.Do.TrimEnd('.').ToLowerFirst())),
            Join(
                all.All(c => c.Last is not null) && last is { } night
                    ? $"last {j.Subject.Room.Wording.Day(night)}"
                    : "",
                Some(j)
            ),
            As(RoundAct.Tend, j.Upkeep),
            Tending(j, all)
        );
    }

    /// <summary>What is ticked off together; calcium that is on record is told with what is there, or what is put in.</summary>
    private static List<LineChoice> Tending(Judgement j, IReadOnlyList<UpkeepClock> due)
    {
        var ticked = due.Where(c => !c.IsTold).Select(c => c.Done).ToList();
        if (due.All(c => !c.IsTold))
        {
            return [new LineChoice("d", "Done", "Done", ticked)];
        }

        var board = CalciumBoard.Of(j.Subject).Value!;
        var what =
            board.Renew is { } source ? $"Put in: {source.Name}"
            : board.Lines.Count == 1 ? "Plenty of it left"
            : "Plenty left of each";
        return
        [
            new LineChoice(
                "d",
                ticked.Count > 0 ? $"{what}; the rest done" : what,
                board.Renew is null ? "Plenty left" : "Put in",
                [
                    .. ticked,
                    board.Renew is { } put
                        ? new CalciumLooked([], [put.Id])
                        : new CalciumLooked(
                            [.. board.Lines.Select(l => new CalciumLook(l.SourceId, Journal.CalciumLeft.Plenty))],
                            []
                        ),
                ]
            ),
        ];
    }

    /// <summary>What else is due of the upkeep while the lid is off.</summary>
    private static string ThenTend(Judgement j) =>
        j.Upkeep.Value.DueOn(j.Subject.Room.Tonight) is { Count: > 0 } due
            ? $"then: {string.Join(", ", due.Select(c => c.Task.Name.ToLowerFirst()))}"
            : "";

    /// <summary>How larvae are kept, where that is on record; none of adults and of what eats no leaf.</summary>
    private static BoxSchool? BoxOf(Judgement j) =>
        j.Subject.Group.Feeding.Diet == Diet.Leaves && j.Stage.Value is not (Stage.Adult or Stage.Pupa or Stage.Egg)
            ? j.Subject.Standing.Feeding.Box?.School
            : null;

    private static RoundLine FeedLine(Judgement j)
    {
        var s = j.Subject;
        var words = s.Room.Wording;
        var offer = j.Meal.Value.Offer;
        var waters = WatersDue(j);
        var soft = offer is not null && s.Room.Rules.Feeder(offer.FeederId)?.Soft == true;
        var limit = j.Prey.Value is { } prey ? $", ≤ {words.Length(prey.LimitMm(soft))}" : "";
        var what =
            offer is null
                ? $"measure {s.Them}, then feed: {(j.Prey.Value is null ? "size unknown" : "nothing here fits")}"
            : s.Group.Feeding.Diet == Diet.Prey
                ? $"offer {offer.What}{(FitsByHabit(j, offer) ? ", as taken before" : limit)}"
            : BoxOf(j) == BoxSchool.LivingPlant ? "look: is leaf left on the plant? Else set the next one beside it"
            : j.Leftover.Value is null && OldFoodIn(s, offer) ? $"change the food: {offer.All}"
            : $"put in {offer.All}";
        var poured = Pour(j, waters);
        var suspected = j.Phase.Value == Phase.Suspected;
        var near = PhaseMark.IsQuiet(j.Phase.Value) && j.Phase.Reasons is [{ Rule: "room.forecastSpeaksAbove" }, ..];
        var detail = Join(
            suspected && s.Group.Feeding.Diet == Diet.Prey ? "suspected: pre-killed only, and look for darkening" : "",
            near
                ? $"premolt by the calendar ({Wording.Chance(j.Molt.Value!.PremoltChance)}): look before the food goes in"
                : "",
            s.IsBrood && s.Group.Feeding.Diet == Diet.Prey ? "one line for all: tap those that leave it" : "",
            SoftVials(j) is { Count: > 0 } molted ? $"just molted, no food: {VialNumbers.Text(molted)}" : "",
            s.RestingVials.Count > 0 ? $"pass over no. {string.Join(", ", s.RestingVials.Select(v => v.Number))}" : "",
            Some(j),
            s.PupatesNext(j.Stage.Value)
                ? $"full grown: {s.Profile.PupatesIn?.Value ?? "loose leaf or twigs under the lid, or soil"}"
                : "",
            s.Group.Feeding.Diet == Diet.Leaves && Plants.HostChosenEntry.OnRecord(s.Standing) is { } plant
                ? $"of {plant}{(s.Profile.Larvae?.HostMayChange.Value == true ? "" : ", no other plant")}"
                : "",
            BoxOf(j) == BoxSchool.StemsInWater ? "stems in water: the neck plugged" : "",
            ThenTend(j),
            LifeLeft(j),
            HushTable.JustUp(s) is { } who ? $"{who} just up: much food and calcium, no bath" : "",
            j.Meal.Value.LastMeal is { } last ? $"last fed {words.Ago(last)}, {words.Day(last)}" : "not fed here yet",
            j.Condition.Value.Word is ConditionWord.Thin ? "thin: check the water too" : "",
            suspected || offer?.Preparation != Preparation.Live
                ? ""
                : $"leftovers out within {s.Group.At(j.Stage.Value).Food!.LivePreyHours.Value:0} h"
        );
        IReadOnlyList<Reason> reasons =
        [
            .. near ? j.Phase.Reasons.Take(1) : [],
            .. j.Meal.Reasons,
            .. j.Prey.Reasons.Take(1),
            .. waters.Count > 0 ? j.Water.Reasons : [],
            .. j.Molt.Value is null || s.Profile.MoltInterval.GetValueOrDefault(j.Stage.Value) is not { } interval
                ? []
                : new[] { interval.Because("Next molt", "vigil.molt", j.Molt.Summary) },
        ];
        var since = j.Meal.Value.LastMeal is { } meal
            ? $"{Wording.Nights(s.Room.Tonight.DayNumber - meal.DayNumber)} since the last meal"
            : "No meal on record yet";
        var fed =
            j.Condition.Value.Word == ConditionWord.Unknown
                ? ""
                : $", {Growth.Condition.Text(j.Condition.Value.Word)} condition";
        var why = new Answer<RoundAct>(RoundAct.Feed, $"{since}{fed}. {j.Reading.Summary}", reasons);
        return Line(
            j,
            RoundAct.Feed,
            s.IsBrood && s.Group.Feeding.Diet == Diet.Prey ? "feedBrood" : "feed",
            waters.Count > 0 ? $"{poured}, then {what}" : what.ToUpperFirst(),
            detail,
            why,
            LineChoice.OfMeal(offer, waters),
            offer,
            waters.Count > 0
        );
    }

    private static bool FitsByHabit(Judgement j, MealOffer offer) =>
        j.Prey.Value?.Options.FirstOrDefault(o => o.FeederId == offer.FeederId && o.SizeClassId == offer.SizeClassId)
            is { TakenBefore: > 0 } option
        && option.MaxMm > j.Prey.Value.MaxPreyMm;

    private static bool OldFoodIn(Subject s, MealOffer offer) =>
        s.Standing.Feeding.FoodIn.Any(f =>
            f.Offer.FeederId == offer.FeederId && s.Room.Rules.Feeder(offer.FeederId)?.AlwaysThere != true
        );

    /// <summary>Of many: how many of them wait for something while the rest go on.</summary>
    private static string Some(Judgement j) =>
        j.Subject.Standing.IsTank
            ? Join(j.InmatesAtRest.Select(who => $"{who}: dig nothing up"))
            : Join(
                j.Subject.Waits.Where(w => w.Count is not null)
                    .Select(w =>
                        $"{w.Count} of {j.Subject.Standing.Details.Count} {VigilDefinition.Of(w.Vigil).State}: leave {(w.Count == 1 ? "it" : "them")} be"
                    )
            );

    private static string LifeLeft(Judgement j) =>
        j.Stage.Value == Stage.Adult && Cadence.LifeLeft(j.Subject) is { } left
            ? $"about {left.Low:0}–{left.High:0} days of life left"
            : "";

    private static string Has(Subject s) => s.IsMany ? "have" : "has";

    private static string Label(Judgement j) =>
        j.Reading.Value.Evidence.LastOrDefault(e => e.Strength == SignStrength.Imminent)?.Label ?? "Molting";

    private static string Join(params IEnumerable<string> parts) => string.Join(" · ", parts.Where(p => p.Length > 0));
}
