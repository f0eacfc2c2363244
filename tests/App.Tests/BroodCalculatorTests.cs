using System.Text.Json.Nodes;
using Hosting.Tests;
using SkiaSharp;

namespace App.Tests;

/// <summary>The calculators of broods: how many live how long, and how many lie in a picture.</summary>
public sealed class BroodCalculatorTests : IDisposable
{
    private readonly LanternFactory app = new();
    private readonly Api api;

    public BroodCalculatorTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    [Fact]
    public async Task Every_age_of_a_death_is_a_step()
    {
        // Worked by hand: of four one dies at 2, one leaves at 3, one of two dies at 5.
        var answer = await api.TakeAsync(
            "/api/calc/survival",
            JsonNode.Parse(
                """{"observations":[{"time":2,"event":true},{"time":3,"event":false},{"time":5,"event":true},{"time":9,"event":false}]}"""
            )!
        );
        var result = answer["result"]!;
        var steps = result["steps"]!.AsArray();
        Assert.Equal([0.75, 0.375], steps.Select(s => s!["survival"]!.GetValue<double>()));
        Assert.Equal([4, 2], steps.Select(s => s!["atRisk"]!.GetValue<int>()));
        Assert.Equal([1, 1], steps.Select(s => s!["events"]!.GetValue<int>()));
        Assert.Equal(5, result["median"]!.GetValue<double>());
        Assert.NotEmpty(answer["reasons"]!.AsArray());
    }

    [Fact]
    public async Task Where_none_are_left_the_band_is_null_and_present()
    {
        var answer = await api.TakeAsync(
            "/api/calc/survival",
            JsonNode.Parse("""{"observations":[{"time":0,"event":true,"count":3}]}""")!
        );
        var step = answer["result"]!["steps"]![0]!.AsObject();
        Assert.Equal(0, step["survival"]!.GetValue<double>());
        Assert.True(step.ContainsKey("standardError") && step["standardError"] is null);
        Assert.True(step.ContainsKey("low95") && step["high95"] is null);
    }

    [Fact]
    public async Task Bodies_are_counted_in_a_picture_that_is_sent_and_not_kept()
    {
        using var bitmap = new SKBitmap(900, 600);
        using (var canvas = new SKCanvas(bitmap))
        using (var ink = new SKPaint { Color = new SKColor(50, 45, 40), IsAntialias = true })
        {
            canvas.Clear(new SKColor(228, 226, 220));
            for (var k = 0; k < 40; k++)
            {
                canvas.DrawOval(60 + (k % 8 * 100), 70 + (k / 8 * 110), 14, 10, ink);
            }
        }

        // As strongly compressed as a messenger does.
        var result = await CountAsync(bitmap.Encode(SKEncodedImageFormat.Jpeg, 30).ToArray());
        Assert.Equal(40, result["result"]!["count"]!.GetValue<int>());
        Assert.Equal(40, result["result"]!["marks"]!.AsArray().Count);
    }

    [Fact]
    public async Task A_picture_in_which_nothing_lies_is_refused_with_a_sentence()
    {
        using var bitmap = new SKBitmap(300, 200);
        bitmap.Erase(new SKColor(230, 230, 230));
        var refused = await CountAsync(bitmap.Encode(SKEncodedImageFormat.Png, 100).ToArray());
        Assert.Contains(
            "No dark bodies",
            refused["errors"]!["picture"]![0]!.GetValue<string>(),
            StringComparison.Ordinal
        );
        var none = await CountAsync([1, 2, 3]);
        Assert.Contains("Must be a JPEG", none["errors"]!["picture"]![0]!.GetValue<string>(), StringComparison.Ordinal);
        var huge = await CountAsync(new byte[(12 * 1024 * 1024) + 1]);
        Assert.Contains("At most 12 MB", huge["errors"]!["picture"]![0]!.GetValue<string>(), StringComparison.Ordinal);
    }

    private async Task<JsonNode> CountAsync(byte[] picture)
    {
        using var content = new ByteArrayContent(picture);
        content.Headers.ContentType = new("image/jpeg");
        using var client = app.CreateClient();
        using var answer = await client.PostAsync("/api/calc/picture-count", content);
        return JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
    }

    [Theory]
    [InlineData("""{"observations":[]}""", "observations", "1 to")]
    [InlineData("""{"observations":[{"time":-1,"event":true}]}""", "observations[0].time", "0 to")]
    [InlineData("""{"observations":[{"time":4,"event":true,"entry":4}]}""", "observations[0].entry", "before")]
    [InlineData("""{"observations":[{"time":4,"event":true,"count":0}]}""", "observations[0].count", "1 to")]
    [InlineData("""{"observations":[null]}""", "observations[0]", "Is missing")]
    public async Task What_cannot_be_is_refused_by_its_field(string body, string field, string says) =>
        Api.Refused(await api.SendAsync(HttpMethod.Post, "/api/calc/survival", body), field, says);
}
