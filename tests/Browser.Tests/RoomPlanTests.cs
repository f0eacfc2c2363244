namespace Browser.Tests;

/// <summary>Planning the room in the real interface: racks and walking order, seasons, shared gear, many animals at once.</summary>
public sealed class RoomPlanTests() : BrowserRoom(demo: true)
{
    private const string Form = "[role=dialog]";

    private void Chores()
    {
        Keeper.Open("/chores");
        Keeper.SeeText("h1", "Chores");
    }

    [Fact]
    public void A_shelf_that_is_walked_earlier_comes_earlier_on_the_round()
    {
        Keeper.Open("/shelves");
        Keeper.Press("Racks, shelves, walking order", "aside");
        Keeper.See("[aria-label='B1 earlier']").Click();
        Keeper.See("[aria-label='B1 earlier']").Click();
        Keeper.Press("Save", Form);
        Keeper.SeeText("aside", "B1 · A1 · A2");
        Keeper.Open("/");
        Keeper.SeeText("h1", "Tonight’s round");
        Keeper.See("section[aria-label='Shelf B1']");
        Assert.Equal(
            "Shelf B1",
            Keeper.Run(
                "return [...document.querySelectorAll('main section')].map((s) => s.ariaLabel).find((l) => l?.startsWith('Shelf'))"
            )
        );
    }

    [Fact]
    public void A_new_rack_is_drawn_and_a_measure_that_cannot_be_is_refused_where_it_stands()
    {
        Keeper.Open("/shelves");
        Keeper.Press("Racks, shelves, walking order", "aside");
        Keeper.Press("One more rack", Form);
        var width = "[role=dialog] fieldset:last-of-type div > :nth-child(2) input[inputmode=decimal]";
        Keeper.See(width).Clear();
        Keeper.See(width).SendKeys("wide");
        Keeper.Press("Save", Form);
        Keeper.SeeText("[role=dialog] fieldset:last-of-type", "Must be 100 to 5000 mm.");
        Assert.Equal("true", Keeper.See(width).GetAttribute("aria-invalid"));
        Keeper.See(width).Clear();
        Keeper.See(width).SendKeys("900");
        Keeper.Press("Save", Form);
        Keeper.SeeText("main", "Rack E");
        Keeper.SeeText("aside", "E1");
    }

    [Fact]
    public void A_chore_of_a_season_is_planned_and_what_is_wrong_with_it_is_said_at_its_field()
    {
        Chores();
        Keeper.Press("Plan a chore", "header");
        Keeper.Type("What to do", "Shade the skylight net");
        Keeper.Type("Where", "shelf two");
        Keeper.Press("Every few days", Form);
        Keeper.Type("Days between", "0");
        Keeper.Press("Save", Form);
        Keeper.SeeText(Form, "a rack like B");
        Keeper.SeeText(Form, "1 to 730 days");
        Keeper.Type("Where", "C");
        Keeper.Press("Once every year", Form);
        Keeper.Press("Save", Form);
        Keeper.SeeText("main", "Shade the skylight net");
        Keeper.SeeText("aside", "planned “Shade the skylight net”");
    }

    [Fact]
    public void Gear_is_not_booked_twice_for_the_same_night()
    {
        Chores();
        Keeper.PressNamed("Book Zipped net cage");
        Keeper.Type("What for", "Moss and Vesper");
        Keeper.Type("First night", "2026-11-28");
        Keeper.Type("Last night", "2026-12-02");
        Keeper.Press("Book it", Form);
        Keeper.SeeText(Form, "Booked then already: first pairing of the year, 27 Nov – 29 Nov");
        Keeper.Type("First night", "2026-11-30");
        Keeper.Press("Book it", Form);
        Keeper.SeeText("aside", "30 Nov – 2 Dec: Moss and Vesper");
        Keeper.Open("/almanac");
        Keeper.SeeText("section[aria-label='The room']", "Zipped net cage");
    }

    [Fact]
    public void Many_are_chosen_logged_at_once_and_taken_back_at_once()
    {
        Keeper.Open("/stock");
        Keeper.SeeText("[role=table]", "Bramble");
        Keeper.See("input[aria-label='Choose A2·01 Fennel']").Click();
        Keeper.See("input[aria-label='Choose A2·02 Teasel']").Click();
        Keeper.SeeText("[role=toolbar]", "2 chosen");
        Keeper.Press("Dish filled", "[role=toolbar]");
        Keeper.SeeText("body", "Dish filled: 2 enclosures");
        Keeper.Open("/");
        Keeper.SeeText("section[aria-label='Shelf A2']", "Teasel dish filled");
        Keeper.Open("/stock");
        Keeper.See("input[aria-label='Choose A2·01 Fennel']").Click();
        Keeper.Press("choose all 102", "[role=toolbar]");
        Keeper.SeeText("[role=toolbar]", "102 chosen");
        Keeper.Press("Labels", "[role=toolbar]");
        Keeper.SeeText("main", "PDF of 102 labels");
    }

    [Fact]
    public void Columns_and_order_of_the_stock_are_the_keepers_own_and_stay()
    {
        Keeper.Open("/stock");
        Keeper.SeeText("[role=table]", "Last meal");
        Keeper.Press("Columns", "header");
        Keeper.Press("Last meal", "[aria-label=Columns]");
        Keeper.SeeNoText("[role=table]", "Last meal");
        Keeper.Keys(OpenQA.Selenium.Keys.Escape);
        Keeper.Press("Animal", "[role=table]");
        Keeper.Wait(
            () =>
                (
                    (string)
                        Keeper.Run(
                            "return [...document.querySelectorAll('[role=table] a')].slice(0, 6).map((a) => a.textContent).join('|')"
                        )!
                ).Split('|')
                    is var names
                && names.SequenceEqual(names.Order(StringComparer.OrdinalIgnoreCase)),
            "names in order"
        );
        Keeper.Open("/stock");
        Keeper.SeeText("[role=table]", "Last molt");
        Keeper.SeeNoText("[role=table]", "Last meal");
    }

    [Fact]
    public void A_pairing_names_the_mate_and_stands_in_both_journals()
    {
        OpenAnimal("Fennel");
        Keeper.Keys("e");
        Keeper.Press("Paired", "[role=menu]");
        Keeper.Type("Mate in this room", "Moss");
        Keeper.Press("Moss", Form);
        Keeper.Press("Log it", Form);
        Keeper.SeeText("main", "put together with Moss, watched");
        OpenAnimal("Moss");
        Keeper.SeeText("main", "put together with Fennel, watched");
    }
}
