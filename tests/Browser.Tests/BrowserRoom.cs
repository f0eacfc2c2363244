using Hosting.Tests;

namespace Browser.Tests;

/// <summary>A running application with a keeper in front of it; each test has its own.</summary>
public abstract class BrowserRoom : IDisposable
{
    private readonly LanternFactory app;
    private bool appIsGone;

    protected BrowserRoom(bool demo, bool lan = false)
    {
        app = new LanternFactory(demo, lan: lan);
        app.UseKestrel(0);
        app.StartServer();
        Keeper = new Keeper(app.ClientOptions.BaseAddress);
    }

    private protected Keeper Keeper { get; }

    public void Dispose()
    {
        Keeper.Dispose();
        StopServer();
        GC.SuppressFinalize(this);
    }

    /// <summary>Where the room is served.</summary>
    protected Uri Address => app.ClientOptions.BaseAddress;

    /// <summary>The running application, for what is set on the machine itself.</summary>
    protected IServiceProvider Services => app.Services;

    /// <summary>Lets the room's clock go on.</summary>
    protected void PassDays(int days) => app.Clock.Advance(TimeSpan.FromDays(days));

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
    protected void WalkTo(string name)
    {
        Keeper.See("article[aria-current=true]");
        Keeper.Wait(
            () =>
            {
                var there = Keeper.Text("article[aria-current=true]").Contains(name, StringComparison.Ordinal);
                if (!there)
                {
                    Keeper.Keys("j");
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
