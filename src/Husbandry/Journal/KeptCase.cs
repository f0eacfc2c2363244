using Husbandry.Rulebook;

namespace Husbandry.Journal;

/// <summary>How an egg case is kept apart from its mother.</summary>
/// <param name="Celsius">Temperature of the incubator, 5–40 °C; none at that of the room.</param>
/// <param name="Moisture">How damp it is kept.</param>
/// <param name="TurnedEveryDays">Days between two turns, 0.25–30; none where it is not turned.</param>
public sealed record Incubation(double? Celsius = null, Moisture? Moisture = null, double? TurnedEveryDays = null);

/// <summary>Of an egg case that is kept apart: whence it is and how it is kept.</summary>
/// <param name="MotherId">Its mother.</param>
/// <param name="Mother">What she is called.</param>
/// <param name="Kept">How it is kept; none where nothing was said.</param>
public sealed record KeptCase(Guid MotherId, string Mother, Incubation? Kept);
