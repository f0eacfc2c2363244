using Husbandry.Chores;
using Husbandry.Reasons;
using Husbandry.Rooms;

namespace Ledger;

/// <summary>Checks the chores of a room file.</summary>
internal static class RoomFileChores
{
    /// <summary>What is wrong with them, entry by entry; each is held against the chores as the former ones left them.</summary>
    public static IReadOnlyList<Problem> Problems(RoomFile file, Room room)
    {
        var problems = new List<Problem>();
        var standing = ChoreStanding.Empty;
        foreach (var (entry, i) in (file.Chores ?? []).Select((e, i) => (e, i)))
        {
            if (entry is null)
            {
                problems.Add(new Problem($"chores[{i}]", "Is missing."));
                continue;
            }

            // What was put off or done once is past by now; only what can never have been is refused.
            if (entry.Act is not (ChorePutOff or ChoreDone))
            {
                problems.AddRange(
                    ChoreCheck.Check(entry.Act, standing, room).Select(p => p with { Field = $"chores[{i}].{p.Field}" })
                );
            }

            standing = standing.After(entry);
        }

        return problems;
    }
}
