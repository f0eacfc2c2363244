using System.Globalization;
using Husbandry.Rooms;
using Husbandry.Stock;

namespace Ledger.Intake;

/// <summary>Reads a keeper's own table of animals: what each row says, and what in it cannot be.</summary>
public sealed class IntakeReader(Room room, StockIndex index)
{
    // How "the same as above" is written in notebooks.
    private static readonly string[] Ditto = ["〃", "″", "''", "do", "do.", "ditto", "same", "-\"-"];

    private readonly SpeciesFinder species = new(room.Rules);

    /// <summary>Reads a table; columns, units and the form of dates are guessed where they are not said.</summary>
    public IntakeSheet Read(IntakeTable table)
    {
        var (columns, written) = Columns(table);
        var ofSpecies = columns.ToList().FindIndex(c => c.Column == IntakeColumn.Species);
        IReadOnlyList<IReadOnlyList<string>> cells = ofSpecies < 0 ? written : AsAbove(written, ofSpecies, Ditto);
        var dated = columns
            .Select((c, i) => (c.Column, Index: i))
            .Where(c => IsDate(c.Column))
            .SelectMany(c => cells.Select(row => c.Index < row.Count ? row[c.Index] : ""));
        var dates = new IntakeDates(room.Tonight, table.DayFirst ?? IntakeDates.GuessDayFirst(dated));
        var unit = table.Unit ?? columns.FirstOrDefault(c => c.Column == IntakeColumn.Size)?.Unit ?? room.Settings.Unit;
        var places = new FreePlaces(
            index.Here.Where(g => g.Where.TankId is null).Select(g => g.Where.Place),
            room.Layout
        );
        var names = new NamesGiven(index.Here.Select(g => g.Who.Name));
        // What the table says of places stands before the others fill the gaps.
        var said = cells.Select(row => Place.Parse(Cell(row, columns, IntakeColumn.Place))).ToList();
        var free = said.Select(place => place is not null && places.Take(place)).ToList();
        return new IntakeSheet(
            columns,
            cells,
            dates.DayFirst,
            unit,
            [
                .. cells.Select(
                    (row, i) =>
                        new RowReader(room, species, dates, unit, columns, row, table.Group).Read(
                            i + 1,
                            said[i],
                            free[i],
                            places,
                            names
                        )
                ),
            ]
        );
    }

    private (IReadOnlyList<ReadColumn>, IReadOnlyList<IReadOnlyList<string>>) Columns(IntakeTable table)
    {
        if (table.Cells is { } given)
        {
            return (Said(table.Columns ?? ColumnGuess.ByContent(given, species)), given);
        }

        var rows = TableReader.Read(table.Text ?? "");
        if (rows.Count > 0 && rows.All(r => r.Count(c => c.Length > 0) <= 1))
        {
            var dates = new IntakeDates(room.Tonight, table.DayFirst ?? true);
            var lines = AsAbove(
                rows.Select(r => QuickLine.Read(r.FirstOrDefault(c => c.Length > 0) ?? "", species, dates)),
                QuickLine.Columns.ToList().IndexOf(IntakeColumn.Species),
                ["", .. Ditto]
            );
            var filled = QuickLine.Columns.Select((_, i) => lines.Any(l => l[i].Length > 0)).ToList();
            return (
                Said(QuickLine.Columns.Where((_, i) => filled[i])),
                [.. lines.Select(IReadOnlyList<string> (l) => [.. l.Where((_, i) => filled[i])])]
            );
        }

        if (rows.Count == 0 || !ColumnGuess.IsHeading(rows[0]))
        {
            return (Said(table.Columns ?? ColumnGuess.ByContent(rows, species)), rows);
        }

        var guessed = table.Columns ?? ColumnGuess.ByHeadings(rows[0]);
        var left = rows[0].ToList().FindIndex(h => h.Equals("left", StringComparison.OrdinalIgnoreCase));
        return (
            [
                .. rows[0]
                    .Select(
                        (heading, i) =>
                            new ReadColumn(
                                heading,
                                i < guessed.Count ? guessed[i] : IntakeColumn.Ignored,
                                ColumnGuess.Unit(heading)
                            )
                    ),
            ],
            // Those of which the table that goes out says on which day they left are not here.
            [.. rows.Skip(1).Where(r => left < 0 || left >= r.Count || !IsDay(r[left]))]
        );
    }

    private static bool IsDay(string text) =>
        DateOnly.TryParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out _);

    /// <summary>What stands for "as above" is filled in from the row above.</summary>
    private static List<IReadOnlyList<string>> AsAbove(
        IEnumerable<IReadOnlyList<string>> rows,
        int column,
        IReadOnlyList<string> marks
    )
    {
        var above = "";
        var filled = new List<IReadOnlyList<string>>();
        foreach (var row in rows)
        {
            var isAbove = column < row.Count && marks.Contains(row[column], StringComparer.OrdinalIgnoreCase);
            above = isAbove || column >= row.Count ? above : row[column];
            filled.Add(isAbove && above.Length > 0 ? [.. row.Select((cell, c) => c == column ? above : cell)] : row);
        }

        return filled;
    }

    private static IReadOnlyList<ReadColumn> Said(IEnumerable<IntakeColumn> columns) =>
        [.. columns.Select(c => new ReadColumn("", c, null))];

    private static bool IsDate(IntakeColumn column) =>
        column
            is IntakeColumn.LastMolt
                or IntakeColumn.LastMeal
                or IntakeColumn.LastWater
                or IntakeColumn.CameOn
                or IntakeColumn.HatchedOn;

    internal static string Cell(IReadOnlyList<string> row, IReadOnlyList<ReadColumn> columns, IntakeColumn wanted)
    {
        for (var i = 0; i < columns.Count && i < row.Count; i++)
        {
            if (columns[i].Column == wanted)
            {
                return row[i];
            }
        }

        return "";
    }
}

/// <summary>Names for those that have none: that of the species, with a number where it stands already.</summary>
internal sealed class NamesGiven(IEnumerable<string> taken)
{
    private readonly HashSet<string> names = new(taken, StringComparer.OrdinalIgnoreCase);

    public string Next(string scientific)
    {
        var words = scientific.Split(' ', 2);
        var first = words.Length == 2 ? $"{words[0][0]}. {words[1]}" : scientific;
        for (var number = 1; ; number++)
        {
            var name = string.Create(CultureInfo.InvariantCulture, $"{first} {number}");
            if (names.Add(name))
            {
                return name;
            }
        }
    }
}
