using Husbandry.Larder;
using Husbandry.Rooms;
using Ledger;

namespace App.Larder;

/// <summary>Plans the larder from what is in the ledger.</summary>
public sealed class LarderPlanner(JournalReader reader, LarderStore store, RoomCache cache)
{
    /// <summary>The plan, how many enclosures could not be planned for, and the larder itself.</summary>
    public async Task<(LarderPlan Plan, int Unsized, LarderStanding Larder)> PlanAsync(
        Room room,
        CancellationToken cancel
    )
    {
        var larder = await store.StandingAsync(room.Rules, cancel);
        var mark = new RoomCache.NeedsMark(
            await reader.LatestSequenceAsync(cancel),
            await store.LatestSequenceAsync(cancel),
            room.Rules.Fingerprint,
            room.Tonight,
            room.Settings
        );
        if (cache.Needs is not { } kept || kept.Mark != mark)
        {
            var standings = await reader.StandingsAsync(here: true, cancel);
            kept = new RoomCache.KeptNeeds(mark, RoomNeeds.Of(standings, room));
            cache.Needs = kept;
        }

        var fed = await store.FedAsync(larder, room, cancel);
        var (needs, enclosures, unsized, eaters, fromTubs, byRecord) = kept.Needs;
        return (LarderPlan.Of(needs, larder, fed, enclosures, eaters, room, fromTubs, byRecord), unsized, larder);
    }
}
