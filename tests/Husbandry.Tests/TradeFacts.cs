using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rounds;
using Husbandry.Rulebook;

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
public partial class TradeFacts
{
    private static readonly CareAct[] Food = [CareAct.FeedLive, CareAct.FeedDead];

    private static readonly Dictionary<string, TradeFact> Facts = new(Hunters().Concat(Rearing()).Concat(Shared()));

    private static Dictionary<string, TradeFact> Hunters() =>
        new()
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
