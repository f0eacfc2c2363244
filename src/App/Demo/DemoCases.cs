using Husbandry.Colonies;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Housing;
using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Plants;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Tanks;
using Husbandry.Vigils;

namespace App.Demo;

/// <summary>Rack E of the demo room: one of each kind of care that the other racks do not show, all invented.</summary>
internal static class DemoCases
{
    private const int Seed = 20261126;

    public static IEnumerable<LifeWriter> Write(Room room)
    {
        var random = new Random(Seed);
        LifeWriter Life(
            string place,
            string name,
            string species,
            int arrived,
            int? molts = null,
            bool mature = false,
            int count = 1,
            StockKind? kind = null,
            Sex sex = Sex.Unknown,
            string? other = null
        ) => new(room, random, place, name, species, sex, arrived, molts, 1, count, mature, kind, other);

        var reef = Life("E3·01", "Reef tank", "coenobita-rugosus", 230, kind: StockKind.Tank)
            .At(229, new Housed(ReefTank, Rehoused: false))
            .At(3, Fresh("crab-mix"))
            .Watered(2, WaterKind.Pools)
            .At(30, new Handled(CareAct.Clean))
            .At(25, new ShellsCounted([new ShellLot(9, ShellShape.Oval, 4), new ShellLot(12, ShellShape.Round, 2)]));
        return
        [
            // Three crabs share a tank: one is buried, one just up from its molt.
            reef,
            Life("E3·02", "Kelp", "coenobita-rugosus", 228)
                .At(227, new Placed(reef.StockId, "Reef tank"))
                .Measured(200, BodyPart.Claw, 9)
                .At(19, new Began(VigilKind.Surfacing)),
            Life("E3·03", "Dulse", "coenobita-rugosus", 228)
                .At(227, new Placed(reef.StockId, "Reef tank"))
                .Measured(200, BodyPart.Claw, 7)
                .At(120, new ShellTaken(ShellShape.Oval, 10))
                .At(44, new ShellTaken(ShellShape.Oval, 8))
                .At(40, new Began(VigilKind.Surfacing))
                .At(3, new Ended(VigilKind.Surfacing, VigilEnd.AsHoped)),
            Life("E3·04", "Wrack", "coenobita-perlatus", 150)
                .At(149, new Placed(reef.StockId, "Reef tank"))
                .Measured(120, BodyPart.Claw, 12),
            // Six young crabs kept as one, one of them buried: the rest go on eating.
            Life("E1·01", "Rockpool", "coenobita-rugosus", 220, count: 6)
                .At(9, new Began(VigilKind.Surfacing, 1))
                .At(1, Fresh("crab-mix"))
                .Watered(1, WaterKind.Pools),
            // Eggs, kept as such.
            Life("E1·03", "Loft eggs", "samia-ricini", 9, count: 40)
                .At(8, new Began(VigilKind.Hatching))
                .At(7, new HostChosen("privet"))
                .At(6, new Capped(25)),
            // Full grown: its next molt makes the pupa.
            Life("E1·04", "Thole", "samia-ricini", 30, 4)
                .At(20, new HostChosen("privet"))
                .At(19, new Boxed(BoxSchool.Vented, 1.5, 2))
                .At(1, Fresh("fresh-leaves")),
            // Adults that do not feed, and adults that take nectar.
            Life("E1·05", "Gull", "samia-ricini", 4, mature: true, sex: Sex.Female),
            Life("E1·06", "Flare", "papilio-machaon", 5, mature: true).At(1, Fresh("nectar")),
            // A lone queen whose founding nobody wrote down, one who must be fed, and one in her winter.
            Life("E1·07", "Anchor", "lasius-niger", 40, mature: true, sex: Sex.Female)
                .At(39, new QueenCaught(CatchWay.Walking, false, "warm evening after rain"))
                .At(22, new Peeked([BroodSeen.Eggs], Water: TubeWater.Full)),
            Life("E1·08", "Skipper", "manica-rubida", 60, mature: true, sex: Sex.Female)
                .At(4, Fresh("cut-insect"))
                .At(4, Fresh("sugar-water"))
                .At(4, new TubeSeen(TubeWater.Full)),
            Life("E2·01", "Frost", "lasius-niger", 90, mature: true, sex: Sex.Female)
                .At(20, new Chilled(true))
                .At(6, new TubeSeen(TubeWater.Full)),
            // Not in the rulebook: counts as dangerous until somebody says otherwise.
            Life("E2·02", "Stranger", "heterometrus-silenus", 50, other: "Scorpion, not yet named")
                .Measured(40, BodyPart.Body, 38)
                .Fed(16, "cricket", "medium", OfferOutcome.Eaten)
                .Watered(1),
            // Sealed in, and nothing else on record.
            Life("E2·03", "Hatch", "ceratogyrus-darlingi", 300, 6)
                .Measured(200, BodyPart.LegSpan, 64)
                .Fed(24, "roach-nymph", "small", OfferOutcome.Eaten)
                .Watered(2)
                .Sign(12, "burrow-sealed"),
            // About to molt hanging: nothing at all.
            Life("E2·04", "Boom", "hierodula-membranacea", 80, 5)
                .Measured(20, BodyPart.Body, 42)
                .Fed(4, "house-fly", "one", OfferOutcome.Eaten)
                .Watered(1, WaterKind.Mist)
                .Sign(1, "stops-striking")
                .Sign(0, "hangs-still"),
            // Seen very full, never measured across.
            Life("E2·05", "Puffin", "tliltocatl-vagans", 260, 6, sex: Sex.Female)
                .Measured(100, BodyPart.LegSpan, 58)
                .Fed(16, "roach-nymph", "small", OfferOutcome.Eaten)
                .Watered(2)
                .At(1, new ConditionSeen(BodyCondition.VeryFull)),
            // A box of caterpillars on soft leaf: two died, one got out, and one more is missing.
            Life("E2·06", "Fennel box", "papilio-machaon", 14, 2, count: 22)
                .At(13, new HostChosen("fennel"))
                .At(12, new Boxed(BoxSchool.StemsInWater, 6, 1, "paper towel"))
                .At(3, new SickSeen([SickSign.RunnyFrass, SickSign.Sluggish], 2))
                .At(10, new Departed(DepartureKind.Died, "small and pale", 2))
                .At(6, new Departed(DepartureKind.Escaped, "under the lid", 1))
                .At(2, new Counted(18, Method: CountMethod.OneByOne))
                .At(1, Fresh("fresh-leaves")),
            // Guards her sac and lies on her back: both hold, and the molt speaks first.
            Life("E2·08", "Lanyard", "tliltocatl-albopilosus", 400, mature: true, sex: Sex.Female)
                .At(260, new Molted())
                .Measured(250, BodyPart.LegSpan, 132)
                .Fed(70, "roach-nymph", "medium", OfferOutcome.Eaten)
                .Watered(1)
                .At(96, new Paired(null, "a male from across the water", PairingMethod.Watched, "parted after an hour"))
                .At(38, new Began(VigilKind.Young))
                .Sign(0, "on-its-back"),
            // Lent for a pairing, and due back tonight.
            Life("E3·05", "Tern", "tliltocatl-vagans", 300, 9, mature: true, sex: Sex.Male)
                .Measured(280, BodyPart.LegSpan, 118)
                .Fed(60, "roach-nymph", "medium", OfferOutcome.Eaten)
                .Watered(52)
                .At(50, new Lent("a keeper across the water", null, room.Tonight)),
            // A messy eater, fed last night.
            Life("E2·07", "Brass", "carabus-nemoralis", 70, mature: true)
                .Measured(60, BodyPart.Body, 24)
                .Fed(1, "mealworm", "small", OfferOutcome.Eaten)
                .Watered(1),
        ];
    }

    private static readonly Enclosure ReefTank = new(
        "glass tank, 100 L",
        800,
        400,
        400,
        200,
        Ventilation.FewHoles,
        DampSide.Whole,
        HeatSource.SideMat,
        Mist: null
    );

    private static Offered Fresh(string food) => new(food, "one", 1, Preparation.Fresh, OfferOutcome.Eaten);
}
