using System.Text.Json;
using System.Text.Json.Serialization;
using App.Access;
using App.Hosting;
using App.Live;
using Husbandry.Rulebook;
using Ledger;

namespace App.Rulebook;

/// <summary>A rule with what the rulebook itself says, when the keeper has changed it.</summary>
/// <param name="Line">The rule as it holds.</param>
/// <param name="Shipped">What the rulebook says; none when nothing was changed.</param>
/// <param name="OverrideId">The change.</param>
public sealed record SheetLine(RuleLine Line, string? Shipped, Guid? OverrideId);

/// <summary>Everything the rulebook says of a species.</summary>
/// <param name="Own">Whether the keeper added it.</param>
/// <param name="Kept">How many are in the room.</param>
public sealed record SpeciesSheet(
    string Id,
    string ScientificName,
    string Group,
    string GroupName,
    Habit Habit,
    bool Own,
    int Kept,
    IReadOnlyList<SheetLine> Lines
);

/// <summary>Reading species, adding and exporting them.</summary>
public static class SpeciesEndpoints
{
    public static void MapSpecies(this WebApplication app)
    {
        var rulebook = app.MapGroup("/api/rulebook").WithTags("Rulebook");
        rulebook
            .MapGet("species/{id}", SheetAsync)
            .WithName("speciesSheet")
            .Produces<SpeciesSheet>()
            .ProducesProblem(404);
        rulebook
            .MapGet("species/{id}/profile", ProfileAsync)
            .WithName("speciesProfile")
            .Produces<SpeciesProfile>()
            .ProducesProblem(404);
        rulebook
            .MapPost("species", AddAsync)
            .WithName("addSpecies")
            .ForOwner()
            .Produces<SpeciesSheet>()
            .ProducesValidationProblem();
    }

    private static async Task<IResult> SheetAsync(
        string id,
        RulebookStore store,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        var rules = await store.ReadAsync(cancel);
        return rules.Profile(id) is { } profile
            ? TypedResults.Ok(Sheet(rules, profile, await KeptAsync(id, reader, cancel)))
            : Problems.NotFound("species");
    }

    private static async Task<int> KeptAsync(string id, JournalReader reader, CancellationToken cancel) =>
        (await reader.StandingsAsync(here: true, cancel)).Count(s => s.Details.SpeciesId == id);

    private static SpeciesSheet Sheet(RuleSet rules, SpeciesProfile profile, int kept)
    {
        var group = rules.Group(profile.Group)!;
        var holds = rules.For(new SpeciesRef(profile.Group, profile.Id), Guid.Empty);
        var changes = rules
            .Overrides.Where(o => o.Group == profile.Group && o.Scope != OverrideScope.Animal)
            .Where(o => o.Scope == OverrideScope.Room || o.SpeciesId == profile.Id)
            .OrderBy(o => o.Scope)
            .ToList();
        var shipped = RuleSheet.Of(profile).Concat(RuleSheet.Of(group)).ToDictionary(l => l.Name, l => l.Text);
        return new SpeciesSheet(
            profile.Id,
            profile.ScientificName,
            profile.Group,
            group.Name,
            profile.Habit,
            RuleSet.Shipped.Profile(profile.Id) is null,
            kept,
            [
                .. RuleSheet
                    .Of(holds.Profile)
                    .Concat(RuleSheet.Of(holds.Group))
                    .Select(line =>
                    {
                        var change = changes.LastOrDefault(o =>
                            line.Name == o.Rule || line.Name == $"{o.Rule}.default"
                        );
                        return new SheetLine(
                            line,
                            change is null ? null : shipped.GetValueOrDefault(line.Name),
                            change?.Id
                        );
                    }),
            ]
        );
    }

    private static async Task<IResult> ProfileAsync(string id, RulebookStore store, CancellationToken cancel)
    {
        var rules = await store.ReadAsync(cancel);
        return rules.Profile(id) is { } profile
            ? TypedResults.Json(profile, RulebookJson.Pretty)
            : Problems.NotFound("species");
    }

    private static async Task<IResult> AddAsync(
        SpeciesProfile body,
        HttpContext context,
        RulebookStore store,
        JournalReader reader,
        RoomNow now,
        LiveRoom live,
        CancellationToken cancel
    )
    {
        var wrong = await store.AddSpeciesAsync([body], replace: true, cancel);
        if (wrong.Count > 0)
        {
            return Problems.Of(wrong);
        }

        live.Tell(LiveTopic.Rules, Hand.Of(context, await now.ReadAsync(cancel)));
        var rules = await store.ReadAsync(cancel);
        return TypedResults.Ok(Sheet(rules, rules.Profile(body.Id)!, await KeptAsync(body.Id, reader, cancel)));
    }
}

/// <summary>How profiles are exported.</summary>
internal static class RulebookJson
{
    public static JsonSerializerOptions Pretty { get; } =
        new(LedgerJson.Options) { WriteIndented = true, DefaultIgnoreCondition = JsonIgnoreCondition.Never };
}
