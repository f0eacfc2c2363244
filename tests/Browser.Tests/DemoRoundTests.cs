using System.Reflection;

namespace Browser.Tests;

/// <summary>The demo room: walking the round by keyboard alone, at phone width, in three looks.</summary>
public sealed class DemoRoundTests() : BrowserRoom(demo: true)
{
    [Fact]
    public void The_whole_round_is_walked_by_keyboard_alone()
    {
        Keeper.Open("/");
        Keeper.SeeText("main", "Tonight’s round");
        // What was left in comes before the first shelf.
        Keeper.SeeText("article[aria-current=true]", "A1·03");
        Keeper.Keys("j");
        Keeper.SeeNoText("article[aria-current=true]", "A1·03");
        Keeper.Keys("k");
        Keeper.SeeText("article[aria-current=true]", "A1·03");
        WalkTo("Tansy");
        Keeper.Keys("?");
        Keeper.SeeText("aside[aria-label=Why]", "Cadence");
        Keeper.Keys("?");
        Keeper.Wait(
            () => Keeper.Run("return document.querySelector('aside[aria-label=Why]') === null") is true,
            "the drawer to close"
        );

        // One key for each line until nothing needs a hand; the key is the one its first button shows.
        for (var steps = 0; steps < 120; steps++)
        {
            var line =
                Keeper.Run("return document.querySelector('article[aria-current=true]')?.innerText ?? ''") as string;
            if (line is null or "")
            {
                break;
            }

            var key = (string)
                Keeper.Run("return document.querySelector('article[aria-current=true] [role=group] kbd').innerText")!;
            Keeper.Keys(key.ToLowerInvariant());
            Keeper.Wait(
                () =>
                    Keeper.Run("return document.querySelector('article[aria-current=true]')?.innerText ?? ''") as string
                    != line,
                $"the round to go on after {key}: {line}"
            );
        }

        Keeper.SeeText("main", "nothing more needs a hand");
        // Hushed animals were passed by, not worked on.
        Keeper.SeeText("main", "on its back: leave the lid shut");
        Assert.Empty(Keeper.Complaints());
    }

    [Fact]
    public void A_refusal_takes_two_keys_and_later_takes_one()
    {
        Keeper.Open("/");
        WalkTo("Tansy");
        Keeper.Keys("r");
        Keeper.SeeText("[role=menu]", "Batted it away");
        Keeper.Keys("1");
        Keeper.SeeText("[role=status]", "Tansy: batted away");
        WalkTo("Fennel");
        Keeper.Keys("l");
        Keeper.SeeText("[role=status]", "Fennel: put off until Tue 24 Nov");
    }

    [Fact]
    public void Prey_found_taken_after_all_corrects_the_offer()
    {
        Keeper.Open("/");
        Keeper.SeeText("article[aria-current=true]", "Cockle");
        Keeper.Keys("t");
        Keeper.SeeText("[role=status]", "Cockle: took later 1 small cricket");
        Keeper.Open("/stock");
        Keeper.Press("Cockle", "[role=table]");
        Keeper.SeeText("ol .line-through", "not seen to take 1 small cricket");
    }

    [Fact]
    public void Find_opens_an_animal_by_its_code()
    {
        Keeper.Open("/");
        Keeper.SeeText("main", "Tonight’s round");
        Keeper.Keys("/");
        Keeper.SeeText("[role=dialog]", "Find an animal");
        Keeper.Keys("b1-3");
        Keeper.Wait(
            () => Keeper.Run("return document.querySelectorAll('[role=option]').length") is 1L,
            "one animal found"
        );
        Keeper.Keys(OpenQA.Selenium.Keys.Enter);
        Keeper.SeeText("h1", "Quill");
    }

    [Fact]
    public void A_band_on_the_nightline_opens_its_animal()
    {
        Keeper.Open("/");
        Keeper.See("[role=link][aria-label^='Sorrel']").SendKeys(OpenQA.Selenium.Keys.Enter);
        Keeper.SeeText("h1", "Sorrel");
    }

    [Fact]
    public void A_school_chosen_in_the_why_drawer_holds_for_the_whole_room()
    {
        Keeper.Open("/");
        WalkTo("Tansy");
        Keeper.Keys("?");
        Keeper.Press("lean", "aside[aria-label=Why]");
        Keeper.SeeNoText("article", "Tansy");
        Keeper.Open("/room");
        Keeper.Wait(
            () =>
                Keeper.Run(
                    "return [...document.querySelectorAll('label')].some(l => l.innerText === 'Feed lean' && l.querySelector('input').checked)"
                )
                    is true,
            "lean to be chosen"
        );
    }

    [Fact]
    public void The_round_works_at_phone_width_with_the_acts_under_the_thumb()
    {
        Keeper.Resize(390, 844);
        Keeper.Open("/");
        Keeper.SeeText("article[aria-current=true]", "Cockle");
        Assert.False(Keeper.Run("return document.documentElement.scrollWidth > 390") is true);
        var small = Keeper.Run(
            "return [...document.querySelectorAll('article[aria-current=true] [role=group] button, nav a, nav button')].filter(b => b.offsetParent !== null && b.getBoundingClientRect().height < 44).map(b => b.innerText)"
        );
        Assert.Empty((System.Collections.IEnumerable)small!);
        Keeper.Press("Out", "[role=group][data-settling]");
        Keeper.SeeText("[role=status]", "Cockle: leftovers taken out");
        WalkTo("Tansy");
        Keeper.Press("Fed", "[role=group][data-settling]");
        Keeper.SeeText("[role=status]", "Tansy: took");
    }

    [Theory]
    [InlineData("daylight")]
    [InlineData("lantern")]
    [InlineData("ember")]
    public void Axe_finds_nothing_in_any_view(string look)
    {
        Keeper.Open("/");
        Keeper.Look(look);
        var found = new List<string>();
        void Check(string view, string path, string text, Action? then = null)
        {
            Keeper.Open(path);
            Keeper.See("main h1");
            Keeper.SeeText("main", text);
            then?.Invoke();
            Keeper.See("header svg");
            Keeper.Run(AxeSource());
            var violations = Keeper.RunAsync(
                "const done = arguments[arguments.length - 1]; axe.run(document, { resultTypes: ['violations'] }).then(r => done(r.violations.map(v => v.id + ': ' + v.nodes.map(n => n.target.join(' ') + ' ' + (n.any[0]?.message ?? '')).slice(0, 4).join(' | ')).join('\\n')));"
            );
            if (violations is { Length: > 0 })
            {
                found.Add($"{view}: {violations}");
            }
        }

        void Bramble()
        {
            Keeper.Press("Bramble", "[role=table]");
            Keeper.SeeText("h1", "Bramble");
            Keeper.See("figure svg");
        }

        Check("round", "/", "Tonight’s round");
        Check(
            "why",
            "/",
            "Tonight’s round",
            () =>
            {
                WalkTo("Tansy");
                Keeper.Keys("?");
                Keeper.SeeText("aside[aria-label=Why]", "change");
            }
        );
        Check("stock", "/stock", "Bramble");
        Check("new", "/stock/new", "First measure");
        Check("room", "/room", "Time zone");
        Check("animal", "/stock", "Bramble", Bramble);
        Check(
            "sign",
            "/stock",
            "Bramble",
            () =>
            {
                Bramble();
                Keeper.Keys("s");
                Keeper.SeeText("[role=dialog]", "The molt itself");
            }
        );
        Check(
            "pictures",
            "/stock",
            "Bramble",
            () =>
            {
                Bramble();
                Keeper.Press("Add a picture", "main");
                Keeper.SeeText("h1", "Pictures");
            }
        );
        Check("guide", "/guide", "It lies on its back");
        Check(
            "outcome",
            "/guide",
            "It has lost a leg",
            () =>
            {
                Keeper.Press("It has lost a leg", "main");
                Keeper.Press("Yes", "main");
                Keeper.SeeText("main", "A fresh wound");
            }
        );
        Check("rulebook", "/rulebook", "Predatory ground beetles");
        Check("species", "/rulebook/samia-ricini", "From molt to molt");
        Check("compare", "/rulebook/samia-ricini?with=papilio-machaon", "rules differ");
        Check("larder", "/larder", "Eight weeks of each food");
        Check("feeders", "/larder/feeders", "flour-beetle larvae");
        Check("shelves", "/shelves", "Rack A", () => Keeper.See("[data-place='A1·03']").Click());
        Check("rehousing", "/shelves/rehousing", "Have ready");
        Check(
            "layout",
            "/shelves",
            "Rack A",
            () =>
            {
                Keeper.Press("Racks, shelves, walking order", "aside");
                Keeper.SeeText("[role=dialog]", "Walking order");
            }
        );
        Check("chores", "/chores", "Shared gear");
        Check("almanac", "/almanac", "Came in the last five weeks");
        Check("labels", "/paper/labels", "Label printer");
        Check("sheet", "/paper/round", "Do not open");
        Check("typing", "/paper/typing", "Tonight, ");
        Check("people", "/people", "Sitters");
        Check("about", "/about", "Licence");
        Check("night ahead", "/night/2026-12-01", "meal");
        Check("night past", "/night/2026-11-20", "watered");
        Check(
            "kit",
            "/",
            "Tonight’s round",
            () =>
            {
                Keeper.Keys("c");
                Keeper.SeeText("[role=dialog]", "Food");
            }
        );
        Check("honesty", "/honesty", "Brier score");
        Check("bench", "/bench/vigil", "A wait", () => Keeper.Press("Work it out", "main"));
        Keeper.Resize(390, 844);
        Check("phone", "/", "Tonight’s round");
        Check("shelves on a phone", "/shelves", "Rack A");
        Check("almanac on a phone", "/almanac", "awaited");
        Check("stock on a phone", "/stock", "Bramble");
        Check("guide on a phone", "/guide", "It lies on its back");
        Check("honesty on a phone", "/honesty", "Brier score");
        Assert.True(found.Count == 0, string.Join("\n", found));
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
