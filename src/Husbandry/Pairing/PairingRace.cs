namespace Husbandry.Pairing;

/// <summary>
/// The race of a sac against her next molt: what is stored after a pairing goes with the skin, so that a sac must come first.
/// </summary>
/// <remarks>
/// P(d) = take rate · ∫ f(s) · S(d + s) ds with f the wait from pairing to sac and S the chance that nothing has ended it by then:
/// she has not molted, and lives. Source: the definition of competing waits; the integral is taken over equal shares of f, whose
/// error is at most half of one share as S falls (<see cref="EqualShares"/>).
/// </remarks>
public static class PairingRace
{
    // Chances that differ by less are the same: the last digits of a sum say nothing.
    private const double Noise = 1e-12;

    /// <summary>The chance (0–1) of a sac before she molts or dies, if she is paired some days from now.</summary>
    /// <param name="still">Chance that neither a molt nor death has come by so many days from now.</param>
    /// <param name="sacOn">Days from now on which the sacs of a pairing on that day come, each equally likely.</param>
    /// <param name="takeRate">Share of pairings that give a sac at all if nothing comes between (0–1).</param>
    public static double Chance(Func<double, double> still, IEnumerable<double> sacOn, double takeRate) =>
        takeRate * sacOn.Average(still);

    /// <summary>The day that is best, and the last that is still worth it.</summary>
    /// <param name="byDay">Chance by day from now, from day 0 on.</param>
    /// <param name="firstDay">The first day on which she may be paired.</param>
    /// <param name="worth">Share of the best day's chance that the last sensible day must still have (0–1).</param>
    /// <returns>The earliest of the best days; no last day where nothing is to be had.</returns>
    public static (int Best, int? Last) Window(IReadOnlyList<double> byDay, int firstDay, double worth)
    {
        var best = firstDay;
        for (var day = firstDay + 1; day < byDay.Count; day++)
        {
            best = byDay[day] > byDay[best] + Noise ? day : best;
        }

        if (byDay[best] <= 0)
        {
            return (best, null);
        }

        var last = byDay.Count - 1;
        while (byDay[last] < worth * byDay[best])
        {
            last--;
        }

        return (best, last);
    }
}
