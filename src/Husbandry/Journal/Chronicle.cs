namespace Husbandry.Journal;

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
            .. all.Where(e => e.Act.Withdraws() is null && !struck.ContainsKey(e.Id))
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
            if (entry.Act.Withdraws() is { } taken)
            {
                withdrawn[taken] = entry.Id;
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
