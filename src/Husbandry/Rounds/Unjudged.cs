using Husbandry.Reasons;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Rounds;

/// <summary>
/// What is shown of an animal of which nothing can be said, because what is stored of it cannot be read or judged: one line
/// with the reason, so that the other animals of the room are shown as ever.
/// </summary>
public static class Unjudged
{
    private const string Do = "cannot be judged: leave it shut, and look at it from outside";

    /// <summary>Its line on the round: passed by, since nobody knows what it bears.</summary>
    /// <param name="stockId">Which.</param>
    /// <param name="place">Where it stands.</param>
    /// <param name="name">What it is called.</param>
    /// <param name="why">Why nothing can be said, in a sentence.</param>
    public static RoundLine Line(Guid stockId, Place place, string name, string why) =>
        new(
            stockId,
            place,
            name,
            "",
            Phase.Open,
            "not judged",
            0,
            LineState.PassBy,
            RoundAct.None,
            Do,
            why,
            null,
            [],
            [],
            null,
            null,
            null,
            0,
            null,
            null,
            false,
            false,
            false,
            [],
            null,
            new Answer<RoundAct>(RoundAct.None, why, [Reason.FromRecord("Record", why, "record.standing")])
        );

    /// <summary>What lists show of it.</summary>
    /// <param name="stockId">Which.</param>
    /// <param name="place">Where it stands.</param>
    /// <param name="name">What it is called.</param>
    /// <param name="night">Tonight.</param>
    /// <param name="sequence">Newest entry that was folded; 0 when that is not known.</param>
    public static Glance Glance(Guid stockId, Place place, string name, DateOnly night, long sequence) =>
        new(
            stockId,
            new GlanceWho(
                name,
                "cannot be judged",
                "",
                "animal",
                StockKind.Specimen,
                Sex.Unknown,
                Stage.Adult,
                null,
                1,
                [],
                night,
                null,
                null,
                null,
                null,
                null
            ),
            new GlanceWhere(place, null, null, null, null, null),
            new GlanceWaits(Phase.Open, 0, [], null, 0, null, [], null, [], false, null, null, false),
            new GlanceCare(null, []),
            new GlanceHouse(null, FitWord.Unknown, ""),
            sequence
        );
}
