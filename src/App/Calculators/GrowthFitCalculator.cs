using App.Hosting;
using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace App.Calculators;

/// <summary>Hard-part lengths by instar.</summary>
public sealed record GrowthFitRequest(IReadOnlyList<GrowthPoint> Points, double? PriorRatio = null);

/// <summary>The fitted growth.</summary>
public sealed record GrowthFitResult(
    double Ratio,
    double LogSlope,
    double LogIntercept,
    double? RSquared,
    double ResidualStandardError,
    int N,
    NextSize Next,
    IReadOnlyList<GrowthStep> Steps
);

internal static class GrowthFitCalculator
{
    private const int LeastPoints = 3;
    private const int MostPoints = 1000;
    private const int MostInstar = 100;
    private const double LeastMm = 0.001;
    private const double MostMm = 10_000;
    private const double MostPriorRatio = 10;

    public static IResult Answer(GrowthFitRequest body, RuleSet rules)
    {
        var problems = Check(body).ToList();
        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        if (GrowthFit.Of(body.Points, body.PriorRatio, rules.Room) is not { } fit)
        {
            return Problems.Of(
                "points",
                "All instars are the same: no growth can be fitted; at least two different instars are needed."
            );
        }

        var result = new GrowthFitResult(
            fit.Ratio,
            fit.LogSlope,
            fit.LogIntercept,
            fit.RSquared,
            fit.ResidualStandardError!.Value,
            fit.N,
            fit.Next!,
            fit.Steps
        );
        return double.IsFinite(result.Next.High90Mm)
            ? TypedResults.Ok(
                new CalcAnswer<GrowthFitResult>(result, CalcReason.From(fit.Reasons(body.PriorRatio, rules.Room)))
            )
            : Problems.Of("points", "These sizes differ so much that the next one cannot be computed.");
    }

    private static IEnumerable<Problem> Check(GrowthFitRequest body)
    {
        if (body.Points.Count is < LeastPoints or > MostPoints)
        {
            yield return new Problem("points", $"Give {LeastPoints} to {MostPoints} points.");
        }

        for (var i = 0; i < body.Points.Count; i++)
        {
            if (body.Points[i] is not { } point)
            {
                yield return new Problem($"points[{i}]", "Is missing.");
                continue;
            }

            foreach (
                var problem in CalculatorEndpoints
                    .Within($"points[{i}].instar", point.Instar, 0, MostInstar, "")
                    .Concat(CalculatorEndpoints.Within($"points[{i}].lengthMm", point.LengthMm, LeastMm, MostMm, "mm"))
            )
            {
                yield return problem;
            }
        }

        if (body.PriorRatio is { } ratio && !(ratio > 1 && ratio <= MostPriorRatio))
        {
            yield return new Problem("priorRatio", $"Must be above 1 and at most {MostPriorRatio}.");
        }
    }
}
