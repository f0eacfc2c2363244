using Husbandry.Rulebook;
using MathNet.Numerics.Distributions;
using MathNet.Numerics.LinearAlgebra;

namespace Husbandry.Vigils;

/// <summary>
/// What this room's animals of one species taught about one wait: how far they lie from the rulebook as a whole and in each
/// part of life, how much they differ among each other, and how much one animal's waits differ among themselves.
/// </summary>
/// <remarks>
/// A linear mixed model of ln(wait) against the rulebook: an offset of the room, offsets of the parts of life shrunk towards it,
/// an offset of the animal, and the rest. Source: Laird &amp; Ware (1982), Biometrics 38:963–974; Robinson (1991), Statist. Sci.
/// 6:15–32 for the prediction; docs/forecasting.md for what goes into it.
/// </remarks>
public sealed class SpeciesLesson
{
    private readonly WaitModel model;
    private readonly Matrix<double> precision;
    private readonly Vector<double> weighted;
    private readonly Dictionary<Guid, Information> byAnimal;
    private readonly double unforeseen;

    internal SpeciesLesson(
        WaitModel model,
        Matrix<double> precision,
        Vector<double> weighted,
        Vector<double> offsets,
        Dictionary<Guid, Information> byAnimal,
        int intervals,
        int animals,
        double freedom,
        double offset,
        double missed,
        double unforeseen
    )
    {
        (this.model, this.precision, this.weighted) = (model, precision, weighted);
        (this.byAnimal, this.unforeseen) = (byAnimal, unforeseen);
        (Intervals, Animals, Freedom, Offset, MissedExpected) = (intervals, animals, freedom, offset, missed);
        Offsets = offsets;
    }

    /// <summary>Offsets of the room and of the parts of life, in spreads of the rulebook.</summary>
    internal Vector<double> Offsets { get; }

    /// <summary>Waits seen to their end.</summary>
    public int Intervals { get; }

    /// <summary>Animals they came from.</summary>
    public int Animals { get; }

    /// <summary>Degrees of freedom with which the spread within animals is known.</summary>
    public double Freedom { get; }

    /// <summary>Mean of ln of the waits of average animals here against the rulebook, over all that were seen.</summary>
    public double Offset { get; }

    /// <summary>How many molts that nobody saw the waits hide, as a sum of chances.</summary>
    public double MissedExpected { get; }

    /// <summary>Variance of one animal's waits about their own mean, as a share of the rulebook's.</summary>
    public double Within => model.Within;

    /// <summary>Variance from animal to animal, likewise.</summary>
    public double Between => model.Between;

    /// <summary>ln of the wait of an average animal of this room at a part of life, against the rulebook.</summary>
    public double OffsetAt(IntervalPrior prior) => WaitModel.At(prior, Offsets);

    /// <summary>Learns from the waits of a species' animals.</summary>
    /// <param name="animals">Waits by animal, those that last or were cut short included.</param>
    /// <param name="rules">Weights.</param>
    /// <param name="missedShare">Share (0–1) of waits in this room that hide a molt nobody saw.</param>
    /// <param name="former">What was learned not long ago, if anything: it is gone on from.</param>
    /// <param name="isSeenToEnd">Whether the end cannot pass unseen (<see cref="VigilDefinition.IsSeenToEnd"/>).</param>
    public static SpeciesLesson Of(
        IReadOnlyList<(Guid Animal, IReadOnlyList<PastWait> Waits)> animals,
        RoomRules rules,
        double missedShare,
        SpeciesLesson? former = null,
        bool isSeenToEnd = false
    ) => LessonFit.Of(animals, rules, missedShare, former, isSeenToEnd);

    /// <summary>The whole wait as far as rulebook, room and the animal's own record know it.</summary>
    /// <param name="prior">What the rulebook expects of the wait.</param>
    /// <param name="lesson">What the room taught, if anything.</param>
    /// <param name="animal">The animal: what it taught itself is left out of the lesson.</param>
    /// <param name="own">Its own waits that are over.</param>
    public static IWait Whole(IntervalPrior prior, SpeciesLesson lesson, Guid animal, IReadOnlyList<PastWait> own) =>
        lesson.Predict(prior, animal, own);

    private IWait Predict(IntervalPrior prior, Guid animal, IReadOnlyList<PastWait> own)
    {
        var (others, sum) = (precision, weighted);
        if (byAnimal.TryGetValue(animal, out var taught))
        {
            others = precision - taught.AsMatrix();
            sum = weighted - Vector<double>.Build.Dense(taught.Weighted);
        }

        var (mean, variance) = model.OfAnimal(others, sum, prior, [.. own.Where(w => w.IsWhole)]);
        var spread = prior.Sigma * prior.Sigma;
        var tail = StudentTail.Of(Freedom);
        IWait Seen(double more, double share) =>
            new TabledStudentWait(
                prior.Mu + mean + more,
                model.TailFactor * Math.Sqrt((1 + unforeseen) * (variance + (share * model.Within * spread))),
                tail
            );

        var one = Seen(0, 1);
        if (prior.NextLonger is not { } longer || model.MissedShare <= 0)
        {
            return one;
        }

        // The molt that comes next may be missed, and the one after it is what is seen.
        var (wait, share) = (one, model.ShareHiding(0));
        for (var hidden = 1; hidden < WaitModel.MostInTurn; hidden++)
        {
            var (more, spreads) = WaitModel.InTurn(longer, hidden + 1);
            share += model.ShareHiding(hidden);
            wait = new EitherWait(wait, Seen(more, spreads), model.ShareHiding(hidden) / share);
        }

        return wait;
    }
}

/// <summary>What one animal adds: its part of the normal equations.</summary>
internal sealed class Information
{
    /// <summary>Weight of each pair of offsets, column after column.</summary>
    public double[] Precision { get; } = new double[WaitModel.Size * WaitModel.Size];

    /// <summary>Weighted sum of what was seen.</summary>
    public double[] Weighted { get; } = new double[WaitModel.Size];

    /// <summary>Adds what another taught.</summary>
    public void Add(Information other)
    {
        for (var i = 0; i < Weighted.Length; i++)
        {
            Weighted[i] += other.Weighted[i];
        }

        for (var i = 0; i < Precision.Length; i++)
        {
            Precision[i] += other.Precision[i];
        }
    }

    /// <summary>Adds a wait that has the offset of the room and that of one part of life.</summary>
    /// <param name="prior">The wait.</param>
    /// <param name="weight">Its weight.</param>
    /// <param name="sum">Its weight times what was seen.</param>
    public void See(IntervalPrior prior, double weight, double sum)
    {
        var (part, sigma) = (1 + prior.Part, prior.Sigma);
        var square = weight * sigma * sigma;
        Precision[0] += square;
        Precision[part] += square;
        Precision[part * WaitModel.Size] += square;
        Precision[(part * WaitModel.Size) + part] += square;
        Weighted[0] += sum * sigma;
        Weighted[part] += sum * sigma;
    }

    /// <summary>The same as a matrix, a former belief added.</summary>
    public Matrix<double> With(Matrix<double> prior) => AsMatrix() + prior;

    /// <summary>The weights as a matrix.</summary>
    public Matrix<double> AsMatrix() =>
        Matrix<double>.Build.DenseOfColumnMajor(WaitModel.Size, WaitModel.Size, Precision);
}

/// <summary>The variances of the model, and the steps that use them.</summary>
/// <param name="Within">Variance within an animal, as a share of the rulebook's.</param>
/// <param name="Between">Variance from animal to animal, likewise.</param>
/// <param name="MissedShare">Share of waits that hide a molt nobody saw.</param>
/// <param name="MissedSpread">Most of the rulebook's variance by which a wait is told from several.</param>
/// <param name="OddShare">Share of waits that are something else, such as the molt of another animal.</param>
/// <param name="OddSpreads">How far off these may be, in spreads of a wait.</param>
/// <param name="TailFactor">Factor on the scale by which nine in ten lie where a normal of the same variance puts them.</param>
internal sealed record WaitModel(
    double Within,
    double Between,
    double MissedShare,
    double MissedSpread,
    double OddShare,
    double OddSpreads,
    double TailFactor
)
{
    /// <summary>Waits that what was seen as one may be.</summary>
    public const int MostInTurn = 3;

    /// <summary>Offsets: of the room, of each eighth of growing up, and of adults.</summary>
    public const int Size = 1 + IntervalPrior.Parts;

    private const int Rounds = 2;

    /// <summary>
    /// ln of a wait against the rulebook by the offsets; they are counted in spreads of the rulebook, so that what it is less
    /// sure of moves more.
    /// </summary>
    public static double At(IntervalPrior prior, Vector<double> offsets) =>
        prior.Sigma * (offsets[0] + offsets[1 + prior.Part]);

    /// <summary>Factor on the scale of a Student t whose 90 % point is that of the normal.</summary>
    public static double TailOf(double freedom) => LogNormalWait.NormalQuantile90 / StudentT.InvCDF(0, 1, freedom, 0.9);

    /// <summary>
    /// What a finished wait may be: one wait, or two or three of which the molts between were not seen; each with its weight.
    /// </summary>
    /// <param name="wait">The wait.</param>
    /// <param name="mean">What is expected of ln of it against the rulebook.</param>
    /// <param name="ownSpread">Variance of that expectation, in ln days squared.</param>
    public (double Residual, double Precision, double Chance)[] Readings(PastWait wait, double mean, double ownSpread)
    {
        var sigma = wait.Prior.Sigma * wait.Prior.Sigma;
        var dates = wait.LogSpread * wait.LogSpread;
        var one = Within * sigma;
        double Density(double residual, double variance) =>
            Math.Exp(-(residual - mean) * (residual - mean) / (2 * variance)) / Math.Sqrt(variance);
        // How long a wait may be and still be one is told by the spread of waits that hide nothing.
        var told = wait.Prior.NextLonger is null ? one : Math.Min(one, MissedSpread * sigma);
        var odd = OddShare * Density(wait.Residual, OddSpreads * OddSpreads * (told + ownSpread + dates));
        if (wait.Prior.NextLonger is not { } longer)
        {
            var single = (1 - OddShare) * Density(wait.Residual, told + ownSpread + dates);
            return [(wait.Residual, 1 / (one + dates), single / (single + odd))];
        }

        var readings = new (double Residual, double Precision, double Chance)[MostInTurn];
        var sum = odd;
        for (var hidden = 0; hidden < MostInTurn; hidden++)
        {
            var (more, share) = InTurn(longer, hidden + 1);
            var residual = wait.Residual - more;
            var chance = (1 - OddShare) * ShareHiding(hidden) * Density(residual, (share * told) + ownSpread + dates);
            readings[hidden] = (residual, 1 / ((share * one) + dates), chance);
            sum += chance;
        }

        for (var hidden = 0; hidden < MostInTurn; hidden++)
        {
            readings[hidden].Chance /= sum;
        }

        return readings;
    }

    /// <summary>Share of what was seen as one wait that hides so many molts.</summary>
    public double ShareHiding(int molts) =>
        Math.Pow(MissedShare, molts) * (molts + 1 == MostInTurn ? 1 : 1 - MissedShare);

    /// <summary>
    /// ln of so many waits in turn, each longer than the one before by a factor, against the first alone; and the variance of ln
    /// of them against its own.
    /// </summary>
    public static (double More, double Share) InTurn(double longer, int waits)
    {
        var (sum, squares, next) = (0.0, 0.0, 1.0);
        for (var k = 0; k < waits; k++)
        {
            (sum, squares, next) = (sum + next, squares + (next * next), next * longer);
        }

        return (Math.Log(sum), squares / (sum * sum));
    }

    /// <summary>One animal's finished waits: their part of the normal equations, its own offset taken out by elimination.</summary>
    public Information Taught(IReadOnlyList<PastWait> over, Func<PastWait, double> mean, double ownSpread)
    {
        var taught = new Information();
        var (x1, y1, total) = (new double[Size], 0.0, 0.0);
        foreach (var wait in over)
        {
            var sigma = wait.Prior.Sigma;
            foreach (var (residual, precision, chance) in Readings(wait, mean(wait), ownSpread))
            {
                var w = precision * chance;
                taught.See(wait.Prior, w, w * residual);
                x1[0] += w * sigma * sigma;
                x1[1 + wait.Prior.Part] += w * sigma * sigma;
                (y1, total) = (y1 + (w * sigma * residual), total + (w * sigma * sigma));
            }
        }

        var own = total + (1 / Between);
        for (var i = 0; i < Size; i++)
        {
            taught.Weighted[i] -= x1[i] * y1 / own;
            for (var j = 0; j < Size; j++)
            {
                taught.Precision[(i * Size) + j] -= x1[i] * x1[j] / own;
            }
        }

        return taught;
    }

    /// <summary>Mean and variance of ln of the next wait of one animal against the rulebook, its own spread apart.</summary>
    public (double Mean, double Variance) OfAnimal(
        Matrix<double> others,
        Vector<double> sum,
        IntervalPrior next,
        IReadOnlyList<PastWait> own
    )
    {
        // Beside the offsets of the room one more: the animal's own.
        var precision = Matrix<double>.Build.Dense(Size + 1, Size + 1);
        var known = Vector<double>.Build.Dense(Size + 1);
        precision.SetSubMatrix(0, 0, others);
        known.SetSubVector(0, Size, sum);
        precision[Size, Size] = 1 / Between;
        var (full, all) = (precision, known);
        var inverse = full.Cholesky();
        for (var round = 0; own.Count > 0 && round < Rounds; round++)
        {
            var now = inverse.Solve(all);
            (full, all) = (precision.Clone(), known.Clone());
            foreach (var wait in own)
            {
                var row = With(wait.Prior);
                var doubt = round == 0 ? Between * wait.Prior.Sigma * wait.Prior.Sigma : row * inverse.Solve(row);
                int[] at = [0, 1 + wait.Prior.Part, Size];
                foreach (var (residual, weight, chance) in Readings(wait, row * now, doubt))
                {
                    foreach (var i in at)
                    {
                        all[i] += weight * chance * residual * wait.Prior.Sigma;
                        foreach (var j in at)
                        {
                            full[i, j] += weight * chance * wait.Prior.Sigma * wait.Prior.Sigma;
                        }
                    }
                }
            }

            inverse = full.Cholesky();
        }

        var x = With(next);
        return (x * inverse.Solve(all), x * inverse.Solve(x));

        static Vector<double> With(IntervalPrior prior)
        {
            var row = Vector<double>.Build.Dense(Size + 1);
            (row[0], row[1 + prior.Part], row[Size]) = (prior.Sigma, prior.Sigma, prior.Sigma);
            return row;
        }
    }
}
