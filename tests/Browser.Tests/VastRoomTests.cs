namespace Browser.Tests;

/// <summary>A room of two thousand: pages build what is in sight, and the rest when it is scrolled to.</summary>
public sealed class VastRoomTests : BrowserRoom
{
    private const int Animals = 2000;

    public VastRoomTests()
        : base(demo: false) => ManySpiders.MoveInAsync(Services, Animals).GetAwaiter().GetResult();

    private int Count(string css) => Convert.ToInt32(Keeper.Run($"return document.querySelectorAll(\"{css}\").length"));

    [Fact]
    public void Shelves_are_drawn_as_they_come_into_sight()
    {
        Keeper.Open("/shelves");
        Keeper.See("[data-place='A1·01']");
        Assert.InRange(Count("[data-place]"), ManySpiders.OnAShelf, Animals / 4);
        Keeper.Run("document.querySelector('[data-shelf=J10]').scrollIntoView()");
        Keeper.See("[data-place='J10·20']").Click();
        Keeper.SeeText("aside[aria-label='Chosen enclosure']", "Spider 1999");
        Assert.InRange(Count("[data-place]"), ManySpiders.OnAShelf, Animals / 2);
    }

    [Fact]
    public void An_enclosure_carried_by_keyboard_takes_the_drawing_along()
    {
        Keeper.Open("/shelves");
        Keeper.See("[data-place='A1·01']").Click();
        Keeper.Keys("m");
        for (var shelf = 0; shelf < 15; shelf++)
        {
            Keeper.Keys(OpenQA.Selenium.Keys.ArrowDown);
        }

        Keeper.SeeText("[aria-live=polite]", "to B6·01");
        Keeper.See("[data-place='B6·01']");
        Keeper.Keys(OpenQA.Selenium.Keys.Enter);
        Keeper.SeeText("body", "changed places");
    }

    [Fact]
    public void The_almanac_by_kind_is_built_in_parts_and_reaches_its_end()
    {
        Keeper.Open("/almanac");
        Keeper.SeeText("main", "A1·01 Spider 0");
        Assert.InRange(Count("main svg"), 20, 600);
        Keeper.Press("Kind", "header");
        Keeper.See("section[aria-label=Molts]");
        Assert.InRange(Count("main svg"), 20, 600);
        Keeper.Wait(
            () =>
            {
                Keeper.Run("document.getElementById('main').scrollTo(0, 1e6)");
                return Keeper.Run(
                    "return [...document.querySelectorAll('section[aria-label=Molts] a')].at(-1)?.getBoundingClientRect().bottom <= innerHeight"
                )
                    is true;
            },
            "the last of the molts"
        );
    }
}
