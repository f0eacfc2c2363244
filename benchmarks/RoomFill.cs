using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;
using Ledger;

namespace Benchmarks;

/// <summary>Writes the journal of a large room straight into the file.</summary>
internal static class RoomFill
{
    /// <summary>Writes so many animals with so many entries each; as many as asked for are due tonight.</summary>
    public static Task WriteAsync(string path, int animals, int entriesEach, int due, DateTimeOffset now) =>
        RawEntries.WriteAsync(path, add => FillAsync(add, animals, entriesEach, due, now));

    private static async Task FillAsync(RawEntries.Add add, int animals, int entriesEach, int due, DateTimeOffset now)
    {
        var fed = LedgerJson.Write(new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.Eaten));
        var watered = LedgerJson.Write(new Watered(WaterKind.Dish));
        var looked = LedgerJson.Write(new Looked());
        var molted = LedgerJson.Write(new Molted());
        var measured = LedgerJson.Write(new Measured(BodyPart.LegSpan, 60));
        for (var k = 0; k < animals; k++)
        {
            var animal = Guid.NewGuid();
            var place = new Place(
                $"{(char)('A' + (k / 5200))}{(char)('A' + (k / 200 % 26))}",
                1 + (k / 20 % 10),
                1 + (k % 20)
            );
            var details = JournalBenchmark.Details(DateOnly.FromDateTime(now.AddDays(-600).Date)) with
            {
                Nickname = $"Spider {k}",
            };
            await add(animal, now.AddDays(-600), LedgerJson.Write(new Acquired(details, place)));
            await add(animal, now.AddDays(-130), molted);
            await add(animal, now.AddDays(-20), measured);
            for (var n = 0; n < entriesEach - 5; n++)
            {
                await add(
                    animal,
                    now.AddDays(-110 + (n * 100.0 / entriesEach)),
                    (n % 8) switch
                    {
                        0 => fed,
                        7 => looked,
                        _ => watered,
                    }
                );
            }

            // Most were seen to tonight already; the same few hundred are hungry.
            var hungry = k % (animals / due) == 0;
            await add(animal, now.AddDays(hungry ? -9 : -0.9), fed);
            await add(animal, now.AddDays(-0.8), watered);
        }
    }
}
