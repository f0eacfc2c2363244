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

/// <summary>Which school the room follows for feeding a female that was paired and is waiting for her brood.</summary>
public enum AfterPairingSchool
{
    /// <summary>Steady meals by her condition, rather smaller: our default.</summary>
    Steady,

    /// <summary>A little extra, as she makes eggs and silk.</summary>
    Extra,
}

/// <summary>Which school the room follows for looking at a queen that founds on her reserves.</summary>
public enum PeekingSchool
{
    /// <summary>One look every few weeks by red light: our default.</summary>
    Rationed,

    /// <summary>None until her first workers are due.</summary>
    None,
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
