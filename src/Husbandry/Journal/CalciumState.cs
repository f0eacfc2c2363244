namespace Husbandry.Journal;

/// <summary>How much of a source of calcium is left.</summary>
public enum CalciumLeft
{
    /// <summary>Most of it.</summary>
    Plenty,

    /// <summary>Some of it.</summary>
    Some,

    /// <summary>Nothing.</summary>
    Gone,
}

/// <summary>One piece or dose of calcium in a tub.</summary>
/// <param name="EntryId">The entry that put it in.</param>
/// <param name="SourceId">Source of the rulebook.</param>
/// <param name="PutAt">When it was put in.</param>
/// <param name="PlentyAt">When there was last plenty of it; when it was put in while nobody has looked.</param>
/// <param name="SomeAt">When there was first only some of it; none while there is plenty.</param>
/// <param name="ThereAt">When any of it was last seen.</param>
/// <param name="EndedAt">When it was seen to be gone, or something fresh was put in its place; none while it stands.</param>
/// <param name="IsUsedUp">Whether it was seen to be gone, rather than renewed before.</param>
public sealed record CalciumPiece(
    Guid EntryId,
    string SourceId,
    DateTimeOffset PutAt,
    DateTimeOffset PlentyAt,
    DateTimeOffset? SomeAt,
    DateTimeOffset ThereAt,
    DateTimeOffset? EndedAt,
    bool IsUsedUp
)
{
    /// <summary>After a look at it.</summary>
    internal CalciumPiece Seen(CalciumLeft left, DateTimeOffset at) =>
        left switch
        {
            CalciumLeft.Plenty => this with { PlentyAt = at, SomeAt = null, ThereAt = at },
            CalciumLeft.Some => this with { SomeAt = SomeAt ?? at, ThereAt = at },
            CalciumLeft.Gone => this with { EndedAt = at, IsUsedUp = true },
            _ => throw new ArgumentOutOfRangeException(nameof(left), left, "No such amount."),
        };
}

/// <summary>Calcium of a tub: every piece that stands, and the last that are gone.</summary>
public static class CalciumPieces
{
    /// <summary>As many of those that are gone are kept as a tub's pace is learned from.</summary>
    public const int GoneKept = 24;

    /// <summary>Pieces after a look: what was seen, then what was put in afresh.</summary>
    /// <param name="pieces">Pieces before it.</param>
    /// <param name="entry">The entry.</param>
    /// <param name="seen">What was seen of the sources that stood.</param>
    /// <param name="put">Sources that were put in.</param>
    public static IReadOnlyList<CalciumPiece> After(
        IReadOnlyList<CalciumPiece> pieces,
        JournalEntry entry,
        IEnumerable<(string SourceId, CalciumLeft Left)> seen,
        IEnumerable<string> put
    )
    {
        ArgumentNullException.ThrowIfNull(pieces);
        ArgumentNullException.ThrowIfNull(entry);
        var at = entry.When.To;
        var looked = seen.ToDictionary(s => s.SourceId, s => s.Left, StringComparer.Ordinal);
        var fresh = put.ToList();
        var after = pieces
            .Select(p => p.EndedAt is null && looked.TryGetValue(p.SourceId, out var left) ? p.Seen(left, at) : p)
            .Select(p => p.EndedAt is null && fresh.Contains(p.SourceId) ? p with { EndedAt = at } : p)
            .Concat(fresh.Select(id => new CalciumPiece(entry.Id, id, at, at, null, at, null, false)))
            .ToList();
        var gone = after.Count(p => p.EndedAt is not null);
        return [.. after.Where(p => p.EndedAt is null || gone-- <= GoneKept)];
    }
}
