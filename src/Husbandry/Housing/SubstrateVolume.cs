namespace Husbandry.Housing;

/// <summary>How much substrate fills the floor of an enclosure.</summary>
/// <param name="Litres">Litres.</param>
/// <remarks>Source: geometry; a US fluid ounce is 29.5735295625 mL (NIST Handbook 44, appendix C).</remarks>
public sealed record SubstrateVolume(double Litres)
{
    private const double CubicMmPerLitre = 1e6;
    private const double LitresPerUsFluidOunce = 0.0295735295625;

    /// <summary>The same in US fluid ounces, in which tubs are sold.</summary>
    public double UsFluidOunces => Litres / LitresPerUsFluidOunce;

    /// <summary>A floor with corners; inner lengths in mm, &gt; 0.</summary>
    public static SubstrateVolume OfBox(double lengthMm, double widthMm, double depthMm) =>
        new(lengthMm * widthMm * depthMm / CubicMmPerLitre);

    /// <summary>A round floor; inner lengths in mm, &gt; 0.</summary>
    public static SubstrateVolume OfCylinder(double diameterMm, double depthMm) =>
        new(Math.PI * diameterMm * diameterMm / 4 * depthMm / CubicMmPerLitre);
}
