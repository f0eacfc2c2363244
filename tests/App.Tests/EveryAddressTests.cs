using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>
/// Every address that the open document names is asked for nonsense: the answer is a refusal that says why, never a failure
/// of the server, and nothing is written by it.
/// </summary>
public sealed class EveryAddressTests : IDisposable
{
    // What they answer for does not end, or is no JSON.
    private static readonly string[] Other = ["/api/live"];

    private static readonly string[] Bodies =
    [
        "{}",
        "null",
        "[]",
        "\"text\"",
        "{",
        """{"id":"nonsense","act":{"kind":"danced"}}""",
        """{"id":null,"act":null,"entries":null,"lines":null,"layout":null,"settings":null,"stockIds":null}""",
        """{"id":"00000000-0000-0000-0000-000000000001","act":{},"entries":[null],"lines":[null],"stockIds":[null],"layout":{"racks":[null],"walk":[null]}}""",
        """{"version":99999999999999999999,"count":1e400,"lengthMm":"wide"}""",
    ];

    private static readonly Dictionary<string, string[]> Words = new()
    {
        ["id"] = ["nonsense", "00000000-0000-0000-0000-000000000001", "-1"],
        ["night"] = ["soon", "0001-01-01", "9999-12-31", "2026-02-30"],
    };

    private static readonly string[] Nonsense = ["nonsense", "..%2F..", "999999999999", "%F0%9F%95%B7"];

    private readonly LanternFactory app = new();
    private readonly Api api;

    public EveryAddressTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    private async Task<IReadOnlyList<(HttpMethod Method, string Path, JsonObject Operation)>> OperationsAsync() =>
        [
            .. (await api.GetAsync("/api/openapi.json"))["paths"]!
                .AsObject()
                .Where(path => !Other.Contains(path.Key))
                .SelectMany(path =>
                    path.Value!.AsObject()
                        .Select(o => (HttpMethod.Parse(o.Key), path.Key, (JsonObject)o.Value!.DeepClone()))
                ),
        ];

    /// <summary>The address with nonsense in place of each of its variables, in several ways.</summary>
    private static IEnumerable<string> Filled(string path)
    {
        var start = path.IndexOf('{', StringComparison.Ordinal);
        if (start < 0)
        {
            return [path];
        }

        var end = path.IndexOf('}', start);
        var words = Words.GetValueOrDefault(path[(start + 1)..end], Nonsense);
        return words.SelectMany(word => Filled(path[..start] + word + path[(end + 1)..]));
    }

    private static async Task<HttpStatusCode> AskAsync(HttpClient http, HttpMethod method, string path, string? body)
    {
        using var request = new HttpRequestMessage(method, path);
        if (body is not null)
        {
            request.Content = new StringContent(body, System.Text.Encoding.UTF8, "application/json");
        }

        using var answer = await http.SendAsync(request, TestContext.Current.CancellationToken);
        Assert.True((int)answer.StatusCode < 500, $"{method} {path} {body}: {(int)answer.StatusCode}");
        return answer.StatusCode;
    }

    [Fact]
    public async Task Nonsense_sent_anywhere_is_refused_and_writes_nothing()
    {
        await api.AddAsync();
        using var http = app.CreateClient();
        var operations = await OperationsAsync();
        Assert.True(operations.Count > 60, $"{operations.Count} operations");
        foreach (var (method, path, operation) in operations.Where(o => o.Operation.ContainsKey("requestBody")))
        {
            foreach (var address in Filled(path).Take(3))
            {
                foreach (var body in Bodies)
                {
                    var status = await AskAsync(http, method, address, body);
                    Assert.True(
                        (int)status >= 400 || IsCalculation(path) || body == "{}",
                        $"{method} {address} took {body}: {(int)status}"
                    );
                }

                Assert.True(
                    (int)await AskAsync(http, method, address, null) >= 400,
                    $"{method} {address} took nothing"
                );
            }

            Assert.NotNull(operation["operationId"]);
        }

        Assert.Single(await api.StockAsync());
        Assert.Empty((await api.GetAsync("/api/chores"))["chores"]!.AsArray());
        Assert.Empty((await api.GetAsync("/api/larder"))["journal"]!.AsArray());
    }

    [Fact]
    public async Task Addresses_of_nothing_never_fail_the_server()
    {
        using var http = app.CreateClient();
        foreach (var (method, path, _) in (await OperationsAsync()).Where(o => o.Path.Contains('{')))
        {
            if (method == HttpMethod.Get)
            {
                foreach (var address in Filled(path))
                {
                    await AskAsync(http, method, address, null);
                }
            }
        }
    }

    [Fact]
    public async Task Queries_of_nonsense_never_fail_the_server()
    {
        using var http = app.CreateClient();
        foreach (var (method, path, operation) in await OperationsAsync())
        {
            var queries = (operation["parameters"]?.AsArray() ?? [])
                .Where(p => p!["in"]?.GetValue<string>() == "query")
                .Select(p => p!["name"]!.GetValue<string>());
            foreach (var query in method == HttpMethod.Get ? queries : [])
            {
                foreach (var value in new[] { "", "nonsense", "-1", "99999999999", "%00", "1e9" })
                {
                    await AskAsync(http, method, $"{Filled(path).First()}?{query}={value}", null);
                }
            }
        }
    }

    [Fact]
    public async Task Every_operation_says_what_it_is_called_and_what_it_refuses()
    {
        foreach (var (method, path, operation) in await OperationsAsync())
        {
            Assert.False(string.IsNullOrEmpty(operation["operationId"]?.GetValue<string>()), $"{method} {path}");
            if (operation.ContainsKey("requestBody"))
            {
                Assert.True(operation["responses"]!.AsObject().ContainsKey("400"), $"{method} {path} without 400");
            }
        }
    }

    private static bool IsCalculation(string path) => path.StartsWith("/api/calc/", StringComparison.Ordinal);
}
