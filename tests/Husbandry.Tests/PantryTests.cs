using Husbandry.Larder;
using Husbandry.Plants;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>Food plants: what is there, what is eaten, when it runs short. Sums are by hand from the rules unless said otherwise.</summary>
public class PantryTests
{
    private static readonly RoomPlantRules Rules = RuleSet.Shipped.Room.Plants;
    private static readonly Guid Pot = Guid.NewGuid();
    private static readonly Guid Bag = Guid.NewGuid();

    private static LarderStanding Larder(params (double NightsAgo, LarderAct Act)[] told) =>
        LarderStanding.Fold(
            told.Select(
                (t, i) => new LarderEntry(Guid.NewGuid(), i + 1, Diary.Evening.AddDays(-t.NightsAgo), "Keeper", t.Act)
            ),
            RuleSet.Shipped
        );

    private static PlantAdded Oak(double grams, PlantForm form = PlantForm.Pot, Guid? id = null) =>
        new(id ?? Pot, "oak", form, LeafKind.Woody, grams);

    private static LeafEater Eater(double aNight, string plant = "Oak", DateOnly? ready = null) =>
        new(
            Guid.NewGuid(),
            "Box 3",
            new Place("F", 1, 1),
            plant,
            true,
            LeafKind.Woody,
            [.. Enumerable.Repeat(aNight, Rules.DaysAhead.Value)],
            ready
        );

    private static PlantOutlook Outlook(LarderStanding larder, params LeafEater[] eaters) =>
        PlantOutlook.Of(eaters, larder.Plants, Diary.Room())[0].Value;

    private static double Grams(LarderStanding larder, double nightsAhead = 0) =>
        larder.Plants.Sum(p => p.GramsOn(Diary.Evening.AddDays(nightsAhead), Rules));

    [Fact]
    public void A_pot_grows_back_to_what_it_was_and_no_further()
    {
        var larder = Larder((7, Oak(50)), (7, new PlantCut(Pot, 40)));
        // A third of a full pot a week (0.3): 10 g are left and 15 grow.
        Assert.Equal(10 + (0.3 * 50), Grams(larder), 1e-6);
        Assert.Equal(50, Grams(larder, 200), 1e-6);
    }

    [Fact]
    public void The_keepers_own_figure_of_regrowth_counts()
    {
        var larder = Larder((7, Oak(50) with { RegrowthGPerWeek = 5 }), (7, new PlantCut(Pot, 40)));
        Assert.Equal(15, Grams(larder), 1e-6);
    }

    [Fact]
    public void Cut_leaf_keeps_for_its_days_and_is_nothing_after_them()
    {
        var larder = Larder((2, Oak(80, PlantForm.Cut)));
        Assert.Equal(80, Grams(larder), 1e-6);
        Assert.Equal(0, Grams(larder, Rules.CutKeepsWoody.Value - 2), 1e-6);
    }

    [Fact]
    public void Leaf_that_is_bagged_is_no_longer_on_the_pot()
    {
        var larder = Larder((0.01, Oak(60)), (0, new PlantCut(Pot, 25, Bag, IsWashed: true)));
        Assert.Equal(60, Grams(larder), 0.1);
        var bag = Assert.Single(larder.Plants, p => p.Form == PlantForm.Cut);
        Assert.Equal((25, true, "oak"), (bag.Grams, bag.IsWashed, bag.Plant));
    }

    [Fact]
    public void Nothing_runs_short_where_the_pot_grows_as_fast_as_it_is_eaten()
    {
        var larder = Larder((0, Oak(70) with { RegrowthGPerWeek = 21 }));
        Assert.Null(Outlook(larder, Eater(3)).ShortOn);
        Assert.NotNull(Outlook(larder, Eater(6)).ShortOn);
    }

    [Fact]
    public void The_night_on_which_it_runs_short_is_told_with_the_pots_and_the_last_night_to_buy()
    {
        // 20 g of cut leaf and nothing that grows: five nights at 4 g; it keeps seven.
        var outlook = Outlook(Larder((0, Oak(20, PlantForm.Cut))), Eater(4));
        var room = Diary.Room();
        Assert.Equal(room.Tonight.AddDays(5), outlook.ShortOn);
        Assert.Equal(room.Tonight, outlook.BuyBy);
        Assert.Null(outlook.SowBy);
        // 28 g a week of a pot that gives 60 · 1.3.
        Assert.Equal(1, outlook.PotsShort);
        Assert.Equal(4, Outlook(Larder((0, Oak(20, PlantForm.Cut))), Eater(40)).PotsShort);
    }

    [Fact]
    public void Where_it_grows_outside_it_is_cut_for_as_long_as_it_keeps()
    {
        var outlook = Outlook(Larder((0, Oak(0, PlantForm.Site))), Eater(4));
        Assert.Null(outlook.ShortOn);
        Assert.Equal(4 * Rules.CutKeepsWoody.Value, outlook.CutGrams, 1e-6);
    }

    [Fact]
    public void Plants_are_told_apart_by_name_whatever_the_case_and_eggs_say_by_when()
    {
        var ready = Diary.Room().Tonight.AddDays(9);
        var all = PlantOutlook.Of(
            [Eater(1, " OAK "), Eater(2, "nettle", ready)],
            Larder((0, Oak(20))).Plants,
            Diary.Room()
        );
        Assert.Equal(["nettle", "oak"], all.Select(a => a.Value.Plant));
        Assert.Equal(ready, all[0].Value.ReadyOn);
        Assert.Null(all[1].Value.ReadyOn);
    }

    [Fact]
    public void What_is_due_at_the_plants_is_work_of_the_night_and_nothing_before_one_is_written_down()
    {
        IReadOnlyList<LarderWork> Work(LarderStanding larder, params LeafEater[] eaters)
        {
            var room = Diary.Room();
            return LarderWork.Of(
                larder,
                LarderPlan.Of([], larder, [], new Dictionary<string, int>(), eaters, room),
                room
            );
        }

        Assert.Empty(Work(LarderStanding.Empty, Eater(4)));
        var larder = Larder((3, Oak(500)), (8, Oak(30, PlantForm.Cut, Bag)));
        var tonight = Diary.Room().Tonight;
        var work = Work(larder);
        Assert.Equal(
            [LarderTask.ThrowLeaf, LarderTask.WaterPlant],
            work.Where(w => w.Due <= tonight).Select(w => w.Task).Order().Reverse()
        );
        Assert.Equal(Pot, work.Single(w => w.Task == LarderTask.WaterPlant).PlantId);
        Assert.DoesNotContain(
            Work(Larder((3, Oak(500)), (1, new PlantWatered(Pot)))),
            w => w.Task == LarderTask.WaterPlant && w.Due <= tonight
        );
        Assert.Contains(Work(Larder((0, Oak(5))), Eater(9)), w => w.Task == LarderTask.BuyPlant);
        Assert.Contains(Work(Larder((0, Oak(0, PlantForm.Site))), Eater(9)), w => w.Task == LarderTask.CutLeaf);
    }

    public static TheoryData<LarderAct, string?> Told =>
        new()
        {
            { Oak(20, id: Bag), null },
            { Oak(20), "act.plantId" },
            { Oak(0, PlantForm.Cut, Bag), "act.grams" },
            { Oak(double.NaN, id: Bag), "act.grams" },
            { Oak(20, PlantForm.Cut, Bag) with { WaterEveryDays = 2 }, "act.form" },
            { Oak(20, id: Bag) with { RegrowthGPerWeek = -1 }, "act.regrowthGPerWeek" },
            { Oak(20, id: Bag) with { WaterEveryDays = 0 }, "act.waterEveryDays" },
            { Oak(20, id: Bag) with { Plant = " " }, "act.plant" },
            { new PlantCut(Bag, 5), "act.plantId" },
            { new PlantCut(Pot, 0), "act.grams" },
            { new PlantCut(Pot, 5, Pot), "act.cutId" },
            { new PlantWatered(Pot), null },
            { new PlantEnded(Bag), "act.plantId" },
        };

    [Theory]
    [MemberData(nameof(Told))]
    public void What_cannot_be_is_refused_with_its_field(LarderAct act, string? field) =>
        Assert.Equal(
            field,
            LarderCheck.Check(act, Larder((1, Oak(50))), RuleSet.Shipped) is [var first, ..] ? first.Field : null
        );

    private static string? Refused(Diary diary, HostChosen act) =>
        EntryCheck.Check(act, Occurrence.At(Diary.Evening), diary.Standing(), Diary.Room()).SingleOrDefault()?.Field;

    private static Diary Larvae(string species = "saturnia-pyri") =>
        new Diary(species, Sex.Unknown, 20, molts: 2, kind: StockKind.Brood, count: 12);

    [Fact]
    public void A_change_of_plant_is_never_silent()
    {
        var hosts = RuleSet.Shipped.Profile("saturnia-pyri")!.Larvae!.Hosts.Value;
        Assert.Null(Refused(Larvae(), new HostChosen(hosts[1])));
        Assert.Equal("act.anyway", Refused(Larvae(), new HostChosen("plastic fern")));
        var begun = Larvae().With(5, new HostChosen(hosts[0]));
        Assert.Null(Refused(begun, new HostChosen(hosts[0].ToUpperInvariant())));
        Assert.Equal("act.anyway", Refused(begun, new HostChosen(hosts[1])));
        Assert.Null(Refused(begun, new HostChosen(hosts[1], Anyway: true)));
    }

    /// <summary>The round forbids another plant only to those that do not change over.</summary>
    [Theory]
    [InlineData("saturnia-pyri", true)]
    [InlineData("papilio-machaon", false)]
    public void The_round_names_the_plant_and_whether_it_may_be_changed(string species, bool fixedPlant)
    {
        var host = RuleSet.Shipped.Profile(species)!.Larvae!.Hosts.Value[0];
        var line = Larvae(species).With(5, new HostChosen(host)).Line();
        Assert.Contains($"of {host}", line.Detail, StringComparison.Ordinal);
        Assert.Equal(fixedPlant, line.Detail.Contains("no other plant", StringComparison.Ordinal));
    }

    [Fact]
    public void What_eats_no_leaf_has_no_plant()
    {
        Assert.Equal("act.kind", Refused(new Diary(), new HostChosen("oak")));
        var pupa = new Diary("saturnia-pyri", Sex.Unknown, 90, molts: 4).With(20, new Began(VigilKind.Emergence));
        Assert.Equal("act.kind", Refused(pupa, new HostChosen("oak")));
    }

    [Fact]
    public void The_plant_on_record_is_the_one_that_is_planned_for()
    {
        var hosts = RuleSet.Shipped.Profile("saturnia-pyri")!.Larvae!.Hosts.Value;
        var eater = LeafEater.Of(Larvae().With(5, new HostChosen(hosts[1])).Judge())!;
        Assert.Equal((hosts[1], true), (eater.Plant, eater.IsOnRecord));
        Assert.Equal(
            (hosts[0], false),
            (LeafEater.Of(Larvae().Judge())!.Plant, LeafEater.Of(Larvae().Judge())!.IsOnRecord)
        );
    }
}
