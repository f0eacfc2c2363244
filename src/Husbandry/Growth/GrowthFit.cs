using Husbandry.Reasons;
using Husbandry.Rulebook;
using MathNet.Numerics.Distributions;

namespace Husbandry.Growth;

/// <summary>A hard-part length at an instar.</summary>
/// <param name="Instar">Instar number.</param>
/// <param name="LengthMm">Millimetres, &gt; 0.</param>
public sealed record GrowthPoint(int Instar, double LengthMm);

/// <summary>A forecast size with its 90 % prediction interval.</summary>
public sealed record NextSize(int Instar, double MedianMm, double Low90Mm, double High90Mm);

/// <summary>One step between consecutive measures.</summary>
/// <param name="FromInstar">Instar of the earlier measure.</param>
/// <param name="ToInstar">Instar of the later measure as recorded.</param>
/// <param name="Ratio">Later length ÷ earlier length.</param>
/// <param name="LikelyMolts">Most likely number of molts in between; more than recorded points to one nobody saw.</param>
public sealed record GrowthStep(int FromInstar, int ToInstar, double Ratio, int LikelyMolts)
{
    /// <summary>Whether more molts are likely than the record has.</summary>
    public bool HidesAMolt => LikelyMolts > ToInstar - FromInstar;

    /// <summary>Whether hard parts shrank, which cannot be: a wrong measure or the wrong animal.</summary>
    public bool Shrank => Ratio <= 1;
}

/// <summary>Straight-line growth of ln length on instar.</summary>
/// <param name="Ratio">Growth ratio per molt.</param>
/// <param name="LogSlope">ln of the ratio.</param>
/// <param name="LogIntercept">ln mm at instar 0.</param>
/// <param name="RSquared">Share of variance explained; none when all lengths are equal.</param>
/// <param name="ResidualStandardError">On ln mm; none with fewer than three points.</param>
/// <param name="N">Number of points.</param>
/// <param name="Next">Size after the next molt; none with fewer than three points.</param>
/// <param name="Steps">Steps between consecutive measures.</param>
public sealed record GrowthFit(
    double Ratio,
    double LogSlope,
    double LogIntercept,
    double? RSquared,
    double? ResidualStandardError,
    int N,
    NextSize? Next,
    IReadOnlyList<GrowthStep> Steps
)
{
    private const double IntervalTail = 0.95;

    /// <summary>Name of the rule, for reasons.</summary>
    public const string RuleName = "growth.dyar";

    /// <summary>Source of the rule.</summary>
    public const string Source = "Dyar (1890), Psyche 5:420–422: hard parts grow by a nearly constant ratio per molt";

    /// <summary>
    /// Least squares of ln length on instar. With a prior ratio the slope is shrunk towards it by a normal prior on
    /// ln ratio that weighs as much as <see cref="RoomGrowthRules.ShrinkageSteps"/>.
    /// </summary>
    /// <param name="points">At least two different instars, every length &gt; 0.</param>
    /// <param name="priorRatio">Usual ratio of the species, or none for plain least squares.</param>
    /// <param name="room">Rules for weights and for missed molts.</param>
    /// <param name="nextInstar">Instar to forecast; the one after the last measured when left out.</param>
    /// <returns><see langword="null"/> when all instars are the same, so that no slope exists.</returns>
    public static GrowthFit? Of(
        IReadOnlyList<GrowthPoint> points,
        double? priorRatio,
        RoomRules room,
        int? nextInstar = null
    )
    {
        var n = points.Count;
        if (points.Select(p => p.Instar).Distinct().Count() < 2)
        {
            return null;
        }

        var meanX = points.Average(p => (double)p.Instar);
        var meanY = points.Average(p => Math.Log(p.LengthMm));
        var sxx = points.Sum(p => (p.Instar - meanX) * (p.Instar - meanX));
        var sxy = points.Sum(p => (p.Instar - meanX) * (Math.Log(p.LengthMm) - meanY));
        var syy = points.Sum(p => Math.Pow(Math.Log(p.LengthMm) - meanY, 2));
        var weight = priorRatio is null ? 0 : room.Growth.ShrinkageSteps.Value;
        var slope = (sxy + (weight * Math.Log(priorRatio ?? 1))) / (sxx + weight);
        var intercept = meanY - (slope * meanX);
        var sse = points.Sum(p => Math.Pow(Math.Log(p.LengthMm) - intercept - (slope * p.Instar), 2));
        var freedom = n - 2;
        double? s = freedom > 0 ? Math.Sqrt(sse / freedom) : null;
        NextSize? next = null;
        if (s is { } error)
        {
            var instar = nextInstar ?? (points.Max(p => p.Instar) + 1);
            var centre = intercept + (slope * instar);
            var spread = 1 + (1.0 / n) + ((instar - meanX) * (instar - meanX) / (sxx + weight));
            var half = StudentT.InvCDF(0, 1, freedom, IntervalTail) * error * Math.Sqrt(spread);
            next = new NextSize(instar, Math.Exp(centre), Math.Exp(centre - half), Math.Exp(centre + half));
        }

        return new GrowthFit(
            Math.Exp(slope),
            slope,
            intercept,
            syy > 0 ? Math.Max(0, 1 - (sse / syy)) : null,
            s,
            n,
            next,
            MissedMolts.Steps(points, priorRatio, room)
        );
    }

    /// <summary>Why the fit says what it says.</summary>
    public IReadOnlyList<Reason> Reasons(double? priorRatio, RoomRules room)
    {
        var reasons = new List<Reason>
        {
            new(
                "Growth",
                $"{N} measures fit a ratio of {Ratio:0.00} per molt"
                    + (RSquared is { } r2 ? $" (R² {r2:0.000})." : "."),
                RuleName,
                RuleTag.Published,
                Source,
                []
            ),
        };
        if (priorRatio is { } prior)
        {
            reasons.Add(
                room.Growth.ShrinkageSteps.Because(
                    "Short record",
                    "growth.shrinkage",
                    $"The ratio is drawn towards the species' {prior:0.00}, which weighs as much as {room.Growth.ShrinkageSteps.Value:0} molts."
                )
            );
        }

        reasons.AddRange(
            Steps
                .Where(s => s.HidesAMolt)
                .Select(s =>
                    room.Growth.MissedMoltChance.Because(
                        "Missed molt?",
                        "growth.missedMolt",
                        $"From instar {s.FromInstar} to {s.ToInstar} it grew {s.Ratio:0.00}-fold, as much as {s.LikelyMolts} molts: "
                            + "one was probably not seen, or a measure is wrong."
                    )
                )
        );
        reasons.AddRange(
            Steps
                .Where(s => s.Shrank)
                .Select(s => new Reason(
                    "Measure?",
                    $"From instar {s.FromInstar} to {s.ToInstar} it did not grow: a wrong measure, or the wrong animal in the tub.",
                    RuleName,
                    RuleTag.Published,
                    Source,
                    []
                ))
        );
        return reasons;
    }
}
