using Husbandry.Journal;
using Husbandry.Rounds;

namespace Husbandry.Vigils;

/// <summary>Everything the room has taught: waits by species, signs by group.</summary>
public sealed class Lessons
{
    private readonly Dictionary<(string Species, VigilKind Vigil), SpeciesLesson> waits;
    private readonly Dictionary<string, IReadOnlyList<SignLesson>> signs;

    private Lessons(
        Dictionary<(string, VigilKind), SpeciesLesson> waits,
        Dictionary<string, IReadOnlyList<SignLesson>> signs
    ) => (this.waits, this.signs) = (waits, signs);

    /// <summary>Nothing learned yet.</summary>
    public static Lessons None { get; } = new([], []);

    /// <summary>Learns from all animals that are or were in the room, those that left included.</summary>
    public static Lessons Of(IReadOnlyList<Standing> standings, Room room)
    {
        var bare = room with { Lessons = None };
        var subjects = standings.Select(s => Subject.Of(s, bare)).ToList();
        var waits = new Dictionary<(string, VigilKind), SpeciesLesson>();
        foreach (var species in subjects.GroupBy(KeyOf))
        {
            foreach (var vigil in Enum.GetValues<VigilKind>())
            {
                var lists = species.Select(s => PastWaits.Of(s, vigil)).Where(w => w.Count > 0).ToList();
                if (lists.Count > 0)
                {
                    var sigma = lists.SelectMany(w => w).Average(w => w.Prior.Sigma);
                    waits[(species.Key, vigil)] = SpeciesLesson.Of(lists, sigma, room.Rules.Room);
                }
            }
        }

        var signs = subjects
            .Where(s => s.Group.MoltsFollowed.Value)
            .GroupBy(s => s.Group.Id)
            .ToDictionary(g => g.Key, g => SignLessons.Of([.. g], room.Rules, g.Key));
        return new Lessons(waits, signs);
    }

    /// <summary>What was learned of a wait of an animal's species; none when there was nothing to learn from.</summary>
    public SpeciesLesson? For(Subject subject, VigilKind vigil) => waits.GetValueOrDefault((KeyOf(subject), vigil));

    /// <summary>What was learned of a sign in a group.</summary>
    public SignLesson? Sign(string group, string signId) =>
        signs.GetValueOrDefault(group)?.FirstOrDefault(s => s.SignId == signId);

    /// <summary>Lessons of all signs of a group.</summary>
    public IReadOnlyList<SignLesson> Signs(string group) => signs.GetValueOrDefault(group) ?? [];

    private static string KeyOf(Subject subject) => $"{subject.Group.Id} {subject.SpeciesName}";
}
