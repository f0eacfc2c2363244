using System.Text.Json.Serialization;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Journal;

/// <summary>What happened, one record per kind. The journal stores these and nothing else.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(Acquired), "acquired")]
[JsonDerivedType(typeof(DetailsChanged), "detailsChanged")]
[JsonDerivedType(typeof(Offered), "offered")]
[JsonDerivedType(typeof(LeftoversRemoved), "leftoversRemoved")]
[JsonDerivedType(typeof(Watered), "watered")]
[JsonDerivedType(typeof(TubeSeen), "tubeSeen")]
[JsonDerivedType(typeof(ConditionSeen), "conditionSeen")]
[JsonDerivedType(typeof(Looked), "looked")]
[JsonDerivedType(typeof(SignSeen), "signSeen")]
[JsonDerivedType(typeof(Molted), "molted")]
[JsonDerivedType(typeof(FangsChecked), "fangsChecked")]
[JsonDerivedType(typeof(Measured), "measured")]
[JsonDerivedType(typeof(Moved), "moved")]
[JsonDerivedType(typeof(Counted), "counted")]
[JsonDerivedType(typeof(Noted), "noted")]
[JsonDerivedType(typeof(PutOff), "putOff")]
[JsonDerivedType(typeof(Departed), "departed")]
[JsonDerivedType(typeof(Began), "began")]
[JsonDerivedType(typeof(Ended), "ended")]
[JsonDerivedType(typeof(Chilled), "chilled")]
[JsonDerivedType(typeof(LimbNoted), "limbNoted")]
[JsonDerivedType(typeof(SexSeen), "sexSeen")]
[JsonDerivedType(typeof(Pictured), "pictured")]
[JsonDerivedType(typeof(Handled), "handled")]
[JsonDerivedType(typeof(Housed), "housed")]
[JsonDerivedType(typeof(Withdrawn), "withdrawn")]
public abstract record Act;

/// <summary>The animal or brood came into the collection.</summary>
public sealed record Acquired(StockDetails Details, Place Place) : Act;

/// <summary>The keeper knows better now; the whole of the details replaces the former.</summary>
public sealed record DetailsChanged(StockDetails Details) : Act;

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

/// <summary>Food was offered.</summary>
/// <param name="FeederId">Feeder of the rulebook.</param>
/// <param name="SizeClassId">Size class of that feeder.</param>
/// <param name="Count">Animals or pieces offered, 1–2000 (a brood's whole meal in one entry).</param>
/// <param name="Preparation">How it was served.</param>
/// <param name="Outcome">What came of it.</param>
/// <param name="LeftIn">Whether prey stayed in the enclosure; by default what <see cref="OfferOutcomes"/> says.</param>
/// <param name="Untaken">Of a brood in numbered vials: those that did not take it, though the others did.</param>
public sealed record Offered(
    string FeederId,
    string SizeClassId,
    int Count,
    Preparation Preparation,
    OfferOutcome Outcome,
    bool? LeftIn = null,
    IReadOnlyList<int>? Untaken = null
) : Act;

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

    /// <summary>Whether some of it is still in the enclosure after this offer; food that is no prey stays in while it is eaten of.</summary>
    public static bool StaysIn(this Offered offer) =>
        offer.Outcome switch
        {
            OfferOutcome.StillEating => offer.LeftIn != false,
            OfferOutcome.Eaten when offer.Preparation == Preparation.Fresh => offer.LeftIn != false,
            OfferOutcome.Eaten or OfferOutcome.TakenLater or OfferOutcome.SeenToCatch => offer
                is { Untaken.Count: > 0, LeftIn: not false },
            _ => offer.LeftIn ?? offer.Outcome is OfferOutcome.NotSeen or OfferOutcome.KilledAndLeft,
        };
}

/// <summary>Leftovers were taken out.</summary>
/// <param name="FeederIds">Which foods; all that was in there when left out.</param>
public sealed record LeftoversRemoved(IReadOnlyList<string>? FeederIds = null) : Act;

/// <summary>How water was given.</summary>
public enum WaterKind
{
    /// <summary>The dish was filled.</summary>
    Dish,

    /// <summary>Misted: web or wall, drops to drink.</summary>
    Mist,

    /// <summary>One side or end of the floor damped, the rest left dry.</summary>
    Damp,

    /// <summary>Both pools of a crab tank, fresh and salt.</summary>
    Pools,
}

/// <summary>Water was given.</summary>
public sealed record Watered(WaterKind Water) : Act;

/// <summary>How much water a queen's tube, or a colony's, still holds.</summary>
public enum TubeWater
{
    /// <summary>Enough for weeks.</summary>
    Full,

    /// <summary>Little left.</summary>
    Low,

    /// <summary>None left.</summary>
    Gone,
}

/// <summary>The water of a tube was looked at; it cannot be filled while somebody lives in it.</summary>
public sealed record TubeSeen(TubeWater Water) : Act;

/// <summary>How well fed an animal looks, by eye.</summary>
public enum BodyCondition
{
    /// <summary>Thin.</summary>
    Thin,

    /// <summary>Normal.</summary>
    Normal,

    /// <summary>Full.</summary>
    Full,

    /// <summary>Very full.</summary>
    VeryFull,
}

/// <summary>The condition was judged by eye.</summary>
public sealed record ConditionSeen(BodyCondition Condition) : Act;

/// <summary>The keeper looked and saw no sign of a molt: that is evidence too.</summary>
public sealed record Looked : Act;

/// <summary>A sign of the rulebook was seen.</summary>
/// <param name="SignId">The sign.</param>
/// <param name="Count">Of many: at how many of them; all when left out.</param>
public sealed record SignSeen(string SignId, int? Count = null) : Act;

/// <summary>The animal molted; when only found later, the entry's occurrence is the interval.</summary>
/// <param name="Ultimate">The molt to adult.</param>
/// <param name="Mismolt">Something went wrong: stuck or lost limbs, bent body.</param>
public sealed record Molted(bool Ultimate = false, bool Mismolt = false) : Act;

/// <summary>Fangs were looked at after a molt.</summary>
/// <param name="Hard">Whether they were black and hard.</param>
public sealed record FangsChecked(bool Hard) : Act;

/// <summary>A measure was taken.</summary>
/// <param name="Part">What.</param>
/// <param name="LengthMm">Millimetres.</param>
/// <param name="FromExuvia">Taken from the shed skin: it tells the size before that molt.</param>
/// <param name="ErrorMm">Standard error when it was measured in a picture, mm.</param>
/// <param name="PictureId">The picture it was measured in.</param>
public sealed record Measured(
    BodyPart Part,
    double LengthMm,
    bool FromExuvia = false,
    double? ErrorMm = null,
    Guid? PictureId = null
) : Act;

/// <summary>A wait other than the one for a molt began: it buried itself, pupated, was set up to found a colony.</summary>
/// <param name="Vigil">What is awaited.</param>
/// <param name="Count">Of many: how many of them; when left out all, but one for what buries itself.</param>
public sealed record Began(VigilKind Vigil, int? Count = null) : Act;

/// <summary>How a wait ended.</summary>
public enum VigilEnd
{
    /// <summary>As hoped: it came up, emerged, the first workers are there.</summary>
    AsHoped,

    /// <summary>Otherwise: it had only hidden, the pupa failed, the queen gave up.</summary>
    Otherwise,
}

/// <summary>Such a wait ended.</summary>
/// <param name="Vigil">What was awaited.</param>
/// <param name="End">How it ended.</param>
/// <param name="Count">Of many: for how many of them; for all that waited when left out.</param>
public sealed record Ended(VigilKind Vigil, VigilEnd End, int? Count = null) : Act;

/// <summary>A pupa, a queen or a colony was put into its winter cold, or taken out of it.</summary>
public sealed record Chilled(bool IntoCold) : Act;

/// <summary>How a limb was found.</summary>
public enum LimbState
{
    /// <summary>Missing.</summary>
    Lost,

    /// <summary>Grown again, smaller or thinner than its fellow.</summary>
    Small,

    /// <summary>Full size again.</summary>
    Full,
}

/// <summary>A lost limb, or how far it has grown again.</summary>
/// <param name="Limb">Which, in the keeper's words, e.g. "leg 3 left"; 1–40 characters.</param>
/// <param name="State">How it was found.</param>
public sealed record LimbNoted(string Limb, LimbState State) : Act;

/// <summary>The sex was told from something; the details follow it.</summary>
public sealed record SexSeen(Sex Sex, SexEvidence By) : Act;

/// <summary>A picture was kept on the record.</summary>
/// <param name="PictureId">The stored picture.</param>
/// <param name="Caption">What it shows; may be empty.</param>
/// <param name="OfExuvia">Whether it shows the shed skin of the last molt.</param>
public sealed record Pictured(Guid PictureId, string Caption, bool OfExuvia = false) : Act;

/// <summary>The enclosure was moved to another place.</summary>
public sealed record Moved(Place Place) : Act;

/// <summary>A brood was counted.</summary>
public sealed record Counted(int Count) : Act;

/// <summary>Something else was done to it that the hush table speaks of: handled, rehoused, dug up, cleaned.</summary>
public sealed record Handled(CareAct Care) : Act;

/// <summary>What it lives in from now on.</summary>
/// <param name="Enclosure">The enclosure.</param>
/// <param name="Rehoused">Whether the animal was moved over into it; otherwise it was only measured or set up anew around it.</param>
public sealed record Housed(Enclosure Enclosure, bool Rehoused) : Act;

/// <summary>A note in the keeper's words.</summary>
public sealed record Noted(string Text) : Act;

/// <summary>Tonight's work at this enclosure was put off.</summary>
/// <param name="UntilNight">The night on which it is due again.</param>
/// <param name="Reason">Why, in the keeper's words; may be left out.</param>
public sealed record PutOff(DateOnly UntilNight, string? Reason = null) : Act;

/// <summary>How stock leaves the collection.</summary>
public enum DepartureKind
{
    /// <summary>Died.</summary>
    Died,

    /// <summary>Sold.</summary>
    Sold,

    /// <summary>Given away.</summary>
    GivenAway,

    /// <summary>Escaped.</summary>
    Escaped,

    /// <summary>Released, where that is lawful.</summary>
    Released,

    /// <summary>Lost: nobody knows what became of it.</summary>
    Lost,
}

/// <summary>The animal left the collection, or some of many did; its history stays.</summary>
/// <param name="Departure">How.</param>
/// <param name="Remark">Cause of death, or who took it; free text.</param>
/// <param name="Count">Of many: how many of them; all when left out.</param>
public sealed record Departed(DepartureKind Departure, string? Remark = null, int? Count = null) : Act;

/// <summary>An earlier entry is taken back (undo). It stays in the journal, struck through.</summary>
public sealed record Withdrawn(Guid EntryId) : Act;
