using App.Access;
using App.Hosting;
using App.Live;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Rooms;

/// <summary>Settings of the room.</summary>
public static class SettingsEndpoints
{
    public static void MapSettings(this WebApplication app)
    {
        app.MapGet("/api/settings", ReadAsync).WithName("settings").WithTags("Settings");
        app.MapPost("/api/settings/nights", NightsAsync)
            .WithName("nightsMoved")
            .ForOwner()
            .WithTags("Settings")
            .Produces<NightsMoved>()
            .ProducesValidationProblem();
        app.MapPut("/api/settings", WriteAsync)
            .WithName("changeSettings")
            .ForOwner()
            .WithTags("Settings")
            .Produces<VersionedSettings>()
            .ProducesValidationProblem()
            .Produces<BothSides>(409, "application/problem+json");
    }

    private static async Task<Ok<VersionedSettings>> ReadAsync(RoomStore store, CancellationToken cancel) =>
        TypedResults.Ok(await store.ReadAsync(cancel));

    private static async Task<IResult> NightsAsync(NightsRequest body, NightsReader nights, CancellationToken cancel)
    {
        var (moved, problems) = await nights.ReadAsync(body, cancel);
        return moved is null ? Problems.Of(problems) : TypedResults.Ok(moved);
    }

    private static async Task<IResult> WriteAsync(
        VersionedSettings body,
        HttpContext context,
        RoomStore store,
        NightJudge judge,
        RulebookStore rulebook,
        RoomNow now,
        LiveRoom live,
        CancellationToken cancel
    )
    {
        var problems = body.Settings.Problems().Select(p => p with { Field = $"settings.{p.Field}" }).ToList();
        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        var rules = await rulebook.ReadAsync(cancel);
        if (!await store.WriteAsync(body.Settings, body.Version, rules.Fingerprint, cancel))
        {
            var there = await store.ReadAsync(cancel);
            var room = await now.ReadAsync(cancel);
            var differences = Differences.Between("settings", there.Settings, body.Settings, room.Wording);
            // What is sent again after a lost answer is there already.
            return differences.Count == 0
                ? TypedResults.Ok(there)
                : Problems.Conflict(BothSides.OfVersion(there.Version, differences));
        }

        // Due dates depend on schools and nights, so every standing is judged anew.
        var after = await now.ReadAsync(cancel);
        await judge.RejudgeAsync(after, cancel);
        live.Tell(LiveTopic.Settings, Hand.Of(context, after));
        return TypedResults.Ok(await store.ReadAsync(cancel));
    }
}
