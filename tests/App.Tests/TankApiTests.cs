using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>Shared tanks, young, partings, loans and contacts through the API.</summary>
public sealed class TankApiTests : IDisposable
{
    private readonly LanternFactory app = new();
    private readonly Api api;

    public TankApiTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    private static JsonObject Crab(string name, string kind = "specimen", int count = 1)
    {
        var details = Api.Details(name, "coenobita-rugosus", "hermit-crab");
        details["kind"] = kind;
        details["sex"] = "unknown";
        details["moltsAtArrival"] = null;
        details["hatchedOn"] = null;
        details["count"] = count;
        return details;
    }

    private Task<string> AddAsync(string name, string place, string kind = "specimen", string? tank = null)
    {
        var body = Api.New(place, Crab(name, kind), legSpanMm: null);
        body["tankId"] = tank;
        return api.AddAsync(body);
    }

    private static Task<JsonNode> LogAsync(Api api, string id, JsonObject act) =>
        api.TakeAsync($"/api/stock/{id}/journal", Api.Log(act));

    [Fact]
    public async Task A_crab_is_added_into_a_tank_and_its_burial_is_told_of_both()
    {
        var tank = await AddAsync("Reef", "A1·01", "tank");
        var kelp = await AddAsync("Kelp", "A1·01", tank: tank);
        var wrack = await AddAsync("Wrack", "A1·01", tank: tank);
        var choice = Assert.Single((await api.GetAsync("/api/tanks")).AsArray())!;
        Assert.Equal(("Reef", 2), ((string)choice["name"]!, (int)choice["inmates"]!));

        await LogAsync(api, kelp, Api.Act("began", ("vigil", "surfacing")));
        var page = await api.GetAsync($"/api/stock/{tank}");
        Assert.Equal(["Kelp", "Wrack"], page["inmates"]!.AsArray().Select(i => (string)i!["name"]!));
        Assert.Equal("buried", (string)page["inmates"]![0]!["phaseWord"]!);
        var dig = page["hush"]!.AsArray().Single(l => (string)l!["act"]! == "dig")!;
        Assert.Equal("never", (string)dig["verdict"]!);
        Assert.StartsWith("Kelp: ", (string)dig["contributors"]![0]!["why"]!["text"]!, StringComparison.Ordinal);

        // The round asks for the tank once, and for nobody in it.
        var round = await api.GetAsync("/api/round");
        var due = round["lines"]!.AsArray().Where(l => (string)l!["state"]! == "due").ToList();
        Assert.Equal(tank, (string)Assert.Single(due)!["stockId"]!);
        Assert.Equal("Reef", (string)(await api.GetAsync($"/api/stock/{wrack}"))["tank"]!["name"]!);

        var (status, body) = await api.PostAsync(
            $"/api/stock/{tank}/journal",
            Api.Log(Api.Act("departed", ("departure", "takenDown"), ("remark", null)))
        );
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Contains("2 still live in it", body!.ToJsonString(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task An_animal_that_shares_no_tank_is_refused_with_the_reason()
    {
        var tank = await AddAsync("Reef", "A1·01", "tank");
        var spider = await api.AddAsync(Api.New("A1·02"));
        var (status, body) = await api.PostAsync(
            $"/api/stock/{spider}/journal",
            Api.Log(Api.Act("placed", ("tankId", tank)))
        );
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Contains("shares no tank", body!.ToJsonString(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task Some_of_many_are_parted_into_a_record_of_their_own()
    {
        var details = Api.Details("Sac");
        details["kind"] = "brood";
        details["sex"] = "unknown";
        details["count"] = 40;
        var sac = await api.AddAsync(Api.New("A1·01", details, legSpanMm: null));
        var vials = Guid.NewGuid().ToString();
        var page = await LogAsync(
            api,
            sac,
            Api.Act("parted", ("partyId", vials), ("count", 12), ("party", "Vials"), ("place", "B1·01"))
        );
        Assert.Equal(28, (int)page["details"]!["count"]!);
        var other = await api.GetAsync($"/api/stock/{vials}");
        Assert.Equal((12, "B1·01"), ((int)other["details"]!["count"]!, (string)other["place"]!));
        Assert.Contains(other["journal"]!.AsArray(), l => (string)l!["text"]! == "12 taken over from Sac");
    }

    [Fact]
    public async Task A_loan_takes_it_off_the_round_until_it_is_back()
    {
        var id = await api.AddAsync(Api.New("A1·01"));
        var page = await LogAsync(api, id, Api.Act("lent", ("to", "Keeper of the ferry"), ("backBy", "2026-12-24")));
        Assert.Equal("Keeper of the ferry", (string)page["loan"]!["to"]!);
        Assert.Empty((await api.GetAsync("/api/round"))["lines"]!.AsArray());
        page = await LogAsync(api, id, Api.Act("returned", ("remark", null)));
        Assert.Null(page["loan"]);
        Assert.NotEmpty((await api.GetAsync("/api/round"))["lines"]!.AsArray());
    }

    [Fact]
    public async Task Contacts_are_kept_with_name_and_note()
    {
        var id = Guid.NewGuid().ToString();
        JsonObject Say(string name, string note) =>
            new()
            {
                ["id"] = Guid.NewGuid().ToString(),
                ["act"] = Api.Act("contactSaid", ("contactId", id), ("name", name), ("note", note)),
            };
        await api.TakeAsync("/api/contacts/journal", Say("Keeper of the ferry", "good males"));
        await api.TakeAsync("/api/contacts/journal", Say("Keeper of the ferry", "lent two"));
        Assert.Equal("lent two", (string)Assert.Single((await api.GetAsync("/api/contacts")).AsArray())!["note"]!);
        var (status, body) = await api.PostAsync("/api/contacts/journal", Say("", ""));
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Contains("name", body!["errors"]!.ToJsonString(), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("mantis")]
    [InlineData("moth")]
    [InlineData("beetle")]
    [InlineData("ant")]
    public async Task A_species_that_is_not_in_the_rulebook_can_be_added(string group)
    {
        var details = Crab("Nova");
        details["group"] = group;
        details["speciesId"] = null;
        details["otherSpecies"] = "Nova species";
        var id = await api.AddAsync(Api.New("A1·01", details, legSpanMm: null));
        Assert.Equal("Nova species", (string)(await api.GetAsync($"/api/stock/{id}"))["species"]!);
    }
}
