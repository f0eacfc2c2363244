using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Records;

/// <summary>Checks offers of food.</summary>
internal static class OfferCheck
{
    public static IEnumerable<Problem> Check(Offered o, Standing? standing, RuleSet rules)
    {
        var feeder = rules.Feeder(o.FeederId);
        if (feeder is null)
        {
            yield return new Problem(
                "act.feederId",
                $"Unknown feeder. Known: {string.Join(", ", rules.Feeders.Select(f => f.Id))}."
            );
        }
        else if (feeder.Class(o.SizeClassId) is null)
        {
            yield return new Problem(
                "act.sizeClassId",
                $"Unknown size of {feeder.Name}. Known: {string.Join(", ", feeder.Classes.Select(c => c.Id))}."
            );
        }

        if (o.Count is < 1 or > EntryCheck.MostAnimals)
        {
            yield return new Problem("act.count", $"Must be 1 to {EntryCheck.MostAnimals} animals or pieces.");
        }

        if (o.Untaken is not { Count: > 0 } untaken || standing is null)
        {
            yield break;
        }

        var vials = standing.Details.Count;
        if (standing.Details.Kind != StockKind.Brood)
        {
            yield return new Problem("act.untaken", "Only a brood in numbered vials has exceptions.");
        }
        else if (untaken.Any(n => n < 1 || n > vials) || untaken.Distinct().Count() != untaken.Count)
        {
            yield return new Problem("act.untaken", $"Vials are numbered 1 to {vials}, each named once.");
        }
        else if (!o.Outcome.IsMeal())
        {
            yield return new Problem("act.untaken", "Exceptions are those that left what the others took.");
        }
    }
}
