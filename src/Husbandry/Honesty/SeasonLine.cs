using Husbandry.Rulebook;

namespace Husbandry.Honesty;

/// <summary>How the forecasts of molts did that were made in one quarter of a year.</summary>
/// <param name="From">First night of the quarter.</param>
/// <param name="Forecasts">Forecasts scored.</param>
/// <param name="Coverage80">Share of them whose 10–90 % window held what happened.</param>
/// <param name="LossOfRulebook">Their mean loss as a share of the rulebook's; below 1 the room has taught something.</param>
/// <param name="AreaUnderRoc">How well the premolt readings of the quarter told premolt from the rest; none where only one occurred.</param>
public sealed record SeasonLine(
    DateOnly From,
    int Forecasts,
    double Coverage80,
    double LossOfRulebook,
    double? AreaUnderRoc
)
{
    private const int MonthsOfQuarter = 3;

    /// <summary>One line for each quarter in which a forecast of a molt was made that could be scored, in order.</summary>
    public static IReadOnlyList<SeasonLine> Of(
        IReadOnlyList<ScoredForecast> forecasts,
        IReadOnlyList<ScoredReading> readings
    )
    {
        var read = readings.ToLookup(r => Quarter(r.Night));
        return
        [
            .. forecasts
                .Where(f => f.Vigil == VigilKind.Molt)
                .GroupBy(f => Quarter(f.MadeOn))
                .OrderBy(g => g.Key)
                .Select(g => new SeasonLine(
                    g.Key,
                    g.Count(),
                    Scores.Mean(g.Select(f => (f.EngineGave.Covered, f.Weight)))!.Value,
                    Scores.Mean(g.Select(f => (f.Pinball(f.Engine), f.Weight)))!.Value
                        / Scores.Mean(g.Select(f => (f.Pinball(f.SpeciesPrior), f.Weight)))!.Value,
                    Scores.AreaUnderRoc([.. read[g.Key].Select(r => (r.Chance, r.Followed, r.Weight))])
                )),
        ];
    }

    private static DateOnly Quarter(DateOnly night) =>
        new(night.Year, ((night.Month - 1) / MonthsOfQuarter * MonthsOfQuarter) + 1, 1);
}
