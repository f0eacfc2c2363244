using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Larder;

/// <summary>One week of one food.</summary>
/// <param name="From">First night.</param>
/// <param name="Demand">Expected need.</param>
/// <param name="DemandLow">Need that is passed in nine of ten such weeks.</param>
/// <param name="DemandHigh">Need that is passed in one of ten.</param>
/// <param name="Coming">What cultures and parcels are expected to bring.</param>
/// <param name="Left">What is expected to be left at its end.</param>
/// <param name="LeftLow">What is left if need is high, pots are poor and parcels late.</param>
public sealed record FoodWeek(
    DateOnly From,
    double Demand,
    double DemandLow,
    double DemandHigh,
    double Coming,
    double Left,
    double LeftLow
);

/// <summary>Need and supply of one food by nights; everything is expected unless it says low.</summary>
internal sealed class FoodFlow(int nights)
{
    public double[] Need { get; } = new double[nights];
    public double[] NeedVariance { get; } = new double[nights];
    public double[] Coming { get; } = new double[nights];
    public double[] ComingLow { get; } = new double[nights];
    public double OnHand { get; set; }
    public double FromTubsADay { get; set; }

    public int Nights => nights;

    /// <summary>What is left after each night, expected.</summary>
    public double[] Left(double halfLifeDays) => Walk(halfLifeDays, low: false).Left;

    /// <summary>What is left after each night if all goes badly, and the first night on which it does not reach.</summary>
    public (double[] Left, int? Short, double Missing) Low(double halfLifeDays) => Walk(halfLifeDays, low: true);

    private (double[] Left, int? Short, double Missing) Walk(double halfLifeDays, bool low)
    {
        var left = new double[nights];
        var keeps = Math.Pow(0.5, 1 / halfLifeDays);
        var (stock, need, variance) = (OnHand, 0.0, 0.0);
        int? runsShort = null;
        var missing = 0.0;
        var taken = 0.0;
        for (var t = 0; t < nights; t++)
        {
            stock = (stock * keeps) + (low ? ComingLow[t] : Coming[t]);
            need += Need[t];
            variance += NeedVariance[t];
            // The band of the whole need so far; a night takes what it adds to that.
            var wanted = need + (low ? LarderPlan.OneInTen * Math.Sqrt(variance) : 0);
            var tonight = Math.Max(0, wanted - taken);
            taken += tonight;
            if (low && tonight > stock + 1e-9)
            {
                runsShort ??= t;
                missing += tonight - stock;
            }

            stock = Math.Max(0, stock - tonight);
            left[t] = stock;
        }

        return (left, runsShort, missing);
    }
}

/// <summary>One food over the weeks to come.</summary>
/// <param name="Food">What.</param>
/// <param name="Name">"small crickets".</param>
/// <param name="OnHand">What is there now, by the last count and what was fed, died or came since.</param>
/// <param name="CountedOn">When it was last counted; none when never.</param>
/// <param name="Weeks">Week by week.</param>
/// <param name="ShortOn">First night on which it would not reach as things stand; none when it does.</param>
/// <param name="GlutOn">First night on which far more is there than will be eaten; none when there is not.</param>
/// <param name="From">Where it comes from.</param>
/// <param name="Reasons">What all that rests on.</param>
public sealed record FoodOutlook(
    FoodKey Food,
    string Name,
    double OnHand,
    DateOnly? CountedOn,
    IReadOnlyList<FoodWeek> Weeks,
    DateOnly? ShortOn,
    DateOnly? GlutOn,
    FeederFrom From,
    IReadOnlyList<Reason> Reasons
);
