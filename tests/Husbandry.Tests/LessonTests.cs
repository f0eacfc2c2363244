using CsCheck;
using Husbandry.Climate;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>What a room teaches: waits by species and animal, signs by group, appetite.</summary>
public class LessonTests
{
    private static readonly RoomRules Rules = RuleSet.Shipped.Room;

    private static readonly IntervalPrior Now = new(Math.Log(100), 0.4, 5);

    private static PastWait Wait(
        double days,
        bool isOver = true,
        double median = 100,
        int part = 5,
        double? nextLonger = null
    ) => new(new IntervalPrior(Math.Log(median), 0.4, part, nextLonger), new(days), new(0), isOver);

    private static SpeciesLesson Learn(params PastWait[][] animals) => Learn(0, animals);

    private static SpeciesLesson Learn(double missed, params PastWait[][] animals) =>
        SpeciesLesson.Of(AsAnimals(animals), Rules, missed);

    private static List<(Guid, IReadOnlyList<PastWait>)> AsAnimals(PastWait[][] animals) =>
        [.. animals.Select((a, i) => (Id(i), (IReadOnlyList<PastWait>)a))];

    private static Guid Id(int animal) => new(animal + 1, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0);

    private static RemainingWait Next(SpeciesLesson lesson, Guid animal = default, params PastWait[] own) =>
        new(SpeciesLesson.Whole(Now, lesson, animal, own), EffectiveDays.Zero);

    private static double Median(SpeciesLesson lesson) => Next(lesson).Quantile(0.5).Value;

    [Fact]
    public void With_nothing_to_learn_from_the_forecast_is_the_rulebooks()
    {
        var (learned, alone) = (Next(Learn()), new RemainingWait(Now.Alone, EffectiveDays.Zero));
        foreach (var p in new[] { 0.1, 0.5, 0.9 })
        {
            Assert.Equal(alone.Quantile(p).Value, learned.Quantile(p).Value, 1e-6);
        }
    }

    [Fact]
    public void Going_on_from_what_was_learned_comes_to_what_is_learned_anew()
    {
        List<(Guid, IReadOnlyList<PastWait>)> Animals(int waits) =>
            [
                .. Enumerable
                    .Range(0, 12)
                    .Select(i =>
                        (
                            Id(i),
                            (IReadOnlyList<PastWait>)
                                [
                                    .. Enumerable
                                        .Range(0, waits)
                                        .Select(k =>
                                            Wait(80 + (4 * i) + (30 * Math.Sin((7 * i) + k)), nextLonger: 1.1)
                                        ),
                                ]
                        )
                    ),
            ];
        var former = SpeciesLesson.Of(Animals(4), Rules, missedShare: 0.05);
        var (on, anew) = (
            SpeciesLesson.Of(Animals(5), Rules, missedShare: 0.05, former),
            SpeciesLesson.Of(Animals(5), Rules, missedShare: 0.05)
        );
        foreach (var p in new[] { 0.1, 0.5, 0.9 })
        {
            Assert.Equal(1, Next(on).Quantile(p).Value / Next(anew).Quantile(p).Value, 0.01);
        }
    }

    /// <summary>
    /// Pupae have one wait each: whose it is, the animal's or the wait's, cannot be told apart, but how much all of them scatter can.
    /// Held against the plain variance of 120 logarithms, half the rulebook's spread (Fisher 1922: the likeliest one).
    /// </summary>
    [Fact]
    public void One_wait_each_teaches_how_much_they_scatter()
    {
        const double Sigma = 0.4;
        var scores = Enumerable
            .Range(1, 120)
            .Select(k => MathNet.Numerics.Distributions.Normal.InvCDF(0, 1, (k - 0.5) / 120))
            .ToList();
        PastWait[][] pupae = [.. scores.Select(z => new[] { Wait(100 * Math.Exp(z * Sigma / 2)) })];
        var shares = scores.Average(z => z * z) / 4;
        var lesson = Learn(pupae);
        Assert.InRange(lesson.Within + lesson.Between, shares, 1.25 * shares);
        var narrow = Next(SpeciesLesson.Of(AsAnimals(pupae), Rules, 0, isSeenToEnd: true));
        var wide = Next(SpeciesLesson.Of(AsAnimals(pupae), Rules, 0));
        double Width(RemainingWait w) => w.Quantile(0.9).Value - w.Quantile(0.1).Value;
        // What cannot pass unseen needs no allowance for it.
        Assert.True(Width(narrow) < 0.95 * Width(wide));
        Assert.InRange(Width(narrow), 48, 62);
    }

    [Fact]
    public void The_first_wait_moves_the_forecast_by_a_little()
    {
        var (before, after) = (Next(Learn()), Next(Learn([Wait(105)])));
        foreach (var p in new[] { 0.1, 0.5, 0.9 })
        {
            var change = after.Quantile(p).Value / before.Quantile(p).Value;
            Assert.InRange(change, 0.9, 1.1);
        }
    }

    [Fact]
    public void A_slower_room_moves_the_forecast_of_an_animal_that_has_no_record_yet()
    {
        var slow = Enumerable.Range(0, 8).Select(_ => new[] { Wait(150), Wait(160) }).ToArray();
        Assert.InRange(Median(Learn(slow)), 138, 156);
        Assert.InRange(Median(Learn(slow[..1])), 105, 135);
    }

    [Fact]
    public void Animals_still_waiting_are_not_dropped()
    {
        PastWait[][] ended =
        [
            [Wait(100)],
            [Wait(104)],
            [Wait(96)],
        ];
        var waiting = Enumerable.Range(0, 6).Select(_ => new[] { Wait(170, isOver: false) });
        Assert.True(Median(Learn([.. ended, .. waiting])) > Median(Learn(ended)) * 1.05);
        // One that has hardly begun to wait says nothing.
        Assert.Equal(Median(Learn(ended)), Median(Learn([.. ended, [Wait(5, isOver: false)]])), 0.5);
    }

    [Fact]
    public void An_animals_own_waits_count_once()
    {
        PastWait[] own = [Wait(140), Wait(145), Wait(150), Wait(138), Wait(142)];
        var others = Enumerable.Range(0, 12).Select(k => new[] { Wait(95 + k), Wait(100 + k) }).ToArray();
        var with = Next(Learn([own, .. others]), Id(0), own);
        var without = Next(Learn(others), Guid.NewGuid(), own);
        // But for what it says of how much animals differ, it makes no difference whether the room learned from it too.
        Assert.Equal(without.Quantile(0.5).Value, with.Quantile(0.5).Value, 4.0);
        var twice = Next(Learn([own, .. others]), Guid.NewGuid(), own);
        Assert.True(with.Quantile(0.5).Value < twice.Quantile(0.5).Value);
    }

    [Fact]
    public void A_part_of_life_that_is_slower_than_the_rulebook_is_followed_and_adults_stand_apart()
    {
        PastWait[] Growing(double factor) =>
            [.. Enumerable.Range(0, 8).Select(k => Wait(100 * factor * Math.Pow(1.1, k), part: k))];
        var lesson = Learn(Growing(0.9), Growing(1), Growing(1.1), Growing(1.05), Growing(0.95));
        var offsets = Enumerable.Range(0, 8).Select(k => lesson.OffsetAt(Now with { Part = k })).ToList();
        Assert.Equal(offsets.Order(), offsets);
        Assert.InRange(offsets[7], 0.4, 0.68);
        // Nothing was seen of adults: only what the room is as a whole says anything of them.
        Assert.InRange(lesson.OffsetAt(Now with { Part = 8 }), 0, offsets[4]);
    }

    [Fact]
    public void One_animals_pace_counts_more_the_more_animals_differ()
    {
        PastWait[] Pace(double days) => [Wait(days), Wait(days * 1.02), Wait(days * 0.98)];
        var alike = Learn(Pace(100), Pace(101), Pace(99), Pace(100), Pace(102));
        var unlike = Learn(Pace(60), Pace(100), Pace(160), Pace(80), Pace(130));
        double Own(SpeciesLesson lesson) => Next(lesson, Guid.NewGuid(), Pace(140)).Quantile(0.5).Value;

        Assert.True(Own(unlike) > Own(alike));
        Assert.InRange(Own(unlike), 122, 142);
    }

    [Fact]
    public void A_date_that_is_known_badly_weighs_less()
    {
        var sure = Learn([Wait(150)]);
        var vague = Learn([Wait(150) with { DateSpread = new(60) }]);
        Assert.True(Math.Abs(vague.Offset) < Math.Abs(sure.Offset));
    }

    [Fact]
    public void A_wait_twice_as_long_as_usual_is_read_as_two()
    {
        var usual = Enumerable
            .Range(0, 30)
            .Select(k => new[] { Wait(98 + (k % 5), nextLonger: 1), Wait(100, nextLonger: 1) })
            .ToArray();
        var hiding = Learn(0.05, [.. usual, [Wait(205, nextLonger: 1)]]);
        Assert.InRange(hiding.MissedExpected, 0.8, 1.2);
        Assert.InRange(Median(hiding), 97, 106);
        // One that fits nothing is somebody else's.
        Assert.InRange(Median(Learn(0.05, [.. usual, [Wait(3000, nextLonger: 1)]])), 97, 106);
    }

    [Fact]
    public void A_wait_three_times_as_long_hides_two()
    {
        var usual = Enumerable.Range(0, 30).Select(k => new[] { Wait(98 + (k % 5), nextLonger: 1) }).ToArray();
        var hiding = Learn(0.1, [.. usual, [Wait(305, nextLonger: 1)]]);
        Assert.InRange(hiding.MissedExpected, 1.7, 2.2);
        Assert.InRange(Median(hiding), 97, 106);
    }

    [Fact]
    public void What_turning_food_down_means_is_counted_in_this_room()
    {
        // Animals here eat until the very end: of ten offers within a premolt nine were taken.
        var diary = new Diary(cameNightsAgo: 700);
        foreach (var molt in new[] { 600, 400, 200 })
        {
            for (var k = 1; k <= 10; k++)
            {
                diary.With(
                    molt + k,
                    new Offered(
                        "cricket",
                        "small",
                        1,
                        Preparation.Live,
                        k == 1 ? OfferOutcome.Fled : OfferOutcome.Eaten,
                        k == 1 ? false : null
                    )
                );
            }

            diary.With(molt, new Molted());
        }

        var standing = diary.Standing();
        var lessons = Lessons.Of([standing], Diary.Room());
        var learned = lessons.RefusedInPremolt("tarantula")!;
        var (weight, usual) = (Rules.Signs.RefusedPriorOffers.Value, Rules.Signs.RefusedInPremolt.Value);
        Assert.True(learned.Offers == 30 && learned.Refused == 3, $"{learned}");
        Assert.Equal(((weight * usual) + learned.Refused) / (weight + learned.Offers), learned.Share, 1e-12);

        // There a meal says less against a molt than where nobody eats before one.
        double MealRatio(Lessons l) => Appetite.Of(Subject.Of(standing, Diary.Room().With(l))).MealRatio();
        Assert.True(MealRatio(lessons) > 1.5 * MealRatio(Lessons.None));
    }

    [Fact]
    public void Where_molts_go_unseen_a_long_wait_is_no_wonder()
    {
        double Late(double missed) =>
            1
            - new RemainingWait(
                SpeciesLesson.Whole(Now with { NextLonger = 1 }, Learn(missed, [Wait(100)]), default, []),
                EffectiveDays.Zero
            ).Within(new(230));
        Assert.True(Late(0.2) > 3 * Late(0.01));
    }

    [Fact]
    public void Species_medians_are_joined_by_a_line_that_rises_with_every_molt()
    {
        var profile = RuleSet.Shipped.Profile("tliltocatl-albopilosus")!;
        var medians = Enumerable
            .Range(1, 9)
            .Select(k =>
                IntervalPrior
                    .ForMolt(
                        profile,
                        k < 4 ? Stage.Sling
                            : k < 9 ? Stage.Juvenile
                            : Stage.SubAdult,
                        k,
                        null,
                        Sex.Female
                    )
                    .Mu
            )
            .ToList();
        Assert.Equal(medians.Order(), medians);
    }

    [Fact]
    public void Waiting_longer_never_brings_the_middle_before_today() =>
        Gen.Select(Gen.Int[1, 900], Gen.Double[10, 35], Gen.Bool)
            .Sample(
                (nights, celsius, warm) =>
                {
                    var diary = new Diary(cameNightsAgo: 1000).LegSpan(60, 990).With(nights, new Molted());
                    var readings = Enumerable
                        .Range(0, 1000)
                        .Select(d => new ClimateReading(Diary.Evening.AddDays(-d), celsius));
                    var room = Diary.Room().With(warm ? RoomClimate.Of(readings) : RoomClimate.Unread);
                    var molt = Judgement.Of(diary.Standing(), room).Molt.Value!;
                    Assert.True(molt.P10 >= room.Tonight && molt.P10 <= molt.P50 && molt.P50 <= molt.P90);
                },
                iter: 60
            );

    [Fact]
    public void A_warm_room_brings_the_molt_nearer()
    {
        DateOnly Half(double celsius)
        {
            var readings = Enumerable
                .Range(0, 60)
                .Select(d => new ClimateReading(Diary.Evening.AddDays(-d), celsius, Zone: "A1"));
            var diary = new Diary(cameNightsAgo: 100).LegSpan(60, 99).With(20, new Molted());
            return Judgement.Of(diary.Standing(), Diary.Room().With(RoomClimate.Of(readings))).Molt.Value!.P50;
        }

        Assert.True(Half(28) < Half(22));
    }

    [Fact]
    public void Units_never_change_a_judgement()
    {
        var diary = new Diary().LegSpan(60).Ate(9).Refused(3).With(100, new Molted());
        var mm = diary.Judge();
        foreach (var unit in new[] { LengthUnit.Cm, LengthUnit.In })
        {
            var other = diary.Judge(Diary.Settings with { Unit = unit });
            Assert.Equal(mm.Molt.Value!.P50, other.Molt.Value!.P50);
            Assert.Equal(mm.Molt.Value.PremoltChance, other.Molt.Value.PremoltChance);
            Assert.Equal(mm.Stage.Value, other.Stage.Value);
            Assert.Equal(mm.Meal.Value.Due, other.Meal.Value.Due);
            Assert.Equal(mm.Prey.Value!.MaxPreyMm, other.Prey.Value!.MaxPreyMm);
        }
    }

    [Fact]
    public void A_refusal_says_more_of_a_greedy_animal_than_of_a_shy_one()
    {
        Diary Eater(bool greedy)
        {
            var diary = new Diary(cameNightsAgo: 390).LegSpan(60, 380);
            for (var ago = 380; ago > 20; ago -= 9)
            {
                _ = greedy || ago % 2 == 0 ? diary.Ate(ago) : diary.Refused(ago);
            }

            return diary.Ate(12).Refused(2);
        }

        double Ratio(bool greedy) =>
            Eater(greedy).Judge().Reading.Value.Evidence.Single(e => e.SignId == "refuses-food").LikelihoodRatio;

        Assert.True(Ratio(true) > 2 * Ratio(false), $"{Ratio(true)} {Ratio(false)}");
    }

    [Fact]
    public void Signs_are_counted_before_molts_and_outside_them()
    {
        Standing Life(int k)
        {
            var diary = new Diary(cameNightsAgo: 900).LegSpan(60, 890);
            foreach (var ago in new[] { 800, 600, 400, 200 })
            {
                diary.Sign("dull", ago + 10).With(ago, new Molted());
            }

            return diary.Sign("plump", 700 + (k % 3)).Sign("plump", 300).Standing();
        }

        var lessons = Lessons.Of([.. Enumerable.Range(0, 6).Select(Life)], Diary.Room());
        var dull = lessons.Sign("tarantula", "dull")!;
        Assert.Equal((18, 18, 0), (dull.SeenInPremolt, dull.Premolts, dull.SeenOutside));
        Assert.True(dull.Ratio > dull.RulebookRatio);
        var plump = lessons.Sign("tarantula", "plump")!;
        Assert.Equal(0, plump.SeenInPremolt);
        Assert.Equal(1, plump.Ratio);
        // A sign that nobody ever noted keeps what the rulebook says.
        Assert.Equal(12, lessons.Sign("tarantula", "dark-line")!.Ratio, 1e-9);
        Assert.Equal(4000, lessons.Sign("tarantula", "on-its-back")!.Ratio);
    }

    [Fact]
    public void A_crab_underground_is_hushed_and_never_to_be_dug_up_however_long_it_takes()
    {
        foreach (var nights in new[] { 3, 40, 400 })
        {
            var diary = new Diary("coenobita-perlatus", Sex.Unknown, cameNightsAgo: 500)
                .With(490, new Measured(BodyPart.Claw, 14))
                .With(nights, new Began(VigilKind.Surfacing));
            var j = diary.Judge();
            Assert.Equal(Phase.Buried, j.Phase.Value);
            Assert.Equal(Verdict.Never, j.Hush[CareAct.Dig].Verdict);
            Assert.Null(j.Molt.Value);
            Assert.True(j.Wait.Value!.P50 >= j.Subject.Room.Tonight);
            Assert.Equal(nights == 400, j.Wait.Value.LongerThanNormal);
        }
    }

    [Fact]
    public void Coming_up_is_a_molt_dated_by_the_nights_underground()
    {
        var diary = new Diary("coenobita-rugosus", Sex.Unknown).With(60, new Began(VigilKind.Surfacing));
        diary.Add(20, new Ended(VigilKind.Surfacing, VigilEnd.AsHoped));
        var molt = Assert.Single(diary.Standing().Growth.Molts);
        Assert.Equal(40, (molt.When.To - molt.When.From).TotalDays, 1e-6);
        var hidden = new Diary("coenobita-rugosus", Sex.Unknown)
            .With(60, new Began(VigilKind.Surfacing))
            .With(57, new Ended(VigilKind.Surfacing, VigilEnd.Otherwise));
        Assert.Empty(hidden.Standing().Growth.Molts);
    }

    [Fact]
    public void A_diapausing_pupa_waits_for_its_cold_first()
    {
        Diary Pupa() =>
            new Diary("saturnia-pyri", Sex.Unknown, cameNightsAgo: 300).With(200, new Began(VigilKind.Emergence));
        var unchilled = Pupa().Judge().Wait.Value!;
        var warm = Pupa().With(150, new Chilled(true)).With(10, new Chilled(false)).Judge().Wait.Value!;
        // Common practice, no published source: no adult before the weeks of cold are over.
        Assert.True(unchilled.P10 >= Diary.Room().Tonight.AddDays(14 * 7));
        Assert.True(warm.P90 < unchilled.P10);
    }

    [Fact]
    public void A_mantis_is_adult_by_its_ultimate_molt_only()
    {
        var diary = new Diary("hierodula-membranacea", Sex.Female, cameNightsAgo: 150, molts: 6).With(
            100,
            new Measured(BodyPart.Body, 80)
        );
        Assert.Equal(Stage.Juvenile, diary.Judge().Stage.Value);
        Assert.Equal(Stage.SubAdult, diary.With(60, new Molted()).Judge().Stage.Value);
        Assert.Equal(Stage.Adult, diary.With(30, new Molted(Ultimate: true)).Judge().Stage.Value);
        Assert.Null(diary.Judge().Molt.Value);
    }
}
