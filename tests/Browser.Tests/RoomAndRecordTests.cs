using Hosting.Tests;

namespace Browser.Tests;

/// <summary>Settings, editing, notes, moves, counts, hushed meals and a server that is gone.</summary>
public sealed class RoomAndRecordTests : IDisposable
{
    private readonly LanternFactory app = new(demo: true);
    private readonly Keeper keeper;
    private bool appIsGone;

    public RoomAndRecordTests()
    {
        app.UseKestrel(0);
        app.StartServer();
        keeper = new Keeper(app.ClientOptions.BaseAddress);
    }

    public void Dispose()
    {
        keeper.Dispose();
        if (!appIsGone)
        {
            app.Dispose();
        }
    }

    [Fact]
    public void Units_of_the_room_change_every_length()
    {
        keeper.Open("/room");
        keeper.SeeText("main", "Time zone");
        keeper.Press("inches", "fieldset");
        keeper.Type("Name of the room", "The attic");
        keeper.Press("Save", "form");
        keeper.SeeText("[role=status]", "Saved.");
        keeper.Press("Round", "nav");
        keeper.SeeText("main", "The attic");
        keeper.SeeText("article[aria-current=true]", "≤ 0.57 in");
    }

    [Fact]
    public void Settings_that_cannot_be_are_said_at_their_field()
    {
        keeper.Open("/room");
        keeper.SeeText("main", "Time zone");
        keeper.Type("A new night begins at (hour)", "14");
        keeper.Press("Save", "form");
        keeper.SeeText("form", "Must be an hour from 0 to 12");
    }

    [Fact]
    public void The_look_is_kept_on_this_device()
    {
        keeper.Open("/room");
        keeper.SeeText("main", "Look");
        keeper.Press("Ember", "fieldset");
        keeper.Open("/stock");
        keeper.SeeText("h1", "Stock");
        Assert.Equal("ember", keeper.Run("return document.documentElement.dataset.look"));
    }

    [Fact]
    public void Details_are_changed_and_the_animal_moves()
    {
        OpenAnimal("Teasel");
        keeper.Keys("e");
        keeper.Press("Change details", "[role=menu]");
        keeper.SeeText("h1", "Change Teasel");
        keeper.Type("Name", "Thistle");
        keeper.Type("Place", "C1 4");
        keeper.Press("Save", "form");
        keeper.SeeText("h1", "Thistle");
        keeper.SeeText("header", "C1·04");
        keeper.SeeText("ol", "moved to C1·04");
    }

    [Fact]
    public void A_place_that_is_taken_is_refused_with_the_name_of_who_is_there()
    {
        OpenAnimal("Teasel");
        keeper.Keys("e");
        keeper.Press("Moved…", "[role=menu]");
        keeper.Type("New place", "A1·01");
        keeper.Press("Log it", "[role=dialog]");
        keeper.SeeText("[role=dialog]", "A1·01 is taken by Tansy");
    }

    [Fact]
    public void A_note_and_a_measure_in_another_unit_are_logged()
    {
        OpenAnimal("Tansy");
        keeper.Keys("e");
        keeper.Press("Note…", "[role=menu]");
        keeper.Type("Note", "Rearranged her bark.");
        keeper.Press("Log it", "[role=dialog]");
        keeper.SeeText("ol", "Rearranged her bark.");
        keeper.Keys("e");
        keeper.Press("Measured…", "[role=menu]");
        keeper.Press("Leg span", "[role=dialog]");
        keeper.Type("Length in mm", "5,5 cm");
        keeper.Press("Log it", "[role=dialog]");
        keeper.SeeText("ol", "leg span 55 mm");
    }

    [Fact]
    public void A_brood_is_counted()
    {
        OpenAnimal("Tray of slings");
        keeper.Keys("e");
        keeper.Press("Counted…", "[role=menu]");
        keeper.Type("How many are there", "43");
        keeper.Press("Log it", "[role=dialog]");
        keeper.SeeText("h1", "× 43");
    }

    [Fact]
    public void A_meal_of_a_hushed_animal_can_be_logged_after_asking_once()
    {
        OpenAnimal("Bramble");
        keeper.Keys("f");
        keeper.SeeText("[role=dialog]", "Bramble is hushed");
        keeper.Press("It was fed already", "[role=dialog]");
        keeper.SeeText("[role=dialog]", "Food offered");
        keeper.Press("Log it", "[role=dialog]");
        keeper.SeeText("[role=status]", "Bramble: took");
        // She ate: what appetite and behaviour said is taken back.
        keeper.SeeText("header", "suspected");
    }

    [Fact]
    public void The_record_that_hides_a_molt_says_so_and_nothing_else()
    {
        OpenAnimal("Heron");
        keeper.SeeText("table", "2 molts? One may not have been seen.");
        keeper.Wait(
            () =>
                (
                    keeper.Run("return [...document.querySelectorAll('figure svg')].map(s => s.textContent).join(' ')")
                    as string
                )!.Contains("two molts here?", StringComparison.Ordinal),
            "the mark on the lifeline"
        );
    }

    [Fact]
    public void Those_with_nothing_tonight_unfold_and_the_keys_are_on_a_sheet()
    {
        keeper.Open("/");
        keeper.SeeText("main", "2 with nothing tonight");
        keeper.Press("2 with nothing tonight");
        keeper.SeeText("main", "Moss next Wed 25 Nov");
        keeper.Keys("h");
        keeper.SeeText("[role=dialog]", "Take the last entry back");
        keeper.Keys(OpenQA.Selenium.Keys.Escape);
        keeper.SeeNoText("[role=dialog]", "Take the last entry back");
    }

    [Fact]
    public void An_address_that_leads_nowhere_says_so()
    {
        keeper.Open("/attic");
        keeper.SeeText("main", "There is nothing here");
        keeper.Open($"/stock/{Guid.NewGuid()}");
        keeper.SeeText("[role=alert]", "There is no such animal");
    }

    [Fact]
    public void A_server_that_is_gone_is_said_plainly_and_nothing_is_pretended()
    {
        keeper.Open("/");
        keeper.SeeText("article[aria-current=true]", "Tansy");
        appIsGone = true;
        app.Dispose();
        keeper.Keys("f");
        keeper.SeeText("[role=status]", "The server cannot be reached");
        keeper.SeeText("article[aria-current=true]", "Tansy");
    }

    private void OpenAnimal(string name)
    {
        keeper.Open("/stock");
        keeper.Press(name, "table");
        keeper.SeeText("h1", name);
    }
}
