using Husbandry.Feeding;
using Husbandry.Journal;
using Husbandry.Larder;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>The larder's journal: append-only, as that of the animals.</summary>
public sealed class LarderStore(LanternDb db, RoomCache cache)
{
    private readonly SideJournal<LarderRow, LarderAct> journal = new(
        db,
        () => new LarderRow { WrittenBy = "", Act = "" }
    );

    /// <summary>Sequence of the newest entry; 0 when there is none.</summary>
    public async Task<long> LatestSequenceAsync(CancellationToken cancel) =>
        await db.Larder.AsNoTracking().MaxAsync(e => (long?)e.Sequence, cancel) ?? 0;

    /// <summary>Every entry, in order of writing.</summary>
    public async Task<IReadOnlyList<LarderEntry>> ReadAsync(CancellationToken cancel) =>
        [.. (await journal.ReadAsync(cancel)).Select(e => new LarderEntry(e.Id, e.Sequence, e.At, e.By, e.Act))];

    /// <summary>What an entry says; none when there is no such entry.</summary>
    public Task<LarderAct?> FindAsync(Guid id, CancellationToken cancel) => journal.FindAsync(id, cancel);

    /// <summary>The larder now.</summary>
    public async Task<LarderStanding> StandingAsync(RuleSet rules, CancellationToken cancel) =>
        LarderStanding.Fold(await ReadAsync(cancel), rules);

    /// <summary>Foods that the room keeps, by what was written of them in the last weeks.</summary>
    public async Task<IReadOnlySet<FoodKey>> KeptAsync(Room room, CancellationToken cancel)
    {
        var latest = await LatestSequenceAsync(cancel);
        if (cache.Kept is { } kept && kept.Sequence == latest && kept.Night == room.Tonight)
        {
            return kept.Foods;
        }

        var since = room.Now.AddDays(-room.Rules.Larder.Weeks.Value * 7);
        var foods = (await StandingAsync(room.Rules, cancel)).KeptSince(since, room.Rules);
        cache.Kept = new RoomCache.KeptFoods(foods, latest, room.Tonight);
        return foods;
    }

    /// <summary>What was fed since the foods that are counted were counted first.</summary>
    public async Task<IReadOnlyList<FoodFed>> FedAsync(LarderStanding larder, Room room, CancellationToken cancel)
    {
        var counted = larder.Foods.ToDictionary(
            f => f.Key,
            f => f.Value.LastOrDefault(c => c.IsCount)?.At ?? f.Value[0].At
        );
        if (counted.Count == 0)
        {
            return [];
        }

        var since = counted.Values.Min().UtcTicks;
        // The text is looked at first, so that years of waterings need not be read as JSON.
        var rows = await db
            .Entries.AsNoTracking()
            .Where(e =>
                e.ToTicks >= since
                && (e.Supersedes != null || e.Act.Contains("\"offered\"") || e.Act.Contains("\"withdrawn\""))
            )
            .ToListAsync(cancel);
        return
        [
            .. Chronicle
                .Effective(rows.Select(Rows.ToEntry).ToList())
                .Where(e => e.Act is Offered && e.When.To <= room.Now)
                .Select(e => Fed((Offered)e.Act, e.When.To, room.Rules.Room.Feeding.PiecesOfOne.Value))
                .Where(f => counted.TryGetValue(f.Food, out var at) && f.At >= at),
        ];
    }

    /// <summary>Writes an entry once, however often it is sent.</summary>
    /// <returns>What is wrong with it; then nothing was written.</returns>
    public Task<WriteResult> WriteAsync(
        Guid id,
        LarderAct act,
        DateTimeOffset at,
        string by,
        Room room,
        CancellationToken cancel
    ) =>
        journal.WriteAsync(
            new SideEntry<LarderAct>(id, 0, at, by, act),
            room.Now,
            async () =>
                act is LarderWithdrawn back && await journal.FindAsync(back.EntryId, cancel) is null
                    ? [new Problem("act.entryId", "No such entry.")]
                    : LarderCheck.Check(act, await StandingAsync(room.Rules, cancel), room.Rules),
            cancel
        );

    /// <summary>Writes many entries of one moment, all or none; those that are there already are passed over.</summary>
    /// <returns>What is wrong with them, or how many were written.</returns>
    public Task<(WriteResult Result, int Count)> WriteAllAsync(
        IReadOnlyList<(Guid Id, LarderAct Act)> acts,
        DateTimeOffset at,
        string by,
        Room room,
        CancellationToken cancel
    ) =>
        journal.WriteAllAsync(
            [.. acts.Select(a => new SideEntry<LarderAct>(a.Id, 0, at, by, a.Act))],
            room.Now,
            async fresh =>
            {
                var (larder, problems) = (await StandingAsync(room.Rules, cancel), new List<Problem>());
                foreach (var e in fresh)
                {
                    problems.AddRange(LarderCheck.Check(e.Act, larder, room.Rules));
                    larder = larder.After(new LarderEntry(e.Id, e.Sequence, e.At, e.By, e.Act), room.Rules);
                }

                return problems;
            },
            cancel
        );

    /// <summary>Adds entries of a room file; those that are there already are passed over. Saved by the caller.</summary>
    /// <returns>What is wrong with them; then none is added.</returns>
    internal Task<IReadOnlyList<Problem>> AddAsync(IReadOnlyList<LarderEntry> entries, CancellationToken cancel) =>
        journal.AddAsync(
            "larder",
            entries.Select(e => new SideEntry<LarderAct>(e.Id, e.Sequence, e.At, e.WrittenBy, e.Act)),
            cancel
        );

    private static FoodFed Fed(Offered offer, DateTimeOffset at, int piecesOfOne) =>
        new(
            new FoodKey(offer.FeederId, offer.SizeClassId),
            at,
            offer.Preparation == Preparation.Cut ? Math.Ceiling((double)offer.Count / piecesOfOne) : offer.Count
        );
}
