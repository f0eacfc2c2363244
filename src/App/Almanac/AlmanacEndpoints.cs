using App.Access;
using App.Hosting;
using Husbandry.Almanac;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Almanac;

/// <summary>The almanac, and where calendars may read it.</summary>
/// <param name="Plan">The weeks ahead.</param>
/// <param name="HasFeed">Whether calendars read it under an address of whoever asks.</param>
public sealed record AlmanacView(AlmanacPlan Plan, bool HasFeed);

/// <summary>Where the feed is now; told once, when it is made.</summary>
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
        almanac.MapPost("feed", RenewFeedAsync).WithName("renewFeed");
        almanac.MapDelete("feed", EndFeedAsync).WithName("endFeed");
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
        HttpContext context,
        RoomNow now,
        ChoreStore chores,
        ClimateStore air,
        CalendarFeeds feeds,
        CancellationToken cancel
    ) =>
        TypedResults.Ok(
            new AlmanacView(await PlanAsync(now, chores, air, cancel), await feeds.HasAsync(context, cancel))
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
        CalendarFeeds feeds,
        CancellationToken cancel
    )
    {
        if (!await feeds.OpensAsync(secret, cancel))
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
    private static async Task<Ok<FeedAddress>> RenewFeedAsync(
        HttpContext context,
        RoomNow now,
        CalendarFeeds feeds,
        AccessLog log,
        CancellationToken cancel
    )
    {
        await now.ReadAsync(cancel);
        var secret = await feeds.RenewAsync(context, cancel);
        await log.NoteAsync(AccessEvent.CalendarMade, context, cancel);
        return TypedResults.Ok(new FeedAddress($"{FeedRoot}/{secret}.ics"));
    }

    private static async Task<Ok<FeedAddress>> EndFeedAsync(
        HttpContext context,
        CalendarFeeds feeds,
        AccessLog log,
        CancellationToken cancel
    )
    {
        await feeds.EndAsync(context, cancel);
        await log.NoteAsync(AccessEvent.CalendarEnded, context, cancel);
        return TypedResults.Ok(new FeedAddress(null));
    }
}
