using Husbandry.Chores;
using Husbandry.Reasons;
using Husbandry.Rooms;

namespace Ledger;

/// <summary>The journal of chores and gear: append-only, as that of the animals.</summary>
public sealed class ChoreStore(LanternDb db)
{
    private readonly SideJournal<ChoreRow, ChoreAct> journal = new(db, () => new ChoreRow { WrittenBy = "", Act = "" });

    /// <summary>Every entry, in order of writing.</summary>
    public async Task<IReadOnlyList<ChoreEntry>> ReadAsync(CancellationToken cancel) =>
        [.. (await journal.ReadAsync(cancel)).Select(e => new ChoreEntry(e.Id, e.Sequence, e.At, e.By, e.Act))];

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
    public Task<WriteResult> WriteAsync(
        Guid id,
        ChoreAct act,
        DateTimeOffset at,
        string by,
        Room room,
        CancellationToken cancel
    ) =>
        journal.WriteAsync(
            new SideEntry<ChoreAct>(id, 0, at, by, act),
            at,
            async () =>
                act is ChoreWithdrawn back && await journal.FindAsync(back.EntryId, cancel) is null
                    ? [new Problem("act.entryId", "No such entry.")]
                    : ChoreCheck.Check(act, await StandingAsync(cancel), room),
            cancel
        );

    /// <summary>Writes many entries of one moment, all or none; those that are there already are passed over.</summary>
    /// <returns>What is wrong with them, or how many were written.</returns>
    public Task<(WriteResult Result, int Count)> WriteAllAsync(
        IReadOnlyList<(Guid Id, ChoreAct Act)> acts,
        DateTimeOffset at,
        string by,
        Room room,
        CancellationToken cancel
    ) =>
        journal.WriteAllAsync(
            [.. acts.Select(a => new SideEntry<ChoreAct>(a.Id, 0, at, by, a.Act))],
            room.Now,
            async fresh =>
            {
                var (chores, problems) = (await StandingAsync(cancel), new List<Problem>());
                foreach (var e in fresh)
                {
                    problems.AddRange(ChoreCheck.Check(e.Act, chores, room));
                    chores = chores.After(new ChoreEntry(e.Id, e.Sequence, e.At, e.By, e.Act));
                }

                return problems;
            },
            cancel
        );

    /// <summary>Adds entries of a room file; those that are there already are passed over. Saved by the caller.</summary>
    /// <returns>What is wrong with them; then none is added.</returns>
    internal Task<IReadOnlyList<Problem>> AddAsync(IReadOnlyList<ChoreEntry> entries, CancellationToken cancel) =>
        journal.AddAsync(
            "chores",
            entries.Select(e => new SideEntry<ChoreAct>(e.Id, e.Sequence, e.At, e.WrittenBy, e.Act)),
            cancel
        );
}
