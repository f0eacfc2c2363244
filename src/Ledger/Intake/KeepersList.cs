using Husbandry.Reasons;

namespace Ledger.Intake;

/// <summary>A keeper's own list of something, one row for each, as it is to be read: what happened, what is in the larder, chores.</summary>
/// <param name="Text">The list as text; left out where the cells are given.</param>
/// <param name="Cells">Its cells, headings left out; with their columns.</param>
/// <param name="Columns">What each column says, where that is said and not to be guessed.</param>
/// <param name="DayFirst">Whether 3/5 is the third of May; guessed when left out.</param>
/// <param name="Unit">Unit of lengths without one; that of the room when left out.</param>
/// <param name="LeaveOut">Rows that are left out, by their numbers from 1.</param>
public sealed record KeepersList(
    string? Text = null,
    IReadOnlyList<IReadOnlyList<string>>? Cells = null,
    IReadOnlyList<string>? Columns = null,
    bool? DayFirst = null,
    LengthUnit? Unit = null,
    IReadOnlyList<int>? LeaveOut = null
);

/// <summary>Something that a column of a list can say.</summary>
/// <param name="Id">Identifier.</param>
/// <param name="Word">What a keeper calls it.</param>
public sealed record ListChoice(string Id, string Word);

/// <summary>A row of a list as it was read.</summary>
/// <param name="Line">Its number, from 1, headings left out.</param>
/// <param name="Says">All of it in one sentence, as it will be written.</param>
/// <param name="Problem">What is wrong with it; none of the list is written while there are any.</param>
/// <param name="IsThere">Whether it is on record already: nothing is written of it.</param>
public record ListRow(int Line, string Says, string? Problem, bool IsThere = false);

/// <summary>Such a list as it was understood.</summary>
/// <param name="Headings">Its headings, empty where it has none.</param>
/// <param name="Columns">What its columns say.</param>
/// <param name="Choices">What they can say.</param>
/// <param name="Cells">Its cells, headings left out.</param>
/// <param name="DayFirst">Whether 3/5 was read as the third of May.</param>
/// <param name="HasDates">Whether such a list has dates at all.</param>
/// <param name="Unit">Unit in which lengths without one were read; none where no length is in such a list.</param>
/// <param name="Rows">One for each row, those that are left out missing.</param>
public sealed record ListSheet(
    IReadOnlyList<string> Headings,
    IReadOnlyList<string> Columns,
    IReadOnlyList<ListChoice> Choices,
    IReadOnlyList<IReadOnlyList<string>> Cells,
    bool DayFirst,
    bool HasDates,
    LengthUnit? Unit,
    IReadOnlyList<ListRow> Rows
)
{
    /// <summary>What is wrong with it, row by row; none when all of it can be written.</summary>
    /// <returns>Problems of <c>rows[…]</c>, or of <c>table</c> when there is nothing in it.</returns>
    public IReadOnlyList<Problem> Problems() =>
        Rows.Count == 0
            ? [new Problem("table", "There is nothing in it.")]
            :
            [
                .. Rows.Where(r => r.Problem is not null)
                    .Select(r => new Problem($"rows[{r.Line - 1}]", $"Row {r.Line}: {r.Problem}")),
            ];
}
