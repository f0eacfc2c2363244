using System.Text.Json;
using Husbandry.Climate;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>The journal of the room's air: instruments, answers to alarms, programmes; append-only, as that of the animals.</summary>
public sealed class ClimateStore(LanternDb db, RoomCache cache)
{
    /// <summary>Every entry, in order of writing.</summary>
    public async Task<IReadOnlyList<ClimateEntry>> ReadAsync(CancellationToken cancel) =>
        [.. (await db.ClimateNotes.AsNoTracking().OrderBy(e => e.Sequence).ToListAsync(cancel)).Select(ToEntry)];

    /// <summary>Instruments, answers and programmes now.</summary>
    public async Task<ClimateBook> BookAsync(CancellationToken cancel)
    {
        if (cache.Air is { } kept && db.Database.CurrentTransaction is null)
        {
            return kept;
        }

        var book = ClimateBook.Fold(await ReadAsync(cancel));
        if (db.Database.CurrentTransaction is null)
        {
            cache.Air = book;
        }

        return book;
    }

    /// <summary>Writes an entry once, however often it is sent.</summary>
    /// <param name="id">Id made by the client.</param>
    /// <param name="act">What is said.</param>
    /// <param name="at">When.</param>
    /// <param name="by">Who says so.</param>
    /// <param name="room">The room.</param>
    /// <param name="cancel">Cancels; nothing is written then.</param>
    public async Task<WriteResult> WriteAsync(
        Guid id,
        ClimateAct act,
        DateTimeOffset at,
        string by,
        Room room,
        CancellationToken cancel
    )
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        if (await db.ClimateNotes.Where(e => e.Id == id).Select(e => e.Act).FirstOrDefaultAsync(cancel) is { } former)
        {
            return WriteResult.Again(former, JsonSerializer.Serialize(act, LedgerJson.Options));
        }

        var book = await BookAsync(cancel);
        if (book.Check(act, room.Rules.Room.Climate.Alarms, room.Tonight).ToList() is { Count: > 0 } problems)
        {
            return WriteResult.Refuse(problems);
        }

        db.ClimateNotes.Add(Row(id, act, at, by));
        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        LetGo(act);
        return WriteResult.Written;
    }

    /// <summary>Adds entries of a room file; those that are there already are passed over. Saved by the caller.</summary>
    /// <returns>What is wrong with them; then none is added.</returns>
    internal async Task<IReadOnlyList<Problem>> AddAsync(
        IReadOnlyList<ClimateEntry?> entries,
        Room room,
        CancellationToken cancel
    )
    {
        var (book, problems) = (ClimateBook.Empty, new List<Problem>());
        foreach (var (entry, i) in entries.Select((e, i) => (e, i)))
        {
            if (entry?.Act is null)
            {
                problems.Add(new Problem($"climateNotes[{i}]", "Is missing."));
                continue;
            }

            // A programme of years ago was within reach of its own night.
            var then = room.Clock.NightOf(entry.At);
            problems.AddRange(
                book.Check(entry.Act, room.Rules.Room.Climate.Alarms, then)
                    .Select(p => p with { Field = $"climateNotes[{i}].{p.Field}" })
            );
            book = book.After(entry);
        }

        var known = (await db.ClimateNotes.AsNoTracking().Select(e => e.Id).ToListAsync(cancel)).ToHashSet();
        if (problems.Count == 0)
        {
            var fresh = entries.OfType<ClimateEntry>().OrderBy(e => e.Sequence).Where(e => known.Add(e.Id));
            db.ClimateNotes.AddRange(fresh.Select(e => Row(e.Id, e.Act, e.At, e.WrittenBy)));
        }

        return problems;
    }

    private void LetGo(ClimateAct act)
    {
        cache.Air = null;
        if (act is not (AlarmSeen or AlarmSnoozed or QuietHoursSet or ProgrammeSet or ProgrammeDropped))
        {
            // Where an instrument hangs, and how it is corrected, says what was read there.
            cache.Climate = null;
        }
    }

    private static ClimateNoteRow Row(Guid id, ClimateAct act, DateTimeOffset at, string by) =>
        new()
        {
            Id = id,
            AtTicks = at.UtcTicks,
            WrittenTicks = at.UtcTicks,
            WrittenBy = by,
            Act = JsonSerializer.Serialize(act, LedgerJson.Options),
        };

    private static ClimateEntry ToEntry(ClimateNoteRow row) =>
        new(
            row.Id,
            row.Sequence,
            new DateTimeOffset(row.AtTicks, TimeSpan.Zero),
            row.WrittenBy,
            LedgerJson.Read<ClimateAct>(row.Act)
        );
}
