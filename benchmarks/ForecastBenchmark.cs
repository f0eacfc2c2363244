using System.Diagnostics;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;
using Ledger;

namespace Benchmarks;

/// <summary>One forecast of a molt with evidence, the learning of a species, and the replay of a journal; on one core each.</summary>
internal static class ForecastBenchmark
{
    private const int Rounds = 2000;
    private const double AllowedMs = 0.3;
    private const int LearnedWaits = 2000;
    private const double LearningAllowedMs = 50;
    private const int ReplayedMolts = 10_000;
    private const double ReplayAllowedS = 30;

    public static void Run()
    {
        var now = new DateTimeOffset(2026, 11, 23, 21, 0, 0, TimeSpan.Zero);
        var room = Room.At(RuleSet.Shipped, RoomStore.Fresh with { ZoneId = "UTC" }, now);
        var standing = Animal(now);
        room = room.With(
            Lessons.Of([.. Enumerable.Range(0, 40).Select(_ => standing with { StockId = Guid.NewGuid() })], room)
        );
        var subject = Subject.Of(standing, room);
        double Forecast() => VigilForecast.OfMolt(LifeReading.Of(subject)).Value!.PremoltChance;

        var wait = new LogStudentWait(4.6, 0.3, 12);
        double Baseline()
        {
            var sum = 0.0;
            for (var d = 1; d <= 100; d++)
            {
                sum += wait.LogSurvival(new(d));
            }

            return sum;
        }

        var (forecast, hundred) = (Time(Forecast), Time(Baseline));
        var whole = Time(() => RoundLine.Of(Judgement.Of(standing, room)).Seconds);
        Console.WriteLine(
            $"forecast with evidence   {forecast:0.000} ms (allowed {AllowedMs}), {forecast / hundred:0.0} × a hundred tail probabilities"
        );
        Console.WriteLine($"whole judgement and line {whole:0.000} ms");
        Learning();
        Replaying();
    }

    /// <summary>A species of many waits, beside the least squares of a straight line through as many points.</summary>
    private static void Learning()
    {
        const int Each = 10;
        const int Times = 20;
        var random = new Random(3);
        var animals = Enumerable
            .Range(0, LearnedWaits / Each)
            .Select(_ =>
                (
                    Guid.NewGuid(),
                    (IReadOnlyList<PastWait>)
                        [
                            .. Enumerable
                                .Range(0, Each)
                                .Select(k => new PastWait(
                                    new IntervalPrior(Math.Log(60 + (10 * k)), 0.4, Math.Min(k, 8), 1.1),
                                    new(60 * Math.Exp(random.NextDouble())),
                                    new(1),
                                    true
                                )),
                        ]
                )
            )
            .ToList();
        var (x, y) = (
            Enumerable.Range(0, LearnedWaits).Select(k => (double)k).ToArray(),
            Enumerable.Range(0, LearnedWaits).Select(_ => random.NextDouble()).ToArray()
        );
        double Learn() => SpeciesLesson.Of(animals, RuleSet.Shipped.Room, missedShare: 0.05).Offset;
        double Line() => MathNet.Numerics.Fit.Line(x, y).B;
        var (learn, line) = (Time(Learn, Times), Time(Line, Times));
        Console.WriteLine(
            $"learning {LearnedWaits} waits      {learn:0.0} ms (allowed {LearningAllowedMs}), {learn / line:0} × a straight line through as many points"
        );
    }

    /// <summary>A journal with many molts gone through night by night, beside folding the same journal once.</summary>
    private static void Replaying()
    {
        var worlds = new List<Worlds.World>();
        for (var seed = 1; worlds.Sum(Molts) < ReplayedMolts; seed++)
        {
            worlds.Add(Worlds.WorldMaker.Make(Worlds.Habits.All[0], seed));
        }

        var journals = worlds.Select(w => (Room: WorldJournal.RoomOf(w), Journal: WorldJournal.Of(w))).ToList();
        var clock = Stopwatch.StartNew();
        foreach (var (_, journal) in journals)
        {
            foreach (var animal in journal.GroupBy(e => e.StockId))
            {
                Standing.Fold([.. animal]);
            }
        }

        var fold = clock.Elapsed.TotalSeconds;
        clock.Restart();
        foreach (var (room, journal) in journals)
        {
            Honesty(room, journal);
        }

        var replay = clock.Elapsed.TotalSeconds;
        Console.WriteLine(
            $"backtest of {worlds.Sum(Molts)} molts in {worlds.Count} rooms {replay:0.0} s (allowed {ReplayAllowedS}), {replay / fold:0} × folding the journals once"
        );

        static int Molts(Worlds.World world) => world.Animals.Sum(a => a.Notes.Count(n => n.What == Worlds.What.Molt));
        static void Honesty(Room room, List<JournalEntry> journal) =>
            Husbandry.Honesty.Replay.Of(journal, room, RuleHistory.Always(RuleSet.Shipped));
    }

    private static double Time(Func<double> work, int rounds = Rounds)
    {
        for (var i = 0; i < rounds; i++)
        {
            work();
        }

        var clock = Stopwatch.StartNew();
        for (var i = 0; i < rounds; i++)
        {
            work();
        }

        return clock.Elapsed.TotalMilliseconds / rounds;
    }

    private static Standing Animal(DateTimeOffset now)
    {
        var id = Guid.NewGuid();
        var entries = new List<JournalEntry>();
        void Add(double ago, Act act)
        {
            var at = now.AddDays(-ago);
            entries.Add(
                new JournalEntry(Guid.NewGuid(), id, entries.Count + 1, Occurrence.At(at), at, "Keeper", null, act)
            );
        }

        var details = JournalBenchmark.Details(DateOnly.FromDateTime(now.AddDays(-900).DateTime));
        Add(899, new Acquired(details, new Place("A", 1, 1)));
        Add(890, new Measured(BodyPart.LegSpan, 30));
        foreach (var ago in new[] { 800, 700, 580, 450, 310, 160 })
        {
            Add(ago + 5, new SignSeen("dull"));
            Add(ago, new Molted());
            Add(ago, new Measured(BodyPart.Carapace, 4 * Math.Pow(1.28, (900 - ago) / 130.0), true));
        }

        for (var ago = 150; ago > 30; ago -= 8)
        {
            Add(ago, new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.Eaten));
        }

        Add(20, new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.BattedAway, false));
        Add(12, new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.Fled, false));
        Add(9, new SignSeen("plump"));
        Add(6, new SignSeen("dark-under-hair"));
        Add(3, new Looked());
        return Standing.Fold(entries)!;
    }
}
