using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Stock;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>Holds entries against what is written already, before they are written.</summary>
internal sealed class EntryGuard(LanternDb db, JournalReader reader)
{
    /// <summary>Whether two of the entries have the same id.</summary>
    public static WriteResult? FindSameIdTwice(IReadOnlyList<StockEntry> batch) =>
        batch.Select(b => b.Entry.Id).Distinct().Count() < batch.Count
            ? WriteResult.Refuse(new Problem("id", "The same id stands at two entries; give each its own."))
            : null;

    /// <summary>Whether the entries were written before: all of them is a retry, some of them a mistake.</summary>
    public async Task<WriteResult?> FindWrittenBeforeAsync(IReadOnlyList<StockEntry> batch, CancellationToken cancel)
    {
        var ids = batch.Select(b => b.Entry.Id).ToList();
        var rows = await db.Entries.AsNoTracking().Where(e => ids.Contains(e.Id)).ToListAsync(cancel);
        if (rows.Count == 0)
        {
            return null;
        }

        var byId = batch.ToDictionary(b => b.Entry.Id);
        if (rows.Any(r => byId[r.Id].StockId != r.StockId || LedgerJson.Write(byId[r.Id].Entry.Act) != r.Act))
        {
            return WriteResult.Clash("id", "This id was used for another entry; make a new one.");
        }

        return rows.Count == batch.Count
            ? WriteResult.WrittenBefore
            : WriteResult.Clash("id", "Some of these ids were used before; make new ones.");
    }

    /// <summary>Whether somebody else has told the same of the same night since the writer last looked.</summary>
    /// <param name="batch">The entries.</param>
    /// <param name="latest">Number of the newest entry of the journal.</param>
    /// <param name="room">The room now.</param>
    /// <param name="cancel">Cancels.</param>
    public async Task<WriteResult?> FindToldTwiceAsync(
        IReadOnlyList<StockEntry> batch,
        long latest,
        Room room,
        CancellationToken cancel
    )
    {
        var asked = batch.Where(b => b.Entry is { Seen: { } seen, Supersedes: null } && seen < latest).ToList();
        if (asked.Count == 0)
        {
            return null;
        }

        var since = asked.Min(b => b.Entry.Seen!.Value);
        var ids = asked.Select(b => b.StockId).Distinct().ToList();
        var rows = await db
            .Entries.AsNoTracking()
            .Where(e => e.Sequence > since && ids.Contains(e.StockId))
            .ToListAsync(cancel);
        var fresh = Chronicle.Effective([.. rows.Select(Rows.ToEntry)]).ToLookup(e => e.StockId);
        var twice = new List<ToldTwice>();
        foreach (var (stockId, entry, _) in asked)
        {
            var kind = EntryDefinition.Of(entry.Act);
            var night = room.Clock.NightOf(entry.When.To);
            var theirs = fresh[stockId]
                .FirstOrDefault(e =>
                    e.Id != entry.Id
                    && e.Sequence > entry.Seen
                    && room.Clock.NightOf(e.When.To) == night
                    && kind.IsToldTwice(entry.Act, e.Act)
                );
            if (theirs is not null)
            {
                twice.Add(new ToldTwice(entry, theirs));
            }
        }

        return twice.Count == 0
            ? null
            : new WriteResult(
                WriteOutcome.ToldMeanwhile,
                [new Problem("seen", "Somebody else wrote the same in the meantime.")],
                twice
            );
    }

    /// <summary>What is wrong with an entry; none when it may be written.</summary>
    public async Task<WriteResult?> CheckAsync(
        Guid stockId,
        NewEntry entry,
        Standing? standing,
        Room room,
        CancellationToken cancel
    )
    {
        var problems = new List<Problem>(EntryCheck.Check(entry.Act, entry.When, standing, room));
        if (entry.Act is Acquired && standing is not null)
        {
            problems.Add(new Problem("act", "It is in the collection already."));
        }

        problems.AddRange(await CheckOtherAsync(entry, new EntryAt(entry.When, standing, room), cancel));
        problems.AddRange(await CheckFormerAsync(stockId, entry, cancel));
        problems.AddRange(await new ParentGuard(reader).CheckAsync(stockId, entry.Act, cancel));
        if (problems.Count > 0)
        {
            return WriteResult.Refuse(problems);
        }

        return entry.Supersedes is { } former && await IsStruckAsync(stockId, former, cancel)
            ? WriteResult.Clash(
                "supersedes",
                "That entry was corrected or taken back in the meantime: reload and try again."
            )
            : null;
    }

    /// <summary>Whether an animal now stands where another does. Asked after a whole batch, so that two may change places.</summary>
    public async Task<WriteResult?> FindTakenTwiceAsync(IReadOnlyList<Standing> moved, CancellationToken cancel)
    {
        var ids = moved.Select(m => m.StockId).ToHashSet();
        // Those that share a tank take no place of their own.
        var here = moved.Where(m => m.Departure is null && m.TankId is null).ToList();
        if (here.GroupBy(m => m.OwnPlace).FirstOrDefault(g => g.Count() > 1) is { } twice)
        {
            var names = string.Join(" and ", twice.Select(m => m.Details.Nickname));
            return WriteResult.Refuse(new Problem("place", $"{twice.Key.Code} cannot take both {names}."));
        }

        if (here.Count == 0)
        {
            return null;
        }

        // Asked once for all, so that a batch of thousands costs no more than its racks.
        var racks = here.Select(m => m.OwnPlace.Rack).Distinct().ToList();
        var others = await db
            .Standings.AsNoTracking()
            .Where(s => s.Here && (s.TankId == null || s.TankId == s.StockId) && racks.Contains(s.Rack))
            .Select(s => new
            {
                s.StockId,
                s.Rack,
                s.Shelf,
                s.Slot,
            })
            .ToListAsync(cancel);
        var places = here.Select(m => m.OwnPlace).ToHashSet();
        var taken = others.FirstOrDefault(o =>
            !ids.Contains(o.StockId) && places.Contains(new Place(o.Rack, o.Shelf, o.Slot))
        );
        if (taken is not null)
        {
            var occupant = (await reader.StandingAsync(taken.StockId, cancel))!;
            return WriteResult.Refuse(
                new Problem(
                    "place",
                    $"{occupant.OwnPlace.Code} is taken by {occupant.Details.Nickname}: choose another place."
                )
            );
        }

        return null;
    }

    private async Task<IEnumerable<Problem>> CheckOtherAsync(NewEntry entry, EntryAt at, CancellationToken cancel)
    {
        // What began with the entry is made from it, and cannot be at odds with it.
        if (entry.Act is not TwoPartyAct act || act.Other() is not { } other || act.BeganOther())
        {
            return [];
        }

        return await reader.StandingAsync(other, cancel) is { } partner
            ? EntryDefinition.Of(act).CheckBoth(act, at, partner)
            : [new Problem(act is Paired ? "act.partnerId" : "act.partyId", "No such animal in the collection.")];
    }

    private async Task<IReadOnlyList<Problem>> CheckFormerAsync(Guid stockId, NewEntry entry, CancellationToken cancel)
    {
        var former = entry.Act is Withdrawn w ? w.EntryId : entry.Supersedes;
        if (former is not { } id)
        {
            return [];
        }

        var row = await db.Entries.AsNoTracking().FirstOrDefaultAsync(e => e.Id == id && e.StockId == stockId, cancel);
        return row is null
                ?
                [
                    new Problem(
                        entry.Act is Withdrawn ? "act.entryId" : "supersedes",
                        "No such entry in this animal's journal."
                    ),
                ]
            : LedgerJson.Read<Act>(row.Act) is TwoPartyAct began && began.BeganOther()
                ?
                [
                    new Problem(
                        entry.Act is Withdrawn ? "act.entryId" : "supersedes",
                        "A record of its own began with it, so it stays: count both anew, or let those that were never there leave."
                    ),
                ]
            : entry.Supersedes is not null && LedgerJson.Read<Act>(row.Act).GetType() != entry.Act.GetType()
                ?
                [
                    new Problem(
                        "act.kind",
                        "A correction must be of the same kind; take the entry back and write a new one instead."
                    ),
                ]
            : [];
    }

    private async Task<bool> IsStruckAsync(Guid stockId, Guid entryId, CancellationToken cancel) =>
        Chronicle.Struck(await reader.ReadAsync(stockId, cancel)).ContainsKey(entryId);
}
