using System.Collections.Concurrent;
using System.Diagnostics;
using System.Net;
using System.Net.Sockets;
using Hosting.Tests;

namespace Browser.Tests;

/// <summary>The demo room served by a process of its own, which can be killed as a power cut would.</summary>
public sealed class ServerProcess : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("lantern-killed-").FullName;
    private readonly int port = FreePort();
    private readonly ConcurrentQueue<string> said = new();
    private Process? process;

    public Uri Address => new($"http://127.0.0.1:{port}/");

    public string DataFile => Path.Combine(folder, "lantern.db");

    /// <summary>Starts it on the same data and port as before.</summary>
    public void Start()
    {
        var start = new ProcessStartInfo("dotnet")
        {
            ArgumentList = { Application(), "--demo" },
            WorkingDirectory = LanternFactory.Root,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
            Environment =
            {
                ["LANTERN_PORT"] = $"{port}",
                ["LANTERN_DATA"] = folder,
                ["DOTNET_CLI_TELEMETRY_OPTOUT"] = "1",
            },
        };
        process = Process.Start(start)!;
        process.OutputDataReceived += (_, line) => said.Enqueue(line.Data ?? "");
        process.ErrorDataReceived += (_, line) => said.Enqueue(line.Data ?? "");
        process.BeginOutputReadLine();
        process.BeginErrorReadLine();
    }

    /// <summary>Waits until it answers.</summary>
    public async Task UpAsync(CancellationToken cancel)
    {
        using var http = new HttpClient { BaseAddress = Address };
        using var often = new PeriodicTimer(TimeSpan.FromMilliseconds(50));
        while (await often.WaitForNextTickAsync(cancel))
        {
            try
            {
                using var answer = await http.GetAsync(new Uri("api/health", UriKind.Relative), cancel);
                return;
            }
            catch (HttpRequestException)
            {
                // Not there yet; but one that has ended never will be.
                Assert.False(
                    process?.HasExited,
                    $"The server ended of itself:\n{string.Join('\n', said.TakeLast(20))}"
                );
            }
        }
    }

    /// <summary>Ends it at once: nothing is finished, nothing is closed.</summary>
    public void Kill()
    {
        if (process is { } running)
        {
            process = null;
            running.Kill();
            running.WaitForExit();
            running.Dispose();
        }
    }

    public void Dispose()
    {
        Kill();
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }

    private static string Application() =>
        Path.Combine(LanternFactory.Root, "src", "App", "bin", "Release", "net10.0", "HushedLantern.dll");

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}
