using Husbandry.Journal;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>How well one thing seen of a pairing has told in this room whether it took.</summary>
/// <param name="SeenOfTaken">Waits that ended in eggs or young of which it was seen.</param>
/// <param name="Taken">Waits that ended so, of which it could have been seen.</param>
/// <param name="SeenOfOthers">Waits that came to nothing of which it was seen.</param>
/// <param name="Others">Waits that came to nothing, of which it could have been seen.</param>
/// <param name="OfTaken">Chance (0–1) of seeing it when a pairing took, the rulebook's weighed against what was counted.</param>
/// <param name="OfOthers">The same of one that did not.</param>
public sealed record ClueLesson(
    int SeenOfTaken,
    int Taken,
    int SeenOfOthers,
    int Others,
    double OfTaken,
    double OfOthers
)
{
    /// <summary>Likelihood ratio of seeing it (&gt; 0).</summary>
    public double Ratio => OfTaken / OfOthers;

    /// <summary>What was counted, for reasons; empty before anything was.</summary>
    public string Counted =>
        Taken + Others == 0
            ? ""
            : $" Counted here: in {SeenOfTaken} of {Taken} that took, {SeenOfOthers} of {Others} that did not.";
}

/// <summary>A wait after pairing that came to its end, and what had been seen of it.</summary>
/// <param name="Took">Whether eggs or young came.</param>
/// <param name="Watched">Whether somebody watched them, so that a mating could be seen.</param>
/// <param name="ToTheEnd">Whether they were watched to their end.</param>
/// <param name="Seen">What was seen.</param>
/// <param name="Web">Of the last look for his web, whether it came early and whether there was one; none where nobody looked.</param>
internal sealed record TriedPairing(
    bool Took,
    bool Watched,
    bool ToTheEnd,
    HashSet<PairingSight> Seen,
    (bool Early, bool Spun)? Web
)
{
    /// <summary>All waits of a female that ended; one that her molt or her leaving cut short tells nothing.</summary>
    public static IEnumerable<TriedPairing> AllOf(Subject she) =>
        she
            .Standing.Vigils.All.Where(v =>
                v is { Vigil: VigilKind.EggCase, Ended: not null, End: VigilEnd.AsHoped or VigilEnd.Otherwise }
            )
            .Select(v => Of(PairingEvidence.Behind(she, v), v.AsHoped, she.Room.Rules.Room.Pairing))
            .OfType<TriedPairing>();

    private static TriedPairing? Of(List<PairingEvent> pairings, bool took, RoomPairingRules rules)
    {
        if (pairings.Count == 0)
        {
            return null;
        }

        var web = pairings
            .SelectMany(p => p.Seen.Where(m => PairingEvidence.IsWeb(m.Sight)).Select(m => (Pairing: p, Moment: m)))
            .LastOrDefault();
        return new TriedPairing(
            took,
            pairings.Any(p => p.Led || p.Seen.Count > 0),
            pairings.Any(PairingEvidence.WatchedToTheEnd),
            [.. pairings.SelectMany(p => p.Seen).Select(m => m.Sight)],
            web.Moment is null
                ? null
                : (PairingEvidence.IsEarly(web.Moment, web.Pairing, rules), web.Moment.Sight == PairingSight.NewWeb)
        );
    }
}

/// <summary>What pairings of the room taught of how to tell whether one took.</summary>
/// <remarks>
/// Beta counts: the rulebook's likelihoods stand for some pairings of their own, as many of those that came to nothing as the room
/// has of them beside those that took, so that what was never seen keeps the rulebook's ratio. Source: Gelman et al. (2013),
/// Bayesian Data Analysis, 3rd ed., §2.4.
/// </remarks>
public sealed class ClueLessons
{
    private readonly IReadOnlyList<TriedPairing> tried;

    internal ClueLessons(IReadOnlyList<TriedPairing> tried) => this.tried = tried;

    /// <summary>Nothing counted yet.</summary>
    public static ClueLessons None { get; } = new([]);

    /// <summary>How well something seen told; none where the rulebook does not weigh it.</summary>
    public ClueLesson? Of(PairingSight sight, PairingEvidenceRules rules)
    {
        var mating = SightWords.Of(sight).Meaning == SightMeaning.Mated;
        return rules.Ratios.GetValueOrDefault(sight) is { } ratio
            ? Count(tried.Where(t => t.Watched || !mating), t => t.Seen.Contains(sight), ratio.Value, rules)
            : null;
    }

    /// <summary>How well it told that no mating was seen of a pairing watched to its end.</summary>
    public ClueLesson NothingSeen(PairingEvidenceRules rules) =>
        Count(
            tried.Where(t => t.ToTheEnd),
            t => !t.Seen.Any(s => SightWords.Of(s).Meaning == SightMeaning.Mated),
            rules.NothingSeen.Value,
            rules
        );

    /// <summary>
    /// How often a male had spun a new web by a look after a pairing that took (0–1). How often he does unmated is his own, see
    /// <see cref="PairingEvidence.SpinsAnyway"/>.
    /// </summary>
    public (double Share, int Spun, int Looks) Web(bool early, PairingEvidenceRules rules)
    {
        var looks = tried.Where(t => t.Took && t.Web?.Early == early).ToList();
        var (weight, spun) = (rules.CluePriorPairings.Value, looks.Count(t => t.Web!.Value.Spun));
        var usual = (early ? rules.WebEarly : rules.WebLate).Value;
        return (((weight * usual) + spun) / (weight + looks.Count), spun, looks.Count);
    }

    private static ClueLesson Count(
        IEnumerable<TriedPairing> told,
        Func<TriedPairing, bool> seen,
        double ratio,
        PairingEvidenceRules rules
    )
    {
        var all = told.ToList();
        var (taken, others) = (all.Count(t => t.Took), all.Count(t => !t.Took));
        var (seenOfTaken, seenOfOthers) = (all.Count(t => t.Took && seen(t)), all.Count(t => !t.Took && seen(t)));
        var (weight, shown) = (rules.CluePriorPairings.Value, rules.ClueShown.Value);
        var weightOfOthers = taken == 0 || others == 0 ? weight : weight * others / taken;
        // What is seen oftener of one kind is seen so often of that kind.
        var (usual, usualOfOthers) = ratio >= 1 ? (shown, shown / ratio) : (shown * ratio, shown);
        return new ClueLesson(
            seenOfTaken,
            taken,
            seenOfOthers,
            others,
            ((weight * usual) + seenOfTaken) / (weight + taken),
            ((weightOfOthers * usualOfOthers) + seenOfOthers) / (weightOfOthers + others)
        );
    }
}
