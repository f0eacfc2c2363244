using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>What is in the larder comes in as a list: food, goods, cultures and food plants.</summary>
public sealed class LarderListTests : ListRoom
{
    private const string Larder = """
        Kind,Name,Size,Count,Since,Where
        ,small crickets,,200,,
        food,Crickets,medium,40,,
        culture,springtails,,3,2026-10-20,
        goods,Substrate,,12.5,,
        plant in a pot,Bramble,woody,60 g,,window
        cut leaf,Privet,woody,80,,
        plant outside,Oak,woody,,,churchyard wall
        """;

    [Fact]
    public async Task The_larder_comes_in_as_a_list_and_goes_out_as_the_same_table()
    {
        var sheet = await ReadAsync(Api, "larder", Larder);
        Assert.All(sheet["rows"]!.AsArray(), r => Assert.Null(r!["problem"]));
        Assert.Equal("counted 200 small crickets", Said(sheet, 0));
        Assert.StartsWith("3 pots of springtails, started 20 Oct", Said(sheet, 2), StringComparison.Ordinal);
        Assert.Equal(7, await WriteAsync(Api, "larder", sheet));

        var larder = await Api.GetAsync("/api/larder");
        Assert.Equal(3, Assert.Single(larder["cultures"]!.AsArray())!["pots"]!.GetValue<int>());
        Assert.Equal(3, larder["plants"]!.AsArray().Count);

        // The same again: cultures and plants are there, food is counted once more.
        var again = await ReadAsync(Api, "larder", Larder);
        Assert.All(
            [2, 4, 5, 6],
            row => Assert.EndsWith("on record already", Said(again, row), StringComparison.Ordinal)
        );
        Assert.Equal(3, await WriteAsync(Api, "larder", again));
        Assert.Single((await Api.GetAsync("/api/larder"))["cultures"]!.AsArray());

        // What goes out comes in elsewhere, and goes out the same from there.
        var table = await TableAsync(Room, "larder");
        using var elsewhere = new LanternFactory();
        using var to = new Api(elsewhere);
        var read = await ReadAsync(to, "larder", table);
        Assert.All(read["rows"]!.AsArray(), r => Assert.Null(r!["problem"]));
        Assert.Equal(7, await WriteAsync(to, "larder", read));
        Assert.Equal(table, await TableAsync(elsewhere, "larder"));
    }

    [Fact]
    public async Task A_row_of_the_larder_that_cannot_be_is_named_and_nothing_is_written()
    {
        const string Odd = """
            what,name,size,count,since
            ,crickets,,5,
            ,crickets,small,2.5,
            ,moon cheese,,4,
            ,,,4,
            ,small crickets,,many,
            culture,crickets of nowhere,,2,
            culture,springtails,,0,
            culture,springtails,,2,someday
            culture,springtails,,2,2031-01-01
            culture,springtails,,2.5,
            culture in the cold,springtails,,2,
            plant,Bramble,,60,
            goods,Substrate,,3,
            """;
        var sheet = await ReadAsync(Api, "larder", Odd);
        string[] said =
        [
            "Say of what size",
            "whole pieces",
            "No food or goods is called “moon cheese”",
            "Say what it is",
            "Say how many",
            "Cannot be cultured here",
            "1 to 200 pots",
            "Say since when",
            "later than tonight",
            "whole pots",
            "live through the cold",
            "soft or woody",
        ];
        Assert.All(said.Index(), s => Assert.Contains(s.Item, Wrong(sheet, s.Index), StringComparison.Ordinal));
        Api.Refused(await Api.PostAsync("/api/intake/larder", Body(Again(sheet))), "rows[0]", "Row 1");
        Assert.Empty((await Api.GetAsync("/api/larder"))["cultures"]!.AsArray());
        Assert.Equal(1, await WriteAsync(Api, "larder", sheet, [.. Enumerable.Range(1, 12)]));
    }

    [Fact]
    public async Task Pupae_in_the_cold_come_in_cold_and_a_culture_that_ended_is_begun_anew_by_the_same_row()
    {
        const string Two = "kind,name,count,since\nculture in the cold,house flies,2,20 Nov\nculture,springtails,3,";
        var sheet = await ReadAsync(Api, "larder", Two);
        Assert.EndsWith("in the cold", Said(sheet, 0), StringComparison.Ordinal);
        Assert.Equal(3, await WriteAsync(Api, "larder", sheet));
        Assert.Equal(0, await WriteAsync(Api, "larder", await ReadAsync(Api, "larder", Two)));
        async Task<JsonNode> StandsAsync(string feeder) =>
            (await Api.GetAsync("/api/larder"))["cultures"]!
                .AsArray()
                .Single(c => c!["feederId"]!.GetValue<string>() == feeder)!;
        Assert.True((await StandsAsync("house-fly"))["state"]!.GetValue<string>() == "cold");
        var table = await TableAsync(Room, "larder");
        Assert.Contains("culture in the cold", table, StringComparison.Ordinal);

        var gone = (await StandsAsync("springtail"))["id"]!.GetValue<string>();
        await Api.TakeAsync(
            "/api/larder/journal",
            new JsonObject
            {
                ["id"] = Guid.NewGuid().ToString(),
                ["act"] = Api.Act("cultureEnded", ("cultureId", gone), ("end", "spent")),
            }
        );
        Assert.Equal(1, await WriteAsync(Api, "larder", await ReadAsync(Api, "larder", Two)));
        Assert.NotEqual(gone, (await StandsAsync("springtail"))["id"]!.GetValue<string>());
    }

    [Fact]
    public async Task Food_without_headings_is_read_by_what_stands_in_it()
    {
        var sheet = await ReadAsync(Api, "larder", "small crickets\t120\nmedium crickets\t30");
        Assert.Equal(["counted 120 small crickets", "counted 30 medium crickets"], [Said(sheet, 0), Said(sheet, 1)]);
        sheet = await ReadAsync(
            Api,
            "larder",
            "food,small crickets,120,\nculture,springtails,2,14 Nov\ngoods,cotton,50,"
        );
        Assert.Equal(
            ["kind", "name", "count", "since"],
            sheet["columns"]!.AsArray().Select(c => c!.GetValue<string>())
        );
        Assert.All(sheet["rows"]!.AsArray(), r => Assert.Null(r!["problem"]));
        Assert.EndsWith("started 14 Nov", Said(sheet, 1), StringComparison.Ordinal);
    }
}
