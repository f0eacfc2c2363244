using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace App.Demo;

/// <summary>
/// Rack K of the demo room, the cold box in the yard: pupae in their winter, read every day but for two, with three days that
/// were too warm. All invented.
/// </summary>
internal static class DemoWinters
{
    private const int Seed = 20261105;
    private const string Rack = "K";
    private const double MeanC = 4.6;
    private const double SpreadC = 0.9;
    private const double WarmSpellC = 11.4;
    private const int Longest = 112;

    public static IEnumerable<LifeWriter> Write(Room room)
    {
        var random = new Random(Seed);
        LifeWriter Pupa(
            int position,
            string name,
            Sex sex,
            int coldFor,
            string species = "saturnia-pyri",
            int pupaFor = 150
        )
        {
            var life = new LifeWriter(
                room,
                random,
                $"K1·{position:00}",
                name,
                species,
                Sex.Unknown,
                260,
                4,
                1,
                1,
                false,
                null,
                null
            )
                .At(pupaFor, new Began(VigilKind.Emergence))
                .At(coldFor, new Chilled(true))
                .Watered(12, WaterKind.Mist);
            return sex == Sex.Unknown ? life : life.At(coldFor + 1, new SexSeen(sex, SexEvidence.Antennae));
        }

        return
        [
            // Its weeks of cold are done, and it is still in the cold.
            Pupa(1, "Sail", Sex.Female, 106),
            Pupa(2, "Spar", Sex.Female, 106),
            Pupa(3, "Cringle", Sex.Female, 99),
            Pupa(4, "Reef knot", Sex.Male, 106),
            Pupa(5, "Bowline", Sex.Male, 99),
            Pupa(6, "Marlin", Sex.Male, 99),
            // Of a kind of which only some winter.
            Pupa(7, "Fennel", Sex.Unknown, 30, "papilio-machaon", 45),
        ];
    }

    /// <summary>What the thermometer in the cold box showed each evening.</summary>
    public static IEnumerable<ClimateReading> Readings(Room room)
    {
        var random = new Random(Seed);
        return
        [
            .. Enumerable
                .Range(1, Longest)
                .Where(ago => ago is not (40 or 41))
                .Select(ago => new ClimateReading(
                    room.Clock.EveningOf(room.Tonight.AddDays(-ago)),
                    Math.Round(ago is > 60 and <= 63 ? WarmSpellC : MeanC + (SpreadC * Chance.Normal(random)), 1),
                    null,
                    Rack
                )),
        ];
    }
}
