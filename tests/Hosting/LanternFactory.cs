using System.Reflection;
using App.Hosting;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.DependencyInjection.Extensions;
using Microsoft.Extensions.Time.Testing;

namespace Hosting.Tests;

/// <summary>The whole application on a ledger of its own, at a fixed evening.</summary>
public sealed class LanternFactory : WebApplicationFactory<Program>
{
    /// <summary>20:30 UTC on Monday 23 November 2026.</summary>
    public static readonly DateTimeOffset Evening = new(2026, 11, 23, 20, 30, 0, TimeSpan.Zero);

    // The demo room of that evening, laid out and judged once for all tests of the assembly.
    private static readonly Lazy<string> LaidOut = new(LayOutDemo);

    private readonly string folder = Directory.CreateTempSubdirectory("lantern-test-").FullName;
    private readonly bool demo;
    private bool keepsFolder;
    private bool disposed;

    private readonly bool lan;
    private readonly bool encrypted;

    public LanternFactory(bool demo = false, DateTimeOffset? now = null, bool lan = false, bool encrypted = false)
    {
        this.lan = lan;
        this.encrypted = encrypted;
        this.demo = demo;
        Clock = new FakeTimeProvider(now ?? Evening);
        if (demo && now is null)
        {
            Copy(LaidOut.Value, folder);
        }
    }

    private static string LayOutDemo()
    {
        // Stopped altogether before its folder is copied: a server that is still stopping holds its files.
        var app = new LanternFactory(demo: true, now: Evening) { keepsFolder = true };
        AppDomain.CurrentDomain.ProcessExit += (_, _) => Directory.Delete(app.folder, recursive: true);
        using (app)
        using (var http = app.CreateClient())
        {
            // The first read judges the night.
            http.GetStringAsync(new Uri("/api/round", UriKind.Relative)).GetAwaiter().GetResult();
        }

        // What the server learns beside its requests may still be at the file: its log goes with the last who lets go.
        SpinWait.SpinUntil(
            () =>
            {
                Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
                return !File.Exists(app.DataFile + "-wal");
            },
            TimeSpan.FromSeconds(60)
        );
        return app.folder;
    }

    private static void Copy(string from, string to)
    {
        // Without the lock: a process forked meanwhile may still hold it for a moment.
        foreach (var file in Directory.EnumerateFiles(from).Where(f => Path.GetExtension(f) != ".lock"))
        {
            File.Copy(file, Path.Combine(to, Path.GetFileName(file)));
        }
    }

    public FakeTimeProvider Clock { get; }

    public string DataFile => Path.Combine(folder, "lantern.db");

    protected override void ConfigureWebHost(IWebHostBuilder builder) =>
        builder.ConfigureServices(services =>
        {
            services.Replace(ServiceDescriptor.Singleton<TimeProvider>(Clock));
            services.Replace(
                ServiceDescriptor.Singleton(
                    new LanternOptions(0, DataFile, ClientFolder(), demo, null, null, lan, Encrypted: encrypted)
                )
            );
        });

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        if (disposing && !disposed)
        {
            disposed = true;
            Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
            if (!keepsFolder)
            {
                Directory.Delete(folder, recursive: true);
            }
        }
    }

    /// <summary>The folder of the whole tree.</summary>
    public static string Root => Path.GetFullPath(Path.Combine(ClientFolder(), "..", ".."));

    private static string ClientFolder()
    {
        for (var at = new FileInfo(Assembly.GetExecutingAssembly().Location).Directory; at is not null; at = at.Parent)
        {
            if (File.Exists(Path.Combine(at.FullName, "HushedLantern.slnx")))
            {
                return Path.Combine(at.FullName, "client", "dist");
            }
        }

        return ".";
    }
}
