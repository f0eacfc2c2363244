using System.Text.Json.Serialization;

namespace Husbandry.Journal;

/// <summary>How water was given.</summary>
public enum WaterKind
{
    /// <summary>The dish was filled.</summary>
    Dish,

    /// <summary>Misted: web or wall, drops to drink.</summary>
    Mist,

    /// <summary>One side or end of the floor damped, the rest left dry.</summary>
    Damp,

    /// <summary>Both pools of a crab tank, fresh and salt.</summary>
    Pools,
}

/// <summary>How much water a queen's tube, or a colony's, still holds.</summary>
public enum TubeWater
{
    /// <summary>Enough for weeks.</summary>
    Full,

    /// <summary>Little left.</summary>
    Low,

    /// <summary>None left.</summary>
    Gone,
}

/// <summary>When water was last given in one way.</summary>
public sealed record WaterEvent(WaterKind Kind, DateTimeOffset At);

/// <summary>The water of a tube as last seen.</summary>
public sealed record TubeEvent(DateTimeOffset At, TubeWater Water);

/// <summary>What is on record of an enclosure's water.</summary>
/// <param name="Given">When water was last given, one for each way of giving it.</param>
/// <param name="Tube">The water of its tube as last seen.</param>
public sealed record WaterState(IReadOnlyList<WaterEvent> Given, TubeEvent? Tube)
{
    /// <summary>Nothing on record.</summary>
    public static WaterState Empty { get; } = new([], null);

    /// <summary>When water was last given in any way.</summary>
    [JsonIgnore]
    public DateTimeOffset? LastGivenAt => Given.Count == 0 ? null : Given.Max(w => w.At);
}
