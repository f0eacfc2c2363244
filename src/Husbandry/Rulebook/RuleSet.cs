using System.Reflection;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using System.Text.Json.Serialization;
using Husbandry.Reasons;

namespace Husbandry.Rulebook;

/// <summary>A rulebook document: its name and its JSON text.</summary>
public sealed record RulebookDocument(string Name, string Json);

/// <summary>Either a rulebook that passed every check, or what is wrong with it.</summary>
public sealed record RuleSetReading(RuleSet? Rules, IReadOnlyList<Problem> Problems);

/// <summary>The whole rulebook in memory. Immutable; read through typed members, never by magic number.</summary>
public sealed partial class RuleSet
{
    internal static readonly JsonSerializerOptions Strict = new(JsonSerializerDefaults.Web)
    {
        UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow,
        RespectRequiredConstructorParameters = true,
        RespectNullableAnnotations = true,
        NumberHandling = JsonNumberHandling.Strict,
        ReadCommentHandling = JsonCommentHandling.Disallow,
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false) },
    };

    private static readonly Lazy<RuleSet> LazyShipped = new(LoadShipped);

    private RuleSet(
        IReadOnlyList<GroupRules> groups,
        IReadOnlyList<SpeciesProfile> species,
        IReadOnlyList<FeederRules> feeders,
        IReadOnlyList<SignRule> signs,
        IReadOnlyList<HushRules> hush,
        IReadOnlyList<GuideCase> guide,
        RoomRules room,
        LarderRules larder,
        string fingerprint,
        IReadOnlyList<RuleOverride> overrides
    )
    {
        Overrides = overrides;
        Groups = groups;
        Species = species;
        Feeders = feeders;
        Signs = signs;
        Hush = hush;
        Guide = guide;
        Room = room;
        Larder = larder;
        Fingerprint = fingerprint;
    }

    /// <summary>The rulebook that ships with the core.</summary>
    public static RuleSet Shipped => LazyShipped.Value;

    /// <summary>All groups.</summary>
    public IReadOnlyList<GroupRules> Groups { get; }

    /// <summary>All species.</summary>
    public IReadOnlyList<SpeciesProfile> Species { get; }

    /// <summary>All feeders.</summary>
    public IReadOnlyList<FeederRules> Feeders { get; }

    /// <summary>All signs.</summary>
    public IReadOnlyList<SignRule> Signs { get; }

    /// <summary>What each cause of a hush forbids.</summary>
    public IReadOnlyList<HushRules> Hush { get; }

    /// <summary>Rules for planning food and goods.</summary>
    public LarderRules Larder { get; }

    /// <summary>Guided readings for a worried keeper.</summary>
    public IReadOnlyList<GuideCase> Guide { get; }

    /// <summary>Rules of the round and of the arithmetic.</summary>
    public RoomRules Room { get; }

    /// <summary>Changes whenever any rule changes; stored standings of another fingerprint are rebuilt.</summary>
    public string Fingerprint { get; }

    /// <summary>A group by id, or <see langword="null"/>.</summary>
    public GroupRules? Group(string? id) => Groups.FirstOrDefault(g => g.Id == id);

    /// <summary>A species by id, or <see langword="null"/>.</summary>
    public SpeciesProfile? Profile(string? id) => Species.FirstOrDefault(s => s.Id == id);

    /// <summary>
    /// The profile for stock before any rule was changed for it: its species, or for another species of the group the span of the group's species, so
    /// that the forecast is honest about how little is known.
    /// </summary>
    private SpeciesProfile ProfileOf(SpeciesRef species) =>
        Profile(species.SpeciesId)
        ?? OtherSpecies.Of(
            species.OtherSpecies ?? "",
            Group(species.Group)!,
            [.. Species.Where(s => s.Group == species.Group)],
            species.Known ?? new KnownOfSpecies()
        );

    /// <summary>A sign by id, or <see langword="null"/>.</summary>
    public SignRule? Sign(string? id) => Signs.FirstOrDefault(s => s.Id == id);

    /// <summary>What a cause forbids in a group: the group's own rule where it has one.</summary>
    public HushRules HushOf(HushCause cause, string group) =>
        Hush.FirstOrDefault(h => h.Cause == cause && h.Groups?.Contains(group) == true)
        ?? Hush.First(h => h.Cause == cause && h.Groups is null);

    /// <summary>A feeder by id, or <see langword="null"/>.</summary>
    public FeederRules? Feeder(string? id) => Feeders.FirstOrDefault(f => f.Id == id);

    /// <summary>Reads and checks a rulebook.</summary>
    /// <param name="documents">
    /// <c>groups.json</c>, <c>feeders.json</c>, <c>signs.json</c>, <c>hush.json</c>, <c>guide.json</c>, <c>room.json</c>,
    /// <c>larder.json</c> and any number of <c>species/…</c> and of the keeper's own <c>feeders/…</c>.
    /// </param>
    /// <returns>The rules, or every problem found, each naming its document and path.</returns>
    public static RuleSetReading Read(IReadOnlyList<RulebookDocument> documents)
    {
        var problems = new List<Problem>();
        var groups = One<List<GroupRules>>(documents, "groups.json", problems);
        var feeders = One<List<FeederRules>>(documents, "feeders.json", problems);
        var signs = One<List<SignRule>>(documents, "signs.json", problems);
        var hush = One<List<HushRules>>(documents, "hush.json", problems);
        var guide = One<List<GuideCase>>(documents, "guide.json", problems);
        var room = One<RoomRules>(documents, "room.json", problems);
        var larder = One<LarderRules>(documents, "larder.json", problems);
        var own = Many<FeederRules>(documents, "feeders/", problems);
        var species = Many<SpeciesProfile>(documents, "species/", problems);
        if (
            problems.Count > 0
            || groups is null
            || feeders is null
            || signs is null
            || hush is null
            || guide is null
            || room is null
            || larder is null
        )
        {
            return new RuleSetReading(null, problems);
        }

        var rules = new RuleSet(
            groups,
            species,
            [.. feeders, .. own],
            signs,
            hush,
            guide,
            room,
            larder,
            Hash(documents),
            []
        );
        problems.AddRange(RuleSetChecks.Check(rules));
        return problems.Count == 0 ? new RuleSetReading(rules, []) : new RuleSetReading(null, problems);
    }

    /// <summary>A species as a document of the rulebook.</summary>
    public static RulebookDocument Document(SpeciesProfile profile) =>
        new($"species/{profile.Id}.json", JsonSerializer.Serialize(profile, Strict));

    /// <summary>A feeder of the keeper's own as a document of the rulebook.</summary>
    public static RulebookDocument Document(FeederRules feeder) =>
        new($"feeders/{feeder.Id}.json", JsonSerializer.Serialize(feeder, Strict));

    private static List<T> Many<T>(IReadOnlyList<RulebookDocument> documents, string prefix, List<Problem> problems)
        where T : class =>
        [
            .. documents
                .Where(d => d.Name.StartsWith(prefix, StringComparison.Ordinal))
                .OrderBy(d => d.Name, StringComparer.Ordinal)
                .Select(d => Parse<T>(d, problems))
                .OfType<T>(),
        ];

    /// <summary>The documents that ship with the core.</summary>
    public static IReadOnlyList<RulebookDocument> ShippedDocuments()
    {
        const string Prefix = "rulebook/";
        var assembly = Assembly.GetExecutingAssembly();
        return
        [
            .. assembly
                .GetManifestResourceNames()
                .Where(n => n.StartsWith(Prefix, StringComparison.Ordinal))
                .Select(n =>
                {
                    using var reader = new StreamReader(assembly.GetManifestResourceStream(n)!);
                    return new RulebookDocument(n[Prefix.Length..], reader.ReadToEnd());
                }),
        ];
    }

    private static RuleSet LoadShipped()
    {
        var reading = Read(ShippedDocuments());
        return reading.Rules
            ?? throw new InvalidOperationException(
                "The shipped rulebook is broken: "
                    + string.Join("; ", reading.Problems.Select(p => $"{p.Field}: {p.Message}"))
            );
    }

    private static T? One<T>(IReadOnlyList<RulebookDocument> documents, string name, List<Problem> problems)
        where T : class
    {
        var document = documents.FirstOrDefault(d => d.Name == name);
        if (document is null)
        {
            problems.Add(new Problem(name, "This document is missing from the rulebook."));
            return null;
        }

        return Parse<T>(document, problems);
    }

    private static T? Parse<T>(RulebookDocument document, List<Problem> problems)
        where T : class
    {
        try
        {
            var value = JsonSerializer.Deserialize<T>(document.Json, Strict);
            if (value is null)
            {
                problems.Add(new Problem(document.Name, "The document is empty."));
            }

            return value;
        }
        catch (JsonException error)
        {
            problems.Add(new Problem($"{document.Name} {error.Path}", error.Message));
            return null;
        }
    }

    private static string Hash(IReadOnlyList<RulebookDocument> documents)
    {
        var all = string.Join(
            '\n',
            documents.OrderBy(d => d.Name, StringComparer.Ordinal).Select(d => d.Name + d.Json)
        );
        return Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(all)))[..16];
    }
}
