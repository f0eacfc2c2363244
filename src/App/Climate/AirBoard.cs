using Husbandry.Climate;
using Husbandry.Feeding;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Ledger;

namespace App.Climate;

/// <summary>A check over salt that is going on.</summary>
/// <param name="Over">Salt over which it lies now.</param>
/// <param name="OverPercent">Humidity over it, per cent.</param>
/// <param name="ReadableFrom">When it has lain long enough.</param>
/// <param name="Done">Salts that are done.</param>
/// <param name="Of">Salts in all.</param>
public sealed record SaltView(string Over, double OverPercent, DateTimeOffset ReadableFrom, int Done, int Of);

/// <summary>A sensor and what it says.</summary>
/// <param name="Zone">Where it hangs: empty for the whole room; none for nowhere.</param>
/// <param name="Gateway">What brings its readings.</param>
/// <param name="HeardAt">Its newest reading.</param>
/// <param name="IsAlive">Whether it speaks and moves.</param>
/// <param name="Celsius">Now, °C.</param>
/// <param name="Humidity">Now, corrected, per cent.</param>
/// <param name="RawHumidity">Now, as it says it, per cent.</param>
/// <param name="LowC">Lowest of the last day.</param>
/// <param name="HighC">Highest of the last day.</param>
/// <param name="LowHumidity">Lowest of the last day.</param>
/// <param name="HighHumidity">Highest of the last day.</param>
/// <param name="Hours">Mean of each of the last 24 hours, °C; none where nothing was heard.</param>
/// <param name="GoodC">Warmth that is right for all it watches; none where there is none, or they differ.</param>
/// <param name="Watches">How many animals it is the nearest for, by place.</param>
/// <param name="Air">What follows for the air there.</param>
/// <param name="Corrected">How its humidity is corrected, in words; empty where it is not.</param>
/// <param name="Salt">The check over salt that is going on.</param>
public sealed record SensorView(
    Guid Id,
    string Name,
    string Key,
    string Gateway,
    string? Zone,
    DateTimeOffset? HeardAt,
    bool IsAlive,
    double? Celsius,
    double? Humidity,
    double? RawHumidity,
    double? LowC,
    double? HighC,
    double? LowHumidity,
    double? HighHumidity,
    IReadOnlyList<double?> Hours,
    Husbandry.Rulebook.Range? GoodC,
    int Watches,
    ZoneAir? Air,
    string Corrected,
    SaltView? Salt
);

/// <summary>A tub that is misted, and how fast it dries.</summary>
public sealed record DryingTubView(Guid StockId, string Name, string Place, Answer<DryingTub> Tub, bool IsHushed);

/// <summary>A programme and how it was kept.</summary>
public sealed record ProgrammeView(Guid Id, AirProgramme Plan, ProgrammeKept Kept);

/// <summary>The room's air at a glance.</summary>
/// <param name="Now">The instant.</param>
/// <param name="Alarms">Alarms that hold.</param>
/// <param name="Sensors">Sensors in use, those that hang nowhere last.</param>
/// <param name="Tubs">Tubs that dry, the fastest first.</param>
/// <param name="Better">Who would stand better elsewhere.</param>
/// <param name="Programmes">Programmes.</param>
/// <param name="Quiet">Hours in which only a danger is called out.</param>
/// <param name="Zones">Parts of the room of which something is read.</param>
public sealed record AirBoard(
    DateTimeOffset Now,
    IReadOnlyList<ClimateAlarm> Alarms,
    IReadOnlyList<SensorView> Sensors,
    IReadOnlyList<DryingTubView> Tubs,
    IReadOnlyList<BetterPlace> Better,
    IReadOnlyList<ProgrammeView> Programmes,
    QuietHours Quiet,
    IReadOnlyList<string> Zones
)
{
    private const int HoursShown = 24;
    private const int TubsShown = 40;

    /// <summary>Lays the board out.</summary>
    public static AirBoard Of(AirNow air, StockIndex index, IReadOnlyDictionary<Guid, string> gateways)
    {
        var (room, rules) = (air.Room, air.Room.Rules.Room.Climate);
        return new AirBoard(
            room.Now,
            air.Alarms,
            [
                .. air
                    .States.Select(s => View(s, air, rules, gateways))
                    .OrderBy(s => s.Zone is null)
                    .ThenBy(s => s.Zone, StringComparer.Ordinal)
                    .ThenBy(s => s.Name, StringComparer.Ordinal),
            ],
            Drying(air, index, rules),
            BetterPlace.Of(air.Needs, Levels(air, rules), rules.WorthMovingC.Value),
            [
                .. air
                    .Book.Programmes.OrderByDescending(p => p.Plan.Until)
                    .Select(p => new ProgrammeView(
                        p.Id,
                        p.Plan,
                        ProgrammeKept.Of(p.Plan, room.Climate, room.Tonight, room.Wording)
                    )),
            ],
            air.Book.Quiet,
            room.Climate.Zones
        );
    }

    private static SensorView View(
        SensorState state,
        AirNow air,
        RoomClimateRules rules,
        IReadOnlyDictionary<Guid, string> gateways
    )
    {
        var (sensor, now) = (state.Sensor, air.Room.Now);
        var alive = state.IsAlive(now, rules.Alarms);
        var last = state.Track.Last;
        var day = state.Lately.Where(s => s.To > now.AddDays(-1)).ToList();
        var watched = air.Needs.Where(n => !n.Winters && Nearest(n, air, now, rules) == sensor.Zone).ToList();
        var humidity = last is { } reading ? sensor.Correct(reading.RelativeHumidity, reading.At) : null;
        var fresh = last is { } l && now - l.At <= TimeSpan.FromMinutes(rules.Alarms.FreshMinutes.Value);
        return new SensorView(
            sensor.Id,
            sensor.Name,
            sensor.Key,
            gateways.GetValueOrDefault(sensor.Gateway, "a file"),
            sensor.Zone,
            last?.At,
            alive,
            fresh ? last!.Value.TemperatureC : null,
            fresh ? humidity : null,
            fresh ? last!.Value.RelativeHumidity : null,
            day.Count == 0 ? null : day.Min(s => s.MinC),
            day.Count == 0 ? null : day.Max(s => s.MaxC),
            day.Min(s => s.MinHumidity),
            day.Max(s => s.MaxHumidity),
            [
                .. Enumerable
                    .Range(0, HoursShown)
                    .Select(h => now.AddHours(h - HoursShown))
                    .Select(from => state.Lately.Where(s => s.From >= from && s.From < from.AddHours(1)).ToList())
                    .Select(of => of.Count == 0 ? (double?)null : of.Average(s => s.MeanC)),
            ],
            Common([.. watched.Select(n => n.Band.GoodC.Value)]),
            sensor.Zone is null ? 0 : watched.Count,
            alive && humidity is { } damp ? ZoneAir.Of(new MoistAir(last!.Value.TemperatureC, damp)) : null,
            sensor.CorrectionAt(now) is { Points.Count: > 0 } c ? Corrected(c, air.Room) : "",
            sensor.Salt is { Now: { } salt } check
                ? new SaltView(
                    HygrometerCheck.NameOf(salt),
                    HygrometerCheck.Over(salt),
                    check.Begun.AddHours(rules.Alarms.SaltHours.Value),
                    check.Points.Count,
                    check.Salts.Count
                )
                : null
        );
    }

    private static string Corrected(SensorCorrection c, Room room)
    {
        var by = c.Points.Count == 1 ? "one salt" : "two salts";
        var line = c.Check.Slope.Equals(1.0)
            ? $"{c.Check.Offset:+0.#;−0.#} %"
            : $"× {c.Check.Slope:0.00} {c.Check.Offset:+0.#;−0.#} %";
        return $"{line} by {by}, {room.Wording.Day(room.Clock.NightOf(c.From))}";
    }

    private static string? Nearest(AirNeed need, AirNow air, DateTimeOffset now, RoomClimateRules rules) =>
        air
            .States.Where(s => s.IsAlive(now, rules.Alarms))
            .Select(s => (s.Sensor.Zone, Near: ZoneNearness.Of(s.Sensor.Zone, need.Place)))
            .Where(x => x.Near is not null)
            .OrderByDescending(x => x.Near)
            .Select(x => x.Zone)
            .FirstOrDefault();

    private static Husbandry.Rulebook.Range? Common(IReadOnlyList<Husbandry.Rulebook.Range> bands) =>
        bands.Count > 0 && bands.Max(b => b.Low) is var low && bands.Min(b => b.High) is var high && low < high
            ? new Husbandry.Rulebook.Range(low, high)
            : null;

    private static IReadOnlyList<DryingTubView> Drying(AirNow air, StockIndex index, RoomClimateRules rules)
    {
        var tubs = new List<DryingTubView>();
        foreach (var need in air.Needs)
        {
            if (
                index.Find(need.StockId) is not { House.Enclosure: { } house } glance
                || glance.Where.TankId is not null
            )
            {
                continue;
            }

            var every = glance.Care.Clocks.FirstOrDefault(c => c.What == WaterWords.Mist)?.EveryDays;
            if (DryingTub.Of(house, every, air.Room.Climate.DeficitKPa(need.Place, air.Room.Now), rules) is { } tub)
            {
                tubs.Add(new DryingTubView(need.StockId, need.Name, need.Place.Code, tub, need.IsHushed));
            }
        }

        return
        [
            .. tubs.OrderByDescending(t => t.Tub.Value.IsOwnPlan)
                .ThenByDescending(t => t.Tub.Value.MlADay)
                .Take(TubsShown),
        ];
    }

    private static IReadOnlyList<ZoneLevel> Levels(AirNow air, RoomClimateRules rules) =>
        [
            .. air
                .States.Where(s => s.IsAlive(air.Room.Now, rules.Alarms))
                .Select(s => s.Sensor.Zone)
                .OfType<string>()
                .Distinct()
                .Select(z => air.Room.Climate.LevelOf(z, rules, air.Room.Now))
                .OfType<ZoneLevel>(),
        ];
}
