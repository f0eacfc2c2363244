using Husbandry.Colonies;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rulebook;
using Husbandry.Upkeep;
using Husbandry.Vigils;

namespace App.Demo;

/// <summary>Lives that are mostly waits: buried, pupating, founding, brooding.</summary>
internal sealed partial class SimulatedRacks
{
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

            life.Watered(1, WaterKind.Pools);
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
            life.At(arrived - 1, new Began(VigilKind.FirstWorkers))
                .At(arrived - 1, new QueenCaught(CatchWay.Walking, name == "Jetty", "warm and still, after rain"));
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

            // Workers are seen after they came, eggs before.
            foreach (var (nights, seen) in PeeksAt(name).Where(p => ago <= 1 || p.NightsAgo < ago - 1))
            {
                life.At(nights, seen);
            }

            life.At(2, new TubeSeen(TubeWater.Full));
        }
    }

    /// <summary>What was seen at peeks: a queen with eggs, colonies that grow, one of them moved.</summary>
    private static IEnumerable<(int NightsAgo, Act Seen)> PeeksAt(string name) =>
        name switch
        {
            "Groyne" => [(13, new Peeked([BroodSeen.Eggs], Water: TubeWater.Full))],
            "Wharf" =>
            [
                (55, new Peeked([BroodSeen.Larvae, BroodSeen.Pupae, BroodSeen.Workers], 6)),
                (20, new Peeked([BroodSeen.Eggs, BroodSeen.Larvae, BroodSeen.Pupae, BroodSeen.Workers], 11, 13)),
            ],
            "Quay" =>
            [
                (120, new Peeked([BroodSeen.Larvae, BroodSeen.Workers], 28, 34)),
                (61, new NestMoved(NestStep.Begun, NestSchool.Connect)),
                (60, new NestMoved(NestStep.Scout)),
                (58, new NestMoved(NestStep.Over)),
                (12, new Peeked([BroodSeen.Eggs, BroodSeen.Larvae, BroodSeen.Pupae, BroodSeen.Workers], 90, 120)),
            ],
            "Sluice" => [(15, new Peeked([BroodSeen.LargeLarvae, BroodSeen.Workers], 22))],
            _ => [],
        };

    /// <summary>Mothers with their sacs: most bring their young out, one loses hers, one still broods.</summary>
    private void Mothers()
    {
        foreach (
            var (name, began, lasted, lost) in new[]
            {
                ("Damask", 190, 27, false),
                ("Velvet", 141, 6, true),
                ("Twill", 17, int.MaxValue, false),
            }
        )
        {
            var life = Begin(name, "hyllus-diardi", "C", Sex.Female, began + 40, 7, mature: true);
            life.Measured(began + 39, BodyPart.Body, 12.5);
            life.At(began, new Began(VigilKind.Young));
            if (lasted < began)
            {
                life.At(began - lasted, new Ended(VigilKind.Young, lost ? VigilEnd.Otherwise : VigilEnd.AsHoped));
                life.At(began - lasted - 60, new Departed(DepartureKind.Died, "old age"));
                continue;
            }

            life.Watered(1, WaterKind.Mist);
        }
    }

    private static CalciumLooked Seen(params (string Source, CalciumLeft Left)[] seen) =>
        new([.. seen.Select(s => new CalciumLook(s.Source, s.Left))], []);

    private void Colonies()
    {
        Begin("Pill box", "armadillidium-vulgare", "C", Sex.Unknown, 400, null, kind: StockKind.Colony, count: 60)
            .At(70, new CalciumLooked([], ["powder-heap", "cuttlebone", "egg-shell-half"]))
            .At(46, Seen(("powder-heap", CalciumLeft.Plenty), ("cuttlebone", CalciumLeft.Some)))
            .At(29, Seen(("powder-heap", CalciumLeft.Some), ("cuttlebone", CalciumLeft.Gone)))
            .At(12, Seen(("powder-heap", CalciumLeft.Some), ("egg-shell-half", CalciumLeft.Plenty)))
            .At(190, new Counted(62, 50, 80, CountMethod.FromPart))
            .At(44, new Marked(25))
            .At(40, new Recaught(30, 7))
            .At(12, new TubLooked([TubSign.FewYoung, TubSign.DeadInMolt]))
            .At(2, new Offered("leaf-litter", "one", 1, Preparation.Fresh, OfferOutcome.Eaten))
            .Watered(1, WaterKind.Damp);
        Begin("Powder box", "porcellionides-pruinosus", "C", Sex.Unknown, 300, null, kind: StockKind.Colony, count: 200)
            .At(9, new CalciumLooked([], ["powder", "limestone", "shed-skin"]))
            .At(3, Seen(("powder", CalciumLeft.Plenty), ("shed-skin", CalciumLeft.Gone)))
            .At(150, new Counted(150, 120, 190, CountMethod.FromPart))
            .At(30, new Counted(200, 160, 260, CountMethod.FromPart))
            .At(4, new Marked(40))
            .At(3, new TubLooked([TubSign.Pouches, TubSign.ManyYoung]))
            .At(1, new Offered("leaf-litter", "one", 1, Preparation.Fresh, OfferOutcome.Eaten))
            .Watered(2, WaterKind.Damp);
        Begin("Bronze", "carabus-nemoralis", "C", Sex.Female, 90, null, mature: true)
            .At(4, new Offered("mealworm", "small", 1, Preparation.Live, OfferOutcome.Eaten))
            .Watered(1);
    }
}
