using OpenQA.Selenium;

namespace Browser.Tests;

/// <summary>An evening without mouse and finger: Tab, letters and Enter alone.</summary>
public sealed class KeyboardTests() : BrowserRoom(demo: false)
{
    // More stops than any page has before what is looked for.
    private const int MostTabs = 80;

    private const string Focused = """
        const at = document.activeElement;
        if (at === document.body) return '';
        const label = at.id === '' ? null : document.querySelector(`label[for="${CSS.escape(at.id)}"]`);
        return `${at.getAttribute('aria-label') ?? ''} ${label?.textContent ?? ''} ${at.closest('fieldset')?.querySelector('legend')?.textContent ?? ''} ${at.matches('button, a') ? at.textContent : ''}`;
        """;

    private int TabTo(string name)
    {
        for (var tabs = 0; tabs <= MostTabs; tabs++)
        {
            if (Keeper.Run(Focused) is string there && there.Contains(name, StringComparison.Ordinal))
            {
                return tabs;
            }

            Keeper.KeysAtOnce(Keys.Tab);
        }

        throw new NotFoundException($"“{name}” is not reached by {MostTabs} tabs from {Keeper.Path}.");
    }

    private void Fill(string field, string text)
    {
        TabTo(field);
        Keeper.KeysAtOnce(text);
    }

    [Fact]
    public void An_animal_is_added_fed_read_and_left_alone_by_keys_alone()
    {
        Keeper.Open("/");
        Keeper.SeeText("main", "No enclosure stands here yet");
        TabTo("Add an animal");
        Keeper.KeysAtOnce(Keys.Enter);
        Keeper.SeeText("h1", "Add an animal");
        // The first field has the focus; a notebook's next animal is two fields away.
        Assert.Equal(0, TabTo("Name"));
        Keeper.KeysAtOnce("Tansy");
        Fill("Place", "b2-7");
        // As the browser asks for it: month, day, year.
        Fill("Came on", "09012026");
        Fill("Molts behind it", "5");
        Fill("Length in mm", "60");
        Keeper.KeysAtOnce(Keys.Enter);
        Keeper.SeeText("h1", "Tansy");

        Keeper.Keys("gr");
        Keeper.SeeText("article[aria-current=true]", "Tansy");
        Keeper.Keys("f");
        Keeper.SeeText("[data-bar]", "took 1");
        Keeper.Keys("z");
        Keeper.SeeText("[data-bar]", "Taken back");
        // Its page and back, by what has the focus.
        Keeper.SeeText("article[aria-current=true]", "Tansy");
        Keeper.Keys("?");
        Keeper.SeeText("aside[aria-label=Why]", "Why");
        Keeper.KeysAtOnce(Keys.Escape);
        Keeper.Wait(
            () => Keeper.Run("return document.querySelector('aside[aria-label=Why]') === null") is true,
            "the reasons to close"
        );
        Keeper.Wait(
            () => Keeper.Run("return document.activeElement.closest('[data-line]') !== null") is true,
            "the focus to be back on the line"
        );
        Keeper.Keys("e");
        Keeper.See("[role=menu]");
        Keeper.KeysAtOnce(Keys.Escape);
        Keeper.Wait(() => Keeper.Run("return document.querySelector('[role=menu]') === null") is true, "it to close");

        // A sign by words, from anywhere.
        Keeper.KeysAtOnce(Keys.Control + "k");
        Keeper.See("[role=dialog] input");
        Keeper.KeysAtOnce("tansy");
        Keeper.SeeText("[role=dialog] [cmdk-item][aria-selected=true]", "Tansy");
        Keeper.KeysAtOnce(Keys.Enter);
        Keeper.SeeText("h1", "Tansy");
        Keeper.Keys("s");
        Keeper.SeeText("[role=dialog]", "Strong signs");
        TabTo("Skin under the hair dark");
        Keeper.KeysAtOnce(Keys.Enter);
        Keeper.SeeText("[data-bar]", "sign: ");
        Assert.Empty(Keeper.Complaints());
    }

    [Fact]
    public void The_palette_feeds_the_animal_at_a_code_goes_to_places_and_finds_labels()
    {
        Keeper.Open("/stock/new");
        Keeper.Type("Name", "Tansy");
        Keeper.Type("Place", "A1-3");
        Keeper.Press("Add it");
        Keeper.SeeText("h1", "Tansy");
        Ask("go to larder", "Go to Larder");
        Keeper.SeeText("h1", "Larder");
        Ask("labels for A1", "Labels for A1: 1 enclosure");
        Keeper.SeeText("h1", "Paper");
        Ask("water a1·03", "Water");
        Keeper.SeeText("[data-bar]", "Tansy");
    }

    private void Ask(string words, string hit)
    {
        Keeper.KeysAtOnce(Keys.Control + "k");
        Keeper.See("[role=dialog] input");
        Keeper.KeysAtOnce(words);
        Keeper.SeeText("[role=dialog] [cmdk-item][aria-selected=true]", hit);
        Keeper.KeysAtOnce(Keys.Enter);
    }
}
