using System.Diagnostics;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Ledger;

namespace Benchmarks;

/// <summary>The race of two hundred females, beside judging them, and a large pedigree beside reading it once.</summary>
internal static class PairingBenchmark
{
    private const int Females = 200;
    private const double AllowedS = 0.5;
    private const int Animals = 20_000;

    public static void Run()
    {
        var now = new DateTimeOffset(2026, 11, 23, 21, 0, 0, TimeSpan.Zero);
        var room = Room.At(RuleSet.Shipped, RoomStore.Fresh with { ZoneId = "UTC" }, now);
        List<Standing> all = [.. Enumerable.Range(0, Females).Select(k => Female(now, 30 + k))];
        List<Judgement> judged = [];
        void Judge() => judged = [.. all.Select(s => Judgement.Of(s, room))];
        void Race() => judged.ForEach(j => Candidate.Of(j.Mate));
        // Once to warm up.
        Judge();
        Race();
        var (judging, racing) = (Time(Judge), Time(Race));
        Console.WriteLine(
            $"race of {Females} females {racing:0.00} s (allowed {AllowedS}), {racing / judging:0.0} × judging them"
        );

        var random = new Random(15);
        string? Some(int before) => before == 0 ? null : $"{random.Next(before)}";
        List<Parentage> family = [.. Enumerable.Range(0, Animals).Select(k => new Parentage($"{k}", Some(k), Some(k)))];
        var known = 0;
        var reading = Time(() => known = family.ToDictionary(a => a.Id).Count);
        var kinship = Time(() => known = Pedigree.Of(family).Loop.Count);
        Console.WriteLine(
            $"inbreeding of {Animals} animals {kinship:0.00} s, {kinship / reading:0} × reading them once ({known} loops)"
        );
    }

    private static Standing Female(DateTimeOffset now, int nightsSinceMolt)
    {
        var id = Guid.NewGuid();
        var details = new StockDetails(
            StockKind.Specimen,
            "tarantula",
            "tliltocatl-albopilosus",
            null,
            "She",
            Sex.Female,
            DateOnly.FromDateTime(now.AddDays(-900).DateTime),
            null,
            8,
            false,
            null,
            1
        );
        var sequence = 0;
        JournalEntry Entry(int nightsAgo, Act act) =>
            new(
                Guid.NewGuid(),
                id,
                ++sequence,
                Husbandry.Reasons.Occurrence.At(now.AddDays(-nightsAgo)),
                now,
                "Keeper",
                null,
                act
            );
        return Standing.Fold([
            Entry(900, new Acquired(details, new Place("A", 1, 1))),
            Entry(nightsSinceMolt + 260, new Molted(Ultimate: true)),
            Entry(nightsSinceMolt, new Molted()),
            Entry(2, new FangsChecked(true)),
        ])!;
    }

    private static double Time(Action work)
    {
        var clock = Stopwatch.StartNew();
        work();
        return clock.Elapsed.TotalSeconds;
    }
}
