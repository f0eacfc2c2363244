using System.Text.Json;
using System.Text.RegularExpressions;
using Husbandry.Reasons;
using Ledger;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http.Metadata;

namespace App.Hosting;

/// <summary>Turns what the framework throws on unreadable input into problem details that name the field.</summary>
public sealed partial class BadInputHandler : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(
        HttpContext httpContext,
        Exception exception,
        CancellationToken cancellationToken
    )
    {
        // Endpoints are read again from the feature: the handler runs on a request whose endpoint was cleared.
        var endpoint = httpContext.Features.Get<IExceptionHandlerFeature>()?.Endpoint;
        var body = endpoint?.Metadata.GetMetadata<IAcceptsMetadata>()?.RequestType;
        var problems = exception switch
        {
            BadHttpRequestException { InnerException: OutOfBoundsException outside } =>
            [
                new Problem(Under(outside.Path, outside.Field), outside.Message),
            ],
            BadHttpRequestException { InnerException: JsonException json } => Read(json.Path, json.Message, body),
            BadHttpRequestException bad => [new Problem(FieldOf(bad.Message), "Cannot be read: " + bad.Message)],
            // Thrown for an act without a kind.
            NotSupportedException { Source: "System.Text.Json" } unsupported => Read(
                PathPattern().Match(unsupported.Message).Groups[1].Value,
                unsupported.Message,
                body
            ),
            _ => null,
        };
        if (problems is null)
        {
            return false;
        }

        await Problems.Of(problems).ExecuteAsync(httpContext);
        return true;
    }

    private static IReadOnlyList<Problem> Read(string? jsonPath, string message, Type? body)
    {
        var path = (jsonPath ?? "$").TrimStart('$').TrimStart('.');
        var missing = MissingPattern().Match(message);
        if (missing.Success)
        {
            var prefix = path.Length == 0 ? "" : path + ".";
            return
            [
                .. QuotedPattern()
                    .Matches(missing.Groups[1].Value)
                    .Select(m => new Problem(prefix + m.Groups[1].Value, "Is missing.")),
            ];
        }

        var text =
            message.StartsWith("Write ", StringComparison.Ordinal) ? PathSuffixPattern().Replace(message, "")
            : message.Contains("discriminator", StringComparison.Ordinal)
                ? "Needs a known kind; see the OpenAPI document."
            : BodyFields.TypeAt(body, path) is { } type ? $"Must be {Kind(type)}."
            : "Is not JSON that can be read here.";
        return [new Problem(path.Length == 0 ? "body" : path, text)];
    }

    private static string Under(string? jsonPath, string field)
    {
        var path = (jsonPath ?? "$").TrimStart('$').TrimStart('.');
        return path.Length == 0 ? field : $"{path}.{field}";
    }

    private static string Kind(Type type) =>
        type == typeof(int) || type == typeof(long) ? "a whole number"
        : type == typeof(double) ? "a number"
        : type == typeof(DateOnly) ? "a date like 2026-11-23"
        : type == typeof(Guid) ? "an id of the form 8-4-4-4-12 hexadecimal digits"
        : type == typeof(bool) ? "true or false"
        : type == typeof(string) ? "text"
        : type.IsEnum
            ? "one of " + string.Join(", ", Enum.GetNames(type).Select(JsonNamingPolicy.CamelCase.ConvertName))
        : "of the form that the OpenAPI document gives";

    private static string FieldOf(string message) =>
        ParameterPattern().Match(message) is { Success: true } m
            ? JsonNamingPolicy.CamelCase.ConvertName(m.Groups[1].Value)
            : "body";

    [GeneratedRegex(@"missing required properties including: (.*?)\.(?:\s|$)")]
    private static partial Regex MissingPattern();

    [GeneratedRegex("'([^']+)'")]
    private static partial Regex QuotedPattern();

    [GeneratedRegex(@"Path: (\S+)")]
    private static partial Regex PathPattern();

    [GeneratedRegex(@" Path: .*$")]
    private static partial Regex PathSuffixPattern();

    [GeneratedRegex("parameter \"[^\" ]*? ?([A-Za-z]+)\"")]
    private static partial Regex ParameterPattern();
}
