namespace Husbandry.Nursery;

/// <summary>What is known of how long animals lived.</summary>
/// <param name="Time">Age at which they died or were last known to live, ≥ 0.</param>
/// <param name="Died">Whether they died then; else they were sold, split off or are still alive.</param>
/// <param name="Count">How many of them, ≥ 1.</param>
/// <param name="Entry">Age from which on they were followed, below <paramref name="Time"/>; none from the beginning.</param>
public sealed record LifeSeen(double Time, bool Died, int Count = 1, double? Entry = null);

/// <summary>The share still alive after the deaths at one age.</summary>
/// <param name="Time">The age.</param>
/// <param name="AtRisk">Animals that were followed and alive just before.</param>
/// <param name="Deaths">Deaths at that age.</param>
/// <param name="Survival">Share (0–1) that lives longer.</param>
/// <param name="StandardError">Greenwood's standard error of it; none where nothing lives longer.</param>
/// <param name="Low95">Lower end of its 95 % band; none likewise.</param>
/// <param name="High95">Upper end, likewise.</param>
public sealed record SurvivalStep(
    double Time,
    int AtRisk,
    int Deaths,
    double Survival,
    double? StandardError,
    double? Low95,
    double? High95
);

/// <summary>How many live how long.</summary>
/// <param name="Steps">One step for each age at which any died, in order.</param>
/// <param name="Median">Age that half of them reach; none where more than half are alive at the end.</param>
/// <remarks>
/// The product limit of Kaplan &amp; Meier (1958), J. Am. Stat. Assoc. 53:457–481; variance by Greenwood (1926), Rep. Public Health
/// Med. Subj. 33; band on ln(−ln S), Kalbfleisch &amp; Prentice (1980), The Statistical Analysis of Failure Time Data, §1.4. Those that
/// leave at the age of a death are still at risk of it.
/// </remarks>
public sealed record SurvivalCurve(IReadOnlyList<SurvivalStep> Steps, double? Median)
{
    private const double Normal975 = 1.959963984540054;

    // A product of many shares that should be a half may miss it by so much.
    private const double Rounding = 1e-8;

    /// <summary>The curve of what was seen.</summary>
    /// <param name="seen">Animals, in any order.</param>
    public static SurvivalCurve Of(IReadOnlyCollection<LifeSeen> seen)
    {
        ArgumentNullException.ThrowIfNull(seen);
        var byEnd = seen.OrderBy(l => l.Time).ToList();
        var entries = seen.Where(l => l.Entry is not null).OrderBy(l => l.Entry).ToList();
        var atRisk = seen.Where(l => l.Entry is null).Sum(l => l.Count);
        var (entered, survival, spread) = (0, 1.0, 0.0);
        var steps = new List<SurvivalStep>();
        for (var k = 0; k < byEnd.Count; )
        {
            var time = byEnd[k].Time;
            while (entered < entries.Count && entries[entered].Entry < time)
            {
                atRisk += entries[entered++].Count;
            }

            var (deaths, gone) = (0, 0);
            for (; k < byEnd.Count && byEnd[k].Time == time; k++)
            {
                gone += byEnd[k].Count;
                deaths += byEnd[k].Died ? byEnd[k].Count : 0;
            }

            if (deaths > 0)
            {
                survival = atRisk == deaths ? 0 : survival * (atRisk - deaths) / atRisk;
                spread += deaths / ((double)atRisk * (atRisk - deaths));
                steps.Add(Step(time, atRisk, deaths, survival, spread));
            }

            atRisk -= gone;
        }

        return new SurvivalCurve(steps, MedianOf(steps));
    }

    /// <summary>Share (0–1) that lives longer than an age.</summary>
    public double At(double time) => Steps.LastOrDefault(s => s.Time <= time)?.Survival ?? 1;

    private static SurvivalStep Step(double time, int atRisk, int deaths, double survival, double spread)
    {
        if (survival <= 0)
        {
            return new SurvivalStep(time, atRisk, deaths, 0, null, null, null);
        }

        var error = survival * Math.Sqrt(spread);
        var width = Normal975 * Math.Sqrt(spread) / Math.Abs(Math.Log(survival));
        return new SurvivalStep(
            time,
            atRisk,
            deaths,
            survival,
            error,
            Math.Pow(survival, Math.Exp(width)),
            Math.Pow(survival, Math.Exp(-width))
        );
    }

    /// <summary>The age at which the curve falls to a half; where it stays at a half for a while, the middle of that.</summary>
    private static double? MedianOf(List<SurvivalStep> steps)
    {
        var at = steps.FindIndex(s => s.Survival < 0.5 + Rounding);
        if (at < 0)
        {
            return null;
        }

        var stays = Math.Abs(steps[at].Survival - 0.5) < Rounding && at + 1 < steps.Count;
        return stays ? (steps[at].Time + steps[at + 1].Time) / 2 : steps[at].Time;
    }
}
