using System.Globalization;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using MathNet.Numerics.Distributions;

namespace Husbandry.Nursery;

/// <summary>A part of a brood that was counted and weighed.</summary>
/// <param name="Count">Animals in it, ≥ 1.</param>
/// <param name="Mg">What they weigh together, mg, above 0.</param>
public sealed record WeighedPart(int Count, double Mg);

/// <summary>How many there are by their weight.</summary>
/// <param name="Count">The whole weight over the mean of one.</param>
/// <param name="Low">Hardly fewer than this (95 %).</param>
/// <param name="High">Nor more than this.</param>
/// <param name="MeanMg">Mean of one, mg.</param>
/// <param name="StandardErrorMg">Standard error of that mean, mg.</param>
/// <remarks>
/// A ratio estimate: mean of one = Σ weight / Σ count. With three or more parts its variance is that of their residuals,
/// Σ(y − R·x)² / ((k − 1)·k·x̄²), Cochran (1977), Sampling Techniques, 3rd ed., §6.4; with fewer it rests on how much the
/// bodies of a brood scatter. Both with the correction for a part of a finite whole, §2.6. The scale adds its rounding, uniform
/// over one division. Two-sided 95 % by Student's t, or by the normal where the scatter is a rule.
/// </remarks>
public sealed record WeighedCount(int Count, int Low, int High, double MeanMg, double StandardErrorMg)
{
    private const double Tail = 0.975;
    private const int PartsForResiduals = 3;

    /// <summary>The estimate.</summary>
    /// <param name="totalMg">Weight of all of them, the parts among them; not below that of the parts.</param>
    /// <param name="parts">At least one part that was counted.</param>
    /// <param name="scaleMg">One division of the scale, mg; 0 for none.</param>
    /// <param name="rules">Rules of rearing.</param>
    public static Answer<WeighedCount> Of(
        double totalMg,
        IReadOnlyList<WeighedPart> parts,
        double scaleMg,
        RoomNurseryRules rules
    )
    {
        ArgumentNullException.ThrowIfNull(parts);
        ArgumentNullException.ThrowIfNull(rules);
        var counted = parts.Sum(p => p.Count);
        var mean = parts.Sum(p => p.Mg) / counted;
        var count = totalMg / mean;
        var ofResiduals = parts.Count >= PartsForResiduals;
        var scatter = ofResiduals
            ? parts.Sum(p => Math.Pow(p.Mg - mean * p.Count, 2))
                / ((parts.Count - 1) * parts.Count * Math.Pow((double)counted / parts.Count, 2))
            : Math.Pow(rules.BodiesScatter.Value * mean, 2) / counted;
        var open = Math.Max(0, 1 - counted / count);
        var rounding = scaleMg * scaleMg / 12;
        var error = Math.Sqrt(scatter * open + rounding * parts.Count / ((double)counted * counted));
        var times = ofResiduals ? StudentT.InvCDF(0, 1, parts.Count - 1, Tail) : Normal.InvCDF(0, 1, Tail);
        var width = times * count * Math.Sqrt(Math.Pow(error / mean, 2) + rounding / (totalMg * totalMg));
        var whole = (int)Math.Round(count);
        var value = new WeighedCount(
            whole,
            Math.Min(whole, Math.Max(counted, (int)Math.Floor(count - width))),
            (int)Math.Ceiling(count + width),
            mean,
            error
        );
        var text = string.Create(
            CultureInfo.InvariantCulture,
            $"{counted} counted weigh {mean:0.###} mg each; {totalMg:0.#} mg in all make {whole}, {value.Low} to {value.High}."
        );
        var why = ofResiduals
            ? new Reason(
                "Scatter",
                $"By how much {parts.Count} parts differ from their common mean.",
                "nursery.weighedCount",
                RuleTag.Published,
                "Cochran (1977), Sampling Techniques, 3rd ed., §6.4 and §2.6",
                []
            )
            : rules.BodiesScatter.Because(
                "Scatter",
                "room.bodiesScatter",
                $"Bodies of one brood are taken to scatter by {Wording.Chance(rules.BodiesScatter.Value)}; weigh three parts or more to know it of these."
            );
        return new Answer<WeighedCount>(value, text, [why]);
    }
}
