using App.Hosting;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace App.Calculators;

/// <summary>Weights of the learning model.</summary>
/// <param name="Kappa">Weight of the prior median, in intervals; &gt; 0.</param>
/// <param name="Alpha">Shape of the prior on the variance; &gt; 0.</param>
/// <param name="Beta">Scale of the prior on the variance; &gt; 0.</param>
public sealed record Learning(double Kappa, double Alpha, double Beta);

/// <summary>A wait to forecast.</summary>
/// <param name="Prior">Usual wait, days.</param>
/// <param name="ElapsedDays">Days waited so far.</param>
/// <param name="WithinDays">Horizons for which a probability is wanted.</param>
/// <param name="History">Earlier waits of the same kind, days.</param>
/// <param name="Learning">Weights; by default κ and α of the rulebook and β = σ²·α·κ/(κ+1).</param>
public sealed record VigilRequest(
    WaitPrior Prior,
    double ElapsedDays,
    IReadOnlyList<double>? WithinDays = null,
    IReadOnlyList<double>? History = null,
    Learning? Learning = null
);

/// <summary>Chance that the wait is over within some days.</summary>
public sealed record Horizon(double Days, double Probability);

/// <summary>What is left of the wait, in days still to go.</summary>
public sealed record VigilResult(
    double P10,
    double P50,
    double P90,
    IReadOnlyList<Horizon> ProbabilityWithin,
    bool LongerThanNormal
);

internal static class VigilCalculator
{
    private const double LeastDays = 0.001;
    private const double MostDays = 100_000;
    private const int MostValues = 1000;
    private const double MostWeight = 1e6;

    public static IResult Answer(VigilRequest body, RuleSet rules)
    {
        var problems = Check(body).ToList();
        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        var room = rules.Room;
        var logs = (body.History ?? []).Select(days => Math.Log(days)).ToList();
        var prior = body.Learning is { } l
            ? new LearnedWait(Math.Log(body.Prior.P50), l.Kappa, l.Alpha, l.Beta)
            : LearnedWait.FromPrior(body.Prior, room.Lessons.LearningKappa.Value, room.Lessons.LearningAlpha.Value);
        IWait whole = logs.Count == 0 ? LogNormalWait.FromPrior(body.Prior) : prior.Seen(logs).Predictive();
        var left = new RemainingWait(whole, new(body.ElapsedDays));
        var result = new VigilResult(
            left.Quantile(0.1).Value,
            left.Quantile(0.5).Value,
            left.Quantile(0.9).Value,
            [.. (body.WithinDays ?? []).Select(d => new Horizon(d, left.Within(new(d))))],
            left.ShareAlreadyOver > room.Lessons.LongerThanNormal.Value
        );
        return TypedResults.Ok(new CalcAnswer<VigilResult>(result, Why(body, logs.Count, prior, room)));
    }

    private static List<CalcReason> Why(VigilRequest body, int history, LearnedWait prior, RoomRules room)
    {
        var reasons = new List<CalcReason>
        {
            new(
                $"Usual wait {Wording.Plain(body.Prior.P50)} days, 8 of 10 between {Wording.Plain(body.Prior.P10)} and {Wording.Plain(body.Prior.P90)}: lognormal with mu = ln p50, sigma = (ln p90 − ln p10) / 2.563.",
                "vigil.lognormal",
                RuleTag.House,
                "house: waits are positive and skewed to the right"
            ),
            new(
                $"{Wording.Plain(body.ElapsedDays)} days have passed without it: P(T ≤ u+d | T > u).",
                "vigil.stillWaiting",
                RuleTag.Published,
                "definition of conditional probability"
            ),
        };
        if (history > 0)
        {
            reasons.Add(
                new CalcReason(
                    $"{history} earlier wait{(history == 1 ? "" : "s")} weighed against the prior (kappa {Wording.Plain(prior.Kappa)}, alpha {Wording.Plain(prior.Alpha)}, beta {prior.Beta:0.####}): Student t on ln days.",
                    "vigil.learning",
                    RuleTag.Published,
                    "Murphy (2007), Conjugate Bayesian analysis of the Gaussian distribution; Gelman et al. (2013), BDA3 §3.3"
                )
            );
        }

        reasons.Add(
            new CalcReason(
                $"Longer than normal beyond the {room.Lessons.LongerThanNormal.Value * 100:0.#} % point.",
                "room.longerThanNormal",
                room.Lessons.LongerThanNormal.Tag,
                room.Lessons.LongerThanNormal.Source
            )
        );
        return reasons;
    }

    private static IEnumerable<Problem> Check(VigilRequest body)
    {
        var p = body.Prior;
        foreach (
            var problem in new[] { ("prior.p10", p.P10), ("prior.p50", p.P50), ("prior.p90", p.P90) }
                .SelectMany(x => CalculatorEndpoints.Within(x.Item1, x.Item2, LeastDays, MostDays, "days"))
                .Concat(CalculatorEndpoints.Within("elapsedDays", body.ElapsedDays, 0, MostDays, "days"))
                .Concat(Each("withinDays", body.WithinDays, 0))
                .Concat(Each("history", body.History, LeastDays))
                .Concat(CalculatorEndpoints.Within("learning.kappa", body.Learning?.Kappa, 1e-6, MostWeight, ""))
                .Concat(CalculatorEndpoints.Within("learning.alpha", body.Learning?.Alpha, 1e-3, MostWeight, ""))
                .Concat(CalculatorEndpoints.Within("learning.beta", body.Learning?.Beta, 1e-9, MostWeight, ""))
        )
        {
            yield return problem;
        }

        if (!(p.P10 < p.P50 && p.P50 < p.P90))
        {
            yield return new Problem("prior", "Must rise: p10 < p50 < p90, in days.");
        }
    }

    private static IEnumerable<Problem> Each(string field, IReadOnlyList<double>? values, double low)
    {
        if (values?.Count > MostValues)
        {
            return [new Problem(field, $"At most {MostValues} values.")];
        }

        return (values ?? []).SelectMany(
            (v, i) => CalculatorEndpoints.Within($"{field}[{i}]", v, low, MostDays, "days")
        );
    }
}
