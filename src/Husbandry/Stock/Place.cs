using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.RegularExpressions;

namespace Husbandry.Stock;

/// <summary>Where an enclosure stands: rack letter(s), shelf and slot, written <c>A1·03</c>.</summary>
/// <param name="Rack">One or two capital letters.</param>
/// <param name="Shelf">1–99, counted as the keeper counts them.</param>
/// <param name="Slot">1–999 along the shelf.</param>
[JsonConverter(typeof(PlaceJson))]
public sealed partial record Place(string Rack, int Shelf, int Slot) : IComparable<Place>
{
    /// <summary>What a place code must look like, for error messages.</summary>
    public const string Form = "rack, shelf and slot like A1·03 (rack A–ZZ, shelf 1–99, slot 1–999)";

    /// <summary>The shelf part of the code, e.g. <c>A1</c>.</summary>
    public string ShelfCode => string.Create(CultureInfo.InvariantCulture, $"{Rack}{Shelf}");

    /// <summary>The code as written on the enclosure, e.g. <c>A1·03</c>.</summary>
    public string Code => string.Create(CultureInfo.InvariantCulture, $"{ShelfCode}·{Slot:00}");

    /// <summary>Reads a code; <c>A1·03</c>, <c>a1-3</c>, <c>A1.03</c> and <c>A1 03</c> all mean the same.</summary>
    /// <returns><see langword="null"/> when the text is not a place.</returns>
    public static Place? Parse(string? text)
    {
        var match = CodePattern().Match(text ?? "");
        if (!match.Success)
        {
            return null;
        }

        var shelf = int.Parse(match.Groups[2].ValueSpan, CultureInfo.InvariantCulture);
        var slot = int.Parse(match.Groups[3].ValueSpan, CultureInfo.InvariantCulture);
        return shelf == 0 || slot == 0 ? null : new Place(match.Groups[1].Value.ToUpperInvariant(), shelf, slot);
    }

    /// <summary>Walking order: racks by letter, shelves and slots by number.</summary>
    public int CompareTo(Place? other) =>
        other is null
            ? 1
            : (Rack.Length, Rack, Shelf, Slot).CompareTo((other.Rack.Length, other.Rack, other.Shelf, other.Slot));

    /// <inheritdoc/>
    public override string ToString() => Code;

    /// <summary>Whether one place comes before another on the walk.</summary>
    public static bool operator <(Place left, Place right) => left.CompareTo(right) < 0;

    /// <summary>Whether one place comes after another on the walk.</summary>
    public static bool operator >(Place left, Place right) => left.CompareTo(right) > 0;

    /// <summary>Whether one place comes before another on the walk, or is the same.</summary>
    public static bool operator <=(Place left, Place right) => left.CompareTo(right) <= 0;

    /// <summary>Whether one place comes after another on the walk, or is the same.</summary>
    public static bool operator >=(Place left, Place right) => left.CompareTo(right) >= 0;

    [GeneratedRegex(@"^\s*([A-Za-z]{1,2})(\d{1,2})\s*[·.\-/ ]\s*(\d{1,3})\s*$", RegexOptions.CultureInvariant)]
    private static partial Regex CodePattern();
}

/// <summary>Writes a place as its code.</summary>
public sealed class PlaceJson : JsonConverter<Place>
{
    /// <inheritdoc/>
    /// <exception cref="JsonException">The text is not a place.</exception>
    public override Place Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        (reader.TokenType == JsonTokenType.String ? Place.Parse(reader.GetString()) : null)
        ?? throw new JsonException($"Write {Place.Form}.");

    /// <inheritdoc/>
    public override void Write(Utf8JsonWriter writer, Place value, JsonSerializerOptions options) =>
        writer.WriteStringValue(value.Code);
}
