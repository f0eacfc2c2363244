namespace Husbandry.Stock;

/// <summary>Where an enclosure stood from an instant on, until the next stay begins.</summary>
public sealed record Stay(Place Place, DateTimeOffset From);
