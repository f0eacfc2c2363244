using Husbandry.Reasons;
using MathNet.Numerics;

namespace Husbandry.Vigils;

/// <summary>The distribution of a wait in effective days, known through the logarithm of its survival function.</summary>
public interface IWait
{
    /// <summary>ln P(T &gt; days). Finite for every finite <paramref name="days"/>, however far in the tail.</summary>
    /// <param name="days">Days since the wait began, ≥ 0.</param>
    double LogSurvival(EffectiveDays days);

    /// <summary>The median.</summary>
    EffectiveDays Median { get; }
}

/// <summary>A lognormal wait.</summary>
/// <param name="Mu">Mean of ln days.</param>
/// <param name="Sigma">Standard deviation of ln days, &gt; 0.</param>
public sealed record LogNormalWait(double Mu, double Sigma) : IWait
{
    /// <summary>Standard normal quantile of 0.9, with which a prior's ends give σ.</summary>
    public const double NormalQuantile90 = 1.2815515655446004;

    /// <summary>μ = ln p50, σ = (ln p90 − ln p10) / (2 · z₀.₉).</summary>
    public static LogNormalWait FromPrior(Rulebook.WaitPrior prior) =>
        new(Math.Log(prior.P50), (Math.Log(prior.P90) - Math.Log(prior.P10)) / (2 * NormalQuantile90));

    /// <inheritdoc/>
    public EffectiveDays Median => new(Math.Exp(Mu));

    /// <inheritdoc/>
    public double LogSurvival(EffectiveDays days) =>
        days <= EffectiveDays.Zero ? 0 : Tails.LogNormalSurvival((Math.Log(days.Value) - Mu) / Sigma);
}

/// <summary>A wait whose logarithm is a shifted, scaled Student t: the predictive of a learned wait.</summary>
/// <param name="Location">Centre on ln days.</param>
/// <param name="Scale">Scale on ln days, &gt; 0.</param>
/// <param name="Freedom">Degrees of freedom, &gt; 0.</param>
public sealed record LogStudentWait(double Location, double Scale, double Freedom) : IWait
{
    /// <inheritdoc/>
    public EffectiveDays Median => new(Math.Exp(Location));

    /// <inheritdoc/>
    public double LogSurvival(EffectiveDays days) =>
        days <= EffectiveDays.Zero ? 0 : Tails.LogStudentSurvival((Math.Log(days.Value) - Location) / Scale, Freedom);
}

/// <summary>
/// A wait of which only a lower bound of the elapsed time is known, because the animal came with its last molt
/// unseen: what is left is the forward recurrence time of a renewal process, and "elapsed" counts from arrival.
/// </summary>
/// <remarks>
/// Survival H(x)/H(0) with H(x) = ∫ₓ^∞ S = m·Φ((μ+σ²−ln x)/σ) − x·S(x).
/// Source: Cox (1962), Renewal Theory, §5.1 (forward recurrence time) [from memory]; partial expectation of the lognormal.
/// </remarks>
/// <param name="Whole">The whole interval.</param>
public sealed record UnknownStartWait(LogNormalWait Whole) : IWait
{
    /// <inheritdoc/>
    public EffectiveDays Median => new RemainingWait(this, EffectiveDays.Zero).Quantile(0.5);

    /// <inheritdoc/>
    public double LogSurvival(EffectiveDays days)
    {
        if (days <= EffectiveDays.Zero)
        {
            return 0;
        }

        var (mu, sigma) = (Whole.Mu, Whole.Sigma);
        var logMean = mu + (sigma * sigma / 2);
        var logAbove = logMean + Tails.LogNormalSurvival((Math.Log(days.Value) - mu - (sigma * sigma)) / sigma);
        var logStill = Math.Log(days.Value) + Whole.LogSurvival(days);
        // H = e^a − e^b with b < a; far in the tail the two nearly cancel, so the difference is kept above rounding.
        var share = Math.Max(-double.ExpM1(logStill - logAbove), double.Epsilon * 1e300);
        return logAbove + Math.Log(share) - logMean;
    }
}

/// <summary>Tail probabilities on the log scale, good where the probability itself would underflow.</summary>
internal static class Tails
{
    private const double FarTail = 6;

    private const int SeriesTerms = 200;

    /// <summary>ln P(Z &gt; z) of a standard normal.</summary>
    public static double LogNormalSurvival(double z)
    {
        if (z < FarTail)
        {
            return Math.Log(0.5 * SpecialFunctions.Erfc(z / Math.Sqrt(2)));
        }

        // Mills ratio as a continued fraction (Laplace): 1/(z + 1/(z + 2/(z + 3/(z + …)))).
        var fraction = z;
        for (var k = 60; k >= 1; k--)
        {
            fraction = z + (k / fraction);
        }

        return (-z * z / 2) - (0.5 * Math.Log(2 * Math.PI)) - Math.Log(fraction);
    }

    /// <summary>ln P(T &gt; t) of a Student t.</summary>
    public static double LogStudentSurvival(double t, double freedom)
    {
        if (t < FarTail)
        {
            var half = 0.5 * SpecialFunctions.BetaRegularized(freedom / 2, 0.5, freedom / (freedom + (t * t)));
            return Math.Log(t <= 0 ? 1 - half : half);
        }

        // ln ½ + ln I_x(ν/2, ½) with x = ν/(ν+t²), by the series of the incomplete beta function
        // I_x(a,b) = x^a (1−x)^b / (a B(a,b)) · ₂F₁(a+b, 1; a+1; x). Source: DLMF 8.17.8.
        var a = freedom / 2;
        const double B = 0.5;
        var x = freedom / (freedom + (t * t));
        var (sum, term) = (1.0, 1.0);
        for (var n = 0; n < SeriesTerms && term > sum * 1e-17; n++)
        {
            term *= (a + B + n) / (a + 1 + n) * x;
            sum += term;
        }

        return Math.Log(0.5)
            + (a * Math.Log(x))
            + (B * Math.Log(1 - x))
            - Math.Log(a)
            - SpecialFunctions.BetaLn(a, B)
            + Math.Log(sum);
    }
}
