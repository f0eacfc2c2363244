using System.Collections.Concurrent;
using Husbandry.Rounds;
using Husbandry.Stock;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>Everything that is or was in the room at a glance, kept in memory and in step with what is written.</summary>
public sealed class StockIndex
{
    private readonly ConcurrentDictionary<Guid, Glance> glances;
    private volatile IReadOnlyList<Glance>? here;
    private volatile IReadOnlyList<IReadOnlyList<Glance>>? shelves;

    private StockIndex(IEnumerable<Glance> all) => glances = new(all.Select(g => KeyValuePair.Create(g.StockId, g)));

    /// <summary>Rises with every change, so that what was worked out from it can be kept as long as it holds.</summary>
    public long Version { get; private set; }

    /// <summary>What is in the room, by place.</summary>
    public IReadOnlyList<Glance> Here => here ??= [.. glances.Values.Where(g => g.IsHere).OrderBy(g => g.Where.Place)];

    /// <summary>What stands in the room by shelf, each in order of its slots; those of a shared tank stand in it.</summary>
    public IReadOnlyList<IReadOnlyList<Glance>> Shelves =>
        shelves ??= [
            .. Here.Where(g => g.Where.TankId is null)
                .GroupBy(g => g.Where.Place.ShelfCode)
                .Select(g => (IReadOnlyList<Glance>)[.. g]),
        ];

    /// <summary>What has left, the latest first.</summary>
    public IReadOnlyList<Glance> Gone =>
        [.. glances.Values.Where(g => !g.IsHere).OrderByDescending(g => g.Where.LeftOn).ThenBy(g => g.Who.Name)];

    /// <summary>How many there are, those that left included.</summary>
    public int Count => glances.Count;

    /// <summary>One animal; none when there is no such.</summary>
    public Glance? Find(Guid stockId) => glances.GetValueOrDefault(stockId);

    /// <summary>Reads the index.</summary>
    public static async Task<StockIndex> ReadAsync(LanternDb db, CancellationToken cancel)
    {
        var all = new List<Glance>();
        var rows = db
            .Standings.AsNoTracking()
            .Select(s => new
            {
                s.StockId,
                s.Rack,
                s.Shelf,
                s.Slot,
                s.Glance,
            })
            .AsAsyncEnumerable()
            .WithCancellation(cancel);
        await foreach (var row in rows)
        {
            all.Add(
                StoredStanding.Glance(row.Glance)
                    ?? Unjudged.Glance(
                        row.StockId,
                        new Place(row.Rack, row.Shelf, row.Slot),
                        StoredStanding.NameOf(row.StockId),
                        DateOnly.MinValue,
                        0
                    )
            );
        }

        return new StockIndex(all);
    }

    internal void Put(IEnumerable<Glance> changed)
    {
        foreach (var glance in changed)
        {
            // Two writers may come in here the other way round than they wrote.
            glances.AddOrUpdate(glance.StockId, glance, (_, old) => old.Sequence > glance.Sequence ? old : glance);
        }

        here = null;
        shelves = null;
        Version++;
    }
}
