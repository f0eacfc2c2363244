using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Microsoft.Data.Sqlite;

namespace Ledger;

/// <summary>An entry to be written.</summary>
/// <param name="Id">Made by the client.</param>
/// <param name="When">When it happened.</param>
/// <param name="Supersedes">The entry that it corrects.</param>
/// <param name="Act">What happened.</param>
/// <param name="WrittenAt">When it was written down; now when left out.</param>
/// <param name="WrittenBy">Who wrote it; the keeper when left out.</param>
/// <param name="Against">What the hush table says against it.</param>
/// <param name="Seen">Number of the newest entry that the writer knew of; none when the same is not asked about.</param>
public sealed record NewEntry(
    Guid Id,
    Occurrence When,
    Guid? Supersedes,
    Act Act,
    DateTimeOffset? WrittenAt = null,
    string? WrittenBy = null,
    string? Against = null,
    long? Seen = null
);

/// <summary>What came of writing.</summary>
public enum WriteOutcome
{
    /// <summary>Written now.</summary>
    Written,

    /// <summary>The same entries were written before: a retry or double tap.</summary>
    WrittenBefore,

    /// <summary>Nothing written: something is wrong with the input.</summary>
    Refused,

    /// <summary>Nothing written: somebody changed it in the meantime, or the id is taken by something else.</summary>
    Conflict,

    /// <summary>Nothing written: its details were changed in the meantime.</summary>
    Stale,

    /// <summary>Nothing written: somebody else told the same of that night in the meantime.</summary>
    ToldMeanwhile,

    /// <summary>Nothing written: there is no such stock.</summary>
    NotFound,
}

/// <summary>An entry that somebody else wrote, and the one that tells the same.</summary>
/// <param name="Yours">The one that was to be written.</param>
/// <param name="Theirs">The one that is there.</param>
public sealed record ToldTwice(NewEntry Yours, JournalEntry Theirs);

/// <summary>Outcome of writing, and what was wrong.</summary>
/// <param name="Outcome">What came of it.</param>
/// <param name="Problems">What is wrong.</param>
/// <param name="Twice">What was told in the meantime.</param>
public sealed record WriteResult(
    WriteOutcome Outcome,
    IReadOnlyList<Problem> Problems,
    IReadOnlyList<ToldTwice>? Twice = null
)
{
    internal static WriteResult Refuse(params IReadOnlyList<Problem> problems) => new(WriteOutcome.Refused, problems);

    internal static WriteResult Clash(string field, string message) =>
        new(WriteOutcome.Conflict, [new Problem(field, message)]);

    /// <summary>The same with a prefix before the names of fields.</summary>
    internal WriteResult Under(string field) =>
        this with
        {
            Problems = [.. Problems.Select(p => p with { Field = field + p.Field })],
        };

    /// <summary>What is said of an id that was written before: a retry where the act is the same, else a mistake.</summary>
    /// <param name="former">The act as it is stored under that id.</param>
    /// <param name="act">The act that comes now, as it would be stored.</param>
    internal static WriteResult Again(string former, string act) =>
        former == act ? WrittenBefore : Clash("id", "This id was used for another entry; make a new one.");

    internal static readonly WriteResult Stale = new(
        WriteOutcome.Stale,
        [new Problem("version", "Somebody changed this in the meantime.")]
    );

    internal static readonly WriteResult Written = new(WriteOutcome.Written, []);

    /// <summary>Written already, by an earlier try.</summary>
    public static readonly WriteResult WrittenBefore = new(WriteOutcome.WrittenBefore, []);
    internal static readonly WriteResult NotFound = new(WriteOutcome.NotFound, []);
}

/// <summary>An entry for one animal of a batch.</summary>
/// <param name="StockId">The animal; a new one when the entry says that it came.</param>
/// <param name="Entry">The entry.</param>
/// <param name="Field">What to put before the names of fields when something is wrong with it; empty for a single animal.</param>
public sealed record StockEntry(Guid StockId, NewEntry Entry, string Field = "");

/// <summary>Writes the journal and keeps the standings in step with it, all or nothing.</summary>
public sealed class JournalStore(LanternDb db, JournalReader reader, RoomCache cache)
{
    /// <summary>Most entries in one batch: every enclosure of a very large room, twice over.</summary>
    public const int MostInBatch = 5_000;

    /// <summary>Writes entries of one animal in one transaction.</summary>
    /// <param name="stockId">The animal; a new one when the first entry says that it came.</param>
    /// <param name="entries">The entries, in order.</param>
    /// <param name="expectedVersion">Version of the details that the writer saw, or none to accept any.</param>
    /// <param name="room">Rules, settings and the present instant.</param>
    /// <param name="cancel">Cancels; nothing is written then.</param>
    public Task<WriteResult> WriteAsync(
        Guid stockId,
        IReadOnlyList<NewEntry> entries,
        long? expectedVersion,
        Room room,
        CancellationToken cancel
    ) => WriteAsync([.. entries.Select(e => new StockEntry(stockId, e))], expectedVersion, room, cancel);

    /// <summary>Writes entries of many animals in one transaction: all or none.</summary>
    /// <param name="batch">The entries, in order.</param>
    /// <param name="expectedVersion">Version of the details that the writer saw, or none to accept any.</param>
    /// <param name="room">Rules, settings and the present instant.</param>
    /// <param name="cancel">Cancels; nothing is written then.</param>
    public async Task<WriteResult> WriteAsync(
        IReadOnlyList<StockEntry> batch,
        long? expectedVersion,
        Room room,
        CancellationToken cancel
    )
    {
        batch = await new TwoHalves(db, reader, room).WithOtherHalvesAsync(await NamedAsync(batch, cancel), cancel);
        if (EntryGuard.FindSameIdTwice(batch) is { } twice)
        {
            return twice;
        }

        var guard = new EntryGuard(db, reader);
        var result = await TryAsync(guard, batch, expectedVersion, room, cancel);
        if (result.Outcome == WriteOutcome.Written)
        {
            return result;
        }

        // A retry is told that it was written, whatever would be said of it by now. Asked only here: almost every entry is new.
        return await guard.FindWrittenBeforeAsync(batch, cancel) ?? result;
    }

    private async Task<WriteResult> TryAsync(
        EntryGuard guard,
        IReadOnlyList<StockEntry> batch,
        long? expectedVersion,
        Room room,
        CancellationToken cancel
    )
    {
        // An immediate transaction: two writers take turns instead of failing half-way.
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);

        // Only one writes at a time, and entries are never removed: the next numbers are ours.
        var sequence = await reader.LatestSequenceAsync(cancel);
        if (await guard.FindToldTwiceAsync(batch, sequence, room, cancel) is { } told)
        {
            return told;
        }

        room = room.With(cache.Tanks ?? cache.KeepTanks(await TankReader.ReadAsync(db, cancel), sequence));
        var animals = new Dictionary<Guid, (StandingRow? Row, Standing? Standing)>();
        var rows = new List<EntryRow>(batch.Count);
        var written = new List<JournalEntry>(batch.Count);
        foreach (var (stockId, entry, field) in batch)
        {
            if (!animals.TryGetValue(stockId, out var animal))
            {
                var kept = await db.StandingOfAsync(stockId, cancel);
                animal = (kept, kept is null ? null : await reader.StandingAsync(kept, cancel));
                if (animal.Standing is null && !entry.Act.Kind().Begins)
                {
                    return WriteResult.NotFound;
                }

                if (expectedVersion is { } seen && animal.Standing is { } known && known.DetailsVersion != seen)
                {
                    return WriteResult.Stale;
                }
            }

            if (await guard.CheckAsync(stockId, entry, animal.Standing, room, cancel) is { } wrong)
            {
                return wrong.Under(field);
            }

            var row = Rows.Of(stockId, Marked(entry, animal, room), room, ++sequence);
            rows.Add(row);
            var fresh = Rows.ToEntry(row);
            written.Add(fresh);
            var standing =
                animal.Standing is not null && animal.Standing.CanApply(fresh)
                    ? animal.Standing.Apply(fresh)
                    : Standing.Fold([
                        .. await reader.ReadAsync(stockId, cancel),
                        .. written.Where(w => w.StockId == stockId),
                    ]);
            if (standing is null)
            {
                return WriteResult.Refuse(
                    new Problem(
                        $"{field}act.entryId",
                        "The entry by which it came cannot be taken back; let it leave the collection instead."
                    )
                );
            }

            animals[stockId] = (animal.Row, standing);
        }

        var moved = batch.Where(b => b.Entry.Act is Acquired or Moved or Withdrawn).Select(b => b.StockId).Distinct();
        if (await guard.FindTakenTwiceAsync([.. moved.Select(id => animals[id].Standing!)], cancel) is { } taken)
        {
            return taken;
        }

        var changed = animals.Values.Select(a => a.Standing!).ToList();
        var tanks = await TanksAfterAsync(changed, room, cancel);
        room = tanks is null ? room : room.With(tanks);
        var others = tanks is null ? [] : Sharing(changed, room);
        var judged = changed.Concat(others).Select(s => Rows.Of(s, room)).ToList();
        await using var writer = new RowWriter(db);
        try
        {
            foreach (var row in rows)
            {
                await writer.WriteAsync(row, cancel);
            }
        }
        catch (SqliteException failed) when (LanternDb.IsTakenId(failed))
        {
            return WriteResult.Clash("id", "This id was used before; make a new one.");
        }

        foreach (var (row, _) in judged)
        {
            await writer.WriteAsync(row, animals.GetValueOrDefault(row.StockId).Row, cancel);
        }

        await transaction.CommitAsync(cancel);
        if (tanks is not null)
        {
            cache.KeepTanks(tanks, sequence);
        }

        cache.Wrote(written, [.. judged.Select(j => j.Glance)]);
        return WriteResult.Written;
    }

    /// <summary>The batch with the names noted of those whom an entry names.</summary>
    private async Task<IReadOnlyList<StockEntry>> NamedAsync(IReadOnlyList<StockEntry> batch, CancellationToken cancel)
    {
        var named = new List<StockEntry>(batch.Count);
        foreach (var given in batch)
        {
            var name = given.Entry.Act.Names() is { } id
                ? (await reader.StandingAsync(id, cancel))?.Details.Nickname
                : null;
            named.Add(
                name is null ? given : given with { Entry = given.Entry with { Act = given.Entry.Act.Naming(name) } }
            );
        }

        return named;
    }

    /// <summary>The tanks with what changed; none when that concerns no tank, as almost always.</summary>
    private async Task<TankBook?> TanksAfterAsync(
        IReadOnlyCollection<Standing> changed,
        Room room,
        CancellationToken cancel
    ) =>
        changed.Any(s => TankBook.Belongs(s) || room.Tanks.Standings.ContainsKey(s.StockId))
            ? (await TankReader.ReadAsync(db, cancel)).With(changed)
            : null;

    /// <summary>
    /// Those that share a tank with what changed: what is said of a tank hangs on those in it, and where they stand on the
    /// tank, so they are judged with it.
    /// </summary>
    private static List<Standing> Sharing(IReadOnlyCollection<Standing> changed, Room room)
    {
        var done = changed.Select(s => s.StockId).ToHashSet();
        var left = changed.SelectMany(s => s.Stays).Select(s => s.TankId).OfType<Guid>().Select(room.Tanks.Find);
        return
        [
            .. changed
                .SelectMany(room.Tanks.SharingWith)
                .Concat(left.OfType<Standing>())
                .DistinctBy(s => s.StockId)
                .Where(s => !done.Contains(s.StockId)),
        ];
    }

    private NewEntry Marked(NewEntry entry, (StandingRow? Row, Standing? Standing) animal, Room room) =>
        animal is not { Row: { } row, Standing: { } standing }
        || entry.Supersedes is not null
        || entry.When.To < room.Clock.StartOf(room.Tonight)
            ? entry
            : entry with
            {
                Against = HushMark.Against(entry.Act, standing, room, GlanceOf(row, room)),
            };

    /// <summary>An animal as judged for tonight, where that is at hand; what has happened to it since shows by its sequence.</summary>
    private Glance? GlanceOf(StandingRow row, Room room) =>
        cache.JudgedNight != room.Tonight
            ? null
            : cache.GlanceOf(row.StockId, room.Tonight) ?? LedgerJson.Read<Glance>(row.Glance);
}
