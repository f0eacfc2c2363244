using System.Text.RegularExpressions;
using Husbandry.Reasons;

namespace Ledger.Intake;

/// <summary>What a column of a keeper's own table can say of an animal.</summary>
public enum IntakeColumn
{
    /// <summary>Nothing that is read.</summary>
    Ignored,

    /// <summary>Where it stands.</summary>
    Place,

    /// <summary>Its name.</summary>
    Name,

    /// <summary>Its species.</summary>
    Species,

    /// <summary>Its sex; also as males.females.unknown.</summary>
    Sex,

    /// <summary>How many there are.</summary>
    Count,

    /// <summary>Its instar or stage.</summary>
    Stage,

    /// <summary>Its size.</summary>
    Size,

    /// <summary>Its last molt.</summary>
    LastMolt,

    /// <summary>Its last meal.</summary>
    LastMeal,

    /// <summary>When water was given last.</summary>
    LastWater,

    /// <summary>When it came.</summary>
    CameOn,

    /// <summary>From whom.</summary>
    CameFrom,

    /// <summary>When it hatched.</summary>
    HatchedOn,

    /// <summary>Tags, parted by commas or semicolons.</summary>
    Tags,
}

/// <summary>A column as it was understood.</summary>
/// <param name="Header">Its heading, if the table has headings.</param>
/// <param name="Column">What it says.</param>
/// <param name="Unit">The unit of its lengths, where the heading names one.</param>
public sealed record ReadColumn(string Header, IntakeColumn Column, LengthUnit? Unit);

/// <summary>Guesses what the columns of a table say, by their headings and by what stands in them.</summary>
public static partial class ColumnGuess
{
    // Headings that keepers write; the first that fits counts, so the more telling stand first.
    private static readonly (IntakeColumn Column, string[] Words)[] Headings =
    [
        (IntakeColumn.LastMolt, ["last molt", "last moult", "molted", "moulted", "molt", "moult", "shed"]),
        (IntakeColumn.LastMeal, ["last fed", "last meal", "last feed", "fed", "meal", "feeding", "eaten"]),
        (IntakeColumn.LastWater, ["last water", "watered", "water", "misted"]),
        (IntakeColumn.HatchedOn, ["hatched", "hatch", "born", "dob"]),
        (IntakeColumn.CameOn, ["acquired", "came", "arrived", "bought", "since", "date in", "got"]),
        (IntakeColumn.CameFrom, ["from", "breeder", "source", "origin", "seller"]),
        (IntakeColumn.Species, ["species", "scientific", "latin", "taxon", "animal"]),
        (IntakeColumn.Size, ["dls", "leg span", "legspan", "span", "size", "length", "body"]),
        (IntakeColumn.Stage, ["instar", "stage", "molts", "moults"]),
        (IntakeColumn.Sex, ["sex", "gender", "m/f"]),
        (IntakeColumn.Count, ["count", "qty", "quantity", "how many", "pcs", "number of"]),
        (IntakeColumn.Name, ["name", "nickname", "called"]),
        (IntakeColumn.Place, ["place", "code", "slot", "location", "shelf", "tub", "enclosure", "where", "id"]),
        (IntakeColumn.Tags, ["tags", "tag", "group"]),
    ];

    /// <summary>Whether the first row is one of headings: it names columns, and none of it is a place, date or number.</summary>
    public static bool IsHeading(IReadOnlyList<string> first) =>
        first.Any(cell => Heading(cell) is not IntakeColumn.Ignored)
        && first.All(cell => Husbandry.Stock.Place.Parse(cell) is null && !NumberPattern().IsMatch(cell));

    /// <summary>What a heading names; nothing where it names nothing that is read.</summary>
    public static IntakeColumn Heading(string text) => Named(text).Column;

    /// <summary>What each of a row of headings names; where two name the same, the more telling does: "instar" before "stage".</summary>
    public static IReadOnlyList<IntakeColumn> ByHeadings(IReadOnlyList<string> headings)
    {
        ArgumentNullException.ThrowIfNull(headings);
        List<(IntakeColumn Column, int Rank)> named = [.. headings.Select(Named)];
        return
        [
            .. named.Select(
                (n, i) =>
                    named
                        .Select((other, k) => (other.Column, other.Rank, Index: k))
                        .Where(other => other.Column == n.Column)
                        .MinBy(other => (other.Rank, other.Index))
                        .Index == i
                        ? n.Column
                        : IntakeColumn.Ignored
            ),
        ];
    }

    private static (IntakeColumn Column, int Rank) Named(string text)
    {
        var words = Plain(text);
        return Headings
            .Select(h =>
                (h.Column, Rank: Array.FindIndex(h.Words, w => Regex.IsMatch(words, $@"\b{Regex.Escape(w)}\b")))
            )
            .FirstOrDefault(h => h.Rank >= 0);
    }

    /// <summary>The unit of length that a heading names: "DLS in", "size (cm)".</summary>
    public static LengthUnit? Unit(string heading)
    {
        var words = Plain(heading);
        return InchPattern().IsMatch(words) ? LengthUnit.In
            : words.Contains("cm", StringComparison.Ordinal) ? LengthUnit.Cm
            : words.Contains("mm", StringComparison.Ordinal) ? LengthUnit.Mm
            : null;
    }

    /// <summary>The columns of a table without headings, by what stands in them.</summary>
    public static IReadOnlyList<IntakeColumn> ByContent(
        IReadOnlyList<IReadOnlyList<string>> rows,
        SpeciesFinder species
    )
    {
        var width = rows.Count == 0 ? 0 : rows.Max(r => r.Count);
        var taken = new HashSet<IntakeColumn>();
        var columns = new List<IntakeColumn>();
        for (var c = 0; c < width; c++)
        {
            var cells = rows.Select(r => c < r.Count ? r[c] : "").Where(t => t.Length > 0).ToList();
            var guess = Guess(cells, species);
            columns.Add(
                cells.Count > 0 && guess != IntakeColumn.Ignored && taken.Add(guess) ? guess : IntakeColumn.Ignored
            );
        }

        return columns;
    }

    private static IntakeColumn Guess(List<string> cells, SpeciesFinder species)
    {
        bool Most(Func<string, bool> fits) => cells.Count(fits) * 2 > cells.Count;
        return Most(t => Husbandry.Stock.Place.Parse(t) is not null) ? IntakeColumn.Place
            : Most(t => species.Find(t).Species is not null) ? IntakeColumn.Species
            : Most(t => IntakeWords.SexOf(t) is not null) ? IntakeColumn.Sex
            : Most(t => IntakeWords.LooksLikeInstar(t)) ? IntakeColumn.Stage
            : Most(t => LetterPattern().IsMatch(t)) ? IntakeColumn.Name
            : IntakeColumn.Ignored;
    }

    private static string Plain(string text) =>
        JoinedPattern().Replace(text.Trim().TrimEnd('?', ':'), " ").ToLowerInvariant();

    [GeneratedRegex("(?<=[a-z])(?=[A-Z])")]
    private static partial Regex JoinedPattern();

    [GeneratedRegex(@"^\s*\d")]
    private static partial Regex NumberPattern();

    [GeneratedRegex(@"(\bin\b|\binch(es)?\b|"")")]
    private static partial Regex InchPattern();

    [GeneratedRegex(@"^\p{L}{2}")]
    private static partial Regex LetterPattern();
}
