using Husbandry.Records;
using Husbandry.Vigils;
using Ledger.Safekeeping;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Ledger.Tests;

/// <summary>Copies that can be trusted, and putting one back.</summary>
public sealed class SafekeepingTests : LedgerFolder
{
    private Backups Backups => new(File);

    private async Task<long> EntriesAsync()
    {
        await using var db = Open();
        return await db.Entries.LongCountAsync(Cancel);
    }

    [Fact]
    public async Task Two_copies_of_one_second_are_two_and_an_unfinished_one_is_none()
    {
        await AddAsync("A1·01");
        await System.IO.File.WriteAllTextAsync(
            Path.Combine(Directory.CreateDirectory(Backups.Folder).FullName, "lantern-20261122-030000-nightly.part"),
            "cut short",
            Cancel
        );
        var one = await Backups.MakeAsync(BackupReason.ByHand, Evening, Cancel);
        await AddAsync("A1·02");
        var two = await Backups.MakeAsync(BackupReason.ByHand, Evening, Cancel);
        Assert.NotEqual(one.Name, two.Name);
        Assert.Equal(1, (await RoomSums.ReadAsync(Backups.PathOf(one), Cancel)).Entries);
        Assert.Equal(2, (await RoomSums.ReadAsync(Backups.PathOf(two), Cancel)).Entries);
        Assert.Equal([two, one], Backups.All());
        Backups.ClearUnfinished();
        Assert.Equal(2, Directory.GetFiles(Backups.Folder).Length);
    }

    [Fact]
    public void Seven_days_four_weeks_and_twelve_months_are_kept_and_what_was_copied_by_hand()
    {
        Directory.CreateDirectory(Backups.Folder);
        void Lay(DateTimeOffset at, string word) =>
            System.IO.File.WriteAllText(
                Path.Combine(Backups.Folder, $"lantern-{at.UtcDateTime:yyyyMMdd-HHmmss}-{word}.db"),
                "a copy"
            );
        foreach (var ago in Enumerable.Range(0, 800))
        {
            Lay(Evening.AddDays(-ago), "nightly");
        }

        Lay(Evening.AddDays(-900), "by-hand");
        foreach (var ago in Enumerable.Range(0, 15))
        {
            Lay(Evening.AddDays(-30 * ago), "before-load");
        }

        Backups.Prune();
        var nightly = Backups.All().Where(b => b.Reason == BackupReason.Nightly).Select(b => b.At).ToList();
        // The last seven nights; Sundays of the three weeks before, the running week's newest being tonight's; the last
        // nights of eleven months before this one.
        Assert.Equal(Enumerable.Range(0, 7).Select(d => Evening.AddDays(-d)), nightly.Take(7));
        Assert.Contains(new DateTimeOffset(2026, 11, 15, 21, 0, 0, TimeSpan.Zero), nightly);
        Assert.Contains(new DateTimeOffset(2026, 11, 8, 21, 0, 0, TimeSpan.Zero), nightly);
        Assert.DoesNotContain(new DateTimeOffset(2026, 11, 1, 21, 0, 0, TimeSpan.Zero), nightly);
        Assert.Equal(12, nightly.Select(n => (n.Year, n.Month)).Distinct().Count());
        Assert.Equal(new DateTimeOffset(2025, 12, 31, 21, 0, 0, TimeSpan.Zero), nightly[^1]);
        Assert.Equal(20, nightly.Count);
        Assert.Equal(10, Backups.All().Count(b => b.Reason == BackupReason.BeforeLoad));
        Assert.Single(Backups.All(), b => b.Reason == BackupReason.ByHand);
        Assert.Equal(0, Backups.Prune());
    }

    [Theory]
    [InlineData(BackupReason.Nightly)]
    [InlineData(BackupReason.ByHand)]
    [InlineData(BackupReason.BeforeUpdate)]
    [InlineData(BackupReason.BeforeLoad)]
    [InlineData(BackupReason.BeforeRestore)]
    public async Task A_copy_of_every_kind_is_put_back_and_what_was_there_before_is_kept(BackupReason reason)
    {
        var id = await AddAsync("A1·01");
        await WriteAsync(id, Entry(2, new Looked()));
        var states = await RoomFiles.StatesAsync(File);
        var copy = await Backups.MakeAsync(reason, Evening, Cancel);
        await WriteAsync(id, Entry(1, new Noted("later")));
        await AddAsync("A1·02");
        var preview = await new Restoring(File).PreviewAsync(Backups.PathOf(copy), Cancel);
        Assert.Equal((2, 4, 2L, 0L), (preview.Copy.Entries, preview.Now!.Entries, preview.Lost, preview.Found));
        var former = await new Restoring(File).RestoreAsync(Backups.PathOf(copy), Evening.AddMinutes(1), Cancel);
        Assert.Equal(2, await EntriesAsync());
        Assert.Equal(states, await RoomFiles.StatesAsync(File));
        Assert.Equal(4, (await RoomSums.ReadAsync(former!, Cancel)).Entries);

        // Forwards again.
        await new Restoring(File).RestoreAsync(former!, Evening.AddMinutes(2), Cancel);
        Assert.Equal(4, await EntriesAsync());
        Assert.Empty(Directory.GetFiles(Path.GetDirectoryName(File.Path)!, "*.restoring*"));
    }

    [Fact]
    public async Task Who_may_come_in_stays_as_it_is_now()
    {
        await using (var db = Open())
        {
            db.People.Add(
                new PersonRow
                {
                    Id = Guid.NewGuid(),
                    Name = "Removed helper",
                    PasswordHash = "x",
                }
            );
            await db.SaveChangesAsync(Cancel);
        }

        var copy = await Backups.MakeAsync(BackupReason.ByHand, Evening, Cancel);
        await using (var db = Open())
        {
            await db.People.ExecuteDeleteAsync(Cancel);
            db.People.Add(
                new PersonRow
                {
                    Id = Guid.NewGuid(),
                    Name = "Owner",
                    PasswordHash = "y",
                }
            );
            await db.SaveChangesAsync(Cancel);
        }

        await new Restoring(File).RestoreAsync(Backups.PathOf(copy), Evening, Cancel);
        await using var now = Open();
        Assert.Equal(["Owner"], await now.People.Select(p => p.Name).ToListAsync(Cancel));
    }

    [Fact]
    public async Task A_copy_is_put_back_over_a_damaged_file_which_is_set_aside()
    {
        await AddAsync("A1·01");
        var copy = await Backups.MakeAsync(BackupReason.Nightly, Evening, Cancel);
        SqliteConnection.ClearAllPools();
        await System.IO.File.WriteAllTextAsync(
            File.Path,
            "no longer a database, for more than a hundred bytes ".PadRight(400, '.'),
            Cancel
        );
        var preview = await new Restoring(File).PreviewAsync(Backups.PathOf(copy), Cancel);
        Assert.Null(preview.Now);
        var aside = await new Restoring(File).RestoreAsync(Backups.PathOf(copy), Evening, Cancel);
        Assert.StartsWith("no longer", await System.IO.File.ReadAllTextAsync(aside!, Cancel), StringComparison.Ordinal);
        Assert.Equal(1, await EntriesAsync());
    }

    [Fact]
    public async Task A_copy_of_an_earlier_version_is_brought_up_to_date_on_the_way()
    {
        await AddAsync("A1·01");
        var old = Path.Combine(Folder, "old.db");
        await using (
            var db = new LanternDb(
                new DbContextOptionsBuilder<LanternDb>().UseSqlite($"Data Source={old};Pooling=False").Options
            )
        )
        {
            await Microsoft
                .EntityFrameworkCore.Infrastructure.AccessorExtensions.GetService<Microsoft.EntityFrameworkCore.Migrations.IMigrator>(
                    db.Database
                )
                .MigrateAsync("WholeRoom", cancellationToken: Cancel);
        }

        await new Restoring(File).RestoreAsync(old, Evening, Cancel);
        await using var now = Open();
        Assert.Empty(await now.Database.GetPendingMigrationsAsync(Cancel));
        Assert.Equal(0, await now.Entries.CountAsync(Cancel));
    }

    [Fact]
    public async Task What_is_no_copy_is_refused_and_nothing_is_changed()
    {
        await AddAsync("A1·01");
        var text = Path.Combine(Folder, "letter.txt");
        await System.IO.File.WriteAllTextAsync(text, new string('a', 5000), Cancel);
        var foreign = Path.Combine(Folder, "kitchen.db");
        await using (var db = new SqliteConnection($"Data Source={foreign};Pooling=False"))
        {
            await db.OpenAsync(Cancel);
            await using var command = db.CreateCommand();
            command.CommandText = "CREATE TABLE Recipes (Id INTEGER)";
            await command.ExecuteNonQueryAsync(Cancel);
        }

        var newer = Backups.PathOf(await Backups.MakeAsync(BackupReason.ByHand, Evening, Cancel));
        await using (var db = new SqliteConnection($"Data Source={newer};Pooling=False"))
        {
            await db.OpenAsync(Cancel);
            await using var command = db.CreateCommand();
            command.CommandText =
                "INSERT INTO __EFMigrationsHistory (MigrationId, ProductVersion) VALUES ('29990101000000_Later', '99')";
            await command.ExecuteNonQueryAsync(Cancel);
        }

        foreach (
            var (path, says) in new[]
            {
                (text, "no data file"),
                (foreign, "not a data file"),
                (newer, "newer"),
                (Path.Combine(Folder, "none.db"), "no file"),
            }
        )
        {
            var refused = await Assert.ThrowsAsync<LedgerFileException>(() =>
                new Restoring(File).RestoreAsync(path, Evening, Cancel)
            );
            Assert.Contains(says, refused.Message, StringComparison.Ordinal);
        }

        Assert.Equal(1, await EntriesAsync());
    }

    [Fact]
    public async Task Not_even_insert_or_replace_changes_the_journal()
    {
        const string Columns = "Id, StockId, FromTicks, ToTicks, WrittenTicks, WrittenBy, Act";
        await AddAsync("A1·01");
        await using var db = Open();
        foreach (var sequence in new[] { "Sequence", "Sequence + 1" })
        {
            var refused = await Assert.ThrowsAsync<SqliteException>(() =>
                RunAsync(
                    db,
                    $"INSERT OR REPLACE INTO Entries (Sequence, {Columns}) SELECT {sequence}, {Columns} FROM Entries"
                )
            );
            Assert.Contains("given before", refused.Message, StringComparison.Ordinal);
            Assert.True(LanternDb.IsTakenId(refused));
        }
    }
}
