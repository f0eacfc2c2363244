using CsCheck;
using Husbandry.Climate;
using Husbandry.Colonies;
using Husbandry.Housing;
using Husbandry.Plants;
using Husbandry.Tanks;

namespace Husbandry.Tests;

/// <summary>Salt water, leaf, winters, counted tubs and floors against published values.</summary>
public class OpenFormulaTests
{
    [Theory]
    // Source: UNESCO Tech. Pap. Mar. Sci. 36 and 44 (1981, 1983), check values of EOS-80 at the surface.
    [InlineData(0, 5, 999.96675)]
    [InlineData(0, 25, 997.04796)]
    [InlineData(35, 5, 1027.67547)]
    [InlineData(35, 25, 1023.34306)]
    public void Salt_water_weighs_what_the_tables_say(double salinity, double celsius, double density) =>
        Assert.Equal(density, Seawater.DensityKgM3(salinity, celsius), 1e-5);

    [Theory]
    // Source: ratio of EOS-80 densities, computed with an independent implementation.
    [InlineData(30, 1.0225882)]
    [InlineData(33, 1.0248578)]
    [InlineData(35, 1.026373)]
    public void Specific_gravity_is_told_at_25_degrees(double salinity, double gravity)
    {
        Assert.Equal(gravity, Seawater.SpecificGravity25(salinity), 1e-6);
        Assert.Equal(gravity, Seawater.HydrometerReading(salinity, 25, 25), 1e-6);
    }

    [Fact]
    public void Salt_is_weighed_for_the_fresh_water_into_which_it_goes() =>
        // Source: conservation of mass with EOS-80 densities.
        Assert.Equal(723.247223, Seawater.SaltGrams(20, 35, 25), 1e-6);

    [Theory]
    // Source: Chapman (1951); Seber (1970), Biometrics 26:13–22, computed independently.
    [InlineData(109, 177, 57, 338.473684, 336.586207, 615.586771, 287.957499, 385.214915)]
    [InlineData(60, 50, 12, 250, 238.307692, 2398.33643, 142.322742, 334.292642)]
    public void A_tub_is_counted_by_marks(
        int marked,
        int caught,
        int again,
        double simple,
        double chapman,
        double variance,
        double low,
        double high
    )
    {
        var counted = MarkRecapture.Of(marked, caught, again);
        Assert.Equal(simple, counted.LincolnPetersen!.Value, 1e-6);
        Assert.Equal(chapman, counted.Chapman, 1e-6);
        Assert.Equal(variance, counted.Variance, 1e-5);
        Assert.Equal(low, counted.Low95, 1e-5);
        Assert.Equal(high, counted.High95, 1e-5);
    }

    [Fact]
    public void Without_a_recapture_only_chapman_says_something_and_with_all_the_marked_ones_are_all()
    {
        // Source: Chapman (1951), worked by hand: 31 · 26 − 1; with every caught one marked the marked ones are all there are.
        var none = MarkRecapture.Of(30, 25, 0);
        Assert.Equal((null, 805.0), (none.LincolnPetersen, none.Chapman));
        var all = MarkRecapture.Of(40, 14, 14);
        Assert.Equal((40.0, 0.0, 40.0), (all.Chapman, all.Variance, all.Low95));
    }

    [Fact]
    public void Marks_are_unbiased_where_both_catches_together_are_more_than_live_there()
    {
        // Source: Chapman (1951): the estimate's mean over the hypergeometric law is the truth if M + C ≥ N.
        const int Alive = 30;
        var mean = Enumerable
            .Range(5, 11)
            .Sum(again =>
                MathNet.Numerics.Distributions.Hypergeometric.PMF(Alive, 20, 15, again)
                * MarkRecapture.Of(20, 15, again).Chapman
            );
        Assert.Equal(Alive, mean, 1e-9);
    }

    [Fact]
    public void The_largest_lasting_harvest_is_that_of_a_half_full_tub()
    {
        // Source: Schaefer (1954): rK/4.
        Assert.Equal(new SustainableHarvest(10, 5), SustainableHarvest.Of(0.08, 500, 0.5));
        Assert.Equal(0, SustainableHarvest.Of(-0.1, 500, 0.5).MaximumPerDay);
    }

    [Fact]
    public void Floors_are_measured_in_litres_and_ounces()
    {
        // Source: geometry; NIST Handbook 44 for the ounce.
        Assert.Equal(21.6, SubstrateVolume.OfBox(600, 300, 120).Litres, 1e-9);
        Assert.Equal(7.853981634, SubstrateVolume.OfCylinder(200, 250).Litres, 1e-9);
        Assert.Equal(1 / 0.0295735295625, new SubstrateVolume(1).UsFluidOunces, 1e-9);
    }

    [Fact]
    public void Most_of_a_caterpillars_leaf_is_eaten_in_its_last_instar()
    {
        // Source: the share of instar k is r^(k−1) ÷ Σ r^(j−1); a silkworm eats 20 to 25 g of mulberry in all: from memory.
        var demand = new LeafDemand([4, 4, 4, 5, 8], 20, 5);
        Assert.Equal(0.8002561, demand.ShareOfLast, 1e-7);
        var brood = new LarvaeOfAge(1, 0, 30);
        Assert.Equal(0.1920615, demand.OnDay(brood, 1), 1e-7);
        Assert.Equal(4.801536, demand.OnDay(brood, 12), 1e-6);
        Assert.Equal(60.01921, demand.OnDay(brood, 25), 1e-5);
        Assert.Equal(600, Enumerable.Range(1, 25).Sum(d => demand.OnDay(brood, d)), 1e-9);
        Assert.Equal(0, demand.OnDay(brood, 26));
    }

    [Fact]
    public void However_it_is_cut_into_days_a_life_eats_the_same() =>
        Gen.Select(Gen.Double[0.5, 12].Array[1, 9], Gen.Double[0.2, 30], Gen.Double[0, 0.99])
            .Sample(
                (days, ratio, done) =>
                {
                    var demand = new LeafDemand(days, 7, ratio);
                    var larvae = new LarvaeOfAge(1, done * days[0], 1);
                    var eaten = demand.EatenBy(demand.AgeOf(larvae));
                    var ahead = Enumerable
                        .Range(1, (int)Math.Ceiling(days.Sum()) + 1)
                        .Sum(d => demand.OnDay(larvae, d));
                    Assert.Equal(7, eaten + ahead, 1e-9);
                }
            );

    [Fact]
    public void Cold_days_are_counted_a_warm_spell_undoes_nothing_and_an_unread_day_is_none()
    {
        double?[] days = [12, 9, 7.5, 6, 5, 8, 8.2, 4, 3, 2, 2, 9, 5, 5, 5, 5];
        Assert.Equal(new ChillDone(12, 0, 14, 0), ChillClock.Of(days, 8, 10));
        Assert.Equal(new ChillDone(2, 3, null, 2), ChillClock.Of([4, null, 20, null, 8], 8, 5));
    }
}
