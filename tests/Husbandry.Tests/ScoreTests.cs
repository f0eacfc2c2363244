using Husbandry.Honesty;
using Husbandry.Rulebook;

namespace Husbandry.Tests;

public class ScoreTests
{
    // Source: scikit-learn 1.2.1 on these forecasts.
    [Fact]
    public void Brier_score_of_six_forecasts()
    {
        double[] p = [0.9, 0.7, 0.2, 0.6, 0.1, 0.95];
        bool[] y = [true, true, false, false, false, true];
        Assert.Equal(0.08541666667, Scores.Brier(p.Zip(y, (a, b) => (a, b, 1.0)))!.Value, 1e-10);
        Assert.Null(Scores.Brier([]));
    }

    // Source: scikit-learn 1.2.1 (Koenker & Bassett 1978).
    [Theory]
    [InlineData(0.1, 1.025)]
    [InlineData(0.5, 1.125)]
    [InlineData(0.9, 1.225)]
    public void Pinball_loss(double tau, double expected)
    {
        double[] y = [10, 12, 15, 20];
        double[] forecast = [11, 11, 18, 16];
        Assert.Equal(expected, y.Zip(forecast).Average(x => Scores.Pinball(tau, x.Second, x.First)), 1e-12);
    }

    [Fact]
    public void Area_under_the_curve_is_the_chance_of_ranking_a_pair_rightly()
    {
        // Source: definition (Hanley & McNeil 1982): pairs counted one by one, ties half.
        (double, bool, double)[] forecasts =
        [
            (0.9, true, 1),
            (0.7, false, 1),
            (0.7, true, 1),
            (0.4, false, 1),
            (0.2, true, 1),
            (0.1, false, 1),
        ];
        var pairs =
            from a in forecasts
            where a.Item2
            from b in forecasts
            where !b.Item2
            select a.Item1 > b.Item1 ? 1.0
            : a.Item1.Equals(b.Item1) ? 0.5
            : 0;
        Assert.Equal(pairs.Average(), Scores.AreaUnderRoc(forecasts)!.Value, 1e-12);
        Assert.Null(Scores.AreaUnderRoc([(0.5, true, 1)]));
    }

    [Fact]
    public void One_of_twice_the_weight_counts_as_two()
    {
        (double, bool, double)[] once = [(0.9, true, 1), (0.4, true, 1), (0.4, true, 1), (0.5, false, 1)];
        (double, bool, double)[] weighed = [(0.9, true, 1), (0.4, true, 2), (0.5, false, 1)];
        Assert.Equal(Scores.AreaUnderRoc(once)!.Value, Scores.AreaUnderRoc(weighed)!.Value, 1e-12);
        Assert.Equal(Scores.Brier(once)!.Value, Scores.Brier(weighed)!.Value, 1e-12);
    }

    private static readonly Quantiles Window = new(10, 20, 30);

    private static readonly Given Sure = new(0.5, 0.5);

    [Fact]
    public void Eight_in_ten_are_covered_however_wide_the_time_in_which_it_happened()
    {
        Assert.Equal(1, new Given(0.4, 0.5).Covered, 1e-12);
        Assert.Equal(0, new Given(0.95, 0.99).Covered, 1e-12);
        Assert.Equal(0.5, new Given(0.85, 0.95).Covered, 1e-12);
        Assert.Equal(0.8, new Given(0, 1).Covered, 1e-12);
        // Source: law: what is drawn from the forecast itself falls evenly into it, seen in intervals of any width.
        var random = new Random(7);
        var mean = Enumerable
            .Range(0, 200_000)
            .Average(_ =>
            {
                var (happened, width, shift) = (random.NextDouble(), random.NextDouble(), random.NextDouble());
                // Seen between the edges of a grid of any width and place, in which it happened to lie.
                var from = (Math.Floor((happened / width) - shift) + shift) * width;
                return new Given(Math.Max(0, from), Math.Min(1, from + width)).Covered;
            });
        Assert.Equal(0.8, mean, 5e-3);
    }

    private static ScoredForecast Came(double from, double? to, double horizon = 1000) =>
        new(
            Guid.Empty,
            "",
            "tarantula",
            VigilKind.Molt,
            default,
            0,
            Window,
            Window,
            null,
            from,
            to,
            horizon,
            Sure,
            Sure
        );

    [Fact]
    public void An_event_known_only_to_lie_between_two_nights_is_scored_by_its_interval()
    {
        Assert.Equal(5, Came(25, 25).Error(Window), 1e-12);
        // Source: the mean over all nights of the interval.
        foreach (var (from, to) in new[] { (18.0, 22.0), (23, 27), (5, 40) })
        {
            var nights = Enumerable.Range(0, 20_000).Select(k => from + ((to - from) * (k + 0.5) / 20_000)).ToList();
            Assert.Equal(nights.Average(n => Came(n, n).Error(Window)), Came(from, to).Error(Window), 1e-3);
            Assert.Equal(nights.Average(n => Came(n, n).Pinball(Window)), Came(from, to).Pinball(Window), 1e-3);
        }
    }

    [Fact]
    public void Beyond_the_end_of_the_record_nothing_is_told_apart()
    {
        // It had not come when the record ended at night 45: the window should have reached so far.
        Assert.Equal(25, Came(45, null, 45).Error(Window), 1e-12);
        Assert.Equal(Came(25, null, 25).Pinball(Window), Came(25, null, 25).Pinball(new Quantiles(10, 20, 300)), 1e-12);
    }

    [Fact]
    public void Those_that_stayed_stand_for_those_that_left()
    {
        // Source: Kaplan & Meier (1958) by hand: of four one leaves on day 1, of the two still there one on day 3.
        var stay = new Censoring([(1, true), (2, false), (3, true), (4, false)]);
        Assert.Equal(1, stay.Weight(1), 1e-12);
        Assert.Equal(4.0 / 3, stay.Weight(2), 1e-12);
        Assert.Equal(8.0 / 3, stay.Weight(4), 1e-12);
    }

    /// <summary>
    /// Source: the standard error of a mean of n independent clusters is s/√n, so 95 % lie within 1.96 of them (definition);
    /// a bootstrap of 40 clusters comes near it.
    /// </summary>
    [Fact]
    public void The_uncertainty_of_a_mean_is_that_of_its_animals_and_not_of_its_forecasts()
    {
        var random = new Random(5);
        var animals = Enumerable.Range(0, 40).Select(_ => (Id: Guid.NewGuid(), Value: random.NextDouble())).ToList();
        var mean = animals.Average(a => a.Value);
        var error = Math.Sqrt(animals.Sum(a => (a.Value - mean) * (a.Value - mean)) / 39 / 40);
        var once = Bootstrap.Of(animals.Select(a => (a.Id, a.Value, 1.0)))!;
        Assert.Equal(mean - (1.96 * error), once.Low, 0.02);
        Assert.Equal(mean + (1.96 * error), once.High, 0.02);

        // The same said ten times of each is no surer.
        var tenfold = Bootstrap.Of(animals.SelectMany(a => Enumerable.Repeat((a.Id, a.Value, 1.0), 10)))!;
        Assert.Equal(once.Low, tenfold.Low, 1e-9);
        Assert.Null(Bootstrap.Of(animals.Take(Bootstrap.FewestAnimals - 1).Select(a => (a.Id, a.Value, 1.0))));
    }

    [Theory]
    [InlineData(0.5, AgainstRulebook.Better)]
    [InlineData(1.0, AgainstRulebook.NoBetter)]
    [InlineData(2.0, AgainstRulebook.Worse)]
    public void A_group_is_called_better_only_where_chance_would_not_make_it_so(double off, AgainstRulebook verdict)
    {
        var forecasts = Enumerable
            .Range(0, 20)
            .Select(k => Scored(Guid.NewGuid(), 100 + (10 * (off + (k % 2 == 0 ? 0.1 : -0.1))), k))
            .ToList();
        var line = BacktestLine.Of(forecasts).First(l => l.Group == "mantis");
        Assert.Equal((20, verdict), (line.Animals, line.Verdict));
        var few = BacktestLine.Of(forecasts[..3]).First(l => l.Group == "mantis");
        Assert.Equal((AgainstRulebook.TooFew, null), (few.Verdict, few.CoverageLikely));
    }

    [Fact]
    public void Forecasts_are_told_by_the_quarter_in_which_they_were_made()
    {
        var seasons = SeasonLine.Of([.. new[] { 0, 20, 100, 300 }.Select(day => Scored(Guid.NewGuid(), 105, day))], []);
        Assert.Equal(
            [(new DateOnly(2026, 1, 1), 2), (new DateOnly(2026, 4, 1), 1), (new DateOnly(2026, 10, 1), 1)],
            seasons.Select(s => (s.From, s.Forecasts))
        );
        Assert.All(seasons, s => Assert.Equal(0.5, s.LossOfRulebook, 1e-9));
    }

    /// <summary>A molt after 100 days; the rulebook was ten days off.</summary>
    private static ScoredForecast Scored(Guid animal, double said, int day) =>
        new(
            animal,
            "Tansy",
            "mantis",
            VigilKind.Molt,
            new DateOnly(2026, 1, 5).AddDays(day),
            0,
            new Quantiles(said, said, said),
            new Quantiles(110, 110, 110),
            null,
            100,
            100,
            1000,
            new Given(0.5, 0.5),
            new Given(0.5, 0.5)
        );
}
