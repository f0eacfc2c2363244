namespace Husbandry.Rulebook;

/// <summary>Rules of leaf and the plants it comes from that hold for the whole room.</summary>
/// <param name="MassRatio">How much more a larva eats in each instar than in the one before.</param>
public sealed record RoomPlantRules(Rule<double> MassRatio);
