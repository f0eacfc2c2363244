namespace Husbandry.Rulebook;

/// <summary>Words for vigils.</summary>
public static class VigilWords
{
    /// <summary>
    /// Whether no molt of its own is awaited while such a wait lasts: a crab molts underground, pupae and eggs are shut, a
    /// queen's molts are behind her. A mother that guards her sac may molt all the same.
    /// </summary>
    public static bool StopsMolts(VigilKind kind) => kind is not (VigilKind.Young or VigilKind.Molt);

    /// <summary>What the animal does when the wait ends as hoped, e.g. "molts".</summary>
    public static string Ends(VigilKind kind) =>
        kind switch
        {
            VigilKind.Surfacing => "comes up",
            VigilKind.Emergence => "emerges",
            VigilKind.FirstWorkers => "first workers",
            VigilKind.Young => "young out",
            VigilKind.Hatching => "hatches",
            VigilKind.Molt => "molts",
            _ => throw Unknown(kind),
        };

    /// <summary>How a wait other than for a molt ends, one way or the other, in two or three words.</summary>
    public static string Ends(VigilKind kind, bool asHoped) =>
        (kind, asHoped) switch
        {
            (VigilKind.Surfacing, true) => "up after a molt",
            (VigilKind.Surfacing, false) => "only hid",
            (VigilKind.Emergence, false) => "the pupa fails",
            (VigilKind.FirstWorkers, false) => "founding fails",
            (VigilKind.Young, false) => "brood lost",
            (VigilKind.Hatching, false) => "never hatches",
            _ => Ends(kind),
        };

    /// <summary>What would end the wait before its forecast.</summary>
    public static string EndsEarlyBy(VigilKind kind) =>
        kind switch
        {
            VigilKind.Surfacing => "it comes up by itself",
            VigilKind.Emergence => "it emerges",
            VigilKind.FirstWorkers => "the first workers",
            VigilKind.Young => "the young leaving her",
            VigilKind.Hatching => "the first of them hatching",
            VigilKind.Molt => "the molt",
            _ => throw Unknown(kind),
        };

    /// <summary>What began the wait, in the past tense.</summary>
    public static string Began(VigilKind kind) =>
        kind switch
        {
            VigilKind.Surfacing => "buried itself",
            VigilKind.Emergence => "pupated",
            VigilKind.FirstWorkers => "set up to found",
            VigilKind.Young => "began to brood",
            VigilKind.Hatching => "laid",
            VigilKind.Molt => "molted",
            _ => throw Unknown(kind),
        };

    /// <summary>What ended the wait, in the past tense.</summary>
    public static string Ended(VigilKind kind, bool asHoped) =>
        (kind, asHoped) switch
        {
            (VigilKind.Surfacing, true) => "came up after a molt",
            (VigilKind.Surfacing, false) => "came up without a molt",
            (VigilKind.Emergence, true) => "emerged",
            (VigilKind.Emergence, false) => "the pupa failed",
            (VigilKind.FirstWorkers, true) => "first workers seen",
            (VigilKind.FirstWorkers, false) => "founding failed",
            (VigilKind.Young, true) => "the young came out",
            (VigilKind.Young, false) => "lost her brood",
            (VigilKind.Hatching, true) => "hatched",
            (VigilKind.Hatching, false) => "did not hatch",
            (VigilKind.Molt, _) => "molted",
            _ => throw Unknown(kind),
        };

    private static ArgumentOutOfRangeException Unknown(VigilKind kind) =>
        new(nameof(kind), kind, "No words for a wait of this kind.");
}
