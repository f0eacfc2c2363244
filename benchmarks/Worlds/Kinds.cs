namespace Worlds;

/// <summary>One species of the made-up rooms.</summary>
/// <param name="Group">Group, as the rulebook names it.</param>
/// <param name="Species">Species, likewise.</param>
/// <param name="ReferenceC">Temperature for which the days below hold, °C.</param>
/// <param name="FirstDays">Mean days of the first wait between molts.</param>
/// <param name="PerMolt">Factor from one wait to the next until adult.</param>
/// <param name="AdultDays">Mean days between molts of adults; none where adults molt no more.</param>
/// <param name="MoltsToAdult">Molts from hatching to adult.</param>
/// <param name="FirstMm">Length after hatching, in the measure of the group.</param>
/// <param name="Growth">Factor on the length at every molt.</param>
/// <param name="PremoltShare">Share of a wait that is premolt.</param>
/// <param name="PupaDays">Mean days of the pupa in the warm; none without one.</param>
/// <param name="ChillDays">Days of cold the pupa needs first; 0 for none.</param>
public sealed record Kind(
    string Group,
    string Species,
    double ReferenceC,
    double FirstDays,
    double PerMolt,
    double? AdultDays,
    int MoltsToAdult,
    double FirstMm,
    double Growth,
    double PremoltShare,
    double? PupaDays = null,
    int ChillDays = 0
)
{
    /// <summary>
    /// All kinds. Their waits lie 8–30 % off the product's own figures, longer for some and shorter for others, and grow evenly
    /// from molt to molt where the product's bend; every room is off by up to 20 % more of its own.
    /// </summary>
    public static IReadOnlyList<Kind> All { get; } =
    [
        new("tarantula", "tliltocatl-albopilosus", 25, 36, 1.18, 290, 11, 7, 1.33, 0.17),
        new("tarantula", "brachypelma-hamorii", 25, 95, 1.12, 380, 12, 6, 1.29, 0.14),
        new("tarantula", "caribena-versicolor", 25, 38, 1.19, 225, 9, 14, 1.30, 0.18),
        new("jumping-spider", "phidippus-regius", 26, 16, 1.12, null, 8, 4, 1.27, 0.2),
        new("scorpion", "babycurus-jacksoni", 27, 34, 1.33, null, 6, 9, 1.28, 0.15),
        new("mantis", "sphodromantis-lineola", 26, 11, 1.13, null, 8, 9, 1.29, 0.2),
        new("mantis", "phyllocrania-paradoxa", 26, 20, 1.1, null, 7, 8, 1.27, 0.2),
        new("moth", "samia-ricini", 25, 4.4, 1.14, null, 5, 5, 1.75, 0.3, 23),
        new("moth", "saturnia-pyri", 23, 8, 1.11, null, 5, 6, 1.8, 0.3, 41, 98),
        new("hermit-crab", "coenobita-clypeatus", 26, 92, 1.07, 330, 14, 2.2, 1.16, 0.1),
    ];

    /// <summary>Whether adults go on molting.</summary>
    public bool AdultsMolt => AdultDays is not null;

    /// <summary>Mean days of the wait after so many molts.</summary>
    public double DaysAfter(int molts) =>
        molts >= MoltsToAdult && AdultDays is { } adult ? adult : FirstDays * Math.Pow(PerMolt, molts);

    /// <summary>Length after so many molts.</summary>
    public double LengthAfter(int molts) =>
        FirstMm * Math.Pow(Growth, Math.Min(molts, MoltsToAdult)) * Math.Pow(1.02, Math.Max(0, molts - MoltsToAdult));
}
