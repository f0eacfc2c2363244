using Husbandry.Feeding;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Stock;
using Husbandry.Vigils;
using Microsoft.EntityFrameworkCore;

namespace Ledger.Tests;

/// <summary>Entries of many animals at once: all or none, and enclosures that change places.</summary>
public sealed class BatchTests : LedgerFolder
{
    private async Task<(WriteResult Result, RoomCache Cache)> WriteAsync(params StockEntry[] batch)
    {
        await using var db = Open();
        var cache = new RoomCache { Index = await StockIndex.ReadAsync(db, Cancel) };
        return (await new JournalStore(db, new JournalReader(db), cache).WriteAsync(batch, null, Room, Cancel), cache);
    }

    private static StockEntry Moved(Guid id, string place) =>
        new(id, Entry(0, new Moved(Place.Parse(place)!)), "entries[0].");

    private async Task<string?> PlaceAsync(Guid id)
    {
        await using var db = Open();
        return (await new JournalReader(db).StandingAsync(id, Cancel))?.OwnPlace.Code;
    }

    [Fact]
    public async Task Two_enclosures_change_places_in_one_batch()
    {
        var (a, b) = (await AddAsync("A1·01"), await AddAsync("A1·02"));
        var (result, cache) = await WriteAsync(Moved(a, "A1·02"), Moved(b, "A1·01"));
        Assert.Equal(WriteOutcome.Written, result.Outcome);
        Assert.Equal(("A1·02", "A1·01"), (await PlaceAsync(a), await PlaceAsync(b)));
        // The index in memory is in step with the file.
        Assert.Equal([b, a], cache.Index!.Here.Select(g => g.StockId));
    }

    [Fact]
    public async Task Nothing_is_written_when_one_entry_cannot_be()
    {
        var (a, b) = (await AddAsync("A1·01"), await AddAsync("A1·02"));
        var (result, _) = await WriteAsync(
            new StockEntry(a, Entry(0, new Watered(WaterKind.Dish)), "entries[0]."),
            new StockEntry(b, Entry(0, new Counted(4)), "entries[1].")
        );
        Assert.Equal(WriteOutcome.Refused, result.Outcome);
        Assert.All(result.Problems, p => Assert.StartsWith("entries[1].", p.Field, StringComparison.Ordinal));
        await using var db = Open();
        Assert.Equal(2, await db.Entries.CountAsync(Cancel));
        Assert.Null((await new JournalReader(db).StandingAsync(a, Cancel))!.Water.LastGivenAt);
    }

    [Fact]
    public async Task A_place_is_never_taken_twice_however_the_batch_is_ordered()
    {
        var (a, b, c) = (await AddAsync("A1·01"), await AddAsync("A1·02"), await AddAsync("A1·03"));
        var (both, _) = await WriteAsync(Moved(a, "B1·01"), Moved(b, "B1·01"));
        Assert.Equal(WriteOutcome.Refused, both.Outcome);
        var (taken, _) = await WriteAsync(Moved(a, "A1·03"), Moved(b, "A1·01"));
        Assert.Contains("taken by Tansy", taken.Problems.Single().Message, StringComparison.Ordinal);
        Assert.Equal(("A1·01", "A1·02", "A1·03"), (await PlaceAsync(a), await PlaceAsync(b), await PlaceAsync(c)));
    }

    [Fact]
    public async Task A_batch_sent_twice_is_written_once_and_half_of_it_is_a_clash()
    {
        var (a, b) = (await AddAsync("A1·01"), await AddAsync("A1·02"));
        StockEntry[] batch =
        [
            new(a, Entry(0, new Watered(WaterKind.Dish))),
            new(b, Entry(0, new Watered(WaterKind.Dish))),
        ];
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(batch)).Result.Outcome);
        Assert.Equal(WriteOutcome.WrittenBefore, (await WriteAsync(batch)).Result.Outcome);
        var half = batch[0];
        var fresh = new StockEntry(b, Entry(0, new Looked()));
        Assert.Equal(WriteOutcome.Conflict, (await WriteAsync(half, fresh)).Result.Outcome);
        Assert.Equal(WriteOutcome.Refused, (await WriteAsync(fresh, fresh)).Result.Outcome);
    }

    [Fact]
    public async Task The_night_judges_every_glance_anew_and_only_once()
    {
        await AddAsync("A1·01");
        await using var db = Open();
        db.Rooms.Add(
            new RoomRow
            {
                Id = 1,
                Settings = LedgerJson.Write(Room.Settings),
                RulesFingerprint = "",
            }
        );
        await db.SaveChangesAsync(Cancel);
        await db.Standings.ExecuteUpdateAsync(s => s.SetProperty(x => x.Glance, ""), Cancel);
        var cache = new RoomCache();
        var judge = new NightJudge(db, new JournalReader(db), cache);
        await judge.KeepUpAsync(Room, Cancel);
        Assert.Equal("Tansy", Assert.Single((await StockIndex.ReadAsync(db, Cancel)).Here).Who.Name);
        // Another process that opens the same file on the same night finds it judged.
        await db.Standings.ExecuteUpdateAsync(s => s.SetProperty(x => x.Glance, "untouched"), Cancel);
        await new NightJudge(db, new JournalReader(db), new RoomCache()).KeepUpAsync(Room, Cancel);
        Assert.Equal("untouched", await db.Standings.AsNoTracking().Select(s => s.Glance).SingleAsync(Cancel));
        var tomorrow = Room.At(Room.Rules, Room.Settings, Evening.AddDays(1));
        await judge.KeepUpAsync(tomorrow, Cancel);
        Assert.NotEqual("untouched", await db.Standings.AsNoTracking().Select(s => s.Glance).SingleAsync(Cancel));
    }
}
