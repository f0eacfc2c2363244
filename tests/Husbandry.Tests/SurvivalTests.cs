using CsCheck;
using Husbandry.Nursery;

namespace Husbandry.Tests;

/// <summary>The living curve against published data sets.</summary>
public class SurvivalTests
{
    // Freireich et al. (1963) Blood 21:699–716; Gehan (1965) Biometrika 52:203–223: weeks to relapse, censored where negative.
    private static readonly double[] Treated =
    [
        6,
        6,
        6,
        -6,
        7,
        -9,
        10,
        -10,
        -11,
        13,
        16,
        -17,
        -19,
        -20,
        22,
        23,
        -25,
        -32,
        -32,
        -34,
        -35,
    ];

    private static readonly double[] Untreated =
    [
        1,
        1,
        2,
        2,
        3,
        4,
        4,
        5,
        5,
        8,
        8,
        8,
        8,
        11,
        11,
        12,
        12,
        15,
        17,
        22,
        23,
    ];

    private static SurvivalCurve Curve(IEnumerable<double> times) =>
        SurvivalCurve.Of([.. times.Select(t => new LifeSeen(Math.Abs(t), t > 0))]);

    private static void Near(IEnumerable<double> expected, IEnumerable<double?> found, double within) =>
        Assert.All(expected.Zip(found), pair => Assert.Equal(pair.First, pair.Second!.Value, within));

    [Fact]
    public void Relapses_under_treatment()
    {
        var curve = Curve(Treated);
        Assert.Equal([6, 7, 10, 13, 16, 22, 23], curve.Steps.Select(s => s.Time));
        Assert.Equal([21, 17, 15, 12, 11, 7, 6], curve.Steps.Select(s => s.AtRisk));
        Near(
            [0.8571429, 0.8067227, 0.7529412, 0.6901961, 0.627451, 0.5378151, 0.4481793],
            curve.Steps.Select(s => (double?)s.Survival),
            1e-6
        );
        // Greenwood (1926).
        Near(
            [0.0763604, 0.0869353, 0.0963497, 0.1068147, 0.1140539, 0.1282338, 0.1345915],
            curve.Steps.Select(s => s.StandardError),
            1e-6
        );
        // Kalbfleisch & Prentice, by R survival 3.5-3.
        SurvivalStep[] three = [.. curve.Steps.Where(s => s.Time is 6 or 13 or 23)];
        Near([0.619718, 0.43161, 0.188052], three.Select(s => s.Low95), 1e-5);
        Near([0.951552, 0.849066, 0.680143], three.Select(s => s.High95), 1e-5);
        Assert.Equal(23, curve.Median);
    }

    [Fact]
    public void Relapses_without_treatment_end_with_all()
    {
        var curve = Curve(Untreated);
        var at8 = curve.Steps.Single(s => s.Time == 8);
        Assert.Equal(0.3809524, at8.Survival, 1e-6);
        Assert.Equal(0.1059712, at8.StandardError!.Value, 1e-6);
        Assert.Equal(8, curve.Median);
        var last = curve.Steps[^1];
        Assert.Equal((0, null, null, null), (last.Survival, last.StandardError, last.Low95, last.High95));
    }

    [Fact]
    public void Those_that_came_later_are_at_risk_only_from_then_on()
    {
        // Checked with R survival 3.5-3, survfit of left-truncated times.
        (double Entry, double Exit, bool Died)[] all =
        [
            (0, 12, true),
            (0, 15, false),
            (5, 20, true),
            (9, 20, true),
            (0, 26, false),
            (14, 30, true),
            (21, 33, false),
            (25, 40, true),
        ];
        var curve = SurvivalCurve.Of([.. all.Select(a => new LifeSeen(a.Exit, a.Died, 1, a.Entry))]);
        Assert.Equal([12, 20, 30, 40], curve.Steps.Select(s => s.Time));
        Assert.Equal([5, 4, 3, 1], curve.Steps.Select(s => s.AtRisk));
        Near([0.8, 0.4, 0.2666667, 0], curve.Steps.Select(s => (double?)s.Survival), 1e-6);
    }

    [Fact]
    public void A_brood_is_counted_by_its_days()
    {
        // 60 hatchlings, checked with R survival 3.5-3 weighted by counts.
        var curve = SurvivalCurve.Of([
            new(2, true, 6),
            new(5, true, 10),
            new(9, true, 4),
            new(14, true, 3),
            new(14, false, 37),
        ]);
        Near([0.9, 0.7333333, 0.6666667, 0.6166667], curve.Steps.Select(s => (double?)s.Survival), 1e-6);
        Near([0.0387298, 0.0570899, 0.0608581, 0.0627679], curve.Steps.Select(s => s.StandardError), 1e-6);
        Assert.Null(curve.Median);
        Assert.Equal((1, 0.9), (curve.At(1), curve.At(2)));
    }

    [Theory]
    // As R has it: where the curve stays at a half, the middle of that; at the very end, where it fell to it.
    [InlineData(new double[] { 2, 6, -9, -9 }, 6.0)]
    [InlineData(new double[] { 2, 6, 10, -12 }, 8.0)]
    [InlineData(new double[] { 2, -6, -10, -12 }, null)]
    public void The_median_where_the_curve_is_a_half(double[] times, double? median) =>
        Assert.Equal(median, Curve(times).Median);

    [Fact]
    public void Without_anyone_leaving_it_is_the_share_that_is_left_and_counts_stand_for_as_many() =>
        Gen.Select(Gen.Int[1, 30].Array[1, 12], Gen.Int[1, 5])
            .Sample(
                (days, each) =>
                {
                    var alone = SurvivalCurve.Of([
                        .. days.SelectMany(d => Enumerable.Repeat(new LifeSeen(d, true), each)),
                    ]);
                    var counted = SurvivalCurve.Of([.. days.Select(d => new LifeSeen(d, true, each))]);
                    Assert.Equal(alone.Steps, counted.Steps);
                    foreach (var step in counted.Steps)
                    {
                        Assert.Equal(days.Count(d => d > step.Time) / (double)days.Length, step.Survival, 1e-9);
                    }
                }
            );
}
