using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>Lists of a keeper's own come in: what happened, what is in the larder, the chores. Read first, written all or none.</summary>
public sealed class ListApiTests : IDisposable
{
    private readonly LanternFactory app = new();
    private readonly Api api;

    public ListApiTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    private static string Said(JsonNode sheet, int row) => sheet["rows"]![row]!["says"]!.GetValue<string>();

    private static string? Wrong(JsonNode sheet, int row) => sheet["rows"]![row]!["problem"]?.GetValue<string>();

    private static async Task<JsonNode> ReadAsync(Api of, string kind, string text)
    {
        var sheet = await of.TakeAsync($"/api/intake/{kind}/read", new JsonObject { ["text"] = text });
        Assert.NotEmpty(sheet["choices"]!.AsArray());
        return sheet;
    }

    private static async Task<int> WriteAsync(Api of, string kind, JsonNode sheet, params int[] leaveOut)
    {
        var (status, written) = await of.PostAsync($"/api/intake/{kind}", Body(Again(sheet, leaveOut)));
        Assert.Equal(HttpStatusCode.OK, status);
        return written!["entries"]!.GetValue<int>();
    }

    private static async Task<string> TableAsync(LanternFactory of, string table)
    {
        using var http = of.CreateClient();
        return await http.GetStringAsync(new Uri($"/api/safekeeping/tables/{table}.csv", UriKind.Relative));
    }

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
        var sheet = await ReadAsync(api, "larder", Larder);
        Assert.All(sheet["rows"]!.AsArray(), r => Assert.Null(r!["problem"]));
        Assert.Equal("counted 200 small crickets", Said(sheet, 0));
        Assert.StartsWith("3 pots of springtails, started 20 Oct", Said(sheet, 2), StringComparison.Ordinal);
        Assert.Equal(7, await WriteAsync(api, "larder", sheet));

        var larder = await api.GetAsync("/api/larder");
        Assert.Equal(3, Assert.Single(larder["cultures"]!.AsArray())!["pots"]!.GetValue<int>());
        Assert.Equal(3, larder["plants"]!.AsArray().Count);

        // The same again: cultures and plants are there, food is counted once more.
        var again = await ReadAsync(api, "larder", Larder);
        Assert.All(
            [2, 4, 5, 6],
            row => Assert.EndsWith("on record already", Said(again, row), StringComparison.Ordinal)
        );
        Assert.Equal(3, await WriteAsync(api, "larder", again));
        Assert.Single((await api.GetAsync("/api/larder"))["cultures"]!.AsArray());

        // What goes out comes in elsewhere, and goes out the same from there.
        var table = await TableAsync(app, "larder");
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
        var sheet = await ReadAsync(api, "larder", Odd);
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
        Api.Refused(await api.PostAsync("/api/intake/larder", Body(Again(sheet))), "rows[0]", "Row 1");
        Assert.Empty((await api.GetAsync("/api/larder"))["cultures"]!.AsArray());
        Assert.Equal(1, await WriteAsync(api, "larder", sheet, [.. Enumerable.Range(1, 12)]));
    }

    [Fact]
    public async Task Pupae_in_the_cold_come_in_cold_and_a_culture_that_ended_is_begun_anew_by_the_same_row()
    {
        const string Two = "kind,name,count,since\nculture in the cold,house flies,2,20 Nov\nculture,springtails,3,";
        var sheet = await ReadAsync(api, "larder", Two);
        Assert.EndsWith("in the cold", Said(sheet, 0), StringComparison.Ordinal);
        Assert.Equal(3, await WriteAsync(api, "larder", sheet));
        Assert.Equal(0, await WriteAsync(api, "larder", await ReadAsync(api, "larder", Two)));
        async Task<JsonNode> StandsAsync(string feeder) =>
            (await api.GetAsync("/api/larder"))["cultures"]!
                .AsArray()
                .Single(c => c!["feederId"]!.GetValue<string>() == feeder)!;
        Assert.True((await StandsAsync("house-fly"))["state"]!.GetValue<string>() == "cold");
        var table = await TableAsync(app, "larder");
        Assert.Contains("culture in the cold", table, StringComparison.Ordinal);

        var gone = (await StandsAsync("springtail"))["id"]!.GetValue<string>();
        await api.TakeAsync(
            "/api/larder/journal",
            new JsonObject
            {
                ["id"] = Guid.NewGuid().ToString(),
                ["act"] = Api.Act("cultureEnded", ("cultureId", gone), ("end", "spent")),
            }
        );
        Assert.Equal(1, await WriteAsync(api, "larder", await ReadAsync(api, "larder", Two)));
        Assert.NotEqual(gone, (await StandsAsync("springtail"))["id"]!.GetValue<string>());
    }

    [Fact]
    public async Task Food_without_headings_is_read_by_what_stands_in_it()
    {
        var sheet = await ReadAsync(api, "larder", "small crickets\t120\nmedium crickets\t30");
        Assert.Equal(["counted 120 small crickets", "counted 30 medium crickets"], [Said(sheet, 0), Said(sheet, 1)]);
        sheet = await ReadAsync(
            api,
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
        var sheet = await ReadAsync(api, "chores", Chores);
        Assert.All(sheet["rows"]!.AsArray(), r => Assert.Null(r!["problem"]));
        Assert.StartsWith("“Mist the fern shelf” at B2, every 2 days from", Said(sheet, 1), StringComparison.Ordinal);
        Assert.Contains("between 1 Oct – 30 Nov", Said(sheet, 2), StringComparison.Ordinal);
        // Four plans, and one that was done.
        Assert.Equal(5, await WriteAsync(api, "chores", sheet));
        Assert.Equal(0, await WriteAsync(api, "chores", sheet));

        var changed = await ReadAsync(api, "chores", "chore,every,next,minutes\nempty THE bin,3,24/11,2");
        Assert.EndsWith("changes what is on record", Said(changed, 0), StringComparison.Ordinal);
        Assert.Equal(1, await WriteAsync(api, "chores", changed));
        Assert.Equal(4, (await api.GetAsync("/api/chores"))["chores"]!.AsArray().Count);

        // What a row does not say stays as it was.
        var shorter = await ReadAsync(api, "chores", "chore,minutes\nEmpty the bin,4\nCheck the scale,5");
        Assert.Equal([false, true], shorter["rows"]!.AsArray().Select(r => r!["isThere"]!.GetValue<bool>()));
        Assert.Contains("every 3 days from 24 Nov, 4 minutes", Said(shorter, 0), StringComparison.Ordinal);
        Assert.Equal(1, await WriteAsync(api, "chores", shorter));

        var table = await TableAsync(app, "chores");
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
        var sheet = await ReadAsync(api, "chores", One);
        var body = Body(Again(sheet));
        await api.TakeAsync("/api/intake/chores", body);
        var again = await api.TakeAsync("/api/intake/chores", (JsonObject)body.DeepClone());
        Assert.Equal(0, again["entries"]!.GetValue<int>());
        var other = await ReadAsync(api, "chores", "chore,every\nSweep the loft,7");
        var (status, _) = await api.PostAsync("/api/intake/chores", Body(Again(other), body["id"]!.GetValue<string>()));
        Assert.Equal(HttpStatusCode.Conflict, status);
        var chore = Assert.Single((await api.GetAsync("/api/chores"))["chores"]!.AsArray())!["chore"]![
            "id"
        ]!.GetValue<string>();
        await api.TakeAsync(
            "/api/chores/journal",
            new JsonObject { ["id"] = Guid.NewGuid().ToString(), ["act"] = Api.Act("choreDropped", ("choreId", chore)) }
        );
        Assert.Equal(1, await WriteAsync(api, "chores", await ReadAsync(api, "chores", One)));
        Assert.Single((await api.GetAsync("/api/chores"))["chores"]!.AsArray());
    }

    [Fact]
    public async Task Gear_and_people_come_in_as_lists_and_go_out_as_the_same_tables()
    {
        const string Gear = """
            Gear,From,To,For
            Net cage,2026-12-01,2026-12-14,Dapple × Reeve
            net cage,20/12,,cleaning
            Gram scale,,,
            """;
        var sheet = await ReadAsync(api, "gear", Gear);
        Assert.All(sheet["rows"]!.AsArray(), r => Assert.Null(r!["problem"]));
        // Two pieces, two bookings.
        Assert.Equal(4, await WriteAsync(api, "gear", sheet));
        Assert.Equal(0, await WriteAsync(api, "gear", await ReadAsync(api, "gear", Gear)));
        var odd = await ReadAsync(
            api,
            "gear",
            "gear,from,to,for\nNet cage,2026-12-10,2026-12-11,others\n,2026-12-10,,x\nJar,soon,,x\nJar,,,x\nJar,2026-12-10,2026-12-01,x\nJar,2026-12-10,,"
        );
        string[] said =
        [
            "Booked then already",
            "Say which gear",
            "Say from when: a date",
            "Say from when it is booked",
            "nights after it",
            "1 to 80 characters",
        ];
        Assert.All(said.Index(), s => Assert.Contains(s.Item, Wrong(odd, s.Index), StringComparison.Ordinal));

        const string People = "Name,Note\nRowan,lends males\nSam,";
        var people = await ReadAsync(api, "contacts", People);
        Assert.False(people["hasDates"]!.GetValue<bool>());
        Assert.Equal(2, await WriteAsync(api, "contacts", people));
        Assert.Equal(0, await WriteAsync(api, "contacts", await ReadAsync(api, "contacts", People)));
        var changed = await ReadAsync(api, "contacts", "name,note\nrowan,lends females too\n,nobody");
        Assert.Equal("Rowan: lends females too (another note than on record)", Said(changed, 0));
        Assert.Contains("characters", Wrong(changed, 1), StringComparison.Ordinal);

        using var elsewhere = new LanternFactory();
        using var to = new Api(elsewhere);
        foreach (var (table, entries) in new[] { ("gear", 4), ("contacts", 2) })
        {
            var text = await TableAsync(app, table);
            Assert.Equal(entries, await WriteAsync(to, table, await ReadAsync(to, table, text)));
            Assert.Equal(text, await TableAsync(elsewhere, table));
        }
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
        var sheet = await ReadAsync(api, "chores", Odd);
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

    private const string Happened = """
        Animal,Date,What,Size,Note
        Tansy,2026-10-03,molted,,
        Tansy,2026-10-05,measured,6 cm,leg span
        A1-3,20/10,fed,,
        tansy,1 Nov,refused,,
        Tansy,2 Nov,note,,"moved its burrow, again"
        Tansy,3 Nov,watered,,
        """;

    private static JsonObject Body(JsonObject list, string? id = null) =>
        new() { ["id"] = id ?? Guid.NewGuid().ToString(), ["list"] = list };

    private static JsonObject Again(JsonNode sheet, params int[] leaveOut) =>
        new()
        {
            ["cells"] = sheet["cells"]!.DeepClone(),
            ["columns"] = sheet["columns"]!.DeepClone(),
            ["dayFirst"] = sheet["dayFirst"]!.DeepClone(),
            ["unit"] = sheet["unit"]?.DeepClone(),
            ["leaveOut"] = new JsonArray([.. leaveOut.Select(n => (JsonNode)n)]),
        };

    [Fact]
    public async Task What_happened_comes_in_as_a_table_and_twice_writes_nothing()
    {
        var id = await api.AddAsync();
        var sheet = await ReadAsync(api, "happened", Happened);
        Assert.All(sheet["rows"]!.AsArray(), r => Assert.Null(r!["problem"]));
        Assert.Equal(
            ["who", "night", "what", "size", "note"],
            sheet["columns"]!.AsArray().Select(c => c!.GetValue<string>())
        );
        Assert.Contains("leg span 60 mm", Said(sheet, 1), StringComparison.Ordinal);
        var (status, written) = await api.PostAsync("/api/intake/happened", Body(Again(sheet)));
        Assert.Equal((HttpStatusCode.OK, 6), (status, written!["entries"]!.GetValue<int>()));
        var journal = (await api.GetAsync($"/api/stock/{id}"))["journal"]!.AsArray();
        string On(string night) =>
            journal.Single(l => l!["night"]!.GetValue<string>() == night)!["text"]!.GetValue<string>();
        Assert.Equal("molted", On("2026-10-03"));
        Assert.StartsWith("took", On("2026-10-20"), StringComparison.Ordinal);
        Assert.DoesNotContain("took", On("2026-11-01"), StringComparison.Ordinal);
        Assert.Equal("moved its burrow, again", On("2026-11-02"));

        (_, written) = await api.PostAsync("/api/intake/happened", Body(Again(sheet)));
        Assert.Equal(0, written!["entries"]!.GetValue<int>());

        // The table of the journal that goes out: what was written here comes in elsewhere, the rest is named.
        using var http = app.CreateClient();
        var table = await http.GetStringAsync(new Uri("/api/safekeeping/tables/journal.csv", UriKind.Relative));
        using var elsewhere = new LanternFactory();
        using var to = new Api(elsewhere);
        await to.AddAsync();
        var read = await to.TakeAsync("/api/intake/happened/read", new JsonObject { ["text"] = table });
        var odd = read["rows"]!.AsArray().Where(r => r!["problem"] is not null).ToList();
        Assert.All(
            odd,
            r => Assert.Contains("not taken from a table", r!["problem"]!.GetValue<string>(), StringComparison.Ordinal)
        );
        Assert.Contains(
            read["rows"]!.AsArray(),
            r => r!["says"]!.GetValue<string>().EndsWith("molted", StringComparison.Ordinal)
        );
    }

    [Fact]
    public async Task Rows_of_what_happened_that_cannot_be_are_named_and_can_be_left_out()
    {
        await api.AddAsync();
        const string Odd = """
            Tansy	2026-10-03	molted
            Nobody	2026-10-04	molted
            Tansy	someday	fed
            Tansy	2031-01-01	molted
            Tansy	2026-10-06	acquired
            B9-9	2026-10-06	fed
            """;
        var sheet = await ReadAsync(api, "happened", Odd);
        Assert.Null(Wrong(sheet, 0));
        Assert.Contains("Nobody here is called", Wrong(sheet, 1), StringComparison.Ordinal);
        Assert.Contains("Say when", Wrong(sheet, 2), StringComparison.Ordinal);
        Assert.Contains("beyond tonight", Wrong(sheet, 3), StringComparison.Ordinal);
        Assert.Contains("not taken from a table", Wrong(sheet, 4), StringComparison.Ordinal);
        Assert.Contains("Nothing stands at B9·09", Wrong(sheet, 5), StringComparison.Ordinal);
        Api.Refused(await api.PostAsync("/api/intake/happened", Body(Again(sheet))), "rows[1]", "Row 2");
        var (status, written) = await api.PostAsync("/api/intake/happened", Body(Again(sheet, 2, 3, 4, 5, 6)));
        Assert.Equal((HttpStatusCode.OK, 1), (status, written!["entries"]!.GetValue<int>()));
        Api.Refused(await api.PostAsync("/api/intake/happened", Body([])), "text", "Paste");
    }
}
