using App.Hosting;
using App.Live;
using Husbandry.Larder;
using Husbandry.Rooms;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Larder;

/// <summary>An entry for the larder.</summary>
/// <param name="Id">Made by the client; the same id is written once.</param>
/// <param name="Act">What happened.</param>
/// <param name="On">Night on which it happened; tonight when left out.</param>
public sealed record LarderRequest(Guid Id, LarderAct Act, DateOnly? On = null);

/// <summary>An order to the supplier that comes with the product.</summary>
/// <param name="Id">Id of the entry, made by the client.</param>
/// <param name="OrderId">Id of the order, made by the client.</param>
/// <param name="Lines">What is wanted.</param>
public sealed record OrderRequest(Guid Id, Guid OrderId, IReadOnlyList<OrderLine> Lines);

/// <summary>Something was written into the larder's journal.</summary>
public sealed record LarderWritten(Guid Id);

/// <summary>The larder: what is there, what will be needed, what to start or order.</summary>
public static class LarderEndpoints
{
    private const int LinesShown = 40;

    public static void MapLarder(this WebApplication app)
    {
        var larder = app.MapGroup("/api/larder").WithTags("Larder");
        larder.MapGet("", ReadAsync).WithName("larder");
        larder
            .MapPost("journal", WriteAsync)
            .WithName("logInLarder")
            .Produces<LarderWritten>()
            .ProducesValidationProblem()
            .Produces<BothSides>(409, "application/problem+json");
        larder
            .MapPost("orders", OrderAsync)
            .WithName("order")
            .Produces<LarderWritten>()
            .ProducesValidationProblem()
            .Produces<BothSides>(409, "application/problem+json");
        larder.MapGet("work", WorkAsync).WithName("larderWork");
        larder.MapGet("shopping.csv", ShoppingAsync).WithName("shoppingList").Produces<string>(200, "text/csv");
    }

    private static async Task<Ok<LarderView>> ReadAsync(
        RoomNow now,
        LarderPlanner planner,
        LarderStore store,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var (plan, unsized, standing) = await planner.PlanAsync(room, cancel);
        var entries = await store.ReadAsync(cancel);
        var gone = entries.Select(e => (e.Act as LarderWithdrawn)?.EntryId).OfType<Guid>().ToHashSet();
        return TypedResults.Ok(
            new LarderView(
                room.Tonight,
                plan,
                unsized,
                [
                    .. standing
                        .StandingCultures.Where(c => room.Rules.Feeder(c.FeederId)?.Culture is not null)
                        .Select(c => CultureView.Of(c, room.Rules.Feeder(c.FeederId)!, room))
                        .OrderBy(c => c.Name, StringComparer.Ordinal)
                        .ThenBy(c => c.StartedOn),
                ],
                [.. standing.Orders.Where(o => o.IsOpen).OrderBy(o => o.PlacedAt).Select(o => Show(o, room))],
                new SimulatedSupplier(room.Rules).Catalogue,
                new BenchRoutine(
                    room.Rules.Larder.ChillMinutes.Value.Low,
                    room.Rules.Larder.ChillMinutes.Value.High,
                    room.Rules.Larder.ChillLookMinutes.Value
                ),
                [
                    .. standing
                        .Plants.Where(p => p.IsThere)
                        .OrderBy(p => p.Plant, StringComparer.OrdinalIgnoreCase)
                        .ThenBy(p => p.Since)
                        .Select(p => PlantView.Of(p, room)),
                ],
                [
                    .. room
                        .Rules.Species.SelectMany(s => s.Larvae?.Hosts.Value ?? [])
                        .Distinct(StringComparer.OrdinalIgnoreCase)
                        .Order(StringComparer.OrdinalIgnoreCase),
                ],
                [
                    .. entries
                        .Where(e => e.Act is not LarderWithdrawn && !gone.Contains(e.Id))
                        .OrderByDescending(e => e.At)
                        .ThenByDescending(e => e.Sequence)
                        .Take(LinesShown)
                        .Select(
                            (e, i) =>
                                new LarderLine(
                                    e.Id,
                                    e.At,
                                    e.WrittenBy,
                                    LarderText.Of(e.Act, standing, room.Rules),
                                    i == 0
                                        || e.Act
                                            is FoodCounted
                                                or FoodGained
                                                or FoodLost
                                                or GoodsCounted
                                                or PlantSeen
                                                or PlantWatered
                                )
                        ),
                ]
            )
        );
    }

    private static OrderView Show(Order order, Room room) =>
        new(
            order.Id,
            room.Clock.NightOf(order.PlacedAt),
            order.PromisedOn,
            [.. order.Lines.Select(l => LarderText.Line(l, room.Rules))],
            order.Lines,
            SimulatedSupplier.Ask(order, room.Tonight)
        );

    private static async Task<IResult> WriteAsync(
        LarderRequest body,
        [AsParameters] Tap tap,
        HttpContext context,
        RoomNow now,
        LarderStore store,
        LiveRoom live,
        CancellationToken cancel
    )
    {
        if (body.Act is OrderPlaced)
        {
            return Problems.Of("act.kind", "Cannot be logged here: orders are placed under /api/larder/orders.");
        }

        var room = await now.ReadAsync(cancel);
        if (tap.Read(room, out var tapped) is { } wrong)
        {
            return Problems.Of(wrong.Field, wrong.Message);
        }

        var earliest = room.Tonight.AddYears(-1);
        if (body.On is { } on && (on > room.Tonight || on < earliest))
        {
            return Problems.Of(
                "on",
                $"Must be between {room.Wording.Date(earliest)} and tonight, {room.Wording.Date(room.Tonight)}."
            );
        }

        var at = body.On is { } night ? Journal.JournalTimes.Evening(night, room) : tapped;
        var by = Hand.Of(context, room);
        return Written(await store.WriteAsync(body.Id, body.Act, at, by, room, cancel), room, body.Id, by, live);
    }

    private static async Task<IResult> OrderAsync(
        OrderRequest body,
        [AsParameters] Tap tap,
        HttpContext context,
        RoomNow now,
        LarderStore store,
        LiveRoom live,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var supplier = new SimulatedSupplier(room.Rules);
        if (supplier.Refuses(body.Lines) is { } refusal)
        {
            return Problems.Of(refusal.Field, refusal.Message);
        }

        if (tap.Read(room, out var at) is { } wrong)
        {
            return Problems.Of(wrong.Field, wrong.Message);
        }

        // Sent again after a lost answer it has its promise already, and that of a later night would be another order.
        var promise = await store.FindAsync(body.Id, cancel) is OrderPlaced former
            ? former.PromisedOn
            : supplier.Promise(room.Clock.NightOf(at));
        var placed = new OrderPlaced(body.OrderId, body.Lines, promise);
        var by = Hand.Of(context, room);
        return Written(await store.WriteAsync(body.Id, placed, at, by, room, cancel), room, body.Id, by, live);
    }

    private static IResult Written(WriteResult result, Room room, Guid id, string by, LiveRoom live)
    {
        if (Problems.ForFailure(result, room) is { } failure)
        {
            return failure;
        }

        live.Tell(LiveTopic.Larder, by, id);
        return TypedResults.Ok(new LarderWritten(id));
    }

    /// <summary>What falls on a night: on tonight all that is due, on a later one what falls on it.</summary>
    private static async Task<Ok<IReadOnlyList<LarderWork>>> WorkAsync(
        DateOnly? night,
        RoomNow now,
        LarderPlanner planner,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var (plan, _, larder) = await planner.PlanAsync(room, cancel);
        var on = night ?? room.Tonight;
        IReadOnlyList<LarderWork> work =
        [
            .. LarderWork.Of(larder, plan, room).Where(w => w.Due == on || (w.Due < on && on == room.Tonight)),
        ];
        return TypedResults.Ok(work);
    }

    private static async Task<FileContentHttpResult> ShoppingAsync(
        RoomNow now,
        LarderPlanner planner,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var (plan, _, _) = await planner.PlanAsync(room, cancel);
        return TypedResults.File(
            ShoppingList.Csv(plan),
            "text/csv; charset=utf-8",
            $"shopping-{room.Tonight:yyyy-MM-dd}.csv"
        );
    }
}
