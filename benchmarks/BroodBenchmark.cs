using System.Diagnostics;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Nursery;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Benchmarks;

/// <summary>What the page of a brood with many entries costs, against folding its journal once.</summary>
internal static class BroodBenchmark
{
    private const int Entries = 2_000;
    private const int Nights = 900;
    private const int Rounds = 40;

    public static void Run()
    {
        var settings = new RoomSettings(
            "Bench",
            "Keeper",
            "UTC",
            NightClock.DefaultCutoverHour,
            LengthUnit.Mm,
            FirstMealSchool.Default,
            CadenceSchool.Default,
            AfterPairingSchool.Steady
        );
        var now = new DateTimeOffset(2026, 11, 23, 21, 0, 0, TimeSpan.Zero);
        var room = Room.At(RuleSet.Shipped, settings, now);
        var journal = Journal(now);
        var fold = Time(() => Standing.Fold(journal));
        var standing = Standing.Fold(journal)!;
        var page = Time(() =>
        {
            var j = Judgement.Of(standing, room);
            _ = BroodCurve.Of(j.Subject);
            _ = BroodMeasure.Of(j.Subject, [j.Subject]);
            _ = BroodRiver.Of(j.Subject);
            _ = CountBook.Of(j.Subject);
            return BroodRange.Of(j.Subject);
        });
        Console.WriteLine(
            FormattableString.Invariant(
                $"brood: a page over {Entries} entries takes {page / fold:0.00} × folding them once ({page:0.0} ms; goal 100 ms to answer)"
            )
        );
    }

    private static double Time<T>(Func<T> work)
    {
        for (var warm = 0; warm < 5; warm++)
        {
            work();
        }

        var clock = Stopwatch.StartNew();
        for (var round = 0; round < Rounds; round++)
        {
            work();
        }

        return clock.Elapsed.TotalMilliseconds / Rounds;
    }

    private static List<JournalEntry> Journal(DateTimeOffset now)
    {
        var id = Guid.NewGuid();
        var came = now.AddDays(-Nights);
        var details = new StockDetails(
            StockKind.Brood,
            "mantis",
            "hierodula-membranacea",
            null,
            "Bench brood",
            Sex.Unknown,
            DateOnly.FromDateTime(came.DateTime),
            null,
            0,
            false,
            DateOnly.FromDateTime(came.DateTime),
            1_900
        );
        JournalEntry Entry(int number, Act act) =>
            new(
                Guid.NewGuid(),
                id,
                number,
                Occurrence.At(came.AddDays((double)Nights * number / Entries)),
                now,
                "Keeper",
                null,
                act
            );
        Act Of(int number) =>
            number % 250 == 0
                ? new Molted()
                : (number % 4) switch
                {
                    0 => new Departed(DepartureKind.Died, null, 1, (LossCause)(number / 4 % 8)),
                    1 => new Departed(DepartureKind.Sold, null, 1),
                    2 => new Gained(GainKind.Born, 1),
                    _ => new Gained(GainKind.PutIn, 1),
                };
        return
        [
            Entry(0, new Acquired(details, new Place("A", 1, 1))),
            .. Enumerable.Range(1, Entries - 1).Select(n => Entry(n, Of(n))),
        ];
    }
}
