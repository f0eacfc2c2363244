using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Nursery;

/// <summary>How waits for young ended in this room.</summary>
public static class NurseryRecord
{
    /// <summary>How such waits of a species ended, in words; empty while none has. What was taken from its mother goes on elsewhere.</summary>
    /// <param name="subject">One of the species.</param>
    /// <param name="vigil">What is awaited.</param>
    /// <param name="all">Everything whose waits count.</param>
    public static string Of(Subject subject, VigilKind vigil, IEnumerable<Subject> all)
    {
        ArgumentNullException.ThrowIfNull(subject);
        var over = all.Where(s => s.SpeciesName == subject.SpeciesName)
            .SelectMany(s => s.Standing.Vigils.All)
            .Where(w => w.Vigil == vigil && w.Ended is not null && w.End != VigilEnd.CutShort)
            .ToList();
        if (over.Count == 0)
        {
            return "";
        }

        var hoped = over.Count(w => w.AsHoped);
        var lost = over.Where(w => !w.AsHoped)
            .GroupBy(w => w.Loss)
            .OrderByDescending(g => g.Count())
            .Select(g => $"{g.Count()} {(g.Key is { } loss ? EndedEntry.Word(loss) : "lost, nobody said how")}");
        var parts = string.Join(", ", lost.Prepend($"{hoped} as hoped"));
        return $"Of {over.Count} such here {parts}.";
    }
}
