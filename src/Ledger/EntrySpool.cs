using Husbandry.Records;
using Husbandry.Rooms;
using Microsoft.Data.Sqlite;

namespace Ledger;

/// <summary>
/// Entries that are to be brought in, laid aside on the disk until each animal's turn comes: ten years of a room are not held in
/// memory at once. What it holds is nowhere but in a file without a name, and gone with it.
/// </summary>
public sealed class EntrySpool : IDisposable
{
    private readonly SqliteConnection aside;
    private readonly SqliteCommand add;

    /// <summary>Lays entries aside.</summary>
    /// <param name="entries">The entries, in any order.</param>
    /// <param name="room">The room, which says who wrote what bears no name.</param>
    /// <exception cref="SqliteException">The disk is full.</exception>
    public EntrySpool(IEnumerable<(Guid StockId, NewEntry Entry)> entries, Room room)
    {
        ArgumentNullException.ThrowIfNull(entries);
        // Without a name, SQLite keeps it in a file of its own making and takes it away in the end.
        aside = new SqliteConnection("Data Source=;Pooling=False");
        aside.Open();
        Run("PRAGMA journal_mode = OFF");
        Run("PRAGMA synchronous = OFF");
        Run(
            """
            CREATE TABLE Entries (Ordinal INTEGER PRIMARY KEY, Turn INTEGER, Id TEXT, StockId TEXT, FromTicks INTEGER, ToTicks INTEGER,
                OrderTicks INTEGER, Came INTEGER, WrittenTicks INTEGER, WrittenBy TEXT, Supersedes TEXT, Act TEXT, Against TEXT)
            """
        );
        add = aside.Statement(
            """
            INSERT INTO Entries (Id, StockId, FromTicks, ToTicks, OrderTicks, Came, WrittenTicks, WrittenBy, Supersedes, Act, Against)
            VALUES ($id, $stock, $from, $to, $order, $came, $written, $by, $supersedes, $act, $against)
            """,
            "$id",
            "$stock",
            "$from",
            "$to",
            "$order",
            "$came",
            "$written",
            "$by",
            "$supersedes",
            "$act",
            "$against"
        );
        Run("BEGIN");
        foreach (var (stockId, entry) in entries)
        {
            Add(stockId, entry, room);
        }

        Run("CREATE INDEX Ids ON Entries (Id)");
        Run("COMMIT");
    }

    /// <summary>Ids that are given to more than one of them.</summary>
    /// <param name="most">At most so many.</param>
    public IReadOnlyList<Guid> GivenTwice(int most) =>
        Read("SELECT Id FROM Entries GROUP BY Id HAVING COUNT(*) > 1 LIMIT $value", r => r.GetGuid(0), most);

    /// <summary>Every id.</summary>
    public IReadOnlyList<Guid> Ids() => Read("SELECT Id FROM Entries", r => r.GetGuid(0));

    /// <summary>The entry of an id.</summary>
    public EntryRow Find(Guid id) => Read($"SELECT {Columns} FROM Entries WHERE Id = $value LIMIT 1", Row, id)[0];

    /// <summary>Leaves out what is written already.</summary>
    public void PassOver(IEnumerable<Guid> ids)
    {
        using var drop = aside.Statement("DELETE FROM Entries WHERE Id = $id", "$id");
        foreach (var id in ids)
        {
            drop.Set(id);
            drop.ExecuteNonQuery();
        }
    }

    /// <summary>Numbers the entries in the order in which they were written, an animal's coming before what else was written then.</summary>
    /// <param name="after">The last number that is taken.</param>
    /// <returns>The animals, in the order of their first entries.</returns>
    public IReadOnlyList<Guid> Number(long after)
    {
        using (
            var number = aside.Statement(
                """
                UPDATE Entries SET Turn = t.Turn + $after FROM (
                    SELECT Ordinal, ROW_NUMBER() OVER (ORDER BY OrderTicks, Came DESC, Ordinal) AS Turn FROM Entries) AS t
                WHERE t.Ordinal = Entries.Ordinal
                """,
                "$after"
            )
        )
        {
            number.Set(after);
            number.ExecuteNonQuery();
        }

        Run("CREATE INDEX Turns ON Entries (StockId, Turn)");
        return Read("SELECT StockId FROM Entries GROUP BY StockId ORDER BY MIN(Turn)", r => r.GetGuid(0));
    }

    /// <summary>The entries of an animal, numbered, in order of writing.</summary>
    public IReadOnlyList<EntryRow> Of(Guid stockId) =>
        Read($"SELECT {Columns} FROM Entries WHERE StockId = $value ORDER BY Turn", Row, stockId);

    /// <inheritdoc/>
    public void Dispose()
    {
        add.Dispose();
        aside.Dispose();
    }

    private const string Columns =
        "IFNULL(Turn, 0), Id, StockId, FromTicks, ToTicks, WrittenTicks, WrittenBy, Supersedes, Act, Against";

    private static EntryRow Row(SqliteDataReader read) =>
        new()
        {
            Sequence = read.GetInt64(0),
            Id = read.GetGuid(1),
            StockId = read.GetGuid(2),
            FromTicks = read.GetInt64(3),
            ToTicks = read.GetInt64(4),
            WrittenTicks = read.GetInt64(5),
            WrittenBy = read.GetString(6),
            Supersedes = read.IsDBNull(7) ? null : read.GetGuid(7),
            Act = read.GetString(8),
            Against = read.IsDBNull(9) ? null : read.GetString(9),
        };

    private void Add(Guid stockId, NewEntry entry, Room room)
    {
        var row = Rows.Of(stockId, entry, room, sequence: 0);
        add.Set(
            row.Id,
            row.StockId,
            row.FromTicks,
            row.ToTicks,
            (entry.WrittenAt ?? entry.When.To).UtcTicks,
            entry.Act is Acquired,
            row.WrittenTicks,
            row.WrittenBy,
            row.Supersedes,
            row.Act,
            row.Against
        );
        add.ExecuteNonQuery();
    }

    private List<T> Read<T>(string sql, Func<SqliteDataReader, T> one, object? value = null)
    {
        using var command = value is null ? aside.Statement(sql) : aside.Statement(sql, "$value");
        command.Set(value is null ? [] : [value]);
        using var reader = command.ExecuteReader();
        var found = new List<T>();
        while (reader.Read())
        {
            found.Add(one(reader));
        }

        return found;
    }

    private void Run(string sql)
    {
        using var command = aside.Statement(sql);
        command.ExecuteNonQuery();
    }
}
