using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Records;

/// <summary>A brood was counted.</summary>
public sealed record Counted(int Count) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => CountedEntry.It;
}

/// <summary>A count.</summary>
public sealed class CountedEntry() : EntryDefinition<Counted>("counted")
{
    /// <summary>The definition.</summary>
    public static CountedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new Counted(24), new Counted(0)];

    /// <inheritdoc/>
    protected override Standing Fold(Counted act, Standing standing, JournalEntry entry) =>
        standing.WithCount(act.Count, entry.Sequence);

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Counted act, EntryAt at)
    {
        var kind = at.Standing?.Details.Kind;
        var most = kind == StockKind.Colony ? EntryCheck.MostInColony : EntryCheck.MostAnimals;
        if (kind == StockKind.Specimen)
        {
            yield return new Problem("act.count", "Only a brood or a colony is counted.");
        }
        else if (act.Count < 0 || act.Count > most)
        {
            yield return new Problem("act.count", $"Must be 0 to {most}.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(Counted act, RuleSet rules, Wording words) =>
        $"counted: {act.Count.ToString(CultureInfo.InvariantCulture)}";
}
