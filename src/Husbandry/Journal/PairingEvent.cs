namespace Husbandry.Journal;

/// <summary>How two animals were put together.</summary>
public enum PairingMethod
{
    /// <summary>Put together and watched, then parted.</summary>
    Watched,

    /// <summary>Open tubs side by side, until one of them crosses.</summary>
    TubToTub,

    /// <summary>Both tubs open in a zipped net cage from lights out until morning.</summary>
    NetOvernight,

    /// <summary>Left together.</summary>
    LeftTogether,

    /// <summary>Shown to each other through a mesh or a pane.</summary>
    ThroughMesh,
}

/// <summary>A pairing on record.</summary>
/// <param name="EntryId">Its entry.</param>
/// <param name="At">When.</param>
/// <param name="PartnerId">The partner, if it is or was in the collection.</param>
/// <param name="Partner">What the partner is called; none when nobody said.</param>
/// <param name="Method">How, when that was said.</param>
public sealed record PairingEvent(
    Guid EntryId,
    DateTimeOffset At,
    Guid? PartnerId,
    string? Partner,
    PairingMethod? Method
);
