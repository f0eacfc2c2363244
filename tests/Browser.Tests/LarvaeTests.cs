namespace Browser.Tests;

/// <summary>Food plants, promises, and a larva that nobody knows, as a keeper meets them.</summary>
public sealed class LarvaeTests() : BrowserRoom(demo: true)
{
    [Fact]
    public void Food_plants_are_written_down_fed_from_and_watered()
    {
        Keeper.Open("/larder");
        const string Plants = "section[aria-labelledby=plants]";
        Keeper.SeeText(Plants, "Fennel:");
        Keeper.SeeText(Plants, "Fennel box");
        Keeper.SeeText(Plants, "short: buy by");
        Keeper.See("[aria-label='Why: the fennel']").Click();
        Keeper.SeeText("aside[aria-label=Why]", "A full pot bears about");
        Keeper.Press("Add one", Plants);
        Keeper.Choose("Plant", "fennel");
        Keeper.Type("Leaf on it, g", "900");
        Keeper.Type("Where", "under the lamp");
        Keeper.Press("Write it down", "[role=dialog]");
        Keeper.SeeText(Plants, "under the lamp");
        Keeper.SeeText(Plants, "enough for the weeks ahead");
        // The older pot has waited for its water.
        Keeper.Press("Watered", Plants);
        Keeper.SeeNoText(Plants, "water it tonight");
        Assert.Empty(Keeper.Complaints());

        // What larvae eat is on record, and no other plant is given without a word.
        Keeper.Open("/nursery");
        Keeper.SeeText("section[aria-labelledby=leaf]", "On fennel");
        Keeper.Press("Another plant…", "section[aria-labelledby=leaf]");
        Keeper.Type("Fed with, from now on", "plastic fern");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("[role=dialog]", "is not known to take plastic fern");
        Keeper.Press("Cancel", "[role=dialog]");
        Keeper.SeeText("section[aria-labelledby=leaf]", "On fennel");
    }

    [Fact]
    public void Young_are_promised_and_the_rest_is_said_to_be_too_many()
    {
        Keeper.Open("/nursery");
        const string Broods = "section[aria-labelledby=broods]";
        Keeper.SeeText(Broods, "18 promised (a keeper across the water 12, the school at the quay 6)");
        Keeper.SeeText(Broods, "40 are wanted: about 42 too many");
        Keeper.Press("Promise some…", Broods);
        Keeper.Type("To whom", "the lighthouse");
        Keeper.Type("How many in all", "3");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText(Broods, "the lighthouse 3");
        Assert.Empty(Keeper.Complaints());
    }

    [Fact]
    public void An_unknown_larva_is_guessed_found_outside_and_looked_for_again()
    {
        Keeper.Phone();
        Keeper.Open("/nursery/unknown");
        Keeper.SeeText("main", "Name the plant or tick what you see");
        Keeper.Type("The plant it was found on", "nettle");
        Keeper.Tap("Many in one web");
        Keeper.SeeText("section[aria-labelledby=guesses] li:first-child", "Aglais io");
        Keeper.SeeText("section[aria-labelledby=guesses] li:first-child", "takes nettle");
        Keeper.Tap("Take it as this for now", "section[aria-labelledby=guesses] li:first-child");
        Keeper.SeeText("h1", "Add an animal");
        Keeper.Type("Name", "Ditch larva");
        Keeper.Type("Found outside at", "the quay ditch");
        Keeper.Type("On which plant", "nettle");
        Keeper.Tap("Add it");
        Keeper.SeeText("h1", "Ditch larva");
        Keeper.SeeText("main", "Aglais io");
        Keeper.Open("/nursery");
        Keeper.SeeText("section[aria-labelledby=finds]", "the quay ditch");
        Keeper.SeeText("section[aria-labelledby=finds]", "on nettle");
        Keeper.SeeText("section[aria-labelledby=leaf]", "On nettle");
        Assert.Empty(Keeper.Complaints());
    }

    /// <summary>How they are kept, sick ones, and the nights out of the cold, from the plan to the round.</summary>
    [Fact]
    public void Boxes_are_written_down_and_planned_nights_are_asked_for_on_the_round()
    {
        const string Leaf = "section[aria-labelledby=leaf]";
        const string Winters = "section[aria-labelledby=winters]";
        Keeper.Open("/nursery");
        Keeper.SeeText("section[aria-labelledby=sick]", "Fennel box");
        Keeper.SeeText(Leaf, "Is the neck plugged?");
        Keeper.PressNamed("How they are kept… Fennel box");
        Keeper.Press("Vented lid", "[role=dialog]");
        Keeper.Type("Litres of one, if known", "0.5");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText(Leaf, "Now a box with a vented lid, 0.5 L");
        Keeper.SeeText(Leaf, "0.5 L is small");
        Keeper.SeeNoText(Leaf, "Is the neck plugged?");
        Keeper.PressNamed("Some do not thrive… Thole");
        Keeper.Press("Only coloured otherwise", "[role=dialog]");
        Keeper.SeeText("[role=dialog]", "Perhaps its mother’s line");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeNoText("section[aria-labelledby=sick]", "Thole");
        Keeper.SeeText("section[aria-labelledby=years]", "Papilio machaon");

        Keeper.PressNamed("Put these nights on the round: Saturnia pyri");
        Keeper.SeeText(Winters, "These nights are on the round");
        OpenAnimal("Sail");
        Keeper.SeeText("main", "to be taken out of the cold");
        Assert.Empty(Keeper.Complaints());
    }
}
