namespace Worlds;

/// <summary>What is wrong with a made-up instrument for a time.</summary>
/// <param name="IsStuck">Whether it says the same; else it is silent.</param>
/// <param name="From">First minute.</param>
/// <param name="To">Minute after the last.</param>
public sealed record AirFault(bool IsStuck, int From, int To);

/// <summary>A reading of a made-up instrument.</summary>
/// <param name="Minute">Minute from the start.</param>
/// <param name="Celsius">In tenths.</param>
/// <param name="Humidity">Whole per cent.</param>
public readonly record struct AirSaid(int Minute, double Celsius, double Humidity);

/// <summary>
/// An instrument in a made-up room of which nobody knows the weather: each day has a swing of its own (gamma) laid as a saw rather
/// than a wave, noise is two-sided exponential, a thermostat goes up and down in bouts of forty to ninety minutes, humidity goes
/// against warmth with a lag. Readings come every one, two or five minutes, some are lost, now and then twenty minutes together.
/// </summary>
/// <param name="draws">Draws.</param>
/// <param name="days">Days.</param>
/// <param name="held">Whether a thermostat holds it.</param>
public sealed class Air(Draws draws, int days, bool held)
{
    private const int MinutesADay = 1440;
    private const double NoiseC = 0.05;
    private const double NoiseHumidity = 0.4;
    private const double LostOne = 0.006;
    private const double LostADay = 0.7;
    private const int LongestLoss = 22;
    private const double FaultsAYear = 14;

    private readonly int every = new[] { 1, 2, 5 }[draws.Whole(0, 2)];
    private readonly double level = held ? draws.Between(24, 28) : draws.Between(18, 25);
    private readonly double damp = draws.Between(45, 85);
    private readonly double usualSwing = held ? draws.Between(0.1, 0.5) : draws.Between(2.2, 7);
    private readonly int bout = draws.Whole(40, 90);
    private readonly double low = draws.Between(2, 7) * 60;

    /// <summary>Whether a thermostat holds it.</summary>
    public bool IsHeld => held;

    /// <summary>Its faults, in order, none over another.</summary>
    public IReadOnlyList<AirFault> Faults { get; } = FaultsOf(draws, days);

    private static List<AirFault> FaultsOf(Draws draws, int days)
    {
        var faults = new List<AirFault>();
        // The first ten days are whole, as an instrument that is new is watched.
        var minute = 10.0 * MinutesADay;
        while (true)
        {
            minute += draws.Gamma(1) * 365 / FaultsAYear * MinutesADay;
            var lasts = draws.Between(26, 70) * 60;
            if (minute + lasts >= days * MinutesADay)
            {
                return faults;
            }

            faults.Add(new AirFault(draws.Chance(0.5), (int)minute, (int)(minute + lasts)));
            // A mended one is whole for a week and more.
            minute += lasts + (8 * MinutesADay);
        }
    }

    /// <summary>What it says, minute by minute.</summary>
    public IEnumerable<AirSaid> Says()
    {
        var (weather, swing, lostUntil, humidLag) = (0.0, usualSwing, 0, damp);
        AirSaid? stuckAt = null;
        for (var minute = 0; minute < days * MinutesADay; minute++)
        {
            if (minute % MinutesADay == 0)
            {
                weather = (0.8 * weather) + ((held ? 0.05 : 0.7) * draws.Normal());
                swing = usualSwing * draws.Gamma(held ? 40 : 12);
                lostUntil = draws.Chance(LostADay) ? minute + draws.Whole(0, MinutesADay) : 0;
            }

            var celsius = level + weather + (swing * Saw(minute)) + (NoiseC * Laplace());
            humidLag += (damp - (3 * (celsius - level)) - humidLag) / 90;
            if (minute % every != 0)
            {
                continue;
            }

            var said = new AirSaid(
                minute,
                Math.Round(celsius, 1),
                Math.Round(Math.Clamp(humidLag + (NoiseHumidity * Laplace()), 0, 100))
            );
            var fault = Faults.FirstOrDefault(f => minute >= f.From && minute < f.To);
            stuckAt = fault is { IsStuck: true } ? stuckAt ?? said : null;
            var isLost =
                draws.Chance(LostOne) || (lostUntil > 0 && minute >= lostUntil && minute < lostUntil + LongestLoss);
            if (fault is { IsStuck: false } || isLost)
            {
                continue;
            }

            yield return stuckAt is { } same ? same with { Minute = minute } : said;
        }
    }

    /// <summary>Between −½ and ½: up for eight hours from the coldest minute, down for the rest; a held one in bouts.</summary>
    private double Saw(int minute)
    {
        if (held)
        {
            return (Math.Abs((minute % (2 * bout)) - bout) / (double)bout) - 0.5;
        }

        const int Up = 480;
        var since = ((minute % MinutesADay) - low + MinutesADay) % MinutesADay;
        return since < Up ? (since / Up) - 0.5 : 0.5 - ((since - Up) / (MinutesADay - Up));
    }

    private double Laplace()
    {
        var u = draws.Between(-0.5, 0.5);
        return -Math.Sign(u) * Math.Log(1 - (2 * Math.Abs(u)));
    }
}
