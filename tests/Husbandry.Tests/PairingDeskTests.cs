using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Records;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>Who is ready and why, her race, who with whom. Source: handbook, pairing; common practice, no published source.</summary>
public sealed class PairingDeskTests
{
    private static readonly DateOnly Tonight = DateOnly.FromDateTime(Diary.Evening.DateTime);

    [Fact]
    public void A_fit_female_some_weeks_after_her_molt_is_ready()
    {
        var she = At(Female().With(60, new Molted(Ultimate: true)).With(2, Fangs).With(3, Looks(BodyCondition.Normal)));
        Assert.Equal(ReadyWord.Ready, she.Readiness.Word);
        Assert.All(she.Readiness.Checks, c => Assert.Equal(ReadyWord.Ready, c.Word));
        // 150 nights after her molt at the latest, by the rules of her species.
        Assert.Equal(Tonight.AddDays(150 - 60), she.Readiness.Until);
    }

    [Fact]
    public void She_rests_first_for_the_weeks_that_her_species_needs()
    {
        var she = At(Female().With(20, new Molted(Ultimate: true)).With(2, Fangs).With(3, Looks(BodyCondition.Normal)));
        Assert.Equal(ReadyWord.Soon, she.Readiness.Word);
        Assert.Equal(Tonight.AddDays(42 - 20), she.Readiness.From);
        Assert.Equal(she.Readiness.From, she.Race!.Value.Best);
    }

    [Theory]
    [InlineData(BodyCondition.Thin, "Thin: feed her up")]
    [InlineData(BodyCondition.VeryFull, "Too fat: feed her leaner")]
    public void Fit_is_neither_thin_nor_fat(BodyCondition condition, string says)
    {
        var she = At(Female().With(60, new Molted(Ultimate: true)).With(2, Fangs).With(3, Looks(condition)));
        Assert.Equal(ReadyWord.Not, she.Readiness.Word);
        Assert.StartsWith(says, she.Readiness.Says, StringComparison.Ordinal);
    }

    [Fact]
    public void Size_makes_nobody_mature()
    {
        var large = At(Female(mature: false).With(60, new Molted()).With(2, Fangs).LegSpan(150, 50));
        Assert.Equal(ReadyWord.Ask, large.Readiness.Word);
        Assert.Contains(
            large.Readiness.Checks,
            c => c.Makes?.StartsWith("Mature by her last skin", StringComparison.Ordinal) == true
        );
        // A small one whose adult molt is on record is as good as a large one.
        var small = At(
            Female(mature: false)
                .LegSpan(60, 59)
                .With(60, new Molted(Ultimate: true))
                .With(2, Fangs)
                .With(3, Looks(BodyCondition.Normal))
        );
        Assert.Equal(ReadyWord.Ready, small.Readiness.Word);
    }

    [Fact]
    public void Who_molts_first_is_rested_after_it()
    {
        var she = At(Female().With(240, new Molted(Ultimate: true)).With(2, Fangs).Sign("on-its-back", 0));
        Assert.Equal(ReadyWord.Not, she.Readiness.Word);
        Assert.StartsWith("Molts first", she.Readiness.Says, StringComparison.Ordinal);
        Assert.Null(she.Race);
        Assert.True(she.Readiness.From >= Tonight.AddDays(42));
    }

    [Theory]
    [InlineData(3, 1, ReadyWord.Soon)]
    [InlineData(9, 1, ReadyWord.Ready)]
    [InlineData(9, 2, ReadyWord.Not)]
    [InlineData(40, 1, ReadyWord.Not)]
    public void A_second_try_after_a_week_then_she_is_left_to_wait(int nightsAgo, int times, ReadyWord word)
    {
        var diary = Female().With(70, new Molted(Ultimate: true)).With(60, Fangs).With(3, Looks(BodyCondition.Normal));
        for (var k = 0; k < times; k++)
        {
            diary.With(nightsAgo - (0.01 * k), new Paired(null, "a friend's male", PairingMethod.Watched));
        }

        Assert.Equal(word, At(diary).Readiness.Word);
    }

    [Fact]
    public void A_brood_ends_the_wait_for_it_and_who_molts_no_more_is_late_for_life_alone()
    {
        Diary Mother() =>
            new Diary("hyllus-diardi", molts: 8, cameNightsAgo: 300)
                .With(150, new Molted(Ultimate: true))
                .With(140, Fangs)
                .With(3, Looks(BodyCondition.Normal))
                .With(100, new Paired(null, "a friend's male", PairingMethod.Watched));
        Assert.Equal(ReadyWord.Ask, At(Mother()).Readiness.Word);
        var brooded = Mother()
            .With(80, new Began(VigilKind.Young))
            .With(50, new Ended(VigilKind.Young, VigilEnd.AsHoped));
        Assert.Equal(ReadyWord.Ready, At(brooded).Readiness.Word);
        var old = At(
            new Diary("hyllus-diardi", molts: 8, cameNightsAgo: 600)
                .With(400, new Molted(Ultimate: true))
                .With(390, Fangs)
                .With(3, Looks(BodyCondition.Normal))
        );
        Assert.Equal(ReadyWord.Past, old.Readiness.Word);
        Assert.DoesNotContain("molt", old.Readiness.Says, StringComparison.Ordinal);
    }

    [Fact]
    public void A_crab_is_asked_for_no_furrow_and_for_its_season()
    {
        var crab = At(
            new Diary("coenobita-rugosus", cameNightsAgo: 300).With(200, new Measured(BodyPart.Claw, 14, false))
        );
        Assert.Equal(ReadyWord.Ask, crab.Readiness.Word);
        Assert.Null(crab.Race);
        Assert.DoesNotContain(
            crab.Readiness.Checks,
            c => c.Makes?.Contains("furrow", StringComparison.Ordinal) == true
        );
        Assert.Contains(
            crab.Readiness.Checks,
            c => c.Makes?.StartsWith("Is it the season?", StringComparison.Ordinal) == true
        );
    }

    [Fact]
    public void A_male_has_a_span_and_is_past_it_some_day()
    {
        Diary Male(int since) =>
            new Diary(sex: Sex.Male, molts: 9).With(since, new Molted(Ultimate: true)).With(2, Fangs);
        Assert.Equal(ReadyWord.Soon, At(Male(18)).Readiness.Word);
        var ready = At(Male(175));
        Assert.Equal(ReadyWord.Ready, ready.Readiness.Word);
        // 20 to 330 nights, by the rules of his species.
        Assert.Equal((175 - 20) / 310.0, ready.Useful!.Used, 1e-9);
        Assert.Equal(ReadyWord.Past, At(Male(360)).Readiness.Word);
        var lent = At(Male(175).With(10, new Lent("a keeper across the water", null, Tonight.AddDays(20))));
        Assert.Equal(ReadyWord.Not, lent.Readiness.Word);
        Assert.Equal(Tonight.AddDays(20), lent.Readiness.From);
    }

    [Fact]
    public void The_longer_ago_her_molt_the_less_a_pairing_is_worth()
    {
        double Chance(int since) =>
            At(Female().With(since, new Molted(Ultimate: true)).With(2, Fangs)).Race!.Value.Nights[0].Chance;
        Assert.True(Chance(45) > Chance(120) && Chance(120) > Chance(200));
        // Never more than pairings take at all.
        Assert.True(Chance(45) <= RuleSet.Shipped.Profile("tliltocatl-albopilosus")!.Pairing!.TakeRate.Value);
    }

    [Theory]
    [InlineData("tliltocatl-albopilosus", 270, 75)]
    [InlineData("caribena-versicolor", 200, 95)]
    [InlineData("ceratogyrus-darlingi", 230, 60)]
    [InlineData("acanthoscurria-geniculata", 240, 80)]
    public void The_desks_night_does_as_well_as_who_knows_her_dates(string species, double molts, double sacs)
    {
        // 125 rooms each: molts by a gamma and sacs by a Weibull law, both off the rulebook by their means.
        const int Rooms = 125;
        const int EightWeeks = 56;
        var random = new Random(15);
        var molt = new MathNet.Numerics.Distributions.Gamma(9, 9 / molts, random);
        var sac = new MathNet.Numerics.Distributions.Weibull(1.8, sacs / 0.889, random);
        var rest = (int)RuleSet.Shipped.Profile(species)!.Pairing!.AfterMoltNights.Value.Low;
        var (oracle, desk, eight, any) = (0, 0, 0, 0);
        for (var room = 0; room < Rooms; room++)
        {
            var (earlier, wait) = (molt.Sample(), molt.Sample());
            const int Since = 10;
            wait = Math.Max(wait, Since + 1);
            var she = At(
                new Diary(species, molts: 9, cameNightsAgo: 900)
                    .With(Since + earlier, new Molted(Ultimate: true))
                    .With(Since, new Molted())
                    .With(2, Fangs)
                    .With(3, Looks(BodyCondition.Normal))
            );
            var takes = sac.Sample();
            bool Won(double nightsAfterMolt) => nightsAfterMolt + takes < wait;
            // Whoever knows both dates pairs on the first night that she is rested.
            oracle += Won(rest) ? 1 : 0;
            desk += Won(Since + she.Race!.Value.Best.DayNumber - Tonight.DayNumber) ? 1 : 0;
            eight += Won(EightWeeks) ? 1 : 0;
            any += Won(rest + (random.NextDouble() * 200)) ? 1 : 0;
        }

        var error = Math.Sqrt(eight * (1 - (eight / (double)Rooms)));
        TestContext.Current.TestOutputHelper?.WriteLine(
            $"{species}: of {Rooms} oracle {oracle}, desk {desk}, eight weeks {eight}, any night {any}"
        );
        Assert.True(desk >= 0.95 * oracle, $"desk {desk} of {oracle}");
        Assert.True(desk >= eight - error, $"desk {desk}, eight weeks {eight}");
        Assert.True(desk > any, $"desk {desk}, any night {any}");
    }

    [Fact]
    public void What_does_not_molt_again_has_no_molt_in_the_race()
    {
        var spider = At(
            new Diary("hyllus-diardi", molts: 8, cameNightsAgo: 200).With(40, new Molted(Ultimate: true)).With(2, Fangs)
        );
        Assert.False(spider.Race!.Value.MoltsAgain);
        Assert.Contains("No molt of hers", spider.Race.Summary, StringComparison.Ordinal);
    }

    [Fact]
    public void Pairs_are_ranked_and_kin_is_said()
    {
        var (mother, father) = (Guid.NewGuid(), Guid.NewGuid());
        var she = At(Female().With(60, new Molted(Ultimate: true)).With(2, Fangs).With(3, Looks(BodyCondition.Normal)));
        Candidate He() => At(new Diary(sex: Sex.Male, molts: 9).With(100, new Molted(Ultimate: true)).With(2, Fangs));
        var (brother, half, stranger) = (He(), He(), He());
        var pedigree = new RoomPedigree([
            new(mother, "Moss", null, null),
            new(father, "Bolt", null, null),
            new(she.StockId, "Tansy", father, mother),
            new(brother.StockId, "Pip", father, mother),
            new(half.StockId, "Flint", father, null),
            new(stranger.StockId, "Cedar", null, null),
        ]);
        var ranked = PairChoice.Ranked([she, brother, half, stranger], pedigree, Diary.Room());
        Assert.Equal(stranger.StockId, ranked[0].MaleId);
        Assert.Equal((KinWord.Apart, 0.0), (ranked[0].Kin.Word, ranked[0].Kin.Inbreeding));
        // Unknown parents count as unrelated, and that is said.
        Assert.Contains("not known count as unrelated", ranked[0].Says, StringComparison.Ordinal);
        var byMale = ranked.ToDictionary(p => p.MaleId);
        Assert.Equal(
            (KinWord.TooNear, 0.25),
            (byMale[brother.StockId].Kin.Word, byMale[brother.StockId].Kin.Inbreeding)
        );
        Assert.Equal((KinWord.TooNear, 0.125), (byMale[half.StockId].Kin.Word, byMale[half.StockId].Kin.Inbreeding));
        Assert.True(byMale[brother.StockId].Kin.Stops);
    }

    [Fact]
    public void Who_will_miss_each_other_is_steered_so_that_they_meet()
    {
        // He is adult soon and lives for months, she has several molts to go.
        var he = At(
            new Diary("hierodula-membranacea", Sex.Male, molts: 8, cameNightsAgo: 60).With(
                40,
                new Molted(Ultimate: true)
            )
        );
        var she = At(
            new Diary("hierodula-membranacea", molts: 3, cameNightsAgo: 40)
                .With(12, new Molted())
                .With(12, new Measured(BodyPart.Body, 30, false))
        );
        var meeting = Meeting.Of(she, he, RuleSet.Shipped.Room.Pairing)!;
        Assert.InRange(meeting.Chance, 0.02, 0.9);
        // Only she can still be steered, and only sooner helps.
        Assert.Equal(she.StockId, meeting.Steered);
        Assert.True(meeting.How is Steering.Warmer or Steering.Richer);
        Assert.True(meeting.Then >= meeting.Chance + RuleSet.Shipped.Room.Pairing.SteerWorth.Value);
        Assert.Contains("Adult together in", meeting.Says, StringComparison.Ordinal);
        // Two that are adult have met.
        Assert.Null(Meeting.Of(he, he, RuleSet.Shipped.Room.Pairing));
    }

    [Fact]
    public void Steering_moves_nobody_who_is_hushed_and_starves_nobody_who_is_thin()
    {
        Diary Young() =>
            new Diary("hierodula-membranacea", molts: 4, cameNightsAgo: 60)
                .With(14, new Molted())
                .With(14, new Measured(BodyPart.Body, 30, false));
        var free = At(Young()).Steering.Select(s => s.How).ToList();
        Assert.Contains(Steering.Leaner, free);
        Assert.Contains(Steering.Warmer, free);
        Assert.DoesNotContain(
            Steering.Leaner,
            At(Young().With(1, Looks(BodyCondition.Thin))).Steering.Select(s => s.How)
        );
        Assert.Empty(At(Young().Sign("molting-hanging", 0)).Steering);
        // Warmer is sooner, cooler later.
        double Middle(Steering how) => At(Young()).Steering.Single(s => s.How == how).Then(0).Dates.Average();
        Assert.True(Middle(Steering.Warmer) < Middle(Steering.Leaner));
    }

    [Fact]
    public void Steering_that_begins_later_moves_only_what_is_left_by_then()
    {
        var pace = Pace.Even;
        var span = new AdultSpan([20, 60, 100], new LogNormalWait(5, 0.3));
        // Worked by hand: from night 40 on everything takes half the time.
        Assert.Equal([20, 50, 70], span.From(new(40), 0.5, pace).Dates);
        Assert.Equal([10, 30, 50], span.From(new(0), 0.5, pace).Dates);
    }

    [Fact]
    public void A_move_is_put_off_where_one_made_tonight_would_make_them_pass_each_other()
    {
        var rules = RuleSet.Shipped.Room.Pairing;
        Candidate One(string name, Sex sex, double adultIn, params SteeredSpan[] ways) =>
            At(new Diary("hierodula-membranacea", sex, molts: 4, cameNightsAgo: 60).With(14, new Molted())) with
            {
                Name = name,
                Span = new AdultSpan([adultIn], new LogNormalWait(Math.Log(40), 0.2)),
                Steering = ways,
            };
        var far = new AdultSpan([190], new LogNormalWait(Math.Log(40), 0.2));
        SteeredSpan way = new(
            Steering.Warmer,
            0.2,
            night => $"Bolt moved to A1 by {night}",
            night => far.From(new(night), 0.2, Pace.Even)
        );
        var (she, he) = (One("Tansy", Sex.Female, 70), One("Bolt", Sex.Male, 190, way));
        var meeting = Meeting.Of(she, he, rules)!;
        // She is adult on day 70 and lives for about 40. Moved tonight he is adult on day 38, and dead by 78 or so; moved on night 28
        // he is on day 60.4. Worked by hand.
        Assert.True(meeting.Then > meeting.Chance + 0.5);
        Assert.DoesNotContain("by 0:", meeting.Says, StringComparison.Ordinal);
    }

    [Fact]
    public void First_cousins_are_warned_of_and_a_loop_is_named()
    {
        Guid[] id = [.. Enumerable.Range(0, 9).Select(_ => Guid.NewGuid())];
        Descent Of(int k, int? father, int? mother) =>
            new(id[k], $"n{k}", father is { } f ? id[f] : null, mother is { } m ? id[m] : null);
        List<Descent> cousins =
        [
            Of(0, null, null),
            Of(1, null, null),
            Of(2, 0, 1),
            Of(3, 0, 1),
            Of(4, null, null),
            Of(5, null, null),
            Of(6, 4, 2),
            Of(7, 3, 5),
        ];
        var reading = KinReading.Of(
            new Kin(id[6], "n6", null),
            new Kin(id[7], "n7", null),
            new RoomPedigree(cousins),
            Diary.Room()
        );
        Assert.Equal((KinWord.Near, 0.0625, false), (reading.Word, reading.Inbreeding, reading.Stops));
        var loop = new RoomPedigree([.. cousins.Skip(1), Of(0, 6, null)]);
        Assert.Contains("n0", loop.Loop);
        Assert.Equal(
            KinWord.Unclear,
            KinReading.Of(new Kin(id[6], "n6", null), new Kin(id[7], "n7", null), loop, Diary.Room()).Word
        );
    }

    [Theory]
    [InlineData("quay", "quay", KinWord.Apart)]
    [InlineData("Quay ", "quay", KinWord.Apart)]
    [InlineData("quay", "north pier", KinWord.OtherLine)]
    [InlineData("quay", null, KinWord.Apart)]
    public void Lines_are_not_mixed(string? hers, string? his, KinWord word)
    {
        var (she, he) = (new Kin(Guid.NewGuid(), "Tansy", hers), new Kin(Guid.NewGuid(), "Bolt", his));
        var pedigree = new RoomPedigree([new(she.Id, "Tansy", null, null), new(he.Id, "Bolt", null, null)]);
        var reading = KinReading.Of(she, he, pedigree, Diary.Room());
        Assert.Equal((word, word == KinWord.OtherLine), (reading.Word, reading.Stops));
        // A line that nobody wrote down is said to be unknown.
        Assert.Equal(
            his is null,
            reading.Why.Text.Contains("The line of Bolt is not on record", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void Every_species_of_a_group_that_is_paired_knows_how()
    {
        var paired = RuleSet.Shipped.Species.Where(s => RuleSet.Shipped.Group(s.Group)!.EggCase is not null).ToList();
        Assert.NotEmpty(paired);
        Assert.All(paired, s => Assert.NotNull(s.Pairing));
        Assert.All(RuleSet.Shipped.Species.Except(paired), s => Assert.Null(s.Pairing));
    }

    private static Diary Female(bool mature = true) => new(molts: 9, mature: mature, cameNightsAgo: 500);

    private static readonly FangsChecked Fangs = new(true);

    private static ConditionSeen Looks(BodyCondition condition) => new(condition);

    private static Candidate At(Diary diary)
    {
        var j = diary.Judge();
        return Candidate.Of(j.Mate);
    }
}
