namespace Ledger;

/// <summary>One line of the journal as stored. Rows are never changed or removed; triggers in the file see to that.</summary>
public sealed class EntryRow
{
    /// <summary>Order of writing; the primary key.</summary>
    public long Sequence { get; set; }

    /// <summary>Id made by the client; unique.</summary>
    public Guid Id { get; set; }

    /// <summary>The animal or brood.</summary>
    public Guid StockId { get; set; }

    /// <summary>Earliest occurrence, UTC ticks.</summary>
    public long FromTicks { get; set; }

    /// <summary>Latest occurrence, UTC ticks.</summary>
    public long ToTicks { get; set; }

    /// <summary>When it was written, UTC ticks.</summary>
    public long WrittenTicks { get; set; }

    /// <summary>Who wrote it.</summary>
    public required string WrittenBy { get; set; }

    /// <summary>The entry that it corrects.</summary>
    public Guid? Supersedes { get; set; }

    /// <summary>What happened, as JSON with a <c>kind</c>.</summary>
    public required string Act { get; set; }

    /// <summary>What the hush table said against it when it was written.</summary>
    public string? Against { get; set; }
}

/// <summary>The folded state of one animal and its next due instant. Rebuildable from the journal at any time.</summary>
public sealed class StandingRow
{
    /// <summary>The animal or brood; the primary key.</summary>
    public Guid StockId { get; set; }

    /// <summary>The fold, as JSON.</summary>
    public required string State { get; set; }

    /// <summary>Whether it is still in the collection.</summary>
    public bool Here { get; set; }

    /// <summary>Rack of its place.</summary>
    public required string Rack { get; set; }

    /// <summary>Shelf of its place.</summary>
    public int Shelf { get; set; }

    /// <summary>Slot of its place.</summary>
    public int Slot { get; set; }

    /// <summary>The shared tank in which it lives; of a tank its own id, so that tank and inmates are found together.</summary>
    public Guid? TankId { get; set; }

    /// <summary>Instant from which it needs a hand, UTC ticks; <see cref="long.MaxValue"/> for never.</summary>
    public long NextDueTicks { get; set; }

    /// <summary>Whether it is hushed, so that the round names it as "pass by".</summary>
    public bool Hushed { get; set; }

    /// <summary>What lists and strips need of it, as judged for the night in <see cref="RoomRow.JudgedDay"/>, as JSON.</summary>
    public string Glance { get; set; } = "";
}

/// <summary>Settings of the room; one row.</summary>
public sealed class RoomRow
{
    /// <summary>Always 1.</summary>
    public int Id { get; set; }

    /// <summary>Settings as JSON.</summary>
    public required string Settings { get; set; }

    /// <summary>Rises with every change, for optimistic concurrency.</summary>
    public long Version { get; set; }

    /// <summary>The furniture as JSON; none before anything was measured.</summary>
    public string? Layout { get; set; }

    /// <summary>Secret part of the address under which calendars may read the almanac; none before it was asked for.</summary>
    public string? CalendarToken { get; set; }

    /// <summary>Rises with every change of the furniture.</summary>
    public long LayoutVersion { get; set; }

    /// <summary>Night for which the standings were judged, as a day number; 0 before that.</summary>
    public int JudgedDay { get; set; }

    /// <summary>Fingerprint of the rulebook with which the standings were judged.</summary>
    public required string RulesFingerprint { get; set; }
}

/// <summary>One reading of the room's climate.</summary>
public sealed class ClimateRow
{
    /// <summary>Order of arrival; the primary key.</summary>
    public long Id { get; set; }

    /// <summary>Id made by the client, of a reading taken by hand.</summary>
    public Guid? ReadingId { get; set; }

    /// <summary>When, UTC ticks.</summary>
    public long Ticks { get; set; }

    /// <summary>Where; empty for the whole room.</summary>
    public required string Zone { get; set; }

    /// <summary>°C.</summary>
    public double TemperatureC { get; set; }

    /// <summary>Per cent.</summary>
    public double? RelativeHumidity { get; set; }
}

/// <summary>A rule that the keeper has changed; kept when it is given up.</summary>
public sealed class OverrideRow
{
    /// <summary>Id made by the client.</summary>
    public Guid Id { get; set; }

    /// <summary>The override as JSON.</summary>
    public required string Override { get; set; }

    /// <summary>When it was set, UTC ticks.</summary>
    public long SetTicks { get; set; }

    /// <summary>When it was given up or replaced, UTC ticks.</summary>
    public long? EndedTicks { get; set; }
}

/// <summary>A species that the keeper has added to the rulebook.</summary>
public sealed class SpeciesRow
{
    /// <summary>Identifier of the species.</summary>
    public required string Id { get; set; }

    /// <summary>The profile as JSON.</summary>
    public required string Profile { get; set; }
}

/// <summary>A picture on the record of an animal, already stripped of everything but its pixels.</summary>
public sealed class PictureRow
{
    /// <summary>Id made by the client.</summary>
    public Guid Id { get; set; }

    /// <summary>The animal.</summary>
    public Guid StockId { get; set; }

    /// <summary>When it was added, UTC ticks.</summary>
    public long AddedTicks { get; set; }

    /// <summary>Width in pixels.</summary>
    public int Width { get; set; }

    /// <summary>Height in pixels.</summary>
    public int Height { get; set; }

    /// <summary>The picture as JPEG.</summary>
    public required byte[] Jpeg { get; set; }
}

/// <summary>One line of a journal beside that of the animals; never changed or removed.</summary>
public abstract class SideRow
{
    /// <summary>Order of writing; the primary key.</summary>
    public long Sequence { get; set; }

    /// <summary>Id made by the client; unique.</summary>
    public Guid Id { get; set; }

    /// <summary>When it happened, UTC ticks.</summary>
    public long AtTicks { get; set; }

    /// <summary>When it was written, UTC ticks.</summary>
    public long WrittenTicks { get; set; }

    /// <summary>Who wrote it.</summary>
    public required string WrittenBy { get; set; }

    /// <summary>What happened, as JSON with a <c>kind</c>.</summary>
    public required string Act { get; set; }
}

/// <summary>A line of the larder's journal.</summary>
public sealed class LarderRow : SideRow;

/// <summary>A line of the journal of chores and gear.</summary>
public sealed class ChoreRow : SideRow;

/// <summary>A line of the journal of contacts.</summary>
public sealed class ContactRow : SideRow;

/// <summary>A feeder that the keeper has added to the catalogue.</summary>
public sealed class FeederRow
{
    /// <summary>Identifier of the feeder.</summary>
    public required string Id { get; set; }

    /// <summary>The feeder as JSON.</summary>
    public required string Feeder { get; set; }
}

/// <summary>A line of the journal of the room's air: instruments, answers to alarms, programmes.</summary>
public sealed class ClimateNoteRow : SideRow;

/// <summary>Something that brings readings: a gateway of the keeper's, with a secret of its own.</summary>
public sealed class GatewayRow
{
    /// <summary>Which.</summary>
    public Guid Id { get; set; }

    /// <summary>What the keeper calls it.</summary>
    public required string Name { get; set; }

    /// <summary>Hash of its secret, which is shown once.</summary>
    public required string TokenHash { get; set; }

    /// <summary>When it was made, UTC ticks.</summary>
    public long MadeTicks { get; set; }

    /// <summary>When it was taken back, UTC ticks.</summary>
    public long? EndedTicks { get; set; }

    /// <summary>When something was last heard of it, UTC ticks.</summary>
    public long? HeardTicks { get; set; }
}

/// <summary>The short number under which readings of a sensor are stored.</summary>
public sealed class SensorRow
{
    /// <summary>The number.</summary>
    public int No { get; set; }

    /// <summary>The sensor.</summary>
    public Guid Id { get; set; }
}

/// <summary>One reading of a sensor, as it said it; kept for a month.</summary>
public sealed class SensorReadingRow
{
    /// <summary>Number of the sensor.</summary>
    public int SensorNo { get; set; }

    /// <summary>Seconds since 1970, UTC.</summary>
    public long At { get; set; }

    /// <summary>Hundredths of a degree Celsius.</summary>
    public int CentiC { get; set; }

    /// <summary>Tenths of a per cent.</summary>
    public int? DeciHumidity { get; set; }
}

/// <summary>Readings of a sensor put together: ten minutes (kept for a year), an hour, a day.</summary>
public sealed class SensorSpanRow
{
    /// <summary>Number of the sensor.</summary>
    public int SensorNo { get; set; }

    /// <summary>Width, minutes: 10, 60 or 1440.</summary>
    public int Minutes { get; set; }

    /// <summary>Its start, seconds since 1970, UTC.</summary>
    public long From { get; set; }

    /// <summary>Readings in it.</summary>
    public int Count { get; set; }

    /// <summary>Lowest, hundredths of a degree.</summary>
    public int MinC { get; set; }

    /// <summary>Sum, hundredths of a degree.</summary>
    public long SumC { get; set; }

    /// <summary>Highest, hundredths of a degree.</summary>
    public int MaxC { get; set; }

    /// <summary>Readings of humidity in it.</summary>
    public int HumidityCount { get; set; }

    /// <summary>Lowest, tenths of a per cent.</summary>
    public int MinHumidity { get; set; }

    /// <summary>Sum, tenths of a per cent.</summary>
    public long SumHumidity { get; set; }

    /// <summary>Highest, tenths of a per cent.</summary>
    public int MaxHumidity { get; set; }
}
