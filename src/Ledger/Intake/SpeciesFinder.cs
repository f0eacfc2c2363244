using AnyAscii;
using F23.StringSimilarity;
using Husbandry.Rulebook;

namespace Ledger.Intake;

/// <summary>A species that was looked for by a name.</summary>
/// <param name="Species">The one that is meant; none when several fit or none does.</param>
/// <param name="Near">Names that are near to it.</param>
public sealed record FoundSpecies(SpeciesProfile? Species, IReadOnlyList<string> Near);

/// <summary>Finds a species of the rulebook by its name as keepers write it: shortened, and with slips of the finger.</summary>
public sealed class SpeciesFinder(RuleSet rules)
{
    private const int OneSlipFrom = 4;
    private const int TwoSlipsFrom = 8;
    private const int MostNear = 3;
    private const int NoMatch = int.MaxValue;

    private static readonly OptimalStringAlignment Slips = new();

    private readonly Dictionary<string, FoundSpecies> found = new(StringComparer.OrdinalIgnoreCase);

    /// <summary>The species of a name: whole, with the genus by its first letter, or by its epithet or genus alone.</summary>
    public FoundSpecies Find(string name)
    {
        if (!found.TryGetValue(name, out var known))
        {
            found[name] = known = Look(name);
        }

        return known;
    }

    private FoundSpecies Look(string name)
    {
        var asked = Words(name);
        if (asked.Length == 0)
        {
            return new FoundSpecies(null, []);
        }

        var scored = rules
            .Species.Select(s => (Species: s, Slips: Score(asked, Words(s.ScientificName))))
            .Where(s => s.Slips != NoMatch)
            .OrderBy(s => s.Slips)
            .ThenBy(s => s.Species.ScientificName, StringComparer.Ordinal)
            .ToList();
        var best = scored.TakeWhile(s => s.Slips == scored[0].Slips).ToList();
        return new FoundSpecies(
            best.Count == 1 ? best[0].Species : null,
            [.. (best.Count == 1 ? [] : scored).Take(MostNear).Select(s => s.Species.ScientificName)]
        );
    }

    private static int Score(string[] asked, string[] name)
    {
        var (genus, epithet) = (name[0], name.Length > 1 ? name[1] : "");
        if (asked.Length == 1)
        {
            return Math.Min(SlipsIn(asked[0], epithet), SlipsIn(asked[0], genus));
        }

        var first =
            asked[0].Length <= 2 && genus.StartsWith(asked[0], StringComparison.Ordinal) ? 0 : SlipsIn(asked[0], genus);
        var second = SlipsIn(asked[1], epithet);
        return first == NoMatch || second == NoMatch ? NoMatch : first + second;
    }

    /// <summary>Slips between a word and the one that is meant; a word cut short counts as one.</summary>
    private static int SlipsIn(string asked, string meant)
    {
        if (asked == meant)
        {
            return 0;
        }

        if (asked.Length >= OneSlipFrom && meant.StartsWith(asked, StringComparison.Ordinal))
        {
            return 1;
        }

        var allowed =
            asked.Length >= TwoSlipsFrom ? 2
            : asked.Length >= OneSlipFrom ? 1
            : 0;
        if (allowed == 0 || Math.Abs(asked.Length - meant.Length) > allowed)
        {
            return NoMatch;
        }

        var distance = (int)Slips.Distance(asked, meant);
        return distance <= allowed ? distance : NoMatch;
    }

    private static string[] Words(string text) =>
        text.Transliterate()
            .ToLowerInvariant()
            .Split(
                [' ', '.', ',', '_', '\u00a0'],
                StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries
            );
}
