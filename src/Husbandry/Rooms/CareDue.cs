namespace Husbandry.Rooms;

/// <summary>What kind of care a clock measures.</summary>
public enum CareClock
{
    /// <summary>Food.</summary>
    Food,

    /// <summary>Water.</summary>
    Water,

    /// <summary>What else is done at regular times.</summary>
    Upkeep,
}

/// <summary>One clock of an animal's care: something that is done for it again and again.</summary>
/// <param name="Clock">What kind of care.</param>
/// <param name="What">In a word or two, as on a list: "meal", "both pools", "escape barrier".</param>
/// <param name="Due">Night on which it is due; none while the hush holds it.</param>
/// <param name="EveryDays">Days between two times now.</param>
/// <param name="Last">Night on which it was last done; none where nothing is on record.</param>
public sealed record CareDue(CareClock Clock, string What, DateOnly? Due, double EveryDays, DateOnly? Last);
