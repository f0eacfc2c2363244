using Husbandry.Reasons;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Journal;

/// <summary>A molt on record.</summary>
public sealed record MoltEvent(Guid EntryId, Occurrence When, bool Ultimate, bool Mismolt);

/// <summary>A measure on record.</summary>
/// <param name="EntryId">Its entry.</param>
/// <param name="At">When it was taken.</param>
/// <param name="Part">What.</param>
/// <param name="LengthMm">Millimetres.</param>
/// <param name="FromExuvia">Taken from the shed skin.</param>
/// <param name="MoltsHere">Molts on record behind the skin that was measured; −1 for the skin of arrival's first molt when shed.</param>
public sealed record MeasureEvent(
    Guid EntryId,
    DateTimeOffset At,
    BodyPart Part,
    double LengthMm,
    bool FromExuvia,
    int MoltsHere
);

/// <summary>An offer on record.</summary>
public sealed record OfferEvent(Guid EntryId, DateTimeOffset At, Offered Offer);

/// <summary>A vial of a brood that left its food while the others ate.</summary>
/// <param name="Number">Number of the vial, from 1.</param>
/// <param name="Times">Meals left in a row.</param>
/// <param name="At">When it last did.</param>
public sealed record VialEvent(int Number, int Times, DateTimeOffset At);

/// <summary>What came of one offer of a feeder: taken or turned down.</summary>
public sealed record AppetiteEvent(DateTimeOffset At, bool Taken, string? FeederId = null);

/// <summary>A sign on record; of many with the number at which it was seen, when not all.</summary>
public sealed record SignEvent(Guid EntryId, DateTimeOffset At, string SignId, int? Count = null);

/// <summary>When water was last given in one way.</summary>
public sealed record WaterEvent(WaterKind Kind, DateTimeOffset At);

/// <summary>The water of a tube as last seen.</summary>
public sealed record TubeEvent(DateTimeOffset At, TubeWater Water);

/// <summary>The condition as last judged by eye, with the molts on record behind it then.</summary>
public sealed record ConditionEvent(DateTimeOffset At, BodyCondition Condition, int MoltsHere);

/// <summary>A food that was taken whole at least once.</summary>
public sealed record TakenFood(string FeederId, string SizeClassId, int Times);

/// <summary>Some of many left.</summary>
public sealed record ExitEvent(DateTimeOffset At, DepartureKind Kind, int Count);

/// <summary>A wait other than the one for a molt, under way or over.</summary>
/// <param name="Id">The entry that began it.</param>
/// <param name="Vigil">What is waited for.</param>
/// <param name="Began">When it began.</param>
/// <param name="Ended">When it ended; none while it lasts.</param>
/// <param name="AsHoped">Whether it ended as hoped.</param>
/// <param name="Count">Of many: how many still wait; none when all do.</param>
/// <param name="Whole">Whether it began for all of them.</param>
public sealed record VigilEvent(
    Guid Id,
    VigilKind Vigil,
    Occurrence Began,
    Occurrence? Ended,
    bool AsHoped,
    int? Count = null,
    bool Whole = true
);

/// <summary>Winter cold of a pupa, a queen or a colony.</summary>
public sealed record ChillEvent(DateTimeOffset From, DateTimeOffset? To);

/// <summary>The latest state of a limb that was lost, with the molts behind it then.</summary>
public sealed record LimbEvent(string Limb, LimbState State, DateTimeOffset At, int MoltsHere, int LostAtMolts);

/// <summary>The sex was told from something.</summary>
public sealed record SexEvent(DateTimeOffset At, Sex Sex, SexEvidence By);

/// <summary>A picture on record.</summary>
public sealed record PictureEvent(
    Guid EntryId,
    Guid PictureId,
    DateTimeOffset At,
    string Caption,
    bool OfExuvia,
    int MoltsHere
);

/// <summary>A departure on record.</summary>
public sealed record DepartureEvent(DateTimeOffset At, DepartureKind Kind, string? Remark);

/// <summary>A fang check on record.</summary>
public sealed record FangCheckEvent(DateTimeOffset At, bool Hard);

/// <summary>What an animal lives in.</summary>
/// <param name="At">When it was noted.</param>
/// <param name="Enclosure">The enclosure.</param>
/// <param name="RehousedAt">When the animal was last moved over into another one.</param>
public sealed record HouseEvent(DateTimeOffset At, Enclosure Enclosure, DateTimeOffset? RehousedAt);
