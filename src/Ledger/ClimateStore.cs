using Husbandry.Climate;
using Husbandry.Reasons;
using Husbandry.Rooms;

namespace Ledger;

/// <summary>The journal of the room's air: instruments, answers to alarms, programmes; append-only, as that of the animals.</summary>
public sealed class ClimateStore(LanternDb db, RoomCache cache)
{
    private readonly SideJournal<ClimateNoteRow, ClimateAct> journal = new(
        db,
        () => new ClimateNoteRow { WrittenBy = "", Act = "" }
    );

    /// <summary>Every entry, in order of writing.</summary>
    public async Task<IReadOnlyList<ClimateEntry>> ReadAsync(CancellationToken cancel) =>
        [.. (await journal.ReadAsync(cancel)).Select(e => new ClimateEntry(e.Id, e.Sequence, e.At, e.By, e.Act))];

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
        var result = await journal.WriteAsync(
            new SideEntry<ClimateAct>(id, 0, at, by, act),
            at,
            async () => [.. (await BookAsync(cancel)).Check(act, room.Rules.Room.Climate.Alarms, room.Tonight)],
            cancel
        );
        if (result.Outcome == WriteOutcome.Written)
        {
            LetGo(act);
        }

        return result;
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

        return problems.Count > 0
            ? problems
            : await journal.AddAsync(
                "climateNotes",
                entries
                    .OfType<ClimateEntry>()
                    .Select(e => new SideEntry<ClimateAct>(e.Id, e.Sequence, e.At, e.WrittenBy, e.Act)),
                cancel
            );
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
}
