using System.Text.Json.Serialization;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Journal;

/// <summary>What an animal lives in.</summary>
/// <param name="At">When it was noted.</param>
/// <param name="Enclosure">The enclosure.</param>
/// <param name="RehousedAt">When the animal was last moved over into another one.</param>
public sealed record HouseEvent(DateTimeOffset At, Enclosure Enclosure, DateTimeOffset? RehousedAt);

/// <summary>When a task of the upkeep was last done.</summary>
/// <param name="Task">The task, by its id in the rules.</param>
/// <param name="At">When.</param>
public sealed record TendedEvent(string Task, DateTimeOffset At)
{
    /// <summary>The whole enclosure was cleaned, whatever its tasks are.</summary>
    public const string Cleaned = "clean";
}

/// <summary>
/// The present state of one animal or brood: a fold over its journal, compact enough to be stored beside it and
/// rebuilt from it at any time. It knows no rules; judgements are made from it. Each feature has a part of its own, which
/// only its entries change; every feature may read all of them, as fasting tells of a molt.
/// </summary>
/// <param name="StockId">The animal or brood.</param>
/// <param name="Details">What the keeper knows of it.</param>
/// <param name="DetailsVersion">Sequence of the entry that last set the details or the place, for optimistic concurrency.</param>
/// <param name="Stays">Where it stood, in order; the last is where it stands.</param>
/// <param name="ArrivedAt">When it came; what lies before it is history told by somebody else.</param>
/// <param name="LatestEventAt">Latest occurrence folded so far.</param>
/// <param name="LatestSequence">Highest sequence folded so far.</param>
/// <param name="Counts">Its numbers, in order.</param>
/// <param name="Growth">Molts, measures, limbs, sex, pictures, condition.</param>
/// <param name="Vigils">Waits and what tells of them.</param>
/// <param name="Feeding">Meals and what is still in there.</param>
/// <param name="Water">Water given and seen.</param>
/// <param name="Tended">Upkeep last done, one for each task.</param>
/// <param name="House">What it lives in, once that was measured.</param>
/// <param name="Pairings">When it was put together with a mate, in order.</param>
/// <param name="Webs">Looks for his sperm webs, in order.</param>
/// <param name="Births">Young that it had, in order.</param>
/// <param name="Tray">Of a brood in numbered vials: vial by vial.</param>
/// <param name="Kept">Of an egg case kept apart from its mother: how.</param>
/// <param name="HandOn">What is to become of its young: promised, and how many are wanted.</param>
/// <param name="Calcium">Calcium of a tub: every piece that stands, and the last that are gone.</param>
/// <param name="Colony">What was seen of a colony: its catch, peeks, moves, looks and counts of its own.</param>
/// <param name="Shared">Of a shared tank who was seen up, and its empty shells; of a crab the shell it wears.</param>
/// <param name="Loan">With whom it is for a time; none while it is here.</param>
/// <param name="PutOffUntil">Night until which the work was put off.</param>
/// <param name="Departure">How it left, if it did.</param>
public sealed record Standing(
    Guid StockId,
    StockDetails Details,
    long DetailsVersion,
    IReadOnlyList<Stay> Stays,
    DateTimeOffset ArrivedAt,
    DateTimeOffset LatestEventAt,
    long LatestSequence,
    IReadOnlyList<CountEvent> Counts,
    GrowthState Growth,
    VigilState Vigils,
    FeedingState Feeding,
    WaterState Water,
    IReadOnlyList<TendedEvent> Tended,
    HouseEvent? House,
    IReadOnlyList<PairingEvent> Pairings,
    IReadOnlyList<WebEvent> Webs,
    IReadOnlyList<BirthEvent> Births,
    TrayState Tray,
    KeptCase? Kept,
    HandOnState HandOn,
    IReadOnlyList<CalciumPiece> Calcium,
    ColonyState Colony,
    TankState Shared,
    LoanEvent? Loan,
    DateOnly? PutOffUntil,
    DepartureEvent? Departure
)
{
    /// <summary>Changes with the shape of this record and its parts, so that stored standings of another shape are rebuilt.</summary>
    public const int Shape = 24;

    /// <summary>With a task of the upkeep done at an instant.</summary>
    public Standing WithTended(string task, DateTimeOffset at) =>
        this with
        {
            Tended = [.. Tended.Where(t => t.Task != task), new TendedEvent(task, at)],
        };

    /// <summary>Where its own enclosure stands, or stood before it went into a shared tank.</summary>
    [JsonIgnore]
    public Place OwnPlace => Stays[^1].Place;

    /// <summary>The shared tank in which it lives; none where its enclosure is its own.</summary>
    [JsonIgnore]
    public Guid? TankId => Stays[^1].TankId;

    /// <summary>Whether it is a shared tank rather than an animal.</summary>
    [JsonIgnore]
    public bool IsTank => Details.Kind == StockKind.Tank;

    /// <summary>Whether it is spoken of as many: a brood, a colony or those of a tank.</summary>
    [JsonIgnore]
    public bool IsMany => Details.Kind != StockKind.Specimen;

    /// <summary>Numbers of the vials of a brood: those that are in use since it was divided here, else one for each.</summary>
    [JsonIgnore]
    public IEnumerable<int> Vials =>
        Details.Kind != StockKind.Brood ? []
        : Tray.IsDivided ? Tray.Numbers
        : Enumerable.Range(1, Details.Count);

    /// <summary>The state without a vial that is empty now.</summary>
    /// <param name="number">Its number; none where the entry names none.</param>
    public Standing WithoutVial(int? number) =>
        number is not { } empty
            ? this
            : this with
            {
                Tray = Tray.Without(empty),
                Feeding = Feeding with { Vials = [.. Feeding.Vials.Where(v => v.Number != empty)] },
            };

    /// <summary>
    /// The state with young that it had, or eggs that were taken from it. What was promised goes with them; how many are wanted
    /// holds on for the next lot of eggs.
    /// </summary>
    public Standing WithBirth(BirthEvent birth) =>
        this with
        {
            Births = [.. Births, birth with { Before = Growth.ConditionByEye?.Condition }],
            HandOn = HandOn with { Promises = [] },
        };

    /// <summary>Births after a meal at an instant: it is her first after the last of them, where none was before.</summary>
    public IReadOnlyList<BirthEvent> BirthsAfterMeal(DateTimeOffset at) =>
        Births is [.., { AteAt: null } last] && at > last.At
            ? [.. Births.SkipLast(1), last with { AteAt = at }]
            : Births;

    /// <summary>Signs seen since the last molt.</summary>
    [JsonIgnore]
    public IEnumerable<SignEvent> SignsNow =>
        Growth.LastMolt is { } molt ? Vigils.Signs.Where(s => s.At > molt.When.To) : Vigils.Signs;

    /// <summary>Pairings since the last molt: what was stored before goes with the skin.</summary>
    [JsonIgnore]
    public IEnumerable<PairingEvent> PairingsNow =>
        Growth.LastMolt is { } molt ? Pairings.Where(p => p.At > molt.When.To) : Pairings;

    /// <summary>The pairing that goes on now, if one does.</summary>
    [JsonIgnore]
    public PairingEvent? OpenPairing => Pairings is [.., { IsOpen: true } last] ? last : null;

    /// <summary>The state with its last pairing with a mate changed; the same where there is none.</summary>
    /// <param name="mate">The mate; the last pairing with anybody when it is not in the collection.</param>
    /// <param name="change">What becomes of it.</param>
    public Standing WithLastPairing(Guid? mate, Func<PairingEvent, PairingEvent> change) =>
        Pairings.LastOrDefault(p => mate is null || p.PartnerId == mate) is { } meant
            ? this with
            {
                Pairings = [.. Pairings.Select(p => ReferenceEquals(p, meant) ? change(p) : p)],
            }
            : this;

    /// <summary>Last look without a sign since the last molt.</summary>
    [JsonIgnore]
    public DateTimeOffset? LastCleanLook =>
        Vigils.CleanLooks is [.., var last] && (Growth.LastMolt is null || last > Growth.LastMolt.When.To)
            ? last
            : null;

    /// <summary>Whether it is adult by record: it came so, or its ultimate molt was seen.</summary>
    [JsonIgnore]
    public bool IsMatureByRecord => Details.MatureAtArrival || Growth.Molts.Any(m => m.Ultimate);

    /// <summary>Molts behind it before the first on record, when its instar at arrival is known; molts told from before it came are on record.</summary>
    [JsonIgnore]
    public int? MoltsBeforeRecord =>
        Details.MoltsAtArrival is { } before
            ? Math.Max(0, before - Growth.Molts.Count(m => m.When.To < ArrivedAt))
            : null;

    /// <summary>Molts behind it in its whole life, when its instar at arrival is known.</summary>
    [JsonIgnore]
    public int? MoltsInLife => MoltsBeforeRecord + Growth.Molts.Count;

    /// <summary>Folds a whole journal of one animal.</summary>
    /// <returns><see langword="null"/> when no entry that counts says that it came.</returns>
    public static Standing? Fold(IEnumerable<JournalEntry> entries)
    {
        var all = entries.ToList();
        var told = Chronicle.Effective(all);
        if (told.FirstOrDefault(e => e.Act.Kind().Begins) is not { } came)
        {
            return null;
        }

        // What is told of the time before it came is folded after it, so that nothing of it is lost.
        var standing = told.Where(e => e != came).Aggregate(came.Act.Kind().Begin(came), (s, e) => s.Apply(e));
        return standing with { LatestSequence = all.Max(e => e.Sequence) };
    }

    /// <summary>The state of what has just come.</summary>
    public static Standing Begin(JournalEntry entry, StockDetails details, Place place) =>
        new(
            entry.StockId,
            details,
            entry.Sequence,
            [new Stay(place, entry.When.To)],
            ArrivedAt: entry.When.To,
            LatestEventAt: entry.When.To,
            entry.Sequence,
            Counts: [new CountEvent(entry.Id, entry.When.To, CountChange.Came, details.Count, details.Count)],
            GrowthState.Empty,
            VigilState.Empty,
            FeedingState.Empty,
            WaterState.Empty,
            Tended: [],
            House: null,
            Pairings: [],
            Webs: [],
            Births: [],
            TrayState.Empty,
            Kept: null,
            HandOnState.Empty,
            Calcium: [],
            Colony: ColonyState.Empty,
            Shared: TankState.Empty,
            Loan: null,
            PutOffUntil: null,
            Departure: null
        );

    /// <summary>Whether an entry can be folded on top of this state without looking at the journal again.</summary>
    public bool CanApply(JournalEntry entry) =>
        entry.Supersedes is null && entry.Act.Withdraws() is null && entry.When.To >= LatestEventAt;

    /// <summary>The state after one more entry, which must not lie before those already folded.</summary>
    public Standing Apply(JournalEntry entry)
    {
        var at = entry.When.To;
        return entry.Act.Kind().Fold(this, entry) with
        {
            LatestEventAt = at > LatestEventAt ? at : LatestEventAt,
            LatestSequence = Math.Max(LatestSequence, entry.Sequence),
        };
    }

    /// <summary>The state after a molt: what was refused or put off before it counts no more.</summary>
    public Standing AfterMolt(MoltEvent molt) =>
        this with
        {
            Growth = Growth with { Molts = [.. Growth.Molts, molt], FangsSeen = null },
            Feeding = Feeding with { Untaken = [] },
            Vigils = Vigils.AfterMolt(molt.When),
            Tray = Tray.AfterMolt(),
            PutOffUntil = null,
        };

    /// <summary>The state after all of it left; the details keep how many there were.</summary>
    public Standing Gone(
        JournalEntry entry,
        DepartureKind how,
        CountChange change,
        string? remark,
        LossCause? cause = null
    ) =>
        this with
        {
            Counts = [.. Counts, Change(entry, change, 0) with { Cause = cause }],
            Departure = new DepartureEvent(entry.When.To, how, remark),
        };

    /// <summary>The state with more or fewer animals in it.</summary>
    /// <param name="entry">The entry that says so.</param>
    /// <param name="change">Why.</param>
    /// <param name="now">How many there are after it.</param>
    /// <param name="more">What else is known of it.</param>
    public Standing WithCount(
        JournalEntry entry,
        CountChange change,
        int now,
        Func<CountEvent, CountEvent>? more = null
    ) =>
        this with
        {
            Counts = [.. Counts, more is null ? Change(entry, change, now) : more(Change(entry, change, now))],
            Details = Details with { Count = now },
            DetailsVersion = entry.Sequence,
            Feeding = Feeding with { Vials = [.. Feeding.Vials.Where(v => v.Number <= now || Tray.IsDivided)] },
        };

    private CountEvent Change(JournalEntry entry, CountChange change, int now) =>
        new(
            entry.Id,
            entry.When.To,
            change,
            now - Details.Count,
            now,
            From: entry.When.From < entry.When.To ? entry.When.From : null
        );
}
