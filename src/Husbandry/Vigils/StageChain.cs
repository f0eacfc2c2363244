using System.Numerics;
using Husbandry.Reasons;
using MathNet.Numerics.IntegralTransforms;

namespace Husbandry.Vigils;

/// <summary>
/// When each of several stages in series will have ended. Exact to what a keeper can read, whatever the shapes; where one of many
/// forecasts needs a sum in passing, <see cref="WaitsInTurn"/> is quicker and coarser.
/// </summary>
/// <remarks>
/// The distribution of a sum of independent waits is the convolution of theirs, here by the fast Fourier transform on a lattice
/// onto which each wait is put so that its mean stays what it is. Source: definition; local moment matching, Gerber (1982),
/// Insurance: Mathematics and Economics 1:13–18.
/// </remarks>
public static class StageChain
{
    // A quantile in the lowest part of a lattice is read too coarsely: a finer one is drawn for it.
    private const double Above = 2;
    private const double MostAbove = 2;
    private const int Coarse = 1 << 9;
    private const int Fine = 1 << 13;
    private const int MostDrawn = 40;

    /// <summary>Quantiles of the time from now until the last of some stages ends, on their own clock.</summary>
    /// <param name="stages">The stages in turn, of which the first may be under way; at least one.</param>
    /// <param name="shares">Shares (0 &lt; p &lt; 1) at which the sum is read.</param>
    public static IReadOnlyList<EffectiveDays> Quantiles(IReadOnlyList<IDaysLeft> stages, IReadOnlyList<double> shares)
    {
        if (stages is [var only])
        {
            return [.. shares.Select(only.Quantile)];
        }

        var found = new EffectiveDays[shares.Count];
        // The sum lasts longer than all these together in fewer than 1 − p cases, as one of them then lasts longer.
        var beyond = (1 - shares.Max()) / stages.Count;
        var top = stages.Sum(s => s.Quantile(1 - beyond).Value);
        Lattice? fine = null;
        foreach (var k in Enumerable.Range(0, shares.Count).OrderByDescending(k => shares[k]))
        {
            top = TopFor(stages, shares[k], top);
            fine = fine?.Top <= MostAbove * top ? fine : new Lattice(stages, top, Fine);
            found[k] = new(fine.Quantile(shares[k]));
        }

        return found;
    }

    /// <summary>A top not far above a quantile, sought on coarse lattices from a safe one downwards.</summary>
    private static double TopFor(IReadOnlyList<IDaysLeft> stages, double share, double top)
    {
        for (var drawn = 0; drawn < MostDrawn; drawn++)
        {
            var coarse = new Lattice(stages, top, Coarse);
            // Each stage may be off by a step of the lattice.
            var lower = Above * (coarse.Quantile(share) + (coarse.Step * (stages.Count + 1)));
            if (lower > top / Above)
            {
                break;
            }

            top = lower;
        }

        return top;
    }

    /// <summary>Chances of the sum at evenly spaced times up to some top; what lies beyond does not matter below it.</summary>
    private sealed class Lattice
    {
        private readonly int points;
        private readonly double[] chances;

        public Lattice(IReadOnlyList<IDaysLeft> stages, double top, int points)
        {
            this.points = points;
            (Top, Step) = (top, top / points);
            chances = Of(stages[0]);
            foreach (var stage in stages.Skip(1))
            {
                chances = Sum(chances, Of(stage));
            }
        }

        public double Top { get; }

        public double Step { get; }

        /// <summary>The time by which a share of the sums is over; the top where it lies beyond.</summary>
        public double Quantile(double share)
        {
            var (below, k) = (0.0, 0);
            while (k < points && below + chances[k] < share)
            {
                below += chances[k++];
            }

            // The chance of a point is that of the half step to either side of it.
            return k == points ? Top : Step * Math.Max(0, k - 0.5 + ((share - below) / chances[k]));
        }

        /// <summary>Each cell's chance goes to its two ends so that the mean of the cell is kept.</summary>
        private double[] Of(IDaysLeft stage)
        {
            var at = new double[points];
            var before = 0.0;
            for (var k = 0; k < points; k++)
            {
                var after = stage.Within(new((k + 1) * Step));
                // The mean of the distribution function over the cell, by Simpson's rule.
                var mean = (before + (4 * stage.Within(new((k + 0.5) * Step))) + after) / 6;
                at[k] += mean - before;
                if (k + 1 < points)
                {
                    at[k + 1] += after - mean;
                }

                before = after;
            }

            return at;
        }

        /// <summary>The chances of a sum, cut off at the top.</summary>
        private double[] Sum(double[] one, double[] other)
        {
            var (first, second) = (Padded(one), Padded(other));
            Fourier.Forward(first, FourierOptions.AsymmetricScaling);
            Fourier.Forward(second, FourierOptions.AsymmetricScaling);
            for (var k = 0; k < first.Length; k++)
            {
                first[k] *= second[k];
            }

            Fourier.Inverse(first, FourierOptions.AsymmetricScaling);
            return [.. first.Take(points).Select(c => Math.Max(0, c.Real))];
        }

        private Complex[] Padded(double[] chances)
        {
            var padded = new Complex[2 * points];
            for (var k = 0; k < points; k++)
            {
                padded[k] = chances[k];
            }

            return padded;
        }
    }
}
