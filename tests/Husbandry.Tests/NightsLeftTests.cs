using CsCheck;
using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Vigils;
using MathNet.Numerics.Distributions;

namespace Husbandry.Tests;

/// <summary>The whole distribution behind a forecast. Source: definitions of distribution and quantile functions.</summary>
public class NightsLeftTests
{
    private static readonly Gen<Judgement> Any = Gen.Select(Gen.Int[0, 1_000_000], Gen.Double[10, 32], Gen.Bool)
        .Select(
            (seed, celsius, read) =>
            {
                // A warming room: days to come are worth more than those behind.
                var readings = Enumerable
                    .Range(0, 60)
                    .Select(d => new ClimateReading(Diary.Evening.AddDays(-d), celsius - (d * 0.05)));
                var room = read ? Diary.Room().With(RoomClimate.Of(readings)) : Diary.Room();
                return Judgement.Of(AnyStock.Of(seed).Standing(), room);
            }
        );

    private static IEnumerable<VigilForecast> Forecasts(Judgement j) =>
        j.Waits.Append(j.Molt).Select(a => a.Value).OfType<VigilForecast>();

    [Fact]
    public void The_chance_within_a_quantile_is_its_share() =>
        Any.Sample(
            j =>
            {
                foreach (var left in Forecasts(j).Select(f => f.Left))
                {
                    foreach (var p in new[] { 0.05, 0.1, 0.5, 0.9, 0.97 })
                    {
                        Assert.Equal(p, left.Within(left.Quantile(p)), 1e-3);
                    }
                }
            },
            iter: 300
        );

    [Fact]
    public void It_never_falls_and_what_is_not_over_still_lasts() =>
        Any.Sample(
            j =>
            {
                foreach (var left in Forecasts(j).Select(f => f.Left))
                {
                    Assert.Equal(0, left.Within(CalendarDays.Zero));
                    var chances = Enumerable.Range(0, 40).Select(k => left.Within(new(k * 9.5))).ToList();
                    Assert.Equal(chances.Order(), chances);
                    Assert.All(chances, c => Assert.InRange(c, 0, 1));
                    Assert.Equal(1, left.Within(new(33)) + left.Survival(new(33)), 1e-12);
                }
            },
            iter: 300
        );

    [Fact]
    public void The_three_nights_that_are_shown_are_read_off_it() =>
        Any.Sample(
            j =>
            {
                foreach (var f in Forecasts(j))
                {
                    var tonight = j.Subject.Room.Tonight;
                    Assert.Equal(
                        [f.P10, f.P50, f.P90],
                        new[] { 0.1, 0.5, 0.9 }.Select(p => f.Left.Quantile(p).After(tonight))
                    );
                }
            },
            iter: 200
        );

    /// <summary>Source: 40,000 sums drawn anew with Math.NET's own lognormal samples; no closed form exists.</summary>
    [Theory]
    [InlineData(30, 0.2, 45, 0.3, 60, 0.3)]
    [InlineData(10, 0.8, 90, 0.5, 200, 0.6)]
    [InlineData(3, 1.1, 5, 0.25, 400, 0.4)]
    public void Waits_in_turn_are_the_sum_of_drawn_ones(double a, double sa, double b, double sb, double c, double sc)
    {
        var random = new Random(4);
        (double Median, double Sigma)[] parts = [(a, sa), (b, sb), (c, sc)];
        var drawn = Enumerable
            .Range(0, 40_000)
            .Select(_ => parts.Sum(p => LogNormal.Sample(random, Math.Log(p.Median), p.Sigma)))
            .Order()
            .ToList();
        var sum = parts
            .Select(p => new RemainingWait(new LogNormalWait(Math.Log(p.Median), p.Sigma), EffectiveDays.Zero))
            .Aggregate((IDaysLeft?)null, (before, next) => WaitsInTurn.Of(before, next))!;
        foreach (var p in new[] { 0.1, 0.5, 0.9 })
        {
            var expected = drawn[(int)(p * drawn.Count)];
            Assert.InRange(sum.Quantile(p).Value, expected * 0.97, expected * 1.03);
            Assert.Equal(p, sum.Within(new(expected)), 0.02);
        }
    }

    [Fact]
    public void One_wait_in_turn_is_itself()
    {
        IDaysLeft one = new RemainingWait(new LogNormalWait(Math.Log(40), 0.3), EffectiveDays.Zero);
        Assert.Same(one, WaitsInTurn.Of(null, one));
    }

    /// <summary>
    /// A law: what takes twice as long on the animal's own clock takes twice as long in days of warmth, whatever season the
    /// later molts fall into.
    /// </summary>
    [Fact]
    public void Molts_to_come_are_added_up_on_the_animals_own_clock()
    {
        var autumn = Enumerable.Range(0, 700).Select(d => new ClimateReading(Diary.Evening.AddDays(-d), Season(d)));
        var judged = Judgement.Of(
            new Diary("tliltocatl-albopilosus", cameNightsAgo: 500, molts: 3)
                .With(480, new Measured(BodyPart.Body, 14))
                .Standing(),
            Diary.Room().With(RoomClimate.Of(autumn))
        );
        var (s, size) = (judged.Subject, judged.Size.Value);
        var now = MoltPath.Of(s, judged.Molt.Value, size, 4).ToList();
        var slow = MoltPath.Of(s, judged.Molt.Value, size, 4, slower: 2).ToList();
        Assert.Equal(4, now.Count);
        foreach (var (a, b) in now.Zip(slow))
        {
            foreach (var p in new[] { 0.1, 0.5, 0.9 })
            {
                var once = s.Pace.Within(a.Until.Quantile(p)).Value;
                Assert.Equal(2 * once, s.Pace.Within(b.Until.Quantile(p)).Value, 0.08 * once);
            }
        }

        // The winter in between is slow: four molts take longer than at the present pace.
        var last = now[^1].Until.Quantile(0.5);
        Assert.True(s.Pace.Within(last).Value < last.Value * s.Pace.RateNow);

        static double Season(int daysAgo) => 24 + (4 * Math.Cos(2 * Math.PI * (daysAgo + 30) / 365.25));
    }

    [Fact]
    public void Lengths_to_come_grow_as_this_animal_grew()
    {
        var diary = new Diary("tliltocatl-albopilosus", cameNightsAgo: 500, molts: 3);
        foreach (var (ago, mm) in new[] { (490, 10.0), (380, 15.0), (250, 22.5), (120, 33.75) })
        {
            diary = diary.With(ago + 1, new Molted()).With(ago, new Measured(BodyPart.Carapace, mm, true));
        }

        var judged = diary.Judge();
        var path = MoltPath.Of(judged.Subject, judged.Molt.Value, judged.Size.Value, 2).ToList();
        Assert.Equal([1, 1.5], path.Select(p => p.GrownBy), (a, b) => Math.Abs(a - b) < 0.01);
        Assert.Equal(2.25, path[^1].GrowsTo, 0.02);
    }

    /// <summary>A normal distribution through the three nights would have given weight to nights within the cold.</summary>
    [Fact]
    public void A_pupa_that_still_needs_cold_cannot_emerge_before_it_is_over()
    {
        var pupa = new Diary("saturnia-pyri", cameNightsAgo: 60, molts: 5)
            .With(20, new Began(VigilKind.Emergence))
            .With(14, new Chilled(true))
            .Judge();
        var left = pupa.Wait.Value!.Left;
        var weeks = WinterWeeks.Of(pupa.Subject)!;
        var still = (weeks.Needed * 7) - 14;
        Assert.Equal(0, left.Within(new(still - 1)));
        Assert.True(left.Quantile(0.01) > new CalendarDays(still));
    }
}
