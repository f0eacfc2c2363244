using Husbandry.Journal;
using Husbandry.Reasons;

namespace Ledger.Intake;

/// <summary>A column that a list can have.</summary>
/// <param name="Id">Identifier.</param>
/// <param name="Word">What a keeper calls it.</param>
/// <param name="Headings">Headings that keepers write, and those of the table that goes out; the first that fits counts.</param>
public sealed record ListColumn(string Id, string Word, params IReadOnlyList<string> Headings);

/// <summary>The cells of a keeper's list with what their columns say: by its headings, or by what stands in them.</summary>
public sealed class ListCells
{
    /// <summary>A column that is not read.</summary>
    public const string Ignored = "ignored";

    private readonly KeepersList list;
    private readonly IReadOnlyList<ListColumn> known;
    private readonly IReadOnlyList<string> headings;
    private readonly IReadOnlyList<IReadOnlyList<string>> cells;
    private readonly IReadOnlyList<string> columns;
    private readonly bool hasDates;

    /// <summary>The cells of a list.</summary>
    /// <param name="list">The list.</param>
    /// <param name="known">What its columns can say.</param>
    /// <param name="dated">Which of them are dates.</param>
    /// <param name="tonight">Tonight.</param>
    /// <param name="byContent">What the columns of rows without headings say, from left to right.</param>
    public ListCells(
        KeepersList list,
        IReadOnlyList<ListColumn> known,
        IReadOnlyList<string> dated,
        DateOnly tonight,
        Func<IReadOnlyList<IReadOnlyList<string>>, IReadOnlyList<string>> byContent
    )
    {
        (this.list, this.known, hasDates) = (list, known, dated.Count > 0);
        var rows = list.Cells ?? TableReader.Read(list.Text ?? "");
        var isHeaded = list.Cells is null && rows.Count > 0 && IsHeading(rows[0]);
        headings = isHeaded ? rows[0] : [];
        cells = isHeaded ? [.. rows.Skip(1)] : rows;
        columns = Once(
            list.Columns?.Select(c => known.Any(k => k.Id == c) ? c : Ignored)
                ?? (isHeaded ? rows[0].Select(OfHeading) : byContent(rows))
        );
        var dates = dated.SelectMany(Numbers).SelectMany(c => cells.Select(r => c < r.Count ? r[c] : ""));
        Dates = new IntakeDates(tonight, list.DayFirst ?? IntakeDates.GuessDayFirst(dates));
    }

    /// <summary>How dates are read.</summary>
    public IntakeDates Dates { get; }

    /// <summary>All rows, those left out too.</summary>
    public IReadOnlyList<IReadOnlyList<string>> All => cells;

    /// <summary>The rows that are read, with their numbers from 1.</summary>
    public IEnumerable<(IReadOnlyList<string> Row, int Line)> Rows =>
        cells.Select((row, i) => (row, i + 1)).Where(r => list.LeaveOut?.Contains(r.Item2) != true);

    /// <summary>What stands in a column of a row; empty where it has none.</summary>
    public string Cell(IReadOnlyList<string> row, string column) =>
        Numbers(column).Where(c => c < row.Count).Select(c => row[c].Trim()).FirstOrDefault() ?? "";

    /// <summary>The id of what a row writes: the same request sent again writes the same.</summary>
    public static Guid IdOf(Guid request, int line) => DerivedId.Of(request, $"row {line}");

    /// <summary>The row as it came, on one line.</summary>
    public static string Told(IReadOnlyList<string> row) => string.Join(" · ", row.Where(c => c.Length > 0));

    /// <summary>The list as it was understood.</summary>
    /// <param name="rows">Its rows.</param>
    /// <param name="unit">Unit of lengths without one; none where no length is in such a list.</param>
    public ListSheet Sheet(IReadOnlyList<ListRow> rows, LengthUnit? unit = null) =>
        new(
            headings,
            columns,
            [new ListChoice(Ignored, "not read"), .. known.Select(k => new ListChoice(k.Id, k.Word))],
            cells,
            Dates.DayFirst,
            hasDates,
            unit,
            rows
        );

    private IEnumerable<int> Numbers(string column) =>
        Enumerable.Range(0, columns.Count).Where(c => columns[c] == column);

    // “Food” heads a column as often as it begins a row; a row has figures in it.
    private bool IsHeading(IReadOnlyList<string> row) =>
        row.Any(c => OfHeading(c) != Ignored) && !row.Any(c => c.Length > 0 && char.IsAsciiDigit(c[0]));

    private string OfHeading(string text)
    {
        var words = text.Trim().ToLowerInvariant();
        return known.FirstOrDefault(k => k.Headings.Contains(words))?.Id ?? Ignored;
    }

    private static IReadOnlyList<string> Once(IEnumerable<string> found)
    {
        var taken = new HashSet<string>();
        return [.. found.Select(c => c != Ignored && taken.Add(c) ? c : Ignored)];
    }
}
