using App.Access;
using App.Hosting;
using App.Live;
using Husbandry.Almanac;
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

/// <summary>Racks and shelves, what stands on them, and who needs a larger enclosure.</summary>
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
            .Produces<BothSides>(409, "application/problem+json");
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
            var there = await store.LayoutAsync(cancel);
            var differences = Differences.Between("layout", there.Layout, body.Layout, room.Wording);
            return differences.Count == 0
                ? TypedResults.Ok(await reader.ReadAsync(cancel))
                : Problems.Conflict(BothSides.OfVersion(there.Version, differences));
        }

        cache.Layout = null;
        live.Tell(LiveTopic.Shelves, Hand.Of(context, room));
        return TypedResults.Ok(await reader.ReadAsync(cancel));
    }

    private static async Task<Ok<RehousePlan>> RehousingAsync(
        RoomNow now,
        JournalReader journal,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var index = await now.IndexAsync(cancel);
        // Only those whose glance says that they do not fit, or will not, and broods are judged.
        var ids = index
            .Here.Where(g => g.House.Fit is FitWord.Misfits or FitWord.Outgrows || g.Who.Kind == StockKind.Brood)
            .Select(g => g.StockId)
            .ToList();
        var judged = (await journal.StandingsAsync(ids, cancel))
            .Select(s => Judgement.TryOf(s, room))
            .OfType<Judgement>();
        var sizes = index.Here.Select(g => g.House.Enclosure).OfType<Enclosure>();
        return TypedResults.Ok(RehousePlan.Of(judged, sizes, room));
    }
}
