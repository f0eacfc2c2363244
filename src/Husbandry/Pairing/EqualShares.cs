using Husbandry.Reasons;
using Husbandry.Vigils;

namespace Husbandry.Pairing;

/// <summary>A wait as so many days, each of which is equally likely to be the nearest: what is averaged over them is its mean.</summary>
/// <remarks>
/// The midpoint rule in the distribution function. Of what only rises or only falls with the wait, from 0 to 1, the mean is wrong by
/// at most half of one share. Source: the bound of the midpoint rule for a monotone function.
/// </remarks>
public static class EqualShares
{
    /// <summary>The middles of equal shares, shortest first.</summary>
    /// <param name="wait">The wait.</param>
    /// <param name="count">How many shares, ≥ 1.</param>
    public static IReadOnlyList<EffectiveDays> Of(IWait wait, int count)
    {
        var whole = new RemainingWait(wait, EffectiveDays.Zero);
        return [.. Enumerable.Range(0, count).Select(k => whole.Quantile((k + 0.5) / count))];
    }
}
