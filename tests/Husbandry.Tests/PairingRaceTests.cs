using Husbandry.Pairing;
using Husbandry.Vigils;
using MathNet.Numerics.Distributions;
using MathNet.Numerics.Integration;

namespace Husbandry.Tests;

/// <summary>The race of a sac against the molt, and two adult lives, against plain integration and drawing.</summary>
public sealed class PairingRaceTests
{
    private const int Shares = 1000;

    [Theory]
    [InlineData(180, 250, 400, 60, 40, 70, 150)]
    [InlineData(180, 250, 400, 330, 40, 70, 150)]
    [InlineData(20, 21, 22, 20.5, 5, 30, 180)]
    [InlineData(100, 300, 900, 0, 9.9, 10, 10.1)]
    public void The_chance_is_the_integral_written_out(
        double m10,
        double m50,
        double m90,
        double elapsed,
        double s10,
        double s50,
        double s90
    )
    {
        var (molt, sac) = (Log(m10, m50, m90), Log(s10, s50, s90));
        var left = new RemainingWait(LogNormalWait.FromPrior(new(m10, m50, m90)), new(elapsed));
        var sacs = EqualShares.Of(LogNormalWait.FromPrior(new(s10, s50, s90)), Shares);
        foreach (var day in new[] { 0, 7, 60, 200 })
        {
            var chance = PairingRace.Chance(
                days => 1 - left.Within(new(days)),
                sacs.Select(s => day + s.Value),
                takeRate: 0.6
            );
            double Survives(double days) => 1 - molt.CumulativeDistribution(days);
            // In ln days and cut far out, so that the rule of Gauss sees a smooth function of finite length.
            var exact = 0.0;
            const int Pieces = 200;
            var (low, high) = (sac.Mu - (8 * sac.Sigma), sac.Mu + (8 * sac.Sigma));
            for (var k = 0; k < Pieces; k++)
            {
                var (a, b) = (low + ((high - low) * k / Pieces), low + ((high - low) * (k + 1) / Pieces));
                exact += GaussLegendreRule.Integrate(
                    z => Math.Exp(z) * sac.Density(Math.Exp(z)) * Survives(elapsed + day + Math.Exp(z)),
                    a,
                    b,
                    10
                );
            }

            Assert.Equal(0.6 * exact / Survives(elapsed), chance, 0.001);
        }
    }

    [Fact]
    public void The_chance_falls_with_every_day_and_the_window_ends_where_half_of_it_is_gone()
    {
        var left = new RemainingWait(LogNormalWait.FromPrior(new(180, 250, 400)), new(60));
        var sacs = EqualShares.Of(LogNormalWait.FromPrior(new(40, 70, 150)), 200);
        double[] byDay =
        [
            .. Enumerable
                .Range(0, 400)
                .Select(d => PairingRace.Chance(x => 1 - left.Within(new(x)), sacs.Select(s => d + s.Value), 1)),
        ];
        Assert.All(byDay.Zip(byDay.Skip(1)), pair => Assert.True(pair.Second <= pair.First));
        var (best, last) = PairingRace.Window(byDay, 10, 0.5);
        Assert.Equal(10, best);
        Assert.True(byDay[last!.Value] >= byDay[10] / 2 && byDay[last.Value + 1] < byDay[10] / 2);
        Assert.Equal((10, null), PairingRace.Window(new double[400], 10, 0.5));
        // The last digits of a sum make no later day the best.
        Assert.Equal((0, 2), PairingRace.Window([0.5, 0.5 + 1e-16, 0.5 + 2e-16], 0, 0.5));
    }

    [Fact]
    public void Two_adult_lives_overlap_as_often_as_when_they_are_drawn()
    {
        // The definition of the overlap, drawn 400,000 times: four standard errors are 0.0032.
        const int Draws = 400_000;
        const double Nights = 5;
        var (a1, l1) = (Log(40, 60, 90), Log(30, 60, 110));
        var (a2, l2) = (Log(70, 110, 170), Log(90, 150, 240));
        a1.RandomSource = l1.RandomSource = a2.RandomSource = l2.RandomSource = new Random(15);
        var together = 0;
        for (var k = 0; k < Draws; k++)
        {
            var (x, y) = (a1.Sample(), a2.Sample());
            together += Math.Min(x + l1.Sample(), y + l2.Sample()) - Math.Max(x, y) >= Nights ? 1 : 0;
        }

        var one = AdultSpan.From(Wait(40, 60, 90), Wait(30, 60, 110), Shares);
        var other = AdultSpan.From(Wait(70, 110, 170), Wait(90, 150, 240), Shares);
        Assert.Equal(together / (double)Draws, AdultOverlap.Chance(one, other, Nights), 0.0035);
        Assert.Equal(AdultOverlap.Chance(one, other, Nights), AdultOverlap.Chance(other, one, Nights), 1e-9);
    }

    [Fact]
    public void Who_is_adult_now_is_adult_until_it_dies()
    {
        var now = AdultSpan.From(null, Wait(30, 60, 110), Shares);
        Assert.Equal(1, now.AdultOn(0), 1e-12);
        Assert.Equal(0.5, now.AdultOn(60), 1e-9);
        // Two that are adult now are together for as long as both live.
        Assert.Equal(0.25, AdultOverlap.Chance(now, now, 60), 1e-9);
    }

    private static LogNormalWait Wait(double p10, double p50, double p90) =>
        LogNormalWait.FromPrior(new(p10, p50, p90));

    private static LogNormal Log(double p10, double p50, double p90)
    {
        var wait = Wait(p10, p50, p90);
        return new LogNormal(wait.Mu, wait.Sigma);
    }
}
