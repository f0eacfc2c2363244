using Husbandry.Feeding;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Ledger;

namespace App.Demo;

/// <summary>
/// The demo room: the made-up net loft at Sallow Quay, laid relative to tonight and the same for a given seed.
/// Every animal, name and date in it is invented.
/// </summary>
internal static class NetLoft
{
    public const string RoomName = "The net loft at Sallow Quay";

    private const int Seed = 20261123;

    private const string Albopilosus = "tliltocatl-albopilosus";
    private const string Vagans = "tliltocatl-vagans";
    private const string Versicolor = "caribena-versicolor";
    private const string Darlingi = "ceratogyrus-darlingi";
    private const string Geniculata = "acanthoscurria-geniculata";
    private const string Diardi = "hyllus-diardi";

    /// <summary>The demo room as a room file.</summary>
    public static RoomFile Write(Room room)
    {
        var (simulated, climate) = new SimulatedRacks(room).Write();
        var lives = ByHand(room)
            .Concat(DemoCases.Write(room))
            .Concat(DemoWinters.Write(room))
            .Concat(simulated)
            .Concat(DemoPairs.Write(room))
            .Concat(DemoBroods.Write(room))
            .Select(l => l.Entries)
            .ToList();
        var entries = lives
            .SelectMany(l => l)
            .Concat(DemoHousing.House(lives, room))
            .Concat(DemoUpkeep.Tend(lives, room))
            .ToList();
        return new RoomFile(
            RoomFile.FormatName,
            RoomFile.CurrentVersion,
            room.Settings,
            [
                .. entries
                    .Where(e => e.Entry.Act is Acquired)
                    .Select(e => RoomFileStock.Of(e.StockId, (Acquired)e.Entry.Act, e.Entry.Id, e.Entry.When.To)),
            ],
            [.. entries.Where(e => e.Entry.Act is not Acquired).Select(e => Line(e.StockId, e.Entry))],
            [.. climate, .. DemoWinters.Readings(room)],
            Larder: DemoLarder.Of(room),
            Layout: DemoHousing.Layout,
            Chores: DemoHousing.Chores(room),
            ClimateNotes: new DemoClimate(room, SimulatedRacks.WeatherOf(room)).Notes()
        );
    }

    private static RoomFileEntry Line(Guid id, NewEntry entry) =>
        new(entry.Id, id, entry.Act, entry.When.To, null, entry.When.From == entry.When.To ? null : entry.When.From);

    /// <summary>Racks A and B: one animal for every phase, written by hand.</summary>
    private static LifeWriter[] ByHand(Room room)
    {
        var random = new Random(Seed);
        LifeWriter Animal(
            string place,
            string name,
            string species,
            Sex sex,
            int arrived,
            int molts,
            double carapace,
            int count = 1,
            bool mature = false
        ) => new(room, random, place, name, species, sex, arrived, molts, carapace, count, mature);

        return
        [
            .. Terrestrials(Animal),
            .. OthersOnTheSecondShelf(Animal),
            .. SlingsAndBurrowers(Animal),
            .. Jumpers(Animal),
        ];
    }

    private delegate LifeWriter Begin(
        string place,
        string name,
        string species,
        Sex sex,
        int arrived,
        int molts,
        double carapace,
        int count = 1,
        bool mature = false
    );

    private static IEnumerable<LifeWriter> Terrestrials(Begin animal) =>
        [
            // Well fed and due tonight.
            animal("A1·01", "Tansy", Albopilosus, Sex.Female, 520, 5, 4.6)
                .Molted(430, 330, 96)
                .Lived("roach-nymph", "small", 7, 8, 3, 2)
                .Measured(60, BodyPart.LegSpan, 52)
                .Measured(20, BodyPart.CarapaceWidth, 8.4)
                .Measured(20, BodyPart.AbdomenWidth, 10.1),
            // Likely premolt: plump, refusing, darkening, sluggish.
            animal("A1·02", "Bramble", Geniculata, Sex.Female, 640, 3, 2.6)
                .Molted(592, 516, 423, 311, 165)
                .Lived("roach-nymph", "medium", 7, 28, 3, 1)
                .Measured(150, BodyPart.LegSpan, 52)
                .Measured(28, BodyPart.CarapaceWidth, 8.1)
                .Measured(28, BodyPart.AbdomenWidth, 13.3)
                .Fed(21, "roach-nymph", "medium", OfferOutcome.BattedAway, false)
                .Fed(14, "roach-nymph", "medium", OfferOutcome.Fled, false)
                .Sign(9, "dark-under-hair")
                .Sign(7, "sluggish"),
            // A live cricket left in since last night, refused before.
            animal("A1·03", "Cockle", Darlingi, Sex.Unknown, 300, 5, 5.6)
                .Molted(214, 88)
                .Lived("cricket", "small", 7, 15, 7, 4)
                .Measured(70, BodyPart.LegSpan, 48)
                .Fed(8, "cricket", "small", OfferOutcome.BattedAway, false)
                .Sign(3, "plump")
                .Fed(1, "cricket", "small", OfferOutcome.NotSeen),
            // On its back tonight.
            animal("A1·04", "Sorrel", Versicolor, Sex.Unknown, 260, 4, 5.2)
                .Molted(176, 84)
                .Lived("cricket", "small", 7, 22, 3, 3)
                .Sign(10, "dull")
                .Sign(4, "dark-line")
                .Sign(1, "mat")
                .Sign(0, "on-its-back"),
            // Hardening since two nights ago.
            animal("A1·05", "Vesper", Geniculata, Sex.Female, 410, 5, 6.4)
                .Molted(331, 214, 2)
                .Lived("cricket", "medium", 7, 26, 3, 2),
        ];

    private static IEnumerable<LifeWriter> OthersOnTheSecondShelf(Begin animal) =>
        [
            // A mature male.
            animal("A2·01", "Fennel", Vagans, Sex.Male, 700, 8, 16.4)
                .Molted(420)
                .MaturedOn(92)
                .Lived("roach-nymph", "medium", 14, 22, 7, 3)
                .Measured(80, BodyPart.LegSpan, 126),
            // Plump and nothing else.
            animal("A2·02", "Teasel", Albopilosus, Sex.Female, 450, 7, 9.1)
                .Molted(346, 190)
                .Lived("roach-nymph", "medium", 10, 5, 3, 4)
                .Measured(170, BodyPart.LegSpan, 78)
                .Measured(5, BodyPart.CarapaceWidth, 12.2)
                .Measured(5, BodyPart.AbdomenWidth, 20.1),
            // A slow animal that has waited long.
            animal("A2·03", "Moss", Vagans, Sex.Female, 1100, 10, 24.0, mature: true)
                .Molted(690)
                .Lived("locust", "medium", 21, 12, 7, 2)
                .Measured(600, BodyPart.LegSpan, 138),
            // Hardening is over; the fangs have not been looked at.
            animal("A2·04", "Juniper", Versicolor, Sex.Female, 380, 6, 8.0)
                .Molted(256, 135, 8)
                .Lived("cricket", "medium", 7, 30, 3, 1),
            // A sling whose meal is overdue.
            animal("A2·05", "Pip", Albopilosus, Sex.Unknown, 90, 3, 2.1)
                .Molted(61, 17)
                .Lived("flour-beetle-larva", "one", 4, 7, 3, 1)
                .Measured(10, BodyPart.LegSpan, 17),
            // The record hides a molt that nobody saw.
            animal("A2·06", "Heron", Geniculata, Sex.Unknown, 560, 4, 3.4)
                .Molted(502, 440)
                .MoltedUnseen()
                .Molted(251, 120)
                .Lived("roach-nymph", "small", 7, 5, 3, 1),
        ];

    private static IEnumerable<LifeWriter> SlingsAndBurrowers(Begin animal) =>
        [
            animal("B1·01", "Tray of slings", Albopilosus, Sex.Unknown, 75, 2, 1.4, count: 46)
                .Molted(34)
                .Lived("fruit-fly-large", "one", 4, 13, 3, 1, count: 92)
                .At(
                    9,
                    new Offered("fruit-fly-large", "one", 92, Preparation.Live, OfferOutcome.Eaten, false, [7, 19, 33])
                )
                .At(
                    5,
                    new Offered("fruit-fly-large", "one", 92, Preparation.Live, OfferOutcome.Eaten, false, [12, 19, 33])
                )
                .Measured(20, BodyPart.LegSpan, 11),
            // Thin.
            animal("B1·02", "Wisp", Darlingi, Sex.Female, 240, 5, 5.1)
                .Molted(148)
                .Lived("roach-nymph", "small", 9, 6, 7, 2)
                .Measured(4, BodyPart.CarapaceWidth, 5.6)
                .Measured(4, BodyPart.AbdomenWidth, 4.1),
            // Fed tonight already.
            animal("B1·03", "Quill", Darlingi, Sex.Female, 430, 7, 9.6)
                .Molted(318, 150)
                .Lived("roach-nymph", "medium", 10, 11, 7, 5)
                .Measured(120, BodyPart.LegSpan, 84)
                .Fed(0, "roach-nymph", "medium", OfferOutcome.Eaten),
            // Suspected: two signs that do not settle it.
            animal("B1·04", "Cinder", Vagans, Sex.Unknown, 500, 6, 7.2)
                .Molted(392, 232)
                .Lived("roach-nymph", "small", 10, 24, 7, 3)
                .Measured(200, BodyPart.LegSpan, 58)
                .Fed(9, "roach-nymph", "small", OfferOutcome.KilledAndLeft, false)
                .At(9, new LeftoversRemoved(), minute: 55)
                .Sign(2, "plump"),
        ];

    private static IEnumerable<LifeWriter> Jumpers(Begin animal) =>
        [
            animal("B2·01", "Dot", Diardi, Sex.Unknown, 30, 3, 1.5)
                .Molted(12)
                .Lived("fruit-fly-small", "one", 1, 1, 1, 1, count: 2)
                .Measured(9, BodyPart.Body, 4.2),
            // Fed and watered tonight already.
            animal("B2·02", "Marble", Diardi, Sex.Female, 210, 5, 4.0)
                .Molted(150)
                .MaturedOn(98)
                .Lived("green-bottle-fly", "one", 6, 6, 1, 1)
                .Measured(90, BodyPart.Body, 14.5)
                .Fed(0, "green-bottle-fly", "one", OfferOutcome.Eaten)
                .Watered(0, WaterKind.Mist),
            // Sealed in a hammock.
            animal("B2·03", "Flint", Diardi, Sex.Male, 120, 4, 3.1)
                .Molted(88, 44)
                .Lived("house-fly", "one", 3, 12, 1, 1)
                .Measured(30, BodyPart.Body, 10.5)
                .Fed(8, "house-fly", "one", OfferOutcome.Fled, false)
                .Sign(5, "sealed-hammock"),
        ];
}
