using Husbandry.Larder;
using Husbandry.Rounds;
using Husbandry.Rulebook;
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
            kept = NeedsOf(standings, room, mark);
            cache.Needs = kept;
        }

        var fed = await store.FedAsync(larder, room, cancel);
        return (LarderPlan.Of(kept.Needs, larder, fed, kept.Enclosures, room), kept.Unsized, larder);
    }

    /// <summary>What every enclosure will need; each is judged by itself, so they are shared out to the cores.</summary>
    public static RoomCache.RoomNeeds NeedsOf(
        IReadOnlyList<Husbandry.Journal.Standing> standings,
        Room room,
        RoomCache.NeedsMark mark
    )
    {
        var nights = LarderPlan.NightsAhead(room.Rules);
        var each = standings
            .AsParallel()
            .AsOrdered()
            .Select(s => Judgement.Of(s, room))
            .Select(j =>
                (
                    Needs: FoodNeed.Of(j, nights).ToList(),
                    IsUnsized: j.Subject.Group.Diet == Diet.Prey && j.Size.Value is null
                )
            )
            .ToList();
        return new RoomCache.RoomNeeds(
            mark,
            [.. each.SelectMany(e => e.Needs)],
            standings.GroupBy(s => s.Details.Group).ToDictionary(g => g.Key, g => g.Count()),
            each.Count(e => e.IsUnsized)
        );
    }
}
