using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Nursery;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Trays;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>Broods in numbered vials, and when young go apart.</summary>
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

    private static GroupRules Group(string id) => RuleSet.Shipped.Group(id)!;

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
        var begun = act.Beginning(tray.Standing(), Occurrence.At(Diary.Evening), room.Clock, Group("tarantula"))
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
        // Eggs kept apart, hatched before our eyes.
        Diary Slings(int ago) =>
            new Diary("tliltocatl-albopilosus", Sex.Unknown, ago + 40, molts: 0, kind: StockKind.Brood, count: 20)
                .With(ago + 39, new Began(VigilKind.Hatching))
                .With(ago, new Ended(VigilKind.Hatching, VigilEnd.AsHoped));
        var young = Slings(20).Judge();
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
        Assert.NotEqual(RoundAct.PutApart, RoundLine.Of(Slings(200).Judge()).Act);
        var hunting = Slings(20).With(9, new Molted()).With(1, new FangsChecked(true)).Judge();
        Assert.Equal(ApartState.Due, hunting.Apart.Value!.State);
        Assert.Equal(RoundAct.PutApart, RoundLine.Of(hunting).Act);
        Assert.False(hunting.Meal.Value.EatsNothing);
        // Of slings that came from elsewhere nobody says that they do not eat.
        Assert.False(Brood(25, 20, "tliltocatl-albopilosus").Judge().Meal.Value.EatsNothing);
    }

    [Theory]
    [InlineData("tliltocatl-albopilosus", "i2")]
    [InlineData("pandinus-imperator", "i2")]
    [InlineData("phidippus-regius", "i2")]
    [InlineData(Mantis, "L1")]
    public void Who_comes_out_by_itself_hunts_and_is_put_apart(string species, string instar)
    {
        var she = new Diary(species, Sex.Female, 400, mature: true).Standing();
        var room = Diary.Room();
        var (id, born) = (Guid.NewGuid(), new GaveBirth(Guid.NewGuid(), 30, "the young", new Place("A", 1, 6)));
        var came = born.Beginning(she, Occurrence.At(Diary.Evening.AddDays(-3)), room.Clock, Group(she.Details.Group))
            .Select(b => (b.When, b.Act))
            .Append(
                (Occurrence.At(Diary.Evening.AddDays(-3)), born.AsSecondHalf(she.StockId, Guid.NewGuid(), "Tansy"))
            );
        var young = Judgement.Of(
            Standing.Fold(
                came.Select(
                    (b, i) =>
                        new JournalEntry(Guid.NewGuid(), id, i + 1, b.Item1, Diary.Evening, "Keeper", null, b.Item2)
                )
            )!,
            room
        );
        Assert.Equal(instar, young.Subject.InstarText);
        Assert.False(young.Meal.Value.EatsNothing);
        Assert.Equal(species == Mantis ? ApartState.Together : ApartState.Due, young.Apart.Value!.State);
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

    /// <summary>A law: the round never asks to stir or part what the hush says to leave.</summary>
    [Fact]
    public void Nothing_is_put_apart_counted_or_searched_against_its_hush()
    {
        var asked = new HashSet<RoundAct>();
        for (var seed = 0; seed < 1_500; seed++)
        {
            var diary = AnyStock.Of(seed);
            if (diary.Standing() is { Details: { Kind: StockKind.Brood, Count: > 1 and var there }, Departure: null })
            {
                // One is missing since last night's count.
                diary.Add(0.9, new Counted(there - 1, Method: CountMethod.OneByOne));
            }

            var j = diary.Judge();
            var act = RoundLine.Of(j).Act;
            if (act is RoundAct.PutApart or RoundAct.CountYoung or RoundAct.LookAgain)
            {
                asked.Add(act);
                var care = act == RoundAct.PutApart ? CareAct.Rehouse : CareAct.Handle;
                Assert.Equal(Verdict.Fine, j.Hush[care].Verdict);
            }
        }

        // A law of what never happens would hold by itself.
        Assert.Contains(RoundAct.LookAgain, asked);
    }

    [Fact]
    public void Soft_young_are_not_laid_on_paper()
    {
        Diary Hatched() =>
            new Diary(Mantis, Sex.Unknown, 60, molts: 0, kind: StockKind.Brood, count: 1)
                .With(58, new Began(VigilKind.Hatching))
                .With(14, new Ended(VigilKind.Hatching, VigilEnd.AsHoped));
        // An ootheca that came as one, hatched and never counted.
        Assert.Equal(RoundAct.CountYoung, Hatched().Line().Act);
        Assert.NotEqual(RoundAct.CountYoung, Hatched().With(0.2, new Molted()).Line().Act);
    }

    [Fact]
    public void No_nymph_travels_before_its_first_molt()
    {
        Assert.Equal(Verdict.Never, Brood(5).Judge().Hush[CareAct.Ship].Verdict);
        Assert.Equal(Verdict.Fine, Brood(40, molts: 3).Judge().Hush[CareAct.Ship].Verdict);
    }
}
