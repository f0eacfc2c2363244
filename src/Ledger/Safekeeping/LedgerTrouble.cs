using Microsoft.Data.Sqlite;

namespace Ledger.Safekeeping;

/// <summary>What keeps the data file from being read or written.</summary>
public enum TroubleKind
{
    /// <summary>The file or its folder may not be written.</summary>
    ReadOnly,

    /// <summary>The disk has no room left.</summary>
    Full,

    /// <summary>Pages of the file are not what they must be.</summary>
    Damaged,

    /// <summary>The file does not begin as a data file does.</summary>
    NotADatabase,

    /// <summary>The file or its folder is gone, or may not be entered.</summary>
    CannotOpen,

    /// <summary>The disk itself failed.</summary>
    DiskFailed,

    /// <summary>Another program holds the file.</summary>
    Busy,
}

/// <summary>What the system says of the data file, in a sentence for the keeper: what is safe and what to do.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Says">The sentence; it names no path, so that it can be shown to whoever is signed in.</param>
public sealed record LedgerTrouble(TroubleKind Kind, string Says)
{
    // ENOSPC and EDQUOT of errno(3), which .NET hands on as the code of an IOException.
    private const int NoSpace = 28;
    private const int OverQuota = 122;

    /// <summary>Reads what a failure says of the file.</summary>
    /// <returns>None for a failure that is not about the file.</returns>
    /// <remarks>Source: result codes of SQLite, sqlite.org/rescode.html.</remarks>
    public static LedgerTrouble? Of(Exception failed)
    {
        for (var error = failed; error is not null; error = error.InnerException)
        {
            if (KindOf(error) is { } kind)
            {
                return Of(kind);
            }
        }

        return null;
    }

    /// <summary>What is said of a kind of trouble.</summary>
    public static LedgerTrouble Of(TroubleKind kind) => new(kind, Sentence(kind));

    private static TroubleKind? KindOf(Exception error) =>
        error switch
        {
            SqliteException { SqliteErrorCode: 8 } => TroubleKind.ReadOnly,
            SqliteException { SqliteErrorCode: 13 } => TroubleKind.Full,
            SqliteException { SqliteErrorCode: 11 } => TroubleKind.Damaged,
            SqliteException { SqliteErrorCode: 26 } => TroubleKind.NotADatabase,
            SqliteException { SqliteErrorCode: 14 or 3 } => TroubleKind.CannotOpen,
            SqliteException { SqliteErrorCode: 10 } => TroubleKind.DiskFailed,
            SqliteException { SqliteErrorCode: 5 or 6 } => TroubleKind.Busy,
            IOException { HResult: NoSpace or OverQuota } => TroubleKind.Full,
            UnauthorizedAccessException => TroubleKind.ReadOnly,
            _ => null,
        };

    private static string Sentence(TroubleKind kind) =>
        kind switch
        {
            TroubleKind.ReadOnly =>
                "The data file cannot be written: it or its folder is read-only. This was not kept; what was written before is safe. Let the account that runs Hushed Lantern write there, then try again.",
            TroubleKind.Full =>
                "The disk is full. This was not kept; what was written before is safe. Make room on the disk that holds the data file, then try again.",
            TroubleKind.Damaged =>
                "The data file is damaged, so nothing more is written to it. Copies of it are safe: put the newest sound one back under Safekeeping, or with ./lantern restore.",
            TroubleKind.NotADatabase =>
                "The data file is not one of Hushed Lantern, or its beginning is damaged. Nothing was changed. Put the newest copy back with ./lantern restore.",
            TroubleKind.CannotOpen =>
                "The data file cannot be opened: it or its folder is gone, or may not be entered. Nothing was changed. See to the folder, then try again.",
            TroubleKind.DiskFailed =>
                "The disk that holds the data file failed while it was read or written. This was not kept. Look after the disk before you write on; copies are in the backups folder.",
            TroubleKind.Busy => "The data file is busy: something else holds it. Try again in a moment.",
            _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "No sentence for it."),
        };
}
