using Husbandry.Rulebook;

namespace Husbandry.Plants;

/// <summary>A species that an unknown larva may be.</summary>
/// <param name="SpeciesId">Species of the rulebook.</param>
/// <param name="Name">Its scientific name.</param>
/// <param name="Fits">Looks that fit it.</param>
/// <param name="Against">Looks that speak against it.</param>
/// <param name="EatsIt">Whether it takes the plant on which the larva was found; none where no plant was named.</param>
/// <param name="Score">How well it fits: looks that fit less those against, and its plant; for the order only.</param>
public sealed record LarvaGuess(
    string SpeciesId,
    string Name,
    IReadOnlyList<LarvaLook> Fits,
    IReadOnlyList<LarvaLook> Against,
    bool? EatsIt,
    double Score
)
{
    /// <summary>
    /// Species that an unknown larva may be, the likeliest first: by the plant it sat on and what is seen of it. A guess among those
    /// of the rulebook only: it is reared through, and confirmed or changed when it is grown. Source: house.
    /// </summary>
    /// <param name="plant">The plant it was found on; none where it was on none.</param>
    /// <param name="seen">What is seen of it.</param>
    /// <param name="rules">The rulebook.</param>
    public static IReadOnlyList<LarvaGuess> Of(string? plant, IReadOnlyCollection<LarvaLook> seen, RuleSet rules)
    {
        ArgumentNullException.ThrowIfNull(seen);
        ArgumentNullException.ThrowIfNull(rules);
        var named = string.IsNullOrWhiteSpace(plant) ? null : plant.Trim();
        return
        [
            .. rules
                .Species.Where(s => s.Larvae?.Looks is not null)
                .Select(s => One(s, named, seen, rules.Room.Plants))
                .Where(g => g.Score > 0)
                .OrderByDescending(g => g.Score)
                .ThenBy(g => g.Name, StringComparer.Ordinal),
        ];
    }

    private static LarvaGuess One(
        SpeciesProfile species,
        string? plant,
        IReadOnlyCollection<LarvaLook> seen,
        RoomPlantRules rules
    )
    {
        var looks = species.Larvae!.Looks!.Value;
        List<LarvaLook> fits = [.. seen.Where(looks.Contains)];
        List<LarvaLook> against = [.. seen.Except(looks)];
        bool? eats = plant is null ? null : species.Larvae.Hosts.Value.Any(h => HostChosenEntry.IsSame(h, plant));
        var score =
            fits.Count
            - against.Count
            + eats switch
            {
                true => rules.PlantFits.Value,
                false => -rules.PlantAgainst.Value,
                null => 0,
            };
        return new LarvaGuess(species.Id, species.ScientificName, fits, against, eats, score);
    }
}
