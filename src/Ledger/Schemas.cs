using System.ComponentModel;
using System.Reflection;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Ledger;

/// <summary>The JSON Schemas of the files that go in and out, made from the records themselves.</summary>
public static class Schemas
{
    private const string Dialect = "https://json-schema.org/draft/2020-12/schema";

    /// <summary>Every schema by the name of its file.</summary>
    public static IReadOnlyDictionary<string, string> All { get; } =
        new Dictionary<string, string>
        {
            ["room-file.schema.json"] = Of(typeof(RoomFile), "A room of Hushed Lantern"),
            ["papers.schema.json"] = Of(typeof(Papers.TravelPapers), "Papers of an animal that is handed on"),
            ["species-profile.schema.json"] = Of(typeof(SpeciesProfile), "A species profile of Hushed Lantern"),
        };

    private static string Of(Type type, string title)
    {
        var exporter = new JsonSchemaExporterOptions
        {
            TreatNullObliviousAsNonNullable = true,
            TransformSchemaNode = Describe,
        };
        var schema = (JsonObject)RoomFile.Json.GetJsonSchemaAsNode(type, exporter);
        var titled = new JsonObject { ["$schema"] = Dialect, ["title"] = title };
        foreach (var (key, value) in schema.ToList())
        {
            schema.Remove(key);
            titled[key] = value;
        }

        return titled.ToJsonString(RoomFile.Json) + "\n";
    }

    private static JsonNode Describe(JsonSchemaExporterContext context, JsonNode schema)
    {
        if (context.TypeInfo.Type == typeof(Place))
        {
            schema = new JsonObject
            {
                ["type"] = context.Path.Length > 0 ? new JsonArray("string", "null") : "string",
                ["description"] = $"Where an enclosure stands: {Place.Form}.",
            };
        }

        var described = context.PropertyInfo?.AttributeProvider ?? (ICustomAttributeProvider?)context.TypeInfo.Type;
        var text = described
            ?.GetCustomAttributes(typeof(DescriptionAttribute), inherit: false)
            .OfType<DescriptionAttribute>()
            .FirstOrDefault()
            ?.Description;
        if (text is not null && schema is JsonObject o && !o.ContainsKey("description"))
        {
            o.Insert(0, "description", text);
        }

        return schema;
    }
}
