using Husbandry.Climate;
using Husbandry.Housing;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Tests;

public class ClimateTests
{
    // Source: Baskerville & Emin (1969), Ecology 50:514–517; values computed with numpy and scipy quadrature.
    [Theory]
    [InlineData(15, 30, null, 12.5)]
    [InlineData(2, 9, null, 0)]
    [InlineData(4, 22, null, 4.5254693)]
    [InlineData(8, 14, null, 1.5084898)]
    [InlineData(5, 12, null, 0.4680587)]
    [InlineData(15, 34, 30.0, 13.7034324)]
    [InlineData(6, 34, 30.0, 10)]
    [InlineData(31, 36, 30.0, 20)]
    public void Single_sine_degree_days(double min, double max, double? upper, double expected) =>
        Assert.Equal(expected, DegreeDays.Of(new(min, max), 10, upper, DegreeDayMethod.SingleSine), 1e-6);

    // Source: arithmetic.
    [Theory]
    [InlineData(15, 30, 12.5)]
    [InlineData(4, 22, 3)]
    [InlineData(2, 12, 0)]
    public void Average_degree_days(double min, double max, double expected) =>
        Assert.Equal(expected, DegreeDays.Of(new(min, max), 10, null, DegreeDayMethod.Average), 1e-12);

    [Fact]
    public void A_day_without_swing_gains_the_same_by_both_methods() =>
        Assert.Equal(
            DegreeDays.Of(new(21, 21), 10, 30, DegreeDayMethod.Average),
            DegreeDays.Of(new(21, 21), 10, 30, DegreeDayMethod.SingleSine),
            1e-12
        );

    // Source: Allen et al. (1998), FAO-56, Annex 2, table 2.3 (three decimals).
    [Theory]
    [InlineData(1, 0.657)]
    [InlineData(10, 1.228)]
    [InlineData(15, 1.705)]
    [InlineData(20, 2.338)]
    [InlineData(24.5, 3.075)]
    [InlineData(30, 4.243)]
    public void Saturation_vapour_pressure(double celsius, double kPa) =>
        Assert.Equal(kPa, MoistAir.SaturationKPa(celsius), 0.0006);

    // Source: FAO-56 eq. 11 and its inverse; ideal gas law with 461.5 J/(kg K); computed with numpy.
    [Fact]
    public void Air_of_known_temperature_and_humidity()
    {
        Assert.Equal(0.84035996, new MoistAir(26, 75).DeficitKPa, 1e-6);
        Assert.Equal(16.69562, new MoistAir(25, 60).DewPointC!.Value, 1e-4);
        Assert.Equal(19.36078, new MoistAir(22, 85).DewPointC!.Value, 1e-4);
        Assert.Equal(28, new MoistAir(28, 100).DewPointC!.Value, 1e-4);
        Assert.Equal(17.28364, new MoistAir(20, 100).AbsoluteHumidityGm3, 2e-4);
        Assert.Equal(18.26106, new MoistAir(26, 75).AbsoluteHumidityGm3, 2e-4);
        Assert.Equal(55.258749, new MoistAir(24, 70).RelativeHumidityAt(28), 1e-5);
        Assert.Equal(73.135061, new MoistAir(20, 50).RelativeHumidityAt(14), 1e-5);
        Assert.Equal(100, new MoistAir(22, 80).RelativeHumidityAt(15));
        Assert.Null(new MoistAir(22, 0).DewPointC);
    }

    // Source: Greenspan (1977) fixed points, from memory; linear two-point calibration.
    [Fact]
    public void A_hygrometer_is_corrected_by_one_or_two_salts()
    {
        var two = HygrometerCheck.Of(new(32.78, 35.5), new(75.29, 71.0))!;
        Assert.Equal(1.197464789, two.Slope, 1e-8);
        Assert.Equal(-9.73, two.Offset, 1e-8);
        Assert.Equal(62.11788732, two.Correct(60), 1e-7);
        Assert.Equal(100, HygrometerCheck.Of(new(75.29, 72.4), null)!.Correct(99));
        Assert.Null(HygrometerCheck.Of(new(32.78, 50), new(75.29, 50)));
    }

    [Fact]
    public void Enclosures_by_the_rules_of_the_trade()
    {
        // Common practice, no published source: mantis 3 × body high, 2 × wide; roomy tarantula floor 3 × 2 leg spans, snug 1.5
        // each way, at most one and a half high; burrowers two leg spans of substrate; crabs 15 cm or three times their
        // height, the snug school 7.5 cm; beetles 7.5 cm.
        ContainerPlan Plan(string group, Habit habit, double mm, ContainerSchool? school = ContainerSchool.Roomy) =>
            ContainerPlan.Of(RuleSet.Shipped.Group(group)!.Container(habit), mm, school: school).Value;
        var snug = Plan("tarantula", Habit.Terrestrial, 100, null);
        Assert.Equal((150, 150d, 100), (snug.MinWidthMm, snug.MinDepthMm, snug.MinHeightMm));
        Assert.Equal(75, Plan("hermit-crab", Habit.Terrestrial, 30, ContainerSchool.Snug).SubstrateDepthMm);
        Assert.Equal(150, Plan("hermit-crab", Habit.Terrestrial, 30, null).SubstrateDepthMm);
        var mantis = Plan("mantis", Habit.Arboreal, 60);
        Assert.Equal((180, 120), (mantis.MinHeightMm, mantis.MinWidthMm));
        var tarantula = Plan("tarantula", Habit.Terrestrial, 100);
        Assert.Equal((300, 200d, 150d), (tarantula.MinWidthMm, tarantula.MinDepthMm, tarantula.MaxHeightMm));
        Assert.Equal(200, Plan("tarantula", Habit.Fossorial, 100).SubstrateDepthMm);
        Assert.Equal(150, Plan("hermit-crab", Habit.Terrestrial, 30).SubstrateDepthMm);
        Assert.Equal(180, Plan("hermit-crab", Habit.Terrestrial, 60).SubstrateDepthMm);
        Assert.Equal(75, Plan("beetle", Habit.Terrestrial, 24, null).SubstrateDepthMm);
    }

    // Source: Q10 = (R₂/R₁)^(10/(T₂−T₁)): an interval of 40 days at 22 °C carried to 26 °C with a Q10 of 2.5.
    [Fact]
    public void Warmth_shortens_waits_by_q10_or_above_a_threshold()
    {
        var q10 = new Warmth(22, 2.5, null);
        Assert.Equal(27.72579373, 40 / Pace.Rate(q10, Rules, 26), 1e-7);
        // Campbell et al. (1974): threshold 10 °C and 300 °C·d, 30 days at 20 °C and 15 at 30 °C.
        var linear = new Warmth(20, null, 10);
        Assert.Equal(15, 30 / Pace.Rate(linear, Rules, 30), 1e-9);
    }

    private static RoomClimateRules Rules => RuleSet.Shipped.Room.Climate;

    private static Stay Stay(string rack, DateTimeOffset from = default) => new(new Place(rack, 1, 1), from);

    /// <summary>Warmth is that of where it stood then: moved after ten days out of a rack at 25 °C into one at 15 °C.</summary>
    [Fact]
    public void Days_count_by_the_warmth_of_where_it_stood_then()
    {
        var start = new DateTimeOffset(2026, 1, 1, 0, 0, 0, TimeSpan.Zero);
        var readings = Enumerable
            .Range(0, 40)
            .SelectMany(d =>
                new[]
                {
                    new ClimateReading(start.AddDays(d), 25, Zone: "A"),
                    new ClimateReading(start.AddDays(d), 15, Zone: "B"),
                }
            );
        var climate = RoomClimate.Of(readings);
        var warmth = new Warmth(25, 2, null);
        Stay[] moved = [Stay("A", start), Stay("B", start.AddDays(10))];
        var pace = climate.PaceFor(moved, warmth, Rules, start.AddDays(30));
        // At Q10 2 a day at 15 °C is half a day at 25 °C.
        Assert.Equal(10 + (20 * 0.5), pace.Between(start, start.AddDays(30)).Value, 1e-9);
        Assert.Equal(2 + (3 * 0.5), pace.Between(start.AddDays(8), start.AddDays(13)).Value, 1e-9);
        Assert.Equal(5, pace.Between(start.AddDays(2), start.AddDays(7)).Value, 1e-9);
        Assert.Equal(0, pace.Between(start.AddDays(9), start.AddDays(9)).Value, 1e-9);
        // What is to come goes by where it stands now.
        Assert.Equal(20, pace.Ahead(new(10)).Value, 1e-9);
        Assert.Equal(0.5, pace.RateNow, 1e-9);
        // Back and forth within one rack is one zone.
        var within = climate.PaceFor([Stay("A", start), Stay("A", start.AddDays(5))], warmth, Rules, start.AddDays(30));
        Assert.Equal(30, within.Between(start, start.AddDays(30)).Value, 1e-9);
        // Out of a place of which nothing is known every day counts as one.
        var unknown = climate.PaceFor(
            [Stay("C", start), Stay("B", start.AddDays(10))],
            warmth,
            Rules,
            start.AddDays(30)
        );
        Assert.Equal(10 + (20 * 0.5), unknown.Between(start, start.AddDays(30)).Value, 1e-9);
    }

    [Fact]
    public void Effective_days_are_counted_from_the_rooms_readings()
    {
        var start = new DateTimeOffset(2026, 1, 1, 0, 0, 0, TimeSpan.Zero);
        // Ten days of 25 °C, then 15 °C.
        var readings = Enumerable
            .Range(0, 40)
            .Select(d => new ClimateReading(start.AddDays(d), d < 10 ? 25 : 15, Zone: "A"));
        var climate = RoomClimate.Of(readings);
        var pace = climate.PaceFor([Stay("A")], new Warmth(25, 2, null), Rules, start.AddDays(40));
        Assert.Equal(10, pace.Between(start, start.AddDays(10)).Value, 1e-9);
        Assert.Equal(5, pace.Between(start.AddDays(20), start.AddDays(30)).Value, 1e-9);
        Assert.Equal(20, pace.Ahead(new(10)).Value, 1e-9);
        Assert.False(climate.PaceFor([Stay("B")], new Warmth(25, 2, null), Rules, start).IsKnown);
        Assert.Equal(15, climate.RecentC(new Place("A", 2, 9), Rules, start.AddDays(40))!.Value, 1e-9);
    }
}
