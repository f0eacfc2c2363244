using Husbandry.Rulebook;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Rulebook;

/// <summary>A group as forms and menus need it.</summary>
public sealed record GroupView(string Id, string Name, string One, string InstarMark, int InstarAtHatching);

/// <summary>The rulebook as the client needs it: what can be chosen, and what it means.</summary>
public sealed record RulebookView(
    IReadOnlyList<GroupView> Groups,
    IReadOnlyList<SpeciesProfile> Species,
    IReadOnlyList<FeederRules> Feeders,
    IReadOnlyList<SignRule> Signs
);

/// <summary>What can be chosen in forms, and what each sign means.</summary>
public static class RulebookEndpoints
{
    public static void MapRulebook(this WebApplication app) =>
        app.MapGet("/api/rulebook", Read).WithName("rulebook").WithTags("Rulebook");

    private static Ok<RulebookView> Read(RuleSet rules) =>
        TypedResults.Ok(
            new RulebookView(
                [.. rules.Groups.Select(g => new GroupView(g.Id, g.Name, g.One, g.InstarMark, g.InstarAtHatching))],
                rules.Species,
                rules.Feeders,
                rules.Signs
            )
        );
}
