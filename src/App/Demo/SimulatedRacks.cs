using Husbandry.Climate;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace App.Demo;

/// <summary>
/// Racks C and D of the demo room: two years of simulated lives, laid relative to tonight and the same for a given seed.
/// docs/demo-generator.md describes the generator; it shares nothing with the forecasting model.
/// </summary>
internal sealed partial class SimulatedRacks(Room room)
{
    private const int Seed = 20241123;
    private const int Nights = 730;

    private readonly Random random = new(Seed);
    private readonly List<LifeWriter> lives = [];
    private int shelfC;
    private int shelfD;

    private const int WeatherNights = Nights + 40;

    /// <summary>The weather in which they live, on its own.</summary>
    public static SimulatedWeather WeatherOf(Room room) => new(new SimulatedRacks(room).random, WeatherNights);

    /// <summary>The lives, and what the thermometers said.</summary>
    public (IReadOnlyList<LifeWriter> Lives, IReadOnlyList<ClimateReading> Climate) Write()
    {
        var weather = new SimulatedWeather(random, WeatherNights);
        foreach (var name in new[] { "Alder", "Birch", "Cedar", "Damson" })
        {
            Grow(0, name, weather, "C", random.Next(680, 725), random.Next(1, 3));
        }

        Grow(1, "Elder", weather, "C", 700, 1);
        Grow(1, "Fern", weather, "C", 690, 2);
        Grow(1, "Gorse", weather, "C", 640, 4);
        foreach (var name in new[] { "Hazel", "Iris", "Jasper", "Kelp" })
        {
            Grow(2, name, weather, "C", random.Next(600, 720), random.Next(1, 4));
        }

        Grow(3, "Larch", weather, "D", 660, 2);
        Grow(3, "Mallow", weather, "D", 610, 2);
        for (var i = 0; i < 9; i++)
        {
            Grow(4, $"Leap {i + 1}", weather, "D", 720 - (i * 82), 2);
        }

        Grow(5, "Nettle", weather, "D", 710, 1);
        Grow(5, "Onyx", weather, "D", 640, 2);
        Grow(6, "Pepper", weather, "D", 700, 1);
        Grow(6, "Quartz", weather, "D", 560, 1);
        for (var i = 0; i < 10; i++)
        {
            Grow(i % 2 == 0 ? 7 : 8, $"Reed {i + 1}", weather, "D", 700 - (i * 68), 0);
        }

        Crabs(weather);
        Moths(weather);
        Queens(weather);
        Mothers();
        Colonies();
        return (lives, [.. weather.Readings(room)]);
    }

    private void Grow(int plan, string name, SimulatedWeather weather, string rack, int arrived, int molts)
    {
        var p = Plans[plan];
        var profile = room.Rules.Profile(p.Species)!;
        var sex = random.NextDouble() < 0.5 ? Sex.Female : Sex.Male;
        var ratio = profile.GrowthRatio.Value;
        var life = Begin(name, p.Species, rack, sex, arrived, molts);
        new SimulatedLife(p, life, random, weather, rack).Run(arrived, molts, sex, ratio);
    }

    private LifeWriter Begin(
        string name,
        string species,
        string rack,
        Sex sex,
        int arrived,
        int? molts,
        bool mature = false,
        StockKind kind = StockKind.Specimen,
        int count = 1
    )
    {
        var slot = rack == "C" ? shelfC++ : shelfD++;
        const int SlotsPerShelf = 8;
        var place = $"{rack}{1 + (slot / SlotsPerShelf)}·{1 + (slot % SlotsPerShelf):00}";
        var life = new LifeWriter(room, random, place, name, species, sex, arrived, molts, 1, count, mature, kind);
        lives.Add(life);
        return life;
    }
}
