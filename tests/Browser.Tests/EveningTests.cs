namespace Browser.Tests;

/// <summary>A Keeper's evening in the real interface: add, feed, signs, molt, undo.</summary>
public sealed class EveningTests() : BrowserRoom(demo: false)
{
    [Fact]
    public void Adding_feeding_signs_molt_and_undo()
    {
        Keeper.Open("/");
        Keeper.SeeText("main", "No enclosure stands here yet");
        Keeper.Press("Add an animal");
        Keeper.SeeText("h1", "Add an animal");
        Keeper.Choose("Species", "Tliltocatl albopilosus");
        Keeper.Type("Name", "Tansy");
        Keeper.Type("Place", "b2-7");
        Keeper.Type("Came on", "2026-09-01");
        Keeper.Type("Molts behind it when it came", "5");
        Keeper.Press("Female", "fieldset");
        Keeper.Type("Length in mm", "60");
        Keeper.Press("Add it");
        Keeper.SeeText("h1", "Tansy");
        Keeper.SeeText("main", "B2·07");
        Keeper.SeeText("main", "Prey, to scale");

        // The round: one visit, water first and then food, one key for both.
        Keeper.Keys("gr");
        Keeper.SeeText("article[aria-current=true]", "Fill the water dish, then offer 1");
        Keeper.Keys("f");
        Keeper.SeeText("[data-bar]", "took 1");
        Keeper.SeeText("main", "1 of 1 done");

        // Undo brings the line back, with both of its acts.
        Keeper.Keys("z");
        Keeper.SeeText("[data-bar]", "Taken back");
        Keeper.SeeText("article[aria-current=true]", "Fill the water dish, then offer 1");

        // Two signs change the word and hush food, with the reason.
        Keeper.Press("Tansy", "article");
        Keeper.SeeText("h1", "Tansy");
        Keeper.Keys("s");
        Keeper.SeeText("[role=dialog]", "The molt itself");
        Keeper.Press("Sluggish", "[role=dialog]");
        Keeper.SeeText("[data-bar]", "sign: sluggish");
        Keeper.SeeText("header", "open");
        Keeper.Keys("s");
        Keeper.SeeText("[role=dialog]", "Strong signs");
        Keeper.Press("Skin under the hair dark", "[role=dialog]");
        Keeper.SeeText("header", "likely premolt");
        Keeper.SeeText("button", "Feed: hushed");
        Keeper.SeeText("table", "never");
        Keeper.Keys("f");
        Keeper.SeeText("[role=dialog]", "Tansy is hushed");
        Keeper.SeeText("[role=dialog]", "live prey could bite it");
        Keeper.Press("Leave her be", "[role=dialog]");

        // A molt, found later: hardening counts from the latest date, and the first meal is dated.
        Keeper.Keys("m");
        Keeper.SeeText("[role=dialog]", "It molted");
        Keeper.Press("Found later", "[role=dialog]");
        Keeper.Type("Last seen before", "2026-11-20");
        Keeper.Type("Found on", "2026-11-22");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("header", "hardening");
        Keeper.SeeText("main", "First meal Sun 29 Nov");
        Keeper.SeeText("main", "once the fangs are black");

        // Taken back within ten seconds: the premolt reading stands again.
        Keeper.Press("Undo");
        Keeper.SeeText("header", "likely premolt");
        Assert.Empty(Keeper.Complaints());
    }

    [Fact]
    public void Bad_input_is_said_at_its_field_and_nothing_is_lost()
    {
        Keeper.Open("/stock/new");
        Keeper.Type("Name", "Tansy");
        Keeper.Type("Place", "nowhere");
        Keeper.Type("Length in mm", "60");
        Keeper.Press("Add it");
        Keeper.SeeText("form", "rack, shelf and slot like A1·03");
        Keeper.Type("Place", "A1·01");
        Keeper.Type("Length in mm", "400");
        Keeper.Press("Add it");
        Keeper.SeeText("form", "must be 2 to 300 mm");
        Assert.Equal("Tansy", Keeper.See("form input.field").GetAttribute("value"));
        Keeper.Type("Length in mm", "40");
        Keeper.Press("Add it");
        Keeper.SeeText("h1", "Tansy");
    }

    [Fact]
    public void A_wrong_measure_is_corrected_and_stays_struck_through()
    {
        Keeper.Open("/stock/new");
        Keeper.Type("Name", "Tansy");
        Keeper.Type("Place", "A1·01");
        Keeper.Type("Length in mm", "200");
        Keeper.Press("Add it");
        Keeper.SeeText("ol", "leg span 200 mm");
        Keeper.Press("mend", "ol li");
        Keeper.Press("Correct…", "[role=menu]");
        Keeper.SeeText("[role=dialog]", "Correct: measured");
        Keeper.Type("Length in mm", "20");
        Keeper.Press("Log the correction", "[role=dialog]");
        Keeper.SeeText("ol", "leg span 20 mm");
        Keeper.SeeText("ol .line-through", "leg span 200 mm");
        Keeper.SeeText("main", "body ~8.4");
    }

    [Fact]
    public void Leaving_the_collection_keeps_the_history()
    {
        Keeper.Open("/stock/new");
        Keeper.Type("Name", "Tansy");
        Keeper.Type("Place", "A1·01");
        Keeper.Press("Add it");
        Keeper.SeeText("h1", "Tansy");
        Keeper.Keys("e");
        Keeper.Press("Leaves the collection", "[role=menu]");
        Keeper.Press("Given away", "[role=dialog]");
        Keeper.Type("To whom", "a school");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("header", "Left the collection");
        Keeper.Open("/stock");
        Keeper.SeeText("main", "Nothing is kept here yet");
        Keeper.Press("Show those that left");
        Keeper.SeeText("[role=table]", "given away");
    }
}
