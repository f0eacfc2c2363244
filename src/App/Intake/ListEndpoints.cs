using App.Hosting;
using Ledger.Intake;

namespace App.Intake;

/// <summary>A keeper's own list, to be written.</summary>
/// <param name="Id">Made by the client; the same id is written once.</param>
/// <param name="List">The list; what is on record already is passed over.</param>
public sealed record ListRequest(Guid Id, KeepersList List);

/// <summary>A list that was written.</summary>
/// <param name="Entries">Entries of it.</param>
public sealed record ListWritten(int Entries);

/// <summary>Taking over lists of what happened, of the larder, chores, gear and contacts: read first, then written all or none.</summary>
public static class ListEndpoints
{
    public static void AddLists(this IServiceCollection services)
    {
        services.AddScoped<HappenedLists>();
        services.AddScoped<LarderLists>();
        services.AddScoped<ChoreLists>();
        services.AddScoped<GearLists>();
        services.AddScoped<ContactLists>();
    }

    public static void MapLists(this WebApplication app)
    {
        Map<HappenedLists>(app, "happened", "Happened");
        Map<LarderLists>(app, "larder", "LarderList");
        Map<ChoreLists>(app, "chores", "ChoreList");
        Map<GearLists>(app, "gear", "GearList");
        Map<ContactLists>(app, "contacts", "ContactList");
    }

    private static void Map<T>(WebApplication app, string what, string name)
        where T : IListKind
    {
        var list = app.MapGroup($"/api/intake/{what}").WithTags("Intake");
        // The kind is asked for by hand: the framework's own check of handlers fails at a type that is still open.
        static IListKind KindOf(HttpContext context) => context.RequestServices.GetRequiredService<T>();
        list.MapPost(
                "read",
                (KeepersList body, HttpContext context, RoomNow now, CancellationToken cancel) =>
                    ReadAsync(body, KindOf(context), now, cancel)
            )
            .WithName($"read{name}")
            .Produces<ListSheet>()
            .ProducesValidationProblem();
        list.MapPost(
                "",
                (
                    ListRequest body,
                    [AsParameters] Tap tap,
                    HttpContext context,
                    RoomNow now,
                    CancellationToken cancel
                ) => WriteAsync(body, tap, context, KindOf(context), now, cancel)
            )
            .WithName($"write{name}")
            .Produces<ListWritten>()
            .ProducesValidationProblem()
            .Produces<BothSides>(409, "application/problem+json");
    }

    private static async Task<IResult> ReadAsync(
        KeepersList body,
        IListKind lists,
        RoomNow now,
        CancellationToken cancel
    ) =>
        IntakeBounds.Problem(body.Text, body.Cells)
        ?? (IResult)
            TypedResults.Ok((await lists.ReadAsync(body, Guid.Empty, await now.ReadAsync(cancel), cancel)).Sheet);

    private static async Task<IResult> WriteAsync(
        ListRequest body,
        Tap tap,
        HttpContext context,
        IListKind lists,
        RoomNow now,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var odd = tap.Read(room, out var at);
        if (IntakeBounds.Problem(body.List.Text, body.List.Cells) is { } unbounded)
        {
            return unbounded;
        }

        if (odd is not null)
        {
            return Problems.Of(odd.Field, odd.Message);
        }

        var read = await lists.ReadAsync(body.List, body.Id, room, cancel);
        if (read.Sheet.Problems() is { Count: > 0 } unsound)
        {
            return Problems.Of(unsound);
        }

        var (result, count) = await read.WriteAsync(at, Hand.Of(context, room), cancel);
        return Problems.ForFailure(result, room) ?? TypedResults.Ok(new ListWritten(count));
    }
}
