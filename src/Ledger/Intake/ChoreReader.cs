using System.Globalization;
using System.Text.RegularExpressions;
using Husbandry.Chores;
using Husbandry.Journal;
using Husbandry.Rooms;

namespace Ledger.Intake;

/// <summary>Reads a keeper's own list of chores: what, how often, when next. A chore of that title and place is changed by its row.</summary>
public sealed partial class ChoreReader
{
    private const string Title = "title";
    private const string Where = "where";
    private const string Kind = "kind";
    private const string Every = "every";
    private const string Starts = "starts";
    private const string Season = "season";
    private const string Kit = "kit";
    private const string Minutes = "minutes";
    private const string Done = "done";

    // What the form begins with, too.
    private const int UsualMinutes = 10;

    private static readonly ListColumn[] Known =
    [
        new(Title, "what to do", "title", "chore", "task", "what", "what to do", "name"),
        new(Where, "where", "where", "place", "shelf", "rack"),
        new(Kind, "kind of chore", "kind", "type"),
        new(Every, "days between", "everydays", "every days", "every", "interval", "days", "how often"),
        new(Starts, "next on", "starts", "start", "next", "next on", "due", "date", "on", "from"),
        new(Season, "season", "season"),
        new(Kit, "what to have ready", "kit", "needs", "with", "have ready"),
        new(Minutes, "minutes", "minutes", "takes", "min"),
        new(Done, "last done", "lastdone", "last done", "done"),
    ];

    private static readonly (string Word, int Days)[] Paces =
    [
        ("daily", 1),
        ("every day", 1),
        ("weekly", 7),
        ("every week", 7),
        ("fortnightly", 14),
        ("monthly", 30),
        ("every month", 30),
        ("yearly", 365),
        ("every year", 365),
    ];

    private readonly Room room;
    private readonly ChoreStanding chores;
    private readonly ListCells cells;

    /// <summary>A list as it is to be read.</summary>
    /// <param name="list">The list.</param>
    /// <param name="room">The room.</param>
    /// <param name="chores">What is on record.</param>
    public ChoreReader(KeepersList list, Room room, ChoreStanding chores)
    {
        (this.room, this.chores) = (room, chores);
        cells = new ListCells(list, Known, [Starts, Done], room.Tonight, ByContent);
    }

    /// <summary>Reads it.</summary>
    /// <param name="request">Of which what is new gets its ids: the same request sent again is the same.</param>
    /// <returns>The list as it was understood, and what will be written; rows of what is on record already write nothing.</returns>
    public (ListSheet Sheet, IReadOnlyList<(Guid Id, ChoreAct Act)> Acts) Read(Guid request)
    {
        var (rows, acts) = (new List<ListRow>(), new List<(Guid, ChoreAct)>());
        var seen = new HashSet<Guid>();
        foreach (var (row, line) in cells.Rows)
        {
            var (told, done, problem) = PlanOf(row);
            if (told is null)
            {
                rows.Add(new ListRow(line, ListCells.Told(row), problem));
                continue;
            }

            var former = chores.Chores.FirstOrDefault(c => IsSame(c.Plan, told));
            var plan = former is null ? told : Keeping(former.Plan, told, row);
            var id = former?.Id ?? DerivedId.Of(Guid.Empty, $"chore {plan.Where} {plan.Title.ToLowerInvariant()}");
            var planned = new ChorePlanned(id, plan);
            var wrong = seen.Add(id)
                ? string.Join(" ", ChoreCheck.Check(planned, chores, room).Select(p => p.Message))
                : "This chore stands in the list already.";
            var (isNew, isDone) = (former?.Plan != plan, done is not null && !(former?.LastDone >= done));
            rows.Add(
                new ListRow(
                    line,
                    Say(plan, done)
                        + (
                            former is null ? ""
                            : isNew ? ": changes what is on record"
                            : ": on record already"
                        ),
                    wrong.Length == 0 ? null : wrong,
                    !isNew && !isDone
                )
            );
            var entry = ListCells.IdOf(request, line);
            if (isNew)
            {
                acts.Add((entry, planned));
            }

            if (done is { } night && isDone)
            {
                acts.Add((DerivedId.Of(entry, "done"), new ChoreDone(id, night)));
            }
        }

        return (cells.Sheet(rows), acts);
    }

    /// <summary>What a row does not say stays as it was planned.</summary>
    private ChorePlan Keeping(ChorePlan former, ChorePlan told, IReadOnlyList<string> row)
    {
        bool Says(string column) => cells.Cell(row, column).Length > 0;
        return told with
        {
            Kind = Says(Kind) ? told.Kind : former.Kind,
            Title = former.Title,
            Starts = Says(Starts) ? told.Starts : former.Starts,
            EveryDays = Says(Every) ? told.EveryDays : former.EveryDays,
            Season = Says(Season) ? told.Season : former.Season,
            Kit = Says(Kit) ? told.Kit : former.Kit,
            Minutes = Says(Minutes) ? told.Minutes : former.Minutes,
        };
    }

    private static bool IsSame(ChorePlan a, ChorePlan b) =>
        a.Where == b.Where && string.Equals(a.Title, b.Title, StringComparison.OrdinalIgnoreCase);

    private string Say(ChorePlan plan, DateOnly? done)
    {
        var words = room.Wording;
        var pace =
            plan.EveryDays is { } days ? (days == 1 ? "every day" : $"every {days} days")
            : plan.Season is null ? "once"
            : "once a season";
        return string.Join(
            ", ",
            new[]
            {
                $"“{plan.Title}”" + (plan.Where.Length == 0 ? "" : $" at {plan.Where}"),
                $"{pace} from {words.Date(plan.Starts)}",
                plan.Season is { } span ? $"between {Tell(span)}" : "",
                $"{plan.Minutes} minutes",
                done is { } night ? $"last done {words.Date(night)}" : "",
            }.Where(part => part.Length > 0)
        );
    }

    private (ChorePlan? Plan, DateOnly? Done, string? Problem) PlanOf(IReadOnlyList<string> row)
    {
        string Cell(string column) => cells.Cell(row, column);
        (ChorePlan?, DateOnly?, string?) Wrong(string problem) => (null, null, problem);
        if (Cell(Title).Length == 0)
        {
            return Wrong("Say what is to be done.");
        }

        if (DaysOf(Cell(Every)) is not (true, var days))
        {
            return Wrong("Say how often: a number of days, weekly, monthly, or once.");
        }

        if (Cell(Starts).Length > 0 && cells.Dates.Read(Cell(Starts), mayBeAhead: true) is null)
        {
            return Wrong("Say from when: a date such as 2026-11-20 or 20/11.");
        }

        var done = cells.Dates.Read(Cell(Done));
        if ((Cell(Done).Length > 0 && done is null) || done > room.Tonight)
        {
            return Wrong("Say when it was last done: a date such as 2026-11-20 or 20/11, not beyond tonight.");
        }

        var season = SpanOf(Cell(Season));
        if (Cell(Season).Length > 0 && season is null)
        {
            return Wrong("Write a season as 1 Nov – 28 Feb.");
        }

        var minutes = Cell(Minutes).Length == 0 ? UsualMinutes : IntakeWords.NumberOf(Cell(Minutes));
        if (minutes is null || minutes != Math.Floor(minutes.Value) || minutes > int.MaxValue)
        {
            return Wrong("Say how many minutes it takes, as a whole number.");
        }

        return (
            new ChorePlan(
                Enum.GetNames<ChoreKind>().Contains(Cell(Kind), StringComparer.OrdinalIgnoreCase)
                && Enum.TryParse<ChoreKind>(Cell(Kind), ignoreCase: true, out var kind)
                    ? kind
                    : ChoreKind.Own,
                Cell(Title),
                Cell(Where).ToUpperInvariant(),
                cells.Dates.Read(Cell(Starts), mayBeAhead: true) ?? room.Tonight,
                days,
                season,
                Cell(Kit),
                (int)minutes.Value
            ),
            done,
            null
        );
    }

    private static (bool Read, int? Days) DaysOf(string text)
    {
        var word = text.ToLowerInvariant();
        if (word is "" or "once" or "-")
        {
            return (true, null);
        }

        if (Paces.FirstOrDefault(p => p.Word == word) is { Days: > 0 } pace)
        {
            return (true, pace.Days);
        }

        return PacePattern().Match(word) is { Success: true } match
            ? (
                true,
                int.Parse(match.Groups[1].Value, CultureInfo.InvariantCulture)
                    * (match.Groups[2].Value.StartsWith('w') ? 7 : 1)
            )
            : (false, null);
    }

    /// <summary>A season as the table that goes out writes it.</summary>
    public static string Tell(SeasonSpan season)
    {
        static string Day(int month, int day) =>
            $"{day} {CultureInfo.InvariantCulture.DateTimeFormat.GetAbbreviatedMonthName(month)}";
        return $"{Day(season.FromMonth, season.FromDay)} – {Day(season.ToMonth, season.ToDay)}";
    }

    private static SeasonSpan? SpanOf(string text)
    {
        if (SeasonPattern().Match(text) is not { Success: true } match)
        {
            return null;
        }

        var months = CultureInfo.InvariantCulture.DateTimeFormat.AbbreviatedMonthNames;
        int Month(int group) =>
            1 + Array.FindIndex(months, m => m.Equals(match.Groups[group].Value, StringComparison.OrdinalIgnoreCase));
        int Day(int group) => int.Parse(match.Groups[group].Value, CultureInfo.InvariantCulture);
        var span = new SeasonSpan(Month(2), Day(1), Month(4), Day(3));
        return span.IsSound ? span : null;
    }

    /// <summary>Without headings: what to do first; then a date is when, and a number or a pace how often.</summary>
    private IReadOnlyList<string> ByContent(IReadOnlyList<IReadOnlyList<string>> rows)
    {
        var guess = new IntakeDates(room.Tonight, true);
        var taken = new HashSet<string>();
        string Of(int c)
        {
            var filled = rows.Select(r => c < r.Count ? r[c] : "").Where(t => t.Length > 0).ToList();
            bool Mostly(Func<string, bool> fits) => filled.Count > 0 && filled.Count(fits) * 2 > filled.Count;
            return Mostly(t => DaysOf(t) is (true, not null)) ? Every
                : Mostly(t => guess.Read(t) is not null) ? Starts
                : Mostly(t => SpanOf(t) is not null) ? Season
                : taken.Contains(Title) ? Kit
                : Title;
        }

        return
        [
            .. Enumerable
                .Range(0, rows.Count == 0 ? 0 : rows.Max(r => r.Count))
                .Select(c => Of(c) is var column && taken.Add(column) ? column : ListCells.Ignored),
        ];
    }

    [GeneratedRegex(@"^(?:every )?(\d{1,4})\s*(d|day|days|w|week|weeks)?$")]
    private static partial Regex PacePattern();

    [GeneratedRegex(@"^(\d{1,2})\s+([A-Za-z]{3})[a-z]*\s*(?:–|-|to)\s*(\d{1,2})\s+([A-Za-z]{3})[a-z]*$")]
    private static partial Regex SeasonPattern();
}
