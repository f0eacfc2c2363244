using System.Runtime.CompilerServices;
using System.Threading.Channels;
using Husbandry.Journal;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Live;

/// <summary>What was written, so that a screen knows what to look at again.</summary>
public enum LiveTopic
{
    /// <summary>Perhaps anything: the first event that a screen hears, also after a break.</summary>
    Anything,

    /// <summary>Entries of animals.</summary>
    Journal,

    /// <summary>Chores and gear.</summary>
    Chores,

    /// <summary>Racks and shelves.</summary>
    Shelves,

    /// <summary>The larder's journal.</summary>
    Larder,

    /// <summary>The people outside with whom the keeper deals.</summary>
    Contacts,

    /// <summary>Temperatures read off.</summary>
    Climate,

    /// <summary>Sensors, alarms and programmes.</summary>
    Alarms,

    /// <summary>Rules, species or feeders of the keeper's own.</summary>
    Rules,

    /// <summary>Settings of the room.</summary>
    Settings,

    /// <summary>What is not as it should be with the record.</summary>
    Troubles,
}

/// <summary>Something was written: every open screen may look again.</summary>
/// <param name="Topic">What to look at again.</param>
/// <param name="Ids">Ids of the entries, so that whoever wrote them need not look.</param>
/// <param name="Stock">Animals that they are about.</param>
/// <param name="By">Who wrote them.</param>
public sealed record LiveEvent(LiveTopic Topic, IReadOnlyList<Guid> Ids, IReadOnlyList<Guid> Stock, string By);

/// <summary>Tells every open screen what was written, as it is written.</summary>
public sealed class LiveRoom
{
    // A screen that sleeps misses events and looks at everything when it wakes; nothing piles up for it.
    private const int Waiting = 64;

    private readonly Lock door = new();
    private readonly List<Channel<LiveEvent>> listeners = [];

    public LiveRoom(RoomCache cache) => cache.EntriesWritten += Written;

    /// <summary>Tells of something other than entries of animals.</summary>
    /// <param name="topic">What.</param>
    /// <param name="by">Who wrote it.</param>
    /// <param name="id">Id under which it was written, if it has one.</param>
    public void Tell(LiveTopic topic, string by, Guid? id = null) =>
        Tell(new LiveEvent(topic, id is { } known ? [known] : [], [], by));

    /// <summary>Events from now on, until the listener goes.</summary>
    public async IAsyncEnumerable<LiveEvent> ListenAsync([EnumeratorCancellation] CancellationToken cancel)
    {
        var channel = Channel.CreateBounded<LiveEvent>(
            new BoundedChannelOptions(Waiting) { FullMode = BoundedChannelFullMode.DropOldest }
        );
        lock (door)
        {
            listeners.Add(channel);
        }

        try
        {
            // The first event tells the screen that it is heard, and lets it look at what it may have missed.
            yield return new LiveEvent(LiveTopic.Anything, [], [], "");
            await foreach (var told in channel.Reader.ReadAllAsync(cancel))
            {
                yield return told;
            }
        }
        finally
        {
            lock (door)
            {
                listeners.Remove(channel);
            }
        }
    }

    private void Written(IReadOnlyList<JournalEntry> entries) =>
        Tell(
            new LiveEvent(
                LiveTopic.Journal,
                [.. entries.Select(e => e.Id)],
                [.. entries.Select(e => e.StockId).Distinct()],
                entries[0].WrittenBy
            )
        );

    private void Tell(LiveEvent told)
    {
        lock (door)
        {
            foreach (var listener in listeners)
            {
                listener.Writer.TryWrite(told);
            }
        }
    }
}

/// <summary>The stream of events.</summary>
public static class LiveEndpoints
{
    public static void MapLive(this WebApplication app) =>
        app.MapGet("/api/live", Listen).WithName("live").WithTags("Live").Produces<LiveEvent>(200, "text/event-stream");

    private static ServerSentEventsResult<LiveEvent> Listen(
        LiveRoom live,
        IHostApplicationLifetime life,
        CancellationToken cancel
    ) => TypedResults.ServerSentEvents(UntilStopped(live, life, cancel));

    /// <summary>Ends with the request or with the server, whichever comes first.</summary>
    private static async IAsyncEnumerable<LiveEvent> UntilStopped(
        LiveRoom live,
        IHostApplicationLifetime life,
        [EnumeratorCancellation] CancellationToken cancel
    )
    {
        using var either = CancellationTokenSource.CreateLinkedTokenSource(cancel, life.ApplicationStopping);
        var events = live.ListenAsync(either.Token).GetAsyncEnumerator(either.Token);
        await using (events)
        {
            while (await NextAsync(events))
            {
                yield return events.Current;
            }
        }
    }

    private static async Task<bool> NextAsync(IAsyncEnumerator<LiveEvent> events)
    {
        try
        {
            return await events.MoveNextAsync();
        }
        catch (OperationCanceledException)
        {
            return false;
        }
    }
}
