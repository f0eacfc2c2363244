using System.Text.Json.Serialization;
using Husbandry.Rulebook;

namespace Husbandry.Larder;

/// <summary>A food plant of the pantry.</summary>
/// <param name="Id">Id.</param>
/// <param name="Plant">Its name.</param>
/// <param name="Form">In what form.</param>
/// <param name="Leaf">Soft or woody leaf.</param>
/// <param name="Since">When it came, or was cut.</param>
/// <param name="Grams">Leaf when that was last told, g.</param>
/// <param name="GramsAt">When that was.</param>
/// <param name="FullGrams">The most leaf that it was ever seen with, g: it grows back to that and no further.</param>
/// <param name="RegrowthGPerWeek">Leaf that grows again in a week, g; by the rulebook when none.</param>
/// <param name="WaterEveryDays">Days between two waterings; by the rulebook when none.</param>
/// <param name="WateredAt">When it was last watered; when it came while nobody has said.</param>
/// <param name="IsWashed">Of cut leaf: whether it was washed before it went into the bag.</param>
/// <param name="Where">Where it stands or grows.</param>
/// <param name="EndedAt">When it came to its end.</param>
public sealed record PantryPlant(
    Guid Id,
    string Plant,
    PlantForm Form,
    LeafKind Leaf,
    DateTimeOffset Since,
    double Grams,
    DateTimeOffset GramsAt,
    double FullGrams,
    double? RegrowthGPerWeek,
    double? WaterEveryDays,
    DateTimeOffset WateredAt,
    bool IsWashed,
    string? Where,
    DateTimeOffset? EndedAt
)
{
    private const double Week = 7;

    /// <summary>Whether it is still there.</summary>
    [JsonIgnore]
    public bool IsThere => EndedAt is null;

    /// <summary>Days for which cut leaf of its kind keeps in the cold.</summary>
    public static Rule<double> Keeps(LeafKind leaf, RoomPlantRules rules)
    {
        ArgumentNullException.ThrowIfNull(rules);
        return leaf == LeafKind.Soft ? rules.CutKeepsSoft : rules.CutKeepsWoody;
    }

    /// <summary>Instant until which it is fit to be eaten; none for what grows.</summary>
    public DateTimeOffset? KeepsUntil(RoomPlantRules rules) =>
        Form == PlantForm.Cut ? Since.AddDays(Keeps(Leaf, rules).Value) : null;

    /// <summary>Leaf that grows again in a week, g: the keeper's own figure, else the rulebook's share of a full pot.</summary>
    public double Regrowth(RoomPlantRules rules)
    {
        ArgumentNullException.ThrowIfNull(rules);
        return Form == PlantForm.Pot ? RegrowthGPerWeek ?? (rules.PotRegrowthShare.Value * FullGrams) : 0;
    }

    /// <summary>Instant at which it is to be watered; none for what is no pot.</summary>
    public DateTimeOffset? WaterDue(RoomPlantRules rules)
    {
        ArgumentNullException.ThrowIfNull(rules);
        return Form == PlantForm.Pot ? WateredAt.AddDays(WaterEveryDays ?? rules.PotWaterDays.Value) : null;
    }

    /// <summary>Leaf on it at an instant, g; 0 of what has gone off, and of a place outside.</summary>
    public double GramsOn(DateTimeOffset at, RoomPlantRules rules) =>
        Form switch
        {
            PlantForm.Site => 0,
            PlantForm.Cut => at >= KeepsUntil(rules) ? 0 : Grams,
            PlantForm.Pot => Math.Min(
                Math.Max(FullGrams, Grams),
                Grams + (Regrowth(rules) * Math.Max(0, (at - GramsAt).TotalDays) / Week)
            ),
            _ => throw new ArgumentOutOfRangeException(nameof(at), Form, "No such kind of plant."),
        };

    /// <summary>After somebody said how much is there.</summary>
    internal PantryPlant Seen(double grams, DateTimeOffset at) =>
        this with
        {
            Grams = grams,
            GramsAt = at,
            FullGrams = Math.Max(FullGrams, grams),
        };

    /// <summary>After leaf was taken from it.</summary>
    internal PantryPlant After(double grams, DateTimeOffset at, RoomPlantRules rules) =>
        this with
        {
            Grams = Math.Max(0, GramsOn(at, rules) - grams),
            GramsAt = at,
        };
}
