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
using static Husbandry.Tests.Pair;

namespace Husbandry.Tests;

/// <summary>A pairing that is led, what tells whether it took, and what is awaited of it. Source: handbook, pairing; common practice.</summary>
public sealed class PairingRunTests
{
    private static readonly DateOnly Tonight = DateOnly.FromDateTime(Diary.Evening.DateTime);

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
    public void The_round_asks_for_his_web_twice_and_then_no_more()
    {
        RoundLine Line(Diary diary) => RoundLine.Of(diary.Judge());
        Diary Paired(double ago) =>
            Male().Ate(1).With(0.5, new Watered(WaterKind.Dish)).With(ago, Net()).With(ago - 0.4, Out());
        Assert.NotEqual(RoundAct.LookForWeb, Line(Paired(0.9)).Act);
        var due = Line(Paired(1.4));
        Assert.Equal(RoundAct.LookForWeb, due.Act);
        Assert.All(due.Choices, c => Assert.Equal(MateId, Assert.IsType<WebLooked>(c.Acts.Single()).PartnerId));
        Assert.NotEqual(RoundAct.LookForWeb, Line(Paired(1.4).With(0.1, new WebLooked(WebLook.New, 0.2, MateId))).Act);
        Assert.Equal(RoundAct.LookForWeb, Line(Paired(2.4).With(1.3, new WebLooked(WebLook.None, 0.2, MateId))).Act);
        var twice = Paired(3.4)
            .With(2.3, new WebLooked(WebLook.None, 0.2, MateId))
            .With(1, new WebLooked(WebLook.None, 0.2, MateId));
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
        var left = Female()
            .Ate(60)
            .With(0.1, new Paired(MateId, "Bolt", PairingMethod.LeftTogether, Led: true))
            .Judge();
        Assert.Equal(RoundAct.Feed, RoundLine.Of(left).Act);
    }

    [Fact]
    public void Who_stays_with_her_is_looked_after_until_they_are_parted()
    {
        var stays = Female()
            .Ate(0.5)
            .With(0.4, new Watered(WaterKind.Dish))
            .With(3, Led())
            .With(2.9, Out() with { Ending = PairingEnding.LeftIn });
        var line = RoundLine.Of(stays.Judge());
        Assert.Equal(RoundAct.PartThem, line.Act);
        Assert.Contains("Left with Bolt", line.Do, StringComparison.Ordinal);
        // She is fed as ever meanwhile, and no second try is asked for while he is there.
        Assert.Equal(Verdict.Fine, stays.Judge().Hush[CareAct.FeedDead].Verdict);
        var week = Female().Ate(0.5).With(9, Led()).With(8.9, Out() with { Ending = PairingEnding.LeftIn });
        Assert.NotEqual(RoundAct.PairAgain, RoundLine.Of(week.Judge()).Act);
        var parted = stays.With(0.5, Out());
        Assert.False(parted.Standing().Pairings[^1].IsOpen);
        Assert.NotEqual(RoundAct.PartThem, RoundLine.Of(parted.Judge()).Act);
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
        var he = Male().With(1, Led()).With(0.9, new PairingEnded(PairingEnding.MaleEaten, null, MateId, "Tansy"));
        Assert.Equal(
            (DepartureKind.Died, "eaten by Tansy"),
            (he.Standing().Departure!.Kind, he.Standing().Departure!.Remark)
        );
        var she = Female().With(1, Led()).With(0.9, new PairingEnded(PairingEnding.MaleEaten, null, MateId, "Bolt"));
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
}
