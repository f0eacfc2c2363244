using Husbandry.Reasons;
using MathNet.Numerics.RootFinding;

namespace Husbandry.Vigils;

/// <summary>What is left of a wait that has not ended after some days: P(T ≤ u+d | T &gt; u), on the log scale.</summary>
/// <param name="Whole">The whole wait.</param>
/// <param name="Elapsed">Waited so far, ≥ 0.</param>
/// <remarks>Conditioning on survival; Source: definition of conditional probability, see docs/how-it-works.md.</remarks>
public sealed record RemainingWait(IWait Whole, EffectiveDays Elapsed) : IDaysLeft
{
    private const double Accuracy = 1e-13;

    // Within a known bracket; a strong piece of evidence stretches what is left of the error manyfold.
    private const double DayAccuracy = 1e-7;

    private const int MostIterations = 200;

    /// <summary>ln of the chance that a whole wait lasts as long as this one has.</summary>
    public double LogReached { get; } = Whole.LogSurvival(Elapsed);

    /// <summary>Chance that the wait is over within <paramref name="days"/> from now (0–1).</summary>
    public double Within(EffectiveDays days) => days <= EffectiveDays.Zero ? 0 : -double.ExpM1(LogStill(days.Value));

    /// <summary>Chance that the whole wait would not have lasted this long: above 0.975 it is longer than normal.</summary>
    public double ShareAlreadyOver => -double.ExpM1(LogReached);

    /// <summary>Effective days from now by which the wait is over with chance <paramref name="p"/> (0 &lt; p &lt; 1).</summary>
    public EffectiveDays Quantile(double p)
    {
        var target = double.LogP1(-p);
        var high = Math.Max(1, Whole.Median.Value);
        while (LogStill(high) > target)
        {
            high *= 2;
        }

        // In ln d the function is smooth and the root is found to relative accuracy, however near or far.
        double Difference(double logDays) => LogStill(Math.Exp(logDays)) - target;
        var low = Math.Log(high) - 2;
        while (Difference(low) < 0)
        {
            low -= 4;
        }

        return Brent.TryFindRoot(Difference, low, Math.Log(high), Accuracy, MostIterations, out var root)
            ? new(Math.Exp(root))
            : new(high);
    }

    /// <summary>The same where it is known between which days the answer lies (0 &lt; <paramref name="low"/> &lt; <paramref name="high"/>).</summary>
    public EffectiveDays QuantileBetween(double p, EffectiveDays low, EffectiveDays high)
    {
        var target = double.LogP1(-p);
        double Difference(double days) => LogStill(days) - target;
        return Brent.TryFindRoot(Difference, low.Value, high.Value, DayAccuracy, MostIterations, out var root)
            ? new(root)
            : Quantile(p);
    }

    private double LogStill(double days) => Whole.LogSurvival(Elapsed + new EffectiveDays(days)) - LogReached;
}
