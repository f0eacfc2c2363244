using Husbandry.Rooms;
using Husbandry.Vigils;

namespace Husbandry.Nursery;

/// <summary>A male who may be the father of a brood.</summary>
/// <param name="StockId">Which; none for one who is not in the collection.</param>
/// <param name="Name">What he is called.</param>
/// <param name="Paired">Night of the last pairing with him before the eggs were laid.</param>
/// <param name="Chance">Chance (0–1) that he is: of all who may be together 1.</param>
/// <remarks>
/// Each pairing weighs by the odds that it took, from the species' take rate and what was seen of it; which of several males'
/// sperm is used is not known, so that nothing else is weighed. Source: Good (1950), Probability and the Weighing of Evidence,
/// for the odds; that paternity goes by them alone is our own pick.
/// </remarks>
public sealed record PossibleFather(Guid? StockId, string Name, DateOnly Paired, double Chance)
{
    /// <summary>Who may be, the likeliest first; empty where no pairing is on record.</summary>
    /// <param name="mother">Their mother.</param>
    /// <param name="laidBy">The latest that the eggs can have been laid, or the young born.</param>
    public static IReadOnlyList<PossibleFather> Of(Subject mother, DateTimeOffset laidBy)
    {
        ArgumentNullException.ThrowIfNull(mother);
        var molts = mother.Standing.Growth.Molts.Where(m => m.When.To < laidBy).ToList();
        var skin = molts.Count == 0 ? DateTimeOffset.MinValue : molts[^1].When.To;
        var takes = mother.Profile.Pairing?.TakeRate.Value ?? mother.Room.Rules.Room.Nursery.TakesUnknown.Value;
        var males = mother
            .Standing.Pairings.Where(p => p.At > skin && p.At <= laidBy)
            .GroupBy(p => (p.PartnerId, p.Partner))
            .Select(g =>
                (
                    g.Key,
                    Night: mother.Night(g.Max(p => p.At)),
                    Weight: 1
                        - g.Aggregate(
                            1.0,
                            (none, p) => none * (1 - PairingEvidence.After(takes, PairingEvidence.RatioOf(p, mother)))
                        )
                )
            )
            .ToList();
        var all = males.Sum(m => m.Weight);
        return
        [
            .. males
                .Select(m => new PossibleFather(
                    m.Key.PartnerId,
                    m.Key.Partner ?? "a mate that nobody named",
                    m.Night,
                    m.Weight / all
                ))
                .OrderByDescending(f => f.Chance)
                .ThenByDescending(f => f.Paired),
        ];
    }
}
