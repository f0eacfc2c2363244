using System.Globalization;
using System.Text.Json.Nodes;

namespace Husbandry.Rulebook;

/// <summary>Finds the value of a rule by its dotted name within the JSON of a group, a species or the room's rules.</summary>
public static class RulePath
{
    private const string ValueName = "value";
    private const string DefaultName = "default";
    private const string StagesName = "stages";

    // Under these rules are put in order by feature; names leave them out.
    private static readonly HashSet<string> Features = new(StringComparer.Ordinal)
    {
        "rounds",
        "growth",
        "signs",
        "lessons",
        "climate",
        "air",
        "vigils",
        "hardening",
        "feeding",
        "food",
        "water",
        "housing",
        "nursery",
        "plants",
        "larvae",
        "colonies",
        "colony",
        "tanks",
        "pairing",
    };

    // The only other end of a wait needs no name of its own.
    private const string OnlyOtherEnd = VigilEnd.Otherwise;

    /// <summary>The rule object (value, unit, tag, source) of a name below its root; none when there is none.</summary>
    /// <param name="root">JSON of the group, species or room rules.</param>
    /// <param name="name">Dotted name without the root, e.g. <c>cadence.adult</c>; of a rule with schools the default is meant.</param>
    public static JsonObject? Find(JsonNode root, string name)
    {
        var segments = name.Split('.');
        var (node, left) = Start(root, segments);
        foreach (var segment in left)
        {
            node = node switch
            {
                JsonObject o => o[segment] ?? o[OnlyOtherEnd]?[segment],
                JsonArray a => Element(a, segment),
                _ => null,
            };
        }

        var rule = node is JsonObject withSchools && withSchools[DefaultName] is JsonObject own ? own : node;
        return rule is JsonObject found && found.ContainsKey(ValueName) ? found : null;
    }

    /// <summary>
    /// Where a name begins: names do not say to which feature a rule belongs, so that they stay when rules are put in order,
    /// and of the rules of a stage they say the stage second.
    /// </summary>
    private static (JsonNode? Node, IEnumerable<string> Left) Start(JsonNode root, string[] name)
    {
        if (Holder(root, name[0]) is { } holder)
        {
            return (holder[name[0]], name[1..]);
        }

        return
            name.Length > 1
            && root is JsonObject { } all
            && all[StagesName] is JsonArray stages
            && Element(stages, name[1]) is { } stage
            && Holder(stage, name[0]) is { } ofStage
            ? (ofStage[name[0]], name[2..])
            : (null, []);
    }

    /// <summary>What has a rule of a name: the object itself, or one of the features in it.</summary>
    private static JsonObject? Holder(JsonNode node, string name) =>
        node is not JsonObject o ? null
        : o.ContainsKey(name) ? o
        : Features.Select(f => o[f]).OfType<JsonObject>().FirstOrDefault(f => f.ContainsKey(name));

    /// <summary>Every rule below a root, by its dotted name.</summary>
    public static IEnumerable<(string Name, JsonObject Rule)> All(JsonNode root) =>
        Below(root, []).Select(found => (NameOf(found.Path), found.Rule));

    private static IEnumerable<(string[] Path, JsonObject Rule)> Below(JsonNode node, string[] path)
    {
        if (node is JsonObject rule && rule.ContainsKey(ValueName) && rule.ContainsKey("source"))
        {
            return [(path, rule)];
        }

        IEnumerable<(string Key, JsonNode? Value)> children = node switch
        {
            JsonObject o => o.Select(p => (p.Key, p.Value)),
            JsonArray a => a.Select((n, i) => (KeyOf(n, i), n)),
            _ => [],
        };
        return children.Where(c => c.Value is not null).SelectMany(c => Below(c.Value!, [.. path, c.Key]));
    }

    /// <summary>The name of what lies at a path: without features and the only other end of a wait, and of a stage's rules the stage second.</summary>
    private static string NameOf(string[] path)
    {
        path = [.. path.Where(segment => segment != OnlyOtherEnd)];
        if (path[0] != StagesName)
        {
            return string.Join('.', path.Length > 1 && Features.Contains(path[0]) ? path[1..] : path);
        }

        var rule = Features.Contains(path[2]) ? path[3..] : path[2..];
        return string.Join('.', [rule[0], path[1], .. rule[1..]]);
    }

    /// <summary>Elements of a list are named by their id, or their stage and size, where they have one; else by their number.</summary>
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
        if (node is JsonObject named && named["id"] is { } id)
        {
            return id.GetValue<string>();
        }

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
