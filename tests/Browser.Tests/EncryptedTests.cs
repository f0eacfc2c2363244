using Hosting.Tests;
using static Browser.Tests.RoundSteps;

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

    [Fact]
    public void A_phone_that_trusts_the_root_opens_the_round_out_of_reach_and_loses_nothing()
    {
        using var proxy = new CutProxy(Address);
        using var phone = Another(proxy.Address);
        phone.Phone();
        SignIn(phone);
        Assert.Equal(true, phone.Run("return window.isSecureContext"));
        SeeInstalled(phone);
        // Once more, by the worker that keeps the shell.
        phone.Open("/");
        phone.See("[role=group][data-settling=false] .act-first");
        SeeInstalled(phone);
        var before = EntryIds();

        // Out of reach: the page is opened anew all the same, says how old it is, and takes what is done.
        proxy.Let(Passage.Closed);
        phone.Open("/");
        phone.See("[role=group][data-settling=false] .act-first");
        phone.SeeText(Strip, "Not live since");
        ActByTouch(phone);
        phone.SeeText(Strip, "1 entry waits");
        ActByTouch(phone);
        phone.SeeText(Strip, "2 entries wait");
        // And once more: what waits outlives the page.
        phone.Open("/");
        phone.SeeText(Strip, "2 entries wait");
        Assert.True(before.SetEquals(EntryIds()));

        proxy.Let(Passage.Open);
        phone.Wait(
            () => phone.Run($"return document.querySelector(\"{Strip}\") === null") is true,
            "nothing to wait any more"
        );
        var fresh = EntriesSince(before);
        Assert.Equal(2, fresh.Select(e => e.StockId).Distinct().Count());
        Assert.DoesNotContain(phone.Complaints(), c => c.Contains("Content Security Policy", StringComparison.Ordinal));
    }

    private static void SignIn(Keeper keeper)
    {
        keeper.SignIn("Keeper", Password);
        SeeRound(keeper);
    }

    [Fact]
    public void Two_phones_act_twelve_times_out_of_reach_and_each_act_is_written_once_at_its_time()
    {
        const int Each = 6;
        using var nearProxy = new CutProxy(Address);
        using var farProxy = new CutProxy(Address);
        using var near = Another(nearProxy.Address);
        using var far = Another(farProxy.Address);
        foreach (var phone in new[] { near, far })
        {
            phone.Phone();
            SignIn(phone);
        }

        // One walks from the front, the other from further down.
        for (var line = 0; line < 4 * Each; line++)
        {
            far.Keys("j");
        }

        var before = EntryIds();
        var watch = System.Diagnostics.Stopwatch.StartNew();
        for (var k = 1; k <= Each; k++)
        {
            foreach (var (phone, proxy) in new[] { (near, nearProxy), (far, farProxy) })
            {
                PassTime(watch.Elapsed);
                watch.Restart();
                // Cut off before it is asked, and before the answer comes: then it is written already and sent again.
                proxy.Let(k % 3 == 1 ? Passage.Mute : Passage.Closed);
                ActByTouch(phone);
                SeeWaiting(phone, k);
            }
        }

        PassTime(watch.Elapsed);
        nearProxy.Let(Passage.Open);
        farProxy.Let(Passage.Open);
        SeeNothingWaiting(near);
        SeeNothingWaiting(far);
        var fresh = EntriesSince(before);
        Assert.Equal(2 * Each, fresh.Select(e => e.StockId).Distinct().Count());
        Assert.Equal(fresh.Count, fresh.Select(e => (e.StockId, e.Act)).Distinct().Count());
        // What was tapped long before it came stands at the time of its tap.
        var times = fresh.Select(e => e.FromTicks).Order().ToList();
        Assert.True(times[^1] - times[0] > TimeSpan.TicksPerSecond, "all stand at the time at which they arrived");
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
