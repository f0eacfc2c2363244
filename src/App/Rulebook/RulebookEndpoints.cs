using App.Hosting;
using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Rulebook;

/// <summary>A group as forms and menus need it.</summary>
/// <param name="SizePart">The part that is called its size.</param>
/// <param name="Parts">Parts worth measuring, the size first.</param>
/// <param name="TakesPrey">Whether prey is sized for it.</param>
/// <param name="Waits">Waits other than for a molt that can begin.</param>
/// <param name="Colonial">Whether it is kept as a colony.</param>
/// <param name="Shared">Whether several may share a tank.</param>
/// <param name="HoldsWithForelegs">Whether its forelegs decide how large prey may be.</param>
public sealed record GroupView(
    string Id,
    string Name,
    string One,
    string InstarMark,
    int InstarAtHatching,
    IReadOnlyDictionary<Stage, string> StageWords,
    BodyPart SizePart,
    IReadOnlyList<BodyPart> Parts,
    bool TakesPrey,
    IReadOnlyList<WaitWords> Waits,
    bool Colonial,
    bool Shared,
    bool HoldsWithForelegs,
    IReadOnlyList<WaterWay> WaterWays
);

/// <summary>One end of a wait, as a keeper says it.</summary>
public sealed record EndWords(string Id, string Past);

/// <summary>A wait that can begin in a group, as a keeper says it.</summary>
/// <param name="Began">What began it, e.g. "Buried itself".</param>
/// <param name="Ends">How it can end, the hoped end first.</param>
/// <param name="IsOfOne">Whether, of many, it is that of one unless it is said how many do.</param>
public sealed record WaitWords(VigilKind Vigil, string Began, IReadOnlyList<EndWords> Ends, bool IsOfOne)
{
    public static WaitWords Of(VigilDefinition vigil, GroupRules group) =>
        new(
            vigil.Kind,
            vigil.Began.ToUpperFirst(),
            [.. vigil.AllEnds.Select(e => new EndWords(e.Id, e.PastOf(group).ToUpperFirst()))],
            vigil.IsOfOne
        );
}

/// <summary>A species as it can be chosen.</summary>
public sealed record SpeciesName(string Id, string ScientificName, string Group);

/// <summary>The rulebook as the client needs it: what can be chosen, and what it means.</summary>
public sealed record RulebookView(
    IReadOnlyList<GroupView> Groups,
    IReadOnlyList<SpeciesName> Species,
    IReadOnlyList<FeederRules> Feeders,
    IReadOnlyList<SignRule> Signs,
    IReadOnlyList<CalciumSource> Calcium
);

/// <summary>What can be chosen in forms, and what each sign means.</summary>
public static class RulebookEndpoints
{
    public static void MapRulebook(this WebApplication app)
    {
        app.MapGet("/api/schemas/{name}", SchemaOf).WithName("schema").WithTags("Rulebook").ProducesProblem(404);
        app.MapGet("/api/rulebook", ReadAsync).WithName("rulebook").WithTags("Rulebook");
    }

    private static GroupView Of(GroupRules g) =>
        new(
            g.Id,
            g.Name,
            g.One,
            g.InstarMark,
            g.InstarAtHatching,
            g.Stages.ToDictionary(s => s.Stage, s => s.Word),
            g.Growth.SizePart,
            [.. BodySize.PartsOf(g).OrderBy(p => p == g.Growth.SizePart ? 0 : 1)],
            g.Feeding.Prey is not null,
            [.. VigilDefinition.All.Where(v => g.Knows(v.Kind)).Select(v => WaitWords.Of(v, g))],
            g.IsColonial,
            g.Shared.Value,
            g.Feeding.Prey?.HeldByForelegs.Value == true,
            [.. g.Stages.Select(w => w.WaterWay.Value).Distinct()]
        );

    private static IResult SchemaOf(string name) =>
        Schemas.All.TryGetValue(name, out var schema)
            ? TypedResults.Text(schema, "application/schema+json")
            : Problems.NotFound("schema");

    private static async Task<Ok<RulebookView>> ReadAsync(RulebookStore store, CancellationToken cancel)
    {
        var rules = await store.ReadAsync(cancel);
        return TypedResults.Ok(
            new RulebookView(
                [.. rules.Groups.Select(Of)],
                [.. rules.Species.Select(s => new SpeciesName(s.Id, s.ScientificName, s.Group))],
                rules.Feeders,
                rules.Signs,
                rules.Room.Colonies.Calcium
            )
        );
    }
}
