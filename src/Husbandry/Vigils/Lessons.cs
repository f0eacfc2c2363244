using Husbandry.Journal;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>How waits of one kind ended here.</summary>
/// <param name="Shares">Share that ends in each way (0–1), the rulebook's weighed against what was counted; together 1.</param>
/// <param name="Counted">Waits that ended in each way.</param>
public sealed record EndLesson(IReadOnlyDictionary<string, double> Shares, IReadOnlyDictionary<string, int> Counted)
{
    /// <summary>Waits that ended at all.</summary>
    public int Ended => Counted.Values.Sum();
}

/// <summary>Everything the room has taught: waits by species, signs by group.</summary>
public sealed class Lessons
{
    private readonly Dictionary<(string Species, VigilKind Vigil, string End), SpeciesLesson> waits;
    private readonly Dictionary<(string Species, VigilKind Vigil), EndLesson> ends;
    private readonly Dictionary<string, IReadOnlyList<SignLesson>> signs;

    private readonly Dictionary<string, RefusalLesson> refusals;
    private readonly IReadOnlyList<(DateOnly From, double? TimesNeeded)> winters;

    internal Lessons(
        Dictionary<(string, VigilKind, string), SpeciesLesson> waits,
        Dictionary<(string, VigilKind), EndLesson> ends,
        Dictionary<string, IReadOnlyList<SignLesson>> signs,
        Dictionary<string, RefusalLesson> refusals,
        IReadOnlyList<(DateOnly From, double? TimesNeeded)> winters,
        ClueLessons clues,
        double missedShare,
        double missedLearned
    )
    {
        (this.waits, this.ends, this.signs) = (waits, ends, signs);
        (this.refusals, this.winters) = (refusals, winters);
        Clues = clues;
        (MissedShare, MissedLearned) = (missedShare, missedLearned);
    }

    /// <summary>The same before it is weighed by how much was seen: where the next learning begins.</summary>
    internal double MissedLearned { get; }

    /// <summary>Share (0–1) of waits in this room that hide a molt nobody saw, as far as the lengths of waits tell.</summary>
    public double MissedShare { get; }

    /// <summary>Nothing learned yet.</summary>
    public static Lessons None { get; } = new([], [], [], [], [], ClueLessons.None, 0, 0);

    /// <summary>Learns from all animals that are or were in the room, those that left included.</summary>
    /// <param name="standings">The animals.</param>
    /// <param name="room">The room.</param>
    /// <param name="former">What was learned not long ago, if anything: it is gone on from.</param>
    public static Lessons Of(IEnumerable<Standing> standings, Room room, Lessons? former = null)
    {
        var learner = new Learner(room, former);
        learner.Add(standings);
        return learner.Learn();
    }

    /// <summary>What was learned of a wait of an animal's species; none when there was nothing to learn from.</summary>
    public SpeciesLesson? For(Subject subject, VigilKind vigil, string end = VigilEnd.AsHoped) =>
        Of(KeyOf(subject), vigil, end);

    /// <summary>The same of a species by its key.</summary>
    internal SpeciesLesson? Of(string species, VigilKind vigil, string end) =>
        waits.GetValueOrDefault((species, vigil, end));

    /// <summary>How such waits of its species ended here; none when none ever began.</summary>
    public EndLesson? EndsOf(Subject subject, VigilKind vigil) => ends.GetValueOrDefault((KeyOf(subject), vigil));

    /// <summary>What was learned of a sign in a group.</summary>
    public SignLesson? Sign(string group, string signId) =>
        signs.GetValueOrDefault(group)?.FirstOrDefault(s => s.SignId == signId);

    /// <summary>Lessons of all signs of a group.</summary>
    public IReadOnlyList<SignLesson> Signs(string group) => signs.GetValueOrDefault(group) ?? [];

    /// <summary>How often animals of a group turn food down in premolt here; none where no offer was counted.</summary>
    public RefusalLesson? RefusedInPremolt(string group) => refusals.GetValueOrDefault(group);

    /// <summary>How what is seen of pairings told here whether they took.</summary>
    public ClueLessons Clues { get; }

    /// <summary>When pupae are put in the cold here, and for how long.</summary>
    public WinterLesson Winter(RoomRules rules) => WinterLesson.Of(winters, rules.Lessons);

    internal static string KeyOf(Subject subject) => $"{subject.Group.Id} {subject.SpeciesName}";
}
