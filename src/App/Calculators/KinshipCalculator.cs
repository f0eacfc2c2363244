using App.Hosting;
using Husbandry.Pairing;
using Husbandry.Reasons;

namespace App.Calculators;

/// <summary>An animal and its parents.</summary>
/// <param name="Id">Its name, 1–100 characters.</param>
/// <param name="Sire">Father; none when unknown. One that is not listed is an unrelated founder.</param>
/// <param name="Dam">Mother, likewise.</param>
public sealed record PedigreeLine(string Id, string? Sire = null, string? Dam = null);

/// <summary>A pedigree, and the pairs of which the kinship is wanted.</summary>
/// <param name="Animals">1 to 20,000 animals, in any order.</param>
/// <param name="Pairs">At most 1,000 pairs of listed animals.</param>
public sealed record KinshipRequest(
    IReadOnlyList<PedigreeLine> Animals,
    IReadOnlyList<IReadOnlyList<string>>? Pairs = null
);

/// <summary>Inbreeding of an animal.</summary>
public sealed record Inbreeding(string Id, double F);

/// <summary>Kinship of two.</summary>
public sealed record KinPair(string A, string B, double Phi);

/// <summary>Who is how near of kin.</summary>
public sealed record KinshipResult(IReadOnlyList<Inbreeding> Inbreeding, IReadOnlyList<KinPair> Kinship);

internal static class KinshipCalculator
{
    private const int MostAnimals = 20_000;
    private const int MostPairs = 1000;
    private const int LongestId = 100;

    public static IResult Answer(KinshipRequest body)
    {
        var problems = Check(body).ToList();
        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        var (pedigree, loop) = Pedigree.Of([.. body.Animals.Select(a => new Parentage(a.Id, a.Sire, a.Dam))]);
        if (pedigree is null)
        {
            return Problems.Of("animals", $"{loop[0]} is its own ancestor: {string.Join(" ← ", loop)}.");
        }

        var unknown = body.Animals.Count(a => a.Sire is null || a.Dam is null);
        return TypedResults.Ok(
            new CalcAnswer<KinshipResult>(
                new KinshipResult(
                    [.. body.Animals.Select(a => new Inbreeding(a.Id, pedigree.InbreedingOf(a.Id)))],
                    [.. (body.Pairs ?? []).Select(p => new KinPair(p[0], p[1], pedigree.Kinship(p[0], p[1])))]
                ),
                [
                    new CalcReason(
                        "φ of two is the chance that a gene drawn from each is the same by descent; F of young is φ of their parents."
                            + (
                                unknown == 0
                                    ? ""
                                    : $" Unknown parents count as unrelated: {unknown} of {body.Animals.Count} lack one."
                            ),
                        "pairing.kinship",
                        RuleTag.Published,
                        "Wright (1922), Am. Nat. 56:330–338; Henderson (1976), Biometrics 32:69–83"
                    ),
                ]
            )
        );
    }

    private static IEnumerable<Problem> Check(KinshipRequest body)
    {
        if (body.Animals.Count is < 1 or > MostAnimals)
        {
            yield return new Problem("animals", $"Give 1 to {MostAnimals} animals.");
            yield break;
        }

        var seen = new HashSet<string>(StringComparer.Ordinal);
        for (var k = 0; k < body.Animals.Count; k++)
        {
            var animal = body.Animals[k];
            if (animal is null)
            {
                yield return new Problem($"animals[{k}]", "Give an animal with its id.");
                continue;
            }

            foreach (
                var (field, id) in new[] { ("id", animal.Id), ("sire", animal.Sire ?? "-"), ("dam", animal.Dam ?? "-") }
            )
            {
                if (id is not { Length: >= 1 and <= LongestId })
                {
                    yield return new Problem($"animals[{k}].{field}", $"Must have 1 to {LongestId} characters.");
                }
            }

            if (animal.Id is not null && !seen.Add(animal.Id))
            {
                yield return new Problem($"animals[{k}].id", $"{animal.Id} is listed twice.");
            }
        }

        if (body.Pairs?.Count > MostPairs)
        {
            yield return new Problem("pairs", $"At most {MostPairs} pairs.");
            yield break;
        }

        for (var k = 0; k < (body.Pairs?.Count ?? 0); k++)
        {
            if (body.Pairs![k] is not { Count: 2 } pair)
            {
                yield return new Problem($"pairs[{k}]", "A pair is two ids.");
            }
            else if (
                pair.FirstOrDefault(id => id is null || !seen.Contains(id)) is var stranger
                && pair.Any(id => id is null || !seen.Contains(id))
            )
            {
                yield return new Problem($"pairs[{k}]", $"{stranger ?? "Nobody"} is not among the animals.");
            }
        }
    }
}
