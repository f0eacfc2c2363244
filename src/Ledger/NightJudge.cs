using Husbandry.Journal;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Stock;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>Folds and judges every animal of the room: when a night begins, and when rules or settings changed.</summary>
public sealed class NightJudge(LanternDb db, JournalReader reader, RoomCache cache)
{
    // Standings are written in portions, so that memory stays bounded however large the room.
    private const int Portion = 500;

    /// <summary>Folds every journal anew and replaces all standings, in one transaction. The journal is streamed.</summary>
    public async Task RebuildAsync(Room room, CancellationToken cancel)
    {
        cache.LetGo();
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        await db.Standings.ExecuteDeleteAsync(cancel);
        await using (var writer = new RowWriter(db))
        {
            await foreach (var (standing, isWhole) in reader.FoldAllAsync(cancel))
            {
                var row = Rows.Bare(standing);
                if (!isWhole)
                {
                    // What follows from half a journal is not to be trusted: it is folded again when it can be read.
                    row.State = "";
                }

                await JudgeAsync(row, room, cancel);
                await writer.WriteAsync(row, null, cancel);
            }
        }

        await NoteNightAsync(0, cancel);
        await transaction.CommitAsync(cancel);
    }

    /// <summary>Judges all standings anew, so that their next due instants and glances hold for tonight.</summary>
    public async Task RejudgeAsync(Room room, CancellationToken cancel)
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        foreach (var portion in (await db.Standings.Select(s => s.StockId).ToListAsync(cancel)).Chunk(Portion))
        {
            await JudgeAsync(portion, room, cancel);
        }

        await NoteNightAsync(room.Tonight.DayNumber, cancel);
        await transaction.CommitAsync(cancel);
        cache.Index = null;
        cache.SpeciesToJudge.Clear();
        cache.JudgedNight = room.Tonight;
    }

    /// <summary>Has all standings judged anew when the room is next opened, whatever night they were judged for.</summary>
    public async Task AskAnewAsync(CancellationToken cancel)
    {
        await NoteNightAsync(0, cancel);
        cache.JudgedNight = null;
    }

    /// <summary>Judges all standings when they were last judged on another night; costs nothing on the same.</summary>
    public async Task KeepUpAsync(Room room, CancellationToken cancel)
    {
        if (cache.JudgedNight == room.Tonight && cache.SpeciesToJudge.IsEmpty)
        {
            return;
        }

        await cache.Judging.WaitAsync(cancel);
        try
        {
            if (cache.JudgedNight == room.Tonight)
            {
                await JudgeSpeciesAsync(room, cancel);
                return;
            }

            var judged = await db.Rooms.AsNoTracking().Select(r => (int?)r.JudgedDay).SingleOrDefaultAsync(cancel);
            if (judged == room.Tonight.DayNumber)
            {
                cache.JudgedNight = room.Tonight;
                return;
            }

            await RejudgeAsync(room, cancel);
        }
        finally
        {
            cache.Judging.Release();
        }
    }

    /// <summary>Judges the animals of those species of which the room has learned something since.</summary>
    private async Task JudgeSpeciesAsync(Room room, CancellationToken cancel)
    {
        var species = new HashSet<string>();
        while (cache.SpeciesToJudge.TryTake(out var one))
        {
            species.Add(one);
        }

        if (species.Count == 0)
        {
            return;
        }

        var index = cache.Index ??= await StockIndex.ReadAsync(db, cancel);
        var ids = index.Here.Where(g => species.Contains(g.Who.Species)).Select(g => g.StockId).ToList();
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        foreach (var portion in ids.Chunk(Portion))
        {
            index.Put(await JudgeAsync(portion, room, cancel));
        }

        await transaction.CommitAsync(cancel);
    }

    /// <summary>Judges some standings anew and writes what is said of them.</summary>
    private async Task<IReadOnlyList<Glance>> JudgeAsync(
        IReadOnlyList<Guid> portion,
        Room room,
        CancellationToken cancel
    )
    {
        var rows = await db.Standings.AsNoTracking().Where(s => portion.Contains(s.StockId)).ToListAsync(cancel);
        var glances = new List<Glance>(rows.Count);
        await using var writer = new RowWriter(db);
        foreach (var row in rows)
        {
            glances.Add(await JudgeAsync(row, room, cancel));
            await writer.WriteAsync(row, null, cancel);
        }

        return glances;
    }

    /// <summary>
    /// Judges one standing. One that cannot be read any more is folded anew from the journal; one that cannot be judged is
    /// told as such and keeps nobody from judging the others.
    /// </summary>
    private async Task<Glance> JudgeAsync(StandingRow row, Room room, CancellationToken cancel)
    {
        Standing? standing = null;
        try
        {
            standing = StoredStanding.Read(row.State) ?? await RefoldAsync(row, cancel);
            return row.Judge(Judgement.Of(standing, room));
        }
        catch (Exception error) when (error is not (OperationCanceledException or SqliteException))
        {
            var glance = Unjudged.Glance(
                row.StockId,
                standing?.OwnPlace ?? new Place(row.Rack, row.Shelf, row.Slot),
                standing?.Details.Nickname ?? StoredStanding.NameOf(row.StockId),
                room.Tonight,
                standing?.LatestSequence ?? 0
            );
            // Passed by on every round until it can be judged.
            (row.Hushed, row.NextDueTicks, row.Glance) = (row.Here, long.MaxValue, LedgerJson.Write(glance));
            return glance;
        }
    }

    private async Task<Standing> RefoldAsync(StandingRow row, CancellationToken cancel)
    {
        var standing =
            Standing.Fold([.. await reader.ReadAsync(row.StockId, cancel)])
            ?? throw new InvalidDataException("Its journal does not say that it came.");
        row.State = LedgerJson.Write(standing);
        return standing;
    }

    private Task<int> NoteNightAsync(int day, CancellationToken cancel) =>
        db.Rooms.ExecuteUpdateAsync(r => r.SetProperty(x => x.JudgedDay, day), cancel);
}
