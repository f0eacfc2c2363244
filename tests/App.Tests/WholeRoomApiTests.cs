using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;
using Ical.Net;
using Ical.Net.CalendarComponents;

namespace App.Tests;

/// <summary>Rounds of other nights, batches, chores, the almanac and the live stream through the API.</summary>
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
        Assert.Contains(
            Assert.Single(ahead["lines"]!.AsArray())!["care"]!.AsArray(),
            care => care!["what"]!.GetValue<string>() == "meal" && !care["again"]!.GetValue<bool>()
        );
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

        Assert.Equal("anything", (await NextAsync())["topic"]!.GetValue<string>());
        await api.LogAsync(id, Water());
        var told = await NextAsync();
        Assert.Equal("journal", told["topic"]!.GetValue<string>());
        Assert.Equal(id, told["stock"]![0]!.GetValue<string>());
        var settings = await api.GetAsync("/api/settings");
        settings["settings"]!["cadence"] = "lean";
        await api.SendAsync(HttpMethod.Put, "/api/settings", settings.ToJsonString());
        Assert.Equal("settings", (await NextAsync())["topic"]!.GetValue<string>());
        await api.TakeAsync("/api/climate", new JsonObject { ["temperatureC"] = 24 });
        Assert.Equal("climate", (await NextAsync())["topic"]!.GetValue<string>());
        var own = JsonNode.Parse(
            """{"name":"moth larva","plural":"moth larvae","fatty":true,"canBeCut":false,"traits":[],"keepsDays":30,"serving":"","classes":[{"name":"","fromMm":8,"toMm":15}]}"""
        )!;
        await api.SendAsync(HttpMethod.Put, "/api/feeders/moth-larva", own.ToJsonString());
        Assert.Equal("rules", (await NextAsync())["topic"]!.GetValue<string>());
    }
}
