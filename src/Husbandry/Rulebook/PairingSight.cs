namespace Husbandry.Rulebook;

/// <summary>Something seen while two are together, or of her afterwards.</summary>
public enum PairingSight
{
    /// <summary>He has found her: her silk, her track, her calling.</summary>
    Found,

    /// <summary>He drums, shakes or dances.</summary>
    Courts,

    /// <summary>She drums back or comes out raised.</summary>
    Raised,

    /// <summary>Claw in claw, he leads her about.</summary>
    Dance,

    /// <summary>He is on her back.</summary>
    Mounted,

    /// <summary>Insertion, with its minutes.</summary>
    Insertion,

    /// <summary>He put down his packet and drew her over it.</summary>
    Packet,

    /// <summary>Tail to tail, joined.</summary>
    Joined,

    /// <summary>He left her.</summary>
    Leaves,

    /// <summary>She lunged at him.</summary>
    Lunge,

    /// <summary>He is off his feet.</summary>
    OffHisFeet,

    /// <summary>One of the two is hurt.</summary>
    Hurt,

    /// <summary>Afterwards he spun a new sperm web.</summary>
    NewWeb,

    /// <summary>Afterwards he spun none.</summary>
    NoWeb,

    /// <summary>Afterwards she webs or digs otherwise than before.</summary>
    WebsOrDigs,

    /// <summary>Afterwards she fattens steadily.</summary>
    Fattens,

    /// <summary>Afterwards she shuts herself in.</summary>
    ShutsIn,
}

/// <summary>How a run ended.</summary>
public enum PairingEnding
{
    /// <summary>He is out, unhurt.</summary>
    MaleSafe,

    /// <summary>He is out, hurt.</summary>
    MaleInjured,

    /// <summary>She ate him.</summary>
    MaleEaten,

    /// <summary>He stays with her.</summary>
    LeftIn,
}

/// <summary>What a look for a sperm web showed.</summary>
public enum WebLook
{
    /// <summary>A new one.</summary>
    New,

    /// <summary>None.</summary>
    None,

    /// <summary>An old one, which was cleared away.</summary>
    OldCleared,
}

/// <summary>What something seen means for the run.</summary>
public enum SightMeaning
{
    /// <summary>All is as it should be.</summary>
    Normal,

    /// <summary>They have mated.</summary>
    Mated,

    /// <summary>Be ready to part them.</summary>
    Warns,

    /// <summary>Part them.</summary>
    Aborts,

    /// <summary>Tells afterwards whether it took.</summary>
    Afterwards,
}

/// <summary>How something seen is told.</summary>
/// <param name="Sight">What.</param>
/// <param name="Label">On the button.</param>
/// <param name="Past">In the journal.</param>
/// <param name="Meaning">What it means.</param>
/// <param name="Remark">What to do then.</param>
public sealed record SightWords(PairingSight Sight, string Label, string Past, SightMeaning Meaning, string Remark)
{
    private static readonly SightWords[] All =
    [
        new(PairingSight.Found, "Finds her", "he found her", SightMeaning.Normal, ""),
        new(PairingSight.Courts, "Drums or dances", "he drummed or danced", SightMeaning.Normal, ""),
        new(
            PairingSight.Raised,
            "She comes raised",
            "she came out raised",
            SightMeaning.Normal,
            "Normal: raised and facing him is not an attack. Do not interfere."
        ),
        new(PairingSight.Dance, "Leads her about", "he led her about, claw in claw", SightMeaning.Normal, ""),
        new(PairingSight.Mounted, "On her back", "he was on her back", SightMeaning.Normal, "Leave them."),
        new(
            PairingSight.Insertion,
            "Insertion",
            "insertion seen",
            SightMeaning.Mated,
            "When he leaves, let him go, and cup him. She may stay raised: no haste."
        ),
        new(
            PairingSight.Packet,
            "Packet put down",
            "he put his packet down and drew her over it",
            SightMeaning.Mated,
            "Part them soon: some females bite afterwards."
        ),
        new(PairingSight.Joined, "Joined", "they were joined", SightMeaning.Mated, "Leave them until they part."),
        new(PairingSight.Leaves, "He leaves", "he left her", SightMeaning.Normal, "Let him go, and cup him."),
        new(
            PairingSight.Lunge,
            "She lunges",
            "she lunged",
            SightMeaning.Warns,
            "Once can happen. Again and again: part them."
        ),
        new(PairingSight.OffHisFeet, "Off his feet", "he was off his feet", SightMeaning.Aborts, "Part them now."),
        new(PairingSight.Hurt, "One is hurt", "one was hurt", SightMeaning.Aborts, "Part them now."),
        new(PairingSight.NewWeb, "New sperm web", "he spun a new sperm web", SightMeaning.Afterwards, ""),
        new(PairingSight.NoWeb, "No new web", "he spun no new web", SightMeaning.Afterwards, ""),
        new(
            PairingSight.WebsOrDigs,
            "Webs or digs otherwise",
            "she webs or digs otherwise than before",
            SightMeaning.Afterwards,
            ""
        ),
        new(PairingSight.Fattens, "Fattens steadily", "she fattens steadily", SightMeaning.Afterwards, ""),
        new(PairingSight.ShutsIn, "Shuts herself in", "she shut herself in", SightMeaning.Afterwards, ""),
    ];

    /// <summary>The words for something seen.</summary>
    public static SightWords Of(PairingSight sight) => All.First(w => w.Sight == sight);
}
