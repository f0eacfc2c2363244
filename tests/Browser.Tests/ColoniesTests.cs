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

    /// <summary>Peek by peek to the first workers, then into a nest: what is seen moves what is said.</summary>
    [Fact]
    public void A_queen_is_followed_by_peeks_until_her_colony_moves()
    {
        const string Ants = "section[aria-labelledby=ants]";
        Keeper.Open("/colonies");
        Keeper.See($"{Ants} svg[aria-label*='Founding: eggs seen']");
        Keeper.PressNamed("Peeked… Anchor");
        Keeper.Press("Eggs", "[role=dialog]");
        Keeper.Press("Larvae", "[role=dialog]");
        Keeper.Press("Full", "[role=dialog]");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText(Ants, "last seen: eggs, larvae");
        Keeper.See($"{Ants} svg[aria-label*='larvae seen']");
        Keeper.PressNamed("Peeked… Anchor");
        Keeper.Press("Pupae", "[role=dialog]");
        Keeper.Press("Workers", "[role=dialog]");
        Keeper.Type("Workers, if counted", "22");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText(Ants, "a colony, 22 workers");
        Keeper.SeeText(Ants, "22 workers: crowded in a tube");
        Keeper.PressNamed("Into another nest… Anchor");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText(Ants, "no scout yet");
        Keeper.PressNamed("Into another nest… Anchor");
        Keeper.Press("All over, queen too", "[role=dialog]");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText(Ants, "In a nest; 22 workers");
        Assert.Empty(Keeper.Complaints());
    }

    /// <summary>A tub counted by marked ones, in trouble and well again, all with a finger.</summary>
    [Fact]
    public void A_tub_is_counted_by_marked_ones_and_its_trouble_is_traced()
    {
        const string Tubs = "section[aria-labelledby=tubs]";
        Keeper.Phone();
        Keeper.Open("/colonies");
        Keeper.SeeText(Tubs, "40 marked");
        Keeper.PressNamed("Caught again…: Powder box");
        Keeper.Type("Caught now", "60");
        Keeper.Type("Marked among them", "9");
        Keeper.Tap("Log it", "[role=dialog]");
        // Chapman: 41 · 61 ÷ 10 − 1, reckoned by hand.
        Keeper.SeeText(Tubs, "249 (");
        Keeper.PressNamed("Young or trouble…: Powder box");
        Keeper.Tap("Dead in the molt", "[role=dialog]");
        Keeper.Tap("Log it", "[role=dialog]");
        Keeper.SeeText($"{Tubs} li:nth-child(2)", "Take none: see to the tub first");
        Keeper.PressNamed("Young or trouble…: Powder box");
        Keeper.Tap("Many young", "[role=dialog]");
        Keeper.Tap("Log it", "[role=dialog]");
        Keeper.SeeNoText($"{Tubs} li:nth-child(2)", "Take none: see to the tub first");
        Keeper.PressNamed("Scoops…: Powder box");
        Keeper.Type("Animals in each", "12 nine");
        Keeper.Tap("Log it", "[role=dialog]");
        Keeper.SeeText("[role=dialog]", "Write whole numbers");
        Keeper.Type("Animals in each", "12 9 15");
        Keeper.Tap("Log it", "[role=dialog]");
        Keeper.SeeNoText("body", "Write whole numbers");
        Assert.Empty(Keeper.Complaints());

        // What cannot be is refused where it was written.
        Keeper.PressNamed("Mark some…: Pill box");
        Keeper.Type("How many bear a dot of paint now", "0");
        Keeper.Tap("Log it", "[role=dialog]");
        Keeper.SeeText("[role=dialog]", "Must be 5 to 1000");
    }

    /// <summary>Who is up, shells worn and empty, with a finger.</summary>
    [Fact]
    public void A_crab_tank_tells_who_is_up_and_which_shells_are_wanting()
    {
        const string Tanks = "section[aria-labelledby=tanks]";
        Keeper.Phone();
        Keeper.Open("/colonies");
        Keeper.SeeText(Tanks, "Kelp");
        Keeper.SeeText(Tanks, "leave alone");
        Keeper.SeeText(Tanks, "Its shell is small for its claw");
        Keeper.SeeText(Tanks, "with an opening of");
        Keeper.PressNamed("Who is up…: Reef tank");
        Keeper.Tap("Wrack", "[role=dialog]");
        Keeper.Tap("Log it", "[role=dialog]");
        Keeper.SeeText(Tanks, "seen up");
        Keeper.PressNamed("Empty shells…: Reef tank");
        Keeper.Run("document.querySelector('[role=dialog] textarea').focus()");
        Keeper.KeysAtOnce("40 x 9 oval");
        Keeper.Tap("Log it", "[role=dialog]");
        Keeper.SeeText(Tanks, "40 × 9 mm oval");
        Keeper.PressNamed("Shell… of Wrack");
        Keeper.Type("Width of the opening, mm, if known", "15");
        Keeper.Tap("Log it", "[role=dialog]");
        Keeper.SeeText(Tanks, "shell oval, 15 mm");
        Assert.Empty(Keeper.Complaints());
    }

    /// <summary>A crab that came up, a transfer seen, new water planned: all from the tank's lines.</summary>
    [Fact]
    public void A_crab_tank_is_followed_from_a_surfacing_to_a_mating()
    {
        const string Tanks = "section[aria-labelledby=tanks]";
        Keeper.Open("/colonies");
        Keeper.SeeText(Tanks, "extra food and calcium");
        Keeper.SeeText(Tanks, "g of marine salt a litre");
        Keeper.PressNamed("Did it molt… Dulse");
        Keeper.Press("Long antennae", "[role=dialog]");
        Keeper.Press("Sharp black tips", "[role=dialog]");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText(Tanks, "2 marks of a molt: it molted");
        Keeper.PressNamed("Mating log…: Reef tank");
        Keeper.Press("Shells together", "[role=dialog]");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("[role=dialog]", "Say which female");
        Keeper.Choose("She", "Dulse");
        Keeper.Choose("He", "Wrack");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("ul[aria-label='Mating log']", "Wrack is the father");
        Keeper.SeeText("ul[aria-label='Mating log']", "look for loose eggs");
        Keeper.Press("Plan the pools’ water", Tanks);
        Keeper.SeeText(Tanks, "New water is planned weekly");
        Assert.Empty(Keeper.Complaints());
    }
}
