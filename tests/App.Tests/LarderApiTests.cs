using System.Globalization;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using CsvHelper;
using Hosting.Tests;

namespace App.Tests;

/// <summary>The larder through the API: counting, cultures, orders, feeders of the keeper's own, the shopping list.</summary>
public sealed class LarderApiTests : IDisposable
{
    private readonly LanternFactory app = new();
    private readonly Api api;

    public LarderApiTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    private static JsonObject Entry(JsonObject act, string? on = null) =>
        new()
        {
            ["id"] = Guid.NewGuid().ToString(),
            ["act"] = act,
            ["on"] = on,
        };

    private static JsonObject Food(string feeder, string size) =>
        new() { ["feederId"] = feeder, ["sizeClassId"] = size };

    private static JsonObject Count(string feeder, string size, int quantity) =>
        Entry(Api.Act("foodCounted", ("food", Food(feeder, size)), ("quantity", quantity)));

    private Task<JsonNode> LogAsync(JsonObject entry) => api.TakeAsync("/api/larder/journal", entry);

    private async Task<JsonNode?> FoodAsync(string feeder, string size) =>
        (await api.GetAsync("/api/larder"))["plan"]!["foods"]!
            .AsArray()
            .FirstOrDefault(f =>
                f!["food"]!["feederId"]!.GetValue<string>() == feeder
                && f["food"]!["sizeClassId"]!.GetValue<string>() == size
            );

    [Fact]
    public async Task What_is_fed_is_gone_from_the_larder_and_undo_brings_it_back()
    {
        var id = await api.AddAsync();
        await LogAsync(Count("roach-nymph", "small", 40));
        var answer = await api.LogAsync(id, Api.Offer("eaten"));
        Assert.Equal(39, (await FoodAsync("roach-nymph", "small"))!["onHand"]!.GetValue<double>(), 0.05);
        var entry = answer["journal"]![0]!["id"]!.GetValue<string>();
        await api.TakeAsync(
            $"/api/stock/{id}/journal/undo",
            new JsonObject { ["id"] = Guid.NewGuid().ToString(), ["entryId"] = entry }
        );
        Assert.Equal(40, (await FoodAsync("roach-nymph", "small"))!["onHand"]!.GetValue<double>(), 0.05);
    }

    [Fact]
    public async Task What_the_room_keeps_is_offered_before_what_it_would_have_to_buy()
    {
        var id = await api.AddAsync();
        async Task<string> OfferAsync() =>
            (await api.GetAsync($"/api/stock/{id}"))["meal"]!["value"]!["offer"]!["feederId"]!.GetValue<string>();
        Assert.Equal("roach-nymph", await OfferAsync());
        await LogAsync(Count("cricket", "medium", 20));
        Assert.Equal("cricket", await OfferAsync());
    }

    [Fact]
    public async Task A_culture_is_started_split_chilled_and_thrown_away()
    {
        var (pot, half) = (Guid.NewGuid().ToString(), Guid.NewGuid().ToString());
        await LogAsync(
            Entry(Api.Act("cultureStarted", ("cultureId", pot), ("feederId", "house-fly"), ("pots", 2), ("ageDays", 3)))
        );
        await LogAsync(
            Entry(Api.Act("cultureSplit", ("cultureId", pot), ("newCultureId", half), ("pots", 1), ("intoCold", true)))
        );
        var cultures = (await api.GetAsync("/api/larder"))["cultures"]!.AsArray();
        Assert.Equal(["growing", "cold"], cultures.Select(c => c!["state"]!.GetValue<string>()));
        await LogAsync(Entry(Api.Act("mitesSeen", ("cultureId", pot))));
        var seen = (await api.GetAsync("/api/larder"))["cultures"]!
            .AsArray()
            .Single(c => c!["id"]!.GetValue<string>() == pot)!;
        Assert.NotNull(seen["quarantineUntil"]);
        await LogAsync(Entry(Api.Act("cultureEnded", ("cultureId", pot), ("end", "mites"))));
        Assert.Single((await api.GetAsync("/api/larder"))["cultures"]!.AsArray());
        Api.Refused(
            await api.PostAsync("/api/larder/journal", Entry(Api.Act("mitesSeen", ("cultureId", pot)))),
            "act.cultureId",
            "No such culture"
        );
    }

    [Fact]
    public async Task An_order_is_promised_arrives_and_fills_the_larder()
    {
        var order = Guid.NewGuid().ToString();
        JsonArray Lines(int quantity) =>
            [
                new JsonObject
                {
                    ["itemId"] = "cricket",
                    ["sizeClassId"] = "small",
                    ["quantity"] = quantity,
                },
            ];
        await api.TakeAsync(
            "/api/larder/orders",
            new JsonObject
            {
                ["id"] = Guid.NewGuid().ToString(),
                ["orderId"] = order,
                ["lines"] = Lines(50),
            }
        );
        var open = Assert.Single((await api.GetAsync("/api/larder"))["orders"]!.AsArray())!;
        Assert.False(open["parcel"]!["hasArrived"]!.GetValue<bool>());
        Assert.Equal("on its way", open["parcel"]!["says"]!.GetValue<string>());
        await LogAsync(Entry(Api.Act("orderArrived", ("orderId", order), ("lines", Lines(46)))));
        Assert.Equal(46, (await FoodAsync("cricket", "small"))!["onHand"]!.GetValue<double>(), 0.05);
        Assert.Empty((await api.GetAsync("/api/larder"))["orders"]!.AsArray());
        Api.Refused(
            await api.PostAsync(
                "/api/larder/journal",
                Entry(Api.Act("orderArrived", ("orderId", order), ("lines", Lines(46))))
            ),
            "act.orderId",
            "No such order"
        );
    }

    [Fact]
    public async Task The_same_entry_sent_twice_is_written_once_and_can_be_taken_back()
    {
        var entry = Count("cricket", "small", 30);
        await LogAsync(entry);
        await LogAsync(entry.DeepClone().AsObject());
        var lines = (await api.GetAsync("/api/larder"))["journal"]!.AsArray();
        Assert.Equal("counted 30 small crickets", Assert.Single(lines)!["text"]!.GetValue<string>());
        await LogAsync(Entry(Api.Act("larderWithdrawn", ("entryId", entry["id"]!.GetValue<string>()))));
        Assert.Empty((await api.GetAsync("/api/larder"))["journal"]!.AsArray());
    }

    [Theory]
    [InlineData(
        """{"kind":"foodCounted","food":{"feederId":"moon-cheese","sizeClassId":"small"},"quantity":1}""",
        "act.food.feederId",
        "Known"
    )]
    [InlineData(
        """{"kind":"foodCounted","food":{"feederId":"cricket","sizeClassId":"huge"},"quantity":1}""",
        "act.food.sizeClassId",
        "pinhead"
    )]
    [InlineData(
        """{"kind":"foodCounted","food":{"feederId":"cricket","sizeClassId":"small"},"quantity":-1}""",
        "act.quantity",
        "0 to 1000000"
    )]
    [InlineData(
        """{"kind":"foodLost","food":{"feederId":"cricket","sizeClassId":"small"},"quantity":0}""",
        "act.quantity",
        "1 to 1000000"
    )]
    [InlineData(
        """{"kind":"cultureStarted","cultureId":"00000000-0000-0000-0000-000000000001","feederId":"cricket","pots":1}""",
        "act.feederId",
        "Known"
    )]
    [InlineData(
        """{"kind":"cultureStarted","cultureId":"00000000-0000-0000-0000-000000000001","feederId":"house-fly","pots":0}""",
        "act.pots",
        "1 to 200"
    )]
    [InlineData(
        """{"kind":"cultureStarted","cultureId":"00000000-0000-0000-0000-000000000001","feederId":"house-fly","pots":1,"ageDays":-2}""",
        "act.ageDays",
        "0 to 700"
    )]
    [InlineData("""{"kind":"goodsCounted","goodsId":"gold","quantity":1}""", "act.goodsId", "marine-salt")]
    [InlineData("""{"kind":"goodsCounted","goodsId":"vials","quantity":-0.5}""", "act.quantity", "0 to 1000000")]
    [InlineData(
        """{"kind":"larderWithdrawn","entryId":"00000000-0000-0000-0000-000000000001"}""",
        "act.entryId",
        "No such entry"
    )]
    [InlineData(
        """{"kind":"orderPlaced","orderId":"00000000-0000-0000-0000-000000000001","lines":[],"promisedOn":"2026-12-01"}""",
        "act.kind",
        "/api/larder/orders"
    )]
    public async Task Bad_entries_are_refused_by_field_and_range(string act, string field, string says)
    {
        Api.Refused(await api.PostAsync("/api/larder/journal", Entry(JsonNode.Parse(act)!.AsObject())), field, says);
        Assert.Empty((await api.GetAsync("/api/larder"))["journal"]!.AsArray());
    }

    [Theory]
    [InlineData(
        "POST",
        "/api/larder/orders",
        """{"id":"00000000-0000-0000-0000-000000000005","orderId":"00000000-0000-0000-0000-000000000001","lines":[null]}""",
        "lines[0]"
    )]
    [InlineData(
        "POST",
        "/api/larder/journal",
        """{"id":"00000000-0000-0000-0000-000000000005","act":{"kind":"orderArrived","orderId":"00000000-0000-0000-0000-000000000001","lines":[null]}}""",
        "act.lines[0]"
    )]
    [InlineData(
        "PUT",
        "/api/feeders/ab",
        """{"name":"ab","plural":"abs","fatty":false,"canBeCut":true,"traits":[],"keepsDays":5,"serving":"x","classes":[null]}""",
        "classes[0]"
    )]
    public async Task Holes_in_lists_are_named(string method, string path, string body, string field) =>
        Api.Refused(await api.SendAsync(new HttpMethod(method), path, body), field, "Is missing");

    [Theory]
    [InlineData("cricket", "small", 30, "lines[0].quantity", "multiple")]
    [InlineData("cut-fruit", "one", 10, "lines[0].itemId", "does not sell")]
    public async Task The_supplier_says_what_it_does_not_send(
        string item,
        string size,
        int quantity,
        string field,
        string says
    ) =>
        Api.Refused(
            await api.PostAsync(
                "/api/larder/orders",
                new JsonObject
                {
                    ["id"] = Guid.NewGuid().ToString(),
                    ["orderId"] = Guid.NewGuid().ToString(),
                    ["lines"] = new JsonArray
                    {
                        new JsonObject
                        {
                            ["itemId"] = item,
                            ["sizeClassId"] = size,
                            ["quantity"] = quantity,
                        },
                    },
                }
            ),
            field,
            says
        );

    [Fact]
    public async Task A_feeder_of_ones_own_is_sized_offered_and_can_be_logged()
    {
        var id = await api.AddAsync();
        var own = new JsonObject
        {
            ["name"] = "shed cricket",
            ["plural"] = "shed crickets",
            ["fatty"] = false,
            ["canBeCut"] = true,
            ["traits"] = new JsonArray("jumps"),
            ["keepsDays"] = 20,
            ["serving"] = "One at a time.",
            ["classes"] = new JsonArray(
                new JsonObject
                {
                    ["name"] = "",
                    ["fromMm"] = 8,
                    ["toMm"] = 11,
                }
            ),
        };
        var (status, _) = await api.SendAsync(HttpMethod.Put, "/api/feeders/shed-cricket", own.ToJsonString());
        Assert.Equal(HttpStatusCode.OK, status);
        var animal = await api.LogAsync(id, Api.Offer("eaten", "shed-cricket", "one"));
        Assert.Contains(
            animal["prey"]!["value"]!["options"]!.AsArray(),
            o => o!["feederId"]!.GetValue<string>() == "shed-cricket" && o["verdict"]!.GetValue<string>() == "fits"
        );
        own["classes"]![0]!["toMm"] = 4;
        Api.Refused(
            await api.SendAsync(HttpMethod.Put, "/api/feeders/shed-cricket", own.ToJsonString()),
            "classes[0].fromMm",
            "300 mm"
        );
        Api.Refused(
            await api.SendAsync(
                HttpMethod.Put,
                "/api/feeders/cricket",
                own.ToJsonString().Replace("\"toMm\":4", "\"toMm\":12", StringComparison.Ordinal)
            ),
            "id",
            "shipped catalogue"
        );
    }

    [Fact]
    public async Task The_shopping_list_is_csv_that_a_general_library_reads()
    {
        await api.AddAsync();
        // Nothing is asked for before a first count.
        await api.PostAsync("/api/larder/journal", Count("cricket", "small", 0));
        using var http = app.CreateClient();
        using var reader = new StringReader(
            Encoding.UTF8.GetString(await http.GetByteArrayAsync(new Uri("/api/larder/shopping.csv", UriKind.Relative)))
        );
        using var csv = new CsvReader(reader, CultureInfo.InvariantCulture);
        var lines = csv.GetRecords<Larder.ShoppingLine>().ToList();
        Assert.NotEmpty(lines);
        Assert.All(lines, l => Assert.True(DateOnly.TryParseExact(l.By, "yyyy-MM-dd", out _) && l.Amount > 0));
        Assert.Equal(lines.Select(l => l.By).Order(StringComparer.Ordinal), lines.Select(l => l.By));
    }
}
