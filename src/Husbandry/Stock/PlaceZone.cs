using System.Text.RegularExpressions;

namespace Husbandry.Stock;

/// <summary>A part of the room: a rack such as <c>B</c>, a shelf such as <c>B2</c>, or one place.</summary>
public static partial class PlaceZone
{
    /// <summary>Whether a text names a part of the room.</summary>
    public static bool IsZone(string text) => ShelfPattern().IsMatch(text) || Place.Parse(text) is not null;

    /// <summary>Whether a place lies in a part of the room; everything lies in the empty one.</summary>
    public static bool Holds(string zone, Place place) =>
        zone.Length == 0 || zone == place.Rack || zone == place.ShelfCode || Place.Parse(zone) == place;

    [GeneratedRegex(@"^[A-Z]{1,2}(\d{1,2})?$", RegexOptions.CultureInvariant)]
    private static partial Regex ShelfPattern();
}
