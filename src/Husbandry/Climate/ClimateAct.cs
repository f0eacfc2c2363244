using System.Text.Json.Serialization;

namespace Husbandry.Climate;

/// <summary>What is said of instruments, alarms and programmes of the room's air; only ever added to.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(SensorFound), "sensorFound")]
[JsonDerivedType(typeof(SensorPlaced), "sensorPlaced")]
[JsonDerivedType(typeof(SensorRetired), "sensorRetired")]
[JsonDerivedType(typeof(SaltCheckBegun), "saltCheckBegun")]
[JsonDerivedType(typeof(SaltChecked), "saltChecked")]
[JsonDerivedType(typeof(SaltCheckDropped), "saltCheckDropped")]
[JsonDerivedType(typeof(CorrectionDropped), "correctionDropped")]
[JsonDerivedType(typeof(AlarmSeen), "alarmSeen")]
[JsonDerivedType(typeof(AlarmSnoozed), "alarmSnoozed")]
[JsonDerivedType(typeof(QuietHoursSet), "quietHoursSet")]
[JsonDerivedType(typeof(ProgrammeSet), "programmeSet")]
[JsonDerivedType(typeof(ProgrammeDropped), "programmeDropped")]
public abstract record ClimateAct;

/// <summary>A gateway brought a reading of an instrument that was not known.</summary>
/// <param name="SensorId">Id under which it is kept from now on.</param>
/// <param name="Key">What its gateway calls it, 1–60 characters.</param>
/// <param name="Gateway">The gateway.</param>
public sealed record SensorFound(Guid SensorId, string Key, Guid Gateway) : ClimateAct;

/// <summary>An instrument hangs somewhere from now on.</summary>
/// <param name="SensorId">Which.</param>
/// <param name="Name">What the keeper calls it, 1–60 characters.</param>
/// <param name="Zone">Empty for the whole room, or a rack, shelf or place; none for nowhere.</param>
public sealed record SensorPlaced(Guid SensorId, string Name, string? Zone) : ClimateAct;

/// <summary>An instrument was put away for good.</summary>
public sealed record SensorRetired(Guid SensorId) : ClimateAct;

/// <summary>An instrument was closed in with a wet salt.</summary>
/// <param name="SensorId">Which.</param>
/// <param name="Salts">One or two salts over which it is to lie in turn.</param>
public sealed record SaltCheckBegun(Guid SensorId, IReadOnlyList<Salt> Salts) : ClimateAct;

/// <summary>What an instrument said over the salt.</summary>
/// <param name="SensorId">Which.</param>
/// <param name="Reading">Per cent, as it says it uncorrected.</param>
public sealed record SaltChecked(Guid SensorId, double Reading) : ClimateAct;

/// <summary>A check over salt was given up.</summary>
public sealed record SaltCheckDropped(Guid SensorId) : ClimateAct;

/// <summary>An instrument is taken as it is from now on.</summary>
public sealed record CorrectionDropped(Guid SensorId) : ClimateAct;

/// <summary>Somebody has seen an alarm and does what is to be done.</summary>
/// <param name="Alarm">Which alarm.</param>
/// <param name="Since">Since when it holds, so that the next one of its kind is a new one.</param>
public sealed record AlarmSeen(string Alarm, DateTimeOffset Since) : ClimateAct;

/// <summary>An alarm is silent for a while.</summary>
/// <param name="Alarm">Which alarm.</param>
/// <param name="Since">Since when it holds.</param>
/// <param name="Minutes">For how long, 10–720 minutes.</param>
public sealed record AlarmSnoozed(string Alarm, DateTimeOffset Since, int Minutes) : ClimateAct;

/// <summary>Hours in which only a danger is called out.</summary>
/// <param name="FromHour">Local hour at which they begin, 0–23.</param>
/// <param name="ToHour">Local hour at which they end, 0–23; the same for none.</param>
public sealed record QuietHoursSet(int FromHour, int ToHour) : ClimateAct;

/// <summary>A programme was planned or its plan changed.</summary>
public sealed record ProgrammeSet(Guid ProgrammeId, AirProgramme Plan) : ClimateAct;

/// <summary>A programme was given up.</summary>
public sealed record ProgrammeDropped(Guid ProgrammeId) : ClimateAct;

/// <summary>One line of the journal of the room's air.</summary>
/// <param name="Id">Id made by the client.</param>
/// <param name="Sequence">Order of writing.</param>
/// <param name="At">When.</param>
/// <param name="WrittenBy">Who wrote it.</param>
/// <param name="Act">What is said.</param>
public sealed record ClimateEntry(Guid Id, long Sequence, DateTimeOffset At, string WrittenBy, ClimateAct Act);
