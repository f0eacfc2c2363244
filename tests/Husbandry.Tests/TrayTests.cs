using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Nursery;
using Husbandry.Pairing;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Trays;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>Broods in numbered vials, when young go apart, and egg cases kept apart from their mothers.</summary>
public class TrayTests
{
    private const string Mantis = "hierodula-membranacea";

    private static Diary Brood(int age, int count = 20, string species = Mantis, int molts = 0) =>
        new(
            species,
            Sex.Unknown,
            age,
            molts: molts,
            hatched: DateOnly.FromDateTime(Diary.Evening.DateTime).AddDays(-age),
            kind: StockKind.Brood,
            count: count
        );

    private static IReadOnlyList<Problem> Check(Diary diary, Act act) =>
        EntryCheck.Check(act, Occurrence.At(Diary.Evening), diary.Standing(), Diary.Room());

    [Fact]
    public void When_the_last_vial_has_molted_the_brood_has()
    {
        var some = Brood(60, 4).With(50, new Divided(4)).With(20, new VialsMolted([1, 3]));
        Assert.Empty(some.Standing().Growth.Molts);
        Assert.Equal([1, 3], some.Standing().Tray.Molted.Select(v => v.Number));
        var all = some.With(15, new VialsMolted([2])).With(12, new VialsMolted([1, 4])).Standing();
        var molt = Assert.Single(all.Growth.Molts);
        Assert.Equal((Diary.Evening.AddDays(-20), Diary.Evening.AddDays(-12)), (molt.When.From, molt.When.To));
        // The first is a molt ahead again.
        Assert.Equal([(1, 1)], all.Tray.Molted.Select(v => (v.Number, v.Molts)));
    }

    [Fact]
    public void A_vial_is_emptied_once()
    {
        var tray = Brood(60).With(50, new Divided(20)).With(10, new Departed(DepartureKind.Died, Vial: 7));
        Assert.Equal(19, tray.Standing().Details.Count);
        Assert.DoesNotContain(7, tray.Standing().Vials);
        var again = new Parted(Guid.NewGuid(), 1, "Pip", new Place("A", 1, 5), Vial: 7);
        var problem = Assert.Single(Check(tray, again));
        Assert.Equal("act.vial", problem.Field);
        Assert.StartsWith("Vial 7 is empty", problem.Message, StringComparison.Ordinal);
        Assert.Single(Check(tray, new VialsMolted([7])));
        Assert.Single(Check(tray, new VialsMolted([])));
        Assert.Single(Check(tray, new Divided(20)));
        Assert.Equal(
            "act.vials",
            Assert.Single(Check(tray, new Graded([new VialGrade(3, SizeGrade.Slow, 900)]))).Field
        );
        Assert.Equal("act.count", Assert.Single(Check(tray, new Departed(DepartureKind.Died, null, 2, null, 3))).Field);
        Assert.Equal(
            "act.cause",
            Assert.Single(Check(tray, new Departed(DepartureKind.Sold, Cause: LossCause.Dried))).Field
        );
    }

    [Fact]
    public void What_a_vial_is_ahead_goes_with_the_animal()
    {
        var tray = Brood(60, 6, "tliltocatl-albopilosus", 1).With(50, new Divided(6)).With(20, new VialsMolted([5]));
        var own = Guid.NewGuid();
        var act = new Parted(own, 1, "Pip", new Place("A", 1, 5), Vial: 5);
        var room = Diary.Room();
        var begun = act.Beginning(tray.Standing(), Occurrence.At(Diary.Evening), room.Clock)
            .Select(
                (b, i) => new JournalEntry(Guid.NewGuid(), own, i + 1, b.When, Diary.Evening, "Keeper", null, b.Act)
            );
        var pip = Subject.Of(Standing.Fold(begun)!, room);
        Assert.Equal((StockKind.Specimen, "i3"), (pip.Standing.Details.Kind, pip.InstarText));
        tray.Add(0, act);
        Assert.Equal("i2", Subject.Of(tray.Standing(), room).InstarText);
        Assert.Equal([1, 2, 3, 4, 6], tray.Standing().Vials);
    }

    [Fact]
    public void A_vial_that_molted_lately_is_not_fed()
    {
        var tray = Brood(90, 20, "tliltocatl-albopilosus", 1)
            .With(80, new Divided(20))
            .With(30, new Measured(BodyPart.LegSpan, 9))
            .With(12, new Offered("fruit-fly-large", "one", 20, Preparation.Live, OfferOutcome.Eaten))
            .With(0.5, new VialsMolted([3, 11]));
        var line = tray.Line();
        Assert.Equal(RoundAct.Feed, line.Act);
        Assert.Contains("just molted, no food: no. 3, 11", line.Detail, StringComparison.Ordinal);
        Assert.DoesNotContain(3, line.Vials!);
    }

    [Fact]
    public void Nymphs_go_apart_before_their_first_molt()
    {
        var early = Brood(2).Judge();
        Assert.Equal(ApartState.Together, early.Apart.Value!.State);
        var molt = early.Molt.Value!;
        Assert.Equal(molt.P10.AddDays(-2), early.Apart.Value.On);
        Assert.NotEqual(RoundAct.PutApart, RoundLine.Of(early).Act);

        var due = Brood(13).With(1, new Offered("fruit-fly-small", "one", 20, Preparation.Live, OfferOutcome.Eaten));
        var line = due.Line();
        Assert.Equal(RoundAct.PutApart, line.Act);
        Assert.StartsWith("Put each alone: 20 × a cup of about 150 mL", line.Do, StringComparison.Ordinal);
        var done = due.With(0, Assert.Single(line.Choices).Acts[0]);
        Assert.Equal(ApartState.Apart, done.Judge().Apart.Value!.State);
        Assert.NotEqual(RoundAct.PutApart, done.Line().Act);
    }

    [Fact]
    public void A_sitter_feeds_nymphs_that_their_keeper_should_put_apart()
    {
        var due = Brood(13)
            .With(1, new Measured(BodyPart.Body, 7))
            .With(3, new Offered("fruit-fly-small", "one", 20, Preparation.Live, OfferOutcome.Eaten));
        var j = due.Judge();
        Assert.Equal(RoundAct.PutApart, RoundLine.Of(j).Act);
        Assert.Equal(RoundAct.Feed, RoundLine.ForAnotherHand(j).Act);
        var sheet = Sitter.SitterSheet.Of([j], twoPeople: false, Diary.Room());
        Assert.Equal(RoundAct.Feed, Assert.Single(sheet.Lines).Act);
    }

    [Fact]
    public void Slings_stay_together_on_their_yolk_until_they_hunt()
    {
        Diary Slings() => Brood(25, 20, "tliltocatl-albopilosus");
        var young = Slings().Judge();
        Assert.Equal("i1", young.Subject.InstarText);
        Assert.True(young.Meal.Value.EatsNothing);
        Assert.Contains("yolk", young.Meal.Summary, StringComparison.Ordinal);
        Assert.NotEqual(RoundAct.PutApart, RoundLine.Of(young).Act);
        Assert.Contains(
            "Together until they have molted to i2 and hunt",
            young.Apart.Summary,
            StringComparison.Ordinal
        );
        // Even when that molt is overdue they are not parted before it.
        var late = Brood(200, 20, "tliltocatl-albopilosus").Judge();
        Assert.NotEqual(RoundAct.PutApart, RoundLine.Of(late).Act);
        var hunting = Slings().With(9, new Molted()).With(1, new FangsChecked(true)).Judge();
        Assert.Equal(ApartState.Due, hunting.Apart.Value!.State);
        Assert.Equal(RoundAct.PutApart, RoundLine.Of(hunting).Act);
        Assert.False(hunting.Meal.Value.EatsNothing);
    }

    [Fact]
    public void Young_that_molted_together_are_left_alone_until_they_are_hard()
    {
        var soft = Brood(16).With(0.2, new Molted());
        var apart = soft.Judge().Apart.Value!;
        Assert.Equal(ApartState.AfterTheMolt, apart.State);
        Assert.True(apart.On > Diary.Room().Tonight);
        Assert.NotEqual(RoundAct.PutApart, soft.Line().Act);
    }

    [Theory]
    [InlineData("tliltocatl-albopilosus", 2, ApartState.Apart)]
    [InlineData("tliltocatl-albopilosus", 0, ApartState.Together)]
    [InlineData("pandinus-imperator", 3, ApartState.Apart)]
    public void Who_came_in_vials_is_apart(string species, int molts, ApartState state) =>
        Assert.Equal(state, Brood(3, 20, species, molts).Judge().Apart.Value!.State);

    [Theory]
    [InlineData("samia-ricini")]
    [InlineData("armadillidium-vulgare")]
    [InlineData("coenobita-rugosus")]
    public void Who_may_stay_together_is_not_put_apart(string species) =>
        Assert.Null(Brood(10, 20, species).Judge().Apart.Value);

    /// <summary>A law: the round never asks to put apart what the hush says to leave.</summary>
    [Fact]
    public void Nothing_is_put_apart_against_its_hush()
    {
        for (var seed = 0; seed < 400; seed++)
        {
            var j = AnyStock.Of(seed).Judge();
            if (RoundLine.Of(j).Act == RoundAct.PutApart)
            {
                Assert.Equal(Verdict.Fine, j.Hush[CareAct.Rehouse].Verdict);
            }
        }
    }

    [Fact]
    public void No_nymph_travels_before_its_first_molt()
    {
        Assert.Equal(Verdict.Never, Brood(5).Judge().Hush[CareAct.Ship].Verdict);
        Assert.Equal(Verdict.Fine, Brood(40, molts: 3).Judge().Hush[CareAct.Ship].Verdict);
    }

    [Fact]
    public void A_sac_that_is_taken_has_a_record_and_a_wait_of_its_own()
    {
        var she = new Diary("tliltocatl-albopilosus", Sex.Female, 400, mature: true).With(
            40,
            new Began(VigilKind.Young)
        );
        var sac = Guid.NewGuid();
        var act = new CaseTaken(sac, "Tansy’s sac", new Place("A", 1, 6), Kept: new Incubation(26.5, Moisture.Damp, 1));
        Assert.Empty(Check(she, act));
        var begun = act.Beginning(she.Standing(), Occurrence.At(Diary.Evening.AddDays(-10)), Diary.Room().Clock)
            .ToList();
        she.Add(10, act);
        // She broods no more; how long it would have taken with her nobody knows.
        var wait = Assert.Single(she.Standing().Vigils.All);
        Assert.Equal(VigilEnd.CutShort, wait.End);
        Assert.Equal("was taken from her and is kept apart", VigilDefinition.Of(VigilKind.Young).End(wait.End!).Past);

        var entries = begun
            .Select(
                (b, i) => new JournalEntry(Guid.NewGuid(), sac, i + 1, b.When, Diary.Evening, "Keeper", null, b.Act)
            )
            .Append(Entry(sac, 3, 10, act.AsSecondHalf(she.StockId, Guid.NewGuid(), "Tansy")))
            .ToList();
        var eggs = Judgement.Of(Standing.Fold(entries)!, Diary.Room());
        Assert.Equal(StockKind.Brood, eggs.Subject.Standing.Details.Kind);
        Assert.True(eggs.Subject.AllWaitFor(VigilKind.Hatching));
        Assert.Equal(Diary.Evening.AddDays(-40), eggs.Subject.Waits[0].Began.From);
        Assert.NotNull(eggs.Wait.Value);
        Assert.Equal(Verdict.Never, eggs.Hush[CareAct.FeedLive].Verdict);

        entries.Add(Entry(sac, 4, 1, new Ended(VigilKind.Hatching, VigilEnd.AsHoped)));
        var out_ = Judgement.Of(Standing.Fold(entries)!, Diary.Room());
        Assert.Equal(RoundAct.CountYoung, RoundLine.Of(out_).Act);
        Assert.Equal("i1", out_.Subject.InstarText);
        entries.Add(Entry(sac, 5, 0.5, new Counted(180, 175, 188, CountMethod.InPicture)));
        var counted = Judgement.Of(Standing.Fold(entries)!, Diary.Room());
        Assert.NotEqual(RoundAct.CountYoung, RoundLine.Of(counted).Act);
        var curve = BroodCurve.Of(counted.Subject)!;
        Assert.True(curve.FromHatching);
        Assert.Empty(curve.Middle.Steps);
    }

    [Fact]
    public void What_cannot_have_been_laid_is_refused()
    {
        var she = new Diary("tliltocatl-albopilosus", Sex.Female, 400, mature: true);
        CaseTaken Of(DateOnly? from, DateOnly? to, Incubation? kept = null, int? eggs = null) =>
            new(Guid.NewGuid(), "the sac", new Place("A", 1, 6), from, to, kept, eggs);
        var tonight = Diary.Room().Tonight;
        Assert.Equal("act.laidTo", Assert.Single(Check(she, Of(null, tonight.AddDays(1)))).Field);
        Assert.Equal("act.laidFrom", Assert.Single(Check(she, Of(tonight, tonight.AddDays(-3)))).Field);
        Assert.Equal("act.kept.celsius", Assert.Single(Check(she, Of(null, null, new Incubation(60)))).Field);
        Assert.Equal(
            "act.kept.turnedEveryDays",
            Assert.Single(Check(she, Of(null, null, new Incubation(26, null, 0)))).Field
        );
        Assert.Equal("act.eggs", Assert.Single(Check(she, Of(null, null, null, 0))).Field);
        var he = new Diary("tliltocatl-albopilosus", Sex.Male, 400, mature: true);
        Assert.Equal("act.kind", Assert.Single(Check(he, Of(null, null))).Field);
        var jumper = new Diary("phidippus-regius", Sex.Female, 100, mature: true);
        Assert.Equal("act.kind", Assert.Single(Check(jumper, Of(null, null))).Field);
    }

    [Fact]
    public void Flies_are_planned_before_the_nymphs_are_out()
    {
        var laid = new Diary(Mantis, Sex.Unknown, 40, kind: StockKind.Brood, count: 100).With(
            38,
            new Began(VigilKind.Hatching)
        );
        var eggs = laid.Judge();
        var needs = Larder.FoodNeed.Of(eggs, 56).ToList();
        var hatch = eggs.Wait.Value!;
        var hoped = hatch.Ends!.Ends[0].Chance;
        Assert.All(needs, n => Assert.Equal("fruit-fly-small", n.Food.FeederId));
        // Two for each, with the chance that they are out by then.
        var last = needs[^1];
        Assert.Equal(200 * hoped * hatch.Left.Within(new CalendarDays(last.Ahead)), last.Amount, 1e-6);
        Assert.True(needs.Zip(needs.Skip(1)).All(x => x.First.Amount <= x.Second.Amount));
        // Out and never measured they are planned in full.
        var nymphs = laid.With(1, new Ended(VigilKind.Hatching, VigilEnd.AsHoped)).Judge();
        Assert.Equal(200, Larder.FoodNeed.Of(nymphs, 56).First().Amount);
        // Caterpillars eat leaves: no flies for their eggs.
        var moth = new Diary("samia-ricini", Sex.Unknown, 20, kind: StockKind.Brood, count: 100).With(
            8,
            new Began(VigilKind.Hatching)
        );
        Assert.Empty(Larder.FoodNeed.Of(moth.Judge(), 56));
    }

    [Fact]
    public void Of_several_males_each_is_the_father_by_the_odds_that_it_took()
    {
        var she = new Diary("tliltocatl-albopilosus", Sex.Female, 400, mature: true)
            .With(200, new Paired(null, "Bolt"))
            .With(150, new Molted())
            .With(100, new Paired(null, "Ebb"))
            .With(90, new Paired(null, "Reeve"))
            .With(89.9, new PairingSeen(PairingSight.Insertion, 4, null, "Reeve"))
            .With(10, new Paired(null, "Late"));
        var subject = Subject.Of(she.Standing(), Diary.Room());
        var fathers = PossibleFather.Of(subject, Diary.Evening.AddDays(-40));
        // Bolt's went with her skin, and Late came too late.
        Assert.Equal(["Reeve", "Ebb"], fathers.Select(f => f.Name));
        Assert.Equal(1, fathers.Sum(f => f.Chance), 1e-9);
        var takes = subject.Profile.Pairing!.TakeRate.Value;
        var reeve = PairingEvidence.After(takes, PairingEvidence.RatioOf(she.Standing().Pairings[2], subject));
        Assert.Equal(reeve / (reeve + takes), fathers[0].Chance, 1e-9);
        Assert.Empty(PossibleFather.Of(subject, Diary.Evening.AddDays(-120)));
    }

    [Fact]
    public void What_became_of_a_case_is_told_and_counted()
    {
        Diary She(CaseLoss? loss) =>
            new Diary("tliltocatl-albopilosus", Sex.Female, 400, mature: true)
                .With(90, new Began(VigilKind.Young))
                .With(60, new Ended(VigilKind.Young, VigilEnd.Otherwise, Loss: loss));
        var hatched = new Diary("tliltocatl-albopilosus", Sex.Female, 400, mature: true)
            .With(90, new Began(VigilKind.Young))
            .With(30, new Ended(VigilKind.Young, VigilEnd.AsHoped));
        Subject Of(Diary diary) => Subject.Of(diary.Standing(), Diary.Room());
        List<Subject> all = [Of(She(CaseLoss.Eaten)), Of(She(CaseLoss.Eaten)), Of(She(null)), Of(hatched)];
        Assert.Equal(
            "Of 4 such here 1 as hoped, 2 eaten, 1 lost, nobody said how.",
            NurseryRecord.Of(all[0], VigilKind.Young, all)
        );
        Assert.Equal("", NurseryRecord.Of(all[0], VigilKind.Hatching, all));
        var wrong = new Ended(VigilKind.Young, VigilEnd.AsHoped, Loss: CaseLoss.Dry);
        var brooding = new Diary("tliltocatl-albopilosus", Sex.Female, 400, mature: true).With(
            9,
            new Began(VigilKind.Young)
        );
        Assert.Equal("act.loss", Assert.Single(Check(brooding, wrong)).Field);
    }

    private static JournalEntry Entry(Guid id, int sequence, double ago, Act act) =>
        new(
            Guid.NewGuid(),
            id,
            sequence,
            Occurrence.At(Diary.Evening.AddDays(-ago)),
            Diary.Evening,
            "Keeper",
            null,
            act
        );
}
