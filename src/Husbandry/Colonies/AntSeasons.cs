using Husbandry.Climate;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Colonies;

/// <summary>The winter rest of a queen or colony: what it needs, what it had by what was read, and when it goes in and out.</summary>
/// <param name="IsCold">Whether it is in the cold now.</param>
/// <param name="Since">Night since which it is.</param>
/// <param name="Done">Days counted: read, and no warmer than it may be.</param>
/// <param name="TooColdDays">Days that were read colder than is good for it.</param>
/// <param name="MeansC">Mean of each day since, °C; none where nothing was read.</param>
/// <param name="MostC">A day counts when its mean is no warmer, °C.</param>
/// <param name="GoesIn">Night about which it goes into the cold; none while it is there.</param>
/// <param name="IsDue">Whether that night is over and it is still warm.</param>
/// <param name="OutFrom">First night on which it comes out.</param>
/// <param name="OutTo">Last night.</param>
public sealed record AntWinter(
    bool IsCold,
    DateOnly? Since,
    ChillDone Done,
    int TooColdDays,
    IReadOnlyList<double?> MeansC,
    double MostC,
    DateOnly? GoesIn,
    bool IsDue,
    DateOnly OutFrom,
    DateOnly OutTo
)
{
    private const double Week = 7;

    /// <summary>The winter of ants; none of species that have none, or of which nothing is known.</summary>
    public static Answer<AntWinter>? Of(Subject subject)
    {
        ArgumentNullException.ThrowIfNull(subject);
        if (subject.Profile.Colony?.Winter is not { } rules || subject.Standing.Departure is not null)
        {
            return null;
        }

        var (room, chill, weeks) = (subject.Room, subject.Standing.Vigils.Chill, rules.Weeks.Value);
        var cold = chill is { To: null };
        var read = cold ? room.Climate.ReadBetween(subject.Stays, chill!.From, room.Now) : [];
        var most = rules.Celsius.Value.High;
        if (!room.Climate.IsReadAt(subject.Stays[^1].Place) && !read.Any(c => c <= most))
        {
            // A warm room tells nothing of the refrigerator that stands in it.
            read = [.. read.Select(_ => (double?)null)];
        }

        var next = NextOn(rules.FromDay.Value, room);
        var season = next.AddDays(-FlightSeason.Year);
        // It may still go in for as long as a whole winter fits before the next spring.
        var due =
            !cold
            && room.Tonight.DayNumber - season.DayNumber <= weeks.Low * Week
            && !(chill is { To: { } warm } && subject.Night(warm) >= season);
        var inOn =
            cold ? subject.Night(chill!.From)
            : due ? season
            : next;
        var winter = new AntWinter(
            cold,
            cold ? inOn : null,
            ChillClock.Of(read, most, (int)Math.Ceiling(weeks.Low * Week)),
            read.Count(c => c < rules.Celsius.Value.Low),
            read,
            most,
            cold ? null : inOn,
            due,
            (due ? room.Tonight : inOn).AddDays((int)(weeks.Low * Week)),
            (due ? room.Tonight : inOn).AddDays((int)(weeks.High * Week))
        );
        return new Answer<AntWinter>(winter, Says(winter, rules, room), Why(rules, room));
    }

    private static DateOnly NextOn(int day, Room room) =>
        FlightSeason.Next(room.Tonight, day + room.Rules.Room.Colonies.SeasonShiftDays.Value);

    private static string Says(AntWinter w, AntWinterRules rules, Room room)
    {
        var warmth = $"{Wording.Plain(rules.Celsius.Value.Low)}–{Wording.Plain(rules.Celsius.Value.High)} °C";
        return w.IsDue
                ? $"Its winter is due since about {room.Wording.Date(w.GoesIn!.Value)}: once larvae stop growing, {Wording.Plain(rules.Weeks.Value.Low)}–{Wording.Plain(rules.Weeks.Value.High)} weeks at {warmth}."
            : !w.IsCold
                ? $"Winter from about {room.Wording.Date(w.GoesIn!.Value)}, when larvae stop: {Wording.Plain(rules.Weeks.Value.Low)}–{Wording.Plain(rules.Weeks.Value.High)} weeks at {warmth}, out {room.Wording.Dates(w.OutFrom, w.OutTo)}."
            : w.Done.UnreadDays > w.Done.DoneDays
                ? $"In its winter since {room.Wording.Date(w.Since!.Value)}, out {room.Wording.Dates(w.OutFrom, w.OutTo)} by the calendar; read the place at {warmth} to be sure."
            : w.Done.MissingDays > 0
                ? $"In its winter since {room.Wording.Date(w.Since!.Value)}: {w.Done.DoneDays} cold days read, {w.Done.MissingDays} more at least."
            : $"In its winter since {room.Wording.Date(w.Since!.Value)}, long enough: out {room.Wording.Dates(w.OutFrom, w.OutTo)}, slowly, sugar and water first.";
    }

    private static List<Reason> Why(AntWinterRules rules, Room room) =>
        [
            rules.Weeks.Because(
                "Weeks",
                "species.winter.weeks",
                $"{Wording.Plain(rules.Weeks.Value.Low)} to {Wording.Plain(rules.Weeks.Value.High)} weeks. No food; water is looked at. Sugar before it and first after it."
            ),
            rules.Celsius.Because(
                "Warmth",
                "species.winter.celsius",
                $"{Wording.Plain(rules.Celsius.Value.Low)} to {Wording.Plain(rules.Celsius.Value.High)} °C; days without a reading never count."
            ),
            room.Rules.Room.Colonies.SeasonShiftDays.Because(
                "Season",
                "room.seasonShiftDays",
                room.Rules.Room.Colonies.SeasonShiftDays.Value == 0
                    ? "Seasons of the north; in the south write 182 in the rulebook."
                    : $"Seasons {room.Rules.Room.Colonies.SeasonShiftDays.Value} days later than in the north."
            ),
        ];
}

/// <summary>The nuptial flights of a species as the calendar of this place has them.</summary>
/// <param name="Species">Scientific name.</param>
/// <param name="From">First night of the flights, of this season or the next.</param>
/// <param name="To">Last night.</param>
/// <param name="DaysLeft">Days that are left of them; none while they have not begun.</param>
/// <param name="Why">The rule.</param>
public sealed record FlightSeason(string Species, DateOnly From, DateOnly To, int? DaysLeft, Reason Why)
{
    internal const int Year = 365;

    /// <summary>The flights of every species whose season is known, those that go on first.</summary>
    public static IReadOnlyList<FlightSeason> Of(Room room)
    {
        ArgumentNullException.ThrowIfNull(room);
        var shift = room.Rules.Room.Colonies.SeasonShiftDays.Value;
        return
        [
            .. room
                .Rules.Species.Where(s => s.Colony is not null)
                .Select(s =>
                {
                    var flies = s.Colony!.Flies;
                    var to = Next(room.Tonight, (int)flies.Value.High + shift);
                    var from = to.AddDays(-(int)(flies.Value.High - flies.Value.Low));
                    return new FlightSeason(
                        s.ScientificName,
                        from,
                        to,
                        from <= room.Tonight ? to.DayNumber - room.Tonight.DayNumber : null,
                        flies.Because(
                            "Flights",
                            "species.flies",
                            $"{s.ScientificName}: {room.Wording.Date(from)} to {room.Wording.Date(to)}, on warm still days after rain."
                        )
                    );
                })
                .OrderBy(f => f.DaysLeft is null)
                .ThenBy(f => f.From)
                .ThenBy(f => f.Species, StringComparer.Ordinal),
        ];
    }

    /// <summary>The next night that is a day of the year, tonight among them.</summary>
    /// <param name="tonight">Tonight.</param>
    /// <param name="day">Day of the year; may lie beyond its end.</param>
    public static DateOnly Next(DateOnly tonight, int day)
    {
        var of = (((day - 1) % Year) + Year) % Year;
        var on = new DateOnly(tonight.Year, 1, 1).AddDays(of);
        return on >= tonight ? on : new DateOnly(tonight.Year + 1, 1, 1).AddDays(of);
    }
}
