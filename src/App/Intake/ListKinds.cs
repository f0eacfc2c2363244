using App.Hosting;
using App.Live;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Ledger;
using Ledger.Intake;

namespace App.Intake;

/// <summary>A list as it was read, and how it is written.</summary>
/// <param name="Sheet">What was understood.</param>
/// <param name="WriteAsync">Writes what is not there yet, all or none; how many entries those were.</param>
public sealed record ReadList(
    ListSheet Sheet,
    Func<DateTimeOffset, string, CancellationToken, Task<(WriteResult Result, int Count)>> WriteAsync
);

/// <summary>A kind of list that a keeper brings: each is read first and written all or none.</summary>
public interface IListKind
{
    /// <summary>Reads a list as things stand.</summary>
    /// <param name="list">The list.</param>
    /// <param name="request">Id of the request that will write it; empty when it is only read.</param>
    /// <param name="room">The room.</param>
    /// <param name="cancel">Cancels.</param>
    Task<ReadList> ReadAsync(KeepersList list, Guid request, Room room, CancellationToken cancel);
}

/// <summary>Lists of what happened to animals that are on record.</summary>
public sealed class HappenedLists(RoomNow now, JournalStore store, JournalReader reader) : IListKind
{
    /// <inheritdoc/>
    public async Task<ReadList> ReadAsync(KeepersList list, Guid request, Room room, CancellationToken cancel)
    {
        var happened = new HappenedReader(list, room, await now.IndexAsync(cancel));
        var standings = await reader.StandingsAsync(happened.Named, cancel);
        var (sheet, rows) = happened.Read(
            standings
                .Select(s => Judgement.TryOf(s, room))
                .OfType<Judgement>()
                .ToDictionary(j => j.Subject.Standing.StockId)
        );
        return new ReadList(
            sheet,
            async (at, by, stop) =>
            {
                var entries = HappenedReader.EntriesOf(rows, at, by, room);
                var there = await reader.WrittenAsync([.. entries.Select(e => e.Entry.Id)], stop);
                List<StockEntry> fresh = [.. entries.Where(e => !there.Contains(e.Entry.Id))];
                return fresh.Count == 0
                    ? (WriteResult.WrittenBefore, 0)
                    : (await store.WriteAsync(fresh, null, room, stop), fresh.Count);
            }
        );
    }
}

/// <summary>Lists of what is in the larder.</summary>
public sealed class LarderLists(LarderStore store, LiveRoom live) : IListKind
{
    /// <inheritdoc/>
    public async Task<ReadList> ReadAsync(KeepersList list, Guid request, Room room, CancellationToken cancel)
    {
        var (sheet, acts) = new LarderReader(list, room, await store.StandingAsync(room.Rules, cancel)).Read(request);
        return new ReadList(
            sheet,
            async (at, by, stop) => live.Told(await store.WriteAllAsync(acts, at, by, room, stop), LiveTopic.Larder, by)
        );
    }
}

/// <summary>Lists of chores.</summary>
public sealed class ChoreLists(ChoreStore store, LiveRoom live) : IListKind
{
    /// <inheritdoc/>
    public async Task<ReadList> ReadAsync(KeepersList list, Guid request, Room room, CancellationToken cancel)
    {
        var (sheet, acts) = new ChoreReader(list, room, await store.StandingAsync(cancel)).Read(request);
        return new ReadList(
            sheet,
            async (at, by, stop) => live.Told(await store.WriteAllAsync(acts, at, by, room, stop), LiveTopic.Chores, by)
        );
    }
}

/// <summary>Lists of shared gear and its bookings.</summary>
public sealed class GearLists(ChoreStore store, LiveRoom live) : IListKind
{
    /// <inheritdoc/>
    public async Task<ReadList> ReadAsync(KeepersList list, Guid request, Room room, CancellationToken cancel)
    {
        var (sheet, acts) = new GearReader(list, room, await store.StandingAsync(cancel)).Read(request);
        return new ReadList(
            sheet,
            async (at, by, stop) => live.Told(await store.WriteAllAsync(acts, at, by, room, stop), LiveTopic.Chores, by)
        );
    }
}

/// <summary>Lists of people outside with whom the keeper deals.</summary>
public sealed class ContactLists(ContactStore store, LiveRoom live) : IListKind
{
    /// <inheritdoc/>
    public async Task<ReadList> ReadAsync(KeepersList list, Guid request, Room room, CancellationToken cancel)
    {
        var (sheet, acts) = new ContactReader(list, room, await store.BookAsync(cancel)).Read(request);
        return new ReadList(
            sheet,
            async (at, by, stop) => live.Told(await store.WriteAllAsync(acts, at, by, stop), LiveTopic.Contacts, by)
        );
    }
}

internal static class ListsTold
{
    /// <summary>Tells whoever is here, once something of it was written.</summary>
    internal static (WriteResult Result, int Count) Told(
        this LiveRoom live,
        (WriteResult Result, int Count) written,
        LiveTopic topic,
        string by
    )
    {
        if (written is { Result.Outcome: WriteOutcome.Written, Count: > 0 })
        {
            live.Tell(topic, by);
        }

        return written;
    }
}
