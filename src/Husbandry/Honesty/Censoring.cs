namespace Husbandry.Honesty;

/// <summary>
/// How many animals stay in the room so long: what came of those that left is not known, and those that stayed count for them.
/// </summary>
/// <remarks>
/// Inverse-probability-of-censoring weights on the product-limit estimate. Source: Kaplan &amp; Meier (1958), J. Amer. Statist.
/// Assoc. 53:457–481; Gerds &amp; Schumacher (2006), Biom. J. 48:1029–1040 for scores of forecasts.
/// </remarks>
public sealed class Censoring
{
    // Nobody counts for more than so many.
    private const double MostWeight = 5;

    private readonly List<(double Days, double Stays)> steps = [];

    /// <param name="followed">How long each was followed, and whether its leaving ended that.</param>
    public Censoring(IEnumerable<(double Days, bool Left)> followed)
    {
        var sorted = followed.OrderBy(f => f.Days).ThenBy(f => f.Left).ToList();
        var stays = 1.0;
        for (var i = 0; i < sorted.Count; i++)
        {
            if (sorted[i].Left)
            {
                stays *= 1 - (1.0 / (sorted.Count - i));
                steps.Add((sorted[i].Days, stays));
            }
        }
    }

    /// <summary>For how many one counts that was followed for so many days.</summary>
    public double Weight(double days)
    {
        var (low, high) = (0, steps.Count);
        while (low < high)
        {
            var middle = (low + high) / 2;
            (low, high) = steps[middle].Days < days ? (middle + 1, high) : (low, middle);
        }

        return low == 0 ? 1 : Math.Min(MostWeight, 1 / Math.Max(1 / MostWeight, steps[low - 1].Stays));
    }
}
