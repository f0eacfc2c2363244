using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>One thing seen that speaks for a pairing having taken, or against it.</summary>
/// <param name="Label">What, in a word or two.</param>
/// <param name="Ratio">Likelihood ratio (&gt; 0).</param>
/// <param name="Why">The rule.</param>
public sealed record TookClue(string Label, double Ratio, Reason Why);

/// <summary>What tells whether one of the pairings behind a wait has taken.</summary>
/// <param name="Clues">What was seen, in order.</param>
/// <remarks>
/// Bayes' rule on odds, the pieces taken as independent given the truth; of several pairings that of which most speaks for it
/// counts. Source: Good (1950), Probability and the Weighing of Evidence, for the form; the ratios are rules.
/// </remarks>
public sealed record PairingEvidence(IReadOnlyList<TookClue> Clues)
{
    /// <summary>Product of the likelihood ratios.</summary>
    public double Ratio => Clues.Aggregate(1.0, (r, c) => r * c.Ratio);

    /// <summary>Reads what was seen since a wait began.</summary>
    /// <param name="she">The female.</param>
    /// <param name="wait">Her wait after one or more pairings.</param>
    public static PairingEvidence Of(Subject she, VigilEvent wait)
    {
        var (rules, lessons) = (she.Room.Rules.Room.Pairing, she.Room.Lessons.Clues);
        var pairings = Behind(she, wait);
        var best = pairings
            .Select(p => OfPairing(p, rules, lessons))
            .MaxBy(clues => clues.Aggregate(1.0, (r, c) => r * c.Ratio));
        var afterwards = pairings
            .SelectMany(p => p.Seen)
            .Where(m => SightWords.Of(m.Sight).Meaning == SightMeaning.Afterwards && !IsWeb(m.Sight))
            .DistinctBy(m => m.Sight)
            .Select(m => Of(m, rules, lessons))
            .OfType<TookClue>();
        return new PairingEvidence([.. best ?? [], .. afterwards]);
    }

    /// <summary>Likelihood ratio (&gt; 0) that one pairing has taken, from what was seen of it and of his web.</summary>
    /// <param name="pairing">The pairing.</param>
    /// <param name="she">The female.</param>
    public static double RatioOf(PairingEvent pairing, Subject she)
    {
        ArgumentNullException.ThrowIfNull(pairing);
        ArgumentNullException.ThrowIfNull(she);
        return OfPairing(pairing, she.Room.Rules.Room.Pairing, she.Room.Lessons.Clues)
            .Aggregate(1.0, (ratio, clue) => ratio * clue.Ratio);
    }

    /// <summary>The pairings behind a wait of hers.</summary>
    internal static List<PairingEvent> Behind(Subject she, VigilEvent wait) =>
        [
            .. she.Standing.Pairings.Where(p =>
                p.At >= wait.Began.From && !(p.At > (wait.Ended?.To ?? DateTimeOffset.MaxValue))
            ),
        ];

    /// <summary>Whether somebody watched a pairing until they were parted.</summary>
    internal static bool WatchedToTheEnd(PairingEvent pairing) =>
        pairing is { Led: true, End: not null, Method: PairingMethod.Watched or PairingMethod.TubToTub };

    /// <summary>Whether a look for his web was the first, when not all have spun that will.</summary>
    internal static bool IsEarly(PairingMoment web, PairingEvent pairing, RoomPairingRules rules) =>
        (web.At - (pairing.End?.At ?? pairing.At)).TotalHours < rules.WebHours.Value.Average();

    /// <summary>The shares of the ends with the odds of the hoped one moved by what was seen.</summary>
    public IReadOnlyDictionary<string, double> Weigh(IReadOnlyDictionary<string, double> shares)
    {
        var hoped = After(shares[VigilEnd.AsHoped], Ratio);
        var left = 1 - shares[VigilEnd.AsHoped];
        return shares.ToDictionary(s => s.Key, s => s.Key == VigilEnd.AsHoped ? hoped : (1 - hoped) * s.Value / left);
    }

    /// <summary>The ladder from the share of pairings that take up to what was seen.</summary>
    public IReadOnlyList<Rung> Ladder(double takes)
    {
        var (rungs, chance) = (new List<Rung> { new("Pairings that take", "", takes) }, takes);
        foreach (var clue in Clues)
        {
            chance = After(chance, clue.Ratio);
            rungs.Add(new Rung(clue.Label, clue.Ratio < 1 ? "against" : "for", chance));
        }

        return rungs;
    }

    /// <summary>A chance (0–1, both excluded) after a likelihood ratio.</summary>
    public static double After(double chance, double ratio)
    {
        var odds = chance / (1 - chance) * ratio;
        return odds / (1 + odds);
    }

    /// <summary>
    /// Share (0–1) of looks at which a male spins though he was not mated: males in general weighed against his own looks that
    /// follow no pairing.
    /// </summary>
    /// <param name="he">The male.</param>
    /// <param name="rules">Rules of pairing.</param>
    /// <remarks>The mean of a Beta posterior. Source: any text on Bayesian inference.</remarks>
    public static double SpinsAnyway(Standing he, RoomPairingRules rules)
    {
        var after = TimeSpan.FromHours(rules.WebHours.Value[^1]);
        var free = he
            .Webs.Where(w =>
                w.Look != WebLook.OldCleared
                && !he.Pairings.Any(p => w.At >= p.At && w.At <= (p.End?.At ?? p.At) + after)
            )
            .ToList();
        var weight = rules.Evidence.SpinsAnywayLooks.Value;
        return ((weight * rules.Evidence.SpinsAnyway.Value) + free.Count(w => w.Look == WebLook.New))
            / (weight + free.Count);
    }

    /// <summary>What was seen of one pairing: that they mated, or that nothing was; and his web afterwards.</summary>
    private static List<TookClue> OfPairing(PairingEvent pairing, RoomPairingRules rules, ClueLessons lessons)
    {
        var clues = new List<TookClue>();
        var mated = pairing.Seen.FirstOrDefault(m => SightWords.Of(m.Sight).Meaning == SightMeaning.Mated);
        if (mated is not null && Of(mated, rules, lessons) is { } clue)
        {
            clues.Add(clue);
        }
        else if (mated is null && WatchedToTheEnd(pairing))
        {
            var (rule, learned) = (rules.Evidence.NothingSeen, lessons.NothingSeen(rules.Evidence));
            clues.Add(
                new TookClue(
                    "No mating seen",
                    learned.Ratio,
                    rule.Because(
                        "Nothing seen",
                        "room.evidence.nothingSeen",
                        $"Watched to the end, and no mating seen: odds times {Wording.Plain(learned.Ratio)}.{learned.Counted}"
                    )
                )
            );
        }

        // The last look tells; a web that came late was none at the first.
        if (pairing.Seen.LastOrDefault(m => IsWeb(m.Sight)) is { } web)
        {
            clues.Add(OfWeb(web, pairing, rules, lessons));
        }

        return clues;
    }

    private static TookClue OfWeb(PairingMoment web, PairingEvent pairing, RoomPairingRules rules, ClueLessons lessons)
    {
        var early = IsEarly(web, pairing, rules);
        var (rule, name) = early
            ? (rules.Evidence.WebEarly, "room.evidence.webEarly")
            : (rules.Evidence.WebLate, "room.evidence.webLate");
        // No number of looks makes certain of it.
        var least = rules.Evidence.WebCertain.Value;
        var anyway = Math.Clamp(web.SpinsAnyway ?? rules.Evidence.SpinsAnyway.Value, least, 1 - least);
        var (mated, spunHere, looksHere) = lessons.Web(early, rules.Evidence);
        var counted = looksHere == 0 ? "" : $" Counted here: {spunHere} of {looksHere} that took.";
        var spun = web.Sight == PairingSight.NewWeb;
        var ratio = spun ? mated / anyway : (1 - mated) / (1 - anyway);
        var says = spun ? "He spun a new sperm web" : "He spun no new web";
        return new TookClue(
            spun ? "New sperm web" : "No new web",
            ratio,
            rule.Because(
                "His web",
                name,
                $"{says}: {Wording.Chance(mated)} do after mating, and {Wording.Chance(anyway)} of his looks show one anyway.{counted}"
            )
        );
    }

    private static TookClue? Of(PairingMoment moment, RoomPairingRules rules, ClueLessons lessons)
    {
        if (
            rules.Evidence.Ratios.GetValueOrDefault(moment.Sight) is not { } rule
            || lessons.Of(moment.Sight, rules.Evidence) is not { } learned
        )
        {
            return null;
        }

        var words = SightWords.Of(moment.Sight);
        return new TookClue(
            words.Label,
            learned.Ratio,
            rule.Because(
                words.Label,
                $"room.evidence.ratios.{moment.Sight.ToString().ToLowerFirst()}",
                $"{words.Past.ToUpperFirst()}: odds times {Wording.Plain(learned.Ratio)}.{learned.Counted}"
            )
        );
    }

    internal static bool IsWeb(PairingSight sight) => sight is PairingSight.NewWeb or PairingSight.NoWeb;
}
