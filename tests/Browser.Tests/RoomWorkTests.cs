namespace Browser.Tests;

/// <summary>Work beside the animals in the real interface: cultures on the round, chores, almanac, moves, the care card.</summary>
public sealed class RoomWorkTests() : BrowserRoom(demo: true)
{
    private const string Chores = "section[aria-label=Chores]";

    private void Round()
    {
        Keeper.Open("/");
        Keeper.SeeText("h1", "Tonight’s round");
    }

    [Fact]
    public void A_pot_with_mites_is_on_the_round_with_its_why_until_it_is_thrown_away()
    {
        Round();
        Keeper.SeeText(Chores, "Throw away 1 pot of small flightless fruit flies");
        Keeper.See("button[aria-label='Why: Throw away 1 pot of small flightless fruit flies']").Click();
        Keeper.SeeText("aside[aria-label=Why]", "mites");
        Keeper.Press("Thrown away", Chores);
        Keeper.SeeNoText(Chores, "Throw away 1 pot of small flightless fruit flies");
        Keeper.Open("/larder");
        Keeper.SeeText("#larder-journal + ul", "small flightless fruit flies");
        Assert.Empty(Keeper.Complaints());
    }

    [Fact]
    public void The_head_of_the_round_leads_to_the_chores_after_the_last_shelf()
    {
        Round();
        Keeper.SeeText(Chores, "Damp side of the crab tank");
        Keeper.Press("min of chores", "header");
        Assert.Equal(
            true,
            Keeper.Run(
                "const c = document.getElementById('chores'); return c.contains(document.activeElement) && c.getBoundingClientRect().top < innerHeight"
            )
        );
        // The animals come first: mites and dirt are handled last.
        Assert.Equal(
            true,
            Keeper.Run(
                "return [...document.querySelectorAll('main section')].at(-1) === document.getElementById('chores')"
            )
        );
    }

    [Fact]
    public void A_chore_dropped_by_mistake_comes_back()
    {
        Keeper.Open("/chores");
        Keeper.SeeText("main", "Wipe the fronts");
        Keeper.PressNamed("Drop Wipe the fronts, change paper floors");
        Keeper.SeeText("aside", "Keeper dropped “Wipe the fronts, change paper floors”");
        Keeper.SeeNoText("main section:first-of-type", "Wipe the fronts");
        Keeper.PressNamed("take back: dropped “Wipe the fronts, change paper floors”");
        Keeper.SeeText("main section:first-of-type", "Wipe the fronts");
    }

    [Fact]
    public void The_almanac_goes_by_kind_and_leads_to_the_animal()
    {
        Keeper.Open("/almanac");
        Keeper.SeeText("section[aria-label=A1]", "A1·04 Sorrel");
        Keeper.Press("Kind", "header");
        Keeper.SeeText("section[aria-label=Molts]", "A1·04 Sorrel");
        // What lies far below is drawn when it is scrolled to.
        Keeper.Run("document.querySelector(\"section[aria-label='Gear booked']\").scrollIntoView()");
        Keeper.SeeText("section[aria-label='Gear booked']", "Zipped net cage");
        Keeper.Run("document.querySelector('section[aria-label=Molts]').scrollIntoView()");
        Keeper.Press("A1·04 Sorrel", "section[aria-label=Molts]");
        Keeper.SeeText("h1", "Sorrel");
    }

    [Fact]
    public void Who_needs_another_enclosure_is_told_why_and_moved_over()
    {
        Keeper.Open("/shelves/rehousing");
        Keeper.SeeText("main", "Have ready");
        Keeper.SeeText("main", "A2·06");
        Keeper.PressNamed("Moved: Heron");
        Keeper.SeeText("[role=dialog]", "Heron");
        // The size that the plan proposes stands in the form already.
        Assert.Equal(
            "flat box L",
            Keeper.Run(
                "return [...document.querySelectorAll('[role=dialog] input')].map((i) => i.value).find((v) => v !== '')"
            )
        );
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeNoText("main", "A2·06");
    }

    [Fact]
    public void The_care_card_carries_the_whole_history()
    {
        OpenAnimal("Heron");
        Keeper.Press("Care card", "main");
        Keeper.SeeText("article", "How it is kept");
        Keeper.SeeText("article", "Whole history");
        Keeper.SeeText("article", "not on record");
        Keeper.SeeText("article", "gloves");
        var told = Convert.ToInt32(
            Keeper.Run("return document.querySelectorAll('article section:last-of-type li').length")
        );
        Assert.True(told > 20, $"{told} entries");
    }

    [Fact]
    public void On_a_phone_an_enclosure_that_is_touched_is_told_beneath_the_shelves()
    {
        Keeper.Resize(390, 844);
        Keeper.Open("/shelves");
        Keeper.See("[data-place='A1·03']").Click();
        Keeper.SeeText("aside[aria-label='Chosen enclosure']", "Cockle");
        Keeper.SeeText("aside[aria-label='Chosen enclosure']", "Too low");
        // The shelf it stands on stays in sight above it.
        Assert.Equal(
            true,
            Keeper.Run(
                "const box = document.querySelector(\"[data-place='A1·03']\").getBoundingClientRect(); const told = document.querySelector('main aside').getBoundingClientRect(); return box.top > 0 && box.top < told.top && told.bottom <= innerHeight && document.documentElement.scrollWidth <= innerWidth"
            )
        );
    }

    [Fact]
    public void Labels_show_what_they_look_like_before_anything_is_chosen()
    {
        Keeper.Open("/paper/labels");
        Keeper.SeeText("main", "What a label of this size looks like");
        Keeper.Wait(
            () => Keeper.Run("return document.querySelector('main img')?.naturalWidth > 100") as bool? == true,
            "the picture of a label"
        );
        Keeper.Choose("For", "Rack A");
        Keeper.SeeText("main", "As they will be printed");
        Keeper.SeeText("main button", "PDF of 11 labels");
    }
}
