using System.Runtime.CompilerServices;
using System.Text.Json;
using Husbandry.Journal;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>Reads the journal and the standings folded from it.</summary>
public sealed class JournalReader(LanternDb db)
{
    private const int Portion = 500;

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
        var rows = await db.Entries.AsNoTracking().Where(e => e.ToTicks >= ticks).ToListAsync(cancel);
        // Put in order here: asked to do it, the database would walk the whole journal by number instead of by time.
        return [.. rows.OrderBy(r => r.Sequence).Select(Rows.ToEntry)];
    }

    /// <summary>
    /// Entries that count for happenings from an instant to before another. Corrections and withdrawals written since are
    /// heeded, whenever they were written.
    /// </summary>
    public async Task<IReadOnlyList<JournalEntry>> ReadBetweenAsync(
        DateTimeOffset from,
        DateTimeOffset to,
        CancellationToken cancel
    )
    {
        var (first, end) = (from.UtcTicks, to.UtcTicks);
        var within = await db
            .Entries.AsNoTracking()
            .Where(e => e.ToTicks >= first && e.ToTicks < end)
            .ToListAsync(cancel);
        var animals = within.Select(e => e.StockId).Distinct().ToList();
        var struck = await db
            .Entries.AsNoTracking()
            .Where(e =>
                e.ToTicks >= first
                && animals.Contains(e.StockId)
                && (e.Supersedes != null || e.Act.Contains("\"withdrawn\""))
            )
            .ToListAsync(cancel);
        return
        [
            .. Chronicle
                .Effective(
                    within.Concat(struck).DistinctBy(e => e.Sequence).OrderBy(e => e.Sequence).Select(Rows.ToEntry)
                )
                .Where(e => e.When.To < to),
        ];
    }

    /// <summary>Which of these entries are written already.</summary>
    public async Task<IReadOnlySet<Guid>> WrittenAsync(IReadOnlyList<Guid> ids, CancellationToken cancel) =>
        (
            await db.Entries.AsNoTracking().Where(e => ids.Contains(e.Id)).Select(e => e.Id).ToListAsync(cancel)
        ).ToHashSet();

    /// <summary>The newest entries of all animals, in order of writing.</summary>
    public async Task<IReadOnlyList<JournalEntry>> NewestAsync(int count, CancellationToken cancel)
    {
        var rows = await db.Entries.AsNoTracking().OrderByDescending(e => e.Sequence).Take(count).ToListAsync(cancel);
        rows.Reverse();
        return [.. rows.Select(Rows.ToEntry)];
    }

    /// <summary>The standing of one animal, or none.</summary>
    public async Task<Standing?> StandingAsync(Guid stockId, CancellationToken cancel)
    {
        var row = await db.StandingOfAsync(stockId, cancel);
        return row is null ? null : await StandingAsync(row, cancel);
    }

    /// <summary>The standing of a row.</summary>
    public Task<Standing?> StandingAsync(StandingRow row, CancellationToken cancel) =>
        ReadableAsync(row.StockId, row.State, cancel);

    /// <summary>
    /// A standing as stored; one whose text is broken is folded anew from the journal.
    /// </summary>
    /// <returns>None when the journal cannot be read either; the check of the file names its entry.</returns>
    private async Task<Standing?> ReadableAsync(Guid stockId, string state, CancellationToken cancel)
    {
        if (StoredStanding.Read(state) is { } standing)
        {
            return standing;
        }

        try
        {
            return Standing.Fold([.. await ReadAsync(stockId, cancel)]);
        }
        catch (JsonException)
        {
            return null;
        }
    }

    private async Task<List<Standing>> ReadableAsync(IQueryable<StandingRow> rows, CancellationToken cancel)
    {
        var stored = await rows.Select(s => new { s.StockId, s.State }).ToListAsync(cancel);
        var found = new List<Standing>(stored.Count);
        foreach (var row in stored)
        {
            if (await ReadableAsync(row.StockId, row.State, cancel) is { } standing)
            {
                found.Add(standing);
            }
        }

        return found;
    }

    /// <summary>Folds the whole journal animal by animal, holding one animal's entries at a time.</summary>
    public async IAsyncEnumerable<FoldedLife> FoldAllAsync([EnumeratorCancellation] CancellationToken cancel)
    {
        var (life, isWhole) = (new List<JournalEntry>(), true);
        var current = Guid.Empty;
        var rows = db
            .Entries.AsNoTracking()
            .OrderBy(e => e.StockId)
            .ThenBy(e => e.Sequence)
            .AsAsyncEnumerable()
            .WithCancellation(cancel);
        await foreach (var row in rows)
        {
            if (current != row.StockId)
            {
                if (Standing.Fold(life) is { } standing)
                {
                    yield return new FoldedLife(standing, isWhole);
                }

                life.Clear();
                (current, isWhole) = (row.StockId, true);
            }

            try
            {
                life.Add(Rows.ToEntry(row));
            }
            catch (JsonException)
            {
                isWhole = false;
            }
        }

        if (Standing.Fold(life) is { } last)
        {
            yield return new FoldedLife(last, isWhole);
        }
    }

    /// <summary>Sequence of the newest entry; 0 in an empty journal.</summary>
    public Task<long> LatestSequenceAsync(CancellationToken cancel) => db.LatestSequenceAsync(cancel);

    /// <summary>How many animals are or were in the room.</summary>
    public Task<int> CountAsync(CancellationToken cancel) => db.Standings.CountAsync(cancel);

    /// <summary>Standings of everything that is or was in the room, one after another.</summary>
    public async IAsyncEnumerable<Standing> StreamStandingsAsync([EnumeratorCancellation] CancellationToken cancel)
    {
        var rows = db.Standings.AsNoTracking().Select(s => s.State).AsAsyncEnumerable().WithCancellation(cancel);
        await foreach (var state in rows)
        {
            if (StoredStanding.Read(state) is { } standing)
            {
                yield return standing;
            }
        }
    }

    /// <summary>Standings of some animals.</summary>
    public async Task<IReadOnlyList<Standing>> StandingsAsync(IReadOnlyList<Guid> ids, CancellationToken cancel)
    {
        var found = new List<Standing>(ids.Count);
        foreach (var portion in ids.Chunk(Portion))
        {
            found.AddRange(
                await ReadableAsync(db.Standings.AsNoTracking().Where(s => portion.Contains(s.StockId)), cancel)
            );
        }

        return found;
    }

    /// <summary>All standings, in walking order.</summary>
    /// <param name="here">Those still in the collection, or those that left.</param>
    /// <param name="cancel">Cancels.</param>
    public async Task<IReadOnlyList<Standing>> StandingsAsync(bool here, CancellationToken cancel) =>
        await ReadableAsync(
            db.Standings.AsNoTracking()
                .Where(s => s.Here == here)
                .OrderBy(s => s.Rack.Length)
                .ThenBy(s => s.Rack)
                .ThenBy(s => s.Shelf)
                .ThenBy(s => s.Slot),
            cancel
        );
}

/// <summary>An animal's journal, folded.</summary>
/// <param name="Standing">What it comes to.</param>
/// <param name="IsWhole">Whether every entry could be read; else what follows from it is not to be trusted.</param>
public sealed record FoldedLife(Standing Standing, bool IsWhole);
