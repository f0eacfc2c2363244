using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Climate;

/// <summary>The air that an animal needs.</summary>
/// <param name="GoodC">Right warmth, °C.</param>
/// <param name="CeilingC">Too hot from here on, °C.</param>
/// <param name="FloorC">Too cold below this, °C.</param>
/// <param name="Humidity">Right humidity in the enclosure, per cent.</param>
/// <param name="Moisture">Moisture school for which that holds.</param>
public sealed record AirBand(
    Rule<Rulebook.Range> GoodC,
    Rule<double> CeilingC,
    Rule<double> FloorC,
    Rule<Rulebook.Range> Humidity,
    Moisture Moisture
)
{
    /// <summary>The band of a species, or of its group where it has none of its own.</summary>
    public static AirBand Of(GroupRules group, SpeciesProfile? profile)
    {
        ArgumentNullException.ThrowIfNull(group);
        return new AirBand(
            profile?.Air?.GoodC ?? group.Air.GoodC,
            profile?.Air?.CeilingC ?? group.Air.CeilingC,
            profile?.Air?.FloorC ?? group.Air.FloorC,
            profile?.Air?.Humidity
                ?? (profile is null ? Either(group.Air) : group.Air.Humidity[profile.Moisture.Value]),
            profile?.Moisture.Value ?? Moisture.Dry
        );
    }

    /// <summary>Of a species that nobody knows: from the dry end of the one school to the damp end of the other.</summary>
    private static Rule<Rulebook.Range> Either(AirRules air)
    {
        var (dry, damp) = (air.Humidity[Moisture.Dry], air.Humidity[Moisture.Damp]);
        return dry with { Value = new Rulebook.Range(dry.Value.Low, damp.Value.High) };
    }
}

/// <summary>An animal for whose sake the air is watched.</summary>
/// <param name="StockId">Which.</param>
/// <param name="Name">Its name.</param>
/// <param name="Group">Its group.</param>
/// <param name="Place">Where it stands.</param>
/// <param name="Band">The air that it needs.</param>
/// <param name="Winters">Whether it lies in its winter.</param>
/// <param name="Molts">Whether it molts or is about to.</param>
/// <param name="IsHushed">Whether it is left alone.</param>
/// <param name="Vents">How air comes in; none where its enclosure is not on record.</param>
public sealed record AirNeed(
    Guid StockId,
    string Name,
    string Group,
    Place Place,
    AirBand Band,
    bool Winters,
    bool Molts,
    bool IsHushed,
    Ventilation? Vents
)
{
    /// <summary>Whether the air of the room is the air in its enclosure.</summary>
    public bool IsInTheOpen => Vents == Ventilation.Mesh;
}

/// <summary>How near an instrument hangs to an animal.</summary>
public static class ZoneNearness
{
    /// <summary>3 for its own place, 2 for its shelf, 1 for its rack, 0 for the room; none where it hangs elsewhere.</summary>
    public static int? Of(string? zone, Place place) =>
        zone is null || !PlaceZone.Holds(zone, place) ? null
        : zone.Length == 0 ? 0
        : zone == place.Rack ? 1
        : zone == place.ShelfCode ? 2
        : 3;

    /// <summary>Nearness of an animal's own place.</summary>
    public const int OwnPlace = 3;
}
