using System.Collections.Immutable;

namespace Husbandry.Rulebook;

/// <summary>The molt that lies in a wait or at its end.</summary>
public enum MoltInWait
{
    /// <summary>None.</summary>
    None,

    /// <summary>The wait begins with one, and its hoped end is the last: larva to pupa, pupa to adult.</summary>
    FirstAndLast,

    /// <summary>At some time between beginning and hoped end; nobody sees it.</summary>
    Unseen,
}

/// <summary>
/// Everything that the application says of a thing that is waited for. Its clocks and the share of its other end are rules
/// of the groups that know it.
/// </summary>
/// <param name="Kind">What is waited for.</param>
/// <param name="Phase">The phase that an animal is in while it waits.</param>
/// <param name="Cause">What hushes it meanwhile.</param>
/// <param name="StopsMolts">
/// Whether no molt of its own is awaited meanwhile: a crab molts underground, pupae and eggs are shut, a queen's molts are
/// behind her. A mother that guards her sac may molt all the same.
/// </param>
/// <param name="Molt">The molt that lies in it.</param>
/// <param name="IsOfOne">Whether, of many, it is that of one unless it is said how many do.</param>
/// <param name="Began">What began it, in the past tense.</param>
/// <param name="State">Of some of many: what they are meanwhile, e.g. "still pupae".</param>
/// <param name="Many">Many such waits over the years, e.g. "Pupae emerging".</param>
/// <param name="Ends">What the animal does when it ends as hoped, e.g. "comes up".</param>
/// <param name="HopedEnd">The hoped end against the other, in two or three words.</param>
/// <param name="OtherEnd">The other end in two or three words.</param>
/// <param name="Ended">What ended it as hoped, in the past tense.</param>
/// <param name="EndedOtherwise">What ended it otherwise, in the past tense.</param>
/// <param name="EndsEarlyBy">What would end it before its forecast.</param>
/// <param name="Meanwhile">What to do meanwhile; <c>{them}</c> stands for the animal.</param>
public sealed record VigilDefinition(
    VigilKind Kind,
    Phase Phase,
    HushCause Cause,
    bool StopsMolts,
    MoltInWait Molt,
    bool IsOfOne,
    string Began,
    string State,
    string Many,
    string Ends,
    string HopedEnd,
    string OtherEnd,
    string Ended,
    string EndedOtherwise,
    string EndsEarlyBy,
    string Meanwhile
)
{
    /// <summary>The words for the end of a wait for a molt, which is no vigil of its own: it begins with the molt before it.</summary>
    public const string Molts = "molts";

    /// <summary>Every kind of wait besides the one for a molt.</summary>
    public static ImmutableArray<VigilDefinition> All { get; } =
    [
        new(
            VigilKind.Surfacing,
            Phase.Buried,
            HushCause.Buried,
            StopsMolts: true,
            MoltInWait.Unseen,
            IsOfOne: true,
            Began: "buried itself",
            State: "buried",
            Many: "Crabs coming up",
            Ends: "comes up",
            HopedEnd: "up after a molt",
            OtherEnd: "only hid",
            Ended: "came up after a molt",
            EndedOtherwise: "came up without a molt",
            EndsEarlyBy: "it comes up by itself",
            Meanwhile: "Buried: leave {them} be, however long it takes."
        ),
        new(
            VigilKind.Emergence,
            Phase.Pupa,
            HushCause.Pupa,
            StopsMolts: true,
            MoltInWait.FirstAndLast,
            IsOfOne: false,
            Began: "pupated",
            State: "still pupae",
            Many: "Pupae emerging",
            Ends: "emerges",
            HopedEnd: "emerges",
            OtherEnd: "the pupa fails",
            Ended: "emerged",
            EndedOtherwise: "the pupa failed",
            EndsEarlyBy: "it emerges",
            Meanwhile: "A pupa: leave it be, neither dry nor wet."
        ),
        new(
            VigilKind.FirstWorkers,
            Phase.Founding,
            HushCause.Founding,
            StopsMolts: true,
            MoltInWait.None,
            IsOfOne: false,
            Began: "set up to found",
            State: "set up to found",
            Many: "First workers",
            Ends: "first workers",
            HopedEnd: "first workers",
            OtherEnd: "founding fails",
            Ended: "first workers seen",
            EndedOtherwise: "founding failed",
            EndsEarlyBy: "the first workers",
            Meanwhile: "Founding, and nobody has said how: is her thorax large and rounded, or slim? Say it in her details."
        ),
        new(
            VigilKind.Young,
            Phase.Brooding,
            HushCause.Brooding,
            StopsMolts: false,
            MoltInWait.None,
            IsOfOne: false,
            Began: "began to brood",
            State: "began to brood",
            Many: "Young leaving their mothers",
            Ends: "young out",
            HopedEnd: "young out",
            OtherEnd: "brood lost",
            Ended: "the young came out",
            EndedOtherwise: "lost her brood",
            EndsEarlyBy: "the young leaving her",
            Meanwhile: "Brooding: disturb her as little as can be; keep the damp side."
        ),
        new(
            VigilKind.Hatching,
            Phase.Eggs,
            HushCause.Eggs,
            StopsMolts: true,
            MoltInWait.None,
            IsOfOne: false,
            Began: "laid",
            State: "still eggs",
            Many: "Eggs hatching",
            Ends: "hatches",
            HopedEnd: "hatches",
            OtherEnd: "never hatches",
            Ended: "hatched",
            EndedOtherwise: "did not hatch",
            EndsEarlyBy: "the first of them hatching",
            Meanwhile: "Eggs: nothing to feed or water; wipe condensation away."
        ),
    ];

    /// <summary>The definition of a kind.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The wait for a molt, which begins with the molt before it, or a kind without a definition.</exception>
    public static VigilDefinition Of(VigilKind kind) =>
        All.FirstOrDefault(d => d.Kind == kind)
        ?? throw new ArgumentOutOfRangeException(nameof(kind), kind, "No definition of such a wait.");

    /// <summary>What the animal does when a wait of a kind ends as hoped, that for a molt included.</summary>
    public static string EndOf(VigilKind kind) => kind == VigilKind.Molt ? Molts : Of(kind).Ends;

    /// <summary>Many waits of a kind over the years, those for molts included.</summary>
    public static string ManyOf(VigilKind kind) => kind == VigilKind.Molt ? "Molts" : Of(kind).Many;

    /// <summary>How it ended, in the past tense.</summary>
    public string PastEnd(bool asHoped) => asHoped ? Ended : EndedOtherwise;
}
