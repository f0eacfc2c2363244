using Husbandry.Feeding;
using Husbandry.Journal;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>Facts of caterpillars, pupae, moths and butterflies.</summary>
public partial class TradeFacts
{
    private static Dictionary<string, TradeFact> Rearing() =>
        new()
        {
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
                () =>
                    Larva("saturnia-pyri", 4, 200).With(60, new Began(VigilKind.Emergence)).With(40, new Chilled(true)),
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
        };
}
