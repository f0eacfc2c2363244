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

    /// <summary>Mean squared distance between probabilities and what happened.</summary>
    /// <remarks>Source: Brier (1950), Mon. Weather Rev. 78:1–3.</remarks>
    /// <returns>None without forecasts.</returns>
    public static double? Brier(IReadOnlyList<(double Probability, bool Happened)> forecasts) =>
        forecasts.Count == 0
            ? null
            : forecasts.Average(f => (f.Probability - (f.Happened ? 1 : 0)) * (f.Probability - (f.Happened ? 1 : 0)));

    /// <summary>Area under the ROC curve: the chance that one that happened was given more than one that did not.</summary>
    /// <remarks>By ranks, ties counting half. Source: Mann &amp; Whitney (1947); Hanley &amp; McNeil (1982), Radiology 143:29–36.</remarks>
    /// <returns>None unless some happened and some did not.</returns>
    public static double? AreaUnderRoc(IReadOnlyList<(double Probability, bool Happened)> forecasts)
    {
        var happened = forecasts.Count(f => f.Happened);
        var not = forecasts.Count - happened;
        if (happened == 0 || not == 0)
        {
            return null;
        }

        var sorted = forecasts.OrderBy(f => f.Probability).ToList();
        var ranks = 0.0;
        for (var i = 0; i < sorted.Count; )
        {
            var j = i;
            while (j < sorted.Count && sorted[j].Probability.Equals(sorted[i].Probability))
            {
                j++;
            }

            // Ranks are counted from 1; ties share their mean rank.
            var rank = (i + 1 + j) / 2.0;
            ranks += rank * sorted[i..j].Count(f => f.Happened);
            i = j;
        }

        return (ranks - (happened * (happened + 1) / 2.0)) / ((double)happened * not);
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
