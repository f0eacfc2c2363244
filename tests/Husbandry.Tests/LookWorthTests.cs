using CsCheck;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>What one look would tell. Source of the laws: expected value of information, Raiffa &amp; Schlaifer (1961).</summary>
public class LookWorthTests
{
    private static Diary Molted(double nightsAgo) =>
        new Diary("tliltocatl-albopilosus", cameNightsAgo: 900, molts: 4)
            .With(nightsAgo + 150, new Growth.Molted())
            .With(nightsAgo, new Growth.Molted());

    [Fact]
    public void A_look_tells_most_where_premolt_is_a_toss_up()
    {
        var worth = new[] { 10.0, 60, 100, 130, 160 }
            .Select(n => Molted(n).Judge())
            .Select(j => (j.Molt.Value!.PremoltChance, Narrower: j.LookWorth.Value?.Narrower ?? 0))
            .ToList();
        Assert.True(worth[0].Narrower < 1, $"{worth[0]}");
        Assert.True(worth.Max(w => w.Narrower) > 3);
        Assert.InRange(worth.MaxBy(w => w.Narrower).PremoltChance, 0.2, 0.9);
    }

    [Fact]
    public void Who_has_just_looked_learns_nothing_more()
    {
        var due = Molted(130);
        Assert.NotNull(due.Judge().LookWorth.Value);
        Assert.Null(due.With(1, new Looked()).Judge().LookWorth.Value);
    }

    [Fact]
    public void It_never_speaks_of_what_shows_no_signs_or_molts_no_more() =>
        Gen.Int[0, 1_000_000]
            .Sample(
                seed =>
                {
                    var j = Judgement.Of(AnyStock.Of(seed).Standing(), Diary.Room());
                    if (j.LookWorth.Value is { } worth)
                    {
                        Assert.NotNull(j.Molt.Value);
                        Assert.InRange(worth.SignChance, 0, 1);
                        Assert.True(worth.NightsThen >= 0 && worth.Narrower <= worth.NightsNow);
                    }

                    // The round names it only where a hand goes anyway and signs can be seen.
                    var line = RoundLine.Of(j);
                    Assert.True(line.LookWorth is null || (line.State == LineState.Due && line.Signs));
                },
                iter: 300
            );

    [Fact]
    public void The_word_and_the_chance_never_stand_side_by_side_without_a_reason() =>
        Gen.Int[0, 1_000_000]
            .Sample(
                seed =>
                {
                    var j = Judgement.Of(AnyStock.Of(seed).Standing(), Diary.Room());
                    if (j.Molt.Value is not { } molt)
                    {
                        return;
                    }

                    var rules = RuleSet.Shipped.Room.Signs;
                    var (open, told) = (
                        PhaseMark.IsQuiet(j.Phase.Value),
                        j.Phase.Value is Phase.Suspected or Phase.Likely
                    );
                    var differ =
                        (open && molt.PremoltChance >= rules.ForecastSpeaksAbove.Value)
                        || (told && molt.PremoltChance < rules.ForecastDoubtsBelow.Value);
                    Assert.Equal(differ, j.Phase.Reasons.Any(r => r.Topic == "By the calendar"));
                },
                iter: 400
            );
}
