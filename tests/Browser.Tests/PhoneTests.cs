using SkiaSharp;

namespace Browser.Tests;

/// <summary>A phone on the room's network: plain http under an address of the machine, 390 px, touch.</summary>
public sealed class PhoneTests : BrowserRoom
{
    private const string Password = "a long enough one";

    public PhoneTests()
        : base(demo: true, lan: true, onNetwork: true)
    {
        SetOwner(Password);
        Keeper.Phone();
        Keeper.Open("/");
        Keeper.SeeText("main", "Hushed Lantern");
        Assert.False(Keeper.Run("return window.isSecureContext") is true);
        Keeper.Type("Name", "Keeper");
        Keeper.Type("Password", Password);
        Keeper.Tap("Sign in");
        Keeper.See("article[aria-current=true]");
    }

    /// <summary>Whether the whole lit line lies between the head of the page and the bar of acts.</summary>
    private bool LitIsInView =>
        Keeper.Run(
            """
            const line = document.querySelector('article[aria-current=true]')?.getBoundingClientRect();
            const bar = document.querySelector('[role=group][data-settling]')?.getBoundingClientRect();
            return line !== undefined && bar !== undefined && line.top >= 0 && line.top + 24 <= bar.top;
            """
        )
            is true;

    [Fact]
    public void The_round_the_form_a_picture_and_a_sitters_tick_work_over_plain_http()
    {
        Keeper.SeeText("article[aria-current=true]", "Cockle");
        Keeper.Tap("Out", "[role=group]");
        Keeper.SeeText("[data-bar]", "Cockle: leftovers taken out");
        Keeper.Tap("Undo");
        Keeper.SeeText("[data-bar]", "Taken back");
        Keeper.Tap("More", "[role=group]");
        Keeper.Tap("Note", "[role=menu]");
        Keeper.Type("Note", "sits in the light");
        Keeper.Tap("Log it", "[role=dialog]");
        Keeper.SeeText("[data-bar]", "sits in the light");

        Keeper.Open("/stock/new");
        Keeper.Type("Name", "Newcomer");
        Keeper.Type("Place", "F1·01");
        Keeper.Type("Length in mm", "40");
        Keeper.Tap("Add it");
        Keeper.SeeText("h1", "Newcomer");

        var path = Path.Combine(Directory.CreateTempSubdirectory("lantern-phone-").FullName, "skin.png");
        using (var bitmap = new SKBitmap(80, 50))
        {
            File.WriteAllBytes(path, bitmap.Encode(SKEncodedImageFormat.Png, 100).ToArray());
        }

        Keeper.Tap("Add a picture", "main");
        Keeper.Type("What it shows", "its skin");
        Keeper.Upload(path);
        Keeper.SeeText("main li", "its skin");

        Keeper.Open("/people");
        Keeper.Type("Sitter’s name", "Robin");
        Keeper.Type("Whom to call", "555 0101");
        Keeper.Tap("Make a link", "main");
        var link = Keeper.See("input[aria-label='The sitter’s link']").GetAttribute("value")!;
        using var sitter = new Keeper(Address);
        sitter.Phone();
        sitter.Open(new Uri(link).AbsolutePath);
        sitter.SeeText("h1", "Tonight for Robin");
        sitter.Tap("Put in", "section[aria-label='To do']");
        sitter.SeeText("section[aria-label=Done]", "Tansy");
    }

    [Fact]
    public void The_lit_line_stays_in_view_and_the_bar_names_it()
    {
        Keeper.See("article[aria-current=true]");
        for (var act = 0; act < 8; act++)
        {
            Keeper.Wait(() => LitIsInView, $"the lit line to be in view after {act} acts");
            var place = Keeper.Text("article[aria-current=true] .code");
            var bar = Keeper.Text("[role=group][data-settling=false]");
            Assert.Contains(place, bar, StringComparison.Ordinal);
            // Where a molt is looked for, the first act opens a form.
            Keeper.TapOn(
                bar.Contains("Not yet", StringComparison.Ordinal)
                    ? Keeper.See("[role=group][data-settling=false] button:nth-last-of-type(2)")
                    : Keeper.See("[role=group][data-settling=false] .act-first")
            );
            Keeper.Wait(() => Keeper.Text("[role=group][data-settling]") != bar, "the light to go on");
        }

        // Back from an animal the light stands where it stood.
        var stood = Keeper.Text("article[aria-current=true] .code");
        Keeper.TapOn(Keeper.See("article[aria-current=true] a"));
        Keeper.See("h1");
        Keeper.Wait(() => Keeper.Path.StartsWith("/stock/", StringComparison.Ordinal), "the animal");
        Keeper.Run("history.back()");
        Keeper.Wait(() => Keeper.Text("article[aria-current=true] .code") == stood, "the light where it stood");
        Keeper.Wait(() => LitIsInView, "the lit line to be in view on coming back");
    }

    [Fact]
    public void A_scrolling_finger_carries_no_enclosure_off()
    {
        Keeper.Open("/shelves");
        var slot = Keeper.See("[data-place='A1·02']");
        Keeper.Drag(slot, 0, -240);
        Keeper.Drag(Keeper.See("[data-place='A2·02']"), 90, 0);
        Keeper.SeeNoText("main", "Carrying");
        Keeper.See("[data-place='A1·02'][aria-label*='Bramble']");
        Keeper.SeeNoText("[data-bar]", "moved to");
    }
}
