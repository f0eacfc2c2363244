using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using MathNet.Numerics.Distributions;

namespace Husbandry.Vigils;

/// <summary>
/// The chance that an animal whose kind molts no more once adult is adult already, though its record does not say so: it would
/// wait for a molt that never comes.
/// </summary>
/// <remarks>
/// Bayes' rule: those of its species that are adult with so many molts behind them (else at its size), and were not marked,
/// against those that still grow and have waited so long. Source: definition of conditional probability; how often adults are not
/// marked is a house rule.
/// </remarks>
public static class AdultUnmarked
{
    // A count of molts stands for the stretch of half a molt either way.
    private const double HalfMolt = 0.5;

    /// <summary>The chance (0–1) as soon as the present wait began; 0 where adults go on molting or the record says what it is.</summary>
    public static double Chance(Subject subject)
    {
        var standing = subject.Standing;
        if (standing.IsMatureByRecord || subject.Group.Has(Stage.Pupa) || subject.IsMany)
        {
            return 0;
        }

        var (male, female) = standing.Details.Sex switch
        {
            Sex.Male => (1.0, 0.0),
            Sex.Female => (0.0, 1.0),
            Sex.Unknown => (0.5, 0.5),
            var other => throw new ArgumentOutOfRangeException(nameof(subject), other, "No such sex."),
        };
        var (malesEnd, femalesEnd) = subject.Group.Growth.AdultsMolt.Value switch
        {
            AdultMolting.Both => (0, 0),
            AdultMolting.FemalesOnly => (1, 0),
            AdultMolting.Neither => (1, 1),
            var other => throw new ArgumentOutOfRangeException(nameof(subject), other, "Nothing says who molts then."),
        };
        var adult = (male * malesEnd * Share(subject, Sex.Male)) + (female * femalesEnd * Share(subject, Sex.Female));
        var rules = subject.Room.Rules.Room.Lessons;
        // Of its last molt somebody here could have said that it was the one to adult.
        var unmarked = standing.Growth.Molts.Count > 0 ? rules.AdultUnmarked.Value : rules.AdultUnmarkedOnArrival.Value;
        return adult <= 0 ? 0 : adult * unmarked / ((adult * unmarked) + 1 - adult);
    }

    /// <summary>The chance now: the longer no molt came, the likelier none will.</summary>
    internal static double Still(Subject subject, RemainingWait left)
    {
        var adult = Chance(subject);
        return adult <= 0 ? 0 : adult / (adult + ((1 - adult) * Math.Exp(left.LogReached)));
    }

    /// <summary>Why an animal may be adult, in words, once it is worth saying.</summary>
    internal static Reason? Why(Subject subject, double chance) =>
        IsSaid(subject, chance)
            ? subject.Room.Rules.Room.Lessons.AdultUnmarked.Because(
                "Adult already?",
                "room.adultUnmarked",
                $"{Wording.Chance(chance)} that {subject.It} is adult and molts no more, though nobody wrote it down: then none of these nights holds. If the last molt was the one to adult, mark it so."
            )
            : null;

    /// <summary>The same as the end of a sentence; empty where it is not worth saying.</summary>
    internal static string Unless(Subject subject, double chance) =>
        IsSaid(subject, chance) ? $" Unless {subject.It} is adult already: {Wording.Chance(chance)}." : "";

    private static bool IsSaid(Subject subject, double chance) =>
        chance >= subject.Room.Rules.Room.Lessons.AdultSaidFrom.Value;

    /// <summary>Share of a sex that is adult with so many molts behind it, else at such a size.</summary>
    private static double Share(Subject subject, Sex sex)
    {
        var profile = subject.Profile;
        var (toAdult, size) =
            sex == Sex.Male
                ? (profile.MoltsToAdult.Male.Value, profile.AdultSizeMm.Male.Value)
                : (profile.MoltsToAdult.Female.Value, profile.AdultSizeMm.Female.Value);
        return subject.Standing.MoltsInLife is { } molts ? Below(toAdult, molts + HalfMolt, HalfMolt)
            : BodySize.SizeAt(subject, subject.Standing.Growth.Molts.Count) is { } mm ? Below(size, mm, 0)
            : 0;
    }

    /// <summary>Share below a point where the rulebook's range holds eight of ten.</summary>
    private static double Below(Rulebook.Range range, double at, double least)
    {
        var sd = Math.Max(least, (range.High - range.Low) / (2 * LogNormalWait.NormalQuantile90));
        return sd <= 0 ? (at >= range.Low ? 1 : 0) : Normal.CDF(range.Middle, sd, at);
    }
}
