using Husbandry.Reasons;

namespace Husbandry.Vigils;

/// <summary>
/// One observation and what it says of a wait: seen some days ago, it is so many times as often made in premolt (or in
/// the last hours) as outside it.
/// </summary>
/// <param name="Age">How long ago it was made.</param>
/// <param name="Span">Length of the span before the molt in which it is made.</param>
/// <param name="Ratio">Likelihood ratio, &gt; 0.</param>
/// <param name="Edge">How sharply the span begins, as a power: the share that is in it so long before is 1 / (1 + (time / span)^edge).</param>
public sealed record Witness(EffectiveDays Age, EffectiveDays Span, double Ratio, double Edge)
{
    /// <summary>Likelihood of the observation if so much is left, relative to being far from a molt.</summary>
    public double Of(EffectiveDays left)
    {
        var inside = 1 / (1 + Math.Pow((left + Age) / Span, Edge));
        return (Ratio * inside) + 1 - inside;
    }
}

/// <summary>What is left of a wait, reweighted by evidence; nights and quantiles hold if there is one at all.</summary>
/// <remarks>
/// Bayes' rule on a grid that is fine where premolt lies and coarse beyond it; within a cell the wait keeps its own
/// shape, so that with no evidence the answer is exact. Source: definition of conditional probability.
/// </remarks>
public sealed class WeighedWait : IDaysLeft
{
    // A weight changes within two doublings of its span either way, the faster the sharper its edge.
    private const int Doublings = 2;

    private readonly RemainingWait left;
    private readonly EffectiveDays[] edges;
    private readonly double[] chances;
    private readonly double[] weights;
    private readonly double total;
    private readonly double neverBefore;

    /// <summary>A wait before any evidence.</summary>
    /// <param name="left">What is left without evidence.</param>
    /// <param name="premolt">Length of premolt.</param>
    /// <param name="expected">The evidence that will be weighed: where it changes the weight the grid is fine.</param>
    /// <param name="never">Chance (0–1) that nothing is left to wait for: that it is adult already and molts no more.</param>
    public WeighedWait(RemainingWait left, EffectiveDays premolt, IReadOnlyList<Witness> expected, double never = 0)
    {
        (this.left, Premolt, neverBefore) = (left, premolt, never);
        edges = Cells(premolt, expected);
        chances = [.. edges.Select(left.Within), 1];
        weights = new double[edges.Length];
        Array.Fill(weights, 1);
        total = Sum();
    }

    private WeighedWait(WeighedWait former, Witness more)
    {
        (left, Premolt, edges, chances) = (former.left, former.Premolt, former.edges, former.chances);
        neverBefore = former.neverBefore;
        weights = [.. former.weights];
        Weigh(weights, edges, more);
        total = Sum();
    }

    /// <summary>The same wait under one more piece of evidence.</summary>
    public WeighedWait And(Witness more) => new(this, more);

    /// <summary>Likelihood of a piece of evidence as things are known now, relative to being far from a molt.</summary>
    public double Mean(Witness more) => NeverChance + ((1 - NeverChance) * And(more).total / total);

    /// <summary>
    /// Chance (0–1) that nothing is left to wait for. To one that molts no more the evidence is what it is far from a molt.
    /// </summary>
    public double NeverChance => neverBefore / (neverBefore + ((1 - neverBefore) * total));

    /// <summary>The mean weight of each cell by Simpson's rule; beyond the last edge it hardly changes any more.</summary>
    private static void Weigh(double[] weights, EffectiveDays[] edges, Witness witness)
    {
        var before = witness.Of(edges[0]);
        for (var i = 0; i + 1 < edges.Length; i++)
        {
            var after = witness.Of(edges[i + 1]);
            weights[i] *= (before + (4 * witness.Of((edges[i] + edges[i + 1]) / 2)) + after) / 6;
            before = after;
        }

        weights[^1] *= witness.Of(edges[^1] * 2);
    }

    private double Sum()
    {
        var sum = 0.0;
        for (var i = 0; i < edges.Length; i++)
        {
            sum += (chances[i + 1] - chances[i]) * weights[i];
        }

        return sum;
    }

    /// <summary>
    /// Edges close together where a weight changes: about the span of each piece of evidence, less what of it has passed since.
    /// </summary>
    private static EffectiveDays[] Cells(EffectiveDays premolt, IReadOnlyList<Witness> expected)
    {
        const double Middle = 4;
        const double StepsByEdge = 0.3;
        const double Nearest = 0.5;
        var wanted = new List<(EffectiveDays At, EffectiveDays Apart)>();
        foreach (
            var (span, age, edge) in expected
                .Select(w => (w.Span, w.Age, w.Edge))
                .Append((Span: premolt, Age: EffectiveDays.Zero, Edge: Middle))
                .Distinct()
        )
        {
            var steps = (int)Math.Ceiling(StepsByEdge * edge * edge);
            for (var k = -Doublings * steps; k <= Doublings * steps; k++)
            {
                var before = span * Math.Pow(2, (double)k / steps);
                wanted.Add((before - age, before * (Math.Pow(2, 1.0 / steps) - 1)));
            }
        }

        // Several pieces of evidence want edges at the same places: one of them is enough.
        var edges = new List<EffectiveDays> { EffectiveDays.Zero };
        foreach (var (at, apart) in wanted.OrderBy(w => w.At))
        {
            if (at - edges[^1] > apart * Nearest)
            {
                edges.Add(at);
            }
        }

        return [.. edges];
    }

    /// <summary>Length of premolt.</summary>
    public EffectiveDays Premolt { get; }

    /// <summary>Chance that a molt comes and is no farther off than premolt lasts.</summary>
    public double PremoltChance => (1 - NeverChance) * Within(Premolt);

    /// <summary>Chance (0–1) that the wait is over within <paramref name="days"/> from now.</summary>
    public double Within(EffectiveDays days)
    {
        if (days <= EffectiveDays.Zero)
        {
            return 0;
        }

        var (sum, cell) = (0.0, 0);
        for (; cell + 1 < edges.Length && edges[cell + 1] <= days; cell++)
        {
            sum += (chances[cell + 1] - chances[cell]) * weights[cell];
        }

        return Math.Clamp((sum + ((left.Within(days) - chances[cell]) * weights[cell])) / total, 0, 1);
    }

    /// <summary>Effective days from now by which the wait is over with chance <paramref name="p"/> (0 &lt; p &lt; 1).</summary>
    public EffectiveDays Quantile(double p)
    {
        var wanted = p * total;
        for (var i = 0; i < edges.Length; i++)
        {
            var mass = (chances[i + 1] - chances[i]) * weights[i];
            if (wanted <= mass || i == edges.Length - 1)
            {
                var unweighted = chances[i] + (wanted / weights[i]);
                if (i > 0 && i < edges.Length - 1)
                {
                    return left.QuantileBetween(unweighted, edges[i], edges[i + 1]);
                }

                return left.Quantile(Math.Clamp(unweighted, double.Epsilon * 1e300, 1 - 1e-15));
            }

            wanted -= mass;
        }

        return EffectiveDays.Zero;
    }
}

/// <summary>One step of the ladder that shows how the evidence moved the chance of premolt.</summary>
/// <param name="Label">The evidence.</param>
/// <param name="Strength">Its strength in words; empty for the starting point.</param>
/// <param name="Chance">Chance of premolt after it (0–1).</param>
public sealed record Rung(string Label, string Strength, double Chance);
