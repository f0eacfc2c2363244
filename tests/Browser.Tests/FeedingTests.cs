namespace Browser.Tests;

/// <summary>Feeding in the real interface: a cut plan, a refusal that tells, leftovers first, a tray with exceptions.</summary>
public sealed class FeedingTests() : BrowserRoom(demo: true)
{
    private void Line(string name)
    {
        Keeper.Open("/");
        Keeper.SeeText("main", "Tonight’s round");
        WalkTo(name);
    }

    [Fact]
    public void What_was_left_in_stands_first_and_taken_out_it_is_gone()
    {
        Keeper.Open("/");
        Keeper.SeeText("article[aria-current=true]", "Take out 1 small cricket");
        Keeper.SeeText("article[aria-current=true]", "at once: it could bite");
        Keeper.Keys("x");
        Keeper.SeeText("[data-bar]", "Cockle: leftovers taken out");
        Keeper.SeeNoText("article", "Take out 1 small cricket");
    }

    [Fact]
    public void Too_large_prey_is_offered_cut_when_nothing_else_is_kept()
    {
        // Only medium crickets are kept from now on: too long for the smallest, so they are cut.
        OpenAnimal("Pip");
        Keeper.SeeText("main", "cut in");
        Keeper.Keys("e");
        Keeper.Press("Other food offered", "[role=menu]");
        Keeper.Choose("Feeder", "roach nymph");
        Keeper.Choose("Size", "small 6–9 mm");
        Keeper.Press("Cut", "[role=dialog]");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("[data-bar]", "took 1 piece of cut small roach nymph");
        Keeper.SeeText("main", "roach nymphs");
    }

    [Fact]
    public void Refusals_of_a_good_eater_turn_into_a_premolt_suspicion_and_are_explained()
    {
        OpenAnimal("Teasel");
        Keeper.SeeText("h2", "premolt");
        var before = Keeper.Text("#reading");
        Line("Tansy");
        Keeper.Keys("r");
        Keeper.Press("Batted it away", "[role=menu]");
        Keeper.SeeText("[data-bar]", "Tansy: batted away");
        OpenAnimal("Tansy");
        Keeper.SeeText("section[aria-labelledby=reading]", "refuse");
        Assert.NotEqual(before, Keeper.Text("#reading"));
        Keeper.SeeText("section[aria-labelledby=appetite]", "last 10 meals");
    }

    [Fact]
    public void A_tray_is_one_line_with_its_exceptions_tapped()
    {
        Line("Tray of slings");
        Keeper.SeeText("article[aria-current=true]", "pass over no. 19, 33");
        Keeper.Keys("o");
        Keeper.SeeText("[role=dialog]", "Tap those that left it");
        Keeper.See("[role=dialog] button[aria-label='Vial 5 left its food']").Click();
        Keeper.See("[role=dialog] button[aria-label='Vial 41 left its food']").Click();
        Keeper.SeeText("[role=dialog]", "2 of 46");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("[data-bar]", "no. 5, 41 left theirs");
        OpenAnimal("Tray of slings");
        Keeper.SeeText("section[aria-labelledby=appetite]", "no. 5, no. 41");
    }

    [Fact]
    public void Fed_otherwise_stands_beside_the_present_plan()
    {
        OpenAnimal("Bramble");
        Keeper.Press("What if she were fed otherwise?");
        Keeper.SeeText("[role=dialog]", "Life usually ends");
        Keeper.Type("Days between meals", "40");
        Keeper.SeeText("[role=dialog]", "every 40 days");
        Keeper.SeeText("[role=dialog]", "later");
        Keeper.Type("Days between meals", "500");
        Keeper.SeeText("[role=dialog]", "from 0.5 to 120");
        Assert.Empty(Keeper.Complaints());
    }
}
