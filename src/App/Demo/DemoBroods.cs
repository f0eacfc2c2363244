using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Trays;
using Husbandry.Vigils;

namespace App.Demo;

/// <summary>Shelf E5 of the demo room: egg cases and broods at every step, all invented.</summary>
internal static class DemoBroods
{
    private const int Seed = 20261128;
    private const string Mantis = "hierodula-membranacea";
    private const string Sling = "tliltocatl-albopilosus";

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
            double carapaceMm = 1
        ) => new(room, random, place, name, species, sex, arrived, molts, carapaceMm, count, mature, kind);

        var bollard = Life("E5·01", "Bollard", Sling, 700, mature: true, sex: Sex.Female)
            .At(240, new Molted())
            .Fed(44, "roach-nymph", "medium", OfferOutcome.Eaten)
            .Watered(2)
            .At(150, new Paired(null, "a male from across the water"))
            .At(140, new Paired(null, "a male of the harbour office"))
            .At(60, new Began(VigilKind.Young));
        // The time of her sac is long over, and she still guards it.
        var keel = Life("E5·03", "Keel", "tliltocatl-vagans", 800, mature: true, sex: Sex.Female)
            .At(300, new Molted())
            .Fed(140, "roach-nymph", "medium", OfferOutcome.Eaten)
            .Watered(2)
            .At(132, new Began(VigilKind.Young));
        // Young scorpions ride on her until their first molt.
        var thwart = Life("E5·04", "Thwart", "pandinus-imperator", 900, mature: true, sex: Sex.Female)
            .Fed(20, "cricket", "large", OfferOutcome.Eaten)
            .Watered(2)
            .At(6, new Began(VigilKind.Young));
        var sac = Life("E5·02", "Bollard’s sac", Sling, 60, kind: StockKind.Brood)
            .At(60, new Began(VigilKind.Hatching))
            .DescendsFrom(bollard, null);
        return
        [
            bollard.With(
                sac,
                30,
                id => new CaseTaken(
                    id,
                    "Bollard’s sac",
                    Place.Parse("E5·02")!,
                    Kept: new Incubation(26.5, Moisture.Damp, 1)
                )
            ),
            sac,
            keel,
            thwart,
            // An ootheca in its winter.
            Life("E5·05", "Cork ootheca", "sphodromantis-lineola", 60, kind: StockKind.Brood)
                .At(60, new Began(VigilKind.Hatching))
                .At(30, new Chilled(true)),
            // Last year's brood: the curve to beat.
            LastYear(Life("E5·06", "Cork nymphs of last year", Mantis, 395, 0, count: 110).Hatched(395)),
            // Counted in a picture, and due apart before their first molt.
            Life("E5·07", "Cork nymphs", Mantis, 13, 0, count: 60)
                .At(9, new Promised("a keeper across the water", 12))
                .At(8, new Promised("the school at the quay", 6))
                .At(8, new Capped(40))
                .Hatched(13)
                .At(12, new Counted(96, 92, 99, CountMethod.InPicture))
                .At(7, new Departed(DepartureKind.Died, null, 5, LossCause.Dried))
                .At(3, new Departed(DepartureKind.Died, null, 9, LossCause.Cannibalised))
                .Fed(1, "fruit-fly-small", "one", OfferOutcome.Eaten)
                .Watered(1, WaterKind.Mist),
            Tray(Life("E5·08", "Spar slings", Sling, 120, 1, count: 66, carapaceMm: 1.4).Hatched(150)),
        ];
    }

    private static LifeWriter LastYear(LifeWriter brood) =>
        brood
            .At(388, new Departed(DepartureKind.Died, null, 6, LossCause.Dried))
            .At(380, new Departed(DepartureKind.Died, null, 4, LossCause.Unexplained))
            .At(379, new Molted())
            .At(378, new Divided(100, "150 mL cups"))
            .At(370, new Departed(DepartureKind.Died, null, 7, LossCause.Mismolt))
            .At(362, new Molted())
            .At(350, new Departed(DepartureKind.Died, null, 4, LossCause.Mismolt))
            .At(345, new Molted())
            .At(340, new Departed(DepartureKind.Sold, "at the autumn table", 40))
            .At(330, new Departed(DepartureKind.Died, null, 2, LossCause.Unexplained))
            .At(322, new Molted())
            .At(310, new Departed(DepartureKind.GivenAway, "to a school", 12))
            .At(300, new Departed(DepartureKind.Sold, "the rest", 35));

    private static LifeWriter Tray(LifeWriter tray)
    {
        Offered Flies(int count, params int[] left) =>
            new(
                "fruit-fly-large",
                "one",
                count,
                Preparation.Live,
                OfferOutcome.Eaten,
                null,
                left.Length == 0 ? null : left
            );
        return tray.At(112, new Divided(66, "30 mL vials"))
            .At(96, new Departed(DepartureKind.Died, null, null, LossCause.Dried, 12))
            .At(90, new Departed(DepartureKind.Died, null, null, LossCause.Mismolt, 31))
            .At(88, Flies(64))
            .At(72, new VialsMolted([.. Enumerable.Range(1, 66).Except([12, 31])]))
            .At(60, Flies(64, 7, 40))
            .At(58, new Departed(DepartureKind.Died, null, null, LossCause.Unexplained, 40))
            .At(45, new Departed(DepartureKind.Sold, "to a keeper on the island", null, null, 3))
            .At(45, new Departed(DepartureKind.Sold, "to a keeper on the island", null, null, 4))
            .At(30, Flies(61))
            .At(20, Flies(61, 18))
            .At(
                16,
                new Graded([
                    new VialGrade(1, SizeGrade.Fast, 9.5),
                    new VialGrade(2, SizeGrade.Middling, 8),
                    new VialGrade(5, SizeGrade.Middling, 7.5),
                    new VialGrade(9, SizeGrade.Fast, 9),
                    new VialGrade(15, SizeGrade.Middling, 7.5),
                    new VialGrade(18, SizeGrade.Runt, 5.5),
                    new VialGrade(22, SizeGrade.Slow, 6.5),
                    new VialGrade(27, SizeGrade.Middling, 8),
                    new VialGrade(33, SizeGrade.Slow, 6.5),
                    new VialGrade(50, SizeGrade.Middling, 7),
                    new VialGrade(58, SizeGrade.Runt, 5),
                ])
            )
            .Measured(16, BodyPart.LegSpan, 8)
            .At(9, Flies(61, 18, 58))
            .At(2, new VialsMolted([1, 9, 23]))
            .Watered(3);
    }
}
