using System.IO.Compression;
using System.Text.RegularExpressions;
using Hosting.Tests;

namespace Browser.Tests;

/// <summary>How much script a phone at the edge of the wifi fetches before the round answers, and for any page after it.</summary>
public sealed partial class ScriptWeightTests : IDisposable
{
    // The product's own limits; kB as browsers count them, of 1000 bytes.
    private const int UntilTheRoundBytes = 190_000;
    private const int PageBytes = 60_000;

    private readonly LanternFactory app = new(demo: false);

    [Fact]
    public async Task The_round_answers_within_190_kB_and_no_page_brings_more_than_60()
    {
        using var client = app.CreateClient();
        var page = await client.GetStringAsync("/", TestContext.Current.CancellationToken);
        var first = Scripts().Matches(page).Select(m => m.Groups[1].Value).Distinct().ToList();
        Assert.NotEmpty(first);
        var total = 0;
        foreach (var script in first)
        {
            total += await SentBytes(client, script);
        }

        Assert.InRange(total, 1, UntilTheRoundBytes);
        var worker = await client.GetStringAsync("/sw.js", TestContext.Current.CancellationToken);
        var later = Kept().Matches(worker).Select(m => "/" + m.Groups[1].Value).Except(first).ToList();
        Assert.NotEmpty(later);
        foreach (var script in later)
        {
            Assert.InRange(await SentBytes(client, script), 1, PageBytes);
        }
    }

    public void Dispose() => app.Dispose();

    private static async Task<int> SentBytes(HttpClient client, string path)
    {
        var script = await client.GetByteArrayAsync(path, TestContext.Current.CancellationToken);
        using var small = new MemoryStream();
        await using (var gzip = new GZipStream(small, CompressionLevel.Optimal, leaveOpen: true))
        {
            await gzip.WriteAsync(script, TestContext.Current.CancellationToken);
        }

        return (int)small.Length;
    }

    [GeneratedRegex("(?:src|href)=\"(/assets/[^\"]+\\.js)\"")]
    private static partial Regex Scripts();

    [GeneratedRegex("(assets/[\\w.-]+\\.js)")]
    private static partial Regex Kept();
}
