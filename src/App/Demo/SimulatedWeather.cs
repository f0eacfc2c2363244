using Husbandry.Climate;
using Husbandry.Rooms;

namespace App.Demo;

/// <summary>
/// The invented warmth of the net loft: a yearly wave, slow weather on top of it, and rack D a little warmer than the
/// rest. Read every second evening, as a keeper would from a thermometer on the wall.
/// </summary>
internal sealed class SimulatedWeather
{
    private const double MeanC = 24.2;
    private const double YearlySwingC = 2.4;
    private const double WeatherC = 0.5;
    private const double Persistence = 0.85;
    private const double WarmRackC = 1.3;
    private const int ReadEveryDays = 2;
    private const double YearDays = 365.25;

    private readonly double[] celsius;
    private readonly int nights;

    public SimulatedWeather(Random random, int nights)
    {
        this.nights = nights;
        celsius = new double[nights + 1];
        var weather = 0.0;
        for (var d = 0; d <= nights; d++)
        {
            weather = (Persistence * weather) + (WeatherC * Chance.Normal(random));
            celsius[d] = MeanC + (YearlySwingC * Math.Sin(2 * Math.PI * d / YearDays)) + weather;
        }
    }

    /// <summary>Temperature some nights ago in a rack.</summary>
    public double Celsius(int ago, string rack) => celsius[nights - ago] + (rack == "D" ? WarmRackC : 0);

    /// <summary>What the keeper read off.</summary>
    public IEnumerable<ClimateReading> Readings(Room room) =>
        Enumerable
            .Range(0, (nights / ReadEveryDays) + 1)
            .Select(i => i * ReadEveryDays)
            .Where(ago => ago > 0)
            .SelectMany(ago =>
                new[] { ("", "A"), ("D", "D") }.Select(z => new ClimateReading(
                    room.Clock.EveningOf(room.Tonight.AddDays(-ago)),
                    Math.Round(Celsius(ago, z.Item2), 1),
                    null,
                    z.Item1
                ))
            );
}

/// <summary>Draws from distributions.</summary>
internal static class Chance
{
    public static double Normal(Random random) =>
        Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());

    /// <summary>A gamma of whole-number shape, as a sum of exponentials.</summary>
    public static double Gamma(Random random, int shape, double mean)
    {
        var sum = 0.0;
        for (var i = 0; i < shape; i++)
        {
            sum -= Math.Log(1 - random.NextDouble());
        }

        return sum * mean / shape;
    }

    public static double Between(this Random random, double low, double high) =>
        low + ((high - low) * random.NextDouble());
}
