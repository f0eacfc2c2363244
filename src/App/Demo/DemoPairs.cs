using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace App.Demo;

/// <summary>
/// Pairs in rack E, all invented: a family of three generations with two first cousins and a half-brother, pairings that go on,
/// that wait and that were lost.
/// </summary>
internal static class DemoPairs
{
    private const int Seed = 20261127;
    private const string Species = "ceratogyrus-darlingi";

    public static IEnumerable<LifeWriter> Write(Room room)
    {
        var random = new Random(Seed);
        LifeWriter Life(
            string place,
            string name,
            Sex sex,
            int arrived,
            int? molts = null,
            bool mature = false,
            string? species = null
        ) => new(room, random, place, name, species ?? Species, sex, arrived, molts, 1, mature: mature);
        // Those before them are long gone; the pedigree still knows them.
        LifeWriter Former(string name, Sex sex, int arrived, int died) =>
            Life("E3·08", name, sex, arrived, mature: true).At(died, new Departed(DepartureKind.Died, "old"));

        var brine = Former("Brine", Sex.Female, 1090, 900);
        var hawser = Former("Hawser", Sex.Male, 1080, 960);
        var marl = Former("Marl", Sex.Female, 1060, 420).DescendsFrom(brine, hawser);
        var shoal = Former("Shoal", Sex.Male, 1060, 800).DescendsFrom(brine, hawser);
        var dapple = Life("E3·06", "Dapple", Sex.Female, 700, 4)
            .DescendsFrom(marl, null)
            .Molted(560, 430, 300)
            .MaturedOn(52)
            .Fed(9, "roach-nymph", "small", OfferOutcome.Eaten)
            .Watered(2)
            .At(4, new ConditionSeen(BodyCondition.Normal));
        var reeve = Life("E3·07", "Reeve", Sex.Male, 640, 4)
            .DescendsFrom(null, shoal)
            .Molted(500, 380, 260)
            .MaturedOn(70)
            .Fed(12, "roach-nymph", "small", OfferOutcome.Eaten)
            .Watered(3);
        // Her half-brother by the same mother: too near.
        var ebb = Life("E3·09", "Ebb", Sex.Male, 660, 4)
            .DescendsFrom(marl, null)
            .Molted(520, 400, 280)
            .MaturedOn(45)
            .Fed(8, "roach-nymph", "small", OfferOutcome.Eaten)
            .Watered(2);
        return [brine, hawser, marl, shoal, dapple, reeve, ebb, .. Runs(Life), .. Others(Life)];
    }

    private delegate LifeWriter Begin(
        string place,
        string name,
        Sex sex,
        int arrived,
        int? molts = null,
        bool mature = false,
        string? species = null
    );

    /// <summary>In the net tonight; a web to look for; a race that was lost; a wait past its median.</summary>
    private static IEnumerable<LifeWriter> Runs(Begin life)
    {
        const string Versicolor = "caribena-versicolor";
        const string Regius = "phidippus-regius";
        var halyard = Fed(life("E4·01", "Halyard", Sex.Female, 520, 7, species: Versicolor).MaturedOn(64), 3);
        var sprit = Fed(life("E4·02", "Sprit", Sex.Male, 480, 6, species: Versicolor).MaturedOn(58), 3);
        halyard.With(sprit, 0, he => new Paired(he, null, PairingMethod.NetOvernight, Led: true));

        var capstan = Fed(
            life("E4·03", "Capstan", Sex.Female, 150, 6, species: Regius).MaturedOn(38),
            2,
            "house-fly",
            "one"
        );
        var jib = Fed(life("E4·04", "Jib", Sex.Male, 140, 5, species: Regius).MaturedOn(33), 2, "house-fly", "one");
        jib.At(9, new WebLooked(WebLook.New)).At(5, new WebLooked(WebLook.None));
        capstan
            .With(jib, 1, he => new Paired(he, null, PairingMethod.Watched, Led: true))
            .With(jib, 1, he => new PairingSeen(PairingSight.Courts, PartnerId: he), 4)
            .With(jib, 1, he => new PairingSeen(PairingSight.Insertion, 6, he), 9)
            .With(jib, 1, he => new PairingEnded(PairingEnding.MaleSafe, null, he), 21);

        var fathom = life("E4·05", "Fathom", Sex.Female, 700, mature: true, species: "acanthoscurria-geniculata")
            .At(290, new Molted())
            .Fed(33, "roach-nymph", "medium", OfferOutcome.Eaten)
            .Watered(2)
            .At(66, new Paired(null, "a male from across the water", PairingMethod.Watched))
            .At(4, new Molted());
        var eddy = life("E4·06", "Eddy", Sex.Female, 640, mature: true, species: "tliltocatl-albopilosus")
            .At(170, new Molted())
            .Fed(8, "roach-nymph", "medium", OfferOutcome.Eaten)
            .Watered(2)
            .At(4, new ConditionSeen(BodyCondition.Full))
            .At(95, new Paired(null, "a male from across the water", PairingMethod.Watched))
            .At(88, new Paired(null, "a male from across the water", PairingMethod.Watched))
            .At(88, new PairingSeen(PairingSight.Insertion, 5), minute: 30)
            .At(20, new PairingSeen(PairingSight.Fattens));
        return [halyard, sprit, capstan, jib, fathom, eddy];
    }

    /// <summary>A mantis pair that is ready, and a moth cage.</summary>
    private static IEnumerable<LifeWriter> Others(Begin life)
    {
        const string Lineola = "sphodromantis-lineola";
        const string Luna = "actias-luna";
        var kedge = life("E4·07", "Kedge", Sex.Female, 170, 6, species: Lineola)
            .MaturedOn(24)
            .Fed(1, "house-fly", "one", OfferOutcome.Eaten)
            .Watered(1, WaterKind.Mist)
            .At(1, new ConditionSeen(BodyCondition.Full));
        var luff = life("E4·08", "Luff", Sex.Male, 160, 6, species: Lineola)
            .MaturedOn(16)
            .Fed(1, "house-fly", "one", OfferOutcome.Eaten)
            .Watered(1, WaterKind.Mist);
        var bight = life("E4·09", "Bight", Sex.Female, 2, mature: true, species: Luna);
        var gaff = life("E4·10", "Gaff", Sex.Male, 2, mature: true, species: Luna);
        bight.With(gaff, 0, he => new Paired(he, null, PairingMethod.LeftTogether, Led: true));
        return [kedge, luff, bight, gaff];
    }

    private static LifeWriter Fed(LifeWriter life, int ago, string feeder = "roach-nymph", string size = "small") =>
        life.Fed(ago, feeder, size, OfferOutcome.Eaten)
            .Watered(1)
            .At(2, new ConditionSeen(BodyCondition.Normal))
            .At(1, new FangsChecked(true));
}
