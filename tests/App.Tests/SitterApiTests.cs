using System.Globalization;
using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>What a sitter's link opens, what it does not, and what comes back by it.</summary>
public sealed class SitterApiTests : NetworkRoom
{
    private static JsonObject Link(string from = "2026-11-23", string to = "2026-11-25", bool twoPeople = false) =>
        new()
        {
            ["name"] = "Ann",
            ["from"] = from,
            ["to"] = to,
            ["twoPeople"] = twoPeople,
            ["contacts"] = "555 0101",
            ["note"] = "",
        };

    private static async Task<string> LinkAsync(Visitor owner, JsonObject? link = null)
    {
        var (status, made) = await owner.SendAsync(HttpMethod.Post, "/api/sitter-links", link ?? Link());
        Assert.Equal(HttpStatusCode.OK, status);
        return "/api" + made!["path"]!.GetValue<string>();
    }

    private static JsonObject Tick(string stockId, string tick, string remark = "") =>
        new()
        {
            ["id"] = Guid.NewGuid().ToString(),
            ["stockId"] = stockId,
            ["tick"] = tick,
            ["remark"] = remark,
        };

    [Fact]
    public async Task A_link_for_the_end_of_time_is_refused()
    {
        using var owner = await OwnerAsync();
        Api.Refused(
            await owner.SendAsync(HttpMethod.Post, "/api/sitter-links", Link("2199-12-31", "2199-12-31")),
            "from",
            "within 730 nights"
        );
        Api.Refused(
            await owner.SendAsync(HttpMethod.Post, "/api/sitter-links", Link("9999-12-31", "9999-12-31")),
            "from",
            "1900 and 2200"
        );
    }

    [Fact]
    public async Task A_sitter_is_told_of_alarms_of_the_air_that_a_gateway_brings_without_signing_in()
    {
        using var owner = await OwnerAsync();
        await AddAsync(owner);
        var (_, made) = await owner.SendAsync(HttpMethod.Post, "/api/gateways", new JsonObject { ["name"] = "Loft" });
        using var gateway = App.CreateClient();
        async Task<HttpStatusCode> PostAsync(string token, IEnumerable<int> minutesAgo)
        {
            var readings = minutesAgo.Select(m =>
                (JsonNode)
                    new JsonObject
                    {
                        ["sensor"] = "shelf",
                        ["temperatureC"] = 33,
                        ["at"] = App.Clock.GetUtcNow().AddMinutes(-m).ToString("O"),
                    }
            );
            using var request = new HttpRequestMessage(HttpMethod.Post, "/api/gateway/readings")
            {
                Content = new StringContent(
                    new JsonObject { ["readings"] = new JsonArray([.. readings]) }.ToJsonString(),
                    System.Text.Encoding.UTF8,
                    "application/json"
                ),
            };
            request.Headers.Authorization = new("Bearer", token);
            using var response = await gateway.SendAsync(request);
            return response.StatusCode;
        }

        var token = (string)made!["token"]!;
        Assert.Equal(HttpStatusCode.Unauthorized, await PostAsync("another", [0]));
        Assert.Equal(HttpStatusCode.OK, await PostAsync(token, [0]));
        var (_, board) = await owner.SendAsync(HttpMethod.Get, "/api/climate/board");
        var hung = Api.Act(
            "sensorPlaced",
            ("sensorId", (string)board!["sensors"]![0]!["id"]!),
            ("name", "Top shelf"),
            ("zone", "A1")
        );
        await owner.SendAsync(
            HttpMethod.Post,
            "/api/climate/journal",
            new JsonObject { ["id"] = Guid.NewGuid().ToString(), ["act"] = hung }
        );
        App.Clock.Advance(TimeSpan.FromMinutes(40));
        Assert.Equal(HttpStatusCode.OK, await PostAsync(token, Enumerable.Range(0, 40)));
        using var sitter = new Visitor(App);
        var (_, view) = await sitter.SendAsync(HttpMethod.Get, await LinkAsync(owner));
        var alarm = Assert.Single(view!["alarms"]!.AsArray())!;
        Assert.Contains("above 32 °C", (string)alarm["says"]!, StringComparison.Ordinal);
        Assert.NotEmpty(alarm["now"]!.AsArray());
        // The token opens nothing but its own address.
        gateway.DefaultRequestHeaders.Authorization = new("Bearer", token);
        using var closed = await gateway.GetAsync(new Uri("/api/climate/board", UriKind.Relative));
        Assert.Equal(HttpStatusCode.Unauthorized, closed.StatusCode);
    }

    [Fact]
    public async Task A_sitters_link_opens_the_sheet_and_nothing_else()
    {
        using var owner = await OwnerAsync();
        var open = await AddAsync(owner);
        var hushed = await AddAsync(owner, Api.New("A1·04", Api.Details("Moss")));
        foreach (var sign in new[] { "dark-under-hair", "sluggish" })
        {
            var entry = Api.Log(Api.Act("signSeen", ("signId", sign)));
            await owner.SendAsync(HttpMethod.Post, $"/api/stock/{hushed}/journal", entry);
        }

        // Its dish is full: else it would be opened for that.
        var filled = Api.Log(Api.Act("watered", ("water", "dish")));
        await owner.SendAsync(HttpMethod.Post, $"/api/stock/{hushed}/journal", filled);
        var link = await LinkAsync(owner);
        using var sitter = new Visitor(App);
        var (_, view) = await sitter.SendAsync(HttpMethod.Get, link);
        Assert.Equal(open, Assert.Single(view!["sheet"]!["lines"]!.AsArray())!["stockId"]!.GetValue<string>());
        Assert.Equal(hushed, Assert.Single(view["sheet"]!["leaveShut"]!.AsArray())!["stockId"]!.GetValue<string>());
        Assert.NotEmpty(view["ifWrong"]!.AsArray());
        // The rest of the room stays closed.
        foreach (var path in new[] { "/api/round", $"/api/stock/{open}", "/api/stock", "/api/settings" })
        {
            Assert.Equal(HttpStatusCode.Unauthorized, await sitter.GetAsync(path));
        }

        var write = Api.Log(Api.Act("watered", ("water", "dish")));
        Assert.Equal(
            HttpStatusCode.Unauthorized,
            (await sitter.SendAsync(HttpMethod.Post, $"/api/stock/{open}/journal", write)).Status
        );
        // A hushed animal cannot be ticked as done, only said to look wrong.
        var ticks = link + "/ticks";
        Api.Refused(await sitter.SendAsync(HttpMethod.Post, ticks, Tick(hushed, "done")), "stockId", "not on tonight");
        Api.Refused(
            await sitter.SendAsync(HttpMethod.Post, ticks, Tick(Guid.NewGuid().ToString(), "looksWrong", "x")),
            "stockId",
            "not on tonight"
        );
        Api.Refused(await sitter.SendAsync(HttpMethod.Post, ticks, Tick(hushed, "looksWrong")), "remark", "1 to 300");
        Assert.Equal(
            HttpStatusCode.OK,
            (await sitter.SendAsync(HttpMethod.Post, ticks, Tick(hushed, "looksWrong", "limp"))).Status
        );
    }

    [Fact]
    public async Task Ticks_come_back_under_the_sitters_name_and_a_second_tap_writes_nothing()
    {
        using var owner = await OwnerAsync();
        var id = await AddAsync(owner);
        var link = await LinkAsync(owner);
        using var sitter = new Visitor(App);
        var tick = Tick(id, "done");
        var (_, view) = await sitter.SendAsync(HttpMethod.Post, link + "/ticks", tick);
        Assert.Equal(2, view!["ticked"]!.AsArray().Count);
        var (again, _) = await sitter.SendAsync(HttpMethod.Post, link + "/ticks", tick);
        Assert.Equal(HttpStatusCode.OK, again);
        var (_, animal) = await owner.SendAsync(HttpMethod.Get, $"/api/stock/{id}");
        var lines = animal!["journal"]!.AsArray().Where(l => l!["writtenBy"]!.GetValue<string>() == "Ann (sitter)");
        // One visit, water first; nobody knows yet whether the food is taken.
        Assert.Equal(["offered", "watered"], lines.Select(l => l!["act"]!["kind"]!.GetValue<string>()).Order());
        Assert.Equal(
            "notSeen",
            lines.Select(l => l!["act"]!["outcome"]?.GetValue<string>()).Single(o => o is not null)
        );
    }

    [Fact]
    public async Task What_was_ticked_tonight_is_taken_back_through_the_link_and_nothing_else()
    {
        using var owner = await OwnerAsync();
        var id = await AddAsync(owner);
        var own = Api.Log(Api.Act("looked"));
        await owner.SendAsync(HttpMethod.Post, $"/api/stock/{id}/journal", own);
        var link = await LinkAsync(owner);
        using var sitter = new Visitor(App);
        var (_, view) = await sitter.SendAsync(HttpMethod.Post, link + "/ticks", Tick(id, "done"));
        var ticked = view!["ticked"]!.AsArray().Select(t => t!["entryId"]!.GetValue<string>()).ToList();
        JsonObject Undo(string entry) => new() { ["id"] = $"{Guid.NewGuid()}", ["entryId"] = entry };
        foreach (var undo in ticked.Select(Undo))
        {
            Assert.Equal(HttpStatusCode.OK, (await sitter.SendAsync(HttpMethod.Post, link + "/undo", undo)).Status);
            Assert.Equal(HttpStatusCode.OK, (await sitter.SendAsync(HttpMethod.Post, link + "/undo", undo)).Status);
        }

        (_, view) = await sitter.SendAsync(HttpMethod.Get, link);
        Assert.Empty(view!["ticked"]!.AsArray());
        Assert.Single(view["sheet"]!["lines"]!.AsArray());
        Api.Refused(
            await sitter.SendAsync(HttpMethod.Post, link + "/undo", Undo(own["id"]!.GetValue<string>())),
            "entryId",
            "not ticked here"
        );
    }

    [Fact]
    public async Task A_tick_that_comes_on_another_night_is_held_against_the_sheet_of_its_own()
    {
        using var owner = await OwnerAsync();
        var id = await AddAsync(owner);
        var link = await LinkAsync(owner, Link(to: "2026-11-23"));
        using var sitter = new Visitor(App);
        var (_, view) = await sitter.SendAsync(HttpMethod.Get, link);
        var seen = view!["seen"]!.GetValue<long>().ToString(CultureInfo.InvariantCulture);
        var tapped = LanternFactory.Evening;
        App.Clock.Advance(TimeSpan.FromHours(20));
        (string, string)[] headers =
        [
            ("X-Lantern-Tapped", tapped.ToString("O", CultureInfo.InvariantCulture)),
            ("X-Lantern-Sent", tapped.AddHours(20).ToString("O", CultureInfo.InvariantCulture)),
            ("X-Lantern-Seen", seen),
        ];
        var (status, answer) = await sitter.SendAsync(HttpMethod.Post, link + "/ticks", Tick(id, "done"), headers);
        Assert.True(status == HttpStatusCode.OK, answer?.ToJsonString());
        var (_, animal) = await owner.SendAsync(HttpMethod.Get, $"/api/stock/{id}");
        var written = animal!["journal"]!.AsArray().Where(l => l!["writtenBy"]!.GetValue<string>() == "Ann (sitter)");
        Assert.All(written, l => Assert.Equal("2026-11-23", l!["night"]!.GetValue<string>()));
        Assert.NotEmpty(written);
        // Of tonight the link opens nothing any more.
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await sitter.SendAsync(HttpMethod.Post, link + "/ticks", Tick(id, "done"))).Status
        );
    }

    [Fact]
    public async Task Whoever_tries_links_is_slowed()
    {
        using var guesser = new Visitor(App);
        var last = HttpStatusCode.OK;
        for (var tries = 0; tries < 260 && last != HttpStatusCode.TooManyRequests; tries++)
        {
            last = await guesser.GetAsync($"/api/sit/guess{tries}");
        }

        Assert.Equal(HttpStatusCode.TooManyRequests, last);
    }

    [Fact]
    public async Task A_link_opens_on_its_nights_only_and_is_withdrawn_at_once()
    {
        using var owner = await OwnerAsync();
        var link = await LinkAsync(owner);
        var later = await LinkAsync(owner, Link("2026-11-24", "2026-11-30"));
        using var sitter = new Visitor(App);
        Assert.Equal(HttpStatusCode.OK, await sitter.GetAsync(link));
        Assert.Equal(HttpStatusCode.NotFound, await sitter.GetAsync(later));
        Assert.Equal(HttpStatusCode.NotFound, await sitter.GetAsync("/api/sit/guess"));
        var (_, links) = await owner.SendAsync(HttpMethod.Get, "/api/sitter-links");
        var id = links!.AsArray().Single(l => l!["open"]!.GetValue<bool>())!["id"];
        await owner.SendAsync(HttpMethod.Delete, $"/api/sitter-links/{id}");
        Assert.Equal(HttpStatusCode.NotFound, await sitter.GetAsync(link));
        App.Clock.Advance(TimeSpan.FromDays(1));
        Assert.Equal(HttpStatusCode.OK, await sitter.GetAsync(later));
        App.Clock.Advance(TimeSpan.FromDays(8));
        Assert.Equal(HttpStatusCode.NotFound, await sitter.GetAsync(later));
        Api.Refused(
            await owner.SendAsync(HttpMethod.Post, "/api/sitter-links", Link("2026-12-20", "2026-12-10")),
            "to",
            "first night"
        );
    }

    [Fact]
    public async Task Dangerous_venom_is_not_on_a_single_sitters_sheet()
    {
        using var owner = await OwnerAsync();
        var details = Api.Details("Nettle", "babycurus-jacksoni", "scorpion");
        var body = Api.New("A1·05", details, null);
        body["measure"] = new JsonObject { ["part"] = "body", ["lengthMm"] = 40 };
        var id = await AddAsync(owner, body);
        using var sitter = new Visitor(App);
        var alone = await LinkAsync(owner);
        var (_, view) = await sitter.SendAsync(HttpMethod.Get, alone);
        Assert.Empty(view!["sheet"]!["lines"]!.AsArray());
        Api.Refused(await sitter.SendAsync(HttpMethod.Post, alone + "/ticks", Tick(id, "done")), "stockId", "keeper");
        (_, view) = await sitter.SendAsync(HttpMethod.Get, await LinkAsync(owner, Link(twoPeople: true)));
        Assert.True(Assert.Single(view!["sheet"]!["lines"]!.AsArray())!["twoPeople"]!.GetValue<bool>());
    }
}
