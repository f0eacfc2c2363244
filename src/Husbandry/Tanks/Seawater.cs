namespace Husbandry.Tanks;

/// <summary>Salt water at the pressure of the surface.</summary>
/// <remarks>
/// Equation of state EOS-80. Source: Millero &amp; Poisson (1981), Deep-Sea Res. 28A:625–629; Fofonoff &amp; Millard (1983), UNESCO
/// Tech. Pap. Mar. Sci. 44. Temperatures are taken as they are: IPTS-68 differs by less than 0.003 kg/m³.
/// </remarks>
public static class Seawater
{
    private const double GramsPerKilogram = 1000;

    /// <summary>Temperature at which the specific gravity of sea water is told, °C.</summary>
    public const double ReferenceC = 25;

    // Coefficients of EOS-80, lowest power of the temperature first: pure water, then the terms in S, S^1.5 and S².
    private static readonly double[] Fresh =
    [
        999.842594,
        6.793952e-2,
        -9.09529e-3,
        1.001685e-4,
        -1.120083e-6,
        6.536332e-9,
    ];
    private static readonly double[] Linear = [8.24493e-1, -4.0899e-3, 7.6438e-5, -8.2467e-7, 5.3875e-9];
    private static readonly double[] Curved = [-5.72466e-3, 1.0227e-4, -1.6546e-6];
    private const double Squared = 4.8314e-4;

    /// <summary>Density, kg/m³.</summary>
    /// <param name="salinity">Practical salinity, 0–42: g of salt in a kg of water, near enough.</param>
    /// <param name="celsius">Temperature, −2 to 40 °C.</param>
    public static double DensityKgM3(double salinity, double celsius) =>
        Polynomial(Fresh, celsius)
        + (salinity * Polynomial(Linear, celsius))
        + (Math.Pow(salinity, 1.5) * Polynomial(Curved, celsius))
        + (salinity * salinity * Squared);

    /// <summary>How much heavier than fresh water it is, both at 25 °C.</summary>
    /// <param name="salinity">Practical salinity, 0–42.</param>
    public static double SpecificGravity25(double salinity) =>
        DensityKgM3(salinity, ReferenceC) / DensityKgM3(0, ReferenceC);

    /// <summary>What a hydrometer shows that is made for another temperature.</summary>
    /// <param name="salinity">Practical salinity, 0–42.</param>
    /// <param name="celsius">Temperature of the water, −2 to 40 °C.</param>
    /// <param name="hydrometerC">Temperature for which the hydrometer is made, −2 to 40 °C.</param>
    public static double HydrometerReading(double salinity, double celsius, double hydrometerC) =>
        DensityKgM3(salinity, celsius) / DensityKgM3(0, hydrometerC);

    /// <summary>Dry salt to stir into fresh water, g.</summary>
    /// <param name="litres">Fresh water, litres.</param>
    /// <param name="salinity">Practical salinity that is wanted, 0–42.</param>
    /// <param name="celsius">Temperature of the water, −2 to 40 °C.</param>
    public static double SaltGrams(double litres, double salinity, double celsius) =>
        litres * DensityKgM3(0, celsius) * salinity / (GramsPerKilogram - salinity);

    private static double Polynomial(double[] coefficients, double t)
    {
        var sum = 0.0;
        for (var k = coefficients.Length - 1; k >= 0; k--)
        {
            sum = (sum * t) + coefficients[k];
        }

        return sum;
    }
}
