using App.Hosting;
using Husbandry.Reasons;
using Husbandry.Stock;
using Ledger;
using Microsoft.EntityFrameworkCore;

namespace App.Rooms;

/// <summary>Another zone or hour at which nights begin, before it is taken.</summary>
public sealed record NightsRequest(string ZoneId, int CutoverHour);

/// <summary>An entry that would lie on another night.</summary>
public sealed record MovedNight(Place Place, string Name, DateOnly From, DateOnly To);

/// <summary>What another zone or hour would do to the nights of the record.</summary>
/// <param name="Moved">Entries that would lie on another night.</param>
/// <param name="Of">All entries.</param>
/// <param name="Newest">The newest few of them.</param>
public sealed record NightsMoved(int Moved, int Of, IReadOnlyList<MovedNight> Newest);

/// <summary>Says which entries another zone or hour would put on another night: that is never done unsaid.</summary>
public sealed class NightsReader(RoomNow now, RoomStore store, LanternDb db)
{
    private const int Named = 4;

    /// <summary>What would move, or what is wrong with what was asked.</summary>
    public async Task<(NightsMoved? Moved, IReadOnlyList<Problem> Problems)> ReadAsync(
        NightsRequest asked,
        CancellationToken cancel
    )
    {
        var settings = (await store.ReadAsync(cancel)).Settings;
        var after = settings with { ZoneId = asked.ZoneId, CutoverHour = asked.CutoverHour };
        if (after.Problems().ToList() is { Count: > 0 } problems)
        {
            return (null, problems);
        }

        await now.ReadAsync(cancel);
        var index = await now.IndexAsync(cancel);
        var (before, then) = (settings.Clock(), after.Clock());
        var (moved, all, newest) = (0, 0, new List<MovedNight>());
        var rows = db
            .Entries.AsNoTracking()
            .OrderByDescending(e => e.Sequence)
            .Select(e => new { e.StockId, e.ToTicks });
        await foreach (var row in rows.AsAsyncEnumerable().WithCancellation(cancel))
        {
            all++;
            var at = new DateTimeOffset(row.ToTicks, TimeSpan.Zero);
            var (from, to) = (before.NightOf(at), then.NightOf(at));
            if (from == to)
            {
                continue;
            }

            moved++;
            if (newest.Count < Named && index.Find(row.StockId) is { } glance)
            {
                newest.Add(new MovedNight(glance.Where.Place, glance.Who.Name, from, to));
            }
        }

        return (new NightsMoved(moved, all, newest), []);
    }
}
