using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>One fact of the trade: what is on record of an animal, and what may and may not be said of it tonight.</summary>
/// <param name="Source">Where the fact stands; each is common practice, no published source.</param>
/// <param name="Record">What is on record.</param>
/// <param name="Says">Words that the round must say.</param>
/// <param name="Silent">Words that it must not say.</param>
/// <param name="Never">Acts that the hush table must forbid.</param>
/// <param name="Free">Acts that it must leave free of "never".</param>
public sealed record TradeFact(
    string Source,
    Func<Diary> Record,
    string[] Says,
    string[] Silent,
    CareAct[] Never,
    CareAct[] Free
);

/// <summary>
/// Facts of the trade, one row each. Source: the chapter of the handbook that each row names; all of them common practice,
/// no published source.
/// </summary>
public class TradeFacts
{
    private static readonly CareAct[] Food = [CareAct.FeedLive, CareAct.FeedDead];

    private static readonly Dictionary<string, TradeFact> Facts = new()
    {
        ["a darkening abdomen alone ends all feeding"] = new(
            "molting",
            () => new Diary().LegSpan(60).Ate(20).Watered(0).Sign("dark-under-hair", 1),
            ["damp one side well, keep the rest dry"],
            ["offer"],
            Food,
            [CareAct.Water]
        ),
        ["a sealed burrow alone is left shut"] = new(
            "molting",
            () => new Diary("ceratogyrus-darlingi").LegSpan(80).Ate(40).Watered(0).Sign("burrow-sealed", 20),
            ["sealed in"],
            ["offer", "open it"],
            [.. Food, CareAct.Dig, CareAct.Rehouse],
            [CareAct.Water]
        ),
        ["a mantis that hangs still and does not strike gets nothing at all"] = new(
            "molting, other groups",
            () => Mantis(5).Ate(3).Sign("hangs-still", 0.3).Sign("stops-striking", 0.3),
            [],
            ["offer", "pre-killed", "darkening", "mist"],
            [.. Food, CareAct.Mist],
            []
        ),
        ["a mantis that stops striking is not fed live prey"] = new(
            "molting, other groups",
            () =>
                Mantis(5)
                    .Ate(3)
                    .With(0, new Watered(WaterKind.Mist))
                    .Sign("stops-striking", 0.5)
                    .Sign("rear-swollen", 0.5),
            [],
            ["offer", "pre-killed"],
            Food,
            [CareAct.Water]
        ),
        ["signs of colour of a slow sling hold for half a year"] = new(
            "molting, how long premolt lasts",
            () =>
                new Diary("grammostola-pulchra", molts: 3)
                    .LegSpan(18)
                    .Ate(170)
                    .With(0, new Watered(WaterKind.Mist))
                    .Sign("dark-line", 160),
            [],
            ["offer"],
            Food,
            []
        ),
        ["an abdomen seen very full holds the food"] = new(
            "feeding, condition",
            () => new Diary().LegSpan(60).Ate(20).Watered(0).With(1, new ConditionSeen(BodyCondition.VeryFull)),
            [],
            ["offer"],
            Food,
            [CareAct.Water]
        ),
        ["a jumping spider sling takes small flies, not springtails"] = new(
            "feeding, by stage",
            () =>
                new Diary("hyllus-diardi", Sex.Unknown)
                    .With(5, new Measured(BodyPart.Body, 3))
                    .Ate(3, "fruit-fly-small", "one")
                    .With(0, new Watered(WaterKind.Mist)),
            ["fruit fly"],
            ["springtail"],
            [],
            Food
        ),
        ["an adult jumping spider takes bottle flies"] = new(
            "feeding, corrections",
            () =>
                new Diary("menemerus-bivittatus", mature: true)
                    .With(5, new Measured(BodyPart.Body, 10))
                    .Ate(12, "green-bottle-fly", "one")
                    .With(0, new Watered(WaterKind.Mist)),
            ["fly"],
            ["fruit"],
            [],
            Food
        ),
        ["what it has taken before is offered though it was never measured"] = new(
            "feeding, corrections",
            () =>
                new Diary("hyllus-diardi", mature: true)
                    .Ate(20, "blue-bottle-fly", "one")
                    .Ate(10, "blue-bottle-fly", "one")
                    .With(0, new Watered(WaterKind.Mist)),
            ["bottle fly"],
            ["size unknown"],
            [],
            Food
        ),
        ["a very small sling gets one piece of what is too large"] = new(
            "feeding, corrections",
            () => new Diary(sex: Sex.Unknown, molts: 1).LegSpan(7, 5).Ate(9).With(0, new Watered(WaterKind.Mist)),
            [],
            ["too large"],
            [],
            Food
        ),
        ["a caterpillar drinks from its leaf"] = new(
            "rearing, caterpillars",
            () => Larva("papilio-machaon", 2),
            ["fresh leaves"],
            ["mist", "dish", "drops"],
            [],
            [CareAct.FeedDead]
        ),
        ["woody leaf is changed every two or three days"] = new(
            "rearing, caterpillars",
            () => Larva("saturnia-pyri", 2).With(1, Leaves()),
            [],
            ["fresh leaves", "mist", "dish"],
            [],
            []
        ),
        ["a full-grown caterpillar awaits the pupa"] = new(
            "rearing, before pupation",
            () => Larva("samia-ricini", 4),
            ["full grown", "twigs"],
            ["adult", "dish", "mist"],
            [],
            []
        ),
        ["eggs are neither fed nor watered"] = new(
            "rearing, caterpillars",
            () => Brood("saturnia-pyri", 40).With(3, new Began(VigilKind.Hatching)),
            ["eggs"],
            ["leaves", "mist", "dish"],
            [.. Food, CareAct.Water],
            []
        ),
        ["a pupa in the warm is not watered"] = new(
            "rearing, pupae",
            () => Larva("samia-ricini", 4).With(5, new Began(VigilKind.Emergence)),
            ["pupa"],
            ["leaves", "mist", "dish"],
            Food,
            []
        ),
        ["a pupa in the cold is misted lightly once a month"] = new(
            "rearing, pupae",
            () => Larva("saturnia-pyri", 4, 200).With(60, new Began(VigilKind.Emergence)).With(40, new Chilled(true)),
            ["mist lightly"],
            ["leaves", "dish"],
            Food,
            [CareAct.Mist]
        ),
        ["a pupa whose weeks of cold are done may come out"] = new(
            "rearing, pupae",
            () =>
                Larva("saturnia-pyri", 4, 300)
                    .With(150, new Began(VigilKind.Emergence))
                    .With(100, new Chilled(true))
                    .With(5, new Watered(WaterKind.Mist))
                    .ReadEachDay(100, 4),
            ["14 of 14 weeks", "food or its mate"],
            ["behind it", "leaves"],
            Food,
            []
        ),
        ["a winter that nobody read is not taken as done"] = new(
            "rearing, pupae",
            () =>
                Larva("saturnia-pyri", 4, 300)
                    .With(150, new Began(VigilKind.Emergence))
                    .With(100, new Chilled(true))
                    .With(5, new Watered(WaterKind.Mist)),
            ["by the calendar", "0 of 14 weeks", "look at the thermometer"],
            ["take it out"],
            [.. Food, CareAct.Ship],
            [CareAct.Mist]
        ),
        ["a pupa in a warm room has no winter"] = new(
            "rearing, pupae",
            () =>
                Larva("saturnia-pyri", 4, 300)
                    .With(150, new Began(VigilKind.Emergence))
                    .With(100, new Chilled(true))
                    .With(5, new Watered(WaterKind.Mist))
                    .ReadEachDay(100, 19),
            ["told to be in the cold, but warm", "0 of 14 weeks"],
            ["take it out", "by the calendar"],
            Food,
            []
        ),
        ["an adult silk moth takes nothing"] = new(
            "pairing, moths",
            () => new Diary("saturnia-pyri", cameNightsAgo: 3, mature: true),
            ["do not feed", "days of life left"],
            ["leaves", "mist", "dish", "nectar"],
            [],
            []
        ),
        ["an adult butterfly gets nectar"] = new(
            "pairing, butterflies",
            () => new Diary("papilio-machaon", cameNightsAgo: 3, mature: true),
            ["nectar", "days of life left"],
            ["leaves"],
            [],
            [CareAct.FeedDead]
        ),
        ["a claustral queen alone gets no food, founding logged or not"] = new(
            "ants",
            () => new Diary("lasius-niger", cameNightsAgo: 30, mature: true),
            ["tube"],
            ["insect", "sugar", "dish", "week at most"],
            Food,
            [CareAct.Water]
        ),
        ["a semi-claustral queen gets insect and sugar together"] = new(
            "ants",
            () => new Diary("manica-rubida", cameNightsAgo: 30, mature: true).With(0.1, new TubeSeen(TubeWater.Full)),
            ["insect", "and", "sugar"],
            ["dish"],
            [],
            [CareAct.FeedDead]
        ),
        ["her water is looked at before the food goes in"] = new(
            "ants",
            () => new Diary("manica-rubida", cameNightsAgo: 30, mature: true),
            ["look at the tube"],
            ["dish"],
            [],
            [CareAct.Water]
        ),
        ["a queen in her winter is left in the cold"] = new(
            "ants",
            () =>
                new Diary("lasius-niger", cameNightsAgo: 80, mature: true)
                    .With(30, new Chilled(true))
                    .With(2, new TubeSeen(TubeWater.Full)),
            ["winter"],
            ["insect", "sugar", "dish"],
            Food,
            []
        ),
        ["a colony has sugar and protein by clocks of their own"] = new(
            "ants, standing checks",
            () =>
                Colony()
                    .With(1, Ant("sugar-water"))
                    .With(8, Insect("cricket", "pinhead"))
                    .With(0.1, new TubeSeen(TubeWater.Full)),
            ["insect"],
            ["sugar", "dish"],
            [],
            [CareAct.FeedDead]
        ),
        ["any insect counts as protein"] = new(
            "ants, standing checks",
            () =>
                Colony()
                    .With(1, Ant("sugar-water"))
                    .With(2, Insect("cricket", "pinhead"))
                    .With(0.1, new TubeSeen(TubeWater.Full)),
            [],
            ["cut insect", "dish"],
            [],
            []
        ),
        ["litter is no leftover, and an isopod tub has no dish"] = new(
            "isopods",
            () =>
                new Diary("porcellio-scaber", kind: StockKind.Colony).With(
                    80,
                    new Offered("leaf-litter", "one", 1, Preparation.Fresh, OfferOutcome.Eaten)
                ),
            ["damp end"],
            ["take out", "dish"],
            [],
            [CareAct.FeedDead]
        ),
        ["a crab about to molt keeps its food and may be moved"] = new(
            "hermit crabs",
            () =>
                new Diary("coenobita-rugosus", molts: 6)
                    .With(5, new Measured(BodyPart.Claw, 8))
                    .With(2, Crab())
                    .With(0, new Watered(WaterKind.Pools))
                    .Sign("cloudy-eyes", 1)
                    .Sign("smaller-shell", 1),
            ["plant and animal food"],
            ["dig it"],
            [CareAct.Dig, CareAct.Ship],
            [CareAct.FeedDead, CareAct.Rehouse]
        ),
        ["a buried crab is never dug out"] = new(
            "hermit crabs",
            () => new Diary("coenobita-rugosus").With(10, new Began(VigilKind.Surfacing)),
            [],
            ["crab mix"],
            [CareAct.Dig, CareAct.Rehouse, CareAct.FeedDead],
            [CareAct.Water]
        ),
        ["five crabs eat while the sixth is buried"] = new(
            "hermit crabs",
            () =>
                Brood("coenobita-rugosus", 6)
                    .With(2, Crab())
                    .With(0, new Watered(WaterKind.Pools))
                    .With(5, new Began(VigilKind.Surfacing, 1)),
            ["plant and animal food", "1 of 6 buried"],
            [],
            [CareAct.Dig],
            [CareAct.FeedDead, CareAct.Water]
        ),
        ["a crab just up gets calcium beside its food"] = new(
            "hermit crabs",
            () =>
                new Diary("coenobita-rugosus", cameNightsAgo: 200)
                    .With(40, new Began(VigilKind.Surfacing))
                    .With(2, new Ended(VigilKind.Surfacing, VigilEnd.AsHoped))
                    .With(0, new Watered(WaterKind.Pools)),
            ["cuttlebone", "no bath"],
            [],
            [CareAct.Ship],
            [CareAct.FeedDead]
        ),
        ["the bits of a beetle's meal come out the night after"] = new(
            "feeding, corrections",
            () =>
                new Diary("carabus-nemoralis", mature: true)
                    .With(5, new Measured(BodyPart.Body, 24))
                    .Ate(1, "mealworm", "small"),
            ["bits and boluses"],
            [],
            [],
            []
        ),
        ["water and food are one visit, water first"] = new(
            "feeding, order of work",
            () => new Diary().LegSpan(60).Ate(20).Watered(9),
            ["fill the water dish, then offer"],
            [],
            [],
            Food
        ),
        ["a fly left in tonight is due out at its hour"] = new(
            "feeding, leftovers",
            () =>
                Mantis(5)
                    .With(0.02, new Watered(WaterKind.Mist))
                    .With(0.01, new Offered("fruit-fly-large", "one", 3, Preparation.Live, OfferOutcome.NotSeen)),
            ["at 00:"],
            ["in for 0 h"],
            [],
            []
        ),
    };

    public static TheoryData<string> Names => [.. Facts.Keys];

    [Theory]
    [MemberData(nameof(Names))]
    public void The_round_and_the_hush_say_what_the_trade_says(string fact)
    {
        var row = Facts[fact];
        var j = row.Record().Judge();
        var line = RoundLine.Of(j);
        var said = string.Join(
            " · ",
            [line.Do, line.Detail, .. line.Mind, line.Offer?.All ?? "", line.Offer?.Serving ?? "", line.PhaseWord]
        );
        var all = $"{said} | {string.Join(" ", j.Hush.Causes.Select(c => c.Why.Text))}";
        Assert.All(row.Says, words => Assert.Contains(words, said, StringComparison.OrdinalIgnoreCase));
        Assert.All(row.Silent, words => Assert.DoesNotContain(words, said, StringComparison.OrdinalIgnoreCase));
        Assert.All(row.Never, act => Assert.True(j.Hush.Never.Contains(act), $"{act} is not forbidden: {all}"));
        Assert.All(row.Free, act => Assert.False(j.Hush.Never.Contains(act), $"{act} is forbidden: {all}"));
    }

    private static Diary Mantis(int molts) =>
        new Diary("hierodula-membranacea", molts: molts).With(6, new Measured(BodyPart.Body, 40));

    private static Diary Larva(string species, int molts, int came = 60) =>
        new(species, Sex.Unknown, came, molts: molts);

    private static Diary Brood(string species, int count)
    {
        var diary = new Diary(species, Sex.Unknown, 60, kind: StockKind.Brood);
        return diary.With(59, new Counted(count));
    }

    private static Diary Colony() => new("lasius-niger", cameNightsAgo: 90, mature: true, kind: StockKind.Colony);

    private static Offered Leaves() => new("fresh-leaves", "one", 1, Preparation.Fresh, OfferOutcome.Eaten);

    private static Offered Ant(string food) => new(food, "one", 1, Preparation.Fresh, OfferOutcome.Eaten);

    private static Offered Insect(string food, string size) =>
        new(food, size, 1, Preparation.PreKilled, OfferOutcome.Eaten);

    private static Offered Crab() => new("crab-mix", "one", 1, Preparation.Fresh, OfferOutcome.Eaten);
}
