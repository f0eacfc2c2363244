namespace Husbandry.Rulebook;

/// <summary>Which school the room follows for the first meal after a molt.</summary>
public enum FirstMealSchool
{
    /// <summary>Our default between the schools.</summary>
    Default,

    /// <summary>Feed as soon as the quick school does.</summary>
    Quick,

    /// <summary>Wait as long as the cautious school does.</summary>
    Cautious,
}

/// <summary>Which school the room follows for the days between meals.</summary>
public enum CadenceSchool
{
    /// <summary>Our default between the schools.</summary>
    Default,

    /// <summary>Feed often.</summary>
    Often,

    /// <summary>Feed lean.</summary>
    Lean,
}
