namespace Browser.Tests;

/// <summary>The larder in the real interface: counting, a culture to its first flies, an order to its parcel.</summary>
public sealed class LarderTests() : BrowserRoom(demo: true)
{
    private void Larder()
    {
        Keeper.Open("/larder");
        Keeper.SeeText("h1", "Larder");
        Keeper.SeeText("main", "Eight weeks of each food");
    }

    [Fact]
    public void A_food_is_counted_where_it_stands_and_the_plan_follows()
    {
        Larder();
        Keeper.SeeText("main", "Order 1 pot of house flies");
        Keeper.See("button[aria-label*='count house flies']").Click();
        Keeper.See("input[aria-label='How many house flies are there?']").SendKeys("x");
        Assert.Equal(
            "true",
            Keeper.See("input[aria-label='How many house flies are there?']").GetAttribute("aria-invalid")
        );
        var field = Keeper.See("input[aria-label='How many house flies are there?']");
        field.Clear();
        field.SendKeys("900");
        Keeper.Press("save", "table");
        Keeper.SeeNoText("main", "Order 1 pot of house flies");
        Keeper.SeeText("#larder-journal + ul", "counted 900 house flies");
        Keeper.See("button[aria-label='take back counted 900 house flies']").Click();
        Keeper.SeeText("main", "Order 1 pot of house flies");
    }

    [Fact]
    public void The_larder_says_why()
    {
        Larder();
        Keeper.See("button[aria-label='Why: medium crickets']").Click();
        Keeper.SeeText("aside[aria-label=Why]", "For the whole room");
        Keeper.SeeText("aside[aria-label=Why]", "Half of the medium crickets in stock are gone after 21 days");
        Keeper.SeeText("aside[aria-label=Why]", "nine of ten within 8 days");
        Keeper.See("button[aria-label='Why: marine salt']").Click();
        Keeper.SeeText("aside[aria-label=Why]", "enclosures take 420 g a week");
        Assert.Empty(Keeper.Complaints());
    }

    [Fact]
    public void A_culture_is_started_and_gives_its_first_flies_in_time()
    {
        Larder();
        Keeper.Press("Start one");
        Keeper.SeeText("[role=dialog]", "Start a culture");
        Keeper.Press("bean weevils", "[role=dialog]");
        Keeper.Type("Pots", "0x");
        Keeper.SeeText("[role=dialog]", "from 1 to 200");
        Keeper.Type("Pots", "2");
        Keeper.Press("Started tonight", "[role=dialog]");
        Keeper.SeeText("section[aria-labelledby=cultures]", "bean weevils");
        Keeper.SeeText("section[aria-labelledby=cultures]", "first about");
        PassDays(32);
        Larder();
        Keeper.SeeText("section[aria-labelledby=cultures]", "a day, ends");
        Keeper.SeeText("table", "bean weevils");
        Assert.Empty(Keeper.Complaints());
    }

    [Fact]
    public void Half_of_the_pupae_go_into_the_cold()
    {
        Larder();
        Keeper.Press("Start one");
        Keeper.Press("blue bottle flies", "[role=dialog]");
        Keeper.Type("Pots", "4");
        Keeper.Press("Started tonight", "[role=dialog]");
        Keeper.SeeText("section[aria-labelledby=cultures]", "blue bottle flies × 4");
        Keeper.See("button[aria-label='What happened to the blue bottle flies']").Click();
        Keeper.Press("Half of the pots into the cold", "[role=menu]");
        // Two pots stay, two stand in the cold.
        Keeper.Wait(
            () =>
                Keeper.Run(
                    "return [...document.querySelectorAll('section[aria-labelledby=cultures] li')].filter(l => l.innerText.includes('blue bottle flies × 2') && l.innerText.includes('in the cold')).length"
                )
                    is 1L,
            "two pots in the cold"
        );
    }

    [Fact]
    public void An_order_is_sent_comes_and_is_unpacked()
    {
        Larder();
        Keeper.See("button[aria-label^='Order'][aria-label$='medium crickets']").Click();
        Keeper.SeeText("[role=dialog]", "animals, by 25");
        Keeper.Type("animals, by 25", "30");
        Keeper.Press("Send the order", "[role=dialog]");
        Keeper.SeeText("[role=dialog]", "order a multiple");
        Keeper.Type("animals, by 25", "125");
        Keeper.Press("Send the order", "[role=dialog]");
        Keeper.SeeText("section[aria-labelledby=orders]", "125 medium crickets");
        PassDays(12);
        Larder();
        Keeper.Wait(
            () =>
            {
                if (
                    Keeper
                        .Text("section[aria-labelledby=orders]")
                        .Contains("Nothing is ordered", StringComparison.Ordinal)
                )
                {
                    return true;
                }

                Keeper.Press("Unpack", "section[aria-labelledby=orders]");
                Keeper.SeeText("[role=dialog]", "What was in the parcel");
                Keeper.Press("Put it in the larder", "[role=dialog]");
                Keeper.Wait(
                    () => Keeper.Run("return document.querySelector('[role=dialog]') === null") is true,
                    "no dialog"
                );
                return false;
            },
            "every parcel unpacked"
        );
        Keeper.SeeText("#larder-journal + ul", "arrived");
    }

    [Fact]
    public void A_feeder_of_ones_own_joins_the_catalogue()
    {
        Keeper.Open("/larder/feeders");
        Keeper.SeeText("table", "flour-beetle larvae");
        Keeper.Press("Add one of your own");
        Keeper.Type("One", "shed cricket");
        Keeper.Type("From, mm", "9");
        Keeper.Type("To, mm", "4");
        Keeper.Press("Save", "[role=dialog]");
        Keeper.SeeText("[role=dialog]", "Must rise from 0.5 to 300 mm");
        Keeper.Type("To, mm", "12");
        Keeper.Press("Save", "[role=dialog]");
        Keeper.SeeText("table", "shed crickets");
    }
}
