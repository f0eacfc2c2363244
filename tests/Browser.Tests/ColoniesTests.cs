namespace Browser.Tests;

/// <summary>The colonies as a keeper uses them, on a screen and on a phone.</summary>
public sealed class ColoniesTests() : BrowserRoom(demo: true)
{
    [Fact]
    public void The_place_of_colonies_shows_tubs_and_queens()
    {
        Keeper.Open("/");
        Keeper.SeeText("h1", "Tonight’s round");
        Keeper.Keys("gc");
        Keeper.SeeText("h1", "What stands in the tubs, and who founds?");
        const string Tubs = "section[aria-labelledby=tubs]";
        Keeper.SeeText(Tubs, "Pill box");
        Keeper.SeeText(Tubs, "Powder box");
        Keeper.See($"{Tubs} svg[aria-label*='powder, in a heap']");
        Keeper.See("[aria-label='Why: the calcium of Pill box']").Click();
        Keeper.SeeText("aside[aria-label=Why]", "the young cannot manage shells");
        Keeper.SeeText("section[aria-labelledby=ants]", "a queen");
        Keeper.SeeText("section[aria-labelledby=ants]", "first workers");
        Assert.Empty(Keeper.Complaints());
    }

    [Fact]
    public void Calcium_is_told_source_by_source_on_a_phone()
    {
        Keeper.Phone();
        OpenAnimal("Pill box");
        Keeper.SeeText("#calcium", "Calcium");
        Keeper.Tap("Calcium seen or put in…");
        Keeper.SeeText("[role=dialog]", "Left of powder, in a heap");
        Keeper.Tap("Gone", "[role=dialog] fieldset:first-of-type");
        Keeper.Tap("Log it", "[role=dialog]");
        Keeper.SeeText("section[aria-labelledby=calcium]", "put in a fine powder tonight");
        Keeper.Tap("Calcium seen or put in…");
        Keeper.Tap("powder, in a heap", "[role=dialog]");
        Keeper.Tap("Log it", "[role=dialog]");
        Keeper.SeeText("section[aria-labelledby=calcium]", "2 standing sources, one a powder");
        Keeper.SeeText("main", "put in powder, in a heap");
        Assert.Empty(Keeper.Complaints());
    }
}
