using Husbandry.Stock;

namespace Ledger.Intake;

/// <summary>
/// Reads an animal written on one line, in any order: <c>A1-3 Tliltocatl albopilosus f i6 6 cm molt 3/5 fed 20/11</c>.
/// What is none of these is its name. A line without a species has that of the line above it.
/// </summary>
public static class QuickLine
{
    /// <summary>The columns that a line fills.</summary>
    public static IReadOnlyList<IntakeColumn> Columns { get; } =
    [
        IntakeColumn.Place,
        IntakeColumn.Species,
        IntakeColumn.Name,
        IntakeColumn.Sex,
        IntakeColumn.Stage,
        IntakeColumn.Size,
        IntakeColumn.LastMolt,
        IntakeColumn.LastMeal,
        IntakeColumn.LastWater,
        IntakeColumn.CameOn,
        IntakeColumn.Count,
    ];

    /// <summary>The cells of a line, one for each of <see cref="Columns"/>.</summary>
    public static IReadOnlyList<string> Read(string line, SpeciesFinder species, IntakeDates dates)
    {
        var words = line.Split(' ', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries).ToList();
        var cells = new Dictionary<IntakeColumn, string>();
        var name = new List<string>();
        for (var i = 0; i < words.Count; )
        {
            i += Take(words, i, cells, species, dates) is var taken && taken > 0 ? taken : Keep(name, words[i]);
        }

        if (name.Count > 0)
        {
            cells[IntakeColumn.Name] = string.Join(' ', name);
        }

        return [.. Columns.Select(c => cells.GetValueOrDefault(c, ""))];
    }

    private static int Keep(List<string> name, string word)
    {
        name.Add(word);
        return 1;
    }

    /// <summary>How many words from here on say something; 0 when they say nothing that is known.</summary>
    private static int Take(
        List<string> words,
        int at,
        Dictionary<IntakeColumn, string> cells,
        SpeciesFinder species,
        IntakeDates dates
    )
    {
        int Put(IntakeColumn column, string text, int count) => cells.TryAdd(column, text) ? count : 0;
        var word = words[at];
        if (Place.Parse(word) is not null)
        {
            return Put(IntakeColumn.Place, word, 1);
        }

        if (ColumnGuess.Heading(word) is var said && IsDated(said))
        {
            // The longest that is a date: "fed 20 Nov 2026".
            for (var length = Math.Min(3, words.Count - at - 1); length >= 1; length--)
            {
                var text = string.Join(' ', words.Skip(at + 1).Take(length));
                if (dates.Read(text) is not null)
                {
                    return Put(said, text, length + 1);
                }
            }
        }

        if (IntakeWords.SexOf(word) is not null && word != "-")
        {
            return Put(IntakeColumn.Sex, word, 1);
        }

        if (
            IntakeWords.LooksLikeInstar(word) || word.ToLowerInvariant() is "adult" or "mature" or "sling" or "juvenile"
        )
        {
            return Put(IntakeColumn.Stage, word, 1);
        }

        if (word is ['×' or 'x', .. var many] && int.TryParse(many, out _))
        {
            return Put(IntakeColumn.Count, many, 1);
        }

        if (at + 1 < words.Count && species.Find($"{word} {words[at + 1]}") is { Species: not null })
        {
            return Put(IntakeColumn.Species, $"{word} {words[at + 1]}", 2);
        }

        if (char.IsDigit(word[0]))
        {
            var length = at + 1 < words.Count && words[at + 1].ToLowerInvariant() is "mm" or "cm" or "in" ? 2 : 1;
            var text = string.Join(' ', words.Skip(at).Take(length));
            return IntakeWords.LengthMm(text, Husbandry.Reasons.LengthUnit.Mm) is not null
                ? Put(IntakeColumn.Size, text, length)
                : 0;
        }

        return species.Find(word) is { Species: not null } && !cells.ContainsKey(IntakeColumn.Species)
            ? Put(IntakeColumn.Species, word, 1)
            : 0;
    }

    private static bool IsDated(IntakeColumn column) =>
        column
            is IntakeColumn.LastMolt
                or IntakeColumn.LastMeal
                or IntakeColumn.LastWater
                or IntakeColumn.CameOn
                or IntakeColumn.HatchedOn;
}
