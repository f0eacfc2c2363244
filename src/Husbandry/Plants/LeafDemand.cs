namespace Husbandry.Plants;

/// <summary>Larvae of one age.</summary>
/// <param name="Instar">Instar, from 1.</param>
/// <param name="DayInInstar">Days of it that are done, 0 for just molted, at most as long as it lasts.</param>
/// <param name="Count">How many, &gt; 0.</param>
public sealed record LarvaeOfAge(int Instar, double DayInInstar, double Count);

/// <summary>How much leaf larvae eat from day to day.</summary>
/// <remarks>
/// Mass grows by one ratio per instar and what is eaten grows with it, so that instar k of n takes r^(k−1) ÷ Σ r^(j−1) of all
/// that a larva eats, evenly over its days. Source: house, as the body outgrows the head (Dyar's ratio would be too low).
/// </remarks>
public sealed class LeafDemand
{
    private readonly double[] ends;
    private readonly double[] eatenBy;

    /// <summary>Larvae of one species.</summary>
    /// <param name="instarDays">Days that each instar lasts, &gt; 0, the first first; at least one.</param>
    /// <param name="leafOfLifeG">Leaf that one larva eats in all, g, ≥ 0.</param>
    /// <param name="massRatio">How much heavier a larva is in each instar than in the one before, &gt; 0.</param>
    public LeafDemand(IReadOnlyList<double> instarDays, double leafOfLifeG, double massRatio)
    {
        // By logarithms, so that no power of a large ratio runs out of range.
        var steps = Math.Log(massRatio);
        var largest = Math.Max(0, steps * (instarDays.Count - 1));
        double[] weights = [.. instarDays.Select((_, k) => Math.Exp((steps * k) - largest))];
        var all = weights.Sum();
        ends = new double[instarDays.Count + 1];
        eatenBy = new double[instarDays.Count + 1];
        for (var k = 0; k < instarDays.Count; k++)
        {
            ends[k + 1] = ends[k] + instarDays[k];
            eatenBy[k + 1] = eatenBy[k] + (leafOfLifeG * weights[k] / all);
        }

        ShareOfLast = weights[^1] / all;
    }

    /// <summary>Share (0–1) of all that is eaten that falls into the last instar.</summary>
    public double ShareOfLast { get; }

    /// <summary>Days from hatching to the end of the last instar.</summary>
    public double LarvalDays => ends[^1];

    /// <summary>Age in days since hatching of larvae in an instar.</summary>
    /// <param name="larvae">The larvae; their instar must be one of those given.</param>
    public double AgeOf(LarvaeOfAge larvae) => ends[larvae.Instar - 1] + larvae.DayInInstar;

    /// <summary>Leaf that one larva has eaten by an age, g.</summary>
    /// <param name="ageDays">Days since it hatched; before it nothing, after the last instar nothing more.</param>
    public double EatenBy(double ageDays)
    {
        if (ageDays <= 0)
        {
            return 0;
        }

        var k = Array.BinarySearch(ends, ageDays);
        var instar = k >= 0 ? k : ~k - 1;
        return instar >= ends.Length - 1
            ? eatenBy[^1]
            : eatenBy[instar]
                + (
                    (eatenBy[instar + 1] - eatenBy[instar])
                    * (ageDays - ends[instar])
                    / (ends[instar + 1] - ends[instar])
                );
    }

    /// <summary>Leaf that some larvae eat on one day, g.</summary>
    /// <param name="larvae">The larvae.</param>
    /// <param name="day">1 for the day that begins now.</param>
    public double OnDay(LarvaeOfAge larvae, int day)
    {
        var begin = AgeOf(larvae) + day - 1;
        return larvae.Count * (EatenBy(begin + 1) - EatenBy(begin));
    }
}
