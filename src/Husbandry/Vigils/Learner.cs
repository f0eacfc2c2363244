using Husbandry.Journal;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>
/// Learns from one animal after another and keeps of each only its waits and signs, so that a room of ten thousand need
/// not be held in memory at once. Not for two threads at a time.
/// </summary>
/// <param name="room">The room; what it has taught so far is not looked at.</param>
public sealed class Learner(Room room)
{
    private static readonly VigilKind[] Kinds = Enum.GetValues<VigilKind>();

    private readonly Room bare = room.With(Lessons.None);
    private readonly Dictionary<string, Dictionary<(VigilKind, string), List<IReadOnlyList<PastWait>>>> waits = [];
    private readonly Dictionary<string, Subject> one = [];
    private readonly Dictionary<string, List<SignSpan>> spans = [];

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

        if (subject.Group.Growth.MoltsFollowed.Value)
        {
            if (!spans.TryGetValue(subject.Group.Id, out var list))
            {
                spans[subject.Group.Id] = list = [];
            }

            list.AddRange(SignLessons.SpansOf(subject));
        }
    }

    /// <summary>What all of them taught.</summary>
    public Lessons Learn()
    {
        var learned = new Dictionary<(string, VigilKind, string), SpeciesLesson>();
        var ends = new Dictionary<(string, VigilKind), EndLesson>();
        foreach (var (species, lists) in waits)
        {
            foreach (var vigil in Kinds)
            {
                var found = EndsOf(vigil).ToDictionary(e => e, e => lists.GetValueOrDefault((vigil, e)) ?? []);
                foreach (var (end, animals) in found.Where(f => f.Value.Count > 0))
                {
                    var sigma = animals.SelectMany(w => w).Average(w => w.Prior.Sigma);
                    learned[(species, vigil, end)] = SpeciesLesson.Of(animals, sigma, bare.Rules.Room);
                }

                if (vigil != VigilKind.Molt && found.Values.Any(f => f.Count > 0))
                {
                    ends[(species, vigil)] = Count(one[species], vigil, found);
                }
            }
        }

        return new Lessons(
            learned,
            ends,
            spans.ToDictionary(s => s.Key, s => SignLessons.Of(s.Value, bare.Rules, s.Key))
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

        list.Add(found);
    }

    private static IEnumerable<string> EndsOf(VigilKind vigil) =>
        vigil == VigilKind.Molt ? [VigilEnd.AsHoped] : VigilDefinition.Of(vigil).AllEnds.Select(e => e.Id);

    /// <summary>
    /// A Dirichlet count: the rulebook's shares stand for some waits of their own. One still lasting counts for each end by
    /// the chance that it is such, so that the quick ends are not counted too often.
    /// </summary>
    private static EndLesson Count(
        Subject one,
        VigilKind vigil,
        Dictionary<string, List<IReadOnlyList<PastWait>>> found
    )
    {
        var weight = one.Room.Rules.Room.Lessons.OtherEndPriorWaits.Value;
        var rules = WaitPriors.Shares(one, vigil);
        var counts = found.ToDictionary(f => f.Key, f => f.Value.SelectMany(w => w).Sum(w => w.Chance));
        var total = weight + counts.Values.Sum();
        return new EndLesson(
            found.Keys.ToDictionary(e => e, e => ((weight * rules[e]) + counts[e]) / total),
            found.ToDictionary(f => f.Key, f => f.Value.SelectMany(w => w).Count(w => w.IsOver))
        );
    }
}
