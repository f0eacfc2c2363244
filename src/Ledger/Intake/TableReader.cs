using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;

namespace Ledger.Intake;

/// <summary>Reads a table as it is pasted or dropped: from a spreadsheet, as CSV, or parted by semicolons or bars.</summary>
public static class TableReader
{
    /// <summary>Most rows of one table.</summary>
    public const int MostRows = 1000;

    /// <summary>Longest cell, characters.</summary>
    public const int LongestCell = 300;

    private static readonly char[] Delimiters = ['\t', ';', ',', '|'];

    /// <summary>The cells, row by row; empty rows are left out. One cell in each row where nothing parts them.</summary>
    public static IReadOnlyList<IReadOnlyList<string>> Read(string text)
    {
        var configuration = new CsvConfiguration(CultureInfo.InvariantCulture)
        {
            Delimiter = DelimiterOf(text).ToString(),
            HasHeaderRecord = false,
            BadDataFound = null,
            MissingFieldFound = null,
            TrimOptions = TrimOptions.Trim,
            // An inch stands behind a number as often as a quote stands round a cell.
            Mode =
                text.Contains("\",", StringComparison.Ordinal) || text.Contains(",\"", StringComparison.Ordinal)
                    ? CsvMode.RFC4180
                    : CsvMode.NoEscape,
        };
        using var parser = new CsvParser(new StringReader(text.TrimStart('\ufeff')), configuration);
        var rows = new List<IReadOnlyList<string>>();
        while (rows.Count <= MostRows && parser.Read())
        {
            var cells = (parser.Record ?? []).Select(c => c.Trim()).ToList();
            if (cells.Any(c => c.Length > 0))
            {
                rows.Add(cells);
            }
        }

        return rows;
    }

    /// <summary>What parts the cells: the one that stands equally often in most lines.</summary>
    private static char DelimiterOf(string text)
    {
        var lines = text.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        return
            Delimiters
                .Select(d =>
                {
                    var counts = lines.Select(l => l.Count(c => c == d)).Where(n => n > 0).ToList();
                    var usual = counts.GroupBy(n => n).Select(g => g.Count()).DefaultIfEmpty(0).Max();
                    return (Delimiter: d, Usual: usual);
                })
                .OrderByDescending(d => d.Usual)
                .ThenBy(d => Array.IndexOf(Delimiters, d.Delimiter))
                .First()
                is { Usual: > 0 } best
            ? best.Delimiter
            : '\t';
    }
}
