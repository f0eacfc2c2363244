using Husbandry.Climate;
using Husbandry.Feeding;
using Husbandry.Housing;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Stock;

namespace Husbandry.Tests;

/// <summary>Walking order, quarantine last; mist plans that follow the dryness of the air.</summary>
public class RoomLayoutTests
{
    private static ShelfLayout Shelf(int number, bool quarantine = false, int slots = 8) =>
        new(number, 1000, 300, 400, slots, quarantine, null, null);

    private static readonly RoomLayout Layout = new(
        [
            new RackLayout("A", "", [Shelf(1, quarantine: true), Shelf(2)]),
            new RackLayout("B", "", [Shelf(1), Shelf(2)]),
        ],
        ["B2", "A2"]
    );

    [Fact]
    public void Shelves_are_walked_as_the_keeper_says_and_quarantine_last()
    {
        Assert.Equal(["B2", "A2", "B1", "A1"], Layout.ShelvesWalked());
        Place[] places = [new("A", 1, 1), new("Z", 1, 1), new("B", 2, 2), new("B", 2, 1), new("A", 2, 5)];
        Assert.Equal(
            ["B2·01", "B2·02", "A2·05", "Z1·01", "A1·01"],
            places.Order(Layout.WalkingOrder()).Select(p => p.Code)
        );
    }

    [Fact]
    public void Without_a_layout_the_walk_goes_by_rack_and_shelf()
    {
        Place[] places = [new("AA", 1, 1), new("B", 1, 1), new("A", 10, 1), new("A", 2, 1)];
        Assert.Equal(
            ["A2·01", "A10·01", "B1·01", "AA1·01"],
            places.Order(RoomLayout.Empty.WalkingOrder()).Select(p => p.Code)
        );
    }

    [Fact]
    public void What_cannot_be_is_named_with_its_place_in_the_layout()
    {
        var wrong = new RoomLayout(
            [
                new RackLayout("a", "", [Shelf(1), Shelf(1)]),
                new RackLayout("B", "", []),
                new RackLayout("B", new string('x', 61), [Shelf(0, slots: 500) with { WidthMm = double.NaN }]),
            ],
            ["B9", "B9"]
        );
        var fields = wrong.Problems().Select(p => p.Field).ToList();
        Assert.Contains("racks[0].rack", fields);
        Assert.Contains("racks[0].shelves", fields);
        Assert.Contains("racks[1].shelves", fields);
        Assert.Contains("racks[2].area", fields);
        Assert.Contains("racks[2].shelves[0].number", fields);
        Assert.Contains("racks[2].shelves[0].widthMm", fields);
        Assert.Contains("racks[2].shelves[0].slots", fields);
        Assert.Contains("racks", fields);
        Assert.Contains("walk[0]", fields);
        Assert.Contains("walk", fields);
        Assert.Empty(Layout.Problems());
    }

    private static Room Air(double formerHumidity, double recentHumidity)
    {
        var readings = Enumerable
            .Range(0, 20)
            .Select(day => new ClimateReading(
                Diary.Evening.AddDays(-day).AddHours(-2),
                25,
                day < 2 ? recentHumidity : formerHumidity,
                ""
            ));
        return Diary.Room().With(RoomClimate.Of(readings));
    }

    private static WaterClock Mist(Room room, double everyDays)
    {
        var enclosure = new Enclosure(
            "jar",
            120,
            120,
            200,
            20,
            Ventilation.Mesh,
            DampSide.Left,
            HeatSource.Room,
            new MistPlan(0.8, 5, everyDays)
        );
        var standing = new Diary("caribena-versicolor").LegSpan(60).With(2, new Housed(enclosure, false)).Standing();
        // The dish has a clock of its own.
        return Judgement.Of(standing, room).Water.Value.Clocks.Single(c => c.Mist is not null);
    }

    /// <summary>
    /// Source: evaporation goes with the vapour-pressure deficit (Dalton's law); at one temperature the deficit goes with
    /// 100 − relative humidity, so from 80 % to 60 % it doubles (Allen et al. 1998, FAO-56, eq. 11 and 19).
    /// </summary>
    [Theory]
    [InlineData(80, 80, 4)]
    [InlineData(80, 60, 2)]
    [InlineData(60, 80, 8)]
    [InlineData(80, 20, 2)]
    [InlineData(20, 80, 8)]
    public void Mist_is_due_sooner_in_drier_air_within_bounds(double former, double recent, double days) =>
        Assert.Equal(days, Mist(Air(former, recent), 4).EveryDays);

    [Fact]
    public void Where_humidity_is_not_read_the_mist_plan_stands() => Assert.Equal(4, Mist(Diary.Room(), 4).EveryDays);

    [Fact]
    public void The_round_says_how_many_squirts_and_where()
    {
        var enclosure = new Enclosure(
            "jar",
            200,
            200,
            330,
            20,
            Ventilation.Mesh,
            DampSide.Left,
            HeatSource.Room,
            new MistPlan(0.8, 5, 3)
        );
        var diary = new Diary("caribena-versicolor")
            .LegSpan(60)
            .Ate(1)
            .Watered(5)
            .With(0.2, new Housed(enclosure, false));
        Assert.Equal("Mist 5 squirts, 4 mL, left side, and fill the water dish", diary.Line().Do);
        // Each has its own clock: the dish filled is no mist.
        Assert.Equal("Mist 5 squirts, 4 mL, left side", diary.Watered(0.1).Line().Do);
    }
}
