using App.Access;
using App.Hosting;
using App.Live;
using Husbandry.Housing;
using Husbandry.Hush;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Housing;

/// <summary>An enclosure where it stands.</summary>
/// <param name="StockId">Its inmate.</param>
/// <param name="Place">Where it stands.</param>
/// <param name="Name">Name of the inmate.</param>
/// <param name="Species">Species of the inmate.</param>
/// <param name="PhaseWord">Phase.</param>
/// <param name="Shutters">Closed shutters, 0–3.</param>
/// <param name="Due">Whether it needs a hand tonight.</param>
/// <param name="Enclosure">Its measures, if taken.</param>
/// <param name="Fit">Whether the inmate fits.</param>
/// <param name="FitText">The same in words.</param>
/// <param name="Hazard">What the inmate can do to people.</param>
/// <param name="Quarantine">Night until which it belongs apart.</param>
public sealed record SlotView(
    Guid StockId,
    Place Place,
    string Name,
    string Species,
    string PhaseWord,
    int Shutters,
    bool Due,
    Enclosure? Enclosure,
    FitWord Fit,
    string FitText,
    Hazard? Hazard,
    DateOnly? Quarantine
);

/// <summary>A shelf with what stands on it.</summary>
/// <param name="Code">Code of the shelf.</param>
/// <param name="Layout">Its measures; none while nobody took them.</param>
/// <param name="Walked">Its number in walking order, from 1.</param>
/// <param name="Slots">What stands on it, in order.</param>
/// <param name="Free">Free places; of a shelf that was not measured the gaps between its enclosures.</param>
/// <param name="TooTall">Places whose enclosure is taller than the shelf.</param>
/// <param name="Overfull">Whether the enclosures are wider than the shelf together.</param>
public sealed record ShelfView(
    string Code,
    ShelfLayout? Layout,
    int Walked,
    IReadOnlyList<SlotView> Slots,
    IReadOnlyList<int> Free,
    IReadOnlyList<int> TooTall,
    bool Overfull
);

/// <summary>A rack.</summary>
public sealed record RackView(string Rack, string Area, IReadOnlyList<ShelfView> Shelves);

/// <summary>The shelves of the rooms.</summary>
/// <param name="Version">Version of the layout, to be given back when it is changed.</param>
/// <param name="Racks">The racks.</param>
/// <param name="Misplaced">New stock that stands among the others.</param>
/// <param name="Sizes">Enclosures in use, by name, to choose from.</param>
public sealed record ShelvesView(
    DateOnly Tonight,
    long Version,
    RoomLayout Layout,
    IReadOnlyList<RackView> Racks,
    IReadOnlyList<SlotView> Misplaced,
    IReadOnlyList<Enclosure> Sizes
);

/// <summary>A changed layout.</summary>
public sealed record LayoutChange(RoomLayout Layout, long Version);

/// <summary>An enclosure carried to another place; what stands there comes to where it stood.</summary>
/// <param name="StockId">Which.</param>
/// <param name="To">Where to.</param>
/// <param name="EntryId">Id of the entry, made by the client.</param>
public sealed record MoveRequest(Guid StockId, Place To, Guid EntryId);

/// <summary>Racks and shelves, moving enclosures, and who needs a larger one.</summary>
public static class ShelfEndpoints
{
    public static void MapShelves(this WebApplication app)
    {
        var shelves = app.MapGroup("/api/shelves").WithTags("Shelves");
        shelves
            .MapGet(
                "",
                async (ShelfReader reader, CancellationToken cancel) => TypedResults.Ok(await reader.ReadAsync(cancel))
            )
            .WithName("shelves");
        shelves
            .MapPut("layout", WriteLayoutAsync)
            .WithName("changeLayout")
            .ForOwner()
            .Produces<ShelvesView>()
            .ProducesValidationProblem()
            .ProducesProblem(409);
        shelves
            .MapPost("moves", MoveAsync)
            .WithName("moveStock")
            .Produces<ShelvesView>()
            .ProducesValidationProblem()
            .ProducesProblem(404)
            .ProducesProblem(409);
        shelves.MapGet("rehousing", RehousingAsync).WithName("rehousing");
    }

    private static async Task<IResult> WriteLayoutAsync(
        LayoutChange body,
        HttpContext context,
        RoomNow now,
        RoomStore store,
        RoomCache cache,
        ShelfReader reader,
        LiveRoom live,
        CancellationToken cancel
    )
    {
        if (body.Layout.Problems().ToList() is { Count: > 0 } wrong)
        {
            return Problems.Of(wrong.Select(p => p with { Field = $"layout.{p.Field}" }));
        }

        var room = await now.ReadAsync(cancel);
        if (!await store.WriteLayoutAsync(body.Layout, body.Version, cancel))
        {
            return Problems.Conflict([
                new Problem("version", "Somebody changed the shelves in the meantime: reload and try again."),
            ]);
        }

        cache.Layout = null;
        live.Tell("shelves", Guid.Empty, Hand.Of(context, room));
        return TypedResults.Ok(await reader.ReadAsync(cancel));
    }

    private static async Task<IResult> MoveAsync(
        MoveRequest body,
        HttpContext context,
        RoomNow now,
        JournalStore store,
        ShelfReader reader,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var index = await now.IndexAsync(cancel);
        if (index.Find(body.StockId) is not { IsHere: true } moved)
        {
            return Problems.NotFound("animal");
        }

        if (moved.Place == body.To)
        {
            return TypedResults.Ok(await reader.ReadAsync(cancel));
        }

        var by = Hand.Of(context, room);
        StockEntry Move(Guid id, Guid entryId, Place to) =>
            new(id, new NewEntry(entryId, Occurrence.At(room.Now), null, new Moved(to), WrittenBy: by));
        var batch = new List<StockEntry> { Move(body.StockId, body.EntryId, body.To) };
        if (index.Here.FirstOrDefault(g => g.Place == body.To) is { } other)
        {
            batch.Add(Move(other.StockId, DerivedId.Of(body.EntryId, "other"), moved.Place));
        }

        var result = await store.WriteAsync(batch, null, room, cancel);
        return Problems.ForFailure(result) ?? TypedResults.Ok(await reader.ReadAsync(cancel));
    }

    private static async Task<Ok<RehousePlan>> RehousingAsync(
        RoomNow now,
        JournalReader journal,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var index = await now.IndexAsync(cancel);
        // Only those whose glance says that they do not fit, or will not, are judged.
        var ids = index.Here.Where(g => g.Fit is FitWord.Misfits or FitWord.Outgrows).Select(g => g.StockId).ToList();
        var judged = (await journal.StandingsAsync(ids, cancel)).Select(s => Judgement.Of(s, room));
        var sizes = index.Here.Select(g => g.Enclosure).OfType<Enclosure>();
        return TypedResults.Ok(RehousePlan.Of(judged, sizes, room));
    }
}

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
        var byShelf = index.Shelves.ToDictionary(s => s[0].Place.ShelfCode);
        var order = layout.WalkingOrder();
        var walked = layout
            .Racks.SelectMany(r => r.Shelves.Select(s => new Place(r.Rack, s.Number, 1)))
            .Concat(index.Shelves.Select(s => s[0].Place with { Slot = 1 }))
            .Distinct()
            .Order(order)
            .Select((p, i) => (p.ShelfCode, Number: i + 1))
            .ToDictionary(x => x.ShelfCode, x => x.Number);
        SlotView Slot(Glance g) =>
            new(
                g.StockId,
                g.Place,
                g.Name,
                g.Species,
                Phases.Word(g.Phase),
                g.Shutters,
                due.Contains(g.StockId),
                g.Enclosure,
                g.Fit,
                g.FitText,
                g.Hazard,
                g.Quarantine
            );
        ShelfView Shelf(string code, ShelfLayout? measures)
        {
            var stand = byShelf.GetValueOrDefault(code) ?? [];
            var taken = stand.Select(g => g.Place.Slot).ToHashSet();
            var slots = Math.Max(measures?.Slots ?? 0, stand.Count == 0 ? 0 : stand.Max(g => g.Place.Slot));
            return new ShelfView(
                code,
                measures,
                walked.GetValueOrDefault(code),
                [.. stand.Select(Slot)],
                [.. Enumerable.Range(1, slots).Where(n => !taken.Contains(n))],
                measures is null
                    ? []
                    : [.. stand.Where(g => g.Enclosure?.HeightMm > measures.HeightMm).Select(g => g.Place.Slot)],
                measures is not null && stand.Sum(g => g.Enclosure?.WidthMm ?? 0) > measures.WidthMm
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
            .Shelves.Where(s => !known.Contains(s[0].Place.Rack))
            .GroupBy(s => s[0].Place.Rack)
            .Select(g => new RackView(g.Key, "", [.. g.Select(s => Shelf(s[0].Place.ShelfCode, null))]));
        return new ShelvesView(
            room.Tonight,
            version,
            layout,
            [.. drawn, .. others],
            [.. index.Here.Where(g => g.Quarantine is not null && !layout.IsQuarantine(g.Place)).Select(Slot)],
            [
                .. index
                    .Here.Select(g => g.Enclosure)
                    .OfType<Enclosure>()
                    .DistinctBy(e => e.Name)
                    .OrderBy(e => e.WidthMm * e.DepthMm * e.HeightMm),
            ]
        );

        IEnumerable<string> Unmeasured(string rack, IReadOnlyList<ShelfLayout> measured) =>
            byShelf
                .Values.Select(s => s[0].Place)
                .Where(p => p.Rack == rack && measured.All(m => m.Number != p.Shelf))
                .Select(p => p.ShelfCode);
    }
}
