using Husbandry.Reasons;

namespace Husbandry.Journal;

/// <summary>One line of the append-only journal.</summary>
/// <param name="Id">Made by the client, so that a double tap or a retry writes once.</param>
/// <param name="StockId">The animal or brood.</param>
/// <param name="Sequence">Order of writing within the whole journal; 0 until written.</param>
/// <param name="When">When it happened.</param>
/// <param name="WrittenAt">When it was written down.</param>
/// <param name="WrittenBy">Who wrote it.</param>
/// <param name="Supersedes">The entry that this one corrects, if any.</param>
/// <param name="Act">What happened.</param>
/// <param name="Against">What the hush table said against it when it was written; none when nothing did.</param>
public sealed record JournalEntry(
    Guid Id,
    Guid StockId,
    long Sequence,
    Occurrence When,
    DateTimeOffset WrittenAt,
    string WrittenBy,
    Guid? Supersedes,
    Act Act,
    string? Against = null
);

/// <summary>Reads a raw journal: which entries still count, and in which order.</summary>
public static class Chronicle
{
    /// <summary>
    /// The entries that count, in the order in which things happened: withdrawn and superseded ones are left out.
    /// An entry is superseded by a correction that itself still counts, so that undoing a correction brings it back.
    /// </summary>
    public static IReadOnlyList<JournalEntry> Effective(IEnumerable<JournalEntry> entries)
    {
        var all = entries.ToList();
        var struck = Struck(all);
        return
        [
            .. all.Where(e => e.Act is not Withdrawn && !struck.ContainsKey(e.Id))
                .OrderBy(e => e.When.To)
                .ThenBy(e => e.Sequence),
        ];
    }

    /// <summary>The entries that no longer count, each with the entry that struck it.</summary>
    public static IReadOnlyDictionary<Guid, Guid> Struck(IReadOnlyList<JournalEntry> entries)
    {
        var withdrawn = new Dictionary<Guid, Guid>();
        foreach (var entry in entries)
        {
            if (entry.Act is Withdrawn act)
            {
                withdrawn[act.EntryId] = entry.Id;
            }
        }

        var struck = new Dictionary<Guid, Guid>(withdrawn);
        foreach (var entry in entries)
        {
            // A correction that was itself withdrawn strikes nothing.
            if (entry.Supersedes is { } former && !withdrawn.ContainsKey(entry.Id))
            {
                struck.TryAdd(former, entry.Id);
            }
        }

        return struck;
    }
}
