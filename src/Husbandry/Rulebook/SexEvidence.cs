namespace Husbandry.Rulebook;

/// <summary>By what the sex was told.</summary>
public enum SexEvidence
{
    /// <summary>Spermatheca found in the shed skin, or none found.</summary>
    ShedSkin,

    /// <summary>Seen from below, by the furrow.</summary>
    Furrow,

    /// <summary>Palps, hooks or other adult marks.</summary>
    AdultMarks,

    /// <summary>Size, build or colour of the living animal.</summary>
    Looks,

    /// <summary>Segments below the abdomen, counted.</summary>
    Segments,

    /// <summary>Pores of a female crab, or tubes of a male.</summary>
    Pores,

    /// <summary>The combs of a scorpion.</summary>
    Pectines,

    /// <summary>Antennae.</summary>
    Antennae,
}
