using System.Text.Json.Serialization;
using Husbandry.Journal;
using Husbandry.Reasons;

namespace Ledger.Intake;

/// <summary>What a column of a table of happenings can say.</summary>
public enum HappenedColumn
{
    /// <summary>Nothing that is read.</summary>
    Ignored,

    /// <summary>Which animal: its name, place or id.</summary>
    Who,

    /// <summary>The night.</summary>
    Night,

    /// <summary>What happened.</summary>
    What,

    /// <summary>A length.</summary>
    Size,

    /// <summary>More words about it.</summary>
    Note,
}

/// <summary>A keeper's own table of what happened, one row for each, as it is to be read.</summary>
/// <param name="Text">The table as text; left out where the cells are given.</param>
/// <param name="Cells">Its cells, headings left out; with their columns.</param>
/// <param name="Columns">What each column says, where that is said and not to be guessed.</param>
/// <param name="DayFirst">Whether 3/5 is the third of May; guessed when left out.</param>
/// <param name="Unit">Unit of lengths without one; that of the room when left out.</param>
/// <param name="LeaveOut">Rows that are left out, by their numbers from 1.</param>
public sealed record HappenedTable(
    string? Text = null,
    IReadOnlyList<IReadOnlyList<string>>? Cells = null,
    IReadOnlyList<HappenedColumn>? Columns = null,
    bool? DayFirst = null,
    LengthUnit? Unit = null,
    IReadOnlyList<int>? LeaveOut = null
);

/// <summary>A row of such a table as it was read.</summary>
/// <param name="Line">Its number, from 1, headings left out.</param>
/// <param name="StockId">The animal; none while that cannot be read.</param>
/// <param name="Says">All of it in one sentence, as it will be written.</param>
/// <param name="Night">The night.</param>
/// <param name="Problem">What is wrong with it; none of the table is written while there are any.</param>
/// <param name="Act">What will be written.</param>
/// <param name="Key">What the row says, by which the same row is known again.</param>
public sealed record HappenedRow(
    int Line,
    Guid? StockId,
    string Says,
    DateOnly? Night,
    string? Problem,
    [property: JsonIgnore] Act? Act,
    [property: JsonIgnore] string Key
);

/// <summary>Such a table as it was understood.</summary>
/// <param name="Headings">Its headings, empty where it has none.</param>
/// <param name="Columns">Its columns.</param>
/// <param name="Cells">Its cells, headings left out.</param>
/// <param name="DayFirst">Whether 3/5 was read as the third of May.</param>
/// <param name="Unit">Unit in which lengths without one were read.</param>
/// <param name="Rows">One for each happening, those that are left out missing.</param>
public sealed record HappenedSheet(
    IReadOnlyList<string> Headings,
    IReadOnlyList<HappenedColumn> Columns,
    IReadOnlyList<IReadOnlyList<string>> Cells,
    bool DayFirst,
    LengthUnit Unit,
    IReadOnlyList<HappenedRow> Rows
)
{
    /// <summary>Whether all of it can be written.</summary>
    public bool IsSound => Rows.Count > 0 && Rows.All(r => r.Problem is null);
}
