using System.Text.Json.Nodes;
using Husbandry.Growth;
using Husbandry.Honesty;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Ledger.Tests;

/// <summary>Changed rules and temperatures: what holds now, what held then, and what memory may keep.</summary>
public sealed class RulebookStoreTests : LedgerFolder
{
    private static RuleOverride Change(
        double value,
        string rule = "group.cadence.adult.default",
        OverrideScope scope = OverrideScope.Room,
        string? species = null,
        Guid? stockId = null
    ) => new(Guid.NewGuid(), scope, "tarantula", species, stockId, rule, JsonValue.Create(value), "");

    private static double EveryDays(RuleSet rules) =>
        rules.For(Details().Species, Guid.Empty).Group.At(Stage.Adult).Food!.Cadence.Default.Value;

    private async Task SetAsync(RuleOverride change, DateTimeOffset at)
    {
        await using var db = Open();
        Assert.Empty((await RoomFiles.Rulebook(db, new RoomCache()).SetAsync(change, at, Cancel)).Problems);
    }

    [Fact]
    public async Task A_rule_set_again_ends_the_former_and_giving_up_brings_the_rulebook_back()
    {
        var (first, second) = (Change(11), Change(17));
        await SetAsync(first, Evening.AddDays(-20));
        await SetAsync(second, Evening.AddDays(-10));
        await using var db = Open();
        var store = RoomFiles.Rulebook(db, new RoomCache());
        Assert.Equal(second.Id, Assert.Single(await store.OverridesAsync(Cancel)).Id);
        Assert.Equal(17, EveryDays(await store.ReadAsync(Cancel)));
        Assert.True(await store.GiveUpAsync(second.Id, Evening, Cancel));
        Assert.False(await store.GiveUpAsync(second.Id, Evening, Cancel));
        Assert.Equal(EveryDays(RuleSet.Shipped), EveryDays(await store.ReadAsync(Cancel)));
    }

    [Fact]
    public async Task The_same_change_sent_twice_is_set_once()
    {
        var change = Change(11);
        await SetAsync(change, Evening.AddDays(-2));
        await SetAsync(change, Evening.AddDays(-1));
        await using var db = Open();
        var row = Assert.Single(db.Overrides);
        Assert.Equal(Evening.AddDays(-2).UtcTicks, row.SetTicks);
    }

    [Fact]
    public async Task A_change_that_breaks_the_rulebook_is_refused_whole()
    {
        await using var db = Open();
        var store = RoomFiles.Rulebook(db, new RoomCache());
        var problems = (await store.SetAsync(Change(-3), Evening, Cancel)).Problems;
        Assert.Equal(("value", "Must be above 0 and at most 10000 days."), (problems[0].Field, problems[0].Message));
        Assert.Empty(db.Overrides);
    }

    [Fact]
    public async Task The_rules_of_any_night_are_those_that_held_then()
    {
        var change = Change(11);
        await SetAsync(change, Evening.AddDays(-20));
        await SetAsync(Change(17), Evening.AddDays(-10));
        await using var db = Open();
        var store = RoomFiles.Rulebook(db, new RoomCache());
        var holding = Assert.Single(await store.OverridesAsync(Cancel));
        await store.GiveUpAsync(holding.Id, Evening.AddDays(-5), Cancel);
        var history = await store.HistoryAsync(Cancel);
        double At(int ago) => EveryDays(history.At(Evening.AddDays(-ago)));
        var shipped = EveryDays(RuleSet.Shipped);
        Assert.Equal([shipped, 11, 11, 17, shipped], new[] { 30, 20, 15, 7, 1 }.Select(At));
    }

    [Fact]
    public async Task Changing_a_rule_today_does_not_change_what_was_forecast_last_year()
    {
        var entries = new List<JournalEntry>();
        var id = Guid.NewGuid();
        foreach (
            var (ago, act) in new (int, Act)[]
            {
                (900, new Acquired(Details(), Place.Parse("A1·01")!)),
                (880, new Measured(BodyPart.LegSpan, 60, false)),
                (700, new Molted()),
                (560, new Molted()),
                (400, new Molted()),
                (1, new Looked()),
            }
        )
        {
            var at = Evening.AddDays(-ago);
            entries.Add(
                new JournalEntry(Guid.NewGuid(), id, entries.Count + 1, Occurrence.At(at), at, "Keeper", null, act)
            );
        }

        var slow = new RuleOverride(
            Guid.NewGuid(),
            OverrideScope.Species,
            "tarantula",
            "tliltocatl-albopilosus",
            null,
            "species.moltInterval.juvenile",
            JsonNode.Parse("""{"p10":200,"p50":300,"p90":450}""")!,
            ""
        );
        await SetAsync(slow, Evening.AddDays(-3));
        await using var db = Open();
        var store = RoomFiles.Rulebook(db, new RoomCache());
        var then = Replay.Of(entries, Room, await store.HistoryAsync(Cancel)).Forecasts;
        Assert.NotEmpty(then);
        Assert.Equal(
            Replay.Of(entries, Room, RuleHistory.Always(RuleSet.Shipped)).Forecasts.Select(f => f.Engine),
            then.Select(f => f.Engine)
        );
        var now = Replay.Of(entries, Room, RuleHistory.Always(await store.ReadAsync(Cancel))).Forecasts;
        Assert.NotEqual(then.Select(f => f.Engine), now.Select(f => f.Engine));
    }

    [Fact]
    public async Task Nearest_reach_wins_and_other_animals_keep_the_rooms()
    {
        var one = Guid.NewGuid();
        await SetAsync(Change(11), Evening);
        await SetAsync(Change(12, scope: OverrideScope.Species, species: "tliltocatl-albopilosus"), Evening);
        await SetAsync(Change(13, scope: OverrideScope.Animal, stockId: one), Evening);
        await using var db = Open();
        var rules = await RoomFiles.Rulebook(db, new RoomCache()).ReadAsync(Cancel);
        double For(string species, Guid id) =>
            rules.For(Details(species: species).Species, id).Group.At(Stage.Adult).Food!.Cadence.Default.Value;
        Assert.Equal(13, For("tliltocatl-albopilosus", one));
        Assert.Equal(12, For("tliltocatl-albopilosus", Guid.NewGuid()));
        Assert.Equal(11, For("brachypelma-hamorii", Guid.NewGuid()));
    }

    [Fact]
    public void Memory_lets_go_of_everything_when_somebody_else_wrote()
    {
        var cache = new RoomCache { Rules = RuleSet.Shipped };
        cache.See(7);
        var written = new JournalEntry(
            Guid.NewGuid(),
            Guid.NewGuid(),
            8,
            Occurrence.At(Evening),
            Evening,
            "Keeper",
            null,
            new Looked()
        );
        cache.Wrote([written], []);
        cache.See(8);
        Assert.NotNull(cache.Rules);
        cache.See(9);
        Assert.Null(cache.Rules);
    }
}
