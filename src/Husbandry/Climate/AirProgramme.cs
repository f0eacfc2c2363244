using Husbandry.Reasons;
using Husbandry.Stock;

namespace Husbandry.Climate;

/// <summary>Warmth and humidity that are wanted from a day on.</summary>
/// <param name="From">First day.</param>
/// <param name="LowC">Lowest daily mean, −10 to 45 °C.</param>
/// <param name="HighC">Highest daily mean, −10 to 45 °C.</param>
/// <param name="LowHumidity">Lowest humidity, per cent; none where it does not matter.</param>
/// <param name="HighHumidity">Highest humidity, per cent.</param>
public sealed record ProgrammeStep(
    DateOnly From,
    double LowC,
    double HighC,
    double? LowHumidity = null,
    double? HighHumidity = null
);

/// <summary>A cooling or dry season, a winter room, a thermostat's targets: what is wanted somewhere from day to day.</summary>
/// <param name="Name">What it is for, 1–60 characters.</param>
/// <param name="Zone">Empty for the whole room, or a rack, shelf or place.</param>
/// <param name="Steps">Steps in order, 1–24.</param>
/// <param name="Until">Last day.</param>
public sealed record AirProgramme(string Name, string Zone, IReadOnlyList<ProgrammeStep> Steps, DateOnly Until)
{
    private const int LongestName = 60;
    private const int MostSteps = 24;
    private const int LongestDays = 800;
    private const double ColdestC = -10;
    private const double HottestC = 45;

    /// <summary>The step that holds on a day; none before and after.</summary>
    public ProgrammeStep? On(DateOnly day) => day > Until ? null : Steps.LastOrDefault(s => s.From <= day);

    /// <summary>What is wrong with it; none when it can be.</summary>
    /// <param name="tonight">Tonight.</param>
    public IEnumerable<Problem> Problems(DateOnly tonight)
    {
        if (string.IsNullOrWhiteSpace(Name) || Name.Length > LongestName)
        {
            yield return new Problem("name", $"Write 1 to {LongestName} characters.");
        }

        if (ZoneProblem(Zone) is { } wrong)
        {
            yield return new Problem("zone", wrong);
        }

        if (Steps.Count is 0 or > MostSteps || Steps.Any(s => s is null))
        {
            yield return new Problem("steps", $"Give 1 to {MostSteps} steps.");
            yield break;
        }

        foreach (var (step, i) in Steps.Select((s, i) => (s, i)))
        {
            if (!(step.LowC >= ColdestC && step.HighC <= HottestC && step.LowC <= step.HighC))
            {
                yield return new Problem(
                    $"steps[{i}].lowC",
                    $"Both ends must be {ColdestC} to {HottestC} °C, the lower one first."
                );
            }

            if (
                step is { LowHumidity: not null } or { HighHumidity: not null }
                && !(
                    (step.LowHumidity ?? 0) >= 0
                    && (step.HighHumidity ?? 100) <= 100
                    && (step.LowHumidity ?? 0) <= (step.HighHumidity ?? 100)
                )
            )
            {
                yield return new Problem(
                    $"steps[{i}].lowHumidity",
                    "Both ends must be 0 to 100 per cent, the lower one first."
                );
            }

            if (i > 0 && step.From <= Steps[i - 1].From)
            {
                yield return new Problem($"steps[{i}].from", "Each step begins after the one before it.");
            }
        }

        var first = Steps[0].From;
        if (Until < Steps[^1].From || Until.DayNumber - first.DayNumber > LongestDays)
        {
            yield return new Problem(
                "until",
                $"Must be the day of the last step or later, at most {LongestDays} days in all."
            );
        }

        if (first < tonight.AddYears(-2) || first > tonight.AddYears(2))
        {
            yield return new Problem("steps[0].from", "Must lie within two years of tonight.");
        }
    }

    /// <summary>What is wrong with the name of a part of the room; none where it can be.</summary>
    public static string? ZoneProblem(string zone) =>
        zone.Length == 0 || PlaceZone.IsZone(zone)
            ? null
            : $"Leave it empty, or write a rack like B, a shelf like B2 or a {Place.Form}.";
}

/// <summary>How a programme was kept, by what was read.</summary>
/// <param name="Step">What is wanted today; none before it begins and after it ended.</param>
/// <param name="Next">The next change; none when there is none.</param>
/// <param name="Kept">Days on which the mean lay inside.</param>
/// <param name="TooWarm">Days on which it was warmer.</param>
/// <param name="TooCold">Days on which it was colder.</param>
/// <param name="TooDry">Days on which the air was drier than wanted.</param>
/// <param name="TooDamp">Days on which it was damper.</param>
/// <param name="Unread">Days on which nothing was read: they count for nothing.</param>
/// <param name="Says">The same in a sentence.</param>
public sealed record ProgrammeKept(
    ProgrammeStep? Step,
    ProgrammeStep? Next,
    int Kept,
    int TooWarm,
    int TooCold,
    int TooDry,
    int TooDamp,
    int Unread,
    string Says
)
{
    /// <summary>Holds a programme against what was read.</summary>
    public static ProgrammeKept Of(AirProgramme plan, RoomClimate climate, DateOnly tonight, Wording words)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(climate);
        var (kept, warm, cold, dry, damp, unread) = (0, 0, 0, 0, 0, 0);
        var last = plan.Until < tonight ? plan.Until : tonight;
        for (var day = plan.Steps[0].From; day <= last; day = day.AddDays(1))
        {
            var step = plan.On(day)!;
            var (celsius, humidity) = climate.ReadOn(plan.Zone, day);
            if (celsius is not { } c)
            {
                unread++;
                continue;
            }

            warm += c > step.HighC ? 1 : 0;
            cold += c < step.LowC ? 1 : 0;
            dry += humidity < step.LowHumidity ? 1 : 0;
            damp += humidity > step.HighHumidity ? 1 : 0;
            kept +=
                c >= step.LowC && c <= step.HighC && !(humidity < step.LowHumidity) && !(humidity > step.HighHumidity)
                    ? 1
                    : 0;
        }

        var next = plan.Steps.FirstOrDefault(s => s.From > tonight);
        return new ProgrammeKept(
            plan.On(tonight),
            next,
            kept,
            warm,
            cold,
            dry,
            damp,
            unread,
            SaysOf(plan, tonight, words, kept, warm, cold, dry, damp, unread)
        );
    }

    private static string SaysOf(
        AirProgramme plan,
        DateOnly tonight,
        Wording words,
        int kept,
        int warm,
        int cold,
        int dry,
        int damp,
        int unread
    )
    {
        if (plan.Steps[0].From > tonight)
        {
            return $"Begins {words.Day(plan.Steps[0].From)}.";
        }

        var off = new[]
        {
            (warm, "too warm"),
            (cold, "too cold"),
            (dry, "too dry"),
            (damp, "too damp"),
            (unread, "not read"),
        }
            .Where(x => x.Item1 > 0)
            .Select(x => $"{Wording.Days(x.Item1)} {x.Item2}")
            .ToList();
        var end = plan.Until < tonight ? $"Ended {words.Day(plan.Until)}. " : "";
        return $"{end}{Wording.Days(kept)} as wanted{(off.Count == 0 ? "" : $"; {string.Join(", ", off)}")}.";
    }
}
