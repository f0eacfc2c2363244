using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Records;

/// <summary>The keeper says how many young are wanted, before they are laid or later: what is beyond that is not reared.</summary>
/// <param name="Count">How many, those promised among them; all of them when left out.</param>
public sealed record Capped(int? Count = null) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => CappedEntry.It;
}

/// <summary>How many young are wanted.</summary>
public sealed class CappedEntry() : EntryDefinition<Capped>("capped")
{
    /// <summary>The definition.</summary>
    public static CappedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new Capped(40), new Capped()];

    /// <inheritdoc/>
    protected override Standing Fold(Capped act, Standing standing, JournalEntry entry) =>
        standing with
        {
            HandOn = standing.HandOn with { Cap = act.Count is { } count ? new CapEvent(entry.When.To, count) : null },
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Capped act, EntryAt at)
    {
        if (
            at is { Written: false, Standing: { } standing }
            && !PromisedEntry.MayBePromised(Subject.Of(standing, at.Room))
        )
        {
            yield return new Problem(
                "act.kind",
                "How many are wanted is said of a brood, of eggs or of a grown female: neither is it."
            );
        }

        if (act.Count is < 0 or > EntryCheck.MostAnimals)
        {
            yield return new Problem(
                "act.count",
                $"Must be 0 to {EntryCheck.MostAnimals}; left out, all of them are wanted."
            );
        }
    }

    /// <inheritdoc/>
    protected override string Say(Capped act, RuleSet rules, Wording words) =>
        act.Count switch
        {
            null => "all young are wanted",
            0 => "no young are wanted",
            { } count => $"{count.ToString(CultureInfo.InvariantCulture)} young are wanted, no more",
        };
}
