using Husbandry.Larder;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Ledger;

/// <summary>Checks the larder of a room file.</summary>
internal static class RoomFileLarder
{
    /// <summary>What is wrong with it, entry by entry; each is held against the larder as the former ones left it.</summary>
    public static IReadOnlyList<Problem> Problems(RoomFile file, RuleSet rules)
    {
        var problems = new List<Problem>();
        var entries = (file.Larder ?? []).Select((e, i) => (Entry: e, Index: i)).ToList();
        foreach (var (entry, i) in entries.Where(x => x.Entry is null))
        {
            problems.Add(new Problem($"larder[{i}]", "Is missing."));
        }

        var gone = entries.Select(x => (x.Entry?.Act as LarderWithdrawn)?.EntryId).OfType<Guid>().ToHashSet();
        var standing = LarderStanding.Empty;
        foreach (
            var (entry, i) in entries
                .Where(x => x.Entry is not null && !gone.Contains(x.Entry.Id))
                .OrderBy(x => x.Entry.At)
                .ThenBy(x => x.Entry.Sequence)
        )
        {
            problems.AddRange(
                LarderCheck.Check(entry.Act, standing, rules).Select(p => p with { Field = $"larder[{i}].{p.Field}" })
            );
            standing = standing.After(entry, rules);
        }

        return problems;
    }
}
