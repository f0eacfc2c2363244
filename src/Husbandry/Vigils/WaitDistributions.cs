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

/// <summary>One of two waits, nobody knows which.</summary>
/// <param name="One">The likelier.</param>
/// <param name="Other">The other.</param>
/// <param name="OtherShare">How often it is the other, 0–1.</param>
public sealed record EitherWait(IWait One, IWait Other, double OtherShare) : IWait
{
    /// <inheritdoc/>
    public EffectiveDays Median => One.Median;

    /// <inheritdoc/>
    public double LogSurvival(EffectiveDays days)
    {
        var (a, b) = (
            double.LogP1(-OtherShare) + One.LogSurvival(days),
            Math.Log(OtherShare) + Other.LogSurvival(days)
        );
        var high = Math.Max(a, b);
        return high + Math.Log(Math.Exp(a - high) + Math.Exp(b - high));
    }
}

/// <summary>
/// A wait of which nobody knows exactly when it began: one of several beginnings, each by its chance. Survival to the beginning
/// of the record is no evidence of its own: what is asked of it is only how it goes on.
/// </summary>
/// <remarks>
/// With beginnings spread evenly into the past this is the forward recurrence time of a renewal process: ∫ S(a + t) da over
/// ∫ S(a) da. Source: Cox (1962), Renewal Theory, §5.1 [from memory].
/// </remarks>
public sealed class UncertainStartWait : IWait
{
    private readonly TabledWait whole;
    private readonly IReadOnlyList<(EffectiveDays Before, double Chance)> starts;

    /// <param name="whole">The whole wait.</param>
    /// <param name="starts">Beginnings: how long before the instant from which it is counted (after it where negative), and how likely.</param>
    public UncertainStartWait(IWait whole, IReadOnlyList<(EffectiveDays Before, double Chance)> starts)
    {
        this.whole = new TabledWait(whole);
        var total = starts.Sum(s => s.Chance);
        this.starts = [.. starts.Select(s => (s.Before, s.Chance / total))];
    }

    /// <summary>A wait that was under way before anybody looked: beginnings evenly spread, as far back as such waits last.</summary>
    /// <param name="whole">The whole wait.</param>
    /// <param name="likelihood">How well a beginning so long before fits what else is known; evenly when left out.</param>
    public static UncertainStartWait Unknown(IWait whole, Func<EffectiveDays, double>? likelihood = null)
    {
        const int Starts = 24;
        const double Furthest = 4;
        var step = whole.Median.Value * Furthest / Starts;
        return new UncertainStartWait(
            whole,
            [
                .. Enumerable
                    .Range(0, Starts)
                    .Select(k => new EffectiveDays((k + 0.5) * step))
                    .Select(before => (before, Math.Max(1e-9, likelihood?.Invoke(before) ?? 1))),
            ]
        );
    }

    /// <inheritdoc/>
    public EffectiveDays Median => whole.Median;

    /// <inheritdoc/>
    public double LogSurvival(EffectiveDays days)
    {
        var sum = 0.0;
        var high = whole.LogSurvival((days + starts[0].Before).NotNegative);
        foreach (var (before, chance) in starts)
        {
            sum += chance * Math.Exp(whole.LogSurvival((days + before).NotNegative) - high);
        }

        return high + Math.Log(sum);
    }
}

/// <summary>A wait read off at fixed points of ln days once, for those who ask it very often.</summary>
internal sealed class TabledWait : IWait
{
    private const int Points = 100;
    private const double Nearest = 60;
    private const double Furthest = 40;

    private readonly double first;
    private readonly double step;
    private readonly double[] table = new double[Points];
    private readonly IWait whole;

    public TabledWait(IWait whole)
    {
        this.whole = whole;
        first = Math.Log(whole.Median.Value / Nearest);
        step = (Math.Log(whole.Median.Value * Furthest) - first) / (Points - 1);
        for (var k = 0; k < Points; k++)
        {
            table[k] = whole.LogSurvival(new(Math.Exp(first + (k * step))));
        }
    }

    public EffectiveDays Median => whole.Median;

    public double LogSurvival(EffectiveDays days)
    {
        if (days <= EffectiveDays.Zero)
        {
            return 0;
        }

        var at = (Math.Log(days.Value) - first) / step;
        if (at < 0 || at >= Points - 1)
        {
            return whole.LogSurvival(days);
        }

        var k = (int)at;
        return table[k] + ((at - k) * (table[k + 1] - table[k]));
    }
}

/// <summary>Tail probabilities on the log scale, good where the probability itself would underflow.</summary>
internal static class Tails
{
    private const double FarTail = 6;

    private const int FractionTerms = 10_000;

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

        // ln ½ + ln I_x(ν/2, ½) with x = ν/(ν+t²): x^a (1−x)^b / (a B(a,b)) over a continued fraction. Source: DLMF 8.17.22;
        // evaluated by the method of Lentz, Press et al. (2007), Numerical Recipes, 3rd ed., §5.2 and §6.4.
        var a = freedom / 2;
        const double B = 0.5;
        var x = freedom / (freedom + (t * t));
        return Math.Log(0.5)
            + (a * Math.Log(x))
            + (B * Math.Log(1 - x))
            - Math.Log(a)
            - SpecialFunctions.BetaLn(a, B)
            + Math.Log(Fraction(a, B, x));
    }

    private static double Fraction(double a, double b, double x)
    {
        const double Tiny = 1e-300;
        const double Accuracy = 1e-15;
        var d = 1 - ((a + b) * x / (a + 1));
        d = 1 / (Math.Abs(d) < Tiny ? Tiny : d);
        var (c, value) = (1.0, d);
        for (var m = 1; m < FractionTerms; m++)
        {
            var even = m * (b - m) * x / ((a + (2 * m) - 1) * (a + (2 * m)));
            var odd = -(a + m) * (a + b + m) * x / ((a + (2 * m)) * (a + (2 * m) + 1));
            var step = 1.0;
            foreach (var term in (ReadOnlySpan<double>)[even, odd])
            {
                d = 1 + (term * d);
                d = 1 / (Math.Abs(d) < Tiny ? Tiny : d);
                c = 1 + (term / c);
                c = Math.Abs(c) < Tiny ? Tiny : c;
                step = d * c;
                value *= step;
            }

            if (Math.Abs(step - 1) < Accuracy)
            {
                break;
            }
        }

        return value;
    }
}
