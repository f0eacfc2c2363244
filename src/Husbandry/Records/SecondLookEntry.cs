using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Records;

/// <summary>After a count that found fewer than were on record it was looked a second time; who is not found now is lost.</summary>
/// <param name="Found">As many of the missing were found; 0 when none.</param>
public sealed record SecondLook(int Found) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => SecondLookEntry.It;
}

/// <summary>A second look for those that are missing.</summary>
public sealed class SecondLookEntry() : EntryDefinition<SecondLook>("secondLook")
{
    /// <summary>The definition.</summary>
    public static SecondLookEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new SecondLook(0), new SecondLook(2)];

    /// <summary>The last count that found fewer than were on record, as long as nobody has said what became of them; none where there is none.</summary>
    public static CountEvent? MissingOf(Standing standing)
    {
        ArgumentNullException.ThrowIfNull(standing);
        return
            standing.Details.Kind == StockKind.Brood
            && standing.Counts.LastOrDefault(c => c.Taken is not null)
                is { Change: CountChange.Counted, By: < 0, Taken: { Reason: null or "" } } count
            && CountBook.IsUnexplained(standing.Counts, count, bred: false)
            ? count
            : null;
    }

    /// <inheritdoc/>
    protected override Standing Fold(SecondLook act, Standing standing, JournalEntry entry)
    {
        if (MissingOf(standing) is not { } count)
        {
            return standing;
        }

        var before = standing.Counts.TakeWhile(c => !ReferenceEquals(c, count)).ToList();
        var lost = standing with
        {
            Counts =
            [
                .. standing.Counts.Select(c =>
                    ReferenceEquals(c, count)
                        ? c with
                        {
                            Change = CountChange.Lost,
                            From = before.Last(b => b.Taken is { Container: null } || b == before[0]).At,
                        }
                        : c
                ),
            ],
        };
        return act.Found == 0
            ? lost
            : lost.WithCount(entry, CountChange.Found, standing.Details.Count + Math.Min(act.Found, -count.By));
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(SecondLook act, EntryAt at)
    {
        if (at.Standing is not { } standing)
        {
            yield break;
        }

        if (MissingOf(standing) is not { } count)
        {
            if (!at.Written)
            {
                yield return new Problem("act.found", "Nobody is missing: at the last count all were there.");
            }
        }
        else if (act.Found < 0 || act.Found > -count.By)
        {
            yield return new Problem(
                "act.found",
                $"Must be 0 to {-count.By}, as many as were missing: count them anew if there are more."
            );
        }
    }

    /// <inheritdoc/>
    protected override string Say(SecondLook act, RuleSet rules, Wording words) =>
        act.Found == 0
            ? "looked a second time: none found, they are lost"
            : $"looked a second time: {act.Found.ToString(CultureInfo.InvariantCulture)} found, the rest are lost";

    /// <inheritdoc/>
    protected override RoundPart Round(SecondLook act) => RoundPart.Look;

    /// <inheritdoc/>
    protected override bool IsNews(SecondLook act) => true;

    /// <inheritdoc/>
    protected override bool IsToldTwice(SecondLook act, SecondLook other) => true;
}
