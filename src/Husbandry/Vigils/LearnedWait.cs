using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>
/// What is believed of the mean and spread of ln(interval): a normal-inverse-gamma distribution, updated in closed form.
/// </summary>
/// <param name="Mu">Centre of the mean of ln days.</param>
/// <param name="Kappa">Weight of the centre, in intervals.</param>
/// <param name="Alpha">Shape of the inverse gamma on the variance.</param>
/// <param name="Beta">Scale of the inverse gamma on the variance.</param>
/// <remarks>
/// Source: Murphy (2007), Conjugate Bayesian analysis of the Gaussian distribution, §3; Gelman et al. (2013), Bayesian
/// Data Analysis, 3rd ed., §3.3.
/// </remarks>
public sealed record LearnedWait(double Mu, double Kappa, double Alpha, double Beta)
{
    /// <summary>
    /// A belief centred on a prior, with the rulebook's weights; β is chosen so that with nothing learned the
    /// predictive scale equals the prior's σ: β = σ²·α·κ/(κ+1).
    /// </summary>
    public static LearnedWait FromPrior(WaitPrior prior, double kappa, double alpha)
    {
        var whole = LogNormalWait.FromPrior(prior);
        return new LearnedWait(whole.Mu, kappa, alpha, whole.Sigma * whole.Sigma * alpha * kappa / (kappa + 1));
    }

    /// <summary>The belief after seeing more values of ln days; the order and batching of values make no difference.</summary>
    public LearnedWait Seen(IEnumerable<double> logDays) => Seen(logDays.Select(y => (y, 1.0)));

    /// <summary>The same, each value counting as a share of a whole one.</summary>
    public LearnedWait Seen(IEnumerable<(double LogDays, double Weight)> values)
    {
        var seen = values.ToList();
        if (seen.Count == 0)
        {
            return this;
        }

        var n = seen.Sum(v => v.Weight);
        var mean = seen.Sum(v => v.Weight * v.LogDays) / n;
        var squares = seen.Sum(v => v.Weight * (v.LogDays - mean) * (v.LogDays - mean));
        var kappa = Kappa + n;
        return new LearnedWait(
            ((Kappa * Mu) + (n * mean)) / kappa,
            kappa,
            Alpha + (n / 2.0),
            Beta + (squares / 2) + (Kappa * n * (mean - Mu) * (mean - Mu) / (2 * kappa))
        );
    }

    /// <summary>The predictive wait: Student t on ln days with 2α degrees of freedom.</summary>
    public LogStudentWait Predictive() => new(Mu, Math.Sqrt(Beta * (Kappa + 1) / (Alpha * Kappa)), 2 * Alpha);
}
