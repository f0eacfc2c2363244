using App.Hosting;
using App.Live;
using Husbandry.Chores;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Chores;

/// <summary>An entry for the chores.</summary>
/// <param name="Id">Made by the client; the same id is written once.</param>
/// <param name="Act">What happened.</param>
public sealed record ChoreRequest(Guid Id, ChoreAct Act);

/// <summary>A chore and the nights of the next weeks on which it falls.</summary>
public sealed record ChoreView(Chore Chore, DateOnly? Due, IReadOnlyList<DateOnly> Ahead);

/// <summary>Chores, gear, and what was done of late.</summary>
/// <param name="Tonight">Tonight.</param>
/// <param name="Chores">Chores, what is due first.</param>
/// <param name="Gear">Gear with its bookings.</param>
/// <param name="Log">The newest entries in words.</param>
public sealed record ChoresView(
    DateOnly Tonight,
    IReadOnlyList<ChoreView> Chores,
    IReadOnlyList<Gear> Gear,
    IReadOnlyList<ChoreLine> Log
);

/// <summary>One line of what was done.</summary>
public sealed record ChoreLine(Guid Id, DateTimeOffset At, string By, string Text);

/// <summary>Work other than at one animal: cultures, misting, cleaning, calibrations, gear, seasons.</summary>
public static class ChoreEndpoints
{
    private const int AheadWeeks = 12;
    private const int AheadShown = 4;
    private const int LinesShown = 30;

    public static void MapChores(this WebApplication app)
    {
        var chores = app.MapGroup("/api/chores").WithTags("Chores");
        chores.MapGet("", ReadAsync).WithName("chores");
        chores
            .MapPost("journal", WriteAsync)
            .WithName("logChore")
            .Produces<ChoresView>()
            .ProducesValidationProblem()
            .Produces<BothSides>(409, "application/problem+json");
    }

    private static async Task<Ok<ChoresView>> ReadAsync(RoomNow now, ChoreStore store, CancellationToken cancel) =>
        TypedResults.Ok(await ViewAsync(now, store, cancel));

    private static async Task<ChoresView> ViewAsync(RoomNow now, ChoreStore store, CancellationToken cancel)
    {
        var room = await now.ReadAsync(cancel);
        var entries = await store.ReadAsync(cancel);
        var standing = ChoreStanding.Fold(entries);
        var gone = entries.Select(e => (e.Act as ChoreWithdrawn)?.EntryId).OfType<Guid>().ToHashSet();
        var to = room.Tonight.AddDays(AheadWeeks * 7);
        return new ChoresView(
            room.Tonight,
            [
                .. standing
                    .Chores.Select(c => new ChoreView(
                        c,
                        c.Due,
                        [.. c.Plan.Between(c.LastDone, room.Tonight, to).Take(AheadShown)]
                    ))
                    .OrderBy(c => c.Due ?? DateOnly.MaxValue)
                    .ThenBy(c => c.Chore.Plan.Title, StringComparer.Ordinal),
            ],
            standing.Gear,
            [
                .. entries
                    .Where(e => e.Act is not ChoreWithdrawn && !gone.Contains(e.Id))
                    .OrderByDescending(e => e.At)
                    .ThenByDescending(e => e.Sequence)
                    .Take(LinesShown)
                    .Select(e => new ChoreLine(e.Id, e.At, e.WrittenBy, ChoreText.Of(e.Act, entries, room.Wording))),
            ]
        );
    }

    private static async Task<IResult> WriteAsync(
        ChoreRequest body,
        [AsParameters] Tap tap,
        HttpContext context,
        RoomNow now,
        ChoreStore store,
        LiveRoom live,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        if (tap.Read(room, out var at) is { } wrong)
        {
            return Problems.Of(wrong.Field, wrong.Message);
        }

        var by = Hand.Of(context, room);
        var result = await store.WriteAsync(body.Id, body.Act, at, by, room, cancel);
        if (Problems.ForFailure(result, room) is { } failure)
        {
            return failure;
        }

        live.Tell(LiveTopic.Chores, by, body.Id);
        return TypedResults.Ok(await ViewAsync(now, store, cancel));
    }
}
