using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Climate;

/// <summary>
/// How fast waits go by: effective days accumulate by temperature, one per day at the species' reference temperature.
/// </summary>
/// <remarks>
/// Degree-days above a threshold where one is known, else Q10. Source: Q10 = (R₂/R₁)^(10/(T₂−T₁)), definition; Campbell
/// et al. (1974), J. appl. Ecol. 11:431–438 for the linear rate above a threshold. The default Q10 of 2 is a house pick.
/// </remarks>
public sealed class Pace
{
    private const int LongestLookAhead = 2000;
    private const int NearEnough = 3;
    private const double LeastDays = 1e-3;

    private readonly DailyMeans? means;
    private readonly double[] sums;
    private readonly Warmth? warmth;
    private readonly RoomClimateRules? rules;
    private readonly int asOf;
    private readonly double recent;
    private readonly IReadOnlyList<(DateTimeOffset Until, Pace There)> former;
    private double[] goneBy = new double[1];

    internal Pace(
        DailyMeans? means,
        double[] sums,
        Warmth? warmth,
        RoomClimateRules? rules,
        int asOf,
        IReadOnlyList<(DateTimeOffset Until, Pace There)>? former = null
    )
    {
        (this.means, this.sums, this.warmth, this.rules, this.asOf) = (means, sums, warmth, rules, asOf);
        this.former = former ?? [];
        recent = means?.Recent(asOf, rules!.LevelDays.Value) ?? warmth?.ReferenceC ?? 0;
    }

    /// <summary>Every day counts as one.</summary>
    public static Pace Even { get; } = new(null, [], null, null, 0);

    /// <summary>Whether temperatures were read at all.</summary>
    public bool IsKnown => means is not null;

    /// <summary>Mean temperature of the last days, °C, where any was read; else that for which the waits hold.</summary>
    public double CelsiusNow => recent;

    /// <summary>Effective days that one day at the present temperature is worth.</summary>
    public double RateNow => warmth is null ? 1 : RateAt(recent);

    /// <summary>Effective days per day at a temperature, °C.</summary>
    public static double Rate(Warmth warmth, RoomClimateRules rules, double celsius)
    {
        var rate = warmth.ThresholdC is { } threshold
            ? (celsius - threshold) / (warmth.ReferenceC - threshold)
            : Math.Pow(warmth.Q10 ?? 1, (celsius - warmth.ReferenceC) / 10);
        return Math.Clamp(rate, rules.SlowestPace.Value, rules.FastestPace.Value);
    }

    private double RateAt(double celsius) => Rate(warmth!, rules!, celsius);

    private double RateAhead(int days) => RateAt(means!.Expected(asOf + days, asOf, recent, rules!));

    /// <summary>
    /// Effective days between two instants, the later not after the instant of the pace, each day by the warmth where the
    /// animal stood then. What lies before it came counts as at its first place.
    /// </summary>
    public EffectiveDays Between(DateTimeOffset from, DateTimeOffset to)
    {
        var (days, at) = (0.0, from);
        foreach (var (until, there) in former)
        {
            if (until > at && at < to)
            {
                var end = until < to ? until : to;
                days += there.Here(at, end);
                at = end;
            }
        }

        return new(at < to || former.Count == 0 ? days + Here(at, to) : days);
    }

    private double Here(DateTimeOffset from, DateTimeOffset to) =>
        means is null ? (to - from).TotalDays : At(to) - At(from);

    /// <summary>The instant that lies so many effective days before another.</summary>
    public DateTimeOffset Before(DateTimeOffset at, EffectiveDays days)
    {
        var ago = days.Value;
        for (var k = 0; k < NearEnough && means is not null; k++)
        {
            // The rate hardly changes from day to day: each step comes much nearer.
            ago *= days.Value / Math.Max(LeastDays, Between(at.AddDays(-ago), at).Value);
        }

        return at.AddDays(-ago);
    }

    /// <summary>Effective days of so many calendar days that have just passed, at the present rate.</summary>
    public EffectiveDays Lately(CalendarDays days) => new(days.Value * RateNow);

    /// <summary>Calendar days from now after which some effective days have gone by.</summary>
    public CalendarDays Ahead(EffectiveDays days)
    {
        var effective = days.Value;
        if (means is null || warmth is null)
        {
            return new(effective);
        }

        var gone = GoneBy(g => g[^1] >= effective);
        var at = Array.BinarySearch(gone, effective);
        var whole = at >= 0 ? at : ~at;
        return whole == 0 ? CalendarDays.Zero
            : whole < gone.Length ? new(whole - 1 + ((effective - gone[whole - 1]) / (gone[whole] - gone[whole - 1])))
            : new(LongestLookAhead + ((effective - gone[^1]) / RateNow));
    }

    /// <summary>Effective days that will have gone by after some calendar days from now; undoes <see cref="Ahead"/>.</summary>
    public EffectiveDays Within(CalendarDays days)
    {
        var calendar = days.Value;
        if (means is null || warmth is null)
        {
            return new(calendar);
        }

        if (calendar <= 0)
        {
            return new(calendar * RateNow);
        }

        var whole = (int)Math.Min(calendar, LongestLookAhead);
        var gone = GoneBy(g => g.Length > whole + 1);
        var rest = whole + 1 < gone.Length ? gone[whole + 1] - gone[whole] : RateNow;
        return new(gone[whole] + ((calendar - whole) * rest));
    }

    /// <summary>Effective days gone by after 0, 1, 2, … days from now, for so many days as are asked for.</summary>
    private double[] GoneBy(Func<double[], bool> enough)
    {
        // Grown by doubling and put in place whole: who reads it meanwhile has an older one.
        var gone = goneBy;
        while (!enough(gone) && gone.Length <= LongestLookAhead)
        {
            var more = new double[Math.Min(LongestLookAhead, gone.Length * 2) + 1];
            gone.CopyTo(more, 0);
            for (var ahead = gone.Length; ahead < more.Length; ahead++)
            {
                more[ahead] = more[ahead - 1] + RateAhead(ahead);
            }

            goneBy = gone = more;
        }

        return gone;
    }

    /// <summary>Effective days gone by after 0, 1, 2, … days from now, up to <paramref name="days"/>.</summary>
    public EffectiveDays[] EachDayAhead(int days)
    {
        var gone = new EffectiveDays[days + 1];
        for (var ahead = 1; ahead <= days; ahead++)
        {
            gone[ahead] = Within(new(ahead));
        }

        return gone;
    }

    /// <summary>
    /// Effective days since the first reading, by what was read until the instant of the pace; before it the mean of what was read
    /// by then goes on, after it the present level.
    /// </summary>
    private double At(DateTimeOffset instant)
    {
        var day = (instant.UtcDateTime - DateTime.UnixEpoch).TotalDays + EpochDay - means!.FirstDay;
        var known = means.KnownOn(asOf);
        if (known <= 0)
        {
            return day * RateNow;
        }

        if (day <= 0)
        {
            return day * (sums[known] / known);
        }

        if (day >= known)
        {
            return sums[known] + ((day - known) * RateNow);
        }

        var whole = (int)day;
        return sums[whole] + ((day - whole) * (sums[whole + 1] - sums[whole]));
    }

    private static readonly int EpochDay = DateOnly.FromDateTime(DateTime.UnixEpoch).DayNumber;
}
