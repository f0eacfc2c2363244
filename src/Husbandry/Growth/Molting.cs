using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Growth;

/// <summary>Whether molts of an animal are followed, and whether one is still to come.</summary>
public static class Molting
{
    /// <summary>Whether molts of this animal are followed one by one.</summary>
    public static bool Follows(Subject subject) =>
        subject.Group.Growth.MoltsFollowed.Value
        && subject.Standing.Details.Kind is not (StockKind.Colony or StockKind.Tank);

    /// <summary>Why an animal will not molt again, or why its molts are not awaited; none when one is awaited.</summary>
    public static Reason? WillNotMoltAgain(Subject subject)
    {
        if (!Follows(subject))
        {
            var rule = subject.Group.Growth.MoltsFollowed;
            return rule.Because("Next molt", "group.moltsFollowed", "Molts of single animals are not followed here.");
        }

        if (subject.WaitsOfAll.FirstOrDefault(w => VigilDefinition.Of(w.Vigil).StopsMolts) is { } waiting)
        {
            return Reason.FromRecord(
                "Next molt",
                $"{VigilDefinition.Of(waiting.Vigil).Began.ToUpperFirst()}.",
                "record.began"
            );
        }

        var last = subject.Group.Growth.AdultsMolt;
        if (!subject.Standing.IsMatureByRecord)
        {
            return ProbablyAdult(subject);
        }

        return last.Value switch
        {
            AdultMolting.Neither => last.Because(
                "Next molt",
                "group.adultsMolt",
                $"An adult {subject.Group.One} does not molt again."
            ),
            AdultMolting.FemalesOnly when subject.Standing.Details.Sex == Sex.Male => last.Because(
                "Next molt",
                "group.adultsMolt",
                "A mature male does not molt again in practice."
            ),
            _ => null,
        };
    }

    /// <summary>
    /// Where adults molt no more, an animal with as many molts behind it as its species ever needs is adult in all
    /// likelihood, though nobody wrote the ultimate molt down as such.
    /// </summary>
    private static Reason? ProbablyAdult(Subject subject)
    {
        // The last molt of a larva makes the pupa, not the adult: it is awaited until somebody writes that it pupated.
        if (subject.Group.Has(Stage.Pupa))
        {
            return null;
        }

        var sex = subject.Standing.Details.Sex;
        var endsWithAdult =
            subject.Group.Growth.AdultsMolt.Value == AdultMolting.Neither
            || (subject.Group.Growth.AdultsMolt.Value == AdultMolting.FemalesOnly && sex == Sex.Male);
        var toAdult = sex == Sex.Male ? subject.Profile.MoltsToAdult.Male : subject.Profile.MoltsToAdult.Female;
        return endsWithAdult && subject.Standing.MoltsInLife >= toAdult.Value.High
            ? toAdult.Because(
                "Next molt",
                "species.moltsToAdult",
                $"{subject.Standing.MoltsInLife} molts behind {subject.Them}, and the species is adult after {toAdult.Value.Low:0}–{toAdult.Value.High:0}: probably adult. Mark the last molt as the one to adult if it was."
            )
            : null;
    }
}
