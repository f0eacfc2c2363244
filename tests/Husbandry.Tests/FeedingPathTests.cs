using CsCheck;
using Husbandry.Growth;
using Husbandry.Rounds;

namespace Husbandry.Tests;

/// <summary>What becomes of an animal fed otherwise, beside the present plan.</summary>
public class FeedingPathTests
{
    private static Judgement Juvenile() => new Diary(molts: 5).LegSpan(70, 30).Ate(4).With(40, new Molted()).Judge();

    [Fact]
    public void The_same_cadence_changes_nothing()
    {
        var j = Juvenile();
        var choice = j.FedEvery(j.Meal.Value.EveryDays).Value!;
        Assert.Equal(choice.Now, choice.Other);
        Assert.NotNull(choice.Now.AdultOn);
    }

    [Fact]
    public void Fed_leaner_it_is_adult_later_lives_longer_and_eats_less() =>
        // Common practice, no published source: rich feeding brings adulthood forward and shortens life.
        Gen.Select(Gen.Double[0.6, 40], Gen.Double[1.05, 3])
            .Sample(
                (every, leaner) =>
                {
                    var j = Juvenile();
                    var rich = j.FedEvery(every).Value!.Other;
                    var lean = j.FedEvery(every * leaner).Value!.Other;
                    Assert.True(lean.AdultOn >= rich.AdultOn && lean.EndsTo >= rich.EndsTo);
                    Assert.True(lean.Meals <= rich.Meals && lean.FoodMg < rich.FoodMg);
                    Assert.True(lean.AdultFrom <= lean.AdultOn && lean.AdultOn <= lean.AdultTo);
                },
                iter: 100
            );

    [Fact]
    public void An_adult_is_told_a_years_food_and_the_span_that_is_left()
    {
        var adult = new Diary(mature: true).LegSpan(130).Ate(3).Judge();
        var path = adult.FedEvery(28).Value!.Other;
        Assert.Null(path.AdultOn);
        Assert.Equal(13, path.Meals);
        Assert.True(path.EndsFrom < path.EndsTo);
    }

    [Fact]
    public void Without_a_size_it_says_what_to_measure()
    {
        var answer = new Diary().Judge().FedEvery(7);
        Assert.Null(answer.Value);
        Assert.Contains("measure", answer.Summary, StringComparison.Ordinal);
    }
}
