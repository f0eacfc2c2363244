using Husbandry.Rulebook;

namespace Husbandry.Larder;

/// <summary>In what form a food plant is there.</summary>
public enum PlantForm
{
    /// <summary>A pot of the keeper's own: its leaf grows again.</summary>
    Pot,

    /// <summary>Cut leaf, bagged and cold: it keeps for some days.</summary>
    Cut,

    /// <summary>A place outside where it grows: as much as is needed, for whoever goes there.</summary>
    Site,
}

/// <summary>A food plant came into the pantry.</summary>
/// <param name="PlantId">Id made by the client.</param>
/// <param name="Plant">Its name, as the food plants of the larvae are called.</param>
/// <param name="Form">In what form.</param>
/// <param name="Leaf">Soft or woody leaf.</param>
/// <param name="Grams">Leaf on it, or cut, g; 0 for a place outside.</param>
/// <param name="RegrowthGPerWeek">Of a pot: leaf that grows again in a week, g; by the rulebook when left out.</param>
/// <param name="WaterEveryDays">Of a pot: days between two waterings; by the rulebook when left out.</param>
/// <param name="IsWashed">Of cut leaf: whether it was washed before it went into the bag.</param>
/// <param name="Where">Where it stands or grows, in the keeper's words.</param>
public sealed record PlantAdded(
    Guid PlantId,
    string Plant,
    PlantForm Form,
    LeafKind Leaf,
    double Grams,
    double? RegrowthGPerWeek = null,
    double? WaterEveryDays = null,
    bool IsWashed = false,
    string? Where = null
) : LarderAct;

/// <summary>Somebody looked how much leaf is on a pot, or left of what was cut.</summary>
public sealed record PlantSeen(Guid PlantId, double Grams) : LarderAct;

/// <summary>Leaf was taken from a plant: fed at once, or bagged for later.</summary>
/// <param name="PlantId">From which.</param>
/// <param name="Grams">How much, g.</param>
/// <param name="CutId">Id of the bag it went into; none when it was fed at once.</param>
/// <param name="IsWashed">Whether it was washed before it went into the bag.</param>
public sealed record PlantCut(Guid PlantId, double Grams, Guid? CutId = null, bool IsWashed = false) : LarderAct;

/// <summary>A pot was watered.</summary>
public sealed record PlantWatered(Guid PlantId) : LarderAct;

/// <summary>A plant is no more: used up, foul, died, or given away.</summary>
public sealed record PlantEnded(Guid PlantId) : LarderAct;
