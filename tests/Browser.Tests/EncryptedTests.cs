using Hosting.Tests;
using Ledger;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;

namespace Browser.Tests;

/// <summary>
/// The room on the network by TLS, under a root that the phone trusts: it opens and takes entries while the server is out of
/// reach, and brings them when it is back.
/// </summary>
public sealed class EncryptedTests : BrowserRoom
{
    private const string Password = "a long enough one";

    public EncryptedTests()
        : base(demo: true, lan: true, encrypted: true) => SetOwner(Password);

    private const string Strip = "[aria-label='Waiting for the server']";

    private HashSet<Guid> Written()
    {
        using var scope = Services.CreateScope();
        return [.. scope.ServiceProvider.GetRequiredService<LanternDb>().Entries.AsNoTracking().Select(e => e.Id)];
    }

    private static void SeeInstalled(Keeper keeper) =>
        keeper.Wait(
            () =>
                keeper.RunAsync(
                    "const done = arguments[arguments.length - 1]; navigator.serviceWorker.ready.then(async () => done(String((await caches.keys()).length)));"
                )
                    is not null
                        and not "0",
            "the shell to be kept"
        );

    private static void ActOnce(Keeper keeper)
    {
        keeper.Wait(
            () =>
            {
                var button = keeper.See("[role=group][data-settling=false] .act-first");
                if (button.Text is "Out" or "Fed" or "Water" or "Watered" or "Done" or "Put in")
                {
                    keeper.TapOn(button);
                    return true;
                }

                keeper.Keys("j");
                return false;
            },
            "a line that is logged with one tap"
        );
    }

    [Fact]
    public void A_phone_that_trusts_the_root_opens_the_round_out_of_reach_and_loses_nothing()
    {
        using var proxy = new CutProxy(Address);
        using var phone = Another(proxy.Address);
        phone.Phone();
        phone.Open("/");
        phone.SeeText("main", "Hushed Lantern");
        phone.Type("Name", "Keeper");
        phone.Type("Password", Password);
        phone.Press("Sign in");
        phone.See("[role=group][data-settling=false] .act-first");
        Assert.Equal(true, phone.Run("return window.isSecureContext"));
        SeeInstalled(phone);
        // Once more, by the worker that keeps the shell.
        phone.Open("/");
        phone.See("[role=group][data-settling=false] .act-first");
        SeeInstalled(phone);
        var before = Written();

        // Out of reach: the page is opened anew all the same, says how old it is, and takes what is done.
        proxy.Let(Passage.Closed);
        phone.Open("/");
        phone.See("[role=group][data-settling=false] .act-first");
        phone.SeeText(Strip, "Not live since");
        ActOnce(phone);
        phone.SeeText(Strip, "1 entry waits");
        ActOnce(phone);
        phone.SeeText(Strip, "2 entries wait");
        // And once more: what waits outlives the page.
        phone.Open("/");
        phone.SeeText(Strip, "2 entries wait");
        Assert.True(before.SetEquals(Written()));

        proxy.Let(Passage.Open);
        phone.Wait(
            () => phone.Run($"return document.querySelector(\"{Strip}\") === null") is true,
            "nothing to wait any more"
        );
        using var scope = Services.CreateScope();
        var fresh = scope
            .ServiceProvider.GetRequiredService<LanternDb>()
            .Entries.AsNoTracking()
            .Where(e => !before.Contains(e.Id))
            .ToList();
        Assert.Equal(2, fresh.Select(e => e.StockId).Distinct().Count());
        Assert.DoesNotContain(phone.Complaints(), c => c.Contains("Content Security Policy", StringComparison.Ordinal));
    }

    [Fact]
    public void A_browser_that_does_not_trust_the_root_is_not_let_in()
    {
        using var stranger = new Keeper(Address, home: Certificates.HomeThatTrusts(RootOfAnother()));
        stranger.Open("/");
        stranger.SeeText("body", "ERR_CERT_AUTHORITY_INVALID");
    }

    private static byte[] RootOfAnother() =>
        App
            .Doorway.RoomRoot.Make(App.Doorway.ServedNames.Now(null), DateTimeOffset.UtcNow)
            .Export(System.Security.Cryptography.X509Certificates.X509ContentType.Cert);
}
