using Husbandry.Reasons;
using Husbandry.Rulebook;
using Husbandry.Vigils;
using MathNet.Numerics.Distributions;

namespace Husbandry.Tests;

/// <summary>Stages in series against sums whose law is known, and against an independent computation.</summary>
public class StageChainTests
{
    private static readonly double[] Shares = [0.1, 0.5, 0.9];

    private sealed record Exponential(double Mean) : IDaysLeft
    {
        public double Within(EffectiveDays days) => days.Value <= 0 ? 0 : 1 - Math.Exp(-days.Value / Mean);

        public EffectiveDays Quantile(double p) => new(-Mean * Math.Log(1 - p));
    }

    private static RemainingWait Stage(double p10, double p50, double p90, double elapsed = 0) =>
        new(LogNormalWait.FromPrior(new WaitPrior(p10, p50, p90)), new(elapsed));

    private static double[] Ends(params IDaysLeft[] stages) =>
        [.. StageChain.Quantiles(stages, Shares).Select(d => d.Value)];

    [Fact]
    public void A_founding_colonys_stages_add_up()
    {
        // Source: convolution by an independent quadrature, confirmed by 4 million draws.
        IDaysLeft[] stages = [Stage(7, 10, 14), Stage(12, 16, 22), Stage(12, 17, 25), Stage(12, 16, 22)];
        double[][] expected =
        [
            [7.071065, 10, 14.14214],
            [20.96127, 26.38887, 33.24614],
            [35.94415, 43.9424, 53.88015],
            [51.04636, 60.42056, 71.65801],
        ];
        for (var n = 1; n <= stages.Length; n++)
        {
            var ends = Ends(stages[..n]);
            Assert.All(Enumerable.Range(0, 3), k => Assert.Equal(expected[n - 1][k], ends[k], 0.01));
        }
    }

    [Theory]
    [InlineData(2)]
    [InlineData(5)]
    [InlineData(12)]
    public void Exponential_stages_make_an_erlang_law(int stages)
    {
        // Source: the sum of n exponential waits of one mean is Erlang's.
        var ends = Ends([.. Enumerable.Repeat<IDaysLeft>(new Exponential(6), stages)]);
        Assert.All(
            Enumerable.Range(0, 3),
            k => Assert.Equal(Gamma.InvCDF(stages, 1 / 6.0, Shares[k]), ends[k], 1e-3 * ends[k])
        );
    }

    [Fact]
    public void A_stage_under_way_is_told_from_what_is_left_of_it()
    {
        // Exponential waits forget how long they have lasted; a lognormal one that is late drags on.
        var late = Ends(Stage(7, 10, 14, 20), Stage(0.01, 0.02, 0.03));
        Assert.Equal(Stage(7, 10, 14, 20).Quantile(0.5).Value + 0.02, late[1], 0.01);
    }

    [Fact]
    public void Very_short_and_very_lastingstages_keep_their_quantiles()
    {
        var lasting = Stage(400, 800, 1900);
        var ends = Ends(Stage(0.001, 0.002, 0.004), lasting, Stage(0.001, 0.002, 0.004));
        Assert.All(
            Enumerable.Range(0, 3),
            k => Assert.Equal(lasting.Quantile(Shares[k]).Value, ends[k], 1e-3 * ends[k])
        );
    }

    [Fact]
    public void Drawn_stages_agree()
    {
        var random = new Random(17);
        // Of every width: the quantiles lie a thousand times apart.
        IDaysLeft[] stages = [Stage(0.01, 1, 1900), Stage(1, 10, 90), Stage(2, 3, 60)];
        var draws = Enumerable
            .Range(0, 40_000)
            .Select(_ => stages.Sum(s => s.Quantile(Math.Clamp(random.NextDouble(), 1e-9, 1 - 1e-9)).Value))
            .Order()
            .ToList();
        var ends = Ends(stages);
        for (var k = 0; k < 3; k++)
        {
            // Within four standard errors of a quantile, told as a share.
            var share = draws.Count(d => d <= ends[k]) / (double)draws.Count;
            Assert.Equal(Shares[k], share, 4 * Math.Sqrt(Shares[k] * (1 - Shares[k]) / draws.Count));
        }
    }
}
