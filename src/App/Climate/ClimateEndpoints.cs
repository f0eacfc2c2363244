using App.Hosting;
using App.Live;
using Husbandry.Climate;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace App.Climate;

/// <summary>A temperature read off in the room.</summary>
/// <param name="TemperatureC">−20 to 60 °C.</param>
/// <param name="RelativeHumidity">0 to 100 per cent, if read.</param>
/// <param name="Zone">Rack, shelf or place; empty for the whole room.</param>
/// <param name="Id">Made by the client; the same id is written once. Left out by programs that send each reading once.</param>
public sealed record ReadOff(double TemperatureC, double? RelativeHumidity = null, string Zone = "", Guid? Id = null);

/// <summary>Temperatures by hand, so that waits can be counted by warmth.</summary>
public static class ClimateEndpoints
{
    private const int Shown = 14;

    public static void MapClimate(this WebApplication app)
    {
        var climate = app.MapGroup("/api/climate").WithTags("Climate");
        climate.MapGet("", NewestAsync).WithName("climate");
        climate
            .MapPost("", AddAsync)
            .WithName("addReading")
            .Produces<IReadOnlyList<ClimateReading>>()
            .ProducesValidationProblem()
            .Produces<BothSides>(409, "application/problem+json");
    }

    private static async Task<Ok<IReadOnlyList<ClimateReading>>> NewestAsync(LanternDb db, CancellationToken cancel)
    {
        var rows = await db.Climate.AsNoTracking().OrderByDescending(c => c.Ticks).Take(Shown).ToListAsync(cancel);
        return TypedResults.Ok<IReadOnlyList<ClimateReading>>([
            .. rows.Select(r => new ClimateReading(
                new DateTimeOffset(r.Ticks, TimeSpan.Zero),
                r.TemperatureC,
                r.RelativeHumidity,
                r.Zone
            )),
        ]);
    }

    private static async Task<IResult> AddAsync(
        ReadOff body,
        [AsParameters] Tap tap,
        HttpContext context,
        RoomNow now,
        LanternDb db,
        RoomCache cache,
        LiveRoom live,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        if (tap.Read(room, out var at) is { } odd)
        {
            return Problems.Of(odd.Field, odd.Message);
        }

        var zone = body.Zone.Trim().ToUpperInvariant();
        var reading = new ClimateReading(at, body.TemperatureC, body.RelativeHumidity, zone);
        if (reading.Problem is { } wrong)
        {
            return Problems.Of(
                wrong.Contains("per cent", StringComparison.Ordinal) ? "relativeHumidity"
                    : wrong.Contains("zone", StringComparison.Ordinal) ? "zone"
                    : "temperatureC",
                wrong
            );
        }

        if (body.Id is { } id && await db.Climate.FirstOrDefaultAsync(c => c.ReadingId == id, cancel) is { } former)
        {
            return
                (former.Zone, former.TemperatureC, former.RelativeHumidity)
                == (zone, body.TemperatureC, body.RelativeHumidity)
                ? await NewestAsync(db, cancel)
                : Problems.Conflict(BothSides.OfId(new("id", "This id was used for another reading; make a new one.")));
        }

        // A second one of the same instant is the same reading.
        if (!await db.Climate.AnyAsync(c => c.Zone == zone && c.Ticks == reading.At.UtcTicks, cancel))
        {
            db.Climate.Add(
                new ClimateRow
                {
                    ReadingId = body.Id,
                    Ticks = reading.At.UtcTicks,
                    Zone = zone,
                    TemperatureC = reading.TemperatureC,
                    RelativeHumidity = reading.RelativeHumidity,
                }
            );
            await db.SaveChangesAsync(cancel);
            (cache.Climate, cache.Taught) = (null, null);
            live.Tell(LiveTopic.Climate, Hand.Of(context, room), body.Id);
        }

        return await NewestAsync(db, cancel);
    }
}
