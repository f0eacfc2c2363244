using System.Data.Common;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Diagnostics;

namespace Ledger;

/// <summary>Something about the file that a person must mend; the message says what.</summary>
public sealed class LedgerFileException(string message) : Exception(message);

/// <summary>The ledger's file: where it is, how it is opened, copied and brought up to date.</summary>
/// <param name="path">Path of the SQLite file.</param>
public sealed class LedgerFile(string path)
{
    private const string LockTable = "__EFMigrationsLock";

    /// <summary>Path of the SQLite file.</summary>
    public string Path { get; } = System.IO.Path.GetFullPath(path);

    /// <summary>Folder that holds the automatic copies.</summary>
    public string BackupFolder => System.IO.Path.Combine(System.IO.Path.GetDirectoryName(Path)!, "backups");

    /// <summary>Configures a context for this file: WAL, full synchronous, foreign keys, a patient wait for locks.</summary>
    public void Configure(DbContextOptionsBuilder options) =>
        options.UseSqlite(ConnectionString).AddInterceptors(DurableConnections.Instance);

    /// <summary>Creates the file or migrates it, after copying it aside when a migration is due.</summary>
    /// <returns>Path of the copy, when one was made.</returns>
    /// <exception cref="LedgerFileException">A migration was interrupted, or the file is of a newer version.</exception>
    public async Task<string?> BringUpToDateAsync(LanternDb db, DateTimeOffset now, CancellationToken cancel)
    {
        Directory.CreateDirectory(System.IO.Path.GetDirectoryName(Path)!);
        var isNew = !File.Exists(Path);
        string? copy = null;
        if (!isNew)
        {
            await RefuseInterruptedMigrationAsync(db, cancel);
            await RefuseNewerFileAsync(db, cancel);
            if ((await db.Database.GetPendingMigrationsAsync(cancel)).Any())
            {
                copy = await CopyAsync(now, "before-update", cancel);
            }
        }

        await db.Database.MigrateAsync(cancel);
        return copy;
    }

    /// <summary>Copies the file while it is in use, without disturbing it.</summary>
    /// <param name="now">Instant for the copy's name.</param>
    /// <param name="label">Word in the copy's name.</param>
    /// <param name="cancel">Cancels.</param>
    /// <returns>Path of the copy.</returns>
    public async Task<string> CopyAsync(DateTimeOffset now, string label, CancellationToken cancel)
    {
        Directory.CreateDirectory(BackupFolder);
        var name = $"{System.IO.Path.GetFileNameWithoutExtension(Path)}-{now.UtcDateTime:yyyyMMdd-HHmmss}-{label}.db";
        var target = System.IO.Path.Combine(BackupFolder, name);
        await using var source = new SqliteConnection(ConnectionString);
        await source.OpenAsync(cancel);
        await using var copy = new SqliteConnection($"Data Source={target};Pooling=False");
        await copy.OpenAsync(cancel);
        source.BackupDatabase(copy);
        return target;
    }

    private string ConnectionString => new SqliteConnectionStringBuilder { DataSource = Path }.ToString();

    private static async Task RefuseInterruptedMigrationAsync(LanternDb db, CancellationToken cancel)
    {
        var connection = db.Database.GetDbConnection();
        await db.Database.OpenConnectionAsync(cancel);
        try
        {
            if (
                await ScalarAsync(connection, $"SELECT COUNT(*) FROM sqlite_master WHERE name = '{LockTable}'", cancel)
                == 0
            )
            {
                return;
            }

            if (await ScalarAsync(connection, $"SELECT COUNT(*) FROM {LockTable}", cancel) > 0)
            {
                throw new LedgerFileException(
                    "An earlier update of the data file was interrupted. Put back the newest copy from the backups folder, "
                        + $"or, if you are sure that no other Hushed Lantern runs, delete the row in the table {LockTable}."
                );
            }
        }
        finally
        {
            await db.Database.CloseConnectionAsync();
        }
    }

    private static async Task RefuseNewerFileAsync(LanternDb db, CancellationToken cancel)
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

        public override void ConnectionOpened(DbConnection connection, ConnectionEndEventData eventData)
        {
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
            await using var command = connection.CreateCommand();
            command.CommandText = Pragmas;
            await command.ExecuteNonQueryAsync(cancellationToken);
        }
    }
}
