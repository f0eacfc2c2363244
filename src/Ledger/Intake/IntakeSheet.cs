using Husbandry.Reasons;
using Husbandry.Stock;

namespace Ledger.Intake;

/// <summary>A keeper's own table of animals, as it is to be read.</summary>
/// <param name="Text">The table as text; or one animal on each line. Left out where the cells are given.</param>
/// <param name="Cells">Its cells, headings left out; with their columns.</param>
/// <param name="Columns">What each column says, where that is said and not to be guessed.</param>
/// <param name="DayFirst">Whether 3/5 is the third of May; guessed when left out.</param>
/// <param name="Unit">Unit of lengths without one; that of the heading or of the room when left out.</param>
/// <param name="Group">Group of species that are not in the rulebook.</param>
public sealed record IntakeTable(
    string? Text = null,
    IReadOnlyList<IReadOnlyList<string>>? Cells = null,
    IReadOnlyList<IntakeColumn>? Columns = null,
    bool? DayFirst = null,
    LengthUnit? Unit = null,
    string? Group = null
);

/// <summary>Something in a row that cannot be read, or cannot be.</summary>
/// <param name="Column">Number of the column, from 0; none where it is about the row.</param>
/// <param name="Message">What is wrong.</param>
/// <param name="Instead">What may have been meant.</param>
public sealed record IntakeProblem(int? Column, string Message, IReadOnlyList<string> Instead);

/// <summary>An animal as it was read from a row.</summary>
/// <param name="Line">Number of the row, from 1, headings left out.</param>
/// <param name="Place">Where it will stand; given by the table, or the next free place.</param>
/// <param name="Details">What is said of it; none while that cannot be read.</param>
/// <param name="SizeMm">Its size.</param>
/// <param name="LastMolt">Night of its last molt.</param>
/// <param name="LastMeal">Night of its last meal.</param>
/// <param name="LastWater">Night on which water was given last.</param>
/// <param name="Says">All of it in one sentence, as it will be written.</param>
/// <param name="Problems">What is wrong; none of the table is written while there are any.</param>
public sealed record IntakeRow(
    int Line,
    Place? Place,
    StockDetails? Details,
    double? SizeMm,
    DateOnly? LastMolt,
    DateOnly? LastMeal,
    DateOnly? LastWater,
    string Says,
    IReadOnlyList<IntakeProblem> Problems
);

/// <summary>A table as it was understood.</summary>
/// <param name="Columns">Its columns.</param>
/// <param name="Cells">Its cells, headings left out.</param>
/// <param name="DayFirst">Whether 3/5 was read as the third of May.</param>
/// <param name="Unit">Unit in which lengths without one were read.</param>
/// <param name="Rows">One for each animal.</param>
public sealed record IntakeSheet(
    IReadOnlyList<ReadColumn> Columns,
    IReadOnlyList<IReadOnlyList<string>> Cells,
    bool DayFirst,
    LengthUnit Unit,
    IReadOnlyList<IntakeRow> Rows
)
{
    /// <summary>Whether all of it can be written.</summary>
    public bool IsSound => Rows.Count > 0 && Rows.All(r => r.Problems.Count == 0);
}
