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
        Assert.Equal(0.08541666667, Scores.Brier([.. p.Zip(y)])!.Value, 1e-10);
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
        (double, bool)[] forecasts = [(0.9, true), (0.7, false), (0.7, true), (0.4, false), (0.2, true), (0.1, false)];
        var pairs =
            from a in forecasts
            where a.Item2
            from b in forecasts
            where !b.Item2
            select a.Item1 > b.Item1 ? 1.0
            : a.Item1.Equals(b.Item1) ? 0.5
            : 0;
        Assert.Equal(pairs.Average(), Scores.AreaUnderRoc(forecasts)!.Value, 1e-12);
        Assert.Null(Scores.AreaUnderRoc([(0.5, true)]));
    }

    [Fact]
    public void An_event_known_only_to_lie_between_two_nights_is_scored_by_its_interval()
    {
        ScoredForecast Came(double from, double? to) =>
            new(
                Guid.Empty,
                "",
                "tarantula",
                VigilKind.Molt,
                default,
                0,
                new Quantiles(10, 20, 30),
                new Quantiles(10, 20, 30),
                null,
                from,
                to
            );
        var window = new Quantiles(10, 20, 30);
        Assert.Equal(1, Came(30, 30).Covered(window));
        Assert.Equal(0, Came(32, 32).Covered(window));
        Assert.Equal(0.5, Came(25.5, 35.5).Covered(window), 1e-12);
        Assert.Equal(0, Came(18, 22).Error(window));
        Assert.Equal(3, Came(23, 27).Error(window));
        // One that has still not happened is a miss, and as wrong as it is late by now.
        Assert.Equal(0, Came(45, null).Covered(window));
        Assert.Equal(25, Came(45, null).Error(window));
    }
}
