using Hosting.Tests;

namespace App.Tests;

/// <summary>The demo room has an animal in every state a keeper meets.</summary>
public sealed class DemoRoomTests
{
    [Fact]
    public async Task The_net_loft_has_animals_of_every_group_in_every_phase()
    {
        using var app = new LanternFactory(demo: true);
        using var api = new Api(app);
        var stock = await api.StockAsync();
        Assert.InRange(stock.Count, 75, 110);
        Assert.Equal(9, stock.Select(s => s!["group"]!.GetValue<string>()).Distinct().Count());
        var phases = stock.Select(s => s!["phaseWord"]!.GetValue<string>()).ToHashSet();
        Assert.Superset(
            new HashSet<string>
            {
                "open",
                "well fed",
                "suspected",
                "likely premolt",
                "molting",
                "hardening",
                "fangs unchecked",
                "buried",
                "founding",
                "sealed in",
                "eggs",
                "pupa",
                "brooding",
                "wintering",
            },
            phases
        );
        Assert.Contains(stock, s => s!["kind"]!.GetValue<string>() == "brood" && s["count"]!.GetValue<int>() == 46);
        var round = await api.GetAsync("/api/round");
        Assert.Equal("The net loft at Sallow Quay", round["roomName"]!.GetValue<string>());
        var acts = round["lines"]!.AsArray().Select(l => l!["act"]!.GetValue<string>()).ToHashSet();
        Assert.Superset(new HashSet<string> { "removeLeftovers", "checkFangs", "feed", "water", "none" }, acts);
        Assert.NotEmpty(round["done"]!.AsArray());
        // What was left in comes out first, the sick come last; else the lines stand as the keeper walks.
        var walk = round["lines"]!
            .AsArray()
            .Select(l =>
                (
                    Out: l!["act"]!.GetValue<string>() == "removeLeftovers",
                    Sick: l["isSick"]!.GetValue<bool>(),
                    At: l["place"]!.GetValue<string>()
                )
            )
            .ToList();
        Assert.True(walk[0].Out);
        Assert.Contains(walk, l => l.Sick);
        Assert.Equal(
            walk.OrderBy(l => l.Out ? 0 : 1).ThenBy(l => l.Sick).ThenBy(l => l.At, StringComparer.Ordinal),
            walk
        );
    }

    [Theory]
    [InlineData("2027-02-28T05:55:00Z")]
    [InlineData("2027-03-28T06:01:00Z")]
    [InlineData("2028-02-29T12:00:00Z")]
    [InlineData("2026-12-31T23:59:59Z")]
    public async Task The_room_is_as_fresh_on_any_night_at_any_hour(string instant)
    {
        using var app = new LanternFactory(demo: true, DateTimeOffset.Parse(instant, null));
        using var api = new Api(app);
        var round = await api.GetAsync("/api/round");
        var acts = round["lines"]!.AsArray().Select(l => l!["act"]!.GetValue<string>()).ToHashSet();
        Assert.Superset(new HashSet<string> { "removeLeftovers", "checkFangs", "feed", "water", "none" }, acts);
        Assert.NotEmpty(round["done"]!.AsArray());
    }

    [Fact]
    public async Task The_same_evening_lays_out_the_same_room()
    {
        static async Task<string> LayOut()
        {
            using var app = new LanternFactory(demo: true);
            using var api = new Api(app);
            return (await api.GetAsync("/api/round")).ToJsonString();
        }

        Assert.Equal(await LayOut(), await LayOut());
    }

    [Fact]
    public async Task One_record_hides_a_molt_and_one_animal_is_thin()
    {
        using var app = new LanternFactory(demo: true);
        using var api = new Api(app);
        var stock = await api.StockAsync();
        async Task<System.Text.Json.Nodes.JsonNode> Animal(string name) =>
            await api.GetAsync(
                $"/api/stock/{stock.Single(s => s!["name"]!.GetValue<string>() == name)!["stockId"]!.GetValue<string>()}"
            );
        var heron = await Animal("Heron");
        Assert.Contains(
            heron["growth"]!["value"]!["skins"]!.AsArray(),
            s => s!["ratioToNext"]?["hidesAMolt"]?.GetValue<bool>() == true
        );
        Assert.Equal("thin", (await Animal("Wisp"))["condition"]!["value"]!["word"]!.GetValue<string>());
    }
}
