using System.Globalization;
using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>What two write without knowing of each other is never overwritten nor told twice: both sides are shown.</summary>
public sealed class BothSidesTests : IDisposable
{
    private readonly LanternFactory app = new();
    private readonly Api api;

    public BothSidesTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    private static JsonObject Water(string kind = "dish") => Api.Act("watered", ("water", kind));

    private Task<(HttpStatusCode Status, JsonNode? Body)> LogAsync(string stock, JsonObject entry, long? seen) =>
        api.SendAsync(
            HttpMethod.Post,
            $"/api/stock/{stock}/journal",
            entry.ToJsonString(),
            seen is { } number ? [("X-Lantern-Seen", number.ToString(CultureInfo.InvariantCulture))] : []
        );

    private async Task<long> SeenAsync() => (await api.GetAsync("/api/round"))["seen"]!.GetValue<long>();

    private async Task<int> CountAsync(string stock, string kind) =>
        (await api.GetAsync($"/api/stock/{stock}"))["journal"]!
            .AsArray()
            .Count(l => l!["act"]!["kind"]!.GetValue<string>() == kind);

    [Fact]
    public async Task What_another_told_since_is_shown_beside_ones_own_and_written_only_when_asked_for()
    {
        var id = await api.AddAsync();
        var seen = await SeenAsync();
        await api.LogAsync(id, Water());
        var mine = Api.Log(Water());
        var (status, answer) = await LogAsync(id, mine, seen);
        Assert.Equal(HttpStatusCode.Conflict, status);
        Assert.Equal("toldTwice", answer!["kind"]!.GetValue<string>());
        var told = Assert.Single(answer["twice"]!.AsArray())!;
        Assert.Equal(
            ("dish filled", "dish filled", mine["id"]!.GetValue<string>()),
            (told["theirs"]!.GetValue<string>(), told["yours"]!.GetValue<string>(), told["yourId"]!.GetValue<string>())
        );
        Assert.Equal(1, await CountAsync(id, "watered"));
        Assert.Equal(HttpStatusCode.OK, (await LogAsync(id, mine, null)).Status);
        Assert.Equal(2, await CountAsync(id, "watered"));
        // Sent again after a lost answer it is no news, whatever others have written since.
        await api.LogAsync(id, Water());
        Assert.Equal(HttpStatusCode.OK, (await LogAsync(id, mine, seen)).Status);
        Assert.Equal(3, await CountAsync(id, "watered"));
    }

    [Fact]
    public async Task What_was_on_screen_is_another_thing_or_was_taken_back_asks_nothing()
    {
        var id = await api.AddAsync();
        var other = await api.AddAsync(Api.New("A1·04", Api.Details("Moss")));
        var before = await SeenAsync();
        await api.LogAsync(id, Water());
        Assert.Equal(HttpStatusCode.OK, (await LogAsync(id, Api.Log(Water()), await SeenAsync())).Status);
        Assert.Equal(HttpStatusCode.OK, (await LogAsync(id, Api.Log(Water("mist")), before)).Status);
        Assert.Equal(HttpStatusCode.OK, (await LogAsync(other, Api.Log(Water()), before)).Status);
        Assert.Equal(HttpStatusCode.OK, (await LogAsync(id, Api.Log(Water(), foundOn: "2026-11-20"), before)).Status);
        var fed = Api.Log(Api.Offer("eaten"));
        var seen = await SeenAsync();
        await api.TakeAsync($"/api/stock/{id}/journal", fed);
        Assert.Equal(HttpStatusCode.Conflict, (await LogAsync(id, Api.Log(Api.Offer("fled")), seen)).Status);
        await api.TakeAsync(
            $"/api/stock/{id}/journal/undo",
            new JsonObject { ["id"] = Guid.NewGuid().ToString(), ["entryId"] = fed["id"]!.GetValue<string>() }
        );
        Assert.Equal(HttpStatusCode.OK, (await LogAsync(id, Api.Log(Api.Offer("fled")), seen)).Status);
    }

    [Fact]
    public async Task A_batch_names_each_that_another_has_told_and_writes_none()
    {
        var (a, b) = (await api.AddAsync(), await api.AddAsync(Api.New("A1·04", Api.Details("Moss"))));
        var seen = await SeenAsync();
        await api.LogAsync(b, Water());
        var body = new JsonObject
        {
            ["night"] = null,
            ["entries"] = new JsonArray([
                .. new[] { a, b }.Select(stock => new JsonObject
                {
                    ["stockId"] = stock,
                    ["id"] = Guid.NewGuid().ToString(),
                    ["act"] = Water(),
                }),
            ]),
        };
        var (status, answer) = await api.SendAsync(
            HttpMethod.Post,
            "/api/journal/batch",
            body.ToJsonString(),
            ("X-Lantern-Seen", seen.ToString(CultureInfo.InvariantCulture))
        );
        Assert.Equal(HttpStatusCode.Conflict, status);
        Assert.Equal(b, Assert.Single(answer!["twice"]!.AsArray())!["stockId"]!.GetValue<string>());
        Assert.Equal(0, await CountAsync(a, "watered"));
    }

    private async Task<JsonNode> ChangeAsync(string id, long version, string name, string place = "A1·03")
    {
        var details = Api.Details(name);
        details["sex"] = name == "Tansy" ? "female" : "male";
        var body = new JsonObject
        {
            ["entryId"] = Guid.NewGuid().ToString(),
            ["version"] = version,
            ["details"] = details,
            ["place"] = place,
        };
        var (status, answer) = await api.SendAsync(HttpMethod.Put, $"/api/stock/{id}", body.ToJsonString());
        answer!["httpStatus"] = (int)status;
        return answer;
    }

    private static IEnumerable<(string, string, string, string)> Differences(JsonNode answer) =>
        answer["differences"]!
            .AsArray()
            .Select(d =>
                (
                    d!["field"]!.GetValue<string>(),
                    d["label"]!.GetValue<string>(),
                    d["theirs"]!.GetValue<string>(),
                    d["yours"]!.GetValue<string>()
                )
            );

    [Fact]
    public async Task An_animal_changed_by_two_shows_field_by_field_what_each_has_set()
    {
        var id = await api.AddAsync();
        var version = (await api.GetAsync($"/api/stock/{id}"))["version"]!.GetValue<long>();
        Assert.Equal(200, (await ChangeAsync(id, version, "Bramble", "A1·05"))["httpStatus"]!.GetValue<int>());
        var mine = await ChangeAsync(id, version, "Tansy");
        Assert.Equal(409, mine["httpStatus"]!.GetValue<int>());
        Assert.Equal(
            [
                ("details.nickname", "Nickname", "Bramble", "Tansy"),
                ("details.sex", "Sex", "male", "female"),
                ("place", "Place", "A1·05", "A1·03"),
            ],
            Differences(mine).Order()
        );
        // The version that is there, sent with what shall hold, settles it.
        var settled = await ChangeAsync(id, mine["version"]!.GetValue<long>(), "Tansy", "A1·05");
        Assert.Equal(200, settled["httpStatus"]!.GetValue<int>());
        // What is sent again as it is there already is no conflict.
        Assert.Equal(200, (await ChangeAsync(id, version, "Tansy", "A1·05"))["httpStatus"]!.GetValue<int>());
    }

    [Fact]
    public async Task Settings_changed_by_two_show_both_and_the_same_twice_is_written_once()
    {
        var there = await api.GetAsync("/api/settings");
        Task<(HttpStatusCode Status, JsonNode? Body)> SetAsync(string name)
        {
            var body = there.DeepClone();
            body["settings"]!["roomName"] = name;
            return api.SendAsync(HttpMethod.Put, "/api/settings", body.ToJsonString());
        }

        Assert.Equal(HttpStatusCode.OK, (await SetAsync("Net loft")).Status);
        Assert.Equal(HttpStatusCode.OK, (await SetAsync("Net loft")).Status);
        var (status, answer) = await SetAsync("Boathouse");
        Assert.Equal(HttpStatusCode.Conflict, status);
        Assert.Equal([("settings.roomName", "Room name", "Net loft", "Boathouse")], Differences(answer!));
        Assert.Equal("Net loft", answer!["differences"]![0]!["value"]!.GetValue<string>());
    }

    [Fact]
    public async Task A_reading_and_a_rule_are_written_once_and_the_same_id_is_refused_for_anything_else()
    {
        JsonObject Reading(string id, double celsius) =>
            new()
            {
                ["id"] = id,
                ["temperatureC"] = celsius,
                ["zone"] = "A",
            };
        var id = $"{Guid.NewGuid()}";
        await api.TakeAsync("/api/climate", Reading(id, 24));
        app.Clock.Advance(TimeSpan.FromMinutes(3));
        Assert.Single((await api.TakeAsync("/api/climate", Reading(id, 24))).AsArray());
        Assert.Equal(HttpStatusCode.Conflict, (await api.PostAsync("/api/climate", Reading(id, 25))).Status);

        JsonObject Rule(string rule, double days) =>
            new()
            {
                ["id"] = rule,
                ["scope"] = "room",
                ["group"] = "tarantula",
                ["speciesId"] = null,
                ["stockId"] = null,
                ["rule"] = "group.cadence.juvenile.default",
                ["value"] = days,
                ["remark"] = "",
            };
        var change = $"{Guid.NewGuid()}";
        await api.TakeAsync("/api/rulebook/overrides", Rule(change, 11));
        await api.TakeAsync("/api/rulebook/overrides", Rule(change, 11));
        Assert.Equal(
            HttpStatusCode.Conflict,
            (await api.PostAsync("/api/rulebook/overrides", Rule(change, 12))).Status
        );
        Assert.Single((await api.GetAsync("/api/rulebook/overrides")).AsArray());
    }

    [Fact]
    public async Task An_order_sent_again_after_midnight_is_the_same_order()
    {
        var offer = (await api.GetAsync("/api/larder"))["supplier"]![0]!;
        var body = new JsonObject
        {
            ["id"] = $"{Guid.NewGuid()}",
            ["orderId"] = $"{Guid.NewGuid()}",
            ["lines"] = new JsonArray(
                new JsonObject
                {
                    ["itemId"] = offer["itemId"]!.GetValue<string>(),
                    ["sizeClassId"] = offer["sizeClassId"]!.GetValue<string>(),
                    ["quantity"] = offer["pack"]!.GetValue<int>(),
                }
            ),
        };
        await api.TakeAsync("/api/larder/orders", body);
        app.Clock.Advance(TimeSpan.FromHours(12));
        await api.TakeAsync("/api/larder/orders", body);
        Assert.Single((await api.GetAsync("/api/larder"))["orders"]!.AsArray());
    }
}
