using App.Access;
using App.Hosting;
using App.Live;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Rulebook;

/// <summary>A rule as it holds for one animal, with every reach to which it can be changed.</summary>
public sealed record RuleAt(
    RuleLine Line,
    string Group,
    string? SpeciesId,
    string Species,
    string Animal,
    IReadOnlyList<RuleOverride> Changes
);

/// <summary>A rule that the keeper has changed, as it is told.</summary>
/// <param name="Change">The change.</param>
/// <param name="Label">What the rule is about.</param>
/// <param name="Text">What holds now.</param>
/// <param name="For">For whom: a group, a species, or an animal with its place.</param>
public sealed record ChangedRule(RuleOverride Change, string Label, string Text, string For);

/// <summary>Something that a change of rules moves.</summary>
/// <param name="What">What moves, from what to what.</param>
public sealed record MovedForecast(Guid StockId, string Code, string Name, string What);

/// <summary>What a change of rules would move.</summary>
public sealed record OverridePreview(int Animals, IReadOnlyList<MovedForecast> Moved);

/// <summary>Changing rules, seeing beforehand what that moves, and giving changes up.</summary>
public static class OverrideEndpoints
{
    private const int LongestRemark = 200;

    public static void MapOverrides(this WebApplication app)
    {
        var rulebook = app.MapGroup("/api/rulebook").WithTags("Rulebook");
        rulebook.MapGet("rule", RuleAsync).WithName("ruleAt").Produces<RuleAt>().ProducesProblem(404);
        rulebook.MapGet("overrides", OverridesAsync).WithName("overrides");
        rulebook
            .MapPost("overrides/preview", PreviewAsync)
            .WithName("previewOverride")
            .Produces<OverridePreview>()
            .ProducesValidationProblem();
        rulebook
            .MapPost("overrides", SetAsync)
            .WithName("setOverride")
            .ForOwner()
            .Produces<OverridePreview>()
            .ProducesValidationProblem()
            .Produces<BothSides>(409, "application/problem+json");
        rulebook
            .MapDelete("overrides/{id:guid}", GiveUpAsync)
            .WithName("giveUpOverride")
            .ForOwner()
            .Produces(204)
            .ProducesProblem(404);
    }

    private static async Task<IResult> RuleAsync(
        string name,
        Guid stockId,
        RulebookStore store,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        var rules = await store.ReadAsync(cancel);
        if (await reader.StandingAsync(stockId, cancel) is not { } standing)
        {
            return Problems.NotFound("animal");
        }

        var (group, species) = (standing.Details.Group, standing.Details.SpeciesId);
        if (rules.Rule(name, group, species, stockId) is not { } rule)
        {
            return Problems.NotFound("rule");
        }

        var changes = rules
            .Overrides.Where(o => o.Rule == name && (o.Group == group || o.Group.Length == 0))
            .Where(o =>
                o.Scope == OverrideScope.Room
                || (o.Scope == OverrideScope.Species && o.SpeciesId == species)
                || o.StockId == stockId
            )
            .ToList();
        return TypedResults.Ok(
            new RuleAt(
                RuleSheet.Line(name, rule),
                group,
                species,
                rules.For(standing.Details.Species, stockId).Profile.ScientificName,
                standing.Details.Nickname,
                changes
            )
        );
    }

    private static async Task<Ok<IReadOnlyList<ChangedRule>>> OverridesAsync(RoomNow now, CancellationToken cancel)
    {
        var room = await now.ReadAsync(cancel);
        var index = await now.IndexAsync(cancel);
        return TypedResults.Ok<IReadOnlyList<ChangedRule>>([
            .. room.Rules.Overrides.Select(change =>
            {
                var line = room.Rules.Rule(change.Rule, change.Group, change.SpeciesId, change.StockId ?? Guid.Empty)
                    is { } rule
                    ? RuleSheet.Line(change.Rule, rule)
                    : null;
                var animal = change.StockId is { } id ? index.Find(id) : null;
                return new ChangedRule(
                    change,
                    line?.Label ?? change.Rule,
                    line?.Text ?? "",
                    animal is not null ? $"{animal.Where.Place.Code} {animal.Who.Name}"
                        : change.SpeciesId is { } species ? room.Rules.Profile(species)?.ScientificName ?? species
                        : room.Rules.Group(change.Group)?.Name ?? "the whole room"
                );
            }),
        ]);
    }

    private static async Task<IResult> PreviewAsync(
        RuleOverride body,
        RoomNow now,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        if (body.Remark.Length > LongestRemark)
        {
            return Problems.Of("remark", $"At most {LongestRemark} characters.");
        }

        var others = room.Rules.Overrides.Where(o =>
            (o.Scope, o.Group, o.SpeciesId, o.StockId, o.Rule)
            != (body.Scope, body.Group, body.SpeciesId, body.StockId, body.Rule)
        );
        var reading = room.Rules.With([.. others, body]);
        return reading.Rules is null
            ? Problems.Of(reading.Problems)
            : TypedResults.Ok(await MovedAsync(room, room with { Rules = reading.Rules }, reader, cancel));
    }

    private static async Task<IResult> SetAsync(
        RuleOverride body,
        [AsParameters] Tap tap,
        HttpContext context,
        RoomNow now,
        RulebookStore store,
        NightJudge judge,
        JournalReader reader,
        LiveRoom live,
        CancellationToken cancel
    )
    {
        if (body.Remark.Length > LongestRemark)
        {
            return Problems.Of("remark", $"At most {LongestRemark} characters.");
        }

        var before = await now.ReadAsync(cancel);
        if (tap.Read(before, out var at) is { } odd)
        {
            return Problems.Of(odd.Field, odd.Message);
        }

        if (Problems.ForFailure(await store.SetAsync(body, at, cancel), before) is { } failure)
        {
            return failure;
        }

        live.Tell(LiveTopic.Rules, Hand.Of(context, before), body.Id);
        var after = await now.ReadAsync(cancel);
        await judge.RejudgeAsync(after, cancel);
        return TypedResults.Ok(await MovedAsync(before, after, reader, cancel));
    }

    private static async Task<IResult> GiveUpAsync(
        Guid id,
        [AsParameters] Tap tap,
        HttpContext context,
        RoomNow now,
        RulebookStore store,
        NightJudge judge,
        LiveRoom live,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        if (tap.Read(room, out var at) is { } odd)
        {
            return Problems.Of(odd.Field, odd.Message);
        }

        if (!await store.GiveUpAsync(id, at, cancel))
        {
            return Problems.NotFound("change");
        }

        await judge.RejudgeAsync(await now.ReadAsync(cancel), cancel);
        live.Tell(LiveTopic.Rules, Hand.Of(context, room), id);
        return TypedResults.NoContent();
    }

    /// <summary>Judges every animal under both rules and says what differs.</summary>
    private static async Task<OverridePreview> MovedAsync(
        Room before,
        Room after,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        var moved = new List<MovedForecast>();
        var standings = await reader.StandingsAsync(here: true, cancel);
        foreach (var standing in standings)
        {
            if (Judgement.TryOf(standing, before) is not { } a || Judgement.TryOf(standing, after) is not { } b)
            {
                continue;
            }

            var what = new[]
            {
                (a.Molt.Summary, b.Molt.Summary),
                (a.Wait.Summary, b.Wait.Summary),
                (a.Meal.Summary, b.Meal.Summary),
                (a.FirstMeal.Summary, b.FirstMeal.Summary),
                (a.Water.Summary, b.Water.Summary),
                (a.Stage.Summary, b.Stage.Summary),
                (a.Phase.Summary, b.Phase.Summary),
            }
                .Where(p => p.Item1 != p.Item2)
                .Select(p => $"{p.Item1} → {p.Item2}")
                .ToList();
            if (what.Count > 0)
            {
                moved.Add(
                    new MovedForecast(
                        standing.StockId,
                        a.Subject.Place.Code,
                        standing.Details.Nickname,
                        string.Join(" ", what)
                    )
                );
            }
        }

        return new OverridePreview(moved.Count, moved);
    }
}
