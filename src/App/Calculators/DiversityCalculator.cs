using App.Hosting;
using Husbandry.Feeding;
using Husbandry.Reasons;

namespace App.Calculators;

/// <summary>Counts of kinds, such as of feeders in the last meals.</summary>
/// <param name="Counts">One count for each kind, 0 to 1,000,000; at most 1000.</param>
public sealed record DiversityRequest(IReadOnlyList<double> Counts);

/// <summary>How mixed they are.</summary>
/// <param name="Shannon">Shannon's index, natural log.</param>
/// <param name="Evenness">Pielou's evenness; none with fewer than two kinds.</param>
public sealed record DiversityResult(double Shannon, double? Evenness);

internal static class DiversityCalculator
{
    private const int MostKinds = 1000;
    private const double MostOfAKind = 1_000_000;

    public static IResult Answer(DiversityRequest body)
    {
        if (body.Counts.Count is < 1 or > MostKinds)
        {
            return Problems.Of("counts", $"Give 1 to {MostKinds} counts.");
        }

        for (var i = 0; i < body.Counts.Count; i++)
        {
            if (!(body.Counts[i] >= 0 && body.Counts[i] <= MostOfAKind))
            {
                return Problems.Of($"counts[{i}]", $"Must be 0 to {MostOfAKind:0}.");
            }
        }

        if (body.Counts.All(c => c == 0))
        {
            return Problems.Of("counts", "At least one count must be above 0.");
        }

        var mixed = Diversity.Of(body.Counts);
        var text = mixed.Evenness is null
            ? "One kind only: evenness is not defined."
            : "H = −Σ p·ln p over the kinds that occur; evenness is H ÷ ln of their number.";
        return TypedResults.Ok(
            new CalcAnswer<DiversityResult>(
                new DiversityResult(mixed.Shannon, mixed.Evenness),
                [new CalcReason(text, Diversity.RuleName, RuleTag.Published, Diversity.Source)]
            )
        );
    }
}
