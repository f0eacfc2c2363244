using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>Chores come in as a list.</summary>
public sealed class ChoreListTests : ListRoom
{
    private const string Chores = """
        Chore;Where;Every;Next;Season;Needs;Minutes;Last done
        Check the scale;;90;2026-12-01;;weights;5;2026-09-02
        Mist the fern shelf;B2;every 2 days;;;;;
        Gather oak leaves;;once;2026-10-01;1 Oct – 30 Nov;bags;60;
        Empty the bin;;weekly;24/11;;;;
        """;

    [Fact]
    public async Task Chores_come_in_as_a_list_and_a_row_of_the_same_title_and_place_changes_its_chore()
    {
        var sheet = await ReadAsync(Api, "chores", Chores);
        Assert.All(sheet["rows"]!.AsArray(), r => Assert.Null(r!["problem"]));
        Assert.StartsWith("“Mist the fern shelf” at B2, every 2 days from", Said(sheet, 1), StringComparison.Ordinal);
        Assert.Contains("between 1 Oct – 30 Nov", Said(sheet, 2), StringComparison.Ordinal);
        // Four plans, and one that was done.
        Assert.Equal(5, await WriteAsync(Api, "chores", sheet));
        Assert.Equal(0, await WriteAsync(Api, "chores", sheet));

        var changed = await ReadAsync(Api, "chores", "chore,every,next,minutes\nempty THE bin,3,24/11,2");
        Assert.EndsWith("changes what is on record", Said(changed, 0), StringComparison.Ordinal);
        Assert.Equal(1, await WriteAsync(Api, "chores", changed));
        Assert.Equal(4, (await Api.GetAsync("/api/chores"))["chores"]!.AsArray().Count);

        // What a row does not say stays as it was.
        var shorter = await ReadAsync(Api, "chores", "chore,minutes\nEmpty the bin,4\nCheck the scale,5");
        Assert.Equal([false, true], shorter["rows"]!.AsArray().Select(r => r!["isThere"]!.GetValue<bool>()));
        Assert.Contains("every 3 days from 24 Nov, 4 minutes", Said(shorter, 0), StringComparison.Ordinal);
        Assert.Equal(1, await WriteAsync(Api, "chores", shorter));

        var table = await TableAsync(Room, "chores");
        using var elsewhere = new LanternFactory();
        using var to = new Api(elsewhere);
        var read = await ReadAsync(to, "chores", table);
        Assert.All(read["rows"]!.AsArray(), r => Assert.Null(r!["problem"]));
        Assert.Equal(5, await WriteAsync(to, "chores", read));
        Assert.Equal(table, await TableAsync(elsewhere, "chores"));
    }

    [Fact]
    public async Task A_chore_that_was_dropped_is_planned_anew_and_a_list_that_is_sent_twice_is_written_once()
    {
        const string One = "chore,every\nEmpty the bin,7";
        var sheet = await ReadAsync(Api, "chores", One);
        var body = Body(Again(sheet));
        await Api.TakeAsync("/api/intake/chores", body);
        var again = await Api.TakeAsync("/api/intake/chores", (JsonObject)body.DeepClone());
        Assert.Equal(0, again["entries"]!.GetValue<int>());
        var other = await ReadAsync(Api, "chores", "chore,every\nSweep the loft,7");
        var (status, _) = await Api.PostAsync("/api/intake/chores", Body(Again(other), body["id"]!.GetValue<string>()));
        Assert.Equal(HttpStatusCode.Conflict, status);
        var chore = Assert.Single((await Api.GetAsync("/api/chores"))["chores"]!.AsArray())!["chore"]![
            "id"
        ]!.GetValue<string>();
        await Api.TakeAsync(
            "/api/chores/journal",
            new JsonObject { ["id"] = Guid.NewGuid().ToString(), ["act"] = Api.Act("choreDropped", ("choreId", chore)) }
        );
        Assert.Equal(1, await WriteAsync(Api, "chores", await ReadAsync(Api, "chores", One)));
        Assert.Single((await Api.GetAsync("/api/chores"))["chores"]!.AsArray());
    }

    [Fact]
    public async Task A_chore_that_cannot_be_is_named()
    {
        const string Odd = """
            chore,where,every,next,season,minutes,done
            ,,7,,,,
            a,,now and then,,,,
            b,,7,someday,,,
            c,,7,,summer,,
            d,,7,,,ages,
            e,,7,,,,2031-01-01
            f,somewhere,7,,,,
            g,,9999,,,,
            h,,7,,,,
            H,,8,,,,
            """;
        var sheet = await ReadAsync(Api, "chores", Odd);
        string[] said =
        [
            "Say what is to be done",
            "Say how often",
            "Say from when",
            "Write a season",
            "whole number",
            "not beyond tonight",
            "a rack like B",
            "1 to 730 days",
        ];
        Assert.All(said.Index(), s => Assert.Contains(s.Item, Wrong(sheet, s.Index), StringComparison.Ordinal));
        Assert.Null(Wrong(sheet, 8));
        Assert.Contains("stands in the list already", Wrong(sheet, 9), StringComparison.Ordinal);
    }
}
