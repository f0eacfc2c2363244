using System.Globalization;
using System.Text;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>
/// Every address that the open document names is asked for things of the right form with values that are now and then beyond
/// reason: the server answers or refuses, and never fails.
/// </summary>
public sealed class FuzzTests : IDisposable
{
    // So many in every run, by a seed; thirty thousand by ./lantern bench faults.
    private const int Asked = 1_500;
    private const int Seed = 20;

    // What does not end, or puts all of the room back to an earlier state.
    private static readonly string[] Other = ["/api/live", "/api/safekeeping/backups/{name}/restore"];

    private readonly LanternFactory app = new(demo: true);
    private readonly HttpClient http;
    private readonly Random random;
    private JsonObject document = [];
    private List<string> known = [];

    public FuzzTests()
    {
        http = app.CreateClient();
        http.Timeout = TimeSpan.FromSeconds(60);
        random = new Random(Number("LANTERN_FAULT_SEED") ?? Seed);
    }

    public void Dispose()
    {
        http.Dispose();
        app.Dispose();
    }

    private static int? Number(string variable) =>
        int.TryParse(Environment.GetEnvironmentVariable(variable), CultureInfo.InvariantCulture, out var number)
            ? number
            : null;

    [Fact]
    public async Task Whatever_is_asked_the_server_never_fails()
    {
        document = (JsonObject)JsonNode.Parse(await http.GetStringAsync(Address("/api/openapi.json")))!;
        var stock = JsonNode.Parse(await http.GetStringAsync(Address("/api/stock?take=200")))!;
        known = [.. stock["lines"]!.AsArray().Select(l => l!["stockId"]!.GetValue<string>())];
        var operations = document["paths"]!
            .AsObject()
            .Where(p => !Other.Contains(p.Key))
            .SelectMany(p =>
                p.Value!.AsObject().Select(o => (Method: o.Key, Path: p.Key, Operation: (JsonObject)o.Value!))
            )
            .ToList();
        var failures = new Dictionary<string, string>();
        var (answered, refused) = (0, 0);
        for (var n = 0; n < (Number("LANTERN_FAULTS") ?? Asked); n++)
        {
            var (method, path, operation) = operations[n % operations.Count];
            var (status, asked, answer) = await AskAsync(method, path, operation);
            answered += status < 400 ? 1 : 0;
            refused += status is >= 400 and < 500 ? 1 : 0;
            if (status >= 500)
            {
                failures.TryAdd($"{method} {path}", $"{status} {asked}\n   {answer}");
            }
        }

        Assert.True(failures.Count == 0, string.Join("\n", failures.Select(f => $"{f.Key}: {f.Value}").Take(20)));
        // Both ends must have been reached, or nothing was asked.
        Assert.True(answered > 100 && refused > 100, $"{answered} answered, {refused} refused");
    }

    private static Uri Address(string path) => new(path, UriKind.RelativeOrAbsolute);

    private async Task<(int Status, string Asked, string Answer)> AskAsync(
        string method,
        string path,
        JsonObject operation
    )
    {
        var (address, query) = (path, new List<string>());
        foreach (var parameter in operation["parameters"]?.AsArray() ?? [])
        {
            var (name, place) = (parameter!["name"]!.GetValue<string>(), parameter["in"]!.GetValue<string>());
            var value = Uri.EscapeDataString(Plain(Value((JsonObject)parameter["schema"]!, 0)));
            if (place == "path")
            {
                // A path with a null in it is refused by any server before it is ours, and by the test's at its own client.
                value = value.Replace("%00", "~", StringComparison.Ordinal);
                address = address.Replace($"{{{name}}}", value.Length == 0 ? "-" : value, StringComparison.Ordinal);
            }
            else if (place == "query" && random.Next(4) > 0)
            {
                query.Add($"{name}={value}");
            }
        }

        address = query.Count == 0 ? address : $"{address}?{string.Join('&', query)}";
        using var request = new HttpRequestMessage(new HttpMethod(method.ToUpperInvariant()), Address(address));
        var body = "";
        if (operation["requestBody"]?["content"] is JsonObject { Count: > 0 } content)
        {
            var (type, of) = content.First();
            body =
                type == "application/json" && of!["schema"] is JsonObject schema
                    ? Value(schema, 0)?.ToJsonString() ?? "null"
                    : "nonsense";
            request.Content = new StringContent(body, Encoding.UTF8, type);
        }

        using var answer = await http.SendAsync(request, TestContext.Current.CancellationToken);
        var status = (int)answer.StatusCode;
        return (status, $"{address} {body}", status >= 500 ? (await answer.Content.ReadAsStringAsync())[..200] : "");
    }

    private static string Plain(JsonNode? value) =>
        value is JsonValue text && text.TryGetValue<string>(out var plain) ? plain : value?.ToJsonString() ?? "";

    private const int Deepest = 12;
    private const double BeyondReason = 0.06;

    private static readonly string[] Beyond =
    [
        "null",
        "[]",
        "{}",
        "true",
        "-1",
        "0",
        "2147483647",
        "99999999999",
        "5e-324",
        "1e300",
        "-1e12",
        "\"\"",
        "\"9999-12-31\"",
        "\"0001-01-01\"",
        "\"9999-12-31T23:59:59Z\"",
        "\"0001-01-01T00:00:00+14:00\"",
        "\"2026-02-30\"",
        "\"\\u0000\"",
        "\"=1+1\"",
        "\"../../etc\"",
    ];

    private static readonly string[] Words =
    [
        "A1·01",
        "A1",
        "Z9·99",
        "cricket",
        "roach-nymph",
        "small",
        "tarantula",
        "mantis",
        "ant",
        "moth",
        "tliltocatl-albopilosus",
        "hierodula-membranacea",
        "lasius-niger",
        "a few words",
        "Tansy",
        "crickets",
        "group.tarantula.sizing.share",
        "room.feeding.piecesOfOne",
    ];

    private JsonNode? Value(JsonObject schema, int depth)
    {
        schema = Resolved(schema);
        if (random.NextDouble() < BeyondReason)
        {
            return JsonNode.Parse(Beyond[random.Next(Beyond.Length)]);
        }

        if (schema["enum"] is JsonArray { Count: > 0 } words)
        {
            return words[random.Next(words.Count)]?.DeepClone();
        }

        var either = (schema["oneOf"] ?? schema["anyOf"])?.AsArray();
        if (either is { Count: > 0 })
        {
            return Value((JsonObject)either[random.Next(either.Count)]!, depth);
        }

        var type = schema["type"] switch
        {
            JsonArray { Count: > 0 } several => several[random.Next(several.Count)]!.GetValue<string>(),
            JsonValue one => one.GetValue<string>(),
            _ => schema.ContainsKey("properties") ? "object" : "string",
        };
        return type switch
        {
            "null" => null,
            "boolean" => random.Next(2) == 0,
            "integer" => random.Next(-2, 60),
            "number" => Math.Round((random.NextDouble() * 120) - 5, random.Next(4)),
            "array" => depth > Deepest
                ? new JsonArray()
                : new JsonArray([
                    .. Enumerable
                        .Range(0, random.Next(4))
                        .Select(_ => schema["items"] is JsonObject items ? Value(items, depth + 1) : null),
                ]),
            "object" => Fields(schema, depth),
            _ => Text(schema["format"]?.GetValue<string>()),
        };
    }

    private JsonObject Fields(JsonObject schema, int depth)
    {
        var made = new JsonObject();
        if (depth > Deepest)
        {
            return made;
        }

        var required = (schema["required"]?.AsArray() ?? []).Select(r => r!.GetValue<string>()).ToHashSet();
        foreach (var (name, of) in schema["properties"]?.AsObject() ?? [])
        {
            if (required.Contains(name) ? random.Next(40) > 0 : random.Next(2) == 0)
            {
                made[name] = of is JsonObject field ? Value(field, depth + 1) : null;
            }
        }

        return made;
    }

    private string Text(string? format)
    {
        var day = LanternFactory.Evening.AddDays(random.Next(-900, 200));
        return format switch
        {
            "uuid" => random.Next(3) > 0 && known.Count > 0
                ? known[random.Next(known.Count)]
                : new Guid(random.Next(), 1, 2, [1, 2, 3, 4, 5, 6, 7, 8]).ToString(),
            "date" => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
            "date-time" => day.ToString("O", CultureInfo.InvariantCulture),
            _ => random.Next(30) == 0 ? new string('x', 5_000) : Words[random.Next(Words.Length)],
        };
    }

    private JsonObject Resolved(JsonObject schema)
    {
        while (schema["$ref"] is { } reference)
        {
            JsonNode at = document;
            foreach (var step in reference.GetValue<string>().TrimStart('#', '/').Split('/'))
            {
                at = at[step]!;
            }

            schema = (JsonObject)at;
        }

        return schema;
    }
}
