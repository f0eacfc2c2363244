namespace Husbandry.Rulebook;

/// <summary>Rules of colonies that hold for the whole room.</summary>
/// <param name="AdvisedHarvestShare">Share (0–1) of the largest lasting harvest that is advised.</param>
public sealed record RoomColonyRules(Rule<double> AdvisedHarvestShare);
