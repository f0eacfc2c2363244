using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;
using MathNet.Numerics.Distributions;
using MathNet.Numerics.LinearAlgebra;

namespace Husbandry.Tests;

/// <summary>What a room teaches, held against general methods and against rooms of another make.</summary>
public class LessonCheckTests
{
    private static readonly RoomRules Rules = RuleSet.Shipped.Room;

    private static Guid Id(int animal) => new(animal + 1, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0);

    private static Rule<double> Just(Rule<double> rule, double value) => rule with { Value = value };

    /// <summary>
    /// The prediction is that of the general linear mixed model: the joint normal of all waits, conditioned by one dense
    /// solve, which knows nothing of eliminations and parts. Source: Robinson (1991), Statist. Sci. 6:15–32, eq. 1.2; Laird
    /// &amp; Ware (1982), Biometrics 38:963–974.
    /// </summary>
    [Theory]
    [InlineData(3)]
    [InlineData(11)]
    [InlineData(29)]
    public void The_prediction_is_that_of_a_general_mixed_model(int seed)
    {
        var random = new Random(seed);
        // No wait is taken for somebody else's: the mixture has its own checks.
        var rules = Rules with
        {
            Lessons = Rules.Lessons with { OddWaitShare = Just(Rules.Lessons.OddWaitShare, 0) },
        };
        var shares = rules.Lessons;
        var waits = Enumerable
            .Range(0, 6)
            .SelectMany(animal =>
                Enumerable
                    .Range(0, 2 + random.Next(4))
                    .Select(_ =>
                    {
                        var part = random.Next(9);
                        var prior = new IntervalPrior(Math.Log(60 + (15 * part)), 0.3 + (0.02 * part), part);
                        var days = Math.Exp(prior.Mu + 0.15 + Normal.Sample(random, 0, 0.25));
                        return (Animal: animal, Wait: new PastWait(prior, new(days), new(2), true));
                    })
            )
            .ToList();
        var own = waits.Where(w => w.Animal == 0).Select(w => w.Wait).ToList();
        var lesson = SpeciesLesson.Of(
            [
                .. waits
                    .GroupBy(w => w.Animal)
                    .Select(g => (Id(g.Key), (IReadOnlyList<PastWait>)[.. g.Select(w => w.Wait)])),
            ],
            rules,
            missedShare: 0
        );
        var next = new IntervalPrior(Math.Log(140), 0.42, 6);

        double Prior(IntervalPrior a, IntervalPrior b, bool same)
        {
            var parts =
                a.Part == b.Part ? 1
                : a.Part == 8 || b.Part == 8 ? 0
                : Math.Pow(shares.NeighbourParts.Value, Math.Abs(a.Part - b.Part));
            return a.Sigma
                * b.Sigma
                * (shares.RoomShare.Value + (shares.PartShare.Value * parts) + (same ? lesson.Between : 0));
        }

        var n = waits.Count;
        var covariance = Matrix<double>.Build.Dense(
            n,
            n,
            (i, j) =>
                Prior(waits[i].Wait.Prior, waits[j].Wait.Prior, waits[i].Animal == waits[j].Animal)
                + (
                    i == j
                        ? (lesson.Within * Math.Pow(waits[i].Wait.Prior.Sigma, 2))
                            + Math.Pow(waits[i].Wait.LogSpread, 2)
                        : 0
                )
        );
        var with = Vector<double>.Build.Dense(n, i => Prior(waits[i].Wait.Prior, next, waits[i].Animal == 0));
        var seen = Vector<double>.Build.Dense(n, i => waits[i].Wait.Residual);
        var solved = covariance.Cholesky().Solve(with);
        var mean = next.Mu + (solved * seen);
        var variance = Prior(next, next, true) - (solved * with) + (lesson.Within * next.Sigma * next.Sigma);

        var predicted = new RemainingWait(SpeciesLesson.Whole(next, lesson, Id(0), own), EffectiveDays.Zero);
        // The variances are those of the last step, the equations of the step before.
        Assert.Equal(mean, Math.Log(predicted.Quantile(0.5).Value), 1e-4);
        // What no record tells comes on top, by its rule.
        var unforeseen = 1 + (shares.Unforeseen.Value * (1 - (shares.WithinWaits.Value / lesson.Freedom)));
        Assert.Equal(
            mean + (1.2815515655446 * Math.Sqrt(unforeseen * variance)),
            Math.Log(predicted.Quantile(0.9).Value),
            1e-3
        );
    }

    /// <summary>
    /// Locomotive controls, 37 failures by thousands of miles and 59 that lasted 135: the lognormal of greatest likelihood has
    /// μ = 2.222 and σ = 0.306 on log₁₀. Source: Nelson (1982), Applied Life Data Analysis; Lawless (2003), Statistical Models and
    /// Methods for Lifetime Data, 2nd ed., example 5.3.2 (data and values from memory; the greatest likelihood is also
    /// found here by going through a grid).
    /// </summary>
    [Fact]
    public void Waits_that_still_last_are_learned_from_as_a_censored_lognormal_is()
    {
        double[] failed =
        [
            22.5,
            37.5,
            46,
            48.5,
            51.5,
            53,
            54.5,
            57.5,
            66.5,
            68,
            69.5,
            76.5,
            77,
            78.5,
            80,
            81.5,
            82,
            83,
            84,
            91.5,
            93.5,
            102.5,
            107,
            108.5,
            112.5,
            113.5,
            116,
            117,
            118.5,
            119,
            120,
            122.5,
            123,
            127.5,
            131,
            132.5,
            134,
        ];
        const int Lasting = 59;
        const double Reached = 135;
        var sigma = 0.306 * Math.Log(10);
        double LogLikelihood(double mu) =>
            failed.Sum(t => Math.Log(Normal.PDF(mu, sigma, Math.Log(t))))
            + (Lasting * Math.Log(1 - Normal.CDF(mu, sigma, Math.Log(Reached))));
        var best = Enumerable.Range(4000, 2500).Select(k => k / 1000.0).MaxBy(LogLikelihood);
        Assert.Equal(2.222, best / Math.Log(10), 0.002);

        // A belief so weak that only the likelihood speaks, and the published spread, all of it within animals.
        var l = Rules.Lessons;
        const double Room = 0.98;
        const double Hardly = 1e-6;
        var rules = Rules with
        {
            Lessons = l with
            {
                RoomShare = Just(l.RoomShare, Room),
                PartShare = Just(l.PartShare, Hardly),
                BetweenAnimalsShare = Just(l.BetweenAnimalsShare, Hardly),
                BetweenPriorAnimals = Just(l.BetweenPriorAnimals, 1 / Hardly),
                OddWaitShare = Just(l.OddWaitShare, 0),
            },
        };
        var prior = new IntervalPrior(Math.Log(150), sigma / Math.Sqrt(1 - Room - (2 * Hardly)));
        var waits = failed
            .Select(t => new PastWait(prior, new(t), new(0), true))
            .Concat(Enumerable.Repeat(new PastWait(prior, new(Reached), new(0), false), Lasting))
            .ToList();
        var lesson = SpeciesLesson.Of(
            [.. waits.Select((w, i) => (Id(i), (IReadOnlyList<PastWait>)[w]))],
            rules,
            missedShare: 0
        );
        Assert.Equal(best, prior.Mu + lesson.OffsetAt(prior), 0.01);
        // Their spread too: the published 0.306 of log10.
        Assert.Equal(0.306, prior.Sigma * Math.Sqrt(lesson.Within + lesson.Between) / Math.Log(10), 0.006);
    }

    /// <summary>
    /// Shares of ends with waits that still last: the greatest of likelihood times Dirichlet belief, found by going through all
    /// shares. Source: definition of the posterior mode; Larson &amp; Dinse (1985), Appl. Statist. 34:201–211 [from memory].
    /// </summary>
    [Fact]
    public void Shares_of_ends_are_those_of_the_exact_mixture()
    {
        Diary Crab() => new("coenobita-perlatus", Sex.Unknown, cameNightsAgo: 900);
        var standings = new List<Husbandry.Journal.Standing>();
        foreach (var (nights, hid) in new[] { (60, false), (45, false), (5, true), (7, true), (6, true) })
        {
            var diary = Crab().With(400, new Began(VigilKind.Surfacing));
            diary.Add(400 - nights, new Ended(VigilKind.Surfacing, hid ? VigilEnd.Otherwise : VigilEnd.AsHoped));
            standings.Add(diary.Standing());
        }

        standings.AddRange(
            new[] { 2.0, 5, 9, 20 }.Select(n => Crab().With(n, new Began(VigilKind.Surfacing)).Standing())
        );
        var room = Diary.Room();
        var one = Subject.Of(standings[^1], room);
        var shares = Lessons.Of(standings, room).EndsOf(one, VigilKind.Surfacing)!.Shares;

        var weight = Rules.Lessons.OtherEndPriorWaits.Value;
        var usual = one.Group.Vigils.OtherEnds[VigilKind.Surfacing][VigilEnd.Otherwise].Share!.Value;
        var open = standings
            .SelectMany(s => PastWaits.Of(Subject.Of(s, room), VigilKind.Surfacing))
            .Select(w => w.Reached)
            .OfType<IReadOnlyDictionary<string, double>>()
            .ToList();
        Assert.Equal(4, open.Count);
        double LogPosterior(double hides) =>
            (((weight * (1 - usual)) + 2) * Math.Log(1 - hides))
            + (((weight * usual) + 3) * Math.Log(hides))
            + open.Sum(reached =>
                Math.Log(
                    ((1 - hides) * Math.Exp(reached[VigilEnd.AsHoped]))
                        + (hides * Math.Exp(reached[VigilEnd.Otherwise]))
                )
            );
        var best = Enumerable.Range(1, 9998).Select(k => k / 10_000.0).MaxBy(LogPosterior);
        Assert.Equal(best, shares[VigilEnd.Otherwise], 2e-4);
    }

    /// <summary>
    /// Two hundred small rooms of another make: waits are gamma about a pace that is gamma from animal to animal, rooms lie up
    /// to 25 % off; some keepers find molts late, some do not see a fifth of them. The next wait is forecast, and where it fell in
    /// its forecast is counted by fifths: an honest forecast fills them evenly. Source of the check: Dawid (1984), J. R. Statist.
    /// Soc. A 147:278–292; its band here is four standard errors of 200 rooms, and what the rule for the unforeseen adds.
    /// </summary>
    [Theory]
    [InlineData(0, 0)]
    [InlineData(0, 0.2)]
    [InlineData(0.2, 0)]
    [InlineData(0.2, 0.2)]
    public void Forecasts_of_rooms_made_elsewhere_are_honest(double missed, double foundWithin)
    {
        const int Rooms = 200;
        const int Animals = 7;
        const int Waits = 7;
        const int Fifths = 5;
        var random = new Random(7);
        double Drawn(double shape) => Gamma.Sample(random, shape, shape);
        var counts = new int[Fifths];
        for (var room = 0; room < Rooms; room++)
        {
            var pace = 0.75 + (0.5 * random.NextDouble());
            var seen = Enumerable
                .Range(0, Animals)
                .Select(_ =>
                {
                    var own = pace * Drawn(34);
                    return Enumerable.Range(0, Waits).Select(k => Seen(k, own)).ToList();
                })
                .ToList();
            var lesson = SpeciesLesson.Of(
                [.. seen.Select((w, i) => (Id(i), (IReadOnlyList<PastWait>)[.. i == 0 ? w[..^1] : w]))],
                Rules,
                missed
            );
            var last = seen[0][^1];
            var forecast = new RemainingWait(
                SpeciesLesson.Whole(last.Prior, lesson, Id(0), [.. seen[0][..^1]]),
                EffectiveDays.Zero
            );
            counts[Math.Min(Fifths - 1, (int)(Fifths * forecast.Within(last.Length)))]++;
        }

        // Four standard errors of a share of a fifth, and a twentieth for what is unforeseen, which widens the middle.
        var band = (4 * Math.Sqrt(0.2 * 0.8 / Rooms)) + 0.05;
        Assert.All(counts, c => Assert.InRange((double)c / Rooms, 0.2 - band, 0.2 + band));
        Assert.InRange((counts[0] + counts[^1]) / (double)Rooms, 0.22, 0.5);

        // One wait as it is written down: with the molts in it that nobody saw, its ends found late.
        PastWait Seen(int molts, double own)
        {
            var days = 0.0;
            var k = 0;
            do
            {
                days += 80 * Math.Pow(1.1, molts + k) * own * Drawn(25);
                k++;
            } while (random.NextDouble() < missed);
            var vague = foundWithin * 80;
            days += vague * (random.NextDouble() - random.NextDouble());
            var prior = new IntervalPrior(Math.Log(80) + (molts * Math.Log(1.1)), 0.4, molts, 1.1);
            return new PastWait(prior, new(Math.Max(1, days)), new(vague / Math.Sqrt(6)), true);
        }
    }
}
