namespace Browser.Tests;

/// <summary>The nursery as a keeper uses it, on a screen and on a phone.</summary>
public sealed class NurseryTests() : BrowserRoom(demo: true)
{
    [Fact]
    public void The_nursery_says_what_is_awaited_who_goes_apart_and_who_lives()
    {
        Keeper.Open("/");
        Keeper.SeeText("h1", "Tonight’s round");
        Keeper.Keys("gn");
        Keeper.SeeText("h1", "What is hatching, and who lives?");
        Keeper.SeeText("section[aria-labelledby=broods]", "Cork nymphs");
        Keeper.SeeText("section[aria-labelledby=broods]", "Put each alone now, before the molt");
        Keeper.SeeText("section[aria-labelledby=broods]", "worse than yours usually are");
        Keeper.SeeText("section[aria-labelledby=awaited]", "sac of Bollard, kept apart");
        Keeper.SeeText("section[aria-labelledby=leaf]", "Fennel box");
        Keeper.SeeText("section[aria-labelledby=leaf]", "L3");
        Keeper.SeeText("section[aria-labelledby=winters]", "all 98 cold days done");
        Keeper.SeeText("section[aria-labelledby=winters]", "pairs to be expected");
        Keeper.See("[aria-label='Why: the nights on which Saturnia pyri are warmed']").Click();
        Keeper.SeeText("aside[aria-label=Why]", "Males come out about 5 days before the females");
        Assert.Empty(Keeper.Complaints());
        OpenAnimal("Cork nymphs");
        Keeper.SeeText("section[aria-labelledby=brood]", "in a picture");
        Keeper.See("svg[aria-label*='eaten by its own kind']");
        Keeper.See("[aria-label='Why: this brood beside others']").Click();
        Keeper.SeeText("aside[aria-label=Why]", "earlier brood");
        Assert.Empty(Keeper.Complaints());
    }

    /// <summary>From the sac to labelled animals: hatch, count, divide, feed, grade, promote.</summary>
    [Fact]
    public void A_sac_is_followed_to_labelled_slings_on_a_phone()
    {
        Keeper.Phone();
        OpenAnimal("Bollard’s sac");
        Keeper.Tap("Hatched");
        Keeper.Tap("Log it", "[role=dialog]");
        Keeper.SeeText("h1", "Bollard’s sac");
        Keeper.SeeText("header", "i1");
        Keeper.Tap("Something else");
        Keeper.Tap("Counted…", "[role=menu]");
        Keeper.SeeText("[role=dialog]", "Count in a picture");
        Keeper.Upload(BroodPicture.Of(6, 4));
        Keeper.SeeText("[data-count]", "24");
        Keeper.Tap("One more", "[role=dialog]");
        Keeper.SeeText("[data-count]", "25");
        Keeper.Tap("Log it", "[role=dialog]");
        Keeper.SeeText("h1", "× 25");
        Keeper.SeeText("section[aria-labelledby=brood]", "in a picture");
        Keeper.Tap("Molted", "header");
        Keeper.Tap("Log it", "[role=dialog]");
        Keeper.SeeText("header", "i2");
        Assert.Empty(Keeper.Complaints());

        // The skins harden; then the round asks to put each alone.
        PassDays(6);
        Keeper.Open("/");
        OpenAnimal("Bollard’s sac");
        Keeper.SeeText("section[aria-labelledby=brood]", "Each alone once their fangs are seen black");
        Keeper.Tap("Something else");
        Keeper.Tap("Fangs black", "[role=menu]");
        Keeper.SeeText("section[aria-labelledby=brood]", "Put each alone now: 25 × a vial");
        Keeper.Tap("Something else");
        Keeper.Tap("Divided into vials…", "[role=menu]");
        Keeper.Tap("Log it", "[role=dialog]");
        Keeper.See("section[aria-labelledby=tray]");
        Assert.Empty(Keeper.Complaints());

        // One died, one is a runt, one gets a record of its own.
        Keeper.TapOn(Keeper.See("[aria-label='Vial 7 is chosen']"));
        Keeper.Tap("Dead…", "section[aria-labelledby=tray]");
        Keeper.Tap("Log it", "[role=dialog]");
        Keeper.SeeText("h1", "× 24");
        Keeper.Tap("Something else");
        Keeper.Tap("Graded by size…", "[role=menu]");
        Keeper.Tap("Runts", "[role=dialog]");
        Keeper.TapOn(Keeper.See("[aria-label='Vial 3 runt']"));
        Keeper.Tap("Log it", "[role=dialog]");
        Keeper.SeeText("section[aria-labelledby=tray]", "Graded");
        Keeper.TapOn(Keeper.See("[aria-label='Vial 9 is chosen']"));
        Keeper.TapOn(Keeper.See("[aria-label='Vial 11 is chosen']"));
        Keeper.Tap("A record of its own…", "section[aria-labelledby=tray]");
        Keeper.SeeText("[role=dialog]", "Records of their own for 2");
        Keeper.Tap("Begin their records", "[role=dialog]");
        Keeper.Tap("Print 2 labels", "[role=dialog]");
        Keeper.SeeText("main", "2 labels");
        OpenAnimal("Bollard’s sac 9");
        Keeper.SeeText("header", "i2");
        Assert.Empty(Keeper.Complaints());
    }

    [Fact]
    public void A_tray_is_fed_with_its_exceptions_and_skins_are_found()
    {
        Keeper.Phone();
        OpenAnimal("Tray of slings");
        Keeper.TapOn(Keeper.See("[aria-label='Vial 12 is chosen']"));
        Keeper.Tap("All fed but these 1", "section[aria-labelledby=tray]");
        Keeper.SeeText("[data-bar]", "no. 12 left theirs");
        Keeper.TapOn(Keeper.See("[aria-label='Vial 3 is chosen']"));
        Keeper.TapOn(Keeper.See("[aria-label='Vial 4 is chosen']"));
        Keeper.Tap("Skin found", "section[aria-labelledby=tray]");
        Keeper.SeeText("[data-bar]", "molted: no. 3, 4");
        Assert.Empty(Keeper.Complaints());
    }

    [Fact]
    public void Who_is_missing_at_a_clean_out_is_looked_for_again()
    {
        OpenAnimal("Fennel box");
        Keeper.Keys("e");
        Keeper.Press("Counted…", "[role=menu]");
        Keeper.Type("How many", "16");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("h1", "× 16");
        Keeper.Open("/");
        WalkTo("Fennel box");
        Keeper.SeeText("article[aria-current=true]", "Look again for 2: the underside of every leaf");
        Keeper.Press("Some found", "article[aria-current=true]");
        Keeper.Type("How many of the missing were found", "1");
        Keeper.Press("Log it", "[role=dialog]");
        OpenAnimal("Fennel box");
        Keeper.SeeText("h1", "× 17");
        Keeper.SeeText("main", "found again");
    }
}
