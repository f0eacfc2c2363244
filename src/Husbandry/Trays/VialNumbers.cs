using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Trays;

/// <summary>Checks of the numbers of vials that an entry names.</summary>
public static class VialNumbers
{
    /// <summary>Most of them that are named in a sentence.</summary>
    private const int MostNamed = 12;

    /// <summary>What is wrong with numbers of vials.</summary>
    /// <param name="field">Their field.</param>
    /// <param name="numbers">The numbers.</param>
    /// <param name="standing">The brood.</param>
    public static IEnumerable<Problem> Check(string field, IReadOnlyList<int> numbers, Standing standing)
    {
        ArgumentNullException.ThrowIfNull(numbers);
        ArgumentNullException.ThrowIfNull(standing);
        if (standing.Details.Kind != StockKind.Brood)
        {
            yield return new Problem(field, "Only a brood in numbered vials has such numbers.");
            yield break;
        }

        var vials = standing.Vials.ToHashSet();
        if (vials.Count == 0)
        {
            yield return new Problem(field, "No vial is in use: divide them anew first.");
            yield break;
        }

        if (numbers.FirstOrDefault(n => !vials.Contains(n)) is not 0 and var missing)
        {
            yield return new Problem(
                field,
                standing.Tray.IsDivided && missing > 0
                    ? $"Vial {missing} is empty, or was never filled: its animal died, left, or has a record of its own."
                    : $"Vials are numbered {vials.Min()} to {vials.Max()}, each named once."
            );
        }
        else if (numbers.Any(n => n == 0) || numbers.Distinct().Count() != numbers.Count)
        {
            yield return new Problem(field, $"Vials are numbered {vials.Min()} to {vials.Max()}, each named once.");
        }
    }

    /// <summary>Numbers in words: "no. 3, 7, 12", or how many where they are many.</summary>
    public static string Text(IReadOnlyList<int> numbers)
    {
        ArgumentNullException.ThrowIfNull(numbers);
        return numbers.Count > MostNamed ? $"{numbers.Count} vials" : $"no. {string.Join(", ", numbers)}";
    }
}
