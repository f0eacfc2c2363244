using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>Facts of ants, isopods and crabs, which share what they live in.</summary>
public partial class TradeFacts
{
    private static Dictionary<string, TradeFact> Shared() =>
        new()
        {
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
                () =>
                    new Diary("manica-rubida", cameNightsAgo: 30, mature: true).With(0.1, new TubeSeen(TubeWater.Full)),
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
        };
}
