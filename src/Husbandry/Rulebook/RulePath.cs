using System.Globalization;
using System.Text.Json.Nodes;

namespace Husbandry.Rulebook;

/// <summary>Finds the value of a rule by its dotted name within the JSON of a group, a species or the room's rules.</summary>
public static class RulePath
{
    private const string ValueName = "value";
    private const string DefaultName = "default";

    /// <summary>The rule object (value, unit, tag, source) of a name below its root; none when there is none.</summary>
    /// <param name="root">JSON of the group, species or room rules.</param>
    /// <param name="name">Dotted name without the root, e.g. <c>cadence.adult</c>; of a rule with schools the default is meant.</param>
    public static JsonObject? Find(JsonNode root, string name)
    {
        var node = root;
        foreach (var segment in name.Split('.'))
        {
            node = node switch
            {
                JsonObject o => o[segment],
                JsonArray a => Element(a, segment),
                _ => null,
            };
            if (node is null)
            {
                return null;
            }
        }

        var rule = node is JsonObject withSchools && withSchools[DefaultName] is JsonObject own ? own : node;
        return rule is JsonObject found && found.ContainsKey(ValueName) ? found : null;
    }

    /// <summary>Every rule below a root, by its dotted name.</summary>
    public static IEnumerable<(string Name, JsonObject Rule)> All(JsonNode root, string prefix = "")
    {
        if (root is JsonObject rule && rule.ContainsKey(ValueName) && rule.ContainsKey("source"))
        {
            yield return (prefix, rule);
            yield break;
        }

        IEnumerable<(string Key, JsonNode? Value)> children = root switch
        {
            JsonObject o => o.Select(p => (p.Key, p.Value)),
            JsonArray a => a.Select((n, i) => (KeyOf(n, i), n)),
            _ => [],
        };
        foreach (var (key, value) in children)
        {
            if (value is null)
            {
                continue;
            }

            foreach (var found in All(value, prefix.Length == 0 ? key : $"{prefix}.{key}"))
            {
                yield return found;
            }
        }
    }

    /// <summary>Elements of a list are named by their stage and size where they have one, else by their number.</summary>
    private static JsonNode? Element(JsonArray array, string segment)
    {
        for (var i = 0; i < array.Count; i++)
        {
            if (KeyOf(array[i], i) == segment)
            {
                return array[i];
            }
        }

        return null;
    }

    private static string KeyOf(JsonNode? node, int index)
    {
        if (node is JsonObject o && o["stage"] is { } stage)
        {
            var above = o["aboveSizeMm"]?.GetValue<double>() ?? 0;
            return above > 0
                ? string.Create(CultureInfo.InvariantCulture, $"{stage.GetValue<string>()}Above{above}")
                : stage.GetValue<string>();
        }

        return index.ToString(CultureInfo.InvariantCulture);
    }
}
