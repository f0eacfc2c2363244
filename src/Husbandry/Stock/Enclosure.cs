using System.Globalization;
using System.Text.Json.Serialization;
using Husbandry.Reasons;

namespace Husbandry.Stock;

/// <summary>How air comes in.</summary>
public enum Ventilation
{
    /// <summary>A tight lid.</summary>
    Tight,

    /// <summary>A few small holes.</summary>
    FewHoles,

    /// <summary>Holes in two walls, so that air goes through.</summary>
    CrossHoles,

    /// <summary>Mesh or net.</summary>
    Mesh,
}

/// <summary>Which part of the floor is kept damp.</summary>
public enum DampSide
{
    /// <summary>None: a dry floor.</summary>
    None,

    /// <summary>The left side.</summary>
    Left,

    /// <summary>The right side.</summary>
    Right,

    /// <summary>The back.</summary>
    Back,

    /// <summary>The front.</summary>
    Front,

    /// <summary>The whole floor, for burrowers that need it.</summary>
    Whole,
}

/// <summary>Where its warmth comes from.</summary>
public enum HeatSource
{
    /// <summary>The air of the room.</summary>
    Room,

    /// <summary>A mat on a side wall, on a thermostat.</summary>
    SideMat,

    /// <summary>A mat under part of the floor, on a thermostat.</summary>
    PartOfFloor,

    /// <summary>From above.</summary>
    Above,
}

/// <summary>How an enclosure is misted.</summary>
/// <param name="MlPerSquirt">Millilitres of one squirt, 0.1–20.</param>
/// <param name="Squirts">Squirts each time, 1–50.</param>
/// <param name="EveryDays">Days between, 0.5–60.</param>
public sealed record MistPlan(double MlPerSquirt, int Squirts, double EveryDays)
{
    /// <summary>Millilitres each time.</summary>
    [JsonIgnore]
    public double Ml => MlPerSquirt * Squirts;
}

/// <summary>What an animal lives in; inner measures in mm.</summary>
/// <param name="Name">What the keeper calls this size, e.g. "3 L tub"; 1–40 characters.</param>
/// <param name="WidthMm">Width of the front, 10–3000 mm; the diameter of a round one.</param>
/// <param name="DepthMm">From front to back, 10–3000 mm; the diameter of a round one.</param>
/// <param name="HeightMm">From the bottom to the lid, 10–3000 mm.</param>
/// <param name="SubstrateMm">Depth of the floor, 0 mm to below the height.</param>
/// <param name="Vents">How air comes in.</param>
/// <param name="Damp">Which part of the floor is kept damp.</param>
/// <param name="Heat">Where its warmth comes from.</param>
/// <param name="Mist">How it is misted; left out, by the water clock of the species.</param>
public sealed record Enclosure(
    string Name,
    double WidthMm,
    double DepthMm,
    double HeightMm,
    double SubstrateMm,
    Ventilation Vents,
    DampSide Damp,
    HeatSource Heat,
    MistPlan? Mist
)
{
    private const int LongestName = 40;
    private const double LeastMm = 10;
    private const double MostMm = 3000;

    /// <summary>Height above the floor.</summary>
    [JsonIgnore]
    public double FreeHeightMm => HeightMm - SubstrateMm;

    /// <summary>The longer side of the floor.</summary>
    [JsonIgnore]
    public double LongSideMm => Math.Max(WidthMm, DepthMm);

    /// <summary>The shorter side of the floor.</summary>
    [JsonIgnore]
    public double ShortSideMm => Math.Min(WidthMm, DepthMm);

    /// <summary>Measures with their unit, such as "180 × 120 mm, 60 mm free height over 40 mm".</summary>
    public string Text(Wording words) =>
        $"{words.Number(WidthMm)} × {words.Length(DepthMm)}, {words.Length(FreeHeightMm)} free height over {words.Length(SubstrateMm)} of floor";

    /// <summary>What is wrong with it; none when it can be.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (string.IsNullOrWhiteSpace(Name) || Name.Length > LongestName)
        {
            yield return new Problem("enclosure.name", $"Write 1 to {LongestName} characters.");
        }

        foreach (
            var (field, mm) in new[]
            {
                ("enclosure.widthMm", WidthMm),
                ("enclosure.depthMm", DepthMm),
                ("enclosure.heightMm", HeightMm),
            }
        )
        {
            if (!(mm >= LeastMm && mm <= MostMm))
            {
                yield return new Problem(field, $"Must be {LeastMm} to {MostMm} mm.");
            }
        }

        if (!(SubstrateMm >= 0 && SubstrateMm < HeightMm))
        {
            yield return new Problem(
                "enclosure.substrateMm",
                string.Create(CultureInfo.InvariantCulture, $"Must be 0 mm to below the height of {HeightMm:0.#} mm.")
            );
        }

        if (Mist is { } mist)
        {
            if (!(mist.MlPerSquirt is >= 0.1 and <= 20))
            {
                yield return new Problem("enclosure.mist.mlPerSquirt", "Must be 0.1 to 20 mL.");
            }

            if (mist.Squirts is < 1 or > 50)
            {
                yield return new Problem("enclosure.mist.squirts", "Must be 1 to 50 squirts.");
            }

            if (!(mist.EveryDays is >= 0.5 and <= 60))
            {
                yield return new Problem("enclosure.mist.everyDays", "Must be 0.5 to 60 days.");
            }
        }
    }
}
