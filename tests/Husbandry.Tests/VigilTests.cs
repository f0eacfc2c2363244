using CsCheck;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>Waits against outside values. Each test names its source.</summary>
public class VigilTests
{
    [Fact]
    public void Lognormal_from_three_quantiles_conditioned_on_the_wait()
    {
        // Source: mpmath 1.2.1, scipy 1.10.1, R 4.2.2 on p10/p50/p90 = 60/75/95 d after 70 d.
        var wait = LogNormalWait.FromPrior(new WaitPrior(60, 75, 95));
        Close(0.179287491, wait.Sigma);
        var left = new RemainingWait(wait, new(70));
        Close([2.17343194, 11.3603826, 28.3934284], left);
        Close(0.32034413, left.Within(new(7)));
        Close(0.916449027, left.Within(new(30)));
    }

    [Fact]
    public void Nothing_waited_gives_the_quantiles_of_the_whole()
    {
        // Source: numpy 1.24.2; 0.1 and 0.9 are not 60 and 95 since 75 is not √(60·95).
        Close(
            [59.60395607, 75, 94.37293044],
            new RemainingWait(LogNormalWait.FromPrior(new WaitPrior(60, 75, 95)), new(0))
        );
    }

    [Theory]
    [InlineData(40, 8.3182332)]
    [InlineData(60, 4.2358372)]
    [InlineData(120, 3.2684204)]
    public void The_far_tail_stays_finite_and_right(double elapsed, double median)
    {
        // Source: scipy 1.10.1 and R 4.2.2 on the lognormal with μ = ln 45, σ = 0.2; P(T > 120) is 4.7·10⁻⁷.
        var left = new RemainingWait(new LogNormalWait(Math.Log(45), 0.2), new(elapsed));
        Assert.InRange(left.Quantile(0.5).Value, median * (1 - 1e-6), median * (1 + 1e-6));
    }

    [Fact]
    public void Lognormal_probability_and_upper_quantile()
    {
        // Source: scipy 1.10.1 lognorm, μ = ln 45, σ = 0.2.
        var wait = new RemainingWait(new LogNormalWait(Math.Log(45), 0.2), new(0));
        Close(0.2779590876, wait.Within(new(40)));
        Close(58.14691371, wait.Quantile(0.9).Value);
    }

    [Fact]
    public void Learning_from_intervals_gives_the_published_posterior_and_predictive()
    {
        // Source: Murphy (2007), Gelman et al. (2013) §3.3; scipy 1.10.1 with quadrature over the variance.
        var learned = new LearnedWait(3.5, 2, 3, 0.12).Seen([3.4, 3.7, 3.6]);
        Assert.Equal(3.54, learned.Mu, 1e-12);
        Assert.Equal(5, learned.Kappa, 1e-12);
        Assert.Equal(4.5, learned.Alpha, 1e-12);
        Assert.Equal(0.146, learned.Beta, 1e-12);
        var predictive = learned.Predictive();
        Assert.Equal(9, predictive.Freedom, 1e-12);
        Close(0.1973153145, predictive.Scale);
        var left = new RemainingWait(predictive, new(0));
        Close(24.00587868, left.Quantile(0.05).Value);
        Close(34.46691919, left.Quantile(0.5).Value);
        Close(49.48656679, left.Quantile(0.95).Value);
    }

    [Fact]
    public void Learned_wait_conditioned_on_days_waited()
    {
        // Source: mpmath 1.2.1 (30 digits), R 4.2.2, scipy 1.10.1.
        var wait = new LearnedWait(3.5, 2, 3, 0.12).Seen([3.4, 3.7, 3.6]).Predictive();
        Close([0.635838585, 4.20055753, 14.8047355], new RemainingWait(wait, new(45)));
    }

    [Fact]
    public void Learned_wait_from_days_gives_the_reference_chances()
    {
        // Source: Murphy (2007); mpmath 1.2.1, scipy 1.10.1: m₀ = ln 45, history 40, 52, 47 d, after 48 d.
        var learned = new LearnedWait(Math.Log(45), 2, 3, 0.1).Seen([Math.Log(40), Math.Log(52), Math.Log(47)]);
        Close(3.82071915, learned.Mu);
        Close(0.117839791, learned.Beta);
        var left = new RemainingWait(learned.Predictive(), new(48));
        Close([0.922842433, 5.53917054, 16.9018963], left);
        Close(0.591043421, left.Within(new(7)));
        Close(0.981598376, left.Within(new(30)));
    }

    [Fact]
    public void Learning_nothing_leaves_the_prior_predictive()
    {
        // Source: Murphy (2007); scipy 1.10.1 with n = 0.
        var wait = new LearnedWait(3.5, 2, 3, 0.12).Predictive();
        Close(0.2449489743, wait.Scale);
        var left = new RemainingWait(wait, new(0));
        Close(20.57383213, left.Quantile(0.05).Value);
        Close(53.30232848, left.Quantile(0.95).Value);
    }

    [Fact]
    public void Learning_in_steps_equals_learning_at_once()
    {
        // Source: conjugacy, Murphy (2007).
        var prior = new LearnedWait(3.5, 2, 3, 0.12);
        var (steps, once) = (prior.Seen([3.4]).Seen([3.7, 3.6]), prior.Seen([3.4, 3.7, 3.6]));
        Assert.Equal(once.Mu, steps.Mu, 1e-12);
        Assert.Equal(once.Beta, steps.Beta, 1e-12);
    }

    [Fact]
    public void The_default_belief_keeps_the_priors_spread() =>
        Assert.Equal(
            LogNormalWait.FromPrior(new WaitPrior(60, 75, 95)).Sigma,
            LearnedWait.FromPrior(new WaitPrior(60, 75, 95), 2, 3).Predictive().Scale,
            1e-12
        );

    // Intervals between molts of 38, 45, 41, 52 and 47 days under the reference prior p(μ,σ²) ∝ 1/σ²: Student t with
    // n − 1 degrees of freedom, location ȳ, scale s√(1 + 1/n). Source: Gelman et al. (2013), BDA3 §3.2.
    private static LogStudentWait FiveIntervals => new(3.791842407, 0.1213972248 * Math.Sqrt(1.2), 4);

    [Fact]
    public void Predictive_quantiles_of_five_intervals()
    {
        // Source: scipy 1.10.1, R 4.2.2.
        var left = new RemainingWait(FiveIntervals, new(0));
        Close(36.15989056, left.Quantile(0.1).Value);
        Close(44.33801375, left.Quantile(0.5).Value);
        Close(54.36574704, left.Quantile(0.9).Value);
        Close(64.1398063, left.Quantile(0.975).Value);
    }

    [Fact]
    public void Five_intervals_after_fifty_days()
    {
        // Source: mpmath 1.2.1 (30 digits), R 4.2.2, scipy 1.10.1.
        var left = new RemainingWait(FiveIntervals, new(50));
        Close([0.618891665, 4.10795727, 15.6887151], left);
        Close(0.683880194, left.Within(new(7)));
        Close(0.878135501, left.Within(new(14)));
    }

    [Theory]
    [InlineData(1, 12.7062047)]
    [InlineData(2, 4.3026527)]
    [InlineData(4, 2.7764451)]
    [InlineData(10, 2.2281389)]
    [InlineData(30, 2.0422725)]
    public void Student_quantiles_are_those_of_the_table(double freedom, double quantile)
    {
        // Source: standard t table, 0.975 (12.706, 4.303, 2.776, 2.228, 2.042); scipy 1.10.1, R 4.2.2 qt.
        var wait = new LogStudentWait(0, 1, freedom);
        Assert.Equal(quantile, Math.Log(new RemainingWait(wait, new(0)).Quantile(0.975).Value), 1e-6);
    }

    [Fact]
    public void Tails_join_smoothly_where_the_formula_changes()
    {
        // Both sides of the change at six: survival falls steadily and the steps agree.
        foreach (var wait in new IWait[] { new LogNormalWait(0, 1), new LogStudentWait(0, 1, 7) })
        {
            var (a, b, c) = (
                wait.LogSurvival(new(Math.Exp(5.999))),
                wait.LogSurvival(new(Math.Exp(6))),
                wait.LogSurvival(new(Math.Exp(6.001)))
            );
            Assert.True(a > b && b > c);
            Assert.Equal(a - b, b - c, 1e-4);
        }
    }

    [Fact]
    public void An_unseen_start_is_the_forward_recurrence_time()
    {
        // Source: Cox (1962), Renewal Theory: the mean forward recurrence time is E[T²]/(2·E[T]) (from memory).
        const double Sigma = 0.3;
        var left = new RemainingWait(
            UncertainStartWait.Unknown(new LogNormalWait(Math.Log(100), Sigma)),
            EffectiveDays.Zero
        );
        var mean = Enumerable.Range(0, 4000).Sum(d => 1 - left.Within(new(d + 0.5)));
        var expected = 100 * Math.Exp(1.5 * Sigma * Sigma) / 2;
        Assert.InRange(mean, expected * 0.995, expected * 1.005);
    }

    [Fact]
    public void A_beginning_between_two_looks_is_the_mean_over_all_of_them()
    {
        // Source: law of total probability, summed over a thousand beginnings.
        var whole = new LogNormalWait(Math.Log(40), 0.3);
        var some = new UncertainStartWait(
            whole,
            [.. Enumerable.Range(0, 8).Select(k => (new EffectiveDays(20 * (0.5 - ((k + 0.5) / 8))), 1.0))]
        );
        foreach (var days in new[] { 15.0, 30, 45, 70 })
        {
            var mean = Enumerable
                .Range(0, 1000)
                .Average(k => Math.Exp(whole.LogSurvival(new(days + 10 - (20 * (k + 0.5) / 1000)))));
            Assert.Equal(mean, Math.Exp(some.LogSurvival(new(days))), 2e-3);
        }
    }

    [Theory]
    [InlineData(4000, 7)]
    [InlineData(4000, 20)]
    [InlineData(60, 9)]
    [InlineData(3, 40)]
    public void Far_tails_of_a_student_are_those_of_its_density(double freedom, double t)
    {
        // Source: definition, the density integrated by Simpson's rule on ln t, against its value at t.
        double LogDensity(double x) => -(freedom + 1) / 2 * double.LogP1(x * x / freedom);
        const int Steps = 400_000;
        // So far that nothing is left.
        var end = Math.Log(1e6);
        double Sum(double from, double to, double at)
        {
            var h = (to - from) / Steps;
            var sum = 0.0;
            for (var i = 0; i <= Steps; i++)
            {
                var u = from + (i * h);
                var weight =
                    i == 0 || i == Steps ? 1
                    : i % 2 == 1 ? 4
                    : 2;
                sum += weight * Math.Exp(LogDensity(Math.Exp(u)) - LogDensity(at) + u);
            }

            return sum * h / 3;
        }

        var all = Sum(-30, end, 1e-3);
        var tail = Math.Log(Sum(Math.Log(t), end, t)) + LogDensity(t) - LogDensity(1e-3) - Math.Log(2 * all);
        Assert.Equal(tail, new LogStudentWait(0, 1, freedom).LogSurvival(new(Math.Exp(t))), 1e-4);
    }

    [Theory]
    [InlineData(2, 1.5, 4000, 8)]
    [InlineData(0.2, 1.5, 4000, 8)]
    [InlineData(10, 35, 12, 4)]
    [InlineData(40, 35, 0.3, 4)]
    public void Evidence_on_the_grid_is_that_of_a_sum_over_every_minute(
        double ago,
        double span,
        double ratio,
        double edge
    )
    {
        // Source: Bayes' rule, summed over a million equal steps.
        var left = new RemainingWait(LogNormalWait.FromPrior(new WaitPrior(60, 100, 170)), new(80));
        Witness[] seen = [new(new(ago), new(span), ratio, edge), new(new(5), new(35), 0.7, 4)];
        var weighed = seen.Aggregate(new WeighedWait(left, new(35), seen), (w, e) => w.And(e));
        const int Steps = 1_000_000;
        const double Furthest = 500;
        var (sum, premolt, before) = (0.0, 0.0, 0.0);
        var by = new double[Steps];
        for (var i = 0; i < Steps; i++)
        {
            var (a, b) = (Furthest * i / Steps, Furthest * (i + 1) / Steps);
            var within = left.Within(new(b));
            sum += (within - before) * seen.Aggregate(1.0, (w, e) => w * e.Of(new((a + b) / 2)));
            (by[i], before) = (sum, within);
            premolt = b <= 35 ? sum : premolt;
        }

        Assert.Equal(premolt / sum, weighed.PremoltChance, 1e-3);
        foreach (var p in new[] { 0.1, 0.5, 0.9 })
        {
            var days = Furthest * (Array.FindIndex(by, c => c >= p * sum) + 1) / Steps;
            Assert.Equal(p, weighed.Within(new(days)), 1e-3);
            Assert.Equal(p, weighed.Within(weighed.Quantile(p)), 1e-3);
        }
    }

    [Fact]
    public void What_is_left_is_always_ahead_and_in_order() =>
        Gen.Select(Gen.Double[1, 500], Gen.Double[1.05, 3], Gen.Double[1.05, 3], Gen.Double[0, 3000])
            .Sample(
                (median, down, up, elapsed) =>
                {
                    var prior = new WaitPrior(median / down, median, median * up);
                    foreach (
                        var wait in new IWait[]
                        {
                            LogNormalWait.FromPrior(prior),
                            LearnedWait.FromPrior(prior, 2, 3).Predictive(),
                        }
                    )
                    {
                        var left = new RemainingWait(wait, new(elapsed));
                        var (a, b, c) = (left.Quantile(0.1).Value, left.Quantile(0.5).Value, left.Quantile(0.9).Value);
                        Assert.True(a > 0 && a < b && b < c && double.IsFinite(c), $"{a} {b} {c}");
                        Assert.Equal(0.5, left.Within(new(b)), 1e-6);
                    }
                }
            );

    [Fact]
    public void Stronger_evidence_never_lowers_the_chance_nor_delays_the_molt() =>
        Gen.Select(Gen.Double[0, 400], Gen.Double[1, 50], Gen.Double[1, 20], Gen.Double[0, 90])
            .Sample(
                (elapsed, odds, more, ago) =>
                {
                    var left = new RemainingWait(LogNormalWait.FromPrior(new WaitPrior(60, 100, 170)), new(elapsed));
                    var one = new Witness(new(ago / 2), new(35), odds, 4);
                    var two = new Witness(new(ago), new(35), more, 4);
                    var before = new WeighedWait(left, new(35), [one, two]).And(one);
                    var after = before.And(two);
                    return after.PremoltChance >= before.PremoltChance - 1e-12
                        && after.Quantile(0.5).Value <= before.Quantile(0.5).Value + 1e-6;
                }
            );

    private static void Close(double[] expected, RemainingWait left)
    {
        Close(expected[0], left.Quantile(0.1).Value);
        Close(expected[1], left.Quantile(0.5).Value);
        Close(expected[2], left.Quantile(0.9).Value);
    }

    private static void Close(double expected, double actual) =>
        Assert.InRange(actual, expected - (Math.Abs(expected) * 1e-7), expected + (Math.Abs(expected) * 1e-7));
}
