using System.Collections.Concurrent;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

[assembly: AssemblyFixture(typeof(Browser.Tests.Browsers))]

namespace Browser.Tests;

/// <summary>
/// Browsers that tests use one after another: to start one takes longer than most of what is done with it. Whoever gives
/// one back leaves nothing in it.
/// </summary>
public sealed class Browsers : IDisposable
{
    private static readonly ConcurrentBag<RunningBrowser> Idle = [];

    /// <summary>A browser that nobody uses.</summary>
    internal static RunningBrowser Take() => Idle.TryTake(out var browser) ? browser : new RunningBrowser();

    /// <summary>Gives a browser back as if it had just been started; one that cannot be cleared is closed.</summary>
    internal static void GiveBack(RunningBrowser browser, Uri address)
    {
        try
        {
            browser.Clear(address);
            Idle.Add(browser);
        }
        catch (WebDriverException)
        {
            browser.Dispose();
        }
    }

    /// <summary>Closes all when the last test is over.</summary>
    public void Dispose()
    {
        while (Idle.TryTake(out var browser))
        {
            browser.Dispose();
        }
    }
}

/// <summary>A browser with its driver and a profile of its own.</summary>
internal sealed class RunningBrowser : IDisposable
{
    private readonly string profile = Directory.CreateTempSubdirectory("lantern-browser-").FullName;
    private readonly ChromeDriverService service;
    private readonly List<string> scripts = [];

    /// <param name="home">Home whose store of certificates holds; that of the machine when left out.</param>
    public RunningBrowser(string? home = null)
    {
        service = ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver");
        service.SuppressInitialDiagnosticInformation = true;
        var options = new ChromeOptions
        {
            BinaryLocation = home is null ? "/usr/bin/chromium" : Certificates.BrowserAtHome(home),
        };
        options.AddArguments(
            "--headless",
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--disable-dev-shm-usage",
            "--hide-scrollbars",
            $"--user-data-dir={profile}"
        );
        options.SetLoggingPreference(LogType.Browser, LogLevel.Severe);
        Driver = new ChromeDriver(service, options);
    }

    public ChromeDriver Driver { get; }

    /// <summary>Asks the browser by its own protocol.</summary>
    public IReadOnlyDictionary<string, object>? Ask(string command, params (string Key, object? Value)[] with) =>
        Driver.ExecuteCdpCommand(command, with.ToDictionary(w => w.Key, w => w.Value))
        as IReadOnlyDictionary<string, object>;

    /// <summary>Runs a script in every page before its own.</summary>
    public void BeforeEachPage(string script) =>
        scripts.Add((string)Ask("Page.addScriptToEvaluateOnNewDocument", ("source", script))!["identifier"]);

    /// <summary>Leaves no page, no cookie, nothing stored and nothing emulated.</summary>
    public void Clear(Uri address)
    {
        Driver.Navigate().GoToUrl("about:blank");
        foreach (var script in scripts)
        {
            Ask("Page.removeScriptToEvaluateOnNewDocument", ("identifier", script));
        }

        scripts.Clear();
        Ask("Network.setBlockedURLs", ("urls", Array.Empty<string>()));
        Ask("Network.clearBrowserCookies");
        Ask(
            "Storage.clearDataForOrigin",
            ("origin", address.GetLeftPart(UriPartial.Authority)),
            ("storageTypes", "all")
        );
        Ask("Emulation.setTouchEmulationEnabled", ("enabled", false));
        Ask("Emulation.setEmulatedMedia", ("features", Array.Empty<object>()));
        Ask("Emulation.clearDeviceMetricsOverride");
        Driver.Manage().Logs.GetLog(LogType.Browser);
    }

    public void Dispose()
    {
        Driver.Quit();
        service.Dispose();
        try
        {
            Directory.Delete(profile, recursive: true);
        }
        catch (IOException)
        {
            // The browser may still be closing its files; the folder lies under the system's temporary ones.
        }
    }
}
