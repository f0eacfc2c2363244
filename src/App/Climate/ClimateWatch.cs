using Husbandry.Climate;
using Husbandry.Rulebook;
using Ledger;

namespace App.Climate;

/// <summary>What sensors said of late, kept at hand so that alarms are known at once.</summary>
public sealed class ClimateWatch : IDisposable
{
    /// <summary>How far back it must look to know how long a sensor usually stands still.</summary>
    public static readonly TimeSpan LooksBack = TimeSpan.FromDays(8);

    private static readonly TimeSpan Lately = TimeSpan.FromDays(2);
    private static readonly TimeSpan TenMinutes = TimeSpan.FromMinutes(10);

    private sealed class Watched
    {
        public SensorTrack Track { get; set; } = SensorTrack.Empty;

        public List<SensorReading> Readings { get; } = [];
    }

    private readonly Lock door = new();
    private readonly Dictionary<Guid, Watched> sensors = [];
    private IReadOnlyDictionary<Guid, SensorDrift> drifts = new Dictionary<Guid, SensorDrift>();

    /// <summary>Whether it was filled from the file.</summary>
    public bool IsReady { get; private set; }

    /// <summary>Held by whoever brings readings: sensors that are found are found once.</summary>
    public SemaphoreSlim Bringing { get; } = new(1, 1);

    /// <summary>When the days of sensors were last taken into what waits are counted by.</summary>
    public DateTimeOffset TakenInAt { get; set; }

    /// <summary>Fills it once.</summary>
    public void Fill(IReadOnlyList<SensedReading> readings, DateTimeOffset now)
    {
        lock (door)
        {
            if (!IsReady)
            {
                sensors.Clear();
                TakeIn(readings, now);
                IsReady = true;
            }
        }
    }

    /// <summary>Takes new readings in.</summary>
    public void Take(IReadOnlyList<SensedReading> readings, DateTimeOffset now)
    {
        lock (door)
        {
            if (IsReady)
            {
                TakeIn(readings.OrderBy(r => r.Reading.At), now);
            }
        }
    }

    /// <summary>Sets how sensors go away from their neighbours.</summary>
    public void Compare(IReadOnlyDictionary<Guid, SensorDrift> found) => drifts = found;

    /// <summary>The instruments of a room that are in use, as they stand.</summary>
    public IReadOnlyList<SensorState> States(ClimateBook book)
    {
        lock (door)
        {
            return
            [
                .. book
                    .Sensors.Where(s => s.RetiredAt is null)
                    .Select(s =>
                    {
                        var watched = sensors.GetValueOrDefault(s.Id) ?? new Watched();
                        return new SensorState(
                            s,
                            watched.Track,
                            [.. AirSpan.Of(watched.Readings, TenMinutes).Select(span => span.CorrectedBy(s))],
                            drifts.GetValueOrDefault(s.Id)
                        );
                    }),
            ];
        }
    }

    private void TakeIn(IEnumerable<SensedReading> readings, DateTimeOffset now)
    {
        foreach (var (id, reading) in readings)
        {
            if (!sensors.TryGetValue(id, out var watched))
            {
                sensors[id] = watched = new Watched();
            }

            watched.Track = watched.Track.After(reading);
            if (reading.At >= now - Lately)
            {
                watched.Readings.Add(reading);
            }
        }

        foreach (var watched in sensors.Values)
        {
            watched.Readings.RemoveAll(r => r.At < now - Lately);
        }
    }

    public void Dispose() => Bringing.Dispose();
}

/// <summary>Compares sensors with their neighbours by their days.</summary>
internal static class NeighbourCheck
{
    public static Dictionary<Guid, SensorDrift> Of(
        ClimateBook book,
        IReadOnlyDictionary<Guid, IReadOnlyList<AirSpan>> days,
        DateTimeOffset now,
        RoomAlarmRules rules
    )
    {
        var placed = book.Sensors.Where(s => s.RetiredAt is null && s.Zone is not null).ToList();
        var own = placed.ToDictionary(s => s.Id, s => (IReadOnlyList<SensorDay>)[.. DaysOf(s, days)]);
        var today = DateOnly.FromDateTime(now.UtcDateTime).DayNumber;
        var found = new Dictionary<Guid, SensorDrift>();
        foreach (var sensor in placed)
        {
            var others = placed
                .Where(o =>
                    o.Id != sensor.Id && IsNeighbour(o.Zone!, sensor.Zone!) && IsAlike(own[o.Id], own[sensor.Id])
                )
                .ToList();
            if (SensorDrift.Of(own[sensor.Id], [.. others.Select(o => own[o.Id])], today, rules) is { } drift)
            {
                found[sensor.Id] = drift;
            }
        }

        return found;
    }

    /// <summary>Days since it hangs where it hangs, corrected.</summary>
    private static IEnumerable<SensorDay> DaysOf(
        Sensor sensor,
        IReadOnlyDictionary<Guid, IReadOnlyList<AirSpan>> days
    ) =>
        days.GetValueOrDefault(sensor.Id, [])
            .Where(d => d.From >= sensor.Stays[^1].From)
            .Select(d => d.CorrectedBy(sensor))
            .Select(d => new SensorDay(DateOnly.FromDateTime(d.From.UtcDateTime).DayNumber, d.MeanC, d.MeanHumidity));

    // A cold box tells nothing of a warm rack.
    private const double AlikeC = 6;

    private static bool IsAlike(IReadOnlyList<SensorDay> a, IReadOnlyList<SensorDay> b) =>
        a.Count > 0 && b.Count > 0 && Math.Abs(a.Average(d => d.MeanC) - b.Average(d => d.MeanC)) < AlikeC;

    // A box with a thermostat of its own is nobody's neighbour.
    private static bool IsNeighbour(string a, string b) =>
        Husbandry.Stock.Place.Parse(a) is null && Husbandry.Stock.Place.Parse(b) is null;
}
