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

/// <summary>One forecast of a molt with evidence, on one core.</summary>
internal static class ForecastBenchmark
{
    private const int Rounds = 2000;
    private const double AllowedMs = 0.3;

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
    }

    private static double Time(Func<double> work)
    {
        for (var i = 0; i < Rounds; i++)
        {
            work();
        }

        var clock = Stopwatch.StartNew();
        for (var i = 0; i < Rounds; i++)
        {
            work();
        }

        return clock.Elapsed.TotalMilliseconds / Rounds;
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
