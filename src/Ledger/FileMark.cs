using System.Buffers.Binary;
using System.Data.Common;
using System.Text;
using Ledger.Safekeeping;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>
/// Tells a room's data file from what is none: a mark within the file (SQLite's application id) and a marker beside it that
/// outlives the file, so that one that was emptied or has vanished is never taken for a first start.
/// </summary>
/// <param name="file">The ledger's file.</param>
internal sealed class FileMark(LedgerFile file)
{
    // "HuLa" as four bytes; sqlite.org/fileformat2.html, "Application ID", offset 68.
    private const int ApplicationId = 0x48754C61;
    private const string Stamp = "PRAGMA application_id = 1215646817";
    private const int ApplicationIdOffset = 68;
    private const int HeaderBytes = 100;
    private const string SqliteHeader = "SQLite format 3\0";
    private const string HistoryTable = "__EFMigrationsHistory";

    private string Folder => Path.GetDirectoryName(file.Path)!;

    private string Marker => Path.Combine(Folder, "lantern-room.txt");

    /// <summary>Forgets the room that was here: it was set aside on purpose.</summary>
    public void Forget()
    {
        if (File.Exists(Marker))
        {
            File.Delete(Marker);
        }
    }

    /// <summary>Refuses a file that is not a room's, or a folder whose room has gone.</summary>
    /// <param name="knowsBackups">Whether copies in the backups folder speak of a room that was here.</param>
    /// <exception cref="LedgerFileException">The file is foreign, emptied or gone; the message names the newest copy.</exception>
    public void RefuseWhatIsNoRoom(bool knowsBackups)
    {
        var bytes = File.Exists(file.Path) ? new FileInfo(file.Path).Length : -1;
        if (bytes <= 0)
        {
            // A first start that was cut short leaves an empty file and nothing beside it.
            if (File.Exists(Marker) || (knowsBackups && NewestBackup() is not null))
            {
                throw new LedgerFileException(
                    $"{file.Path} {(bytes < 0 ? "is gone" : "is empty")}, though there was a room here. {WhatNow()}"
                );
            }

            return;
        }

        Span<byte> header = stackalloc byte[HeaderBytes];
        using (var stream = new FileStream(file.Path, FileMode.Open, FileAccess.Read, FileShare.ReadWrite))
        {
            if (
                stream.ReadAtLeast(header, HeaderBytes, throwOnEndOfStream: false) < HeaderBytes
                || Encoding.ASCII.GetString(header[..SqliteHeader.Length]) != SqliteHeader
            )
            {
                throw new LedgerFileException(
                    $"{file.Path} is not a data file of Hushed Lantern, or it is damaged. {WhatNow()}"
                );
            }
        }

        var id = BinaryPrimitives.ReadInt32BigEndian(header[ApplicationIdOffset..]);
        if (id is not 0 and not ApplicationId)
        {
            throw new LedgerFileException($"{file.Path} belongs to another program. {WhatNow()}");
        }
    }

    /// <summary>Refuses a file whose pages do not hang together: to write to it would make it worse.</summary>
    public async Task RefuseDamageAsync(CancellationToken cancel)
    {
        if (await FileCheck.QuickAsync(file.Path, cancel) is { Count: > 0 } wrong)
        {
            throw new LedgerFileException($"{file.Path} is damaged ({wrong[0]}). {WhatNow()}");
        }
    }

    /// <summary>Refuses a database that has tables but no history of ours; one without tables is a first start, unless a room was here.</summary>
    public async Task RefuseForeignTablesAsync(CancellationToken cancel)
    {
        if (new FileInfo(file.Path).Length == 0)
        {
            return;
        }

        // Read only: what is not ours is left as it was, to the byte.
        var readOnly = new SqliteConnectionStringBuilder
        {
            DataSource = file.Path,
            Mode = SqliteOpenMode.ReadOnly,
            Pooling = false,
        };
        await using var connection = new SqliteConnection(readOnly.ToString());
        await connection.OpenAsync(cancel);
        var tables = await CountAsync(connection, "type = 'table' AND name <> '__EFMigrationsLock'", cancel);
        var ours = await CountAsync(connection, $"name = '{HistoryTable}'", cancel) > 0;
        if (tables > 0 && !ours)
        {
            throw new LedgerFileException($"{file.Path} belongs to another program. {WhatNow()}");
        }

        if (tables == 0 && File.Exists(Marker))
        {
            throw new LedgerFileException($"{file.Path} is empty, though there was a room here. {WhatNow()}");
        }
    }

    /// <summary>Marks the file and leaves the marker beside it.</summary>
    public async Task StampAsync(LanternDb db, DateTimeOffset now, CancellationToken cancel)
    {
        await db.Database.ExecuteSqlRawAsync(Stamp, cancel);
        if (!File.Exists(Marker))
        {
            await File.WriteAllTextAsync(
                Marker,
                $"A room of Hushed Lantern has been kept in {Path.GetFileName(file.Path)} since {now.UtcDateTime:yyyy-MM-dd}.\n",
                cancel
            );
        }
    }

    private static async Task<long> CountAsync(DbConnection connection, string where, CancellationToken cancel)
    {
        await using var command = connection.CreateCommand();
        command.CommandText = $"SELECT COUNT(*) FROM sqlite_master WHERE {where}";
        return (long)(await command.ExecuteScalarAsync(cancel))!;
    }

    private string? NewestBackup() =>
        new Backups(file) is var backups && backups.All() is [var newest, ..] ? backups.PathOf(newest) : null;

    private string WhatNow() =>
        NewestBackup() is { } copy
            ? $"Nothing was changed. The newest copy is {copy}: put it back with ./lantern restore {copy}. To begin a new room, choose another folder with LANTERN_DATA."
            : $"Nothing was changed, and there is no copy in {file.BackupFolder}. To begin a new room, choose another folder with LANTERN_DATA.";
}
