using App.Hosting;
using Husbandry.Plants;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Ledger;
using Microsoft.AspNetCore.Mvc;

namespace App.Nursery;

/// <summary>What an unknown larva may be.</summary>
public static class LarvaGuessEndpoints
{
    public static void MapLarvaGuess(this WebApplication app) =>
        app.MapGet("/api/nursery/guess", GuessAsync)
            .WithTags("Nursery")
            .WithName("larvaGuess")
            .Produces<IReadOnlyList<LarvaGuess>>()
            .ProducesValidationProblem();

    private static async Task<IResult> GuessAsync(
        string? plant,
        [FromQuery] LarvaLook[] looks,
        RulebookStore store,
        CancellationToken cancel
    )
    {
        if (EntryCheck.CheckText("plant", plant, required: false, EntryCheck.LongestName).FirstOrDefault() is { } wrong)
        {
            return Problems.Of(wrong.Field, wrong.Message);
        }

        if (looks.FirstOrDefault(l => !Enum.IsDefined(l)) is var unknown && !Enum.IsDefined(unknown))
        {
            return Problems.Of("looks", $"Known: {string.Join(", ", Enum.GetNames<LarvaLook>())}.");
        }

        return TypedResults.Ok(LarvaGuess.Of(plant, looks, await store.ReadAsync(cancel)));
    }
}
