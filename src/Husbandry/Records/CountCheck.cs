using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Records;

/// <summary>Checks of how many of many an entry speaks.</summary>
internal static class CountCheck
{
    public static IEnumerable<Problem> Check(int? count, Standing? standing)
    {
        if (count is not { } some || standing is null)
        {
            yield break;
        }

        if (standing.Details.Kind == StockKind.Specimen)
        {
            yield return new Problem("act.count", "One animal is not counted; leave it out.");
        }
        else if (some < 1 || some > standing.Details.Count)
        {
            yield return new Problem("act.count", $"Must be 1 to {standing.Details.Count}, as many as are there.");
        }
    }
}
