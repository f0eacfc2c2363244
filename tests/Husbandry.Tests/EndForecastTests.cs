using CsCheck;
using Husbandry.Climate;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Honesty;
using Husbandry.Journal;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>Waits that end one of several ways: a molt or a hide, workers or a failed founding.</summary>
public class EndForecastTests
{
    private static Diary Buried(double nights) =>
        new Diary("coenobita-perlatus", Sex.Unknown, cameNightsAgo: 900)
            .With(890, new Measured(BodyPart.Claw, 12))
            .With(nights, new Began(VigilKind.Surfacing));

    private static EndForecast Ends(Diary diary, Lessons? lessons = null) =>
        Judgement.Of(diary.Standing(), Diary.Room().With(lessons ?? Lessons.None)).Wait.Value!.Ends!;

    private static RemainingWait After(double median, double sigma, double elapsed) =>
        new(new LogNormalWait(Math.Log(median), sigma), new(elapsed));

    [Fact]
    public void The_chance_of_the_other_end_is_bayes_rule_on_what_is_left_of_either_clock()
    {
        // Source: definition; with normal tails from the standard table: P(Z > 1) = 0.158655, P(Z > 2) = 0.022750.
        var (one, two) = (After(10, 0.5, 10 * Math.Exp(0.5)), After(10, 0.25, 10 * Math.Exp(0.5)));
        var expected = 0.4 * 0.022750 / ((0.4 * 0.022750) + (0.6 * 0.158655));
        var chances = EndForecast.Chances([(0.6, one), (0.4, two)]);
        Assert.Equal(expected, chances[1], 1e-5);
        Assert.Equal(1, chances.Sum(), 1e-12);
    }

    [Fact]
    public void Of_any_number_of_ends_each_has_its_share_times_what_is_left_of_its_clock() =>
        Gen.Select(Gen.Int[2, 5], Gen.Double[0, 60], Gen.Int[0, 100_000])
            .Sample(
                (count, elapsed, seed) =>
                {
                    var random = new Random(seed);
                    var parts = Enumerable.Range(0, count).Select(_ => 0.05 + random.NextDouble()).ToList();
                    var ends = parts
                        .Select(p => (p / parts.Sum(), After(5 + (40 * random.NextDouble()), 0.3, elapsed)))
                        .ToList();
                    // Source: Bayes' rule, computed here without logarithms.
                    var weights = ends.Select(e => e.Item1 * Math.Exp(e.Item2.LogReached)).ToList();
                    Assert.All(
                        EndForecast.Chances(ends).Zip(weights),
                        p => Assert.Equal(p.Second / weights.Sum(), p.First, 1e-9)
                    );
                },
                iter: 200
            );

    [Fact]
    public void A_crab_just_buried_may_only_hide_one_long_gone_is_molting()
    {
        // Handbook: hides last days, molts weeks; the longer it is down the surer the molt.
        var chances = new[] { 0.5, 2, 4, 12, 30 }.Select(n => Ends(Buried(n)).OtherChance).ToList();
        Assert.Equal(chances.OrderDescending(), chances);
        Assert.InRange(chances[0], 0.2, 0.3);
        Assert.True(chances[^1] < 0.02);
    }

    [Fact]
    public void A_founding_that_takes_too_long_is_ever_less_likely_to_succeed()
    {
        double Fails(double nights) =>
            Ends(
                new Diary("messor-barbarus", cameNightsAgo: 400).With(nights, new Began(VigilKind.FirstWorkers))
            ).OtherChance;

        Assert.True(Fails(150) > Fails(90) && Fails(90) > Fails(5));
    }

    [Fact]
    public void Either_end_only_ever_gains_and_both_together_stay_below_one() =>
        Gen.Select(Gen.Double[0, 300], Gen.Int[0, 2])
            .Sample(
                (nights, kind) =>
                {
                    var (species, vigil) = new[]
                    {
                        ("coenobita-perlatus", VigilKind.Surfacing),
                        ("samia-ricini", VigilKind.Emergence),
                        ("lasius-niger", VigilKind.FirstWorkers),
                    }[kind];
                    var ends = Ends(new Diary(species, Sex.Unknown, cameNightsAgo: 900).With(nights, new Began(vigil)));
                    var (last, first) = (ends.Nights[^1], ends.Nights[0]);
                    Assert.All(first.Chances, c => Assert.Equal(0, c));
                    Assert.All(
                        ends.Nights.Zip(ends.Nights.Skip(1)),
                        p =>
                            Assert.True(
                                p.Second.Night >= p.First.Night
                                    && p.Second.Chances.Zip(p.First.Chances).All(c => c.First >= c.Second)
                                    && p.Second.Chances.Sum() <= 1 + 1e-9
                            )
                    );
                    // What is drawn reaches as far as nearly all have ended.
                    Assert.True(last.Chances.Sum() > 0.9, $"{last.Night}");
                    Assert.All(last.Chances.Zip(ends.Ends), c => Assert.True(c.First <= c.Second.Chance + 1e-9));
                },
                iter: 60
            );

    [Fact]
    public void A_pupa_in_its_cold_does_not_emerge_nor_fail_before_the_cold_is_over()
    {
        var ends = Ends(
            new Diary("saturnia-pyri", Sex.Unknown, cameNightsAgo: 300)
                .With(200, new Began(VigilKind.Emergence))
                .With(10, new Chilled(true))
        );
        var tonight = Diary.Room().Tonight;
        Assert.All(
            ends.Nights.Where(n => n.Night < tonight.AddDays(60)),
            n => Assert.All(n.Chances, c => Assert.Equal(0, c))
        );
    }

    [Fact]
    public void A_room_whose_crabs_mostly_hide_expects_them_to()
    {
        Standing Hider(int k)
        {
            var diary = new Diary("coenobita-perlatus", Sex.Unknown, cameNightsAgo: 900);
            foreach (var ago in new[] { 600, 400, 200 })
            {
                diary.With(ago + k, new Began(VigilKind.Surfacing));
                diary.Add(ago + k - 6, new Ended(VigilKind.Surfacing, VigilEnd.Otherwise));
            }

            return diary.Standing();
        }

        var lessons = Lessons.Of([.. Enumerable.Range(0, 4).Select(Hider)], Diary.Room());
        var subject = Subject.Of(Buried(1).Standing(), Diary.Room());
        var ends = lessons.EndsOf(subject, VigilKind.Surfacing)!;
        // Beta count: the rulebook's 0.25 stands for six waits of its own, twelve were counted, all hides.
        Assert.Equal((12, 12), (ends.Counted[VigilEnd.Otherwise], ends.Ended));
        Assert.Equal(((6 * 0.25) + 12) / 18, ends.Shares[VigilEnd.Otherwise], 1e-9);
        Assert.Equal(1, ends.Shares.Values.Sum(), 1e-9);
        Assert.True(Ends(Buried(1), lessons).OtherChance > 0.6);
        // How long hides last here is learned as well: the rulebook says four days, here it was six.
        Assert.NotNull(lessons.For(subject, VigilKind.Surfacing, VigilEnd.Otherwise));
        Assert.Null(lessons.For(subject, VigilKind.Surfacing));
    }

    [Fact]
    public void A_brooding_mother_is_hushed_until_her_young_are_out()
    {
        // Common practice, no published source: disturbed with her sac she may eat it; a male has none.
        var mother = new Diary("hyllus-diardi", mature: true).With(10, new Began(VigilKind.Young));
        var j = mother.Judge();
        Assert.Equal(Phase.Brooding, j.Phase.Value);
        Assert.Equal(Verdict.Never, j.Hush[CareAct.Handle].Verdict);
        Assert.Equal(Verdict.Never, j.Hush[CareAct.Clean].Verdict);
        Assert.Equal(Verdict.Fine, j.Hush[CareAct.Water].Verdict);
        Assert.Equal("young out", j.Wait.Value!.Ends!.Ends[0].Says);
        Assert.Null(j.Molt.Value);
        Assert.Contains(j.Wait.Reasons, r => r.Rule == "group.waits.young");
        mother.Add(1, new Ended(VigilKind.Young, VigilEnd.AsHoped));
        Assert.Equal(Verdict.Fine, mother.Judge().Hush[CareAct.Handle].Verdict);
    }

    [Fact]
    public void Waits_that_ended_the_other_way_say_nothing_of_how_long_the_hoped_end_takes()
    {
        var diary = Buried(300);
        diary.Add(295, new Ended(VigilKind.Surfacing, VigilEnd.Otherwise));
        diary.With(200, new Began(VigilKind.Surfacing));
        diary.Add(150, new Ended(VigilKind.Surfacing, VigilEnd.AsHoped));
        diary.With(20, new Began(VigilKind.Surfacing)).With(0, new Watered(WaterKind.Dish));
        var subject = Subject.Of(diary.Standing(), Diary.Room());
        var (hoped, other) = (
            PastWaits.Of(subject, VigilKind.Surfacing),
            PastWaits.Of(subject, VigilKind.Surfacing, VigilEnd.Otherwise)
        );
        Assert.Equal([50, 20], hoped.Select(w => Math.Round(w.Length.Value)));
        Assert.Equal([5, 20], other.Select(w => Math.Round(w.Length.Value)));
        // The one still lasting is shared out between the two, by what the shares are held to be.
        var shares = new Dictionary<string, double> { [VigilEnd.AsHoped] = 0.7, [VigilEnd.Otherwise] = 0.3 };
        Assert.Equal(hoped[^1].Reached, other[^1].Reached);
        Assert.True(hoped[^1].Reached![VigilEnd.AsHoped] > hoped[^1].Reached![VigilEnd.Otherwise]);
        Assert.Equal(1, shares.Keys.Sum(end => EndForecast.Chance(end, shares, hoped[^1].Reached!)), 1e-9);
    }

    [Fact]
    public void Dates_hold_if_it_ends_as_hoped_and_the_reasons_say_so()
    {
        var wait = Buried(5).Judge().Wait;
        var why = Assert.Single(wait.Reasons, r => r.Rule == "group.otherEnds.surfacing.share");
        Assert.Contains("The dates hold if it comes up", why.Text, StringComparison.Ordinal);
        Assert.Equal(["up after a molt", "only hid"], wait.Value!.Ends!.Ends.Select(e => e.Says));
    }

    [Fact]
    public void Effective_days_ahead_undo_calendar_days() =>
        Gen.Select(Gen.Double[12, 34], Gen.Int[1, 300])
            .Sample(
                (celsius, nights) =>
                {
                    var readings = Enumerable
                        .Range(0, 40)
                        .Select(d => new ClimateReading(Diary.Evening.AddDays(-d), celsius));
                    var room = Diary.Room().With(RoomClimate.Of(readings));
                    var pace = Subject.Of(new Diary().Standing(), room).Pace;
                    var ahead = pace.EachDayAhead(nights);
                    Assert.Equal(nights + 1, ahead.Length);
                    Assert.Equal(nights, pace.Ahead(ahead[nights]).Value, 0.51);
                },
                iter: 100
            );

    [Fact]
    public void Chances_of_an_end_are_scored_against_what_came()
    {
        var night = DateOnly.FromDateTime(Diary.Evening.DateTime);
        ScoredEnd End(double chance, double alone, bool otherwise) =>
            new(Guid.Empty, "ant", VigilKind.FirstWorkers, night, chance, alone, otherwise);

        var line = Assert.Single(EndLine.Of([End(0.5, 0.3, true), End(0.1, 0.3, false)]));
        // Brier (1950): mean of (forecast − outcome)².
        Assert.Equal(((0.5 * 0.5) + (0.1 * 0.1)) / 2, line.Brier, 1e-12);
        Assert.Equal(((0.7 * 0.7) + (0.3 * 0.3)) / 2, line.BrierSpeciesPrior, 1e-12);
        Assert.Equal((2, 0.5, 0.25), (line.Chances, line.Otherwise, line.BrierOfShare));
    }
}
