using App.Hosting;
using Husbandry.Nursery;
using Husbandry.Reasons;

namespace App.Calculators;

/// <summary>A part that was counted and weighed.</summary>
/// <param name="Count">Animals in it, 1 to 100,000.</param>
/// <param name="Mg">What they weigh together, 0.001 to 10,000,000 mg.</param>
public sealed record WeighedSample(int Count, double Mg);

/// <summary>Animals counted by their weight.</summary>
/// <param name="TotalMg">What all of them weigh, the parts among them, mg; not below that of the parts.</param>
/// <param name="Samples">1 to 100 parts that were counted.</param>
/// <param name="ScaleMg">One division of the scale, 0 to 10,000 mg; 0 when left out.</param>
public sealed record WeighedCountRequest(double TotalMg, IReadOnlyList<WeighedSample> Samples, double ScaleMg = 0);

/// <summary>How many there are by their weight.</summary>
/// <param name="Count">The whole weight over the mean of one.</param>
/// <param name="Low">Hardly fewer than this (95 %).</param>
/// <param name="High">Nor more than this.</param>
/// <param name="MeanMg">Mean of one, mg.</param>
/// <param name="StandardErrorMg">Standard error of that mean, mg.</param>
public sealed record WeighedCountResult(int Count, int Low, int High, double MeanMg, double StandardErrorMg);

internal static class WeighedCountCalculator
{
    private const double LightestMg = 0.001;
    private const double HeaviestMg = 10_000_000;
    private const int MostSamples = 100;
    private const int MostCounted = 100_000;
    private const double CoarsestScaleMg = 10_000;
    private const double Slack = 1e-9;

    public static async Task<IResult> AnswerAsync(WeighedCountRequest body, RoomNow now, CancellationToken cancel)
    {
        var problems = Check(body).ToList();
        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        var rules = (await now.ReadAsync(cancel)).Rules.Room.Nursery;
        var answer = WeighedCount.Of(
            body.TotalMg,
            [.. body.Samples.Select(s => new WeighedPart(s.Count, s.Mg))],
            body.ScaleMg,
            rules
        );
        var v = answer.Value;
        return TypedResults.Ok(
            new CalcAnswer<WeighedCountResult>(
                new WeighedCountResult(v.Count, v.Low, v.High, v.MeanMg, v.StandardErrorMg),
                CalcReason.From(answer.Reasons)
            )
        );
    }

    private static IEnumerable<Problem> Check(WeighedCountRequest body)
    {
        if (body.Samples.Count is 0 or > MostSamples || body.Samples.Any(s => s is null))
        {
            yield return new Problem("samples", $"Must be 1 to {MostSamples} parts.");
            yield break;
        }

        var within = CalculatorEndpoints
            .Within("totalMg", body.TotalMg, LightestMg, HeaviestMg, "mg")
            .Concat(CalculatorEndpoints.Within("scaleMg", body.ScaleMg, 0, CoarsestScaleMg, "mg"))
            .Concat(
                body.Samples.SelectMany(
                    (s, i) =>
                        CalculatorEndpoints
                            .Within($"samples[{i}].count", s.Count, 1, MostCounted, "animals")
                            .Concat(CalculatorEndpoints.Within($"samples[{i}].mg", s.Mg, LightestMg, HeaviestMg, "mg"))
                )
            )
            .ToList();
        foreach (var problem in within)
        {
            yield return problem;
        }

        var parts = body.Samples.Sum(s => s.Mg);
        if (within.Count == 0 && body.TotalMg < parts * (1 - Slack))
        {
            yield return new Problem(
                "totalMg",
                $"Must be at least {Wording.Plain(parts)} mg, what the parts weigh: they are among them."
            );
        }
    }
}
