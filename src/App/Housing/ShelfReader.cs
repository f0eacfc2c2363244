using App.Hosting;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Ledger;

namespace App.Housing;

/// <summary>Reads the shelves.</summary>
public sealed class ShelfReader(RoomNow now, RoomStore store, LanternDb db)
{
    /// <summary>All shelves with what stands on them.</summary>
    public async Task<ShelvesView> ReadAsync(CancellationToken cancel)
    {
        var room = await now.ReadAsync(cancel);
        var index = await now.IndexAsync(cancel);
        var (layout, version) = await store.LayoutAsync(cancel);
        var end = room.Clock.EndOf(room.Tonight).UtcTicks;
        var due = db.DueIds(end).ToHashSet();
        var byShelf = index.Shelves.ToDictionary(s => s[0].Where.Place.ShelfCode);
        var order = layout.WalkingOrder();
        var walked = layout
            .Racks.SelectMany(r => r.Shelves.Select(s => new Place(r.Rack, s.Number, 1)))
            .Concat(index.Shelves.Select(s => s[0].Where.Place with { Slot = 1 }))
            .Distinct()
            .Order(order)
            .Select((p, i) => (p.ShelfCode, Number: i + 1))
            .ToDictionary(x => x.ShelfCode, x => x.Number);
        SlotView Slot(Glance g) =>
            new(
                g.StockId,
                g.Where.Place,
                g.Who.Name,
                g.Who.Species,
                PhaseMark.Of(g.Waits.Phase).Word,
                g.Waits.Shutters,
                due.Contains(g.StockId),
                g.House.Enclosure,
                g.House.Fit,
                g.House.FitText,
                g.Who.Hazard,
                g.Where.Quarantine
            );
        ShelfView Shelf(string code, ShelfLayout? measures)
        {
            var stand = byShelf.GetValueOrDefault(code) ?? [];
            var taken = stand.Select(g => g.Where.Place.Slot).ToHashSet();
            var slots = Math.Max(measures?.Slots ?? 0, stand.Count == 0 ? 0 : stand.Max(g => g.Where.Place.Slot));
            return new ShelfView(
                code,
                measures,
                walked.GetValueOrDefault(code),
                [.. stand.Select(Slot)],
                [.. Enumerable.Range(1, slots).Where(n => !taken.Contains(n))],
                measures is null
                    ? []
                    :
                    [
                        .. stand
                            .Where(g => g.House.Enclosure?.HeightMm > measures.HeightMm)
                            .Select(g => g.Where.Place.Slot),
                    ],
                measures is not null && stand.Sum(g => g.House.Enclosure?.WidthMm ?? 0) > measures.WidthMm
            );
        }

        var drawn = layout
            .Racks.Select(r => new RackView(
                r.Rack,
                r.Area,
                [
                    .. r.Shelves.Select(s => Shelf($"{r.Rack}{s.Number}", s)),
                    .. Unmeasured(r.Rack, r.Shelves).Select(code => Shelf(code, null)),
                ]
            ))
            .ToList();
        var known = layout.Racks.Select(r => r.Rack).ToHashSet();
        var others = index
            .Shelves.Where(s => !known.Contains(s[0].Where.Place.Rack))
            .GroupBy(s => s[0].Where.Place.Rack)
            .Select(g => new RackView(g.Key, "", [.. g.Select(s => Shelf(s[0].Where.Place.ShelfCode, null))]));
        return new ShelvesView(
            room.Tonight,
            version,
            layout,
            [.. drawn, .. others],
            [
                .. index
                    .Here.Where(g => g.Where.Quarantine is not null && !layout.IsQuarantine(g.Where.Place))
                    .Select(Slot),
            ],
            [
                .. index
                    .Here.Select(g => g.House.Enclosure)
                    .OfType<Enclosure>()
                    .DistinctBy(e => e.Name)
                    .OrderBy(e => e.WidthMm * e.DepthMm * e.HeightMm),
            ]
        );

        IEnumerable<string> Unmeasured(string rack, IReadOnlyList<ShelfLayout> measured) =>
            byShelf
                .Values.Select(s => s[0].Where.Place)
                .Where(p => p.Rack == rack && measured.All(m => m.Number != p.Shelf))
                .Select(p => p.ShelfCode);
    }
}
