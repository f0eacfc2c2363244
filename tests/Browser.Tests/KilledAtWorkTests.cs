using System.Globalization;
using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Ledger;
using Ledger.Safekeeping;
using Microsoft.EntityFrameworkCore;

namespace Browser.Tests;

/// <summary>
/// The server dies while it starts, writes, writes many, copies and loads: it starts again, what was answered is there, and what was
/// sent again is there once. So many times in every run, by a seed; two hundred by ./lantern bench faults.
/// </summary>
public sealed class KilledAtWorkTests
{
    private const int Kills = 5;
    private const int Seed = 17;
    private const int InBatch = 40;

    private static int Asked =>
        int.TryParse(
            Environment.GetEnvironmentVariable("LANTERN_KILLS"),
            NumberStyles.None,
            CultureInfo.InvariantCulture,
            out var kills
        )
            ? kills
            : Kills;

    [Fact]
    public async Task Killed_at_any_work_it_starts_again_and_nothing_is_lost_or_doubled()
    {
        var cancel = TestContext.Current.CancellationToken;
        using var server = new ServerProcess();
        server.Start();
        // In the midst of its first start, too.
        await Task.Delay(700, cancel);
        server.Kill();
        server.Start();
        await server.UpAsync(cancel);
        using var http = new HttpClient { BaseAddress = server.Address, Timeout = TimeSpan.FromMinutes(2) };
        var stock = await StockAsync(http, cancel);
        var archive = await http.GetByteArrayAsync("api/safekeeping/archive", cancel);
        var (random, sent) = (new Random(Seed), new HashSet<Guid>());
        for (var kill = 0; kill < Asked; kill++)
        {
            var work = Work(kill, stock, archive, sent, random);
            var first = SendAsync(http, work, cancel);
            await Task.Delay(random.Next(0, kill % 5 > 2 ? 1500 : 60), cancel);
            server.Kill();
            await first;
            server.Start();
            if (kill % 5 == 4)
            {
                // And once more before it is up.
                await Task.Delay(random.Next(100, 1200), cancel);
                server.Kill();
                server.Start();
            }

            await server.UpAsync(cancel);
            Assert.Equal(HttpStatusCode.OK, await SendAsync(http, work, cancel));
        }

        Assert.Equal(
            "well",
            (await http.GetFromJsonAsync<JsonNode>("api/health", cancel))!["status"]!.GetValue<string>()
        );
        server.Kill();
        await using var db = new LanternDb(
            new DbContextOptionsBuilder<LanternDb>().UseSqlite($"Data Source={server.DataFile}").Options
        );
        var there = await db
            .Entries.AsNoTracking()
            .Where(e => sent.Contains(e.Id))
            .Select(e => e.Id)
            .ToListAsync(cancel);
        Assert.Equal(sent.Count, there.Count);
        Assert.Empty(await FileCheck.QuickAsync(server.DataFile, cancel));
        Assert.Empty(
            Directory.GetFiles(Path.GetDirectoryName(server.DataFile)!, "*.part", SearchOption.AllDirectories)
        );
    }

    private static async Task<IReadOnlyList<string>> StockAsync(HttpClient http, CancellationToken cancel) =>
        [
            .. (await http.GetFromJsonAsync<JsonNode>("api/stock", cancel))!["lines"]!
                .AsArray()
                .Select(l => l!["stockId"]!.GetValue<string>())
                .Take(InBatch),
        ];

    /// <summary>A note, many notes at once, a copy, the room loaded into itself; sent again with the same ids.</summary>
    private static Func<HttpRequestMessage> Work(
        int kill,
        IReadOnlyList<string> stock,
        byte[] archive,
        HashSet<Guid> sent,
        Random random
    )
    {
        Guid Id()
        {
            var id = Guid.NewGuid();
            sent.Add(id);
            return id;
        }

        HttpRequestMessage Json(string path, JsonNode body) =>
            new(HttpMethod.Post, path) { Content = JsonContent.Create(body) };
        var note = $"kill {kill}";
        switch (kill % 5)
        {
            case 0 or 1:
            {
                var (of, body) = (stock[random.Next(stock.Count)], Note(Id(), note));
                return () => Json($"api/stock/{of}/journal", body.DeepClone());
            }

            case 2:
            {
                var lines = new JsonArray([
                    .. stock.Select(of =>
                    {
                        var line = Note(Id(), note);
                        line["stockId"] = of;
                        return (JsonNode)line;
                    }),
                ]);
                return () => Json("api/journal/batch", new JsonObject { ["entries"] = lines.DeepClone() });
            }

            case 3:
                return () => Json("api/safekeeping/backups", new JsonObject());
            default:
                return () =>
                {
                    var content = new ByteArrayContent(archive);
                    content.Headers.ContentType = new("application/zip");
                    return new HttpRequestMessage(HttpMethod.Post, "api/safekeeping/load") { Content = content };
                };
        }
    }

    private static JsonObject Note(Guid id, string text) =>
        new()
        {
            ["id"] = id,
            ["act"] = new JsonObject { ["kind"] = "noted", ["text"] = text },
        };

    private static async Task<HttpStatusCode?> SendAsync(
        HttpClient http,
        Func<HttpRequestMessage> work,
        CancellationToken cancel
    )
    {
        try
        {
            using var request = work();
            using var answer = await http.SendAsync(request, cancel);
            return answer.StatusCode;
        }
        catch (HttpRequestException)
        {
            return null;
        }
    }
}
