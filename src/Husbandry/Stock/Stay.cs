namespace Husbandry.Stock;

/// <summary>Where an animal or enclosure stood from an instant on, until the next stay begins.</summary>
/// <param name="Place">The place; of one that went into a shared tank, where it stood before: it stands where the tank does.</param>
/// <param name="From">Since when.</param>
/// <param name="TankId">The shared tank in which it lives; none where its enclosure is its own.</param>
public sealed record Stay(Place Place, DateTimeOffset From, Guid? TankId = null);
