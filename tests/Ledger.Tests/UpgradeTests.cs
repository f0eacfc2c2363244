using Husbandry.Journal;
using Husbandry.Rulebook;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

namespace Ledger.Tests;

/// <summary>
/// Data files of every form that was ever shipped are brought up to date without loss: each with entries as they were
/// written then, and with standings of a shape that nobody can read any more.
/// </summary>
public sealed class UpgradeTests : LedgerFolder
{
    private static readonly Guid Spider = new("0a000000-0000-0000-0000-000000000001");
    private static readonly Guid Brood = new("0a000000-0000-0000-0000-000000000002");
    private static readonly Guid Pupa = new("0a000000-0000-0000-0000-000000000003");
    private static readonly Guid Queen = new("0a000000-0000-0000-0000-000000000004");

    private static readonly Guid Tank = new("0a000000-0000-0000-0000-000000000005");
    private static readonly Guid Crab = new("0a000000-0000-0000-0000-000000000006");

    private static string Details(string group, string species, string kind = "specimen", int count = 1) =>
        $$"""{"kind":"{{kind}}","group":"{{group}}","speciesId":"{{species}}","nickname":"Kept","sex":"female","acquiredOn":"2025-10-01","moltsAtArrival":4,"matureAtArrival":false,"count":{{count}}}""";

    private static string Acquired(string details, string place) =>
        $$"""{"kind":"acquired","details":{{details}},"place":"{{place}}"}""";

    // What each form of the file brought, in the words in which it was stored. Never changed: files like these are about.
    private static readonly (string Migration, (Guid Stock, int Day, string Act)[] Entries)[] Forms =
    [
        (
            "FirstLight",
            [
                (Spider, 0, Acquired(Details("tarantula", "tliltocatl-albopilosus"), "A1·01")),
                (Brood, 0, Acquired(Details("tarantula", "tliltocatl-albopilosus", "brood", 20), "A1·02")),
                (
                    Spider,
                    2,
                    """{"kind":"offered","feederId":"cricket","sizeClassId":"small","count":1,"preparation":"live","outcome":"eaten"}"""
                ),
                (
                    Spider,
                    9,
                    """{"kind":"offered","feederId":"cricket","sizeClassId":"small","count":1,"preparation":"preKilled","outcome":"notSeen","leftIn":true}"""
                ),
                (Spider, 10, """{"kind":"leftoversRemoved"}"""),
                (Spider, 11, """{"kind":"watered","water":"dish"}"""),
                (Spider, 12, """{"kind":"looked"}"""),
                (Spider, 20, """{"kind":"signSeen","signId":"dark-under-hair"}"""),
                (Spider, 40, """{"kind":"molted","ultimate":false,"mismolt":true}"""),
                (Spider, 47, """{"kind":"fangsChecked","hard":true}"""),
                (Spider, 48, """{"kind":"measured","part":"carapace","lengthMm":9.5,"fromExuvia":true}"""),
                (Spider, 60, """{"kind":"moved","place":"B2·03"}"""),
                (Spider, 61, """{"kind":"noted","text":"under the cork"}"""),
                (Spider, 62, """{"kind":"putOff","untilNight":"2025-12-08"}"""),
                (Brood, 30, """{"kind":"counted","count":17}"""),
            ]
        ),
        (
            "RulesAndClimate",
            [
                (Pupa, 1, Acquired(Details("moth", "saturnia-pyri"), "A1·03")),
                (Pupa, 70, """{"kind":"began","vigil":"emergence"}"""),
                (Pupa, 80, """{"kind":"chilled","intoCold":true}"""),
                (Spider, 100, """{"kind":"limbNoted","limb":"leg 3 left","state":"lost"}"""),
                (Spider, 101, """{"kind":"sexSeen","sex":"female","by":"shedSkin"}"""),
                (
                    Spider,
                    102,
                    """{"kind":"pictured","pictureId":"0b000000-0000-0000-0000-000000000001","caption":"her skin","ofExuvia":true}"""
                ),
                (Spider, 110, """{"kind":"handled","care":"pair"}"""),
                (Spider, 111, """{"kind":"handled","care":"clean"}"""),
            ]
        ),
        (
            "Larder",
            [
                (
                    Brood,
                    120,
                    """{"kind":"offered","feederId":"fruit-fly","sizeClassId":"small","count":17,"preparation":"live","outcome":"eaten","untaken":[2,5]}"""
                ),
                (
                    Spider,
                    121,
                    """{"kind":"measured","part":"legSpan","lengthMm":61,"fromExuvia":false,"errorMm":0.4,"pictureId":"0b000000-0000-0000-0000-000000000001"}"""
                ),
            ]
        ),
        (
            "WholeRoom",
            [
                (
                    Queen,
                    2,
                    Acquired(
                        Details("ant", "lasius-niger")
                            .Replace("""count":1""", """count":1,"tags":["new"]""", StringComparison.Ordinal),
                        "A1·04"
                    )
                ),
                (Queen, 130, """{"kind":"tubeSeen","water":"low"}"""),
                (Spider, 131, """{"kind":"conditionSeen","condition":"full"}"""),
                (
                    Spider,
                    132,
                    """{"kind":"housed","enclosure":{"name":"flat box","widthMm":180,"depthMm":120,"heightMm":110,"substrateMm":50,"vents":"crossHoles","damp":"left","heat":"room"},"rehoused":true}"""
                ),
                (Brood, 133, """{"kind":"departed","departure":"escaped","remark":"through the vent","count":2}"""),
                (Spider, 134, """{"kind":"putOff","untilNight":"2026-02-16","reason":"a draught"}"""),
            ]
        ),
        (
            "SharedTanks",
            [
                (Tank, 3, Acquired(Details("hermit-crab", "coenobita-rugosus", "tank"), "A1·05")),
                (Crab, 3, Acquired(Details("hermit-crab", "coenobita-rugosus"), "A1·06")),
                (Crab, 140, $$"""{"kind":"placed","tankId":"{{Tank}}","tank":"Reef"}"""),
                (
                    Spider,
                    141,
                    """{"kind":"paired","partner":"a male of a friend","method":"watched","remark":"calm"}"""
                ),
                (Brood, 142, """{"kind":"counted","count":14,"low":12,"high":16,"method":"byEye"}"""),
                (Brood, 143, """{"kind":"gained","how":"found","count":1,"remark":"under the lid"}"""),
            ]
        ),
        ("ReadingIds", [(Spider, 150, """{"kind":"noted","text":"webbed the dish over"}""")]),
        ("Sensors", [(Spider, 151, """{"kind":"watered","water":"dish"}""")]),
        ("NeverReplaced", [(Spider, 152, """{"kind":"looked"}""")]),
        ("AccessNotes", [(Spider, 153, """{"kind":"watered","water":"dish"}""")]),
    ];

    public static TheoryData<int> EveryForm => [.. Enumerable.Range(0, Forms.Length)];

    [Theory]
    [MemberData(nameof(EveryForm))]
    public async Task A_file_of_any_former_form_is_brought_up_to_date_without_loss(int form)
    {
        var entries = Forms.Take(form + 1).SelectMany(f => f.Entries).ToList();
        var old = new LedgerFile(Path.Combine(Folder, "old", "lantern.db"));
        Directory.CreateDirectory(Path.GetDirectoryName(old.Path)!);
        await using (var db = Open(old))
        {
            await db.GetService<IMigrator>().MigrateAsync(Forms[form].Migration, cancellationToken: Cancel);
            var sequence = 0;
            foreach (var (stock, day, act) in entries)
            {
                var at = Evening.AddDays(day - 400).UtcTicks;
                await db.Database.ExecuteSqlAsync(
                    $"INSERT INTO Entries (Id, StockId, FromTicks, ToTicks, WrittenTicks, WrittenBy, Act) VALUES ({Guid.NewGuid()}, {stock}, {at}, {at}, {++sequence}, 'Keeper', {act})",
                    Cancel
                );
            }

            await db.Database.ExecuteSqlAsync(
                $"INSERT INTO Rooms (Id, Settings, Version, RulesFingerprint) VALUES (1, {LedgerJson.Write(RoomStore.Fresh)}, 3, 'of then')",
                Cancel
            );
            foreach (var stock in entries.Select(e => e.Stock).Distinct())
            {
                await db.Database.ExecuteSqlAsync(
                    $"INSERT INTO Standings (StockId, State, Here, Rack, Shelf, Slot, NextDueTicks, Hushed) VALUES ({stock}, 'a shape of then', 1, 'A', 1, 1, 0, 0)",
                    Cancel
                );
            }
        }

        await using var now = Open(old);
        // The newest form needs no update and is not copied aside.
        Assert.Equal(form == Forms.Length - 1, await old.BringUpToDateAsync(now, Evening, Cancel) is null);
        var reader = new JournalReader(now);
        Assert.True(await new RoomStore(now).AdoptRulesAsync(RuleSet.Shipped, Cancel));
        await new NightJudge(now, reader, new RoomCache()).RebuildAsync(Room, Cancel);

        // Every entry stands as it was written, in its order.
        var kept = await now.Entries.AsNoTracking().OrderBy(e => e.Sequence).Select(e => e.Act).ToListAsync(Cancel);
        Assert.Equal(entries.Select(e => e.Act), kept);
        foreach (var stock in entries.Select(e => e.Stock).Distinct())
        {
            var standing = (await reader.StandingAsync(stock, Cancel))!;
            Assert.Equal(entries.Count(e => e.Stock == stock), (await reader.ReadAsync(stock, Cancel)).Count);
            Assert.Equal(
                LedgerJson.Write(Standing.Fold(await reader.ReadAsync(stock, Cancel))!),
                LedgerJson.Write(standing)
            );
        }

        await TellsAsync(reader, form);
        foreach (var table in new[] { "Entries", "Larder", "Chores" })
        {
            Assert.Equal(3, await TriggersAsync(now, table));
        }
    }

    /// <summary>What the entries of then say is what the standings of now tell.</summary>
    private static async Task TellsAsync(JournalReader reader, int form)
    {
        var spider = (await reader.StandingAsync(Spider, Cancel))!;
        Assert.Equal(("A1·01", "B2·03"), (spider.Stays[0].Place.Code, spider.OwnPlace.Code));
        Assert.True(Assert.Single(spider.Growth.Molts).Mismolt);
        // Left in and found whole the night after: turned down; the molt then wiped it.
        Assert.Equal([true, false], spider.Vigils.Appetite.Select(a => a.Taken));
        var brood = (await reader.StandingAsync(Brood, Cancel))!;
        Assert.Equal(form >= 3 ? 15 : 17, brood.Details.Count);
        Assert.Equal([20, -3], brood.Counts.Take(2).Select(c => c.By));
        if (form >= 1)
        {
            Assert.True(spider.Pairings[0] is { Partner: null, Method: null });
            Assert.NotNull((await reader.StandingAsync(Pupa, Cancel))!.Vigils.OpenOf(VigilKind.Emergence));
        }

        if (form >= 2)
        {
            Assert.Equal([2, 5], brood.Feeding.Vials.Select(v => v.Number));
        }

        if (form >= 4)
        {
            Assert.Equal("a male of a friend", spider.Pairings[1].Partner);
            Assert.Equal(
                (15, 12, 16),
                (brood.Counts[^1].Now, brood.Counts[^2].Taken!.Low, brood.Counts[^2].Taken!.High)
            );
            Assert.Equal(Tank, (await reader.StandingAsync(Crab, Cancel))!.TankId);
        }
    }

    private static async Task<int> TriggersAsync(LanternDb db, string table) =>
        await db
            .Database.SqlQuery<int>(
                $"SELECT COUNT(*) AS Value FROM sqlite_master WHERE type = 'trigger' AND tbl_name = {table}"
            )
            .SingleAsync(Cancel);
}
