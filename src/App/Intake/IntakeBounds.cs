using App.Hosting;
using Ledger.Intake;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Intake;

/// <summary>How much may be pasted at once.</summary>
internal static class IntakeBounds
{
    private const int LongestText = 400_000;

    /// <summary>What is wrong with what was pasted; none when it can be read.</summary>
    public static ValidationProblem? Problem(string? text, IReadOnlyList<IReadOnlyList<string>>? table) =>
        text is null && table is null ? Problems.Of("text", "Paste a table, or write one animal on each line.")
        : text?.Length > LongestText ? Problems.Of("text", $"At most {LongestText} characters.")
        : table is { } cells
        && (
            cells.Count > TableReader.MostRows
            || cells.Any(r => r is null || r.Any(c => c is null || c.Length > TableReader.LongestCell))
        )
            ? Problems.Of(
                "cells",
                $"At most {TableReader.MostRows} rows, and {TableReader.LongestCell} characters in a cell."
            )
        : null;
}
