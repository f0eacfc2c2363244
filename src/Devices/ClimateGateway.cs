namespace Devices;

/// <summary>A stretch of time.</summary>
/// <param name="From">Start.</param>
/// <param name="To">End.</param>
public readonly record struct Stretch(DateTimeOffset From, DateTimeOffset To)
{
    /// <summary>Whether an instant lies in it.</summary>
    public bool Holds(DateTimeOffset at) => at >= From && at < To;
}

/// <summary>A made-up sensor and what is wrong with it.</summary>
/// <param name="Key">What the gateway calls it.</param>
/// <param name="MeanC">Mean temperature of a day, °C.</param>
/// <param name="SwingC">Highest less lowest of a day, °C.</param>
/// <param name="Humidity">Mean humidity, per cent; none of one that reads none.</param>
/// <param name="HumiditySwing">Highest less lowest humidity of a day, per cent.</param>
public sealed record SimulatedSensor(
    string Key,
    Func<DateTimeOffset, double> MeanC,
    double SwingC,
    double? Humidity,
    double HumiditySwing
)
{
    /// <summary>Noise of one reading of temperature, °C (standard deviation).</summary>
    public double NoiseC { get; init; } = 0.06;

    /// <summary>Noise of one reading of humidity, per cent (standard deviation).</summary>
    public double NoiseHumidity { get; init; } = 0.5;

    /// <summary>Per cent by which its humidity goes off each day.</summary>
    public double DriftADay { get; init; }

    /// <summary>Since when it goes off.</summary>
    public DateTimeOffset DriftsFrom { get; init; } = DateTimeOffset.MaxValue;

    /// <summary>When it says nothing.</summary>
    public IReadOnlyList<Stretch> Silent { get; init; } = [];

    /// <summary>When it says what it said first.</summary>
    public IReadOnlyList<Stretch> Stuck { get; init; } = [];

    /// <summary>Share of single readings that are lost on the way, 0–1.</summary>
    public double Lost { get; init; } = 0.004;
}

/// <summary>What a made-up sensor says.</summary>
/// <param name="Sensor">Its key.</param>
/// <param name="At">When.</param>
/// <param name="TemperatureC">°C, in tenths.</param>
/// <param name="RelativeHumidity">Per cent, whole; none of one that reads none.</param>
public sealed record SimulatedReading(string Sensor, DateTimeOffset At, double TemperatureC, double? RelativeHumidity);

/// <summary>
/// A stand-in for a gateway with climate sensors: day and night, noise, drift, lost readings, sensors that fall silent or stick, a
/// power cut. What it says of a minute is always the same, so a year of it can be made as fast as it is asked for.
/// </summary>
/// <param name="sensors">Its sensors.</param>
/// <param name="powerCuts">When none of them says anything.</param>
/// <param name="seed">Chooses the noise.</param>
public sealed class ClimateGateway(IReadOnlyList<SimulatedSensor> sensors, IReadOnlyList<Stretch> powerCuts, int seed)
{
    // Warmest in the afternoon.
    private const double WarmestHour = 15;
    private const double DayHours = 24;

    /// <summary>Its sensors.</summary>
    public IReadOnlyList<SimulatedSensor> Sensors => sensors;

    /// <summary>What all its sensors say at an instant; whoever is silent is left out.</summary>
    public IEnumerable<SimulatedReading> Read(DateTimeOffset at) =>
        powerCuts.Any(p => p.Holds(at)) ? [] : sensors.Select((s, i) => Read(s, i, at)).OfType<SimulatedReading>();

    private SimulatedReading? Read(SimulatedSensor sensor, int index, DateTimeOffset at)
    {
        if (sensor.Silent.Any(s => s.Holds(at)) || Uniform(index, at, 0) < sensor.Lost)
        {
            return null;
        }

        foreach (var stuck in sensor.Stuck.Where(s => s.Holds(at)))
        {
            return Say(sensor, index, stuck.From) with { At = at };
        }

        return Say(sensor, index, at);
    }

    private SimulatedReading Say(SimulatedSensor sensor, int index, DateTimeOffset at)
    {
        var wave = Math.Cos(2 * Math.PI * (at.TimeOfDay.TotalHours - WarmestHour) / DayHours);
        var celsius = sensor.MeanC(at) + (sensor.SwingC / 2 * wave) + (sensor.NoiseC * Normal(index, at, 1));
        double? humidity = null;
        if (sensor.Humidity is { } mean)
        {
            var drift = Math.Max(0, (at - sensor.DriftsFrom).TotalDays) * sensor.DriftADay;
            var damp = mean - (sensor.HumiditySwing / 2 * wave) + drift + (sensor.NoiseHumidity * Normal(index, at, 3));
            humidity = Math.Round(Math.Clamp(damp, 0, 100));
        }

        return new SimulatedReading(sensor.Key, at, Math.Round(celsius, 1), humidity);
    }

    private double Normal(int index, DateTimeOffset at, int channel) =>
        Math.Sqrt(-2 * Math.Log(1 - Uniform(index, at, channel)))
        * Math.Cos(2 * Math.PI * Uniform(index, at, channel + 1));

    /// <summary>A number from 0 to 1 that hangs on sensor, minute and channel alone. Source: SplitMix64 (Steele, Lea &amp; Flood 2014), from memory.</summary>
    private double Uniform(int index, DateTimeOffset at, int channel)
    {
        var x = unchecked(
            ((ulong)seed * 0x9E3779B97F4A7C15UL)
            + ((ulong)at.ToUnixTimeSeconds() * 0xBF58476D1CE4E5B9UL)
            + ((ulong)(index * 16 + channel) * 0x94D049BB133111EBUL)
        );
        x = unchecked((x ^ (x >> 30)) * 0xBF58476D1CE4E5B9UL);
        x = unchecked((x ^ (x >> 27)) * 0x94D049BB133111EBUL);
        return (x ^ (x >> 31)) / (double)ulong.MaxValue * 0.999999;
    }
}
