using Husbandry.Chores;
using Husbandry.Housing;
using Husbandry.Journal;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Ledger;

namespace App.Demo;

/// <summary>Furniture, enclosures and chores of the demo room, all invented.</summary>
internal static class DemoHousing
{
    private const int Seed = 20261125;

    private static readonly Enclosure[] Tubs =
    [
        Tub("vial", 32, 32, 70, 20),
        Tub("small cup", 70, 70, 85, 20),
        Tub("0.6 L box", 110, 85, 75, 35),
        Tub("tall cup", 95, 95, 150, 20, Ventilation.CrossHoles),
        Tub("1.5 L tub", 170, 115, 90, 45),
        Tub("tall jar", 120, 120, 210, 30, Ventilation.Mesh),
        Tub("3 L tub", 230, 150, 120, 60),
        Tub("deep 4 L tub", 200, 160, 210, 130),
        Tub("net cage", 250, 250, 400, 0, Ventilation.Mesh),
        Tub("8 L tank", 320, 210, 190, 90, Ventilation.CrossHoles),
        Tub("crab tank", 600, 320, 340, 170),
    ];

    /// <summary>Racks as the net loft has them; rack D is not measured yet.</summary>
    public static RoomLayout Layout { get; } =
        new(
            [
                new RackLayout(
                    "A",
                    "by the chimney",
                    [
                        new ShelfLayout(1, 1300, 300, 400, 8, false, "warmest, 26 °C at night", null),
                        new ShelfLayout(2, 1300, 300, 400, 8, false, null, "dish each Sunday"),
                    ]
                ),
                new RackLayout(
                    "B",
                    "by the chimney",
                    [
                        new ShelfLayout(1, 1000, 260, 400, 7, false, null, null),
                        new ShelfLayout(2, 1000, 260, 400, 8, false, "cool end, 22 °C", null),
                    ]
                ),
                new RackLayout(
                    "C",
                    "under the skylight",
                    [
                        new ShelfLayout(1, 1600, 420, 450, 12, false, null, null),
                        new ShelfLayout(2, 1600, 420, 450, 12, false, null, null),
                        new ShelfLayout(3, 1600, 420, 450, 12, false, null, "damp side to the wall"),
                    ]
                ),
                new RackLayout("Q", "in the passage", [new ShelfLayout(1, 800, 300, 350, 6, true, null, null)]),
            ],
            []
        );

    /// <summary>What each animal lives in: mostly what fits, here and there what does not any more.</summary>
    public static IEnumerable<(Guid StockId, NewEntry Entry)> House(
        IEnumerable<IReadOnlyList<(Guid StockId, NewEntry Entry)>> lives,
        Room room
    )
    {
        var random = new Random(Seed);
        foreach (var life in lives)
        {
            var entries = life.Select((e, i) => Written(e.StockId, e.Entry, i)).ToList();
            if (Standing.Fold(entries) is not { Departure: null } standing || random.NextDouble() < 0.08)
            {
                continue;
            }

            var judgement = Judgement.Of(standing, room);
            var least =
                judgement.Size.Value is null || judgement.Subject.IsMany
                    ? null
                    : HousingFit.NeedsOf(judgement, 1).Value;
            var fitting = least is null ? 6 : Array.FindIndex(Tubs, t => HousingFit.Misfits(t, least).Count == 0);
            var chosen = fitting < 0 ? Tubs.Length - 1 : Math.Max(0, fitting - (random.NextDouble() < 0.16 ? 1 : 0));
            var damp = judgement.Subject.Profile.Moisture.Value == Moisture.Damp;
            var mist = damp && judgement.Subject.Group.DrinksDrops.Value ? new MistPlan(0.9, 3, 3) : null;
            yield return (
                standing.StockId,
                new NewEntry(
                    Id(random),
                    Occurrence.At(room.Clock.EveningOf(room.Tonight.AddDays(-random.Next(6, 25)))),
                    null,
                    new Housed(
                        Tubs[chosen] with
                        {
                            Damp = damp ? DampSide.Left : DampSide.None,
                            Mist = mist,
                        },
                        Rehoused: false
                    )
                )
            );
        }
    }

    /// <summary>Chores, seasons and shared gear.</summary>
    public static IReadOnlyList<ChoreEntry> Chores(Room room)
    {
        var random = new Random(Seed);
        var (entries, at) = (new List<ChoreEntry>(), room.Now.AddDays(-40));
        void Add(ChoreAct act, int nightsAgo) =>
            entries.Add(
                new ChoreEntry(
                    Id(random),
                    entries.Count + 1,
                    nightsAgo == 0 ? room.Now.AddMinutes(-9) : at.AddDays(40 - nightsAgo),
                    room.Settings.KeeperName,
                    act
                )
            );
        void Plan(
            ChoreKind kind,
            string title,
            string where,
            int? every,
            int lastDone,
            int minutes,
            string kit = "",
            SeasonSpan? season = null,
            string note = ""
        )
        {
            var id = Id(random);
            Add(
                new ChorePlanned(
                    id,
                    new ChorePlan(kind, title, where, room.Tonight.AddDays(-40), every, season, kit, minutes)
                ),
                39
            );
            if (lastDone > 0)
            {
                Add(new ChoreDone(id, room.Tonight.AddDays(-lastDone), note), lastDone);
            }
        }

        Plan(ChoreKind.Cleaning, "Wipe the fronts, change paper floors", "C", 7, 7, 15, "cloth, hot water, paper");
        Plan(ChoreKind.Culture, "Look through the fly cultures for mites", "", 4, 2, 5, "lens");
        Plan(
            ChoreKind.Calibration,
            "Hygrometer over table salt, 75 %",
            "",
            180,
            30,
            10,
            "jar, table salt",
            note: "read 71"
        );
        Plan(ChoreKind.Frass, "Frass out, condensation off", "C3", 2, 1, 10, "brush, forceps");
        Plan(ChoreKind.Mist, "Damp side of the crab tank, to the squeeze test", "C2", 3, 3, 5, "can");
        Plan(
            ChoreKind.Season,
            "Gather and dry oak and beech leaves",
            "",
            null,
            0,
            120,
            "sacks",
            new SeasonSpan(10, 15, 12, 5)
        );
        Plan(ChoreKind.Season, "Shade the skylight", "", null, 0, 20, "", new SeasonSpan(4, 20, 5, 5));
        var cage = Id(random);
        Add(new GearAdded(cage, "Zipped net cage"), 38);
        Add(new GearAdded(Id(random), "Isolation tank"), 38);
        Add(
            new GearBooked(
                Id(random),
                cage,
                room.Tonight.AddDays(4),
                room.Tonight.AddDays(6),
                "first pairing of the year"
            ),
            3
        );
        return entries;
    }

    private static Enclosure Tub(
        string name,
        double width,
        double depth,
        double height,
        double substrate,
        Ventilation vents = Ventilation.FewHoles
    ) => new(name, width, depth, height, substrate, vents, DampSide.None, HeatSource.Room, null);

    private static JournalEntry Written(Guid stockId, NewEntry entry, int sequence) =>
        new(entry.Id, stockId, sequence + 1, entry.When, entry.When.To, "", entry.Supersedes, entry.Act);

    private static Guid Id(Random random)
    {
        Span<byte> bytes = stackalloc byte[16];
        random.NextBytes(bytes);
        return new Guid(bytes);
    }
}
