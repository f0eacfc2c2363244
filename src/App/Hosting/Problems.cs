using System.Text.Json;
using System.Text.RegularExpressions;
using Husbandry.Reasons;
using Ledger;
using Microsoft.AspNetCore.Diagnostics;
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

    /// <summary>A 409 that says who was faster.</summary>
    public static ProblemHttpResult Conflict(IReadOnlyList<Problem> problems) =>
        TypedResults.Problem(
            statusCode: StatusCodes.Status409Conflict,
            title: problems[0].Message,
            extensions: new Dictionary<string, object?> { ["field"] = problems[0].Field }
        );

    /// <summary>A 404 for stock.</summary>
    public static ProblemHttpResult NotFound(string what) =>
        TypedResults.Problem(statusCode: StatusCodes.Status404NotFound, title: $"There is no such {what}.");

    /// <summary>The answer to a write that did not happen, or none when it did.</summary>
    public static IResult? ForFailure(WriteResult result) =>
        result.Outcome switch
        {
            WriteOutcome.Refused => Of(result.Problems),
            WriteOutcome.Conflict => Conflict(result.Problems),
            WriteOutcome.NotFound => NotFound("animal"),
            _ => null,
        };
}

/// <summary>Turns what the framework throws on unreadable input into problem details that name the field.</summary>
public sealed partial class BadInputHandler : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(
        HttpContext httpContext,
        Exception exception,
        CancellationToken cancellationToken
    )
    {
        if (exception is not BadHttpRequestException bad)
        {
            return false;
        }

        var answer = bad.InnerException is JsonException json
            ? Problems.Of(Read(json))
            : Problems.Of(FieldOf(bad.Message), "Cannot be read: " + Plain(bad.Message));
        await answer.ExecuteAsync(httpContext);
        return true;
    }

    private static IEnumerable<Problem> Read(JsonException error)
    {
        var path = (error.Path ?? "$").TrimStart('$').TrimStart('.');
        var missing = MissingPattern().Match(error.Message);
        if (missing.Success)
        {
            var prefix = path.Length == 0 ? "" : path + ".";
            return QuotedPattern()
                .Matches(missing.Groups[1].Value)
                .Select(m => new Problem(prefix + m.Groups[1].Value, "Is missing."));
        }

        var wanted = WantedPattern().Match(error.Message);
        var text =
            error.Message.StartsWith("Write ", StringComparison.Ordinal) ? error.Message
            : wanted.Success ? $"Must be {Kind(wanted.Groups[1].Value)}."
            : error.InnerException is InvalidOperationException ? "Is of the wrong kind."
            : "Is not JSON that can be read here.";
        return [new Problem(path.Length == 0 ? "body" : path, text)];
    }

    private static string Kind(string type) =>
        type switch
        {
            _ when type.Contains("Int", StringComparison.Ordinal) => "a whole number",
            _ when type.Contains("Double", StringComparison.Ordinal) => "a number",
            _ when type.Contains("DateOnly", StringComparison.Ordinal) => "a date like 2026-11-23",
            _ when type.Contains("Guid", StringComparison.Ordinal) => "an id of the form 8-4-4-4-12 hexadecimal digits",
            _ when type.Contains("Boolean", StringComparison.Ordinal) => "true or false",
            _ when type.Contains("String", StringComparison.Ordinal) => "text",
            _ when Type.GetType($"{type}, Husbandry") is { IsEnum: true } choice => "one of "
                + string.Join(", ", Enum.GetNames(choice).Select(JsonNamingPolicy.CamelCase.ConvertName)),
            _ => "of the form that the OpenAPI document gives",
        };

    private static string FieldOf(string message) =>
        ParameterPattern().Match(message) is { Success: true } m ? m.Groups[1].Value : "body";

    private static string Plain(string message) => message.TrimEnd('.') + ".";

    [GeneratedRegex(@"missing required properties including: (.*?)\.(?:\s|$)")]
    private static partial Regex MissingPattern();

    [GeneratedRegex("'([^']+)'")]
    private static partial Regex QuotedPattern();

    [GeneratedRegex(@"could not be converted to (?:System\.Nullable`1\[)?([A-Za-z0-9_.]+)")]
    private static partial Regex WantedPattern();

    [GeneratedRegex("parameter \"[^\" ]*? ?([A-Za-z]+)\"")]
    private static partial Regex ParameterPattern();
}
