using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Hosting.Tests;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Extensions.DependencyInjection;

namespace App.Tests;

/// <summary>Who may come in when the room listens on the network, and what a sitter's link opens.</summary>
public sealed class AccessTests : IDisposable
{
    private const string Password = "a long enough one";

    private readonly LanternFactory app = new(lan: true);

    public void Dispose() => app.Dispose();

    /// <summary>A browser: keeps its cookies and sends the token of its open page.</summary>
    private sealed class Visitor(LanternFactory app) : IDisposable
    {
        private readonly HttpClient http = app.CreateClient(
            new WebApplicationFactoryClientOptions { HandleCookies = true }
        );
        private string token = "";

        public async Task<(HttpStatusCode Status, JsonNode? Body)> SendAsync(
            HttpMethod method,
            string path,
            JsonNode? body = null
        )
        {
            using var request = new HttpRequestMessage(method, path);
            request.Headers.Add("X-Lantern-Token", token);
            if (body is not null)
            {
                request.Content = new StringContent(body.ToJsonString(), Encoding.UTF8, "application/json");
            }

            using var response = await http.SendAsync(request);
            var text = await response.Content.ReadAsStringAsync();
            return (response.StatusCode, text.Length > 0 && text[0] is '{' or '[' ? JsonNode.Parse(text) : null);
        }

        public async Task<HttpStatusCode> GetAsync(string path) => (await SendAsync(HttpMethod.Get, path)).Status;

        public async Task<(HttpStatusCode Status, JsonNode? Body)> SignInAsync(string name, string password = Password)
        {
            var answer = await SendAsync(
                HttpMethod.Post,
                "/api/session/sign-in",
                new JsonObject { ["name"] = name, ["password"] = password }
            );
            token = answer.Body?["token"]?.GetValue<string>() ?? "";
            return answer;
        }

        public void ForgetToken() => token = "";

        public void Dispose() => http.Dispose();
    }

    /// <summary>The owner, whose password was set on the machine itself.</summary>
    private async Task<Visitor> OwnerAsync()
    {
        using var scope = app.Services.CreateScope();
        await scope
            .ServiceProvider.GetRequiredService<Access.People>()
            .SetOwnerAsync("Keeper", Password, app.Clock.GetUtcNow(), CancellationToken.None);
        var owner = new Visitor(app);
        Assert.Equal(HttpStatusCode.OK, (await owner.SignInAsync("Keeper")).Status);
        return owner;
    }

    private static async Task<string> AddAsync(Visitor who, JsonObject? body = null)
    {
        var (status, animal) = await who.SendAsync(HttpMethod.Post, "/api/stock", body ?? Api.New());
        Assert.Equal(HttpStatusCode.OK, status);
        return animal!["stockId"]!.GetValue<string>();
    }

    [Fact]
    public async Task Without_signing_in_nothing_of_the_room_can_be_read_or_written()
    {
        using var stranger = new Visitor(app);
        foreach (
            var path in new[]
            {
                "/api/round",
                "/api/stock",
                "/api/settings",
                "/api/live",
                "/api/access",
                "/api/sitter-links",
                "/api/almanac/calendar.ics",
                "/api/labels",
                "/api/openapi.json",
                "/API/round",
                "/api//round",
            }
        )
        {
            Assert.Equal(HttpStatusCode.Unauthorized, await stranger.GetAsync(path));
        }

        var (status, _) = await stranger.SendAsync(HttpMethod.Post, "/api/stock", Api.New());
        Assert.Equal(HttpStatusCode.Unauthorized, status);
        Assert.Equal(HttpStatusCode.OK, await stranger.GetAsync("/api/health"));
        var (_, session) = await stranger.SendAsync(HttpMethod.Get, "/api/session");
        Assert.True(session!["needed"]!.GetValue<bool>());
        Assert.False(session["isOwner"]!.GetValue<bool>());
    }

    [Fact]
    public async Task The_owner_signs_in_and_every_change_needs_the_token_of_an_open_page()
    {
        using var owner = await OwnerAsync();
        Assert.Equal(HttpStatusCode.OK, await owner.GetAsync("/api/round"));
        await AddAsync(owner);
        owner.ForgetToken();
        var (status, _) = await owner.SendAsync(HttpMethod.Post, "/api/stock", Api.New("A1·09"));
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Equal(HttpStatusCode.OK, await owner.GetAsync("/api/round"));
    }

    [Fact]
    public async Task A_wrong_password_is_told_no_more_than_an_unknown_name_and_attempts_run_out()
    {
        using var owner = await OwnerAsync();
        using var guesser = new Visitor(app);
        var (status, wrong) = await guesser.SignInAsync("Keeper", "not this one at all");
        var (_, unknown) = await guesser.SignInAsync("Nobody", "not this one at all");
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Equal(wrong!["errors"]!.ToJsonString(), unknown!["errors"]!.ToJsonString());
        for (var k = 0; k < 10 && status != HttpStatusCode.TooManyRequests; k++)
        {
            (status, _) = await guesser.SignInAsync("Keeper", $"guess number {k}");
        }

        Assert.Equal(HttpStatusCode.TooManyRequests, status);
        // The right password does not help any more for a while.
        Assert.Equal(HttpStatusCode.TooManyRequests, (await guesser.SignInAsync("Keeper")).Status);
    }

    [Fact]
    public async Task A_helper_logs_under_their_own_name_and_changes_nothing_of_the_owners()
    {
        using var owner = await OwnerAsync();
        var id = await AddAsync(owner);
        var (status, _) = await owner.SendAsync(
            HttpMethod.Post,
            "/api/access/people",
            new JsonObject { ["name"] = "Ann", ["password"] = Password }
        );
        Assert.Equal(HttpStatusCode.OK, status);
        using var ann = new Visitor(app);
        await ann.SignInAsync("ann");
        (_, var animal) = await ann.SendAsync(
            HttpMethod.Post,
            $"/api/stock/{id}/journal",
            Api.Log(Api.Act("watered", ("water", "dish")))
        );
        Assert.Equal("Ann", animal!["journal"]![0]!["writtenBy"]!.GetValue<string>());
        Assert.Equal(HttpStatusCode.Forbidden, await ann.GetAsync("/api/access"));
        foreach (
            var (method, path) in new[]
            {
                (HttpMethod.Put, "/api/settings"),
                (HttpMethod.Put, "/api/shelves/layout"),
                (HttpMethod.Put, "/api/access/owner"),
                (HttpMethod.Post, "/api/rulebook/overrides"),
                (HttpMethod.Post, "/api/rulebook/species"),
                (HttpMethod.Put, "/api/feeders/cricket"),
                (HttpMethod.Post, "/api/sitter-links"),
                (HttpMethod.Post, "/api/almanac/feed"),
            }
        )
        {
            Assert.Equal(HttpStatusCode.Forbidden, (await ann.SendAsync(method, path, new JsonObject())).Status);
        }
    }

    [Fact]
    public async Task A_session_ended_elsewhere_is_over_at_once()
    {
        using var owner = await OwnerAsync();
        using var tablet = new Visitor(app);
        await tablet.SignInAsync("Keeper");
        var (_, access) = await owner.SendAsync(HttpMethod.Get, "/api/access");
        var other = access!["sessions"]!.AsArray().Single(s => !s!["isThis"]!.GetValue<bool>())!;
        Assert.Equal(HttpStatusCode.OK, await tablet.GetAsync("/api/round"));
        await owner.SendAsync(HttpMethod.Delete, $"/api/access/sessions/{other["id"]}");
        Assert.Equal(HttpStatusCode.Unauthorized, await tablet.GetAsync("/api/round"));
        await owner.SendAsync(HttpMethod.Post, "/api/session/sign-out");
        Assert.Equal(HttpStatusCode.Unauthorized, await owner.GetAsync("/api/round"));
    }

    [Fact]
    public async Task A_changed_password_ends_the_other_sessions_and_a_helper_taken_off_is_out()
    {
        using var owner = await OwnerAsync();
        using var tablet = new Visitor(app);
        await tablet.SignInAsync("Keeper");
        var change = new JsonObject { ["former"] = Password, ["password"] = "another long one" };
        Assert.Equal(
            HttpStatusCode.OK,
            (await owner.SendAsync(HttpMethod.Put, "/api/session/password", change)).Status
        );
        Assert.Equal(HttpStatusCode.Unauthorized, await tablet.GetAsync("/api/round"));
        Assert.Equal(HttpStatusCode.OK, await owner.GetAsync("/api/round"));
        var helper = new JsonObject { ["name"] = "Ann", ["password"] = Password };
        var (_, access) = await owner.SendAsync(HttpMethod.Post, "/api/access/people", helper);
        using var ann = new Visitor(app);
        await ann.SignInAsync("Ann");
        var id = access!["people"]!.AsArray().Single(p => !p!["isOwner"]!.GetValue<bool>())!["id"];
        await owner.SendAsync(HttpMethod.Delete, $"/api/access/people/{id}");
        Assert.Equal(HttpStatusCode.Unauthorized, await ann.GetAsync("/api/round"));
        var weak = new JsonObject { ["name"] = "Bo", ["password"] = "short" };
        Api.Refused(await owner.SendAsync(HttpMethod.Post, "/api/access/people", weak), "password", "10 to 200");
    }

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

        var link = await LinkAsync(owner);
        using var sitter = new Visitor(app);
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
        using var sitter = new Visitor(app);
        var tick = Tick(id, "done");
        var (_, view) = await sitter.SendAsync(HttpMethod.Post, link + "/ticks", tick);
        Assert.Single(view!["ticked"]!.AsArray());
        var (again, _) = await sitter.SendAsync(HttpMethod.Post, link + "/ticks", tick);
        Assert.Equal(HttpStatusCode.OK, again);
        var (_, animal) = await owner.SendAsync(HttpMethod.Get, $"/api/stock/{id}");
        var lines = animal!["journal"]!.AsArray().Where(l => l!["writtenBy"]!.GetValue<string>() == "Ann (sitter)");
        Assert.Equal("notSeen", Assert.Single(lines)!["act"]!["outcome"]!.GetValue<string>());
    }

    [Fact]
    public async Task A_link_opens_on_its_nights_only_and_is_withdrawn_at_once()
    {
        using var owner = await OwnerAsync();
        var link = await LinkAsync(owner);
        var later = await LinkAsync(owner, Link("2026-11-24", "2026-11-30"));
        using var sitter = new Visitor(app);
        Assert.Equal(HttpStatusCode.OK, await sitter.GetAsync(link));
        Assert.Equal(HttpStatusCode.NotFound, await sitter.GetAsync(later));
        Assert.Equal(HttpStatusCode.NotFound, await sitter.GetAsync("/api/sit/guess"));
        var (_, links) = await owner.SendAsync(HttpMethod.Get, "/api/sitter-links");
        var id = links!.AsArray().Single(l => l!["open"]!.GetValue<bool>())!["id"];
        await owner.SendAsync(HttpMethod.Delete, $"/api/sitter-links/{id}");
        Assert.Equal(HttpStatusCode.NotFound, await sitter.GetAsync(link));
        app.Clock.Advance(TimeSpan.FromDays(1));
        Assert.Equal(HttpStatusCode.OK, await sitter.GetAsync(later));
        app.Clock.Advance(TimeSpan.FromDays(8));
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
        using var sitter = new Visitor(app);
        var alone = await LinkAsync(owner);
        var (_, view) = await sitter.SendAsync(HttpMethod.Get, alone);
        Assert.Empty(view!["sheet"]!["lines"]!.AsArray());
        Api.Refused(await sitter.SendAsync(HttpMethod.Post, alone + "/ticks", Tick(id, "done")), "stockId", "keeper");
        (_, view) = await sitter.SendAsync(HttpMethod.Get, await LinkAsync(owner, Link(twoPeople: true)));
        Assert.True(Assert.Single(view!["sheet"]!["lines"]!.AsArray())!["twoPeople"]!.GetValue<bool>());
    }

    [Fact]
    public async Task On_this_machine_alone_nobody_is_asked_and_strange_names_are_not_served()
    {
        using var alone = new LanternFactory();
        using var http = alone.CreateClient();
        Assert.Equal(HttpStatusCode.OK, (await http.GetAsync("/api/round")).StatusCode);
        using var request = new HttpRequestMessage(HttpMethod.Get, "/api/round");
        request.Headers.Host = "192.0.2.7";
        Assert.Equal(HttpStatusCode.BadRequest, (await http.SendAsync(request)).StatusCode);
        // On the network bare addresses are served, and foreign names still are not.
        using var lan = app.CreateClient();
        foreach (
            var (host, status) in new[]
            {
                ("192.0.2.7", HttpStatusCode.OK),
                ("evil.example", HttpStatusCode.BadRequest),
            }
        )
        {
            using var asked = new HttpRequestMessage(HttpMethod.Get, "/api/health");
            asked.Headers.Host = host;
            Assert.Equal(status, (await lan.SendAsync(asked)).StatusCode);
        }
    }
}
