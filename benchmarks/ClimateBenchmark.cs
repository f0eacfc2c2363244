using System.Diagnostics;
using System.Globalization;
using Husbandry.Rulebook;
using Ledger;
using Microsoft.Data.Sqlite;
using Worlds;

namespace Benchmarks;

/// <summary>Five years of forty sensors drawn as a chart, against reading the same rows bare; and faults found in a made-up year.</summary>
internal static class ClimateBenchmark
{
    private const int Sensors = 40;
    private const int Years = 5;
    private const int DaysOfYear = 365;
    private const int ChartPoints = 360;
    private const double AllowedRatio = 3;
    private const double AllowedMs = 200;
    private const int Runs = 5;
    private static readonly DateTimeOffset Now = new(2026, 11, 23, 21, 0, 0, TimeSpan.Zero);

    public static async Task RunAsync(IReadOnlyList<int> seeds)
    {
        await ChartAsync();
        foreach (var seed in seeds)
        {
            Faults(seed);
        }
    }

    private static async Task ChartAsync()
    {
        var folder = Directory.CreateTempSubdirectory("lantern-bench-").FullName;
        try
        {
            var file = new LedgerFile(Path.Combine(folder, "lantern.db"));
            await using var db = JournalBenchmark.Open(file);
            await file.BringUpToDateAsync(db, Now, CancellationToken.None);
            var rows = Fill(file.Path);
            var store = new SensorStore(db);
            foreach (var days in new[] { 2, 30, 170, 365, Years * DaysOfYear })
            {
                await ChartAsync(store, file.Path, days, rows);
            }
        }
        finally
        {
            SqliteConnection.ClearAllPools();
            Directory.Delete(folder, recursive: true);
        }
    }

    private static async Task ChartAsync(SensorStore store, string path, int days, long rows)
    {
        var (charts, bare, memory) = (new List<double>(), new List<double>(), 0L);
        for (var run = 0; run <= Runs; run++)
        {
            var before = GC.GetTotalAllocatedBytes(precise: true);
            var watch = Stopwatch.StartNew();
            var spans = await store.SpansAsync([], Now.AddDays(-days), Now, ChartPoints, Now, default);
            var took = watch.Elapsed.TotalMilliseconds;
            memory = GC.GetTotalAllocatedBytes(precise: true) - before;
            watch.Restart();
            var read = Bare(path);
            if (run > 0)
            {
                charts.Add(took);
                bare.Add(watch.Elapsed.TotalMilliseconds);
            }

            if (spans.Count != Sensors || read == 0)
            {
                throw new InvalidOperationException("The chart lacks sensors.");
            }
        }

        charts.Sort();
        bare.Sort();
        var (chart, raw) = (charts[Runs / 2], bare[Runs / 2]);
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"chart of {days:N0} days × {Sensors} sensors ({rows:N0} rows in the file) {chart:0} ms = {chart / raw:0.0} × reading five years of days bare, {raw:0} ms (allowed {AllowedRatio}; {AllowedMs} ms), {memory / 1e6:0.0} MB allocated"
            )
        );
    }

    /// <summary>Hours and days of five years, ten minutes of one, minutes of a month, written bare.</summary>
    private static long Fill(string path)
    {
        using var connection = new SqliteConnection($"Data Source={path}");
        connection.Open();
        using var transaction = connection.BeginTransaction();
        using var command = connection.CreateCommand();
        command.Transaction = transaction;
        var rows = 0L;
        var end = Now.ToUnixTimeSeconds();
        for (var no = 1; no <= Sensors; no++)
        {
            command.CommandText = $"INSERT INTO Sensors (No, Id) VALUES ({no}, '{Guid.NewGuid()}')";
            command.ExecuteNonQuery();
            foreach (
                var (minutes, days) in new[]
                {
                    (10, DaysOfYear),
                    (60, Years * DaysOfYear),
                    (360, Years * DaysOfYear),
                    (1440, Years * DaysOfYear),
                    (10080, Years * DaysOfYear),
                }
            )
            {
                command.CommandText = $"""
                    WITH RECURSIVE t(s) AS (SELECT {(end - (days * 86400L))
                        / (minutes * 60)
                        * minutes
                        * 60} UNION ALL SELECT s + {minutes * 60} FROM t WHERE s + {minutes * 60} < {end})
                    INSERT INTO SensorSpans SELECT {no}, {minutes}, s, {minutes}, 2000 + s % 300, {minutes} * (2200 + s % 300), 2400 + s % 300, {minutes}, 500, {minutes} * 550, 600 FROM t
                    """;
                rows += command.ExecuteNonQuery();
            }

            command.CommandText = $"""
                WITH RECURSIVE t(s) AS (SELECT {end
                    - (30 * 86400L)} UNION ALL SELECT s + 60 FROM t WHERE s + 60 < {end})
                INSERT INTO SensorReadings SELECT {no}, s, 2200 + s % 300, 550 FROM t
                """;
            rows += command.ExecuteNonQuery();
        }

        transaction.Commit();
        return rows;
    }

    private static long Bare(string path)
    {
        using var connection = new SqliteConnection($"Data Source={path}");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText =
            "SELECT \"From\", Count, MinC, SumC, MaxC FROM SensorSpans WHERE Minutes = 1440 AND SensorNo = $no";
        var parameter = command.Parameters.Add("$no", SqliteType.Integer);
        var sum = 0L;
        for (var no = 1; no <= Sensors; no++)
        {
            parameter.Value = no;
            using var reader = command.ExecuteReader();
            while (reader.Read())
            {
                sum += reader.GetInt64(3);
            }
        }

        return sum;
    }

    private static void Faults(int seed)
    {
        var draws = new Draws(seed);
        var tally = FaultTally.Of(
            Enumerable.Range(0, Sensors).Select(i => new Air(draws, DaysOfYear, i % 4 == 0)),
            DaysOfYear,
            RuleSet.Shipped.Room.Climate.Alarms
        );
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"seed {seed}: {tally.Found} of {tally.Faults} faults found in time ({100.0 * tally.Found / tally.Faults:0.0} of 100, wanted 95); {tally.FalseAlarms} false alarms, {tally.FalseAlarms / tally.SensorQuarters:0.00} a sensor and quarter (allowed 1)"
            )
        );
    }
}
