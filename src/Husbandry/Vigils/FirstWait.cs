using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Rooms;

namespace Husbandry.Vigils;

/// <summary>The wait of an animal that came with its last molt unseen.</summary>
internal static class FirstWait
{
    /// <summary>
    /// The wait, begun at an unknown time before it came: any time is as likely, unless its hatching and the molts behind it
    /// tell how old it was at the last of them.
    /// </summary>
    public static UncertainStartWait Of(Subject subject, IWait whole, SpeciesLesson? lesson)
    {
        var details = subject.Standing.Details;
        if (details.HatchedOn is not { } hatched || details.MoltsAtArrival is not { } molts || molts <= 0)
        {
            return UncertainStartWait.Unknown(whole);
        }

        var clock = subject.Room.Clock;
        var age = subject.Pace.Between(clock.EveningOf(hatched), clock.EveningOf(details.AcquiredOn));
        var (mean, sd) = AgeAtMolt(subject, molts, lesson);
        return UncertainStartWait.Unknown(
            whole,
            before =>
            {
                var z = ((age - before).Value - mean) / sd;
                return Math.Exp(-z * z / 2);
            }
        );
    }

    /// <summary>
    /// Mean and spread of the age at a molt: the sum of the waits before it. What is common to all of them adds up, what is not
    /// evens out. Source: moments of a sum of lognormals with a common factor.
    /// </summary>
    private static (double Mean, double Sd) AgeAtMolt(Subject subject, int molts, SpeciesLesson? lesson)
    {
        var shares = subject.Room.Rules.Room.Lessons;
        // Before anything was learned how far the room lies off is common to all waits too.
        var unlearned = shares.BetweenAnimalsShare.Value + shares.RoomShare.Value + shares.PartShare.Value;
        var (within, between) = lesson is null ? (1 - unlearned, unlearned) : (lesson.Within, lesson.Between);
        var (sum, squares, common) = (0.0, 0.0, 0.0);
        for (var k = 0; k < molts; k++)
        {
            var stage = StageReading.Decide(subject, null, k);
            var prior = IntervalPrior.ForMolt(subject.Profile, stage, k, null, subject.Standing.Details.Sex);
            var days = Math.Exp(prior.Mu + (lesson?.OffsetAt(prior) ?? 0));
            sum += days;
            squares += within * prior.Sigma * prior.Sigma * days * days;
            common += Math.Sqrt(between) * prior.Sigma * days;
        }

        return (sum, Math.Sqrt(squares + (common * common)));
    }
}
