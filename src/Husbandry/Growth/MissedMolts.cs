using Husbandry.Rulebook;

namespace Husbandry.Growth;

/// <summary>
/// Finds steps that are better explained by more molts than the record has. Each step's ln(ratio) is
/// N(m·ln r, s²) for m molts; the record's own count is favoured by the prior; r and s are those under which the
/// whole record is most probable, r with a prior around the species' (or the usual) ratio.
/// </summary>
internal static class MissedMolts
{
    private const double LeastLogRatio = 0.04;
    private const double MostLogRatio = 0.75;
    private const double LogRatioStep = 0.005;
    private const int MostExtraMolts = 3;

    // Spreads tried, as multiples of the floor in the rulebook.
    private static readonly double[] SpreadMultiples = [1, 1.4, 2, 2.8, 4];

    public static IReadOnlyList<GrowthStep> Steps(IReadOnlyList<GrowthPoint> points, double? priorRatio, RoomRules room)
    {
        var measures = points
            .GroupBy(p => p.Instar)
            .OrderBy(g => g.Key)
            .Select(g => (Instar: g.Key, Log: g.Average(p => Math.Log(p.LengthMm))))
            .ToList();
        var steps = measures
            .Zip(measures.Skip(1), (a, b) => (From: a.Instar, To: b.Instar, Log: b.Log - a.Log))
            .ToList();
        var (logRatio, spread) = MostProbable(steps.Select(s => (s.To - s.From, s.Log)).ToList(), priorRatio, room);
        return
        [
            .. steps.Select(s => new GrowthStep(
                s.From,
                s.To,
                Math.Exp(s.Log),
                Best(s.To - s.From, s.Log, logRatio, spread, room).Molts
            )),
        ];
    }

    private static (double LogRatio, double Spread) MostProbable(
        List<(int Molts, double Log)> steps,
        double? priorRatio,
        RoomRules room
    )
    {
        var centre = Math.Log(priorRatio ?? room.Growth.UsualGrowthRatio.Value);
        var sd = priorRatio is null ? room.Growth.StepRatioPriorSd.Value : room.Growth.StepRatioPriorSd.Value / 2;
        var best = (LogRatio: centre, Spread: room.Growth.StepNoiseFloor.Value, Score: double.NegativeInfinity);
        for (var logRatio = LeastLogRatio; logRatio <= MostLogRatio; logRatio += LogRatioStep)
        {
            var prior = -Math.Pow((logRatio - centre) / sd, 2) / 2;
            foreach (var spread in SpreadMultiples.Select(m => m * room.Growth.StepNoiseFloor.Value))
            {
                var score = prior + steps.Sum(s => Best(s.Molts, s.Log, logRatio, spread, room).Score);
                if (score > best.Score)
                {
                    best = (logRatio, spread, score);
                }
            }
        }

        return (best.LogRatio, best.Spread);
    }

    private static (int Molts, double Score) Best(
        int recorded,
        double log,
        double logRatio,
        double spread,
        RoomRules room
    )
    {
        var best = (Molts: recorded, Score: double.NegativeInfinity);
        for (var molts = recorded; molts <= recorded + MostExtraMolts; molts++)
        {
            var score =
                ((molts - recorded) * Math.Log(room.Growth.MissedMoltChance.Value))
                - (Math.Pow((log - (molts * logRatio)) / spread, 2) / 2)
                - Math.Log(spread);
            if (score > best.Score)
            {
                best = (molts, score);
            }
        }

        return best;
    }
}
