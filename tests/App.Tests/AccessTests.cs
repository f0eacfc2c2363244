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

    private static JsonObject Helper(string name, bool isReader = false, string password = Password) =>
        new()
        {
            ["name"] = name,
            ["password"] = password,
            ["isReader"] = isReader,
        };

    [Fact]
    public async Task A_reader_reads_everything_and_writes_nothing()
    {
        using var owner = await OwnerAsync();
        var id = await AddAsync(owner);
        await owner.SendAsync(HttpMethod.Post, "/api/access/people", Helper("Rae", isReader: true));
        using var rae = new Visitor(App);
        await rae.SignInAsync("Rae");
        Assert.Equal(HttpStatusCode.OK, await rae.GetAsync("/api/round"));
        Assert.True((await rae.SendAsync(HttpMethod.Get, "/api/session")).Body!["isReader"]!.GetValue<bool>());
        var (status, why) = await rae.SendAsync(
            HttpMethod.Post,
            $"/api/stock/{id}/journal",
            Api.Log(Api.Act("watered", ("water", "dish")))
        );
        Assert.Equal(HttpStatusCode.Forbidden, status);
        Assert.Contains("You read here", why!["title"]!.GetValue<string>(), StringComparison.Ordinal);
        var change = new JsonObject { ["former"] = Password, ["password"] = "another long one" };
        Assert.Equal(HttpStatusCode.OK, (await rae.SendAsync(HttpMethod.Put, "/api/session/password", change)).Status);
    }

    [Theory]
    [InlineData("password12")]
    [InlineData("1234567890")]
    [InlineData("qwertyuiop")]
    [InlineData("tarantula1")]
    public async Task A_password_that_everybody_tries_first_is_refused(string usual)
    {
        using var owner = await OwnerAsync();
        Api.Refused(
            await owner.SendAsync(HttpMethod.Post, "/api/access/people", Helper("Ann", password: usual)),
            "password",
            "too easily"
        );
    }

    [Fact]
    public async Task The_owners_password_is_changed_by_who_knows_the_former_one()
    {
        using var owner = await OwnerAsync();
        var fresh = new JsonObject { ["name"] = "Keeper", ["password"] = "another long one" };
        Api.Refused(await owner.SendAsync(HttpMethod.Put, "/api/access/owner", fresh), "former", "lantern password");
        fresh["former"] = Password;
        Assert.Equal(HttpStatusCode.OK, (await owner.SendAsync(HttpMethod.Put, "/api/access/owner", fresh)).Status);
    }

    [Fact]
    public void Whoever_guesses_from_elsewhere_shuts_out_themself_and_not_the_owner()
    {
        using var attempts = new Access.SignInAttempts();
        var wait = default(TimeSpan?);
        for (var k = 0; k < 50 && wait is null; k++)
        {
            wait = attempts.Take("Keeper", "192.0.2.66");
        }

        Assert.InRange(wait!.Value.TotalMinutes, 1, 15);
        Assert.NotNull(attempts.Take(" keeper ", "192.0.2.66"));
        Assert.Null(attempts.Take("Keeper", "192.0.2.7"));
    }

    [Fact]
    public async Task A_session_ends_when_it_is_old_and_when_it_was_not_used()
    {
        using var owner = await OwnerAsync();
        App.Clock.Advance(TimeSpan.FromDays(29));
        Assert.Equal(HttpStatusCode.OK, await owner.GetAsync("/api/settings"));
        App.Clock.Advance(TimeSpan.FromDays(31));
        Assert.Equal(HttpStatusCode.Unauthorized, await owner.GetAsync("/api/settings"));
        using var diligent = new Visitor(App);
        await diligent.SignInAsync("Keeper");
        var days = 0;
        while (days < 400 && await diligent.GetAsync("/api/settings") == HttpStatusCode.OK)
        {
            App.Clock.Advance(TimeSpan.FromDays(10));
            days += 10;
        }

        Assert.InRange(days, 180, 190);
    }

    [Fact]
    public async Task The_calendar_of_a_helper_ends_with_them_and_the_owner_reads_who_came_in()
    {
        using var owner = await OwnerAsync();
        var (_, access) = await owner.SendAsync(HttpMethod.Post, "/api/access/people", Helper("Ann"));
        using var ann = new Visitor(App);
        await ann.SignInAsync("Ann");
        var (_, feed) = await ann.SendAsync(HttpMethod.Post, "/api/almanac/feed");
        var path = feed!["path"]!.GetValue<string>();
        using var calendar = new Visitor(App);
        Assert.Equal(HttpStatusCode.OK, await calendar.GetAsync(path));
        Assert.True((await ann.SendAsync(HttpMethod.Get, "/api/almanac")).Body!["hasFeed"]!.GetValue<bool>());
        Assert.False((await owner.SendAsync(HttpMethod.Get, "/api/almanac")).Body!["hasFeed"]!.GetValue<bool>());
        using (var guesser = new Visitor(App))
        {
            await guesser.SignInAsync("Ann", "not this one at all");
        }

        var id = access!["people"]!.AsArray().Single(p => !p!["isOwner"]!.GetValue<bool>())!["id"];
        var (_, after) = await owner.SendAsync(HttpMethod.Delete, $"/api/access/people/{id}");
        Assert.Equal(HttpStatusCode.NotFound, await calendar.GetAsync(path));
        Assert.Equal(
            ["personRemoved", "refused", "calendarMade", "signedIn", "personAdded", "signedIn"],
            after!["log"]!.AsArray().Select(n => n!["what"]!.GetValue<string>())
        );
        Assert.Equal("Ann", after["log"]![0]!["whom"]!.GetValue<string>());
    }

    [Fact]
    public async Task Nothing_of_the_room_stays_in_a_cache_and_too_many_attempts_say_when_to_come_again()
    {
        using var owner = await OwnerAsync();
        using var http = App.CreateClient();
        using var read = await http.GetAsync(new Uri("/api/session", UriKind.Relative));
        Assert.True(read.Headers.CacheControl!.NoStore);
        for (var k = 0; k < 30; k++)
        {
            using var content = new StringContent(
                """{"name":"Keeper","password":"not this one at all"}""",
                System.Text.Encoding.UTF8,
                "application/json"
            );
            using var answer = await http.PostAsync(new Uri("/api/session/sign-in", UriKind.Relative), content);
            if (answer.StatusCode == HttpStatusCode.TooManyRequests)
            {
                Assert.InRange(answer.Headers.RetryAfter!.Delta!.Value.TotalSeconds, 1, 900);
                return;
            }
        }

        Assert.Fail("Thirty attempts were let through.");
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
