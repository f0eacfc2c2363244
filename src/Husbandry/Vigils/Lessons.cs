using Husbandry.Journal;
using Husbandry.Rounds;

namespace Husbandry.Vigils;

/// <summary>How waits of one kind ended here.</summary>
/// <param name="Share">Share that ends otherwise than hoped (0–1), the rulebook's weighed against what was counted.</param>
/// <param name="Otherwise">Waits that ended otherwise.</param>
/// <param name="Ended">Waits that ended at all.</param>
public sealed record EndLesson(double Share, int Otherwise, int Ended);

/// <summary>Everything the room has taught: waits by species, signs by group.</summary>
public sealed class Lessons
{
    private readonly Dictionary<(string Species, VigilKind Vigil, VigilEnd End), SpeciesLesson> waits;
    private readonly Dictionary<(string Species, VigilKind Vigil), EndLesson> ends;
    private readonly Dictionary<string, IReadOnlyList<SignLesson>> signs;

    private Lessons(
        Dictionary<(string, VigilKind, VigilEnd), SpeciesLesson> waits,
        Dictionary<(string, VigilKind), EndLesson> ends,
        Dictionary<string, IReadOnlyList<SignLesson>> signs
    ) => (this.waits, this.ends, this.signs) = (waits, ends, signs);

    /// <summary>Nothing learned yet.</summary>
    public static Lessons None { get; } = new([], [], []);

    /// <summary>Learns from all animals that are or were in the room, those that left included.</summary>
    public static Lessons Of(IReadOnlyList<Standing> standings, Room room)
    {
        var bare = room with { Lessons = None };
        var subjects = standings.Select(s => Subject.Of(s, bare)).ToList();
        var waits = new Dictionary<(string, VigilKind, VigilEnd), SpeciesLesson>();
        var ends = new Dictionary<(string, VigilKind), EndLesson>();
        foreach (var species in subjects.GroupBy(KeyOf))
        {
            foreach (var vigil in Enum.GetValues<VigilKind>())
            {
                List<IReadOnlyList<PastWait>> WaitsOf(VigilEnd end) =>
                    [.. species.Select(s => PastWaits.Of(s, vigil, end)).Where(w => w.Count > 0)];
                var (hoped, otherwise) = (WaitsOf(VigilEnd.AsHoped), WaitsOf(VigilEnd.Otherwise));
                Learn(hoped, VigilEnd.AsHoped);
                Learn(otherwise, VigilEnd.Otherwise);
                if (otherwise.Count > 0 || (vigil != VigilKind.Molt && hoped.Count > 0))
                {
                    ends[(species.Key, vigil)] = EndsOf(species.First(), vigil, hoped, otherwise);
                }

                void Learn(List<IReadOnlyList<PastWait>> lists, VigilEnd end)
                {
                    if (lists.Count > 0)
                    {
                        var sigma = lists.SelectMany(w => w).Average(w => w.Prior.Sigma);
                        waits[(species.Key, vigil, end)] = SpeciesLesson.Of(lists, sigma, room.Rules.Room);
                    }
                }
            }
        }

        var signs = subjects
            .Where(s => s.Group.MoltsFollowed.Value)
            .GroupBy(s => s.Group.Id)
            .ToDictionary(g => g.Key, g => SignLessons.Of([.. g], room.Rules, g.Key));
        return new Lessons(waits, ends, signs);
    }

    /// <summary>What was learned of a wait of an animal's species; none when there was nothing to learn from.</summary>
    public SpeciesLesson? For(Subject subject, VigilKind vigil, VigilEnd end = VigilEnd.AsHoped) =>
        waits.GetValueOrDefault((KeyOf(subject), vigil, end));

    /// <summary>How such waits of its species ended here; none when none ever began.</summary>
    public EndLesson? EndsOf(Subject subject, VigilKind vigil) => ends.GetValueOrDefault((KeyOf(subject), vigil));

    /// <summary>What was learned of a sign in a group.</summary>
    public SignLesson? Sign(string group, string signId) =>
        signs.GetValueOrDefault(group)?.FirstOrDefault(s => s.SignId == signId);

    /// <summary>Lessons of all signs of a group.</summary>
    public IReadOnlyList<SignLesson> Signs(string group) => signs.GetValueOrDefault(group) ?? [];

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
        var weight = one.Room.Rules.Room.OtherEndPriorWaits.Value;
        double Count(List<IReadOnlyList<PastWait>> lists) => lists.SelectMany(w => w).Sum(w => w.Chance);
        int Over(List<IReadOnlyList<PastWait>> lists) => lists.SelectMany(w => w).Count(w => w.IsOver);
        var (asHoped, other) = (Count(hoped), Count(otherwise));
        return new EndLesson(
            ((weight * WaitPriors.OtherShare(one, vigil)) + other) / (weight + asHoped + other),
            Over(otherwise),
            Over(hoped) + Over(otherwise)
        );
    }

    private static string KeyOf(Subject subject) => $"{subject.Group.Id} {subject.SpeciesName}";
}
