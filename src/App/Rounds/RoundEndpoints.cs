using App.Hosting;
using Husbandry.Almanac;
using Husbandry.Rounds;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Rounds;

/// <summary>The evening round, nights before and after it, and the strip of nights.</summary>
public static class RoundEndpoints
{
    private const int YearsBack = 30;
    private const int DaysAhead = 366;

    public static void MapRound(this WebApplication app)
    {
        var round = app.MapGroup("/api/round").WithTags("Round");
        round
            .MapGet(
                "",
                async (RoundReader reader, CancellationToken cancel) => TypedResults.Ok(await reader.ReadAsync(cancel))
            )
            .WithName("round");
        round.MapGet("resting/{shelf}", RestingAsync).WithName("resting");
        round.MapGet("past/{night}", PastAsync).WithName("nightPast").Produces<NightPast>().ProducesValidationProblem();
        round
            .MapGet("ahead/{night}", AheadAsync)
            .WithName("nightAhead")
            .Produces<NightAhead>()
            .ProducesValidationProblem();
        app.MapGet("/api/stock/{id:guid}/why", WhyAsync)
            .WithName("lineWhy")
            .WithTags("Round")
            .Produces<LineWhy>()
            .ProducesProblem(404);
        app.MapGet("/api/nightline", NightlineAsync).WithName("nightline").WithTags("Round");
    }

    private static async Task<Ok<IReadOnlyList<RestingLine>>> RestingAsync(
        string shelf,
        RoundReader reader,
        CancellationToken cancel
    ) => TypedResults.Ok(await reader.RestingAsync(shelf, cancel));

    private static async Task<IResult> PastAsync(
        DateOnly night,
        RoomNow now,
        RoundReader reader,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var earliest = room.Tonight.AddYears(-YearsBack);
        return night > room.Tonight || night < earliest
            ? Problems.Of(
                "night",
                $"Must be between {room.Wording.Date(earliest)} and tonight, {room.Wording.Date(room.Tonight)}."
            )
            : TypedResults.Ok(await reader.PastAsync(night, cancel));
    }

    private static async Task<IResult> AheadAsync(
        DateOnly night,
        RoomNow now,
        RoundReader reader,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        return night <= room.Tonight || night > room.Tonight.AddDays(DaysAhead)
            ? Problems.Of("night", $"Must lie after tonight and within {DaysAhead} days.")
            : TypedResults.Ok(await reader.AheadAsync(night, cancel));
    }

    private static async Task<IResult> WhyAsync(Guid id, RoomNow now, JournalReader reader, CancellationToken cancel)
    {
        var room = await now.ReadAsync(cancel);
        if (await reader.StandingAsync(id, cancel) is not { } standing)
        {
            return Problems.NotFound("animal");
        }

        var line = RoundLine.Of(Judgement.Of(standing, room));
        var look =
            line.LookWorth is { Value: { } worth } answer && worth.IsWorthIt(room.Rules.Room.Signs)
                ? answer.Reasons
                : [];
        return TypedResults.Ok(new LineWhy(line.Why.Summary, [.. line.Why.Reasons, .. look], line.Molt));
    }

    private static async Task<Ok<Nightline>> NightlineAsync(RoomNow now, CancellationToken cancel)
    {
        var room = await now.ReadAsync(cancel);
        return TypedResults.Ok(Nightline.Of((await now.IndexAsync(cancel)).Here, room));
    }
}
