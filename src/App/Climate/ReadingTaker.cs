using App.Hosting;
using Husbandry.Climate;
using Husbandry.Reasons;
using Ledger;

namespace App.Climate;

/// <summary>Takes readings of gateways in, by whatever way they came: all of them, or none with what is wrong.</summary>
public sealed class ReadingTaker(
    ClimateStore store,
    SensorStore sensors,
    ClimateWatch watch,
    AirReader air,
    RoomNow now,
    LanternDb db,
    RoomCache cache
)
{
    /// <summary>Most readings at once.</summary>
    public const int MostReadings = 5000;

    private const int LongestKey = 60;
    private const int MostDaysBack = 400;
    private const int MostYearsOfFile = 10;
    private const int DaysOfYear = 366;
    private const int ProblemsNamed = 20;
    private static readonly TimeSpan MostAhead = TimeSpan.FromMinutes(5);
    private static readonly TimeSpan TakenInEvery = TimeSpan.FromHours(1);

    /// <summary>Takes a file of readings, also of years ago.</summary>
    /// <param name="readings">Its readings.</param>
    /// <param name="zone">Where its sensors hung; left out, they hang nowhere until they are placed.</param>
    /// <param name="cancel">Cancels.</param>
    public Task<(int Taken, IReadOnlyList<Problem> Problems, bool Found)> TakeFileAsync(
        IReadOnlyList<GatewayReading> readings,
        string? zone,
        CancellationToken cancel
    )
    {
        // A file is no gateway: it has no secret, and nothing is kept of it but its sensors.
        var file = new GatewayRow { Name = "a file", TokenHash = "" };
        return TakeAsync(file, readings, zone, readings.Count, MostYearsOfFile * DaysOfYear, cancel);
    }

    /// <summary>Takes readings.</summary>
    /// <returns>How many were new, what is wrong with them, and whether a sensor was found that was not known.</returns>
    public Task<(int Taken, IReadOnlyList<Problem> Problems, bool Found)> TakeAsync(
        GatewayRow gateway,
        IReadOnlyList<GatewayReading> readings,
        CancellationToken cancel
    ) => TakeAsync(gateway, readings, null, MostReadings, MostDaysBack, cancel);

    private async Task<(int Taken, IReadOnlyList<Problem> Problems, bool Found)> TakeAsync(
        GatewayRow gateway,
        IReadOnlyList<GatewayReading> readings,
        string? zone,
        int most,
        int daysBack,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var problems = Check(readings, most, daysBack, room.Now).Take(ProblemsNamed).ToList();
        if (problems.Count > 0)
        {
            return (0, problems, false);
        }

        await watch.Bringing.WaitAsync(cancel);
        try
        {
            await air.EnsureAsync(room.Now, cancel);
            var book = await store.BookAsync(cancel);
            var ids = book
                .Sensors.Where(s => s.Gateway == gateway.Id)
                .GroupBy(s => s.Key, StringComparer.Ordinal)
                .ToDictionary(g => g.Key, g => g.First().Id, StringComparer.Ordinal);
            var found = false;
            foreach (var of in readings.GroupBy(r => r.Sensor.Trim()).Where(g => !ids.ContainsKey(g.Key)))
            {
                var act = new SensorFound(Guid.NewGuid(), of.Key, gateway.Id);
                var first = of.Min(r => r.At ?? room.Now);
                var result = await store.WriteAsync(Guid.NewGuid(), act, first, gateway.Name, room, cancel);
                if (result.Problems.Count > 0)
                {
                    return (0, result.Problems, found);
                }

                (ids[of.Key], found) = (act.SensorId, true);
                if (zone is not null)
                {
                    var placed = new SensorPlaced(act.SensorId, of.Key, zone);
                    await store.WriteAsync(Guid.NewGuid(), placed, first, gateway.Name, room, cancel);
                }
            }

            var fresh = await sensors.AddAsync(
                [
                    .. readings.Select(r => new SensedReading(
                        ids[r.Sensor.Trim()],
                        new SensorReading(r.At ?? room.Now, r.TemperatureC, r.RelativeHumidity)
                    )),
                ],
                room.Now,
                cancel
            );
            watch.Take(fresh, room.Now);
            gateway.HeardTicks = room.Now.UtcTicks;
            await db.SaveChangesAsync(cancel);
            // Waits are counted by days: today's need not be read anew with every minute.
            if (
                room.Now - watch.TakenInAt >= TakenInEvery
                || fresh.Any(r => r.Reading.At.UtcDateTime.Date < room.Now.UtcDateTime.Date)
            )
            {
                (cache.Climate, watch.TakenInAt) = (null, room.Now);
            }

            return (fresh.Count, [], found);
        }
        finally
        {
            watch.Bringing.Release();
        }
    }

    private static IEnumerable<Problem> Check(
        IReadOnlyList<GatewayReading> readings,
        int most,
        int daysBack,
        DateTimeOffset now
    )
    {
        if (readings.Count == 0 || readings.Count > most)
        {
            yield return new Problem("readings", $"Send 1 to {most} readings at a time.");
            yield break;
        }

        for (var i = 0; i < readings.Count; i++)
        {
            var at = $"readings[{i}]";
            if (readings[i] is not { } r)
            {
                yield return new Problem(at, "Is missing.");
                continue;
            }

            if (string.IsNullOrWhiteSpace(r.Sensor) || r.Sensor.Length > LongestKey)
            {
                yield return new Problem($"{at}.sensor", $"Write 1 to {LongestKey} characters.");
            }

            if (new ClimateReading(now, r.TemperatureC).Problem is { } hot)
            {
                yield return new Problem($"{at}.temperatureC", hot);
            }

            if (new ClimateReading(now, 0, r.RelativeHumidity).Problem is { } damp)
            {
                yield return new Problem($"{at}.relativeHumidity", damp);
            }

            if (r.At is { } when && (when > now + MostAhead || when < now.AddDays(-daysBack)))
            {
                yield return new Problem(
                    $"{at}.at",
                    $"Must lie between {daysBack} days ago and now; set the clock of the gateway."
                );
            }
        }
    }
}
