using System.Text.Json.Serialization;
using Husbandry.Reasons;
using Husbandry.Stock;

namespace Husbandry.Chores;

/// <summary>What kind of work it is, other than at one animal.</summary>
public enum ChoreKind
{
    /// <summary>The keeper's own.</summary>
    Own,

    /// <summary>Feeder cultures.</summary>
    Culture,

    /// <summary>Misting of a shelf or a whole rack.</summary>
    Mist,

    /// <summary>Cleaning: glasses, dishes, lining.</summary>
    Cleaning,

    /// <summary>Droppings and prey remains out.</summary>
    Frass,

    /// <summary>An instrument is checked against a known value.</summary>
    Calibration,

    /// <summary>What a season brings where the keeper lives: leaves to gather, windows to shade.</summary>
    Season,
}

/// <summary>Part of every year, both ends included; may reach over New Year.</summary>
/// <param name="FromMonth">1–12.</param>
/// <param name="FromDay">1–31.</param>
/// <param name="ToMonth">1–12.</param>
/// <param name="ToDay">1–31.</param>
public sealed record SeasonSpan(int FromMonth, int FromDay, int ToMonth, int ToDay)
{
    private const int LeapYear = 2024;

    /// <summary>Whether a night lies in it.</summary>
    public bool Holds(DateOnly night)
    {
        var (from, to, at) = (FromMonth * 100 + FromDay, ToMonth * 100 + ToDay, night.Month * 100 + night.Day);
        return from <= to ? at >= from && at <= to : at >= from || at <= to;
    }

    /// <summary>First night of the span that holds a night, or of the next one after it.</summary>
    public DateOnly StartFor(DateOnly night)
    {
        var start = Start(night.Year);
        return Holds(night)
            ? start <= night
                ? start
                : Start(night.Year - 1)
            : start > night
                ? start
                : Start(night.Year + 1);
    }

    /// <summary>Last night of the span that begins on a night.</summary>
    public DateOnly EndAfter(DateOnly start)
    {
        // By the months, not by the dates: 29 February to the 28th is a whole year in every year.
        var sameYear = FromMonth * 100 + FromDay <= ToMonth * 100 + ToDay;
        return Day(sameYear ? start.Year : start.Year + 1, ToMonth, ToDay);
    }

    /// <summary>Whether both ends are days of the calendar.</summary>
    [JsonIgnore]
    public bool IsSound =>
        FromMonth is >= 1 and <= 12
        && ToMonth is >= 1 and <= 12
        && FromDay >= 1
        && ToDay >= 1
        && FromDay <= DateTime.DaysInMonth(LeapYear, FromMonth)
        && ToDay <= DateTime.DaysInMonth(LeapYear, ToMonth);

    private DateOnly Start(int year) => Day(year, FromMonth, FromDay);

    // 29 February is the 28th where there is none.
    private static DateOnly Day(int year, int month, int day) =>
        new(year, month, Math.Min(day, DateTime.DaysInMonth(year, month)));
}

/// <summary>A chore as the keeper planned it.</summary>
/// <param name="Kind">Kind.</param>
/// <param name="Title">What to do, 1–80 characters.</param>
/// <param name="Where">Rack, shelf or place to which it belongs; empty for the whole room.</param>
/// <param name="Starts">First night on which it is due.</param>
/// <param name="EveryDays">Days between, 1–730; left out for once, or once in every season.</param>
/// <param name="Season">Part of the year in which it is due at all.</param>
/// <param name="Kit">What to have ready, at most 120 characters.</param>
/// <param name="Minutes">How long it takes, 1–600 minutes.</param>
public sealed record ChorePlan(
    ChoreKind Kind,
    string Title,
    string Where,
    DateOnly Starts,
    int? EveryDays,
    SeasonSpan? Season,
    string Kit,
    int Minutes
)
{
    private const int LongestTitle = 80;
    private const int LongestKit = 120;
    private const int LongestDays = 730;
    private const int LongestMinutes = 600;
    private const int FurthestYears = 20;

    /// <summary>What is wrong with it; none when it can be.</summary>
    /// <param name="tonight">Tonight.</param>
    public IEnumerable<Problem> Problems(DateOnly tonight)
    {
        if (string.IsNullOrWhiteSpace(Title) || Title.Length > LongestTitle)
        {
            yield return new Problem("title", $"Write 1 to {LongestTitle} characters.");
        }

        if (Where.Length > 0 && !PlaceZone.IsZone(Where))
        {
            yield return new Problem(
                "where",
                $"Leave it empty, or write a rack like B, a shelf like B2 or a {Place.Form}."
            );
        }

        if (Starts < tonight.AddYears(-FurthestYears) || Starts > tonight.AddYears(FurthestYears))
        {
            yield return new Problem("starts", $"Must lie within {FurthestYears} years of tonight.");
        }

        if (EveryDays is < 1 or > LongestDays)
        {
            yield return new Problem("everyDays", $"Must be 1 to {LongestDays} days, or left out.");
        }

        if (Season is { IsSound: false })
        {
            yield return new Problem("season", "Must begin and end on days of the calendar.");
        }

        if (Kit.Length > LongestKit)
        {
            yield return new Problem("kit", $"At most {LongestKit} characters.");
        }

        if (Minutes is < 1 or > LongestMinutes)
        {
            yield return new Problem("minutes", $"Must be 1 to {LongestMinutes} minutes.");
        }
    }

    /// <summary>The night on which it is next due.</summary>
    /// <param name="lastDone">Night on which it was last done.</param>
    /// <returns>None when it was to be done once and is.</returns>
    public DateOnly? DueAfter(DateOnly? lastDone)
    {
        if (lastDone is not { } done)
        {
            return Season is { } season && !season.Holds(Starts) ? season.StartFor(Starts) : Starts;
        }

        var next = EveryDays is { } every ? done.AddDays(every) : (DateOnly?)null;
        if (Season is not { } span)
        {
            return next;
        }

        // Once in every season, or at its pace while the season lasts and at the start of the next one.
        if (next is null)
        {
            var endsOn = span.Holds(done) ? span.EndAfter(span.StartFor(done)) : done;
            return span.StartFor(endsOn.AddDays(1));
        }

        return span.Holds(next.Value) ? next : span.StartFor(next.Value);
    }

    /// <summary>The nights on which it is due if it is always done on the night it is due.</summary>
    /// <param name="lastDone">Night on which it was last done.</param>
    /// <param name="from">First night looked at; what is overdue falls on it.</param>
    /// <param name="to">Last night looked at.</param>
    public IEnumerable<DateOnly> Between(DateOnly? lastDone, DateOnly from, DateOnly to)
    {
        for (var due = DueAfter(lastDone); due is { } night && night <= to; )
        {
            var on = night < from ? from : night;
            yield return on;
            due = DueAfter(on);
        }
    }
}
