using System.Diagnostics;
using System.Globalization;
using Husbandry.Honesty;
using Husbandry.Rulebook;
using Worlds;

namespace Benchmarks;

/// <summary>Forecasts held against rooms of another make: six kinds of keeper, any seed.</summary>
internal static class WorldsBenchmark
{
    /// <param name="seeds">A room of every kind for each of them.</param>
    public static void Run(IReadOnlyList<int> seeds)
    {
        var all = new List<ScoredForecast>();
        var readings = new List<ScoredReading>();
        foreach (var habits in Habits.All)
        {
            var ofKeeper = new List<ScoredForecast>();
            var readOfKeeper = new List<ScoredReading>();
            var clock = Stopwatch.StartNew();
            foreach (var seed in seeds)
            {
                var world = WorldMaker.Make(habits, seed);
                var room = WorldJournal.RoomOf(world);
                var result = Replay.Of(WorldJournal.Of(world), room, RuleHistory.Always(RuleSet.Shipped));
                ofKeeper.AddRange(result.Forecasts);
                readOfKeeper.AddRange(result.Readings);
            }

            all.AddRange(ofKeeper);
            readings.AddRange(readOfKeeper);
            Say(habits.Name, ofKeeper, readOfKeeper);
            Console.Error.WriteLine($"{clock.Elapsed.TotalSeconds:0.0} s");
        }

        Console.WriteLine();
        foreach (var group in all.GroupBy(f => (f.Vigil, f.Group)).OrderBy(g => g.Key.Vigil).ThenBy(g => g.Key.Group))
        {
            Say(
                $"{group.Key.Vigil} {group.Key.Group}",
                [.. group],
                group.Key.Vigil == VigilKind.Molt ? [.. readings.Where(r => r.Group == group.Key.Group)] : []
            );
        }

        Console.WriteLine();
        Say("all", all, readings);
    }

    private static void Say(string name, List<ScoredForecast> all, List<ScoredReading> readings)
    {
        if (all.Count == 0)
        {
            return;
        }

        var there = all.Where(f => f.LastInterval is not null).ToList();
        var auc = Scores.AreaUnderRoc([.. readings.Select(r => (r.Chance, r.Followed, r.Weight))]);
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"{name, -26}{all.Count, 7}  cover {Mean(all, f => f.EngineGave.Covered) * 100, 5:0.0} (rulebook {Mean(all, f => f.SpeciesPriorGave.Covered) * 100, 5:0.0})  pinball {Mean(all, f => f.Pinball(f.Engine)), 6:0.00} rulebook {Mean(all, f => f.Pinball(f.SpeciesPrior)), 6:0.00}  there {Mean(there, f => f.Pinball(f.Engine)), 6:0.00} last {Mean(there, f => f.Pinball(f.LastInterval!)), 6:0.00}  AUC {auc, 5:0.000}  early {Mean(all, f => f.EngineGave.By < 0.1 ? 1 : 0) * 100, 4:0.0} late {Mean(all, f => f.EngineGave.Before > 0.9 ? 1 : 0) * 100, 4:0.0}"
            )
        );
    }

    private static double Mean(List<ScoredForecast> all, Func<ScoredForecast, double> of) =>
        Scores.Mean(all.Select(f => (of(f), f.Weight))) ?? 0;
}
