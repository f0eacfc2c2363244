namespace Husbandry.Feeding;

/// <summary>How mixed a set of counts is.</summary>
/// <param name="Shannon">H = −Σ p·ln p, natural log; zero counts are left out.</param>
/// <param name="Evenness">H ÷ ln S of S kinds (0–1); none with fewer than two.</param>
/// <remarks>Source: Shannon (1948), Bell Syst. tech. J. 27; Pielou (1966), J. theor. Biol. 13:131–144.</remarks>
public sealed record Diversity(double Shannon, double? Evenness)
{
    /// <summary>Name of the rule in answers.</summary>
    public const string RuleName = "feeding.diversity";

    /// <summary>Source of the rule.</summary>
    public const string Source = "Shannon (1948), Bell Syst. tech. J. 27; Pielou (1966), J. theor. Biol. 13:131–144";

    /// <summary>Diversity of counts (each ≥ 0, not all zero).</summary>
    public static Diversity Of(IReadOnlyList<double> counts)
    {
        var total = counts.Sum();
        var shares = counts.Where(c => c > 0).Select(c => c / total).ToList();
        var shannon = Math.Max(0, -shares.Sum(p => p * Math.Log(p)));
        return new Diversity(shannon, shares.Count < 2 ? null : Math.Min(1, shannon / Math.Log(shares.Count)));
    }

    /// <summary>Diversity of whole counts.</summary>
    public static Diversity Of(IReadOnlyList<int> counts) => Of([.. counts.Select(c => (double)c)]);
}
