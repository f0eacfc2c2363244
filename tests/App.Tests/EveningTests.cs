using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>An evening through the API: adding, logging, judging, undoing.</summary>
public sealed class EveningTests : IDisposable
{
    private readonly LanternFactory app = new();
    private readonly Api api;

    public EveningTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    [Fact]
    public async Task An_animal_that_is_added_stands_on_the_round_with_its_meal()
    {
        var id = await api.AddAsync();
        var round = await api.GetAsync("/api/round");
        var line = Assert.Single(round["lines"]!.AsArray())!;
        Assert.Equal(id, line["stockId"]!.GetValue<string>());
        Assert.Equal("A1·03", line["place"]!.GetValue<string>());
        Assert.Equal("feed", line["act"]!.GetValue<string>());
        Assert.Null(line["why"]);
        Assert.NotEmpty((await api.GetAsync($"/api/stock/{id}/why"))["reasons"]!.AsArray());
        Assert.Equal(0, round["progress"]!["done"]!.GetValue<int>());
    }

    [Fact]
    public async Task Feeding_and_watering_finish_the_line_and_undo_brings_it_back()
    {
        var id = await api.AddAsync();
        await api.LogAsync(id, Api.Offer("eaten"));
        await api.LogAsync(id, Api.Act("watered", ("water", "dish")));
        var round = await api.GetAsync("/api/round");
        Assert.Empty(round["lines"]!.AsArray());
        var done = Assert.Single(round["done"]!.AsArray())!;
        Assert.Equal("took 1 small roach nymph, dish filled", done["text"]!.GetValue<string>());
        var undo = new JsonObject
        {
            ["id"] = Guid.NewGuid().ToString(),
            ["entryId"] = done["entryId"]!.GetValue<string>(),
        };
        await api.TakeAsync($"/api/stock/{id}/journal/undo", undo);
        Assert.Equal("water", (await api.GetAsync("/api/round"))["lines"]![0]!["act"]!.GetValue<string>());
    }

    [Fact]
    public async Task Signs_change_the_phase_and_hush_food()
    {
        var id = await api.AddAsync();
        await api.LogAsync(id, Api.Act("signSeen", ("signId", "sluggish")));
        var animal = await api.LogAsync(id, Api.Act("signSeen", ("signId", "dark-under-hair")));
        Assert.Equal("likely premolt", animal["phaseWord"]!.GetValue<string>());
        var food = animal["hush"]!.AsArray().Single(h => h!["act"]!.GetValue<string>() == "feedLive")!;
        Assert.Equal("never", food["verdict"]!.GetValue<string>());
        Assert.NotEmpty(food["contributors"]!.AsArray());
        Assert.NotNull(food["until"]);
    }

    [Fact]
    public async Task A_molt_found_later_hardens_from_the_latest_date()
    {
        var id = await api.AddAsync();
        var animal = await api.LogAsync(id, Api.Act("molted"), foundOn: "2026-11-22", lastSeenBefore: "2026-11-18");
        Assert.Equal("hardening", animal["phaseWord"]!.GetValue<string>());
        Assert.Equal("2026-11-29", animal["firstMeal"]!["value"]!["night"]!.GetValue<string>());
        var line = animal["journal"]!.AsArray().Single(l => l!["act"]!["kind"]!.GetValue<string>() == "molted")!;
        Assert.Equal("2026-11-18", line["notBefore"]!.GetValue<string>());
    }

    [Fact]
    public async Task A_correction_keeps_what_it_corrects_struck_through()
    {
        var id = await api.AddAsync(Api.New(legSpanMm: null));
        var wrong = await api.LogAsync(id, Api.Act("measured", ("part", "legSpan"), ("lengthMm", 200)));
        var entry = wrong["journal"]![0]!["id"]!.GetValue<string>();
        var right = await api.LogAsync(id, Api.Act("measured", ("part", "legSpan"), ("lengthMm", 50)), corrects: entry);
        Assert.Equal(50, right["size"]!["value"]!["sizeMm"]!.GetValue<double>());
        var former = right["journal"]!.AsArray().Single(l => l!["id"]!.GetValue<string>() == entry)!;
        Assert.NotNull(former["struckBy"]);
    }

    [Fact]
    public async Task The_same_post_twice_is_written_once_and_answers_alike()
    {
        var id = await api.AddAsync();
        var body = Api.Log(Api.Offer("eaten"));
        var first = await api.TakeAsync($"/api/stock/{id}/journal", body);
        var second = await api.TakeAsync($"/api/stock/{id}/journal", body.DeepClone());
        Assert.Equal(first["journal"]!.AsArray().Count, second["journal"]!.AsArray().Count);
        var add = Api.New("B1·01");
        await api.TakeAsync("/api/stock", add);
        await api.TakeAsync("/api/stock", add.DeepClone());
        Assert.Equal(2, (await api.StockAsync()).Count);
    }

    [Fact]
    public async Task Leaving_keeps_the_whole_history()
    {
        var id = await api.AddAsync();
        await api.LogAsync(id, Api.Offer("eaten"));
        var left = await api.LogAsync(id, Api.Act("departed", ("departure", "died"), ("remark", "old age")));
        Assert.Equal("died", left["departure"]!["kind"]!.GetValue<string>());
        Assert.Empty(await api.StockAsync());
        Assert.Single(await api.StockAsync("&here=false"));
        Assert.Empty((await api.GetAsync("/api/round"))["lines"]!.AsArray());
        Assert.Equal(4, (await api.GetAsync($"/api/stock/{id}"))["journal"]!.AsArray().Count);
    }

    [Fact]
    public async Task Changing_details_moves_the_animal_and_guards_against_stale_versions()
    {
        var id = await api.AddAsync();
        var version = (await api.GetAsync($"/api/stock/{id}"))["version"]!.GetValue<long>();
        JsonObject Change(string name) =>
            new()
            {
                ["entryId"] = Guid.NewGuid().ToString(),
                ["version"] = version,
                ["details"] = Api.Details(name),
                ["place"] = "B2·07",
            };
        var (status, changed) = await api.SendAsync(
            HttpMethod.Put,
            $"/api/stock/{id}",
            Change("Thistle").ToJsonString()
        );
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal("B2·07", changed!["place"]!.GetValue<string>());
        var (late, problem) = await api.SendAsync(HttpMethod.Put, $"/api/stock/{id}", Change("Late").ToJsonString());
        Assert.Equal(HttpStatusCode.Conflict, late);
        Assert.Equal("version", problem!["field"]!.GetValue<string>());
    }

    [Fact]
    public async Task Details_cannot_be_changed_against_the_molts_on_record()
    {
        var id = await api.AddAsync();
        await api.LogAsync(id, Api.Act("molted"), foundOn: "2026-05-01");
        var version = (await api.GetAsync($"/api/stock/{id}"))["version"]!.GetValue<long>();
        var details = Api.Details();
        details["acquiredOn"] = "2026-06-01";
        details["hatchedOn"] = "2026-05-20";
        var change = new JsonObject
        {
            ["entryId"] = Guid.NewGuid().ToString(),
            ["version"] = version,
            ["details"] = details,
            ["place"] = "A1·03",
        };
        Api.Refused(
            await api.SendAsync(HttpMethod.Put, $"/api/stock/{id}", change.ToJsonString()),
            "details.hatchedOn",
            "first molt"
        );
    }

    // Handbook, molting: a molt from before it came is history like any other and starts the clocks.
    [Fact]
    public async Task A_bought_animal_brings_its_molt_and_its_last_meal_with_it()
    {
        var body = Api.New();
        body["details"]!["acquiredOn"] = "2026-11-20";
        body["details"]!["moltsAtArrival"] = 5;
        body["lastMoltOn"] = "2026-10-01";
        var id = await api.AddAsync(body);
        await api.LogAsync(id, Api.Offer("eaten", "cricket"), foundOn: "2026-11-10");
        var animal = await api.GetAsync($"/api/stock/{id}");
        Assert.Equal("2026-10-01", animal["lastMolt"]!.GetValue<string>());
        Assert.Equal("2026-11-10", animal["meal"]!["value"]!["lastMeal"]!.GetValue<string>());
        // The molt is one of the five that it had behind it, not a sixth.
        Assert.Equal("i6", animal["instar"]!.GetValue<string>());
        Api.Refused(
            await api.PostAsync(
                $"/api/stock/{id}/journal",
                Api.Log(Api.Act("watered", ("water", "dish")), "2026-11-10", null)
            ),
            "when.to",
            "before the day it came"
        );
    }

    [Fact]
    public async Task A_leftover_comes_first_next_evening_and_the_wick_goes_out_when_it_is_out()
    {
        var id = await api.AddAsync();
        await api.LogAsync(id, Api.Offer("notSeen", "cricket"));
        app.Clock.Advance(TimeSpan.FromHours(22));
        var line = (await api.GetAsync("/api/round"))["lines"]![0]!;
        Assert.Equal("removeLeftovers", line["act"]!.GetValue<string>());
        Assert.Contains("in for 22 h", line["do"]!.GetValue<string>(), StringComparison.Ordinal);
        await api.LogAsync(id, Api.Act("leftoversRemoved"));
        Assert.NotEqual("removeLeftovers", (await api.GetAsync("/api/round"))["lines"]![0]!["act"]!.GetValue<string>());
    }

    [Fact]
    public async Task Prey_that_was_taken_after_all_is_one_offer_and_one_meal()
    {
        var id = await api.AddAsync();
        await api.LogAsync(id, Api.Offer("notSeen", "cricket"));
        app.Clock.Advance(TimeSpan.FromHours(22));
        var prey = (await api.GetAsync("/api/round"))["lines"]![0]!["preyIn"]!;
        var animal = await api.LogAsync(
            id,
            Api.Offer("takenLater", "cricket"),
            corrects: prey["entryId"]!.GetValue<string>()
        );
        Assert.Null(animal["leftover"]!["value"]);
        Assert.Equal("2026-11-24", animal["meal"]!["value"]!["lastMeal"]!.GetValue<string>());
        Assert.Single(animal["lifeline"]!["meals"]!.AsArray());
        Assert.Empty(animal["lifeline"]!["refusals"]!.AsArray());
    }

    [Fact]
    public async Task A_correction_without_a_date_keeps_the_former_one()
    {
        var id = await api.AddAsync();
        var logged = await api.LogAsync(id, Api.Act("molted"), foundOn: "2026-11-10");
        string Molt(System.Text.Json.Nodes.JsonNode a, string field) =>
            a["journal"]!
                .AsArray()
                .First(l => l!["act"]!["kind"]!.GetValue<string>() == "molted" && l["struckBy"] is null)![
                field
            ]!.GetValue<string>();
        var corrected = await api.LogAsync(id, Api.Act("molted", ("mismolt", true)), corrects: Molt(logged, "id"));
        Assert.Equal("2026-11-10", Molt(corrected, "night"));
        Assert.Equal("molted, a mismolt", Molt(corrected, "text"));
    }

    [Fact]
    public async Task Instants_are_told_as_the_clock_of_the_room_shows_them()
    {
        var settings = await api.GetAsync("/api/settings");
        settings["settings"]!["zoneId"] = "Australia/Adelaide";
        await api.SendAsync(HttpMethod.Put, "/api/settings", settings.ToJsonString());
        var id = await api.AddAsync();
        var animal = await api.LogAsync(id, Api.Act("looked"));
        // 20:30 UTC is 07:00 of the next day in Adelaide, by its summer time; of the tz database.
        Assert.Equal("2026-11-24T07:00:00+10:30", animal["journal"]![0]!["at"]!.GetValue<string>());
    }

    [Fact]
    public async Task A_round_goes_on_behind_the_enclosure_at_which_it_was_left()
    {
        string[] places = ["A1·03", "A1·04", "A2·01"];
        var ids = new List<string>();
        foreach (var place in places)
        {
            ids.Add(await api.AddAsync(Api.New(place, Api.Details($"Moss {place[^1]}"))));
        }

        await api.LogAsync(ids[1], Api.Offer("eaten"));
        await api.LogAsync(ids[1], Api.Act("watered", ("water", "dish")));
        app.Clock.Advance(TimeSpan.FromMinutes(20));
        var left = (await api.GetAsync("/api/round"))["left"]!;
        Assert.Equal(("A1·04", ids[2]), (left["place"]!.GetValue<string>(), left["goOnAt"]!.GetValue<string>()));
        // At the end of the walk it begins again with the first that is left.
        await api.LogAsync(ids[2], Api.Offer("eaten"));
        await api.LogAsync(ids[2], Api.Act("watered", ("water", "dish")));
        app.Clock.Advance(TimeSpan.FromMinutes(20));
        left = (await api.GetAsync("/api/round"))["left"]!;
        Assert.Equal(("A2·01", ids[0]), (left["place"]!.GetValue<string>(), left["goOnAt"]!.GetValue<string>()));
    }

    [Fact]
    public async Task Schools_set_for_the_room_change_what_is_due()
    {
        var id = await api.AddAsync();
        await api.LogAsync(id, Api.Offer("eaten"), foundOn: "2026-11-15");
        await api.LogAsync(id, Api.Act("watered", ("water", "dish")));
        Assert.Equal("feed", (await api.GetAsync("/api/round"))["lines"]![0]!["act"]!.GetValue<string>());
        var settings = await api.GetAsync("/api/settings");
        settings["settings"]!["cadence"] = "lean";
        var (status, _) = await api.SendAsync(HttpMethod.Put, "/api/settings", settings.ToJsonString());
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Empty((await api.GetAsync("/api/round"))["lines"]!.AsArray());
        settings["settings"]!["cadence"] = "often";
        var (stale, _) = await api.SendAsync(HttpMethod.Put, "/api/settings", settings.ToJsonString());
        Assert.Equal(HttpStatusCode.Conflict, stale);
    }

    [Fact]
    public async Task The_nightline_shows_the_next_molt_as_a_band()
    {
        var id = await api.AddAsync();
        await api.LogAsync(id, Api.Act("molted"), foundOn: "2026-09-01");
        var band = Assert.Single((await api.GetAsync("/api/nightline"))["bands"]!.AsArray())!;
        string At(string end) => band[end]!.GetValue<string>();
        Assert.True(
            string.CompareOrdinal(At("from"), At("likely")) <= 0 && string.CompareOrdinal(At("likely"), At("to")) <= 0
        );
        Assert.True(string.CompareOrdinal(At("from"), "2026-11-23") >= 0);
    }

    [Fact]
    public async Task Another_species_of_the_group_can_be_kept()
    {
        var details = Api.Details();
        details["speciesId"] = null;
        details["otherSpecies"] = "Nova incognita";
        var id = await api.AddAsync(Api.New(details: details));
        var animal = await api.GetAsync($"/api/stock/{id}");
        Assert.Equal("Nova incognita", animal["species"]!.GetValue<string>());
        Assert.NotNull(animal["molt"]!["value"]);
    }

    [Fact]
    public async Task Health_and_the_open_document_are_there()
    {
        Assert.Equal("well", (await api.GetAsync("/api/health"))["status"]!.GetValue<string>());
        var paths = (await api.GetAsync("/api/openapi.json"))["paths"]!.AsObject().Select(p => p.Key).ToList();
        Assert.Contains("/api/calc/growth-fit", paths);
        Assert.Contains("/api/calc/vigil", paths);
        Assert.Contains("/api/calc/prey", paths);
    }

    [Fact]
    public async Task Pages_carry_a_strict_policy_and_foreign_host_names_are_turned_away()
    {
        using var http = app.CreateClient();
        using var answer = await http.GetAsync(new Uri("/api/health", UriKind.Relative));
        var policy = Assert.Single(answer.Headers.GetValues("Content-Security-Policy"));
        Assert.Contains("default-src 'self'", policy, StringComparison.Ordinal);
        using var request = new HttpRequestMessage(HttpMethod.Get, "/api/health");
        request.Headers.Host = "rebound.example";
        using var foreign = await http.SendAsync(request);
        Assert.Equal(HttpStatusCode.BadRequest, foreign.StatusCode);
    }
}
