namespace Worlds;

/// <summary>Daily means of a room's warmth: a year's course, and spells that come and go.</summary>
public sealed class Weather
{
    // A spell of weather loses a tenth of itself from day to day.
    private const double Stays = 0.9;
    private const double ColdestPace = 0.05;

    // Growth ceases at this temperature: a straight line above it, where the product has an exponential.
    private const double ThresholdC = 9;

    private readonly double[] celsius;

    private Weather(double[] celsius) => this.celsius = celsius;

    /// <summary>Makes the weather of a room.</summary>
    /// <param name="draws">Where chance comes from.</param>
    /// <param name="days">Number of days.</param>
    /// <param name="meanC">Mean of the year, °C.</param>
    /// <param name="swingC">Half of the difference between summer and winter, K.</param>
    /// <param name="noiseC">Standard deviation of a day's change of the spell, K.</param>
    public static Weather Of(Draws draws, int days, double meanC, double swingC, double noiseC)
    {
        var (all, spell) = (new double[days], 0.0);
        for (var day = 0; day < days; day++)
        {
            spell = (Stays * spell) + (noiseC * draws.Normal());
            all[day] = meanC + (swingC * Math.Sin(2 * Math.PI * (day - 110) / 365.25)) + spell;
        }

        return new Weather(all);
    }

    /// <summary>Number of days.</summary>
    public int Days => celsius.Length;

    /// <summary>Mean of a day, °C; the first and last go on beyond the ends.</summary>
    public double CelsiusOn(int day) => celsius[Math.Clamp(day, 0, celsius.Length - 1)];

    /// <summary>Days at the reference temperature that a day is worth to a kind.</summary>
    public double Pace(Kind kind, int day) =>
        Math.Max(ColdestPace, (CelsiusOn(day) - ThresholdC) / (kind.ReferenceC - ThresholdC));

    /// <summary>When so many days of warmth from an instant on have gone by, in days.</summary>
    public double After(Kind kind, double from, double warmDays)
    {
        var at = from;
        while (true)
        {
            var pace = Pace(kind, (int)Math.Floor(at));
            var rest = Math.Floor(at) + 1 - at;
            if (pace * rest >= warmDays)
            {
                return at + (warmDays / pace);
            }

            (warmDays, at) = (warmDays - (pace * rest), at + rest);
        }
    }

    /// <summary>Days of warmth between two instants.</summary>
    public double Between(Kind kind, double from, double to)
    {
        var sum = 0.0;
        for (var at = from; at < to; )
        {
            var next = Math.Min(to, Math.Floor(at) + 1);
            sum += (next - at) * Pace(kind, (int)Math.Floor(at));
            at = next;
        }

        return sum;
    }
}
