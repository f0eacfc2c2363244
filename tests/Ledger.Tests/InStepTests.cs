using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Vigils;
using Microsoft.EntityFrameworkCore;

namespace Ledger.Tests;

/// <summary>
/// Whatever is written, in whatever order and by however many hands: the standing kept beside the journal is its fold, and
/// the glance in memory is the one in the file.
/// </summary>
public sealed class InStepTests : LedgerFolder
{
    private static readonly Act[] Acts =
    [
        new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.Eaten),
        new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.NotSeen),
        new Offered("roach-nymph", "small", 1, Preparation.Cut, OfferOutcome.BattedAway),
        new LeftoversRemoved(),
        new Watered(WaterKind.Dish),
        new Watered(WaterKind.Mist),
        new Looked(),
        new SignSeen("dark-under-hair"),
        new SignSeen("sluggish"),
        new Molted(),
        new FangsChecked(true),
        new Measured(BodyPart.LegSpan, 60),
        new Measured(BodyPart.LegSpan, 70),
        new Noted("moved its web"),
        new PutOff(new DateOnly(2026, 11, 25)),
        new LimbNoted("leg 3 left", LimbState.Lost),
        new Handled(CareAct.Clean),
    ];

    private async Task<WriteOutcome> WriteAsync(RoomCache cache, Guid stockId, NewEntry entry)
    {
        await using var db = Open();
        var result = await new JournalStore(db, new JournalReader(db), cache).WriteAsync(
            stockId,
            [entry],
            null,
            Room,
            Cancel
        );
        return result.Outcome;
    }

    private async Task<RoomCache> CacheAsync()
    {
        await using var db = Open();
        return new RoomCache { Index = await StockIndex.ReadAsync(db, Cancel), JudgedNight = Room.Tonight };
    }

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    [InlineData(4)]
    public async Task Written_corrected_and_taken_back_in_any_order_the_standing_is_the_fold(int seed)
    {
        var random = new Random(seed);
        var id = await AddAsync("A1·01");
        var cache = await CacheAsync();
        var written = new List<NewEntry>();
        for (var k = 0; k < 60; k++)
        {
            var ago = Math.Round(random.NextDouble() * 200, 3);
            var entry = random.Next(6) switch
            {
                0 when written.Count > 0 => Entry(0, new Withdrawn(written[random.Next(written.Count)].Id)),
                1 when written.Count > 0 && written[random.Next(written.Count)] is var former => Entry(
                    ago,
                    former.Act
                ) with
                {
                    Supersedes = former.Id,
                },
                _ => Entry(ago, Acts[random.Next(Acts.Length)]),
            };
            var outcome = await WriteAsync(cache, id, entry);
            Assert.True(outcome is WriteOutcome.Written or WriteOutcome.Conflict or WriteOutcome.Refused);
            if (outcome == WriteOutcome.Written && entry.Act is not Withdrawn)
            {
                written.Add(entry);
            }
        }

        await using var db = Open();
        var reader = new JournalReader(db);
        var journal = await reader.ReadAsync(id, Cancel);
        Assert.True(journal.Count > 30);
        var stored = (await reader.StandingAsync(id, Cancel))!;
        var folded = Standing.Fold(journal)!;
        Assert.Equal(LedgerJson.Write(folded), LedgerJson.Write(stored));
        var glance = Glance.Of(Judgement.Of(folded, Room));
        Assert.Equal(LedgerJson.Write(glance), LedgerJson.Write(cache.Index!.Find(id)!));
        var row = await db.Standings.AsNoTracking().SingleAsync(s => s.StockId == id, Cancel);
        Assert.Equal(LedgerJson.Write(glance), row.Glance);
        Assert.Equal(glance.IsHushed, row.Hushed);
    }

    [Fact]
    public async Task One_entry_sent_by_many_at_once_is_written_once_and_all_are_told_so()
    {
        var id = await AddAsync("A1·01");
        var cache = await CacheAsync();
        var entry = Entry(0, new Watered(WaterKind.Dish));
        var outcomes = await Task.WhenAll(
            Enumerable.Range(0, 12).Select(_ => Task.Run(() => WriteAsync(cache, id, entry)))
        );
        Assert.Single(outcomes, WriteOutcome.Written);
        Assert.Equal(11, outcomes.Count(o => o == WriteOutcome.WrittenBefore));
        await using var db = Open();
        Assert.Equal(1, await db.Entries.CountAsync(e => e.Id == entry.Id, Cancel));
    }

    [Fact]
    public async Task A_retry_is_told_that_it_was_written_though_it_could_not_be_written_now()
    {
        var id = await AddAsync("A1·01");
        var cache = await CacheAsync();
        var watered = Entry(1, new Watered(WaterKind.Dish));
        var matured = Entry(2, new Molted(Ultimate: true));
        var left = Entry(0, new Departed(DepartureKind.Sold));
        foreach (var entry in new[] { watered, matured, left })
        {
            Assert.Equal(WriteOutcome.Written, await WriteAsync(cache, id, entry));
        }

        // It has left and is adult by record: as new entries these would be refused.
        Assert.Equal(WriteOutcome.Refused, await WriteAsync(cache, id, matured with { Id = Guid.NewGuid() }));
        foreach (var entry in new[] { watered, matured, left })
        {
            Assert.Equal(WriteOutcome.WrittenBefore, await WriteAsync(cache, id, entry));
        }
    }

    [Fact]
    public async Task An_id_of_another_animal_is_a_clash_and_nothing_is_written()
    {
        var (a, b) = (await AddAsync("A1·01"), await AddAsync("A1·02"));
        var cache = await CacheAsync();
        var entry = Entry(0, new Watered(WaterKind.Dish));
        Assert.Equal(WriteOutcome.Written, await WriteAsync(cache, a, entry));
        Assert.Equal(WriteOutcome.Conflict, await WriteAsync(cache, b, entry));
        await using var db = Open();
        Assert.Null((await new JournalReader(db).StandingAsync(b, Cancel))!.Water.LastGivenAt);
        Assert.Equal(3, await db.Entries.CountAsync(Cancel));
    }

    [Fact]
    public async Task Many_hands_at_many_animals_lose_nothing()
    {
        var ids = new List<Guid>();
        for (var k = 1; k <= 6; k++)
        {
            ids.Add(await AddAsync($"A1·0{k}"));
        }

        var cache = await CacheAsync();
        var outcomes = await Task.WhenAll(
            Enumerable
                .Range(0, 48)
                .Select(k =>
                    Task.Run(() => WriteAsync(cache, ids[k % ids.Count], Entry(0.001 * k, Acts[k % Acts.Length])))
                )
        );
        Assert.All(outcomes, o => Assert.Equal(WriteOutcome.Written, o));
        await using var db = Open();
        var reader = new JournalReader(db);
        Assert.Equal(54, await reader.LatestSequenceAsync(Cancel));
        foreach (var id in ids)
        {
            var folded = Standing.Fold(await reader.ReadAsync(id, Cancel))!;
            Assert.Equal(LedgerJson.Write(folded), LedgerJson.Write((await reader.StandingAsync(id, Cancel))!));
            Assert.Equal(folded.LatestSequence, cache.Index!.Find(id)!.Sequence);
        }
    }

    [Fact]
    public async Task What_is_done_against_a_hush_is_marked_whether_the_glance_is_in_memory_or_not()
    {
        var (a, b) = (await AddAsync("A1·01"), await AddAsync("A1·02"));
        foreach (var (id, cache) in new[] { (a, await CacheAsync()), (b, new RoomCache()) })
        {
            await WriteAsync(cache, id, Entry(0.5, new Molted()));
            var fed = Entry(0, new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.Eaten));
            await WriteAsync(cache, id, fed);
            await WriteAsync(cache, id, Entry(0, new Watered(WaterKind.Dish)));
            await using var db = Open();
            var journal = await new JournalReader(db).ReadAsync(id, Cancel);
            // Handbook, molting: no food before the fangs have hardened; water always.
            Assert.NotNull(journal.Single(e => e.Id == fed.Id).Against);
            Assert.Null(journal[^1].Against);
        }
    }
}
