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
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>Egg cases kept apart from their mothers, their fathers, what became of them, and the food that is there before they hatch.</summary>
public class EggCaseTests
{
    private const string Mantis = "hierodula-membranacea";

    private static IReadOnlyList<Problem> Check(Diary diary, Act act) =>
        EntryCheck.Check(act, Occurrence.At(Diary.Evening), diary.Standing(), Diary.Room());

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
        var begun = act.Beginning(
                she.Standing(),
                Occurrence.At(Diary.Evening.AddDays(-10)),
                Diary.Room().Clock,
                RuleSet.Shipped.Group("tarantula")!
            )
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
        // In the cold its clock stands still, and nothing is planned by it.
        var cold = new Diary(Mantis, Sex.Unknown, 40, kind: StockKind.Brood, count: 100)
            .With(38, new Began(VigilKind.Hatching))
            .With(20, new Chilled(true))
            .Judge();
        Assert.Empty(Larder.FoodNeed.Of(cold, 56));
        Assert.Null(cold.Apart.Value);
        Assert.EndsWith("if it is taken out of the cold tonight.", cold.Wait.Summary, StringComparison.Ordinal);
        // Caterpillars eat leaves: no flies for their eggs.
        var moth = new Diary("samia-ricini", Sex.Unknown, 20, kind: StockKind.Brood, count: 100).With(
            8,
            new Began(VigilKind.Hatching)
        );
        Assert.Empty(Larder.FoodNeed.Of(moth.Judge(), 56));
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
