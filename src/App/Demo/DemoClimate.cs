using Devices;
using Husbandry.Climate;
using Husbandry.Rooms;
using Ledger;

namespace App.Demo;

/// <summary>
/// The gateway of the net loft: a year of made-up readings with a hot spell under the roof, a sensor that once stuck and one that
/// is stuck now, a power cut, and a drift that the salt found. All invented.
/// </summary>
internal sealed class DemoClimate
{
    /// <summary>Name of the gateway.</summary>
    public const string GatewayName = "Loft gateway (simulated)";

    private const int Seed = 20261128;
    private const int Year = 365;
    private const int MinuteDays = 30;
    private const int HotSpellAgo = 118;
    private const int HotSpellDays = 4;
    private const double HotSpellC = 8;
    private const int DriftAgo = 120;
    private const int SaltAgo = 26;
    private const double DriftADay = 0.07;

    /// <summary>Id of the gateway; of the demo alone, so that its sensors are known again.</summary>
    public static readonly Guid GatewayId = new("6b1f2f6e-4f5e-4c55-9a39-5d0e8a3f1c01");

    private readonly Room room;
    private readonly DateTimeOffset now;

    private readonly record struct Hung(string Key, string Name, string Zone, Guid Id);

    private static readonly Hung[] Places =
    [
        new("loft-1", "North wall", "", new("6b1f2f6e-4f5e-4c55-9a39-5d0e8a3f1d01")),
        new("loft-2", "Under the roof", "A1", new("6b1f2f6e-4f5e-4c55-9a39-5d0e8a3f1d02")),
        new("loft-3", "Rack B, middle", "B2", new("6b1f2f6e-4f5e-4c55-9a39-5d0e8a3f1d03")),
        new("loft-4", "Rack D", "D", new("6b1f2f6e-4f5e-4c55-9a39-5d0e8a3f1d04")),
        new("loft-5", "Rack C, low", "C2", new("6b1f2f6e-4f5e-4c55-9a39-5d0e8a3f1d05")),
    ];

    public DemoClimate(Room room, SimulatedWeather weather)
    {
        (this.room, now) = (room, room.Now);
        double Loft(DateTimeOffset at, string rack) =>
            weather.Celsius(Math.Clamp((int)Math.Floor((now - at).TotalDays), 0, Year), rack);
        var hot = new Stretch(now.AddDays(-HotSpellAgo), now.AddDays(HotSpellDays - HotSpellAgo));
        Gateway = new ClimateGateway(
            [
                new SimulatedSensor(Places[0].Key, at => Loft(at, "A"), 2.6, 55, 9),
                new SimulatedSensor(
                    Places[1].Key,
                    at => Loft(at, "A") + 0.6 + (hot.Holds(at) ? HotSpellC : 0),
                    3.4,
                    50,
                    10
                )
                {
                    Stuck = [new Stretch(now.AddDays(-200), now.AddDays(-198))],
                },
                new SimulatedSensor(Places[2].Key, at => Loft(at, "A") - 0.2, 1.8, 57, 7)
                {
                    DriftADay = DriftADay,
                    DriftsFrom = now.AddDays(-DriftAgo),
                },
                new SimulatedSensor(Places[3].Key, at => Loft(at, "D"), 2.2, 58, 8),
                // Stuck since last night, and found by now.
                new SimulatedSensor(Places[4].Key, at => Loft(at, "A") - 0.5, 2.4, 60, 8)
                {
                    Stuck = [new Stretch(now.AddHours(-19), now.AddYears(1))],
                },
            ],
            [new Stretch(now.AddDays(-75), now.AddDays(-75).AddHours(5))],
            Seed
        );
    }

    /// <summary>The gateway.</summary>
    public ClimateGateway Gateway { get; }

    /// <summary>Sensors hung up a year ago, a check over salt, a hot spell answered, a programme for the cold box.</summary>
    public IReadOnlyList<ClimateEntry> Notes()
    {
        var entries = new List<ClimateEntry>();
        void Say(DateTimeOffset at, ClimateAct act) =>
            entries.Add(
                new ClimateEntry(IdOf(entries.Count + 1), entries.Count + 1, at, room.Settings.KeeperName, act)
            );
        var hung = now.AddDays(-Year);
        foreach (var place in Places)
        {
            Say(hung, new SensorFound(place.Id, place.Key, GatewayId));
            Say(hung, new SensorPlaced(place.Id, place.Name, place.Zone));
        }

        var salt = room.Clock.EveningOf(room.Tonight.AddDays(-SaltAgo));
        var off = (DriftAgo - SaltAgo) * DriftADay;
        Say(salt, new SaltCheckBegun(Places[2].Id, [Salt.TableSalt]));
        Say(salt.AddHours(14), new SaltChecked(Places[2].Id, Math.Round(HygrometerCheck.Over(Salt.TableSalt) + off)));
        var cold = room.Tonight.AddDays(-110);
        Say(
            now.AddDays(-111),
            new ProgrammeSet(
                IdOf(900),
                new AirProgramme(
                    "Winter of the emperor moths",
                    "K",
                    [
                        new ProgrammeStep(cold, 2, 8),
                        new ProgrammeStep(room.Tonight.AddDays(14), 8, 12),
                        new ProgrammeStep(room.Tonight.AddDays(21), 18, 23),
                    ],
                    room.Tonight.AddDays(60)
                )
            )
        );
        Say(now.AddDays(-30), new QuietHoursSet(23, 7));
        return entries;
    }

    /// <summary>A year of readings: every half hour, and every ten minutes in the last month.</summary>
    public IEnumerable<SensedReading> Readings()
    {
        var ids = Places.ToDictionary(p => p.Key, p => p.Id);
        var minutes = now.AddDays(-MinuteDays);
        for (
            var at = now.AddDays(-Year);
            at <= now;
            at += at < minutes ? TimeSpan.FromMinutes(30) : TimeSpan.FromMinutes(10)
        )
        {
            foreach (var r in Gateway.Read(at))
            {
                yield return new SensedReading(
                    ids[r.Sensor],
                    new SensorReading(r.At, r.TemperatureC, r.RelativeHumidity)
                );
            }
        }
    }

    private static Guid IdOf(int number) => new($"6b1f2f6e-4f5e-4c55-9a39-{number:x12}");
}
