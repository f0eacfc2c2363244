using Husbandry.Reasons;
using Husbandry.Vigils;

namespace Husbandry.Pairing;

/// <summary>When an animal is adult, and how long it lives then.</summary>
/// <param name="AdultIn">From now until it is adult; none when it is adult now, its life then counted from now.</param>
/// <param name="Life">From then on until it dies.</param>
public sealed record AdultSpan(IWait? AdultIn, IWait Life)
{
    /// <summary>Chance (0–1) that it is adult by a day and still alive on it.</summary>
    /// <param name="day">Days from now, ≥ 0.</param>
    /// <param name="shares">In how many equal shares lives are taken; the error is at most half of one.</param>
    public double AdultOn(double day, int shares)
    {
        if (AdultIn is null)
        {
            return Still(Life, day);
        }

        // Adult by then, less those whose life has ended: F(d) − E[F(d − L)].
        var gone = EqualShares.Of(Life, shares).Average(life => Over(AdultIn, day - life.Value));
        return Math.Max(0, Over(AdultIn, day) - gone);
    }

    internal static double Still(IWait wait, double days) =>
        Math.Exp(wait.LogSurvival(new EffectiveDays(days).NotNegative));

    private static double Over(IWait wait, double days) =>
        days <= 0 ? 0 : -double.ExpM1(wait.LogSurvival(new EffectiveDays(days)));
}

/// <summary>Whether two animals are adult together.</summary>
/// <remarks>
/// With D = A₂ − A₁ both are adult together for n nights when L₁ ≥ n + max(D, 0) and L₂ ≥ n + max(−D, 0): the chance is the mean
/// of the two survivals over D. Source: the definition; dates and lives are taken as independent.
/// </remarks>
public static class AdultOverlap
{
    /// <summary>Chance (0–1) that both are adult and alive together for so many nights.</summary>
    /// <param name="one">The one.</param>
    /// <param name="other">The other.</param>
    /// <param name="nights">Nights, &gt; 0.</param>
    /// <param name="shares">In how many equal shares each date is taken; the error is at most one of them.</param>
    public static double Chance(AdultSpan one, AdultSpan other, double nights, int shares)
    {
        var (first, second) = (Dates(one, shares), Dates(other, shares));
        var (oneAlone, otherAlone) = (AdultSpan.Still(one.Life, nights), AdultSpan.Still(other.Life, nights));
        var sum = 0.0;
        foreach (var a in first)
        {
            foreach (var b in second)
            {
                sum +=
                    b >= a
                        ? AdultSpan.Still(one.Life, nights + b - a) * otherAlone
                        : oneAlone * AdultSpan.Still(other.Life, nights + a - b);
            }
        }

        return sum / (first.Count * second.Count);
    }

    private static List<double> Dates(AdultSpan span, int shares) =>
        span.AdultIn is { } wait ? [.. EqualShares.Of(wait, shares).Select(d => d.Value)] : [0];
}
