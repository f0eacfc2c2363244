using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>Work at the cultures as the round asks for it.</summary>
public sealed class LarderWorkApiTests : IDisposable
{
    private readonly LanternFactory app = new();
    private readonly Api api;

    public LarderWorkApiTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    private Task<JsonNode> LogAsync(JsonObject act) =>
        api.TakeAsync("/api/larder/journal", new JsonObject { ["id"] = Guid.NewGuid().ToString(), ["act"] = act });

    private async Task<JsonArray> WorkAsync(string night = "") =>
        (await api.GetAsync($"/api/larder/work{(night.Length == 0 ? "" : $"?night={night}")}")).AsArray();

    [Fact]
    public async Task A_culture_past_its_time_is_on_the_round_until_it_is_thrown_away()
    {
        var id = Guid.NewGuid().ToString();
        await LogAsync(
            Api.Act("cultureStarted", ("cultureId", id), ("feederId", "fruit-fly-small"), ("pots", 1), ("ageDays", 0))
        );
        Assert.Empty(await WorkAsync());
        var larder = await api.GetAsync("/api/larder");
        var ends = larder["cultures"]![0]!["endsOn"]!.GetValue<string>();
        // Foreseen on its night, and only there.
        Assert.Equal(id, Assert.Single(await WorkAsync(ends))!["cultureId"]!.GetValue<string>());
        app.Clock.Advance(TimeSpan.FromDays(60));
        var work = Assert.Single(await WorkAsync())!;
        Assert.Equal("throwAway", work["task"]!.GetValue<string>());
        Assert.NotEmpty(work["reasons"]!.AsArray());
        await LogAsync(Api.Act("cultureEnded", ("cultureId", id), ("end", work["end"]!.GetValue<string>())));
        Assert.Empty(await WorkAsync());
    }

    [Fact]
    public async Task A_night_that_is_no_date_is_refused() =>
        Api.Refused(await api.SendAsync(HttpMethod.Get, "/api/larder/work?night=soon"), "night", "Cannot be read");
}
