using App.Hosting;
using Husbandry.Colonies;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace App.Calculators;

/// <summary>A tub counted by marking and catching again.</summary>
/// <param name="Marked">Marked and put back, 1 to 1,000,000.</param>
/// <param name="Caught">Caught at the second catch, 1 to 1,000,000.</param>
/// <param name="Recaptured">Marked ones among them, no more than either.</param>
public sealed record PopulationRequest(int Marked, int Caught, int Recaptured);

/// <summary>A tub from which animals are taken.</summary>
/// <param name="GrowthRate">Growth of a tub with room to spare, −1 to 5 per day.</param>
/// <param name="Capacity">Animals that it holds in the long run, above 0 to 1,000,000,000.</param>
public sealed record HarvestRequest(double GrowthRate, double Capacity);

/// <summary>How many may be taken, animals per day.</summary>
/// <param name="MaximumSustainable">The most.</param>
/// <param name="Advised">What is advised.</param>
public sealed record HarvestResult(double MaximumSustainable, double Advised);

/// <summary>Stages one after the other, such as egg, larva, pupa and first workers.</summary>
/// <param name="Stages">1 to 12 stages, each with days within which 10, 50 and 90 in 100 end.</param>
/// <param name="ElapsedDays">For how long the first has lasted already without ending.</param>
public sealed record ChainRequest(IReadOnlyList<WaitPrior> Stages, double? ElapsedDays = null);

/// <summary>Days from now until a stage ends.</summary>
/// <param name="Stage">Which, from 1.</param>
/// <param name="P10">With 10 in 100.</param>
/// <param name="P50">With 50 in 100.</param>
/// <param name="P90">With 90 in 100.</param>
public sealed record StageEnd(int Stage, double P10, double P50, double P90);

/// <summary>When each stage ends.</summary>
/// <param name="Cumulative">Stage by stage.</param>
public sealed record ChainResult(IReadOnlyList<StageEnd> Cumulative);

internal static class ColonyCalculators
{
    private const int MostAnimals = 1_000_000;
    private const double MostHeld = 1e9;
    private const int MostStages = 12;
    private const double MostElapsed = 100_000;
    private const double LeastReached = 1e-9;

    public static IResult PopulationOf(PopulationRequest body)
    {
        var problems = CalculatorEndpoints
            .Within("marked", body.Marked, 1, MostAnimals, "")
            .Concat(CalculatorEndpoints.Within("caught", body.Caught, 1, MostAnimals, ""))
            .ToList();
        if (problems.Count == 0)
        {
            problems.AddRange(
                CalculatorEndpoints.Within("recaptured", body.Recaptured, 0, Math.Min(body.Marked, body.Caught), "")
            );
        }

        return problems.Count > 0
            ? Problems.Of(problems)
            : TypedResults.Ok(
                new CalcAnswer<MarkRecapture>(
                    MarkRecapture.Of(body.Marked, body.Caught, body.Recaptured),
                    [
                        new CalcReason(
                            body.Recaptured == 0
                                ? "No marked one was caught again: only Chapman's estimate is defined, and it says little. Catch more."
                                : $"{body.Recaptured} of {body.Caught} caught were marked, of {body.Marked} marked in all: Chapman's estimate with Seber's variance, and the normal interval, never below the animals known.",
                            "colonies.markRecapture",
                            RuleTag.Published,
                            "Chapman (1951), Univ. Calif. Publ. Stat. 1:131–160; Seber (1970), Biometrics 26:13–22"
                        ),
                        new CalcReason(
                            "It holds while nobody is born, dies, comes or goes between the catches and no mark is shed: catch again within days.",
                            "colonies.markRecapture",
                            RuleTag.Practice,
                            "common practice, no published source"
                        ),
                    ]
                )
            );
    }

    public static IResult HarvestOf(HarvestRequest body, RuleSet rules)
    {
        var problems = CalculatorEndpoints.Within("growthRate", body.GrowthRate, -1, 5, "per day").ToList();
        if (!(body.Capacity > 0 && body.Capacity <= MostHeld))
        {
            problems.Add(new Problem("capacity", "Must be above 0, to 1,000,000,000."));
        }

        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        var share = rules.Room.Colonies.AdvisedHarvestShare;
        var harvest = SustainableHarvest.Of(body.GrowthRate, body.Capacity, share.Value);
        return TypedResults.Ok(
            new CalcAnswer<HarvestResult>(
                new HarvestResult(harvest.MaximumPerDay, harvest.AdvisedPerDay),
                [
                    new CalcReason(
                        "A tub grows fastest when it is half full, by r·K ÷ 4 a day: no more can be taken for long.",
                        "colonies.harvest",
                        RuleTag.Published,
                        "logistic growth, Verhulst (1838); Schaefer (1954), Bull. Inter-Am. Trop. Tuna Comm. 1:27–56"
                    ),
                    CalcReason.From([
                        share.Because(
                            "Advised",
                            "room.colonies.advisedHarvestShare",
                            $"{Wording.Plain(share.Value)} of that is advised, as neither figure is known well."
                        ),
                    ])[0],
                ]
            )
        );
    }

    public static IResult ChainOf(ChainRequest body)
    {
        var problems = Check(body).ToList();
        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        List<IDaysLeft> stages =
        [
            .. body.Stages.Select(
                (s, k) => new RemainingWait(LogNormalWait.FromPrior(s), new(k == 0 ? body.ElapsedDays ?? 0 : 0))
            ),
        ];
        List<StageEnd> ends =
        [
            .. Enumerable
                .Range(1, stages.Count)
                .AsParallel()
                .AsOrdered()
                .Select(n =>
                {
                    var days = StageChain.Quantiles(stages[..n], [0.1, 0.5, 0.9]);
                    return new StageEnd(n, days[0].Value, days[1].Value, days[2].Value);
                }),
        ];
        return TypedResults.Ok(
            new CalcAnswer<ChainResult>(
                new ChainResult(ends),
                [
                    new CalcReason(
                        "Each stage is lognormal from its quantiles and begins when the one before ends; their sum is their convolution.",
                        "vigil.stages",
                        RuleTag.Published,
                        "definition of the sum of independent waits"
                    ),
                    .. body.ElapsedDays is { } elapsed and > 0
                        ?
                        [
                            new CalcReason(
                                $"The first has lasted {Wording.Plain(elapsed)} days without ending: P(T ≤ u+d | T > u).",
                                "vigil.stillWaiting",
                                RuleTag.Published,
                                "definition of conditional probability"
                            ),
                        ]
                        : Array.Empty<CalcReason>(),
                ]
            )
        );
    }

    private static IEnumerable<Problem> Check(ChainRequest body)
    {
        if (body.Stages.Count is < 1 or > MostStages)
        {
            yield return new Problem("stages", $"Give 1 to {MostStages} stages.");
            yield break;
        }

        var bad = body
            .Stages.SelectMany(
                (s, k) =>
                    s is null
                        ? [new Problem($"stages[{k}]", "Is missing.")]
                        : PairingCalculators.Prior($"stages[{k}]", s)
            )
            .Concat(CalculatorEndpoints.Within("elapsedDays", body.ElapsedDays, 0, MostElapsed, "days"))
            .ToList();
        foreach (var problem in bad)
        {
            yield return problem;
        }

        if (
            bad.Count == 0
            && body.ElapsedDays is { } elapsed
            && LogNormalWait.FromPrior(body.Stages[0]).LogSurvival(new(elapsed)) < Math.Log(LeastReached)
        )
        {
            yield return new Problem(
                "elapsedDays",
                "The first stage has never been known to last so long: give fewer days, or mend the stage."
            );
        }
    }
}
