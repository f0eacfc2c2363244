using App.Safekeeping;
using Microsoft.Extensions.DependencyInjection;

namespace Browser.Tests;

/// <summary>A keeper copies the record, puts a copy back after reading what that changes, and is told when something is wrong.</summary>
public sealed class SafekeepingTests() : BrowserRoom(demo: true)
{
    [Fact]
    public void A_copy_is_made_and_put_back_after_saying_what_would_be_missing()
    {
        Keeper.Open("/safekeeping");
        Keeper.SeeText("section[aria-labelledby=record]", "entries of");
        Keeper.SeeText("section[aria-labelledby=copies]", "There is no copy yet.");
        Keeper.Press("Copy now");
        Keeper.SeeText("section[aria-labelledby=copies]", "Copied and checked.");
        Keeper.Press("Look through all of it");
        Keeper.SeeText("section[aria-labelledby=record]", "All of it is sound.");

        Keeper.Open("/");
        Keeper.See("article[aria-current=true]");
        Keeper.Keys("x");
        Keeper.SeeText("[data-bar]", "Cockle: leftovers taken out");

        Keeper.Open("/safekeeping");
        Keeper.Press("Put back", "section[aria-labelledby=copies]");
        Keeper.SeeText("[role=dialog]", "1 entry that is there now would be missing");
        Keeper.Press("Put it back", "[role=dialog]");
        Keeper.SeeText("section[aria-labelledby=copies]", "Put back.");
        Keeper.SeeText("section[aria-labelledby=copies]", "before a copy was put back");

        // What was logged after the copy is to be done again.
        Keeper.Open("/");
        Keeper.SeeText("article[aria-current=true]", "Cockle");
        Assert.Empty(Keeper.Complaints());
    }

    [Fact]
    public void What_is_wrong_with_the_record_stands_above_every_page()
    {
        Keeper.Open("/");
        Keeper.See("article[aria-current=true]");
        Services.GetRequiredService<RoomHealth>().Note(["Tree 4 page 9: never used"]);
        Services.GetRequiredService<App.Live.LiveRoom>().Tell(App.Live.LiveTopic.Troubles, "");
        Keeper.SeeText("section[aria-label='The record']", "The data file is damaged");
        Keeper.Press("See Safekeeping", "section[aria-label='The record']");
        Keeper.SeeText("h2", "The record is damaged");
        Services.GetRequiredService<RoomHealth>().Note([]);
        Services.GetRequiredService<App.Live.LiveRoom>().Tell(App.Live.LiveTopic.Troubles, "");
        Keeper.SeeNoText("section[aria-label='The record']", "damaged");
    }
}
