using Husbandry.Climate;
using Husbandry.Reasons;
using MathNet.Numerics.RootFinding;

namespace Husbandry.Vigils;

/// <summary>
/// How many calendar days are still to be waited, as a distribution: the whole forecast, of which the three nights that are
/// shown are the tenth, the half and the ninetieth.
/// </summary>
/// <remarks>Source: definition of the distribution function; waits run in effective days, which the pace turns into days.</remarks>
public abstract class NightsLeft
{
    /// <summary>Chance (0–1) that the wait is over within so many days from now; 0 where they are not positive.</summary>
    public abstract double Within(CalendarDays days);

    /// <summary>Chance (0–1) that it still lasts after so many days.</summary>
    public double Survival(CalendarDays days) => 1 - Within(days);

    /// <summary>Days from now by which it is over with chance <paramref name="p"/> (0 &lt; p &lt; 1).</summary>
    public abstract CalendarDays Quantile(double p);
}

/// <summary>How much of a wait is left, in days of the animal's own clock.</summary>
public interface IDaysLeft
{
    /// <summary>Chance (0–1) that it is over within so many effective days from now; 0 where they are not positive.</summary>
    double Within(EffectiveDays days);

    /// <summary>Effective days from now by which it is over with chance <paramref name="p"/> (0 &lt; p &lt; 1).</summary>
    EffectiveDays Quantile(double p);
}

/// <summary>What is left of a wait as nights from tonight on, by the warmth to come.</summary>
/// <param name="left">What is left, on the animal's own clock.</param>
/// <param name="pace">How fast it goes by.</param>
internal sealed class NightsAhead(IDaysLeft left, Pace pace) : NightsLeft
{
    /// <summary>What is left, on the animal's own clock.</summary>
    public IDaysLeft Left => left;

    /// <summary>The wait, behind the cold that must come first.</summary>
    /// <param name="left">What is left of it.</param>
    /// <param name="colds">How long until that cold is over, each as likely; none where none must come.</param>
    /// <param name="pace">How fast it goes by.</param>
    public static NightsLeft Of(RemainingWait left, IReadOnlyList<CalendarDays> colds, Pace pace) =>
        colds.Count == 0 ? new NightsAhead(left, pace) : new NightsAfterCold(left, colds, pace);

    public override double Within(CalendarDays days) => days <= CalendarDays.Zero ? 0 : left.Within(pace.Within(days));

    public override CalendarDays Quantile(double p) => pace.Ahead(left.Quantile(p));
}

/// <summary>A wait that stands still until a cold of uncertain length is over.</summary>
internal sealed class NightsAfterCold(RemainingWait left, IReadOnlyList<CalendarDays> colds, Pace pace) : NightsLeft
{
    private const double DayAccuracy = 0.02;
    private const int MostHalvings = 80;

    private readonly IReadOnlyList<(CalendarDays Days, EffectiveDays Warm)> colds =
    [
        .. colds.Select(c => (c, pace.Within(c))),
    ];

    public override double Within(CalendarDays days)
    {
        var warm = pace.Within(days);
        return days <= CalendarDays.Zero ? 0 : colds.Average(c => c.Days >= days ? 0 : left.Within(warm - c.Warm));
    }

    public override CalendarDays Quantile(double p)
    {
        var low = colds.Min(c => c.Days);
        var after = pace.Within(colds.Max(c => c.Days)) + left.Quantile(p);
        return Bisection.TryFindRoot(
            d => Within(new(d)) - p,
            low.Value,
            pace.Ahead(after).Value + 1,
            DayAccuracy,
            MostHalvings,
            out var root
        )
            ? new(root)
            : pace.Ahead(after);
    }
}
