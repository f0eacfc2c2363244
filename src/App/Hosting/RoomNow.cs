using Husbandry.Feeding;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Ledger;

namespace App.Hosting;

/// <summary>The room as it is at the instant of a request: rules, settings, climate, furniture, and what it has taught.</summary>
public sealed class RoomNow(
    RulebookStore rulebook,
    RoomStore store,
    JournalReader reader,
    LarderStore larder,
    NightJudge judge,
    LessonKeeper lessons,
    LanternDb db,
    RoomCache cache,
    RoomZone zone,
    TimeProvider clock
)
{
    /// <summary>Number of the newest entry of the journal when the room was read last.</summary>
    public long Latest { get; private set; }

    /// <summary>The room now.</summary>
    public async Task<Room> ReadAsync(CancellationToken cancel)
    {
        var latest = await reader.LatestSequenceAsync(cancel);
        Latest = latest;
        cache.See(latest);
        var at = Room.At(await rulebook.ReadAsync(cancel), (await store.ReadAsync(cancel)).Settings, clock.GetUtcNow());
        zone.Zone = at.Clock.Zone;
        var bare = at.With(await rulebook.ClimateAsync(cancel)) with
        {
            Layout = cache.Layout ??= (await store.LayoutAsync(cancel)).Layout,
        };
        var room = bare.With(await PaceAsync(bare, cancel))
            .With(cache.Tanks ?? cache.KeepTanks(await store.TanksAsync(cancel), latest))
            .With(await lessons.ForAsync(bare, reader, cancel))
            .With(new KeptFoods(await larder.KeptAsync(bare, cancel)));
        await judge.KeepUpAsync(room, cancel);
        return room;
    }

    /// <summary>How long acts take here, learned once a night from the newest rounds.</summary>
    private async Task<RoundPace> PaceAsync(Room room, CancellationToken cancel)
    {
        if (cache.Pace is not { } kept || kept.Night != room.Tonight || kept.Fingerprint != room.Rules.Fingerprint)
        {
            var before = (await reader.NewestAsync(room.Rules.Room.Rounds.PaceEntries.Value, cancel)).Where(e =>
                e.WrittenAt < room.Clock.StartOf(room.Tonight)
            );
            kept = new RoomCache.KeptPace(RoundPace.Of(before, room.Rules.Room), room.Tonight, room.Rules.Fingerprint);
            cache.Pace = kept;
        }

        return kept.Pace;
    }

    /// <summary>Everything that is or was in the room at a glance, as judged for tonight.</summary>
    public async Task<StockIndex> IndexAsync(CancellationToken cancel) =>
        cache.Index ??= await StockIndex.ReadAsync(db, cancel);
}
