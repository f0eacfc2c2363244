using System.Text.Json;
using System.Text.Json.Serialization;

namespace App.Hosting;

/// <summary>The time zone of the room, as its settings say.</summary>
public sealed class RoomZone
{
    private volatile TimeZoneInfo zone = TimeZoneInfo.Utc;

    /// <summary>The zone.</summary>
    public TimeZoneInfo Zone
    {
        get => zone;
        set => zone = value;
    }
}

/// <summary>
/// Writes instants as the clock on the wall of the room shows them, with the zone's offset: whoever looks from elsewhere, or on
/// a device set to another zone, reads the same time. Reads any offset.
/// </summary>
public sealed class RoomTimeConverter(RoomZone room) : JsonConverter<DateTimeOffset>
{
    public override DateTimeOffset Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        reader.GetDateTimeOffset();

    public override void Write(Utf8JsonWriter writer, DateTimeOffset value, JsonSerializerOptions options) =>
        writer.WriteStringValue(TimeZoneInfo.ConvertTime(value, room.Zone));
}
