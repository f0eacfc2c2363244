using Husbandry.Climate;
using Husbandry.Reasons;
using MathNet.Numerics.RootFinding;

namespace Husbandry.Vigils;

/// <summary>
/// How many calendar days are still to be waited, as a distribution: the whole forecast, of which the three nights that are
/// shown are the tenth, the half and the ninetieth.
/// </summary>
/// <remarks>Source: definition of the distribution function; waits run in effective days, which the pace turns into days.</remarks>
public abstract class NightsLeft
{
    /// <summary>Chance (0–1) that the wait is over within so many days from now; 0 where they are not positive.</summary>
    public abstract double Within(CalendarDays days);

    /// <summary>Chance (0–1) that it still lasts after so many days.</summary>
    public double Survival(CalendarDays days) => 1 - Within(days);

    /// <summary>Days from now by which it is over with chance <paramref name="p"/> (0 &lt; p &lt; 1).</summary>
    public abstract CalendarDays Quantile(double p);
}

/// <summary>Waits one after another.</summary>
public static class WaitsInTurn
{
    extension(IReadOnlyList<NightsLeft> waits)
    {
        /// <summary>How long all of them last, each beginning when the one before ends; of at least one.</summary>
        public NightsLeft InTurn() => NightsInTurn.Of(waits);
    }
}

/// <summary>The next molt, the evidence weighed in.</summary>
internal sealed class NightsToMolt(WeighedWait wait, Pace pace) : NightsLeft
{
    public override double Within(CalendarDays days) => days <= CalendarDays.Zero ? 0 : wait.Within(pace.Within(days));

    public override CalendarDays Quantile(double p) => pace.Ahead(wait.Quantile(p));
}

/// <summary>A wait that ends in one way and goes on now.</summary>
internal sealed class NightsToEnd(RemainingWait left, Pace pace) : NightsLeft
{
    /// <summary>The wait, behind the cold that must come first.</summary>
    /// <param name="left">What is left of it.</param>
    /// <param name="colds">How long until that cold is over, each as likely; none where none must come.</param>
    /// <param name="pace">How fast it goes by.</param>
    public static NightsLeft Of(RemainingWait left, IReadOnlyList<CalendarDays> colds, Pace pace) =>
        colds.Count == 0 ? new NightsToEnd(left, pace) : new NightsAfterCold(left, colds, pace);

    public override double Within(CalendarDays days) => days <= CalendarDays.Zero ? 0 : left.Within(pace.Within(days));

    public override CalendarDays Quantile(double p) => pace.Ahead(left.Quantile(p));
}

/// <summary>A wait that stands still until a cold of uncertain length is over.</summary>
internal sealed class NightsAfterCold(RemainingWait left, IReadOnlyList<CalendarDays> colds, Pace pace) : NightsLeft
{
    private const double DayAccuracy = 0.02;
    private const int MostHalvings = 80;

    private readonly IReadOnlyList<(CalendarDays Days, EffectiveDays Warm)> colds =
    [
        .. colds.Select(c => (c, pace.Within(c))),
    ];

    public override double Within(CalendarDays days)
    {
        var warm = pace.Within(days);
        return days <= CalendarDays.Zero ? 0 : colds.Average(c => c.Days >= days ? 0 : left.Within(warm - c.Warm));
    }

    public override CalendarDays Quantile(double p)
    {
        var low = colds.Min(c => c.Days);
        var after = pace.Within(colds.Max(c => c.Days)) + left.Quantile(p);
        return Bisection.TryFindRoot(
            d => Within(new(d)) - p,
            low.Value,
            pace.Ahead(after).Value + 1,
            DayAccuracy,
            MostHalvings,
            out var root
        )
            ? new(root)
            : pace.Ahead(after);
    }
}

/// <summary>Several waits, one after another.</summary>
/// <remarks>
/// Source: the distribution of a sum of independent waits is the convolution of theirs; here of equally likely lengths, which
/// makes no assumption about their shape. Waits of one animal are taken as independent given what is known of it.
/// </remarks>
internal sealed class NightsInTurn : NightsLeft
{
    private const int Lengths = 25;

    // Between these chances each wait is read off; what is rarer stands at the ends.
    private const double Rarest = 0.002;

    private const int Points = 33;

    private readonly double[] sums;

    private NightsInTurn(double[] sums) => this.sums = sums;

    /// <summary>One wait after another.</summary>
    /// <param name="waits">At least one; a single one is its own distribution.</param>
    public static NightsLeft Of(IReadOnlyList<NightsLeft> waits) =>
        waits.Count == 1 ? waits[0] : new NightsInTurn(waits.Select(EquallyLikely).Aggregate(Sum));

    public override double Within(CalendarDays days)
    {
        var at = Array.BinarySearch(sums, days.Value);
        var (i, n) = (at < 0 ? ~at : at, sums.Length);
        return i == 0 ? 0
            : i == n ? 1
            : (i - 0.5 + ((days.Value - sums[i - 1]) / Math.Max(double.Epsilon, sums[i] - sums[i - 1]))) / n;
    }

    public override CalendarDays Quantile(double p)
    {
        var at = Math.Clamp((p * sums.Length) - 0.5, 0, sums.Length - 1);
        var i = Math.Min((int)at, sums.Length - 2);
        return new(sums[i] + ((at - i) * (sums[i + 1] - sums[i])));
    }

    /// <summary>Lengths of a wait that are equally likely, read off its distribution function.</summary>
    private static double[] EquallyLikely(NightsLeft wait)
    {
        var (low, high) = (wait.Quantile(Rarest).Value, wait.Quantile(1 - Rarest).Value);
        var (days, chances) = (new double[Points], new double[Points]);
        for (var k = 0; k < Points; k++)
        {
            // Closer together where most waits end.
            var share = (double)k / (Points - 1);
            days[k] = low + ((high - low) * share * share);
            chances[k] = wait.Within(new(days[k]));
        }

        var lengths = new double[Lengths];
        for (var (i, k) = (0, 1); i < Lengths; i++)
        {
            var p = (i + 0.5) / Lengths;
            while (k < Points - 1 && chances[k] < p)
            {
                k++;
            }

            var within = (p - chances[k - 1]) / Math.Max(double.Epsilon, chances[k] - chances[k - 1]);
            lengths[i] = days[k - 1] + (Math.Clamp(within, 0, 1) * (days[k] - days[k - 1]));
        }

        return lengths;
    }

    /// <summary>All sums of a length of one and a length of the other, thinned to as many as are kept of a wait.</summary>
    private static double[] Sum(double[] one, double[] other)
    {
        var all = new double[one.Length * other.Length];
        for (var i = 0; i < all.Length; i++)
        {
            all[i] = one[i / other.Length] + other[i % other.Length];
        }

        Array.Sort(all);
        var width = all.Length / Lengths;
        return [.. Enumerable.Range(0, Lengths).Select(i => all[(i * width) + (width / 2)])];
    }
}
