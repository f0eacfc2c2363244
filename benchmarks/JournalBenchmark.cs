using System.Diagnostics;
using System.Globalization;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;
using Ledger;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Benchmarks;

/// <summary>A journal of a million entries, read raw and replayed into standings.</summary>
internal static class JournalBenchmark
{
    private const double AllowedRatio = 4;
    private const double Mega = 1024 * 1024;

    public static StockDetails Details(DateOnly acquiredOn) =>
        new(
            StockKind.Specimen,
            "tarantula",
            "tliltocatl-albopilosus",
            null,
            "Bench",
            Sex.Female,
            acquiredOn,
            null,
            3,
            false,
            null,
            1
        );

    public static async Task RunAsync(int animals, int entriesEach)
    {
        var folder = Directory.CreateTempSubdirectory("lantern-bench-").FullName;
        try
        {
            var file = new LedgerFile(Path.Combine(folder, "lantern.db"));
            var now = new DateTimeOffset(2026, 11, 23, 21, 0, 0, TimeSpan.Zero);
            await using (var db = Open(file))
            {
                await file.BringUpToDateAsync(db, now, CancellationToken.None);
            }

            await FillAsync(file.Path, animals, entriesEach, now);
            // Once to warm the file's pages and the code, then measured.
            await ReadRawAsync(file.Path);
            await FoldAsync(file);
            var (raw, rows) = await ReadRawAsync(file.Path);
            GC.Collect();
            var before = GC.GetTotalMemory(forceFullCollection: true);
            var (fold, standings, most) = await FoldAsync(file);
            Console.WriteLine(
                string.Create(CultureInfo.InvariantCulture, $"{rows:N0} entries read raw     {raw.TotalSeconds:0.00} s")
            );
            Console.WriteLine(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"replayed into {standings:N0} standings {fold.TotalSeconds:0.00} s = {fold / raw:0.0} × raw (allowed {AllowedRatio}); memory at most {(most - before) / Mega:0} MB above the start"
                )
            );
            var rebuild = await RebuildAsync(file, now);
            Console.WriteLine(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"replayed, judged and written back {rebuild.TotalSeconds:0.00} s = {rebuild / raw:0.0} × raw"
                )
            );
        }
        finally
        {
            SqliteConnection.ClearAllPools();
            Directory.Delete(folder, recursive: true);
        }
    }

    internal static LanternDb Open(LedgerFile file)
    {
        var options = new DbContextOptionsBuilder<LanternDb>();
        file.Configure(options);
        return new LanternDb(options.Options);
    }

    internal static Task FillAsync(string path, int animals, int entriesEach, DateTimeOffset now) =>
        RawEntries.WriteAsync(path, add => FillAsync(add, animals, entriesEach, now));

    private static async Task FillAsync(RawEntries.Add add, int animals, int entriesEach, DateTimeOffset now)
    {
        var ids = Enumerable.Range(0, animals).Select(_ => Guid.NewGuid()).ToList();
        var came = LedgerJson.Write(
            new Acquired(Details(DateOnly.FromDateTime(now.AddDays(-entriesEach - 2).DateTime)), new Place("A", 1, 1))
        );
        var daily = new[]
        {
            LedgerJson.Write(new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.Eaten)),
            LedgerJson.Write(new Watered(WaterKind.Dish)),
            LedgerJson.Write(new Looked()),
            LedgerJson.Write(new SignSeen("plump")),
            LedgerJson.Write(new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.BattedAway, false)),
            LedgerJson.Write(new Watered(WaterKind.Mist)),
        };
        var molted = LedgerJson.Write(new Molted());
        for (var day = 0; day < entriesEach; day++)
        {
            for (var k = 0; k < animals; k++)
            {
                await add(
                    ids[k],
                    now.AddDays(day - entriesEach),
                    day == 0 ? came
                        : day % 40 == 39 ? molted
                        : daily[(day + k) % daily.Length]
                );
            }
        }
    }

    /// <summary>Every row in the order of the replay, every column taken out and nothing done with it.</summary>
    private static async Task<(TimeSpan Took, long Rows)> ReadRawAsync(string path)
    {
        await using var connection = new SqliteConnection($"Data Source={path}");
        await connection.OpenAsync();
        await using var select = connection.CreateCommand();
        select.CommandText =
            "SELECT Sequence, Id, StockId, FromTicks, ToTicks, WrittenTicks, WrittenBy, Supersedes, Act, Against FROM Entries ORDER BY StockId, Sequence";
        var clock = Stopwatch.StartNew();
        var rows = 0L;
        await using var reader = await select.ExecuteReaderAsync();
        var values = new object[reader.FieldCount];
        while (await reader.ReadAsync())
        {
            reader.GetValues(values);
            rows++;
        }

        return (clock.Elapsed, rows);
    }

    private static async Task<(TimeSpan Took, int Standings, long MostBytes)> FoldAsync(LedgerFile file)
    {
        await using var db = Open(file);
        var clock = Stopwatch.StartNew();
        var (standings, most) = (0, 0L);
        await foreach (var _ in new JournalReader(db).FoldAllAsync(CancellationToken.None))
        {
            if (++standings % 500 == 0)
            {
                most = Math.Max(most, GC.GetTotalMemory(forceFullCollection: false));
            }
        }

        return (clock.Elapsed, standings, most);
    }

    internal static async Task<TimeSpan> RebuildAsync(LedgerFile file, DateTimeOffset now)
    {
        await using var db = Open(file);
        var room = Room.At(RuleSet.Shipped, RoomStore.Fresh with { ZoneId = "UTC" }, now);
        var clock = Stopwatch.StartNew();
        await new NightJudge(db, new JournalReader(db), new RoomCache()).RebuildAsync(room, CancellationToken.None);
        return clock.Elapsed;
    }
}
