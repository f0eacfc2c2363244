namespace Browser.Tests;

/// <summary>A shared tank as its keeper sees it: the tank is cared for, each animal in it has a record of its own.</summary>
public sealed class TankTests() : BrowserRoom(demo: true)
{
    [Fact]
    public void A_tank_names_those_in_it_and_offers_only_what_a_tank_has()
    {
        OpenAnimal("Reef tank");
        Keeper.SeeText("header", "shared tank");
        Keeper.SeeText("main", "In this tank");
        Keeper.SeeText("main", "Kelp");
        Keeper.SeeText("main", "Digging or lifting the hides");
        Keeper.Keys("e");
        Keeper.SeeText("[role=menu]", "Cleaned or changed…");
        Assert.DoesNotContain("Molted", Keeper.Text("[role=menu]"), StringComparison.Ordinal);
        Assert.DoesNotContain("Counted", Keeper.Text("[role=menu]"), StringComparison.Ordinal);
        Assert.Empty(Keeper.Complaints());
    }

    [Fact]
    public void A_crab_moves_into_the_tank_and_out_of_it()
    {
        OpenAnimal("Limpet");
        Keeper.Keys("e");
        Keeper.Press("Into a shared tank…", "[role=menu]");
        Keeper.Choose("Tank", "E3·01 Reef tank, 3 in it");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("header", "in Reef tank");
        Keeper.SeeText("ol", "put into Reef tank");
        Keeper.Keys("e");
        Keeper.Press("Out of the tank, to a place of its own…", "[role=menu]");
        Keeper.Type("New place", "F2·01");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("header", "F2·01");
    }

    [Fact]
    public void Some_of_a_box_are_parted_into_a_place_of_their_own()
    {
        OpenAnimal("Fennel box");
        Keeper.Keys("e");
        Keeper.Press("Some parted from them…", "[role=menu]");
        Keeper.Type("How many", "5");
        Keeper.Type("Name", "Second box");
        Keeper.Type("Place", "F2·02");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("header", "× 13");
        Keeper.SeeText("ol", "5 parted, now Second box");
    }
}
