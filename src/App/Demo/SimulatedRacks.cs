using Husbandry.Climate;
using Husbandry.Journal;
using Husbandry.Rounds;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace App.Demo;

/// <summary>
/// Racks C and D of the demo room: two years of simulated lives, laid relative to tonight and the same for a given seed.
/// docs/demo-generator.md describes the generator; it shares nothing with the forecasting model.
/// </summary>
internal sealed class SimulatedRacks(Room room)
{
    private const int Seed = 20241123;
    private const int Nights = 730;

    private static readonly (string Sign, double From, double Deceives)[] SpiderSigns =
    [
        ("plump", 0, 0.05),
        ("dark-under-hair", 0.5, 0.004),
        ("dull", 0.35, 0.012),
        ("sluggish", 0.3, 0.02),
    ];

    private static readonly (int, string, string)[] SpiderFood =
    [
        (0, "fruit-fly-large", "one"),
        (4, "cricket", "small"),
        (7, "roach-nymph", "medium"),
    ];

    private static readonly (int, string, string)[] MantisFood =
    [
        (0, "fruit-fly-small", "one"),
        (2, "fruit-fly-large", "one"),
        (4, "house-fly", "one"),
        (6, "blue-bottle-fly", "one"),
    ];

    private static readonly (string, double, double)[] MantisSigns =
    [
        ("stops-striking", 0.3, 0.02),
        ("hangs-still", 0.6, 0.02),
        ("rear-swollen", 0.2, 0.04),
    ];

    private static readonly LifePlan[] Plans =
    [
        new(
            "tliltocatl-albopilosus",
            4.5,
            30,
            1.2,
            8,
            3,
            10,
            true,
            420,
            SpiderFood,
            1.2,
            BodyPart.Carapace,
            SpiderSigns
        ),
        new("tliltocatl-vagans", 5, 38, 1.2, 9, 3, 10, true, 420, SpiderFood, 1.2, BodyPart.Carapace, SpiderSigns),
        new(
            "acanthoscurria-geniculata",
            4,
            22,
            1.21,
            7,
            3,
            10,
            true,
            0,
            SpiderFood,
            1.5,
            BodyPart.Carapace,
            SpiderSigns
        ),
        new(
            "caribena-versicolor",
            4.5,
            32,
            1.19,
            8,
            3,
            9,
            true,
            0,
            SpiderFood,
            1.4,
            BodyPart.Carapace,
            [("plump", 0, 0.05), ("dull", 0.4, 0.015), ("sluggish", 0.3, 0.02)]
        ),
        new(
            "hyllus-diardi",
            3,
            13,
            1.1,
            5,
            1.5,
            8,
            false,
            260,
            [
                (0, "fruit-fly-small", "one"),
                (3, "fruit-fly-large", "one"),
                (5, "house-fly", "one"),
                (7, "green-bottle-fly", "one"),
            ],
            0.7,
            BodyPart.Carapace,
            [("sealed-hammock", 0.4, 0.02), ("plump", 0, 0.08)]
        ),
        new(
            "heterometrus-silenus",
            6,
            60,
            1.2,
            12,
            4,
            6,
            false,
            4000,
            [(0, "fruit-fly-large", "one"), (2, "cricket", "small"), (4, "roach-nymph", "medium")],
            3,
            BodyPart.Carapace,
            [("hides-for-days", 0.2, 0.06), ("segments-parted", 0.6, 0.004)]
        ),
        new(
            "babycurus-jacksoni",
            5,
            36,
            1.22,
            9,
            3,
            6,
            false,
            4000,
            [(0, "fruit-fly-large", "one"), (2, "cricket", "small"), (4, "roach-nymph", "medium")],
            1.8,
            BodyPart.Carapace,
            [("hides-for-days", 0.2, 0.06), ("segments-parted", 0.6, 0.004)]
        ),
        new("hierodula-membranacea", 2, 9, 1.09, 3, 1, 8, false, 130, MantisFood, 6, BodyPart.Body, MantisSigns),
        new("sphodromantis-lineola", 2, 10, 1.09, 3, 1, 7, false, 130, MantisFood, 5.5, BodyPart.Body, MantisSigns),
    ];

    private readonly Random random = new(Seed);
    private readonly List<LifeWriter> lives = [];
    private int shelfC;
    private int shelfD;

    /// <summary>The lives, and what the thermometers said.</summary>
    public (IReadOnlyList<LifeWriter> Lives, IReadOnlyList<ClimateReading> Climate) Write()
    {
        var weather = new SimulatedWeather(random, Nights + 40);
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

    /// <summary>Crabs come up, eat, and bury themselves again; now and then one only hides.</summary>
    private void Crabs(SimulatedWeather weather)
    {
        foreach (
            var (name, species, claw) in new[]
            {
                ("Barnacle", "coenobita-rugosus", 8.0),
                ("Limpet", "coenobita-rugosus", 5.5),
                ("Whelk", "coenobita-perlatus", 14.0),
                ("Cowrie", "coenobita-perlatus", 11.0),
            }
        )
        {
            var arrived = random.Next(640, 720);
            var life = Begin(name, species, "D", Sex.Unknown, arrived, null);
            life.Measured(arrived - 1, BodyPart.Claw, claw);
            var ago = (double)(arrived - random.Next(20, 60));
            var size = claw;
            while (ago > 1)
            {
                var hides = random.NextDouble() < 0.2;
                var warmth = Math.Exp(0.055 * (weather.Celsius((int)ago, "D") - 24));
                var days = hides ? random.Between(2, 6) : Chance.Gamma(random, 14, 13 * Math.Sqrt(size)) / warmth;
                if (!hides && random.NextDouble() < 0.6)
                {
                    life.Sign((int)Math.Min(arrived - 2, ago + 4), "ashy-skin");
                }

                life.At((int)ago, new Began(VigilKind.Surfacing));
                ago -= days;
                if (ago <= 1)
                {
                    break;
                }

                life.At((int)ago, new Ended(VigilKind.Surfacing, hides ? VigilEnd.Otherwise : VigilEnd.AsHoped));
                if (!hides)
                {
                    size *= 1.07;
                    life.Measured(Math.Max(1, (int)ago - 4), BodyPart.Claw, Math.Round(size, 1));
                }

                ago -= random.Between(25, 110);
            }

            life.Watered(1);
        }
    }

    /// <summary>Caterpillars grow by degree-days, pupate, emerge and die.</summary>
    private void Moths(SimulatedWeather weather)
    {
        for (var i = 0; i < 10; i++)
        {
            var arrived = 700 - (i * 74);
            var life = Begin($"Silk {i + 1}", "samia-ricini", "D", Sex.Unknown, arrived, 0);
            var (ago, capsule) = ((double)arrived, 0.65);
            double Days(double degreeDays) => degreeDays / (weather.Celsius(Math.Max(0, (int)ago), "D") - 11);
            var alive = true;
            for (var molt = 1; molt <= 5 && alive; molt++)
            {
                ago -= Days(
                    random.Between(0.88, 1.12)
                        * (
                            molt < 4 ? 58
                            : molt == 4 ? 78
                            : 120
                        )
                );
                alive = ago > 1;
                if (!alive)
                {
                    break;
                }

                if (random.NextDouble() < 0.6)
                {
                    life.Sign(Math.Min(arrived - 1, (int)ago + 1), molt < 5 ? "sits-still" : "wanders");
                }

                if (molt == 5)
                {
                    life.At((int)ago, new Began(VigilKind.Emergence));
                }
                else
                {
                    life.Molted((int)ago, (int)ago, false);
                    life.At((int)ago, new Measured(BodyPart.HeadCapsule, Math.Round(capsule, 2), true), minute: 30);
                    capsule *= 1.55 + (0.03 * Chance.Normal(random));
                }
            }

            if (!alive)
            {
                continue;
            }

            ago -= Days(random.Between(0.85, 1.2) * 260);
            if (ago <= 1)
            {
                continue;
            }

            life.At((int)ago, new Ended(VigilKind.Emergence, VigilEnd.AsHoped));
            if (ago > 9)
            {
                life.At((int)ago - 8, new Departed(DepartureKind.Died, "old age"));
            }
        }
    }

    /// <summary>Founding queens: most raise first workers, one in five gives up.</summary>
    private void Queens(SimulatedWeather weather)
    {
        foreach (
            var (name, species, arrived) in new[]
            {
                ("Quay", "lasius-niger", 500),
                ("Mole", "lasius-niger", 498),
                ("Wharf", "lasius-niger", 140),
                ("Jetty", "messor-barbarus", 380),
                ("Groyne", "messor-barbarus", 28),
                ("Sluice", "manica-rubida", 420),
            }
        )
        {
            var life = Begin(name, species, "C", Sex.Female, arrived, null, mature: true, StockKind.Colony);
            life.At(arrived - 1, new Began(VigilKind.FirstWorkers));
            var warmth = Math.Exp(0.055 * (weather.Celsius(arrived, "C") - 24));
            var ago = arrived - 1 - (Chance.Gamma(random, 18, 54) / warmth);
            var fails = name == "Mole";
            if (ago > 1)
            {
                life.At((int)ago, new Ended(VigilKind.FirstWorkers, fails ? VigilEnd.Otherwise : VigilEnd.AsHoped));
                if (fails)
                {
                    life.At((int)ago - 1, new Departed(DepartureKind.Died, "gave up"));
                    continue;
                }
            }

            life.Watered(2);
        }
    }

    private void Colonies()
    {
        Begin("Pill box", "armadillidium-vulgare", "C", Sex.Unknown, 400, null, kind: StockKind.Colony, count: 60)
            .At(2, new Offered("leaf-litter", "one", 1, Preparation.Fresh, OfferOutcome.Eaten))
            .Watered(1);
        Begin("Powder box", "porcellionides-pruinosus", "C", Sex.Unknown, 300, null, kind: StockKind.Colony, count: 200)
            .At(1, new Offered("leaf-litter", "one", 1, Preparation.Fresh, OfferOutcome.Eaten))
            .Watered(2);
        Begin("Bronze", "carabus-nemoralis", "C", Sex.Female, 90, null, mature: true)
            .At(4, new Offered("mealworm", "small", 1, Preparation.Live, OfferOutcome.Eaten))
            .Watered(1);
    }
}
