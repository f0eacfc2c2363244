using Husbandry.Rulebook;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Guide;

/// <summary>"What am I seeing?": guided readings.</summary>
public static class GuideEndpoints
{
    public static void MapGuide(this WebApplication app) =>
        app.MapGet("/api/guide", ReadAsync).WithName("guide").WithTags("Guide");

    private static async Task<Ok<IReadOnlyList<GuideCase>>> ReadAsync(RulebookStore store, CancellationToken cancel) =>
        TypedResults.Ok((await store.ReadAsync(cancel)).Guide);
}
