using Husbandry.Rulebook;

namespace Husbandry.Feeding;

/// <summary>Mass from body length: W = a · L^b.</summary>
public static class BodyMass
{
    /// <summary>Mass in mg of an animal of a body length in mm (&gt; 0).</summary>
    public static double FromLengthMm(LengthMass rule, double lengthMm) =>
        rule.Coefficient * Math.Pow(lengthMm, rule.Exponent);
}
