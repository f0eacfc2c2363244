using Husbandry.Climate;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>A reading with the sensor that took it.</summary>
public readonly record struct SensedReading(Guid SensorId, SensorReading Reading);

/// <summary>
/// Readings of sensors: minutes for a month, ten minutes for a year, hours, quarter days, days and weeks for ever. All are written together, so
/// that none has to be made up later, and a reading that came before changes nothing.
/// </summary>
public sealed class SensorStore(LanternDb db)
{
    /// <summary>How long single readings are kept.</summary>
    public static readonly TimeSpan ReadingsKept = TimeSpan.FromDays(30);

    /// <summary>How long spans of ten minutes are kept.</summary>
    public static readonly TimeSpan TenMinutesKept = TimeSpan.FromDays(365);

    /// <summary>Minutes in the widest span.</summary>
    public const int Day = 1440;

    private const int TenMinutes = 10;
    private const int Hour = 60;
    private const int QuarterDay = 360;
    private const int Week = 10080;
    private const long SecondsOfMinute = 60;
    private const double Centi = 100;
    private const double Deci = 10;
    private static readonly int[] Widths = [TenMinutes, Hour, QuarterDay, Day, Week];

    private static readonly string[] SpanNames =
    [
        "$no",
        "$minutes",
        "$from",
        "$count",
        "$min",
        "$sum",
        "$max",
        "$hcount",
        "$hmin",
        "$hsum",
        "$hmax",
    ];

    private const string AddSpan = """
        INSERT INTO SensorSpans (SensorNo, Minutes, "From", Count, MinC, SumC, MaxC, HumidityCount, MinHumidity, SumHumidity, MaxHumidity)
        VALUES ($no, $minutes, $from, $count, $min, $sum, $max, $hcount, $hmin, $hsum, $hmax)
        ON CONFLICT (SensorNo, Minutes, "From") DO UPDATE SET Count = Count + excluded.Count,
            MinC = MIN(MinC, excluded.MinC), SumC = SumC + excluded.SumC, MaxC = MAX(MaxC, excluded.MaxC),
            MinHumidity = CASE WHEN HumidityCount = 0 THEN excluded.MinHumidity WHEN excluded.HumidityCount = 0 THEN MinHumidity ELSE MIN(MinHumidity, excluded.MinHumidity) END,
            MaxHumidity = CASE WHEN HumidityCount = 0 THEN excluded.MaxHumidity WHEN excluded.HumidityCount = 0 THEN MaxHumidity ELSE MAX(MaxHumidity, excluded.MaxHumidity) END,
            HumidityCount = HumidityCount + excluded.HumidityCount, SumHumidity = SumHumidity + excluded.SumHumidity
        """;

    private const string FromReadings = """
        SELECT At, 1, CentiC, CentiC, CentiC, DeciHumidity IS NOT NULL, DeciHumidity, DeciHumidity, DeciHumidity
        FROM SensorReadings WHERE SensorNo = $no AND At >= $from AND At < $to ORDER BY At
        """;

    private const string FromSpans = """
        SELECT "From", Count, MinC, SumC, MaxC, HumidityCount, MinHumidity, SumHumidity, MaxHumidity
        FROM SensorSpans WHERE SensorNo = $no AND Minutes = $minutes AND "From" >= $from AND "From" < $to
        ORDER BY "From"
        """;

    /// <summary>Writes readings; those that are known already are passed over.</summary>
    /// <param name="readings">Sound readings, in any order.</param>
    /// <param name="now">The present instant: of readings older than single ones are kept, only hours that are new count.</param>
    /// <param name="cancel">Cancels; nothing is written then.</param>
    /// <returns>Those that were new.</returns>
    public async Task<IReadOnlyList<SensedReading>> AddAsync(
        IReadOnlyList<SensedReading> readings,
        DateTimeOffset now,
        CancellationToken cancel
    )
    {
        var outer = db.Database.CurrentTransaction;
        var own = outer is null ? await db.Database.BeginTransactionAsync(cancel) : null;
        await using var _ = own;
        var numbers = await NumbersAsync(readings.Select(r => r.SensorId), cancel);
        var fresh = new List<SensedReading>();
        await using (
            var insert = db.Statement(
                "INSERT OR IGNORE INTO SensorReadings (SensorNo, At, CentiC, DeciHumidity) VALUES ($no, $at, $c, $h)",
                "$no",
                "$at",
                "$c",
                "$h"
            )
        )
        {
            foreach (var (sensor, reading) in readings.Where(r => r.Reading.At >= now - ReadingsKept))
            {
                insert.Set(numbers[sensor], Seconds(reading.At), CentiOf(reading), DeciOf(reading));
                if (await insert.ExecuteNonQueryAsync(cancel) > 0)
                {
                    fresh.Add(new SensedReading(sensor, reading));
                }
            }
        }

        var old = readings.Where(r => r.Reading.At < now - ReadingsKept).ToList();
        if (old.Count > 0)
        {
            fresh.AddRange(await NewHoursAsync(old, numbers, cancel));
        }

        await AddSpansAsync(fresh, numbers, now, cancel);
        if (own is not null)
        {
            await own.CommitAsync(cancel);
        }

        return fresh;
    }

    /// <summary>Single readings since an instant, in order of time.</summary>
    public async Task<IReadOnlyList<SensedReading>> SinceAsync(DateTimeOffset from, CancellationToken cancel)
    {
        var ids = await IdsAsync(cancel);
        var list = new List<SensedReading>();
        await using var command = db.Statement(
            "SELECT SensorNo, At, CentiC, DeciHumidity FROM SensorReadings WHERE At >= $from ORDER BY At",
            "$from"
        );
        command.Set(Seconds(from));
        await using var reader = await command.ExecuteReaderAsync(cancel);
        while (await reader.ReadAsync(cancel))
        {
            list.Add(
                new SensedReading(
                    ids[reader.GetInt32(0)],
                    new SensorReading(
                        DateTimeOffset.FromUnixTimeSeconds(reader.GetInt64(1)),
                        reader.GetInt32(2) / Centi,
                        reader.IsDBNull(3) ? null : reader.GetInt32(3) / Deci
                    )
                )
            );
        }

        return list;
    }

    /// <summary>
    /// Spans of sensors as they said it, about so many of each: from single readings where the time is short, from weeks where it
    /// is years.
    /// </summary>
    /// <param name="sensors">Which; all when empty.</param>
    /// <param name="from">Start.</param>
    /// <param name="to">End.</param>
    /// <param name="about">About how many spans of each, ≥ 1; never half as many again.</param>
    /// <param name="now">The present instant, which decides what is still kept.</param>
    /// <param name="cancel">Cancels.</param>
    public async Task<IReadOnlyDictionary<Guid, IReadOnlyList<AirSpan>>> SpansAsync(
        IReadOnlyCollection<Guid> sensors,
        DateTimeOffset from,
        DateTimeOffset to,
        int about,
        DateTimeOffset now,
        CancellationToken cancel
    )
    {
        var minutes = Math.Max(1, (to - from).TotalMinutes / about);
        // The widest that is no more than twice as wide as asked, among those that are kept so long: few rows are read then.
        var source = Widths
            .Prepend(1)
            .Where(w => w > 1 || from >= now - ReadingsKept)
            .Where(w => w != TenMinutes || from >= now - TenMinutesKept)
            .Where(w => w <= 2 * minutes)
            .DefaultIfEmpty(from >= now - TenMinutesKept ? TenMinutes : Hour)
            .Max();
        var times = Math.Max(1, (int)Math.Round(minutes / source));
        return await ReadAsync(sensors, from, to, source, times, cancel);
    }

    /// <summary>Days of all sensors since an instant, as they said it.</summary>
    public async Task<IReadOnlyDictionary<Guid, IReadOnlyList<AirSpan>>> DaysAsync(
        DateTimeOffset from,
        DateTimeOffset to,
        CancellationToken cancel
    ) => await ReadAsync([], from, to, Day, 1, cancel);

    private async Task<IReadOnlyDictionary<Guid, IReadOnlyList<AirSpan>>> ReadAsync(
        IReadOnlyCollection<Guid> sensors,
        DateTimeOffset from,
        DateTimeOffset to,
        int source,
        int times,
        CancellationToken cancel
    )
    {
        var ids = await IdsAsync(cancel);
        var wide = times * source * SecondsOfMinute;
        var (start, end) = (Seconds(from) / wide * wide, Seconds(to));
        var single = source == 1;
        await using var command = single
            ? db.Statement(FromReadings, "$no", "$from", "$to")
            : db.Statement(FromSpans, "$no", "$from", "$to", "$minutes");
        var list = new Dictionary<Guid, IReadOnlyList<AirSpan>>();
        foreach (var (no, id) in ids.Where(i => sensors.Count == 0 || sensors.Contains(i.Value)))
        {
            object[] values = single ? [no, start, end] : [no, start, end, source];
            command.Set(values);
            await using var reader = await command.ExecuteReaderAsync(cancel);
            list[id] = Together(reader, wide);
        }

        return list;
    }

    /// <summary>Lets go of what is older than it is kept.</summary>
    public async Task PruneAsync(DateTimeOffset now, CancellationToken cancel)
    {
        var (readings, tens) = (Seconds(now - ReadingsKept), Seconds(now - TenMinutesKept));
        await db.Database.ExecuteSqlAsync($"DELETE FROM SensorReadings WHERE At < {readings}", cancel);
        await db.Database.ExecuteSqlAsync(
            $"DELETE FROM SensorSpans WHERE Minutes = {TenMinutes} AND \"From\" < {tens}",
            cancel
        );
    }

    /// <summary>Adds days of a room file; a day that is known stays as it is. In the caller's transaction.</summary>
    public async Task AddDaysAsync(IReadOnlyList<RoomFileSensorDay> days, CancellationToken cancel)
    {
        var numbers = await NumbersAsync(days.Select(d => d.SensorId), cancel);
        var known = new HashSet<(int, long)>();
        foreach (var no in numbers.Values.Distinct())
        {
            known.UnionWith((await StartsAsync(no, Day, 0, long.MaxValue, cancel)).Select(at => (no, at)));
        }

        await using var add = db.Statement(AddSpan, SpanNames);
        foreach (var d in days)
        {
            var (no, at) = (
                numbers[d.SensorId],
                new DateTimeOffset(d.Day.ToDateTime(TimeOnly.MinValue), TimeSpan.Zero)
            );
            if (!known.Add((no, Seconds(at))))
            {
                continue;
            }

            var damp = d.MeanHumidity is null ? 0 : d.Count;
            foreach (var width in new[] { Day, Week })
            {
                add.Set(
                    no,
                    width,
                    Start(at, width),
                    d.Count,
                    (int)Math.Round(d.MinC * Centi),
                    (long)Math.Round(d.MeanC * Centi * d.Count),
                    (int)Math.Round(d.MaxC * Centi),
                    damp,
                    (int)Math.Round((d.MinHumidity ?? 0) * Deci),
                    (long)Math.Round((d.MeanHumidity ?? 0) * Deci * damp),
                    (int)Math.Round((d.MaxHumidity ?? 0) * Deci)
                );
                await add.ExecuteNonQueryAsync(cancel);
            }
        }
    }

    /// <summary>
    /// Of readings of long ago those of hours that are new. A day that came whole, without its hours, is known altogether.
    /// </summary>
    private async Task<IEnumerable<SensedReading>> NewHoursAsync(
        List<SensedReading> readings,
        Dictionary<Guid, int> numbers,
        CancellationToken cancel
    )
    {
        var fresh = new List<SensedReading>();
        foreach (var of in readings.GroupBy(r => r.SensorId))
        {
            var (from, to) = (Start(of.Min(r => r.Reading.At), Day), Seconds(of.Max(r => r.Reading.At).AddDays(1)));
            var hours = (await StartsAsync(numbers[of.Key], Hour, from, to, cancel)).ToHashSet();
            var days = (await StartsAsync(numbers[of.Key], Day, from, to, cancel)).ToHashSet();
            var inHours = hours.Select(h => h / (Day * SecondsOfMinute) * Day * SecondsOfMinute).ToHashSet();
            fresh.AddRange(
                of.Where(r => !hours.Contains(Start(r.Reading.At, Hour)))
                    .Where(r => Start(r.Reading.At, Day) is var day && (!days.Contains(day) || inHours.Contains(day)))
            );
        }

        return fresh.DistinctBy(r => (r.SensorId, Seconds(r.Reading.At)));
    }

    private async Task<List<long>> StartsAsync(int no, int minutes, long from, long to, CancellationToken cancel)
    {
        var starts = new List<long>();
        await using var command = db.Statement(
            "SELECT \"From\" FROM SensorSpans WHERE SensorNo = $no AND Minutes = $minutes AND \"From\" BETWEEN $from AND $to",
            "$no",
            "$minutes",
            "$from",
            "$to"
        );
        command.Set(no, minutes, from, to);
        await using var reader = await command.ExecuteReaderAsync(cancel);
        while (await reader.ReadAsync(cancel))
        {
            starts.Add(reader.GetInt64(0));
        }

        return starts;
    }

    private async Task AddSpansAsync(
        List<SensedReading> fresh,
        Dictionary<Guid, int> numbers,
        DateTimeOffset now,
        CancellationToken cancel
    )
    {
        await using var add = db.Statement(AddSpan, SpanNames);
        foreach (var width in Widths)
        {
            var kept = width == TenMinutes ? fresh.Where(r => r.Reading.At >= now - TenMinutesKept) : fresh;
            foreach (var span in kept.GroupBy(r => (r.SensorId, From: Start(r.Reading.At, width))))
            {
                var damp = span.Select(r => DeciOf(r.Reading)).OfType<int>().ToList();
                add.Set(
                    numbers[span.Key.SensorId],
                    width,
                    span.Key.From,
                    span.Count(),
                    span.Min(r => CentiOf(r.Reading)),
                    span.Sum(r => (long)CentiOf(r.Reading)),
                    span.Max(r => CentiOf(r.Reading)),
                    damp.Count,
                    damp.DefaultIfEmpty(0).Min(),
                    damp.Sum(d => (long)d),
                    damp.DefaultIfEmpty(0).Max()
                );
                await add.ExecuteNonQueryAsync(cancel);
            }
        }
    }

    private async Task<Dictionary<int, Guid>> IdsAsync(CancellationToken cancel) =>
        await db.Sensors.AsNoTracking().ToDictionaryAsync(s => s.No, s => s.Id, cancel);

    private async Task<Dictionary<Guid, int>> NumbersAsync(IEnumerable<Guid> sensors, CancellationToken cancel)
    {
        var known = await db.Sensors.AsNoTracking().ToDictionaryAsync(s => s.Id, s => s.No, cancel);
        foreach (var id in sensors.Distinct().Where(id => !known.ContainsKey(id)))
        {
            var row = new SensorRow { Id = id };
            db.Sensors.Add(row);
            await db.SaveChangesAsync(cancel);
            known[id] = row.No;
        }

        return known;
    }

    /// <summary>Puts rows in order of time together by whole multiples of a width.</summary>
    private static List<AirSpan> Together(SqliteDataReader reader, long wide)
    {
        var spans = new List<AirSpan>();
        var sum = new Sum();
        while (reader.Read())
        {
            var at = reader.GetInt64(0) / wide;
            if (sum.Count > 0 && sum.At != at)
            {
                spans.Add(sum.Span(wide));
                sum = new Sum();
            }

            sum.Add(reader, at);
        }

        if (sum.Count > 0)
        {
            spans.Add(sum.Span(wide));
        }

        return spans;
    }

    private struct Sum
    {
        private int minC;
        private long sumC;
        private int maxC;
        private int damp;
        private int minDamp;
        private long sumDamp;
        private int maxDamp;

        public long At { get; private set; }

        public int Count { get; private set; }

        public void Add(SqliteDataReader reader, long at)
        {
            var (low, high, dampNow) = (reader.GetInt32(2), reader.GetInt32(4), reader.GetInt32(5));
            (minC, maxC) = Count == 0 ? (low, high) : (Math.Min(minC, low), Math.Max(maxC, high));
            if (dampNow > 0)
            {
                var (dry, wet) = (reader.GetInt32(6), reader.GetInt32(8));
                (minDamp, maxDamp) = damp == 0 ? (dry, wet) : (Math.Min(minDamp, dry), Math.Max(maxDamp, wet));
                sumDamp += reader.GetInt64(7);
            }

            (At, Count, damp, sumC) = (at, Count + reader.GetInt32(1), damp + dampNow, sumC + reader.GetInt64(3));
        }

        public readonly AirSpan Span(long wide) =>
            new(
                DateTimeOffset.FromUnixTimeSeconds(At * wide),
                TimeSpan.FromSeconds(wide),
                Count,
                minC / Centi,
                sumC / Centi / Count,
                maxC / Centi,
                damp == 0 ? null : minDamp / Deci,
                damp == 0 ? null : sumDamp / Deci / damp,
                damp == 0 ? null : maxDamp / Deci
            );
    }

    private static long Seconds(DateTimeOffset at) => at.ToUnixTimeSeconds();

    private static long Start(DateTimeOffset at, int minutes) =>
        Seconds(at) / (minutes * SecondsOfMinute) * minutes * SecondsOfMinute;

    private static int CentiOf(SensorReading reading) => (int)Math.Round(reading.TemperatureC * Centi);

    private static int? DeciOf(SensorReading reading) =>
        reading.RelativeHumidity is { } humidity ? (int)Math.Round(humidity * Deci) : null;
}
