using CsCheck;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Larder;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Tests;

/// <summary>What will be eaten, what will be there, and what to start or order by when.</summary>
public class LarderTests
{
    private static readonly FoodKey SmallCricket = new("cricket", "small");
    private static readonly FoodKey SmallFly = new("fruit-fly-small", "one");
    private static readonly CultureRules FlyPot = RuleSet.Shipped.Feeder("fruit-fly-small")!.Culture!;

    private static Room Room(int later = 0) => Diary.Room(now: Diary.Evening.AddDays(later));

    private static LarderStanding Larder(params (double DaysAgo, LarderAct Act)[] acts) =>
        LarderStanding.Fold(
            acts.Select(
                (a, i) => new LarderEntry(Guid.NewGuid(), i + 1, Diary.Evening.AddDays(-a.DaysAgo), "Keeper", a.Act)
            ),
            RuleSet.Shipped
        );

    private static LarderPlan Plan(
        IEnumerable<FoodNeed> needs,
        LarderStanding? larder = null,
        IReadOnlyList<FoodFed>? fed = null,
        Room? room = null
    ) =>
        LarderPlan.Of(
            needs,
            larder ?? LarderStanding.Empty,
            fed ?? [],
            new Dictionary<string, int>(),
            [],
            room ?? Room()
        );

    private static List<FoodNeed> Every(FoodKey food, double amount, double days = 1) =>
        [
            .. Enumerable
                .Range(0, LarderPlan.NightsAhead(RuleSet.Shipped))
                .Where(t => t % days == 0)
                .Select(t => new FoodNeed(food, t, amount, 0)),
        ];

    [Fact]
    public void A_culture_begins_peaks_and_ends_on_the_days_of_the_trade()
    {
        // Common practice, no published source: first flies at 10–14 days, productive three to four weeks.
        Assert.Equal(0, Emergence.Share(FlyPot, 10));
        Assert.Equal(0, Emergence.Share(FlyPot, 12));
        Assert.Equal(1, Emergence.Share(FlyPot, 40));
        // The triangle's own law: its median lies where half the area is, here past the peak.
        Assert.Equal((18.0 - 12) / (40 - 12), Emergence.Share(FlyPot, 18), 1e-12);
    }

    [Fact]
    public void A_culture_gives_all_its_yield_and_never_takes_back() =>
        Gen.Select(Gen.Double[0, 80], Gen.Double[0, 80], Gen.Double[0.3, 2])
            .Sample(
                (a, b, pace) =>
                {
                    var pot = new Culture(Guid.Empty, "", 3, Diary.Evening, 0, [], null, null, null);
                    double To(double days) =>
                        Emergence.Between(pot, FlyPot, Diary.Evening, Diary.Evening.AddDays(days), pace);
                    Assert.True(To(Math.Max(a, b)) >= To(Math.Min(a, b)));
                    Assert.Equal(3 * FlyPot.Yield.Value, To(400), 1e-6);
                }
            );

    [Fact]
    public void The_cold_holds_pupae_back_and_costs_some_of_them()
    {
        var casters = RuleSet.Shipped.Feeder("house-fly")!.Culture!;
        var cold = new Culture(
            Guid.Empty,
            "house-fly",
            1,
            Diary.Evening.AddDays(-10),
            0,
            [new ColdStay(Diary.Evening.AddDays(-10), null)],
            null,
            null,
            null
        );
        Assert.Equal(0, Emergence.Age(cold, Diary.Evening, 1), 1e-9);
        // Held ten days at a half-life of ten: half of them still hatch.
        Assert.Equal(0.5, Emergence.Viable(cold, casters, Diary.Evening), 1e-9);
    }

    [Fact]
    public void What_is_on_hand_is_the_last_count_with_what_was_fed_and_died()
    {
        var fed = new[] { new FoodFed(SmallCricket, Diary.Evening.AddDays(-1), 10) };
        var larder = Larder((30, new FoodCounted(SmallCricket, 999)), (2, new FoodCounted(SmallCricket, 60)));
        var food = Assert.Single(Plan([], larder, fed).Foods);
        // Half of a tub of crickets is dead after 21 days.
        var keep = Math.Pow(0.5, 1 / 21.0);
        Assert.Equal(((60 * keep) - 10) * keep, food.OnHand, 1e-9);
        Assert.Equal(Room().Tonight.AddDays(-2), food.CountedOn);
    }

    [Fact]
    public void A_food_that_runs_short_is_ordered_in_time_and_enough_of_it()
    {
        var larder = Larder((0, new FoodCounted(SmallCricket, 60)));
        var plan = Plan(Every(SmallCricket, 2), larder);
        var step = plan.Steps[0];
        Assert.Equal((LarderDo.Order, SmallCricket, false), (step.Do, step.Food, step.IsLate));
        // A slow parcel takes eight days, four are to spare.
        Assert.Equal(step.NeededOn.AddDays(-12), step.By);
        Assert.True(step.Amount % 50 == 0 && step.Amount >= 28, $"{step.Amount}");
        Assert.Equal(plan.Foods[0].ShortOn, step.NeededOn);
    }

    [Fact]
    public void What_is_already_too_late_is_said_to_be_and_ordered_at_once()
    {
        // Before anybody counted anything nothing is ordered.
        Assert.Empty(Plan(Every(SmallCricket, 2)).Steps);
        var step = Plan(Every(SmallCricket, 2), Larder((0, new FoodCounted(SmallCricket, 0)))).Steps[0];
        Assert.True(step.IsLate);
        Assert.Equal(Room().Tonight, step.By);
    }

    [Fact]
    public void Cultures_are_started_rather_than_bought_while_there_is_time()
    {
        var larder = Larder((0, new CultureStarted(Guid.NewGuid(), "fruit-fly-small", 2, 16)));
        var plan = Plan(Every(SmallFly, 6), larder);
        var start = Assert.Single(plan.Steps, s => s.Do == LarderDo.StartCulture && s.By > Room().Tonight);
        Assert.True(start.By < start.NeededOn.AddDays(-12), $"{start}");
    }

    [Fact]
    public void Far_more_than_will_be_eaten_is_a_glut()
    {
        var larder = Larder((0, new FoodCounted(SmallCricket, 400)));
        Assert.Equal(Room().Tonight, Plan(Every(SmallCricket, 1, 7), larder).Foods[0].GlutOn);
        Assert.Null(Plan(Every(SmallCricket, 20), larder).Foods[0].GlutOn);
    }

    [Fact]
    public void Steps_can_all_still_be_taken_and_stand_in_order() =>
        Gen.Select(Gen.Double[0.1, 30], Gen.Int[0, 400], Gen.Double[1, 7])
            .Sample(
                (amount, stock, days) =>
                {
                    var larder = Larder((0, new FoodCounted(SmallCricket, stock)));
                    var steps = Plan(Every(SmallCricket, amount, Math.Round(days)), larder).Steps;
                    Assert.All(steps, s => Assert.True(s.Amount > 0 && s.By >= Room().Tonight && s.By <= s.NeededOn));
                    Assert.Equal(steps.Select(s => s.By).Order(), steps.Select(s => s.By));
                },
                iter: 200
            );

    [Fact]
    public void After_its_next_molt_an_animal_wants_larger_prey()
    {
        var sling = new Diary("tliltocatl-albopilosus", cameNightsAgo: 200)
            .LegSpan(14, 50)
            .With(70, new Molted())
            .Ate(2, "fruit-fly-large", "one");
        var j = sling.Judge();
        var needs = FoodNeed.Of(j, 56).ToList();
        Assert.True(needs.Select(n => n.Food).Distinct().Count() >= 2);
        Assert.All(needs, n => Assert.InRange(n.Ahead, 0, 55));
        double Share(Func<FoodNeed, bool> week) =>
            needs
                .Where(n =>
                    week(n) && n.Food == new FoodKey(j.Meal.Value.Offer!.FeederId, j.Meal.Value.Offer.SizeClassId)
                )
                .Sum(n => n.Amount) / needs.Where(week).Sum(n => n.Amount);
        Assert.True(Share(n => n.Ahead < 14) > Share(n => n.Ahead > 42));
    }

    [Fact]
    public void A_brood_needs_as_many_meals_as_it_has_mouths_and_nothing_dead_eats()
    {
        var brood = new Diary(kind: StockKind.Brood).LegSpan(12, 20);
        var one = new Diary().LegSpan(12, 20);
        double Sum(Diary d) => FoodNeed.Of(d.Judge(), 56).Sum(n => n.Amount);
        Assert.Equal(20 * Sum(one), Sum(brood), 1e-6);
        Assert.Equal(0, Sum(one.With(0, new Departed(DepartureKind.Died, ""))));
    }

    [Fact]
    public void Entries_taken_back_count_for_nothing()
    {
        var wrong = new LarderEntry(Guid.NewGuid(), 1, Diary.Evening, "Keeper", new FoodCounted(SmallCricket, 90));
        var back = new LarderEntry(Guid.NewGuid(), 2, Diary.Evening, "Keeper", new LarderWithdrawn(wrong.Id));
        Assert.Empty(LarderStanding.Fold([wrong, back], RuleSet.Shipped).Foods);
    }

    [Fact]
    public void Half_a_pot_of_pupae_put_into_the_cold_hatches_later()
    {
        var (warm, cold) = (Guid.NewGuid(), Guid.NewGuid());
        var larder = Larder(
            (5, new CultureStarted(warm, "house-fly", 2)),
            (4, new CultureSplit(warm, cold, 1, true)),
            (1, new CultureChilled(cold, false))
        );
        Assert.Equal([1, 1], larder.Cultures.Select(c => c.Pots));
        double Age(Guid id) => Emergence.Age(larder.Cultures.Single(c => c.Id == id), Diary.Evening, 1);
        Assert.Equal((5.0, 2.0), (Age(warm), Age(cold)));
    }

    [Fact]
    public void Goods_last_as_long_as_what_is_kept_lets_them()
    {
        var room = Room();
        var larder = Larder((7, new GoodsCounted("marine-salt", 1000)));
        var goods = LarderPlan
            .Of([], larder, [], new Dictionary<string, int> { ["hermit-crab"] = 2 }, [], room)
            .Goods.Single(g => g.GoodsId == "marine-salt");
        // Two tanks take 140 g a week.
        Assert.Equal(860, goods.OnHand!.Value, 1e-6);
        Assert.Equal(room.Tonight.AddDays(43), goods.LastsUntil);
        Assert.Equal(room.Tonight.AddDays(43 - 12), goods.OrderBy);
    }

    [Fact]
    public void Every_food_and_every_kind_of_goods_says_why_with_sources()
    {
        var larder = Larder(
            (2, new FoodCounted(SmallCricket, 60)),
            (9, new CultureStarted(Guid.NewGuid(), "house-fly", 1))
        );
        var plan = LarderPlan.Of(
            Every(SmallCricket, 3),
            larder,
            [],
            new Dictionary<string, int> { ["hermit-crab"] = 1, ["isopod"] = 4 },
            [],
            Room()
        );
        Assert.All(
            plan.Foods.SelectMany(f => f.Reasons).Concat(plan.Goods.SelectMany(g => g.Reasons)),
            r =>
                Assert.True(
                    r.Text.EndsWith('.') && r.Source.Length > 5 && r.Rule.Contains('.', StringComparison.Ordinal),
                    $"{r}"
                )
        );
        var crickets = plan.Foods.Single(f => f.Food == SmallCricket).Reasons;
        Assert.Contains(crickets, r => r.Rule == "feeder.cricket.keepsDays");
        Assert.Contains(crickets, r => r.Text.StartsWith("About 21 a week", StringComparison.Ordinal));
        // A pot of pupae says when it hatches; crickets, which are bought, say nothing of the kind.
        Assert.Contains(
            plan.Foods.Single(f => f.Food.FeederId == "house-fly").Reasons,
            r => r.Rule == "feeder.house-fly.culture.firstDays"
        );
        Assert.DoesNotContain(crickets, r => r.Rule.Contains("culture", StringComparison.Ordinal));
        Assert.Contains(
            plan.Goods.Single(g => g.GoodsId == "calcium-carbonate").Reasons,
            r => r.Text == "4 enclosures take 12 g a week."
        );
    }

    [Fact]
    public void An_order_counts_what_dies_before_its_night()
    {
        // The same need with a feeder that keeps badly wants more animals than with one that keeps well.
        int Ordered(FoodKey food) =>
            Plan(Every(food, 4), Larder((0, new FoodCounted(food, 80))))
                .Steps.First(s => s.Do == LarderDo.Order)
                .Amount;
        Assert.True(Ordered(SmallCricket) > Ordered(new FoodKey("mealworm", "small")));
    }
}
