namespace Husbandry.Rulebook;

/// <summary>Warmth and humidity that are right for a group, and beyond which it is in danger.</summary>
/// <param name="GoodC">Right warmth, °C.</param>
/// <param name="CeilingC">Too hot from here on, °C.</param>
/// <param name="FloorC">Too cold below this, °C; a winter has a band of its own.</param>
/// <param name="Humidity">Right humidity of the air in the enclosure by moisture school, per cent.</param>
public sealed record AirRules(
    Rule<Range> GoodC,
    Rule<double> CeilingC,
    Rule<double> FloorC,
    IReadOnlyDictionary<Moisture, Rule<Range>> Humidity
);

/// <summary>What a species needs otherwise than its group; left out where it is as the group.</summary>
/// <param name="GoodC">Right warmth, °C.</param>
/// <param name="CeilingC">Too hot from here on, °C.</param>
/// <param name="FloorC">Too cold below this, °C.</param>
/// <param name="Humidity">Right humidity, per cent.</param>
public sealed record SpeciesAir(
    Rule<Range>? GoodC = null,
    Rule<double>? CeilingC = null,
    Rule<double>? FloorC = null,
    Rule<Range>? Humidity = null
);

/// <summary>When what is read of the air is an alarm, and when an instrument is not to be believed.</summary>
/// <param name="HotMinutes">So long above the ceiling is an alarm, minutes.</param>
/// <param name="ColdHours">So long below the floor is an alarm, hours.</param>
/// <param name="DryMoltHours">So long too dry for one that molts or is about to is an alarm, hours.</param>
/// <param name="DryHours">The same for others, hours.</param>
/// <param name="DampHours">So long too damp is an alarm, hours.</param>
/// <param name="WinterHours">So long outside a winter's band is an alarm, hours.</param>
/// <param name="HumidityMargin">So far beyond a band of humidity is still inside it, per cent.</param>
/// <param name="DangerC">So far beyond a limit of warmth it is a danger, °C.</param>
/// <param name="FewestReadings">Fewest readings on which an alarm rests.</param>
/// <param name="FreshMinutes">A sensor lives as long as its newest reading is no older, minutes.</param>
/// <param name="SilentMinutes">So long without a reading is silence, minutes.</param>
/// <param name="StuckSwingC">With so much between the day's lowest and highest a sensor is soon known to be stuck, °C.</param>
/// <param name="StuckSwingHours">Hours after which it is, at least and at most, there.</param>
/// <param name="StuckStillHours">The same where warmth hardly changes.</param>
/// <param name="StuckTimesLongest">Between these: so many times the longest that it stood still of late.</param>
/// <param name="StuckReadings">Fewest equal readings.</param>
/// <param name="DriftC">So far away from its neighbours, against before, a sensor has drifted, °C.</param>
/// <param name="DriftHumidity">The same, per cent.</param>
/// <param name="DriftDays">Days of late that are held against those before.</param>
/// <param name="DriftAgainstDays">Days before them.</param>
/// <param name="EscalateHours">What was seen and goes on so long is said again, hours.</param>
/// <param name="SaltHours">How long an instrument stays over salt, hours.</param>
/// <param name="SaltMostOff">Most that a salt may correct, per cent.</param>
public sealed record RoomAlarmRules(
    Rule<double> HotMinutes,
    Rule<double> ColdHours,
    Rule<double> DryMoltHours,
    Rule<double> DryHours,
    Rule<double> DampHours,
    Rule<double> WinterHours,
    Rule<double> HumidityMargin,
    Rule<double> DangerC,
    Rule<int> FewestReadings,
    Rule<double> FreshMinutes,
    Rule<double> SilentMinutes,
    Rule<double> StuckSwingC,
    Rule<Range> StuckSwingHours,
    Rule<Range> StuckStillHours,
    Rule<double> StuckTimesLongest,
    Rule<int> StuckReadings,
    Rule<double> DriftC,
    Rule<double> DriftHumidity,
    Rule<int> DriftDays,
    Rule<int> DriftAgainstDays,
    Rule<double> EscalateHours,
    Rule<double> SaltHours,
    Rule<double> SaltMostOff
);
