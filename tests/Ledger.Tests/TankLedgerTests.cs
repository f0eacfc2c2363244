using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Tanks;
using Husbandry.Vigils;
using Microsoft.EntityFrameworkCore;

namespace Ledger.Tests;

/// <summary>Tank and inmates are journals of their own; what is kept of one follows whatever is written of the other.</summary>
public sealed class TankLedgerTests : LedgerFolder
{
    private async Task<Guid> AddAsync(string name, string place, StockKind kind = StockKind.Specimen)
    {
        var id = Guid.NewGuid();
        var details = Details("hermit-crab", "coenobita-rugosus") with
        {
            Kind = kind,
            Nickname = name,
            Sex = Sex.Unknown,
            MoltsAtArrival = null,
        };
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(id, Came(place, details))).Outcome);
        return id;
    }

    private async Task<(Guid Tank, Guid Kelp, Guid Dulse)> ReefAsync()
    {
        var tank = await AddAsync("Reef", "A1·01", StockKind.Tank);
        var (kelp, dulse) = (await AddAsync("Kelp", "A1·02"), await AddAsync("Dulse", "A1·03"));
        await PutAsync(kelp, 100, new Placed(tank));
        await PutAsync(dulse, 100, new Placed(tank));
        return (tank, kelp, dulse);
    }

    private async Task<Guid> PutAsync(Guid id, double ago, Act act)
    {
        var entry = Entry(ago, act);
        var result = await WriteAsync(id, entry);
        Assert.True(result.Outcome == WriteOutcome.Written, string.Join(" ", result.Problems.Select(p => p.Message)));
        return entry.Id;
    }

    private async Task<Glance> GlanceAsync(Guid id)
    {
        await using var db = Open();
        return (await StockIndex.ReadAsync(db, Cancel)).Find(id)!;
    }

    [Fact]
    public async Task Those_in_it_stand_where_the_tank_does_and_leave_their_places_free()
    {
        var (tank, kelp, _) = await ReefAsync();
        Assert.Equal(
            ("A1·01", tank),
            ((await GlanceAsync(kelp)).Where.Place.Code, (await GlanceAsync(kelp)).Where.TankId!.Value)
        );
        Assert.Equal(2, (await GlanceAsync(tank)).Who.Count);
        await using (var db = Open())
        {
            // On its shelf stands the tank alone.
            var shelf = Assert.Single((await StockIndex.ReadAsync(db, Cancel)).Shelves);
            Assert.Equal(tank, Assert.Single(shelf).StockId);
        }

        await AddAsync("A1·02");

        // The tank moves, and all in it.
        var moved = await PutAsync(tank, 5, new Moved(new Place("C", 1, 1)));
        Assert.Equal("C1·01", (await GlanceAsync(kelp)).Where.Place.Code);
        await PutAsync(tank, 0, new Withdrawn(moved));
        Assert.Equal("A1·01", (await GlanceAsync(kelp)).Where.Place.Code);

        // Out of it needs a place that is free.
        Assert.Equal(WriteOutcome.Refused, (await WriteAsync(kelp, Entry(1, new Moved(new Place("A", 1, 2))))).Outcome);
        Assert.Equal(WriteOutcome.Refused, (await WriteAsync(kelp, Entry(1, new Moved(new Place("A", 1, 1))))).Outcome);
        await PutAsync(kelp, 1, new Moved(new Place("A", 1, 9)));
        Assert.Equal(1, (await GlanceAsync(tank)).Who.Count);
    }

    [Fact]
    public async Task What_is_logged_of_one_is_at_once_said_of_the_tank()
    {
        var (tank, kelp, _) = await ReefAsync();
        Assert.DoesNotContain(CareAct.Dig, (await GlanceAsync(tank)).Waits.Never);
        var began = await PutAsync(kelp, 3, new Began(VigilKind.Surfacing));
        Assert.Contains(CareAct.Dig, (await GlanceAsync(tank)).Waits.Never);
        await PutAsync(kelp, 0, new Withdrawn(began));
        Assert.DoesNotContain(CareAct.Dig, (await GlanceAsync(tank)).Waits.Never);
    }

    [Fact]
    public async Task The_name_of_the_tank_is_noted_and_a_retry_writes_nothing()
    {
        var tank = await AddAsync("Reef", "A1·01", StockKind.Tank);
        var kelp = await AddAsync("Kelp", "A1·02");
        var entry = Entry(10, new Placed(tank));
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(kelp, entry)).Outcome);
        Assert.Equal(WriteOutcome.WrittenBefore, (await WriteAsync(kelp, entry)).Outcome);
        await using var db = Open();
        var last = (await new JournalReader(db).ReadAsync(kelp, Cancel))[^1];
        Assert.Equal("Reef", ((Placed)last.Act).Tank);
    }

    [Fact]
    public async Task A_tank_in_which_something_lives_is_not_taken_down()
    {
        var (tank, kelp, dulse) = await ReefAsync();
        var down = Entry(0, new Departed(DepartureKind.TakenDown));
        Assert.Equal(WriteOutcome.Refused, (await WriteAsync(tank, down)).Outcome);
        await PutAsync(kelp, 1, new Departed(DepartureKind.Died));
        await PutAsync(dulse, 1, new Moved(new Place("A", 1, 9)));
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(tank, down)).Outcome);
        await AddAsync("A1·01");
    }

    /// <summary>Judged anew from the journal, tank and inmates are what they were kept as, entry by entry.</summary>
    [Fact]
    public async Task Rebuilt_from_the_journal_all_is_as_it_was_kept()
    {
        var (tank, kelp, _) = await ReefAsync();
        await PutAsync(kelp, 12, new Began(VigilKind.Surfacing));
        await PutAsync(tank, 4, new Moved(new Place("C", 1, 1)));
        var before = await RowsAsync();
        await using (var db = Open())
        {
            var cache = new RoomCache();
            var judge = new NightJudge(db, new JournalReader(db), cache);
            await judge.RebuildAsync(Room, Cancel);
            await judge.RejudgeAsync(Room.With(await new RoomStore(db).TanksAsync(Cancel)), Cancel);
        }

        Assert.Equal(before, await RowsAsync());
    }

    private async Task<List<string>> RowsAsync()
    {
        await using var db = Open();
        var rows = await db.Standings.AsNoTracking().OrderBy(s => s.StockId).ToListAsync(Cancel);
        return
        [
            .. rows.Select(r =>
                $"{r.StockId} {r.TankId} {r.Rack}{r.Shelf}·{r.Slot} {r.NextDueTicks} {r.Hushed} {r.State} {r.Glance}"
            ),
        ];
    }
}
