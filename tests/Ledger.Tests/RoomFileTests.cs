using System.Reflection;
using System.Text;
using System.Text.Json.Serialization;
using Husbandry.Climate;
using Husbandry.Journal;
using Husbandry.Records;
using Microsoft.EntityFrameworkCore;

namespace Ledger.Tests;

/// <summary>Whole rooms out to a file and in again.</summary>
public sealed partial class RoomFileTests : LedgerFolder
{
    private static readonly Guid Picture = Guid.NewGuid();

    [Fact]
    public void Every_kind_of_act_is_tried_here()
    {
        var kinds = typeof(Act).GetCustomAttributes<JsonDerivedTypeAttribute>().Select(a => a.DerivedType);
        var tried = EveryKind().Select(e => e.Act.GetType()).Concat([typeof(Acquired), typeof(Withdrawn)]).ToHashSet();
        Assert.All(kinds, k => Assert.Contains(k, tried));
    }

    [Fact]
    public async Task Whatever_can_be_logged_can_be_saved_and_loaded_and_reads_the_same()
    {
        await FillAsync();
        var path = Path.Combine(Folder, "room.json");
        await RoomFiles.SaveAsync(File, path);
        var other = await MakeAsync("other.db");
        var loaded = await RoomFiles.LoadAsync(other, path, Evening);
        Assert.Empty(loaded.Problems);
        Assert.Equal(9, loaded.Stock);
        Assert.Equal(await RoomFiles.StatesAsync(File), await RoomFiles.StatesAsync(other));
        var again = Path.Combine(Folder, "again.json");
        await RoomFiles.SaveAsync(other, again);
        Assert.Equal(await System.IO.File.ReadAllTextAsync(path), await System.IO.File.ReadAllTextAsync(again));
        var twice = await RoomFiles.LoadAsync(other, path, Evening);
        Assert.Equal((0, 0, 0), (twice.Stock, twice.Entries, twice.Readings));
        Assert.Empty(twice.Problems);
    }

    [Fact]
    public void Everything_that_is_told_of_how_an_animal_came_stands_in_the_file()
    {
        var details = Details() with
        {
            AcquiredFrom = "a friend",
            Tags = ["new"],
            MotherId = Guid.NewGuid(),
            FatherId = Guid.NewGuid(),
            Line = "the ferry",
            Borrowed = new Husbandry.Stock.Borrowed("Ann"),
            Wild = new Husbandry.Stock.WildFind("under the net loft", Permit: "N 7"),
        };
        var came = new Acquired(details, Husbandry.Stock.Place.Parse("A1·01")!);
        Assert.Equal(details, RoomFileStock.Of(Guid.NewGuid(), came, Guid.NewGuid(), Evening).Details());
    }

    [Fact]
    public async Task A_file_of_the_fewest_words_is_loaded_beside_what_is_there()
    {
        await AddAsync("Z1·01");
        var text = """
            {"format":"hushed-lantern-room","version":1,
             "stock":[{"id":"00000000-0000-0000-0000-000000000001","group":"mantis","speciesId":"hierodula-membranacea","acquiredOn":"2026-03-01"},
                      {"id":"00000000-0000-0000-0000-000000000002","group":"ant","otherSpecies":"Formica nova","acquiredOn":"2026-03-01","kind":"colony"}],
             "journal":[{"id":"00000000-0000-0000-0000-000000000011","stockId":"00000000-0000-0000-0000-000000000001","night":"2026-03-20","act":{"kind":"molted"}}],
             "climate":[{"at":"2026-03-02T20:00:00Z","temperatureC":25}]}
            """;
        var loaded = await LoadTextAsync(text);
        Assert.Empty(loaded.Problems);
        Assert.Equal((2, 3, 1), (loaded.Stock, loaded.Entries, loaded.Readings));
        await using var db = Open();
        var places = await db.Standings.Select(s => s.Rack + s.Shelf + "·" + s.Slot).ToListAsync(Cancel);
        Assert.Equal(["Z1·1", "Z1·2", "Z1·3"], places.Order());
        Assert.Equal(0, (await LoadTextAsync(text)).Entries);
    }

    [Theory]
    [InlineData("\"place\":\"A1·01\"", "", "place", "taken twice")]
    [InlineData(
        "",
        "{\"roomName\":\"\",\"keeperName\":\"K\",\"zoneId\":\"UTC\",\"cutoverHour\":6,\"unit\":\"mm\",\"firstMeal\":\"default\",\"cadence\":\"default\"}",
        "room.roomName",
        "1 to 80"
    )]
    [InlineData(
        "",
        "{\"roomName\":\"R\",\"keeperName\":\"K\",\"zoneId\":\"UTC\",\"cutoverHour\":99,\"unit\":\"mm\",\"firstMeal\":\"default\",\"cadence\":\"default\"}",
        "room.cutoverHour",
        "0 to 12"
    )]
    [InlineData(
        "",
        "{\"roomName\":\"R\",\"keeperName\":\"K\",\"zoneId\":\"Quay/Loft\",\"cutoverHour\":6,\"unit\":\"mm\",\"firstMeal\":\"default\",\"cadence\":\"default\"}",
        "room.zoneId",
        "time zone"
    )]
    public async Task What_cannot_be_is_refused_whole(string stock, string room, string field, string says)
    {
        await AddAsync("A1·01");
        var more = stock.Length == 0 ? "" : "," + stock;
        var settings = room.Length == 0 ? "" : $"\"room\":{room},";
        var loaded = await LoadTextAsync(
            $$"""{"format":"hushed-lantern-room","version":1,{{settings}}"stock":[{"id":"00000000-0000-0000-0000-000000000001","group":"mantis","speciesId":"hierodula-membranacea","acquiredOn":"2026-03-01"{{more}}}],"journal":[],"climate":[{"at":"2026-03-02T20:00:00Z","temperatureC":25}]}"""
        );
        var problem = Assert.Single(loaded.Problems);
        Assert.EndsWith(field, problem.Field, StringComparison.Ordinal);
        Assert.Contains(says, problem.Message, StringComparison.Ordinal);
        await using var db = Open();
        Assert.Equal(1, await db.Entries.CountAsync(Cancel));
        Assert.Equal(0, await db.Climate.CountAsync(Cancel));
    }

    [Fact]
    public async Task Readings_that_no_thermometer_shows_are_refused()
    {
        var loaded = await LoadTextAsync(
            """{"format":"hushed-lantern-room","version":1,"stock":[],"journal":[],"climate":[{"at":"2026-03-02T20:00:00Z","temperatureC":250}]}"""
        );
        Assert.Equal("climate[0]", Assert.Single(loaded.Problems).Field);
    }

    [Fact]
    public async Task What_another_process_writes_is_seen()
    {
        var cache = new RoomCache();
        await using var db = Open();
        var rules = RoomFiles.Rulebook(db, cache);
        cache.See(await new JournalReader(db).LatestSequenceAsync(Cancel));
        Assert.Same(RoomClimate.Unread, await rules.ClimateAsync(Cancel));
        await LoadTextAsync(
            """{"format":"hushed-lantern-room","version":1,"stock":[{"id":"00000000-0000-0000-0000-000000000001","group":"mantis","speciesId":"hierodula-membranacea","acquiredOn":"2026-03-01"}],"journal":[],"climate":[{"at":"2026-03-02T20:00:00Z","temperatureC":25}]}"""
        );
        cache.See(await new JournalReader(db).LatestSequenceAsync(Cancel));
        Assert.NotSame(RoomClimate.Unread, await rules.ClimateAsync(Cancel));
    }

    private Task<LoadedRoom> LoadTextAsync(string json) =>
        RoomFiles.LoadAsync(File, new MemoryStream(Encoding.UTF8.GetBytes(json)), Evening);
}
