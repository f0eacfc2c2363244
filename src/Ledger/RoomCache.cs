using System.Collections.Concurrent;
using Husbandry.Climate;
using Husbandry.Honesty;
using Husbandry.Journal;
using Husbandry.Larder;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Ledger;

/// <summary>Keeps what is dear to read in memory until it changes: rules, climate, and what the room has taught.</summary>
public sealed class RoomCache
{
    private volatile RuleSet? rules;
    private volatile RoomClimate? climate;
    private volatile ClimateBook? air;
    private volatile TaughtUntil? taught;
    private volatile ScoredUntil? scored;
    private volatile KeptNeeds? needs;
    private volatile KeptFoods? kept;
    private volatile RoomLayout? layout;
    private volatile StockIndex? index;
    private volatile KeptPace? pace;
    private KeptTanks? tanks;
    private readonly ConcurrentDictionary<string, byte> staleSpecies = new();

    /// <summary>Everything that is or was in the room at a glance; none when it must be read anew.</summary>
    public StockIndex? Index
    {
        get => index;
        set => index = value;
    }

    /// <summary>The shared tanks with the newest entry that they have taken in.</summary>
    private sealed record KeptTanks(TankBook Book, long Sequence);

    /// <summary>The shared tanks and who lives in them; none when they must be read anew.</summary>
    public TankBook? Tanks => tanks?.Book;

    /// <summary>Keeps the shared tanks, unless what is kept has taken in more: two writers may come in here the other way round than they wrote.</summary>
    /// <param name="book">The tanks.</param>
    /// <param name="sequence">Newest entry of the journal when they were read.</param>
    public TankBook KeepTanks(TankBook book, long sequence)
    {
        KeptTanks? former;
        var fresh = new KeptTanks(book, sequence);
        do
        {
            former = tanks;
            if (former?.Sequence > sequence)
            {
                return former.Book;
            }
        } while (Interlocked.CompareExchange(ref tanks, fresh, former) != former);

        return book;
    }

    /// <summary>Night for which the standings of the file are known to be judged; none when that must be looked up.</summary>
    public DateOnly? JudgedNight { get; set; }

    /// <summary>An animal as judged for a night; none when that is not at hand.</summary>
    public Glance? GlanceOf(Guid stockId, DateOnly night) => JudgedNight == night ? Index?.Find(stockId) : null;

    /// <summary>Whether something was written since that the lessons have not taken in yet.</summary>
    public bool TaughtIsStale => !staleSpecies.IsEmpty;

    /// <summary>Species of which the lessons have changed, and whose animals are to be judged anew.</summary>
    public ConcurrentBag<string> SpeciesToJudge { get; } = [];

    /// <summary>Begins to learn: what was written until now will be taken in.</summary>
    /// <returns>Species of which something was written that teaches.</returns>
    public IReadOnlyList<string> BeginToLearn()
    {
        var species = staleSpecies.Keys.ToList();
        species.ForEach(s => staleSpecies.TryRemove(s, out _));
        return species;
    }

    /// <summary>The furniture; none when it must be read anew.</summary>
    public RoomLayout? Layout
    {
        get => layout;
        set => layout = value;
    }

    /// <summary>A scored replay with the journal and the rules for which it holds.</summary>
    public sealed record ScoredUntil(ReplayResult Replay, long Sequence, string Fingerprint);

    /// <summary>The scored journal; none when it was never asked for.</summary>
    public ScoredUntil? Scored
    {
        get => scored;
        set => scored = value;
    }

    /// <summary>The journal replayed by the calendar alone; none when it was never asked for.</summary>
    public ScoredUntil? ScoredByCalendar { get; set; }

    /// <summary>Held by whoever replays the journal, so that only one does.</summary>
    public SemaphoreSlim Scoring { get; } = new(1, 1);

    /// <summary>For what the needs hold: the journal, the rules, the night, the schools.</summary>
    public sealed record NeedsMark(
        long Sequence,
        long LarderSequence,
        string Fingerprint,
        DateOnly Night,
        RoomSettings Settings
    );

    /// <summary>The needs of the room with that for which they hold.</summary>
    public sealed record KeptNeeds(NeedsMark Mark, RoomNeeds Needs);

    /// <summary>Pace of the rounds with the night and the rules for which it was learned.</summary>
    public sealed record KeptPace(RoundPace Pace, DateOnly Night, string Fingerprint);

    /// <summary>Pace of the rounds; none when it must be learned anew.</summary>
    public KeptPace? Pace
    {
        get => pace;
        set => pace = value;
    }

    /// <summary>Foods that the room keeps, with the larder's journal and the night for which that holds.</summary>
    public sealed record KeptFoods(IReadOnlySet<FoodKey> Foods, long Sequence, DateOnly Night);

    /// <summary>The foods kept; none when they must be read anew.</summary>
    public KeptFoods? Kept
    {
        get => kept;
        set => kept = value;
    }

    /// <summary>The needs; none when they must be worked out anew.</summary>
    public KeptNeeds? Needs
    {
        get => needs;
        set => needs = value;
    }

    /// <summary>Lessons with the rules and the night for which they hold.</summary>
    public sealed record TaughtUntil(Lessons Lessons, string Fingerprint, DateOnly Night);

    private long seen = -1;

    /// <summary>
    /// Notes the newest entry of the file. When another process wrote in the meantime (a file loaded by the script while
    /// the server runs), everything that is kept here may be stale and is let go.
    /// </summary>
    public void See(long latestSequence)
    {
        var former = Interlocked.Exchange(ref seen, latestSequence);
        if (former >= 0 && former != latestSequence)
        {
            LetGo();
        }
    }

    /// <summary>Raised when entries were written, after they are safe in the file.</summary>
    public event Action<IReadOnlyList<JournalEntry>>? EntriesWritten;

    /// <summary>Held by whoever judges the whole room, so that only one does.</summary>
    public SemaphoreSlim Judging { get; } = new(1, 1);

    /// <summary>Notes entries as written by this process, with the glances of their animals.</summary>
    public void Wrote(IReadOnlyList<JournalEntry> entries, IReadOnlyList<Glance> glances)
    {
        Interlocked.Exchange(ref seen, entries.Max(e => e.Sequence));
        Index?.Put(glances);
        var taught = entries.Where(Teaches).Select(e => e.StockId).ToHashSet();
        foreach (var glance in glances.Where(g => taught.Contains(g.StockId)))
        {
            staleSpecies.TryAdd(glance.Who.Species, 0);
        }

        EntriesWritten?.Invoke(entries);
    }

    /// <summary>Whether an entry changes what the room has taught. Signs and looks do so only with the molt after them.</summary>
    private static bool Teaches(JournalEntry entry) =>
        entry.Supersedes is not null || entry.Act.Kind().Teaches == Teaching.Waits;

    /// <summary>Lets everything go, so that it is read anew.</summary>
    public void LetGo()
    {
        (Rules, Climate, Taught, Scored, Needs, Kept, Layout) = (null, null, null, null, null, null, null);
        (Index, JudgedNight, Pace, Air, ScoredByCalendar) = (null, null, null, null, null);
        tanks = null;
        staleSpecies.Clear();
        SpeciesToJudge.Clear();
    }

    /// <summary>What the room has taught; none when it must be learned anew.</summary>
    public TaughtUntil? Taught
    {
        get => taught;
        set => taught = value;
    }

    /// <summary>Temperatures; none when they must be read anew.</summary>
    public RoomClimate? Climate
    {
        get => climate;
        set => climate = value;
    }

    /// <summary>Instruments, answers to alarms and programmes; none when they must be read anew.</summary>
    public ClimateBook? Air
    {
        get => air;
        set => air = value;
    }

    /// <summary>The rules; none when they must be read anew.</summary>
    public RuleSet? Rules
    {
        get => rules;
        set => rules = value;
    }
}
