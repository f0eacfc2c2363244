using Husbandry.Climate;

namespace Husbandry.Vigils;

/// <summary>
/// How many calendar days are still to be waited, as a distribution: the whole forecast, of which the three nights that are
/// shown are the tenth, the half and the ninetieth.
/// </summary>
/// <remarks>Source: definition of the distribution function; waits run in effective days, which the pace turns into days.</remarks>
public abstract class NightsLeft
{
    /// <summary>Chance (0–1) that the wait is over within so many calendar days from now.</summary>
    /// <param name="days">Calendar days from now; 0 where it is not positive.</param>
    public abstract double Within(double days);

    /// <summary>Chance (0–1) that it still lasts after so many calendar days.</summary>
    public double Survival(double days) => 1 - Within(days);

    /// <summary>Calendar days from now by which it is over with chance <paramref name="p"/> (0 &lt; p &lt; 1).</summary>
    public abstract double Quantile(double p);
}

/// <summary>The next molt, the evidence weighed in.</summary>
internal sealed class NightsToMolt(WeighedWait wait, Pace pace) : NightsLeft
{
    public override double Within(double days) => days <= 0 ? 0 : wait.Within(pace.EffectiveWithin(days));

    public override double Quantile(double p) => pace.CalendarDays(wait.Quantile(p));
}

/// <summary>The hoped end of another wait, if it does end so; what cold is still to come lies before it.</summary>
internal sealed class NightsToHopedEnd(RemainingWait left, double chillDays, Pace pace) : NightsLeft
{
    public override double Within(double days) =>
        days <= chillDays ? 0 : left.Within(pace.EffectiveWithin(days - chillDays));

    public override double Quantile(double p) => chillDays + pace.CalendarDays(left.Quantile(p));
}
