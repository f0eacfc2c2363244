using CsCheck;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Nursery;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Tests;

/// <summary>The living of a brood: its curve, its river, its number, and what it is measured by.</summary>
public class BroodTests
{
    private const string Mantis = "hierodula-membranacea";

    private static Diary Brood(int age, int count, string species = Mantis, int molts = 0) =>
        new(
            species,
            Sex.Unknown,
            age,
            molts: molts,
            hatched: DateOnly.FromDateTime(Diary.Evening.DateTime).AddDays(-age),
            kind: StockKind.Brood,
            count: count
        );

    private static Subject Of(Diary diary) => Subject.Of(diary.Standing(), Diary.Room());

    private static Departed Died(int count) => new(DepartureKind.Died, null, count);

    /// <summary>
    /// 60 hatchlings, deaths on days 2, 5, 9 and 14. Source: Kaplan &amp; Meier (1958), values of R survival 3.5-3, survfit.
    /// </summary>
    [Fact]
    public void A_brood_lives_by_the_published_curve()
    {
        var curve = BroodCurve.Of(
            Of(Brood(14, 60).With(12, Died(6)).With(9, Died(10)).With(5, Died(4)).With(0, Died(3)))
        )!;
        double[] survival = [0.9, 0.7333333, 0.6666667, 0.6166667];
        double[] errors = [0.0387298, 0.0570899, 0.0608581, 0.0627679];
        Assert.Equal([2.0, 5, 9, 14], curve.Middle.Steps.Select(s => s.Time));
        Assert.All(curve.Middle.Steps.Zip(survival), x => Assert.Equal(x.Second, x.First.Survival, 1e-6));
        Assert.All(curve.Middle.Steps.Zip(errors), x => Assert.Equal(x.Second, x.First.StandardError!.Value, 1e-6));
        Assert.Null(curve.Middle.Median);
        Assert.True(curve.FromHatching);
    }

    [Fact]
    public void Who_went_alive_is_no_loss_and_who_is_found_again_was_none()
    {
        var brood = Brood(30, 40)
            .With(25, new Departed(DepartureKind.Sold, null, 10))
            .With(20, new Parted(Guid.NewGuid(), 5, "tray 2", new Place("A", 1, 4)))
            .With(15, new Counted(20))
            .With(12, new Gained(GainKind.Found, 5))
            .With(5, Died(5));
        var step = Assert.Single(BroodCurve.Of(Of(brood))!.Middle.Steps);
        // Twenty-five were there; five died.
        Assert.Equal((25, 5, 0.8), (step.AtRisk, step.Deaths, step.Survival));
    }

    [Fact]
    public void A_rough_number_that_is_mended_is_no_loss()
    {
        var guessed = new Counted(60, Method: CountMethod.ByEye);
        var more = BroodCurve.Of(Of(Brood(20, 60).With(20, guessed).With(18, new Counted(118))))!;
        Assert.Empty(more.Middle.Steps);
        var fewer = BroodCurve.Of(Of(Brood(20, 60).With(20, guessed).With(18, new Counted(50))))!;
        Assert.Empty(fewer.Middle.Steps);
        var sure = BroodCurve.Of(
            Of(Brood(20, 60).With(20, new Counted(60, Method: CountMethod.OneByOne)).With(18, new Counted(50)))
        )!;
        Assert.Equal(10, Assert.Single(sure.Middle.Steps).Deaths);
    }

    [Fact]
    public void What_died_between_two_looks_lies_between_them()
    {
        var brood = Brood(20, 10);
        brood.Add(6, Died(2), notBefore: 12);
        var curve = BroodCurve.Of(Of(brood))!;
        double Only(SurvivalCurve c) => Assert.Single(c.Steps).Time;
        Assert.Equal((8.0, 11.0, 14.0), (Only(curve.Earliest), Only(curve.Middle), Only(curve.Latest)));
    }

    [Fact]
    public void Each_instar_has_its_own_share()
    {
        var brood = Brood(40, 50)
            .With(35, Died(10))
            .With(30, new Molted())
            .With(25, Died(4))
            .With(15, new Molted())
            .With(10, new Departed(DepartureKind.Sold, null, 6));
        var instars = BroodCurve.Of(Of(brood))!.Instars;
        Assert.Equal(
            [("L1", 10.0, 0.8), ("L2", 4.0, 0.9), ("L3", 0.0, 1.0)],
            instars.Select(i => (i.Instar, i.Lost, Math.Round(i.Living, 9)))
        );
    }

    [Fact]
    public void A_brood_is_measured_by_the_keepers_own_and_told_from_where_it_is_worse()
    {
        // Of a hundred, five died in each of two instars, long ago.
        var usual = new Diary(
            Mantis,
            Sex.Unknown,
            200,
            molts: 0,
            hatched: DateOnly.FromDateTime(Diary.Evening.DateTime).AddDays(-200),
            kind: StockKind.Brood,
            count: 100
        )
            .With(195, Died(5))
            .With(188, new Molted())
            .With(180, Died(5))
            .With(120, new Departed(DepartureKind.Sold));
        var bad = Brood(25, 40).With(20, Died(2)).With(13, new Molted()).With(5, Died(12));
        var answer = BroodMeasure.Of(Of(bad), [Of(usual), Of(bad)]);
        var measure = answer.Value!;
        Assert.Equal((BroodYardstick.OwnBroods, 1, 100), (measure.By, measure.Broods, measure.Animals));
        Assert.True(measure.IsWorse);
        Assert.Equal("L2", measure.Since);
        // By hand: 38 were followed over the day-20 hazard of 5/95, twelve died: (12 − 2) / √2.
        Assert.Equal((12, 2.0), (measure.Lost, Math.Round(measure.Expected, 9)));
        Assert.Equal(10 / Math.Sqrt(2), measure.Spreads, 1e-9);
        Assert.StartsWith(
            "This brood is worse than yours usually are since L2: 12 lost since L2 where 2 would be usual.",
            answer.Summary,
            StringComparison.Ordinal
        );
        Assert.Contains("humidity", answer.Summary, StringComparison.Ordinal);

        var few = BroodMeasure.Of(Of(bad), [Of(bad)]).Value!;
        Assert.Equal(BroodYardstick.Rulebook, few.By);
    }

    [Fact]
    public void What_was_split_off_is_not_what_a_brood_is_measured_by()
    {
        var parent = Brood(60, 100);
        parent.Add(50, new Parted(Guid.NewGuid(), 50, "tray 2", new Place("A", 1, 4)));
        Assert.Equal(BroodYardstick.OwnBroods, BroodMeasure.Of(Of(Brood(30, 20)), [Of(parent)]).Value!.By);
        var later = new Diary(Mantis, Sex.Unknown, 40, molts: 0, kind: StockKind.Brood, count: 60);
        var half = later.With(39, new Parted(parent.StockId, 2, "the sac", HalfOf: Guid.NewGuid()));
        Assert.Equal(BroodYardstick.Rulebook, BroodMeasure.Of(Of(half), [Of(parent)]).Value!.By);
    }

    [Fact]
    public void The_river_ends_as_wide_as_there_are()
    {
        var sac = Guid.NewGuid();
        var brood = Brood(30, 40)
            .With(25, new Counted(44))
            .With(20, new Departed(DepartureKind.Died, null, 4, LossCause.Mismolt))
            .With(15, new Parted(sac, 10, "tray 2", new Place("A", 1, 4)))
            .With(10, new Parted(Guid.NewGuid(), 1, "Pip", new Place("A", 1, 5)))
            .With(5, new Departed(DepartureKind.Sold, null, 9));
        var river = BroodRiver.Of(Of(brood))!;
        Assert.Equal(
            [
                (RiverBranch.Mended, 4, 44, "counted"),
                (RiverBranch.Lost, 4, 40, "died (mismolt)"),
                (RiverBranch.Split, 10, 30, "parted"),
                (RiverBranch.Promoted, 1, 29, "parted"),
                (RiverBranch.Left, 9, 20, "sold"),
            ],
            river.Bends.Select(b => (b.Branch, b.Count, b.Living, b.Text))
        );
        Assert.Equal(new CountParty(sac, "tray 2"), river.Bends[2].To);
    }

    [Fact]
    public void A_number_keeps_its_range_as_some_come_and_go()
    {
        var eye = Brood(20, 60).With(19, new Counted(60, Method: CountMethod.ByEye)).With(10, Died(5));
        Assert.Equal("about 55 (55–145), by eye", BroodRange.Of(Of(eye)).Says);
        var sure = eye.With(5, new Counted(112, 110, 116, CountMethod.InPicture));
        Assert.Equal(
            (112, 110, 116),
            (BroodRange.Of(Of(sure)).Count, BroodRange.Of(Of(sure)).Low, BroodRange.Of(Of(sure)).High)
        );
        Assert.Equal("60", BroodRange.Of(Of(Brood(20, 60))).Says);
        Assert.Equal(
            "counted: 60 (60–150), by eye",
            CountedEntry.It.Say(new Counted(60, Method: CountMethod.ByEye), RuleSet.Shipped, Diary.Room().Wording)
        );
    }

    [Fact]
    public void Who_is_missing_at_a_clean_out_is_looked_for_twice_and_then_lost()
    {
        Diary Box() =>
            Brood(20, 24, "papilio-machaon", 2)
                .With(10, new Counted(22, Method: CountMethod.OneByOne))
                .With(0.5, new Counted(18, Method: CountMethod.OneByOne));
        // Two were missing ten nights ago, for whom nobody looks any more, and four lately.
        var line = Box().Line();
        Assert.Equal(Rounds.RoundAct.LookAgain, line.Act);
        Assert.StartsWith("Look again for 4: the underside of every leaf", line.Do, StringComparison.Ordinal);
        var found = Box().With(0.2, new SecondLook(3));
        Assert.NotEqual(Rounds.RoundAct.LookAgain, found.Line().Act);
        var book = CountBook.Of(Of(found))!;
        Assert.Equal(21, found.Standing().Details.Count);
        Assert.Equal(
            [("came", 24), ("gone, nobody knows how", -2), ("lost", -4), ("found again", 3)],
            book.Sums.Select(s => (s.Word, s.By))
        );
        // Of those four one is a loss, at some time between the two counts.
        var steps = BroodCurve.Of(Of(found))!.Middle.Steps;
        Assert.Equal([(5.0, 2), (15.0, 1)], steps.Select(s => (s.Time, s.Deaths)));
        var room = Diary.Room();
        var when = Occurrence.At(Diary.Evening);
        Assert.Equal(
            "act.found",
            Assert.Single(EntryCheck.Check(new SecondLook(9), when, Box().Standing(), room)).Field
        );
        Assert.Single(EntryCheck.Check(new SecondLook(0), when, found.Standing(), room));
    }

    /// <summary>A law: whatever is written of a brood, who came is who left and who is there; and taking all back restores it.</summary>
    [Fact]
    public void Any_brood_adds_up_and_undo_restores()
    {
        Gen.Int[0, 100_000]
            .Sample(
                seed =>
                {
                    var random = new Random(seed);
                    var brood = Brood(200, 30 + random.Next(80));
                    var before = brood.Standing();
                    var written = new List<Guid>();
                    for (var ago = 190; ago > 0; ago -= 1 + random.Next(9))
                    {
                        var act = AnyBroodAct(random, brood.Standing());
                        var when = Occurrence.At(Diary.Evening.AddDays(-ago));
                        var then = Diary.Room(now: Diary.Evening.AddDays(-ago));
                        var standing = brood.Standing();
                        if (standing.Departure is null && EntryCheck.Check(act, when, standing, then).Count == 0)
                        {
                            written.Add(brood.Add(ago, act));
                        }
                    }

                    var now = brood.Standing();
                    var subject = Subject.Of(now, Diary.Room());
                    var book = CountBook.Of(subject)!;
                    Assert.Equal(now.Counts[^1].Now, book.Sums.Sum(s => s.By));
                    var river = BroodRiver.Of(subject)!;
                    Assert.Equal(now.Counts[^1].Now, river.Bends is [.., var last] ? last.Living : river.Source);
                    foreach (var dated in Enum.GetValues<LossDated>())
                    {
                        var seen = BroodLives.Of(subject).Seen(dated);
                        Assert.All(seen, l => Assert.True(l.Count > 0 && (l.Entry ?? -1) < l.Time));
                    }

                    var alive = BroodLives.Of(subject).Seen(LossDated.Middle);
                    Assert.True(alive.Where(l => !l.Died).Sum(l => l.Count) >= now.Counts[^1].Now);
                    Assert.InRange(BroodCurve.Of(subject)!.Living, 0, 1);
                    foreach (var id in Enumerable.Reverse(written))
                    {
                        brood.Add(0, new Withdrawn(id));
                    }

                    Assert.Equal(before.Details, brood.Standing().Details);
                    Assert.Equal(before.Counts, brood.Standing().Counts);
                },
                iter: 60
            );
    }

    private static Act AnyBroodAct(Random r, Standing now) =>
        r.Next(9) switch
        {
            0 => new Departed(DepartureKind.Died, null, 1 + r.Next(6), (LossCause)r.Next(8)),
            1 => new Departed((DepartureKind)r.Next(6), null, 1 + r.Next(6)),
            2 => new Counted(Math.Max(0, now.Details.Count + r.Next(9) - 4), Method: (CountMethod)r.Next(5)),
            3 => new Gained((GainKind)r.Next(3), 1 + r.Next(4)),
            4 => new Parted(Guid.NewGuid(), 1 + r.Next(3), "tray 2", new Place("F", 1, 1)),
            5 => new Molted(),
            6 => new Trays.Divided(1 + r.Next(now.Details.Count + 1)),
            7 => new Trays.VialsMolted([.. now.Vials.Where(_ => r.Next(3) > 0).Take(20)]),
            _ => new Departed(DepartureKind.Died, Vial: 1 + r.Next(90)),
        };
}
