using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Ledger.Tests;

/// <summary>A ledger in a folder of its own, on a fixed evening.</summary>
public abstract class LedgerFolder : IAsyncLifetime
{
    protected static readonly DateTimeOffset Evening = new(2026, 11, 23, 21, 0, 0, TimeSpan.Zero);
    protected static readonly Room Room = Room.At(RuleSet.Shipped, RoomStore.Fresh with { ZoneId = "UTC" }, Evening);
    protected static readonly CancellationToken Cancel = CancellationToken.None;

    protected string Folder { get; } = Directory.CreateTempSubdirectory("lantern-ledger-").FullName;

    protected LedgerFile File { get; private set; } = null!;

    public async ValueTask InitializeAsync() => File = await MakeAsync("lantern.db");

    public ValueTask DisposeAsync()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(Folder, recursive: true);
        GC.SuppressFinalize(this);
        return ValueTask.CompletedTask;
    }

    /// <summary>Makes another, empty ledger in a folder of its own.</summary>
    protected async Task<LedgerFile> MakeAsync(string name)
    {
        var file = new LedgerFile(Path.Combine(Folder, Path.GetFileNameWithoutExtension(name), "lantern.db"));
        await using var db = Open(file);
        await file.BringUpToDateAsync(db, Evening, Cancel);
        return file;
    }

    protected LanternDb Open() => Open(File);

    protected static LanternDb Open(LedgerFile at)
    {
        var options = new DbContextOptionsBuilder<LanternDb>();
        at.Configure(options);
        return new LanternDb(options.Options);
    }

    /// <summary>Runs a statement as it stands.</summary>
    protected static async Task RunAsync(LanternDb db, string sql)
    {
        await db.Database.OpenConnectionAsync(Cancel);
        await using var command = db.Database.GetDbConnection().CreateCommand();
        command.CommandText = sql;
        await command.ExecuteNonQueryAsync(Cancel);
    }

    protected async Task<Guid> AddAsync(string place)
    {
        var id = Guid.NewGuid();
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(id, Came(place))).Outcome);
        return id;
    }

    protected async Task<WriteResult> WriteAsync(Guid stockId, NewEntry entry)
    {
        await using var db = Open();
        return await new JournalStore(db, new JournalReader(db), new RoomCache()).WriteAsync(
            stockId,
            [entry],
            null,
            Room,
            Cancel
        );
    }

    protected static NewEntry Came(string place, StockDetails? details = null) =>
        Entry(300, new Acquired(details ?? Details(), Place.Parse(place)!));

    protected static NewEntry Entry(double nightsAgo, Act act, double? notBefore = null) =>
        new(
            Guid.NewGuid(),
            new Occurrence(Evening.AddDays(-(notBefore ?? nightsAgo)), Evening.AddDays(-nightsAgo)),
            null,
            act
        );

    protected static StockDetails Details(
        string group = "tarantula",
        string species = "tliltocatl-albopilosus",
        StockKind kind = StockKind.Specimen
    ) =>
        new(
            kind,
            group,
            species,
            null,
            "Tansy",
            Sex.Female,
            new DateOnly(2026, 1, 1),
            null,
            4,
            false,
            null,
            kind == StockKind.Specimen ? 1 : 20
        );
}
