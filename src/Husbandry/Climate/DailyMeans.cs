namespace Husbandry.Climate;

/// <summary>Mean temperature of consecutive days.</summary>
/// <param name="FirstDay">Day number of the first.</param>
/// <param name="Celsius">Means; days between two readings are interpolated.</param>
/// <param name="ReadOn">Days on which one was read, in order. What lies behind the last of them before an instant is not known then.</param>
internal sealed record DailyMeans(int FirstDay, double[] Celsius, int[] ReadOn)
{
    private const int Year = 365;

    private readonly double[] sums = Sums(Celsius);

    /// <summary>Means of the days on which something was read; those between are interpolated.</summary>
    /// <param name="days">Day and its mean, each once.</param>
    public static DailyMeans Of(IEnumerable<(int Day, double C)> days)
    {
        var byDay = days.OrderBy(d => d.Day).ToList();
        var first = byDay[0].Day;
        var means = new double[byDay[^1].Day - first + 1];
        var (before, after) = (0, 0);
        for (var i = 0; i < means.Length; i++)
        {
            while (byDay[after].Day < first + i)
            {
                before = after++;
            }

            var (a, b) = (byDay[before], byDay[after]);
            means[i] = b.Day == a.Day ? b.C : a.C + ((b.C - a.C) * (first + i - a.Day) / (b.Day - a.Day));
        }

        return new DailyMeans(first, means, [.. byDay.Select(d => d.Day)]);
    }

    /// <summary>
    /// What was read at a place, and on days on which it was not, what was read around it with what the place was warmer by, which
    /// fades: an old reading never beats a living one. Of each day only what was read by then is used.
    /// </summary>
    /// <param name="around">The next part of the room out.</param>
    /// <param name="fadeDays">Days in which the difference fades to a third.</param>
    /// <remarks>Source: house; a difference that fades as an anomaly does [from memory].</remarks>
    public DailyMeans Within(DailyMeans around, double fadeDays)
    {
        var days = ReadOn.Union(around.ReadOn).Order().ToList();
        var (composed, offset, offsetDay) = (new List<(int, double)>(days.Count), 0.0, int.MinValue);
        double? outside = null;
        foreach (var day in days)
        {
            outside = around.Read(day) ?? outside;
            if (Read(day) is { } own)
            {
                composed.Add((day, own));
                (offset, offsetDay) = (outside is { } there ? own - there : 0, day);
            }
            else
            {
                var faded = offsetDay == int.MinValue ? 0 : offset * Math.Exp(-(day - offsetDay) / fadeDays);
                composed.Add((day, outside!.Value + faded));
            }
        }

        return Of(composed);
    }

    public double[] Cumulate(Func<double, double> rate) => Sums([.. Celsius.Select(rate)]);

    /// <summary>How many days from the first on were known on a day: up to the last reading by then.</summary>
    public int KnownOn(int day)
    {
        var at = Array.BinarySearch(ReadOn, day);
        var last = at >= 0 ? at : ~at - 1;
        return last < 0 ? 0 : ReadOn[last] - FirstDay + 1;
    }

    /// <summary>Mean of a day as it was known on another; none where it was not.</summary>
    public double? On(int day, int asOf) =>
        day >= FirstDay && day - FirstDay < KnownOn(asOf) ? Celsius[day - FirstDay] : null;

    /// <summary>Mean of a day on which something was read; none on others, between readings or not.</summary>
    public double? Read(int day) => Array.BinarySearch(ReadOn, day) >= 0 ? Celsius[day - FirstDay] : null;

    /// <summary>Mean of the last days known on a day.</summary>
    /// <param name="day">The day.</param>
    /// <param name="days">How many days.</param>
    public double? Recent(int day, int days)
    {
        var known = KnownOn(day);
        return known == 0 ? null : Mean(Math.Max(0, known - days), known);
    }

    /// <summary>
    /// What to expect on a day to come: the course of the years on record, smoothed, to which the present warmth comes back bit by
    /// bit; the present warmth where no year is on record.
    /// </summary>
    /// <param name="day">The day.</param>
    /// <param name="asOf">The present day: nothing read later is used.</param>
    /// <param name="recent">The present warmth, °C.</param>
    /// <param name="rules">Over how many days the course is smoothed, and how soon the present is forgotten.</param>
    /// <remarks>Source: a climatology with an anomaly that fades as that of a first-order autoregression [from memory].</remarks>
    public double Expected(int day, int asOf, double recent, Rulebook.RoomClimateRules rules)
    {
        var known = KnownOn(asOf);
        var around = rules.CourseDays.Value;
        return Course(day, known, around) is { } then && Course(asOf, known, around) is { } now
            ? then + ((recent - now) * Math.Exp(-(day - asOf) / rules.AnomalyDays.Value))
            : recent;
    }

    /// <summary>Mean of the same season in all years on record.</summary>
    private double? Course(int day, int known, int around)
    {
        var (sum, years) = (0.0, 0);
        for (var then = day - FirstDay; then + around >= 0; then -= Year)
        {
            var (from, to) = (Math.Max(0, then - around), Math.Min(known, then + around + 1));
            // Half a season that was read is none.
            if (to - from > around)
            {
                (sum, years) = (sum + Mean(from, to), years + 1);
            }
        }

        return years == 0 ? null : sum / years;
    }

    private double Mean(int from, int to) => (sums[to] - sums[from]) / (to - from);

    private static double[] Sums(double[] values)
    {
        var sums = new double[values.Length + 1];
        for (var i = 0; i < values.Length; i++)
        {
            sums[i + 1] = sums[i] + values[i];
        }

        return sums;
    }
}
