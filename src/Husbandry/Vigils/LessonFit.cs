using Husbandry.Rulebook;
using MathNet.Numerics.Distributions;
using MathNet.Numerics.LinearAlgebra;

namespace Husbandry.Vigils;

/// <summary>Fits what a room's animals of one species taught.</summary>
/// <remarks>
/// Expectation and maximisation in turn: given the offsets, how likely each wait hides a molt, and how long those that still
/// last will be; given these, the offsets by least squares. Source: Dempster, Laird &amp; Rubin (1977), J. R. Statist. Soc. B
/// 39:1–38; variance between animals by the same, Laird &amp; Ware (1982), Biometrics 38:963–974; waits that still
/// last by the censored normal likelihood, Tobin (1958), Econometrica 26:24–36.
/// </remarks>
internal static class LessonFit
{
    private const int Rounds = 6;

    private const int RoundsOn = 3;

    private const double LeastWeight = 1e-6;

    private const double LeastChance = 1e-9;

    private const double StepShare = 0.05;

    private static readonly Matrix<double> Unit = Matrix<double>.Build.DenseIdentity(WaitModel.Size);

    private sealed record Lives(Guid Animal, IReadOnlyList<PastWait> Over, IReadOnlyList<PastWait> Cut);

    public static SpeciesLesson Of(
        IReadOnlyList<(Guid Animal, IReadOnlyList<PastWait> Waits)> animals,
        RoomRules rules,
        double missedShare,
        SpeciesLesson? former,
        bool isSeenToEnd
    )
    {
        var lives = animals
            .Select(a => new Lives(a.Animal, [.. a.Waits.Where(w => w.IsWhole)], [.. a.Waits.Where(w => !w.IsWhole)]))
            .ToList();
        var known = lives.Where(l => l.Over.Count > 0).ToList();
        var shares = rules.Lessons;
        var within = 1 - shares.RoomShare.Value - shares.PartShare.Value - shares.BetweenAnimalsShare.Value;
        var (waits0, within0) = (shares.WithinWaits.Value, within);
        var model = new WaitModel(
            within,
            shares.BetweenAnimalsShare.Value,
            missedShare,
            shares.MissedMoltSpread.Value,
            shares.OddWaitShare.Value,
            shares.OddWaitSpreads.Value,
            WaitModel.TailOf(waits0)
        );
        var prior = Prior(shares);
        var (precision, weighted) = (prior, Vector<double>.Build.Dense(WaitModel.Size));
        var offsets = former?.Offsets ?? Vector<double>.Build.Dense(WaitModel.Size);
        var own = new Dictionary<Guid, double>();
        var byAnimal = new Dictionary<Guid, Information>();
        var freedom = StudentTail.Freedom(waits0);
        if (former is { Animals: > 0 })
        {
            // Spread and animals begin anew: what has once taken in waits that hide a molt would hardly give them back.
            model = model with
            {
                Between = former.Between,
            };
        }

        // What was learned not long ago is nearly what will be learned now.
        var rounds = former is { Animals: > 0 } ? RoundsOn : Rounds;
        for (var round = 0; round < rounds && lives.Count > 0; round++)
        {
            var now = offsets;
            double Level(Lives life, PastWait w) =>
                (WaitModel.At(w.Prior, now)) + (w.Prior.Sigma * own.GetValueOrDefault(life.Animal));
            double Doubt(PastWait w) => model.Between / 2 * Square(w.Prior.Sigma);
            byAnimal.Clear();
            var sum = new Information();
            foreach (var life in lives)
            {
                var taught = model.Taught(
                    life.Over,
                    w => Level(life, w),
                    life.Over.Count == 0 ? 0 : life.Over.Average(Doubt)
                );
                foreach (var cut in life.Cut)
                {
                    Lasting(cut, model, now, taught);
                }

                byAnimal[life.Animal] = taught;
                sum.Add(taught);
            }

            (precision, weighted) = (sum.With(prior), Vector<double>.Build.Dense(sum.Weighted));
            var covariance = precision.Cholesky().Solve(Unit);
            offsets = covariance * weighted;
            var fitted = offsets;
            var readings = known
                .Select(l => (Life: l, Seen: Seen(l, model, w => Level(l, w), Doubt)))
                .Select(x => (x.Life, Own: Own(x.Seen, fitted), Count: x.Seen.Sum(s => s.Chance), x.Seen))
                .ToList();
            // What is expected of the square of an animal's own offset, its uncertainty and that of the others included.
            var animal = readings.ToDictionary(
                r => r.Life.Animal,
                r => OwnOf(r.Own, Doubtful(r.Seen, covariance), model.Between)
            );
            var squares = readings.Sum(r =>
                r.Seen.Sum(s =>
                    s.Chance
                    * Square(
                        s.Residual
                            - WaitModel.At(s.Wait.Prior, fitted)
                            - (s.Wait.Prior.Sigma * animal[r.Life.Animal].Mean)
                    )
                    * s.Precision
                    * model.Within
                )
            );
            // An animal's offset uses up as much of its waits as it follows them: of one wait a part, of many one.
            var spare = readings.Sum(r => Math.Max(0, r.Count - Followed(r.Own.Weight, model.Between)));
            foreach (var cut in lives.SelectMany(l => l.Cut).Where(w => !w.IsOver && !w.StartUnknown))
            {
                var (square, told) = Scatter(cut, model, fitted);
                (squares, spare) = (squares + square, spare + told);
            }

            freedom = StudentTail.Freedom(waits0 + spare);
            within = ((waits0 * within0) + squares) / freedom;
            var weight = shares.BetweenPriorAnimals.Value;
            var between =
                ((weight * shares.BetweenAnimalsShare.Value) + animal.Values.Sum(o => Square(o.Mean) + o.Variance))
                / (weight + animal.Count);
            model = model with { Within = within, Between = between, TailFactor = WaitModel.TailOf(freedom) };
            own = animal.ToDictionary(o => o.Key, o => o.Value.Mean);
        }

        var missed = known.Sum(l =>
            Seen(
                    l,
                    model,
                    w => (WaitModel.At(w.Prior, offsets)) + (w.Prior.Sigma * own.GetValueOrDefault(l.Animal)),
                    w => model.Between / 2 * Square(w.Prior.Sigma)
                )
                .Sum(s => s.Hidden * s.Chance)
        );
        return new SpeciesLesson(
            model,
            precision,
            weighted,
            offsets,
            byAnimal,
            known.Sum(l => l.Over.Count),
            known.Count,
            freedom,
            known.SelectMany(l => l.Over).Select(w => WaitModel.At(w.Prior, offsets)).DefaultIfEmpty().Average(),
            missed,
            // Nothing learned: the rulebook's own spread, which holds all of it.
            isSeenToEnd ? 0 : shares.Unforeseen.Value * (1 - (waits0 / freedom))
        );
    }

    private readonly record struct Reading(PastWait Wait, double Residual, double Precision, double Chance, int Hidden);

    private static List<Reading> Seen(
        Lives life,
        WaitModel model,
        Func<PastWait, double> mean,
        Func<PastWait, double> doubt
    )
    {
        var seen = new List<Reading>(life.Over.Count * WaitModel.MostInTurn);
        foreach (var wait in life.Over)
        {
            var readings = model.Readings(wait, mean(wait), doubt(wait));
            for (var hidden = 0; hidden < readings.Length; hidden++)
            {
                var (residual, precision, chance) = readings[hidden];
                if (chance > LeastChance)
                {
                    seen.Add(new Reading(wait, residual, precision, chance, hidden));
                }
            }
        }

        return seen;
    }

    /// <summary>What an animal's waits have in common beside the offsets, and how well that is known.</summary>
    private static (double Mean, double Weight) Own(List<Reading> seen, Vector<double> offsets)
    {
        var (weight, sum) = (0.0, 0.0);
        foreach (var s in seen)
        {
            var sigma = s.Wait.Prior.Sigma;
            weight += s.Precision * s.Chance * sigma * sigma;
            sum += s.Precision * s.Chance * sigma * (s.Residual - WaitModel.At(s.Wait.Prior, offsets));
        }

        return (weight <= 0 ? 0 : sum / weight, weight);
    }

    /// <summary>Variance of the offsets of the room and of the part of life that an animal was seen in.</summary>
    private static double Doubtful(List<Reading> seen, Matrix<double> covariance)
    {
        Span<double> row = stackalloc double[WaitModel.Size];
        row[0] = 1;
        foreach (var reading in seen)
        {
            row[1 + reading.Wait.Prior.Part] += 1.0 / seen.Count;
        }

        var variance = 0.0;
        for (var i = 0; i < row.Length; i++)
        {
            for (var j = 0; j < row.Length && row[i] > 0; j++)
            {
                variance += row[i] * covariance[i, j] * row[j];
            }
        }

        return variance;
    }

    /// <summary>An animal's own offset: shrunk towards none by what is known of it, and how uncertain it stays.</summary>
    private static (double Mean, double Variance) OwnOf((double Mean, double Weight) seen, double doubt, double between)
    {
        var share = Followed(seen.Weight, between);
        return (seen.Mean * share, (between * (1 - share)) + (share * share * doubt));
    }

    /// <summary>How far an animal's own offset follows its waits (0–1); also the degrees of freedom that it takes of them.</summary>
    private static double Followed(double weight, double between) =>
        between / (between + (1 / Math.Max(LeastWeight, weight)));

    /// <summary>
    /// The rulebook's belief on the offsets: none, by so much. Neighbours in growing up are alike; adults stand apart.
    /// </summary>
    private static Matrix<double> Prior(RoomLessonRules shares)
    {
        var (part, alike) = (shares.PartShare.Value, shares.NeighbourParts.Value);
        var adult = WaitModel.Size - 1;
        var covariance = Matrix<double>.Build.Dense(
            WaitModel.Size,
            WaitModel.Size,
            (i, j) =>
                i == 0 || j == 0 ? (i == j ? shares.RoomShare.Value : 0)
                : i == j ? part
                : i == adult || j == adult ? 0
                : part * Math.Pow(alike, Math.Abs(i - j))
        );
        return covariance.Inverse();
    }

    /// <summary>
    /// A wait that still lasts, was cut short, or began before anybody looked: it is longer than what was seen of it. One step
    /// of Newton's method on its likelihood.
    /// </summary>
    /// <remarks>
    /// A wait met in its midst is met the sooner the longer it is: its length has the density t·f(t)/E(T). Source: Cox (1962),
    /// Renewal Theory, §5.1 [from memory]; for a lognormal that is the same lognormal moved by its variance.
    /// </remarks>
    private static void Lasting(PastWait wait, WaitModel model, Vector<double> offsets, Information taught)
    {
        var variance = (model.Within + model.Between) * Square(wait.Prior.Sigma);
        var sd = Math.Sqrt(variance);
        var mean = WaitModel.At(wait.Prior, offsets);
        var (score, information) = Slopes(m => Likelihood(wait, m, sd), mean, sd);
        taught.See(wait.Prior, information * wait.Chance, wait.Chance * (score + (information * mean)));
    }

    /// <summary>
    /// What a wait that still lasts tells of the spread: without it the waits that are over would stand for the short ones only.
    /// </summary>
    /// <returns>Its squares, and the waits that it is worth.</returns>
    /// <remarks>
    /// The spread is the likeliest where Σ(z² − 1) over whole waits and Σ z·h(z) over cut ones, with h the hazard of the standard
    /// normal, cancel out (Tobin 1958); a cut one is worth h·(h − z) of a whole one, as it is for the mean.
    /// </remarks>
    private static (double Square, double Told) Scatter(PastWait cut, WaitModel model, Vector<double> offsets)
    {
        var both = model.Within + model.Between;
        var z = (cut.Residual - WaitModel.At(cut.Prior, offsets)) / (cut.Prior.Sigma * Math.Sqrt(both));
        var hazard = Math.Exp(Normal.PDFLn(0, 1, z) - Tails.LogNormalSurvival(z));
        var share = cut.Chance * model.Within / both;
        return (share * model.Within * hazard * hazard, share * hazard * (hazard - z));
    }

    /// <summary>ln of the likelihood of what was seen of a wait, by the mean of ln of it against the rulebook.</summary>
    private static double Likelihood(PastWait wait, double mean, double sd)
    {
        var z = (wait.Residual - mean) / sd;
        var logStill = Tails.LogNormalSurvival(z);
        if (!wait.StartUnknown)
        {
            return logStill;
        }

        // Against the mean length of all such waits, on the scale of the residual.
        var logMean = mean + (sd * sd / 2);
        return wait.IsOver
            ? logStill - logMean
            : Math.Log(
                Math.Max(
                    1e-12,
                    Math.Exp(Tails.LogNormalSurvival(z - sd)) - Math.Exp(wait.Residual + logStill - logMean)
                )
            );
    }

    /// <summary>First slope and negative second slope of a function at a point, by differences.</summary>
    private static (double First, double Second) Slopes(Func<double, double> of, double at, double scale)
    {
        var step = scale * StepShare;
        var (below, here, above) = (of(at - step), of(at), of(at + step));
        return ((above - below) / (2 * step), Math.Max(0, ((2 * here) - above - below) / (step * step)));
    }

    private static double Square(double x) => x * x;
}
