using Husbandry.Journal;
using Husbandry.Stock;
using Ledger;
using Microsoft.Data.Sqlite;

namespace Benchmarks;

/// <summary>Writes the journal of a large room straight into the file.</summary>
internal static class RoomFill
{
    /// <summary>Writes so many animals with so many entries each; as many as asked for are due tonight.</summary>
    public static async Task WriteAsync(string path, int animals, int entriesEach, int due, DateTimeOffset now)
    {
        await using var connection = new SqliteConnection($"Data Source={path}");
        await connection.OpenAsync();
        await using var transaction = connection.BeginTransaction();
        await using var insert = connection.CreateCommand();
        insert.CommandText =
            "INSERT INTO Entries (Id, StockId, FromTicks, ToTicks, WrittenTicks, WrittenBy, Act) VALUES ($id, $stock, $t, $t, $t, 'Keeper', $act)";
        var (id, stock, ticks, text) = (
            insert.Parameters.Add("$id", SqliteType.Text),
            insert.Parameters.Add("$stock", SqliteType.Text),
            insert.Parameters.Add("$t", SqliteType.Integer),
            insert.Parameters.Add("$act", SqliteType.Text)
        );
        var fed = LedgerJson.Write(new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.Eaten));
        var watered = LedgerJson.Write(new Watered(WaterKind.Dish));
        var looked = LedgerJson.Write(new Looked());
        var molted = LedgerJson.Write(new Molted());
        var measured = LedgerJson.Write(new Measured(BodyPart.LegSpan, 60));
        async Task Add(Guid animal, DateTimeOffset at, string act)
        {
            id.Value = Guid.NewGuid().ToString().ToUpperInvariant();
            stock.Value = animal.ToString().ToUpperInvariant();
            ticks.Value = at.UtcTicks;
            text.Value = act;
            await insert.ExecuteNonQueryAsync();
        }

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
            await Add(animal, now.AddDays(-600), LedgerJson.Write(new Acquired(details, place)));
            await Add(animal, now.AddDays(-130), molted);
            await Add(animal, now.AddDays(-20), measured);
            for (var n = 0; n < entriesEach - 5; n++)
            {
                await Add(
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
            await Add(animal, now.AddDays(hungry ? -9 : -0.9), fed);
            await Add(animal, now.AddDays(-0.8), watered);
        }

        await transaction.CommitAsync();
    }
}
