using System.Text.Json;
using Husbandry.Chores;
using Husbandry.Rooms;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>The journal of chores and gear: append-only, as that of the animals.</summary>
public sealed class ChoreStore(LanternDb db)
{
    /// <summary>Every entry, in order of writing.</summary>
    public async Task<IReadOnlyList<ChoreEntry>> ReadAsync(CancellationToken cancel) =>
        [.. (await db.Chores.AsNoTracking().OrderBy(e => e.Sequence).ToListAsync(cancel)).Select(ToEntry)];

    /// <summary>Chores and gear now.</summary>
    public async Task<ChoreStanding> StandingAsync(CancellationToken cancel) =>
        ChoreStanding.Fold(await ReadAsync(cancel));

    /// <summary>Writes an entry once, however often it is sent.</summary>
    /// <param name="id">Id made by the client.</param>
    /// <param name="act">What happened.</param>
    /// <param name="at">When.</param>
    /// <param name="by">Who says so.</param>
    /// <param name="room">The room.</param>
    /// <param name="cancel">Cancels; nothing is written then.</param>
    public async Task<WriteResult> WriteAsync(
        Guid id,
        ChoreAct act,
        DateTimeOffset at,
        string by,
        Room room,
        CancellationToken cancel
    )
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        if (await db.Chores.Where(e => e.Id == id).Select(e => e.Act).FirstOrDefaultAsync(cancel) is { } former)
        {
            return WriteResult.Again(former, JsonSerializer.Serialize(act, LedgerJson.Options));
        }

        if (act is ChoreWithdrawn back && !await db.Chores.AnyAsync(e => e.Id == back.EntryId, cancel))
        {
            return WriteResult.Refuse(new Husbandry.Reasons.Problem("act.entryId", "No such entry."));
        }

        var problems = ChoreCheck.Check(act, await StandingAsync(cancel), room);
        if (problems.Count > 0)
        {
            return WriteResult.Refuse(problems);
        }

        db.Chores.Add(Row(id, act, at, by));
        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return WriteResult.Written;
    }

    /// <summary>Adds entries of a room file; those that are there already are passed over. Saved by the caller.</summary>
    internal async Task AddAsync(IReadOnlyList<ChoreEntry> entries, CancellationToken cancel)
    {
        var known = (await db.Chores.AsNoTracking().Select(e => e.Id).ToListAsync(cancel)).ToHashSet();
        foreach (var entry in entries.OrderBy(e => e.Sequence).Where(e => known.Add(e.Id)))
        {
            db.Chores.Add(Row(entry.Id, entry.Act, entry.At, entry.WrittenBy));
        }
    }

    private static ChoreRow Row(Guid id, ChoreAct act, DateTimeOffset at, string by) =>
        new()
        {
            Id = id,
            AtTicks = at.UtcTicks,
            WrittenTicks = at.UtcTicks,
            WrittenBy = by,
            Act = JsonSerializer.Serialize(act, LedgerJson.Options),
        };

    private static ChoreEntry ToEntry(ChoreRow row) =>
        new(
            row.Id,
            row.Sequence,
            new DateTimeOffset(row.AtTicks, TimeSpan.Zero),
            row.WrittenBy,
            LedgerJson.Read<ChoreAct>(row.Act)
        );
}
