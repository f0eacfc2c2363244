using Husbandry.Reasons;
using Husbandry.Rooms;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Hosting;

/// <summary>Answers bad input with RFC 9457 problem details that name the field and say what is allowed.</summary>
public static class Problems
{
    public static void AddLanternProblems(this IServiceCollection services)
    {
        services.AddProblemDetails();
        services.AddExceptionHandler<BadInputHandler>();
        // Unreadable bodies become exceptions everywhere, so that one handler can name the field.
        services.Configure<RouteHandlerOptions>(o => o.ThrowOnBadRequest = true);
    }

    /// <summary>A 400 with one message list per field.</summary>
    public static ValidationProblem Of(IEnumerable<Problem> problems) =>
        TypedResults.ValidationProblem(
            problems.GroupBy(p => p.Field).ToDictionary(g => g.Key, g => g.Select(p => p.Message).ToArray()),
            title: "Something in this entry cannot be."
        );

    /// <summary>A 400 about one field.</summary>
    public static ValidationProblem Of(string field, string message) => Of([new Problem(field, message)]);

    /// <summary>A 409 that says what is there already.</summary>
    public static IResult Conflict(BothSides conflict) =>
        Results.Json(conflict, statusCode: StatusCodes.Status409Conflict, contentType: "application/problem+json");

    /// <summary>A 404 for stock.</summary>
    public static ProblemHttpResult NotFound(string what) =>
        TypedResults.Problem(statusCode: StatusCodes.Status404NotFound, title: $"There is no such {what}.");

    /// <summary>The answer to a write that did not happen, or none when it did.</summary>
    public static IResult? ForFailure(WriteResult result, Room room) =>
        result.Outcome switch
        {
            WriteOutcome.Refused => Of(result.Problems),
            WriteOutcome.Conflict => Conflict(BothSides.OfId(result.Problems[0])),
            WriteOutcome.Stale => Conflict(BothSides.OfVersion(0, [])),
            WriteOutcome.ToldMeanwhile => Conflict(BothSides.OfTwice(result.Twice ?? [], room)),
            WriteOutcome.NotFound => NotFound("animal"),
            _ => null,
        };
}
