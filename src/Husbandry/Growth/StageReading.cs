using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Growth;

/// <summary>Decides the stage of life; every stage-keyed rule asks here.</summary>
/// <remarks>
/// Source: common practice, no published source: the species' own end of the youngest stage, its adult size or number
/// of molts, and the keeper's record of the ultimate molt, not one length for all.
/// </remarks>
public static class StageReading
{
    /// <summary>The stage of an animal, with reasons.</summary>
    public static Answer<Stage> Of(Subject subject, BodySize? size)
    {
        var standing = subject.Standing;
        if (subject.AllWaitFor(VigilKind.Emergence))
        {
            return Say(subject, Stage.Pupa, Reason.FromRecord("Stage", "It has pupated.", "record.pupated"));
        }

        if (subject.AllWaitFor(VigilKind.Hatching))
        {
            return Say(subject, Stage.Egg, Reason.FromRecord("Stage", "Eggs, kept as such.", "record.laid"));
        }

        if (standing.IsMatureByRecord)
        {
            var text = standing.Details.MatureAtArrival ? "Came as an adult." : "The molt to adult is on record.";
            return Say(subject, Stage.Adult, Reason.FromRecord("Stage", text, "record.ultimateMolt"));
        }

        if (standing.Details.Kind == StockKind.Colony)
        {
            const string Text = "A colony goes by the rules for adults.";
            return Say(subject, Stage.Adult, Reason.FromRecord("Stage", Text, "record.colony"));
        }

        if (standing.IsTank)
        {
            const string Text = "A shared tank goes by the rules for adults; each animal in it has a stage of its own.";
            return Say(subject, Stage.Adult, Reason.FromRecord("Stage", Text, "record.tank"));
        }

        var stage = Decide(subject, size?.SizeMm, standing.MoltsInLife);
        var byMolts =
            size is null || (subject.Group.Growth.StageBy == StageBasis.Molts && standing.MoltsInLife is not null);
        return Say(subject, stage, byMolts ? MoltsReason(subject) : SizeReason(subject, stage, size!.SizeMm));
    }

    /// <summary>The stage of a growing animal by size or by the molts behind it, whichever the group goes by.</summary>
    /// <param name="subject">The animal.</param>
    /// <param name="sizeMm">Its size then, if known.</param>
    /// <param name="molts">Molts behind it then, if known.</param>
    public static Stage Decide(Subject subject, double? sizeMm, int? molts)
    {
        var byMolts = subject.Group.Growth.StageBy == StageBasis.Molts && molts is not null;
        var stage =
            sizeMm is { } size && !byMolts ? BySize(subject, size)
            : molts is { } m ? ByMolts(subject, m)
            : Stage.Juvenile;
        // A lone queen, whatever her size: of ants only adults are kept by themselves.
        return subject.Group.Has(stage) ? stage : Stage.Adult;
    }

    /// <summary>The stage with <paramref name="molts"/> molts behind it here.</summary>
    public static Stage Then(Subject subject, int molts)
    {
        var standing = subject.Standing;
        return standing.Details.MatureAtArrival || standing.Growth.Molts.Take(molts).Any(m => m.Ultimate)
            ? Stage.Adult
            : Decide(subject, BodySize.SizeAt(subject, molts), standing.MoltsBeforeRecord + molts);
    }

    /// <summary>The stage from size alone, for a group without a species.</summary>
    public static Stage ForGroup(GroupRules group, double sizeMm) =>
        sizeMm < group.Growth.SlingUntilMm.Value ? Stage.Sling : Stage.Juvenile;

    /// <summary>The stage in words that hold for every group.</summary>
    public static string Word(Stage stage) =>
        stage switch
        {
            Stage.Sling => "sling",
            Stage.Juvenile => "juvenile",
            Stage.SubAdult => "sub-adult",
            Stage.Pupa => "pupa",
            Stage.Egg => "egg",
            Stage.Adult => "adult",
            _ => throw new ArgumentOutOfRangeException(nameof(stage), stage, "No word for such a stage."),
        };

    /// <summary>Name of a stage within rule names, e.g. <c>subAdult</c>.</summary>
    public static string Key(Stage stage) => stage == Stage.SubAdult ? "subAdult" : Word(stage);

    private static Stage BySize(Subject subject, double sizeMm)
    {
        var profile = subject.Profile;
        var sex = subject.Standing.Details.Sex;
        var smallest = profile.AdultSizeOf(sex).Value.Low;
        return sizeMm < profile.SlingUntilMm.Value ? Stage.Sling
            : sizeMm >= smallest && IsAdultBySize(subject, sex) ? Stage.Adult
            : sizeMm >= smallest * profile.SubAdultFromShare.Value ? Stage.SubAdult
            : Stage.Juvenile;
    }

    private static Reason SizeReason(Subject subject, Stage stage, double sizeMm)
    {
        var (profile, group, words) = (subject.Profile, subject.Group, subject.Room.Wording);
        var adult = profile.AdultSizeOf(subject.Standing.Details.Sex);
        var from = adult.Value.Low * profile.SubAdultFromShare.Value;
        var has = $"{BodySize.Name(group.Growth.SizePart)} {words.Length(sizeMm)}";
        return stage switch
        {
            Stage.Sling => profile.SlingUntilMm.Because(
                "Stage",
                "species.slingUntilMm",
                $"{has}: a {group.StageWord(stage)} until {words.Length(profile.SlingUntilMm.Value)}."
            ),
            Stage.Adult => adult.Because(
                "Stage",
                "species.adultSizeMm",
                $"{has}: adults have {words.Lengths(adult.Value.Low, adult.Value.High)}."
            ),
            Stage.SubAdult => profile.SubAdultFromShare.Because(
                "Stage",
                "species.subAdultFromShare",
                $"{has}: {group.StageWord(stage)} from {words.Length(from)}, one molt below the smallest adult."
            ),
            Stage.Juvenile => profile.SlingUntilMm.Because(
                "Stage",
                "species.slingUntilMm",
                $"{has}: past {words.Length(profile.SlingUntilMm.Value)}, below the {group.StageWord(Stage.SubAdult)}'s {words.Length(from)}."
            ),
            _ => throw new ArgumentOutOfRangeException(nameof(stage), stage, "No size tells that stage."),
        };
    }

    /// <summary>
    /// Whether size alone makes an adult: where adults go on molting. Elsewhere, and in male spiders, the ultimate molt
    /// must be on record, and until then it is at most sub-adult.
    /// </summary>
    private static bool IsAdultBySize(Subject subject, Sex sex) =>
        subject.Group.Growth.AdultsMolt.Value switch
        {
            AdultMolting.Both => true,
            AdultMolting.FemalesOnly => sex != Sex.Male,
            AdultMolting.Neither => false,
            var other => throw new ArgumentOutOfRangeException(nameof(subject), other, "Nothing says who molts then."),
        };

    private static Stage ByMolts(Subject subject, int molts)
    {
        var toAdult = MoltsToAdult(subject).Value;
        var share = subject.Room.Rules.Room.Growth.SlingShareOfMolts.Value;
        // Where the ultimate molt is plain to see, an animal without it on record is at most sub-adult.
        var last = subject.Group.Growth.StageBy == StageBasis.Molts ? Stage.SubAdult : Stage.Adult;
        return molts < toAdult.Low * share ? Stage.Sling
            : molts < toAdult.Low - 1 ? Stage.Juvenile
            : molts < toAdult.High ? Stage.SubAdult
            : last;
    }

    private static Reason MoltsReason(Subject subject)
    {
        var toAdult = MoltsToAdult(subject);
        return subject.Standing.MoltsInLife is { } molts
            ? toAdult.Because(
                "Stage",
                "species.moltsToAdult",
                $"{molts} molts behind {subject.Them}; adult after {toAdult.Value.Low:0}–{toAdult.Value.High:0}."
            )
            : Reason.FromRecord("Stage", "Neither size nor instar is known: treated as half grown.", "record.measure");
    }

    private static Rule<Rulebook.Range> MoltsToAdult(Subject subject) =>
        subject.Standing.Details.Sex == Sex.Male
            ? subject.Profile.MoltsToAdult.Male
            : subject.Profile.MoltsToAdult.Female;

    private static Answer<Stage> Say(Subject subject, Stage stage, Reason reason) =>
        new(stage, $"Counts as {subject.Group.StageWord(stage)}.", [reason]);
}
