using System.Diagnostics;
using System.Globalization;
using System.Text.Json;
using App.Hosting;
using App.Live;
using App.Rounds;
using App.Stock;
using Husbandry.Feeding;
using Husbandry.Journal;
using Husbandry.Reasons;
using Ledger;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;

namespace Benchmarks;

/// <summary>The whole room at ten thousand enclosures and a million entries: round, logging, finding, memory.</summary>
internal static class RoomBenchmark
{
    private const int Due = 200;
    private const int Runs = 15;
    private const int WarmUp = 40;

    // As many acts as an evening has, so that what counts is the server at work and not its first minute.
    private const int Acts = 300;
    private const double Mega = 1024 * 1024;

    // A fixed hour: what counts as tonight must not hang on when the benchmark is run.
    private static readonly DateTimeOffset Now = new(DateTime.UtcNow.Date.AddHours(21), TimeSpan.Zero);

    public static async Task RunAsync(int small, int large, int entriesEach)
    {
        var few = await MeasureAsync(small, entriesEach);
        var many = await MeasureAsync(large, entriesEach);
        Say(
            $"round of {Due} due among {small:N0}: {few.Round.TotalMilliseconds:0.0} ms = {few.Round / few.Raw:0.0} × the raw read of the due rows (allowed 3)"
        );
        Say(
            $"round of {Due} due among {large:N0}: {many.Round.TotalMilliseconds:0.0} ms = {many.Round / many.Raw:0.0} × raw (allowed 3), {many.Round / few.Round:0.00} × that among {small:N0} (allowed 1.3)"
        );
        Say(
            $"the first round of a night among {large:N0}: {many.First.TotalMilliseconds:0} ms = {many.First / many.Raw:0} × raw"
        );
        Say(
            $"an act logged: {many.Log.TotalMilliseconds:0.0} ms = {many.Log / many.Insert:0.0} × a bare durable insert of the same rows, {many.Insert.TotalMilliseconds:0.0} ms (allowed 2)"
        );
        Say(
            $"finding in {large:N0}: {many.Find.TotalMilliseconds:0.0} ms in the middle, {many.FindMost.TotalMilliseconds:0.0} ms at most; the last stretch of the list {many.Deep / many.Shallow:0.0} × the first"
        );
        Say(
            $"memory of the server with {large:N0} animals and {large * entriesEach:N0} entries, after a round, lists and finds: {many.Memory / Mega:0} MB (allowed 300)"
        );
    }

    private sealed class FixedClock : TimeProvider
    {
        public override DateTimeOffset GetUtcNow() => Now;
    }

    private sealed record Result(
        TimeSpan Raw,
        TimeSpan First,
        TimeSpan Round,
        TimeSpan Log,
        TimeSpan Insert,
        TimeSpan Find,
        TimeSpan FindMost,
        TimeSpan Shallow,
        TimeSpan Deep,
        double Memory
    );

    private static async Task<Result> MeasureAsync(int animals, int entriesEach)
    {
        var folder = Directory.CreateTempSubdirectory("lantern-bench-").FullName;
        try
        {
            var options = new LanternOptions(5099, Path.Combine(folder, "lantern.db"), folder, false, null, null);
            var services = new ServiceCollection();
            services.AddSingleton(options);
            services.AddSingleton<TimeProvider>(new FixedClock());
            services.AddLogging();
            services.AddLedger();
            services.AddScoped<RoomNow>();
            services.AddScoped<RoundReader>();
            services.AddSingleton<LineCache>();
            services.AddSingleton<StockLists>();
            services.AddSingleton<LiveRoom>();
            await using var provider = services.BuildServiceProvider();
            await using (var scope = provider.CreateAsyncScope())
            {
                var file = scope.ServiceProvider.GetRequiredService<LedgerFile>();
                var db = scope.ServiceProvider.GetRequiredService<LanternDb>();
                await file.BringUpToDateAsync(db, Now, CancellationToken.None);
                await scope.ServiceProvider.RebuildIfRulesChangedAsync(Now);
                await RoomFill.WriteAsync(options.DataFile, animals, entriesEach, Due, Now);
                var room = await scope.ServiceProvider.GetRequiredService<RoomNow>().ReadAsync(CancellationToken.None);
                await scope.ServiceProvider.GetRequiredService<NightJudge>().RebuildAsync(room, CancellationToken.None);
                await scope.ServiceProvider.GetRequiredService<RoomNow>().ReadAsync(CancellationToken.None);
            }

            var clock = Stopwatch.StartNew();
            await RoundAsync(provider);
            var first = clock.Elapsed;
            for (var run = 0; run < WarmUp; run++)
            {
                await RoundAsync(provider);
                await ReadRawAsync(options.DataFile);
            }

            var (round, raw) = (new List<TimeSpan>(), new List<TimeSpan>());
            for (var run = 0; run < Runs; run++)
            {
                round.Add(await TimeAsync(() => RoundAsync(provider)));
                raw.Add(await TimeAsync(() => ReadRawAsync(options.DataFile)));
            }

            var (log, insert) = await LogAsync(provider, options.DataFile);
            var (find, most, shallow, deep) = await FindAsync(provider);
            // The server that is measured next takes the lock on the data folder.
            await provider.DisposeAsync();
            SqliteConnection.ClearAllPools();
            return new Result(
                Middle(raw),
                first,
                Middle(round),
                log,
                insert,
                find,
                most,
                shallow,
                deep,
                animals >= 10_000 ? await MemoryAsync(folder) : 0
            );
        }
        finally
        {
            SqliteConnection.ClearAllPools();
            Directory.Delete(folder, recursive: true);
        }
    }

    private static async Task RoundAsync(IServiceProvider provider)
    {
        await using var scope = provider.CreateAsyncScope();
        var view = await scope.ServiceProvider.GetRequiredService<RoundReader>().ReadAsync(CancellationToken.None);
        if (
            view.Progress.Total != Due
            || JsonSerializer.SerializeToUtf8Bytes(view, JsonSerializerOptions.Web).Length == 0
        )
        {
            throw new InvalidOperationException($"{view.Progress.Total} are due, not {Due}.");
        }
    }

    private static async Task ReadRawAsync(string path)
    {
        await using var connection = new SqliteConnection($"Data Source={path}");
        await connection.OpenAsync();
        await using var select = connection.CreateCommand();
        select.CommandText =
            "SELECT StockId, State, Here, Rack, Shelf, Slot, NextDueTicks, Hushed, Glance FROM Standings WHERE StockId IN (SELECT StockId FROM Standings WHERE Here = 1 AND NextDueTicks < $end UNION SELECT StockId FROM Standings WHERE Here = 1 AND Hushed = 1)";
        select.Parameters.AddWithValue("$end", Now.AddHours(12).UtcTicks);
        await using var reader = await select.ExecuteReaderAsync();
        var values = new object[reader.FieldCount];
        while (await reader.ReadAsync())
        {
            reader.GetValues(values);
        }
    }

    private static async Task<(TimeSpan Log, TimeSpan Insert)> LogAsync(IServiceProvider provider, string path)
    {
        var (log, insert) = (new List<TimeSpan>(), new List<TimeSpan>());
        List<StandingRow> rows;
        await using (var scope = provider.CreateAsyncScope())
        {
            var db = scope.ServiceProvider.GetRequiredService<LanternDb>();
            rows = await db.Standings.AsNoTracking().Take(Acts).ToListAsync();
        }

        foreach (var row in rows)
        {
            await using var scope = provider.CreateAsyncScope();
            var room = await scope.ServiceProvider.GetRequiredService<RoomNow>().ReadAsync(CancellationToken.None);
            var store = scope.ServiceProvider.GetRequiredService<JournalStore>();
            var entry = new NewEntry(Guid.NewGuid(), Occurrence.At(room.Now), null, new Watered(WaterKind.Dish));
            log.Add(await TimeAsync(() => store.WriteAsync(row.StockId, [entry], null, room, CancellationToken.None)));
            insert.Add(await TimeAsync(() => InsertRawAsync(path, entry, row)));
        }

        return (Middle(log), Middle(insert));
    }

    /// <summary>
    /// The same two rows written in one durable transaction, and nothing read or thought about: an entry, and the standing
    /// as it was before the act, so that as many pages change.
    /// </summary>
    private static async Task InsertRawAsync(string path, NewEntry entry, StandingRow former)
    {
        await using var connection = new SqliteConnection($"Data Source={path}");
        await connection.OpenAsync();
        await using var pragma = connection.CreateCommand();
        pragma.CommandText = "PRAGMA synchronous=FULL";
        await pragma.ExecuteNonQueryAsync();
        await using var transaction = connection.BeginTransaction();
        await using var insert = connection.CreateCommand();
        insert.CommandText =
            "INSERT INTO Entries (Id, StockId, FromTicks, ToTicks, WrittenTicks, WrittenBy, Act) VALUES ($id, $stock, $t, $t, $t, 'Keeper', $act); UPDATE Standings SET State = $state, Glance = $glance, NextDueTicks = $due WHERE StockId = $stock";
        insert.Parameters.AddWithValue("$id", Guid.NewGuid().ToString().ToUpperInvariant());
        insert.Parameters.AddWithValue("$stock", former.StockId.ToString().ToUpperInvariant());
        insert.Parameters.AddWithValue("$t", entry.When.To.UtcTicks);
        insert.Parameters.AddWithValue("$act", LedgerJson.Write(entry.Act));
        insert.Parameters.AddWithValue("$state", former.State);
        insert.Parameters.AddWithValue("$glance", former.Glance);
        insert.Parameters.AddWithValue("$due", former.NextDueTicks);
        await insert.ExecuteNonQueryAsync();
        await transaction.CommitAsync();
    }

    private static async Task<(TimeSpan Find, TimeSpan Most, TimeSpan Shallow, TimeSpan Deep)> FindAsync(
        IServiceProvider provider
    )
    {
        await using var scope = provider.CreateAsyncScope();
        var index = await scope.ServiceProvider.GetRequiredService<RoomNow>().IndexAsync(CancellationToken.None);
        var lists = scope.ServiceProvider.GetRequiredService<StockLists>();
        lists.Of(index, new StockQuery());
        string[] asked = ["spider 77", "a1-3", "albopilosus", "spdier", "albopilsus 12", "zz", "spider", "tliltocatl"];
        var times = asked
            .Select(text =>
            {
                var watch = Stopwatch.StartNew();
                lists.Of(index, new StockQuery(Find: text));
                return watch.Elapsed;
            })
            .ToList();
        TimeSpan Stretch(int from)
        {
            var watch = Stopwatch.StartNew();
            for (var k = 0; k < 200; k++)
            {
                _ = lists.Of(index, new StockQuery()).Skip(from).Take(100).Select(StockLine.Of).ToList();
            }

            return watch.Elapsed;
        }

        Stretch(0);
        return (Middle(times), times.Max(), Stretch(0), Stretch(index.Here.Count - 100));
    }

    /// <summary>Resident memory of the real server, once it has answered what an evening asks.</summary>
    private static async Task<double> MemoryAsync(string folder)
    {
        var program = Path.Combine(AppContext.BaseDirectory, "HushedLantern.dll");
        var start = new ProcessStartInfo("dotnet", [program]) { RedirectStandardOutput = true };
        start.Environment["LANTERN_DATA"] = folder;
        start.Environment["LANTERN_PORT"] = "5099";
        using var server = Process.Start(start)!;
        try
        {
            using var http = new HttpClient
            {
                BaseAddress = new Uri("http://127.0.0.1:5099"),
                Timeout = TimeSpan.FromMinutes(2),
            };
            for (var tries = 0; tries < 240; tries++)
            {
                try
                {
                    await http.GetStringAsync("/api/health");
                    break;
                }
                catch (HttpRequestException)
                {
                    await Task.Delay(250);
                }
            }

            foreach (
                var path in new[] { "round", "nightline", "stock", "stock?find=spdier", "shelves", "almanac", "round" }
            )
            {
                await http.GetStringAsync($"/api/{path}");
            }

            var status = await File.ReadAllLinesAsync($"/proc/{server.Id}/status");
            var resident = status.First(l => l.StartsWith("VmRSS:", StringComparison.Ordinal));
            return double.Parse(
                    resident.Split(' ', StringSplitOptions.RemoveEmptyEntries)[1],
                    CultureInfo.InvariantCulture
                ) * 1024;
        }
        finally
        {
            server.Kill();
            await server.WaitForExitAsync();
        }
    }

    private static async Task<TimeSpan> TimeAsync(Func<Task> work)
    {
        var clock = Stopwatch.StartNew();
        await work();
        return clock.Elapsed;
    }

    private static TimeSpan Middle(List<TimeSpan> times) => times.Order().ElementAt(times.Count / 2);

    private static void Say(FormattableString text) => Console.WriteLine(text.ToString(CultureInfo.InvariantCulture));
}
