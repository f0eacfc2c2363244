using Hosting.Tests;

namespace Browser.Tests;

/// <summary>A keeper's evening in the real interface: add, feed, signs, molt, undo.</summary>
public sealed class EveningTests : IDisposable
{
    private readonly LanternFactory app = new();
    private readonly Keeper keeper;

    public EveningTests()
    {
        app.UseKestrel(0);
        app.StartServer();
        keeper = new Keeper(app.ClientOptions.BaseAddress);
    }

    public void Dispose()
    {
        keeper.Dispose();
        app.Dispose();
    }

    [Fact]
    public void Adding_feeding_signs_molt_and_undo()
    {
        keeper.Open("/");
        keeper.SeeText("main", "No enclosure stands here yet");
        keeper.Press("Add an animal");
        keeper.SeeText("h1", "Add an animal");
        keeper.Choose("Species", "Tliltocatl albopilosus");
        keeper.Type("Name", "Tansy");
        keeper.Type("Place", "b2-7");
        keeper.Type("Came on", "2026-09-01");
        keeper.Type("Molts behind it when it came", "5");
        keeper.Press("Female", "fieldset");
        keeper.Type("Length in mm", "60");
        keeper.Press("Add it");
        keeper.SeeText("h1", "Tansy");
        keeper.SeeText("main", "B2·07");
        keeper.SeeText("main", "Prey, to scale");

        // The round: fed with one key, and the line goes on to the next thing the enclosure needs.
        keeper.Keys("gr");
        keeper.SeeText("article[aria-current=true]", "Offer 1");
        keeper.Keys("f");
        keeper.SeeText("[role=status]", "Tansy: took 1");
        keeper.SeeText("article[aria-current=true]", "Fill the water dish");
        keeper.Keys("w");
        keeper.SeeText("main", "1 of 1 done");

        // Undo brings the line back.
        keeper.Keys("z");
        keeper.SeeText("[role=status]", "Taken back");
        keeper.SeeText("article[aria-current=true]", "Fill the water dish");

        // Two signs change the word and hush food, with the reason.
        keeper.Press("Tansy", "article");
        keeper.SeeText("h1", "Tansy");
        keeper.Keys("s");
        keeper.SeeText("[role=dialog]", "The molt itself");
        keeper.Press("Sluggish", "[role=dialog]");
        keeper.SeeText("[role=status]", "sign: sluggish");
        keeper.SeeText("header", "open");
        keeper.Keys("s");
        keeper.SeeText("[role=dialog]", "Strong signs");
        keeper.Press("Skin under the hair dark", "[role=dialog]");
        keeper.SeeText("header", "likely premolt");
        keeper.SeeText("button", "Feed: hushed");
        keeper.SeeText("table", "never");
        keeper.Keys("f");
        keeper.SeeText("[role=dialog]", "Tansy is hushed");
        keeper.SeeText("[role=dialog]", "live prey could bite it");
        keeper.Press("Leave her be", "[role=dialog]");

        // A molt, found later: hardening counts from the latest date, and the first meal is dated.
        keeper.Keys("m");
        keeper.SeeText("[role=dialog]", "It molted");
        keeper.Press("Found later", "[role=dialog]");
        keeper.Type("Last seen before", "2026-11-20");
        keeper.Type("Found on", "2026-11-22");
        keeper.Press("Log it", "[role=dialog]");
        keeper.SeeText("header", "hardening");
        keeper.SeeText("main", "First meal Sun 29 Nov");
        keeper.SeeText("main", "once the fangs are black");

        // Taken back within ten seconds: the premolt reading stands again.
        keeper.Press("Undo");
        keeper.SeeText("header", "likely premolt");
        Assert.Empty(keeper.Complaints());
    }

    [Fact]
    public void Bad_input_is_said_at_its_field_and_nothing_is_lost()
    {
        keeper.Open("/stock/new");
        keeper.Type("Name", "Tansy");
        keeper.Type("Place", "nowhere");
        keeper.Type("Length in mm", "60");
        keeper.Press("Add it");
        keeper.SeeText("form", "rack, shelf and slot like A1·03");
        keeper.Type("Place", "A1·01");
        keeper.Type("Length in mm", "400");
        keeper.Press("Add it");
        keeper.SeeText("form", "must be 2 to 300 mm");
        Assert.Equal("Tansy", keeper.See("form input.field").GetAttribute("value"));
        keeper.Type("Length in mm", "40");
        keeper.Press("Add it");
        keeper.SeeText("h1", "Tansy");
    }

    [Fact]
    public void A_wrong_measure_is_corrected_and_stays_struck_through()
    {
        keeper.Open("/stock/new");
        keeper.Type("Name", "Tansy");
        keeper.Type("Place", "A1·01");
        keeper.Type("Length in mm", "200");
        keeper.Press("Add it");
        keeper.SeeText("ol", "leg span 200 mm");
        keeper.Press("mend", "ol li");
        keeper.Press("Correct…", "[role=menu]");
        keeper.SeeText("[role=dialog]", "Correct: measured");
        keeper.Type("Length in mm", "20");
        keeper.Press("Log the correction", "[role=dialog]");
        keeper.SeeText("ol", "leg span 20 mm");
        keeper.SeeText("ol .line-through", "leg span 200 mm");
        keeper.SeeText("main", "body ~8.4");
    }

    [Fact]
    public void Leaving_the_collection_keeps_the_history()
    {
        keeper.Open("/stock/new");
        keeper.Type("Name", "Tansy");
        keeper.Type("Place", "A1·01");
        keeper.Press("Add it");
        keeper.SeeText("h1", "Tansy");
        keeper.Keys("e");
        keeper.Press("Leaves the collection", "[role=menu]");
        keeper.Press("Given away", "[role=dialog]");
        keeper.Type("To whom", "a school");
        keeper.Press("Log it", "[role=dialog]");
        keeper.SeeText("header", "Left the collection");
        keeper.Open("/stock");
        keeper.SeeText("main", "Nothing is kept here yet");
        keeper.Press("Show those that left");
        keeper.SeeText("table", "given away");
    }
}
