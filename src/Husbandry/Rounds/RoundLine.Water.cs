using Husbandry.Feeding;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Rounds;

/// <summary>What the lines about water say.</summary>
public sealed partial record RoundLine
{
    private static RoundLine DampSideLine(Judgement j)
    {
        var rule = j.Subject.Group.Water.DampSideInPremolt[j.Subject.Profile.Moisture.Value];
        const string Why =
            "Too dry, it cannot pump the fluid that frees the old skin; too wet, it will not lie down: one side well damp, the rest dry, once.";
        return Line(
            j,
            RoundAct.DampSide,
            "water",
            "Damp one side well, keep the rest dry",
            "premolt has begun · never the whole floor, never a sealed hide · no food",
            new Answer<RoundAct>(
                RoundAct.DampSide,
                "Premolt has begun: one side damp, once.",
                [rule.Because("Damp side", "group.dampSideInPremolt", Why), .. j.Reading.Reasons]
            ),
            [new LineChoice("w", "One side damped", "Damped", [new Watered(WaterKind.Damp)])]
        );
    }

    private static RoundLine TubeLine(Judgement j)
    {
        var s = j.Subject;
        var gone = s.Standing.Water.Tube?.Water == TubeWater.Gone;
        var wintering = s.IsChilled;
        var @do =
            gone ? "Water gone: give a new tube, in the light; the old one dark"
            : s.IsQueenAlone ? "Look at the tube: is there water?"
            : "Look: is there water in tube or nest?";
        var detail = Join(
            s.IsQueenAlone ? "red light, no knocks" : "",
            wintering ? "in the cold: nothing else" : "",
            gone
                ? s.Profile.Founding?.Value == Founding.Claustral
                    ? "let her walk over by herself"
                    : "without water she can be dead the same day"
                : "",
            j.Water.Value.Clocks[0].Last is { } last ? $"last {s.Room.Wording.Day(last)}" : "not looked at yet"
        );
        return Line(
            j,
            RoundAct.LookAtTube,
            "look",
            @do,
            detail,
            As(RoundAct.LookAtTube, j.Water),
            [
                new LineChoice("w", gone ? "New tube given: full" : "Full", "Full", [new TubeSeen(TubeWater.Full)]),
                new LineChoice("2", "Low", "Low", [new TubeSeen(TubeWater.Low)]),
                new LineChoice("3", "Gone", "Gone", [new TubeSeen(TubeWater.Gone)]),
            ]
        );
    }

    private static RoundLine WaterLine(Judgement j)
    {
        var s = j.Subject;
        var words = s.Room.Wording;
        var waters = WatersDue(j);
        var all = waters.Count > 0 ? waters : [.. j.Water.Value.Clocks.Take(1)];
        var detail = Join(
            all[0].Last is { } last ? $"last {words.Day(last)}" : "no water on record yet",
            Some(j),
            ThenTend(j),
            j.Meal.Value.EatsNothing || j.Stage.Value is Stage.Pupa ? ""
                : j.Meal.Value.Forbidden ? "water only, no food"
                : j.Meal.Value.Due is { } meal && meal > s.Room.Tonight ? $"not hungry until {words.Day(meal)}"
                : ""
        );
        return Line(
            j,
            RoundAct.Water,
            "water",
            Pour(j, all),
            detail,
            As(RoundAct.Water, j.Water),
            [LineChoice.OfWater(all, "Water given", "Watered")]
        ) with
        {
            Kit = RoundKit.ItemsFor(j, RoundAct.Water, null, all),
        };
    }

    /// <summary>What to do with the water, such as "Fill the water dish".</summary>
    private static string Pour(Judgement j, IReadOnlyList<WaterClock> waters) =>
        string.Join(", and ", waters.Select((w, i) => i == 0 ? Pour(j, w) : Pour(j, w).ToLowerFirst()));

    private static string Pour(Judgement j, WaterClock water) =>
        water switch
        {
            { Way: WaterWay.Dish } => "Fill the water dish",
            { Way: WaterWay.Pools } => "Fill both pools, fresh and salt",
            { Way: WaterWay.DampEnd } => "Moisten the damp end, leave the rest dry",
            { Way: WaterWay.ColdMist } => "Mist lightly once: neither dry nor wet",
            _ when j.Hush[CareAct.Mist].Verdict != Verdict.Fine => $"Put drops on the wall, away from {j.Subject.Them}",
            { Mist: { } plan } =>
                $"Mist {plan.Squirts} squirt{(plan.Squirts == 1 ? "" : "s")}, {Wording.Plain(plan.Ml)} mL{DampText(j.Subject)}",
            _ => "Mist: drops to drink",
        };

    private static string DampText(Subject s) =>
        s.House?.Enclosure.Damp switch
        {
            null or DampSide.None => "",
            DampSide.Whole => ", the whole floor",
            { } side => $", {side.ToString().ToLowerInvariant()} side",
        };
}
