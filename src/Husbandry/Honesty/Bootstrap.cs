namespace Husbandry.Honesty;

/// <summary>How sure a weighted mean over many forecasts is, when those of one animal hang together.</summary>
/// <remarks>
/// Animals, not forecasts, are drawn anew with replacement; the 95 % percentile interval of the means. Source: Efron &amp;
/// Tibshirani (1993), An Introduction to the Bootstrap, §13.3; whole clusters drawn: Davison &amp; Hinkley (1997), Bootstrap
/// Methods and their Application, §3.8 [from memory]. The draws are always the same, so that the same record says the same.
/// </remarks>
public static class Bootstrap
{
    private const int Draws = 600;
    private const int Seed = 1993;
    private const double Tail = 0.025;

    /// <summary>Fewest animals from which an interval is worth saying.</summary>
    public const int FewestAnimals = 5;

    /// <summary>Ends between which the mean lies in 95 of 100 such rooms.</summary>
    /// <param name="values">One for each forecast: of which animal, the value, and its weight.</param>
    /// <returns>None from fewer animals than <see cref="FewestAnimals"/>.</returns>
    public static Likely? Of(IEnumerable<(Guid Animal, double Value, double Weight)> values)
    {
        var animals = values
            .GroupBy(v => v.Animal)
            .Select(g => (Sum: g.Sum(v => v.Value * v.Weight), Weight: g.Sum(v => v.Weight)))
            .ToArray();
        if (animals.Length < FewestAnimals)
        {
            return null;
        }

        var random = new Random(Seed);
        var means = new double[Draws];
        for (var k = 0; k < Draws; k++)
        {
            var (sum, weight) = (0.0, 0.0);
            for (var i = 0; i < animals.Length; i++)
            {
                var drawn = animals[random.Next(animals.Length)];
                (sum, weight) = (sum + drawn.Sum, weight + drawn.Weight);
            }

            means[k] = sum / weight;
        }

        Array.Sort(means);
        return new Likely(means[(int)(Draws * Tail)], means[(int)(Draws * (1 - Tail))]);
    }
}

/// <summary>Ends between which something probably lies (95 %).</summary>
/// <param name="Low">Lower end.</param>
/// <param name="High">Upper end.</param>
public sealed record Likely(double Low, double High);

/// <summary>How the forecasts that were shown did against the rulebook alone.</summary>
public enum AgainstRulebook
{
    /// <summary>Their loss is smaller, by more than chance makes it.</summary>
    Better,

    /// <summary>The difference may be chance.</summary>
    NoBetter,

    /// <summary>Their loss is greater, by more than chance makes it.</summary>
    Worse,

    /// <summary>Too few animals to tell.</summary>
    TooFew,
}
