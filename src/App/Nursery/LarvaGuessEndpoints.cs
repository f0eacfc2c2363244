using App.Hosting;
using Husbandry.Plants;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Ledger;

namespace App.Nursery;

/// <summary>What is seen of a larva that nobody knows.</summary>
/// <param name="Plant">The plant it was found on; none where it was on none.</param>
/// <param name="Looks">What is seen of it.</param>
public sealed record LarvaSeen(string? Plant, IReadOnlyList<LarvaLook> Looks);

/// <summary>What an unknown larva may be.</summary>
public static class LarvaGuessEndpoints
{
    public static void MapLarvaGuess(this WebApplication app) =>
        app.MapPost("/api/nursery/guess", GuessAsync)
            .WithTags("Nursery")
            .WithName("larvaGuess")
            .Produces<IReadOnlyList<LarvaGuess>>()
            .ProducesValidationProblem();

    private static async Task<IResult> GuessAsync(LarvaSeen body, RulebookStore store, CancellationToken cancel) =>
        EntryCheck.CheckText("plant", body.Plant, required: false, EntryCheck.LongestName).FirstOrDefault() is { } wrong
            ? Problems.Of(wrong.Field, wrong.Message)
            : TypedResults.Ok(LarvaGuess.Of(body.Plant, body.Looks, await store.ReadAsync(cancel)));
}
