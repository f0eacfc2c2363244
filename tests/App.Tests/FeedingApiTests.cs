using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>Feeding through the API: trays with exceptions, another cadence, how mixed meals are.</summary>
public sealed class FeedingApiTests : IDisposable
{
    private readonly LanternFactory app = new();
    private readonly Api api;

    public FeedingApiTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    [Fact]
    public async Task A_tray_is_fed_as_one_with_its_exceptions()
    {
        var details = Api.Details("Tray");
        details["kind"] = "brood";
        details["count"] = 60;
        var id = await api.AddAsync(Api.New(details: details, legSpanMm: 14));
        JsonObject Fed(params int[] untaken)
        {
            var act = Api.Offer("eaten", "fruit-fly-large", "one");
            act["count"] = 60;
            act["untaken"] = new JsonArray([.. untaken.Select(n => JsonValue.Create(n))]);
            return act;
        }

        var animal = await api.LogAsync(id, Fed(7, 12), "2026-11-20");
        Assert.Equal([7, 12], animal["vials"]!.AsArray().Select(v => v!["number"]!.GetValue<int>()));
        animal = await api.LogAsync(id, Fed(12));
        Assert.Equal([12], animal["restingVials"]!.AsArray().Select(v => v!.GetValue<int>()));
        Assert.Contains(
            "no. 12 left theirs",
            animal["journal"]![0]!["text"]!.GetValue<string>(),
            StringComparison.Ordinal
        );
        // What they left is still in their vials.
        Assert.Contains("no. 12", animal["leftover"]!["value"]!["what"]!.GetValue<string>(), StringComparison.Ordinal);
        Api.Refused(await api.PostAsync($"/api/stock/{id}/journal", Api.Log(Fed(61))), "act.untaken", "1 to 60");
        Api.Refused(await api.PostAsync($"/api/stock/{id}/journal", Api.Log(Fed(3, 3))), "act.untaken", "once");
    }

    [Fact]
    public async Task Fed_otherwise_is_reckoned_and_nothing_is_stored()
    {
        var id = await api.AddAsync();
        var lean = await api.GetAsync($"/api/stock/{id}/fed?every=28");
        Assert.NotNull(lean["value"]!["other"]);
        Assert.NotEmpty(lean["reasons"]!.AsArray());
        Api.Refused(await api.SendAsync(HttpMethod.Get, $"/api/stock/{id}/fed?every=0"), "every", "0.5 to 120");
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await api.SendAsync(HttpMethod.Get, $"/api/stock/{Guid.NewGuid()}/fed?every=7")).Status
        );
    }

    [Theory]
    [InlineData("[10,20,30,40]", 1.27985423, 0.923219672)]
    [InlineData("[5,0,5,5,5]", 1.3862943611, 1)]
    public async Task Diversity_is_that_of_the_reference_libraries(string counts, double shannon, double evenness)
    {
        // Source: Shannon (1948), Pielou (1966); scipy 1.10.1 entropy and R vegan 2.6-4.
        var answer = await api.TakeAsync("/api/calc/diversity", JsonNode.Parse($$"""{"counts":{{counts}}}""")!);
        Assert.Equal(shannon, answer["result"]!["shannon"]!.GetValue<double>(), 1e-7);
        Assert.Equal(evenness, answer["result"]!["evenness"]!.GetValue<double>(), 1e-7);
    }

    [Theory]
    [InlineData("""{"counts":[17]}""", null)]
    [InlineData("""{"counts":[0,0]}""", "counts")]
    [InlineData("""{"counts":[3,-1]}""", "counts[1]")]
    [InlineData("""{"counts":[]}""", "counts")]
    public async Task Diversity_of_one_kind_has_no_evenness_and_of_nothing_is_refused(string body, string? field)
    {
        var answer = await api.PostAsync("/api/calc/diversity", JsonNode.Parse(body)!);
        if (field is not null)
        {
            Api.Refused(answer, field, "");
            return;
        }

        Assert.Equal(0, answer.Body!["result"]!["shannon"]!.GetValue<double>());
        Assert.Null(answer.Body["result"]!["evenness"]);
    }
}
