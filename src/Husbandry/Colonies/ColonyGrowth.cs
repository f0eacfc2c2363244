using Husbandry.Climate;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using MathNet.Numerics.Distributions;

namespace Husbandry.Colonies;

/// <summary>Workers on a night ahead.</summary>
/// <param name="Night">The night.</param>
/// <param name="P10">One in ten such colonies has fewer.</param>
/// <param name="P50">Half have fewer.</param>
/// <param name="P90">Nine in ten have fewer.</param>
public sealed record GrowthNight(DateOnly Night, double P10, double P50, double P90);

/// <summary>A count of workers on record.</summary>
/// <param name="Night">When.</param>
/// <param name="Workers">How many.</param>
/// <param name="Most">At most so many, where that was a range.</param>
public sealed record WorkerCount(DateOnly Night, int Workers, int? Most);

/// <summary>How a colony grows, by its counts and the stage lengths of its brood.</summary>
/// <param name="Counts">Counts on record.</param>
/// <param name="Ahead">Workers week by week from tonight on.</param>
/// <param name="Larvae">Larvae that such a colony has now, about.</param>
/// <param name="ProteinMgPerDay">Protein that they eat in a day, mg of fresh insect.</param>
/// <param name="MovesOn">Night about which it will be crowded in its tube; none where it is, or within the nights shown will not be.</param>
public sealed record ColonyGrowth(
    IReadOnlyList<WorkerCount> Counts,
    IReadOnlyList<GrowthNight> Ahead,
    double Larvae,
    double ProteinMgPerDay,
    DateOnly? MovesOn
)
{
    private const int DaysAhead = 126;
    private const int Week = 7;
    private const int Scales = 25;
    private const double WidestZ = 2.4;
    private const double SpreadAfterDays = 60;
    private const double Fewest = 0.5;

    /// <summary>The growth of a colony of which workers were counted; none of others.</summary>
    public static Answer<ColonyGrowth>? Of(Subject subject)
    {
        ArgumentNullException.ThrowIfNull(subject);
        var counted = subject.Standing.Colony.Peeks.Where(p => p.Workers is > 0).ToList();
        if (
            subject.Profile.Colony is not { } life
            || counted.Count == 0
            || subject.IsChilled
            || subject.Standing.Departure is not null
        )
        {
            return null;
        }

        var rules = subject.Room.Rules.Room.Colonies;
        var rate = subject.PaceAhead.RateNow;
        double Warm(DateTimeOffset at) => subject.Pace.Between(counted[0].At, at).NotNegative.Value;
        List<(double Days, double Ln, double Sd)> seen =
        [
            .. counted.Select(p =>
                (
                    Warm(p.At),
                    Math.Log(Middle(p)),
                    Math.Max(
                        rules.CountSpread.Value,
                        p.WorkersMost is { } most
                            ? Math.Log((most + Fewest) / (p.Workers!.Value + Fewest)) / (2 * LogNormalZ90)
                            : 0
                    )
                )
            ),
        ];
        var now = Warm(subject.Room.Now);
        var sigma = (Math.Log(rules.EggsPerDay.Value.P90) - Math.Log(rules.EggsPerDay.Value.P10)) / (2 * LogNormalZ90);
        var runs = Enumerable
            .Range(0, Scales)
            .Select(k => -WidestZ + (2 * WidestZ * k / (Scales - 1)))
            .Select(z =>
                Run(new BroodModel(life, rules, Middle(counted[0]), Math.Exp(z * sigma)), z, seen, now, rate, rules)
            )
            .ToList();
        var best = runs.Max(r => r.LogWeight);
        List<(double Weight, IReadOnlyList<double> Workers, double Larvae)> weighed =
        [
            .. runs.Select(r => (Math.Exp(r.LogWeight - best), r.Ahead, r.Larvae)),
        ];
        var total = weighed.Sum(w => w.Weight);
        var ahead = Enumerable
            .Range(0, (DaysAhead / Week) + 1)
            .Select(k =>
            {
                // What no count has seen yet: from the last of them on.
                var since = now - seen[^1].Days + (k * Week * rate);
                var sd = Math.Sqrt(
                    Squared(rules.CountSpread.Value) + (Squared(rules.GrowthSpread.Value) * since / SpreadAfterDays)
                );
                double At(double p) => Mixture(weighed.Select(w => (w.Weight / total, w.Workers[k])), sd, p);
                return new GrowthNight(subject.Room.Tonight.AddDays(k * Week), At(0.1), At(0.5), At(0.9));
            })
            .ToList();
        var larvae = weighed.Sum(w => w.Weight * w.Larvae) / total;
        var moves = life.MoveWorkers.Value.Low;
        var growth = new ColonyGrowth(
            [.. counted.Select(p => new WorkerCount(subject.Night(p.At), p.Workers!.Value, p.WorkersMost))],
            ahead,
            larvae,
            larvae * rules.BroodMealMg.Value,
            ahead[0].P50 >= moves ? null : ahead.FirstOrDefault(a => a.P50 >= moves)?.Night
        );
        return new Answer<ColonyGrowth>(growth, Says(growth, subject), Why(life, rules));
    }

    private const double LogNormalZ90 = Vigils.LogNormalWait.NormalQuantile90;

    private static double Squared(double x) => x * x;

    private static double Middle(PeekEvent p) =>
        p.WorkersMost is { } most ? (p.Workers!.Value + most) / 2.0 : p.Workers!.Value;

    /// <summary>One colony of a laying rate: how well it agrees with the counts, and how it goes on.</summary>
    private static (double LogWeight, IReadOnlyList<double> Ahead, double Larvae) Run(
        BroodModel model,
        double z,
        List<(double Days, double Ln, double Sd)> seen,
        double now,
        double rate,
        RoomColonyRules rules
    )
    {
        var (at, log) = (0.0, -z * z / 2);
        void To(double days)
        {
            while (at < days - 1e-9)
            {
                var step = Math.Min(1, days - at);
                model.Pass(step);
                at += step;
            }
        }

        foreach (var (days, ln, sd) in seen.Skip(1))
        {
            To(days);
            var spread = Squared(sd) + (Squared(rules.GrowthSpread.Value) * days / SpreadAfterDays);
            log -=
                (Squared(ln - Math.Log(Math.Max(Fewest, model.Now.Workers))) / (2 * spread)) + (Math.Log(spread) / 2);
        }

        To(now);
        var larvae = model.Now.Larvae;
        var ahead = new List<double>();
        for (var week = 0; week <= DaysAhead / Week; week++)
        {
            To(now + (week * Week * rate));
            ahead.Add(Math.Max(Fewest, model.Now.Workers));
        }

        return (log, ahead, larvae);
    }

    /// <summary>The quantile of lognormals of one spread, each with its weight.</summary>
    private static double Mixture(IEnumerable<(double Weight, double Median)> parts, double sd, double p)
    {
        var all = parts.Select(x => (x.Weight, Mu: Math.Log(x.Median))).ToList();
        var (low, high) = (all.Min(a => a.Mu) - (6 * sd), all.Max(a => a.Mu) + (6 * sd));
        for (var k = 0; k < 60; k++)
        {
            var middle = (low + high) / 2;
            var below = all.Sum(a => a.Weight * Normal.CDF(a.Mu, sd, middle));
            (low, high) = below < p ? (middle, high) : (low, middle);
        }

        return Math.Exp(low);
    }

    private static string Says(ColonyGrowth g, Subject subject)
    {
        var month = g.Ahead[Math.Min(g.Ahead.Count - 1, 8)];
        return $"{g.Counts[^1].Workers} workers counted {subject.Room.Wording.Date(g.Counts[^1].Night)}; kept as warm as now, by {subject.Room.Wording.Date(month.Night)} about {Wording.Plain(Math.Round(month.P50))}, 8 times in 10 between {Wording.Plain(Math.Round(month.P10))} and {Wording.Plain(Math.Round(month.P90))}.";
    }

    private static List<Reason> Why(ColonyLife life, RoomColonyRules rules) =>
        [
            rules.EggsPerDay.Because(
                "Laying",
                "room.eggsPerDay",
                $"A queen lays {Wording.Plain(rules.EggsPerDay.Value.P10)} to {Wording.Plain(rules.EggsPerDay.Value.P90)} eggs a day at first; the counts tell how many."
            ),
            life.Larvae.Because(
                "Brood",
                "species.larvae",
                $"Eggs {Wording.Plain(life.Larvae.Value.P50)}, larvae {Wording.Plain(life.Pupae.Value.P50)}, pupae {Wording.Plain(life.Workers.Value.P50)} days at the warmth for which they hold."
            ),
            life.FinalWorkers.Because(
                "Grown",
                "species.finalWorkers",
                $"Levels off towards {Wording.Plain(life.FinalWorkers.Value)} workers."
            ),
            rules.BroodMealMg.Because(
                "Protein",
                "room.broodMealMg",
                $"{Wording.Plain(rules.BroodMealMg.Value)} mg a day for each larva; short of it they are eaten."
            ),
        ];
}
