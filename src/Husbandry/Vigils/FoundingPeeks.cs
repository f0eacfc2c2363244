using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using MathNet.Numerics.Distributions;

namespace Husbandry.Vigils;

/// <summary>What peeks at a queen's brood tell of how long her founding takes.</summary>
/// <param name="Began">From when it counts: since she ate her brood and began anew, where she did.</param>
/// <param name="Looks">Each look: days of warmth since then, and the furthest stage that was seen (0–4).</param>
internal sealed record FoundingPeeks(DateTimeOffset Began, IReadOnlyList<(double Days, int Furthest)> Looks)
{
    /// <summary>Stages of a founding: eggs, larvae, pupae, workers.</summary>
    public const int Stages = 4;

    private const int Draws = 192;
    private const double Impossible = 1e-7;

    /// <summary>The peeks of a founding that is under way; none looks where nobody looked.</summary>
    public static FoundingPeeks Of(Subject subject, DateTimeOffset began)
    {
        var peeks = subject.Standing.Colony.Peeks.Where(p => p.At >= began).OrderBy(p => p.At).ToList();
        // She lays after her winter: what was seen before it tells nothing of what comes after.
        if (subject.Standing.Vigils.Chill is { To: { } warm } && warm > began)
        {
            peeks = [.. peeks.Where(p => p.At > warm)];
        }

        var (from, furthest) = (began, 0);
        var kept = new List<PeekEvent>();
        foreach (var peek in peeks)
        {
            if (peek.Furthest() < furthest)
            {
                from = kept[^1].At + ((peek.At - kept[^1].At) / 2);
                kept.Clear();
            }

            furthest = peek.Furthest();
            kept.Add(peek);
        }

        return new FoundingPeeks(
            from,
            [.. kept.Select(p => (OpenWait.Warm(subject, from, p.At).NotNegative.Value, p.Furthest()))]
        );
    }

    /// <summary>Of each stage, days by which it was seen, and up to which it was not; without an end where it was not seen.</summary>
    private readonly (double NotYet, double Seen)[] bounds =
    [
        .. Enumerable
            .Range(1, Stages)
            .Select(stage =>
                (
                    Looks.Where(l => l.Furthest < stage).Select(l => l.Days).DefaultIfEmpty(0).Max(),
                    Looks
                        .Where(l => l.Furthest >= stage)
                        .Select(l => l.Days)
                        .DefaultIfEmpty(double.PositiveInfinity)
                        .First()
                )
            ),
    ];

    /// <summary>
    /// Shares of the whole at which each stage begins, drawn evenly from the stage lengths of the species: rows end with 1.
    /// </summary>
    public static IReadOnlyList<double[]> Shares(ColonyLife life)
    {
        List<LogNormalWait> stages = [.. life.Stages.Select(s => LogNormalWait.FromPrior(s.Value))];
        // An additive sequence: evenly spread in as many dimensions. Source: Kuipers & Niederreiter (1974), by powers of the
        // root of x⁵ = x + 1 [from memory].
        const double Root = 1.1673039782614187;
        var rows = new List<double[]>(Draws);
        for (var k = 1; k <= Draws; k++)
        {
            var at = new double[Stages];
            var sum = 0.0;
            for (var i = 0; i < Stages; i++)
            {
                var u = (0.5 + (k / Math.Pow(Root, i + 1))) % 1;
                sum += Math.Exp(stages[i].Mu + (stages[i].Sigma * Normal.InvCDF(0, 1, Math.Clamp(u, 1e-4, 1 - 1e-4))));
                at[i] = sum;
            }

            rows.Add([.. at.Select(a => a / sum)]);
        }

        return rows;
    }

    /// <summary>How well a founding of so many days with stages at these shares agrees with every look.</summary>
    public double Likelihood(double wholeDays, double[] shares, double overlooked)
    {
        var likelihood = 1.0;
        for (var k = 0; k < Stages; k++)
        {
            var begins = wholeDays * shares[k];
            likelihood *= begins > bounds[k].NotYet ? 1 : overlooked;
            likelihood *= begins <= bounds[k].Seen ? 1 : Impossible;
        }

        return likelihood;
    }

    /// <summary>A founding as the engine knows it, weighed by what was seen.</summary>
    /// <param name="whole">The whole wait, on the clock of the animal.</param>
    /// <param name="life">Stage lengths of the species.</param>
    /// <param name="overlooked">Chance that a stage is there and not seen.</param>
    public IWait Weigh(IWait whole, ColonyLife life, double overlooked)
    {
        var shares = Shares(life);
        return new SeenStagesWait(whole, t => shares.Average(s => Likelihood(t, s, overlooked)));
    }
}

/// <summary>A wait weighed by how well each length of it agrees with what was seen on the way.</summary>
/// <remarks>Bayes' rule on a grid of ln days; beyond the grid the wait goes on as it would.</remarks>
internal sealed class SeenStagesWait : IWait
{
    private const int Points = 140;
    private const double Nearest = 12;
    private const double Furthest = 8;
    private const double Least = 1e-12;

    // So that the logarithm of a survival stays finite.
    private const double Tiny = 1e-300;

    private readonly IWait whole;
    private readonly double[] days = new double[Points];
    private readonly double[] logSurvival = new double[Points];

    public SeenStagesWait(IWait whole, Func<double, double> likelihood)
    {
        this.whole = whole;
        var (first, last) = (Math.Log(whole.Median.Value / Nearest), Math.Log(whole.Median.Value * Furthest));
        for (var k = 0; k < Points; k++)
        {
            days[k] = Math.Exp(first + (k * (last - first) / (Points - 1)));
        }

        var (plain, mass) = (new double[Points], new double[Points]);
        double Reached(double d) => Math.Exp(whole.LogSurvival(new EffectiveDays(d)));
        for (var k = 0; k < Points - 1; k++)
        {
            var middle = Math.Sqrt(days[k] * days[k + 1]);
            plain[k] = Math.Max(0, Reached(days[k]) - Reached(days[k + 1]));
            mass[k] = plain[k] * Math.Max(Least, likelihood(middle));
        }

        plain[^1] = Reached(days[^1]);
        mass[^1] = plain[^1] * Math.Max(Least, likelihood(days[^1]));
        var total = mass.Sum();
        var tail = 0.0;
        for (var k = Points - 1; k >= 0; k--)
        {
            tail += mass[k];
            logSurvival[k] = Math.Min(0, Math.Log(Math.Max(Tiny, tail / total)));
        }

        Cells = [.. days.Select((d, k) => (k == Points - 1 ? d : Math.Sqrt(d * days[k + 1]), plain[k]))];
    }

    /// <summary>Lengths of the whole and how likely each was before anything was seen.</summary>
    public IReadOnlyList<(double Days, double Chance)> Cells { get; }

    /// <inheritdoc/>
    public EffectiveDays Median
    {
        get
        {
            var k = Array.FindIndex(logSurvival, s => s <= Math.Log(0.5));
            return new EffectiveDays(k < 0 ? days[^1] : Math.Max(days[0], days[k]));
        }
    }

    /// <inheritdoc/>
    public double LogSurvival(EffectiveDays at)
    {
        var d = at.Value;
        if (d <= days[0])
        {
            return d <= 0 ? 0 : logSurvival[0] * d / days[0];
        }

        if (d >= days[^1])
        {
            return logSurvival[^1] + whole.LogSurvival(at) - whole.LogSurvival(new EffectiveDays(days[^1]));
        }

        var k = Array.BinarySearch(days, d);
        k = k >= 0 ? k : ~k - 1;
        var share = (d - days[k]) / (days[k + 1] - days[k]);
        return logSurvival[k] + (share * (logSurvival[k + 1] - logSurvival[k]));
    }
}
