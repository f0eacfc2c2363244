using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Storage;

namespace Ledger;

/// <summary>Statements that are run as they stand, within the transaction that is under way.</summary>
internal static class Statements
{
    /// <summary>A statement with its parameters, in order.</summary>
    public static SqliteCommand Statement(this LanternDb db, string sql, params string[] names)
    {
        db.Database.OpenConnection();
        var command = ((SqliteConnection)db.Database.GetDbConnection()).Statement(sql, names);
        command.Transaction = (SqliteTransaction?)db.Database.CurrentTransaction?.GetDbTransaction();
        return command;
    }

    /// <inheritdoc cref="Statement(LanternDb, string, string[])"/>
    public static SqliteCommand Statement(this SqliteConnection connection, string sql, params string[] names)
    {
        var command = connection.CreateCommand();
        command.CommandText = sql;
        foreach (var name in names)
        {
            command.Parameters.Add(new SqliteParameter { ParameterName = name });
        }

        return command;
    }

    /// <summary>Sets its parameters, in order.</summary>
    public static void Set(this SqliteCommand command, params object?[] values)
    {
        for (var i = 0; i < values.Length; i++)
        {
            command.Parameters[i].Value = values[i] ?? DBNull.Value;
        }
    }
}
