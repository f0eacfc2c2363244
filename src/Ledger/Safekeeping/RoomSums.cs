using System.Data.Common;
using Microsoft.Data.Sqlite;

namespace Ledger.Safekeeping;

/// <summary>What a data file holds, in numbers.</summary>
/// <param name="Animals">Records of animals, broods and colonies, those that left included.</param>
/// <param name="Entries">Entries of the journal.</param>
/// <param name="Pictures">Pictures.</param>
/// <param name="Newest">When its newest entry was written; none in an empty one.</param>
public sealed record RoomSums(long Animals, long Entries, long Pictures, DateTimeOffset? Newest)
{
    /// <summary>Reads them from a file.</summary>
    public static async Task<RoomSums> ReadAsync(string path, CancellationToken cancel)
    {
        await using var connection = new SqliteConnection(FileCheck.ReadOnly(path));
        await connection.OpenAsync(cancel);
        return await ReadAsync(connection, "main", cancel);
    }

    internal static async Task<RoomSums> ReadAsync(DbConnection connection, string of, CancellationToken cancel)
    {
        var newest = await NumberAsync(connection, $"SELECT MAX(WrittenTicks) FROM {of}.Entries", cancel);
        return new RoomSums(
            await CountAsync(connection, of, "Standings", cancel),
            await CountAsync(connection, of, "Entries", cancel),
            await CountAsync(connection, of, "Pictures", cancel),
            newest is { } ticks ? new DateTimeOffset(ticks, TimeSpan.Zero) : null
        );
    }

    internal static async Task<long?> NumberAsync(DbConnection connection, string sql, CancellationToken cancel)
    {
        await using var command = connection.CreateCommand();
        command.CommandText = sql;
        return await command.ExecuteScalarAsync(cancel) as long?;
    }

    // A copy of an early version has no pictures yet.
    private static async Task<long> CountAsync(
        DbConnection connection,
        string of,
        string table,
        CancellationToken cancel
    ) =>
        await NumberAsync(connection, $"SELECT COUNT(*) FROM {of}.sqlite_master WHERE name = '{table}'", cancel) > 0
            ? await NumberAsync(connection, $"SELECT COUNT(*) FROM {of}.{table}", cancel) ?? 0
            : 0;
}

/// <summary>What putting a copy back would change.</summary>
/// <param name="Copy">What the copy holds.</param>
/// <param name="Now">What is there now; none where the present file cannot be read.</param>
/// <param name="Lost">Entries that are there now and not in the copy.</param>
/// <param name="LostSince">When the first of them was written.</param>
/// <param name="Found">Entries that are in the copy and not there now.</param>
public sealed record RestorePreview(RoomSums Copy, RoomSums? Now, long Lost, DateTimeOffset? LostSince, long Found);
