using System.Diagnostics;
using System.Globalization;
using Husbandry.Journal;
using Husbandry.Larder;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Ledger;
using Microsoft.Data.Sqlite;

namespace Benchmarks;

/// <summary>The larder planned for two thousand animals, against loading them.</summary>
internal static class LarderBenchmark
{
    private const double AllowedRatio = 5;
    private const int Runs = 5;

    public static async Task RunAsync(int animals, int entriesEach)
    {
        var folder = Directory.CreateTempSubdirectory("lantern-bench-").FullName;
        try
        {
            var file = new LedgerFile(Path.Combine(folder, "lantern.db"));
            var now = new DateTimeOffset(2026, 11, 23, 21, 0, 0, TimeSpan.Zero);
            await using (var db = JournalBenchmark.Open(file))
            {
                await file.BringUpToDateAsync(db, now, CancellationToken.None);
            }

            await JournalBenchmark.FillAsync(file.Path, animals, entriesEach, now);
            await JournalBenchmark.RebuildAsync(file, now);
            var room = Room.At(RuleSet.Shipped, RoomStore.Fresh, now);
            var (loading, planning) = (new List<TimeSpan>(), new List<TimeSpan>());
            // The first run warms the file's pages and the code; of the others the middle one counts.
            for (var run = 0; run <= Runs; run++)
            {
                var watch = Stopwatch.StartNew();
                var standings = await LoadAsync(file);
                var loaded = watch.Elapsed;
                watch.Restart();
                var needs = RoomNeeds.Of(standings, room);
                LarderPlan.Of(needs.Needs, LarderStanding.Empty, [], needs.Enclosures, needs.Eaters, room);
                if (run > 0)
                {
                    loading.Add(loaded);
                    planning.Add(watch.Elapsed);
                }
            }

            var (load, plan) = (Middle(loading), Middle(planning));
            Console.WriteLine(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"larder planned for {animals:N0} animals {plan.TotalSeconds:0.00} s = {plan / load:0.0} × loading them, {load.TotalSeconds:0.00} s (allowed {AllowedRatio})"
                )
            );
        }
        finally
        {
            SqliteConnection.ClearAllPools();
            Directory.Delete(folder, recursive: true);
        }
    }

    private static async Task<IReadOnlyList<Standing>> LoadAsync(LedgerFile file)
    {
        await using var db = JournalBenchmark.Open(file);
        return await new JournalReader(db).StandingsAsync(here: true, CancellationToken.None);
    }

    private static TimeSpan Middle(List<TimeSpan> times) => times.Order().ElementAt(times.Count / 2);
}
