using Husbandry.Journal;
using Husbandry.Larder;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace App.Demo;

/// <summary>The larder of the demo: some of everything, one class that will run short, one that is too much.</summary>
internal static class DemoLarder
{
    private static readonly Guid Root = new("5a110b00-0000-4000-8000-000000000001");

    /// <summary>The larder's journal relative to tonight.</summary>
    public static IReadOnlyList<LarderEntry> Of(Room room)
    {
        var entries = new List<LarderEntry>();
        Guid Id(string part) => DerivedId.Of(Root, part);
        void Log(double nightsAgo, LarderAct act) =>
            entries.Add(
                new LarderEntry(
                    Id($"entry {entries.Count}"),
                    entries.Count + 1,
                    room.Now.AddDays(-nightsAgo),
                    room.Settings.KeeperName,
                    act
                )
            );

        Log(46, new CultureStarted(Id("old flies"), "fruit-fly-small", 1));
        Log(24, new CultureStarted(Id("flies"), "fruit-fly-small", 2));
        Log(30, new CultureStarted(Id("large flies"), "fruit-fly-large", 2));
        Log(13, new CultureStarted(Id("young flies"), "fruit-fly-small", 1));
        Log(90, new CultureStarted(Id("springtails"), "springtail", 1));
        Log(11, new CultureStarted(Id("pupae"), "green-bottle-fly", 2));
        Log(10, new CultureSplit(Id("pupae"), Id("cold pupae"), 1, IntoCold: true));
        Log(3, new MitesSeen(Id("old flies")));
        foreach (
            var (feeder, size, count, ago) in new[]
            {
                ("cricket", "small", 38, 2.0),
                ("cricket", "medium", 22, 2.0),
                ("roach-nymph", "small", 60, 5.0),
                ("roach-nymph", "medium", 45, 5.0),
                ("roach-nymph", "large", 60, 5.0),
                ("mealworm", "small", 80, 5.0),
                ("house-fly", "one", 12, 1.0),
                ("green-bottle-fly", "one", 40, 1.0),
                ("fruit-fly-small", "one", 150, 1.0),
                ("fruit-fly-large", "one", 90, 1.0),
                ("locust", "extra-small", 8, 2.0),
                ("leaf-litter", "one", 40, 20.0),
                ("crab-mix", "one", 90, 20.0),
                ("wax-worm", "one", 30, 4.0),
            }
        )
        {
            Log(ago, new FoodCounted(new FoodKey(feeder, size), count));
        }

        Log(
            3,
            new OrderPlaced(
                Id("order"),
                [new OrderLine("cricket", "small", 50), new OrderLine("locust", "extra-small", 25)],
                room.Tonight.AddDays(1)
            )
        );
        // Fennel in two pots, one eaten down; privet behind the loft, and a bag of it.
        Log(40, new PlantAdded(Id("fennel"), "fennel", PlantForm.Pot, LeafKind.Soft, 70, 25, 2, Where: "on the sill"));
        Log(12, new PlantAdded(Id("young fennel"), "fennel", PlantForm.Pot, LeafKind.Soft, 30, Where: "on the sill"));
        Log(4, new PlantCut(Id("fennel"), 60));
        Log(3, new PlantWatered(Id("fennel")));
        Log(1, new PlantWatered(Id("young fennel")));
        Log(60, new PlantAdded(Id("privet"), "privet", PlantForm.Site, LeafKind.Woody, 0, Where: "behind the loft"));
        Log(5, new PlantCut(Id("privet"), 60, Id("privet bag"), IsWashed: true));
        Log(20, new GoodsCounted("calcium-carbonate", 350));
        Log(20, new GoodsCounted("marine-salt", 900));
        Log(20, new GoodsCounted("vials", 18));
        Log(20, new GoodsCounted("cotton", 60));
        Log(20, new GoodsCounted("lining", 220));
        return entries;
    }
}
