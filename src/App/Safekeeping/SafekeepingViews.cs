using Ledger.Safekeeping;

namespace App.Safekeeping;

/// <summary>Whether the application is well.</summary>
/// <param name="Status">well, ailing, or damaged.</param>
/// <param name="Version">Its version.</param>
public sealed record Health(string Status, string Version);

/// <summary>A copy of the data file as it is listed.</summary>
/// <param name="Name">Name of the file.</param>
/// <param name="At">When it was made.</param>
/// <param name="Reason">Why.</param>
/// <param name="Bytes">Its size.</param>
public sealed record BackupView(string Name, DateTimeOffset At, BackupReason Reason, long Bytes);

/// <summary>The data file, how it was found, and its copies.</summary>
/// <param name="File">Path of the data file on the machine that serves the room.</param>
/// <param name="Bytes">Its size.</param>
/// <param name="Sums">What it holds.</param>
/// <param name="Found">How it was found last; none before it was looked at.</param>
/// <param name="Folder">Folder of the copies.</param>
/// <param name="Backups">The copies, the newest first.</param>
/// <param name="Troubles">What is wrong, each in a sentence.</param>
public sealed record SafekeepingView(
    string File,
    long Bytes,
    RoomSums Sums,
    FileFound? Found,
    string Folder,
    IReadOnlyList<BackupView> Backups,
    IReadOnlyList<string> Troubles
);

/// <summary>What came of looking through the whole record.</summary>
/// <param name="IsSound">Whether all of it is as it must be.</param>
/// <param name="Says">What was found, a sentence for each thing.</param>
public sealed record CheckView(bool IsSound, IReadOnlyList<string> Says);

/// <summary>What loading a file added.</summary>
/// <param name="Stock">Animals.</param>
/// <param name="Entries">Entries of the journal.</param>
/// <param name="Readings">Climate readings.</param>
/// <param name="Pictures">Pictures.</param>
public sealed record LoadView(int Stock, int Entries, int Readings, int Pictures);
