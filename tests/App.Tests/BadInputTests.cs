using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>Bad input gets problem details that name the field and the range; nothing is half-written; never a 500.</summary>
public sealed class BadInputTests : IDisposable
{
    private readonly LanternFactory app = new();
    private readonly Api api;

    public BadInputTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    [Theory]
    [InlineData("nickname", "", "details.nickname", "1 to 60")]
    [InlineData("speciesId", "unicorn", "details.speciesId", "Known")]
    [InlineData("group", "snail", "details.group", "Known")]
    [InlineData("acquiredOn", "2026-11-25", "details.acquiredOn", "tonight")]
    [InlineData("acquiredOn", "1900-01-01", "details.acquiredOn", "between")]
    [InlineData("acquiredOn", "soon", "details.acquiredOn", "a date like")]
    [InlineData("hatchedOn", "2026-05-01", "details.hatchedOn", "Must not be after")]
    [InlineData("moltsAtArrival", -1, "details.moltsAtArrival", "0 to 30")]
    [InlineData("moltsAtArrival", 2.5, "details.moltsAtArrival", "a whole number")]
    [InlineData("moltsAtArrival", "five", "details.moltsAtArrival", "a whole number")]
    [InlineData("count", 0, "details.count", "one animal")]
    [InlineData("sex", "both", "details.sex", "one of unknown, female, male")]
    [InlineData("kind", 7, "details.kind", "one of specimen, brood")]
    [InlineData("matureAtArrival", "yes", "details.matureAtArrival", "true or false")]
    public async Task Details_that_cannot_be(string field, object value, string named, string says)
    {
        var body = Api.New();
        body["details"]![field] = JsonValue.Create(value);
        Api.Refused(await api.PostAsync("/api/stock", body), named, says);
        Assert.Empty(await api.StockAsync());
    }

    [Theory]
    [InlineData("Z")]
    [InlineData("A1")]
    [InlineData("")]
    public async Task A_place_that_is_none(string place) =>
        Api.Refused(await api.PostAsync("/api/stock", Api.New(place)), "place", "A1·03");

    [Fact]
    public async Task A_name_that_is_too_long() =>
        Api.Refused(
            await api.PostAsync("/api/stock", Api.New(details: Api.Details(new string('x', 61)))),
            "details.nickname",
            "At most 60"
        );

    [Theory]
    [InlineData("details")]
    [InlineData("id")]
    public async Task A_missing_field_is_named(string field)
    {
        var body = Api.New();
        body.Remove(field);
        Api.Refused(await api.PostAsync("/api/stock", body), field, "missing");
    }

    [Theory]
    [InlineData(0)]
    [InlineData(-3)]
    [InlineData(400)]
    [InlineData(1e11)]
    public async Task An_absurd_leg_span(double mm)
    {
        Api.Refused(await api.PostAsync("/api/stock", Api.New(legSpanMm: mm)), "act.lengthMm", "2 to 300 mm");
        Assert.Empty(await api.StockAsync());
    }

    [Theory]
    [InlineData("2027-01-01", null, "foundOn", "tonight")]
    [InlineData("1800-01-01", null, "foundOn", "between")]
    [InlineData("2026-11-10", "2026-11-12", "lastSeenBefore", "Must not lie after")]
    public async Task A_molt_on_a_night_that_cannot_be(string foundOn, string? before, string field, string says)
    {
        var id = await api.AddAsync();
        Api.Refused(
            await api.PostAsync($"/api/stock/{id}/journal", Api.Log(Api.Act("molted"), foundOn, before)),
            field,
            says
        );
    }

    [Fact]
    public async Task A_molt_before_hatching()
    {
        var details = Api.Details();
        details["acquiredOn"] = "2025-06-01";
        var body = Api.New(details: details);
        body["lastMoltOn"] = "2025-05-20";
        Api.Refused(await api.PostAsync("/api/stock", body), "lastMoltOn", "before it hatched");
    }

    public static TheoryData<string, string, string> BadActs =>
        new()
        {
            {
                """{"kind":"offered","feederId":"dragon","sizeClassId":"small","count":1,"preparation":"live","outcome":"eaten"}""",
                "act.feederId",
                "Known"
            },
            {
                """{"kind":"offered","feederId":"cricket","sizeClassId":"huge","count":1,"preparation":"live","outcome":"eaten"}""",
                "act.sizeClassId",
                "Known"
            },
            {
                """{"kind":"offered","feederId":"cricket","sizeClassId":"small","count":0,"preparation":"live","outcome":"eaten"}""",
                "act.count",
                "1 to 2000"
            },
            {
                """{"kind":"offered","feederId":"cricket","sizeClassId":"small","count":"two","preparation":"live","outcome":"eaten"}""",
                "act.count",
                "a whole number"
            },
            {
                """{"kind":"offered","feederId":"cricket","sizeClassId":"small","count":1,"preparation":"live","outcome":"loved"}""",
                "act.outcome",
                "one of eaten"
            },
            {
                """{"kind":"offered","feederId":"cricket","sizeClassId":"small","count":1,"preparation":"live"}""",
                "act.outcome",
                "missing"
            },
            { """{"kind":"signSeen","signId":"sealed-hammock"}""", "act.signId", "Known" },
            { """{"kind":"measured","part":"legSpan","lengthMm":"wide"}""", "act.lengthMm", "a number" },
            {
                """{"kind":"measured","part":"legSpan","lengthMm":60,"fromExuvia":true}""",
                "act.fromExuvia",
                "log the molt first"
            },
            { """{"kind":"moved","place":"nowhere"}""", "act.place", "A1·03" },
            { """{"kind":"counted","count":5}""", "act.count", "Only a brood or a colony" },
            { """{"kind":"noted","text":"  "}""", "act.text", "1 to 2000" },
            { """{"kind":"putOff","untilNight":"2026-11-23"}""", "act.untilNight", "after that night" },
            { """{"kind":"putOff","untilNight":"2029-11-23"}""", "act.untilNight", "60 nights" },
            { """{"kind":"withdrawn","entryId":"00000000-0000-0000-0000-000000000001"}""", "act.kind", "undo" },
            { """{"kind":"acquired","details":null,"place":"A1·01"}""", "act.details", "" },
            { """{"kind":"danced"}""", "act", "" },
            { """{"text":"no kind"}""", "act", "" },
            { "null", "act", "" },
        };

    [Theory]
    [MemberData(nameof(BadActs))]
    public async Task An_act_that_cannot_be(string act, string field, string says)
    {
        var id = await api.AddAsync();
        var before = (await api.GetAsync($"/api/stock/{id}"))["journal"]!.AsArray().Count;
        var body = $$"""{"id":"{{Guid.NewGuid()}}","act":{{act}}}""";
        Api.Refused(await api.SendAsync(HttpMethod.Post, $"/api/stock/{id}/journal", body), field, says);
        Assert.Equal(before, (await api.GetAsync($"/api/stock/{id}"))["journal"]!.AsArray().Count);
    }

    [Fact]
    public async Task A_note_that_is_too_long()
    {
        var id = await api.AddAsync();
        var note = Api.Act("noted", ("text", new string('x', 2001)));
        Api.Refused(await api.PostAsync($"/api/stock/{id}/journal", Api.Log(note)), "act.text", "At most 2000");
    }

    [Fact]
    public async Task Nothing_happens_to_an_animal_that_left()
    {
        var id = await api.AddAsync();
        await api.LogAsync(id, Api.Act("departed", ("departure", "sold")), foundOn: "2026-11-20");
        Api.Refused(
            await api.PostAsync($"/api/stock/{id}/journal", Api.Log(Api.Offer("eaten"))),
            "when",
            "left the collection"
        );
    }

    [Theory]
    [InlineData("{")]
    [InlineData("[]")]
    [InlineData("42")]
    [InlineData("null")]
    [InlineData("\"text\"")]
    [InlineData("{\"id\":\"not-an-id\",\"act\":{\"kind\":\"looked\"}}")]
    public async Task Json_that_cannot_be_read(string json)
    {
        var id = await api.AddAsync();
        foreach (
            var path in new[]
            {
                "/api/stock",
                $"/api/stock/{id}/journal",
                $"/api/stock/{id}/journal/undo",
                "/api/calc/vigil",
                "/api/calc/prey",
                "/api/calc/growth-fit",
            }
        )
        {
            var (status, body) = await api.SendAsync(HttpMethod.Post, path, json);
            Assert.True(status == HttpStatusCode.BadRequest, $"{path} {(int)status} {body}");
            Assert.NotNull(body!["errors"]);
        }
    }

    [Fact]
    public async Task What_does_not_exist_is_not_found()
    {
        var nobody = Guid.NewGuid();
        Assert.Equal(HttpStatusCode.NotFound, (await api.SendAsync(HttpMethod.Get, $"/api/stock/{nobody}")).Status);
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await api.PostAsync($"/api/stock/{nobody}/journal", Api.Log(Api.Act("looked")))).Status
        );
        Assert.Equal(HttpStatusCode.NotFound, (await api.SendAsync(HttpMethod.Get, "/api/nothing")).Status);
        Assert.Equal(HttpStatusCode.NotFound, (await api.SendAsync(HttpMethod.Get, "/api/stock/not-an-id")).Status);
    }

    [Theory]
    [InlineData("/api/stock?here=perhaps")]
    public async Task A_query_that_cannot_be_read(string path) =>
        Api.Refused(await api.SendAsync(HttpMethod.Get, path), "here", "");

    [Fact]
    public async Task Undoing_what_is_not_there()
    {
        var id = await api.AddAsync();
        var undo = new JsonObject { ["id"] = Guid.NewGuid().ToString(), ["entryId"] = Guid.NewGuid().ToString() };
        Api.Refused(await api.PostAsync($"/api/stock/{id}/journal/undo", undo), "act.entryId", "No such entry");
    }

    [Theory]
    [InlineData("roomName", "", "settings.roomName", "1 to 80")]
    [InlineData("zoneId", "Atlantis/Capital", "settings.zoneId", "Unknown time zone")]
    [InlineData("cutoverHour", 13, "settings.cutoverHour", "0 to 12")]
    [InlineData("unit", "furlong", "settings.unit", "one of mm, cm, in")]
    public async Task Settings_that_cannot_be(string field, object value, string named, string says)
    {
        var settings = await api.GetAsync("/api/settings");
        settings["settings"]![field] = JsonValue.Create(value);
        Api.Refused(await api.SendAsync(HttpMethod.Put, "/api/settings", settings.ToJsonString()), named, says);
    }
}
