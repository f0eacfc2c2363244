using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Climate;

/// <summary>One reading of the room's climate.</summary>
/// <param name="At">When.</param>
/// <param name="TemperatureC">°C, −20 to 60.</param>
/// <param name="RelativeHumidity">Per cent, 0–100; none when not read.</param>
/// <param name="Zone">Where: empty for the whole room, or a rack, shelf or place code such as <c>A</c>, <c>A1</c>, <c>A1·03</c>.</param>
public sealed record ClimateReading(
    DateTimeOffset At,
    double TemperatureC,
    double? RelativeHumidity = null,
    string Zone = ""
)
{
    private const double ColdestC = -20;
    private const double HottestC = 60;
    private const int LongestZone = 12;

    /// <summary>What is wrong with a reading; none when it can be.</summary>
    public string? Problem =>
        !(TemperatureC >= ColdestC && TemperatureC <= HottestC) ? $"Must be {ColdestC} to {HottestC} °C."
        : RelativeHumidity is { } humidity && !(humidity >= 0 && humidity <= 100) ? "Must be 0 to 100 per cent."
        : Zone.Length > LongestZone ? $"A zone has at most {LongestZone} characters."
        : null;
}

/// <summary>Mean of one day in one part of the room.</summary>
/// <param name="Zone">Empty for the whole room, or a rack, shelf or place.</param>
/// <param name="Day">Number of the UTC day.</param>
/// <param name="MeanC">Temperature, °C.</param>
/// <param name="MeanHumidity">Humidity, per cent; none where it was not read.</param>
public sealed record ZoneDay(string Zone, int Day, double MeanC, double? MeanHumidity = null);

/// <summary>Mean temperatures by zone and day, from which effective days are counted.</summary>
public sealed class RoomClimate
{
    /// <summary>
    /// What a pace hangs on. Rules are told apart as objects: a rulebook holds each once, and this is asked many times a
    /// second.
    /// </summary>
    private readonly record struct PaceKey(string Zone, Warmth Warmth, RoomClimateRules Rules)
    {
        public bool Equals(PaceKey other) =>
            Zone == other.Zone && ReferenceEquals(Warmth, other.Warmth) && ReferenceEquals(Rules, other.Rules);

        public override int GetHashCode() =>
            HashCode.Combine(
                Zone.GetHashCode(StringComparison.Ordinal),
                RuntimeHelpers.GetHashCode(Warmth),
                RuntimeHelpers.GetHashCode(Rules)
            );
    }

    // What was read in each part of the room alone, and laid within what was read around it.
    private readonly Dictionary<string, DailyMeans> own;
    private readonly Dictionary<string, DailyMeans> zones;

    // Asked many times of every place, and written out a code is a new text each time.
    private readonly ConcurrentDictionary<Place, string?> zoneOfPlace = new();
    private readonly ConcurrentDictionary<PaceKey, double[]> cumulated = new();

    private Tuple<int, ConcurrentDictionary<PaceKey, Pace>> paces = Tuple.Create(
        0,
        new ConcurrentDictionary<PaceKey, Pace>()
    );

    private readonly Dictionary<string, DryAir> dryness;
    private readonly Dictionary<(string Zone, int Day), ZoneDay> days;

    private RoomClimate(
        Dictionary<string, DailyMeans> own,
        Dictionary<string, DailyMeans> zones,
        Dictionary<string, DryAir> dryness,
        Dictionary<(string Zone, int Day), ZoneDay> days
    ) => (this.own, this.zones, this.dryness, this.days) = (own, zones, dryness, days);

    /// <summary>A room in which no temperature was ever read: every day counts as one.</summary>
    public static RoomClimate Unread { get; } = new([], [], [], []);

    /// <summary>Averages readings by hand by zone and UTC day; days between two readings are interpolated.</summary>
    public static RoomClimate Of(IEnumerable<ClimateReading> readings) => Of(readings, []);

    /// <summary>What was read by hand and by sensors; on a day on which a zone has a sensor, that is what counts there.</summary>
    /// <param name="readings">By hand.</param>
    /// <param name="sensed">Days of sensors, several of a zone and day averaged.</param>
    public static RoomClimate Of(IEnumerable<ClimateReading> readings, IEnumerable<ZoneDay> sensed)
    {
        var days = sensed.GroupBy(d => (d.Zone, d.Day)).ToDictionary(g => g.Key, g => MeanOf(g.Key, g));
        foreach (var read in readings.GroupBy(r => (r.Zone, Day(r.At))).Where(g => !days.ContainsKey(g.Key)))
        {
            days[read.Key] = MeanOf(
                read.Key,
                read.Select(r => new ZoneDay(r.Zone, read.Key.Item2, r.TemperatureC, r.RelativeHumidity))
            );
        }

        var own = days
            .Values.GroupBy(d => d.Zone)
            .ToDictionary(g => g.Key, g => DailyMeans.Of(g.Select(d => (d.Day, d.MeanC))));
        var fade = RuleSet.Shipped.Room.Climate.ZoneFadeDays.Value;
        var zones = new Dictionary<string, DailyMeans>();
        // From the whole room inwards, so that each is laid within what is around it.
        foreach (var zone in own.Keys.OrderBy(z => z.Length))
        {
            var around = Around(zone).FirstOrDefault(zones.ContainsKey);
            zones[zone] = around is null ? own[zone] : own[zone].Within(zones[around], fade);
        }

        return new RoomClimate(
            own,
            zones,
            days.Values.GroupBy(d => d.Zone)
                .Where(g => g.Any(d => d.MeanHumidity is not null))
                .ToDictionary(g => g.Key, DryAir.Of),
            days
        );
    }

    private static ZoneDay MeanOf((string Zone, int Day) key, IEnumerable<ZoneDay> of)
    {
        var all = of.ToList();
        return new ZoneDay(
            key.Zone,
            key.Day,
            all.Average(d => d.MeanC),
            all.Any(d => d.MeanHumidity is not null) ? all.Average(d => d.MeanHumidity) : null
        );
    }

    /// <summary>The parts of the room in which a part lies, the next first.</summary>
    private static IEnumerable<string> Around(string zone) =>
        zone.Length == 0 ? []
        : Place.Parse(zone) is { } place ? [place.ShelfCode, place.Rack, ""]
        : zone.TrimEnd("0123456789".ToCharArray()) is var rack && rack != zone ? [rack, ""]
        : [""];

    /// <summary>Parts of the room in which something was read; empty for the room at large.</summary>
    public IReadOnlyList<string> Zones => [.. zones.Keys.Order(StringComparer.Ordinal)];

    /// <summary>How warm a part of the room was of late; none where nothing was read there.</summary>
    /// <param name="zone">Empty for the whole room, or a rack, shelf or place.</param>
    /// <param name="rules">Over how many days.</param>
    /// <param name="asOf">The present instant.</param>
    public ZoneLevel? LevelOf(string zone, RoomClimateRules rules, DateTimeOffset asOf)
    {
        var read = Enumerable
            .Range(Day(asOf) - rules.LevelDays.Value + 1, rules.LevelDays.Value)
            .Select(day => days.GetValueOrDefault((zone, day))?.MeanC)
            .OfType<double>()
            .ToList();
        return read.Count == 0 ? null : new ZoneLevel(zone, read.Average(), read.Min(), read.Max());
    }

    /// <summary>Mean humidity at a place itself on the last day on which it was read there, within a week, per cent; none where it was not.</summary>
    public double? HumidityAt(Place place, DateTimeOffset asOf)
    {
        const int Week = 7;
        return Enumerable
            .Range(0, Week)
            .Select(ago => days.GetValueOrDefault((place.Code, Day(asOf) - ago))?.MeanHumidity)
            .FirstOrDefault(humidity => humidity is not null);
    }

    /// <summary>Vapour-pressure deficit at a place on the last day on which it was read, within a week, kPa; none where it was not.</summary>
    public double? DeficitKPa(Place place, DateTimeOffset asOf) =>
        new[] { place.Code, place.ShelfCode, place.Rack, "" }
            .Select(zone => dryness.GetValueOrDefault(zone)?.Newest(Day(asOf)))
            .FirstOrDefault(deficit => deficit is not null);

    /// <summary>What was read on a day in a part of the room, or in the next one out in which it was; none where it was not.</summary>
    /// <param name="zone">Empty for the whole room, or a rack, shelf or place.</param>
    /// <param name="day">The UTC day.</param>
    public (double? Celsius, double? Humidity) ReadOn(string zone, DateOnly day) =>
        Around(zone)
            .Prepend(zone)
            .Select(z => days.GetValueOrDefault((z, day.DayNumber)))
            .FirstOrDefault(d => d is not null)
            is { } found
            ? (found.MeanC, found.MeanHumidity)
            : (null, null);

    /// <summary>What is to be expected on a day to come in a part of the room: the season of former years, and the present warmth that fades; none where nothing was read.</summary>
    /// <param name="zone">Empty for the whole room, or a rack, shelf or place.</param>
    /// <param name="day">A day to come.</param>
    /// <param name="rules">What is the present level, and how it fades.</param>
    /// <param name="asOf">The present instant.</param>
    public double? ExpectedC(string zone, DateOnly day, RoomClimateRules rules, DateTimeOffset asOf) =>
        Around(zone).Prepend(zone).FirstOrDefault(zones.ContainsKey) is { } known
        && zones[known] is var means
        && means.Recent(Day(asOf), rules.LevelDays.Value) is { } recent
            ? means.Expected(day.DayNumber, Day(asOf), recent, rules)
            : null;

    /// <summary>
    /// How much faster than of late the air at a place takes up water now: vapour-pressure deficit of the last days over
    /// that of the weeks before. Source: evaporation goes with the deficit (Dalton's law).
    /// </summary>
    /// <returns>1 for as ever, 2 for twice as fast; none where humidity was not read on enough days.</returns>
    public double? Dryness(Place place, RoomClimateRules rules, DateTimeOffset asOf) =>
        new[] { place.Code, place.ShelfCode, place.Rack, "" }
            .Where(dryness.ContainsKey)
            .Select(zone => dryness[zone].Factor(Day(asOf), rules))
            .FirstOrDefault(factor => factor is not null);

    /// <summary>Mean temperature of the last days in which one was read before an instant; none when none was.</summary>
    public double? RecentC(Place place, RoomClimateRules rules, DateTimeOffset asOf) =>
        ZoneOf(place) is { } zone ? zones[zone].Recent(Day(asOf), rules.LevelDays.Value) : null;

    /// <summary>Mean temperature of the last days in the room at large; none when none was read.</summary>
    public double? RecentC(RoomClimateRules rules, DateTimeOffset asOf)
    {
        var known = zones.TryGetValue("", out var whole) ? [whole] : zones.Values.ToList();
        var recent = known.Select(z => z.Recent(Day(asOf), rules.LevelDays.Value)).OfType<double>().ToList();
        return recent.Count == 0 ? null : recent.Average();
    }

    /// <summary>On how many days the mean where an enclosure stood lay between two temperatures.</summary>
    /// <param name="stays">Where it stood, in order.</param>
    /// <param name="low">Lower temperature, °C.</param>
    /// <param name="high">Upper temperature, °C.</param>
    /// <param name="from">First instant that counts.</param>
    /// <param name="asOf">The present instant.</param>
    /// <returns>Days between them, and days of which the temperature is known.</returns>
    public (int Within, int Known) DaysWithin(
        IReadOnlyList<Stay> stays,
        double low,
        double high,
        DateTimeOffset from,
        DateTimeOffset asOf
    )
    {
        ArgumentNullException.ThrowIfNull(stays);
        var (within, known) = (0, 0);
        for (var day = Day(from); day <= Day(asOf); day++)
        {
            var stay = stays.LastOrDefault(s => Day(s.From) <= day) ?? stays[0];
            // Only what was read there: what is made up from around it is no day of a programme.
            if (ZoneOf(stay.Place) is not { } zone || own[zone].On(day, Day(asOf)) is not { } celsius)
            {
                continue;
            }

            known++;
            within += celsius >= low && celsius <= high ? 1 : 0;
        }

        return (within, known);
    }

    /// <summary>Whether something is read at a place itself, on its shelf or in its rack, and not only in the room at large.</summary>
    /// <param name="place">The place.</param>
    public bool IsReadAt(Place place) => ZoneOf(place) is { Length: > 0 };

    /// <summary>What was read where an enclosure stood, day by day; none on days on which nothing was. The last counts once it was read.</summary>
    /// <param name="stays">Where it stood, in order.</param>
    /// <param name="from">The day after this one is the first.</param>
    /// <param name="until">The last day.</param>
    public IReadOnlyList<double?> ReadBetween(IReadOnlyList<Stay> stays, DateTimeOffset from, DateTimeOffset until)
    {
        ArgumentNullException.ThrowIfNull(stays);
        var read = new List<double?>();
        for (var day = Day(from) + 1; day <= Day(until); day++)
        {
            var stay = stays.LastOrDefault(s => Day(s.From) <= day) ?? stays[0];
            read.Add(ZoneOf(stay.Place) is { } zone ? own[zone].Read(day) : null);
        }

        return read is [.., null] ? read[..^1] : read;
    }

    /// <summary>
    /// How fast waits will go by for what lies in the cold, once it is out of it: as in the room at large where that is warm, else
    /// as at the temperature for which they hold.
    /// </summary>
    /// <param name="warmth">Temperature for which the waits hold.</param>
    /// <param name="rules">Bounds of the pace, what is the present level, and what is cold.</param>
    /// <param name="asOf">The present instant.</param>
    public Pace PaceOutOfTheCold(Warmth warmth, RoomClimateRules rules, DateTimeOffset asOf) =>
        zones.TryGetValue("", out var whole) && whole.Recent(Day(asOf), rules.LevelDays.Value) > rules.ColdBelowC.Value
            ? In("", warmth, rules, asOf, [])
            : Pace.Even;

    /// <summary>How fast waits went by where an enclosure stood, and go by where it stands.</summary>
    /// <param name="stays">Where it stood, in order.</param>
    /// <param name="warmth">Temperature for which the waits hold.</param>
    /// <param name="rules">Bounds of the pace, and what is the present level.</param>
    /// <param name="asOf">The present instant.</param>
    public Pace PaceFor(IReadOnlyList<Stay> stays, Warmth warmth, RoomClimateRules rules, DateTimeOffset asOf)
    {
        ArgumentNullException.ThrowIfNull(stays);
        var now = ZoneOf(stays[^1].Place);
        if (stays.Count == 1 || stays.All(s => ZoneOf(s.Place) == now))
        {
            return In(now, warmth, rules, asOf, []);
        }

        return In(
            now,
            warmth,
            rules,
            asOf,
            [.. stays.Zip(stays.Skip(1), (stay, next) => (next.From, In(ZoneOf(stay.Place), warmth, rules, asOf, [])))]
        );
    }

    private Pace In(
        string? zone,
        Warmth warmth,
        RoomClimateRules rules,
        DateTimeOffset asOf,
        IReadOnlyList<(DateTimeOffset Until, Pace There)> former
    )
    {
        if (zone is null)
        {
            return former.Count == 0 ? Pace.Even : new Pace(null, [], null, rules, 0, former);
        }

        if (former.Count == 0)
        {
            // All of a kind in a zone go by one pace, and most that is asked is of one night.
            var now = paces;
            if (now.Item1 != Day(asOf))
            {
                paces = now = Tuple.Create(Day(asOf), new ConcurrentDictionary<PaceKey, Pace>());
            }

            return now.Item2.GetOrAdd(
                new PaceKey(zone, warmth, rules),
                key => Make(key.Zone, key.Warmth, key.Rules, asOf, [])
            );
        }

        return Make(zone, warmth, rules, asOf, former);
    }

    private Pace Make(
        string zone,
        Warmth warmth,
        RoomClimateRules rules,
        DateTimeOffset asOf,
        IReadOnlyList<(DateTimeOffset Until, Pace There)> former
    )
    {
        var means = zones[zone];
        var sums = cumulated.GetOrAdd(
            new PaceKey(zone, warmth, rules),
            _ => means.Cumulate(t => Pace.Rate(warmth, rules, t))
        );
        return new Pace(means, sums, warmth, rules, Day(asOf), former);
    }

    internal static int Day(DateTimeOffset at) => DateOnly.FromDateTime(at.UtcDateTime).DayNumber;

    /// <summary>The narrowest zone of which anything is known.</summary>
    private string? ZoneOf(Place place) => zones.Count == 0 ? null : zoneOfPlace.GetOrAdd(place, Narrowest);

    private string? Narrowest(Place place) =>
        zones.ContainsKey(place.Code) ? place.Code
        : zones.ContainsKey(place.ShelfCode) ? place.ShelfCode
        : zones.ContainsKey(place.Rack) ? place.Rack
        : zones.ContainsKey("") ? ""
        : null;
}
