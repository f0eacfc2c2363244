namespace Husbandry.Journal;

/// <summary>How prey was served.</summary>
public enum Preparation
{
    /// <summary>Alive.</summary>
    Live,

    /// <summary>Pre-killed, whole.</summary>
    PreKilled,

    /// <summary>Pre-killed and cut into pieces.</summary>
    Cut,

    /// <summary>Food that is no animal, put in as it is.</summary>
    Fresh,
}

/// <summary>What came of an offer; more than yes or no.</summary>
public enum OfferOutcome
{
    /// <summary>Taken while the keeper watched.</summary>
    Eaten,

    /// <summary>Gone at a later look.</summary>
    TakenLater,

    /// <summary>The animal fled from it.</summary>
    Fled,

    /// <summary>The animal batted it away or threatened it.</summary>
    BattedAway,

    /// <summary>Killed and not eaten.</summary>
    KilledAndLeft,

    /// <summary>Left in; nobody knows yet.</summary>
    NotSeen,

    /// <summary>It took it and is still at it: look again, do not disturb.</summary>
    StillEating,

    /// <summary>Seen to catch it: a newcomer's first hunt, above all.</summary>
    SeenToCatch,

    /// <summary>Found whole and taken out: turned down.</summary>
    FoundUneaten,
}

/// <summary>Food that was offered.</summary>
/// <param name="FeederId">Feeder of the rulebook.</param>
/// <param name="SizeClassId">Size class of that feeder.</param>
/// <param name="Count">Animals or pieces.</param>
/// <param name="Preparation">How it was served.</param>
/// <param name="Outcome">What came of it.</param>
/// <param name="LeftIn">Whether prey stayed in the enclosure, when that was said.</param>
/// <param name="Untaken">Of a brood in numbered vials: those that did not take it, though the others did.</param>
public sealed record Offer(
    string FeederId,
    string SizeClassId,
    int Count,
    Preparation Preparation,
    OfferOutcome Outcome,
    bool? LeftIn = null,
    IReadOnlyList<int>? Untaken = null
)
{
    /// <summary>Whether some of it is still in the enclosure after this offer; food that is no prey stays in while it is eaten of.</summary>
    public bool StaysIn() =>
        Outcome switch
        {
            OfferOutcome.StillEating => LeftIn != false,
            OfferOutcome.Eaten when Preparation == Preparation.Fresh => LeftIn != false,
            OfferOutcome.Eaten or OfferOutcome.TakenLater or OfferOutcome.SeenToCatch => Untaken is { Count: > 0 }
                && LeftIn != false,
            _ => LeftIn ?? Outcome is OfferOutcome.NotSeen or OfferOutcome.KilledAndLeft,
        };
}

/// <summary>Meaning of the outcomes.</summary>
public static class OfferOutcomes
{
    /// <summary>Whether the food was eaten.</summary>
    public static bool IsMeal(this OfferOutcome outcome) =>
        outcome
            is OfferOutcome.Eaten
                or OfferOutcome.TakenLater
                or OfferOutcome.StillEating
                or OfferOutcome.SeenToCatch;

    /// <summary>Whether the animal is known to have turned the food down; "not seen" is neither.</summary>
    public static bool IsRefusal(this OfferOutcome outcome) =>
        outcome
            is OfferOutcome.Fled
                or OfferOutcome.BattedAway
                or OfferOutcome.KilledAndLeft
                or OfferOutcome.FoundUneaten;
}

/// <summary>An offer on record.</summary>
public sealed record OfferEvent(Guid EntryId, DateTimeOffset At, Offer Offer);

/// <summary>A vial of a brood that left its food while the others ate.</summary>
/// <param name="Number">Number of the vial, from 1.</param>
/// <param name="Times">Meals left in a row.</param>
/// <param name="At">When it last did.</param>
public sealed record VialEvent(int Number, int Times, DateTimeOffset At);

/// <summary>The plant that larvae are fed with.</summary>
/// <param name="At">Since when.</param>
/// <param name="Plant">Its name.</param>
/// <param name="Anyway">Whether that stands against what is known of them.</param>
public sealed record HostEvent(DateTimeOffset At, string Plant, bool Anyway = false);

/// <summary>A food that was taken whole at least once.</summary>
public sealed record TakenFood(string FeederId, string SizeClassId, int Times);

/// <summary>What is on record of an animal's meals.</summary>
/// <param name="Meals">The last meals taken, newest last.</param>
/// <param name="Untaken">Offers not taken since the last meal and the last molt, newest last.</param>
/// <param name="Vials">Vials of a brood that left their last meal, by number.</param>
/// <param name="FoodIn">Offers of which some is still in the enclosure, one for each food, oldest first.</param>
/// <param name="Taken">Foods that it has taken whole.</param>
/// <param name="ClearedAt">When leftovers were last taken out.</param>
/// <param name="Host">The plant that larvae are fed with; none while nobody has said.</param>
/// <param name="Box">How larvae are kept; none while nobody has said.</param>
public sealed record FeedingState(
    IReadOnlyList<OfferEvent> Meals,
    IReadOnlyList<OfferEvent> Untaken,
    IReadOnlyList<VialEvent> Vials,
    IReadOnlyList<OfferEvent> FoodIn,
    IReadOnlyList<TakenFood> Taken,
    DateTimeOffset? ClearedAt,
    HostEvent? Host = null,
    BoxEvent? Box = null
)
{
    /// <summary>How many of the last meals are remembered; variety and appetite look no further back.</summary>
    public const int MealsKept = 10;

    /// <summary>Nothing on record.</summary>
    public static FeedingState Empty { get; } = new([], [], [], [], [], null);
}
