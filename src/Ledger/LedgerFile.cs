using System.Data.Common;
using Ledger.Safekeeping;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Diagnostics;

namespace Ledger;

/// <summary>Something about the file that a person must mend; the message says what.</summary>
public sealed class LedgerFileException(string message) : Exception(message);

/// <summary>The ledger's file: where it is, who holds it, how it is opened, copied and brought up to date.</summary>
/// <param name="path">Path of the SQLite file.</param>
public sealed class LedgerFile(string path) : IDisposable
{
    private const string LockTable = "__EFMigrationsLock";

    /// <summary>Path of the SQLite file.</summary>
    public string Path { get; } = System.IO.Path.GetFullPath(path);

    /// <summary>Folder that holds the automatic copies.</summary>
    public string BackupFolder => System.IO.Path.Combine(System.IO.Path.GetDirectoryName(Path)!, "backups");

    /// <summary>Configures a context for this file: WAL, full synchronous, foreign keys, a patient wait for locks.</summary>
    public void Configure(DbContextOptionsBuilder options) =>
        options.UseSqlite(ConnectionString).AddInterceptors(DurableConnections.Instance);

    /// <summary>Whether this process holds the folder.</summary>
    public bool IsHeld => held is not null;

    /// <summary>Takes the folder for this process until it ends.</summary>
    /// <returns>False when another Hushed Lantern holds it.</returns>
    public bool TryHold() => (held ??= FolderLock.TryTake(Folder)) is not null;

    /// <summary>Lets go of the folder.</summary>
    public void Dispose() => held?.Dispose();

    /// <summary>Forgets the room that was here: it was set aside on purpose, and a new one begins.</summary>
    public void BeginAnew()
    {
        new FileMark(this).Forget();
        beginsAnew = true;
    }

    /// <summary>
    /// Holds the folder, then creates the file or migrates it, after copying it aside when a migration is due. A file that
    /// is foreign, emptied, damaged or gone is refused, never begun anew and never written to.
    /// </summary>
    /// <returns>Path of the copy, when one was made.</returns>
    /// <exception cref="LedgerFileException">The folder is held, the file is no room's, is damaged, or is of a newer version.</exception>
    public async Task<string?> BringUpToDateAsync(LanternDb db, DateTimeOffset now, CancellationToken cancel)
    {
        if (!TryHold())
        {
            throw new LedgerFileException(Held);
        }

        var mark = new FileMark(this);
        mark.RefuseWhatIsNoRoom(knowsBackups: !beginsAnew);
        string? copy = null;
        if (File.Exists(Path))
        {
            await mark.RefuseDamageAsync(cancel);
            await mark.RefuseForeignTablesAsync(cancel);
            await ClearStaleLockAsync(db, cancel);
            await RefuseNewerFileAsync(db, cancel);
            var applied = await db.Database.GetAppliedMigrationsAsync(cancel);
            if (applied.Any() && (await db.Database.GetPendingMigrationsAsync(cancel)).Any())
            {
                var backups = new Backups(this);
                copy = backups.PathOf(await backups.MakeAsync(BackupReason.BeforeUpdate, now, cancel));
            }
        }

        await db.Database.MigrateAsync(cancel);
        await mark.StampAsync(db, now, cancel);
        foreach (var part in new[] { "", "-wal", "-shm" })
        {
            OwnersOnly.File(Path + part);
        }

        return copy;
    }

    /// <summary>Opens a file that a running Hushed Lantern holds, without changing its form.</summary>
    /// <exception cref="LedgerFileException">It is of another version than this program.</exception>
    public static async Task JoinAsync(LanternDb db, CancellationToken cancel)
    {
        await RefuseNewerFileAsync(db, cancel);
        if ((await db.Database.GetPendingMigrationsAsync(cancel)).Any())
        {
            throw new LedgerFileException(Held);
        }
    }

    /// <summary>What a keeper is told when another process holds the folder.</summary>
    public const string Held =
        "Another Hushed Lantern is running on this data folder. Stop it first, or choose another folder with LANTERN_DATA.";

    private FolderLock? held;
    private bool beginsAnew;

    private string Folder => System.IO.Path.GetDirectoryName(Path)!;

    private string ConnectionString => new SqliteConnectionStringBuilder { DataSource = Path }.ToString();

    /// <summary>
    /// A process that was killed while it updated the file leaves a row that would be waited for without end. Whoever holds
    /// the folder is alone with the file and takes it away.
    /// </summary>
    internal static async Task ClearStaleLockAsync(LanternDb db, CancellationToken cancel)
    {
        var connection = db.Database.GetDbConnection();
        await db.Database.OpenConnectionAsync(cancel);
        try
        {
            if (
                await ScalarAsync(connection, $"SELECT COUNT(*) FROM sqlite_master WHERE name = '{LockTable}'", cancel)
                > 0
            )
            {
                await db.Database.ExecuteSqlRawAsync($"DELETE FROM {LockTable}", cancel);
            }
        }
        finally
        {
            await db.Database.CloseConnectionAsync();
        }
    }

    internal static async Task RefuseNewerFileAsync(LanternDb db, CancellationToken cancel)
    {
        var known = db.Database.GetMigrations().ToHashSet();
        var unknown = (await db.Database.GetAppliedMigrationsAsync(cancel)).Where(m => !known.Contains(m)).ToList();
        if (unknown.Count > 0)
        {
            throw new LedgerFileException(
                $"The data file was written by a newer Hushed Lantern ({unknown[^1]}). Use that version, or a copy from the backups folder."
            );
        }
    }

    private static async Task<long> ScalarAsync(DbConnection connection, string sql, CancellationToken cancel)
    {
        await using var command = connection.CreateCommand();
        command.CommandText = sql;
        return (long)(await command.ExecuteScalarAsync(cancel))!;
    }

    private sealed class DurableConnections : DbConnectionInterceptor
    {
        public static readonly DurableConnections Instance = new();

        private const string Pragmas =
            "PRAGMA journal_mode=WAL; PRAGMA synchronous=FULL; PRAGMA foreign_keys=ON; PRAGMA busy_timeout=5000;";

        // Whether a file is there is asked on a connection that may not write, and so cannot set anything.
        private static bool MayWrite(DbConnection connection) =>
            !connection.ConnectionString.Contains("Mode=ReadOnly", StringComparison.OrdinalIgnoreCase);

        public override void ConnectionOpened(DbConnection connection, ConnectionEndEventData eventData)
        {
            if (!MayWrite(connection))
            {
                return;
            }

            using var command = connection.CreateCommand();
            command.CommandText = Pragmas;
            command.ExecuteNonQuery();
        }

        public override async Task ConnectionOpenedAsync(
            DbConnection connection,
            ConnectionEndEventData eventData,
            CancellationToken cancellationToken = default
        )
        {
            if (!MayWrite(connection))
            {
                return;
            }

            await using var command = connection.CreateCommand();
            command.CommandText = Pragmas;
            await command.ExecuteNonQueryAsync(cancellationToken);
        }
    }
}
