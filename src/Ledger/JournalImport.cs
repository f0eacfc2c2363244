using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Tanks;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>Brings whole journals in at once.</summary>
public sealed class JournalImport(LanternDb db, JournalReader reader)
{
    /// <summary>
    /// Writes many entries of many animals at once, all or nothing within the caller's transaction, and folds their
    /// standings. Each animal's entries are checked in the order in which they were written, as they were when they were
    /// accepted; entries whose ids are there already are passed over. One animal is in memory at a time.
    /// </summary>
    /// <returns>What was added, or what is wrong, each problem naming the animal.</returns>
    public async Task<LoadedRoom> ImportAsync(EntrySpool entries, Room room, CancellationToken cancel)
    {
        var transaction =
            db.Database.CurrentTransaction
            ?? throw new InvalidOperationException("A journal is brought in within a transaction of the caller's.");
        await transaction.CreateSavepointAsync(Before, cancel);
        var result = await TryAsync(entries, room, cancel);
        if (result.Problems.Count > 0)
        {
            await transaction.RollbackToSavepointAsync(Before, cancel);
        }

        return result;
    }

    private const string Before = "journal_import";

    private async Task<LoadedRoom> TryAsync(EntrySpool entries, Room room, CancellationToken cancel)
    {
        var sequence = await db.Entries.MaxAsync(e => (long?)e.Sequence, cancel) ?? 0;
        var known = sequence == 0 ? [] : (await db.Entries.Select(e => e.Id).ToListAsync(cancel)).ToHashSet();
        var again = entries.Ids().Where(known.Contains).ToHashSet();
        var problems = await FindIdsOfTwoThingsAsync(entries, again, cancel);
        if (problems.Count > 0)
        {
            return LoadedRoom.Refused(problems);
        }

        entries.PassOver(again);
        known.UnionWith(entries.Ids());
        await using var writer = new RowWriter(db);
        var between = new Between([], [], []);
        var fresh = 0;
        var added = 0;
        var here = (
            await db
                .Standings.AsNoTracking()
                .Where(s => s.Here && (s.TankId == null || s.TankId == s.StockId))
                .ToListAsync(cancel)
        ).ToDictionary(s => s.StockId, s => new Place(s.Rack, s.Shelf, s.Slot));
        foreach (var animal in entries.Number(after: sequence))
        {
            var written = await reader.ReadAsync(animal, cancel);
            var rows = entries.Of(animal);
            List<JournalEntry> told = [.. rows.Select(Rows.ToEntry)];
            fresh += rows.Count;
            between.Note(told);
            problems.AddRange(Check(written, told, room).Select(p => p with { Field = $"{animal} {p.Field}" }));
            if (problems.Count >= MostProblems)
            {
                break;
            }

            added += written.Count == 0 ? 1 : 0;
            if (problems.Count == 0)
            {
                foreach (var row in rows)
                {
                    await writer.WriteAsync(row, cancel);
                }

                var standing = Standing.Fold([.. written, .. told])!;
                here.Remove(animal);
                if (standing is { Departure: null, TankId: null })
                {
                    here[animal] = standing.OwnPlace;
                }

                try
                {
                    await writer.WriteAsync(Rows.Of(standing, room).Row, null, cancel);
                }
                catch (Exception error)
                    when (error is not (OutOfMemoryException or SqliteException or OperationCanceledException))
                {
                    // Judged before it is taken: what nobody can judge would spoil every list that it stands in.
                    problems.Add(new Problem($"{animal}", "What its entries come to cannot be judged."));
                }
            }
        }

        problems.AddRange(await FindLostTanksAsync(between, cancel));
        List<JournalEntry> halves = [.. between.Halves.OrderBy(e => e.Sequence)];
        problems.AddRange(TwoHalves.FindLoneHalves(halves, known, Chronicle.Struck(halves).Keys.ToHashSet()));

        problems.AddRange(
            here.GroupBy(h => h.Value)
                .Where(g => g.Count() > 1)
                .Select(g => new Problem(
                    $"{g.Last().Key} place",
                    $"{g.Key.Code} would be taken twice; at most one enclosure stands in a place."
                ))
        );

        if (problems.Count > 0)
        {
            return LoadedRoom.Refused(problems);
        }

        return new LoadedRoom(added, fresh, 0, 0, []);
    }

    /// <summary>What ties one animal's entries to those of another, and can be checked only when all were read.</summary>
    private sealed record Between(
        List<JournalEntry> Halves,
        List<(Guid StockId, Guid TankId)> Placed,
        HashSet<Guid> Tanks
    )
    {
        public void Note(IEnumerable<JournalEntry> told)
        {
            foreach (var entry in told)
            {
                if (entry.Act is TwoPartyAct or Withdrawn || entry.Supersedes is not null)
                {
                    Halves.Add(entry);
                }

                if (entry.Act is Placed placed)
                {
                    Placed.Add((entry.StockId, placed.TankId));
                }
                else if (entry.Act is Acquired { Details.Kind: StockKind.Tank })
                {
                    Tanks.Add(entry.StockId);
                }
            }
        }
    }

    private const int MostProblems = 50;
    private const int Portion = 500;

    /// <summary>Ids that stand for two things: twice in the file, or for something else in the room.</summary>
    private async Task<List<Problem>> FindIdsOfTwoThingsAsync(
        EntrySpool entries,
        IReadOnlySet<Guid> again,
        CancellationToken cancel
    )
    {
        var problems = entries
            .GivenTwice(MostProblems)
            .Select(id => new Problem($"journal {id}", "This id is given twice."))
            .ToList();
        foreach (var ids in again.Chunk(Portion))
        {
            var stored = await db.Entries.AsNoTracking().Where(e => ids.Contains(e.Id)).ToListAsync(cancel);
            problems.AddRange(
                stored
                    .Where(row => !IsSame(row, entries.Find(row.Id)))
                    .Select(row => new Problem(
                        $"journal {row.Id}",
                        "This id is in the room already, for something else."
                    ))
            );
        }

        return problems;
    }

    // What an earlier version stored is compared as this one writes it.
    private static bool IsSame(EntryRow stored, EntryRow told) =>
        stored.StockId == told.StockId && LedgerJson.Write(LedgerJson.Read<Act>(stored.Act)) == told.Act;

    /// <summary>Animals in the file that went into a tank which is neither in it nor in the room.</summary>
    private async Task<IEnumerable<Problem>> FindLostTanksAsync(Between between, CancellationToken cancel)
    {
        if (between.Placed.Count == 0)
        {
            return [];
        }

        var there = await db.Standings.Where(s => s.TankId == s.StockId).Select(s => s.StockId).ToListAsync(cancel);
        var tanks = there.Concat(between.Tanks).ToHashSet();
        return between
            .Placed.Where(p => !tanks.Contains(p.TankId))
            .Select(p => new Problem($"{p.StockId} act.tankId", "The tank that it went into is not in the file."));
    }

    /// <summary>
    /// What is wrong with an animal's fresh entries, in the order in which they were written: each is held against what was
    /// known when it was, so that what was accepted once is accepted again.
    /// </summary>
    internal static List<Problem> Check(IReadOnlyList<JournalEntry> written, List<JournalEntry> fresh, Room room)
    {
        var isFresh = fresh.Select(e => e.Id).ToHashSet();
        Standing? standing = null;
        var all = written.Concat(fresh).ToList();
        var struck = Chronicle.Struck(all);
        var known = new List<JournalEntry>(all.Count);
        foreach (var entry in all)
        {
            // What was corrected or taken back counts no more, and need not have been sound.
            if (isFresh.Contains(entry.Id) && !struck.ContainsKey(entry.Id))
            {
                var wrong = EntryCheck.Check(entry.Act, entry.When, standing, room, written: true).ToList();
                if (wrong.Count > 0)
                {
                    // What comes after it rests on it; its own fault is the one to mend.
                    var said =
                        $"{EntryDefinition.Of(entry.Act).Say(entry.Act, room.Rules, room.Wording)}, {room.Wording.Date(room.Clock.NightOf(entry.When.To))}";
                    return [.. wrong.Select(p => p with { Message = $"{p.Message} ({said})" })];
                }
            }

            known.Add(entry);
            standing = standing is not null && standing.CanApply(entry) ? standing.Apply(entry) : Standing.Fold(known);
        }

        return standing is null
            ? [new Problem("stock", "No entry says that it came.")]
            : [.. FindLostFormers(all, isFresh)];
    }

    /// <summary>Corrections and withdrawals of what is not in this animal's journal, of themselves, or of another kind.</summary>
    private static IEnumerable<Problem> FindLostFormers(List<JournalEntry> all, HashSet<Guid> fresh)
    {
        var byId = all.ToDictionary(e => e.Id);
        foreach (var entry in all.Where(e => fresh.Contains(e.Id)))
        {
            var (field, former) = entry.Act is Withdrawn w
                ? ("act.entryId", (Guid?)w.EntryId)
                : ("supersedes", entry.Supersedes);
            if (former is not { } id)
            {
                continue;
            }

            if (id == entry.Id || !byId.TryGetValue(id, out var corrected))
            {
                yield return new Problem($"{entry.Id} {field}", "No such entry in this animal's journal.");
            }
            else if (entry.Act is not Withdrawn && corrected.Act.GetType() != entry.Act.GetType())
            {
                yield return new Problem($"{entry.Id} {field}", "A correction must be of the same kind.");
            }
            else if (corrected.Supersedes == entry.Id)
            {
                yield return new Problem($"{entry.Id} {field}", "Two entries correct each other.");
            }
        }
    }
}
