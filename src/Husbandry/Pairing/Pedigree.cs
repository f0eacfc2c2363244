namespace Husbandry.Pairing;

/// <summary>An animal and its parents as far as they are known.</summary>
/// <param name="Id">The animal.</param>
/// <param name="Sire">Its father; none when unknown.</param>
/// <param name="Dam">Its mother; none when unknown. The same as the father where one animal is both.</param>
public sealed record Parentage(string Id, string? Sire, string? Dam);

/// <summary>
/// Who descends from whom, and how near of kin any two are: kinship φ is the chance that a gene drawn from each is the same by
/// descent, F of an animal the kinship of its parents. Diploid. Founders are unrelated and not inbred; an unknown parent is a
/// founder of its own, one that is named but not listed a founder under that name.
/// </summary>
/// <remarks>
/// A = T·D·Tᵀ, of which the tabular method writes every cell: the rows of T are traced back from both animals at once, so that no
/// table is kept and no depth is too great. Sources: Wright (1922), Am. Nat. 56:330–338; Henderson (1976), Biometrics 32:69–83
/// (tabular method and A = TDTᵀ); the tracing after Meuwissen &amp; Luo (1992), Genet. Sel. Evol. 24:305–313 [from memory].
/// </remarks>
public sealed class Pedigree
{
    private const int None = -1;

    private readonly Dictionary<string, int> places;
    private readonly int[] sires;
    private readonly int[] dams;
    private readonly double[] inbreeding;

    // Variance of what an animal has from neither parent as they are: the diagonal of D.
    private readonly double[] own;

    private Pedigree(List<Parentage> oldestFirst)
    {
        var count = oldestFirst.Count;
        places = oldestFirst.Select((a, k) => (a.Id, k)).ToDictionary(x => x.Id, x => x.k, StringComparer.Ordinal);
        (sires, dams, inbreeding, own) = (new int[count], new int[count], new double[count], new double[count]);
        var (first, second) = (new double[count], new double[count]);
        for (var k = 0; k < count; k++)
        {
            sires[k] = oldestFirst[k].Sire is { } sire ? places[sire] : None;
            dams[k] = oldestFirst[k].Dam is { } dam ? places[dam] : None;
            inbreeding[k] = (sires[k], dams[k]) switch
            {
                (None, _) or (_, None) => 0,
                _ when k > 0 && sires[k] == sires[k - 1] && dams[k] == dams[k - 1] => inbreeding[k - 1],
                _ => Traced(sires[k], dams[k], first, second) / 2,
            };
            own[k] = 1 - Handed(sires[k]) - Handed(dams[k]);
        }
    }

    /// <summary>The pedigree of some animals, in any order; ids differ.</summary>
    /// <returns>No pedigree where an animal is its own ancestor: the loop then lists it and its ancestors until it comes again.</returns>
    public static (Pedigree? Pedigree, IReadOnlyList<string> Loop) Of(IReadOnlyCollection<Parentage> animals)
    {
        var listed = animals.ToDictionary(a => a.Id, StringComparer.Ordinal);
        var waitingFor = new Dictionary<string, int>(StringComparer.Ordinal);
        var children = new Dictionary<string, List<Parentage>>(StringComparer.Ordinal);
        var ready = new Queue<Parentage>();
        foreach (var animal in animals)
        {
            var parents = Known(animal).Distinct().ToList();
            waitingFor[animal.Id] = parents.Count;
            foreach (var parent in parents)
            {
                if (!children.TryGetValue(parent, out var ofIt))
                {
                    children[parent] = ofIt = [];
                    if (!listed.ContainsKey(parent))
                    {
                        ready.Enqueue(new Parentage(parent, null, null));
                    }
                }

                ofIt.Add(animal);
            }

            if (parents.Count == 0)
            {
                ready.Enqueue(animal);
            }
        }

        var oldestFirst = new List<Parentage>(animals.Count);
        while (ready.TryDequeue(out var next))
        {
            oldestFirst.Add(next);
            foreach (var child in children.GetValueOrDefault(next.Id, []))
            {
                if (--waitingFor[child.Id] == 0)
                {
                    ready.Enqueue(child);
                }
            }
        }

        var stuck = waitingFor.FirstOrDefault(w => w.Value > 0).Key;
        return stuck is null ? (new Pedigree(oldestFirst), []) : (null, LoopAbove(stuck, listed, waitingFor));
    }

    /// <summary>F: the chance (0–1) that both genes of an animal at a place are the same by descent.</summary>
    /// <param name="id">One that is listed, or named as a parent.</param>
    public double InbreedingOf(string id) => inbreeding[places[id]];

    /// <summary>φ of two animals (0–1), which is F of young that they would have; of one with itself (1 + F)/2.</summary>
    public double Kinship(string one, string other)
    {
        var scratch = new double[inbreeding.Length];
        return Traced(places[one], places[other], scratch, new double[inbreeding.Length]) / 2;
    }

    /// <summary>Whether an animal is known to the pedigree.</summary>
    public bool Knows(string id) => places.ContainsKey(id);

    private static IEnumerable<string> Known(Parentage animal)
    {
        if (animal.Sire is { } sire)
        {
            yield return sire;
        }

        if (animal.Dam is { } dam)
        {
            yield return dam;
        }
    }

    /// <summary>Walks up from an animal that never came to its turn: every such has a parent that did not either.</summary>
    private static List<string> LoopAbove(
        string stuck,
        Dictionary<string, Parentage> listed,
        Dictionary<string, int> waitingFor
    )
    {
        var path = new List<string>();
        var seen = new Dictionary<string, int>(StringComparer.Ordinal);
        for (var at = stuck; ; at = Known(listed[at]).First(p => waitingFor.GetValueOrDefault(p) > 0))
        {
            if (seen.TryGetValue(at, out var from))
            {
                return [.. path[from..], at];
            }

            seen[at] = path.Count;
            path.Add(at);
        }
    }

    /// <summary>The part of the variance that a parent hands on as it is: a quarter, and more of one that is inbred.</summary>
    private double Handed(int parent) => parent == None ? 0 : 0.25 * (1 + inbreeding[parent]);

    /// <summary>Numerator relationship of two animals: Σ of T(one, k)·T(other, k)·D(k) over all ancestors k. Leaves its arrays empty.</summary>
    private double Traced(int one, int other, double[] fromOne, double[] fromOther)
    {
        fromOne[one] = 1;
        fromOther[other] = 1;
        var sum = 0.0;
        for (var k = Math.Max(one, other); k >= 0; k--)
        {
            var (a, b) = (fromOne[k], fromOther[k]);
            if (a == 0 && b == 0)
            {
                continue;
            }

            (fromOne[k], fromOther[k]) = (0, 0);
            sum += a * b * own[k];
            foreach (var parent in (ReadOnlySpan<int>)[sires[k], dams[k]])
            {
                if (parent != None)
                {
                    fromOne[parent] += a / 2;
                    fromOther[parent] += b / 2;
                }
            }
        }

        return sum;
    }
}
