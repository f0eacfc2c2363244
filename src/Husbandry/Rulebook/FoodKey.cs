namespace Husbandry.Rulebook;

/// <summary>A food: one size class of a feeder.</summary>
/// <param name="FeederId">Feeder.</param>
/// <param name="SizeClassId">Size class.</param>
public sealed record FoodKey(string FeederId, string SizeClassId);
