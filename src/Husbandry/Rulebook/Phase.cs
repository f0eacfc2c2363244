namespace Husbandry.Rulebook;

/// <summary>Where an animal stands between two molts, as the lantern shows it.</summary>
public enum Phase
{
    /// <summary>Nothing points to a molt.</summary>
    Open,

    /// <summary>Plump and nothing else.</summary>
    WellFed,

    /// <summary>Premolt suspected.</summary>
    Suspected,

    /// <summary>Premolt likely.</summary>
    Likely,

    /// <summary>Burrow, hide or hammock closed from within.</summary>
    SealedIn,

    /// <summary>The molt is here or hours away.</summary>
    Imminent,

    /// <summary>Soft after a molt.</summary>
    Hardening,

    /// <summary>The days are over; the fangs have not been seen black.</summary>
    FangsUnchecked,

    /// <summary>Buried, and to be left so.</summary>
    Buried,

    /// <summary>A pupa.</summary>
    Pupa,

    /// <summary>A queen founding her colony.</summary>
    Founding,

    /// <summary>A mother with a sac, eggs or young.</summary>
    Brooding,

    /// <summary>Eggs, kept as such.</summary>
    Eggs,

    /// <summary>A queen or colony in its winter rest.</summary>
    Wintering,

    /// <summary>Paired, and waiting for what comes of it.</summary>
    Expecting,
}

/// <summary>How a phase is shown.</summary>
/// <param name="Phase">The phase.</param>
/// <param name="Word">The word beside the lantern.</param>
/// <param name="Shutters">How many of the lantern's three shutters are closed.</param>
/// <param name="Rank">Of phases that an animal is in at once, the one of lowest rank speaks for all.</param>
/// <param name="Fasts">Whether nothing is offered in it because something other than a molt is awaited.</param>
public sealed record PhaseMark(Phase Phase, string Word, int Shutters, int Rank, bool Fasts)
{
    // The more shutters, the louder. Source: docs/how-it-works.md, the lantern.
    private static readonly PhaseMark[] Marks =
    [
        .. new (Phase Phase, string Word, int Shutters, bool Fasts)[]
        {
            (Phase.Imminent, "molting", 3, false),
            (Phase.Hardening, "hardening", 3, false),
            (Phase.Wintering, "wintering", 3, true),
            (Phase.Buried, "buried", 3, true),
            (Phase.Pupa, "pupa", 3, true),
            (Phase.Eggs, "eggs", 3, true),
            (Phase.Founding, "founding", 3, true),
            (Phase.Brooding, "brooding", 3, true),
            (Phase.FangsUnchecked, "fangs unchecked", 3, false),
            (Phase.Likely, "likely premolt", 2, false),
            (Phase.SealedIn, "sealed in", 2, false),
            (Phase.Suspected, "suspected", 1, false),
            (Phase.Expecting, "paired", 1, false),
            (Phase.WellFed, "well fed", 0, false),
            (Phase.Open, "open", 0, false),
        }.Select((m, rank) => new PhaseMark(m.Phase, m.Word, m.Shutters, rank, m.Fasts)),
    ];

    private const int PassedByFrom = 2;

    /// <summary>Whether an animal in the phase is passed by: when two shutters or more are closed. Source: docs/how-it-works.md, the lantern.</summary>
    public bool PassesBy => Shutters >= PassedByFrom;

    /// <summary>Whether nothing about its molt speaks in the phase: then the calendar may.</summary>
    public static bool IsQuiet(Phase phase) => phase is Phase.Open or Phase.WellFed or Phase.Expecting;

    /// <summary>The mark of a phase.</summary>
    public static PhaseMark Of(Phase phase) => Marks.First(m => m.Phase == phase);
}
