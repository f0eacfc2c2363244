using System.Globalization;
using App.Hosting;
using Ledger;
using Ledger.Safekeeping;
using Microsoft.EntityFrameworkCore;

namespace App.Safekeeping;

/// <summary>How the data file was found.</summary>
/// <param name="At">When it was looked at.</param>
/// <param name="Wrong">What is wrong with it, in SQLite's words; empty when it is sound.</param>
public sealed record FileFound(DateTimeOffset At, IReadOnlyList<string> Wrong);

/// <summary>
/// What is not as it should be with the room's record: damage, a clock that is behind, copies that could not be made, a disk
/// that is nearly full. Said on every page for as long as it is so.
/// </summary>
public sealed class RoomHealth(LanternOptions options, WriteGate gate, TimeProvider clock)
{
    private const long LeastFreeBytes = 200L * 1024 * 1024;
    private const double BytesInMegabyte = 1024 * 1024;
    private static readonly TimeSpan ClockSlack = TimeSpan.FromMinutes(10);
    private static readonly TimeSpan CopyIsOld = TimeSpan.FromDays(3);

    private volatile FileFound? found;
    private volatile string? copyTrouble;
    private IDisposable? shut;

    /// <summary>How the file was found last; none before it was looked at.</summary>
    public FileFound? Found => found;

    /// <summary>Why the last copy could not be made; none when it could.</summary>
    public string? CopyTrouble
    {
        get => copyTrouble;
        set => copyTrouble = value;
    }

    /// <summary>Whether the file is damaged as far as is known.</summary>
    public bool IsDamaged => found is { Wrong.Count: > 0 };

    /// <summary>Notes how the file was found. A damaged one is not written to any more.</summary>
    public void Note(IReadOnlyList<string> wrong)
    {
        found = new FileFound(clock.GetUtcNow(), wrong);
        if (wrong.Count > 0)
        {
            shut ??= gate.TryClose(LedgerTrouble.Of(TroubleKind.Damaged).Says);
        }
        else
        {
            shut?.Dispose();
            shut = null;
        }
    }

    /// <summary>What is wrong now, each in a sentence with what to do; empty when all is well.</summary>
    public async Task<IReadOnlyList<string>> TroublesAsync(LanternDb db, CancellationToken cancel)
    {
        var says = new List<string>();
        if (IsDamaged)
        {
            says.Add(LedgerTrouble.Of(TroubleKind.Damaged).Says);
        }
        else if (gate.Closed is { } busy)
        {
            says.Add(busy);
        }

        if (!IsDamaged && await ClockBehindAsync(db, cancel) is { } behind)
        {
            says.Add(behind);
        }

        if (CopyTrouble is { } failed)
        {
            says.Add(failed);
        }
        else if (OldCopy() is { } old)
        {
            says.Add(old);
        }

        if (DiskNearlyFull() is { } full)
        {
            says.Add(full);
        }

        return says;
    }

    /// <summary>Says that this machine's clock is behind what is written already; none when it is not.</summary>
    public async Task<string?> ClockBehindAsync(LanternDb db, CancellationToken cancel)
    {
        var newest = await db
            .Entries.AsNoTracking()
            .OrderByDescending(e => e.Sequence)
            .Select(e => (long?)e.WrittenTicks)
            .FirstOrDefaultAsync(cancel);
        var now = clock.GetUtcNow();
        return newest is { } ticks && ticks > (now + ClockSlack).UtcTicks
            ? string.Create(
                CultureInfo.InvariantCulture,
                $"This machine’s clock is behind: it says {now.UtcDateTime:yyyy-MM-dd HH:mm} UTC, and the newest entry was written {new DateTime(ticks):yyyy-MM-dd HH:mm} UTC. Set the clock before you write on: every night and every wait is counted by it."
            )
            : null;
    }

    private string? OldCopy()
    {
        if (!LanternOptions.IsServer || new Backups(new LedgerFile(options.DataFile)).All() is not [var newest, ..])
        {
            return null;
        }

        var days = (clock.GetUtcNow() - newest.At).TotalDays;
        return days > CopyIsOld.TotalDays
            ? $"The newest copy of the data file is {days:0} days old. Make one under Safekeeping."
            : null;
    }

    private string? DiskNearlyFull()
    {
        if (Path.GetDirectoryName(options.DataFile) is not { } folder || !Directory.Exists(folder))
        {
            return null;
        }

        var free = new DriveInfo(folder).AvailableFreeSpace;
        var needed = File.Exists(options.DataFile) ? 2 * new FileInfo(options.DataFile).Length : 0;
        return free < Math.Max(LeastFreeBytes, needed)
            ? $"Only {free / BytesInMegabyte:0} MB are free on the disk that holds the data file. Make room there, or soon nothing can be written or copied."
            : null;
    }
}
