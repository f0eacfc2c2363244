using Husbandry.Journal;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>
/// Learns from one animal after another and keeps of each only its waits and signs, so that a room of ten thousand need
/// not be held in memory at once. Not for two threads at a time.
/// </summary>
/// <param name="room">The room; what it has taught so far is not looked at.</param>
/// <param name="former">What was learned not long ago, if anything: how often molts go unseen is gone on from.</param>
public sealed class Learner(Room room, Lessons? former = null)
{
    private static readonly VigilKind[] Kinds = Enum.GetValues<VigilKind>();

    private const int MissedRounds = 4;

    private const double MostMissed = 0.25;

    private const int ShareRounds = 60;

    private readonly Room bare = room.With(Lessons.None);
    private readonly Dictionary<
        string,
        Dictionary<(VigilKind, string), List<(Guid Animal, IReadOnlyList<PastWait> Waits)>>
    > waits = [];
    private readonly Dictionary<string, Subject> one = [];
    private readonly Dictionary<string, List<SignSpan>> spans = [];
    private readonly Dictionary<string, (int Offers, int Refused)> refusals = [];
    private readonly List<(DateOnly From, double? TimesNeeded)> winters = [];

    /// <summary>Takes in what an animal that is or was in the room has to teach.</summary>
    public void Add(Standing standing)
    {
        var subject = Subject.Of(standing, bare);
        var key = Lessons.KeyOf(subject);
        one.TryAdd(key, subject);
        foreach (var vigil in Kinds)
        {
            foreach (var end in EndsOf(vigil))
            {
                Keep(key, vigil, end, subject);
            }
        }

        if (subject is { Profile.Diapause.Value: var diapause, Standing.Vigils.Chill: { } chill })
        {
            var needed = diapause.ChillWeeks * WinterWeeks.Week;
            winters.Add((subject.Night(chill.From), chill.To is { } to ? (to - chill.From).TotalDays / needed : null));
        }

        if (subject.Group.Growth.MoltsFollowed.Value)
        {
            if (!spans.TryGetValue(subject.Group.Id, out var list))
            {
                spans[subject.Group.Id] = list = [];
            }

            list.AddRange(SignLessons.SpansOf(subject));
            foreach (var taken in Appetite.TakenInPremolt(subject))
            {
                var (offers, refused) = refusals.GetValueOrDefault(subject.Group.Id);
                refusals[subject.Group.Id] = (offers + 1, refused + (taken ? 0 : 1));
            }
        }
    }

    /// <summary>What all of them taught.</summary>
    public Lessons Learn()
    {
        var learned = new Dictionary<(string, VigilKind, string), SpeciesLesson>();
        var ends = new Dictionary<(string, VigilKind), EndLesson>();
        var (missed, learnedMissed) = MissedShare();
        foreach (var (species, lists) in waits)
        {
            foreach (var vigil in Kinds)
            {
                var found = EndsOf(vigil).ToDictionary(e => e, e => lists.GetValueOrDefault((vigil, e)) ?? []);
                if (found.Values.All(f => f.Count == 0))
                {
                    continue;
                }

                var shares = Shares(one[species], vigil, found, out var counted);
                foreach (var (end, animals) in found.Where(f => f.Value.Count > 0))
                {
                    learned[(species, vigil, end)] = SpeciesLesson.Of(
                        [.. animals.Select(a => (a.Animal, Likely(a.Waits, end, shares)))],
                        bare.Rules.Room,
                        vigil == VigilKind.Molt ? missed : 0
                    );
                }

                if (vigil != VigilKind.Molt)
                {
                    ends[(species, vigil)] = new EndLesson(shares, counted);
                }
            }
        }

        return new Lessons(
            learned,
            ends,
            spans.ToDictionary(s => s.Key, s => SignLessons.Of(s.Value, bare.Rules, s.Key)),
            refusals.ToDictionary(r => r.Key, r => RefusalLesson.Of(r.Value, bare.Rules.Room.Signs)),
            winters,
            missed,
            learnedMissed
        );
    }

    private void Keep(string species, VigilKind vigil, string end, Subject subject)
    {
        if (PastWaits.Of(subject, vigil, end) is not { Count: > 0 } found)
        {
            return;
        }

        if (!waits.TryGetValue(species, out var lists))
        {
            waits[species] = lists = [];
        }

        if (!lists.TryGetValue((vigil, end), out var list))
        {
            lists[(vigil, end)] = list = [];
        }

        list.Add((subject.Standing.StockId, found));
    }

    private static IEnumerable<string> EndsOf(VigilKind vigil) =>
        vigil == VigilKind.Molt ? [VigilEnd.AsHoped] : VigilDefinition.Of(vigil).AllEnds.Select(e => e.Id);

    /// <summary>How often a molt goes unseen in this room: counted over all species, the rulebook's share weighed in.</summary>
    private (double Share, double Learned) MissedShare()
    {
        var rules = bare.Rules.Room;
        var (share, weight) = (rules.Lessons.MissedMoltShare.Value, rules.Lessons.MissedMoltWaits.Value);
        var molts = waits
            .Values.Select(lists => lists.GetValueOrDefault((VigilKind.Molt, VigilEnd.AsHoped)) ?? [])
            .Where(animals => animals.Count > 0)
            .ToList();
        // From above: a spread that has once taken in the waits that hide a molt hardly gives them back.
        var (learned, seen) = (former is { MissedLearned: > 0 } ? former.MissedLearned : MostMissed, 0);
        for (var round = 0; round < (former is { MissedLearned: > 0 } ? 1 : MissedRounds); round++)
        {
            var fits = molts.Select(animals => SpeciesLesson.Of(animals, rules, learned)).ToList();
            seen = fits.Sum(f => f.Intervals);
            var hidden = fits.Sum(f => f.MissedExpected);
            learned = ((weight * share) + hidden) / (weight + seen + hidden);
        }

        // Before anything was seen to its end the forecast is the rulebook's, and what is learned comes in bit by bit.
        return (learned * seen / (weight + seen), learned);
    }

    /// <summary>Waits that still last, each with the chance that it will end so.</summary>
    private static IReadOnlyList<PastWait> Likely(
        IReadOnlyList<PastWait> found,
        string end,
        IReadOnlyDictionary<string, double> shares
    ) =>
        [
            .. found.Select(w =>
                w.Reached is { } reached ? w with { Chance = EndForecast.Chance(end, shares, reached) } : w
            ),
        ];

    /// <summary>
    /// A Dirichlet count: the rulebook's shares stand for some waits of their own. One still lasting counts for each end by
    /// the chance that it is such, which hangs on the shares in turn: counted again until they agree.
    /// </summary>
    /// <remarks>Source: Dempster, Laird &amp; Rubin (1977), J. R. Statist. Soc. B 39:1–38, for mixtures.</remarks>
    private static IReadOnlyDictionary<string, double> Shares(
        Subject one,
        VigilKind vigil,
        Dictionary<string, List<(Guid Animal, IReadOnlyList<PastWait> Waits)>> found,
        out IReadOnlyDictionary<string, int> counted
    )
    {
        var ended = found.ToDictionary(f => f.Key, f => f.Value.Sum(a => a.Waits.Count(w => w.IsOver)));
        counted = ended;
        if (vigil == VigilKind.Molt)
        {
            return new Dictionary<string, double> { [VigilEnd.AsHoped] = 1 };
        }

        var weight = one.Room.Rules.Room.Lessons.OtherEndPriorWaits.Value;
        var rules = WaitPriors.Shares(one, vigil);
        // A wait that still lasts is listed under each of its ends.
        var open = found[VigilEnd.AsHoped]
            .SelectMany(a => a.Waits)
            .Select(w => w.Reached)
            .OfType<IReadOnlyDictionary<string, double>>()
            .ToList();
        var shares = rules;
        var total = weight + ended.Values.Sum() + open.Count;
        for (var round = 0; round < ShareRounds; round++)
        {
            var now = shares;
            shares = rules.ToDictionary(
                r => r.Key,
                r =>
                    ((weight * r.Value) + ended[r.Key] + open.Sum(reached => EndForecast.Chance(r.Key, now, reached)))
                    / total
            );
        }

        return shares;
    }
}
