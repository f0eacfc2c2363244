using Husbandry.Hush;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Stock;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>An entry to be written.</summary>
/// <param name="Id">Made by the client.</param>
/// <param name="When">When it happened.</param>
/// <param name="Supersedes">The entry that it corrects.</param>
/// <param name="Act">What happened.</param>
/// <param name="WrittenAt">When it was written down; now when left out.</param>
/// <param name="WrittenBy">Who wrote it; the keeper when left out.</param>
/// <param name="Against">What the hush table says against it.</param>
public sealed record NewEntry(
    Guid Id,
    Occurrence When,
    Guid? Supersedes,
    Act Act,
    DateTimeOffset? WrittenAt = null,
    string? WrittenBy = null,
    string? Against = null
);

/// <summary>What came of writing.</summary>
public enum WriteOutcome
{
    /// <summary>Written now.</summary>
    Written,

    /// <summary>The same entries were written before: a retry or double tap.</summary>
    WrittenBefore,

    /// <summary>Nothing written: something is wrong with the input.</summary>
    Refused,

    /// <summary>Nothing written: somebody changed it in the meantime, or the id is taken by something else.</summary>
    Conflict,

    /// <summary>Nothing written: there is no such stock.</summary>
    NotFound,
}

/// <summary>Outcome of writing, and what was wrong.</summary>
public sealed record WriteResult(WriteOutcome Outcome, IReadOnlyList<Problem> Problems)
{
    internal static WriteResult Refuse(params IReadOnlyList<Problem> problems) => new(WriteOutcome.Refused, problems);

    internal static WriteResult Clash(string field, string message) =>
        new(WriteOutcome.Conflict, [new Problem(field, message)]);

    internal static readonly WriteResult Written = new(WriteOutcome.Written, []);
    internal static readonly WriteResult WrittenBefore = new(WriteOutcome.WrittenBefore, []);
    internal static readonly WriteResult NotFound = new(WriteOutcome.NotFound, []);
}

/// <summary>Writes the journal and keeps the standings in step with it, all or nothing.</summary>
public sealed class JournalStore(LanternDb db, JournalReader reader, RoomCache cache)
{
    /// <summary>Writes entries of one animal in one transaction.</summary>
    /// <param name="stockId">The animal; a new one when the first entry says that it came.</param>
    /// <param name="entries">The entries, in order.</param>
    /// <param name="expectedVersion">Version of the details that the writer saw, or none to accept any.</param>
    /// <param name="room">Rules, settings and the present instant.</param>
    /// <param name="cancel">Cancels; nothing is written then.</param>
    public async Task<WriteResult> WriteAsync(
        Guid stockId,
        IReadOnlyList<NewEntry> entries,
        long? expectedVersion,
        Room room,
        CancellationToken cancel
    )
    {
        // An immediate transaction: two writers take turns instead of failing half-way.
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        if (await FindWrittenBeforeAsync(stockId, entries, cancel) is { } before)
        {
            return before;
        }

        var row = await db.Standings.FirstOrDefaultAsync(s => s.StockId == stockId, cancel);
        var standing = row is null ? null : LedgerJson.Read<Standing>(row.State);
        if (standing is null && entries[0].Act is not Acquired)
        {
            return WriteResult.NotFound;
        }

        if (expectedVersion is { } expected && standing is not null && standing.DetailsVersion != expected)
        {
            return WriteResult.Clash("version", "Somebody changed this animal in the meantime: reload and try again.");
        }

        foreach (var entry in entries)
        {
            var problems = await CheckAsync(stockId, entry, standing, room, cancel);
            if (problems.Count > 0)
            {
                return WriteResult.Refuse(problems);
            }

            if (entry.Supersedes is { } former && await IsStruckAsync(stockId, former, cancel))
            {
                return WriteResult.Clash(
                    "supersedes",
                    "That entry was corrected or taken back in the meantime: reload and try again."
                );
            }

            var marked =
                standing is null || entry.Supersedes is not null || entry.When.To < room.Clock.StartOf(room.Tonight)
                    ? entry
                    : entry with
                    {
                        Against = HushMark.Against(entry.Act, standing, room),
                    };
            var written = await InsertAsync(stockId, marked, room, cancel);
            standing =
                standing is not null && standing.CanApply(written)
                    ? standing.Apply(written)
                    : Standing.Fold(await reader.ReadAsync(stockId, cancel));
            if (standing is null)
            {
                return WriteResult.Refuse(
                    new Problem(
                        "act.entryId",
                        "The entry by which it came cannot be taken back; let it leave the collection instead."
                    )
                );
            }
        }

        db.Store(row, standing!, room);
        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        cache.Wrote(standing!.LatestSequence);
        if (entries.Any(Teaches))
        {
            cache.Taught = null;
        }

        return WriteResult.Written;
    }

    /// <summary>Whether an entry changes what the room has taught.</summary>
    private static bool Teaches(NewEntry entry) =>
        entry.Supersedes is not null
        || entry.Act
            is Acquired
                or DetailsChanged
                or Molted
                or Began
                or Ended
                or Departed
                or SignSeen
                or Looked
                or Measured
                or Withdrawn;

    // Standings are written in portions, so that memory stays bounded however large the room.
    private const int Portion = 500;

    /// <summary>Folds every journal anew and replaces all standings, in one transaction. The journal is streamed.</summary>
    public async Task RebuildAsync(Room room, CancellationToken cancel)
    {
        cache.Taught = null;
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        await db.Standings.ExecuteDeleteAsync(cancel);
        var stored = 0;
        await foreach (var standing in reader.FoldAllAsync(cancel))
        {
            db.Store(null, standing, room);
            if (++stored % Portion == 0)
            {
                await db.SaveChangesAsync(cancel);
                db.ChangeTracker.Clear();
            }
        }

        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        db.ChangeTracker.Clear();
    }

    /// <summary>Judges all standings anew, after a change of rules or settings, so that their next due instants hold.</summary>
    public async Task RejudgeAsync(Room room, CancellationToken cancel)
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        foreach (var portion in (await db.Standings.Select(s => s.StockId).ToListAsync(cancel)).Chunk(Portion))
        {
            foreach (var row in await db.Standings.Where(s => portion.Contains(s.StockId)).ToListAsync(cancel))
            {
                db.Store(row, LedgerJson.Read<Standing>(row.State), room);
            }

            await db.SaveChangesAsync(cancel);
            db.ChangeTracker.Clear();
        }

        await transaction.CommitAsync(cancel);
    }

    private async Task<WriteResult?> FindWrittenBeforeAsync(
        Guid stockId,
        IReadOnlyList<NewEntry> entries,
        CancellationToken cancel
    )
    {
        var found = 0;
        foreach (var entry in entries)
        {
            var row = await db.Entries.AsNoTracking().FirstOrDefaultAsync(e => e.Id == entry.Id, cancel);
            if (row is null)
            {
                continue;
            }

            if (row.StockId != stockId || row.Act != LedgerJson.Write(entry.Act))
            {
                return WriteResult.Clash("id", "This id was used for another entry; make a new one.");
            }

            found++;
        }

        return found == 0 ? null
            : found == entries.Count ? WriteResult.WrittenBefore
            : WriteResult.Clash("id", "Some of these ids were used before; make new ones.");
    }

    private async Task<IReadOnlyList<Problem>> CheckAsync(
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

        var target = entry.Act switch
        {
            Acquired a => a.Place,
            Moved m => m.Place,
            _ => null,
        };
        if (target is not null && await OccupantAsync(target, stockId, cancel) is { } occupant)
        {
            problems.Add(new Problem("place", $"{target.Code} is taken by {occupant}: choose another place."));
        }

        var former = entry.Act is Withdrawn w ? w.EntryId : entry.Supersedes;
        if (former is { } id)
        {
            var row = await db
                .Entries.AsNoTracking()
                .FirstOrDefaultAsync(e => e.Id == id && e.StockId == stockId, cancel);
            if (row is null)
            {
                problems.Add(
                    new Problem(
                        entry.Act is Withdrawn ? "act.entryId" : "supersedes",
                        "No such entry in this animal's journal."
                    )
                );
            }
            else if (entry.Supersedes is not null && LedgerJson.Read<Act>(row.Act).GetType() != entry.Act.GetType())
            {
                problems.Add(
                    new Problem(
                        "act.kind",
                        "A correction must be of the same kind; take the entry back and write a new one instead."
                    )
                );
            }
        }

        return problems;
    }

    private async Task<string?> OccupantAsync(Place place, Guid except, CancellationToken cancel)
    {
        var state = await db
            .Standings.AsNoTracking()
            .Where(s =>
                s.Here && s.Rack == place.Rack && s.Shelf == place.Shelf && s.Slot == place.Slot && s.StockId != except
            )
            .Select(s => s.State)
            .FirstOrDefaultAsync(cancel);
        return state is null ? null : LedgerJson.Read<Standing>(state).Details.Nickname;
    }

    private async Task<bool> IsStruckAsync(Guid stockId, Guid entryId, CancellationToken cancel) =>
        Chronicle.Struck(await reader.ReadAsync(stockId, cancel)).ContainsKey(entryId);

    private async Task<JournalEntry> InsertAsync(Guid stockId, NewEntry entry, Room room, CancellationToken cancel)
    {
        var row = Rows.Of(stockId, entry, room, 0);
        db.Entries.Add(row);
        await db.SaveChangesAsync(cancel);
        return Rows.ToEntry(row);
    }
}
