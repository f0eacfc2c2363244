using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>Speaks JSON to a running application, as any client would.</summary>
internal sealed class Api(LanternFactory app) : IDisposable
{
    private readonly HttpClient http = app.CreateClient();

    public static JsonObject Details(
        string name = "Tansy",
        string species = "tliltocatl-albopilosus",
        string group = "tarantula"
    ) =>
        new()
        {
            ["kind"] = "specimen",
            ["group"] = group,
            ["speciesId"] = species,
            ["otherSpecies"] = null,
            ["nickname"] = name,
            ["sex"] = "female",
            ["acquiredOn"] = "2026-01-10",
            ["acquiredFrom"] = "a friend",
            ["moltsAtArrival"] = 5,
            ["matureAtArrival"] = false,
            ["hatchedOn"] = "2025-06-01",
            ["count"] = 1,
        };

    public static JsonObject New(string place = "A1·03", JsonObject? details = null, double? legSpanMm = 60) =>
        new()
        {
            ["id"] = Guid.NewGuid().ToString(),
            ["entryId"] = Guid.NewGuid().ToString(),
            ["details"] = details ?? Details(),
            ["place"] = place,
            ["measure"] = legSpanMm is { } mm ? new JsonObject { ["part"] = "legSpan", ["lengthMm"] = mm } : null,
        };

    public static JsonObject Log(
        JsonObject act,
        string? foundOn = null,
        string? lastSeenBefore = null,
        string? corrects = null
    ) =>
        new()
        {
            ["id"] = Guid.NewGuid().ToString(),
            ["act"] = act,
            ["foundOn"] = foundOn,
            ["lastSeenBefore"] = lastSeenBefore,
            ["corrects"] = corrects,
        };

    public static JsonObject Act(string kind, params (string Name, JsonNode? Value)[] fields)
    {
        var act = new JsonObject { ["kind"] = kind };
        foreach (var (name, value) in fields)
        {
            act[name] = value;
        }

        return act;
    }

    public static JsonObject Offer(string outcome, string feeder = "roach-nymph", string size = "small") =>
        Act(
            "offered",
            ("feederId", feeder),
            ("sizeClassId", size),
            ("count", 1),
            ("preparation", "live"),
            ("outcome", outcome)
        );

    public async Task<(HttpStatusCode Status, JsonNode? Body)> SendAsync(
        HttpMethod method,
        string path,
        string? json = null,
        params (string Name, string Value)[] headers
    )
    {
        using var request = new HttpRequestMessage(method, path);
        foreach (var (name, value) in headers)
        {
            request.Headers.Add(name, value);
        }

        if (json is not null)
        {
            request.Content = new StringContent(json, Encoding.UTF8, "application/json");
        }

        using var response = await http.SendAsync(request);
        var text = await response.Content.ReadAsStringAsync();
        return (response.StatusCode, text.Length == 0 ? null : JsonNode.Parse(text));
    }

    public async Task<JsonNode> GetAsync(string path)
    {
        var (status, body) = await SendAsync(HttpMethod.Get, path);
        Assert.Equal(HttpStatusCode.OK, status);
        return body!;
    }

    public Task<(HttpStatusCode Status, JsonNode? Body)> PostAsync(string path, JsonNode body) =>
        SendAsync(HttpMethod.Post, path, body.ToJsonString());

    /// <summary>Posts and expects it to be taken.</summary>
    public async Task<JsonNode> TakeAsync(string path, JsonNode body)
    {
        var (status, answer) = await PostAsync(path, body);
        Assert.True(status == HttpStatusCode.OK, $"{(int)status} {answer}");
        return answer!;
    }

    /// <summary>The lines of the stock list, the first two hundred.</summary>
    public async Task<JsonArray> StockAsync(string query = "") =>
        (await GetAsync($"/api/stock?take=200{query}"))["lines"]!.AsArray();

    /// <summary>Adds an animal and returns its id.</summary>
    public async Task<string> AddAsync(JsonObject? body = null) =>
        (await TakeAsync("/api/stock", body ?? New()))["stockId"]!.GetValue<string>();

    public Task<JsonNode> LogAsync(
        string id,
        JsonObject act,
        string? foundOn = null,
        string? lastSeenBefore = null,
        string? corrects = null
    ) => TakeAsync($"/api/stock/{id}/journal", Log(act, foundOn, lastSeenBefore, corrects));

    /// <summary>Asserts that an answer is problem details which name a field and say what is allowed.</summary>
    public static void Refused((HttpStatusCode Status, JsonNode? Body) answer, string field, string says)
    {
        Assert.True(answer.Status == HttpStatusCode.BadRequest, $"{(int)answer.Status} {answer.Body}");
        var errors = answer.Body!["errors"]!.AsObject();
        Assert.True(errors.ContainsKey(field), errors.ToJsonString());
        Assert.Contains(
            says,
            string.Join(' ', errors[field]!.AsArray().Select(m => m!.GetValue<string>())),
            StringComparison.Ordinal
        );
    }

    public void Dispose() => http.Dispose();
}
