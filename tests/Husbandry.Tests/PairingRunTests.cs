using Husbandry.Climate;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Sitter;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>A pairing that is led, what tells whether it took, and what is awaited of it. Source: handbook, pairing; common practice.</summary>
public sealed class PairingRunTests
{
    private static readonly DateOnly Tonight = DateOnly.FromDateTime(Diary.Evening.DateTime);

    private static readonly Guid Mate = Guid.NewGuid();

    private static readonly RoomPairingRules Rules = RuleSet.Shipped.Room.Pairing;

    [Fact]
    public void Who_was_paired_waits_for_her_sac_and_is_cared_for_as_before()
    {
        var j = Female().Ate(9).With(20, Watched()).Judge();
        var wait = Assert.Single(j.Waits).Value!;
        Assert.Equal((VigilKind.EggCase, 20), (wait.Vigil, wait.WaitedNights));
        Assert.Equal(Phase.Expecting, j.Phase.Value);
        Assert.Equal(Verdict.Avoid, j.Hush[CareAct.Handle].Verdict);
        // Another pairing is no more advised by the hush than by the desk, but for the second try after a week.
        Assert.Equal(Verdict.Avoid, j.Hush[CareAct.Pair].Verdict);
        Assert.Equal(ReadyWord.Not, ReadinessChecks.Of(j.Mate).Word);
        Assert.Equal(Verdict.Fine, j.Hush[CareAct.FeedDead].Verdict);
        Assert.NotNull(j.Meal.Value.Due);
        Assert.NotNull(j.Molt.Value);
        Assert.Equal("sac", Glance.Of(j).Waits.Band!.Label);
        // He waits for nothing.
        Assert.Empty(Male().With(20, Watched()).Judge().Waits);
        // Nor does one that was paired as a female and turned out to be a male.
        Assert.Empty(Female().With(20, Watched()).With(3, new SexSeen(Sex.Male, SexEvidence.ShedSkin)).Judge().Waits);
        // What litters, lays or makes an ootheca is told in its own word.
        var scorpion = new Diary("pandinus-imperator", mature: true).With(30, Watched()).Judge();
        Assert.Equal("litter", Glance.Of(scorpion).Waits.Band!.Label);
    }

    [Fact]
    public void A_second_try_leaves_open_which_of_the_two_took()
    {
        var wait = Assert.Single(Female().With(20, Watched()).With(13, Watched()).Standing().Vigils.Open);
        Assert.Equal(Diary.Evening.AddDays(-20), wait.Began.From);
        Assert.Equal(Diary.Evening.AddDays(-13), wait.Began.To);
    }

    [Fact]
    public void A_molt_takes_with_it_what_was_stored()
    {
        var molted = Female().With(60, Watched()).With(5, new Molted());
        var wait = Assert.Single(molted.Standing().Vigils.All);
        Assert.Equal(VigilEnd.CutShort, wait.End);
        Assert.Empty(molted.Judge().Waits);
        // It teaches that a sac takes longer than so, and nothing of how often a pairing takes.
        var subject = Subject.Of(molted.Standing(), Diary.Room());
        var past = Assert.Single(PastWaits.Of(subject, VigilKind.EggCase));
        Assert.False(past.IsOver);
        Assert.InRange(past.Length.Value, 40, 70);
    }

    [Fact]
    public void Her_sac_ends_the_wait_and_she_guards_it()
    {
        var offer = LogMenu.Of(Female().With(70, Watched()).Judge()).Head.Single(o => o.Label == "Has her sac…");
        var laid = Female().With(70, Watched()).With(3, offer.Acts.Single());
        Assert.Equal(Phase.Brooding, laid.Judge().Phase.Value);
        Assert.Equal([VigilKind.Young], laid.Standing().Vigils.Open.Select(v => v.Vigil));
        Assert.True(laid.Standing().Vigils.All.Single(v => v.Vigil == VigilKind.EggCase).AsHoped);
        // One that guards an earlier brood and was paired anew has the next.
        var both = Female().With(90, Watched()).With(40, new Began(VigilKind.Young)).With(9, Watched());
        var next = LogMenu.Of(both.Judge()).Found.Single(o => o.Label == "Has her sac…");
        Assert.Empty(EntryCheck.Check(next.Acts.Single(), Occurrence.At(Diary.Evening), both.Standing(), Diary.Room()));
        // A mantis guards nothing.
        var mantis = new Diary("hierodula-membranacea", mature: true)
            .With(12, Watched())
            .With(2, new Ended(VigilKind.EggCase, VigilEnd.AsHoped));
        Assert.Empty(mantis.Judge().Waits);
    }

    [Fact]
    public void The_odds_are_moved_by_what_was_seen()
    {
        double Took(params Act[] seen)
        {
            var diary = Female().With(10, Led());
            foreach (var act in seen)
            {
                diary.With(9.9, act);
            }

            return diary.With(9.8, Out()).Judge().Waits[0].Value!.Ladder[^2].Chance;
        }

        // From 0.60 odds of 1.5: six times as much after an insertion, 0.35 of it when nothing was seen. Worked by hand.
        Assert.Equal(9.0 / 10, Took(new PairingSeen(PairingSight.Insertion, 4)), 1e-9);
        Assert.Equal(0.525 / 1.525, Took(), 1e-9);
        Assert.Equal(
            9.0 / 10,
            Took(new PairingSeen(PairingSight.Lunge), new PairingSeen(PairingSight.Insertion)),
            1e-9
        );
    }

    [Theory]
    [InlineData(0.0, 0.02)]
    [InlineData(0.2, 0.2)]
    [InlineData(0.6, 0.6)]
    [InlineData(1.0, 0.98)]
    public void A_web_tells_the_less_the_oftener_he_spins_anyway(double told, double anyway)
    {
        double Ratio(WebLook look) =>
            PairingEvidence
                .Of(
                    Subject.Of(
                        Female().With(10, Net()).With(9.5, Out()).With(7.6, Half(look, told)).Standing(),
                        Diary.Room()
                    ),
                    Female().With(10, Net()).Standing().Vigils.Open.Single()
                )
                .Clues.Single()
                .Ratio;
        var late = Rules.Evidence.WebLate.Value;
        // No share that was told makes certain of it.
        Assert.Equal(late / anyway, Ratio(WebLook.New), 1e-9);
        Assert.Equal((1 - late) / (1 - anyway), Ratio(WebLook.None), 1e-9);
    }

    [Fact]
    public void A_web_is_told_of_the_pairing_with_him_and_of_no_other()
    {
        var other = Guid.NewGuid();
        var she = Female()
            .With(10, Led())
            .With(9.9, Out())
            .With(9.5, new Paired(other, "Twig", PairingMethod.Watched))
            .With(8.8, Half(WebLook.New, 0.2));
        var pairings = she.Standing().Pairings;
        Assert.Equal([PairingSight.NewWeb], pairings[0].Seen.Select(m => m.Sight));
        Assert.Empty(pairings[1].Seen);
    }

    [Fact]
    public void How_often_a_male_spins_unmated_is_counted_on_looks_that_follow_no_pairing()
    {
        var he = Male()
            .With(40, new WebLooked(WebLook.New))
            .With(35, new WebLooked(WebLook.None))
            .With(30, new WebLooked(WebLook.OldCleared))
            .With(20, Net())
            .With(19.6, Out())
            .With(18.6, new WebLooked(WebLook.New, 0.3, Mate));
        // Four looks' worth of 0.25, and one web in two looks of his own. Worked by hand.
        Assert.Equal((4 * 0.25 + 1) / (4 + 2), PairingEvidence.SpinsAnyway(he.Standing(), Rules), 1e-9);
    }

    [Fact]
    public void The_round_asks_for_his_web_twice_and_then_no_more()
    {
        RoundLine Line(Diary diary) => RoundLine.Of(diary.Judge());
        Diary Paired(double ago) =>
            Male().Ate(1).With(0.5, new Watered(WaterKind.Dish)).With(ago, Net()).With(ago - 0.4, Out());
        Assert.NotEqual(RoundAct.LookForWeb, Line(Paired(0.9)).Act);
        var due = Line(Paired(1.4));
        Assert.Equal(RoundAct.LookForWeb, due.Act);
        Assert.All(due.Choices, c => Assert.Equal(Mate, Assert.IsType<WebLooked>(c.Acts.Single()).PartnerId));
        Assert.NotEqual(RoundAct.LookForWeb, Line(Paired(1.4).With(0.1, new WebLooked(WebLook.New, 0.2, Mate))).Act);
        Assert.Equal(RoundAct.LookForWeb, Line(Paired(2.4).With(1.3, new WebLooked(WebLook.None, 0.2, Mate))).Act);
        var twice = Paired(3.4)
            .With(2.3, new WebLooked(WebLook.None, 0.2, Mate))
            .With(1, new WebLooked(WebLook.None, 0.2, Mate));
        Assert.NotEqual(RoundAct.LookForWeb, Line(twice).Act);
        Assert.NotEqual(RoundAct.LookForWeb, Line(Paired(12)).Act);
        // Scorpions spin none.
        var scorpion = new Diary("pandinus-imperator", Sex.Male, mature: true).With(1.4, Led()).With(1.3, Out());
        Assert.NotEqual(RoundAct.LookForWeb, Line(scorpion).Act);
    }

    [Fact]
    public void The_round_asks_for_the_second_try_after_a_week_and_not_for_a_third()
    {
        Diary She(params double[] ago)
        {
            var diary = Female().With(0.4, new Watered(WaterKind.Dish)).Ate(0.5);
            foreach (var nights in ago)
            {
                diary.With(nights, Led()).With(nights - 0.1, Out());
            }

            return diary;
        }

        Assert.Equal(RoundAct.None, RoundLine.Of(She(5).Judge()).Act);
        var again = RoundLine.Of(She(8).Judge());
        Assert.Equal(RoundAct.PairAgain, again.Act);
        Assert.Contains(again.Beside, o => o.Opens == LinePage.Run);
        Assert.Equal(RoundAct.None, RoundLine.Of(She(15, 8).Judge()).Act);
        Assert.Equal(RoundAct.None, RoundLine.Of(She(20).Judge()).Act);
    }

    [Fact]
    public void While_two_are_together_nothing_else_is_asked_of_either()
    {
        // Tonight the keeper is by them, or asleep; in the morning it is asked how it ended.
        Assert.Equal(LineState.Quiet, RoundLine.Of(Female().Ate(30).With(0.1, Net()).Judge()).State);
        var she = Female().Ate(30).With(0.9, Net()).Judge();
        var line = RoundLine.Of(she);
        Assert.Equal(RoundAct.PartThem, line.Act);
        Assert.Null(RoundLine.ForWater(she));
        Assert.Equal(LineState.Quiet, RoundLine.Of(Male().Ate(30).With(0.1, Net()).Judge()).State);
        var sheet = SitterSheet.Of([she], twoPeople: true, Diary.Room());
        Assert.Empty(sheet.Lines);
        Assert.Contains("Together with Bolt", Assert.Single(sheet.LeaveShut).Why, StringComparison.Ordinal);
        // Left with her for days he eats and drinks like everybody.
        var left = Female().Ate(60).With(0.1, new Paired(Mate, "Bolt", PairingMethod.LeftTogether, Led: true)).Judge();
        Assert.Equal(RoundAct.Feed, RoundLine.Of(left).Act);
    }

    [Fact]
    public void Lunges_and_a_male_off_his_feet_part_them()
    {
        string? Part(params PairingSight[] seen)
        {
            var diary = Female().With(0.1, Led());
            foreach (var sight in seen)
            {
                diary.With(0.05, new PairingSeen(sight));
            }

            return RunSheet.Of(diary.Judge().Mate, null, null, [])!.Part;
        }

        Assert.Null(Part(PairingSight.Raised, PairingSight.Lunge));
        Assert.Equal("3 lunges: part them now.", Part(PairingSight.Lunge, PairingSight.Lunge, PairingSight.Lunge));
        Assert.Equal("He was off his feet: part them now.", Part(PairingSight.OffHisFeet));
    }

    [Theory]
    [InlineData("actias-luna", false)]
    [InlineData("hierodula-membranacea", true)]
    public void Only_what_takes_prey_may_eat_its_mate(string species, bool may)
    {
        var she = new Diary(species, mature: true, cameNightsAgo: 30).Judge();
        Assert.Equal(may, RunSheet.Of(she.Mate, null, null, [])!.Endings.Contains(PairingEnding.MaleEaten));
    }

    [Fact]
    public void He_who_is_eaten_is_no_more()
    {
        var he = Male().With(1, Led()).With(0.9, new PairingEnded(PairingEnding.MaleEaten, null, Mate, "Tansy"));
        Assert.Equal(
            (DepartureKind.Died, "eaten by Tansy"),
            (he.Standing().Departure!.Kind, he.Standing().Departure!.Remark)
        );
        var she = Female().With(1, Led()).With(0.9, new PairingEnded(PairingEnding.MaleEaten, null, Mate, "Bolt"));
        Assert.Null(she.Standing().Departure);
        Assert.Null(PairingTasks.AgainOn(she.Judge().Subject, she.Judge().Hush));
    }

    [Fact]
    public void What_cannot_be_is_refused_with_a_sentence()
    {
        string Refused(Diary diary, Act act, double ago = 0) =>
            Assert
                .Single(
                    EntryCheck.Check(act, Occurrence.At(Diary.Evening.AddDays(-ago)), diary.Standing(), Diary.Room())
                )
                .Message;
        var open = Female().With(1, Led());
        Assert.StartsWith("Tansy is together with Bolt now", Refused(open, Watched()), StringComparison.Ordinal);
        Assert.Equal("Must not lie before they were put together.", Refused(open, Out(), 2));
        Assert.EndsWith(
            "is not together with a mate now.",
            Refused(Female().With(3, Led()).With(2.9, Out()), Out()),
            StringComparison.Ordinal
        );
        Assert.EndsWith(
            "log that first.",
            Refused(Female(), new PairingSeen(PairingSight.Courts)),
            StringComparison.Ordinal
        );
        Assert.Equal("Must be 1 to 1440.", Refused(open, new PairingSeen(PairingSight.Insertion, 0)));
        Assert.StartsWith("A female spins no", Refused(Female(), new WebLooked(WebLook.New)), StringComparison.Ordinal);
        Assert.Equal(
            "Males of this group spin no sperm web.",
            Refused(new Diary("pandinus-imperator", Sex.Male, mature: true), new WebLooked(WebLook.New))
        );
    }

    [Fact]
    public void The_ends_of_the_wait_are_those_of_many_such_lives()
    {
        // Lives drawn one by one from the rules: the sum over days must say the same.
        var diary = Female(molted: 190).With(40, Watched());
        var j = diary.Judge();
        var (wait, molt) = (j.Waits[0].Value!, j.Molt.Value!);
        var sac = RuleSet.Shipped.Profile("tliltocatl-albopilosus")!.Pairing!.SacWait.Value.P50;
        var rule = RuleSet
            .Shipped.Group("tarantula")!
            .Vigils.OtherEnds[VigilKind.EggCase][VigilEnd.Otherwise]
            .Wait.Value;
        var nothing = new RemainingWait(
            LogNormalWait.FromPrior(new WaitPrior(rule.P10 * sac, rule.P50 * sac, rule.P90 * sac)),
            new EffectiveDays(40)
        );
        var random = new Random(7);
        var ends = new int[3];
        const int Lives = 40_000;
        for (var k = 0; k < Lives; k++)
        {
            var which = random.NextDouble() < wait.Ladder[^1].Chance ? 0 : 1;
            var ended = which == 0 ? wait.Left.Quantile(Open(random)).Value : nothing.Quantile(Open(random)).Value;
            ends[molt.Left.Quantile(Open(random)).Value < ended ? 2 : which]++;
        }

        var told = wait.Ends!;
        Assert.Equal([VigilEnd.AsHoped, VigilEnd.Otherwise, VigilEnd.CutShort], told.Ends.Select(e => e.End));
        Assert.All(told.Ends.Zip(ends), x => Assert.Equal(x.Second / (double)Lives, x.First.Chance, 0.012));
        Assert.Equal(1, told.Ends.Sum(e => e.Chance), 1e-9);
    }

    [Fact]
    public void Pairings_of_the_room_teach_how_long_a_sac_takes_and_how_often_it_comes()
    {
        var room = Diary.Room();
        List<Standing> here = [];
        for (var k = 0; k < 14; k++)
        {
            // Quick sacs, and hardly any that did not take.
            here.Add(
                Female()
                    .With(200 + k, Watched())
                    .With(170 + k, new Ended(VigilKind.EggCase, VigilEnd.AsHoped))
                    .Standing()
            );
        }

        here.Add(Female().With(300, Watched()).With(120, new Ended(VigilKind.EggCase, VigilEnd.Otherwise)).Standing());
        var she = Female();
        var before = SacOutlook.Of(Subject.Of(she.Standing(), room));
        var after = SacOutlook.Of(Subject.Of(she.Standing(), room.With(Lessons.Of(here, room))));
        double Half(SacOutlook sac) => new RemainingWait(sac.Wait, EffectiveDays.Zero).Quantile(0.5).Value;
        Assert.Equal(RuleSet.Shipped.Profile("tliltocatl-albopilosus")!.Pairing!.SacWait.Value.P50, Half(before), 1.0);
        Assert.InRange(Half(after), 25, 50);
        Assert.True(after.Takes > before.Takes + 0.1);
        Assert.Equal((14, 15), (after.Seen, after.Ended));
    }

    [Fact]
    public void Whether_he_is_charged_is_read_off_his_webs()
    {
        string Web(Diary he) =>
            ReadinessChecks.Of(he.Judge().Mate).Checks.Single(c => c.Why.Topic == "Sperm web").Why.Text;
        Assert.StartsWith("No sperm web of his", Web(Male()), StringComparison.Ordinal);
        Assert.EndsWith("charged.", Web(Male().With(9, new WebLooked(WebLook.New))), StringComparison.Ordinal);
        Assert.StartsWith(
            "No new sperm web on record since",
            Web(Male().With(9, new WebLooked(WebLook.New)).With(3, Led()).With(2.9, Out())),
            StringComparison.Ordinal
        );
        var scorpion = new Diary("pandinus-imperator", Sex.Male, mature: true).Judge().Mate;
        Assert.DoesNotContain(ReadinessChecks.Of(scorpion).Checks, c => c.Why.Topic == "Sperm web");
    }

    [Fact]
    public void A_season_of_weeks_and_degrees_is_counted_on_the_readings()
    {
        Diary She() =>
            new Diary("grammostola-pulchra", mature: true, cameNightsAgo: 500)
                .With(200, new Molted(Ultimate: true))
                .With(180, new FangsChecked(true))
                .With(3, new ConditionSeen(BodyCondition.Normal));
        ReadyCheck Season(int coolNights)
        {
            // Warm but for so many nights that ended a month ago.
            var readings = Enumerable
                .Range(0, 190)
                .Select(ago => new ClimateReading(
                    Diary.Evening.AddDays(-ago),
                    ago >= 30 && ago < 30 + coolNights ? 17 : 26
                ));
            var room = Diary.Room().With(RoomClimate.Of(readings));
            return ReadinessChecks
                .Of(Judgement.Of(She().Standing(), room).Mate)
                .Checks.Single(c => c.Why.Rule == "species.programme");
        }

        Assert.Equal(ReadyWord.Ask, Season(0).Word);
        Assert.Contains("By the readings 4 weeks so", Season(28).Why.Text, StringComparison.Ordinal);
        Assert.Equal(ReadyWord.Ask, Season(49).Word);
        Assert.Equal(ReadyWord.Ready, Season(63).Word);
    }

    [Fact]
    public void Every_way_of_pairing_of_every_species_has_its_steps()
    {
        foreach (var species in RuleSet.Shipped.Species.Where(s => s.Pairing is not null))
        {
            var group = RuleSet.Shipped.Group(species.Group)!;
            if (!group.Knows(VigilKind.EggCase))
            {
                // Crabs choose for themselves.
                Assert.Equal("hermit-crab", group.Id);
                continue;
            }

            var way = group.Courtship!.Ways.Single(w => w.Method == species.Pairing!.Method.Value);
            Assert.All(new[] { way.Kit, way.Before, way.Meanwhile, way.After }, Assert.NotEmpty);
            Assert.False(string.IsNullOrWhiteSpace(way.Abort));
        }
    }

    private static double Open(Random random) => Math.Clamp(random.NextDouble(), 1e-6, 1 - 1e-6);

    private static Diary Female(double molted = 80) =>
        new Diary(molts: 9, mature: true, cameNightsAgo: 500)
            .With(molted, new Molted(Ultimate: true))
            .With(molted - 20, new FangsChecked(true))
            .With(3, new ConditionSeen(BodyCondition.Normal));

    private static Diary Male() =>
        new Diary(sex: Sex.Male, molts: 9, cameNightsAgo: 500)
            .With(120, new Molted(Ultimate: true))
            .With(100, new FangsChecked(true));

    private static Paired Watched() => new(Mate, "Bolt", PairingMethod.Watched);

    private static Paired Led() => new(Mate, "Bolt", PairingMethod.Watched, Led: true);

    private static Paired Net() => new(Mate, "Bolt", PairingMethod.NetOvernight, Led: true);

    private static PairingEnded Out() => new(PairingEnding.MaleSafe, null, Mate, "Bolt");

    private static WebLooked Half(WebLook look, double anyway) => new(look, anyway, Mate, "Bolt", Guid.NewGuid());
}
