namespace Husbandry.Climate;

/// <summary>Lowest and highest temperature of one day, °C.</summary>
public sealed record DayTemperatures(double MinC, double MaxC);

/// <summary>How a day's warmth above a threshold is computed from its lowest and highest temperature.</summary>
public enum DegreeDayMethod
{
    /// <summary>The day's mean less the threshold.</summary>
    Average,

    /// <summary>One sine wave through the day's minimum and maximum.</summary>
    SingleSine,
}

/// <summary>Degree-days: warmth above a threshold, summed over days, in °C·d.</summary>
public static class DegreeDays
{
    /// <summary>Name of the rule.</summary>
    public const string RuleName = "climate.degreeDays";

    /// <summary>Source of the single-sine method.</summary>
    public const string SineSource =
        "Baskerville & Emin (1969), Ecology 50:514–517: single sine; horizontal cut-off at the upper threshold";

    /// <summary>Source of the average method.</summary>
    public const string AverageSource = "common practice: mean of minimum and maximum less the threshold";

    /// <summary>Degree-days of one day.</summary>
    /// <param name="day">Minimum not above maximum.</param>
    /// <param name="lowerC">Below this temperature nothing is gained.</param>
    /// <param name="upperC">Above this temperature nothing more is gained (horizontal cut-off); none for no limit.</param>
    /// <param name="method">Method.</param>
    /// <returns>°C·d, never negative.</returns>
    public static double Of(DayTemperatures day, double lowerC, double? upperC, DegreeDayMethod method)
    {
        if (method == DegreeDayMethod.Average)
        {
            var mean = (Math.Min(day.MinC, upperC ?? day.MinC) + Math.Min(day.MaxC, upperC ?? day.MaxC)) / 2;
            return Math.Max(0, mean - lowerC);
        }

        return Above(day, lowerC) - (upperC is { } upper ? Above(day, upper) : 0);
    }

    /// <summary>Mean over one sine wave of the temperature above a threshold.</summary>
    private static double Above(DayTemperatures day, double threshold)
    {
        var mean = (day.MinC + day.MaxC) / 2;
        if (day.MinC >= threshold)
        {
            return mean - threshold;
        }

        if (day.MaxC <= threshold)
        {
            return 0;
        }

        var amplitude = (day.MaxC - day.MinC) / 2;
        var crossing = Math.Asin((threshold - mean) / amplitude);
        return (((mean - threshold) * ((Math.PI / 2) - crossing)) + (amplitude * Math.Cos(crossing))) / Math.PI;
    }
}
