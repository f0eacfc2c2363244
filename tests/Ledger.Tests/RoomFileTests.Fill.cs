using System.Reflection;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Husbandry.Chores;
using Husbandry.Climate;
using Husbandry.Contacts;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Housing;
using Husbandry.Journal;
using Husbandry.Larder;
using Husbandry.Pairing;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Tanks;
using Husbandry.Vigils;

namespace Ledger.Tests;

/// <summary>The room that is written out: something of every kind.</summary>
public sealed partial class RoomFileTests
{
    private const string PartedOff = "0c000000-0000-0000-0000-000000000001";
    private const string Born = "0c000000-0000-0000-0000-000000000002";

    /// <summary>An act of every kind there is, in an order in which it can happen.</summary>
    private static IEnumerable<(string Animal, double Ago, Act Act, double? NotBefore)> EveryKind()
    {
        (string, double, Act, double?) Spider(double ago, Act act, double? notBefore = null) =>
            ("spider", ago, act, notBefore);
        yield return Spider(299, new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.NotSeen));
        yield return Spider(298, new LeftoversRemoved());
        yield return Spider(297, new Watered(WaterKind.Dish));
        yield return Spider(296.5, new ConditionSeen(BodyCondition.Full));
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
        yield return ("brood", 190, new Departed(DepartureKind.Escaped, "through the vent", 2), null);
        yield return ("queen", 100, new TubeSeen(TubeWater.Low), null);
        yield return ("crab", 200, new Began(VigilKind.Surfacing), null);
        yield return ("crab", 150, new Ended(VigilKind.Surfacing, VigilEnd.AsHoped), null);
        yield return ("moth", 200, new Began(VigilKind.Emergence), null);
        yield return ("moth", 190, new Chilled(true), null);
        yield return ("brood", 120, new Gained(GainKind.Born, 3), null);
        yield return ("queen", 99, new Paired(null, "a flight at the quay"), null);
        yield return ("brood", 110, new Parted(new Guid(PartedOff), 4, "tray 2", new Place("C", 1, 1)), null);
        yield return Spider(90, new Lent("a friend", null, DateOnly.FromDateTime(Evening.AddDays(-60).DateTime)));
        yield return Spider(61, new Returned("thin"));
        yield return ("mother", 40, new GaveBirth(new Guid(Born), 30, "her young", new Place("C", 1, 2)), null);
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
                (
                    "reef",
                    Details("hermit-crab", "coenobita-rugosus", StockKind.Tank) with
                    {
                        Sex = Sex.Unknown,
                        MoltsAtArrival = null,
                        Count = 1,
                    },
                    "A1·10"
                ),
                ("mother", Details() with { MatureAtArrival = true }, "A1·09"),
                ("moth", Details("moth", "saturnia-pyri"), "A1·04"),
                ("queen", Details("ant", "lasius-niger"), "A1·05"),
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

        Assert.Equal(WriteOutcome.Written, (await WriteAsync(ids["crab"], Entry(20, new Placed(ids["reef"])))).Outcome);
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
                Jpeg = [0xFF, 0xD8, 1, 2, 3, 0xFF, 0xD9],
            }
        );
        await db.SaveChangesAsync(Cancel);
        var rules = RoomFiles.Rulebook(db, new RoomCache());
        var own = RuleSet.Shipped.Profile("caribena-versicolor")! with { Id = "caribena-nova" };
        Assert.Empty(await rules.AddSpeciesAsync([own], replace: false, Cancel));
        var feeder = RuleSet.Shipped.Feeder("cricket")! with { Id = "black-cricket" };
        Assert.Empty(await rules.SetFeederAsync(feeder, Cancel));
        await FillRoomAsync(db);
        await FillAirAsync(db);
        await FillLarderAsync(db, await rules.ReadAsync(Cancel));
        Assert.Empty(
            (
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
            ).Problems
        );
        return ids;
    }

    private static async Task FillRoomAsync(LanternDb db)
    {
        var friend = new ContactSaid(Guid.NewGuid(), "Keeper of the ferry", "good males");
        await new ContactStore(db).WriteAsync(Guid.NewGuid(), friend, Room.Now, "Keeper", Cancel);
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
            Assert.Equal(
                WriteOutcome.Written,
                (await store.WriteAsync(id, act, Room.Now, "Ann", Room, Cancel)).Outcome
            );
            Assert.Equal(
                WriteOutcome.WrittenBefore,
                (await store.WriteAsync(id, act, Room.Now, "Ann", Room, Cancel)).Outcome
            );
        }
    }

    /// <summary>Something of every kind of entry of the room's air, in an order in which it can be, and days of a sensor.</summary>
    private static async Task FillAirAsync(LanternDb db)
    {
        var (shelf, gone, programme) = (Guid.NewGuid(), Guid.NewGuid(), Guid.NewGuid());
        var tonight = DateOnly.FromDateTime(Evening.DateTime);
        var plan = new AirProgramme(
            "Cool season",
            "C",
            [new ProgrammeStep(tonight, 14, 18, 40, 70)],
            tonight.AddDays(60)
        );
        ClimateAct[] acts =
        [
            new SensorFound(shelf, "loft-1", Guid.NewGuid()),
            new SensorPlaced(shelf, "Top shelf", "A1"),
            new SaltCheckBegun(shelf, [Salt.TableSalt, Salt.MagnesiumChloride]),
            new SaltChecked(shelf, 77),
            new SaltChecked(shelf, 34),
            new SaltCheckBegun(shelf, [Salt.TableSalt]),
            new SaltCheckDropped(shelf),
            new CorrectionDropped(shelf),
            new SensorFound(gone, "loft-2", Guid.NewGuid()),
            new SensorRetired(gone),
            new AlarmSeen("Hot:x", Evening.AddHours(-2)),
            new AlarmSnoozed("Dry:x", Evening.AddHours(-1), 60),
            new QuietHoursSet(23, 7),
            new ProgrammeSet(programme, plan),
            new ProgrammeSet(Guid.NewGuid(), plan with { Zone = "" }),
            new ProgrammeDropped(programme),
        ];
        Assert.Equal(
            typeof(ClimateAct).GetCustomAttributes<JsonDerivedTypeAttribute>().Select(a => a.DerivedType).ToHashSet(),
            acts.Select(a => a.GetType()).ToHashSet()
        );
        var store = new ClimateStore(db, new RoomCache());
        foreach (var (act, i) in acts.Select((a, i) => (a, i)))
        {
            var (id, at) = (Guid.NewGuid(), Evening.AddHours(i - 40));
            Assert.Equal(WriteOutcome.Written, (await store.WriteAsync(id, act, at, "Ann", Room, Cancel)).Outcome);
            Assert.Equal(
                WriteOutcome.WrittenBefore,
                (await store.WriteAsync(id, act, at, "Ann", Room, Cancel)).Outcome
            );
            Assert.Equal(
                WriteOutcome.Conflict,
                (await store.WriteAsync(id, new QuietHoursSet(1, 2), at, "Ann", Room, Cancel)).Outcome
            );
        }

        await new SensorStore(db).AddAsync(
            [
                .. Enumerable
                    .Range(0, 100)
                    .Select(h => new SensedReading(shelf, new SensorReading(Evening.AddHours(-h), 21 + (h % 7), 55))),
            ],
            Evening,
            Cancel
        );
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
            var result = await store.WriteAsync(id, acts[i], Evening.AddHours(i - 40), "Ann", room, Cancel);
            Assert.Equal((WriteOutcome.Written, []), (result.Outcome, result.Problems));
            result = await store.WriteAsync(id, acts[i], Evening, "Ann", room, Cancel);
            Assert.Equal(WriteOutcome.WrittenBefore, result.Outcome);
        }

        var mistake = (await store.ReadAsync(Cancel))[1].Id;
        await store.WriteAsync(Guid.NewGuid(), new LarderWithdrawn(mistake), Evening, "Keeper", room, Cancel);
    }
}
