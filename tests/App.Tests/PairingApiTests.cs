using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>The pairing desk of the demo's room, and pedigrees that cannot be.</summary>
public sealed class PairingApiTests : IDisposable
{
    private readonly LanternFactory app = new(demo: true);
    private readonly Api api;

    public PairingApiTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    [Fact]
    public async Task The_desk_lists_species_by_species_with_races_and_pairs()
    {
        var desk = await api.GetAsync("/api/pairing");
        Assert.Empty(desk["loop"]!.AsArray());
        var family = desk["species"]!.AsArray().Single(s => s!["name"]!.GetValue<string>() == "Ceratogyrus darlingi")!;
        var pairs = family["pairs"]!.AsArray();
        Assert.Equal("near", pairs[0]!["kin"]!["word"]!.GetValue<string>());
        Assert.Equal(0.0625, pairs[0]!["kin"]!["inbreeding"]!.GetValue<double>());
        Assert.Contains(pairs, p => p!["kin"]!["word"]!.GetValue<string>() == "tooNear");
        var dapple = family["candidates"]!.AsArray().First(c => c!["name"]!.GetValue<string>() == "Dapple")!;
        var nights = dapple["race"]!["value"]!["nights"]!.AsArray();
        var chances = nights.Select(n => n!["chance"]!.GetValue<double>()).ToList();
        Assert.All(chances, c => Assert.InRange(c, 0, 1));
        Assert.Equal(chances.OrderDescending(), chances);
    }

    [Fact]
    public async Task Nobody_is_made_an_ancestor_of_itself()
    {
        var desk = await api.GetAsync("/api/pairing");
        var family = desk["species"]!.AsArray().Single(s => s!["name"]!.GetValue<string>() == "Ceratogyrus darlingi")!;
        string IdOf(string name) =>
            family["candidates"]!.AsArray().First(c => c!["name"]!.GetValue<string>() == name)![
                "stockId"
            ]!.GetValue<string>();
        async Task<(HttpStatusCode Status, JsonNode? Body)> TellAsync(string name, string field, string parent)
        {
            var animal = await api.GetAsync($"/api/stock/{IdOf(name)}");
            var details = animal["details"]!.DeepClone();
            details[field] = IdOf(parent);
            return await PutAsync(
                $"/api/stock/{IdOf(name)}",
                new JsonObject
                {
                    ["entryId"] = Guid.NewGuid(),
                    ["version"] = animal["version"]!.DeepClone(),
                    ["details"] = details,
                    ["place"] = animal["place"]!.DeepClone(),
                }
            );
        }

        Assert.Equal(HttpStatusCode.OK, (await TellAsync("Ebb", "fatherId", "Reeve")).Status);
        Api.Refused(
            await TellAsync("Reeve", "fatherId", "Ebb"),
            "details.fatherId",
            "Ebb descends from Reeve: Ebb ← Reeve"
        );
        Api.Refused(await TellAsync("Reeve", "fatherId", "Reeve"), "details.fatherId", "not a parent of itself");
        Api.Refused(await TellAsync("Reeve", "fatherId", "Dapple"), "details.fatherId", "Dapple is female");
        // Nothing of what was refused is written.
        Assert.Empty((await api.GetAsync("/api/pairing"))["loop"]!.AsArray());
    }

    [Fact]
    public async Task A_juvenile_is_neither_paired_nor_a_mate()
    {
        var desk = await api.GetAsync("/api/pairing");
        var family = desk["species"]!.AsArray().Single(s => s!["name"]!.GetValue<string>() == "Ceratogyrus darlingi")!;
        string IdOf(string name) =>
            family["candidates"]!.AsArray().First(c => c!["name"]!.GetValue<string>() == name)![
                "stockId"
            ]!.GetValue<string>();
        Task<(HttpStatusCode Status, JsonNode? Body)> PairAsync(string one, string other) =>
            api.PostAsync(
                $"/api/stock/{IdOf(one)}/journal",
                Api.Log(Api.Act("paired", ("partnerId", IdOf(other)), ("method", "watched")))
            );
        Api.Refused(await PairAsync("Quill", "Reeve"), "act", "Quill is not adult by its record");
        Api.Refused(await PairAsync("Reeve", "Quill"), "act.partnerId", "Quill is not adult by its record");
        Api.Refused(await PairAsync("Reeve", "Ebb"), "act.partnerId", "Ebb is a male too");
        Assert.Equal(HttpStatusCode.OK, (await PairAsync("Reeve", "Dapple")).Status);
    }

    private Task<(HttpStatusCode Status, JsonNode? Body)> PutAsync(string path, JsonNode body) =>
        api.SendAsync(HttpMethod.Put, path, body.ToJsonString());
}
