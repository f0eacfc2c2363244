using System.Globalization;
using App.Hosting;
using App.Live;
using Husbandry.Climate;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace App.Climate;

/// <summary>An entry for the journal of the room's air.</summary>
/// <param name="Id">Made by the client; the same id is written once.</param>
/// <param name="Act">What is said.</param>
public sealed record ClimateRequest(Guid Id, ClimateAct Act);

/// <summary>What sensors said over a time.</summary>
/// <param name="From">Start.</param>
/// <param name="To">End.</param>
/// <param name="Minutes">Width of one span, minutes.</param>
/// <param name="Sensors">One line for each sensor.</param>
public sealed record AirSeries(
    DateTimeOffset From,
    DateTimeOffset To,
    double Minutes,
    IReadOnlyList<SensorSeries> Sensors
);

/// <summary>What one sensor said over a time, corrected; each list has one figure for each span.</summary>
/// <param name="At">Seconds since 1970 of the start of each span.</param>
public sealed record SensorSeries(
    Guid SensorId,
    IReadOnlyList<long> At,
    IReadOnlyList<double> MinC,
    IReadOnlyList<double> MeanC,
    IReadOnlyList<double> MaxC,
    IReadOnlyList<double?> Humidity
);

/// <summary>Alarms that hold now, and when only a danger is called out.</summary>
public sealed record AlarmsView(IReadOnlyList<ClimateAlarm> Alarms, bool IsQuiet);

/// <summary>Sensors, alarms, programmes: the room's air.</summary>
public static class AirEndpoints
{
    private const int MostPoints = 800;
    private const int UsualPoints = 400;
    private const int MostYears = 6;
    private const int MostDaysAhead = 120;
    private const int MostYearsBack = 3;

    public static void MapAir(this WebApplication app)
    {
        var air = app.MapGroup("/api/climate").WithTags("Climate");
        air.MapGet("board", BoardAsync).WithName("airBoard");
        air.MapGet("alarms", AlarmsAsync).WithName("alarms");
        air.MapPost("journal", WriteAsync)
            .WithName("logClimate")
            .Produces<AirBoard>()
            .ProducesValidationProblem()
            .Produces<BothSides>(409, "application/problem+json");
        air.MapGet("series", SeriesAsync).WithName("airSeries").Produces<AirSeries>().ProducesValidationProblem();
        air.MapGet("degree-days", DegreeDaysAsync)
            .WithName("warmDays")
            .Produces<WarmDays>()
            .ProducesValidationProblem();
    }

    private static async Task<Ok<AirBoard>> BoardAsync(
        AirReader air,
        RoomNow now,
        LanternDb db,
        CancellationToken cancel
    ) => TypedResults.Ok(await ViewAsync(air, now, db, cancel));

    private static async Task<AirBoard> ViewAsync(AirReader air, RoomNow now, LanternDb db, CancellationToken cancel)
    {
        var read = await air.ReadAsync(cancel);
        var gateways = await db.Gateways.AsNoTracking().ToDictionaryAsync(g => g.Id, g => g.Name, cancel);
        return AirBoard.Of(read, await now.IndexAsync(cancel), gateways);
    }

    private static async Task<Ok<AlarmsView>> AlarmsAsync(AirReader air, CancellationToken cancel)
    {
        var read = await air.ReadAsync(cancel);
        var hour = TimeZoneInfo.ConvertTime(read.Room.Now, read.Room.Clock.Zone).Hour;
        return TypedResults.Ok(new AlarmsView(read.Alarms, read.Book.Quiet.Hold(hour)));
    }

    private static async Task<IResult> WriteAsync(
        ClimateRequest body,
        [AsParameters] Tap tap,
        HttpContext context,
        AirReader air,
        RoomNow now,
        ClimateStore store,
        LanternDb db,
        LiveRoom live,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        if (tap.Read(room, out var at) is { } wrong)
        {
            return Problems.Of(wrong.Field, wrong.Message);
        }

        // Only a gateway finds sensors.
        if (body.Act is SensorFound)
        {
            return Problems.Of("act.kind", "Sensors are found by what their gateway brings.");
        }

        var by = Hand.Of(context, room);
        var result = await store.WriteAsync(body.Id, body.Act, at, by, room, cancel);
        if (Problems.ForFailure(result, room) is { } failure)
        {
            return failure;
        }

        live.Tell(LiveTopic.Alarms, by, body.Id);
        return TypedResults.Ok(await ViewAsync(air, now, db, cancel));
    }

    private static async Task<IResult> SeriesAsync(
        DateTimeOffset from,
        DateTimeOffset to,
        Guid[]? sensors,
        int? points,
        RoomNow now,
        ClimateStore store,
        SensorStore readings,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        if (
            !(from < to)
            || to - from > TimeSpan.FromDays(366 * MostYears)
            || from.Year < 2000
            || to > room.Now.AddDays(366)
        )
        {
            return Problems.Of("from", $"Must lie before the end, at most {MostYears} years, from 2000 on.");
        }

        if (points is < 1 or > MostPoints)
        {
            return Problems.Of("points", $"Must be 1 to {MostPoints}.");
        }

        var book = await store.BookAsync(cancel);
        var spans = await readings.SpansAsync(sensors ?? [], from, to, points ?? UsualPoints, room.Now, cancel);
        return TypedResults.Ok(
            new AirSeries(
                from,
                to,
                spans.Values.SelectMany(s => s).Select(s => s.Wide.TotalMinutes).FirstOrDefault(),
                [
                    .. book
                        .Sensors.Where(s => spans.GetValueOrDefault(s.Id, []).Count > 0)
                        .Select(s => Line(s, spans[s.Id])),
                ]
            )
        );
    }

    private static SensorSeries Line(Sensor sensor, IReadOnlyList<AirSpan> spans) =>
        new(
            sensor.Id,
            [.. spans.Select(s => s.From.ToUnixTimeSeconds())],
            [.. spans.Select(s => Round(s.MinC))],
            [.. spans.Select(s => Round(s.MeanC))],
            [.. spans.Select(s => Round(s.MaxC))],
            [.. spans.Select(s => sensor.Correct(s.MeanHumidity, s.From) is { } h ? Round(h) : (double?)null)]
        );

    private static double Round(double value) => Math.Round(value, 2);

    private static async Task<IResult> DegreeDaysAsync(
        string? zone,
        double baseC,
        DateOnly from,
        int? days,
        RoomNow now,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var at = (zone ?? "").Trim().ToUpperInvariant();
        if (AirProgramme.ZoneProblem(at) is { } wrong)
        {
            return Problems.Of("zone", wrong);
        }

        if (!(baseC >= -10 && baseC <= 40))
        {
            return Problems.Of("baseC", "Must be −10 to 40 °C.");
        }

        if (from > room.Tonight || from < room.Tonight.AddYears(-MostYearsBack))
        {
            return Problems.Of("from", $"Must lie within {MostYearsBack} years before tonight.");
        }

        if (days is < 0 or > MostDaysAhead)
        {
            return Problems.Of("days", string.Create(CultureInfo.InvariantCulture, $"Must be 0 to {MostDaysAhead}."));
        }

        return TypedResults.Ok(
            WarmDays.Of(room.Climate, at, baseC, from, days ?? MostDaysAhead / 2, room.Rules.Room.Climate, room.Now)
        );
    }
}
