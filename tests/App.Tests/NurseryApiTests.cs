using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>The nursery of the demo's room: egg cases, broods, trays, and what is refused of them.</summary>
public sealed class NurseryApiTests : IDisposable
{
    private readonly LanternFactory app = new(demo: true);
    private readonly Api api;

    public NurseryApiTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    private async Task<string> IdAsync(string name) =>
        (await api.GetAsync($"/api/stock?find={Uri.EscapeDataString(name)}"))["lines"]!
            .AsArray()
            .Single(l => l!["name"]!.GetValue<string>() == name)!["stockId"]!.GetValue<string>();

    [Fact]
    public async Task The_desk_lists_what_is_awaited_and_what_grows_up()
    {
        var desk = await api.GetAsync("/api/nursery");
        var waits = desk["waits"]!.AsArray().ToDictionary(w => w!["name"]!.GetValue<string>(), w => w!);
        Assert.Equal(
            "sac of Bollard, kept apart, at 26.5 °C, damp, turned daily",
            waits["Bollard’s sac"]["what"]!.GetValue<string>()
        );
        Assert.Equal("hatching", waits["Bollard’s sac"]["vigil"]!.GetValue<string>());
        Assert.Equal("litter with its mother", waits["Thwart"]["what"]!.GetValue<string>());
        // Her time for that is long over; Lanyard’s was a few nights ago.
        Assert.Null(waits["Keel"]["takenFrom"]);
        Assert.True(waits["Cork ootheca"]["isHeld"]!.GetValue<bool>());
        Assert.EndsWith(
            "if it is taken out of the cold tonight.",
            waits["Cork ootheca"]["forecast"]!["summary"]!.GetValue<string>(),
            StringComparison.Ordinal
        );
        // Two males may be the father, by what was seen of neither: half each.
        var fathers = waits["Bollard’s sac"]["fathers"]!.AsArray();
        Assert.Equal([0.5, 0.5], fathers.Select(f => Math.Round(f!["chance"]!.GetValue<double>(), 6)));
        Assert.True(waits["Cork ootheca"]["isChilled"]!.GetValue<bool>());
        // A winter is counted from the readings of the cold box: two days were not read, three were too warm.
        var sail = desk["winters"]!.AsArray().Single(w => w!["name"]!.GetValue<string>() == "Sail")!;
        Assert.Equal(0, sail["days"]!["missingDays"]!.GetValue<int>());
        Assert.Equal(2, sail["days"]!["unreadDays"]!.GetValue<int>());
        Assert.Equal(sail["meansC"]!.AsArray().Count - 5, sail["days"]!["doneDays"]!.GetValue<int>());
        var plan = desk["warmUps"]!.AsArray().Single(p => p!["species"]!.GetValue<string>() == "Saturnia pyri")!;
        Assert.Equal(6, plan["pupae"]!.AsArray().Count);
        Assert.True(plan["pairs"]!.GetValue<double>() >= plan["pairsAtOnce"]!.GetValue<double>());
        var larvae = desk["leaf"]!.AsArray().ToDictionary(l => l!["name"]!.GetValue<string>(), l => l!);
        Assert.Contains(
            "Fennel",
            larvae["Fennel box"]["need"]!["summary"]!.GetValue<string>(),
            StringComparison.Ordinal
        );
        Assert.NotNull(larvae["Loft eggs"]["need"]!["value"]!["readyOn"]);
        // Who broods and lies on her back is both.
        Assert.True(waits.ContainsKey("Lanyard"));
        // Bollard’s sac was taken from her: she waits for nothing any more.
        Assert.False(waits.ContainsKey("Bollard"));
        var first = desk["broods"]![0]!;
        Assert.Equal("Cork nymphs", first["name"]!.GetValue<string>());
        Assert.Equal("due", first["apart"]!["value"]!["state"]!.GetValue<string>());
        Assert.True(first["isWorse"]!.GetValue<bool>());
    }

    [Fact]
    public async Task A_brood_is_told_in_full()
    {
        var id = await IdAsync("Spar slings");
        var brood = await api.GetAsync($"/api/nursery/{id}");
        Assert.Equal(61, brood["number"]!["count"]!.GetValue<int>());
        Assert.Equal(61, brood["vials"]!.AsArray().Count);
        Assert.DoesNotContain(brood["vials"]!.AsArray(), v => v!["number"]!.GetValue<int>() == 12);
        Assert.Equal("ownBroods", (await MeasureOf("Tray of slings"))!["by"]!.GetValue<string>());
        Assert.Equal(0, brood["empty"]!.GetValue<int>());
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await api.SendAsync(HttpMethod.Get, $"/api/nursery/{await IdAsync("Keel")}")).Status
        );

        async Task<JsonNode?> MeasureOf(string name) =>
            (await api.GetAsync($"/api/nursery/{await IdAsync(name)}"))["measure"]!["value"];
    }

    [Fact]
    public async Task Vials_get_records_of_their_own_all_or_none_and_once()
    {
        var id = await IdAsync("Spar slings");
        JsonObject Vial(int number) =>
            new()
            {
                ["entryId"] = Guid.NewGuid().ToString(),
                ["stockId"] = Guid.NewGuid().ToString(),
                ["vial"] = number,
                ["name"] = $"Spar {number}",
            };
        Task<(HttpStatusCode Status, JsonNode? Body)> Promote(params JsonObject[] vials) =>
            api.SendAsync(
                HttpMethod.Post,
                $"/api/nursery/{id}/promote",
                new JsonObject
                {
                    ["vials"] = new JsonArray([.. vials.Select(v => v.DeepClone())]),
                    ["from"] = "F1·01",
                }.ToJsonString()
            );
        var (one, five) = (Vial(1), Vial(5));
        Api.Refused(await Promote(one, Vial(12)), "vials[1].act.vial", "Vial 12 is empty");
        Assert.Equal(61, Count(await api.GetAsync($"/api/stock/{id}")));
        Api.Refused(await Promote(one, Vial(1)), "vials", "Each vial once");
        Assert.Equal(HttpStatusCode.OK, (await Promote(one, five)).Status);
        // A retry is answered as before.
        Assert.Equal(HttpStatusCode.OK, (await Promote(one, five)).Status);
        Assert.Equal(59, Count(await api.GetAsync($"/api/stock/{id}")));
        var spar = await api.GetAsync($"/api/stock/{one["stockId"]!.GetValue<string>()}");
        // Vial 1 was a molt ahead of the others.
        Assert.Equal("i4", spar["instar"]!.GetValue<string>());
        Assert.Equal("F1·01", spar["place"]!.GetValue<string>());
        var other = await api.GetAsync($"/api/stock/{five["stockId"]!.GetValue<string>()}");
        Assert.Equal(("i3", "F1·02"), (other["instar"]!.GetValue<string>(), other["place"]!.GetValue<string>()));
        Api.Refused(await Promote(Vial(1)), "vials[0].act.vial", "Vial 1 is empty");
        var river = (await api.GetAsync($"/api/nursery/{id}"))["river"]!["bends"]!.AsArray();
        Assert.Equal(2, river.Count(b => b!["branch"]!.GetValue<string>() == "promoted"));
    }

    [Fact]
    public async Task Bad_numbers_of_a_brood_are_refused_with_a_sentence_each()
    {
        var id = await IdAsync("Cork nymphs");
        Task<(HttpStatusCode Status, JsonNode? Body)> Log(JsonObject act) =>
            api.SendAsync(HttpMethod.Post, $"/api/stock/{id}/journal", Api.Log(act).ToJsonString());
        Api.Refused(
            await Log(Api.Act("departed", ("departure", "died"), ("count", 500))),
            "act.count",
            "Must be 1 to 82"
        );
        Api.Refused(await Log(Api.Act("divided", ("vials", 900))), "act.vials", "Must be 1 to 82");
        Api.Refused(await Log(Api.Act("secondLook", ("found", 1))), "act.found", "Nobody is missing");
        Api.Refused(await Log(Api.Act("vialsMolted", ("vials", new JsonArray(99)))), "act.vials", "1 to 82");
    }

    [Fact]
    public async Task A_brood_is_weighed()
    {
        JsonObject Body(double total, double scale = 1) =>
            new()
            {
                ["totalMg"] = total,
                ["scaleMg"] = scale,
                ["samples"] = new JsonArray([
                    .. new[] { 151, 160, 148 }.Select(mg => new JsonObject { ["count"] = 20, ["mg"] = mg }),
                ]),
            };
        var (status, body) = await api.SendAsync(HttpMethod.Post, "/api/calc/weighed-count", Body(1840).ToJsonString());
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(241, body!["result"]!["count"]!.GetValue<int>());
        Api.Refused(
            await api.SendAsync(HttpMethod.Post, "/api/calc/weighed-count", Body(100).ToJsonString()),
            "totalMg",
            "at least 459 mg"
        );
        Api.Refused(
            await api.SendAsync(HttpMethod.Post, "/api/calc/weighed-count", Body(1840, -1).ToJsonString()),
            "scaleMg",
            "Must be 0 to"
        );
    }

    private static int Count(JsonNode animal) => animal["details"]!["count"]!.GetValue<int>();
}
