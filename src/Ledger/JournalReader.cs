using System.Runtime.CompilerServices;
using Husbandry.Journal;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>Reads the journal and the standings folded from it.</summary>
public sealed class JournalReader(LanternDb db)
{
    /// <summary>The raw journal of one animal, in order of writing.</summary>
    public async Task<IReadOnlyList<JournalEntry>> ReadAsync(Guid stockId, CancellationToken cancel)
    {
        var rows = await db
            .Entries.AsNoTracking()
            .Where(e => e.StockId == stockId)
            .OrderBy(e => e.Sequence)
            .ToListAsync(cancel);
        return [.. rows.Select(Rows.ToEntry)];
    }

    /// <summary>The raw journal of the whole room for happenings from an instant on, withdrawals and corrections included.</summary>
    public async Task<IReadOnlyList<JournalEntry>> ReadSinceAsync(DateTimeOffset from, CancellationToken cancel)
    {
        var ticks = from.UtcTicks;
        var rows = await db
            .Entries.AsNoTracking()
            .Where(e => e.ToTicks >= ticks)
            .OrderBy(e => e.Sequence)
            .ToListAsync(cancel);
        return [.. rows.Select(Rows.ToEntry)];
    }

    /// <summary>The standing of one animal, or none.</summary>
    public async Task<Standing?> StandingAsync(Guid stockId, CancellationToken cancel)
    {
        var row = await db.Standings.AsNoTracking().FirstOrDefaultAsync(s => s.StockId == stockId, cancel);
        return row is null ? null : LedgerJson.Read<Standing>(row.State);
    }

    /// <summary>Folds the whole journal animal by animal, holding one animal's entries at a time.</summary>
    public async IAsyncEnumerable<Standing> FoldAllAsync([EnumeratorCancellation] CancellationToken cancel)
    {
        var life = new List<JournalEntry>();
        var rows = db
            .Entries.AsNoTracking()
            .OrderBy(e => e.StockId)
            .ThenBy(e => e.Sequence)
            .AsAsyncEnumerable()
            .WithCancellation(cancel);
        await foreach (var row in rows)
        {
            if (life.Count > 0 && life[0].StockId != row.StockId)
            {
                if (Standing.Fold(life) is { } standing)
                {
                    yield return standing;
                }

                life.Clear();
            }

            life.Add(Rows.ToEntry(row));
        }

        if (life.Count > 0 && Standing.Fold(life) is { } last)
        {
            yield return last;
        }
    }

    /// <summary>Sequence of the newest entry; 0 in an empty journal.</summary>
    public async Task<long> LatestSequenceAsync(CancellationToken cancel) =>
        await db.Entries.MaxAsync(e => (long?)e.Sequence, cancel) ?? 0;

    /// <summary>Standings of everything that is or was in the room.</summary>
    public async Task<IReadOnlyList<Standing>> AllStandingsAsync(CancellationToken cancel)
    {
        var states = await db.Standings.AsNoTracking().Select(s => s.State).ToListAsync(cancel);
        return [.. states.Select(LedgerJson.Read<Standing>)];
    }

    /// <summary>All standings, in walking order.</summary>
    /// <param name="here">Those still in the collection, or those that left.</param>
    /// <param name="cancel">Cancels.</param>
    public async Task<IReadOnlyList<Standing>> StandingsAsync(bool here, CancellationToken cancel)
    {
        var states = await db
            .Standings.AsNoTracking()
            .Where(s => s.Here == here)
            .OrderBy(s => s.Rack.Length)
            .ThenBy(s => s.Rack)
            .ThenBy(s => s.Shelf)
            .ThenBy(s => s.Slot)
            .Select(s => s.State)
            .ToListAsync(cancel);
        return [.. states.Select(LedgerJson.Read<Standing>)];
    }
}
