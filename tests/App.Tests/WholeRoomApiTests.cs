using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;
using Ical.Net;
using Ical.Net.CalendarComponents;
using UglyToad.PdfPig;

namespace App.Tests;

/// <summary>Rounds of other nights, batches, shelves, lists, chores, almanac and paper through the API.</summary>
public sealed class WholeRoomApiTests : IDisposable
{
    private readonly LanternFactory app = new();
    private readonly Api api;

    public WholeRoomApiTests() => api = new Api(app);

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

    private static JsonObject Batch(string? night, params (string StockId, JsonObject Act)[] entries) =>
        new()
        {
            ["night"] = night,
            ["entries"] = new JsonArray([
                .. entries.Select(e => new JsonObject
                {
                    ["stockId"] = e.StockId,
                    ["id"] = Guid.NewGuid().ToString(),
                    ["act"] = e.Act,
                }),
            ]),
        };

    private static JsonObject Water() => Api.Act("watered", ("water", "dish"));

    [Fact]
    public async Task A_batch_is_on_the_round_of_its_night_and_in_its_summary()
    {
        var (a, b) = (await api.AddAsync(), await api.AddAsync(Api.New("A1·04", Api.Details("Moss"))));
        await api.TakeAsync("/api/journal/batch", Batch("2026-11-21", (a, Water()), (b, Api.Offer("battedAway"))));
        var past = await api.GetAsync("/api/round/past/2026-11-21");
        Assert.Equal(2, past["done"]!.AsArray().Count);
        Assert.Equal(1, past["summary"]!["refused"]!.GetValue<int>());
        Assert.Equal("Moss", past["summary"]!["tomorrow"]![0]!["name"]!.GetValue<string>());
        Assert.Empty((await api.GetAsync("/api/round/past/2026-11-20"))["done"]!.AsArray());
        Assert.Empty((await api.GetAsync("/api/round"))["done"]!.AsArray());
    }

    [Fact]
    public async Task What_was_taken_back_later_is_gone_from_its_night()
    {
        var id = await api.AddAsync();
        var batch = Batch("2026-11-21", (id, Water()));
        await api.TakeAsync("/api/journal/batch", batch);
        var entry = batch["entries"]![0]!["id"]!.GetValue<string>();
        await api.TakeAsync("/api/journal/batch", Batch(null, (id, Api.Act("withdrawn", ("entryId", entry)))));
        Assert.Empty((await api.GetAsync("/api/round/past/2026-11-21"))["done"]!.AsArray());
    }

    [Fact]
    public async Task A_batch_with_one_bad_entry_says_which_and_writes_nothing()
    {
        var id = await api.AddAsync();
        var bad = Api.Act("signSeen", ("signId", "no-such-sign"));
        Api.Refused(
            await api.PostAsync("/api/journal/batch", Batch(null, (id, Water()), (id, bad))),
            "entries[1].act.signId",
            "Known"
        );
        Assert.Empty((await api.GetAsync("/api/round"))["done"]!.AsArray());
        Api.Refused(await api.PostAsync("/api/journal/batch", Batch(null)), "entries", "1 to 5000");
        Api.Refused(await api.PostAsync("/api/journal/batch", Batch("2027-01-01", (id, Water()))), "night", "tonight");
        var (status, _) = await api.PostAsync("/api/journal/batch", Batch(null, (Guid.NewGuid().ToString(), Water())));
        Assert.Equal(HttpStatusCode.NotFound, status);
    }

    [Fact]
    public async Task A_night_ahead_shows_what_will_be_due()
    {
        var id = await api.AddAsync();
        await api.LogAsync(id, Api.Offer("eaten"));
        var due = (await api.GetAsync($"/api/stock/{id}"))["meal"]!["value"]!["due"]!.GetValue<string>();
        var ahead = await api.GetAsync($"/api/round/ahead/{due}");
        Assert.True(Assert.Single(ahead["lines"]!.AsArray())!["meal"]!.GetValue<bool>());
        Api.Refused(await api.SendAsync(HttpMethod.Get, "/api/round/ahead/2026-11-23"), "night", "after tonight");
        Api.Refused(await api.SendAsync(HttpMethod.Get, "/api/round/past/2026-11-24"), "night", "tonight");
    }

    [Fact]
    public async Task The_round_says_where_it_was_left_after_a_break()
    {
        var (a, _) = (await api.AddAsync(), await api.AddAsync(Api.New("A1·04", Api.Details("Moss"))));
        await api.LogAsync(a, Water());
        Assert.Null((await api.GetAsync("/api/round"))["left"]);
        app.Clock.Advance(TimeSpan.FromMinutes(25));
        Assert.Equal("A1·03", (await api.GetAsync("/api/round"))["left"]!["place"]!.GetValue<string>());
    }

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
        (status, _) = await api.SendAsync(HttpMethod.Put, "/api/shelves/layout", Layout(0).ToJsonString());
        Assert.Equal(HttpStatusCode.Conflict, status);
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
        await api.LogAsync(id, Housed(width: 100));
        var plan = await api.GetAsync("/api/shelves/rehousing");
        var need = Assert.Single(plan["needs"]!.AsArray())!;
        Assert.StartsWith(
            "Too narrow: 140 mm, needs 180 mm",
            need["why"]!.GetValue<string>(),
            StringComparison.Ordinal
        );
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
    [InlineData("stage=egg", "stage", "sling")]
    [InlineData("sex=both", "sex", "female")]
    [InlineData("show=all", "show", "hushed")]
    [InlineData("here=perhaps", "here", "Cannot be read")]
    public async Task A_list_that_cannot_be_is_refused_by_field(string query, string field, string says) =>
        Api.Refused(await api.SendAsync(HttpMethod.Get, $"/api/stock?{query}"), field, says);

    [Fact]
    public async Task A_chore_stands_on_the_round_until_it_is_done_and_in_the_almanac_after()
    {
        var chore = Guid.NewGuid().ToString();
        JsonObject Entry(JsonObject act) => new() { ["id"] = Guid.NewGuid().ToString(), ["act"] = act };
        var plan = new JsonObject
        {
            ["kind"] = "cleaning",
            ["title"] = "Wipe the fronts",
            ["where"] = "A1",
            ["starts"] = "2026-11-23",
            ["everyDays"] = 7,
            ["season"] = null,
            ["kit"] = "cloth",
            ["minutes"] = 15,
        };
        await api.TakeAsync("/api/chores/journal", Entry(Api.Act("chorePlanned", ("choreId", chore), ("plan", plan))));
        Assert.False((await api.GetAsync("/api/round"))["chores"]![0]!["doneTonight"]!.GetValue<bool>());
        await api.TakeAsync(
            "/api/chores/journal",
            Entry(Api.Act("choreDone", ("choreId", chore), ("night", "2026-11-23"), ("note", "")))
        );
        Assert.True((await api.GetAsync("/api/round"))["chores"]![0]!["doneTonight"]!.GetValue<bool>());
        var bands = (await api.GetAsync("/api/almanac"))["plan"]!["bands"]!.AsArray();
        Assert.Equal("2026-11-30", bands[0]!["from"]!.GetValue<string>());
        Api.Refused(
            await api.PostAsync(
                "/api/chores/journal",
                Entry(
                    Api.Act("choreDone", ("choreId", Guid.NewGuid().ToString()), ("night", "2026-11-23"), ("note", ""))
                )
            ),
            "act.choreId",
            "no such chore"
        );
    }

    /// <summary>Outside check: the calendar is read back by a general iCalendar library; RFC 5545 for what it must hold.</summary>
    [Fact]
    public async Task The_feed_is_read_by_any_calendar_and_strikes_what_has_ended()
    {
        var id = await api.AddAsync();
        await api.LogAsync(id, Api.Act("molted"), foundOn: "2026-08-01");
        using var http = app.CreateClient();
        Assert.Equal(HttpStatusCode.NotFound, (await http.GetAsync("/calendar/guess.ics")).StatusCode);
        var path = (await api.TakeAsync("/api/almanac/feed", new JsonObject()))["path"]!.GetValue<string>();
        async Task<IReadOnlyList<CalendarEvent>> EventsAsync()
        {
            using var answer = await http.GetAsync(path);
            Assert.Equal("text/calendar", answer.Content.Headers.ContentType!.MediaType);
            return [.. Calendar.Load(await answer.Content.ReadAsStringAsync())!.Events];
        }

        var before = (await EventsAsync()).Single(e => e.Status == "CONFIRMED");
        Assert.False(before.Start!.HasTime);
        var molt = (await api.GetAsync($"/api/stock/{id}"))["molt"]!["value"]!;
        Assert.Equal(molt["p10"]!.GetValue<string>(), before.Start.Date.ToString("yyyy-MM-dd"));
        // RFC 5545 3.6.1: the end of an all-day event is exclusive.
        Assert.Equal(
            DateOnly.Parse(molt["p90"]!.GetValue<string>()).AddDays(1).ToString("yyyy-MM-dd"),
            before.End!.Date.ToString("yyyy-MM-dd")
        );
        app.Clock.Advance(TimeSpan.FromDays(1));
        Assert.Equal(before.Uid, (await EventsAsync()).Single(e => e.Status == "CONFIRMED").Uid);
        await api.LogAsync(id, Api.Act("molted"));
        var after = await EventsAsync();
        var struck = after.Single(e => e.Uid == before.Uid);
        Assert.Equal("CANCELLED", struck.Status);
        Assert.True(struck.Sequence > before.Sequence);
        Assert.Equal(after.Count, after.Select(e => e.Uid).Distinct().Count());
        var renewed = (await api.TakeAsync("/api/almanac/feed", new JsonObject()))["path"]!.GetValue<string>();
        Assert.NotEqual(path, renewed);
        Assert.Equal(HttpStatusCode.NotFound, (await http.GetAsync(path)).StatusCode);
        await api.SendAsync(HttpMethod.Delete, "/api/almanac/feed");
        Assert.Equal(HttpStatusCode.NotFound, (await http.GetAsync(renewed)).StatusCode);
    }

    /// <summary>Outside check: the PDF is opened by a general library.</summary>
    [Fact]
    public async Task Labels_come_as_a_PDF_with_the_first_places_left_out()
    {
        var ids = new List<string>();
        for (var k = 1; k <= 5; k++)
        {
            ids.Add(await api.AddAsync(Api.New($"A1·{k:00}", Api.Details($"Łódź {k}"))));
        }

        var body = new JsonObject
        {
            ["stockIds"] = new JsonArray([.. ids.Select(i => JsonValue.Create(i))]),
            ["format"] = "a4-24",
            ["skip"] = 22,
        };
        using var http = app.CreateClient();
        using var answer = await http.PostAsync(
            "/api/labels/pdf",
            new StringContent(body.ToJsonString(), System.Text.Encoding.UTF8, "application/json")
        );
        using var pdf = PdfDocument.Open(await answer.Content.ReadAsByteArrayAsync());
        // Two on the rest of the first sheet, three on the second; A4 in points by ISO 216.
        Assert.Equal(2, pdf.NumberOfPages);
        Assert.Equal(595.28, pdf.GetPage(1).Width, 0.5);
        Assert.Equal(841.89, pdf.GetPage(1).Height, 0.5);
        Assert.Equal(2, pdf.GetPage(1).GetImages().Count());
        Assert.Equal(3, pdf.GetPage(2).GetImages().Count());
        var text = string.Concat(pdf.GetPage(1).Letters.Select(l => l.Value));
        Assert.Contains("A1·02", text, StringComparison.Ordinal);
        Assert.Contains("Łódź", text, StringComparison.Ordinal);
        body["skip"] = 24;
        Api.Refused(await api.PostAsync("/api/labels/pdf", body), "skip", "0 to 23");
        body["format"] = "a3";
        Api.Refused(await api.PostAsync("/api/labels/pdf", body), "format", "a4-24");
    }

    [Fact]
    public async Task The_printer_prints_what_fits_on_its_roll_and_keeps_it()
    {
        var id = await api.AddAsync();
        JsonObject Print(string format) => new() { ["stockIds"] = new JsonArray(id), ["format"] = format };
        Api.Refused(await api.PostAsync("/api/labels/print", Print("roll-50-30")), "format", "no roll");
        await api.TakeAsync("/api/labels/roll", new JsonObject { ["format"] = "roll-50-30" });
        Api.Refused(await api.PostAsync("/api/labels/print", Print("roll-62-29")), "format", "another size");
        Api.Refused(await api.PostAsync("/api/labels/print", Print("a4-24")), "format", "takes rolls");
        var printer = await api.TakeAsync("/api/labels/print", Print("roll-50-30"));
        Assert.Equal(249, printer["roll"]!["left"]!.GetValue<int>());
        Assert.Equal("A1·03 Tansy", printer["printed"]![0]!["title"]!.GetValue<string>());
        using var http = app.CreateClient();
        var png = await http.GetByteArrayAsync("/api/labels/printed/1");
        Assert.Equal("89504E47", Convert.ToHexString(png.AsSpan(0, 4)));
        Assert.Equal(HttpStatusCode.NotFound, (await http.GetAsync("/api/labels/printed/2")).StatusCode);
    }

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

    [Fact]
    public async Task Everything_that_ships_and_is_the_work_of_others_is_named()
    {
        var named = (await api.GetAsync("/api/about"))["notices"]!
            .AsArray()
            .Select(n => n!["name"]!.GetValue<string>())
            .ToHashSet();
        var client = JsonNode.Parse(
            await File.ReadAllTextAsync(Path.Combine(LanternFactory.Root, "client", "package.json"))
        )!;
        Assert.All(client["dependencies"]!.AsObject().Select(d => d.Key), d => Assert.Contains(d, named));
        var server = JsonNode.Parse(
            await File.ReadAllTextAsync(Path.Combine(LanternFactory.Root, "src", "App", "packages.lock.json"))
        )!;
        var direct = server["dependencies"]!["net10.0"]!
            .AsObject()
            .Where(p => p.Value!["type"]!.GetValue<string>() == "Direct")
            .Select(p => p.Key)
            .Where(p => p != "Microsoft.Extensions.ApiDescription.Server");
        Assert.All(direct, d => Assert.Contains(d, named));
    }

    [Fact]
    public async Task Every_open_screen_is_told_what_was_written()
    {
        var id = await api.AddAsync();
        using var http = app.CreateClient();
        using var stream = await http.GetStreamAsync("/api/live");
        using var reader = new StreamReader(stream);
        async Task<JsonNode> NextAsync()
        {
            while (true)
            {
                var line = await reader.ReadLineAsync(TestContext.Current.CancellationToken);
                if (line?.StartsWith("data: ", StringComparison.Ordinal) == true)
                {
                    return JsonNode.Parse(line[6..])!;
                }
            }
        }

        Assert.Equal("all", (await NextAsync())["what"]!.GetValue<string>());
        await api.LogAsync(id, Water());
        var told = await NextAsync();
        Assert.Equal("journal", told["what"]!.GetValue<string>());
        Assert.Equal(id, told["stock"]![0]!.GetValue<string>());
    }
}
