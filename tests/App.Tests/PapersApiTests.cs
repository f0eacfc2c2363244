using System.IO.Compression;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Hosting.Tests;
using SkiaSharp;

namespace App.Tests;

/// <summary>An animal goes from one room to another with its papers: all that happened to its body, nothing of the giver.</summary>
public sealed class PapersApiTests : IDisposable
{
    private static readonly string[] Secrets =
    [
        "dealer at the pier",
        "window tag",
        "seen by my neighbour",
        "caption of the skin",
        "A1·03",
        "A1-03",
    ];

    private readonly LanternFactory giver = new();
    private readonly LanternFactory taker = new();
    private readonly Api from;
    private readonly Api to;

    public PapersApiTests() => (from, to) = (new Api(giver), new Api(taker));

    public void Dispose()
    {
        from.Dispose();
        to.Dispose();
        giver.Dispose();
        taker.Dispose();
    }

    private static byte[] Picture()
    {
        using var bitmap = new SKBitmap(120, 80);
        bitmap.Erase(SKColors.SaddleBrown);
        using var data = bitmap.Encode(SKEncodedImageFormat.Jpeg, 80);
        return data.ToArray();
    }

    private static async Task<(HttpStatusCode Status, JsonNode? Body)> SendAsync(
        LanternFactory room,
        string path,
        byte[] file,
        string type = "application/zip"
    )
    {
        using var http = room.CreateClient();
        using var content = new ByteArrayContent(file);
        content.Headers.ContentType = new(type);
        using var answer = await http.PostAsync(new Uri(path, UriKind.Relative), content);
        var text = await answer.Content.ReadAsStringAsync();
        return (answer.StatusCode, text.Length == 0 ? null : JsonNode.Parse(text));
    }

    private async Task<(string Id, byte[] Papers)> HandedOnAsync()
    {
        var details = Api.Details();
        details["acquiredFrom"] = Secrets[0];
        details["tags"] = new JsonArray(Secrets[1]);
        details["moltsAtArrival"] = 5;
        details["line"] = "north slope";
        var id = await from.AddAsync(Api.New(details: details));
        await from.LogAsync(id, Api.Act("molted"));
        await from.LogAsync(id, Api.Act("noted", ("text", Secrets[2])));
        var sent = await SendAsync(
            giver,
            $"/api/stock/{id}/pictures?pictureId={Guid.NewGuid()}&entryId={Guid.NewGuid()}&caption={Uri.EscapeDataString(Secrets[3])}",
            Picture(),
            "image/jpeg"
        );
        Assert.Equal(HttpStatusCode.OK, sent.Status);
        using var http = giver.CreateClient();
        return (id, await http.GetByteArrayAsync(new Uri($"/api/stock/{id}/papers", UriKind.Relative)));
    }

    private static string TextOf(byte[] papers)
    {
        using var zip = new ZipArchive(new MemoryStream(papers));
        using var reader = new StreamReader(zip.GetEntry("papers.json")!.Open());
        return reader.ReadToEnd();
    }

    private static byte[] Zipped(string text, string name = "papers.json")
    {
        using var bytes = new MemoryStream();
        using (var zip = new ZipArchive(bytes, ZipArchiveMode.Create, leaveOpen: true))
        {
            using var entry = zip.CreateEntry(name).Open();
            entry.Write(Encoding.UTF8.GetBytes(text));
        }

        return bytes.ToArray();
    }

    [Fact]
    public async Task An_animal_is_taken_in_elsewhere_with_its_papers()
    {
        var (gone, papers) = await HandedOnAsync();
        var text = TextOf(papers);
        Assert.All(Secrets, secret => Assert.DoesNotContain(secret, text, StringComparison.Ordinal));
        var settings = (await from.GetAsync("/api/settings"))["settings"]!;
        Assert.DoesNotContain(settings["roomName"]!.GetValue<string>(), text, StringComparison.Ordinal);
        Assert.DoesNotContain($"\"{settings["keeperName"]!.GetValue<string>()}\"", text, StringComparison.Ordinal);

        var (status, read) = await SendAsync(taker, "/api/papers/read", papers);
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(1, read!["pictures"]!.GetValue<int>());
        Assert.Equal(6, read["molts"]!.GetValue<int>());
        Assert.Contains("Eats:", read["note"]!.GetValue<string>(), StringComparison.Ordinal);
        Assert.Contains(read["history"]!.AsArray(), h => h!["text"]!.GetValue<string>() == "molted");
        Assert.Empty(await to.StockAsync());

        var way = $"/api/papers?id={Guid.NewGuid()}&place=B2-07&name=Mole&count=1&from=a%20friend";
        (status, var taken) = await SendAsync(taker, way, papers);
        Assert.Equal(HttpStatusCode.OK, status);
        var id = taken!["stockId"]!.GetValue<string>();
        Assert.NotEqual(gone, id);
        var there = await to.GetAsync($"/api/stock/{id}");
        var here = await from.GetAsync($"/api/stock/{gone}");
        Assert.Equal("Mole", there["details"]!["nickname"]!.GetValue<string>());
        Assert.Equal("a friend", there["details"]!["acquiredFrom"]!.GetValue<string>());
        Assert.Equal("north slope", there["details"]!["line"]!.GetValue<string>());
        Assert.Equal(here["instar"]!.ToJsonString(), there["instar"]!.ToJsonString());
        Assert.Equal(here["lastMolt"]!.ToJsonString(), there["lastMolt"]!.ToJsonString());
        Assert.Single(there["pictures"]!.AsArray());
        // It is new here, and stands apart like any other.
        Assert.NotNull(there["quarantine"]!["value"]);

        // Sent again after a lost answer: once is enough.
        (status, taken) = await SendAsync(taker, way, papers);
        Assert.Equal((HttpStatusCode.OK, id), (status, taken!["stockId"]!.GetValue<string>()));
        Assert.Single(await to.StockAsync());
    }

    [Fact]
    public async Task A_mated_female_goes_with_her_pairing_and_the_sac_is_awaited_elsewhere()
    {
        static JsonObject Adult(string name, string sex)
        {
            var details = Api.Details();
            details["nickname"] = name;
            details["sex"] = sex;
            details["matureAtArrival"] = true;
            return details;
        }

        var he = await from.AddAsync(Api.New("A2·08", details: Adult("Bolt", "male")));
        var she = await from.AddAsync(Api.New("A2·09", details: Adult("Nut", "female")));
        await from.LogAsync(
            she,
            Api.Act("paired", ("partnerId", he), ("method", "leftTogether"), ("remark", Secrets[2]), ("led", true))
        );
        await from.LogAsync(she, Api.Act("pairingEnded", ("ending", "maleSafe"), ("partnerId", he)));
        await from.LogAsync(she, Api.Act("paired", ("partner", Secrets[0])));
        using var http = giver.CreateClient();
        var papers = await http.GetByteArrayAsync(new Uri($"/api/stock/{she}/papers", UriKind.Relative));
        var text = TextOf(papers);
        Assert.Contains("Bolt", text, StringComparison.Ordinal);
        Assert.All(Secrets, secret => Assert.DoesNotContain(secret, text, StringComparison.Ordinal));
        Assert.DoesNotContain(he, text, StringComparison.Ordinal);

        var (status, taken) = await SendAsync(
            taker,
            $"/api/papers?id={Guid.NewGuid()}&place=B2-07&name=Nut&count=1",
            papers
        );
        Assert.Equal((HttpStatusCode.OK, null), (status, taken?["errors"]));
        var there = await to.GetAsync($"/api/stock/{taken!["stockId"]!.GetValue<string>()}");
        var journal = there["journal"]!.AsArray().Select(l => l!["text"]!.GetValue<string>()).ToList();
        Assert.Contains(journal, l => l.Contains("put together with Bolt, left together", StringComparison.Ordinal));
        Assert.Contains(journal, l => l.Contains("put together with a mate", StringComparison.Ordinal));
        Assert.Contains(
            there["waits"]!.AsArray(),
            w => w!.ToJsonString().Contains("\"eggCase\"", StringComparison.Ordinal)
        );
    }

    [Fact]
    public async Task What_cannot_be_taken_in_is_said_and_leaves_nothing()
    {
        var (_, papers) = await HandedOnAsync();
        async Task RefusedAsync(string query, byte[] file, string field, string says) =>
            Api.Refused(await SendAsync(taker, $"/api/papers?id={Guid.NewGuid()}&{query}", file), field, says);

        const string Good = "place=B2-07&name=Mole&count=1";
        await RefusedAsync("place=nowhere&name=Mole&count=1", papers, "place", "rack");
        await RefusedAsync("place=B2-07&name=&count=1", papers, "details.nickname", "");
        await RefusedAsync("place=B2-07&name=Mole&count=0", papers, "details.count", "");
        await RefusedAsync(Good, [], "file", "no papers");
        await RefusedAsync(Good, "PK nonsense"u8.ToArray(), "file", "no papers");
        await RefusedAsync(Good, Zipped("{}", "other.json"), "file", "papers.json");
        await RefusedAsync(Good, Zipped("{"), "$", "");
        var text = TextOf(papers);
        await RefusedAsync(Good, Zipped(text.Replace("\"version\": 1", "\"version\": 9")), "format", "version 1");
        await RefusedAsync(Good, Zipped(text.Replace("\"tarantula\"", "\"dragon\"")), "group", "dragon");
        // An act that papers do not tell, and a picture that is none of it.
        await RefusedAsync(
            Good,
            Zipped(text.Replace("\"kind\": \"molted\"", "\"kind\": \"noted\", \"text\": \"x\"")),
            "history",
            "noted"
        );
        await RefusedAsync(Good, Zipped(text), "pictures", "is missing");
        Assert.Empty(await to.StockAsync());
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await from.SendAsync(HttpMethod.Get, $"/api/stock/{Guid.NewGuid()}/papers")).Status
        );
    }
}
