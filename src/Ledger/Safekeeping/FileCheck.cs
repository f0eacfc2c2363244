using Microsoft.Data.Sqlite;

namespace Ledger.Safekeeping;

/// <summary>Asks SQLite whether a data file is sound, without changing it.</summary>
public static class FileCheck
{
    // What is wrong is named a few times; more of it tells nobody more.
    private const int MostSaid = 10;

    /// <summary>
    /// Whether every page of the file hangs together: found within a second or two for a large room. Told apart from
    /// <see cref="WholeAsync"/>, which also compares each index with its table.
    /// </summary>
    /// <param name="path">The file.</param>
    /// <param name="cancel">Cancels.</param>
    /// <returns>What is wrong, in SQLite's words; empty when it is sound.</returns>
    /// <remarks>Source: sqlite.org/pragma.html, quick_check.</remarks>
    public static Task<IReadOnlyList<string>> QuickAsync(string path, CancellationToken cancel) =>
        AskAsync(path, $"PRAGMA quick_check({MostSaid})", cancel);

    /// <summary>The same, with every index against its table and every reference against what it points at.</summary>
    /// <param name="path">The file.</param>
    /// <param name="cancel">Cancels.</param>
    /// <returns>What is wrong, in SQLite's words; empty when it is sound.</returns>
    /// <remarks>Source: sqlite.org/pragma.html, integrity_check.</remarks>
    public static Task<IReadOnlyList<string>> WholeAsync(string path, CancellationToken cancel) =>
        AskAsync(path, $"PRAGMA integrity_check({MostSaid})", cancel);

    private static async Task<IReadOnlyList<string>> AskAsync(string path, string pragma, CancellationToken cancel)
    {
        var wrong = new List<string>();
        try
        {
            await using var connection = new SqliteConnection(ReadOnly(path));
            await connection.OpenAsync(cancel);
            await using var command = connection.CreateCommand();
            command.CommandText = pragma;
            await using var reader = await command.ExecuteReaderAsync(cancel);
            while (await reader.ReadAsync(cancel))
            {
                // Several findings come as lines of one answer, under a heading of its own.
                wrong.AddRange(
                    reader
                        .GetString(0)
                        .Split('\n', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)
                        .Where(line => !line.StartsWith("***", StringComparison.Ordinal))
                );
            }
        }
        catch (SqliteException error)
            when (LedgerTrouble.Of(error) is { Kind: TroubleKind.Damaged or TroubleKind.NotADatabase })
        {
            wrong.Add(error.Message);
        }

        return wrong is ["ok"] ? [] : wrong;
    }

    /// <summary>A connection that can change nothing.</summary>
    internal static string ReadOnly(string path) =>
        new SqliteConnectionStringBuilder
        {
            DataSource = path,
            Mode = SqliteOpenMode.ReadOnly,
            Pooling = false,
        }.ToString();
}
