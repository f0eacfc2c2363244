namespace Browser.Tests;

/// <summary>The demo room: walking the round by keyboard alone and at phone width.</summary>
public sealed class DemoRoundTests() : BrowserRoom(demo: true)
{
    [Fact]
    public void A_look_that_tells_much_is_named_and_done_with_one_key()
    {
        const string Named = "Look for signs from outside";
        Keeper.Open("/");
        Keeper.SeeText("article", Named);
        var name = (string)
            Keeper.Run(
                "return [...document.querySelectorAll('article')].find(e => e.textContent.includes(arguments[0])).querySelector('a.font-display').textContent",
                Named
            )!;
        WalkTo(name);
        Keeper.Keys("v");
        Keeper.SeeText("[data-bar]", $"{name}: looked: no sign");
        // Who has just looked is not asked again.
        Keeper.Wait(
            () =>
                Keeper.Run(
                    "return ![...document.querySelectorAll('article')].some(e => arguments.length > 0 && [...arguments].every(a => e.textContent.includes(a)))",
                    name,
                    Named
                )
                    is true,
            "the look to be done"
        );
    }

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
        Keeper.SeeText("[data-bar]", "Tansy: batted away");
        WalkTo("Fennel");
        Keeper.Keys("l");
        Keeper.SeeText("[data-bar]", "Fennel: put off until Tue 24 Nov");
    }

    [Fact]
    public void Prey_found_taken_after_all_corrects_the_offer()
    {
        Keeper.Open("/");
        Keeper.SeeText("article[aria-current=true]", "Cockle");
        Keeper.Keys("t");
        Keeper.SeeText("[data-bar]", "Cockle: took later 1 small cricket");
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
        Keeper.SeeText("[role=dialog]", "Find or do");
        Keeper.Keys("b1-3");
        Keeper.SeeText("[role=option][aria-selected=true]", "Quill");
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
        Keeper.SeeText("[data-bar]", "Cockle: leftovers taken out");
        WalkTo("Tansy");
        Keeper.Press("Fed", "[role=group][data-settling]");
        Keeper.SeeText("[data-bar]", "Tansy: took");
    }
}
