using Husbandry.Reasons;

namespace Husbandry.Climate;

/// <summary>What follows for air as it is at a place.</summary>
/// <param name="DewPointC">Temperature at which it drips, °C; none for perfectly dry air.</param>
/// <param name="DeficitKPa">Vapour-pressure deficit, kPa: how strongly it dries.</param>
/// <param name="WaterGm3">Water in a cubic metre, g.</param>
/// <param name="WarmerHumidity">Per cent in the same air a few degrees warmer, as over a heat mat.</param>
/// <param name="CoolerHumidity">Per cent in the same air a few degrees cooler, as at night; 100 where it drips.</param>
/// <param name="Apart">So many degrees warmer and cooler, °C.</param>
/// <param name="Says">What it means, each in a sentence.</param>
/// <param name="Why">By what it was reckoned.</param>
public sealed record ZoneAir(
    double? DewPointC,
    double DeficitKPa,
    double WaterGm3,
    double WarmerHumidity,
    double CoolerHumidity,
    double Apart,
    IReadOnlyList<string> Says,
    IReadOnlyList<Reason> Why
)
{
    // Between a box over a mat and the room, and between a room by day and by night.
    private const double ApartC = 4;
    private const double Drips = 100;

    /// <summary>What follows for air. Source: FAO-56 eq. 11 and what <see cref="MoistAir"/> names.</summary>
    public static ZoneAir Of(MoistAir air)
    {
        ArgumentNullException.ThrowIfNull(air);
        var (warmer, cooler) = (
            air.RelativeHumidityAt(air.TemperatureC + ApartC),
            air.RelativeHumidityAt(air.TemperatureC - ApartC)
        );
        var says = new List<string>();
        if (air.DewPointC is { } dew)
        {
            says.Add(
                $"A wall or lid colder than {dew:0.#} °C sweats{(air.TemperatureC - dew <= ApartC ? ": that is near, wipe lids before the night" : "")}."
            );
        }

        says.Add(
            $"In a box {Wording.Plain(ApartC)} °C warmer the same air is {warmer:0} %; at night, {Wording.Plain(ApartC)} °C cooler, {(cooler >= Drips ? "it drips" : $"{cooler:0} %")}."
        );
        return new ZoneAir(
            air.DewPointC,
            air.DeficitKPa,
            air.AbsoluteHumidityGm3,
            warmer,
            cooler,
            ApartC,
            says,
            [
                new Reason(
                    "Vapour",
                    $"Air of {air.TemperatureC:0.#} °C can hold {MoistAir.SaturationKPa(air.TemperatureC):0.00} kPa of vapour and holds {air.VapourKPa:0.00}: what is missing is the deficit by which it dries, and the dew point is where that is all it can hold.",
                    MoistAir.RuleName,
                    RuleTag.Published,
                    MoistAir.Source,
                    []
                ),
            ]
        );
    }
}
