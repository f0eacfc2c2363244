using System.Globalization;
using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>What was tapped out of reach of the server is written at its own instant, whatever the clock of the device says.</summary>
public sealed class TapTests : IDisposable
{
    private readonly LanternFactory app = new();
    private readonly Api api;

    public TapTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    private static JsonObject Water() => Api.Act("watered", ("water", "dish"));

    private static (string, string)[] Headers(DateTimeOffset tapped, DateTimeOffset sent) =>
        [
            ("X-Lantern-Tapped", tapped.ToString("O", CultureInfo.InvariantCulture)),
            ("X-Lantern-Sent", sent.ToString("O", CultureInfo.InvariantCulture)),
        ];

    private Task<(HttpStatusCode Status, JsonNode? Body)> LogAsync(
        string stock,
        JsonObject entry,
        DateTimeOffset tapped,
        DateTimeOffset sent
    ) => api.SendAsync(HttpMethod.Post, $"/api/stock/{stock}/journal", entry.ToJsonString(), Headers(tapped, sent));

    private async Task<JsonNode> WateredAsync(string stock) =>
        (await api.GetAsync($"/api/stock/{stock}"))["journal"]!
            .AsArray()
            .First(line => line!["act"]!["kind"]!.GetValue<string>() == "watered")!;

    [Theory]
    [InlineData(0)]
    [InlineData(-26)]
    [InlineData(300_000)]
    public async Task An_act_of_forty_minutes_ago_is_written_so_however_wrong_the_clock_of_the_device_is(int hoursWrong)
    {
        var id = await api.AddAsync();
        var device = LanternFactory.Evening.AddHours(hoursWrong);
        var (status, _) = await LogAsync(id, Api.Log(Water()), device.AddMinutes(-40), device);
        Assert.Equal(HttpStatusCode.OK, status);
        var written = await WateredAsync(id);
        Assert.Equal(LanternFactory.Evening.AddMinutes(-40), written["at"]!.GetValue<DateTimeOffset>());
        Assert.Equal(LanternFactory.Evening.AddMinutes(-40), written["writtenAt"]!.GetValue<DateTimeOffset>());
    }

    [Fact]
    public async Task What_comes_within_moments_is_written_by_the_servers_clock_alone()
    {
        var id = await api.AddAsync();
        var device = LanternFactory.Evening.AddHours(5);
        await LogAsync(id, Api.Log(Water()), device.AddSeconds(-3), device);
        Assert.Equal(LanternFactory.Evening, (await WateredAsync(id))["at"]!.GetValue<DateTimeOffset>());
    }

    [Fact]
    public async Task What_comes_two_nights_late_stands_on_its_own_night()
    {
        var id = await api.AddAsync();
        var sent = LanternFactory.Evening;
        await LogAsync(id, Api.Log(Water()), sent.AddDays(-2), sent);
        Assert.Equal("2026-11-21", (await WateredAsync(id))["night"]!.GetValue<string>());
        Assert.Single((await api.GetAsync("/api/round/past/2026-11-21"))["done"]!.AsArray());
    }

    [Fact]
    public async Task A_clock_set_back_a_little_is_set_right_and_one_set_back_far_is_asked_about()
    {
        var id = await api.AddAsync();
        var sent = LanternFactory.Evening;
        await LogAsync(id, Api.Log(Water()), sent.AddMinutes(8), sent);
        Assert.Equal(LanternFactory.Evening, (await WateredAsync(id))["at"]!.GetValue<DateTimeOffset>());
        Api.Refused(await LogAsync(id, Api.Log(Water()), sent.AddHours(2), sent), "tapped", "Say on which night");
        Api.Refused(await LogAsync(id, Api.Log(Water()), sent.AddDays(-90), sent), "tapped", "60 days ago");
        // The night that is said then counts, and the same entry is written.
        var (status, _) = await LogAsync(id, Api.Log(Water(), foundOn: "2026-11-20"), sent, sent);
        Assert.Equal(HttpStatusCode.OK, status);
    }

    [Fact]
    public async Task A_batch_and_what_takes_it_back_have_their_own_instants_too()
    {
        var (a, b) = (await api.AddAsync(), await api.AddAsync(Api.New("A1·04", Api.Details("Moss"))));
        var sent = LanternFactory.Evening;
        var (first, second) = (Guid.NewGuid(), Guid.NewGuid());
        JsonObject Entry(string stock, Guid id, JsonObject act) =>
            new()
            {
                ["stockId"] = stock,
                ["id"] = id.ToString(),
                ["act"] = act,
            };
        async Task WriteAsync(DateTimeOffset tapped, params JsonNode[] entries)
        {
            var body = new JsonObject { ["night"] = null, ["entries"] = new JsonArray(entries) };
            var (status, answer) = await api.SendAsync(
                HttpMethod.Post,
                "/api/journal/batch",
                body.ToJsonString(),
                Headers(tapped, sent)
            );
            Assert.True(status == HttpStatusCode.OK, answer?.ToJsonString());
        }

        await WriteAsync(sent.AddMinutes(-30), Entry(a, first, Water()), Entry(b, second, Water()));
        Assert.Equal(sent.AddMinutes(-30), (await WateredAsync(b))["at"]!.GetValue<DateTimeOffset>());
        var (undone, _) = await api.SendAsync(
            HttpMethod.Post,
            $"/api/stock/{a}/journal/undo",
            new JsonObject { ["id"] = Guid.NewGuid().ToString(), ["entryId"] = first.ToString() }.ToJsonString(),
            Headers(sent.AddMinutes(-29), sent)
        );
        Assert.Equal(HttpStatusCode.OK, undone);
        Assert.NotNull((await WateredAsync(a))["struckBy"]);
    }

    [Fact]
    public async Task A_time_that_is_none_is_refused_by_name()
    {
        var id = await api.AddAsync();
        var (status, body) = await api.SendAsync(
            HttpMethod.Post,
            $"/api/stock/{id}/journal",
            Api.Log(Water()).ToJsonString(),
            ("X-Lantern-Tapped", "yesterday")
        );
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Contains("tapped", body!.ToJsonString(), StringComparison.OrdinalIgnoreCase);
    }

    private const string Crickets = """{"feederId":"cricket","sizeClassId":"small"}""";

    [Theory]
    [InlineData(
        "/api/larder/journal",
        $$"""{"kind":"foodCounted","food":{{Crickets}},"quantity":40}""",
        $$"""{"kind":"foodCounted","food":{{Crickets}},"quantity":41}"""
    )]
    [InlineData(
        "/api/chores/journal",
        """{"kind":"gearAdded","gearId":"00000000-0000-0000-0000-000000000001","name":"Scale"}""",
        """{"kind":"gearAdded","gearId":"00000000-0000-0000-0000-000000000001","name":"Tongs"}"""
    )]
    public async Task The_same_id_is_written_once_and_refused_for_anything_else(string path, string act, string other)
    {
        var id = Guid.NewGuid();
        Task<(HttpStatusCode Status, JsonNode? Body)> SendAsync(string what) =>
            api.PostAsync(path, JsonNode.Parse($$"""{"id":"{{id}}","act":{{what}}}""")!);
        var (first, answer) = await SendAsync(act);
        Assert.True(first == HttpStatusCode.OK, answer?.ToJsonString());
        Assert.Equal(HttpStatusCode.OK, (await SendAsync(act)).Status);
        Assert.Equal(HttpStatusCode.Conflict, (await SendAsync(other)).Status);
    }

    [Fact]
    public async Task A_chore_done_out_of_reach_stands_at_its_own_instant()
    {
        var sent = LanternFactory.Evening;
        var body = new JsonObject
        {
            ["id"] = Guid.NewGuid().ToString(),
            ["act"] = Api.Act("gearAdded", ("gearId", Guid.NewGuid().ToString()), ("name", "Scale")),
        };
        await api.SendAsync(
            HttpMethod.Post,
            "/api/chores/journal",
            body.ToJsonString(),
            Headers(sent.AddHours(-3), sent)
        );
        var line = Assert.Single((await api.GetAsync("/api/chores"))["log"]!.AsArray());
        Assert.Equal(sent.AddHours(-3), line!["at"]!.GetValue<DateTimeOffset>());
    }
}
