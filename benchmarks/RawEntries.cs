using Microsoft.Data.Sqlite;

namespace Benchmarks;

/// <summary>Writes entries straight into the file, in one transaction.</summary>
internal static class RawEntries
{
    /// <summary>Writes one entry: animal, instant, act as JSON.</summary>
    public delegate Task Add(Guid animal, DateTimeOffset at, string act);

    /// <summary>Writes what is handed over, all of it or none.</summary>
    public static async Task WriteAsync(string path, Func<Add, Task> write)
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
        await write(
            async (animal, at, act) =>
            {
                id.Value = Guid.NewGuid().ToString().ToUpperInvariant();
                stock.Value = animal.ToString().ToUpperInvariant();
                ticks.Value = at.UtcTicks;
                text.Value = act;
                await insert.ExecuteNonQueryAsync();
            }
        );
        await transaction.CommitAsync();
    }
}
