using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>Shelves, moves to other enclosures, the stock list and the family through the API.</summary>
public sealed class HousingApiTests : IDisposable
{
    private readonly LanternFactory app = new();
    private readonly Api api;

    public HousingApiTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    private static JsonObject Housed(double width = 200, double depth = 140, double height = 150, double floor = 70) =>
        Api.Act(
            "housed",
            (
                "enclosure",
                new JsonObject
                {
                    ["name"] = "flat box",
                    ["widthMm"] = width,
                    ["depthMm"] = depth,
                    ["heightMm"] = height,
                    ["substrateMm"] = floor,
                    ["vents"] = "fewHoles",
                    ["damp"] = "none",
                    ["heat"] = "room",
                    ["mist"] = null,
                }
            ),
            ("rehoused", false)
        );

    [Fact]
    public async Task Shelves_keep_their_version_and_walk_quarantine_last()
    {
        await api.AddAsync(Api.New("A1·03"));
        await api.AddAsync(Api.New("B1·01", Api.Details("Moss")));
        JsonObject Shelf(int number, bool quarantine) =>
            new()
            {
                ["number"] = number,
                ["widthMm"] = 900,
                ["heightMm"] = 300,
                ["depthMm"] = 400,
                ["slots"] = 6,
                ["quarantine"] = quarantine,
                ["heatNote"] = null,
                ["moistureNote"] = null,
            };
        JsonObject Layout(long version) =>
            new()
            {
                ["version"] = version,
                ["layout"] = new JsonObject
                {
                    ["racks"] = new JsonArray(
                        new JsonObject
                        {
                            ["rack"] = "A",
                            ["area"] = "",
                            ["shelves"] = new JsonArray(Shelf(1, true)),
                        },
                        new JsonObject
                        {
                            ["rack"] = "B",
                            ["area"] = "",
                            ["shelves"] = new JsonArray(Shelf(1, false)),
                        }
                    ),
                    ["walk"] = new JsonArray("A1", "B1"),
                },
            };
        var (status, view) = await api.SendAsync(HttpMethod.Put, "/api/shelves/layout", Layout(0).ToJsonString());
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(5, view!["racks"]![0]!["shelves"]![0]!["free"]!.AsArray().Count);
        var round = await api.GetAsync("/api/round");
        Assert.Equal(["B1", "A1"], round["shelves"]!.AsArray().Select(s => s!["code"]!.GetValue<string>()));
        Assert.Equal(["B1·01", "A1·03"], round["lines"]!.AsArray().Select(l => l!["place"]!.GetValue<string>()));
        var another = Layout(0);
        another["layout"]!["walk"] = new JsonArray("B1", "A1");
        (status, view) = await api.SendAsync(HttpMethod.Put, "/api/shelves/layout", another.ToJsonString());
        Assert.Equal(HttpStatusCode.Conflict, status);
        var differs = Assert.Single(view!["differences"]!.AsArray())!;
        Assert.Equal(
            ("Walk", "A1, B1", "B1, A1"),
            (
                differs["label"]!.GetValue<string>(),
                differs["theirs"]!.GetValue<string>(),
                differs["yours"]!.GetValue<string>()
            )
        );
        var wrong = Layout(1);
        wrong["layout"]!["racks"]![0]!["shelves"]![0]!["slots"] = 0;
        Api.Refused(
            await api.SendAsync(HttpMethod.Put, "/api/shelves/layout", wrong.ToJsonString()),
            "layout.racks[0].shelves[0].slots",
            "1 to 200"
        );
    }

    [Fact]
    public async Task An_enclosure_that_is_too_small_is_planned_for()
    {
        var id = await api.AddAsync();
        await api.LogAsync(id, Housed(width: 85, depth: 85));
        var plan = await api.GetAsync("/api/shelves/rehousing");
        var need = Assert.Single(plan["needs"]!.AsArray())!;
        Assert.StartsWith("Too narrow: 85 mm, needs 90 mm", need["why"]!.GetValue<string>(), StringComparison.Ordinal);
        Assert.Equal(
            "misfits",
            (await api.GetAsync("/api/shelves"))["racks"]![0]!["shelves"]![0]!["slots"]![0]!["fit"]!.GetValue<string>()
        );
        await api.LogAsync(id, Housed(width: 260, depth: 180, height: 170, floor: 85));
        Assert.DoesNotContain(
            (await api.GetAsync("/api/shelves/rehousing"))["needs"]!.AsArray(),
            n => n!["why"]!.GetValue<string>().StartsWith("Too narrow: ", StringComparison.Ordinal)
        );
        Api.Refused(
            await api.PostAsync($"/api/stock/{id}/journal", Api.Log(Housed(width: 4))),
            "act.enclosure.widthMm",
            "10 to 3000 mm"
        );
    }

    [Fact]
    public async Task The_stock_list_is_filtered_ordered_and_read_in_stretches()
    {
        for (var k = 1; k <= 5; k++)
        {
            var details = Api.Details($"Spider {6 - k}");
            details["tags"] = k % 2 == 0 ? new JsonArray("for sale") : null;
            await api.AddAsync(Api.New($"A1·{k:00}", details));
        }

        string[] Names(JsonArray lines) => [.. lines.Select(l => l!["name"]!.GetValue<string>())];
        Assert.Equal(["Spider 5", "Spider 4", "Spider 3", "Spider 2", "Spider 1"], Names(await api.StockAsync()));
        Assert.Equal(
            ["Spider 1", "Spider 2", "Spider 3", "Spider 4", "Spider 5"],
            Names(await api.StockAsync("&order=name"))
        );
        Assert.Equal(["Spider 4", "Spider 2"], Names(await api.StockAsync("&tag=for%20sale")));
        Assert.Equal(["Spider 3"], Names(await api.StockAsync("&find=a1-3")));
        var stretch = await api.GetAsync("/api/stock?order=name&back=true&from=3&take=1");
        Assert.Equal(5, stretch["total"]!.GetValue<int>());
        Assert.Equal(["Spider 2"], Names(stretch["lines"]!.AsArray()));
        Assert.Equal(["for sale"], stretch["choices"]!["tags"]!.AsArray().Select(t => t!.GetValue<string>()));
    }

    [Theory]
    [InlineData("take=0", "take", "1 to 200")]
    [InlineData("from=-1", "from", "0 or more")]
    [InlineData("order=weight", "order", "lastMeal")]
    [InlineData("stage=imago", "stage", "sling")]
    [InlineData("sex=both", "sex", "female")]
    [InlineData("show=all", "show", "hushed")]
    [InlineData("here=perhaps", "here", "Cannot be read")]
    public async Task A_list_that_cannot_be_is_refused_by_field(string query, string field, string says) =>
        Api.Refused(await api.SendAsync(HttpMethod.Get, $"/api/stock?{query}"), field, says);

    [Fact]
    public async Task Parents_and_young_are_found_from_either_side()
    {
        var mother = await api.AddAsync();
        var details = Api.Details("Sling");
        details["motherId"] = mother;
        var young = await api.AddAsync(Api.New("A1·04", details));
        Assert.Equal(
            "Tansy",
            (await api.GetAsync($"/api/stock/{young}/family"))["mother"]!["name"]!.GetValue<string>()
        );
        var family = await api.GetAsync($"/api/stock/{mother}/family");
        Assert.Equal(young, Assert.Single(family["young"]!.AsArray())!["stockId"]!.GetValue<string>());
    }
}
