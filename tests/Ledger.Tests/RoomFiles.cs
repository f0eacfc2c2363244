using System.Text.Json;
using Husbandry.Journal;
using Microsoft.EntityFrameworkCore;

namespace Ledger.Tests;

/// <summary>Saves ledgers to room files and loads them, as the script does.</summary>
internal static class RoomFiles
{
    private static readonly CancellationToken Cancel = CancellationToken.None;

    private static LanternDb Open(LedgerFile at)
    {
        var options = new DbContextOptionsBuilder<LanternDb>();
        at.Configure(options);
        return new LanternDb(options.Options);
    }

    public static async Task SaveAsync(LedgerFile file, string path)
    {
        await using var db = Open(file);
        var writer = new RoomFileWriter(
            db,
            new RoomStore(db),
            RoomFiles.Rulebook(db, new RoomCache()),
            new LarderStore(db, new RoomCache()),
            new ChoreStore(db),
            new ContactStore(db),
            new ClimateStore(db, new RoomCache()),
            new SensorStore(db)
        );
        await writer.WriteAsync(path, Cancel);
    }

    public static RulebookStore Rulebook(LanternDb db, RoomCache cache) =>
        new(db, cache, new ClimateStore(db, cache), new SensorStore(db));

    public static async Task<LoadedRoom> LoadAsync(LedgerFile file, string path, DateTimeOffset now)
    {
        await using var stream = File.OpenRead(path);
        return await LoadAsync(file, stream, now);
    }

    public static async Task<LoadedRoom> LoadAsync(LedgerFile file, Stream stream, DateTimeOffset now)
    {
        var (room, problems) = RoomArchive.Open(stream);
        Assert.Empty(problems);
        using var opened = room!;
        await using var db = Open(file);
        var (cache, reader) = (new RoomCache(), new JournalReader(db));
        var loader = new RoomFileLoader(
            db,
            new RoomStore(db),
            new JournalImport(db, reader),
            RoomFiles.Rulebook(db, cache),
            new LarderStore(db, new RoomCache()),
            new ChoreStore(db),
            new ContactStore(db),
            new ClimateStore(db, cache),
            new SensorStore(db),
            cache
        );
        return await loader.LoadAsync(opened, now, Cancel);
    }

    /// <summary>Every standing, without the sequences in which its entries happened to be written.</summary>
    public static async Task<List<string>> StatesAsync(LedgerFile file)
    {
        await using var db = Open(file);
        var rows = await db.Standings.AsNoTracking().OrderBy(s => s.StockId).ToListAsync(Cancel);
        return
        [
            .. rows.Select(r =>
                JsonSerializer.Serialize(
                    LedgerJson.Read<Standing>(r.State) with
                    {
                        DetailsVersion = 0,
                        LatestSequence = 0,
                    },
                    LedgerJson.Options
                )
            ),
        ];
    }
}
