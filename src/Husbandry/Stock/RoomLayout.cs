using System.Globalization;
using System.Text.RegularExpressions;
using Husbandry.Reasons;

namespace Husbandry.Stock;

/// <summary>One shelf of a rack.</summary>
/// <param name="Number">1–99, as in the code of its places.</param>
/// <param name="WidthMm">Inner width, 100–5000 mm.</param>
/// <param name="HeightMm">Height up to the next shelf, 30–3000 mm.</param>
/// <param name="DepthMm">Depth, 50–2000 mm.</param>
/// <param name="Slots">Places side by side, 1–200.</param>
/// <param name="Quarantine">Whether new stock stands here; walked last.</param>
/// <param name="HeatNote">Where it is warm, in the keeper's words.</param>
/// <param name="MoistureNote">How damp it is kept, in the keeper's words.</param>
public sealed record ShelfLayout(
    int Number,
    double WidthMm,
    double HeightMm,
    double DepthMm,
    int Slots,
    bool Quarantine,
    string? HeatNote,
    string? MoistureNote
);

/// <summary>A rack and its shelves.</summary>
/// <param name="Rack">One or two capital letters, as in the code of its places.</param>
/// <param name="Area">The room or corner in which it stands; may be empty.</param>
/// <param name="Shelves">From the top down, as they are drawn.</param>
public sealed record RackLayout(string Rack, string Area, IReadOnlyList<ShelfLayout> Shelves);

/// <summary>The furniture of the rooms and the order in which it is walked.</summary>
/// <param name="Racks">From left to right, as they are drawn.</param>
/// <param name="Walk">Codes of shelves in walking order; those left out follow as they are drawn.</param>
public sealed partial record RoomLayout(IReadOnlyList<RackLayout> Racks, IReadOnlyList<string> Walk)
{
    private const int MostRacks = 60;
    private const int MostShelves = 40;
    private const int LongestNote = 120;
    private const int LongestArea = 60;

    /// <summary>A room of which nothing was measured.</summary>
    public static RoomLayout Empty { get; } = new([], []);

    /// <summary>The shelf of a place; none when it was never measured.</summary>
    public ShelfLayout? ShelfOf(Place place) =>
        Racks.FirstOrDefault(r => r.Rack == place.Rack)?.Shelves.FirstOrDefault(s => s.Number == place.Shelf);

    /// <summary>Whether a place stands on a shelf for new stock.</summary>
    public bool IsQuarantine(Place place) => ShelfOf(place)?.Quarantine == true;

    /// <summary>Orders places as they are walked: quarantine last, so that nothing is carried from it to the others.</summary>
    public IComparer<Place> WalkingOrder() => new PlacesWalked(this);

    /// <summary>Every measured shelf by code in the order walked.</summary>
    public IReadOnlyList<string> ShelvesWalked() =>
        [
            .. Racks
                .SelectMany(r => r.Shelves.Select(s => new Place(r.Rack, s.Number, 1)))
                .Order(WalkingOrder())
                .Select(p => p.ShelfCode),
        ];

    /// <summary>What is wrong with a layout; none when it can be.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (Racks.Count > MostRacks)
        {
            yield return new Problem("racks", $"At most {MostRacks} racks.");
        }

        foreach (var (rack, i) in Racks.Select((r, i) => (r, i)))
        {
            foreach (var problem in rack is null ? [new Problem("", "Is missing.")] : Of(rack))
            {
                yield return problem with
                {
                    Field = $"racks[{i}]{problem.Field}",
                };
            }
        }

        foreach (var twice in Racks.Where(r => r is not null).GroupBy(r => r.Rack).Where(g => g.Count() > 1))
        {
            yield return new Problem("racks", $"Rack {twice.Key} is there twice: give each letter once.");
        }

        var known = Racks
            .Where(r => r is { Shelves: not null })
            .SelectMany(r => r.Shelves.Where(s => s is not null).Select(s => CodeOf(r.Rack, s.Number)))
            .ToHashSet();
        foreach (var (code, i) in Walk.Select((c, i) => (c, i)))
        {
            if (code is null || !known.Contains(code))
            {
                yield return new Problem($"walk[{i}]", "No such shelf: write a code of the racks above, such as A1.");
            }
        }

        if (Walk.Distinct().Count() != Walk.Count)
        {
            yield return new Problem("walk", "A shelf is walked once: one of them is there twice.");
        }
    }

    private static string CodeOf(string rack, int number) =>
        string.Create(CultureInfo.InvariantCulture, $"{rack}{number}");

    private static IEnumerable<Problem> Of(RackLayout rack)
    {
        if (rack.Rack is null || !RackPattern().IsMatch(rack.Rack))
        {
            yield return new Problem(".rack", "Write one or two capital letters.");
        }

        if (rack.Area is null || rack.Area.Length > LongestArea)
        {
            yield return new Problem(".area", $"At most {LongestArea} characters.");
        }

        if (rack.Shelves is null || rack.Shelves.Count is 0 or > MostShelves)
        {
            yield return new Problem(".shelves", $"A rack has 1 to {MostShelves} shelves.");
            yield break;
        }

        foreach (var (shelf, k) in rack.Shelves.Select((s, k) => (s, k)))
        {
            foreach (var problem in shelf is null ? [new Problem("", "Is missing.")] : Of(shelf))
            {
                yield return problem with
                {
                    Field = $".shelves[{k}]{problem.Field}",
                };
            }
        }

        if (rack.Shelves.Where(s => s is not null).GroupBy(s => s.Number).Any(g => g.Count() > 1))
        {
            yield return new Problem(".shelves", "Two shelves have the same number.");
        }
    }

    private static IEnumerable<Problem> Of(ShelfLayout shelf)
    {
        if (shelf.Number is < 1 or > 99)
        {
            yield return new Problem(".number", "Must be 1 to 99.");
        }

        if (!(shelf.WidthMm is >= 100 and <= 5000))
        {
            yield return new Problem(".widthMm", "Must be 100 to 5000 mm.");
        }

        if (!(shelf.HeightMm is >= 30 and <= 3000))
        {
            yield return new Problem(".heightMm", "Must be 30 to 3000 mm.");
        }

        if (!(shelf.DepthMm is >= 50 and <= 2000))
        {
            yield return new Problem(".depthMm", "Must be 50 to 2000 mm.");
        }

        if (shelf.Slots is < 1 or > 200)
        {
            yield return new Problem(".slots", "Must be 1 to 200 places.");
        }

        if (shelf.HeatNote?.Length > LongestNote)
        {
            yield return new Problem(".heatNote", $"At most {LongestNote} characters.");
        }

        if (shelf.MoistureNote?.Length > LongestNote)
        {
            yield return new Problem(".moistureNote", $"At most {LongestNote} characters.");
        }
    }

    [GeneratedRegex("^[A-Z]{1,2}$", RegexOptions.CultureInvariant)]
    private static partial Regex RackPattern();

    /// <summary>Compares places by shelf in walking order, then by slot.</summary>
    private sealed class PlacesWalked : IComparer<Place>
    {
        private readonly Dictionary<string, int> rank = new(StringComparer.Ordinal);
        private readonly HashSet<string> quarantine = new(StringComparer.Ordinal);

        public PlacesWalked(RoomLayout layout)
        {
            var drawn = layout.Racks.SelectMany(r =>
                r.Shelves.Select(s => (Code: CodeOf(r.Rack, s.Number), s.Quarantine))
            );
            foreach (var code in layout.Walk)
            {
                rank.TryAdd(code, rank.Count);
            }

            foreach (var (code, isQuarantine) in drawn)
            {
                rank.TryAdd(code, rank.Count);
                if (isQuarantine)
                {
                    quarantine.Add(code);
                }
            }
        }

        public int Compare(Place? x, Place? y)
        {
            if (x is null || y is null)
            {
                return x is null ? (y is null ? 0 : -1) : 1;
            }

            var byShelf = Rank(x).CompareTo(Rank(y));
            return byShelf != 0 ? byShelf : x.CompareTo(y);
        }

        // Shelves nobody measured come after the measured ones and before the quarantine.
        private (bool Quarantined, int Rank) Rank(Place place) =>
            (quarantine.Contains(place.ShelfCode), rank.GetValueOrDefault(place.ShelfCode, int.MaxValue));
    }
}
