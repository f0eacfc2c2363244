using System.Globalization;
using Husbandry.Reasons;
using Husbandry.Rooms;

namespace Husbandry.Larder;

/// <summary>Checks what is told of food plants.</summary>
internal static class PantryCheck
{
    private const double MostGrams = 100_000;
    private const double OftenestDays = 0.25;
    private const double SeldomestDays = 60;

    /// <summary>Problems of a plant that came.</summary>
    public static IEnumerable<Problem> Added(PlantAdded p, LarderStanding larder)
    {
        foreach (var problem in EntryCheck.CheckText("act.plant", p.Plant, required: true, EntryCheck.LongestName))
        {
            yield return problem;
        }

        foreach (
            var problem in EntryCheck
                .CheckText("act.where", p.Where, required: false, EntryCheck.LongestName)
                .Concat(Fresh("act.plantId", p.PlantId, larder))
                .Concat(Grams(p.Grams, p.Form == PlantForm.Cut ? 1 : 0))
        )
        {
            yield return problem;
        }

        if (p.RegrowthGPerWeek is { } grows && !(grows >= 0 && grows <= MostGrams))
        {
            yield return new Problem("act.regrowthGPerWeek", $"Must be 0 to {MostGrams:0} g a week, or left out.");
        }

        if (p.WaterEveryDays is { } days && !(days >= OftenestDays && days <= SeldomestDays))
        {
            yield return new Problem(
                "act.waterEveryDays",
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"Must be {OftenestDays} to {SeldomestDays} days, or left out."
                )
            );
        }

        if (p.Form != PlantForm.Pot && (p.RegrowthGPerWeek is not null || p.WaterEveryDays is not null))
        {
            yield return new Problem("act.form", "Only a pot grows and is watered here.");
        }
    }

    /// <summary>Problems of leaf that was taken.</summary>
    public static IEnumerable<Problem> Cut(PlantCut p, LarderStanding larder)
    {
        var problems = There(p.PlantId, larder).Concat(Grams(p.Grams, 1));
        return p.CutId is { } bag ? problems.Concat(Fresh("act.cutId", bag, larder)) : problems;
    }

    /// <summary>Problems of a watering.</summary>
    public static IEnumerable<Problem> Watered(PlantWatered p, LarderStanding larder) =>
        larder.Plants.FirstOrDefault(x => x.Id == p.PlantId) is { IsThere: true, Form: not PlantForm.Pot }
            ? [new Problem("act.plantId", "Only a pot is watered.")]
            : There(p.PlantId, larder);

    /// <summary>The problem that a plant is not there, or no more.</summary>
    public static IEnumerable<Problem> There(Guid id, LarderStanding larder) =>
        larder.Plants.Any(p => p.Id == id && p.IsThere)
            ? []
            : [new Problem("act.plantId", "No such plant is in the pantry.")];

    /// <summary>Problems of a weight of leaf.</summary>
    public static IEnumerable<Problem> Grams(double grams, double least) =>
        grams >= least && grams <= MostGrams
            ? []
            : [new Problem("act.grams", $"Must be {least:0} to {MostGrams:0} g.")];

    private static IEnumerable<Problem> Fresh(string field, Guid id, LarderStanding larder) =>
        larder.Plants.Any(p => p.Id == id) ? [new Problem(field, "There is a plant of this id already.")] : [];
}
