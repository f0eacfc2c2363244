using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>Settings with their version.</summary>
public sealed record VersionedSettings(RoomSettings Settings, long Version);

/// <summary>The furniture with its version.</summary>
public sealed record VersionedLayout(RoomLayout Layout, long Version);

/// <summary>Reads and writes the settings and the furniture of the room.</summary>
public sealed class RoomStore(LanternDb db)
{
    private const int OnlyRoom = 1;

    /// <summary>Settings of a room that has just been made, in the computer's own time zone.</summary>
    public static RoomSettings Fresh { get; } =
        new(
            "My room",
            "Keeper",
            TimeZoneInfo.TryFindSystemTimeZoneById(TimeZoneInfo.Local.Id, out _) ? TimeZoneInfo.Local.Id : "UTC",
            NightClock.DefaultCutoverHour,
            LengthUnit.Mm,
            FirstMealSchool.Default,
            CadenceSchool.Default,
            AfterPairingSchool.Steady
        );

    /// <summary>The settings.</summary>
    public async Task<VersionedSettings> ReadAsync(CancellationToken cancel)
    {
        var row = await db.Rooms.AsNoTracking().SingleOrDefaultAsync(cancel);
        return row is null
            ? new VersionedSettings(Fresh, 0)
            : new VersionedSettings(LedgerJson.Read<RoomSettings>(row.Settings), row.Version);
    }

    /// <summary>The shared tanks and who lives in them.</summary>
    public Task<TankBook> TanksAsync(CancellationToken cancel) => TankReader.ReadAsync(db, cancel);

    /// <summary>Writes the settings; standings are judged anew by the caller.</summary>
    /// <returns>False when somebody changed them in the meantime.</returns>
    public async Task<bool> WriteAsync(
        RoomSettings settings,
        long expectedVersion,
        string fingerprint,
        CancellationToken cancel
    )
    {
        var row = await RowAsync(cancel);
        if (row.Version != expectedVersion)
        {
            return false;
        }

        row.Settings = LedgerJson.Write(settings);
        row.Version++;
        row.RulesFingerprint = $"{fingerprint} {Standing.Shape}";
        await db.SaveChangesAsync(cancel);
        return true;
    }

    /// <summary>The furniture.</summary>
    public async Task<VersionedLayout> LayoutAsync(CancellationToken cancel)
    {
        var row = await db
            .Rooms.AsNoTracking()
            .Select(r => new { r.Layout, r.LayoutVersion })
            .SingleOrDefaultAsync(cancel);
        return new VersionedLayout(
            row?.Layout is { } layout ? LedgerJson.Read<RoomLayout>(layout) : RoomLayout.Empty,
            row?.LayoutVersion ?? 0
        );
    }

    /// <summary>Writes the furniture.</summary>
    /// <returns>False when somebody changed it in the meantime.</returns>
    public async Task<bool> WriteLayoutAsync(RoomLayout layout, long expectedVersion, CancellationToken cancel)
    {
        var row = await RowAsync(cancel);
        if (row.LayoutVersion != expectedVersion)
        {
            return false;
        }

        row.Layout = LedgerJson.Write(layout);
        row.LayoutVersion++;
        await db.SaveChangesAsync(cancel);
        return true;
    }

    /// <summary>The one row, made when the file is fresh; saved by the caller.</summary>
    private async Task<RoomRow> RowAsync(CancellationToken cancel)
    {
        if (await db.Rooms.SingleOrDefaultAsync(cancel) is { } there)
        {
            return there;
        }

        var row = new RoomRow
        {
            Id = OnlyRoom,
            Settings = LedgerJson.Write(Fresh),
            RulesFingerprint = "",
        };
        db.Rooms.Add(row);
        return row;
    }

    /// <summary>Makes the settings of a fresh file, and notes with which rulebook its standings are judged.</summary>
    /// <returns>True when the standings must be rebuilt because the rulebook is another one now.</returns>
    public async Task<bool> AdoptRulesAsync(RuleSet rules, CancellationToken cancel)
    {
        var row = await db.Rooms.SingleOrDefaultAsync(cancel);
        if (row is null)
        {
            await WriteAsync(Fresh, 0, rules.Fingerprint, cancel);
            return false;
        }

        var judgedWith = $"{rules.Fingerprint} {Standing.Shape}";
        var isOther = row.RulesFingerprint != judgedWith;
        row.RulesFingerprint = judgedWith;
        await db.SaveChangesAsync(cancel);
        return isOther;
    }
}
