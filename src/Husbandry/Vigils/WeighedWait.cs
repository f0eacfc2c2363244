namespace Husbandry.Vigils;

/// <summary>
/// What is left of a wait, reweighted by evidence. Days left of at most <paramref name="PremoltDays"/> are premolt and
/// carry the odds of the signs; days left of at most <paramref name="ImminentDays"/> carry those of the imminent signs
/// as well; more days carry weight 1.
/// </summary>
/// <remarks>Bayes' rule on a wait cut into three pieces, in closed form. Source: definition of conditional probability.</remarks>
/// <param name="Left">What is left without evidence.</param>
/// <param name="PremoltDays">Length of premolt.</param>
/// <param name="ImminentDays">How long before the molt an imminent sign shows.</param>
/// <param name="Odds">Likelihood ratio of premolt.</param>
/// <param name="ImminentOdds">Likelihood ratio of the last days.</param>
public sealed record WeighedWait(
    RemainingWait Left,
    double PremoltDays,
    double ImminentDays,
    double Odds,
    double ImminentOdds
)
{
    private readonly double soon = Left.Within(ImminentDays);
    private readonly double premolt = Left.Within(PremoltDays);

    /// <summary>Chance that what is left is no longer than premolt lasts.</summary>
    public double PremoltChance => (SoonWeight + MiddleWeight) / Total;

    private double SoonWeight => soon * Odds * ImminentOdds;

    private double MiddleWeight => (premolt - soon) * Odds;

    private double Total => SoonWeight + MiddleWeight + (1 - premolt);

    /// <summary>Days from now by which the wait is over with chance <paramref name="p"/> (0 &lt; p &lt; 1).</summary>
    public double Quantile(double p)
    {
        var mass = p * Total;
        var unweighted =
            mass <= SoonWeight ? mass / (Odds * ImminentOdds)
            : mass <= SoonWeight + MiddleWeight ? soon + ((mass - SoonWeight) / Odds)
            : premolt + (mass - SoonWeight - MiddleWeight);
        return Left.Quantile(Math.Clamp(unweighted, double.Epsilon * 1e300, 1 - 1e-15));
    }
}

/// <summary>One step of the ladder that shows how the evidence moved the chance of premolt.</summary>
/// <param name="Label">The evidence.</param>
/// <param name="Strength">Its strength in words; empty for the starting point.</param>
/// <param name="Chance">Chance of premolt after it (0–1).</param>
public sealed record Rung(string Label, string Strength, double Chance)
{
    /// <summary>Climbs the ladder one piece of evidence at a time.</summary>
    internal static IReadOnlyList<Rung> Climb(WeighedWait weighed, PremoltReading reading)
    {
        var bare = weighed with { Odds = 1, ImminentOdds = 1 };
        var rungs = new List<Rung> { new("Nights waited", "", bare.PremoltChance) };
        var (odds, imminent) = (1.0, 1.0);
        foreach (var e in reading.Evidence)
        {
            if (e.Strength == Rulebook.SignStrength.Imminent)
            {
                imminent = Math.Max(imminent, e.LikelihoodRatio);
            }
            else
            {
                odds *= e.LikelihoodRatio;
            }

            var strength = e.LikelihoodRatio < 1 ? "against" : e.Strength.ToString().ToLowerInvariant();
            var label = e.Note.Length > 0 ? $"{e.Brief}, {e.Note}" : e.Brief;
            rungs.Add(new Rung(label, strength, (weighed with { Odds = odds, ImminentOdds = imminent }).PremoltChance));
        }

        return rungs;
    }
}
