using System.Text.Json;
using Husbandry.Reasons;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>An entry of a journal beside that of the animals.</summary>
/// <param name="Id">Made by the client.</param>
/// <param name="Sequence">Order of writing; 0 for one that is still to be written.</param>
/// <param name="At">When it happened.</param>
/// <param name="By">Who wrote it.</param>
/// <param name="Act">What happened.</param>
internal sealed record SideEntry<TAct>(Guid Id, long Sequence, DateTimeOffset At, string By, TAct Act);

/// <summary>
/// One of the journals beside that of the animals, all kept in the same way: only added to, each entry once however often it is
/// sent, and the same id never for two things.
/// </summary>
/// <param name="db">The file.</param>
/// <param name="fresh">Makes an empty row.</param>
internal sealed class SideJournal<TRow, TAct>(LanternDb db, Func<TRow> fresh)
    where TRow : SideRow
    where TAct : class
{
    private DbSet<TRow> Rows => db.Set<TRow>();

    /// <summary>Every entry, in order of writing.</summary>
    public async Task<IReadOnlyList<SideEntry<TAct>>> ReadAsync(CancellationToken cancel) =>
        [
            .. (await Rows.AsNoTracking().OrderBy(e => e.Sequence).ToListAsync(cancel)).Select(r => new SideEntry<TAct>(
                r.Id,
                r.Sequence,
                new DateTimeOffset(r.AtTicks, TimeSpan.Zero),
                r.WrittenBy,
                LedgerJson.Read<TAct>(r.Act)
            )),
        ];

    /// <summary>What an entry says; none when there is no such entry.</summary>
    public async Task<TAct?> FindAsync(Guid id, CancellationToken cancel) =>
        await StoredAsync(id, cancel) is { } act ? LedgerJson.Read<TAct>(act) : null;

    /// <summary>Writes an entry once, however often it is sent.</summary>
    /// <param name="entry">The entry.</param>
    /// <param name="writtenAt">When it is written.</param>
    /// <param name="check">What is wrong with it as things stand; asked within the transaction.</param>
    /// <param name="cancel">Cancels; nothing is written then.</param>
    public async Task<WriteResult> WriteAsync(
        SideEntry<TAct> entry,
        DateTimeOffset writtenAt,
        Func<Task<IReadOnlyList<Problem>>> check,
        CancellationToken cancel
    )
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        if (await StoredAsync(entry.Id, cancel) is { } former)
        {
            return WriteResult.Again(former, Write(entry.Act));
        }

        if (await check() is { Count: > 0 } problems)
        {
            return WriteResult.Refuse(problems);
        }

        Rows.Add(Row(entry, writtenAt));
        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return WriteResult.Written;
    }

    /// <summary>Writes many entries, all or none; those that are there already are passed over, unless their id stands for something else.</summary>
    /// <param name="entries">The entries, in order.</param>
    /// <param name="writtenAt">When they are written.</param>
    /// <param name="check">What is wrong with those that are not there yet, as things stand; asked within the transaction.</param>
    /// <param name="cancel">Cancels; nothing is written then.</param>
    /// <returns>How many were written.</returns>
    public async Task<(WriteResult Result, int Count)> WriteAllAsync(
        IReadOnlyList<SideEntry<TAct>> entries,
        DateTimeOffset writtenAt,
        Func<IReadOnlyList<SideEntry<TAct>>, Task<IReadOnlyList<Problem>>> check,
        CancellationToken cancel
    )
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var ids = entries.Select(e => e.Id).ToList();
        var there = await Rows.AsNoTracking()
            .Where(e => ids.Contains(e.Id))
            .ToDictionaryAsync(e => e.Id, e => e.Act, cancel);
        foreach (var entry in entries.Where(e => there.ContainsKey(e.Id)))
        {
            if (WriteResult.Again(there[entry.Id], Write(entry.Act)) is { Outcome: not WriteOutcome.WrittenBefore } odd)
            {
                return (odd, 0);
            }
        }

        List<SideEntry<TAct>> fresh = [.. entries.Where(e => !there.ContainsKey(e.Id))];
        if (await check(fresh) is { Count: > 0 } problems)
        {
            return (WriteResult.Refuse(problems), 0);
        }

        Rows.AddRange(fresh.Select(e => Row(e, writtenAt)));
        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return (fresh.Count == 0 ? WriteResult.WrittenBefore : WriteResult.Written, fresh.Count);
    }

    /// <summary>Adds entries of a room file; those that are there already are passed over. Saved by the caller.</summary>
    /// <param name="list">Name of the list in the file, for what is wrong.</param>
    /// <param name="entries">The entries.</param>
    /// <param name="cancel">Cancels.</param>
    /// <returns>What is wrong with them: an id that stands for two things. Then none is added.</returns>
    public async Task<IReadOnlyList<Problem>> AddAsync(
        string list,
        IEnumerable<SideEntry<TAct>> entries,
        CancellationToken cancel
    )
    {
        var stored = await Rows.AsNoTracking()
            .Select(e => new { e.Id, e.Act })
            .ToDictionaryAsync(e => e.Id, e => e.Act, cancel);
        var (problems, fresh, inFile) = (new List<Problem>(), new List<TRow>(), new HashSet<Guid>());
        foreach (var entry in entries.OrderBy(e => e.Sequence))
        {
            if (!inFile.Add(entry.Id))
            {
                problems.Add(new Problem($"{list} {entry.Id}", "This id is given twice."));
            }
            else if (!stored.TryGetValue(entry.Id, out var former))
            {
                fresh.Add(Row(entry, entry.At));
            }
            else if (Write(LedgerJson.Read<TAct>(former)) != Write(entry.Act))
            {
                problems.Add(new Problem($"{list} {entry.Id}", "This id is in the room already, for something else."));
            }
        }

        if (problems.Count == 0)
        {
            Rows.AddRange(fresh);
        }

        return problems;
    }

    private async Task<string?> StoredAsync(Guid id, CancellationToken cancel) =>
        await Rows.AsNoTracking().Where(e => e.Id == id).Select(e => e.Act).FirstOrDefaultAsync(cancel);

    private static string Write(TAct act) => JsonSerializer.Serialize(act, LedgerJson.Options);

    private TRow Row(SideEntry<TAct> entry, DateTimeOffset writtenAt)
    {
        var row = fresh();
        (row.Id, row.AtTicks, row.WrittenTicks) = (entry.Id, entry.At.UtcTicks, writtenAt.UtcTicks);
        (row.WrittenBy, row.Act) = (entry.By, Write(entry.Act));
        return row;
    }
}
