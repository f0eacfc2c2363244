using Husbandry.Climate;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>A room on a fixed evening and a short way to write journals.</summary>
public sealed class Diary
{
    public static readonly RoomSettings Settings = new(
        "Test room",
        "Keeper",
        "UTC",
        NightClock.DefaultCutoverHour,
        LengthUnit.Mm,
        FirstMealSchool.Default,
        CadenceSchool.Default,
        AfterPairingSchool.Steady
    );

    /// <summary>21:00 on 23 November 2026.</summary>
    public static readonly DateTimeOffset Evening = new(2026, 11, 23, 21, 0, 0, TimeSpan.Zero);

    private readonly List<JournalEntry> entries = [];

    public Diary(
        string species = "tliltocatl-albopilosus",
        Sex sex = Sex.Female,
        int cameNightsAgo = 400,
        bool mature = false,
        int? molts = null,
        DateOnly? hatched = null,
        StockKind kind = StockKind.Specimen,
        string? other = null,
        int? count = null
    )
    {
        var group = RuleSet.Shipped.Profile(species)!.Group;
        Add(
            cameNightsAgo,
            new Acquired(
                new StockDetails(
                    kind,
                    group,
                    other is null ? species : null,
                    other,
                    "Tansy",
                    sex,
                    DateOnly.FromDateTime(Evening.DateTime).AddDays(-cameNightsAgo),
                    null,
                    molts,
                    mature,
                    hatched,
                    count ?? (kind is StockKind.Specimen or StockKind.Tank ? 1 : 20)
                ),
                new Place("A", 1, 3)
            )
        );
    }

    public Guid StockId { get; } = Guid.NewGuid();

    public IReadOnlyList<JournalEntry> Entries => entries;

    public static Room Room(RoomSettings? settings = null, DateTimeOffset? now = null) =>
        Rooms.Room.At(RuleSet.Shipped, settings ?? Settings, now ?? Evening);

    public Guid Add(double nightsAgo, Act act, double? notBefore = null, Guid? supersedes = null)
    {
        var to = Evening.AddDays(-nightsAgo);
        var from = notBefore is { } n ? Evening.AddDays(-n) : to;
        var id = Guid.NewGuid();
        entries.Add(
            new JournalEntry(
                id,
                StockId,
                entries.Count + 1,
                new Occurrence(from, to),
                Evening,
                "Keeper",
                supersedes,
                act
            )
        );
        return id;
    }

    /// <summary>What would be the next entry if it were written now; it is not added.</summary>
    public JournalEntry Entry(Act act) =>
        new(Guid.NewGuid(), StockId, entries.Count + 1, Occurrence.At(Evening), Evening, "Keeper", null, act);

    public Diary With(double nightsAgo, Act act)
    {
        Add(nightsAgo, act);
        return this;
    }

    public Diary LegSpan(double mm, double nightsAgo = 30) =>
        With(nightsAgo, new Measured(BodyPart.LegSpan, mm, false));

    public Diary Ate(double nightsAgo, string feeder = "roach-nymph", string size = "small") =>
        With(nightsAgo, new Offered(feeder, size, 1, Preparation.Live, OfferOutcome.Eaten, null));

    public Diary Refused(double nightsAgo) =>
        With(nightsAgo, new Offered("roach-nymph", "small", 1, Preparation.Live, OfferOutcome.BattedAway, null));

    public Diary Sign(string id, double nightsAgo) => With(nightsAgo, new SignSeen(id));

    public Diary Watered(double nightsAgo) => With(nightsAgo, new Watered(WaterKind.Dish));

    public Standing Standing() => Journal.Standing.Fold(entries)!;

    private RoomClimate climate = RoomClimate.Unread;

    /// <summary>What the thermometer showed on each of the last days.</summary>
    public Diary ReadEachDay(int days, double celsius, string zone = "A1")
    {
        climate = RoomClimate.Of(
            Enumerable.Range(0, days + 1).Select(ago => new ClimateReading(Evening.AddDays(-ago), celsius, null, zone))
        );
        return this;
    }

    public Judgement Judge(RoomSettings? settings = null, DateTimeOffset? now = null) =>
        Judgement.Of(Standing(), Room(settings, now).With(climate));

    public RoundLine Line() => RoundLine.Of(Judge());
}
