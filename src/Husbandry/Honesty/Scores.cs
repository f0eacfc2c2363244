namespace Husbandry.Honesty;

/// <summary>Scores of forecasts.</summary>
public static class Scores
{
    /// <summary>Pinball loss of one quantile forecast.</summary>
    /// <remarks>Source: Koenker &amp; Bassett (1978), Econometrica 46:33–50.</remarks>
    /// <param name="tau">Level of the quantile, 0–1.</param>
    /// <param name="forecast">The forecast quantile.</param>
    /// <param name="happened">What happened.</param>
    public static double Pinball(double tau, double forecast, double happened) =>
        happened >= forecast ? tau * (happened - forecast) : (1 - tau) * (forecast - happened);

    /// <summary>Mean in which each counts by its weight.</summary>
    /// <returns>None without any.</returns>
    public static double? Mean(IEnumerable<(double Value, double Weight)> all)
    {
        var (sum, total) = (0.0, 0.0);
        foreach (var (value, weight) in all)
        {
            (sum, total) = (sum + (value * weight), total + weight);
        }

        return total <= 0 ? null : sum / total;
    }

    /// <summary>Mean squared distance between probabilities and what happened.</summary>
    /// <remarks>Source: Brier (1950), Mon. Weather Rev. 78:1–3.</remarks>
    /// <returns>None without forecasts.</returns>
    public static double? Brier(IEnumerable<(double Probability, bool Happened, double Weight)> forecasts) =>
        Mean(
            forecasts.Select(f =>
                ((f.Probability - (f.Happened ? 1 : 0)) * (f.Probability - (f.Happened ? 1 : 0)), f.Weight)
            )
        );

    /// <summary>Area under the ROC curve: the chance that one that happened was given more than one that did not.</summary>
    /// <remarks>By ranks, ties counting half. Source: Mann &amp; Whitney (1947); Hanley &amp; McNeil (1982), Radiology 143:29–36.</remarks>
    /// <returns>None unless some happened and some did not.</returns>
    public static double? AreaUnderRoc(IReadOnlyList<(double Probability, bool Happened, double Weight)> forecasts)
    {
        var happened = forecasts.Where(f => f.Happened).Sum(f => f.Weight);
        var not = forecasts.Where(f => !f.Happened).Sum(f => f.Weight);
        if (happened <= 0 || not <= 0)
        {
            return null;
        }

        var (below, pairs) = (0.0, 0.0);
        foreach (var tie in forecasts.GroupBy(f => f.Probability).OrderBy(g => g.Key))
        {
            var no = tie.Where(f => !f.Happened).Sum(f => f.Weight);
            pairs += tie.Where(f => f.Happened).Sum(f => f.Weight) * (below + (no / 2));
            below += no;
        }

        return pairs / (happened * not);
    }

    /// <summary>The median of values; none when there are none.</summary>
    public static double? Median(IEnumerable<double> values)
    {
        var sorted = values.Order().ToList();
        var half = sorted.Count / 2;
        return sorted.Count == 0 ? null
            : sorted.Count % 2 == 1 ? sorted[half]
            : (sorted[half - 1] + sorted[half]) / 2;
    }
}
