using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>Who may come in when the room listens on the network.</summary>
public sealed class AccessTests : NetworkRoom
{
    [Fact]
    public async Task Without_signing_in_nothing_of_the_room_can_be_read_or_written()
    {
        using var stranger = new Visitor(App);
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
        using var guesser = new Visitor(App);
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
        using var ann = new Visitor(App);
        await ann.SignInAsync("ann");
        (_, var animal) = await ann.SendAsync(
            HttpMethod.Post,
            $"/api/stock/{id}/journal",
            Api.Log(Api.Act("watered", ("water", "dish")))
        );
        Assert.Equal("Ann", animal!["journal"]![0]!["writtenBy"]!.GetValue<string>());
        var food = new JsonObject { ["feederId"] = "cricket", ["sizeClassId"] = "small" };
        var count = new JsonObject
        {
            ["id"] = Guid.NewGuid().ToString(),
            ["act"] = Api.Act("foodCounted", ("food", food), ("quantity", 40)),
        };
        await ann.SendAsync(HttpMethod.Post, "/api/larder/journal", count);
        (_, var larder) = await ann.SendAsync(HttpMethod.Get, "/api/larder");
        Assert.Equal("Ann", larder!["journal"]![0]!["writtenBy"]!.GetValue<string>());
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
        using var tablet = new Visitor(App);
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
        using var tablet = new Visitor(App);
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
        using var ann = new Visitor(App);
        await ann.SignInAsync("Ann");
        var id = access!["people"]!.AsArray().Single(p => !p!["isOwner"]!.GetValue<bool>())!["id"];
        await owner.SendAsync(HttpMethod.Delete, $"/api/access/people/{id}");
        Assert.Equal(HttpStatusCode.Unauthorized, await ann.GetAsync("/api/round"));
        var weak = new JsonObject { ["name"] = "Bo", ["password"] = "short" };
        Api.Refused(await owner.SendAsync(HttpMethod.Post, "/api/access/people", weak), "password", "10 to 200");
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
        using var lan = App.CreateClient();
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
