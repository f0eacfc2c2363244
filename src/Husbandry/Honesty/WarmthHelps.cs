using Husbandry.Rulebook;

namespace Husbandry.Honesty;

/// <summary>Whether counting by warmth made the forecasts of a kind better, each held against what came.</summary>
/// <param name="Vigil">What was awaited.</param>
/// <param name="Forecasts">Forecasts made both ways.</param>
/// <param name="PinballWith">Mean pinball loss by warmth, days; less is better.</param>
/// <param name="PinballWithout">The same by the calendar alone.</param>
/// <param name="LossLikely">By how many days the loss probably differs, below 0 where warmth helps; none from too few animals.</param>
/// <param name="Says">What that comes to.</param>
public sealed record WarmthHelps(
    VigilKind Vigil,
    int Forecasts,
    double PinballWith,
    double PinballWithout,
    Likely? LossLikely,
    string Says
)
{
    /// <summary>Compares two replays of one journal: with what was read in the room, and without.</summary>
    public static IReadOnlyList<WarmthHelps> Of(ReplayResult with, ReplayResult without)
    {
        ArgumentNullException.ThrowIfNull(with);
        ArgumentNullException.ThrowIfNull(without);
        var other = without.Forecasts.ToLookup(f => (f.StockId, f.Vigil, f.MadeOn));
        return
        [
            .. with
                .Forecasts.Select(f => (With: f, Without: other[(f.StockId, f.Vigil, f.MadeOn)].FirstOrDefault()))
                .Where(x => x.Without is not null)
                .GroupBy(x => x.With.Vigil)
                .OrderBy(g => g.Key)
                .Select(g => Of(g.Key, [.. g.Select(x => (x.With, x.Without!))])),
        ];
    }

    private static WarmthHelps Of(VigilKind vigil, List<(ScoredForecast With, ScoredForecast Without)> pairs)
    {
        var loss = Bootstrap.Of(
            pairs.Select(p =>
                (p.With.StockId, p.With.Pinball(p.With.Engine) - p.Without.Pinball(p.Without.Engine), p.With.Weight)
            )
        );
        return new WarmthHelps(
            vigil,
            pairs.Count,
            Scores.Mean(pairs.Select(p => (p.With.Pinball(p.With.Engine), p.With.Weight)))!.Value,
            Scores.Mean(pairs.Select(p => (p.Without.Pinball(p.Without.Engine), p.Without.Weight)))!.Value,
            loss,
            loss switch
            {
                null => "Too few animals to tell.",
                { High: < 0 } => "Warmth helps.",
                { Low: > 0 } => "Here the calendar alone did better: look at where the sensors hang.",
                { } => "No difference that can be told from chance.",
            }
        );
    }
}
