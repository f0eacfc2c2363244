using Husbandry.Growth;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>The chance that an animal waits for a molt that never comes, since it is adult and nobody wrote it down.</summary>
public class AdultUnmarkedTests
{
    private static double Chance(Diary diary) => AdultUnmarked.Chance(Subject.Of(diary.Standing(), Diary.Room()));

    private static Diary Mantis(int molts, Sex sex = Sex.Female, int seenNightsAgo = 5) =>
        new Diary("sphodromantis-lineola", sex, cameNightsAgo: 60, molts: molts - 1).With(seenNightsAgo, new Molted());

    [Fact]
    public void Bayes_rule_by_hand()
    {
        // Females of the species are adult after 7–8 molts, which holds eight of ten: sd 0.5 at least, mean 7.5. Of seven molts and
        // no more, Φ(0) = 0.5 are adult, of whom the rulebook has 0.12 unmarked.
        var expected = 0.5 * 0.12 / ((0.5 * 0.12) + 0.5);
        Assert.Equal(expected, Chance(Mantis(7)), 1e-3);
    }

    [Fact]
    public void It_grows_with_the_molts_behind_it_and_is_nothing_in_a_nymph()
    {
        Assert.InRange(Chance(Mantis(4)), 0, 1e-6);
        Assert.True(Chance(Mantis(6)) < Chance(Mantis(7)));
        // Males need a molt fewer.
        Assert.True(Chance(Mantis(6)) < Chance(Mantis(6, Sex.Male)));
    }

    [Fact]
    public void The_longer_no_molt_comes_the_likelier_it_is_adult_and_the_less_likely_in_premolt()
    {
        VigilForecast At(int nightsAgo) => Mantis(7, seenNightsAgo: nightsAgo).Judge().Molt.Value!;
        var (early, late) = (At(5), At(58));
        Assert.True(early.AdultChance < 0.2);
        Assert.True(late.AdultChance > 0.5);
        Assert.True(late.PremoltChance <= 1 - late.AdultChance);
    }

    [Fact]
    public void A_sign_of_premolt_speaks_against_it()
    {
        var diary = Mantis(7, seenNightsAgo: 30);
        var before = diary.Judge().Molt.Value!.AdultChance;
        var after = Mantis(7, seenNightsAgo: 30).With(1, new SignSeen("hangs-still")).Judge().Molt.Value!.AdultChance;
        Assert.True(after < before);
    }

    [Theory]
    [InlineData("tliltocatl-albopilosus", Sex.Female)]
    [InlineData("coenobita-clypeatus", Sex.Unknown)]
    [InlineData("samia-ricini", Sex.Male)]
    public void Where_adults_molt_on_or_a_pupa_comes_before_the_adult_there_is_no_such_chance(
        string species,
        Sex sex
    ) => Assert.Equal(0, Chance(new Diary(species, sex, cameNightsAgo: 60, molts: 30)));

    [Fact]
    public void It_is_said_with_the_forecast()
    {
        var answer = Mantis(7, seenNightsAgo: 40).Judge().Molt;
        Assert.Contains("Unless she is adult already", answer.Summary, StringComparison.Ordinal);
        Assert.Contains(answer.Reasons, r => r.Rule == "room.adultUnmarked");
        Assert.DoesNotContain(Mantis(4, seenNightsAgo: 2).Judge().Molt.Reasons, r => r.Rule == "room.adultUnmarked");
    }
}
