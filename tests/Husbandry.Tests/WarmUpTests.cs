using CsCheck;
using Husbandry.Pairing;
using Husbandry.Rulebook;
using MathNet.Numerics.Distributions;

namespace Husbandry.Tests;

/// <summary>Both sexes out at once: matchings against every matching, and plans in seasons that do not follow the planner's laws.</summary>
public class WarmUpTests
{
    private static readonly WarmUpRules Rules = RuleSet.Shipped.Room.Pairing.WarmUp;

    [Fact]
    public void The_largest_matching_is_that_of_trying_every_one() =>
        // Half days, so that no rounding decides who meets.
        Gen.Select(Gen.Bool, Gen.Int[0, 40], Gen.Int[0, 18])
            .Array[0, 8]
            .Sample(drawn =>
            {
                var spans = drawn
                    .Select(d => new FlightSpan(
                        d.Item1 ? Sex.Male : Sex.Female,
                        d.Item2 / 2.0,
                        (d.Item2 + d.Item3) / 2.0
                    ))
                    .ToArray();
                Assert.Equal(Tried(spans), FlightSpans.MostPairs(spans, 1));
            });

    /// <summary>The largest matching by trying each partner of the first and going on with the rest.</summary>
    private static int Tried(FlightSpan[] spans)
    {
        if (spans.Length < 2)
        {
            return 0;
        }

        var (first, rest) = (spans[0], spans[1..]);
        var best = Tried(rest);
        for (var k = 0; k < rest.Length; k++)
        {
            var together = Math.Min(first.To, rest[k].To) - Math.Max(first.From, rest[k].From);
            if (rest[k].Sex != first.Sex && together >= 1)
            {
                best = Math.Max(best, 1 + Tried([.. rest[..k], .. rest[(k + 1)..]]));
            }
        }

        return best;
    }

    private static Func<double, double> LogNormalOf(double p50, double sigma) =>
        p => p50 * Math.Exp(sigma * Normal.InvCDF(0, 1, p));

    private static PupaToWarm Pupa(Sex sex, double after, double life, int earliest = 0, double sigma = 0.18) =>
        new(sex, earliest, 1, LogNormalOf(after, sigma), LogNormalOf(life, 0.25));

    [Fact]
    public void Males_that_would_be_dead_are_held_back()
    {
        List<PupaToWarm> pupae =
        [
            .. Enumerable.Repeat(Pupa(Sex.Male, 22, 6), 4),
            .. Enumerable.Repeat(Pupa(Sex.Female, 32, 7), 4),
        ];
        var plan = WarmUpPlan.Of(pupae, Rules);
        Assert.True(plan.Pairs > 1.2 * plan.PairsAtOnce, $"{plan.Pairs} against {plan.PairsAtOnce}");
        Assert.True(plan.Days.Take(4).Average() > plan.Days.Skip(4).Average() + 4);
        Assert.Equal(0, plan.Days.Min());
    }

    [Fact]
    public void None_is_taken_out_before_its_winter_is_over()
    {
        List<PupaToWarm> pupae = [Pupa(Sex.Male, 22, 6, 9), Pupa(Sex.Female, 30, 7, 3), Pupa(Sex.Female, 30, 7, 12)];
        var plan = WarmUpPlan.Of(pupae, Rules);
        Assert.Equal(12, plan.AtOnceDay);
        Assert.All(Enumerable.Range(0, 3), k => Assert.True(plan.Days[k] >= pupae[k].EarliestDay));
        Assert.Equal(0, WarmUpPlan.Of([Pupa(Sex.Male, 22, 6)], Rules).Pairs);
        Assert.Equal(0, WarmUpPlan.Of([], Rules).Pairs);
    }

    [Fact]
    public void Pupae_that_die_make_no_pairs()
    {
        PupaToWarm Of(Sex sex) => Pupa(sex, 30, 40) with { Emerges = 0.8 };
        var plan = WarmUpPlan.Of([Of(Sex.Male), Of(Sex.Female)], Rules);
        // Both come out in 0.8² of the seasons, and live long enough to meet in nearly all of these.
        Assert.Equal(0.64, plan.Pairs, 0.07);
    }

    /// <summary>
    /// 300 seasons in which pupae emerge and die by gamma laws: the plan's pairs against those of the best of all shifts and splits
    /// that were tried on the very laws of the season, and against taking all out at once.
    /// </summary>
    [Fact]
    public void In_seasons_of_another_law_the_plan_is_nearly_the_best_there_is()
    {
        const int Worlds = 300;
        var random = new Random(17);
        var (plan, best, early, earlyAtOnce) = (0.0, 0.0, 0.0, 0.0);
        var (others, othersAtOnce) = (0.0, 0.0);
        for (var world = 0; world < Worlds; world++)
        {
            var (males, females) = (random.Next(2, 4), random.Next(2, 4));
            var ahead = random.NextDouble() * 14;
            var (after, life) = (25 + (random.NextDouble() * 10), 5 + (random.NextDouble() * 4));
            List<PupaToWarm> pupae =
            [
                .. Enumerable.Repeat(Pupa(Sex.Male, after - ahead, life), males),
                .. Enumerable.Repeat(Pupa(Sex.Female, after, life), females),
            ];
            var season = new World(pupae, after, ahead, life, random);
            var found = WarmUpPlan.Of(pupae, Rules);
            var (pairs, together) = (season.Pairs(found.Days), season.Pairs([.. pupae.Select(_ => 0)]));
            plan += pairs;
            best += season.Best();
            if (ahead >= 6)
            {
                (early, earlyAtOnce) = (early + pairs, earlyAtOnce + together);
            }
            else
            {
                (others, othersAtOnce) = (others + pairs, othersAtOnce + together);
            }
        }

        TestContext.Current.TestOutputHelper?.WriteLine(
            $"plan {plan:0.0}, exhaustive {best:0.0}; males early: {early:0.0} against {earlyAtOnce:0.0}; else {others:0.0} against {othersAtOnce:0.0}"
        );
        Assert.True(plan >= 0.95 * best, $"plan {plan}, exhaustive {best}");
        Assert.True(early >= 1.2 * earlyAtOnce, $"males early: {early} against {earlyAtOnce}");
        Assert.True(others >= othersAtOnce, $"else: {others} against {othersAtOnce}");
    }

    /// <summary>A season's own laws: gammas with the means of the pupae, 12 % wider.</summary>
    private sealed class World
    {
        private const int Draws = 60;
        private readonly IReadOnlyList<PupaToWarm> pupae;
        private readonly FlightSpan[][] seasons;

        public World(IReadOnlyList<PupaToWarm> pupae, double after, double ahead, double life, Random random)
        {
            this.pupae = pupae;
            FlightSpan Draw(PupaToWarm pupa)
            {
                var mean = pupa.Sex == Sex.Male ? after - ahead : after;
                var from = Gamma.Sample(random, 25, 25 / mean);
                return new FlightSpan(pupa.Sex, from, from + Gamma.Sample(random, 12, 12 / life));
            }

            seasons = [.. Enumerable.Range(0, Draws).Select(_ => pupae.Select(Draw).ToArray())];
        }

        public double Pairs(IReadOnlyList<int> days)
        {
            var moved = new FlightSpan[pupae.Count];
            var sum = 0;
            foreach (var season in seasons)
            {
                for (var k = 0; k < moved.Length; k++)
                {
                    moved[k] = season[k] with { From = season[k].From + days[k], To = season[k].To + days[k] };
                }

                sum += FlightSpans.MostPairs(moved, 1);
            }

            return sum / (double)Draws;
        }

        /// <summary>Pupae of a sex are alike: every choice of a day for each, in steps of four days, once for all orders.</summary>
        public double Best()
        {
            int[] steps = [0, 4, 8, 12, 16];
            var best = 0.0;
            void Choose(int[] days, int at)
            {
                if (at == days.Length)
                {
                    best = Math.Max(best, Pairs(days));
                    return;
                }

                var alike = at > 0 && pupae[at].Sex == pupae[at - 1].Sex;
                foreach (var day in steps.Where(d => !alike || d >= days[at - 1]))
                {
                    days[at] = day;
                    Choose(days, at + 1);
                }
            }

            Choose(new int[pupae.Count], 0);
            return best;
        }
    }
}
