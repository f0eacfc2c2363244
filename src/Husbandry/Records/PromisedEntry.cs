using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Records;

/// <summary>Young were promised to somebody: the waiting list of a brood, of an egg case or of a mother to be.</summary>
/// <param name="To">To whom, in the keeper's words.</param>
/// <param name="Count">How many in all that are still owed to that name; 0 takes the promise back.</param>
public sealed record Promised(string To, int Count) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => PromisedEntry.It;
}

/// <summary>A promise of young.</summary>
public sealed class PromisedEntry() : EntryDefinition<Promised>("promised")
{
    /// <summary>The definition.</summary>
    public static PromisedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new Promised("Ada", 6), new Promised("Ada", 0)];

    /// <summary>Whether young of it can be promised: those of a brood, of eggs, or that a female may still have.</summary>
    public static bool MayBePromised(Subject subject)
    {
        ArgumentNullException.ThrowIfNull(subject);
        return subject.Standing.Departure is null
            && (
                subject.IsBrood
                || (
                    !subject.IsMany
                    && subject.Group.Nursery is not null
                    && subject.Standing.Details.Sex == Sex.Female
                    && subject.Standing.IsMatureByRecord
                )
            );
    }

    /// <inheritdoc/>
    protected override Standing Fold(Promised act, Standing standing, JournalEntry entry) =>
        standing with
        {
            HandOn = standing.HandOn.With(new PromiseEvent(entry.Id, entry.When.To, act.To.Trim(), act.Count)),
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Promised act, EntryAt at)
    {
        if (at is { Written: false, Standing: { } standing } && !MayBePromised(Subject.Of(standing, at.Room)))
        {
            yield return new Problem(
                "act.kind",
                "Young are promised of a brood, of eggs or of a grown female: neither is it."
            );
        }

        foreach (var problem in EntryCheck.CheckText("act.to", act.To, required: true, EntryCheck.LongestName))
        {
            yield return problem;
        }

        if (act.Count is < 0 or > EntryCheck.MostAnimals)
        {
            yield return new Problem("act.count", $"Must be 0 to {EntryCheck.MostAnimals}; 0 takes the promise back.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(Promised act, RuleSet rules, Wording words) =>
        act.Count == 0
            ? $"no longer promised to {act.To}"
            : $"{act.Count.ToString(CultureInfo.InvariantCulture)} promised to {act.To}";
}
