using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>What one animal adds to what the room knows of its species.</summary>
/// <param name="Weight">Intervals of its own, each weighed by how well its ends are known.</param>
/// <param name="Mean">Weighted mean of their residuals, the slope taken out.</param>
/// <param name="Share">How much of a whole animal it counts for: less than 1 when its wait still lasts.</param>
internal sealed record AnimalShare(double Weight, double Mean, double Share);

/// <summary>
/// What this room's animals of one species taught about one wait: how far they lie from the rulebook, how much they
/// differ among each other, and how much one animal's waits differ among themselves.
/// </summary>
/// <param name="Offset">Mean of ln(wait) against the rulebook.</param>
/// <param name="Slope">Change of that with every molt beyond the rulebook's own.</param>
/// <param name="MoltsCentre">Number of molts about which the slope turns.</param>
/// <param name="OffsetVariance">How uncertain the offset still is.</param>
/// <param name="Between">Variance from animal to animal.</param>
/// <param name="Alpha">Shape of the belief on the variance within one animal.</param>
/// <param name="Beta">Scale of the same.</param>
/// <param name="Intervals">Waits seen to their end.</param>
/// <param name="Animals">Animals they came from.</param>
/// <param name="DrawnInSpreads">An own wait further out than this many spreads is drawn in.</param>
/// <remarks>
/// Closed form throughout: a normal-inverse-gamma belief on the spread within animals, the method of moments for the
/// spread between them (DerSimonian &amp; Laird 1986, Control. Clin. Trials 7:177–188), precision weights for the mean.
/// Censored waits enter by one Newton step of the censored normal likelihood (Tobin 1958, Econometrica 26:24–36).
/// </remarks>
public sealed record SpeciesLesson(
    double Offset,
    double Slope,
    double MoltsCentre,
    double OffsetVariance,
    double Between,
    double Alpha,
    double Beta,
    int Intervals,
    int Animals,
    double DrawnInSpreads
)
{
    private const double LeastInformation = 0.02;

    private const double FurthestStep = 3;

    /// <summary>Variance of one animal's waits about their own mean.</summary>
    public double Within => Beta / Alpha;

    /// <summary>Learns from the waits of a species' animals, one list for each animal.</summary>
    /// <param name="animals">Waits by animal.</param>
    /// <param name="sigma">Spread that the rulebook gives a wait.</param>
    /// <param name="rules">Weights.</param>
    public static SpeciesLesson Of(IReadOnlyList<IReadOnlyList<PastWait>> animals, double sigma, RoomRules rules)
    {
        var total = sigma * sigma;
        var within = total * (1 - rules.Lessons.BetweenAnimalsShare.Value - rules.Lessons.RoomShare.Value);
        var alpha = rules.Lessons.LearningAlpha.Value;
        var over = animals.Select(a => a.Where(w => w.IsOver).ToList()).ToList();
        var count = over.Sum(a => a.Count);
        var centre = count == 0 ? 0 : over.SelectMany(a => a).Average(w => w.Prior.Molts);
        var limit = rules.Lessons.DrawnInSpreads.Value * sigma;
        var middle = Median([.. over.SelectMany(a => a).Select(w => w.Residual)]);
        double Drawn(PastWait w) => middle + Math.Clamp(w.Residual - middle, -limit, limit);
        double WeightOf(PastWait w) => within / (within + Square(w.LogSpread));

        var slope = SlopeWithin(over, Drawn, WeightOf, within / Square(rules.Lessons.SlopePriorSd.Value));
        double Level(PastWait w) => Drawn(w) - (slope * (w.Prior.Molts - centre));

        var known = over.Where(a => a.Count > 0).Select(a => Share(a, Level, WeightOf)).ToList();
        var squares = over.Where(a => a.Count > 0)
            .Zip(known, (a, s) => a.Sum(w => WeightOf(w) * Square(Level(w) - s.Mean)))
            .Sum();
        alpha += Math.Max(0, known.Sum(k => k.Weight) - known.Count) / 2;
        var beta = (rules.Lessons.LearningAlpha.Value * within) + (squares / 2);
        within = beta / alpha;

        var priorBetween = total * rules.Lessons.BetweenAnimalsShare.Value;
        var between = priorBetween;
        var (offset, variance) = Centre(known, within, between, total, rules);
        var prior = rules.Lessons.BetweenPriorAnimals.Value;
        var excess = known.Sum(k => Square(k.Mean - offset) - (within / k.Weight));
        between = Math.Max(
            rules.Lessons.LeastBetweenShare.Value * priorBetween,
            ((prior * priorBetween) + excess) / (prior + Math.Max(0, known.Count - 1))
        );

        // Waits still lasting, and waits cut short, say that they are longer: one Newton step for each.
        var cut = animals
            .SelectMany(a => a.Where(w => !w.IsOver))
            .Select(w => Censored(w, slope, centre, offset, within + between))
            .OfType<AnimalShare>()
            .ToList();
        (offset, variance) = Centre([.. known, .. cut], within, between, total, rules);
        return new SpeciesLesson(
            offset,
            slope,
            centre,
            variance,
            between,
            alpha,
            beta,
            count,
            known.Count,
            rules.Lessons.DrawnInSpreads.Value
        );
    }

    /// <summary>The whole wait as far as rulebook, room and the animal's own record know it.</summary>
    internal static IWait Whole(IntervalPrior prior, SpeciesLesson? lesson, IReadOnlyList<PastWait> own) =>
        lesson is null ? prior.Alone : lesson.Before(prior).Seen(lesson.Brought(own, prior)).Predictive();

    /// <summary>The belief about the next wait of one animal before its own waits are looked at.</summary>
    public LearnedWait Before(IntervalPrior prior) =>
        new(
            prior.Mu + Offset + (Slope * (prior.Molts - MoltsCentre)),
            Within / (Between + OffsetVariance),
            Alpha,
            Beta
        );

    /// <summary>One animal's own waits, as if each were the present one.</summary>
    public IEnumerable<(double LogDays, double Weight)> Brought(IEnumerable<PastWait> own, IntervalPrior now)
    {
        var centre = now.Mu + Offset + (Slope * (now.Molts - MoltsCentre));
        var limit = DrawnInSpreads * Math.Sqrt(Within + Between);
        return own.Where(w => w.IsOver)
            .Select(w =>
            {
                var residual = w.Residual - Offset - (Slope * (w.Prior.Molts - MoltsCentre));
                var weight = Within / (Within + Square(w.LogSpread));
                return (centre + Math.Clamp(residual, -limit, limit), weight);
            });
    }

    private static double SlopeWithin(
        List<List<PastWait>> animals,
        Func<PastWait, double> level,
        Func<PastWait, double> weight,
        double ridge
    )
    {
        var (sxy, sxx) = (0.0, 0.0);
        foreach (var waits in animals.Where(a => a.Count > 1))
        {
            var total = waits.Sum(weight);
            var meanX = waits.Sum(w => weight(w) * w.Prior.Molts) / total;
            var meanY = waits.Sum(w => weight(w) * level(w)) / total;
            sxy += waits.Sum(w => weight(w) * (w.Prior.Molts - meanX) * (level(w) - meanY));
            sxx += waits.Sum(w => weight(w) * Square(w.Prior.Molts - meanX));
        }

        return sxy / (sxx + ridge);
    }

    private static AnimalShare Share(List<PastWait> waits, Func<PastWait, double> level, Func<PastWait, double> weight)
    {
        var total = waits.Sum(weight);
        return new AnimalShare(total, waits.Sum(w => weight(w) * level(w)) / total, 1);
    }

    private static (double Offset, double Variance) Centre(
        List<AnimalShare> animals,
        double within,
        double between,
        double total,
        RoomRules rules
    )
    {
        var precision = 1 / (rules.Lessons.RoomShare.Value * total);
        var sum = 0.0;
        foreach (var animal in animals)
        {
            var p = animal.Share / (between + (within / animal.Weight));
            precision += p;
            sum += p * animal.Mean;
        }

        return (sum / precision, 1 / precision);
    }

    private static AnimalShare? Censored(PastWait wait, double slope, double centre, double offset, double variance)
    {
        var sd = Math.Sqrt(variance);
        var mean = offset + (slope * (wait.Prior.Molts - centre));
        var z = (wait.Residual - mean) / sd;
        var hazard = Math.Exp((-z * z / 2) - (0.5 * Math.Log(2 * Math.PI)) - Tails.LogNormalSurvival(z));
        var information = hazard * (hazard - z);
        return information < LeastInformation
            ? null
            : new AnimalShare(
                1,
                offset + (sd * Math.Min(FurthestStep, hazard / information)),
                information * wait.Chance
            );
    }

    private static double Median(List<double> values)
    {
        if (values.Count == 0)
        {
            return 0;
        }

        values.Sort();
        var half = values.Count / 2;
        return values.Count % 2 == 1 ? values[half] : (values[half - 1] + values[half]) / 2;
    }

    private static double Square(double x) => x * x;
}
