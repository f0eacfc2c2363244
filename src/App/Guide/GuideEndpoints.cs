using App.Hosting;
using Husbandry.Guide;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Ledger;

namespace App.Guide;

/// <summary>"What am I seeing?": guided readings for a group, or for one animal with what is known of it.</summary>
public static class GuideEndpoints
{
    public static void MapGuide(this WebApplication app)
    {
        app.MapGet("/api/guide/{group}", OfGroupAsync)
            .WithName("guide")
            .WithTags("Guide")
            .Produces<IReadOnlyList<GuideCase>>()
            .ProducesProblem(StatusCodes.Status404NotFound);
        app.MapGet("/api/stock/{id:guid}/guide", OfAnimalAsync)
            .WithName("guideOfAnimal")
            .WithTags("Guide")
            .Produces<IReadOnlyList<GuideCase>>()
            .ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static async Task<IResult> OfGroupAsync(
        string group,
        RulebookStore store,
        RoomStore room,
        CancellationToken cancel
    )
    {
        var rules = await store.ReadAsync(cancel);
        return rules.Group(group) is { } known
            ? TypedResults.Ok(GuideReading.OfGroup(rules, known, (await room.ReadAsync(cancel)).Settings))
            : Problems.NotFound("group");
    }

    private static async Task<IResult> OfAnimalAsync(
        Guid id,
        RoomNow now,
        JournalReader reader,
        CancellationToken cancel
    ) =>
        await reader.StandingAsync(id, cancel) is { } standing
            ? TypedResults.Ok(GuideReading.OfAnimal(Judgement.Of(standing, await now.ReadAsync(cancel))))
            : Problems.NotFound("animal");
}
