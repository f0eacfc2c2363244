namespace Husbandry.Rulebook;

/// <summary>Mass of insects from their length.</summary>
public static class InsectMass
{
    /// <summary>Name of the rule.</summary>
    public const string RuleName = "feeding.insectMass";

    /// <summary>Source of the rule.</summary>
    public const string Source =
        "Rogers, Hinds & Buschbom (1976), Ann. ent. Soc. Am. 69:387–389: W = 0.0305·L^2.62 (coefficients from memory)";

    private const double Coefficient = 0.0305;
    private const double Exponent = 2.62;

    /// <summary>Dry mass in mg of an insect of a body length in mm (&gt; 0).</summary>
    public static double FromLengthMm(double mm) => Coefficient * Math.Pow(mm, Exponent);
}
