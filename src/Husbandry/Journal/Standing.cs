using System.Text.Json.Serialization;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using Husbandry.Stock;

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
/// <param name="FoodIn">Offers of which some is still in the enclosure, one for each food, oldest first.</param>
/// <param name="Signs">Signs seen in its whole life here, in order.</param>
/// <param name="CleanLooks">Looks without a sign in its whole life here, in order.</param>
/// <param name="Appetite">What came of the last offers, in order.</param>
/// <param name="Vigils">Waits other than for a molt, in order of their beginning; any of them may be under way.</param>
/// <param name="Chill">Winter cold of the pupa, if any.</param>
/// <param name="Limbs">Limbs that were lost and how far they have grown again.</param>
/// <param name="SexTold">By what the sex was told, latest first told last.</param>
/// <param name="Pictures">Pictures on record.</param>
/// <param name="FangsSeen">Last fang check since the last molt: when, and whether hard.</param>
/// <param name="Waters">When water was last given, one for each way of giving it.</param>
/// <param name="Tube">The water of its tube as last seen.</param>
/// <param name="ConditionByEye">The condition as last judged by eye.</param>
/// <param name="Taken">Foods that it has taken whole.</param>
/// <param name="ClearedAt">When leftovers were last taken out.</param>
/// <param name="Exits">Of many: those that left before the rest.</param>
/// <param name="ArrivedAt">When it came; what lies before it is history told by somebody else.</param>
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
    IReadOnlyList<OfferEvent> FoodIn,
    IReadOnlyList<SignEvent> Signs,
    IReadOnlyList<DateTimeOffset> CleanLooks,
    IReadOnlyList<AppetiteEvent> Appetite,
    IReadOnlyList<VigilEvent> Vigils,
    ChillEvent? Chill,
    IReadOnlyList<LimbEvent> Limbs,
    IReadOnlyList<SexEvent> SexTold,
    IReadOnlyList<PictureEvent> Pictures,
    FangCheckEvent? FangsSeen,
    IReadOnlyList<WaterEvent> Waters,
    TubeEvent? Tube,
    ConditionEvent? ConditionByEye,
    IReadOnlyList<TakenFood> Taken,
    DateTimeOffset? ClearedAt,
    IReadOnlyList<ExitEvent> Exits,
    DateTimeOffset ArrivedAt,
    DateOnly? PutOffUntil,
    IReadOnlyList<DateTimeOffset> Paired,
    HouseEvent? House,
    DepartureEvent? Departure
)
{
    /// <summary>Changes with the shape of this record, so that stored standings of another shape are rebuilt.</summary>
    public const int Shape = 7;

    /// <summary>How many of the last meals are remembered; variety and appetite look no further back.</summary>
    public const int MealsKept = 10;

    /// <summary>How many of the last offers count towards the appetite; enough for years of an adult.</summary>
    public const int OffersKept = 150;

    /// <summary>The last molt on record.</summary>
    [JsonIgnore]
    public MoltEvent? LastMolt => Molts.Count == 0 ? null : Molts[^1];

    /// <summary>The waits under way other than the one for a molt, the oldest first.</summary>
    [JsonIgnore]
    public IEnumerable<VigilEvent> Waits => Vigils.Where(v => v.Ended is null);

    /// <summary>The oldest wait of a kind that is under way, if any.</summary>
    public VigilEvent? WaitFor(VigilKind vigil) => Waits.FirstOrDefault(v => v.Vigil == vigil);

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

    /// <summary>Molts behind it before the first on record, when its instar at arrival is known; molts told from before it came are on record.</summary>
    [JsonIgnore]
    public int? MoltsBeforeRecord =>
        Details.MoltsAtArrival is { } before ? Math.Max(0, before - Molts.Count(m => m.When.To < ArrivedAt)) : null;

    /// <summary>Molts behind it in its whole life, when its instar at arrival is known.</summary>
    [JsonIgnore]
    public int? MoltsInLife => MoltsBeforeRecord + Molts.Count;

    /// <summary>When water was last given in any way.</summary>
    [JsonIgnore]
    public DateTimeOffset? LastWater => Waters.Count == 0 ? null : Waters.Max(w => w.At);

    /// <summary>Folds a whole journal of one animal.</summary>
    /// <returns><see langword="null"/> when no entry that counts says that it came.</returns>
    public static Standing? Fold(IEnumerable<JournalEntry> entries)
    {
        var all = entries.ToList();
        var told = Chronicle.Effective(all);
        if (told.FirstOrDefault(e => e.Act is Acquired) is not { } came)
        {
            return null;
        }

        // What is told of the time before it came is folded after it, so that nothing of it is lost.
        var standing = told.Where(e => e != came).Aggregate(Begin(came, (Acquired)came.Act), (s, e) => s.Apply(e));
        return standing with { LatestSequence = all.Max(e => e.Sequence) };
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
            DetailsChanged d => this with
            {
                Details = d.Details,
                DetailsVersion = entry.Sequence,
                ArrivedAt = ArrivedAt.AddDays(d.Details.AcquiredOn.DayNumber - Details.AcquiredOn.DayNumber),
            },
            Moved m => this with { Place = m.Place, DetailsVersion = entry.Sequence },
            Counted c => this with
            {
                Details = Details with { Count = c.Count },
                DetailsVersion = entry.Sequence,
                Vials = [.. Vials.Where(v => v.Number <= c.Count)],
            },
            Offered o => AfterOffer(new OfferEvent(entry.Id, at, o)),
            LeftoversRemoved l => AfterClearing(l, at),
            Watered w => this with { Waters = [.. Waters.Where(x => x.Kind != w.Water), new WaterEvent(w.Water, at)] },
            TubeSeen t => this with { Tube = new TubeEvent(at, t.Water) },
            ConditionSeen c => this with { ConditionByEye = new ConditionEvent(at, c.Condition, Molts.Count) },
            Looked => this with { CleanLooks = [.. CleanLooks, at] },
            SignSeen s => this with { Signs = [.. Signs, new SignEvent(entry.Id, at, s.SignId, s.Count)] },
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
            Departed { Count: { } some } d when some < Details.Count => this with
            {
                Exits = [.. Exits, new ExitEvent(at, d.Departure, some)],
                Details = Details with { Count = Details.Count - some },
                DetailsVersion = entry.Sequence,
                Vials = [.. Vials.Where(v => v.Number <= Details.Count - some)],
            },
            Departed d => this with { Departure = new DepartureEvent(at, d.Departure, d.Remark) },
            _ => this,
        };
        return next with
        {
            LatestEventAt = at > LatestEventAt ? at : LatestEventAt,
            LatestSequence = Math.Max(LatestSequence, entry.Sequence),
        };
    }

    private static Standing Begin(JournalEntry entry, Acquired came) =>
        new(
            entry.StockId,
            came.Details,
            entry.Sequence,
            came.Place,
            entry.When.To,
            entry.Sequence,
            Molts: [],
            Measures: [],
            Meals: [],
            Untaken: [],
            Vials: [],
            FoodIn: [],
            Signs: [],
            CleanLooks: [],
            Appetite: [],
            Vigils: [],
            Chill: null,
            Limbs: [],
            SexTold: [],
            Pictures: [],
            FangsSeen: null,
            Waters: [],
            Tube: null,
            ConditionByEye: null,
            Taken: [],
            ClearedAt: null,
            Exits: [],
            ArrivedAt: entry.When.To,
            PutOffUntil: null,
            Paired: [],
            House: null,
            Departure: null
        );

    private Standing AfterOffer(OfferEvent offer) =>
        // Food that is no prey is given when it is put in, seen to be eaten or not.
        offer.Offer.Outcome.IsMeal()
        || offer.Offer is { Preparation: Preparation.Fresh, Outcome: OfferOutcome.NotSeen, LeftIn: not false }
            ? this with
            {
                Appetite = WithAppetite(offer, true),
                Meals = [.. Meals.Append(offer).TakeLast(MealsKept)],
                Untaken = [],
                Vials = WithVials(offer),
                Taken = WithTaken(offer.Offer),
                FoodIn = WithFoodIn(offer),
            }
            : this with
            {
                Appetite = offer.Offer.Outcome.IsRefusal() ? WithAppetite(offer, false) : Appetite,
                Untaken = [.. Untaken.Append(offer).TakeLast(MealsKept)],
                FoodIn = WithFoodIn(offer),
            };

    /// <summary>Of prey an eaten meal means that none is left; of other food each kind has a clock of its own and fresh replaces old.</summary>
    private List<OfferEvent> WithFoodIn(OfferEvent offer)
    {
        var fresh = offer.Offer.Preparation == Preparation.Fresh;
        var kept = FoodIn.Where(f =>
            fresh ? f.Offer.FeederId != offer.Offer.FeederId
            : offer.Offer.Outcome.IsMeal() ? f.Offer.Preparation == Preparation.Fresh
            : f.Offer.FeederId != offer.Offer.FeederId
        );
        return offer.Offer.StaysIn() ? [.. kept, offer] : [.. kept];
    }

    private List<TakenFood> WithTaken(Offered offer)
    {
        if (offer.Preparation is not (Preparation.Live or Preparation.PreKilled))
        {
            return [.. Taken];
        }

        bool Same(TakenFood t) => t.FeederId == offer.FeederId && t.SizeClassId == offer.SizeClassId;
        var times = 1 + (Taken.FirstOrDefault(Same)?.Times ?? 0);
        return [.. Taken.Where(t => !Same(t)), new TakenFood(offer.FeederId, offer.SizeClassId, times)];
    }

    /// <summary>Prey that was left in and is found whole was turned down: that says as much as a refusal that was watched.</summary>
    private Standing AfterClearing(LeftoversRemoved cleared, DateTimeOffset at)
    {
        bool Goes(OfferEvent o) => cleared.FeederIds?.Contains(o.Offer.FeederId) ?? true;
        var found = FoodIn
            .Where(o =>
                Goes(o)
                && o.Offer is { Outcome: OfferOutcome.NotSeen, Preparation: not Preparation.Fresh, LeftIn: not false }
            )
            .ToList();
        return this with
        {
            FoodIn = [.. FoodIn.Where(o => !Goes(o))],
            ClearedAt = at,
            Untaken =
            [
                .. Untaken.Select(o =>
                    found.Any(f => f.EntryId == o.EntryId)
                        ? o with
                        {
                            Offer = o.Offer with { Outcome = OfferOutcome.FoundUneaten },
                        }
                        : o
                ),
            ],
            Appetite =
            [
                .. Appetite
                    .Concat(found.Select(o => new AppetiteEvent(o.At, false, o.Offer.FeederId)))
                    .TakeLast(OffersKept),
            ],
        };
    }

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

    private bool IsMany => Details.Kind != StockKind.Specimen;

    private Standing AfterBegin(Began began, JournalEntry entry)
    {
        // Of many, what buries itself is one unless it is said how many do.
        var count = !IsMany ? null : began.Count ?? (began.Vigil == VigilKind.Surfacing ? 1 : null);
        if (WaitFor(began.Vigil) is { Count: { } already } open)
        {
            var now = Math.Min(Details.Count, already + (count ?? Details.Count));
            return WithWait(open, open with { Count = now });
        }

        var some = count < Details.Count ? count : null;
        // Pupating is a molt: the larva's skin comes off.
        var before =
            began.Vigil == VigilKind.Emergence && some is null
                ? AfterMolt(new MoltEvent(entry.Id, entry.When, false, false))
                : this;
        return before with
        {
            Vigils = [.. Vigils, new VigilEvent(entry.Id, began.Vigil, entry.When, null, false, some, some is null)],
        };
    }

    private Standing WithWait(VigilEvent former, VigilEvent now) =>
        this with
        {
            Vigils = [.. Vigils.Select(v => ReferenceEquals(v, former) ? now : v)],
        };

    private Standing AfterEnd(Ended end, JournalEntry entry)
    {
        var asHoped = end.End == VigilEnd.AsHoped;
        if (WaitFor(end.Vigil) is not { } open)
        {
            // A lone queen founds from the day she came, though nobody wrote that down.
            return end.Vigil == VigilKind.FirstWorkers && Vigils.All(v => v.Vigil != VigilKind.FirstWorkers)
                ? this with
                {
                    Vigils =
                    [
                        .. Vigils,
                        new VigilEvent(entry.Id, end.Vigil, Occurrence.At(ArrivedAt), entry.When, asHoped),
                    ],
                }
                : this;
        }

        var waiting = open.Count ?? Details.Count;
        if (IsMany && end.Count < waiting)
        {
            return WithWait(open, open with { Count = waiting - end.Count });
        }

        // A crab that comes up as hoped molted at some time underground; what leaves the pupa is adult. Of many it is said
        // of all or of none.
        var molt = end.Vigil switch
        {
            VigilKind.Surfacing when asHoped && open.Whole => new MoltEvent(
                entry.Id,
                new Occurrence(open.Began.From, entry.When.To),
                false,
                false
            ),
            VigilKind.Emergence when asHoped && open.Whole => new MoltEvent(entry.Id, entry.When, true, false),
            _ => null,
        };
        var over = open with { Ended = entry.When, AsHoped = asHoped };
        return (molt is null ? this : AfterMolt(molt)).WithWait(open, over) with
        {
            Details =
                end.Vigil == VigilKind.Hatching && asHoped && Details.MoltsAtArrival is null
                    ? Details with
                    {
                        MoltsAtArrival = 0,
                    }
                    : Details,
        };
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
