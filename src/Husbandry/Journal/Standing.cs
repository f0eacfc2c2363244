using System.Text.Json.Serialization;
using Husbandry.Stock;

namespace Husbandry.Journal;

/// <summary>A molt on record.</summary>
public sealed record MoltEvent(Guid EntryId, Occurrence When, bool Ultimate, bool Mismolt);

/// <summary>A measure on record.</summary>
/// <param name="EntryId">Its entry.</param>
/// <param name="At">When it was taken.</param>
/// <param name="Part">What.</param>
/// <param name="LengthMm">Millimetres.</param>
/// <param name="FromExuvia">Taken from the shed skin.</param>
/// <param name="MoltsHere">Molts on record behind the skin that was measured; −1 for the skin of arrival's first molt when shed.</param>
public sealed record MeasureEvent(
    Guid EntryId,
    DateTimeOffset At,
    BodyPart Part,
    double LengthMm,
    bool FromExuvia,
    int MoltsHere
);

/// <summary>An offer on record.</summary>
public sealed record OfferEvent(Guid EntryId, DateTimeOffset At, Offered Offer);

/// <summary>A sign on record.</summary>
public sealed record SignEvent(Guid EntryId, DateTimeOffset At, string SignId);

/// <summary>A departure on record.</summary>
public sealed record DepartureEvent(DateTimeOffset At, DepartureKind Kind, string? Remark);

/// <summary>
/// The present state of one animal or brood: a fold over its journal, compact enough to be stored beside it and
/// rebuilt from it at any time. It knows no rules; judgements are made from it.
/// </summary>
/// <param name="StockId">The animal or brood.</param>
/// <param name="Details">What the keeper knows of it.</param>
/// <param name="DetailsVersion">Sequence of the entry that last set the details or the place, for optimistic concurrency.</param>
/// <param name="Place">Where it stands.</param>
/// <param name="LatestEventAt">Latest occurrence folded so far.</param>
/// <param name="LatestSequence">Highest sequence folded so far.</param>
/// <param name="Molts">Molts since it came, in order.</param>
/// <param name="Measures">Measures, in order.</param>
/// <param name="Meals">The last meals taken, newest last.</param>
/// <param name="Untaken">Offers not taken since the last meal and the last molt, newest last.</param>
/// <param name="PreyIn">The offer whose prey is still in the enclosure, if any.</param>
/// <param name="Signs">Signs seen since the last molt.</param>
/// <param name="LastCleanLook">Last look without a sign since the last molt.</param>
/// <param name="FangsSeen">Last fang check since the last molt: when, and whether hard.</param>
/// <param name="LastWater">When water was last given.</param>
/// <param name="PutOffUntil">Night until which the work was put off.</param>
/// <param name="Departure">How it left, if it did.</param>
public sealed record Standing(
    Guid StockId,
    StockDetails Details,
    long DetailsVersion,
    Place Place,
    DateTimeOffset LatestEventAt,
    long LatestSequence,
    IReadOnlyList<MoltEvent> Molts,
    IReadOnlyList<MeasureEvent> Measures,
    IReadOnlyList<OfferEvent> Meals,
    IReadOnlyList<OfferEvent> Untaken,
    OfferEvent? PreyIn,
    IReadOnlyList<SignEvent> Signs,
    DateTimeOffset? LastCleanLook,
    FangCheckEvent? FangsSeen,
    DateTimeOffset? LastWater,
    DateOnly? PutOffUntil,
    DepartureEvent? Departure
)
{
    /// <summary>How many of the last meals are remembered; variety and appetite look no further back.</summary>
    public const int MealsKept = 10;

    /// <summary>The last molt on record.</summary>
    [JsonIgnore]
    public MoltEvent? LastMolt => Molts.Count == 0 ? null : Molts[^1];

    /// <summary>Whether it is adult by record: it came so, or its ultimate molt was seen.</summary>
    [JsonIgnore]
    public bool IsMatureByRecord => Details.MatureAtArrival || Molts.Any(m => m.Ultimate);

    /// <summary>Molts behind it in its whole life, when its instar at arrival is known.</summary>
    [JsonIgnore]
    public int? MoltsInLife => Details.MoltsAtArrival is { } before ? before + Molts.Count : null;

    /// <summary>Folds a whole journal of one animal.</summary>
    /// <returns><see langword="null"/> when no entry that counts says that it came.</returns>
    public static Standing? Fold(IEnumerable<JournalEntry> entries)
    {
        var all = entries.ToList();
        Standing? standing = null;
        foreach (var entry in Chronicle.Effective(all))
        {
            standing = standing is null ? Begin(entry) : standing.Apply(entry);
        }

        return standing is null ? null : standing with { LatestSequence = all.Max(e => e.Sequence) };
    }

    /// <summary>Whether an entry can be folded on top of this state without looking at the journal again.</summary>
    public bool CanApply(JournalEntry entry) =>
        entry.Supersedes is null && entry.Act is not Withdrawn && entry.When.To >= LatestEventAt;

    /// <summary>The state after one more entry, which must not lie before those already folded.</summary>
    public Standing Apply(JournalEntry entry)
    {
        var at = entry.When.To;
        var next = entry.Act switch
        {
            Acquired a => this with { Details = a.Details, Place = a.Place, DetailsVersion = entry.Sequence },
            DetailsChanged d => this with { Details = d.Details, DetailsVersion = entry.Sequence },
            Moved m => this with { Place = m.Place, DetailsVersion = entry.Sequence },
            Counted c => this with { Details = Details with { Count = c.Count }, DetailsVersion = entry.Sequence },
            Offered o => AfterOffer(new OfferEvent(entry.Id, at, o)),
            LeftoversRemoved => this with { PreyIn = null },
            Watered => this with { LastWater = at },
            Looked => this with { LastCleanLook = at },
            SignSeen s => this with { Signs = [.. Signs, new SignEvent(entry.Id, at, s.SignId)] },
            Molted m => AfterMolt(new MoltEvent(entry.Id, entry.When, m.Ultimate, m.Mismolt)),
            FangsChecked f => this with { FangsSeen = new FangCheckEvent(at, f.Hard) },
            Measured m => this with
            {
                Measures =
                [
                    .. Measures,
                    new MeasureEvent(
                        entry.Id,
                        at,
                        m.Part,
                        m.LengthMm,
                        m.FromExuvia,
                        Molts.Count - (m.FromExuvia ? 1 : 0)
                    ),
                ],
            },
            PutOff p => this with { PutOffUntil = p.UntilNight },
            Departed d => this with { Departure = new DepartureEvent(at, d.Departure, d.Remark) },
            _ => this,
        };
        return next with
        {
            LatestEventAt = at > LatestEventAt ? at : LatestEventAt,
            LatestSequence = Math.Max(LatestSequence, entry.Sequence),
        };
    }

    private static Standing? Begin(JournalEntry entry) =>
        entry.Act is Acquired a
            ? new Standing(
                entry.StockId,
                a.Details,
                entry.Sequence,
                a.Place,
                entry.When.To,
                entry.Sequence,
                [],
                [],
                [],
                [],
                null,
                [],
                null,
                null,
                null,
                null,
                null
            )
            : null;

    private Standing AfterOffer(OfferEvent offer) =>
        offer.Offer.Outcome.IsMeal()
            ? this with
            {
                Meals = [.. Meals.Append(offer).TakeLast(MealsKept)],
                Untaken = [],
                PreyIn = null,
            }
            : this with
            {
                Untaken = [.. Untaken.Append(offer).TakeLast(MealsKept)],
                PreyIn = offer.Offer.LeavesPreyIn() ? offer : PreyIn,
            };

    private Standing AfterMolt(MoltEvent molt) =>
        this with
        {
            Molts = [.. Molts, molt],
            Untaken = [],
            Signs = [],
            LastCleanLook = null,
            FangsSeen = null,
            PutOffUntil = null,
        };
}

/// <summary>A fang check on record.</summary>
public sealed record FangCheckEvent(DateTimeOffset At, bool Hard);
