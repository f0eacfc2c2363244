using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;
using UglyToad.PdfPig;

namespace App.Tests;

/// <summary>Labels on sheets and rolls, and the notices of what ships.</summary>
public sealed class PaperApiTests : IDisposable
{
    private readonly LanternFactory app = new();
    private readonly Api api;

    public PaperApiTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    /// <summary>Outside check: the PDF is opened by a general library.</summary>
    [Fact]
    public async Task Labels_come_as_a_PDF_with_the_first_places_left_out()
    {
        var ids = new List<string>();
        for (var k = 1; k <= 5; k++)
        {
            ids.Add(await api.AddAsync(Api.New($"A1·{k:00}", Api.Details($"Łódź {k}"))));
        }

        var body = new JsonObject
        {
            ["stockIds"] = new JsonArray([.. ids.Select(i => JsonValue.Create(i))]),
            ["format"] = "a4-24",
            ["skip"] = 22,
        };
        using var http = app.CreateClient();
        using var answer = await http.PostAsync(
            "/api/labels/pdf",
            new StringContent(body.ToJsonString(), System.Text.Encoding.UTF8, "application/json")
        );
        using var pdf = PdfDocument.Open(await answer.Content.ReadAsByteArrayAsync());
        // Two on the rest of the first sheet, three on the second; A4 in points by ISO 216.
        Assert.Equal(2, pdf.NumberOfPages);
        Assert.Equal(595.28, pdf.GetPage(1).Width, 0.5);
        Assert.Equal(841.89, pdf.GetPage(1).Height, 0.5);
        Assert.Equal(2, pdf.GetPage(1).GetImages().Count());
        Assert.Equal(3, pdf.GetPage(2).GetImages().Count());
        var text = string.Concat(pdf.GetPage(1).Letters.Select(l => l.Value));
        Assert.Contains("A1·02", text, StringComparison.Ordinal);
        Assert.Contains("Łódź", text, StringComparison.Ordinal);
        body["skip"] = 24;
        Api.Refused(await api.PostAsync("/api/labels/pdf", body), "skip", "0 to 23");
        body["format"] = "a3";
        Api.Refused(await api.PostAsync("/api/labels/pdf", body), "format", "a4-24");
    }

    [Fact]
    public async Task The_printer_prints_what_fits_on_its_roll_and_keeps_it()
    {
        var id = await api.AddAsync();
        JsonObject Print(string format) => new() { ["stockIds"] = new JsonArray(id), ["format"] = format };
        Api.Refused(await api.PostAsync("/api/labels/print", Print("roll-50-30")), "format", "no roll");
        await api.TakeAsync("/api/labels/roll", new JsonObject { ["format"] = "roll-50-30" });
        Api.Refused(await api.PostAsync("/api/labels/print", Print("roll-62-29")), "format", "another size");
        Api.Refused(await api.PostAsync("/api/labels/print", Print("a4-24")), "format", "takes rolls");
        var printer = await api.TakeAsync("/api/labels/print", Print("roll-50-30"));
        Assert.Equal(249, printer["roll"]!["left"]!.GetValue<int>());
        Assert.Equal("A1·03 Tansy", printer["printed"]![0]!["title"]!.GetValue<string>());
        using var http = app.CreateClient();
        var png = await http.GetByteArrayAsync("/api/labels/printed/1");
        Assert.Equal("89504E47", Convert.ToHexString(png.AsSpan(0, 4)));
        Assert.Equal(HttpStatusCode.NotFound, (await http.GetAsync("/api/labels/printed/2")).StatusCode);
    }

    [Fact]
    public async Task Everything_that_ships_and_is_the_work_of_others_is_named()
    {
        var named = (await api.GetAsync("/api/about"))["notices"]!
            .AsArray()
            .Select(n => n!["name"]!.GetValue<string>())
            .ToHashSet();
        var client = JsonNode.Parse(
            await File.ReadAllTextAsync(Path.Combine(LanternFactory.Root, "client", "package.json"))
        )!;
        Assert.All(client["dependencies"]!.AsObject().Select(d => d.Key), d => Assert.Contains(d, named));
        var server = JsonNode.Parse(
            await File.ReadAllTextAsync(Path.Combine(LanternFactory.Root, "src", "App", "packages.lock.json"))
        )!;
        var direct = server["dependencies"]!["net10.0"]!
            .AsObject()
            .Where(p => p.Value!["type"]!.GetValue<string>() == "Direct")
            .Select(p => p.Key)
            .Where(p => p != "Microsoft.Extensions.ApiDescription.Server");
        Assert.All(direct, d => Assert.Contains(d, named));
    }
}
