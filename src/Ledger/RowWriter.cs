using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Storage;

namespace Ledger;

/// <summary>
/// Writes entries and standings with statements that are prepared once: every act writes one of each, a new night all
/// standings, an import a whole journal. Everything else is saved by EF Core.
/// </summary>
/// <param name="db">The file, in a transaction of the caller's that outlives the writer.</param>
public sealed class RowWriter(LanternDb db) : IAsyncDisposable
{
    private readonly SqliteCommand entry = Command(
        db,
        """
        INSERT INTO Entries (Sequence, Id, StockId, FromTicks, ToTicks, WrittenTicks, WrittenBy, Supersedes, Act, Against)
        VALUES ($sequence, $id, $stock, $from, $to, $written, $by, $supersedes, $act, $against)
        """,
        ["$sequence", "$id", "$stock", "$from", "$to", "$written", "$by", "$supersedes", "$act", "$against"]
    );

    private readonly SqliteCommand standing = Command(
        db,
        """
        INSERT INTO Standings (StockId, State, Here, Rack, Shelf, Slot, TankId, NextDueTicks, Hushed, Glance)
        VALUES ($stock, $state, $here, $rack, $shelf, $slot, $tank, $due, $hushed, $glance)
        ON CONFLICT (StockId) DO UPDATE SET State = excluded.State, Here = excluded.Here, Rack = excluded.Rack,
            Shelf = excluded.Shelf, Slot = excluded.Slot, TankId = excluded.TankId, NextDueTicks = excluded.NextDueTicks,
            Hushed = excluded.Hushed, Glance = excluded.Glance
        """,
        ["$stock", "$state", "$here", "$rack", "$shelf", "$slot", "$tank", "$due", "$hushed", "$glance"]
    );

    // Most acts change nothing by which standings are looked up: then no index but one is touched.
    private readonly SqliteCommand renewed = Command(
        db,
        "UPDATE Standings SET State = $state, NextDueTicks = $due, Glance = $glance WHERE StockId = $stock",
        ["$state", "$due", "$glance", "$stock"]
    );

    /// <summary>Adds an entry.</summary>
    /// <exception cref="SqliteException">Its id or its sequence is taken.</exception>
    public Task WriteAsync(EntryRow row, CancellationToken cancel) =>
        RunAsync(
            entry,
            [
                row.Sequence,
                row.Id,
                row.StockId,
                row.FromTicks,
                row.ToTicks,
                row.WrittenTicks,
                row.WrittenBy,
                row.Supersedes,
                row.Act,
                row.Against,
            ],
            cancel
        );

    /// <summary>Puts a standing in the place of the former one, or adds it.</summary>
    /// <param name="row">The standing.</param>
    /// <param name="former">The former one as it was read; none where there is none, or it is not at hand.</param>
    /// <param name="cancel">Cancels.</param>
    public Task WriteAsync(StandingRow row, StandingRow? former, CancellationToken cancel) =>
        former is not null && IsFoundAlike(row, former)
            ? RunAsync(renewed, [row.State, row.NextDueTicks, row.Glance, row.StockId], cancel)
            : RunAsync(
                standing,
                [
                    row.StockId,
                    row.State,
                    row.Here,
                    row.Rack,
                    row.Shelf,
                    row.Slot,
                    row.TankId,
                    row.NextDueTicks,
                    row.Hushed,
                    row.Glance,
                ],
                cancel
            );

    private static bool IsFoundAlike(StandingRow a, StandingRow b) =>
        (a.Here, a.Rack, a.Shelf, a.Slot, a.TankId, a.Hushed) == (b.Here, b.Rack, b.Shelf, b.Slot, b.TankId, b.Hushed);

    /// <inheritdoc/>
    public async ValueTask DisposeAsync()
    {
        await entry.DisposeAsync();
        await renewed.DisposeAsync();
        await standing.DisposeAsync();
    }

    private static SqliteCommand Command(LanternDb db, string text, IReadOnlyList<string> parameters)
    {
        var connection = (SqliteConnection)db.Database.GetDbConnection();
        var command = connection.CreateCommand();
        command.CommandText = text;
        command.Transaction = (SqliteTransaction?)db.Database.CurrentTransaction?.GetDbTransaction();
        foreach (var name in parameters)
        {
            command.Parameters.Add(new SqliteParameter { ParameterName = name });
        }

        return command;
    }

    private static Task<int> RunAsync(SqliteCommand command, IReadOnlyList<object?> values, CancellationToken cancel)
    {
        for (var i = 0; i < values.Count; i++)
        {
            command.Parameters[i].Value = values[i] ?? DBNull.Value;
        }

        return command.ExecuteNonQueryAsync(cancel);
    }
}
