using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>What the pairing desk asks for fits the animal: nothing of one that is left alone, nothing that does not show.</summary>
public sealed class ReadinessAsksTests
{
    private static Readiness Of(Diary diary) => Candidate.Of(diary.Judge().Mate).Readiness;

    private static string Asked(Diary diary) =>
        string.Join("; ", Of(diary).Checks.Select(c => c.Makes).OfType<string>());

    [Fact]
    public void Nobody_is_asked_to_look_at_a_buried_crab()
    {
        var up = new Diary("coenobita-rugosus", Sex.Unknown, 400, mature: true);
        Assert.Contains("Tell its sex first", Asked(up), StringComparison.Ordinal);
        var down = up.With(20, new Began(VigilKind.Surfacing));
        Assert.Equal(ReadyWord.Not, Of(down).Word);
        Assert.DoesNotContain("Tell its sex", Asked(down), StringComparison.Ordinal);
        Assert.DoesNotContain("How does it look", Asked(down), StringComparison.Ordinal);
    }

    [Fact]
    public void A_larva_is_not_asked_for_its_sex()
    {
        var larva = new Diary("samia-ricini", Sex.Unknown, 30, molts: 4).With(1, new Growth.Molted());
        Assert.DoesNotContain("Tell its sex", Asked(larva), StringComparison.Ordinal);
        Assert.Contains(Of(larva).Checks, c => c.Why.Text.Contains("does not show yet", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData("papilio-machaon", "adult marks")]
    [InlineData("saturnia-pyri", "antennae")]
    public void A_butterfly_is_told_by_other_marks_than_a_moth(string species, string by)
    {
        var asked = Asked(new Diary(species, Sex.Unknown, 3, mature: true));
        Assert.Contains(by, asked, StringComparison.Ordinal);
        Assert.Equal(by == "antennae", asked.Contains("antennae", StringComparison.Ordinal));
    }

    /// <summary>Adults that live for days are over before a second try after a week. Source: common practice, no published source.</summary>
    [Theory]
    [InlineData("actias-luna", false)]
    [InlineData("tliltocatl-albopilosus", true)]
    public void A_second_try_is_only_told_of_whoever_lives_to_see_it(string species, bool told)
    {
        var she = new Diary(species, Sex.Female, 100, mature: true)
            .With(3, new Growth.ConditionSeen(BodyCondition.Normal))
            .With(2, new Paired(null, "a mate"));
        Assert.Equal(
            told,
            Of(she).Checks.Any(c => c.Why.Text.Contains("second try", StringComparison.OrdinalIgnoreCase))
        );
        Assert.Equal(told, PairingTasks.AgainOn(she.Judge().Subject, she.Judge().Hush) is not null);
    }
}
