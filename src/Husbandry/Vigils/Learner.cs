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
    private readonly List<TriedPairing> tried = [];

    /// <summary>What one animal has to teach, read off its record.</summary>
    private sealed record Taught(
        Subject Subject,
        List<(VigilKind Vigil, string End, IReadOnlyList<PastWait> Waits)> Waits,
        List<SignSpan> Spans,
        List<bool> TakenInPremolt,
        List<TriedPairing> Tried,
        (DateOnly From, double? TimesNeeded)? Winter
    );

    /// <summary>Takes in what an animal that is or was in the room has to teach.</summary>
    public void Add(Standing standing)
    {
        if (TryRead(standing) is { } taught)
        {
            Take(taught);
        }
    }

    /// <summary>The same of many, several read at once; what comes of it is the same as one after another.</summary>
    public void Add(IEnumerable<Standing> standings)
    {
        foreach (var taught in standings.AsParallel().AsOrdered().Select(TryRead))
        {
            if (taught is not null)
            {
                Take(taught);
            }
        }
    }

    /// <summary>One whose record cannot be judged teaches nothing, and keeps nobody from learning of the others.</summary>
    private Taught? TryRead(Standing standing)
    {
        try
        {
            return Read(standing);
        }
        catch (Exception error) when (error is not OutOfMemoryException)
        {
            return null;
        }
    }

    private Taught Read(Standing standing)
    {
        var subject = Subject.Of(standing, bare);
        var found = Kinds
            .SelectMany(vigil => EndsOf(vigil).Select(end => (vigil, end, PastWaits.Of(subject, vigil, end))))
            .Where(w => w.Item3.Count > 0)
            .ToList();
        (DateOnly, double?)? winter = null;
        if (WinterWeeks.RestOf(subject) is { } rest && subject.Standing.Vigils.Chill is { } chill)
        {
            var needed = rest.ChillWeeks * WinterWeeks.Week;
            winter = (subject.Night(chill.From), chill.To is { } to ? (to - chill.From).TotalDays / needed : null);
        }

        List<TriedPairing> pairings = [.. TriedPairing.AllOf(subject)];
        return subject.Group.Growth.MoltsFollowed.Value
            ? new Taught(
                subject,
                found,
                [.. SignLessons.SpansOf(subject)],
                [.. Appetite.TakenInPremolt(subject)],
                pairings,
                winter
            )
            : new Taught(subject, found, [], [], pairings, winter);
    }

    private void Take(Taught taught)
    {
        var subject = taught.Subject;
        var key = Lessons.KeyOf(subject);
        one.TryAdd(key, subject);
        foreach (var (vigil, end, found) in taught.Waits)
        {
            Keep(key, vigil, end, subject.Standing.StockId, found);
        }

        tried.AddRange(taught.Tried);
        if (taught.Winter is { } winter)
        {
            winters.Add(winter);
        }

        if (!subject.Group.Growth.MoltsFollowed.Value)
        {
            return;
        }

        if (!spans.TryGetValue(subject.Group.Id, out var list))
        {
            spans[subject.Group.Id] = list = [];
        }

        list.AddRange(taught.Spans);
        foreach (var taken in taught.TakenInPremolt)
        {
            var (offers, refused) = refusals.GetValueOrDefault(subject.Group.Id);
            refusals[subject.Group.Id] = (offers + 1, refused + (taken ? 0 : 1));
        }
    }

    /// <summary>What all of them taught.</summary>
    public Lessons Learn()
    {
        var learned = new Dictionary<(string, VigilKind, string), SpeciesLesson>();
        var ends = new Dictionary<(string, VigilKind), EndLesson>();
        var (missed, learnedMissed, molts) = Molts();
        foreach (var (species, lists) in waits)
        {
            foreach (var vigil in Kinds)
            {
                var found = EndsOf(vigil).ToDictionary(e => e, e => lists.GetValueOrDefault((vigil, e)) ?? []);
                if (found.Values.All(f => f.Count == 0))
                {
                    continue;
                }

                if (vigil == VigilKind.Molt)
                {
                    learned[(species, vigil, VigilEnd.AsHoped)] = molts[species];
                    continue;
                }

                var shares = Shares(one[species], vigil, found, out var counted);
                foreach (var (end, animals) in found.Where(f => f.Value.Count > 0))
                {
                    learned[(species, vigil, end)] = SpeciesLesson.Of(
                        [.. animals.Select(a => (a.Animal, Likely(a.Waits, end, shares)))],
                        bare.Rules.Room,
                        missedShare: 0,
                        former?.Of(species, vigil, end),
                        VigilDefinition.Of(vigil).IsSeenToEnd
                    );
                }

                ends[(species, vigil)] = new EndLesson(shares, counted);
            }
        }

        return new Lessons(
            learned,
            ends,
            spans.ToDictionary(s => s.Key, s => SignLessons.Of(s.Value, bare.Rules, s.Key)),
            refusals.ToDictionary(r => r.Key, r => RefusalLesson.Of(r.Value, bare.Rules.Room.Signs)),
            winters,
            new ClueLessons(tried),
            missed,
            learnedMissed
        );
    }

    private void Keep(string species, VigilKind vigil, string end, Guid animal, IReadOnlyList<PastWait> found)
    {
        if (!waits.TryGetValue(species, out var lists))
        {
            waits[species] = lists = [];
        }

        if (!lists.TryGetValue((vigil, end), out var list))
        {
            lists[(vigil, end)] = list = [];
        }

        list.Add((animal, found));
    }

    private static IEnumerable<string> EndsOf(VigilKind vigil) =>
        vigil == VigilKind.Molt ? [VigilEnd.AsHoped] : VigilDefinition.Of(vigil).AllEnds.Select(e => e.Id);

    /// <summary>
    /// How often a molt goes unseen in this room, counted over all species with the rulebook's share weighed in; and what each
    /// species taught of its molts.
    /// </summary>
    private (double Share, double Learned, Dictionary<string, SpeciesLesson> Fits) Molts()
    {
        var rules = bare.Rules.Room;
        var (usual, weight) = (rules.Lessons.MissedMoltShare.Value, rules.Lessons.MissedMoltWaits.Value);
        var molts = waits
            .Select(w => (Species: w.Key, Animals: w.Value.GetValueOrDefault((VigilKind.Molt, VigilEnd.AsHoped)) ?? []))
            .Where(w => w.Animals.Count > 0)
            .ToList();
        Dictionary<string, SpeciesLesson> Fits(double share) =>
            molts
                .AsParallel()
                .AsOrdered()
                .Select(w =>
                    (
                        w.Species,
                        Lesson: SpeciesLesson.Of(
                            w.Animals,
                            rules,
                            share,
                            former?.Of(w.Species, VigilKind.Molt, VigilEnd.AsHoped)
                        )
                    )
                )
                .ToDictionary(w => w.Species, w => w.Lesson);
        (double Learned, double Share) Count(Dictionary<string, SpeciesLesson> fits)
        {
            var (seen, hidden) = (fits.Values.Sum(f => f.Intervals), fits.Values.Sum(f => f.MissedExpected));
            var learned = ((weight * usual) + hidden) / (weight + seen + hidden);
            // Before anything was seen to its end the forecast is the rulebook's, and what is learned comes in bit by bit.
            return (learned, learned * seen / (weight + seen));
        }

        if (former is { MissedLearned: > 0 })
        {
            // Gone on from what was learned not long ago, a step each time.
            var fits = Fits(former.MissedShare);
            var (next, then) = Count(fits);
            return (then, next, fits);
        }

        // From above: a spread that has once taken in the waits that hide a molt hardly gives them back.
        var (now, share) = (MostMissed, 0.0);
        for (var round = 0; round < MissedRounds; round++)
        {
            (now, share) = Count(Fits(now));
        }

        return (share, now, Fits(share));
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
