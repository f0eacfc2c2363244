using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>A notebook comes into the room in one go: read first, shown, written all or none, taken back as one.</summary>
public sealed class IntakeApiTests : IDisposable
{
    private const string Notebook = """
        Code	Species	sex	DLS in	instar	Last molt	fed?	name
        A1-1	Tliltocatl albopilosus	f	4.5	i9	3/5	20/11	Tansy
        a1 02	T. albopilosus	m	2"	i6	12/10	19/11
        	Brachypelma hamori	?	6 cm		1 Sep	18/11	Moss
        A1.04	B. hamorii	0.1			2 w	yesterday
        """;

    private readonly LanternFactory app = new();
    private readonly Api api;

    public IntakeApiTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    private Task<JsonNode> ReadAsync(string text) =>
        api.TakeAsync("/api/intake/read", new JsonObject { ["text"] = text });

    private static JsonObject Request(JsonNode sheet, string id) =>
        new()
        {
            ["id"] = id,
            ["table"] = new JsonObject
            {
                ["cells"] = sheet["cells"]!.DeepClone(),
                ["columns"] = new JsonArray([.. sheet["columns"]!.AsArray().Select(c => c!["column"]!.DeepClone())]),
                ["dayFirst"] = sheet["dayFirst"]!.DeepClone(),
                ["unit"] = sheet["unit"]!.DeepClone(),
            },
        };

    private static string Said(JsonNode sheet, int row) => sheet["rows"]![row]!["says"]!.GetValue<string>();

    private static string Place(JsonNode sheet, int row) => sheet["rows"]![row]!["place"]!.GetValue<string>();

    [Fact]
    public async Task A_notebook_is_read_as_it_is_written()
    {
        var sheet = await ReadAsync(Notebook);
        Assert.True(sheet["isSound"]!.GetValue<bool>(), sheet["rows"]!.ToJsonString());
        Assert.Equal(
            ["place", "species", "sex", "size", "stage", "lastMolt", "lastMeal", "name"],
            sheet["columns"]!.AsArray().Select(c => c!["column"]!.GetValue<string>())
        );
        Assert.Equal("in", sheet["unit"]!.GetValue<string>());
        Assert.Equal("Tliltocatl albopilosus, female, i9, 114 mm, molted 3 May, fed 20 Nov", Said(sheet, 0));
        Assert.Equal("Tliltocatl albopilosus, male, i6, 51 mm, molted 12 Oct, fed 19 Nov", Said(sheet, 1));
        // A place that is left out is the next that is free: A1·03 lies between.
        Assert.Equal(["A1·01", "A1·02", "A1·03", "A1·04"], Enumerable.Range(0, 4).Select(i => Place(sheet, i)));
        Assert.Equal("T. albopilosus 1", sheet["rows"]![1]!["details"]!["nickname"]!.GetValue<string>());
    }

    [Theory]
    [InlineData("A1-1 T. albopilosus f\nA1-2 m\nA1-3 B. hamorii\nA1-4 f")]
    [InlineData("Code\tSpecies\nA1-1\tT. albopilosus\nA1-2\tdo.\nA1-3\tB. hamorii\nA1-4\tsame")]
    public async Task What_stands_for_the_species_above_is_that_species(string text)
    {
        var sheet = await ReadAsync(text);
        Assert.Equal(
            ["tliltocatl-albopilosus", "tliltocatl-albopilosus", "brachypelma-hamorii", "brachypelma-hamorii"],
            sheet["rows"]!.AsArray().Select(r => r!["details"]?["speciesId"]?.GetValue<string>())
        );
    }

    [Fact]
    public async Task A_table_cell_left_empty_is_no_species_and_is_said()
    {
        var sheet = await ReadAsync("Code\tSpecies\nA1-1\tT. albopilosus\nA1-2\t");
        Assert.False(sheet["isSound"]!.GetValue<bool>());
    }

    [Fact]
    public async Task The_first_evening_is_led_through_and_no_other()
    {
        Assert.Null((await api.GetAsync("/api/round"))["firstEvening"]);
        var sheet = await ReadAsync("A1-1 T. albopilosus f i4 molt 3/11\nA1-2 m i4\nA1-3 Messor barbarus");
        await api.TakeAsync("/api/intake", Request(sheet, Guid.NewGuid().ToString()));
        var first = (await api.GetAsync("/api/round"))["firstEvening"]!;
        Assert.Equal(3, first["writtenDown"]!.GetValue<int>());
        // A colony has no last molt to tell.
        Assert.Equal(1, first["moltUnknown"]!.GetValue<int>());
        Assert.Equal(1, (await api.GetAsync("/api/stock?show=undated"))["total"]!.GetValue<int>());
        app.Clock.Advance(TimeSpan.FromDays(1));
        Assert.Null((await api.GetAsync("/api/round"))["firstEvening"]);
    }

    [Theory]
    [InlineData("Tliltocatl albopilosus", "", "specimen")]
    [InlineData("Tliltocatl albopilosus", "30", "brood")]
    [InlineData("Messor barbarus", "", "colony")]
    [InlineData("Armadillidium vulgare", "20", "colony")]
    [InlineData("Carabus nemoralis", "", "specimen")]
    public async Task Each_is_kept_as_its_group_is_kept(string species, string count, string kind)
    {
        var sheet = await ReadAsync($"Code\tSpecies\tCount\nA1-1\t{species}\t{count}");
        Assert.True(sheet["isSound"]!.GetValue<bool>(), sheet["rows"]!.ToJsonString());
        Assert.Equal(kind, sheet["rows"]![0]!["details"]!["kind"]!.GetValue<string>());
        await api.TakeAsync("/api/intake", Request(sheet, $"{Guid.NewGuid()}"));
        var there = Assert.Single(await api.StockAsync())!;
        Assert.Equal(species, there["species"]!.GetValue<string>());
    }

    [Fact]
    public async Task It_is_written_once_with_its_history_and_taken_back_as_one()
    {
        var sheet = await ReadAsync(Notebook);
        var request = Request(sheet, $"{Guid.NewGuid()}");
        var written = await api.TakeAsync("/api/intake", request);
        var ids = written["stockIds"]!.AsArray().Select(i => i!.GetValue<string>()).ToList();
        // Sent again after a lost answer it adds nothing.
        Assert.Equal(written.ToJsonString(), (await api.TakeAsync("/api/intake", request)).ToJsonString());
        Assert.Equal(4, (await api.StockAsync()).Count);
        var tansy = await api.GetAsync($"/api/stock/{ids[0]}");
        Assert.Equal(
            ("Tansy", "i9"),
            (tansy["details"]!["nickname"]!.GetValue<string>(), tansy["instar"]!.GetValue<string>())
        );
        Assert.Equal("2026-05-03", tansy["lastMolt"]!.GetValue<string>());
        Assert.Equal("2026-11-20", tansy["meal"]!["value"]!["lastMeal"]!.GetValue<string>());
        var back = new JsonObject
        {
            ["night"] = null,
            ["entries"] = new JsonArray([
                .. ids.Select(id => new JsonObject
                {
                    ["stockId"] = id,
                    ["id"] = $"{Guid.NewGuid()}",
                    ["act"] = Api.Act("departed", ("departure", "mistaken")),
                }),
            ]),
        };
        await api.TakeAsync("/api/journal/batch", back);
        Assert.Empty(await api.StockAsync("&here=true"));
    }

    [Fact]
    public async Task What_cannot_be_is_said_at_its_cell_and_nothing_is_written()
    {
        await api.AddAsync(Api.New("A1·01"));
        var sheet = await ReadAsync(
            """
            place;species;fed;size;molts
            A1-1;Tliltocatl albopilosus;20/11;6 cm;i6
            A1-2;Xenesthis immanis;31/2;wide;huge
            A1-2;Coenobita;24/12/2026;;
            """
        );
        Assert.False(sheet["isSound"]!.GetValue<bool>());
        IEnumerable<(int, string)> Wrong(int row) =>
            sheet["rows"]![row]!["problems"]!
                .AsArray()
                .Select(p => (p!["column"]!.GetValue<int>(), p["message"]!.GetValue<string>()));
        Assert.Equal(
            (0, "A1·01 is taken, or stands twice in the table; empty takes the next free place."),
            Assert.Single(Wrong(0))
        );
        Assert.Equal([1, 2, 3], Wrong(1).Select(p => p.Item1).Order());
        Assert.Contains(Wrong(2), p => p.Item1 == 0);
        Assert.Contains(Wrong(2), p => p.Item2.Contains("lies beyond tonight", StringComparison.Ordinal));
        var which = sheet["rows"]![2]!["problems"]!.AsArray().Single(p => p!["column"]!.GetValue<int>() == 1)!;
        Assert.Equal("Which one is “Coenobita”?", which["message"]!.GetValue<string>());
        Assert.True(which["instead"]!.AsArray().Count > 1);
        var (status, answer) = await api.PostAsync("/api/intake", Request(sheet, $"{Guid.NewGuid()}"));
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.True(answer!["errors"]!.AsObject().ContainsKey("rows[1]"), answer.ToJsonString());
        Assert.Single(await api.StockAsync());
    }

    [Fact]
    public async Task Lines_of_words_are_read_too_and_many_of_a_kind_take_places_in_order()
    {
        var sheet = await ReadAsync("A1-3 Tliltocatl albopilosus f i6 molt 3/5 fed 20/11\nMoss B. hamorii m");
        Assert.True(sheet["isSound"]!.GetValue<bool>(), sheet["rows"]!.ToJsonString());
        Assert.Equal("Tliltocatl albopilosus, female, i6, molted 3 May, fed 20 Nov", Said(sheet, 0));
        Assert.Equal("Moss", sheet["rows"]![1]!["details"]!["nickname"]!.GetValue<string>());
        var many = new JsonObject
        {
            ["cells"] = new JsonArray([
                .. Enumerable.Repeat(0, 12).Select(_ => new JsonArray("Phidippus regius", "i2")),
            ]),
            ["columns"] = new JsonArray("species", "stage"),
        };
        var twelve = await api.TakeAsync("/api/intake/read", many);
        Assert.Equal("A1·12", Place(twelve, 11));
        Assert.Equal("P. regius 12", twelve["rows"]![11]!["details"]!["nickname"]!.GetValue<string>());
        Api.Refused(await api.PostAsync("/api/intake/read", new JsonObject()), "text", "Paste a table");
    }

    [Fact]
    public async Task Colonies_stay_colonies_and_water_is_given_as_the_group_takes_it()
    {
        var sheet = await ReadAsync("species,count,water\nLasius niger,12,20/11\nPorcellio scaber,40,20/11");
        Assert.True(sheet["isSound"]!.GetValue<bool>(), sheet["rows"]!.ToJsonString());
        Assert.All(
            sheet["rows"]!.AsArray(),
            row => Assert.Equal("colony", row!["details"]!["kind"]!.GetValue<string>())
        );
        var written = await api.TakeAsync("/api/intake", Request(sheet, $"{Guid.NewGuid()}"));
        var ants = await api.GetAsync($"/api/stock/{written["stockIds"]![0]!.GetValue<string>()}");
        Assert.Contains("tubeSeen", ants["journal"]!.AsArray().Select(l => l!["act"]!["kind"]!.GetValue<string>()));
    }

    /// <summary>The table of stock that goes out is one that comes in.</summary>
    [Fact]
    public async Task A_table_of_stock_goes_from_one_room_into_another()
    {
        await api.AddAsync(Api.New("A1·03"));
        await api.AddAsync(Api.New("B2·04", Api.Details("Rowan", "brachypelma-hamorii")));
        using var http = app.CreateClient();
        var table = await http.GetStringAsync(new Uri("/api/safekeeping/tables/stock.csv", UriKind.Relative));
        using var elsewhere = new LanternFactory();
        using var to = new Api(elsewhere);
        var sheet = await to.TakeAsync("/api/intake/read", new JsonObject { ["text"] = table });
        Assert.Equal(2, sheet["rows"]!.AsArray().Count);
        Assert.All(sheet["rows"]!.AsArray(), r => Assert.Empty(r!["problems"]!.AsArray()));
        var (status, _) = await to.PostAsync("/api/intake", Request(sheet, Guid.NewGuid().ToString()));
        Assert.Equal(HttpStatusCode.OK, status);
        var stock = await to.StockAsync();
        Assert.Equal(["A1·03", "B2·04"], stock.Select(l => l!["place"]!.GetValue<string>()));
        Assert.Equal(["Tansy", "Rowan"], stock.Select(l => l!["name"]!.GetValue<string>()));
        Assert.Equal("Brachypelma hamorii", stock[1]!["species"]!.GetValue<string>());
        Assert.Equal("2026-01-10", stock[0]!["came"]!.GetValue<string>());
    }
}
