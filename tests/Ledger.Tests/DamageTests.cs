using Husbandry.Records;
using Husbandry.Rounds;
using Husbandry.Vigils;
using Ledger.Safekeeping;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Ledger.Tests;

/// <summary>A damaged file is found and explained, and one animal that cannot be read or judged spoils nothing else.</summary>
public sealed class DamageTests : LedgerFolder
{
    private const int Page = 4096;

    /// <summary>A room large enough that its file has pages of every kind.</summary>
    private async Task FillAsync()
    {
        for (var slot = 1; slot <= 40; slot++)
        {
            var id = await AddAsync($"A1·{slot:00}");
            foreach (var ago in Enumerable.Range(1, 12))
            {
                await WriteAsync(id, Entry(13 - ago, new Noted(new string('n', 200))));
            }
        }
    }

    private async Task<byte[]> StillAsync()
    {
        await using (var db = Open())
        {
            await db.Database.ExecuteSqlRawAsync("PRAGMA wal_checkpoint(TRUNCATE)", Cancel);
        }

        SqliteConnection.ClearAllPools();
        File.Dispose();
        return await System.IO.File.ReadAllBytesAsync(File.Path, Cancel);
    }

    [Fact]
    public async Task One_overwritten_page_is_found_at_the_start_whichever_it_is()
    {
        await FillAsync();
        var backups = new Backups(File);
        var copy = await backups.MakeAsync(BackupReason.ByHand, Evening, Cancel);
        var sound = await StillAsync();
        var random = new Random(20);
        var refused = 0;
        foreach (var page in Enumerable.Range(0, sound.Length / Page).OrderBy(_ => random.Next()).Take(20))
        {
            var bytes = (byte[])sound.Clone();
            random.NextBytes(bytes.AsSpan(page * Page, Page));
            await System.IO.File.WriteAllBytesAsync(File.Path, bytes, Cancel);
            using var again = new LedgerFile(File.Path);
            await using var db = Open(again);
            try
            {
                await again.BringUpToDateAsync(db, Evening, Cancel);
                // A page that holds nothing may be anything: then all of the record is there.
                Assert.Empty(await new RecordCheck(again, db).RunAsync(Cancel));
            }
            catch (LedgerFileException found)
            {
                refused++;
                Assert.Contains(backups.PathOf(copy), found.Message, StringComparison.Ordinal);
                Assert.Contains("Nothing was changed", found.Message, StringComparison.Ordinal);
                SqliteConnection.ClearAllPools();
                Assert.Equal(bytes, await System.IO.File.ReadAllBytesAsync(File.Path, Cancel));
            }

            SqliteConnection.ClearAllPools();
        }

        Assert.InRange(refused, 18, 20);
    }

    [Fact]
    public async Task A_copy_of_a_damaged_file_is_thrown_away_and_the_former_ones_stay()
    {
        await FillAsync();
        var backups = new Backups(File);
        await backups.MakeAsync(BackupReason.Nightly, Evening, Cancel);
        var bytes = await StillAsync();
        new Random(3).NextBytes(bytes.AsSpan(5 * Page, 3 * Page));
        await System.IO.File.WriteAllBytesAsync(File.Path, bytes, Cancel);
        await Assert.ThrowsAnyAsync<Exception>(() =>
            backups.MakeAsync(BackupReason.Nightly, Evening.AddDays(1), Cancel)
        );
        Assert.Equal(Evening, Assert.Single(backups.All()).At);
        Assert.Single(Directory.GetFiles(backups.Folder));
    }

    [Fact]
    public async Task A_standing_that_cannot_be_read_is_put_together_anew_from_the_journal()
    {
        var (broken, other) = (await AddAsync("A1·01"), await AddAsync("A1·02"));
        await using var db = Open();
        var before = (await db.StandingOfAsync(broken, Cancel))!;
        await db.Database.ExecuteSqlAsync(
            $"UPDATE Standings SET State = '~torn', Glance = '' WHERE StockId = {broken}",
            Cancel
        );
        var reader = new JournalReader(db);
        Assert.Equal("A1·01", (await reader.StandingAsync(broken, Cancel))!.OwnPlace.Code);
        Assert.Equal(2, (await reader.StandingsAsync([broken, other], Cancel)).Count);
        Assert.Equal(2, (await StockIndex.ReadAsync(db, Cancel)).Count);
        await new NightJudge(db, reader, new RoomCache()).RejudgeAsync(Room, Cancel);
        Assert.Equal(before.State, (await db.StandingOfAsync(broken, Cancel))!.State);
        Assert.Empty(await new RecordCheck(File, db).RunAsync(Cancel));
    }

    [Fact]
    public async Task An_entry_that_cannot_be_read_is_named_and_its_animal_is_told_as_not_judged()
    {
        var (broken, other) = (await AddAsync("A1·01"), await AddAsync("A1·02"));
        await WriteAsync(broken, Entry(3, new Looked()));
        await using var db = Open();
        await db.Database.ExecuteSqlRawAsync("DROP TRIGGER Entries_are_never_changed", Cancel);
        await db.Database.ExecuteSqlAsync(
            $"UPDATE Entries SET Act = '~torn' WHERE Sequence = (SELECT MAX(Sequence) FROM Entries)",
            Cancel
        );
        var reader = new JournalReader(db);
        await new NightJudge(db, reader, new RoomCache()).RebuildAsync(Room, Cancel);
        var index = await StockIndex.ReadAsync(db, Cancel);
        Assert.Equal("cannot be judged", index.Find(broken)!.Who.Species);
        Assert.Equal("A1·01", index.Find(broken)!.Where.Place.Code);
        Assert.NotEqual("cannot be judged", index.Find(other)!.Who.Species);
        Assert.Contains(
            "number 3",
            Assert.Single(
                await new RecordCheck(File, db).RunAsync(Cancel),
                s => s.Contains("entry", StringComparison.Ordinal)
            ),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task One_that_cannot_be_judged_keeps_nobody_from_the_others()
    {
        var (odd, other) = (await AddAsync("A1·01"), await AddAsync("A1·02"));
        await using var db = Open();
        await db.Database.ExecuteSqlAsync(
            $"UPDATE Standings SET State = replace(State, '\"tarantula\"', '\"gryphon\"') WHERE StockId = {odd}",
            Cancel
        );
        var reader = new JournalReader(db);
        await new NightJudge(db, reader, new RoomCache()).RejudgeAsync(Room, Cancel);
        var rows = await db.Standings.AsNoTracking().ToDictionaryAsync(s => s.StockId, Cancel);
        Assert.True(rows[odd].Hushed);
        Assert.Equal("cannot be judged", LedgerJson.Read<Glance>(rows[odd].Glance).Who.Species);
        Assert.NotEqual("cannot be judged", LedgerJson.Read<Glance>(rows[other].Glance).Who.Species);
    }

    [Theory]
    [InlineData(8, TroubleKind.ReadOnly)]
    [InlineData(13, TroubleKind.Full)]
    [InlineData(11, TroubleKind.Damaged)]
    [InlineData(26, TroubleKind.NotADatabase)]
    [InlineData(14, TroubleKind.CannotOpen)]
    [InlineData(10, TroubleKind.DiskFailed)]
    [InlineData(5, TroubleKind.Busy)]
    public void What_the_database_reports_has_a_sentence(int code, TroubleKind kind)
    {
        var trouble = LedgerTrouble.Of(new DbUpdateException("", new SqliteException("raw", code)))!;
        Assert.Equal(kind, trouble.Kind);
        Assert.EndsWith(".", trouble.Says, StringComparison.Ordinal);
        Assert.DoesNotContain("raw", trouble.Says, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_full_disk_has_its_sentence_and_what_was_written_before_stays()
    {
        var id = await AddAsync("A1·01");
        await using var db = Open();
        await db.Database.OpenConnectionAsync(Cancel);
        var pages = await db.Database.SqlQueryRaw<long>("PRAGMA page_count").ToListAsync(Cancel);
        await RunAsync(db, $"PRAGMA max_page_count = {pages[0]}");
        var store = new JournalStore(db, new JournalReader(db), new RoomCache());
        var entries = Enumerable.Range(0, 200).Select(_ => Entry(1, new Noted(new string('n', 400)))).ToList();
        var full = await Assert.ThrowsAsync<SqliteException>(() => store.WriteAsync(id, entries, null, Room, Cancel));
        Assert.Equal(TroubleKind.Full, LedgerTrouble.Of(full)!.Kind);
        await using var other = Open();
        Assert.Equal(1, await other.Entries.CountAsync(Cancel));
    }
}
