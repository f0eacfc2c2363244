namespace Browser.Tests;

/// <summary>The pairing desk as a keeper uses it.</summary>
public sealed class PairingTests() : BrowserRoom(demo: true)
{
    private const string Family = "section[aria-labelledby=desk-Ceratogyrus-darlingi]";

    [Fact]
    public void The_desk_says_who_is_ready_until_when_and_with_whom()
    {
        Keeper.Open("/");
        Keeper.SeeText("h1", "Tonight’s round");
        Keeper.Keys("gp");
        Keeper.SeeText("h1", "Who is ready");
        Keeper.SeeText($"{Family} article", "Dapple");
        Keeper.SeeText($"{Family} article", "sac before her molt in");
        Keeper.See($"{Family} svg[aria-label^='Chance of sac by night of pairing']");
        // First cousins are warned of, half-sibs stopped.
        Keeper.SeeText($"{Family} ol", "Dapple × Reeve");
        Keeper.SeeText($"{Family} ol", "near of kin");
        Keeper.SeeText($"{Family} ol", "too near of kin");
        // Every word has its reasons.
        Keeper.See($"{Family} [aria-label='Why: whether Dapple may be paired']").Click();
        Keeper.SeeText("aside[aria-label=Why]", "nights since her molt");
        Assert.Empty(Keeper.Complaints());
    }

    [Fact]
    public void Half_sibs_are_paired_only_when_that_is_confirmed()
    {
        OpenAnimal("Dapple");
        Keeper.Keys("e");
        Keeper.Press("Paired…", "[role=menu]");
        Keeper.Type("Mate in this room", "Ebb");
        Keeper.Press("Ebb", "[role=listbox]");
        Keeper.SeeText("[role=dialog] [role=alert]", "F 12.5 %");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("[role=dialog]", "say that they were all the same");
        Keeper.See("[role=dialog] input[type=checkbox]").Click();
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("ol", "put together with Ebb");
    }
}
