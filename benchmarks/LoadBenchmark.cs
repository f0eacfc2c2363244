using System.Diagnostics;
using System.Globalization;
using System.Security.Cryptography;
using System.Text.Json.Nodes;
using Ledger;

namespace Benchmarks;

/// <summary>
/// The most memory that the application needs to load a room file, a large one against one a tenth of its size; and that what was
/// loaded goes out, into another room and out of it again as the same file, byte by byte.
/// </summary>
internal static class LoadBenchmark
{
    private const double AllowedRatio = 2.5;
    private const int EntriesEach = 72;
    private const double Megabyte = 1_000_000;

    public static async Task RunAsync(int animals)
    {
        var folder = Directory.CreateTempSubdirectory("lantern-bench-").FullName;
        try
        {
            var (small, _, _) = await LoadAsync(folder, animals / 10);
            var (large, bytes, took) = await LoadAsync(folder, animals);
            var isSame = await GoesRoundAsync(folder, animals);
            Console.WriteLine(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"loading {bytes / Megabyte:0} MB took {took.TotalSeconds:0} s and {large / Megabyte:0} MB at most = {(double)large / small:0.0} × a tenth of it (allowed {AllowedRatio}); {animals:N0} animals with {animals * EntriesEach:N0} entries out, in elsewhere and out again: {(isSame ? "the same file" : "ANOTHER FILE")}"
                )
            );
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }
    }

    private static async Task<(long PeakBytes, long FileBytes, TimeSpan Took)> LoadAsync(string folder, int animals)
    {
        var path = Path.Combine(folder, $"room-{animals}.json");
        await WriteAsync(path, animals);
        var watch = Stopwatch.StartNew();
        var peak = await RunAsync(Data(folder, animals), "--load", path);
        return (peak, new FileInfo(path).Length, watch.Elapsed);
    }

    private static async Task<bool> GoesRoundAsync(string folder, int animals)
    {
        var (first, second) = (Path.Combine(folder, "first.json"), Path.Combine(folder, "second.json"));
        var elsewhere = Path.Combine(folder, "elsewhere");
        await RunAsync(Data(folder, animals), "--save", first);
        await RunAsync(elsewhere, "--load", first);
        await RunAsync(elsewhere, "--save", second);
        await using var one = File.OpenRead(first);
        await using var other = File.OpenRead(second);
        var (former, later) = (await SHA256.HashDataAsync(one), await SHA256.HashDataAsync(other));
        return former.SequenceEqual(later);
    }

    private static string Data(string folder, int animals) => Path.Combine(folder, $"data-{animals}");

    /// <summary>Runs the application once; the most memory that it had, in bytes.</summary>
    private static async Task<long> RunAsync(string data, params string[] asked)
    {
        using var run = Process.Start(
            new ProcessStartInfo("dotnet", [ClientsBenchmark.Application(), .. asked])
            {
                Environment = { ["LANTERN_DATA"] = data },
                RedirectStandardOutput = true,
            }
        )!;
        var peak = 0L;
        while (!run.HasExited)
        {
            run.Refresh();
            peak = Math.Max(peak, run.PeakWorkingSet64);
            await Task.Delay(50);
        }

        return run.ExitCode == 0
            ? peak
            : throw new InvalidOperationException(await run.StandardOutput.ReadToEndAsync());
    }

    /// <summary>A room of tarantulas that were looked at and watered in turn, written as any program would.</summary>
    private static async Task WriteAsync(string path, int animals)
    {
        await using var text = new StreamWriter(path);
        Guid Id(int of) => new(of, 7, 7, [1, 2, 3, 4, 5, 6, 7, 8]);
        await text.WriteAsync($"{{\"format\":\"{RoomFile.FormatName}\",\"version\":1,\"stock\":[");
        for (var a = 0; a < animals; a++)
        {
            var stock = new JsonObject
            {
                ["id"] = Id(a),
                ["group"] = "tarantula",
                ["speciesId"] = "tliltocatl-albopilosus",
                ["acquiredOn"] = "2020-01-01",
            };
            await text.WriteAsync((a > 0 ? "," : "") + stock.ToJsonString());
        }

        await text.WriteAsync("],\"journal\":[");
        var first = new DateTimeOffset(2020, 1, 2, 20, 0, 0, TimeSpan.Zero);
        for (var n = 0; n < animals * EntriesEach; n++)
        {
            var line = new JsonObject
            {
                ["id"] = Id(animals + n),
                ["stockId"] = Id(n % animals),
                ["at"] = first.AddHours(12.0 * (n / animals)),
                ["writtenBy"] = "Keeper",
                ["act"] = new JsonObject { ["kind"] = "noted", ["text"] = $"Sat at the mouth of its burrow, {n}." },
            };
            await text.WriteAsync((n > 0 ? ",\n" : "") + line.ToJsonString());
        }

        await text.WriteAsync("]}");
    }
}
