using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Stock;

namespace Husbandry.Growth;

/// <summary>Decides the stage of life; every stage-keyed rule asks here.</summary>
/// <remarks>
/// Source: common practice, no published source: the species' own end of the sling stage, its adult size and the
/// keeper's record of the ultimate molt, not one length for all.
/// </remarks>
public static class StageReading
{
    /// <summary>The stage of an animal, with reasons.</summary>
    public static Answer<Stage> Of(Subject subject, BodySize? size)
    {
        if (subject.Standing.IsMatureByRecord)
        {
            return Say(
                Stage.Adult,
                Reason.FromRecord(
                    "Stage",
                    subject.Standing.Details.MatureAtArrival ? "Came as an adult." : "The molt to adult is on record.",
                    "record.ultimateMolt"
                )
            );
        }

        return size is not null ? BySize(subject, size.LegSpanMm) : ByMolts(subject);
    }

    /// <summary>The stage from leg span alone, for a group without a species.</summary>
    public static Stage ForGroup(Rulebook.GroupRules group, double legSpanMm) =>
        legSpanMm < group.SlingUntilLegSpanMm.Value ? Stage.Sling : Stage.Juvenile;

    /// <summary>The stage in words.</summary>
    public static string Word(Stage stage) =>
        stage switch
        {
            Stage.Sling => "sling",
            Stage.Juvenile => "juvenile",
            Stage.SubAdult => "sub-adult",
            _ => "adult",
        };

    private static Answer<Stage> BySize(Subject subject, double legSpanMm)
    {
        var profile = subject.Profile;
        var words = subject.Room.Wording;
        var sling = profile.SlingUntilLegSpanMm;
        if (legSpanMm < sling.Value)
        {
            return Say(
                Stage.Sling,
                sling.Because(
                    "Stage",
                    "species.slingUntilLegSpanMm",
                    $"Leg span {words.Length(legSpanMm)}: a sling until {words.Length(sling.Value)}."
                )
            );
        }

        var sex = subject.Standing.Details.Sex;
        var adult = profile.AdultLegSpan(sex);
        var smallest = adult.Value.Low;
        // A male is adult by his ultimate molt, whatever his size; he is at most sub-adult until it is on record.
        if (legSpanMm >= smallest && sex != Sex.Male)
        {
            return Say(
                Stage.Adult,
                adult.Because(
                    "Stage",
                    "species.adultLegSpanMm",
                    $"Leg span {words.Length(legSpanMm)}: adults have {words.Lengths(adult.Value.Low, adult.Value.High)}."
                )
            );
        }

        var from = smallest * profile.SubAdultFromShare.Value;
        return legSpanMm >= from
            ? Say(
                Stage.SubAdult,
                profile.SubAdultFromShare.Because(
                    "Stage",
                    "species.subAdultFromShare",
                    $"Leg span {words.Length(legSpanMm)}: sub-adult from {words.Length(from)}, one molt below the smallest adult."
                )
            )
            : Say(
                Stage.Juvenile,
                sling.Because(
                    "Stage",
                    "species.slingUntilLegSpanMm",
                    $"Leg span {words.Length(legSpanMm)}: past {words.Length(sling.Value)}, below the sub-adult's {words.Length(from)}."
                )
            );
    }

    private static Answer<Stage> ByMolts(Subject subject)
    {
        var toAdult =
            subject.Standing.Details.Sex == Sex.Male
                ? subject.Profile.MoltsToAdult.Male
                : subject.Profile.MoltsToAdult.Female;
        if (subject.Standing.MoltsInLife is not { } molts)
        {
            return Say(
                Stage.Juvenile,
                Reason.FromRecord("Stage", "Neither size nor instar is known: treated as a juvenile.", "record.measure")
            );
        }

        var share = subject.Room.Rules.Room.SlingShareOfMolts.Value;
        var stage =
            molts < toAdult.Value.Low * share ? Stage.Sling
            : molts < toAdult.Value.Low - 1 ? Stage.Juvenile
            : molts < toAdult.Value.High ? Stage.SubAdult
            : Stage.Adult;
        return Say(
            stage,
            toAdult.Because(
                "Stage",
                "species.moltsToAdult",
                $"{molts} molts behind {subject.Them}; adult after {toAdult.Value.Low:0}–{toAdult.Value.High:0}."
            )
        );
    }

    private static Answer<Stage> Say(Stage stage, Reason reason) => new(stage, $"Counts as {Word(stage)}.", [reason]);
}
