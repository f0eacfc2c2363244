using System.Reflection;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Husbandry.Chores;
using Husbandry.Climate;
using Husbandry.Housing;
using Husbandry.Journal;
using Husbandry.Larder;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;
using Microsoft.EntityFrameworkCore;

namespace Ledger.Tests;

/// <summary>Whole rooms out to a file and in again.</summary>
public sealed class RoomFileTests : LedgerFolder
{
    private static readonly Guid Picture = Guid.NewGuid();

    /// <summary>An act of every kind there is, in an order in which it can happen.</summary>
    private static IEnumerable<(string Animal, double Ago, Act Act, double? NotBefore)> EveryKind()
    {
        (string, double, Act, double?) Spider(double ago, Act act, double? notBefore = null) =>
            ("spider", ago, act, notBefore);
        yield return Spider(299, new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.NotSeen));
        yield return Spider(298, new LeftoversRemoved());
        yield return Spider(297, new Watered(WaterKind.Dish));
        yield return Spider(296, new Looked());
        yield return Spider(295, new SignSeen("dark-under-hair"));
        yield return Spider(280, new Molted(), 284);
        yield return Spider(279, new FangsChecked(true));
        yield return Spider(278, new Measured(BodyPart.Carapace, 9.2, true, 0.2, Picture));
        yield return Spider(277, new Moved(new Place("B", 2, 3)));
        yield return Spider(276, new Noted("Rearranged her bark."));
        yield return Spider(275, new PutOff(DateOnly.FromDateTime(Evening.AddDays(-270).DateTime)));
        yield return Spider(
            275,
            new Housed(
                new Enclosure(
                    "flat box",
                    180,
                    120,
                    110,
                    50,
                    Ventilation.CrossHoles,
                    DampSide.Left,
                    HeatSource.SideMat,
                    new MistPlan(0.8, 5, 3)
                ),
                Rehoused: true
            )
        );
        yield return Spider(274, new LimbNoted("leg 3 left", LimbState.Lost));
        yield return Spider(273, new SexSeen(Sex.Male, SexEvidence.ShedSkin));
        yield return Spider(272, new Pictured(Picture, "her skin", true));
        yield return Spider(271, new Handled(CareAct.Clean));
        yield return Spider(270, new DetailsChanged(Details() with { Nickname = "Thistle" }));
        yield return Spider(1, new Departed(DepartureKind.GivenAway, "to a friend"));
        yield return ("brood", 200, new Counted(17), null);
        yield return ("crab", 200, new Began(VigilKind.Surfacing), null);
        yield return ("crab", 150, new Ended(VigilKind.Surfacing, VigilEnd.AsHoped), null);
        yield return ("moth", 200, new Began(VigilKind.Emergence), null);
        yield return ("moth", 190, new Chilled(true), null);
    }

    private async Task<Dictionary<string, Guid>> FillAsync()
    {
        var ids = new Dictionary<string, Guid>();
        foreach (
            var (name, details, place) in new[]
            {
                ("spider", Details(), "A1·01"),
                ("brood", Details(kind: StockKind.Brood), "A1·02"),
                ("crab", Details("hermit-crab", "coenobita-rugosus"), "A1·03"),
                ("moth", Details("moth", "saturnia-pyri"), "A1·04"),
            }
        )
        {
            ids[name] = Guid.NewGuid();
            Assert.Equal(WriteOutcome.Written, (await WriteAsync(ids[name], Came(place, details))).Outcome);
        }

        foreach (var (animal, ago, act, notBefore) in EveryKind())
        {
            var result = await WriteAsync(ids[animal], Entry(ago, act, notBefore));
            Assert.True(result.Outcome == WriteOutcome.Written, $"{act}: {string.Join(' ', result.Problems)}");
        }

        var wrong = Entry(290, new Watered(WaterKind.Mist));
        await WriteAsync(ids["spider"], wrong);
        await WriteAsync(ids["spider"], Entry(0, new Withdrawn(wrong.Id)));
        var measure = Entry(260, new Measured(BodyPart.LegSpan, 60));
        await WriteAsync(ids["brood"], measure);
        await WriteAsync(ids["brood"], Entry(260, new Measured(BodyPart.LegSpan, 16)) with { Supersedes = measure.Id });
        await using var db = Open();
        db.Climate.Add(
            new ClimateRow
            {
                Ticks = Evening.UtcTicks,
                Zone = "A",
                TemperatureC = 24.5,
            }
        );
        db.Pictures.Add(
            new PictureRow
            {
                Id = Picture,
                StockId = ids["spider"],
                AddedTicks = Evening.UtcTicks,
                Width = 4,
                Height = 3,
                Jpeg = [1, 2, 3],
            }
        );
        await db.SaveChangesAsync(Cancel);
        var rules = new RulebookStore(db, new RoomCache());
        var own = RuleSet.Shipped.Profile("caribena-versicolor")! with { Id = "caribena-nova" };
        Assert.Empty(await rules.AddSpeciesAsync([own], replace: false, Cancel));
        var feeder = RuleSet.Shipped.Feeder("cricket")! with { Id = "black-cricket" };
        Assert.Empty(await rules.SetFeederAsync(feeder, Cancel));
        await FillRoomAsync(db);
        await FillLarderAsync(db, await rules.ReadAsync(Cancel));
        Assert.Empty(
            await rules.SetAsync(
                new RuleOverride(
                    Guid.NewGuid(),
                    OverrideScope.Animal,
                    "tarantula",
                    null,
                    ids["brood"],
                    "group.cadence.juvenile.default",
                    JsonValue.Create(11),
                    ""
                ),
                Evening,
                Cancel
            )
        );
        return ids;
    }

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
        await SaveAsync(File, path);
        var other = await MakeAsync("other.db");
        var loaded = await LoadAsync(other, path);
        Assert.Empty(loaded.Problems);
        Assert.Equal(4, loaded.Stock);
        Assert.Equal(await StatesAsync(File), await StatesAsync(other));
        var again = Path.Combine(Folder, "again.json");
        await SaveAsync(other, again);
        Assert.Equal(await System.IO.File.ReadAllTextAsync(path), await System.IO.File.ReadAllTextAsync(again));
        var twice = await LoadAsync(other, path);
        Assert.Equal((0, 0, 0), (twice.Stock, twice.Entries, twice.Readings));
        Assert.Empty(twice.Problems);
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
        var rules = new RulebookStore(db, cache);
        cache.See(await new JournalReader(db).LatestSequenceAsync(Cancel));
        Assert.Same(RoomClimate.Unread, await rules.ClimateAsync(Cancel));
        await LoadTextAsync(
            """{"format":"hushed-lantern-room","version":1,"stock":[{"id":"00000000-0000-0000-0000-000000000001","group":"mantis","speciesId":"hierodula-membranacea","acquiredOn":"2026-03-01"}],"journal":[],"climate":[{"at":"2026-03-02T20:00:00Z","temperatureC":25}]}"""
        );
        cache.See(await new JournalReader(db).LatestSequenceAsync(Cancel));
        Assert.NotSame(RoomClimate.Unread, await rules.ClimateAsync(Cancel));
    }

    private static async Task FillRoomAsync(LanternDb db)
    {
        var layout = new RoomLayout(
            [new RackLayout("A", "by the door", [new ShelfLayout(1, 900, 300, 350, 8, true, "warm", "damp")])],
            ["A1"]
        );
        Assert.True(await new RoomStore(db).WriteLayoutAsync(layout, 0, Cancel));
        var (chore, gear) = (Guid.NewGuid(), Guid.NewGuid());
        var tonight = DateOnly.FromDateTime(Evening.DateTime);
        ChoreAct[] acts =
        [
            new ChorePlanned(
                chore,
                new ChorePlan(ChoreKind.Season, "Leaves", "A1", tonight, 3, new SeasonSpan(10, 1, 12, 5), "sack", 30)
            ),
            new ChoreDone(chore, tonight, "two sacks"),
            new ChorePutOff(chore, tonight.AddDays(5), "rain"),
            new GearAdded(gear, "Net cage"),
            new GearBooked(Guid.NewGuid(), gear, tonight, tonight.AddDays(2), "a pairing"),
        ];
        var store = new ChoreStore(db);
        foreach (var act in acts)
        {
            var id = Guid.NewGuid();
            Assert.Equal(WriteOutcome.Written, (await store.WriteAsync(id, act, "Ann", Room, Cancel)).Outcome);
            Assert.Equal(WriteOutcome.WrittenBefore, (await store.WriteAsync(id, act, "Ann", Room, Cancel)).Outcome);
        }
    }

    private static async Task FillLarderAsync(LanternDb db, RuleSet rules)
    {
        var (pot, half, order, lost) = (Guid.NewGuid(), Guid.NewGuid(), Guid.NewGuid(), Guid.NewGuid());
        var cricket = new FoodKey("black-cricket", "small");
        LarderAct[] acts =
        [
            new FoodCounted(cricket, 60),
            new FoodGained(cricket, 10),
            new FoodLost(cricket, 5),
            new CultureStarted(pot, "house-fly", 2),
            new CultureSplit(pot, half, 1, true),
            new CultureChilled(half, false),
            new MitesSeen(pot),
            new CultureEnded(pot, CultureEnd.Mites),
            new OrderPlaced(order, [new OrderLine("cricket", "small", 50)], new DateOnly(2026, 11, 20)),
            new OrderArrived(order, [new OrderLine("cricket", "small", 40)]),
            new OrderPlaced(lost, [new OrderLine("vials", "", 50)], new DateOnly(2026, 11, 20)),
            new OrderCancelled(lost),
            new GoodsCounted("vials", 12.5),
        ];
        var store = new LarderStore(db, new RoomCache());
        var room = Room.At(rules, RoomStore.Fresh with { ZoneId = "UTC" }, Evening);
        for (var i = 0; i < acts.Length; i++)
        {
            var id = Guid.NewGuid();
            var result = await store.WriteAsync(id, acts[i], Evening.AddHours(i - 40), room, Cancel);
            Assert.Equal((WriteOutcome.Written, []), (result.Outcome, result.Problems));
            result = await store.WriteAsync(id, acts[i], Evening, room, Cancel);
            Assert.Equal(WriteOutcome.WrittenBefore, result.Outcome);
        }

        var mistake = (await store.ReadAsync(Cancel))[1].Id;
        await store.WriteAsync(Guid.NewGuid(), new LarderWithdrawn(mistake), Evening, room, Cancel);
    }

    private static async Task SaveAsync(LedgerFile file, string path)
    {
        await using var db = Open(file);
        var writer = new RoomFileWriter(
            db,
            new RoomStore(db),
            new JournalReader(db),
            new RulebookStore(db, new RoomCache()),
            new LarderStore(db, new RoomCache()),
            new ChoreStore(db)
        );
        await writer.WriteAsync(path, Cancel);
    }

    private static async Task<LoadedRoom> LoadAsync(LedgerFile file, string path)
    {
        await using var stream = System.IO.File.OpenRead(path);
        return await LoadAsync(file, stream);
    }

    private Task<LoadedRoom> LoadTextAsync(string json) =>
        LoadAsync(File, new MemoryStream(Encoding.UTF8.GetBytes(json)));

    private static async Task<LoadedRoom> LoadAsync(LedgerFile file, Stream stream)
    {
        var (room, problems) = RoomFileLoader.Read(stream);
        Assert.Empty(problems);
        await using var db = Open(file);
        var (cache, reader) = (new RoomCache(), new JournalReader(db));
        var loader = new RoomFileLoader(
            db,
            new RoomStore(db),
            new JournalImport(db, reader),
            new RulebookStore(db, cache),
            new LarderStore(db, new RoomCache()),
            new ChoreStore(db),
            cache
        );
        return await loader.LoadAsync(room!, Evening, Cancel);
    }

    /// <summary>Every standing, without the sequences in which its entries happened to be written.</summary>
    private static async Task<List<string>> StatesAsync(LedgerFile file)
    {
        await using var db = Open(file);
        var rows = await db.Standings.AsNoTracking().OrderBy(s => s.StockId).ToListAsync(Cancel);
        return
        [
            .. rows.Select(r =>
                JsonSerializer.Serialize(
                    LedgerJson.Read<Standing>(r.State) with
                    {
                        DetailsVersion = 0,
                        LatestSequence = 0,
                    },
                    LedgerJson.Options
                )
            ),
        ];
    }
}
