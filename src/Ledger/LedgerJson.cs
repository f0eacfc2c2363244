using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Stock;

namespace Ledger;

/// <summary>The one way in which the ledger writes core records as JSON.</summary>
public static class LedgerJson
{
    /// <summary>Options shared by everything that is stored.</summary>
    public static JsonSerializerOptions Options { get; } =
        new(JsonSerializerDefaults.Web)
        {
            NumberHandling = JsonNumberHandling.Strict,
            DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
            AllowOutOfOrderMetadataProperties = true,
            Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false) },
            TypeInfoResolver = new DefaultJsonTypeInfoResolver { Modifiers = { EntryKinds.Describe } },
        };

    /// <summary>An act as stored.</summary>
    public static string Write(Act act) => JsonSerializer.Serialize(act, Options);

    /// <summary>A standing as stored.</summary>
    public static string Write(Standing standing) => JsonSerializer.Serialize(standing, Options);

    /// <summary>A glance as stored.</summary>
    public static string Write(Glance glance) => JsonSerializer.Serialize(glance, Options);

    /// <summary>The furniture as stored.</summary>
    public static string Write(RoomLayout layout) => JsonSerializer.Serialize(layout, Options);

    /// <summary>Settings as stored.</summary>
    public static string Write(RoomSettings settings) => JsonSerializer.Serialize(settings, Options);

    /// <summary>Reads what <c>Write</c> wrote.</summary>
    /// <exception cref="JsonException">The stored text is broken.</exception>
    public static T Read<T>(string json) =>
        JsonSerializer.Deserialize<T>(json, Options) ?? throw new JsonException("Stored text is empty.");
}
