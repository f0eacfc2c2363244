using System.Collections.Concurrent;
using Husbandry.Reasons;
using MathNet.Numerics.Distributions;
using MathNet.Numerics.Interpolation;

namespace Husbandry.Vigils;

/// <summary>ln P(T &gt; t) of a Student t, read off a table: a forecast asks for it hundreds of times.</summary>
/// <remarks>
/// A cubic through exact values and slopes, d ln S/dt = −f/S; within 1e-7 of the function itself, which is asked beyond the
/// table. One table for each number of degrees of freedom that was ever asked for; <see cref="Freedom"/> keeps those few.
/// </remarks>
internal sealed class StudentTail
{
    private const double Furthest = 14;
    private const double Step = 0.05;
    private const double Fine = 40;
    private const double Coarse = 400;

    private static readonly ConcurrentDictionary<double, StudentTail> Known = new();

    private readonly double freedom;
    private readonly CubicSpline table;

    private StudentTail(double freedom)
    {
        this.freedom = freedom;
        double[] at = [.. Enumerable.Range(0, (int)(2 * Furthest / Step) + 1).Select(k => (k * Step) - Furthest)];
        double[] log = [.. at.Select(t => Tails.LogStudentSurvival(t, freedom))];
        double[] slope = [.. at.Zip(log, (t, l) => -Math.Exp(StudentT.PDFLn(0, 1, freedom, t) - l))];
        table = CubicSpline.InterpolateHermiteSorted(at, log, slope);
    }

    /// <summary>The degrees of freedom that are told apart: halves while they are few, whole tens and hundreds when many.</summary>
    public static double Freedom(double freedom)
    {
        var step =
            freedom < Fine ? 0.5
            : freedom < Coarse ? 10
            : 100;
        return Math.Max(step, Math.Round(freedom / step) * step);
    }

    /// <summary>The table of some degrees of freedom.</summary>
    public static StudentTail Of(double freedom) => Known.GetOrAdd(freedom, f => new StudentTail(f));

    /// <summary>ln P(T &gt; t).</summary>
    public double LogSurvival(double t) =>
        Math.Abs(t) < Furthest ? table.Interpolate(t) : Tails.LogStudentSurvival(t, freedom);
}

/// <summary>The predictive of a learned wait: a Student t on ln days, read off its table.</summary>
/// <param name="Location">Centre on ln days.</param>
/// <param name="Scale">Scale on ln days, &gt; 0.</param>
/// <param name="Tail">Table of its degrees of freedom.</param>
internal sealed record TabledStudentWait(double Location, double Scale, StudentTail Tail) : IWait
{
    /// <inheritdoc/>
    public EffectiveDays Median => new(Math.Exp(Location));

    /// <inheritdoc/>
    public double LogSurvival(EffectiveDays days) =>
        days <= EffectiveDays.Zero ? 0 : Tail.LogSurvival((Math.Log(days.Value) - Location) / Scale);
}
