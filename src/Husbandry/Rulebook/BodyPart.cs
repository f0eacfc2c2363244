namespace Husbandry.Rulebook;

/// <summary>What was measured.</summary>
public enum BodyPart
{
    /// <summary>Diagonal leg span.</summary>
    LegSpan,

    /// <summary>Carapace and abdomen without legs.</summary>
    Body,

    /// <summary>Carapace length, the best growth measure.</summary>
    Carapace,

    /// <summary>Carapace width, for the condition score.</summary>
    CarapaceWidth,

    /// <summary>Abdomen width, for the condition score.</summary>
    AbdomenWidth,

    /// <summary>Width of a larva's head capsule.</summary>
    HeadCapsule,

    /// <summary>Width of a hermit crab's large claw.</summary>
    Claw,

    /// <summary>Length of a mantis's grasping foreleg, femur and tibia: what it can hold.</summary>
    Foreleg,
}
