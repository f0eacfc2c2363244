using CsCheck;
using Husbandry.Growth;
using Husbandry.Rulebook;

namespace Husbandry.Tests;

/// <summary>Growth against outside values. Each test names its source.</summary>
public class GrowthFitTests
{
    private static readonly RoomRules Rules = RuleSet.Shipped.Room;

    // Source: head capsule widths of Spodoptera frugiperda, Capinera (1999), Univ. of Florida IFAS EENY-98 (table from memory).
    private static readonly GrowthPoint[] FallArmyworm =
    [
        new(1, 0.35),
        new(2, 0.45),
        new(3, 0.75),
        new(4, 1.3),
        new(5, 2.0),
        new(6, 2.6),
    ];

    [Fact]
    public void Log_linear_fit_equals_the_reference_libraries()
    {
        // Source: R 4.2.2 lm and statsmodels 0.13.5 OLS on the data above.
        var fit = GrowthFit.Of(FallArmyworm, null, Rules)!;
        Close(-1.54266605, fit.LogIntercept);
        Close(0.430047966, fit.LogSlope);
        Close(1.53733126, fit.Ratio);
        Close(0.987826856, fit.RSquared!.Value);
        Close(0.099854326, fit.ResidualStandardError!.Value);
    }

    [Fact]
    public void Next_size_is_the_reference_prediction_interval()
    {
        // Source: R 4.2.2 predict.lm with t(0.95, n − 2).
        var next = GrowthFit.Of(FallArmyworm, null, Rules)!.Next!;
        Assert.Equal(7, next.Instar);
        Close(4.33911198, next.MedianMm);
        Close(3.24406863, next.Low90Mm);
        Close(5.80378991, next.High90Mm);
    }

    [Fact]
    public void Constructed_record_gives_the_reference_interval()
    {
        // Source: constructed data; R 4.2.2 predict.lm.
        GrowthPoint[] points = [new(3, 6.0), new(4, 7.7), new(5, 9.6), new(6, 12.3)];
        var fit = GrowthFit.Of(points, null, Rules)!;
        Close(1.26795608, fit.Ratio);
        Close(15.5584061, fit.Next!.MedianMm);
        Close(14.9316226, fit.Next.Low90Mm);
        Close(16.2115, fit.Next.High90Mm);
    }

    [Fact]
    public void A_missing_instar_is_no_hindrance()
    {
        // Source: constructed data; R 4.2.2 lm.
        GrowthPoint[] points = [new(1, 3.1), new(2, 4.0), new(4, 6.2), new(5, 8.1)];
        var fit = GrowthFit.Of(points, null, Rules)!;
        Close(0.235917883, fit.LogSlope);
        Close(1.26607034, fit.Ratio);
        Close(0.998666151, fit.RSquared!.Value);
        Close(4.99544979, Math.Exp(fit.LogIntercept + (3 * fit.LogSlope)));
        Assert.Equal([1, 2, 1], fit.Steps.Select(s => s.LikelyMolts));
    }

    [Fact]
    public void A_step_of_the_squared_ratio_is_a_molt_nobody_saw()
    {
        // Source: Dyar (1890), constant ratio; 1.26² = 1.5876.
        GrowthPoint[] points = [new(1, 5.0), new(2, 6.3), new(3, 7.938), new(4, 12.6023688), new(5, 15.878984688)];
        var steps = GrowthFit.Of(points, null, Rules)!.Steps;
        Assert.Equal([1.26, 1.26, 1.5876, 1.26], steps.Select(s => Math.Round(s.Ratio, 9)));
        Assert.Equal([1, 1, 2, 1], steps.Select(s => s.LikelyMolts));
    }

    [Fact]
    public void A_record_with_wide_early_steps_hides_no_molt()
    {
        // Source: Capinera (1999) as above; the species has six instars, all of them in the table.
        Assert.All(GrowthFit.Of(FallArmyworm, null, Rules)!.Steps, s => Assert.Equal(1, s.LikelyMolts));
    }

    [Fact]
    public void Mass_that_doubles_grows_by_the_cube_root_of_two()
    {
        // Source: Przibram & Megušar (1912).
        var points = Enumerable.Range(0, 6).Select(k => new GrowthPoint(k, 10 * Math.Pow(2, k / 3.0))).ToList();
        var fit = GrowthFit.Of(points, null, Rules)!;
        Assert.Equal(1.259921049895, fit.Ratio, 1e-12);
        Assert.Equal(40, fit.Next!.MedianMm, 1e-9);
    }

    [Fact]
    public void A_prior_ratio_draws_a_short_record_towards_it()
    {
        GrowthPoint[] points = [new(1, 5), new(2, 7)];
        var plain = GrowthFit.Of(points, null, Rules)!.Ratio;
        var drawn = GrowthFit.Of(points, 1.25, Rules)!.Ratio;
        Assert.Equal(1.4, plain, 1e-9);
        Assert.InRange(drawn, 1.25, 1.4);
    }

    [Fact]
    public void No_slope_exists_when_all_instars_are_the_same() =>
        // Source: R 4.2.2 lm gives NA for the slope when all x are equal.
        Assert.Null(GrowthFit.Of([new(3, 1), new(3, 2), new(3, 3)], null, Rules));

    [Fact]
    public void A_shrinking_hard_part_is_flagged() =>
        Assert.True(GrowthFit.Of([new(1, 5), new(2, 6.3), new(3, 6.1)], null, Rules)!.Steps[1].Shrank);

    [Fact]
    public void Units_never_change_the_ratio() =>
        Gen.Double[0.5, 50]
            .List[3, 8]
            .Select(Gen.Double[0.01, 30])
            .Sample(
                (lengths, unit) =>
                {
                    var mm = lengths.Select((l, k) => new GrowthPoint(k + 1, l)).ToList();
                    var other = mm.Select(p => p with { LengthMm = p.LengthMm * unit }).ToList();
                    var (a, b) = (GrowthFit.Of(mm, null, Rules)!, GrowthFit.Of(other, null, Rules)!);
                    return Math.Abs(a.LogSlope - b.LogSlope) < 1e-9
                        && a.Steps.Select(s => s.LikelyMolts).SequenceEqual(b.Steps.Select(s => s.LikelyMolts));
                }
            );

    private static void Close(double expected, double actual) =>
        Assert.InRange(actual, expected - (Math.Abs(expected) * 1e-7), expected + (Math.Abs(expected) * 1e-7));
}
