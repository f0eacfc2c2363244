using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace App.Calculators;

/// <summary>Reads a stage as a keeper of a group says it: "scorpling" as well as "sling".</summary>
internal static class StageWords
{
    /// <summary>Reads a stage by its id or the group's own word.</summary>
    /// <returns>False when the group has no such stage; then <paramref name="problem"/> says which it has.</returns>
    public static bool TryRead(GroupRules group, string? word, out Stage? stage, out Problem? problem)
    {
        (stage, problem) = (null, null);
        if (word is null)
        {
            return true;
        }

        var said = word.Trim();
        foreach (var known in group.Stages)
        {
            if (
                said.Equals(known.Stage.ToString(), StringComparison.OrdinalIgnoreCase)
                || said.Equals(known.Word, StringComparison.OrdinalIgnoreCase)
            )
            {
                stage = known.Stage;
                return true;
            }
        }

        var ids = group.Stages.Select(s =>
            $"{char.ToLowerInvariant(s.Stage.ToString()[0])}{s.Stage.ToString()[1..]} ({s.Word})"
        );
        problem = new Problem("stage", $"{group.Name} have no such stage. Known: {string.Join(", ", ids)}.");
        return false;
    }

    /// <summary>The stage of an instar by the group's usual number of molts.</summary>
    public static Stage OfInstar(GroupRules group, int instar, RuleSet rules)
    {
        var molts = instar - group.InstarAtHatching;
        var last = rules.Species.Where(s => s.Group == group.Id).Average(s => s.MoltsToAdult.Female.Value.Low);
        return molts < last * rules.Room.Growth.SlingShareOfMolts.Value ? Stage.Sling
            : molts < last - 1 ? Stage.Juvenile
            : Stage.SubAdult;
    }
}
