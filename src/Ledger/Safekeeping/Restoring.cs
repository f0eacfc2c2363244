using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Ledger.Safekeeping;

/// <summary>
/// Puts a copy back in the place of the data file: all of it or nothing. What was there is copied aside first, however
/// damaged it is; who may come in stays as it is now, so that a removed helper does not come back with an old copy.
/// </summary>
/// <param name="file">The data file, held by this process.</param>
public sealed class Restoring(LedgerFile file)
{
    private const string Staged = ".restoring";
    private static readonly string[] Parts = ["", "-wal", "-shm", "-journal"];

    // Who may come in, and by what.
    private static readonly string[] AccessTables = ["People", "Sessions", "SitterLinks", "Gateways", "AccessNotes"];

    /// <summary>What putting it back would change.</summary>
    /// <param name="path">The copy.</param>
    /// <param name="cancel">Cancels.</param>
    /// <exception cref="LedgerFileException">The copy is no data file, is damaged, or is of a newer version.</exception>
    public async Task<RestorePreview> PreviewAsync(string path, CancellationToken cancel)
    {
        await RefuseUnsoundAsync(path, cancel);
        var copy = await RoomSums.ReadAsync(path, cancel);
        if (!File.Exists(file.Path) || (await FileCheck.QuickAsync(file.Path, cancel)).Count > 0)
        {
            return new RestorePreview(copy, null, 0, null, 0);
        }

        await using var both = new SqliteConnection(FileCheck.ReadOnly(file.Path));
        await both.OpenAsync(cancel);
        await AttachAsync(both, path, cancel);
        var now = await RoomSums.ReadAsync(both, "main", cancel);
        const string Lost = "FROM main.Entries WHERE Id NOT IN (SELECT Id FROM other.Entries)";
        const string Found = "FROM other.Entries WHERE Id NOT IN (SELECT Id FROM main.Entries)";
        var since = await RoomSums.NumberAsync(both, $"SELECT MIN(WrittenTicks) {Lost}", cancel);
        return new RestorePreview(
            copy,
            now,
            await RoomSums.NumberAsync(both, $"SELECT COUNT(*) {Lost}", cancel) ?? 0,
            since is { } ticks ? new DateTimeOffset(ticks, TimeSpan.Zero) : null,
            await RoomSums.NumberAsync(both, $"SELECT COUNT(*) {Found}", cancel) ?? 0
        );
    }

    /// <summary>Puts it back. Standings are judged anew by the caller, and what is kept in memory is let go of.</summary>
    /// <param name="path">The copy.</param>
    /// <param name="now">When.</param>
    /// <param name="cancel">Cancels; then nothing is changed.</param>
    /// <returns>Path of what was there before; none where there was nothing.</returns>
    /// <exception cref="LedgerFileException">The copy is no data file, is damaged, or is of a newer version.</exception>
    public async Task<string?> RestoreAsync(string path, DateTimeOffset now, CancellationToken cancel)
    {
        await RefuseUnsoundAsync(path, cancel);
        var isThere = File.Exists(file.Path);
        var isSound = isThere && (await FileCheck.QuickAsync(file.Path, cancel)).Count == 0;
        var backups = new Backups(file);
        var former = isSound ? backups.PathOf(await backups.MakeAsync(BackupReason.BeforeRestore, now, cancel)) : null;
        var staged = file.Path + Staged;
        Clear(staged);
        try
        {
            OwnersOnly.Folder(Path.GetDirectoryName(file.Path)!);
            File.Copy(path, staged);
            OwnersOnly.File(staged);
            await BringUpToDateAsync(staged, cancel);
            if (isSound)
            {
                await KeepAccessAsync(staged, cancel);
            }

            if (await FileCheck.QuickAsync(staged, cancel) is { Count: > 0 } wrong)
            {
                throw new LedgerFileException($"The copy could not be made ready ({wrong[0]}). Nothing was changed.");
            }

            if (isSound)
            {
                // One transaction of the present file: a power cut leaves either all of the former or all of the copy.
                await Task.Run(() => WriteOver(staged), cancel);
            }
            else
            {
                former = isThere ? SetAside(now) : null;
                using (var written = new FileStream(staged, FileMode.Open, FileAccess.ReadWrite))
                {
                    written.Flush(flushToDisk: true);
                }

                File.Move(staged, file.Path);
            }

            return former;
        }
        finally
        {
            Clear(staged);
        }
    }

    private static async Task RefuseUnsoundAsync(string path, CancellationToken cancel)
    {
        if (!File.Exists(path))
        {
            throw new LedgerFileException($"There is no file {path}.");
        }

        if (await FileCheck.QuickAsync(path, cancel) is { Count: > 0 } wrong)
        {
            throw new LedgerFileException(
                $"{Path.GetFileName(path)} is damaged or no data file ({wrong[0]}). Nothing was changed; take another copy."
            );
        }

        await using var connection = new SqliteConnection(FileCheck.ReadOnly(path));
        await connection.OpenAsync(cancel);
        if (
            await RoomSums.NumberAsync(
                connection,
                "SELECT COUNT(*) FROM sqlite_master WHERE name IN ('__EFMigrationsHistory', 'Entries')",
                cancel
            ) != 2
        )
        {
            throw new LedgerFileException(
                $"{Path.GetFileName(path)} is not a data file of Hushed Lantern. Nothing was changed."
            );
        }

        await using var db = Open(path);
        await LedgerFile.RefuseNewerFileAsync(db, cancel);
    }

    private static LanternDb Open(string path) =>
        new(
            new DbContextOptionsBuilder<LanternDb>()
                .UseSqlite(new SqliteConnectionStringBuilder { DataSource = path, Pooling = false }.ToString())
                .Options
        );

    /// <summary>Brings the staged copy to the form of this version, so that what is put in place needs nothing more.</summary>
    private static async Task BringUpToDateAsync(string staged, CancellationToken cancel)
    {
        await using var db = Open(staged);
        await LedgerFile.ClearStaleLockAsync(db, cancel);
        await db.Database.MigrateAsync(cancel);
        // Judged anew when it is next opened: what it says of tonight is of another night.
        await db.Rooms.ExecuteUpdateAsync(r => r.SetProperty(x => x.JudgedDay, 0), cancel);
        await db.Database.ExecuteSqlRawAsync("PRAGMA journal_mode=DELETE", cancel);
    }

    private async Task KeepAccessAsync(string staged, CancellationToken cancel)
    {
        await using var both = new SqliteConnection($"Data Source={staged};Pooling=False");
        await both.OpenAsync(cancel);
        await AttachAsync(both, file.Path, cancel);
        var statements = new List<string> { "BEGIN" };
        foreach (var table in AccessTables)
        {
            var kept = await ColumnsAsync(both, "other", table, cancel);
            var columns = string.Join(", ", (await ColumnsAsync(both, "main", table, cancel)).Intersect(kept));
            if (columns.Length > 0)
            {
                statements.Add($"DELETE FROM main.{table}");
                statements.Add($"INSERT INTO main.{table} ({columns}) SELECT {columns} FROM other.{table}");
            }
        }

        await using var command = both.CreateCommand();
        command.CommandText = string.Join("; ", statements.Append("COMMIT"));
        await command.ExecuteNonQueryAsync(cancel);
    }

    private static async Task<List<string>> ColumnsAsync(
        SqliteConnection connection,
        string of,
        string table,
        CancellationToken cancel
    )
    {
        await using var command = connection.CreateCommand();
        command.CommandText = $"SELECT '\"' || name || '\"' FROM {of}.pragma_table_info('{table}')";
        await using var reader = await command.ExecuteReaderAsync(cancel);
        var columns = new List<string>();
        while (await reader.ReadAsync(cancel))
        {
            columns.Add(reader.GetString(0));
        }

        return columns;
    }

    private void WriteOver(string staged)
    {
        using var source = new SqliteConnection(FileCheck.ReadOnly(staged));
        source.Open();
        using var present = new SqliteConnection(
            new SqliteConnectionStringBuilder { DataSource = file.Path, Pooling = false }.ToString()
        );
        present.Open();
        using (var command = present.CreateCommand())
        {
            command.CommandText = "PRAGMA synchronous=FULL; PRAGMA busy_timeout=10000;";
            command.ExecuteNonQuery();
        }

        source.BackupDatabase(present);
    }

    /// <summary>Sets a damaged file aside as it is, its log with it.</summary>
    private string SetAside(DateTimeOffset now)
    {
        Directory.CreateDirectory(file.BackupFolder);
        SqliteConnection.ClearAllPools();
        var aside = Path.Combine(file.BackupFolder, $"damaged-{now.UtcDateTime:yyyyMMdd-HHmmss}.sqlite");
        foreach (var part in Parts.Reverse().Where(p => File.Exists(file.Path + p)))
        {
            File.Move(file.Path + part, aside + part, overwrite: false);
        }

        return aside;
    }

    private static async Task AttachAsync(SqliteConnection connection, string path, CancellationToken cancel)
    {
        await using var command = connection.CreateCommand();
        command.CommandText = "ATTACH DATABASE $path AS other";
        command.Parameters.AddWithValue("$path", path);
        await command.ExecuteNonQueryAsync(cancel);
    }

    private static void Clear(string staged)
    {
        foreach (var part in Parts)
        {
            File.Delete(staged + part);
        }
    }
}
