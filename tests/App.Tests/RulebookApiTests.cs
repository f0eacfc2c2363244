using System.Net;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Hosting.Tests;
using SkiaSharp;

namespace App.Tests;

/// <summary>Changing rules, adding species, pictures, the guide and what the room has taught, as any client would.</summary>
public sealed class RulebookApiTests : IDisposable
{
    private readonly LanternFactory app = new();
    private readonly Api api;

    public RulebookApiTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    private static JsonObject Change(string scope, string rule, JsonNode value, string? stockId = null) =>
        new()
        {
            ["id"] = Guid.NewGuid().ToString(),
            ["scope"] = scope,
            ["group"] = rule.StartsWith("room.", StringComparison.Ordinal) ? "" : "tarantula",
            ["speciesId"] = scope == "species" ? "tliltocatl-albopilosus" : null,
            ["stockId"] = stockId,
            ["rule"] = rule,
            ["value"] = value,
            ["remark"] = "as my old ones did",
        };

    private static JsonObject Wait(double p10, double p50, double p90) =>
        new JsonObject
        {
            ["p10"] = p10,
            ["p50"] = p50,
            ["p90"] = p90,
        };

    [Fact]
    public async Task A_change_reaches_as_far_as_it_says_and_the_nearest_wins()
    {
        var mine = await api.AddAsync(Api.New("A1·01"));
        var sister = await api.AddAsync(Api.New("A1·02"));
        var cousin = await api.AddAsync(Api.New("A1·03", Api.Details(species: "tliltocatl-vagans")));
        async Task<double> Every(string id) =>
            (await api.GetAsync($"/api/stock/{id}"))["meal"]!["value"]!["everyDays"]!.GetValue<double>();
        async Task All(double a, double b, double c) =>
            Assert.Equal((a, b, c), (await Every(mine), await Every(sister), await Every(cousin)));
        const string Rule = "group.cadence.juvenile.default";
        await api.TakeAsync("/api/rulebook/overrides", Change("room", Rule, 9));
        await All(9, 9, 9);
        await api.TakeAsync("/api/rulebook/overrides", Change("species", Rule, 11));
        await All(11, 11, 9);
        await api.LogAsync(mine, Api.Offer("eaten"));
        var own = Change("animal", Rule, 13, mine);
        var preview = await api.TakeAsync("/api/rulebook/overrides/preview", own);
        Assert.Equal(1, preview["animals"]!.GetValue<int>());
        Assert.Equal(11, await Every(mine));
        await api.TakeAsync("/api/rulebook/overrides", own);
        await All(13, 11, 9);
        var why = (await api.GetAsync($"/api/stock/{mine}"))["meal"]!["reasons"]!.AsArray();
        Assert.Contains(
            why,
            r =>
                r!["tag"]!.GetValue<string>() == "keeper"
                && r["source"]!.GetValue<string>().Contains("as my old ones did")
        );
        var (status, _) = await api.SendAsync(HttpMethod.Delete, $"/api/rulebook/overrides/{own["id"]}");
        Assert.Equal(HttpStatusCode.NoContent, status);
        Assert.Equal(11, await Every(mine));
        (status, _) = await api.SendAsync(HttpMethod.Delete, $"/api/rulebook/overrides/{own["id"]}");
        Assert.Equal(HttpStatusCode.NotFound, status);
    }

    [Fact]
    public async Task A_changed_interval_moves_the_forecast_and_the_change_survives_sending_it_twice()
    {
        var id = await api.AddAsync();
        await api.LogAsync(id, Api.Act("molted"), foundOn: "2026-11-01");
        async Task<string> Half() =>
            (await api.GetAsync($"/api/stock/{id}"))["molt"]!["value"]!["p50"]!.GetValue<string>();
        var before = await Half();
        var change = Change("species", "species.moltInterval.juvenile", Wait(200, 300, 400));
        await api.TakeAsync("/api/rulebook/overrides", change);
        await api.TakeAsync("/api/rulebook/overrides", change.DeepClone());
        Assert.True(string.CompareOrdinal(await Half(), before) > 0);
        Assert.Single((await api.GetAsync("/api/rulebook/overrides")).AsArray());
    }

    [Theory]
    [InlineData("species.growthRatio", "9", "value", "1.01 to 2.5")]
    [InlineData("species.growthRatio", "\"much\"", "value", "same form")]
    [InlineData("species.wings", "2", "rule", "There is no rule")]
    [InlineData("species.moltInterval.juvenile", "{\"p10\":9,\"p50\":3,\"p90\":40}", "value", "Must rise")]
    [InlineData("dragon.fire", "2", "rule", "begin with")]
    [InlineData("group.cadence.juvenile.default", "-1", "value", "above 0")]
    [InlineData("group.cadence.juvenile.default", "1e9", "value", "at most 10000")]
    [InlineData("group.firstMeal.adult.default", "{\"low\":1,\"high\":2}", "value", "same form")]
    public async Task A_change_that_cannot_be_is_refused(string rule, string value, string field, string says)
    {
        foreach (var path in new[] { "/api/rulebook/overrides", "/api/rulebook/overrides/preview" })
        {
            Api.Refused(await api.PostAsync(path, Change("species", rule, JsonNode.Parse(value)!)), field, says);
        }
    }

    [Fact]
    public async Task Every_species_has_a_sheet_in_which_each_value_has_unit_tag_and_source()
    {
        foreach (var species in (await api.GetAsync("/api/rulebook"))["species"]!.AsArray())
        {
            var sheet = await api.GetAsync($"/api/rulebook/species/{species!["id"]}");
            Assert.True(sheet["lines"]!.AsArray().Count > 40);
            Assert.All(
                sheet["lines"]!.AsArray(),
                l =>
                {
                    Assert.NotEqual("", l!["line"]!["unit"]!.GetValue<string>());
                    Assert.NotEqual("", l["line"]!["source"]!.GetValue<string>());
                    Assert.NotEqual("", l["line"]!["text"]!.GetValue<string>());
                }
            );
        }
    }

    [Fact]
    public async Task A_species_profile_is_exported_changed_and_added_as_ones_own()
    {
        var profile = (await api.GetAsync("/api/rulebook/species/caribena-versicolor/profile")).AsObject();
        Api.Refused(await api.PostAsync("/api/rulebook/species", profile.DeepClone()), "id", "shipped rulebook");
        profile["id"] = "caribena-nova";
        profile["scientificName"] = "Caribena nova";
        profile["growthRatio"]!["value"] = 1.4;
        var sheet = await api.TakeAsync("/api/rulebook/species", profile);
        Assert.True(sheet["own"]!.GetValue<bool>());
        var id = await api.AddAsync(Api.New("A1·01", Api.Details(species: "caribena-nova")));
        Assert.Equal("Caribena nova", (await api.GetAsync($"/api/stock/{id}"))["species"]!.GetValue<string>());
        profile["growthRatio"]!["value"] = 9;
        Assert.Equal(HttpStatusCode.BadRequest, (await api.PostAsync("/api/rulebook/species", profile)).Status);
        profile.Remove("group");
        Assert.Equal(HttpStatusCode.BadRequest, (await api.PostAsync("/api/rulebook/species", profile)).Status);
    }

    [Fact]
    public async Task The_published_schemas_are_those_of_the_records()
    {
        foreach (var (name, schema) in Ledger.Schemas.All)
        {
            var published = Path.Combine(LanternFactory.Root, "docs", "schemas", name);
            Assert.Equal(await File.ReadAllTextAsync(published), schema);
            Assert.NotNull((await api.GetAsync($"/api/schemas/{name}"))["$schema"]);
        }
    }

    [Fact]
    public async Task Every_guided_reading_ends_within_three_questions_and_never_says_to_dig()
    {
        var groups = (await api.GetAsync("/api/rulebook"))["groups"]!
            .AsArray()
            .Select(g => g!["id"]!.GetValue<string>());
        var cases = new List<JsonNode?>();
        foreach (var group in groups)
        {
            var own = (await api.GetAsync($"/api/guide/{group}")).AsArray();
            Assert.NotEmpty(own);
            cases.AddRange(own);
        }

        // What the trade is asked about most; common practice, no published source.
        Assert.Superset(
            new HashSet<string>
            {
                "on-its-back",
                "curled-under",
                "shrivelled",
                "sealed-in",
                "buried",
                "hanging-still",
                "no-strike",
                "stuck",
                "crooked",
                "pale-limp",
                "not-eating",
                "lost-leg",
                "dark-patch",
                "no-eggs",
            },
            cases.Select(c => c!["id"]!.GetValue<string>()).ToHashSet()
        );
        Assert.Equal(HttpStatusCode.NotFound, (await api.SendAsync(HttpMethod.Get, "/api/guide/dragon")).Status);
        foreach (var outcome in cases.SelectMany(c => c!["outcomes"]!.AsArray()))
        {
            Assert.NotEqual("", outcome!["ask"]!.GetValue<string>());
            Assert.NotEmpty(outcome["now"]!.AsArray());
            Assert.DoesNotContain(
                outcome["now"]!.AsArray(),
                n => Regex.IsMatch(n!.GetValue<string>(), @"^dig\b|\bdig (it|them) (up|out)", RegexOptions.IgnoreCase)
            );
        }
    }

    [Fact]
    public async Task What_is_done_against_the_hush_is_marked_and_what_is_not_is_not()
    {
        var id = await api.AddAsync();
        await api.LogAsync(id, Api.Offer("eaten"));
        await api.LogAsync(id, Api.Act("signSeen", ("signId", "on-its-back")));
        var after = await api.LogAsync(id, Api.Act("handled", ("care", "handle")));
        string? Mark(string kind) =>
            after["journal"]!
                .AsArray()
                .Single(l => l!["act"]!["kind"]!.GetValue<string>() == kind)!["against"]
                ?.GetValue<string>();
        Assert.Contains("lid", Mark("handled"), StringComparison.Ordinal);
        Assert.Null(Mark("offered"));
    }

    [Fact]
    public async Task A_picture_is_turned_upright_stripped_and_kept()
    {
        var id = await api.AddAsync();
        var (pictureId, entryId) = (Guid.NewGuid(), Guid.NewGuid());
        var jpeg = WithOrientation(Draw(300, 200), 6);
        Assert.Contains("SallowQuayCamera", System.Text.Encoding.ASCII.GetString(jpeg), StringComparison.Ordinal);
        using var http = app.CreateClient();
        async Task<HttpResponseMessage> Send(byte[] bytes, Guid picture, Guid entry)
        {
            using var content = new ByteArrayContent(bytes);
            content.Headers.ContentType = new("image/jpeg");
            return await http.PostAsync(
                new Uri($"/api/stock/{id}/pictures?pictureId={picture}&entryId={entry}&caption=skin", UriKind.Relative),
                content
            );
        }

        using (var sent = await Send(jpeg, pictureId, entryId))
        {
            Assert.Equal(HttpStatusCode.OK, sent.StatusCode);
        }

        var stored = await http.GetByteArrayAsync(new Uri($"/api/pictures/{pictureId}", UriKind.Relative));
        using var codec = SKCodec.Create(new MemoryStream(stored));
        Assert.Equal((200, 300), (codec.Info.Width, codec.Info.Height));
        Assert.Equal(SKEncodedOrigin.TopLeft, codec.EncodedOrigin);
        Assert.DoesNotContain(
            "SallowQuayCamera",
            System.Text.Encoding.ASCII.GetString(stored),
            StringComparison.Ordinal
        );
        using (var twice = await Send(jpeg, pictureId, entryId))
        {
            Assert.Equal(HttpStatusCode.OK, twice.StatusCode);
        }

        Assert.Single((await api.GetAsync($"/api/stock/{id}"))["pictures"]!.AsArray());
        foreach (var bad in new[] { "not a picture"u8.ToArray(), [], Draw(10, 10) })
        {
            using var refused = await Send(bad, Guid.NewGuid(), Guid.NewGuid());
            Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
            Assert.Contains("JPEG, PNG or WebP", await refused.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        }

        using var large = await Send(new byte[13 * 1024 * 1024], Guid.NewGuid(), Guid.NewGuid());
        Assert.Equal(HttpStatusCode.BadRequest, large.StatusCode);
    }

    [Fact]
    public async Task An_empty_room_has_been_taught_nothing_and_says_so()
    {
        Assert.Empty((await api.GetAsync("/api/lessons"))["groups"]!.AsArray());
        Assert.Empty((await api.GetAsync("/api/honesty"))["report"]!["vigils"]!.AsArray());
        var looks = await api.GetAsync("/api/looks");
        Assert.Equal((0, 0), (looks["windows"]!.GetValue<int>(), looks["most"]!.AsArray().Count));
    }

    private static byte[] Draw(int width, int height)
    {
        using var bitmap = new SKBitmap(width, height);
        bitmap.Erase(SKColors.Beige);
        return bitmap.Encode(SKEncodedImageFormat.Jpeg, 90).ToArray();
    }

    /// <summary>Puts an EXIF block with an orientation and a camera's name behind the start of a JPEG. Source: EXIF 2.3.</summary>
    private static byte[] WithOrientation(byte[] jpeg, byte orientation)
    {
        const string Camera = "SallowQuayCamera\0";
        var tiff = new List<byte>();
        tiff.AddRange("MM\0*\0\0\0\u0008"u8.ToArray());
        tiff.AddRange([0, 2]);
        tiff.AddRange([0x01, 0x0F, 0, 2, 0, 0, 0, (byte)Camera.Length, 0, 0, 0, 38]);
        tiff.AddRange([0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, orientation, 0, 0]);
        tiff.AddRange([0, 0, 0, 0]);
        tiff.AddRange(System.Text.Encoding.ASCII.GetBytes(Camera));
        byte[] body = [.. "Exif\0\0"u8.ToArray(), .. tiff];
        var length = body.Length + 2;
        return [.. jpeg[..2], 0xFF, 0xE1, (byte)(length >> 8), (byte)length, .. body, .. jpeg[2..]];
    }
}
