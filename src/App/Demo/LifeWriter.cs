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
using Ledger;

namespace App.Demo;

/// <summary>Writes the invented life of one animal of the demo room, in nights before tonight.</summary>
internal sealed class LifeWriter
{
    private const int HoldBeforeMolt = 16;
    private const int WaitAfterMolt = 9;

    private readonly Random random;
    private readonly Room room;
    private readonly int arrived;
    private readonly List<int> molts = [];
    private readonly double ratio;
    private double carapaceMm;

    public LifeWriter(
        Room room,
        Random random,
        string place,
        string name,
        string species,
        Sex sex,
        int arrived,
        int? moltsBefore,
        double carapaceMm,
        int count = 1,
        bool mature = false,
        StockKind? kind = null,
        string? otherSpecies = null
    )
    {
        (this.room, this.random, this.arrived, this.carapaceMm) = (room, random, arrived, carapaceMm);
        var profile = room.Rules.Profile(species)!;
        ratio = profile.GrowthRatio.Value;
        StockId = NewId();
        var details = new StockDetails(
            kind ?? (count > 1 ? StockKind.Brood : StockKind.Specimen),
            profile.Group,
            otherSpecies is null ? species : null,
            otherSpecies,
            name,
            sex,
            room.Tonight.AddDays(-arrived),
            count > 1 ? "a pairing of our own" : "a trade at the quay",
            moltsBefore,
            mature,
            null,
            count
        );
        Add(room.Clock.StartOf(details.AcquiredOn), new Acquired(details, Place.Parse(place)!));
    }

    public Guid StockId { get; }

    /// <summary>What it is called.</summary>
    private string Name => ((Acquired)Entries[0].Entry.Act).Details.Nickname;

    public List<(Guid StockId, NewEntry Entry)> Entries { get; } = [];

    /// <summary>Its parents, as far as they are or were in the room.</summary>
    public LifeWriter DescendsFrom(LifeWriter? mother, LifeWriter? father)
    {
        var (id, came) = Entries[0];
        var acquired = (Acquired)came.Act;
        var details = acquired.Details with { MotherId = mother?.StockId, FatherId = father?.StockId };
        Entries[0] = (id, came with { Act = acquired with { Details = details } });
        return this;
    }

    /// <summary>Hatched so many nights ago.</summary>
    public LifeWriter Hatched(int ago)
    {
        var (id, came) = Entries[0];
        var acquired = (Acquired)came.Act;
        var details = acquired.Details with { HatchedOn = room.Tonight.AddDays(-ago) };
        Entries[0] = (id, came with { Act = acquired with { Details = details } });
        return this;
    }

    /// <summary>Molts on these nights ago, oldest first; each shed skin is measured.</summary>
    public LifeWriter Molted(params int[] nightsAgo)
    {
        foreach (var ago in nightsAgo)
        {
            molts.Add(ago);
            At(ago, new Molted(), minute: 0);
            At(ago, new Measured(BodyPart.Carapace, Math.Round(carapaceMm, 1), true), minute: 30);
            carapaceMm *= ratio * (1 + ((random.NextDouble() - 0.5) * 0.05));
        }

        return this;
    }

    /// <summary>A molt found some nights ago, not there yet on an earlier one.</summary>
    public LifeWriter Molted(int found, int lastSeenBefore, bool ultimate)
    {
        molts.Add(found);
        var to = Evening(found, 0);
        var from = lastSeenBefore > found ? Evening(lastSeenBefore, 0) : to;
        Entries.Add((StockId, new NewEntry(NewId(), new Occurrence(from, to), null, new Molted(ultimate))));
        return this;
    }

    /// <summary>A molt that the keeper never saw: it grew, and no entry says so.</summary>
    public LifeWriter MoltedUnseen()
    {
        carapaceMm *= ratio;
        return this;
    }

    /// <summary>The molt to adult.</summary>
    public LifeWriter MaturedOn(int ago)
    {
        molts.Add(ago);
        return At(ago, new Molted(Ultimate: true));
    }

    /// <summary>Regular meals and water from arrival to some nights ago, with the pauses that molts make.</summary>
    public LifeWriter Lived(
        string feeder,
        string size,
        int every,
        int until,
        int waterEvery,
        int waterUntil,
        int count = 1
    )
    {
        for (var ago = arrived - 3; ago > until; ago -= every)
        {
            // Meals a night apart stand where they fall: moved, several would come together.
            var sway = random.Next(-1, 2);
            var night = Math.Max(until + 1, every > 2 ? ago + sway : ago);
            if (molts.Any(m => night > m - WaitAfterMolt && night < m + HoldBeforeMolt))
            {
                if (molts.Any(m => night > m + (HoldBeforeMolt / 2) && night < m + HoldBeforeMolt))
                {
                    At(night, new Offered(feeder, size, count, Preparation.Live, OfferOutcome.BattedAway));
                }

                continue;
            }

            At(night, new Offered(feeder, size, count, Preparation.Live, OfferOutcome.Eaten));
        }

        At(until, new Offered(feeder, size, count, Preparation.Live, OfferOutcome.Eaten));
        var water = Usual();
        for (var ago = arrived - 1; ago > waterUntil; ago -= waterEvery)
        {
            Watered(ago, water);
        }

        return Watered(waterUntil, water);
    }

    public LifeWriter Fed(int ago, string feeder, string size, OfferOutcome outcome, bool? leftIn = null) =>
        At(ago, new Offered(feeder, size, 1, Preparation.Live, outcome, leftIn));

    public LifeWriter Sign(int ago, string sign) => At(ago, new SignSeen(sign));

    public LifeWriter Measured(int ago, BodyPart part, double mm) => At(ago, new Measured(part, mm));

    /// <summary>Watered as such an animal is at its stage, unless said otherwise.</summary>
    public LifeWriter Watered(int ago, WaterKind? kind = null) => At(ago, new Watered(kind ?? Usual()), minute: -15);

    /// <summary>How water is given to it at the stage that it has come to.</summary>
    private WaterKind Usual()
    {
        var written = Entries.Select(
            (e, i) => new JournalEntry(e.Entry.Id, StockId, i + 1, e.Entry.When, room.Now, "", null, e.Entry.Act)
        );
        var waters = RoundLine.Of(Judgement.Of(Standing.Fold(written)!, room)).Waters;
        return waters.Count > 0 ? waters[0] : WaterKind.Dish;
    }

    /// <summary>Writes an act on the evening some nights ago; tonight's acts lie shortly before now.</summary>
    public LifeWriter At(int ago, Act act, int? minute = null)
    {
        Add(Evening(ago, minute), act);
        return this;
    }

    /// <summary>The same in the journals of both.</summary>
    /// <param name="other">The mate.</param>
    /// <param name="ago">Nights ago.</param>
    /// <param name="act">What happened, told of this one, with its mate.</param>
    /// <param name="minute">Minutes after nine.</param>
    public LifeWriter With(LifeWriter other, int ago, Func<Guid, TwoPartyAct> act, int minute = 0)
    {
        var (first, id, when) = (
            act(other.StockId).AsFirstHalf(other.Name),
            NewId(),
            Occurrence.At(Evening(ago, minute))
        );
        Entries.Add((StockId, new NewEntry(id, when, null, first)));
        other.Entries.Add(
            (other.StockId, new NewEntry(first.OtherHalf(id)!.Value, when, null, first.AsSecondHalf(StockId, id, Name)))
        );
        return this;
    }

    private DateTimeOffset Evening(int ago, int? minute)
    {
        var night = room.Tonight.AddDays(-ago);
        var planned = room.Clock.EveningOf(night).AddMinutes(minute ?? random.Next(-50, 50));
        var start = room.Clock.StartOf(room.Tonight);
        var shortlyBefore = room.Now.AddMinutes(-random.Next(4, 12));
        return ago > 0 ? planned
            : shortlyBefore < start ? start
            : shortlyBefore;
    }

    private void Add(DateTimeOffset at, Act act) =>
        Entries.Add((StockId, new NewEntry(NewId(), Occurrence.At(at), null, act)));

    private Guid NewId()
    {
        Span<byte> bytes = stackalloc byte[16];
        random.NextBytes(bytes);
        return new Guid(bytes);
    }
}
