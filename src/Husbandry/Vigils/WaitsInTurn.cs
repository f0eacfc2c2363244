using Husbandry.Reasons;

namespace Husbandry.Vigils;

/// <summary>
/// Several waits of one animal, each beginning when the one before ends. They are added up on its own clock, so that a later
/// wait goes by at the warmth of the season that it falls into.
/// </summary>
/// <remarks>
/// Source: the distribution of a sum of independent waits is the convolution of theirs; here of equally likely lengths, which
/// makes no assumption about their shape. Waits of one animal are taken as independent given what is known of it.
/// </remarks>
public sealed class WaitsInTurn : IDaysLeft
{
    private const int Lengths = 25;

    // Between these chances each wait is read off; what is rarer stands at the ends.
    private const double Rarest = 0.002;

    private const int Points = 33;

    private readonly double[] sums;

    private WaitsInTurn(double[] sums) => this.sums = sums;

    /// <summary>One wait after those before it.</summary>
    /// <param name="before">The waits before it, none for the first.</param>
    /// <param name="next">The wait that follows.</param>
    /// <param name="slower">Factor on the next wait, as of an animal that is fed more sparely.</param>
    public static IDaysLeft Of(IDaysLeft? before, IDaysLeft next, double slower = 1)
    {
        double[] lengths = [.. EquallyLikely(next).Select(d => d * slower)];
        return before switch
        {
            null when slower == 1 => next,
            null => new WaitsInTurn(lengths),
            WaitsInTurn sum => new WaitsInTurn(Sum(sum.sums, lengths)),
            _ => new WaitsInTurn(Sum(EquallyLikely(before), lengths)),
        };
    }

    /// <inheritdoc/>
    public double Within(EffectiveDays days)
    {
        var at = Array.BinarySearch(sums, days.Value);
        var (i, n) = (at < 0 ? ~at : at, sums.Length);
        return i == 0 ? 0
            : i == n ? 1
            : (i - 0.5 + ((days.Value - sums[i - 1]) / Math.Max(double.Epsilon, sums[i] - sums[i - 1]))) / n;
    }

    /// <inheritdoc/>
    public EffectiveDays Quantile(double p)
    {
        var at = Math.Clamp((p * sums.Length) - 0.5, 0, sums.Length - 1);
        var i = Math.Min((int)at, sums.Length - 2);
        return new(sums[i] + ((at - i) * (sums[i + 1] - sums[i])));
    }

    /// <summary>Lengths of a wait that are equally likely, read off its distribution function.</summary>
    private static double[] EquallyLikely(IDaysLeft wait)
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
