using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Records;

/// <summary>Checks whether the sex can be told from something at the stage of an animal; too early a guess is refused with the reason.</summary>
/// <remarks>Source: common practice, no published source.</remarks>
internal static class SexCheck
{
    public static IEnumerable<Problem> Check(SexSeen seen, Occurrence when, Standing? standing, Room room)
    {
        if (standing is null || seen.Sex == Sex.Unknown || room.Rules.Group(standing.Details.Group) is null)
        {
            yield break;
        }

        var subject = Subject.Of(standing, room);
        if (subject.Group.Sexing.GetValueOrDefault(seen.By) is not { } rule)
        {
            var known = string.Join(", ", subject.Group.Sexing.Keys.Select(k => Words(k)));
            yield return new Problem(
                "act.by",
                $"The sex of a {subject.Group.One} is not told so. It is told by: {known}."
            );
            yield break;
        }

        // What was seen before the last molts on record is held against the stage of then.
        var molts = standing.Molts.Count(m => m.When.From <= when.To);
        var then =
            molts == standing.Molts.Count
                ? StageReading.Of(subject, BodySize.Of(subject).Value).Value
                : Vigils.PastWaits.StageThen(subject, molts);
        var instar = standing.MoltsBeforeRecord + molts + subject.Group.InstarAtHatching;
        var early = rule.FromInstar is { } from
            ? then != Stage.Adult && (instar is { } now ? now < from : then == Stage.Sling)
            : Order(then) < Order(rule.FromStage ?? Stage.Sling);
        if (early)
        {
            yield return new Problem("act.by", $"Too early to tell: {rule.Why.Value}");
        }
    }

    private static int Order(Stage stage) =>
        stage switch
        {
            Stage.Egg => 0,
            Stage.Sling => 1,
            Stage.Juvenile => 2,
            Stage.SubAdult => 3,
            Stage.Pupa => 4,
            _ => 5,
        };

    private static string Words(SexEvidence by) =>
        by switch
        {
            SexEvidence.ShedSkin => "the shed skin",
            SexEvidence.Furrow => "the furrow",
            SexEvidence.AdultMarks => "adult marks",
            SexEvidence.Segments => "its segments",
            SexEvidence.Pores => "pores or tubes",
            SexEvidence.Pectines => "its combs",
            SexEvidence.Antennae => "its antennae",
            _ => "its looks",
        };
}
