using System.Threading.RateLimiting;
using App.Access;
using App.Hosting;
using App.Live;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace App.Climate;

/// <summary>What brings readings, as listed; its secret is shown only when it is made.</summary>
public sealed record GatewayView(Guid Id, string Name, DateTimeOffset MadeAt, DateTimeOffset? HeardAt, int Sensors);

/// <summary>A gateway that was just made, with its secret.</summary>
public sealed record GatewayMade(string Token, IReadOnlyList<GatewayView> Gateways);

/// <summary>A gateway to be made.</summary>
/// <param name="Name">What the keeper calls it, 1–60 characters.</param>
public sealed record GatewayRequest(string Name);

/// <summary>One reading as a gateway posts it.</summary>
/// <param name="Sensor">What the gateway calls the sensor, 1–60 characters.</param>
/// <param name="TemperatureC">−20 to 60 °C.</param>
/// <param name="RelativeHumidity">0 to 100 per cent, where it is read.</param>
/// <param name="At">When; left out, now.</param>
public sealed record GatewayReading(
    string Sensor,
    double TemperatureC,
    double? RelativeHumidity = null,
    DateTimeOffset? At = null
);

/// <summary>Readings of a gateway.</summary>
/// <param name="Readings">1 to 5000; all are taken, or none.</param>
public sealed record GatewayReadings(IReadOnlyList<GatewayReading> Readings);

/// <summary>What was taken.</summary>
/// <param name="Taken">Readings that were new.</param>
/// <param name="Known">Readings that were there already.</param>
public sealed record GatewayTaken(int Taken, int Known);

/// <summary>Gateways, and the address to which they post.</summary>
public static class GatewayEndpoints
{
    public const string ReadingsPath = "/api/gateway/readings";
    public const string Limit = "gateway";

    private const int MostGateways = 20;
    private const int LongestName = 60;
    private const int PostsAMinute = 120;

    /// <summary>Each gateway may post so often; whoever has no secret shares one measure by address.</summary>
    public static RateLimitPartition<string> LimitOf(HttpContext context) =>
        RateLimitPartition.GetFixedWindowLimiter(
            TokenOf(context) is { } token ? Secrets.Hash(token) : context.Connection.RemoteIpAddress?.ToString() ?? "",
            _ => new FixedWindowRateLimiterOptions { PermitLimit = PostsAMinute, Window = TimeSpan.FromMinutes(1) }
        );

    public static void MapGateways(this WebApplication app)
    {
        var gateways = app.MapGroup("/api/gateways").WithTags("Climate").ForOwner();
        gateways.MapGet("", ListAsync).WithName("gateways");
        gateways.MapPost("", MakeAsync).WithName("makeGateway").Produces<GatewayMade>().ProducesValidationProblem();
        gateways
            .MapDelete("{id:guid}", WithdrawAsync)
            .WithName("withdrawGateway")
            .Produces<IReadOnlyList<GatewayView>>()
            .ProducesProblem(404);
        app.MapPost(ReadingsPath, TakeAsync)
            .WithName("gatewayReadings")
            .WithTags("Climate")
            .RequireRateLimiting(Limit)
            .Produces<GatewayTaken>()
            .ProducesValidationProblem()
            .ProducesProblem(401)
            .ProducesProblem(429);
    }

    private static async Task<Ok<IReadOnlyList<GatewayView>>> ListAsync(
        LanternDb db,
        ClimateStore store,
        CancellationToken cancel
    ) => TypedResults.Ok(await ViewAsync(db, store, cancel));

    private static async Task<IReadOnlyList<GatewayView>> ViewAsync(
        LanternDb db,
        ClimateStore store,
        CancellationToken cancel
    )
    {
        var rows = await db
            .Gateways.AsNoTracking()
            .Where(g => g.EndedTicks == null)
            .OrderBy(g => g.MadeTicks)
            .ToListAsync(cancel);
        var book = await store.BookAsync(cancel);
        return
        [
            .. rows.Select(g => new GatewayView(
                g.Id,
                g.Name,
                new DateTimeOffset(g.MadeTicks, TimeSpan.Zero),
                g.HeardTicks is { } heard ? new DateTimeOffset(heard, TimeSpan.Zero) : null,
                book.Sensors.Count(s => s.Gateway == g.Id)
            )),
        ];
    }

    private static async Task<IResult> MakeAsync(
        GatewayRequest body,
        HttpContext context,
        LanternDb db,
        ClimateStore store,
        AccessLog log,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (string.IsNullOrWhiteSpace(body.Name) || body.Name.Length > LongestName)
        {
            return Problems.Of("name", $"Write 1 to {LongestName} characters.");
        }

        if (await db.Gateways.CountAsync(g => g.EndedTicks == null, cancel) >= MostGateways)
        {
            return Problems.Of("name", $"At most {MostGateways} gateways; take one back first.");
        }

        var token = Secrets.New();
        db.Gateways.Add(Row(body.Name.Trim(), token, clock.GetUtcNow()));
        await db.SaveChangesAsync(cancel);
        await log.NoteAsync(AccessEvent.GatewayMade, context, cancel, body.Name.Trim());
        return TypedResults.Ok(new GatewayMade(token, await ViewAsync(db, store, cancel)));
    }

    /// <summary>A gateway with a secret.</summary>
    internal static GatewayRow Row(string name, string token, DateTimeOffset now, Guid? id = null) =>
        new()
        {
            Id = id ?? Guid.NewGuid(),
            Name = name,
            TokenHash = Secrets.Hash(token),
            MadeTicks = now.UtcTicks,
        };

    private static async Task<IResult> WithdrawAsync(
        Guid id,
        HttpContext context,
        LanternDb db,
        ClimateStore store,
        AccessLog log,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var row = await db.Gateways.FirstOrDefaultAsync(g => g.Id == id && g.EndedTicks == null, cancel);
        if (row is null)
        {
            return Problems.NotFound("gateway");
        }

        row.EndedTicks = clock.GetUtcNow().UtcTicks;
        await db.SaveChangesAsync(cancel);
        await log.NoteAsync(AccessEvent.GatewayEnded, context, cancel, row.Name);
        return TypedResults.Ok(await ViewAsync(db, store, cancel));
    }

    private static async Task<IResult> TakeAsync(
        GatewayReadings body,
        HttpContext context,
        LanternDb db,
        ReadingTaker taker,
        LiveRoom live,
        CancellationToken cancel
    )
    {
        var hash = TokenOf(context) is { } token ? Secrets.Hash(token) : "";
        var gateway = await db.Gateways.FirstOrDefaultAsync(g => g.TokenHash == hash && g.EndedTicks == null, cancel);
        if (gateway is null)
        {
            return Results.Problem(
                statusCode: StatusCodes.Status401Unauthorized,
                title: "No gateway has this token: make one under Climate and send it as a bearer token."
            );
        }

        var (taken, problems, found) = await taker.TakeAsync(gateway, body.Readings, cancel);
        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        if (found)
        {
            live.Tell(LiveTopic.Alarms, gateway.Name);
        }

        return TypedResults.Ok(new GatewayTaken(taken, body.Readings.Count - taken));
    }

    private static string? TokenOf(HttpContext context)
    {
        const string Bearer = "Bearer ";
        var header = context.Request.Headers.Authorization.ToString();
        return header.StartsWith(Bearer, StringComparison.OrdinalIgnoreCase) && header.Length > Bearer.Length
            ? header[Bearer.Length..].Trim()
            : null;
    }
}
