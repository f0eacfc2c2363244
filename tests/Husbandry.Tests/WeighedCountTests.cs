using Husbandry.Nursery;
using Husbandry.Rulebook;

namespace Husbandry.Tests;

/// <summary>Counting by weight.</summary>
public class WeighedCountTests
{
    private static RoomNurseryRules Rules => RuleSet.Shipped.Room.Nursery;

    /// <summary>
    /// Worked by hand after Cochran (1977), Sampling Techniques, 3rd ed., §6.4 and §2.6: mean 459/60 = 7.65; residuals −2, 7, −5;
    /// variance 78/(2·3·20²) times the part not weighed; t with two degrees of freedom 4.302653 (tables).
    /// </summary>
    [Fact]
    public void Three_parts_give_the_worked_example()
    {
        var count = WeighedCount.Of(1840, [new(20, 151), new(20, 160), new(20, 148)], 1, Rules).Value;
        Assert.Equal((241, 219, 262), (count.Count, count.Low, count.High));
        Assert.Equal(7.65, count.MeanMg, 1e-9);
        Assert.Equal(Math.Sqrt(0.0325 * (1 - 60 / (1840 / 7.65)) + 3.0 / 12 / 3600), count.StandardErrorMg, 1e-9);
    }

    [Fact]
    public void One_part_rests_on_the_rule_and_says_so()
    {
        var answer = WeighedCount.Of(500, [new(25, 125)], 0, Rules);
        Assert.Equal(100, answer.Value.Count);
        Assert.Contains("three parts or more", answer.Reasons[0].Text, StringComparison.Ordinal);
        // All of them counted: nothing is uncertain but the scale.
        Assert.Equal((25, 25, 25), Of(WeighedCount.Of(125, [new(25, 125)], 0, Rules).Value));
    }

    private static (int, int, int) Of(WeighedCount c) => (c.Count, c.Low, c.High);

    /// <summary>A law: the stated range holds the truth about 95 times in 100, for bodies that differ more than the rule says.</summary>
    [Fact]
    public void The_range_holds_the_truth_as_often_as_it_says()
    {
        var random = new Random(1616);
        double Body() => 6 * Math.Exp(0.28 * Normal(random));
        var (held, rounds) = (0, 600);
        for (var round = 0; round < rounds; round++)
        {
            var bodies = Enumerable.Range(0, 260).Select(_ => Body()).ToArray();
            var parts = Enumerable
                .Range(0, 5)
                .Select(k => new WeighedPart(12, Math.Round(bodies.Skip(12 * k).Take(12).Sum())))
                .ToList();
            var count = WeighedCount.Of(Math.Round(bodies.Sum()), parts, 1, Rules).Value;
            held += count.Low <= bodies.Length && bodies.Length <= count.High ? 1 : 0;
        }

        Assert.InRange((double)held / rounds, 0.92, 0.985);
    }

    private static double Normal(Random random) =>
        Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
