using Husbandry.Chores;
using Husbandry.Housing;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Ledger;

namespace App.Demo;

/// <summary>Furniture, enclosures and chores of the demo room, all invented.</summary>
internal static class DemoHousing
{
    private const int Seed = 20261125;

    private static readonly Enclosure[] Tubs =
    [
        Tub("vial", 32, 32, 70, 20),
        Tub("flat box XXS", 60, 45, 42, 21),
        Tub("flat box XS", 80, 60, 55, 27),
        Tub("small cup", 70, 70, 85, 12),
        Tub("flat box S", 110, 80, 85, 45),
        Tub("tall cup", 95, 95, 150, 20, Ventilation.CrossHoles),
        Tub("deep box S", 110, 80, 125, 85),
        Tub("flat box M", 150, 105, 110, 58),
        Tub("deep box M", 150, 105, 170, 110),
        Tub("tall jar", 130, 130, 205, 30, Ventilation.Mesh),
        Tub("flat box L", 200, 140, 150, 78),
        Tub("flat box XL", 260, 175, 190, 90),
        Tub("deep box L", 260, 175, 280, 185),
        Tub("tall tank", 205, 200, 325, 32, Ventilation.CrossHoles),
        Tub("8 L tank", 320, 210, 260, 125, Ventilation.CrossHoles),
        Tub("net cage", 280, 280, 380, 0, Ventilation.Mesh),
        Tub("flat box XXL", 420, 280, 300, 145, Ventilation.CrossHoles),
        Tub("crab tank", 600, 330, 520, 190),
    ];

    /// <summary>Racks as the net loft has them.</summary>
    public static RoomLayout Layout { get; } =
        new(
            [
                Rack("A", "by the chimney", 1600, 340, 8, "warmest, 26 °C at night", "dish each Sunday"),
                Rack("B", "by the chimney", 1200, 300, 8, "", "cool end, 22 °C"),
                Rack("C", "under the skylight", 1600, 400, 10, "", "", "damp side to the wall"),
                Rack("D", "along the north wall", 1600, 560, 10, "", "", "", "the crabs’ shelf, 78 % air", ""),
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
            if (
                Standing.Fold(entries) is not { Departure: null, IsTank: false, TankId: null, Loan: null } standing
                || random.NextDouble() < 0.08
            )
            {
                continue;
            }

            var judgement = Judgement.Of(standing, room);
            var came = standing.Details.AcquiredOn;
            // One in ten was not moved over at its last molt: it is in what fitted before.
            var behind = random.NextDouble() < 0.1 ? 1 / judgement.Subject.Profile.GrowthRatio.Value : 1;
            var chosen =
                judgement.Size.Value is null || judgement.Subject.IsMany
                    ? Array.FindIndex(Tubs, t => t.Name == "flat box L")
                    : Fitting(judgement, behind);
            var damp = judgement.Subject.Profile.Moisture.Value == Moisture.Damp;
            var mist =
                damp && judgement.Subject.Group.At(judgement.Stage.Value).WaterWay.Value == WaterWay.Drops
                    ? new MistPlan(0.9, 3, 3)
                    : null;
            yield return (
                standing.StockId,
                new NewEntry(
                    Id(random),
                    Occurrence.At(room.Clock.EveningOf(Later(came, room.Tonight.AddDays(-random.Next(6, 25))))),
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

    /// <summary>The smallest that fits now and after two more molts, else after one, else now.</summary>
    private static int Fitting(Judgement judgement, double behind)
    {
        var ratio = judgement.Subject.Profile.GrowthRatio.Value;
        var now = judgement.NeedsWhenGrown(behind).Value;
        for (var molts = judgement.Molt.Value is null ? 0 : 2; molts >= 0; molts--)
        {
            var then = judgement.NeedsWhenGrown(behind * Math.Pow(ratio, molts)).Value;
            var found = Array.FindIndex(
                Tubs,
                t => HousingFit.Misfits(t, now).Count == 0 && HousingFit.Misfits(t, then).Count == 0
            );
            if (found >= 0)
            {
                return found;
            }
        }

        return Tubs.Length - 1;
    }

    private static DateOnly Later(DateOnly a, DateOnly b) => a > b ? a : b;

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

    private static RackLayout Rack(
        string letter,
        string area,
        double widthMm,
        double heightMm,
        int slots,
        params string[] notes
    ) =>
        new(
            letter,
            area,
            [
                .. notes.Select(
                    (note, i) =>
                        new ShelfLayout(
                            i + 1,
                            widthMm,
                            heightMm,
                            400,
                            slots,
                            false,
                            note.Length > 0 ? note : null,
                            null
                        )
                ),
            ]
        );

    private static Enclosure Tub(
        string name,
        double width,
        double depth,
        double height,
        double substrate,
        Ventilation vents = Ventilation.FewHoles
    ) => new(name, width, depth, height, substrate, vents, DampSide.None, HeatSource.Room, null);

    internal static JournalEntry Written(Guid stockId, NewEntry entry, int sequence) =>
        new(entry.Id, stockId, sequence + 1, entry.When, entry.When.To, "", entry.Supersedes, entry.Act);

    internal static Guid Id(Random random)
    {
        Span<byte> bytes = stackalloc byte[16];
        random.NextBytes(bytes);
        return new Guid(bytes);
    }
}
