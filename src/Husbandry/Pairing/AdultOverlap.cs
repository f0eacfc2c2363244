using Husbandry.Climate;
using Husbandry.Reasons;
using Husbandry.Vigils;

namespace Husbandry.Pairing;

/// <summary>When an animal is adult, and how long it lives then.</summary>
/// <param name="Dates">Days from now on which it is adult, each equally likely; a single 0 where it is adult now.</param>
/// <param name="Life">From then on until it dies; of one that is adult now, from now.</param>
public sealed record AdultSpan(IReadOnlyList<double> Dates, IWait Life)
{
    /// <summary>An animal whose date is a wait; none where it is adult now.</summary>
    /// <param name="adultIn">From now until it is adult; none when it is.</param>
    /// <param name="life">How long it lives then.</param>
    /// <param name="shares">In how many equal shares the date is taken; no chance is wrong by more than two of them.</param>
    public static AdultSpan From(IWait? adultIn, IWait life, int shares) =>
        new(adultIn is null ? [0] : [.. EqualShares.Of(adultIn, shares).Select(d => d.Value)], life);

    /// <summary>Chance (0–1) that it is adult by a day and still alive on it.</summary>
    /// <param name="day">Days from now, ≥ 0.</param>
    public double AdultOn(double day) => Dates.Average(date => date <= day ? Still(day - date) : 0);

    /// <summary>The same if from a night on its waits go by more slowly, or faster.</summary>
    /// <param name="night">From when on.</param>
    /// <param name="slower">Factor on the days of its clock that are left then; below 1 for faster.</param>
    /// <param name="pace">Its clock.</param>
    public AdultSpan From(CalendarDays night, double slower, Pace pace)
    {
        var passed = pace.Within(night);
        return this with
        {
            Dates =
            [
                .. Dates.Select(date =>
                {
                    var days = pace.Within(new CalendarDays(date));
                    return days <= passed ? date : pace.Ahead(passed + ((days - passed) * slower)).Value;
                }),
            ],
        };
    }

    internal double Still(double days) => Math.Exp(Life.LogSurvival(new EffectiveDays(days).NotNegative));
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
    public static double Chance(AdultSpan one, AdultSpan other, double nights)
    {
        var (oneAlone, otherAlone) = (one.Still(nights), other.Still(nights));
        var sum = 0.0;
        foreach (var a in one.Dates)
        {
            foreach (var b in other.Dates)
            {
                sum += b >= a ? one.Still(nights + b - a) * otherAlone : oneAlone * other.Still(nights + a - b);
            }
        }

        return sum / (one.Dates.Count * other.Dates.Count);
    }
}
