using Ledger.Safekeeping;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

namespace Ledger.Tests;

/// <summary>A room's file is never taken for another, nor an empty folder for a first start.</summary>
public sealed class FileMarkTests : LedgerFolder
{
    private LedgerFile Other(string name) => new(Path.Combine(Folder, name, "lantern.db"));

    private static async Task<LedgerFileException> RefusedAsync(LedgerFile file)
    {
        SqliteConnection.ClearAllPools();
        await using var db = Open(file);
        return await Assert.ThrowsAsync<LedgerFileException>(() => file.BringUpToDateAsync(db, Evening, Cancel));
    }

    private async Task<LedgerFile> AgainAsync()
    {
        SqliteConnection.ClearAllPools();
        File.Dispose();
        await Task.CompletedTask;
        return new LedgerFile(File.Path);
    }

    [Fact]
    public async Task A_room_that_was_emptied_or_has_vanished_is_not_begun_anew_and_the_newest_copy_is_named()
    {
        await AddAsync("A1·01");
        var backups = new Backups(File);
        var copy = backups.PathOf(await backups.MakeAsync(BackupReason.ByHand, Evening, Cancel));
        var again = await AgainAsync();
        System.IO.File.Delete(again.Path);
        Assert.Contains(copy, (await RefusedAsync(again)).Message, StringComparison.Ordinal);
        await System.IO.File.WriteAllBytesAsync(again.Path, [], Cancel);
        Assert.Contains("is empty", (await RefusedAsync(again)).Message, StringComparison.Ordinal);
        System.IO.File.Copy(copy, again.Path, overwrite: true);
        await using var db = Open(again);
        Assert.Null(await again.BringUpToDateAsync(db, Evening, Cancel));
        Assert.Equal(1, await db.Entries.CountAsync(Cancel));
    }

    [Fact]
    public async Task A_database_without_tables_is_no_room_where_there_was_one()
    {
        var again = await AgainAsync();
        System.IO.File.Delete(again.Path);
        await using (var bare = new SqliteConnection($"Data Source={again.Path};Pooling=False"))
        {
            await bare.OpenAsync(Cancel);
            await using var command = bare.CreateCommand();
            command.CommandText = "PRAGMA user_version = 1";
            await command.ExecuteNonQueryAsync(Cancel);
        }

        Assert.Contains("there was a room here", (await RefusedAsync(again)).Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("CREATE TABLE Recipes (Id INTEGER)")]
    [InlineData("PRAGMA application_id = 252006674; CREATE TABLE Recipes (Id INTEGER)")]
    public async Task The_database_of_another_program_is_left_alone(string sql)
    {
        var other = Other("kitchen");
        Directory.CreateDirectory(Path.GetDirectoryName(other.Path)!);
        await using (var foreign = new SqliteConnection($"Data Source={other.Path};Pooling=False"))
        {
            await foreign.OpenAsync(Cancel);
            await using var command = foreign.CreateCommand();
            command.CommandText = sql;
            await command.ExecuteNonQueryAsync(Cancel);
        }

        var before = await System.IO.File.ReadAllBytesAsync(other.Path, Cancel);
        Assert.Contains("another program", (await RefusedAsync(other)).Message, StringComparison.Ordinal);
        SqliteConnection.ClearAllPools();
        Assert.Equal(before[..64], (await System.IO.File.ReadAllBytesAsync(other.Path, Cancel))[..64]);
    }

    [Fact]
    public async Task What_is_no_database_at_all_is_refused()
    {
        var other = Other("text");
        Directory.CreateDirectory(Path.GetDirectoryName(other.Path)!);
        await System.IO.File.WriteAllTextAsync(other.Path, new string('x', 4096), Cancel);
        Assert.Contains("not a data file", (await RefusedAsync(other)).Message, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_first_start_that_was_cut_short_leaves_nothing_that_stops_the_next()
    {
        var other = Other("fresh");
        Directory.CreateDirectory(Path.GetDirectoryName(other.Path)!);
        await System.IO.File.WriteAllBytesAsync(other.Path, [], Cancel);
        await using (var db = Open(other))
        {
            await db.GetService<IMigrator>().MigrateAsync("FirstLight", cancellationToken: Cancel);
            await db.Database.ExecuteSqlRawAsync(
                "CREATE TABLE IF NOT EXISTS \"__EFMigrationsLock\" (Id INTEGER PRIMARY KEY, Timestamp TEXT); INSERT OR REPLACE INTO \"__EFMigrationsLock\" VALUES (1, '');",
                Cancel
            );
        }

        await using var again = Open(other);
        await other.BringUpToDateAsync(again, Evening, Cancel);
        Assert.Empty(await again.Database.GetPendingMigrationsAsync(Cancel));
    }

    [Fact]
    public async Task A_second_one_on_the_same_folder_is_refused_until_the_first_has_gone()
    {
        var second = new LedgerFile(File.Path);
        Assert.Equal(LedgerFile.Held, (await RefusedAsync(second)).Message);
        File.Dispose();
        await using var db = Open(second);
        Assert.Null(await second.BringUpToDateAsync(db, Evening, Cancel));
    }
}
