using System.Text.Json.Serialization;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Husbandry.Journal;

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
/// <param name="Vials">Vials of a brood that left their last meal, by number.</param>
/// <param name="PreyIn">The offer whose prey is still in the enclosure, if any.</param>
/// <param name="Signs">Signs seen in its whole life here, in order.</param>
/// <param name="CleanLooks">Looks without a sign in its whole life here, in order.</param>
/// <param name="Appetite">What came of the last offers, in order.</param>
/// <param name="Vigils">Waits other than for a molt, in order; the last may be under way.</param>
/// <param name="Chill">Winter cold of the pupa, if any.</param>
/// <param name="Limbs">Limbs that were lost and how far they have grown again.</param>
/// <param name="SexTold">By what the sex was told, latest first told last.</param>
/// <param name="Pictures">Pictures on record.</param>
/// <param name="FangsSeen">Last fang check since the last molt: when, and whether hard.</param>
/// <param name="LastWater">When water was last given.</param>
/// <param name="PutOffUntil">Night until which the work was put off.</param>
/// <param name="Paired">When it was put together with a mate since its last molt, in order; a molt takes what was stored.</param>
/// <param name="House">What it lives in, once that was measured.</param>
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
    IReadOnlyList<VialEvent> Vials,
    OfferEvent? PreyIn,
    IReadOnlyList<SignEvent> Signs,
    IReadOnlyList<DateTimeOffset> CleanLooks,
    IReadOnlyList<AppetiteEvent> Appetite,
    IReadOnlyList<VigilEvent> Vigils,
    ChillEvent? Chill,
    IReadOnlyList<LimbEvent> Limbs,
    IReadOnlyList<SexEvent> SexTold,
    IReadOnlyList<PictureEvent> Pictures,
    FangCheckEvent? FangsSeen,
    DateTimeOffset? LastWater,
    DateOnly? PutOffUntil,
    IReadOnlyList<DateTimeOffset> Paired,
    HouseEvent? House,
    DepartureEvent? Departure
)
{
    /// <summary>Changes with the shape of this record, so that stored standings of another shape are rebuilt.</summary>
    public const int Shape = 5;

    /// <summary>How many of the last meals are remembered; variety and appetite look no further back.</summary>
    public const int MealsKept = 10;

    /// <summary>How many of the last offers count towards the appetite; enough for years of an adult.</summary>
    public const int OffersKept = 150;

    /// <summary>The last molt on record.</summary>
    [JsonIgnore]
    public MoltEvent? LastMolt => Molts.Count == 0 ? null : Molts[^1];

    /// <summary>The wait under way other than the one for a molt, if any.</summary>
    [JsonIgnore]
    public VigilEvent? Waiting => Vigils.Count > 0 && Vigils[^1].Ended is null ? Vigils[^1] : null;

    /// <summary>Signs seen since the last molt.</summary>
    [JsonIgnore]
    public IEnumerable<SignEvent> SignsNow => LastMolt is { } molt ? Signs.Where(s => s.At > molt.When.To) : Signs;

    /// <summary>Last look without a sign since the last molt.</summary>
    [JsonIgnore]
    public DateTimeOffset? LastCleanLook =>
        CleanLooks.Count > 0 && (LastMolt is null || CleanLooks[^1] > LastMolt.When.To) ? CleanLooks[^1] : null;

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
            Counted c => this with
            {
                Details = Details with { Count = c.Count },
                DetailsVersion = entry.Sequence,
                Vials = [.. Vials.Where(v => v.Number <= c.Count)],
            },
            Offered o => AfterOffer(new OfferEvent(entry.Id, at, o)),
            LeftoversRemoved => this with { PreyIn = null },
            Watered => this with { LastWater = at },
            Looked => this with { CleanLooks = [.. CleanLooks, at] },
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
            Began b => AfterBegin(b, entry),
            Ended e => AfterEnd(e, entry),
            Chilled c => this with
            {
                Chill = c.IntoCold ? new ChillEvent(at, null) : new ChillEvent(Chill?.From ?? at, at),
            },
            LimbNoted l => this with { Limbs = AfterLimb(l, at) },
            SexSeen x => this with
            {
                SexTold = [.. SexTold, new SexEvent(at, x.Sex, x.By)],
                Details = Details with { Sex = x.Sex },
                DetailsVersion = entry.Sequence,
            },
            Pictured p => this with
            {
                Pictures =
                [
                    .. Pictures,
                    new PictureEvent(
                        entry.Id,
                        p.PictureId,
                        at,
                        p.Caption,
                        p.OfExuvia,
                        Molts.Count - (p.OfExuvia ? 1 : 0)
                    ),
                ],
            },
            PutOff p => this with { PutOffUntil = p.UntilNight },
            Handled { Care: CareAct.Pair } => this with { Paired = [.. Paired, at] },
            Housed h => this with { House = new HouseEvent(at, h.Enclosure, h.Rehoused ? at : House?.RehousedAt) },
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
                [],
                null,
                [],
                [],
                [],
                [],
                null,
                [],
                [],
                [],
                null,
                null,
                null,
                [],
                null,
                null
            )
            : null;

    private Standing AfterOffer(OfferEvent offer) =>
        offer.Offer.Outcome.IsMeal()
            ? this with
            {
                Appetite = WithAppetite(offer, true),
                Meals = [.. Meals.Append(offer).TakeLast(MealsKept)],
                Untaken = [],
                Vials = WithVials(offer),
                PreyIn = offer.Offer.LeavesPreyIn() ? offer : null,
            }
            : this with
            {
                Appetite = offer.Offer.Outcome.IsRefusal() ? WithAppetite(offer, false) : Appetite,
                Untaken = [.. Untaken.Append(offer).TakeLast(MealsKept)],
                PreyIn = offer.Offer.LeavesPreyIn() ? offer : PreyIn,
            };

    /// <summary>A vial that eats again is an exception no more; one that leaves its food again counts on.</summary>
    private List<VialEvent> WithVials(OfferEvent offer) =>
        [
            .. (offer.Offer.Untaken ?? [])
                .Order()
                .Select(number => new VialEvent(
                    number,
                    1 + (Vials.FirstOrDefault(v => v.Number == number)?.Times ?? 0),
                    offer.At
                )),
        ];

    private List<AppetiteEvent> WithAppetite(OfferEvent offer, bool taken) =>
        [.. Appetite.Append(new AppetiteEvent(offer.At, taken, offer.Offer.FeederId)).TakeLast(OffersKept)];

    private Standing AfterBegin(Began began, JournalEntry entry)
    {
        // Pupating is a molt: the larva's skin comes off.
        var before =
            began.Vigil == VigilKind.Emergence ? AfterMolt(new MoltEvent(entry.Id, entry.When, false, false)) : this;
        return before with { Vigils = [.. Vigils, new VigilEvent(began.Vigil, entry.When, null, false)] };
    }

    private Standing AfterEnd(Ended end, JournalEntry entry)
    {
        var open =
            Vigils.Count > 0 && Vigils[^1] is { Ended: null } last && last.Vigil == end.Vigil ? Vigils[^1] : null;
        if (open is null)
        {
            return this;
        }

        var asHoped = end.End == VigilEnd.AsHoped;
        var over = open with { Ended = entry.When, AsHoped = asHoped };
        // A crab that comes up as hoped molted at some time underground; what leaves the pupa is adult.
        var molt = end.Vigil switch
        {
            VigilKind.Surfacing when asHoped => new MoltEvent(
                entry.Id,
                new Occurrence(open.Began.From, entry.When.To),
                false,
                false
            ),
            VigilKind.Emergence when asHoped => new MoltEvent(entry.Id, entry.When, true, false),
            _ => null,
        };
        return (molt is null ? this : AfterMolt(molt)) with { Vigils = [.. Vigils.SkipLast(1), over] };
    }

    private List<LimbEvent> AfterLimb(LimbNoted noted, DateTimeOffset at)
    {
        var former = Limbs.FirstOrDefault(l => l.Limb == noted.Limb);
        var lostAt = noted.State == LimbState.Lost ? Molts.Count : former?.LostAtMolts ?? Molts.Count;
        return
        [
            .. Limbs.Where(l => l.Limb != noted.Limb),
            new LimbEvent(noted.Limb, noted.State, at, Molts.Count, lostAt),
        ];
    }

    private Standing AfterMolt(MoltEvent molt) =>
        this with
        {
            Molts = [.. Molts, molt],
            Untaken = [],
            FangsSeen = null,
            PutOffUntil = null,
            // The stored sperm goes with the skin: a pairing before a molt counts no more.
            Paired = [],
        };
}
