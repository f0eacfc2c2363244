using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Records;

/// <summary>One line of the numbers.</summary>
/// <param name="EntryId">The entry that says it.</param>
/// <param name="Night">Night.</param>
/// <param name="Text">What happened, e.g. "died" or "counted 24, one by one".</param>
/// <param name="By">By how many there are more; negative for fewer.</param>
/// <param name="Now">How many there are after it.</param>
/// <param name="IsUnexplained">Whether nobody said why the number is another one.</param>
public sealed record CountLine(Guid EntryId, DateOnly Night, string Text, int By, int Now, bool IsUnexplained);

/// <summary>The numbers of a brood or a colony: everything that came and went, and whether it adds up.</summary>
/// <param name="Lines">The lines, newest first.</param>
/// <param name="Sums">What came and what left by its reason, e.g. "came" 40, "died" −3; they add up to those that are there.</param>
/// <param name="Missing">As many are gone, and nobody said how.</param>
/// <param name="Summary">All of it in one sentence.</param>
public sealed record CountBook(
    IReadOnlyList<CountLine> Lines,
    IReadOnlyList<CountSum> Sums,
    int Missing,
    string Summary
)
{
    /// <summary>
    /// The numbers of what is kept as many; none for a single animal, and for ants while their workers are counted only through the
    /// glass: then the growth of the colony tells them.
    /// </summary>
    public static CountBook? Of(Subject subject)
    {
        ArgumentNullException.ThrowIfNull(subject);
        if (!subject.IsMany || subject.Standing.IsTank)
        {
            return null;
        }

        var bred = subject.Standing.Details.Kind == StockKind.Colony;
        var counts = subject.Standing.Counts;
        var uncounted = bred && counts is [{ Now: 1 }];
        if (uncounted && subject.Standing.Colony.Peeks.Any(p => p.Workers is > 0))
        {
            return null;
        }

        var lines = counts
            .Select(c => new CountLine(
                c.EntryId,
                subject.Night(c.At),
                Text(c, subject.Room.Rules),
                c.By,
                c.Now,
                IsUnexplained(counts, c, bred)
            ))
            .ToList();
        var sums = lines
            .Zip(counts)
            .Where(x => x.First.By != 0)
            .GroupBy(x => SumWord(x.Second, x.First, bred))
            .Select(g => new CountSum(g.Key, g.Sum(x => x.First.By)))
            .Where(s => s.By != 0)
            .ToList();
        var missing = -lines.Where(l => l.IsUnexplained).Sum(l => Math.Min(0, l.By));
        lines.Reverse();
        return new CountBook(
            lines,
            sums,
            missing,
            uncounted ? "Nobody has counted them yet." : Say(sums, counts[^1].Now)
        );
    }

    /// <summary>A change in a word, such as "died".</summary>
    public static string Word(CountChange change) =>
        change switch
        {
            CountChange.Came => "came",
            CountChange.Counted => "counted",
            CountChange.Mended => "number mended",
            CountChange.Born => "born",
            CountChange.Found => "found again",
            CountChange.PutIn => "put in",
            CountChange.TakenOver => "taken over",
            CountChange.Parted => "parted",
            CountChange.Died => "died",
            CountChange.Sold => "sold",
            CountChange.GivenAway => "given away",
            CountChange.Escaped => "escaped",
            CountChange.Released => "released",
            CountChange.Lost => "lost",
            _ => throw new ArgumentOutOfRangeException(nameof(change), change, "No word for such a change."),
        };

    /// <summary>A change with its cause, such as "died (mismolt)".</summary>
    public static string Word(CountEvent c)
    {
        ArgumentNullException.ThrowIfNull(c);
        return Word(c.Change) + (c.Cause is { } cause ? $" ({DepartedEntry.Word(cause)})" : "");
    }

    private static string Text(CountEvent c, RuleSet rules)
    {
        if (c.Taken is not { } taken)
        {
            return Word(c) + (c.Party is { Name.Length: > 0 } party ? $", {party.Name}" : "");
        }

        return $"{Word(c)} {CountedEntry.Text(CountedEntry.WithRange(taken, rules))}"
            + (taken.Container is { } container ? $" in {container}" : "")
            + (taken.Method is { } method ? $", {CountedEntry.Word(method)}" : "")
            + (taken.Reason is { Length: > 0 } reason ? $"; {reason}" : "");
    }

    /// <summary>
    /// A count that differs from what was there without a reason, unless it or the count before it is too rough to differ. A
    /// colony breeds unseen: more of it needs no reason.
    /// </summary>
    internal static bool IsUnexplained(IReadOnlyList<CountEvent> all, CountEvent c, bool bred)
    {
        if (
            c is not { Change: CountChange.Counted, Taken: { Reason: null or "" } taken }
            || c.By == 0
            || (bred && c.By > 0)
        )
        {
            return false;
        }

        var before = c.Now - c.By;
        var rough =
            taken.Container is null
            && all.TakeWhile(e => !ReferenceEquals(e, c)).LastOrDefault(e => e.Taken is { Container: null })
                is { Taken.Method: CountMethod.ByEye };
        return !rough && !(taken.Container is null && taken.Low <= before && before <= taken.High);
    }

    private static string SumWord(CountEvent c, CountLine line, bool bred) =>
        c.Change != CountChange.Counted ? Word(c)
        : line.IsUnexplained ? (c.By < 0 ? "gone, nobody knows how" : "more, nobody knows whence")
        : bred && c.By > 0 ? "bred"
        : c.By < 0 ? "fewer by a count"
        : "more by a count";

    private static string Say(IReadOnlyList<CountSum> sums, int now)
    {
        var parts = sums.Select(s => string.Create(CultureInfo.InvariantCulture, $"{Math.Abs(s.By)} {s.Word}"));
        return $"{string.Join(", ", parts)}: {now.ToString(CultureInfo.InvariantCulture)} {(now == 1 ? "is" : "are")} there.".ToUpperFirst();
    }
}

/// <summary>What came or left for one reason.</summary>
/// <param name="Word">The reason in a word.</param>
/// <param name="By">How many; negative for those that left.</param>
public sealed record CountSum(string Word, int By);
