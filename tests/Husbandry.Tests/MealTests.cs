using CsCheck;
using Husbandry.Climate;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>
/// What, how much, how often, and when not: trade facts of feeding. Marked "common practice, no published source" unless a
/// source stands beside the check.
/// </summary>
public class MealTests
{
    private static readonly RuleSet Rules = RuleSet.Shipped;

    private static PreyFit Fit(string group, double body, Stage stage, double? foreleg = null) =>
        PreyFit.Of(Rules.Group(group)!, body, Rules.Feeders, stage, foreleg);

    private static PreyOption Option(PreyFit fit, string feeder, string size = "one") =>
        fit.Options.Single(o => o.FeederId == feeder && o.SizeClassId == size);

    [Fact]
    public void The_catalogue_is_complete()
    {
        Assert.True(Rules.Feeders.Count >= 20);
        Assert.All(Rules.Feeders, f => Assert.True(f.Serving.Length > 5 && f.KeepsDays.Value > 0, f.Id));
        Assert.All(Rules.Feeders.Where(f => f.From is FeederFrom.Culture), f => Assert.NotNull(f.Culture));
        // Longer classes weigh more, whatever the feeder.
        Assert.All(
            Rules.Feeders.Where(f => f.Classes.Count > 1),
            f => Assert.Equal(f.Classes.Select(c => c.MassMg).Order(), f.Classes.Select(c => c.MassMg))
        );
    }

    [Theory]
    [InlineData("jumping-spider", Stage.Sling, 3.4, "fruit-fly-small")]
    [InlineData("jumping-spider", Stage.Adult, 13, "green-bottle-fly")]
    [InlineData("mantis", Stage.Sling, 6, "fruit-fly-small")]
    [InlineData("mantis", Stage.SubAdult, 45, "blue-bottle-fly")]
    [InlineData("tarantula", Stage.Sling, 6, "cricket")]
    [InlineData("tarantula", Stage.Adult, 60, "roach-nymph")]
    [InlineData("beetle", Stage.Adult, 25, "earthworm")]
    public void What_the_table_of_the_trade_names_is_on_the_menu(string group, Stage stage, double body, string feeder)
    {
        // Handbook, "What, at which stage".
        var onMenu = Fit(group, body, stage).Options.Where(o => o.OnMenu).Select(o => o.FeederId);
        Assert.Contains(feeder, onMenu);
    }

    [Fact]
    public void An_adult_jumper_is_not_fed_fruit_flies_and_a_mantis_nymph_no_crickets_bigger_than_half_of_it()
    {
        Assert.DoesNotContain(
            Fit("jumping-spider", 13, Stage.Adult).Options.Where(o => o.OnMenu),
            o => o.FeederId.StartsWith("fruit-fly", StringComparison.Ordinal)
        );
        Assert.Equal(PreyVerdict.TooLarge, Option(Fit("mantis", 12, Stage.Juvenile), "cricket", "small").Verdict);
    }

    [Fact]
    public void A_mantis_takes_what_its_forelegs_close_on()
    {
        // Nymphs: the foreleg, but never above half the body; adults: the foreleg alone.
        Assert.Equal(10, Fit("mantis", 30, Stage.Juvenile, 10).MaxPreyMm, 1e-9);
        Assert.Equal(15, Fit("mantis", 30, Stage.Juvenile, 18).MaxPreyMm, 1e-9);
        Assert.Equal(38, Fit("mantis", 70, Stage.Adult, 38).MaxPreyMm, 1e-9);
        Assert.Equal(35, Fit("mantis", 70, Stage.Adult).MaxPreyMm, 1e-9);
        // A foreleg says nothing of a spider.
        Assert.Equal(20, Fit("tarantula", 30, Stage.Adult, 3).MaxPreyMm, 1e-9);
    }

    [Fact]
    public void The_measured_foreleg_grows_with_the_animal()
    {
        var diary = new Diary("hierodula-membranacea", molts: 4)
            .With(30, new Measured(BodyPart.Body, 30))
            .With(30, new Measured(BodyPart.Foreleg, 10))
            .With(10, new Molted());
        var ratio = Rules.Profile("hierodula-membranacea")!.GrowthRatio.Value;
        Assert.Equal(10 * ratio, diary.Judge().Prey.Value!.MaxPreyMm, 1e-6);
    }

    [Fact]
    public void A_mantis_that_may_only_have_dead_prey_is_offered_none()
    {
        var j = new Diary("hierodula-membranacea", molts: 4)
            .With(30, new Measured(BodyPart.Body, 40))
            .With(60, new Molted())
            .Sign("stops-striking", 1)
            .Sign("rear-swollen", 1)
            .Judge();
        Assert.NotEqual(Verdict.Fine, j.Hush[CareAct.FeedLive].Verdict);
        Assert.Null(j.Meal.Value.Offer);
    }

    [Fact]
    public void Variety_takes_turns_and_keeps_fat_low()
    {
        // Handbook: no feeder above about half of the last ten meals, fatty ones at most one in five.
        var diary = new Diary("tliltocatl-albopilosus", cameNightsAgo: 700).LegSpan(110, 690).With(500, new Molted());
        var eaten = new List<string>();
        for (var ago = 400; ago > 20; ago -= 15)
        {
            var offer = diary.Judge(now: Diary.Evening.AddDays(-ago)).Meal.Value.Offer!;
            eaten.Add(offer.FeederId);
            diary.With(
                ago,
                new Offered(offer.FeederId, offer.SizeClassId, offer.Count, offer.Preparation, OfferOutcome.Eaten)
            );
        }

        var last = eaten.TakeLast(10).ToList();
        Assert.True(last.GroupBy(f => f).Max(g => g.Count()) <= 6, string.Join(" ", last));
        Assert.True(last.Count(f => Rules.Feeder(f)!.Fatty) <= 2, string.Join(" ", last));
        var variety = diary.Judge().Variety;
        Assert.Equal(10, variety.Meals);
        Assert.True(variety.Evenness > 0.7);
    }

    [Fact]
    public void What_is_mostly_turned_down_comes_later()
    {
        var diary = new Diary(cameNightsAgo: 300).LegSpan(110, 290).With(200, new Molted());
        Assert.Equal("roach-nymph", diary.Judge().Meal.Value.Offer!.FeederId);
        foreach (var ago in new[] { 120, 100, 80 })
        {
            diary.With(ago, new Offered("roach-nymph", "medium", 1, Preparation.Live, OfferOutcome.BattedAway));
        }

        diary.Ate(60, "cricket", "medium");
        var j = diary.Judge();
        Assert.True(j.Variety.Dislikes("roach-nymph", Rules.Room));
        Assert.NotEqual("roach-nymph", j.Meal.Value.Offer!.FeederId);
    }

    [Fact]
    public void What_the_room_keeps_goes_first()
    {
        var diary = new Diary().LegSpan(110, 30);
        var room = Diary.Room().With(new KeptFoods(new HashSet<FoodKey> { new("locust", "small") }));
        Assert.Equal("locust", Judgement.Of(diary.Standing(), room).Meal.Value.Offer!.FeederId);
    }

    [Theory]
    [InlineData(12, true)]
    [InlineData(3, false)]
    public void Not_eating_is_explained_from_the_record(int refusedNightsAgo, bool signs)
    {
        var diary = new Diary(cameNightsAgo: 400)
            .LegSpan(70, 300)
            .With(130, new Molted())
            .Ate(60)
            .Refused(refusedNightsAgo);
        if (signs)
        {
            diary.Sign("dull", 5).Sign("dark-under-hair", 4);
        }

        var answer = diary.Judge().NotEating;
        Assert.Equal(60, answer.Value!.Nights);
        Assert.Equal(signs, answer.Value.IsNormal);
        Assert.StartsWith(signs ? "Normal: 60 nights" : "60 nights", answer.Summary, StringComparison.Ordinal);
        Assert.NotEmpty(answer.Reasons);
    }

    [Fact]
    public void One_that_eats_as_planned_is_not_explained() =>
        Assert.Null(new Diary().LegSpan(70, 30).Ate(5).Judge().NotEating.Value);

    [Fact]
    public void A_cool_room_feeds_less_often_and_never_more_than_half_as_often() =>
        Gen.Double[8, 34]
            .Sample(
                celsius =>
                {
                    double Days(double at) =>
                        Judgement
                            .Of(
                                new Diary().LegSpan(70, 30).Standing(),
                                Diary
                                    .Room()
                                    .With(
                                        RoomClimate.Of(
                                            Enumerable
                                                .Range(0, 20)
                                                .Select(d => new ClimateReading(Diary.Evening.AddDays(-d), at))
                                        )
                                    )
                            )
                            .Meal.Value.EveryDays;
                    Assert.InRange(Days(celsius), Days(25) / 2 - 1e-9, Days(25) * 2 + 1e-9);
                    Assert.True(Days(celsius) >= Days(celsius + 3) - 1e-9);
                },
                iter: 40
            );

    [Fact]
    public void An_old_animal_is_fed_less_often()
    {
        double Days(int adultFor) =>
            new Diary("hierodula-membranacea", mature: true, cameNightsAgo: adultFor)
                .With(adultFor - 1, new Measured(BodyPart.Body, 80))
                .Judge()
                .Meal.Value.EveryDays;
        Assert.Equal(Rules.Room.Feeding.OldCadence.Value, Days(140) / Days(20), 1e-9);
    }

    [Fact]
    public void A_claustral_queen_is_never_fed_and_a_semi_claustral_one_is()
    {
        // Handbook: fully claustral, none by default; semi-claustral, from day one.
        Judgement Queen(string species) =>
            new Diary(species, mature: true, kind: StockKind.Colony, cameNightsAgo: 40)
                .With(30, new Began(Rulebook.VigilKind.FirstWorkers))
                .Judge();
        Assert.True(Queen("lasius-niger").Meal.Value.Forbidden);
        Assert.Equal(Verdict.Never, Queen("messor-barbarus").Hush[CareAct.FeedDead].Verdict);
        Assert.False(Queen("manica-rubida").Meal.Value.Forbidden);
    }

    [Fact]
    public void A_colony_has_sugar_always_and_protein_once_a_week()
    {
        var ants = new Diary("lasius-niger", mature: true, kind: StockKind.Colony, cameNightsAgo: 200).With(
            10,
            new Counted(90)
        );
        var first = ants.Judge().Meal.Value.Offer!;
        // A piece for every two dozen workers.
        Assert.Equal(("cut-insect", 4), (first.FeederId, first.Count));
        ants.With(2, new Offered("cut-insect", "one", 4, Preparation.Fresh, OfferOutcome.Eaten));
        Assert.Equal("sugar-water", ants.Judge().Meal.Value.Offer!.FeederId);
    }

    [Theory]
    [InlineData(26, 24)]
    [InlineData(17, 48)]
    public void Dead_prey_keeps_twice_as_long_in_the_cool(double celsius, int hours)
    {
        // Handbook: 24 h warm, 48 h cool.
        var offered = new Offered("cricket", "small", 1, Preparation.PreKilled, OfferOutcome.NotSeen);
        var diary = new Diary().LegSpan(70, 30).With(0.5, offered);
        var climate = RoomClimate.Of(
            Enumerable.Range(0, 20).Select(d => new ClimateReading(Diary.Evening.AddDays(-d), celsius))
        );
        var leftover = Judgement.Of(diary.Standing(), Diary.Room().With(climate)).Leftover.Value!;
        Assert.Equal(Diary.Evening.AddDays(-0.5).AddHours(hours), leftover.OutBy);
    }

    [Fact]
    public void Ant_food_and_fruit_have_clocks_of_their_own()
    {
        Leftover In(string species, string feeder) =>
            new Diary(species, mature: true, kind: StockKind.Colony)
                .With(1, new Offered(feeder, "one", 1, Preparation.Fresh, OfferOutcome.NotSeen))
                .Judge()
                .Leftover.Value!;
        var given = Diary.Evening.AddDays(-1);
        // Handbook: ant food out after two to three days.
        Assert.InRange((In("lasius-niger", "cut-insect").OutBy - given).TotalHours, 48, 72);
        Assert.Equal(48, (In("porcellio-scaber", "cut-fruit").OutBy - given).TotalHours);
    }

    [Fact]
    public void Exceptions_of_a_brood_are_counted_and_forgotten_when_they_eat()
    {
        Offered Fed(params int[] untaken) =>
            new("fruit-fly-large", "one", 20, Preparation.Live, OfferOutcome.Eaten, false, untaken);
        var brood = new Diary(kind: StockKind.Brood)
            .LegSpan(14, 40)
            .With(12, Fed(3, 9))
            .With(8, Fed(3))
            .With(4, Fed(3, 5));
        Assert.Equal([(3, 3), (5, 1)], brood.Standing().Feeding.Vials.Select(v => (v.Number, v.Times)));
        var subject = Subject.Of(brood.Standing(), Diary.Room());
        Assert.Equal(19, subject.Mouths);
        Assert.Empty(brood.With(1, Fed()).Standing().Feeding.Vials);
    }
}
