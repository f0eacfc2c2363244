using System.Text.Json.Serialization;
using Husbandry.Climate;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Husbandry.Feeding;

/// <summary>One clock of an enclosure's water: a dish and a mist plan have one each.</summary>
/// <param name="Way">How it is given.</param>
/// <param name="Kind">What is logged when it was; none for a tube, of which it is logged how much is left.</param>
/// <param name="Due">Night on which it is due.</param>
/// <param name="Last">Night on which it was last given, or the tube looked at.</param>
/// <param name="EveryDays">Days between two times now.</param>
/// <param name="Mist">How the enclosure is misted, where it has a plan of its own.</param>
public sealed record WaterClock(
    WaterWay Way,
    WaterKind? Kind,
    DateOnly Due,
    DateOnly? Last,
    double EveryDays,
    MistPlan? Mist = null
)
{
    /// <summary>The clock as one of its care.</summary>
    [JsonIgnore]
    public CareDue Care => new(CareClock.Water, Name, Due, EveryDays, Last);

    private string Name =>
        Way switch
        {
            WaterWay.Dish => "water dish",
            WaterWay.Pools => "both pools",
            WaterWay.Tube => "look at the water",
            WaterWay.DampEnd => "damp end",
            WaterWay.Drops or WaterWay.ColdMist => WaterWords.Mist,
            _ => throw new InvalidOperationException($"Nothing is given by way of {Way}."),
        };
}

/// <summary>When water is due, in each way in which it is given; no clock where none is.</summary>
/// <param name="Clocks">The clocks, the first due first.</param>
public sealed record WaterPlan(IReadOnlyList<WaterClock> Clocks)
{
    /// <summary>Night on which the first of them is due; none where no water is given.</summary>
    public DateOnly? Due => Clocks.Count == 0 ? null : Clocks[0].Due;

    /// <summary>Days between two times of the first; 0 where no water is given.</summary>
    public double EveryDays => Clocks.Count == 0 ? 0 : Clocks[0].EveryDays;

    /// <summary>
    /// The water clocks: by stage and moisture school of the species, and the mist plan of the enclosure, quicker in drier
    /// air, where it has one.
    /// </summary>
    public static Answer<WaterPlan> Of(Subject subject, Stage stage, MealPlan meal)
    {
        if (subject.FedWith is { } with)
        {
            var text = $"Watered with {with}.";
            return new Answer<WaterPlan>(new WaterPlan([]), text, [Reason.FromRecord("Water", text, "record.placed")]);
        }

        if (subject.Standing.IsTank && subject.Inmates.Count == 0)
        {
            const string Empty = "Nobody lives in it: no water is due.";
            return new Answer<WaterPlan>(
                new WaterPlan([]),
                Empty,
                [Reason.FromRecord("Water", Empty, "record.placed")]
            );
        }

        var way = subject.Group.At(stage).WaterWay;
        var mist = subject.Standing.House?.Enclosure.Mist;
        var clocks = new List<(WaterClock Clock, Reason Why)>();
        switch (way.Value)
        {
            case WaterWay.None:
                break;
            case WaterWay.ColdMist:
                if (ColdMist(subject) is { } cold)
                {
                    clocks.Add(cold);
                }

                break;
            case WaterWay.Tube:
                clocks.Add(Tube(subject, meal));
                break;
            case WaterWay.Drops when mist is not null:
                clocks.Add(ByMistPlan(subject, mist));
                break;
            default:
                clocks.Add(BySpecies(subject, stage, way.Value));
                if (mist is not null)
                {
                    clocks.Add(ByMistPlan(subject, mist));
                }

                break;
        }

        if (clocks.Count == 0)
        {
            const string Text = "No water is given at this stage.";
            return new Answer<WaterPlan>(
                new WaterPlan([]),
                Text,
                [way.Because("Water", $"group.waterWay.{Growth.StageReading.Key(stage)}", Text)]
            );
        }

        clocks = [.. clocks.OrderBy(c => c.Clock.Due)];
        var plan = new WaterPlan([.. clocks.Select(c => c.Clock)]);
        return new Answer<WaterPlan>(
            plan,
            plan.Due <= subject.Room.Tonight
                ? "Water is due."
                : $"Water again {subject.Room.Wording.Day(plan.Due!.Value)}.",
            [.. clocks.Select(c => c.Why)]
        );
    }

    private static (WaterClock Clock, Reason Why) BySpecies(Subject subject, Stage stage, WaterWay way)
    {
        var kind = way switch
        {
            WaterWay.Dish => WaterKind.Dish,
            WaterWay.Drops => WaterKind.Mist,
            WaterWay.Pools => WaterKind.Pools,
            WaterWay.DampEnd => WaterKind.Damp,
            _ => throw new ArgumentOutOfRangeException(nameof(way), way, "Nothing is given by that way."),
        };
        var last = LastNight(subject, kind, orAny: true);
        var moisture = subject.Profile.Moisture.Value;
        var often = stage == Stage.Sling ? subject.Group.Water.SlingWaterEveryDays : null;
        var young = often is not null;
        var rule = often ?? subject.Group.Water.WaterEveryDays[moisture];
        var whom =
            young ? $"a {subject.Group.StageWord(stage)}"
            : moisture == Moisture.Damp ? "species that need it damp"
            : "dry species";
        var name = young
            ? "group.slingWaterEveryDays"
            : $"group.waterEveryDays.{moisture.ToString().ToLowerInvariant()}";
        return (
            new WaterClock(way, kind, After(subject, last, rule.Value), last, rule.Value),
            rule.Because("Water", name, $"{Given(subject, last)}; every {Wording.Days(rule.Value)} for {whom}.")
        );
    }

    /// <summary>Pupae in their winter cold are misted lightly now and then; warm ones are not.</summary>
    private static (WaterClock Clock, Reason Why)? ColdMist(Subject subject)
    {
        if (!subject.IsChilled)
        {
            return null;
        }

        var rule = subject.Room.Rules.Room.Water.ColdMistDays;
        var since = subject.Night(subject.Standing.Vigils.Chill!.From);
        var last = LastNight(subject, WaterKind.Mist, orAny: false) is { } night && night > since ? night : since;
        return (
            new WaterClock(WaterWay.ColdMist, WaterKind.Mist, After(subject, last, rule.Value), last, rule.Value),
            rule.Because(
                "Mist",
                "room.coldMistDays",
                $"In the cold since {subject.Room.Wording.Date(since)}: a light mist every {Wording.Days(rule.Value)}, neither dry nor wet."
            )
        );
    }

    /// <summary>The water of a tube is looked at, at every visit where she is fed; without it such a queen can be dead the same day.</summary>
    private static (WaterClock Clock, Reason Why) Tube(Subject subject, MealPlan meal)
    {
        var room = subject.Room.Rules.Room;
        var (rule, name) =
            subject.IsChilled ? (room.Water.WinterLookDays, "room.winterLookDays")
            : !subject.IsQueenAlone
                ? (subject.Group.Water.WaterEveryDays[subject.Profile.Moisture.Value], "group.waterEveryDays.damp")
            : subject.Profile.Founding?.Value == Founding.Claustral
                ? (room.Water.ClaustralLookDays, "room.claustralLookDays")
            : (room.Water.SemiClaustralVisitDays, "room.semiClaustralVisitDays");
        var seen = subject.Standing.Water.Tube;
        var last =
            seen is { } tube && !(subject.Standing.Water.LastGivenAt > tube.At)
                ? subject.Night(tube.At)
                : LastNight(subject, WaterKind.Dish, orAny: true);
        var days = seen?.Water == TubeWater.Low ? Math.Min(rule.Value, room.Water.LowTubeDays.Value) : rule.Value;
        var due = After(subject, last, days);
        if (seen?.Water == TubeWater.Gone && last is { } gone)
        {
            due = gone;
        }
        else if (meal is { Due: { } visit } && subject.IsQueenAlone && visit < due)
        {
            // Looked at on every visit, water first.
            due = last is { } l && l >= visit ? due : visit;
        }

        var looked = last is { } night ? $"Looked at {subject.Room.Wording.Day(night)}" : "Not looked at yet";
        var shut =
            subject is { IsQueenAlone: true, IsChilled: false }
            && subject.Profile.Founding?.Value == Founding.Claustral;
        // Water that was seen to be low is looked after in any school.
        var unseen =
            shut
            && seen?.Water is not (TubeWater.Low or TubeWater.Gone)
            && subject.Room.Settings.Peeking == PeekingSchool.None
                ? WorkersFrom(subject)
                : null;
        return (
            new WaterClock(WaterWay.Tube, null, unseen ?? due, last, days),
            rule.Because(
                "Water",
                name,
                unseen is { } workers
                    ? $"{looked}; left shut until her first workers may be there, {subject.Room.Wording.Date(workers)}."
                    : $"{looked}; the tube's water is looked at every {Wording.Days(days)}.",
                shut ? Peeking(subject, rule.Value) : []
            )
        );
    }

    /// <summary>The night from which her first workers are to be expected, while it lies ahead; none where nothing tells it.</summary>
    private static DateOnly? WorkersFrom(Subject queen) =>
        FoundingChain.Of(queen) is { Value: { WorkersMayBeThere: false, Steps: [.., var workers] } }
            ? workers.From
            : null;

    private static School[] Peeking(Subject queen, double days)
    {
        var school = queen.Room.Settings.Peeking;
        return
        [
            new School(
                "rationed",
                $"every {Wording.Days(days)} by red light, to know that water is there",
                school == PeekingSchool.Rationed
            ),
            new School("none", "not until her first workers are due", school == PeekingSchool.None),
        ];
    }

    private static (WaterClock Clock, Reason Why) ByMistPlan(Subject subject, MistPlan mist)
    {
        // For those that drink drops any water on record was a drink; beside a dish the mist has a clock of its own.
        var drinksDrops = subject.Group.Stages.All(w => w.WaterWay.Value != WaterWay.Dish);
        var last = LastNight(subject, WaterKind.Mist, orAny: drinksDrops);
        var most = subject.Room.Rules.Room.Water.MistDriestFactor;
        var plan =
            $"{Given(subject, last)}; mist plan of the enclosure: {Wording.Plain(mist.Ml)} mL every {Wording.Days(mist.EveryDays)}";
        (WaterClock, Reason) Every(double days, Reason why) =>
            (new WaterClock(WaterWay.Drops, WaterKind.Mist, After(subject, last, days), last, days, mist), why);
        if (subject.Room.DrynessAt(subject.Place) is not { } factor)
        {
            const string Unread = "Humidity is not read here, so the plan stands as it is.";
            return Every(Math.Max(1, mist.EveryDays), Reason.FromRecord("Mist", $"{plan}. {Unread}", "record.mist"));
        }

        var bounded = Math.Clamp(factor, 1 / most.Value, most.Value);
        var days = Math.Max(1, Math.Round(mist.EveryDays / bounded));
        return Every(
            days,
            most.Because(
                "Mist",
                "room.mistDriestFactor",
                $"{plan}; the air takes up water {Wording.Plain(factor)} times as fast as in the weeks before: every {Wording.Days(days)}."
            )
        );
    }

    private static DateOnly After(Subject subject, DateOnly? last, double days) =>
        (last ?? subject.Standing.Details.AcquiredOn).AddDays((int)Math.Round(days, MidpointRounding.AwayFromZero));

    /// <summary>Night on which water was last given in a way; where that way is not on record yet, in any.</summary>
    private static DateOnly? LastNight(Subject subject, WaterKind kind, bool orAny)
    {
        var waters = subject.Standing.Water.Given;
        var at = waters.FirstOrDefault(w => w.Kind == kind)?.At ?? (orAny ? subject.Standing.Water.LastGivenAt : null);
        return at is { } instant ? subject.Night(instant) : null;
    }

    private static string Given(Subject subject, DateOnly? last) =>
        last is { } night ? $"Last given {subject.Room.Wording.Day(night)}" : "Not yet given";
}
