using App.Access;
using App.Hosting;
using Husbandry.Almanac;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace App.Almanac;

/// <summary>The almanac, and where calendars may read it.</summary>
/// <param name="Plan">The weeks ahead.</param>
/// <param name="FeedPath">Path of the feed with its secret; none before it was asked for.</param>
public sealed record AlmanacView(AlmanacPlan Plan, string? FeedPath);

/// <summary>Where the feed is now.</summary>
public sealed record FeedAddress(string? Path);

/// <summary>Twelve weeks of bands, as a page and as a calendar.</summary>
public static class AlmanacEndpoints
{
    /// <summary>Path under which calendars read the feed; whoever knows the secret behind it may.</summary>
    public const string FeedRoot = "/calendar";

    private const string CalendarType = "text/calendar; charset=utf-8";

    public static void MapAlmanac(this WebApplication app)
    {
        var almanac = app.MapGroup("/api/almanac").WithTags("Almanac");
        almanac.MapGet("", ReadAsync).WithName("almanac");
        almanac.MapGet("calendar.ics", ExportAsync).WithName("calendar").Produces<string>(200, "text/calendar");
        almanac.MapPost("feed", RenewFeedAsync).WithName("renewFeed").ForOwner();
        almanac.MapDelete("feed", EndFeedAsync).WithName("endFeed").ForOwner();
        app.MapGet(FeedRoot + "/{secret}.ics", FeedAsync).ExcludeFromDescription();
    }

    private static async Task<AlmanacPlan> PlanAsync(
        RoomNow now,
        ChoreStore chores,
        ClimateStore air,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var index = await now.IndexAsync(cancel);
        return AlmanacPlan.Of(
            [.. index.Here, .. index.Gone],
            await chores.StandingAsync(cancel),
            room,
            (await air.BookAsync(cancel)).Programmes
        );
    }

    private static async Task<Ok<AlmanacView>> ReadAsync(
        RoomNow now,
        ChoreStore chores,
        ClimateStore air,
        LanternDb db,
        CancellationToken cancel
    ) =>
        TypedResults.Ok(
            new AlmanacView(await PlanAsync(now, chores, air, cancel), PathOf(await TokenAsync(db, cancel)))
        );

    private static async Task<FileContentHttpResult> ExportAsync(
        RoomNow now,
        ChoreStore chores,
        ClimateStore air,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var text = AlmanacCalendar.Write(await PlanAsync(now, chores, air, cancel), room);
        return TypedResults.File(
            System.Text.Encoding.UTF8.GetBytes(text),
            CalendarType,
            $"almanac-{room.Tonight:yyyy-MM-dd}.ics"
        );
    }

    private static async Task<IResult> FeedAsync(
        string secret,
        RoomNow now,
        ChoreStore chores,
        ClimateStore air,
        LanternDb db,
        CancellationToken cancel
    )
    {
        var token = await TokenAsync(db, cancel);
        if (token is null || !Secrets.Same(secret, token))
        {
            return Problems.NotFound("calendar");
        }

        var room = await now.ReadAsync(cancel);
        return Results.Text(
            AlmanacCalendar.Write(await PlanAsync(now, chores, air, cancel), room),
            CalendarType,
            System.Text.Encoding.UTF8
        );
    }

    /// <summary>Makes a new address; calendars that read the former one get nothing more.</summary>
    private static async Task<Ok<FeedAddress>> RenewFeedAsync(RoomNow now, LanternDb db, CancellationToken cancel)
    {
        await now.ReadAsync(cancel);
        var token = Secrets.New();
        await db.Rooms.ExecuteUpdateAsync(r => r.SetProperty(x => x.CalendarToken, token), cancel);
        return TypedResults.Ok(new FeedAddress(PathOf(token)));
    }

    private static async Task<Ok<FeedAddress>> EndFeedAsync(LanternDb db, CancellationToken cancel)
    {
        await db.Rooms.ExecuteUpdateAsync(r => r.SetProperty(x => x.CalendarToken, (string?)null), cancel);
        return TypedResults.Ok(new FeedAddress(null));
    }

    private static Task<string?> TokenAsync(LanternDb db, CancellationToken cancel) =>
        db.Rooms.AsNoTracking().Select(r => r.CalendarToken).SingleOrDefaultAsync(cancel);

    private static string? PathOf(string? token) => token is null ? null : $"{FeedRoot}/{token}.ics";
}
