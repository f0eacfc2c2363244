using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Trays;

/// <summary>A brood was divided into numbered vials, one young to each or a few.</summary>
/// <param name="Vials">How many vials, numbered from 1; no more than there are animals.</param>
/// <param name="Into">What kind of vial, in the keeper's words; may be left out.</param>
public sealed record Divided(int Vials, string? Into = null) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => DividedEntry.It;
}

/// <summary>A division.</summary>
public sealed class DividedEntry() : EntryDefinition<Divided>("divided")
{
    /// <summary>The definition.</summary>
    public static DividedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new Divided(2), new Divided(2, "30 mL vials")];

    /// <inheritdoc/>
    protected override Standing Fold(Divided act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Tray = standing.Tray with
            {
                DividedAt = entry.When.To,
                Numbers = [.. Enumerable.Range(1, act.Vials)],
                Molted = [],
            },
            Feeding = standing.Feeding with { Vials = [] },
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Divided act, EntryAt at)
    {
        if (at.Standing is not { } standing)
        {
            yield break;
        }

        var count = standing.Details.Count;
        if (standing.Details.Kind != StockKind.Brood)
        {
            yield return new Problem("act.vials", "Only a brood is divided into vials.");
        }
        else if (act.Vials < 1 || (act.Vials > count && !at.Written))
        {
            yield return new Problem(
                "act.vials",
                $"Must be 1 to {count}, as many as there are: count them anew first if there are more."
            );
        }

        foreach (var problem in EntryCheck.CheckText("act.into", act.Into, required: false, EntryCheck.LongestName))
        {
            yield return problem;
        }
    }

    /// <inheritdoc/>
    protected override string Say(Divided act, RuleSet rules, Wording words)
    {
        var vials = act.Into is { Length: > 0 } into ? $": {into}" : "";
        return $"divided into {act.Vials.ToString(CultureInfo.InvariantCulture)} {(act.Vials == 1 ? "vial" : "vials")}{vials}";
    }

    /// <inheritdoc/>
    protected override CareAct? Care(Divided act, Subject subject) => CareAct.Rehouse;

    /// <inheritdoc/>
    protected override RoundPart Round(Divided act) => RoundPart.Work;

    /// <inheritdoc/>
    protected override bool IsNews(Divided act) => true;

    /// <inheritdoc/>
    protected override string? Tomorrow(Divided act) => "divided: does each have water, and a lid that is shut?";

    /// <inheritdoc/>
    protected override bool IsToldTwice(Divided act, Divided other) => true;
}
