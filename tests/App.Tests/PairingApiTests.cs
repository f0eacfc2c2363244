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
    public async Task Kin_are_put_together_only_when_it_is_confirmed_whichever_way_it_is_logged()
    {
        var desk = await api.GetAsync("/api/pairing");
        var pair = desk["species"]!
            .AsArray()
            .SelectMany(s => s!["pairs"]!.AsArray())
            .First(p => p!["kin"]!["word"]!.GetValue<string>() == "tooNear")!;
        var (she, he) = (pair["femaleId"]!.GetValue<string>(), pair["maleId"]!.GetValue<string>());
        JsonObject Act(bool confirmed) =>
            confirmed
                ? new()
                {
                    ["kind"] = "paired",
                    ["partnerId"] = he,
                    ["despiteKin"] = true,
                }
                : new() { ["kind"] = "paired", ["partnerId"] = he };
        var (single, batch) = ($"/api/stock/{she}/journal", "/api/journal/batch");
        JsonObject One(bool confirmed) => new() { ["id"] = Guid.NewGuid(), ["act"] = Act(confirmed) };
        var many = One(false);
        many["stockId"] = she;
        var (status, refusal) = await api.PostAsync(single, One(false));
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Contains(
            "Too near of kin",
            refusal!["errors"]!["act.partnerId"]![0]!.GetValue<string>(),
            StringComparison.Ordinal
        );
        (status, refusal) = await api.PostAsync(batch, new JsonObject { ["entries"] = new JsonArray(many) });
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.NotNull(refusal!["errors"]!["entries[0].act.partnerId"]);
        (status, _) = await api.PostAsync(single, One(true));
        Assert.Equal(HttpStatusCode.OK, status);
    }

    [Fact]
    public async Task Nobody_is_made_an_ancestor_of_itself()
    {
        var ids = await IdsAsync();
        string IdOf(string name) => ids[name];
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
        var ids = await IdsAsync();
        string IdOf(string name) => ids[name];
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

    [Fact]
    public async Task A_run_stands_in_both_journals_from_its_beginning_to_its_end()
    {
        var ids = await IdsAsync();
        var (she, he) = (ids["Dapple"], ids["Reeve"]);
        Task<JsonNode> SheetAsync(string one) => api.GetAsync($"/api/pairing/run?one={one}");
        var before = await api.GetAsync($"/api/pairing/run?one={she}&other={he}");
        Assert.Null(before["pairing"]);
        Assert.Equal("near", before["kin"]!["word"]!.GetValue<string>());
        Assert.Equal("netOvernight", before["ways"]![0]!["way"]!["method"]!.GetValue<string>());

        Assert.Equal(
            HttpStatusCode.OK,
            (await LogAsync(she, "paired", ("partnerId", he), ("method", "watched"), ("led", true))).Status
        );
        // Either of the two leads to it, and neither is put together with another meanwhile.
        Assert.Equal("Reeve", (await SheetAsync(he))["he"]!["name"]!.GetValue<string>());
        Api.Refused(
            await LogAsync(ids["Ebb"], "paired", ("partnerId", she), ("led", true), ("despiteKin", true)),
            "act.partnerId",
            "Dapple is together with Reeve now"
        );
        foreach (var _ in Enumerable.Range(0, 3))
        {
            Assert.Equal(
                HttpStatusCode.OK,
                (await LogAsync(he, "pairingSeen", ("sight", "lunge"), ("partnerId", she))).Status
            );
        }

        Assert.Equal("3 lunges: part them now.", (await SheetAsync(she))["part"]!.GetValue<string>());
        Api.Refused(
            await LogAsync(she, "pairingSeen", ("sight", "insertion"), ("minutes", 0), ("partnerId", he)),
            "act.minutes",
            "Must be 1 to 1440"
        );
        Assert.Equal(
            HttpStatusCode.OK,
            (await LogAsync(she, "pairingEnded", ("ending", "maleEaten"), ("partnerId", he))).Status
        );
        var gone = await api.GetAsync($"/api/stock/{he}");
        Assert.Equal("eaten by Dapple", gone["departure"]!["remark"]!.GetValue<string>());
        Api.Refused(
            await LogAsync(she, "pairingEnded", ("ending", "maleSafe"), ("partnerId", he)),
            "act.kind",
            "Dapple is not together with a mate now"
        );

        // Taken back at one, it is taken back at both: he lives.
        var ended = (await api.GetAsync($"/api/stock/{she}"))["journal"]!
            .AsArray()
            .First(l => l!["act"]!["kind"]!.GetValue<string>() == "pairingEnded")!;
        var undone = await api.PostAsync(
            $"/api/stock/{she}/journal/undo",
            new JsonObject { ["id"] = Guid.NewGuid(), ["entryId"] = ended["id"]!.DeepClone() }
        );
        Assert.Equal(HttpStatusCode.OK, undone.Status);
        Assert.Null((await api.GetAsync($"/api/stock/{he}"))["departure"]);
        Assert.Null((await SheetAsync(he))["pairing"]!["end"]);
    }

    [Fact]
    public async Task What_does_not_exist_is_not_found()
    {
        var ids = await IdsAsync();
        foreach (
            var path in new[]
            {
                $"/api/pairing/run?one={Guid.NewGuid()}",
                $"/api/pairing/run?one={ids["Dapple"]}&other={Guid.NewGuid()}",
                "/api/pairing/chart?species=Nova+incerta",
            }
        )
        {
            Assert.Equal(HttpStatusCode.NotFound, (await api.SendAsync(HttpMethod.Get, path, null)).Status);
        }

        var chart = await api.GetAsync("/api/pairing/chart?species=Ceratogyrus+darlingi");
        var lines = chart["lines"]!.AsArray();
        var (dapple, ebb) = (
            lines.Select((l, i) => (l, i)).Single(x => x.l!["name"]!.GetValue<string>() == "Dapple").i,
            lines.Single(l => l!["name"]!.GetValue<string>() == "Ebb")
        );
        Assert.Equal(0.125, ebb!["with"]![dapple]!.GetValue<double>());
    }

    [Fact]
    public async Task What_is_borrowed_goes_back_and_is_not_lent()
    {
        var ids = await IdsAsync();
        var ebb = await api.GetAsync($"/api/stock/{ids["Ebb"]}");
        async Task<(HttpStatusCode Status, JsonNode? Body)> BorrowedAsync(JsonObject borrowed)
        {
            var details = ebb["details"]!.DeepClone();
            details["borrowed"] = borrowed;
            return await PutAsync(
                $"/api/stock/{ids["Ebb"]}",
                new JsonObject
                {
                    ["entryId"] = Guid.NewGuid(),
                    ["version"] = ebb["version"]!.DeepClone(),
                    ["details"] = details,
                    ["place"] = ebb["place"]!.DeepClone(),
                }
            );
        }

        Api.Refused(await BorrowedAsync(new JsonObject { ["owner"] = "" }), "details.borrowed.owner", "Write 1 to 60");
        Api.Refused(
            await BorrowedAsync(new JsonObject { ["owner"] = "a friend", ["backBy"] = "2020-01-01" }),
            "details.borrowed.backBy",
            "Must not lie before the day it came"
        );
        var taken = await BorrowedAsync(
            new JsonObject
            {
                ["owner"] = "a friend",
                ["backBy"] = "2026-11-23",
                ["share"] = "half of the young",
            }
        );
        Assert.Equal(HttpStatusCode.OK, taken.Status);
        Api.Refused(await LogAsync(ids["Ebb"], "lent", ("to", "somebody else")), "act.kind", "It is a friend’s");
        var line = (await api.GetAsync("/api/round"))["lines"]!
            .AsArray()
            .Single(l => l!["name"]!.GetValue<string>() == "Ebb")!;
        Assert.Equal("giveBack", line["act"]!.GetValue<string>());
    }

    private Task<(HttpStatusCode Status, JsonNode? Body)> LogAsync(
        string id,
        string kind,
        params (string Name, JsonNode? Value)[] fields
    ) => api.PostAsync($"/api/stock/{id}/journal", Api.Log(Api.Act(kind, fields)));

    /// <summary>Ids of the family at the desk, by name.</summary>
    private async Task<Dictionary<string, string>> IdsAsync() =>
        (await api.GetAsync("/api/pairing"))["species"]!
            .AsArray()
            .Single(s => s!["name"]!.GetValue<string>() == "Ceratogyrus darlingi")!["candidates"]!
            .AsArray()
            .ToDictionary(c => c!["name"]!.GetValue<string>(), c => c!["stockId"]!.GetValue<string>());

    private Task<(HttpStatusCode Status, JsonNode? Body)> PutAsync(string path, JsonNode body) =>
        api.SendAsync(HttpMethod.Put, path, body.ToJsonString());
}
