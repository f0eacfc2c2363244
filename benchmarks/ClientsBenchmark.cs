using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text.Json.Nodes;

namespace Benchmarks;

/// <summary>Many keepers at once: how long an entry takes to be written, against one keeper alone in the same run.</summary>
internal static class ClientsBenchmark
{
    private const double AllowedMs = 250;
    private static readonly TimeSpan Between = TimeSpan.FromSeconds(3);
    private static readonly TimeSpan AloneFor = TimeSpan.FromSeconds(15);

    /// <param name="clients">How many log at once, each an entry every three seconds, as fast as a round is walked, and the round at every tenth.</param>
    /// <param name="length">For how long.</param>
    public static async Task RunAsync(int clients, TimeSpan length)
    {
        var folder = Directory.CreateTempSubdirectory("lantern-clients-").FullName;
        var port = FreePort();
        using var server = Process.Start(
            new ProcessStartInfo("dotnet")
            {
                ArgumentList = { Application(), "--demo" },
                WorkingDirectory = Root(),
                RedirectStandardOutput = true,
                Environment =
                {
                    ["LANTERN_PORT"] = port.ToString(CultureInfo.InvariantCulture),
                    ["LANTERN_DATA"] = folder,
                },
            }
        )!;
        server.OutputDataReceived += (_, _) => { };
        server.BeginOutputReadLine();
        try
        {
            using var http = new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{port}/") };
            var stock = await StockAsync(http);
            var alone = await LogAsync(http, stock, 1, AloneFor);
            var all = await LogAsync(http, stock, clients, length);
            Console.WriteLine(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"{clients} clients for {length.TotalSeconds:0} s   log p95 {At(all.Ms, 0.95):0} ms (allowed {AllowedMs:0}), median {At(all.Ms, 0.5):0} ms, {At(all.Ms, 0.95) / At(alone.Ms, 0.95):0.0} × one client alone; {all.Ms.Count} entries, {all.Errors} errors"
                )
            );
        }
        finally
        {
            server.Kill();
            await server.WaitForExitAsync();
            Directory.Delete(folder, recursive: true);
        }
    }

    private static async Task<(List<double> Ms, int Errors)> LogAsync(
        HttpClient http,
        IReadOnlyList<string> stock,
        int clients,
        TimeSpan length
    )
    {
        var until = Stopwatch.StartNew();
        var each = await Task.WhenAll(
            Enumerable
                .Range(0, clients)
                .Select(async client =>
                {
                    // Not all in the same instant.
                    await Task.Delay(Between * client / clients);
                    var (ms, errors) = (new List<double>(), 0);
                    for (var n = 0; until.Elapsed < length; n++)
                    {
                        var body = new JsonObject
                        {
                            ["id"] = Guid.NewGuid(),
                            ["act"] = new JsonObject { ["kind"] = "noted", ["text"] = $"client {client} entry {n}" },
                        };
                        var clock = Stopwatch.StartNew();
                        using var answer = await http.PostAsJsonAsync(
                            $"api/stock/{stock[((client * 7) + n) % stock.Count]}/journal",
                            body
                        );
                        ms.Add(clock.Elapsed.TotalMilliseconds);
                        errors += answer.IsSuccessStatusCode ? 0 : 1;
                        if (n % 10 == 0)
                        {
                            using var round = await http.GetAsync("api/round");
                            errors += round.IsSuccessStatusCode ? 0 : 1;
                        }

                        await Task.Delay(Between);
                    }

                    return (ms, errors);
                })
        );
        return ([.. each.SelectMany(e => e.ms).Order()], each.Sum(e => e.errors));
    }

    private static async Task<IReadOnlyList<string>> StockAsync(HttpClient http)
    {
        while (true)
        {
            try
            {
                var list = await http.GetFromJsonAsync<JsonNode>("api/stock");
                return [.. list!["lines"]!.AsArray().Select(l => l!["stockId"]!.GetValue<string>())];
            }
            catch (HttpRequestException)
            {
                await Task.Delay(200);
            }
        }
    }

    private static double At(List<double> sorted, double share) =>
        sorted.Count == 0 ? double.NaN : sorted[(int)(share * (sorted.Count - 1))];

    internal static string Application() =>
        Path.Combine(Root(), "src", "App", "bin", "Release", "net10.0", "HushedLantern.dll");

    private static string Root()
    {
        var folder = AppContext.BaseDirectory;
        while (folder is not null && !File.Exists(Path.Combine(folder, "HushedLantern.slnx")))
        {
            folder = Path.GetDirectoryName(folder);
        }

        return folder ?? throw new InvalidOperationException("The benchmark runs within the repository.");
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}
