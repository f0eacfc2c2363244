namespace Browser.Tests;

/// <summary>Settings, editing, notes, moves, counts, hushed meals and a server that is gone.</summary>
public sealed class RoomAndRecordTests() : BrowserRoom(demo: true)
{
    [Fact]
    public void Units_of_the_room_change_every_length()
    {
        Keeper.Open("/room");
        Keeper.SeeText("main", "Time zone");
        Keeper.Press("inches", "fieldset");
        Keeper.Type("Name of the room", "The attic");
        Keeper.Press("Save", "form");
        Keeper.SeeText("[role=status]", "Saved.");
        Keeper.Press("Round", "nav");
        Keeper.SeeText("main", "The attic");
        WalkTo("Tansy");
        Keeper.SeeText("article[aria-current=true]", "≤ 0.57 in");
    }

    [Fact]
    public void Settings_that_cannot_be_are_said_at_their_field()
    {
        Keeper.Open("/room");
        Keeper.SeeText("main", "Time zone");
        Keeper.Type("A new night begins at (hour)", "14");
        Keeper.Press("Save", "form");
        Keeper.SeeText("form", "Must be an hour from 0 to 12");
    }

    [Fact]
    public void The_look_is_kept_on_this_device()
    {
        Keeper.Open("/room");
        Keeper.SeeText("main", "Look");
        Keeper.Press("Ember", "fieldset");
        Keeper.Open("/stock");
        Keeper.SeeText("h1", "Stock");
        Assert.Equal("ember", Keeper.Run("return document.documentElement.dataset.look"));
    }

    [Fact]
    public void Details_are_changed_and_the_animal_moves()
    {
        OpenAnimal("Teasel");
        Keeper.Keys("e");
        Keeper.Press("Change details", "[role=menu]");
        Keeper.SeeText("h1", "Change Teasel");
        Keeper.Type("Name", "Thistle");
        Keeper.Type("Place", "F1 4");
        Keeper.Press("Save", "form");
        Keeper.SeeText("h1", "Thistle");
        Keeper.SeeText("header", "F1·04");
        Keeper.SeeText("ol", "moved to F1·04");
    }

    [Fact]
    public void A_place_that_is_taken_is_refused_with_the_name_of_who_is_there()
    {
        OpenAnimal("Teasel");
        Keeper.Keys("e");
        Keeper.Press("Moved…", "[role=menu]");
        Keeper.Type("New place", "A1·01");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("[role=dialog]", "A1·01 is taken by Tansy");
    }

    [Fact]
    public void A_note_and_a_measure_in_another_unit_are_logged()
    {
        OpenAnimal("Tansy");
        Keeper.Keys("e");
        Keeper.Press("Note…", "[role=menu]");
        Keeper.Type("Note", "Rearranged her bark.");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("ol", "Rearranged her bark.");
        Keeper.Keys("e");
        Keeper.Press("Measured…", "[role=menu]");
        Keeper.Press("Leg span", "[role=dialog]");
        Keeper.Type("Length in mm", "5,5 cm");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("ol", "leg span 55 mm");
    }

    [Fact]
    public void A_brood_is_counted()
    {
        OpenAnimal("Tray of slings");
        Keeper.Keys("e");
        Keeper.Press("Counted…", "[role=menu]");
        Keeper.Type("How many", "43");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("h1", "× 43");
        // Nobody said why: the numbers keep it as unexplained until the count is mended with a reason.
        Keeper.SeeText("main", "unexplained");
    }

    [Fact]
    public void A_meal_of_a_hushed_animal_can_be_logged_after_asking_once()
    {
        OpenAnimal("Bramble");
        Keeper.Keys("f");
        Keeper.SeeText("[role=dialog]", "Bramble is hushed");
        Keeper.Press("It was fed already", "[role=dialog]");
        Keeper.SeeText("[role=dialog]", "Food offered");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("[data-bar]", "Bramble: took");
        // She ate: what was seen of her before is answered by that; plump she still is.
        Keeper.SeeText("header", "well fed");
    }

    [Fact]
    public void The_record_that_hides_a_molt_says_so_and_nothing_else()
    {
        OpenAnimal("Heron");
        Keeper.SeeText("table", "2 molts? One may not have been seen.");
        Keeper.Wait(
            () =>
                (
                    Keeper.Run("return [...document.querySelectorAll('figure svg')].map(s => s.textContent).join(' ')")
                    as string
                )!.Contains("two molts here?", StringComparison.Ordinal),
            "the mark on the lifeline"
        );
    }

    [Fact]
    public void Those_with_nothing_tonight_unfold_and_the_keys_are_on_a_sheet()
    {
        Keeper.Open("/");
        Keeper.SeeText("main", "2 with nothing tonight");
        Keeper.Press("2 with nothing tonight");
        Keeper.SeeText("main", "Moss next ");
        Keeper.Keys("h");
        Keeper.SeeText("[role=dialog]", "Take the last entry back");
        Keeper.Keys(OpenQA.Selenium.Keys.Escape);
        Keeper.SeeNoText("[role=dialog]", "Take the last entry back");
    }

    [Fact]
    public void An_address_that_leads_nowhere_says_so()
    {
        Keeper.Open("/attic");
        Keeper.SeeText("main", "There is nothing here");
        Keeper.Open($"/stock/{Guid.NewGuid()}");
        Keeper.SeeText("[role=alert]", "There is no such animal");
    }

    [Fact]
    public void A_server_that_is_gone_is_said_plainly_and_nothing_is_pretended()
    {
        Keeper.Open("/");
        WalkTo("Tansy");
        StopServer();
        Keeper.Keys("f");
        Keeper.SeeText("[data-bar]", "(waits for the server)");
        Keeper.SeeText("[aria-label='Waiting for the server']", "1 entry waits");
        // It is marked as waiting, and not as done.
        Keeper.SeeText("section[aria-label='Shelf A1']", "waiting");
        Keeper.SeeNoText("[aria-label=done]", "Tansy");
        // A chore done meanwhile is marked the same.
        Keeper.Press("Done", "#chores");
        Keeper.SeeText("#chores li", "waiting");
        Keeper.SeeText("[aria-label='Waiting for the server']", "2 entries wait");
    }
}
