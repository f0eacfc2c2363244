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
    /// <param name="scatter">Coefficient of variation of one animal's waits about their mean.</param>
    public static void Run(IReadOnlyList<int> seeds, double scatter)
    {
        var all = new List<ScoredForecast>();
        var readings = new List<ScoredReading>();
        var bounds = new List<Bound>();
        var told = new List<Told>();
        foreach (var habits in Habits.All)
        {
            var ofKeeper = new List<ScoredForecast>();
            var readOfKeeper = new List<ScoredReading>();
            var clock = Stopwatch.StartNew();
            foreach (var seed in seeds)
            {
                var world = WorldMaker.Make(habits, seed, scatter);
                var room = WorldJournal.RoomOf(world);
                var result = Replay.Of(WorldJournal.Of(world), room, RuleHistory.Always(RuleSet.Shipped));
                bounds.AddRange(result.Forecasts.Select(f => Bound.Of(world, f)).OfType<Bound>());
                told.AddRange(result.Readings.Select(r => Told.Of(world, r)).OfType<Told>());
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
        foreach (
            var g in all.GroupBy(f => $"{f.Vigil} age {f.AgeShare} own {f.LastInterval is not null}")
                .OrderBy(g => g.Key)
        )
        {
            Say(g.Key, [.. g], []);
        }
        Console.WriteLine();
        Say("all", all, readings);
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"premolt told apart: {Area(told, t => t.Engine):0.000}; by who knows the animal's pace and sees no signs, on the same readings: {Area(told, t => t.OfAnimal):0.000}"
            )
        );
        // As the goals have it: after two waits of its own against its own pace, before them against its kind.
        Held(
            "after two own waits against who knows the animal's pace",
            [.. bounds.Where(b => b.OwnWaits >= 2)],
            b => b.OfAnimal
        );
        Held("before against who knows the kind", [.. bounds.Where(b => b.OwnWaits < 2)], b => b.OfKind);
        Held("of these with one own wait", [.. bounds.Where(b => b.OwnWaits == 1)], b => b.OfKind);
        Held("of these with none", [.. bounds.Where(b => b.OwnWaits == 0)], b => b.OfKind);
    }

    private static void Held(string what, List<Bound> bounds, Func<Bound, double> bound) =>
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"loss {what}: {bounds.Sum(b => b.Engine) / bounds.Sum(bound):0.00} ({bounds.Count})"
            )
        );

    /// <summary>One premolt reading beside what somebody would say who knows the animal's own pace and the weather, but sees no signs.</summary>
    private sealed record Told(double Engine, double OfAnimal, bool Followed, double Weight)
    {
        private const int Steps = 25;

        public static Told? Of(World world, ScoredReading r)
        {
            var day =
                WorldJournal.DayOf(new DateTimeOffset(r.Night, TimeOnly.MinValue, TimeSpan.Zero)) + Bound.NightEnds;
            var kept = world.Animals.FirstOrDefault(a => WorldJournal.IdOf(world, a.Number) == r.StockId);
            var wait = kept?.Life.Waits.FirstOrDefault(w => w.From <= day && w.To > day);
            if (wait is null or { Pupa: true })
            {
                return null;
            }

            double[] chances = [.. Enumerable.Range(1, Steps - 1).Select(k => (double)k / Steps)];
            var nights = Knowing.TheAnimal(world, kept!.Life, wait, day, chances);
            var premolt = kept.Life.Kind.PremoltShare * wait.MeanWarmDays;
            // Beyond the last of them it is the likelier the shorter they are.
            var before = nights.Count(n => n <= premolt);
            return new Told(r.Chance, before + (premolt / (premolt + nights[^1])), r.Followed, r.Weight);
        }
    }

    /// <summary>Losses of one forecast of a molt that was seen, beside those of who knows more than any record tells.</summary>
    private sealed record Bound(int OwnWaits, double Engine, double OfAnimal, double OfKind)
    {
        private static readonly double[] Chances = [0.1, 0.5, 0.9];

        // The end of the night by which a forecast is made.
        public const double NightEnds = 1 + (4 / 24.0);

        public static Bound? Of(World world, ScoredForecast f)
        {
            var day = WorldJournal.DayOf(new DateTimeOffset(f.MadeOn, TimeOnly.MinValue, TimeSpan.Zero)) + NightEnds;
            var kept = world.Animals.FirstOrDefault(a => WorldJournal.IdOf(world, a.Number) == f.StockId);
            var wait = kept?.Life.Waits.FirstOrDefault(w => w.From <= day && w.To > day);
            if (f.Vigil != VigilKind.Molt || wait is null or { Pupa: true } || kept!.Unseen.Contains(wait.To))
            {
                return null;
            }

            double Loss(double[] q) => f.Weight * f.Pinball(new Quantiles(q[0], q[1], q[2]));
            return new Bound(
                OwnWaitsBy(kept, day),
                f.Weight * f.Pinball(f.Engine),
                Loss(Knowing.TheAnimal(world, kept.Life, wait, day, Chances)),
                Loss(Knowing.TheKind(world, kept.Life, wait, day, Chances))
            );
        }

        // Waits of it of which both ends were seen: the first molt seen here begins the first of them, hatching where its night is known.
        private static int OwnWaitsBy(Kept kept, double day)
        {
            var seen = kept.Life.Waits.Count(w => w.To > kept.CameOn && w.To <= day && !kept.Unseen.Contains(w.To));
            return Math.Max(0, kept.HatchedOn >= kept.CameOn ? seen : seen - 1);
        }
    }

    private static double? Area(List<Told> told, Func<Told, double> of) =>
        Scores.AreaUnderRoc([.. told.Select(t => (of(t), t.Followed, t.Weight))]);

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
