using System.Globalization;
using System.Text;
using AnyAscii;
using F23.StringSimilarity;
using Husbandry.Rounds;
using Husbandry.Stock;

namespace Ledger;

/// <summary>Finds animals by code, name, species or tag, with typing mistakes forgiven.</summary>
/// <remarks>
/// Every word of the index is held against every word asked for once; animals are then looked up by word. So the time
/// depends on how many different words there are, and not on how far down the list one reads.
/// </remarks>
public sealed class StockFinder
{
    private const int OneMistakeFrom = 4;
    private const int TwoMistakesFrom = 8;
    private const int NoMatch = int.MaxValue;

    private static readonly OptimalStringAlignment Mistakes = new();

    private readonly Dictionary<string, List<int>> byWord = new(StringComparer.Ordinal);
    private readonly IReadOnlyList<Glance> stock;

    /// <summary>Builds the words of an index.</summary>
    /// <param name="stock">Animals, in the order in which equal finds are to be listed.</param>
    public StockFinder(IReadOnlyList<Glance> stock)
    {
        this.stock = stock;
        for (var i = 0; i < stock.Count; i++)
        {
            foreach (var word in WordsOf(stock[i]).Distinct())
            {
                if (!byWord.TryGetValue(word, out var list))
                {
                    byWord[word] = list = [];
                }

                list.Add(i);
            }
        }
    }

    /// <summary>Finds, the best first: whole words before beginnings, beginnings before typing mistakes.</summary>
    /// <param name="asked">What was typed; every word of it must be met.</param>
    public IReadOnlyList<Glance> Find(string asked)
    {
        if (Place.Parse(asked) is { } place)
        {
            return [.. stock.Where(g => g.Where.Place == place)];
        }

        var words = Words(asked).ToList();
        if (words.Count == 0)
        {
            return stock;
        }

        Dictionary<int, int>? found = null;
        foreach (var word in words)
        {
            var scores = new Dictionary<int, int>();
            foreach (var (known, animals) in byWord)
            {
                var score = Score(word, known);
                if (score == NoMatch)
                {
                    continue;
                }

                foreach (var animal in animals)
                {
                    scores[animal] = Math.Min(score, scores.GetValueOrDefault(animal, NoMatch));
                }
            }

            found = found is null
                ? scores
                : found.Where(f => scores.ContainsKey(f.Key)).ToDictionary(f => f.Key, f => f.Value + scores[f.Key]);
        }

        return [.. found!.OrderBy(f => f.Value).ThenBy(f => f.Key).Select(f => stock[f.Key])];
    }

    private static int Score(string asked, string known)
    {
        if (known == asked)
        {
            return 0;
        }

        if (known.StartsWith(asked, StringComparison.Ordinal))
        {
            return 1;
        }

        var allowed =
            asked.Length >= TwoMistakesFrom ? 2
            : asked.Length >= OneMistakeFrom ? 1
            : 0;
        if (allowed == 0 || Math.Abs(known.Length - asked.Length) > allowed)
        {
            return asked.Length >= OneMistakeFrom && known.Contains(asked, StringComparison.Ordinal) ? 2 : NoMatch;
        }

        var distance = (int)Mistakes.Distance(asked, known);
        return distance <= allowed ? 2 + distance
            : known.Contains(asked, StringComparison.Ordinal) ? 2
            : NoMatch;
    }

    private static IEnumerable<string> WordsOf(Glance g)
    {
        yield return g.Where.Place.ShelfCode.ToLowerInvariant();
        yield return g.Where.Place.Rack.ToLowerInvariant();
        yield return string.Create(
            CultureInfo.InvariantCulture,
            $"{g.Where.Place.ShelfCode.ToLowerInvariant()}{g.Where.Place.Slot:00}"
        );
        foreach (var word in Words($"{g.Who.Name} {g.Who.Species} {g.Who.GroupOne} {string.Join(' ', g.Who.Tags)}"))
        {
            yield return word;
        }
    }

    /// <summary>Words in small letters, those of other scripts spelled in Latin; what is no letter or digit parts them.</summary>
    private static IEnumerable<string> Words(string text)
    {
        var word = new StringBuilder();
        foreach (var letter in text.Transliterate())
        {
            if (char.IsLetterOrDigit(letter))
            {
                word.Append(char.ToLowerInvariant(letter));
            }
            else if (word.Length > 0)
            {
                yield return word.ToString();
                word.Clear();
            }
        }

        if (word.Length > 0)
        {
            yield return word.ToString();
        }
    }
}
