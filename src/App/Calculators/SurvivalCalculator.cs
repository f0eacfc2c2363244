using App.Hosting;
using Husbandry.Nursery;
using Husbandry.Reasons;

namespace App.Calculators;

/// <summary>What is known of how long an animal lived.</summary>
/// <param name="Time">Age at its death or when it was last known to live, 0 to 1,000,000.</param>
/// <param name="Event">Whether it died then.</param>
/// <param name="Count">How many such animals, 1 to 1,000,000; one when left out.</param>
/// <param name="Entry">Age from which on it was followed, below its time; from the beginning when left out.</param>
public sealed record SurvivalObservation(double Time, bool Event, int? Count = null, double? Entry = null);

/// <summary>Animals of which it is known how long they lived.</summary>
/// <param name="Observations">1 to 10,000 of them.</param>
public sealed record SurvivalRequest(IReadOnlyList<SurvivalObservation> Observations);

/// <summary>The share still alive after the deaths at one age.</summary>
/// <param name="Time">The age.</param>
/// <param name="AtRisk">Animals followed and alive just before.</param>
/// <param name="Events">Deaths then.</param>
/// <param name="Survival">Share that lives longer.</param>
/// <param name="StandardError">Greenwood's standard error; none where nothing lives longer.</param>
/// <param name="Low95">Lower end of the 95 % band.</param>
/// <param name="High95">Upper end.</param>
public sealed record SurvivalPoint(
    double Time,
    int AtRisk,
    int Events,
    double Survival,
    double? StandardError,
    double? Low95,
    double? High95
);

/// <summary>How many live how long.</summary>
/// <param name="Steps">One step for each age at which any died.</param>
/// <param name="Median">Age that half reach; none where it was not reached.</param>
public sealed record SurvivalResult(IReadOnlyList<SurvivalPoint> Steps, double? Median);

internal static class SurvivalCalculator
{
    private const int MostObservations = 10_000;
    private const double Latest = 1_000_000;
    private const int MostAlike = 1_000_000;

    // So that no sum of counts can overflow.
    private const long MostAnimals = 1_000_000_000;

    public static IResult Answer(SurvivalRequest body)
    {
        var problems = Check(body).Take(20).ToList();
        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        var curve = SurvivalCurve.Of([
            .. body.Observations.Select(o => new LifeSeen(o.Time, o.Event, o.Count ?? 1, o.Entry)),
        ]);
        var (all, deaths) = (body.Observations.Sum(o => o.Count ?? 1), curve.Steps.Sum(s => s.Deaths));
        return TypedResults.Ok(
            new CalcAnswer<SurvivalResult>(
                new SurvivalResult(
                    [
                        .. curve.Steps.Select(s => new SurvivalPoint(
                            s.Time,
                            s.AtRisk,
                            s.Deaths,
                            s.Survival,
                            s.StandardError,
                            s.Low95,
                            s.High95
                        )),
                    ],
                    curve.Median
                ),
                [
                    new CalcReason(
                        $"{deaths} of {all} died; the others count for as long as they were followed. At each age the share that lived on is multiplied in.",
                        "nursery.survival",
                        RuleTag.Published,
                        "Kaplan & Meier (1958), J. Am. Stat. Assoc. 53:457–481; Greenwood (1926); band on ln(−ln S), Kalbfleisch & Prentice (1980)"
                    ),
                ]
            )
        );
    }

    private static IEnumerable<Problem> Check(SurvivalRequest body)
    {
        if (body.Observations.Count is < 1 or > MostObservations)
        {
            yield return new Problem("observations", $"Give 1 to {MostObservations} observations.");
            yield break;
        }

        for (var k = 0; k < body.Observations.Count; k++)
        {
            var (at, seen) = ($"observations[{k}]", body.Observations[k]);
            if (seen is null)
            {
                yield return new Problem(at, "Give a time, and whether it died then.");
                continue;
            }

            if (!(seen.Time >= 0 && seen.Time <= Latest))
            {
                yield return new Problem($"{at}.time", $"Must be 0 to {Wording.Plain(Latest)}.");
            }

            if (seen.Count is < 1 or > MostAlike)
            {
                yield return new Problem($"{at}.count", $"Must be 1 to {Wording.Plain(MostAlike)}.");
            }

            if (seen.Entry is { } entry && !(entry >= 0 && entry < seen.Time))
            {
                yield return new Problem($"{at}.entry", "Must be 0 or more, and before its time.");
            }
        }

        if (body.Observations.Sum(o => (long)(o?.Count ?? 1)) > MostAnimals)
        {
            yield return new Problem("observations", $"At most {MostAnimals:0} animals in all.");
        }
    }
}
