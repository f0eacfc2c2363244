namespace Husbandry.Rulebook;

/// <summary>What is waited for.</summary>
public enum VigilKind
{
    /// <summary>The next molt.</summary>
    Molt,

    /// <summary>A buried crab coming up again.</summary>
    Surfacing,

    /// <summary>The adult from the pupa.</summary>
    Emergence,

    /// <summary>The first workers of a founding queen.</summary>
    FirstWorkers,

    /// <summary>The young of a brooding mother, out of her sac or off her back.</summary>
    Young,

    /// <summary>Larvae or nymphs out of eggs that are kept as such.</summary>
    Hatching,

    /// <summary>What a pairing is to give: a sac, an ootheca, eggs, a litter.</summary>
    EggCase,
}
