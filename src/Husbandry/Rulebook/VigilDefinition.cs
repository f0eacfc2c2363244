using System.Collections.Immutable;

namespace Husbandry.Rulebook;

/// <summary>What the end of a wait does to the record beside ending it.</summary>
public enum EndEffect
{
    /// <summary>Nothing.</summary>
    None,

    /// <summary>It has molted at some time since the wait began; nobody saw it.</summary>
    MoltedUnseen,

    /// <summary>It molts for the last time and is adult: what leaves the pupa.</summary>
    MoltedLast,

    /// <summary>It hatches, with no molt behind it.</summary>
    Hatched,
}

/// <summary>One way in which a wait can end.</summary>
/// <param name="Id">Written with the entry.</param>
/// <param name="Says">The end in two or three words, set against the others.</param>
/// <param name="Past">The same in the past tense.</param>
/// <param name="Effect">What it does beside ending the wait.</param>
public sealed record VigilEnd(string Id, string Says, string Past, EndEffect Effect = EndEffect.None)
{
    /// <summary>The end that is hoped for; every wait has it.</summary>
    public const string AsHoped = "asHoped";

    /// <summary>Her molt cut it short: what it was waited for cannot come any more, and how long it would have taken is not known.</summary>
    public const string CutShort = "cutShort";

    /// <summary>In the words, what a pairing gives in the animal's group.</summary>
    private const string EggCaseToken = "{eggCase}";

    // Where no group is at hand.
    private const string AnyEggCase = "sac, eggs or young";

    /// <summary>The end in the words of a group; of any when it is not known.</summary>
    public string SaysOf(GroupRules? group) => Fill(Says, group);

    /// <summary>The same in the past tense.</summary>
    public string PastOf(GroupRules? group) => Fill(Past, group);

    /// <summary>Puts what a pairing gives in a group into words.</summary>
    internal static string Fill(string words, GroupRules? group) =>
        words.Replace(EggCaseToken, group?.EggCase ?? AnyEggCase, StringComparison.Ordinal);

    /// <summary>The other end of those that have only one other.</summary>
    public const string Otherwise = "otherwise";

    /// <summary>Whether it is the end that is hoped for.</summary>
    public bool IsHoped => Id == AsHoped;
}

/// <summary>
/// Everything that the application says of a thing that is waited for. Its clocks and the shares of its other ends are rules
/// of the groups that know it.
/// </summary>
/// <param name="Kind">What is waited for.</param>
/// <param name="Phase">The phase that an animal is in while it waits.</param>
/// <param name="Cause">What hushes it meanwhile.</param>
/// <param name="StopsMolts">
/// Whether no molt of its own is awaited meanwhile: a crab molts underground, pupae and eggs are shut, a queen's molts are
/// behind her. A mother that guards her sac may molt all the same.
/// </param>
/// <param name="BeginsWithMolt">Whether it begins with a molt: larva to pupa.</param>
/// <param name="IsOfOne">Whether, of many, it is that of one unless it is said how many do.</param>
/// <param name="Began">What began it, in the past tense.</param>
/// <param name="State">Of some of many: what they are meanwhile, e.g. "still pupae".</param>
/// <param name="Many">Many such waits over the years, e.g. "Pupae emerging".</param>
/// <param name="Ends">What the animal does when it ends as hoped, e.g. "comes up".</param>
/// <param name="AllEnds">Every way in which it can end, the hoped one first.</param>
/// <param name="EndsEarlyBy">What would end it before its forecast.</param>
/// <param name="Meanwhile">What to do meanwhile; <c>{them}</c> and <c>{their}</c> stand for the animal.</param>
public sealed record VigilDefinition(
    VigilKind Kind,
    Phase Phase,
    HushCause Cause,
    bool StopsMolts,
    bool BeginsWithMolt,
    bool IsOfOne,
    string Began,
    string State,
    string Many,
    string Ends,
    ImmutableArray<VigilEnd> AllEnds,
    string EndsEarlyBy,
    string Meanwhile
)
{
    /// <summary>
    /// Whether its end cannot pass unseen: a moth on the wing is found the night it is there. Where it can, the waits to come are
    /// less sure than those on record.
    /// </summary>
    public bool IsSeenToEnd => Kind == VigilKind.Emergence;

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
            BeginsWithMolt: false,
            IsOfOne: true,
            Began: "buried itself",
            State: "buried",
            Many: "Crabs coming up",
            Ends: "comes up",
            AllEnds:
            [
                new(VigilEnd.AsHoped, "up after a molt", "came up after a molt", EndEffect.MoltedUnseen),
                new(VigilEnd.Otherwise, "only hid", "came up without a molt"),
            ],
            EndsEarlyBy: "it comes up by itself",
            Meanwhile: "Buried: leave {them} be, however long it takes."
        ),
        new(
            VigilKind.Emergence,
            Phase.Pupa,
            HushCause.Pupa,
            StopsMolts: true,
            BeginsWithMolt: true,
            IsOfOne: false,
            Began: "pupated",
            State: "still pupae",
            Many: "Pupae emerging",
            Ends: "emerges",
            AllEnds:
            [
                new(VigilEnd.AsHoped, "emerges", "emerged", EndEffect.MoltedLast),
                new(VigilEnd.Otherwise, "the pupa fails", "the pupa failed"),
            ],
            EndsEarlyBy: "it emerges",
            Meanwhile: "A pupa: leave it be, neither dry nor wet."
        ),
        new(
            VigilKind.FirstWorkers,
            Phase.Founding,
            HushCause.Founding,
            StopsMolts: true,
            BeginsWithMolt: false,
            IsOfOne: false,
            Began: "set up to found",
            State: "set up to found",
            Many: "First workers",
            Ends: "first workers",
            AllEnds:
            [
                new(VigilEnd.AsHoped, "first workers", "first workers seen"),
                new(VigilEnd.Otherwise, "founding fails", "founding failed"),
            ],
            EndsEarlyBy: "the first workers",
            Meanwhile: "Founding, and nobody has said how: is her thorax large and rounded, or slim? Say it in her details."
        ),
        new(
            VigilKind.Young,
            Phase.Brooding,
            HushCause.Brooding,
            StopsMolts: false,
            BeginsWithMolt: false,
            IsOfOne: false,
            Began: "began to brood",
            State: "began to brood",
            Many: "Young leaving their mothers",
            Ends: "young out",
            AllEnds:
            [
                new(VigilEnd.AsHoped, "young out", "the young came out"),
                new(VigilEnd.Otherwise, "brood lost", "lost her brood"),
            ],
            EndsEarlyBy: "the young leaving her",
            Meanwhile: "Brooding: disturb her as little as can be; keep the damp side."
        )
        {
            TakenAway = new(VigilEnd.CutShort, "taken from her", "was taken from her and is kept apart"),
        },
        new(
            VigilKind.Hatching,
            Phase.Eggs,
            HushCause.Eggs,
            StopsMolts: true,
            BeginsWithMolt: false,
            IsOfOne: false,
            Began: "laid",
            State: "still eggs",
            Many: "Eggs hatching",
            Ends: "hatches",
            AllEnds:
            [
                new(VigilEnd.AsHoped, "hatches", "hatched", EndEffect.Hatched),
                new(VigilEnd.Otherwise, "never hatches", "did not hatch"),
            ],
            EndsEarlyBy: "the first of them hatching",
            Meanwhile: "Eggs: nothing to feed or water; wipe condensation away."
        ),
        new(
            VigilKind.EggCase,
            Phase.Expecting,
            HushCause.Expecting,
            StopsMolts: false,
            BeginsWithMolt: false,
            IsOfOne: true,
            Began: "was paired",
            State: "paired",
            Many: "Sacs, eggs and litters after a pairing",
            Ends: "{eggCase}",
            AllEnds:
            [
                new(VigilEnd.AsHoped, "{eggCase}", "has her {eggCase}"),
                new(VigilEnd.Otherwise, "nothing comes of it", "nothing came of her pairing"),
            ],
            EndsEarlyBy: "her {eggCase}, or her molt",
            Meanwhile: "Paired: disturb {them} little, water always, fed as {their} condition asks."
        )
        {
            Interrupted = new(VigilEnd.CutShort, "molts first", "molted first: what was stored went with the skin"),
        },
    ];

    /// <summary>The definition of a kind.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The wait for a molt, which begins with the molt before it, or a kind without a definition.</exception>
    public static VigilDefinition Of(VigilKind kind) =>
        All.FirstOrDefault(d => d.Kind == kind)
        ?? throw new ArgumentOutOfRangeException(nameof(kind), kind, "No definition of such a wait.");

    /// <summary>What the animal does when a wait of a kind ends as hoped, that for a molt included.</summary>
    public static string EndOf(VigilKind kind, GroupRules group) =>
        kind == VigilKind.Molt ? Molts : VigilEnd.Fill(Of(kind).Ends, group);

    /// <summary>Many waits of a kind over the years, those for molts included.</summary>
    public static string ManyOf(VigilKind kind) => kind == VigilKind.Molt ? "Molts" : Of(kind).Many;

    /// <summary>The end that a molt puts to it; none where no molt does. It is never logged by itself, and teaches no clock.</summary>
    public VigilEnd? Interrupted { get; private init; }

    /// <summary>The end that is put to it where what is awaited is taken elsewhere; never logged by itself, and teaches no clock.</summary>
    public VigilEnd? TakenAway { get; private init; }

    /// <summary>What would end it before its forecast, in the words of a group.</summary>
    public string EndsEarlyOf(GroupRules group) => VigilEnd.Fill(EndsEarlyBy, group);

    /// <summary>The end that is hoped for.</summary>
    public VigilEnd Hoped => AllEnds[0];

    /// <summary>The ends that are not.</summary>
    public IEnumerable<VigilEnd> Others => AllEnds.Skip(1);

    /// <summary>An end by its id; none when it cannot end so.</summary>
    public VigilEnd? FindEnd(string id) => AllEnds.FirstOrDefault(e => e.Id == id);

    /// <summary>An end by its id.</summary>
    /// <exception cref="ArgumentOutOfRangeException">It cannot end so.</exception>
    public VigilEnd End(string id) =>
        FindEnd(id)
        ?? (Interrupted?.Id == id ? Interrupted : null)
        ?? (TakenAway?.Id == id ? TakenAway : null)
        ?? throw new ArgumentOutOfRangeException(nameof(id), id, $"{Kind} has no such end.");
}
