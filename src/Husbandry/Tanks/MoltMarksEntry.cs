using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Tanks;

/// <summary>What of a molt was looked for on a crab that came up.</summary>
/// <param name="Seen">What shows; empty where nothing of it does.</param>
public sealed record MoltMarksSeen(IReadOnlyList<MoltMark> Seen) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => MoltMarksEntry.It;
}

/// <summary>Did it molt? Several marks say so, none says that it only hid.</summary>
public sealed class MoltMarksEntry() : EntryDefinition<MoltMarksSeen>("moltMarksSeen")
{
    /// <summary>The definition.</summary>
    public static MoltMarksEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [new MoltMarksSeen([MoltMark.LongAntennae, MoltMark.BlackTips]), new MoltMarksSeen([])];

    /// <summary>What the marks come to, in a sentence. Source: common practice, no published source: several of the six.</summary>
    /// <param name="seen">What shows.</param>
    /// <param name="tell">So many tell a molt.</param>
    public static string Verdict(IReadOnlyList<MoltMark> seen, int tell)
    {
        ArgumentNullException.ThrowIfNull(seen);
        return seen.Count >= tell ? $"{seen.Count} marks of a molt: it molted."
            : seen.Count == 0 ? "No mark of a molt: it only hid, or the marks have worn off."
            : "One mark alone decides nothing: look again in a day or two, from a distance.";
    }

    /// <inheritdoc/>
    protected override Standing Fold(MoltMarksSeen act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Shared = standing.Shared with { Marks = new MarksSeen(entry.When.To, act.Seen) },
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(MoltMarksSeen act, EntryAt at)
    {
        if (act.Seen.Distinct().Count() < act.Seen.Count)
        {
            yield return new Problem("act.seen", "Name each once.");
        }

        if (at is { Written: false, Standing: { } standing } && !ShellTakenEntry.Wears(Subject.Of(standing, at.Room)))
        {
            yield return new Problem("act.kind", "It is asked of a hermit crab kept as one.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(MoltMarksSeen act, RuleSet rules, Wording words) =>
        act.Seen.Count == 0
            ? "no mark of a molt seen"
            : $"marks of a molt: {string.Join(", ", act.Seen.Select(WordOf))}";

    /// <inheritdoc/>
    protected override bool IsToldTwice(MoltMarksSeen act, MoltMarksSeen other) => true;

    private static string WordOf(MoltMark mark) =>
        mark switch
        {
            MoltMark.LongAntennae => "long antennae",
            MoltMark.BlackTips => "sharp black tips",
            MoltMark.Hairs => "hairs",
            MoltMark.Brighter => "brighter",
            MoltMark.Livelier => "livelier",
            MoltMark.SmallNewLimbs => "new limbs, still small",
            _ => throw new ArgumentOutOfRangeException(nameof(mark), mark, "No word for such a mark."),
        };
}
