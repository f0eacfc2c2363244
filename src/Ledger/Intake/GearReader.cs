using Husbandry.Chores;
using Husbandry.Journal;
using Husbandry.Rooms;

namespace Ledger.Intake;

/// <summary>Reads a keeper's own list of shared gear: a row for each piece, or for each time at which it is booked.</summary>
public sealed class GearReader
{
    private const string Name = "gear";
    private const string From = "from";
    private const string To = "to";
    private const string For = "for";

    private static readonly ListColumn[] Known =
    [
        new(Name, "gear", "gear", "name", "what", "piece", "tool"),
        new(From, "first night", "from", "start", "starts", "first", "date", "on"),
        new(To, "last night", "to", "until", "end", "ends", "last"),
        new(For, "what for", "for", "what for", "who", "booked for", "note"),
    ];

    private readonly Room room;
    private readonly ListCells cells;
    private ChoreStanding standing;

    /// <summary>A list as it is to be read.</summary>
    /// <param name="list">The list.</param>
    /// <param name="room">The room.</param>
    /// <param name="chores">What is on record.</param>
    public GearReader(KeepersList list, Room room, ChoreStanding chores)
    {
        (this.room, standing) = (room, chores);
        cells = new ListCells(list, Known, [From, To], room.Tonight, _ => [Name, From, To, For]);
    }

    /// <summary>Reads it.</summary>
    /// <param name="request">Of which what is new gets its ids: the same request sent again is the same.</param>
    /// <returns>The list as it was understood, and what will be written; rows of what is on record already write nothing.</returns>
    public (ListSheet Sheet, IReadOnlyList<(Guid Id, ChoreAct Act)> Acts) Read(Guid request)
    {
        var (rows, acts) = (new List<ListRow>(), new List<(Guid, ChoreAct)>());
        foreach (var (row, line) in cells.Rows)
        {
            var (found, says, problem) = ActsOf(row, ListCells.IdOf(request, line));
            // Each row as things stand after those before it, so that two of the list that fall together are told.
            foreach (var (id, act) in found)
            {
                problem ??= string.Join(" ", ChoreCheck.Check(act, standing, room).Select(p => p.Message))
                    is { Length: > 0 } odd
                    ? odd
                    : null;
                standing = problem is null
                    ? standing.After(new ChoreEntry(id, acts.Count, room.Now, "", act))
                    : standing;
            }

            rows.Add(new ListRow(line, says, problem, found.Count == 0 && problem is null));
            acts.AddRange(found);
        }

        return (cells.Sheet(rows), acts);
    }

    private (IReadOnlyList<(Guid Id, ChoreAct Act)> Acts, string Says, string? Problem) ActsOf(
        IReadOnlyList<string> row,
        Guid id
    )
    {
        var (name, what) = (cells.Cell(row, Name), cells.Cell(row, For));
        (IReadOnlyList<(Guid, ChoreAct)>, string, string?) Wrong(string problem) => ([], ListCells.Told(row), problem);
        if (name.Length == 0)
        {
            return Wrong("Say which gear.");
        }

        var there = standing.Gear.FirstOrDefault(g => string.Equals(g.Name, name, StringComparison.OrdinalIgnoreCase));
        var gear = there?.Id ?? DerivedId.Of(Guid.Empty, $"gear {name.ToLowerInvariant()}");
        var acts = new List<(Guid, ChoreAct)>();
        if (there is null)
        {
            acts.Add((DerivedId.Of(id, "gear"), new GearAdded(gear, name)));
        }

        if (cells.Cell(row, From).Length == 0)
        {
            return what.Length > 0 || cells.Cell(row, To).Length > 0
                ? Wrong("Say from when it is booked.")
                : (acts, there is null ? name : $"{name}: on record already", null);
        }

        if (cells.Dates.Read(cells.Cell(row, From), mayBeAhead: true) is not { } from)
        {
            return Wrong("Say from when: a date such as 2026-11-20 or 20/11.");
        }

        var last = cells.Cell(row, To);
        if (last.Length > 0 && cells.Dates.Read(last, mayBeAhead: true) is null)
        {
            return Wrong("Say until when: a date such as 2026-11-20 or 20/11.");
        }

        var to = cells.Dates.Read(last, mayBeAhead: true) ?? from;
        var says = $"{name}, {room.Wording.Dates(from, to)}: {what}";
        if (there?.Bookings.Any(b => b.From == from && b.To == to && b.For == what) == true)
        {
            return ([], $"{says}: on record already", null);
        }

        acts.Add((id, new GearBooked(DerivedId.Of(id, "booking"), gear, from, to, what)));
        return (acts, says, null);
    }
}
