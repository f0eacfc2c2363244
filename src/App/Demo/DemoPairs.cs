using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace App.Demo;

/// <summary>A family of three generations in rack E: two first cousins and a half-brother, all adult at the same time, all invented.</summary>
internal static class DemoPairs
{
    private const int Seed = 20261127;
    private const string Species = "ceratogyrus-darlingi";

    public static IEnumerable<LifeWriter> Write(Room room)
    {
        var random = new Random(Seed);
        LifeWriter Life(string place, string name, Sex sex, int arrived, int? molts = null, bool mature = false) =>
            new(room, random, place, name, Species, sex, arrived, molts, 1, mature: mature);
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
        return [brine, hawser, marl, shoal, dapple, reeve, ebb];
    }
}
