using System.Text.Json.Serialization;

namespace Husbandry.Chores;

/// <summary>What happened to chores and gear, one record per kind; only ever added to.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(ChorePlanned), "chorePlanned")]
[JsonDerivedType(typeof(ChoreDone), "choreDone")]
[JsonDerivedType(typeof(ChorePutOff), "chorePutOff")]
[JsonDerivedType(typeof(ChoreDropped), "choreDropped")]
[JsonDerivedType(typeof(GearAdded), "gearAdded")]
[JsonDerivedType(typeof(GearDropped), "gearDropped")]
[JsonDerivedType(typeof(GearBooked), "gearBooked")]
[JsonDerivedType(typeof(BookingDropped), "bookingDropped")]
[JsonDerivedType(typeof(ChoreWithdrawn), "choreWithdrawn")]
public abstract record ChoreAct;

/// <summary>A chore was planned, or its plan changed.</summary>
public sealed record ChorePlanned(Guid ChoreId, ChorePlan Plan) : ChoreAct;

/// <summary>A chore was done.</summary>
/// <param name="ChoreId">Which.</param>
/// <param name="Night">Night on which it was done.</param>
/// <param name="Note">What was found, e.g. the reading of an instrument; may be empty.</param>
public sealed record ChoreDone(Guid ChoreId, DateOnly Night, string Note = "") : ChoreAct;

/// <summary>A chore was put off.</summary>
public sealed record ChorePutOff(Guid ChoreId, DateOnly UntilNight, string Reason = "") : ChoreAct;

/// <summary>A chore is not to be done any more.</summary>
public sealed record ChoreDropped(Guid ChoreId) : ChoreAct;

/// <summary>A piece of gear that several projects share.</summary>
public sealed record GearAdded(Guid GearId, string Name) : ChoreAct;

/// <summary>The gear is gone.</summary>
public sealed record GearDropped(Guid GearId) : ChoreAct;

/// <summary>Gear was booked.</summary>
/// <param name="BookingId">Id made by the client.</param>
/// <param name="GearId">Which gear.</param>
/// <param name="From">First night.</param>
/// <param name="To">Last night.</param>
/// <param name="For">What for, 1–80 characters.</param>
public sealed record GearBooked(Guid BookingId, Guid GearId, DateOnly From, DateOnly To, string For) : ChoreAct;

/// <summary>A booking was given up.</summary>
public sealed record BookingDropped(Guid BookingId) : ChoreAct;

/// <summary>An entry was a mistake.</summary>
public sealed record ChoreWithdrawn(Guid EntryId) : ChoreAct;

/// <summary>One line of the journal of chores.</summary>
/// <param name="Id">Id made by the client.</param>
/// <param name="Sequence">Order of writing.</param>
/// <param name="At">When it was written.</param>
/// <param name="WrittenBy">Who wrote it.</param>
/// <param name="Act">What happened.</param>
public sealed record ChoreEntry(Guid Id, long Sequence, DateTimeOffset At, string WrittenBy, ChoreAct Act);
