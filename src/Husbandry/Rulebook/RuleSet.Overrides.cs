using System.Collections.Concurrent;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Husbandry.Reasons;

namespace Husbandry.Rulebook;

/// <summary>The rules that hold for one animal.</summary>
public sealed record RulesFor(GroupRules Group, SpeciesProfile Profile);

/// <summary>Rules that the keeper has changed, laid over the rulebook: room before species before animal.</summary>
public sealed partial class RuleSet
{
    private readonly ConcurrentDictionary<(string Group, string? Species, Guid Stock), RulesFor> changed = new();

    /// <summary>Rules that the keeper has changed.</summary>
    public IReadOnlyList<RuleOverride> Overrides { get; }

    /// <summary>The rules that hold for an animal.</summary>
    /// <exception cref="InvalidOperationException">The group is not in the rulebook; entries are checked for that before they are written.</exception>
    public RulesFor For(SpeciesRef species, Guid stockId)
    {
        var own = Overrides.Any(o => o.Scope == OverrideScope.Animal && o.StockId == stockId);
        if (species.SpeciesId is null && !own)
        {
            return Resolve(species, stockId);
        }

        return changed.GetOrAdd(
            (species.Group, species.SpeciesId, own ? stockId : Guid.Empty),
            _ => Resolve(species, stockId)
        );
    }

    /// <summary>The same rulebook under other changes.</summary>
    /// <returns>The rules, or what is wrong with a change, naming the rule.</returns>
    public RuleSetReading With(IReadOnlyList<RuleOverride> overrides)
    {
        var problems = new List<Problem>();
        var room = Room;
        foreach (var change in overrides.Where(o => Root(o.Rule) == "room"))
        {
            if (change.Scope != OverrideScope.Room)
            {
                problems.Add(new Problem("scope", "Rules of the room hold for the whole room: scope must be room."));
            }
            else if (Apply(room, change, problems) is { } changedRoom)
            {
                problems.AddRange(RuleSetChecks.CheckRoom(changedRoom).Select(p => p with { Field = "value" }));
                room = changedRoom;
            }
        }

        var rules = new RuleSet(
            Groups,
            Species,
            Feeders,
            Signs,
            Hush,
            Guide,
            room,
            Larder,
            Fingerprint.Split('+')[0] + Mark(overrides),
            overrides
        );
        foreach (var change in overrides.Where(o => Root(o.Rule) != "room"))
        {
            problems.AddRange(rules.CheckChange(change));
        }

        return problems.Count == 0 ? new RuleSetReading(rules, []) : new RuleSetReading(null, problems);
    }

    /// <summary>The rule of a name as it holds for a group, species or animal: value, unit, tag and source.</summary>
    /// <returns>No value when there is no such rule.</returns>
    public JsonObject? Rule(string name, string group, string? speciesId, Guid? stockId)
    {
        var path = name[(name.IndexOf('.', StringComparison.Ordinal) + 1)..];
        if (Root(name) == "room")
        {
            return RulePath.Find(Node(Room), path);
        }

        if (Group(group) is null || Root(name) is not ("group" or "species"))
        {
            return null;
        }

        var rules = For(new SpeciesRef(group, speciesId), stockId ?? Guid.Empty);
        return RulePath.Find(Root(name) == "group" ? Node(rules.Group) : Node(rules.Profile), path);
    }

    private RulesFor Resolve(SpeciesRef species, Guid stockId)
    {
        var group =
            Group(species.Group) ?? throw new InvalidOperationException($"No group {species.Group} in the rulebook.");
        var profile = ProfileOf(species);
        var problems = new List<Problem>();
        foreach (
            var change in Overrides
                .Where(o => o.Group == species.Group)
                .Where(o =>
                    o.Scope switch
                    {
                        OverrideScope.Room => true,
                        OverrideScope.Species => o.SpeciesId == species.SpeciesId,
                        _ => o.StockId == stockId,
                    }
                )
                .OrderBy(o => o.Scope)
        )
        {
            if (Root(change.Rule) == "group")
            {
                group = Apply(group, change, problems) ?? group;
            }
            else
            {
                profile = Apply(profile, change, problems) ?? profile;
            }
        }

        return new RulesFor(group, profile);
    }

    private IEnumerable<Problem> CheckChange(RuleOverride change)
    {
        if (Group(change.Group) is not { } group)
        {
            return [new Problem("group", $"Unknown group. Known: {string.Join(", ", Groups.Select(g => g.Id))}.")];
        }

        if (change.Scope == OverrideScope.Species && Profile(change.SpeciesId)?.Group != change.Group)
        {
            return [new Problem("speciesId", "Unknown species in this group.")];
        }

        if (change.Scope == OverrideScope.Animal && change.StockId is null)
        {
            return [new Problem("stockId", "Say for which animal.")];
        }

        var problems = new List<Problem>();
        if (Root(change.Rule) == "group")
        {
            if (Apply(group, change, problems) is { } changedGroup)
            {
                problems.AddRange(RuleSetChecks.CheckGroup(changedGroup, this));
            }
        }
        else if (Root(change.Rule) == "species")
        {
            var profile = Profile(change.SpeciesId) ?? Species.First(s => s.Group == change.Group);
            if (Apply(profile, change, problems) is { } changedProfile)
            {
                problems.AddRange(RuleSetChecks.CheckSpecies(changedProfile, this));
            }
        }
        else
        {
            problems.Add(new Problem("rule", "Rules begin with group., species. or room."));
        }

        return problems.Select(p => p with { Field = p.Field is "rule" ? p.Field : "value" });
    }

    private static T? Apply<T>(T rules, RuleOverride change, List<Problem> problems)
        where T : class
    {
        var node = Node(rules);
        var path = change.Rule[(change.Rule.IndexOf('.', StringComparison.Ordinal) + 1)..];
        if (RulePath.Find(node, path) is not { } rule)
        {
            problems.Add(new Problem("rule", $"There is no rule {change.Rule}."));
            return null;
        }

        if (!Numbers(change.Value).All(n => n is > 0 and <= MostNumber || (n == 0 && IsZero(rule["value"]!))))
        {
            problems.Add(new Problem("value", $"Must be above 0 and at most {MostNumber} {rule["unit"]}."));
            return null;
        }

        rule["value"] = change.Value.DeepClone();
        rule["tag"] = "keeper";
        rule["source"] = change.Remark.Length > 0 ? $"your own: {change.Remark}" : "your own";
        try
        {
            return node.Deserialize<T>(Strict);
        }
        catch (JsonException error)
        {
            problems.Add(
                new Problem(
                    "value",
                    $"Must be of the same form as the value it replaces, in {rule["unit"]}. {error.Path}"
                )
            );
            return null;
        }
    }

    // No day, length, share or factor of the rulebook is anywhere near it; it keeps dates and sizes within bounds.
    private const double MostNumber = 10_000;

    private static IEnumerable<double> Numbers(JsonNode? value) =>
        value switch
        {
            JsonObject o => o.SelectMany(p => Numbers(p.Value)),
            JsonArray a => a.SelectMany(Numbers),
            JsonValue v when v.GetValueKind() == JsonValueKind.Number => [v.Deserialize<double>()],
            _ => [],
        };

    /// <summary>Whether the value that is replaced may be 0, as the wait of those that eat at once is.</summary>
    private static bool IsZero(JsonNode value) => Numbers(value).Any(n => n == 0);

    private static string Root(string rule) => rule.Split('.')[0];

    private static JsonNode Node<T>(T rules) => JsonSerializer.SerializeToNode(rules, Strict)!;

    private static string Mark(IReadOnlyList<RuleOverride> overrides) =>
        overrides.Count == 0
            ? ""
            : "+"
                + Convert.ToHexString(
                    SHA256.HashData(Encoding.UTF8.GetBytes(JsonSerializer.Serialize(overrides, Strict)))
                )[..16];
}
