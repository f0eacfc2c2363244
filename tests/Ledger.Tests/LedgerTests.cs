using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rulebook;
using Husbandry.Vigils;
using Ledger.Safekeeping;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

namespace Ledger.Tests;

/// <summary>The ledger on a real SQLite file.</summary>
public sealed class LedgerTests : LedgerFolder
{
    [Fact]
    public async Task The_file_is_durable_wal_with_full_synchronous()
    {
        await using var db = Open();
        Assert.Equal("wal", await ScalarAsync(db, "PRAGMA journal_mode"));
        Assert.Equal("2", await ScalarAsync(db, "PRAGMA synchronous"));
    }

    [Theory]
    [InlineData("UPDATE Entries SET Act = ''")]
    [InlineData("DELETE FROM Entries")]
    public async Task The_journal_cannot_be_changed_even_by_hand(string sql)
    {
        await AddAsync("A1·01");
        await using var db = Open();
        var error = await Assert.ThrowsAsync<SqliteException>(() => db.Database.ExecuteSqlRawAsync(sql, Cancel));
        Assert.Contains("append-only", error.Message, StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_same_entry_sent_twice_is_written_once()
    {
        var id = await AddAsync("A1·01");
        var entry = Entry(1, new Watered(WaterKind.Dish));
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(id, entry)).Outcome);
        Assert.Equal(WriteOutcome.WrittenBefore, (await WriteAsync(id, entry)).Outcome);
        Assert.Equal(WriteOutcome.Conflict, (await WriteAsync(id, entry with { Act = new Looked() })).Outcome);
        await using var db = Open();
        Assert.Equal(2, await db.Entries.CountAsync(Cancel));
    }

    [Fact]
    public async Task Two_writers_at_once_both_get_their_turn()
    {
        var id = await AddAsync("A1·01");
        var results = await Task.WhenAll(
            Enumerable.Range(0, 8).Select(_ => Task.Run(() => WriteAsync(id, Entry(0, new Looked()))))
        );
        Assert.All(results, r => Assert.Equal(WriteOutcome.Written, r.Outcome));
        await using var db = Open();
        Assert.Equal(9, await db.Entries.CountAsync(Cancel));
    }

    [Fact]
    public async Task A_refused_entry_leaves_nothing_behind()
    {
        var id = Guid.NewGuid();
        NewEntry[] entries = [Came("A1·01"), Entry(0, new Measured(BodyPart.LegSpan, 4000))];
        await using (var db = Open())
        {
            var result = await new JournalStore(db, new JournalReader(db), new RoomCache()).WriteAsync(
                id,
                entries,
                null,
                Room,
                Cancel
            );
            Assert.Equal(WriteOutcome.Refused, result.Outcome);
            Assert.Equal("act.lengthMm", Assert.Single(result.Problems).Field);
        }

        await using var after = Open();
        Assert.Equal(0, await after.Entries.CountAsync(Cancel));
        Assert.Equal(0, await after.Standings.CountAsync(Cancel));
    }

    [Fact]
    public async Task A_place_is_taken_once_and_free_again_after_a_departure()
    {
        var first = await AddAsync("A1·01");
        Assert.Equal("place", Assert.Single((await WriteAsync(Guid.NewGuid(), Came("A1·01"))).Problems).Field);
        await WriteAsync(first, Entry(0, new Departed(DepartureKind.Sold)));
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(Guid.NewGuid(), Came("A1·01"))).Outcome);
    }

    [Fact]
    public async Task A_stale_version_is_a_conflict()
    {
        var id = await AddAsync("A1·01");
        await using var db = Open();
        var store = new JournalStore(db, new JournalReader(db), new RoomCache());
        var version = (await new JournalReader(db).StandingAsync(id, Cancel))!.DetailsVersion;
        var change = Entry(0, new DetailsChanged(Details() with { Nickname = "New name" }));
        Assert.Equal(WriteOutcome.Written, (await store.WriteAsync(id, [change], version, Room, Cancel)).Outcome);
        var late = Entry(0, new DetailsChanged(Details() with { Nickname = "Late name" }));
        Assert.Equal(WriteOutcome.Stale, (await store.WriteAsync(id, [late], version, Room, Cancel)).Outcome);
    }

    [Fact]
    public async Task An_entry_can_be_corrected_once_and_only_by_its_kind()
    {
        var id = await AddAsync("A1·01");
        var wrong = Entry(1, new Measured(BodyPart.LegSpan, 50));
        await WriteAsync(id, wrong);
        var otherKind = Entry(1, new Looked()) with { Supersedes = wrong.Id };
        Assert.Equal("act.kind", Assert.Single((await WriteAsync(id, otherKind)).Problems).Field);
        var right = Entry(1, new Measured(BodyPart.LegSpan, 55)) with { Supersedes = wrong.Id };
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(id, right)).Outcome);
        var again = Entry(1, new Measured(BodyPart.LegSpan, 56)) with { Supersedes = wrong.Id };
        Assert.Equal(WriteOutcome.Conflict, (await WriteAsync(id, again)).Outcome);
        await using var db = Open();
        Assert.Equal(
            [55],
            (await new JournalReader(db).StandingAsync(id, Cancel))!.Growth.Measures.Select(m => m.LengthMm)
        );
    }

    [Fact]
    public async Task The_entry_by_which_an_animal_came_cannot_be_taken_back()
    {
        var id = Guid.NewGuid();
        var came = Came("A1·01");
        await WriteAsync(id, came);
        Assert.Equal(WriteOutcome.Refused, (await WriteAsync(id, Entry(0, new Withdrawn(came.Id)))).Outcome);
    }

    [Fact]
    public async Task Rebuilding_all_standings_gives_what_writing_them_one_by_one_gave()
    {
        var random = new Random(4711);
        for (var animal = 0; animal < 6; animal++)
        {
            var id = await AddAsync($"A1·{animal + 1:00}");
            var written = new List<Guid>();
            for (var k = 0; k < 40; k++)
            {
                // Out of order on purpose, with entries taken back now and then.
                var entry =
                    written.Count > 3 && random.Next(8) == 0
                        ? Entry(0, new Withdrawn(written[random.Next(written.Count)]))
                        : Entry(random.Next(0, 200), Some(random.Next(9)));
                if ((await WriteAsync(id, entry)).Outcome == WriteOutcome.Written && entry.Act is not Withdrawn)
                {
                    written.Add(entry.Id);
                }
            }
        }

        var before = await SnapshotAsync();
        await using (var db = Open())
        {
            await new NightJudge(db, new JournalReader(db), new RoomCache()).RebuildAsync(Room, Cancel);
        }

        Assert.Equal(before, await SnapshotAsync());
    }

    [Fact]
    public async Task A_copy_made_while_in_use_holds_everything()
    {
        var id = await AddAsync("A1·01");
        var backups = new Backups(File);
        var copy = backups.PathOf(await backups.MakeAsync(BackupReason.ByHand, Evening, Cancel));
        await using var db = new LanternDb(
            new DbContextOptionsBuilder<LanternDb>().UseSqlite($"Data Source={copy}").Options
        );
        Assert.Equal(id, (await db.Entries.SingleAsync(Cancel)).StockId);
    }

    [Fact]
    public async Task A_start_that_was_killed_half_way_is_gone_on_with()
    {
        await using var db = Open();
        await db.Database.ExecuteSqlRawAsync(
            "CREATE TABLE IF NOT EXISTS \"__EFMigrationsLock\" (Id INTEGER PRIMARY KEY, Timestamp TEXT); INSERT OR REPLACE INTO \"__EFMigrationsLock\" VALUES (1, '');",
            Cancel
        );
        // Whoever holds the folder is alone with the file: the row of a killed process is taken away.
        Assert.Null(await File.BringUpToDateAsync(db, Evening, Cancel));
        Assert.Empty(await db.Database.GetPendingMigrationsAsync(Cancel));
    }

    [Fact]
    public async Task A_file_of_a_newer_version_is_refused()
    {
        await using var db = Open();
        await db.Database.ExecuteSqlRawAsync(
            "INSERT INTO \"__EFMigrationsHistory\" VALUES ('29990101000000_Future', '99')",
            Cancel
        );
        await Assert.ThrowsAsync<LedgerFileException>(() => File.BringUpToDateAsync(db, Evening, Cancel));
    }

    [Fact]
    public async Task An_older_file_is_copied_aside_before_it_is_updated()
    {
        var old = new LedgerFile(Path.Combine(Folder, "old", "lantern.db"));
        LanternDb OpenOld() => Open(old);
        Directory.CreateDirectory(Path.GetDirectoryName(old.Path)!);
        await using (var db = OpenOld())
        {
            await db.GetService<IMigrator>().MigrateAsync("FirstLight", cancellationToken: Cancel);
            await db.Database.ExecuteSqlRawAsync(
                """INSERT INTO Entries (Id, StockId, FromTicks, ToTicks, WrittenTicks, WrittenBy, Act) VALUES ('11111111-1111-1111-1111-111111111111', '11111111-1111-1111-1111-111111111112', 1, 1, 1, 'Keeper', '{{"kind":"looked"}}')""",
                Cancel
            );
        }

        await using var again = OpenOld();
        Assert.True(System.IO.File.Exists(await old.BringUpToDateAsync(again, Evening, Cancel)));
        Assert.Null((await again.Entries.SingleAsync(Cancel)).Against);
        Assert.Equal(0, await again.Climate.CountAsync(Cancel));
    }

    [Fact]
    public async Task An_import_with_one_broken_entry_writes_nothing()
    {
        var (good, bad) = (Guid.NewGuid(), Guid.NewGuid());
        await using var db = Open();
        await using var transaction = await db.Database.BeginTransactionAsync(Cancel);
        using var entries = new EntrySpool(
            [(good, Came("A1·01")), (bad, Came("A1·02")), (bad, Entry(1, new SignSeen("wings-fall-off")))],
            Room
        );
        var (_, _, _, _, problems) = await new JournalImport(db, new JournalReader(db)).ImportAsync(
            entries,
            Room,
            Cancel
        );
        await transaction.CommitAsync(Cancel);
        Assert.Contains(problems, p => p.Field.Contains(bad.ToString(), StringComparison.Ordinal));
        await using var after = Open();
        Assert.Equal(0, await after.Entries.CountAsync(Cancel));
    }

    private async Task<List<string>> SnapshotAsync()
    {
        await using var db = Open();
        var rows = await db.Standings.AsNoTracking().OrderBy(s => s.StockId).ToListAsync(Cancel);
        return
        [
            .. rows.Select(r =>
                $"{r.StockId} {r.Here} {r.Rack}{r.Shelf}·{r.Slot} {r.NextDueTicks} {r.Hushed} {r.State}"
            ),
        ];
    }

    private static Act Some(int kind) =>
        kind switch
        {
            0 => new Molted(),
            1 => new SignSeen("plump"),
            2 => new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.Eaten),
            3 => new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.BattedAway),
            4 => new LeftoversRemoved(),
            5 => new Watered(WaterKind.Dish),
            6 => new Looked(),
            7 => new Measured(BodyPart.Carapace, 9),
            _ => new SignSeen("dark-under-hair"),
        };

    private static async Task<string> ScalarAsync(LanternDb db, string pragma)
    {
        await db.Database.OpenConnectionAsync(Cancel);
        await using var command = db.Database.GetDbConnection().CreateCommand();
        command.CommandText = pragma;
        return (await command.ExecuteScalarAsync(Cancel))!.ToString()!;
    }
}
