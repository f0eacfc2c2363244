using System.Reflection;
using Hosting.Tests;

namespace Browser.Tests;

/// <summary>The demo room: walking the round by keyboard alone, at phone width, in three looks.</summary>
public sealed class DemoRoundTests : IDisposable
{
    private readonly LanternFactory app = new(demo: true);
    private readonly Keeper keeper;

    public DemoRoundTests()
    {
        app.UseKestrel(0);
        app.StartServer();
        keeper = new Keeper(app.ClientOptions.BaseAddress);
    }

    public void Dispose()
    {
        keeper.Dispose();
        app.Dispose();
    }

    [Fact]
    public void The_whole_round_is_walked_by_keyboard_alone()
    {
        keeper.Open("/");
        keeper.SeeText("main", "Tonight’s round");
        keeper.SeeText("article[aria-current=true]", "A1·01");
        keeper.Keys("j");
        keeper.SeeText("article[aria-current=true]", "A1·03");
        keeper.Keys("k");
        keeper.SeeText("article[aria-current=true]", "A1·01");
        keeper.Keys("?");
        keeper.SeeText("aside[aria-label=Why]", "Cadence");
        keeper.Keys("?");
        keeper.Wait(
            () => keeper.Run("return document.querySelector('aside[aria-label=Why]') === null") is true,
            "the drawer to close"
        );

        // One key for each line until nothing needs a hand; the key is the one its first button shows.
        for (var steps = 0; steps < 60; steps++)
        {
            var line =
                keeper.Run("return document.querySelector('article[aria-current=true]')?.innerText ?? ''") as string;
            if (line is null or "")
            {
                break;
            }

            var key = (string)
                keeper.Run("return document.querySelector('article[aria-current=true] [role=group] kbd').innerText")!;
            keeper.Keys(key.ToLowerInvariant());
            keeper.Wait(
                () =>
                    keeper.Run("return document.querySelector('article[aria-current=true]')?.innerText ?? ''") as string
                    != line,
                $"the round to go on after {key}: {line}"
            );
        }

        keeper.SeeText("main", "nothing more needs a hand");
        // Hushed animals were passed by, not worked on.
        keeper.SeeText("main", "on its back: leave the lid shut");
        Assert.Empty(keeper.Complaints());
    }

    [Fact]
    public void A_refusal_takes_two_keys_and_later_takes_one()
    {
        keeper.Open("/");
        keeper.SeeText("article[aria-current=true]", "Tansy");
        keeper.Keys("r");
        keeper.SeeText("[role=menu]", "Batted it away");
        keeper.Keys("1");
        keeper.SeeText("[role=status]", "Tansy: batted away");
        keeper.SeeText("article[aria-current=true]", "Cockle");
        keeper.Keys("l");
        keeper.SeeText("[role=status]", "Cockle: put off until Tue 24 Nov");
    }

    [Fact]
    public void Prey_found_taken_after_all_corrects_the_offer()
    {
        keeper.Open("/");
        keeper.SeeText("article[aria-current=true]", "Tansy");
        keeper.Keys("j");
        keeper.SeeText("article[aria-current=true]", "Cockle");
        keeper.Keys("t");
        keeper.SeeText("[role=status]", "Cockle: took later 1 small cricket");
        keeper.Open("/stock");
        keeper.Press("Cockle", "table");
        keeper.SeeText("ol .line-through", "not seen to take 1 small cricket");
    }

    [Fact]
    public void Find_opens_an_animal_by_its_code()
    {
        keeper.Open("/");
        keeper.SeeText("main", "Tonight’s round");
        keeper.Keys("/");
        keeper.SeeText("[role=dialog]", "Find an animal");
        keeper.Keys("b1-3");
        keeper.Wait(
            () => keeper.Run("return document.querySelectorAll('[role=option]').length") is 1L,
            "one animal found"
        );
        keeper.Keys(OpenQA.Selenium.Keys.Enter);
        keeper.SeeText("h1", "Quill");
    }

    [Fact]
    public void A_band_on_the_nightline_opens_its_animal()
    {
        keeper.Open("/");
        keeper.See("[role=link][aria-label^='Sorrel']").SendKeys(OpenQA.Selenium.Keys.Enter);
        keeper.SeeText("h1", "Sorrel");
    }

    [Fact]
    public void A_school_chosen_in_the_why_drawer_holds_for_the_whole_room()
    {
        keeper.Open("/");
        keeper.SeeText("article[aria-current=true]", "Tansy");
        keeper.Keys("?");
        keeper.Press("lean", "aside[aria-label=Why]");
        keeper.SeeNoText("article", "Tansy");
        keeper.Open("/room");
        keeper.Wait(
            () =>
                keeper.Run(
                    "return [...document.querySelectorAll('label')].some(l => l.innerText === 'Feed lean' && l.querySelector('input').checked)"
                )
                    is true,
            "lean to be chosen"
        );
    }

    [Fact]
    public void The_round_works_at_phone_width_with_the_acts_under_the_thumb()
    {
        keeper.Resize(390, 844);
        keeper.Open("/");
        keeper.SeeText("article[aria-current=true]", "Tansy");
        Assert.False(keeper.Run("return document.documentElement.scrollWidth > 390") is true);
        var small = keeper.Run(
            "return [...document.querySelectorAll('article[aria-current=true] [role=group] button, nav a, nav button')].filter(b => b.offsetParent !== null && b.getBoundingClientRect().height < 44).map(b => b.innerText)"
        );
        Assert.Empty((System.Collections.IEnumerable)small!);
        keeper.Press("Fed", "[role=group]");
        keeper.SeeText("[role=status]", "Tansy: took");
        keeper.SeeText("article[aria-current=true]", "Cockle");
        keeper.Press("Out", "[role=group]");
        keeper.SeeText("[role=status]", "Cockle: leftovers taken out");
    }

    public static TheoryData<string, string> Views()
    {
        var data = new TheoryData<string, string>();
        foreach (var look in new[] { "daylight", "lantern", "ember" })
        {
            foreach (var view in new[] { "/", "/stock", "/stock/new", "/room", "animal", "why", "sign", "phone" })
            {
                data.Add(look, view);
            }
        }

        return data;
    }

    [Theory]
    [MemberData(nameof(Views))]
    public void Axe_finds_nothing(string look, string view)
    {
        var path =
            view.StartsWith('/') ? view
            : view == "animal" || view == "sign" ? "/stock"
            : "/";
        if (view == "phone")
        {
            keeper.Resize(390, 844);
        }

        keeper.Open(path);
        keeper.Look(look);
        keeper.Open(path);
        keeper.See("main h1");
        if (path == "/stock" && view != path)
        {
            keeper.Press("Bramble", "table");
            keeper.SeeText("h1", "Bramble");
            keeper.See("figure svg");
        }

        if (view is "why")
        {
            keeper.SeeText("article[aria-current=true]", "Tansy");
            keeper.Keys("?");
            keeper.See("aside[aria-label=Why]");
        }

        if (view is "sign")
        {
            keeper.Keys("s");
            keeper.SeeText("[role=dialog]", "The molt itself");
        }

        keeper.See("header svg");
        keeper.Run(AxeSource());
        var found = keeper.RunAsync(
            "const done = arguments[arguments.length - 1]; axe.run(document, { resultTypes: ['violations'] }).then(r => done(r.violations.map(v => v.id + ': ' + v.nodes.map(n => n.target.join(' ') + ' ' + (n.any[0]?.message ?? '')).slice(0, 4).join(' | ')).join('\\n')));"
        );
        Assert.Equal("", found);
    }

    private static string AxeSource()
    {
        for (var at = new FileInfo(Assembly.GetExecutingAssembly().Location).Directory; at is not null; at = at.Parent)
        {
            var axe = Path.Combine(at.FullName, "client", "node_modules", "axe-core", "axe.min.js");
            if (File.Exists(axe))
            {
                return File.ReadAllText(axe);
            }
        }

        throw new FileNotFoundException("axe-core is not installed: run npm ci in client.");
    }
}
