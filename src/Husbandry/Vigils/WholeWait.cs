using Husbandry.Rooms;

namespace Husbandry.Vigils;

/// <summary>The whole of a wait, as far as rulebook, room and animal tell.</summary>
internal static class WholeWait
{
    /// <summary>The wait.</summary>
    /// <param name="subject">The animal.</param>
    /// <param name="prior">What the rulebook expects of the wait.</param>
    /// <param name="lesson">What the room taught of such waits, if anything.</param>
    /// <param name="own">The animal's own waits of the kind.</param>
    public static IWait Of(Subject subject, IntervalPrior prior, SpeciesLesson? lesson, IReadOnlyList<PastWait> own) =>
        SpeciesLesson.Whole(
            prior,
            lesson ?? SpeciesLesson.Of([], subject.Room.Rules.Room, missedShare: 0),
            subject.Standing.StockId,
            own
        );
}
