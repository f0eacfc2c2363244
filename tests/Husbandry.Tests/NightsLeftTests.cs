using CsCheck;
using Husbandry.Climate;
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

    /// <summary>A wait of known shape, so that sums of several can be held against drawn ones.</summary>
    private sealed class Lognormal(double median, double sigma) : NightsLeft
    {
        private readonly RemainingWait whole = new(new LogNormalWait(Math.Log(median), sigma), EffectiveDays.Zero);

        public override double Within(CalendarDays days) => whole.Within(new(days.Value));

        public override CalendarDays Quantile(double p) => new(whole.Quantile(p).Value);
    }

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
        var sum = parts.Select(p => new Lognormal(p.Median, p.Sigma)).ToList<NightsLeft>().InTurn();
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
        NightsLeft one = new Lognormal(40, 0.3);
        Assert.Same(one, new[] { one }.InTurn());
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
