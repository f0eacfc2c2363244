using App.Hosting;
using Husbandry.Housing;
using Husbandry.Reasons;
using Husbandry.Tanks;

namespace App.Calculators;

/// <summary>Salt water to be mixed or checked.</summary>
/// <param name="Salinity">Practical salinity, 0 to 42.</param>
/// <param name="TemperatureC">Temperature of the water, −2 to 40 °C.</param>
/// <param name="Litres">Fresh water into which salt is stirred, above 0 to 100,000 litres.</param>
/// <param name="HydrometerC">Temperature for which the hydrometer is made, −2 to 40 °C.</param>
public sealed record SeawaterRequest(
    double Salinity,
    double TemperatureC,
    double? Litres = null,
    double? HydrometerC = null
);

/// <summary>What such water weighs and needs.</summary>
/// <param name="DensityKgM3">Density, kg/m³.</param>
/// <param name="SpecificGravity25">How much heavier than fresh water, both at 25 °C.</param>
/// <param name="SaltGrams">Dry salt to stir into the litres, g; none when no litres were given.</param>
/// <param name="HydrometerReading">What the hydrometer shows; none when its temperature was not given.</param>
public sealed record SeawaterResult(
    double DensityKgM3,
    double SpecificGravity25,
    double? SaltGrams,
    double? HydrometerReading
);

/// <summary>Form of a floor.</summary>
public enum FloorShape
{
    /// <summary>With corners.</summary>
    Box,

    /// <summary>Round.</summary>
    Cylinder,
}

/// <summary>A floor to be filled; inner lengths, 1 to 5000 mm.</summary>
/// <param name="Shape">Its form.</param>
/// <param name="DepthMm">How deep the substrate is.</param>
/// <param name="LengthMm">Length of a box.</param>
/// <param name="WidthMm">Width of a box.</param>
/// <param name="DiameterMm">Diameter of a cylinder.</param>
public sealed record SubstrateRequest(
    FloorShape Shape,
    double DepthMm,
    double? LengthMm = null,
    double? WidthMm = null,
    double? DiameterMm = null
);

internal static class TankCalculators
{
    private const double MostSalinity = 42;
    private const double ColdestC = -2;
    private const double HottestC = 40;
    private const double MostLitres = 100_000;
    private const double LongestMm = 5000;

    public static IResult SeawaterOf(SeawaterRequest body)
    {
        var problems = CalculatorEndpoints
            .Within("salinity", body.Salinity, 0, MostSalinity, "")
            .Concat(CalculatorEndpoints.Within("temperatureC", body.TemperatureC, ColdestC, HottestC, "°C"))
            .Concat(CalculatorEndpoints.Within("hydrometerC", body.HydrometerC, ColdestC, HottestC, "°C"))
            .ToList();
        if (body.Litres is { } asked && !(asked > 0 && asked <= MostLitres))
        {
            problems.Add(new Problem("litres", $"Must be above 0, to {Wording.Plain(MostLitres)} litres."));
        }

        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        var reasons = new List<CalcReason>
        {
            new(
                "Density by the equation of state EOS-80 at the pressure of the surface; the specific gravity compares it with fresh water, both at 25 °C.",
                "tanks.seawater",
                RuleTag.Published,
                "Millero & Poisson (1981), Deep-Sea Res. 28A:625–629; Fofonoff & Millard (1983), UNESCO Tech. Pap. Mar. Sci. 44"
            ),
        };
        if (body.Litres is not null)
        {
            reasons.Add(
                new CalcReason(
                    "Salt S g in 1000 g of the mixed water: stirred into fresh water of that temperature, litres · ρ · S ÷ (1000 − S). Bought mixes hold some water and need a little more: check with the hydrometer.",
                    "tanks.seawater",
                    RuleTag.Published,
                    "conservation of mass"
                )
            );
        }

        return TypedResults.Ok(
            new CalcAnswer<SeawaterResult>(
                new SeawaterResult(
                    Seawater.DensityKgM3(body.Salinity, body.TemperatureC),
                    Seawater.SpecificGravity25(body.Salinity),
                    body.Litres is { } litres ? Seawater.SaltGrams(litres, body.Salinity, body.TemperatureC) : null,
                    body.HydrometerC is { } madeFor
                        ? Seawater.HydrometerReading(body.Salinity, body.TemperatureC, madeFor)
                        : null
                ),
                reasons
            )
        );
    }

    public static IResult SubstrateOf(SubstrateRequest body)
    {
        var round = body.Shape == FloorShape.Cylinder;
        var problems = Length("depthMm", body.DepthMm, isAsked: true, body.Shape)
            .Concat(Length("lengthMm", body.LengthMm, !round, body.Shape))
            .Concat(Length("widthMm", body.WidthMm, !round, body.Shape))
            .Concat(Length("diameterMm", body.DiameterMm, round, body.Shape))
            .ToList();
        return problems.Count > 0
            ? Problems.Of(problems)
            : TypedResults.Ok(
                new CalcAnswer<SubstrateVolume>(
                    body.DiameterMm is { } across
                        ? SubstrateVolume.OfCylinder(across, body.DepthMm)
                        : SubstrateVolume.OfBox(body.LengthMm!.Value, body.WidthMm!.Value, body.DepthMm),
                    [
                        new CalcReason(
                            round
                                ? "π ÷ 4 · diameter² · depth, inner lengths."
                                : "Length · width · depth, inner lengths.",
                            "housing.substrate",
                            RuleTag.Published,
                            "geometry; a US fluid ounce is 29.5735295625 mL"
                        ),
                    ]
                )
            );
    }

    private static IEnumerable<Problem> Length(string field, double? mm, bool isAsked, FloorShape shape) =>
        !isAsked
            ? mm is null
                ? []
                : [new Problem(field, $"A {(shape == FloorShape.Box ? "box" : "cylinder")} has none: leave it out.")]
            : mm is null
                ? [new Problem(field, $"Give 1 to {Wording.Plain(LongestMm)} mm.")]
                : CalculatorEndpoints.Within(field, mm, 1, LongestMm, "mm");
}
