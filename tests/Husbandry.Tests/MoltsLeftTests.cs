using CsCheck;
using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Tests;

/// <summary>
/// Molts left to adult, by size and by instar. Outside check: Dyar's rule (Dyar 1890, Psyche 5): each molt multiplies a linear
/// measure by a constant ratio, so that n molts multiply it by the n-th power.
/// </summary>
public class MoltsLeftTests
{
    private const string Mantis = "hierodula-membranacea";

    private static readonly SpeciesProfile Profile = RuleSet.Shipped.Profile(Mantis)!;

    private static Answer<MoltsLeft?> Left(double? bodyMm, int? molts = null, bool mature = false)
    {
        var diary = new Diary(Mantis, cameNightsAgo: 60, mature: mature, molts: molts);
        return (bodyMm is { } mm ? diary.With(1, new Measured(BodyPart.Body, mm)) : diary).Judge().MoltsLeft;
    }

    [Theory]
    [InlineData(1)]
    [InlineData(3)]
    [InlineData(5)]
    public void A_size_so_many_powers_of_the_ratio_short_of_adult_has_so_many_molts_left(int molts)
    {
        var low = Profile.AdultSizeOf(Sex.Female).Value.Low;
        var left = Left(low / Math.Pow(Profile.GrowthRatio.Value, molts)).Value!;
        Assert.Equal(molts, left.BySizeLow);
        Assert.True(left.BySizeHigh >= left.BySizeLow);
    }

    [Fact]
    public void Each_molt_leaves_one_less_by_either_way_of_counting() =>
        Gen.Select(Gen.Double[8, 30], Gen.Int[1, 4])
            .Sample(
                (mm, molts) =>
                {
                    var (before, after) = (
                        Left(mm, molts).Value!,
                        Left(mm * Profile.GrowthRatio.Value, molts + 1).Value!
                    );
                    return before.BySizeLow - 1 == after.BySizeLow
                        && before.BySizeHigh - 1 == after.BySizeHigh
                        && before.ByInstarHigh - 1 == after.ByInstarHigh;
                },
                iter: 300
            );

    [Fact]
    public void By_instar_it_is_what_the_species_takes_less_what_is_behind_it()
    {
        var all = Profile.MoltsToAdult.Female.Value;
        var left = Left(null, 3).Value!;
        Assert.Equal(((int)all.Low - 3, (int)all.High - 3), (left.ByInstarLow, left.ByInstarHigh));
        Assert.Null(left.BySizeLow);
        Assert.True(left.Agree);
    }

    [Fact]
    public void Two_ways_that_contradict_each_other_are_said_to()
    {
        var low = Profile.AdultSizeOf(Sex.Female).Value.Low;
        var answer = Left(low / Profile.GrowthRatio.Value, 1);
        Assert.False(answer.Value!.Agree);
        Assert.Contains("they disagree", answer.Summary, StringComparison.Ordinal);
        Assert.Equal(["By size", "By instar"], answer.Reasons.Select(r => r.Topic));
    }

    [Fact]
    public void An_adult_and_an_animal_of_unknown_size_and_age_have_no_count()
    {
        Assert.Null(Left(70, 8, mature: true).Value);
        var unknown = Left(null);
        Assert.Null(unknown.Value);
        Assert.Equal("Neither size nor instar is known.", unknown.Summary);
    }
}
