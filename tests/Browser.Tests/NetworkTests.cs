namespace Browser.Tests;

/// <summary>The room on the network: signing in, a helper's name, a sitter's sheet on a phone.</summary>
public sealed class NetworkTests : BrowserRoom
{
    private const string Password = "a long enough one";

    public NetworkTests()
        : base(demo: true, lan: true) => SetOwner(Password);

    [Fact]
    public void The_owner_signs_in_adds_a_helper_and_the_helpers_tick_bears_their_name()
    {
        Keeper.SignIn("Keeper", Password, "/people");
        Keeper.SeeText("h1", "People");
        Keeper.Type("Helper’s name", "Ann");
        Keeper.Type("Helper’s password", Password);
        Keeper.Press("Add", "main");
        Keeper.SeeText("main ul", "Ann");
        using var helper = new Keeper(Address, 390, 844);
        helper.SignIn("Ann", Password);
        helper.SeeText("article[aria-current=true]", "Cockle");
        Keeper.Open("/");
        Keeper.SeeText("article[aria-current=true]", "Cockle");
        helper.Press("Out", "[role=group][data-settling]");
        helper.SeeText("[data-bar]", "Cockle: leftovers taken out");
        Keeper.SeeText("main", "Ann");
        helper.Open("/people");
        helper.SeeText("main", "You are signed in as Ann");
        Assert.DoesNotContain("Helpers", helper.Text("main"), StringComparison.Ordinal);
        helper.Press("Sign out", "main");
        helper.SeeText("main", "Password");
    }

    [Fact]
    public void A_sitter_ticks_what_is_safe_and_can_open_nothing_else()
    {
        Keeper.SignIn("Keeper", Password, "/people");
        Keeper.SeeText("h1", "People");
        Keeper.Type("Sitter’s name", "Robin");
        Keeper.Type("Whom to call", "555 0101");
        Keeper.Press("Make a link", "main");
        var link = Keeper.See("input[aria-label='The sitter’s link']").GetAttribute("value")!;
        using var sitter = new Keeper(Address, 390, 844);
        sitter.Open(new Uri(link).AbsolutePath);
        sitter.SeeText("h1", "Tonight for Robin");
        sitter.SeeText("section[aria-label='Do not open']", "Bramble");
        sitter.SeeText("section[aria-label='To do']", "Tansy");
        Assert.DoesNotContain("Bramble", sitter.Text("section[aria-label='To do']"), StringComparison.Ordinal);
        Assert.False(sitter.Run("return document.documentElement.scrollWidth > 390") is true);
        sitter.Press("Put in", "section[aria-label='To do']");
        sitter.SeeText("section[aria-label=Done]", "Tansy");
        // What lies beside the sheet stays shut.
        sitter.Open("/stock");
        sitter.SeeText("main", "Password");
        var status = sitter.RunAsync(
            "const done = arguments[arguments.length - 1]; fetch('/api/round').then(r => done(String(r.status)));"
        );
        Assert.Equal("401", status);
        Keeper.Press("Withdraw", "main");
        Keeper.SeeNoText("main", "open tonight");
        sitter.Open(new Uri(link).AbsolutePath);
        sitter.SeeText("main", "Ask the keeper for a new one");
    }
}
