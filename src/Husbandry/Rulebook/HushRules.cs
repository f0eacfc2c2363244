namespace Husbandry.Rulebook;

/// <summary>Something a keeper may do to an animal.</summary>
public enum CareAct
{
    /// <summary>Fill the dish or give drops.</summary>
    Water,

    /// <summary>Offer live prey.</summary>
    FeedLive,

    /// <summary>Offer pre-killed prey.</summary>
    FeedDead,

    /// <summary>Handle.</summary>
    Handle,

    /// <summary>Move to another enclosure.</summary>
    Rehouse,

    /// <summary>Dig, lift the hide, open a retreat.</summary>
    Dig,

    /// <summary>Send by post or carry away.</summary>
    Ship,

    /// <summary>Put together with a mate.</summary>
    Pair,

    /// <summary>Mist the animal's side.</summary>
    Mist,

    /// <summary>Bright light.</summary>
    BrightLight,

    /// <summary>Clean the enclosure.</summary>
    Clean,
}

/// <summary>How far an act is allowed.</summary>
public enum Verdict
{
    /// <summary>Fine.</summary>
    Fine,

    /// <summary>Better not.</summary>
    Avoid,

    /// <summary>Never.</summary>
    Never,
}

/// <summary>What brings a hush about.</summary>
public enum HushCause
{
    /// <summary>Two signs that do not settle it.</summary>
    Suspected,

    /// <summary>Darkening shows: the new skin is there.</summary>
    Darkening,

    /// <summary>Premolt likely.</summary>
    Likely,

    /// <summary>Mat spun, on its back, fluid at the joints.</summary>
    Imminent,

    /// <summary>Soft after a molt.</summary>
    Hardening,

    /// <summary>The days are over; the fangs have not been seen black.</summary>
    FangsUnchecked,

    /// <summary>Very plump: food is held.</summary>
    VeryPlump,

    /// <summary>A crab that has buried itself.</summary>
    Buried,

    /// <summary>A crab that has come up again after a molt.</summary>
    Surfaced,

    /// <summary>A pupa.</summary>
    Pupa,

    /// <summary>A pupa in its winter cold.</summary>
    Chilled,

    /// <summary>A queen founding her colony.</summary>
    Founding,

    /// <summary>A queen that founds on her reserves.</summary>
    Claustral,

    /// <summary>A mother with a sac, eggs or young.</summary>
    Brooding,

    /// <summary>A burrow, hide or hammock closed from within.</summary>
    SealedIn,

    /// <summary>Eggs kept as such.</summary>
    Eggs,

    /// <summary>A queen or colony in its winter rest.</summary>
    Wintering,

    /// <summary>A queen of whom nobody has said how she founds.</summary>
    FoundingUnknown,

    /// <summary>Paired, and waiting for what comes of it.</summary>
    Expecting,

    /// <summary>Young that are not fit to leave yet.</summary>
    TooYoung,
}

/// <summary>What one cause forbids.</summary>
/// <param name="Cause">The cause.</param>
/// <param name="Acts">Verdict by act; acts not named are fine.</param>
/// <param name="Why">The sentence a keeper reads.</param>
/// <param name="Groups">Groups for which this holds instead of what holds for all; none for what holds for all.</param>
public sealed record HushRules(
    HushCause Cause,
    IReadOnlyDictionary<CareAct, Verdict> Acts,
    Rule<string> Why,
    IReadOnlyList<string>? Groups = null
);
