namespace Husbandry.Climate;

/// <summary>Air of a temperature and relative humidity, and what follows from them.</summary>
/// <param name="TemperatureC">°C, −40 to 60.</param>
/// <param name="RelativeHumidity">Per cent, 0–100.</param>
public sealed record MoistAir(double TemperatureC, double RelativeHumidity)
{
    /// <summary>Name of the rule.</summary>
    public const string RuleName = "climate.vapourPressure";

    /// <summary>Source of the rule.</summary>
    public const string Source =
        "Allen, Pereira, Raes & Smith (1998), FAO Irrigation and Drainage Paper 56, eq. 11: e° = 0.6108·exp(17.27·T/(T+237.3)) kPa";

    private const double ScaleKPa = 0.6108;
    private const double Slope = 17.27;
    private const double OffsetC = 237.3;
    private const double CelsiusToKelvin = 273.15;

    // J kg⁻¹ K⁻¹, gas constant of water vapour.
    private const double VapourGasConstant = 461.5;

    /// <summary>Saturation vapour pressure over water, kPa.</summary>
    public static double SaturationKPa(double temperatureC) =>
        ScaleKPa * Math.Exp(Slope * temperatureC / (temperatureC + OffsetC));

    /// <summary>Vapour pressure, kPa.</summary>
    public double VapourKPa => RelativeHumidity / 100 * SaturationKPa(TemperatureC);

    /// <summary>Vapour-pressure deficit, kPa: how strongly the air dries.</summary>
    public double DeficitKPa => SaturationKPa(TemperatureC) - VapourKPa;

    /// <summary>Temperature at which this air would drip, °C; none for perfectly dry air.</summary>
    public double? DewPointC
    {
        get
        {
            if (VapourKPa <= 0)
            {
                return null;
            }

            var log = Math.Log(VapourKPa / ScaleKPa);
            return OffsetC * log / (Slope - log);
        }
    }

    /// <summary>Water in a cubic metre of this air, g/m³. Source: ideal gas law.</summary>
    public double AbsoluteHumidityGm3 => VapourKPa * 1e6 / (VapourGasConstant * (TemperatureC + CelsiusToKelvin));

    /// <summary>Relative humidity of the same air at another temperature, per cent; 100 where it condenses.</summary>
    public double RelativeHumidityAt(double temperatureC) =>
        Math.Min(100, 100 * VapourKPa / SaturationKPa(temperatureC));
}
