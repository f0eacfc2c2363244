using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Growth;

/// <summary>By what the sex of an animal can be told, and from when on.</summary>
/// <remarks>Source: common practice, no published source; the marks and their stages are rules of the group or species.</remarks>
public static class SexTelling
{
    /// <summary>All marks that tell the sex of its kind: those of the species where it has its own, else those of the group.</summary>
    public static IReadOnlyDictionary<SexEvidence, SexingRule> Marks(Subject subject) =>
        subject.Profile.Sexing ?? subject.Group.Growth.Sexing;

    /// <summary>The marks that tell it at a stage and instar.</summary>
    /// <param name="subject">The animal.</param>
    /// <param name="stage">Its stage.</param>
    /// <param name="instar">Its instar; none where it is not known.</param>
    public static IEnumerable<KeyValuePair<SexEvidence, SexingRule>> Showing(
        Subject subject,
        Stage stage,
        int? instar
    ) => Marks(subject).Where(m => Shows(m.Value, stage, instar));

    /// <summary>Whether a mark shows at a stage and instar.</summary>
    public static bool Shows(SexingRule mark, Stage stage, int? instar) =>
        mark.FromInstar is { } from
            ? stage == Stage.Adult || (instar is { } now ? now >= from : stage is not (Stage.Sling or Stage.Egg))
            : Order(stage) >= Order(mark.FromStage ?? Stage.Sling);

    /// <summary>
    /// Marks that show since its last molt and did not before, while nobody has told the sex since: worth a look as soon as it
    /// may be handled. None for what does not molt here, is known, or is many.
    /// </summary>
    /// <param name="subject">The animal.</param>
    /// <param name="stage">Its stage tonight.</param>
    public static IReadOnlyList<SexEvidence> New(Subject subject, Stage stage)
    {
        ArgumentNullException.ThrowIfNull(subject);
        var growth = subject.Standing.Growth;
        if (
            subject.IsMany
            || subject.Standing.Details.Sex != Sex.Unknown
            || growth.LastMolt is not { } molt
            || growth.SexTold.Any(t => t.At >= molt.When.To)
            || subject.NightsSince(molt.When.Middle) > subject.Room.Rules.Room.Rounds.SexLookNights.Value
        )
        {
            return [];
        }

        var before = StageReading.Then(subject, growth.Molts.Count - 1);
        return
        [
            .. Showing(subject, stage, subject.Instar)
                .Where(m => !Shows(m.Value, before, subject.Instar - 1))
                .Select(m => m.Key),
        ];
    }

    private static int Order(Stage stage) =>
        stage switch
        {
            Stage.Egg => 0,
            Stage.Sling => 1,
            Stage.Juvenile => 2,
            Stage.SubAdult => 3,
            Stage.Pupa => 4,
            Stage.Adult => 5,
            _ => throw new ArgumentOutOfRangeException(nameof(stage), stage, "No place for such a stage."),
        };
}
