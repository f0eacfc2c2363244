using System.Globalization;
using System.Text.RegularExpressions;

namespace Ledger.Intake;

/// <summary>Reads dates as keepers write them, and finds out whether the day or the month stands first.</summary>
/// <param name="Tonight">Tonight: a date without a year is the last such one.</param>
/// <param name="DayFirst">Whether 3/5 is the third of May.</param>
public sealed partial record IntakeDates(DateOnly Tonight, bool DayFirst)
{
    private static readonly string[] Months =
    [
        "jan",
        "feb",
        "mar",
        "apr",
        "may",
        "jun",
        "jul",
        "aug",
        "sep",
        "oct",
        "nov",
        "dec",
    ];

    /// <summary>
    /// Whether the day stands first in a table's dates: what can be only one way decides; else it does, as ISO 8601's authors
    /// and most of the world write it. Source: common practice, no published source.
    /// </summary>
    public static bool GuessDayFirst(IEnumerable<string> cells)
    {
        var (dayFirst, monthFirst) = (0, 0);
        foreach (var match in cells.Select(c => FiguresPattern().Match(c.Trim())).Where(m => m.Success))
        {
            var (a, b) = (Number(match.Groups[1].Value), Number(match.Groups[2].Value));
            dayFirst += a > 12 ? 1 : 0;
            monthFirst += b > 12 ? 1 : 0;
        }

        return dayFirst >= monthFirst;
    }

    /// <summary>A date: 2026-11-20, 20/11, 20.11.2026, 20 Nov, Nov 20 2026, "3 days ago", "yesterday". None when it is none.</summary>
    /// <param name="text">The date.</param>
    /// <param name="mayBeAhead">Whether one without a year may lie ahead: then the nearest such day is meant, else the last.</param>
    public DateOnly? Read(string text, bool mayBeAhead = false)
    {
        var word = text.Trim().ToLowerInvariant();
        if (word is "today" or "tonight")
        {
            return Tonight;
        }

        if (word is "yesterday" or "last night")
        {
            return Tonight.AddDays(-1);
        }

        if (AgoPattern().Match(word) is { Success: true } ago)
        {
            var days = Number(ago.Groups[1].Value) * (ago.Groups[2].Value.StartsWith('w') ? 7 : 1);
            return Tonight.AddDays(-days);
        }

        if (DateOnly.TryParseExact(word, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var iso))
        {
            return iso;
        }

        if (FiguresPattern().Match(word) is { Success: true } figures)
        {
            var (a, b) = (Number(figures.Groups[1].Value), Number(figures.Groups[2].Value));
            var (day, month) =
                a > 12 ? (a, b)
                : b > 12 ? (b, a)
                : DayFirst ? (a, b)
                : (b, a);
            return Of(day, month, figures.Groups[3].Value, mayBeAhead);
        }

        if (NamedPattern().Match(word) is { Success: true } named)
        {
            var month = Array.IndexOf(Months, named.Groups["month"].Value[..3]) + 1;
            return month == 0
                ? null
                : Of(Number(named.Groups["day"].Value), month, named.Groups["year"].Value, mayBeAhead);
        }

        return null;
    }

    private DateOnly? Of(int day, int month, string year, bool mayBeAhead)
    {
        if (month is < 1 or > 12)
        {
            return null;
        }

        if (year.Length > 0)
        {
            var given = Number(year) + (year.Length == 2 ? 2000 : 0);
            return day >= 1 && day <= DateTime.DaysInMonth(given, month) ? new DateOnly(given, month, day) : null;
        }

        // Without a year it is the last such day, or the nearest; 29 Feb may lie some years off.
        return Enumerable
            .Range(Tonight.Year - 4, 9)
            .Where(y => day >= 1 && day <= DateTime.DaysInMonth(y, month))
            .Select(y => (DateOnly?)new DateOnly(y, month, day))
            .Where(date => mayBeAhead || date <= Tonight)
            .MinBy(date => Math.Abs(date!.Value.DayNumber - Tonight.DayNumber));
    }

    private static int Number(string text) => int.Parse(text, CultureInfo.InvariantCulture);

    [GeneratedRegex(@"^(\d{1,2})\s*[/.\-]\s*(\d{1,2})(?:\s*[/.\-]\s*(\d{4}|\d{2}))?\.?$")]
    private static partial Regex FiguresPattern();

    [GeneratedRegex(
        @"^(?:(?<day>\d{1,2})\.?\s+(?<month>[a-z]{3,9})|(?<month>[a-z]{3,9})\s+(?<day>\d{1,2}))\.?,?(?:\s+(?<year>\d{4}|\d{2}))?$"
    )]
    private static partial Regex NamedPattern();

    [GeneratedRegex(@"^(\d{1,3})\s*(d|days?|w|weeks?|nights?)(?:\s+ago)?$")]
    private static partial Regex AgoPattern();
}
