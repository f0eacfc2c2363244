using Husbandry.Contacts;
using Husbandry.Journal;
using Husbandry.Rooms;

namespace Ledger.Intake;

/// <summary>Reads a keeper's own list of people: a name and a note. One of that name is changed by its row.</summary>
public sealed class ContactReader
{
    private const string Name = "name";
    private const string Note = "note";

    private static readonly ListColumn[] Known =
    [
        new(Name, "name", "name", "who", "person", "contact", "keeper", "breeder"),
        new(Note, "note", "note", "notes", "remark", "about", "comment"),
    ];

    private readonly ListCells cells;
    private ContactBook book;

    /// <summary>A list as it is to be read.</summary>
    /// <param name="list">The list.</param>
    /// <param name="room">The room.</param>
    /// <param name="contacts">Who is on the list.</param>
    public ContactReader(KeepersList list, Room room, ContactBook contacts)
    {
        book = contacts;
        cells = new ListCells(list, Known, [], room.Tonight, _ => [Name, Note]);
    }

    /// <summary>Reads it.</summary>
    /// <param name="request">Of which what is new gets its ids: the same request sent again is the same.</param>
    /// <returns>The list as it was understood, and what will be written; rows of what is on record already write nothing.</returns>
    public (ListSheet Sheet, IReadOnlyList<(Guid Id, ContactAct Act)> Acts) Read(Guid request)
    {
        var (rows, acts) = (new List<ListRow>(), new List<(Guid, ContactAct)>());
        foreach (var (row, line) in cells.Rows)
        {
            var (name, note) = (cells.Cell(row, Name), cells.Cell(row, Note));
            var there = book.Contacts.FirstOrDefault(c =>
                string.Equals(c.Name, name, StringComparison.OrdinalIgnoreCase)
            );
            var said = new ContactSaid(
                there?.Id ?? DerivedId.Of(Guid.Empty, $"contact {name.ToLowerInvariant()}"),
                there?.Name ?? name,
                // What a row does not say stays.
                note.Length == 0
                    ? there?.Note ?? ""
                    : note
            );
            var problem = string.Join(" ", book.Check(said).Select(p => p.Message));
            var isThere = there is not null && there.Note == said.Note;
            rows.Add(
                new ListRow(
                    line,
                    (said.Note.Length == 0 ? said.Name : $"{said.Name}: {said.Note}")
                        + (
                            isThere ? " (on record already)"
                            : there is null ? ""
                            : " (another note than on record)"
                        ),
                    problem.Length == 0 ? null : problem,
                    isThere && problem.Length == 0
                )
            );
            if (!isThere && problem.Length == 0)
            {
                acts.Add((ListCells.IdOf(request, line), said));
                book = book.After(said);
            }
        }

        return (cells.Sheet(rows), acts);
    }
}
