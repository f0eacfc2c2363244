namespace Husbandry.Climate;

/// <summary>A salt whose wet paste holds the air in a closed jar at a known humidity.</summary>
public enum Salt
{
    /// <summary>Sodium chloride: table salt without iodine or anything against lumps.</summary>
    TableSalt,

    /// <summary>Magnesium chloride.</summary>
    MagnesiumChloride,
}

/// <summary>One check of a hygrometer over a saturated salt.</summary>
/// <param name="Reference">True relative humidity, per cent.</param>
/// <param name="Reading">What the instrument said, per cent.</param>
public sealed record HygrometerPoint(double Reference, double Reading);

/// <summary>The straight-line correction of a hygrometer: true = slope · reading + offset.</summary>
/// <param name="Slope">Gain.</param>
/// <param name="Offset">Per cent.</param>
public sealed record HygrometerCheck(double Slope, double Offset)
{
    /// <summary>Name of the rule.</summary>
    public const string RuleName = "climate.hygrometer";

    /// <summary>Source of the reference humidities.</summary>
    public const string Source =
        "Greenspan (1977), J. Res. NBS 81A:89–96: at 25 °C sodium chloride 75.29 %, magnesium chloride 32.78 % (from memory)";

    // Per cent at 25 °C; Greenspan (1977), table 2 (from memory).
    private const double OverTableSalt = 75.3;
    private const double OverMagnesiumChloride = 32.8;

    /// <summary>Humidity over a salt at 25 °C, per cent.</summary>
    public static double Over(Salt salt) => salt == Salt.TableSalt ? OverTableSalt : OverMagnesiumChloride;

    /// <summary>What a keeper calls a salt.</summary>
    public static string NameOf(Salt salt) => salt == Salt.TableSalt ? "table salt" : "magnesium chloride";

    /// <summary>The correction from one point (offset only) or two (gain and offset).</summary>
    /// <returns><see langword="null"/> when two points have the same reading, so that no gain exists.</returns>
    public static HygrometerCheck? Of(HygrometerPoint first, HygrometerPoint? second)
    {
        if (second is null)
        {
            return new HygrometerCheck(1, first.Reference - first.Reading);
        }

        if (second.Reading.Equals(first.Reading))
        {
            return null;
        }

        var slope = (second.Reference - first.Reference) / (second.Reading - first.Reading);
        return new HygrometerCheck(slope, first.Reference - (slope * first.Reading));
    }

    /// <summary>The corrected value of a reading, kept within 0–100 per cent.</summary>
    public double Correct(double reading) => Math.Clamp((Slope * reading) + Offset, 0, 100);
}
