using System.Net;
using System.Net.NetworkInformation;
using System.Net.Sockets;
using App.Access;
using App.Doorway;
using Hosting.Tests;
using Ledger;
using Microsoft.AspNetCore.Hosting;
using Microsoft.Extensions.DependencyInjection;

namespace Browser.Tests;

/// <summary>A running application with a keeper in front of it; each test has its own.</summary>
public abstract class BrowserRoom : IDisposable
{
    private readonly LanternFactory app;
    private readonly string? home;
    private bool appIsGone;

    protected BrowserRoom(bool demo, bool lan = false, bool onNetwork = false, bool encrypted = false)
    {
        app = new LanternFactory(demo, lan: lan, encrypted: encrypted);
        if (encrypted)
        {
            app.UseKestrel(options =>
            {
                var certificates = options.ApplicationServices.GetRequiredService<RoomCertificates>();
                options.ListenAnyIP(
                    0,
                    listen => listen.UseHttps(https => https.ServerCertificateSelector = (_, _) => certificates.Leaf())
                );
            });
        }
        else if (onNetwork)
        {
            app.UseKestrel(options => options.ListenAnyIP(0));
        }
        else
        {
            app.UseKestrel(0);
        }

        app.StartServer();
        Address =
            onNetwork || encrypted
                ? new UriBuilder(app.ClientOptions.BaseAddress) { Host = AddressOnNetwork().ToString() }.Uri
                : app.ClientOptions.BaseAddress;
        home = encrypted
            ? Certificates.HomeThatTrusts(app.Services.GetRequiredService<RoomCertificates>().RootForPhones())
            : null;
        Keeper = Another(Address);
    }

    /// <summary>An address of this machine by which another on the network would reach it: there the page is plain http and no secure context.</summary>
    private static IPAddress AddressOnNetwork() =>
        NetworkInterface
            .GetAllNetworkInterfaces()
            .Where(n => n.OperationalStatus == OperationalStatus.Up)
            .SelectMany(n => n.GetIPProperties().UnicastAddresses)
            .Select(a => a.Address)
            .First(a => a.AddressFamily == AddressFamily.InterNetwork && !IPAddress.IsLoopback(a));

    private protected Keeper Keeper { get; }

    /// <summary>One more keeper at a browser that trusts the room.</summary>
    private protected Keeper Another(Uri address) => new(address, home: home);

    public void Dispose()
    {
        Keeper.Dispose();
        StopServer();
        if (home is not null)
        {
            Directory.Delete(home, recursive: true);
        }

        GC.SuppressFinalize(this);
    }

    /// <summary>Where the room is served.</summary>
    protected Uri Address { get; }

    /// <summary>The running application, for what is set on the machine itself.</summary>
    protected IServiceProvider Services => app.Services;

    /// <summary>What stands in the journal.</summary>
    private protected HashSet<Guid> EntryIds()
    {
        using var scope = app.Services.CreateScope();
        return scope.ServiceProvider.GetRequiredService<LanternDb>().Ids();
    }

    /// <summary>What came in since, in the order of writing.</summary>
    private protected List<EntryRow> EntriesSince(IReadOnlySet<Guid> before)
    {
        using var scope = app.Services.CreateScope();
        return scope.ServiceProvider.GetRequiredService<LanternDb>().Beyond(before);
    }

    /// <summary>Gives the room an owner, without whom it lets nobody in from the network.</summary>
    protected void SetOwner(string password)
    {
        using var scope = app.Services.CreateScope();
        scope
            .ServiceProvider.GetRequiredService<People>()
            .SetOwnerAsync("Keeper", password, DateTimeOffset.UtcNow, CancellationToken.None)
            .GetAwaiter()
            .GetResult();
    }

    /// <summary>Lets the room's clock go on.</summary>
    protected void PassDays(int days) => PassTime(TimeSpan.FromDays(days));

    /// <summary>The same, by any time.</summary>
    protected void PassTime(TimeSpan time) => app.Clock.Advance(time);

    /// <summary>Lets the room's clock run as the device's does, until that is disposed.</summary>
    internal RunningClock RunClock() => new(app.Clock);

    /// <summary>Takes the server away while the page stays open.</summary>
    protected void StopServer()
    {
        if (!appIsGone)
        {
            appIsGone = true;
            app.Dispose();
        }
    }

    /// <summary>Walks down the round that is open to an enclosure's line.</summary>
    private protected void WalkTo(string name, Keeper? at = null)
    {
        var keeper = at ?? Keeper;
        keeper.See("article[aria-current=true]");
        keeper.Wait(
            () =>
            {
                var there = keeper.Text("article[aria-current=true]").Contains(name, StringComparison.Ordinal);
                if (!there)
                {
                    keeper.Keys("j");
                }

                return there;
            },
            $"the line of {name}"
        );
    }

    /// <summary>Opens an animal's page from the stock list.</summary>
    protected void OpenAnimal(string name)
    {
        Keeper.Open("/stock");
        Keeper.See("input[type=search]").SendKeys(name);
        Keeper.Press(name, "[role=table]");
        Keeper.SeeText("h1", name);
    }
}
