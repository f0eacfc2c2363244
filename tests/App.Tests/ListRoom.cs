using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>A room into which lists of a keeper's own come: read first, written all or none.</summary>
public abstract class ListRoom : IDisposable
{
    private protected LanternFactory Room { get; } = new();

    private protected Api Api { get; }

    protected ListRoom() => Api = new Api(Room);

    public void Dispose()
    {
        Dispose(disposing: true);
        GC.SuppressFinalize(this);
    }

    protected virtual void Dispose(bool disposing)
    {
        if (disposing)
        {
            Api.Dispose();
            Room.Dispose();
        }
    }

    private protected static string Said(JsonNode sheet, int row) => sheet["rows"]![row]!["says"]!.GetValue<string>();

    private protected static string? Wrong(JsonNode sheet, int row) =>
        sheet["rows"]![row]!["problem"]?.GetValue<string>();

    private protected static async Task<JsonNode> ReadAsync(Api of, string kind, string text)
    {
        var sheet = await of.TakeAsync($"/api/intake/{kind}/read", new JsonObject { ["text"] = text });
        Assert.NotEmpty(sheet["choices"]!.AsArray());
        return sheet;
    }

    private protected static async Task<int> WriteAsync(Api of, string kind, JsonNode sheet, params int[] leaveOut)
    {
        var (status, written) = await of.PostAsync($"/api/intake/{kind}", Body(Again(sheet, leaveOut)));
        Assert.Equal(HttpStatusCode.OK, status);
        return written!["entries"]!.GetValue<int>();
    }

    private protected static async Task<string> TableAsync(LanternFactory of, string table)
    {
        using var http = of.CreateClient();
        return await http.GetStringAsync(new Uri($"/api/safekeeping/tables/{table}.csv", UriKind.Relative));
    }

    private protected static JsonObject Body(JsonObject list, string? id = null) =>
        new() { ["id"] = id ?? Guid.NewGuid().ToString(), ["list"] = list };

    private protected static JsonObject Again(JsonNode sheet, params int[] leaveOut) =>
        new()
        {
            ["cells"] = sheet["cells"]!.DeepClone(),
            ["columns"] = sheet["columns"]!.DeepClone(),
            ["dayFirst"] = sheet["dayFirst"]!.DeepClone(),
            ["unit"] = sheet["unit"]?.DeepClone(),
            ["leaveOut"] = new JsonArray([.. leaveOut.Select(n => (JsonNode)n)]),
        };
}
