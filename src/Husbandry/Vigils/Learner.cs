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
    private readonly Dictionary<string, Dictionary<(VigilKind, VigilEnd), List<IReadOnlyList<PastWait>>>> waits = [];
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
            Keep(key, vigil, VigilEnd.AsHoped, subject);
            Keep(key, vigil, VigilEnd.Otherwise, subject);
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
        var learned = new Dictionary<(string, VigilKind, VigilEnd), SpeciesLesson>();
        var ends = new Dictionary<(string, VigilKind), EndLesson>();
        foreach (var (species, lists) in waits)
        {
            foreach (var vigil in Kinds)
            {
                var hoped = lists.GetValueOrDefault((vigil, VigilEnd.AsHoped)) ?? [];
                var otherwise = lists.GetValueOrDefault((vigil, VigilEnd.Otherwise)) ?? [];
                Of(hoped, VigilEnd.AsHoped);
                Of(otherwise, VigilEnd.Otherwise);
                if (otherwise.Count > 0 || (vigil != VigilKind.Molt && hoped.Count > 0))
                {
                    ends[(species, vigil)] = EndsOf(one[species], vigil, hoped, otherwise);
                }

                void Of(List<IReadOnlyList<PastWait>> animals, VigilEnd end)
                {
                    if (animals.Count > 0)
                    {
                        var sigma = animals.SelectMany(w => w).Average(w => w.Prior.Sigma);
                        learned[(species, vigil, end)] = SpeciesLesson.Of(animals, sigma, bare.Rules.Room);
                    }
                }
            }
        }

        return new Lessons(
            learned,
            ends,
            spans.ToDictionary(s => s.Key, s => SignLessons.Of(s.Value, bare.Rules, s.Key))
        );
    }

    private void Keep(string species, VigilKind vigil, VigilEnd end, Subject subject)
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

    /// <summary>
    /// A Beta count: the rulebook's share stands for some waits of its own. One still lasting counts for either end by
    /// the chance that it is such, so that the quick ends are not counted too often.
    /// </summary>
    private static EndLesson EndsOf(
        Subject one,
        VigilKind vigil,
        List<IReadOnlyList<PastWait>> hoped,
        List<IReadOnlyList<PastWait>> otherwise
    )
    {
        var weight = one.Room.Rules.Room.Lessons.OtherEndPriorWaits.Value;
        double Count(List<IReadOnlyList<PastWait>> lists) => lists.SelectMany(w => w).Sum(w => w.Chance);
        int Over(List<IReadOnlyList<PastWait>> lists) => lists.SelectMany(w => w).Count(w => w.IsOver);
        var (asHoped, other) = (Count(hoped), Count(otherwise));
        return new EndLesson(
            ((weight * WaitPriors.OtherShare(one, vigil)) + other) / (weight + asHoped + other),
            Over(otherwise),
            Over(hoped) + Over(otherwise)
        );
    }
}
