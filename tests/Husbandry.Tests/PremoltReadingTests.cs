using CsCheck;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>The reading rule of the trade. Source of every case: common practice, no published source.</summary>
public class PremoltReadingTests
{
    private static Diary Juvenile() => new Diary().LegSpan(60).Ate(12).With(96, new Molted());

    [Fact]
    public void No_sign_leaves_the_lantern_open()
    {
        var j = Juvenile().Judge();
        Assert.Equal(Phase.Open, j.Phase.Value);
        Assert.Equal(Verdict.Fine, j.Hush[CareAct.FeedLive].Verdict);
    }

    [Fact]
    public void Plump_alone_only_means_fed() =>
        Assert.Equal(Phase.WellFed, Juvenile().Sign("plump", 2).Judge().Phase.Value);

    [Theory]
    [InlineData("dull")]
    [InlineData("sluggish")]
    [InlineData("kicks-hairs")]
    public void One_sign_is_no_verdict(string sign) =>
        Assert.Equal(Phase.Open, Juvenile().Sign(sign, 2).Judge().Phase.Value);

    // Handbook, molting: darkening alone already ends all feeding; a sealed burrow alone already means: leave shut.
    [Theory]
    [InlineData("dark-under-hair", Phase.Suspected)]
    [InlineData("dark-line", Phase.Suspected)]
    [InlineData("burrow-sealed", Phase.SealedIn)]
    public void Darkening_or_a_sealed_door_alone_ends_all_feeding(string sign, Phase phase)
    {
        var j = Juvenile().Sign(sign, 2).Judge();
        Assert.Equal(phase, j.Phase.Value);
        Assert.Equal(Verdict.Never, j.Hush[CareAct.FeedDead].Verdict);
        Assert.Null(j.Meal.Value.Due);
    }

    [Fact]
    public void Plump_and_refusing_is_suspected()
    {
        var j = Juvenile().Sign("plump", 2).Refused(1).Judge();
        Assert.Equal(Phase.Suspected, j.Phase.Value);
        Assert.Equal(Verdict.Avoid, j.Hush[CareAct.FeedLive].Verdict);
        Assert.Equal(Verdict.Fine, j.Hush[CareAct.FeedDead].Verdict);
    }

    [Fact]
    public void Plump_refusing_and_darkening_is_likely_and_food_is_hushed_with_reason()
    {
        var j = Juvenile().Sign("plump", 3).Refused(2).Sign("dark-under-hair", 1).Judge();
        Assert.Equal(Phase.Likely, j.Phase.Value);
        var live = j.Hush[CareAct.FeedLive];
        Assert.Equal(Verdict.Never, live.Verdict);
        Assert.Equal([HushCause.Darkening, HushCause.Likely], live.Contributors.Select(c => c.Cause).Order());
        Assert.All(live.Contributors, c => Assert.NotEmpty(c.Why.Text));
        Assert.True(live.Until!.From <= live.Until.Night && live.Until.Night <= live.Until.To);
        Assert.Equal(Verdict.Fine, j.Hush[CareAct.Water].Verdict);
        Assert.Null(j.Meal.Value.Due);
    }

    [Theory]
    [InlineData("mat")]
    [InlineData("on-its-back")]
    [InlineData("joint-fluid")]
    public void Mat_back_or_fluid_is_imminent_and_everything_is_left_alone(string sign)
    {
        var j = Juvenile().Sign(sign, 0.1).Judge();
        Assert.Equal(Phase.Imminent, j.Phase.Value);
        Assert.All(
            Enum.GetValues<CareAct>().Where(a => a != CareAct.Water),
            a => Assert.Equal(Verdict.Never, j.Hush[a].Verdict)
        );
        Assert.True(j.Molt.Value!.P90 <= j.Subject.Room.Tonight.AddDays(7));
    }

    [Fact]
    public void Signs_of_one_kind_count_once()
    {
        var one = Juvenile().Sign("plump", 2).Judge().Reading.Value;
        var two = Juvenile().Sign("plump", 2).Sign("shiny", 1).Judge().Reading.Value;
        Assert.Equal(ReadingWord.WellFed, two.Word);
        double Odds(PremoltReading r) => r.Evidence.Aggregate(1.0, (odds, e) => odds * e.LikelihoodRatio);
        Assert.Equal(Odds(one), Odds(two), 1e-12);
    }

    [Fact]
    public void Food_not_seen_to_be_taken_is_no_refusal()
    {
        var left = Juvenile()
            .Sign("plump", 2)
            .With(1, new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.NotSeen));
        Assert.Equal(Phase.WellFed, left.Judge().Phase.Value);
    }

    [Fact]
    public void A_meal_takes_back_what_appetite_and_behaviour_said()
    {
        var diary = Juvenile().Sign("plump", 5).Refused(4).Sign("dark-under-hair", 3);
        Assert.Equal(Phase.Likely, diary.Judge().Phase.Value);
        Assert.Equal(Phase.Suspected, diary.Sign("dull", 2).Ate(1).Judge().Phase.Value);
        Assert.Equal(Phase.Likely, diary.Sign("dark-line", 0.5).Sign("sluggish", 0.4).Judge().Phase.Value);
    }

    [Fact]
    public void Signs_that_led_to_nothing_lapse()
    {
        // A juvenile's premolt is taken as 35 days: signs of 71 days ago are too old, those of 69 are not.
        Diary Waited(double ago) =>
            new Diary().LegSpan(60).With(200, new Molted()).Sign("sluggish", ago).Sign("plump", ago);
        Assert.Equal(Phase.Suspected, Waited(69).Judge().Phase.Value);
        var lapsed = Waited(71).Judge();
        Assert.Equal(Phase.Open, lapsed.Phase.Value);
        Assert.All(lapsed.Reading.Value.Evidence, e => Assert.Equal("too long ago", e.Note));
        Assert.Equal(Phase.Open, Juvenile().Sign("on-its-back", 7).Judge().Phase.Value);
    }

    // Handbook, molting: signs of colour and a sealed burrow hold until the molt, a meal taken or a clean look, however long.
    [Theory]
    [InlineData("dark-under-hair")]
    [InlineData("burrow-sealed")]
    public void Darkening_and_a_sealed_door_do_not_lapse_by_the_calendar(string sign)
    {
        Diary Waited() => new Diary().LegSpan(60).With(300, new Molted()).Sign(sign, 170);
        Assert.NotEqual(Phase.Open, Waited().Judge().Phase.Value);
        Assert.Null(Waited().Judge().Meal.Value.Due);
        Assert.Equal(Phase.Open, Waited().Ate(3).Judge().Phase.Value);
        Assert.Equal(Phase.Open, Waited().With(3, new Looked()).Judge().Phase.Value);
    }

    [Fact]
    public void A_molt_clears_every_sign_and_hardening_begins()
    {
        var j = Juvenile().Sign("plump", 5).Refused(4).Sign("dark-under-hair", 3).With(1, new Molted()).Judge();
        Assert.Equal(Phase.Hardening, j.Phase.Value);
        Assert.Empty(j.Reading.Value.Evidence);
    }

    [Fact]
    public void Legs_curled_under_is_no_molt_but_a_call_for_water()
    {
        var before = Juvenile().Judge();
        var j = Juvenile().Sign("curled-under", 0.1).Judge();
        Assert.Equal(Phase.Open, j.Phase.Value);
        Assert.Contains("water at once", j.Reading.Value.NeedsHelp!, StringComparison.Ordinal);
        Assert.True(j.Molt.Value!.PremoltChance < before.Molt.Value!.PremoltChance);
        Assert.Equal(Rounds.RoundAct.Help, Rounds.RoundLine.Of(j).Act);
    }

    [Fact]
    public void A_look_without_a_sign_speaks_a_little_against()
    {
        var before = Juvenile().Judge().Molt.Value!.PremoltChance;
        Assert.True(Juvenile().With(1, new Looked()).Judge().Molt.Value!.PremoltChance < before);
    }

    [Fact]
    public void Adding_a_sign_never_lowers_the_chance_nor_moves_the_molt_away()
    {
        var signs = RuleSet
            .Shipped.Signs.Where(s => s.Groups.Contains("tarantula") && s.Strength != SignStrength.Opposite)
            .Select(s => s.Id)
            .ToArray();
        Gen.Select(
                Gen.Int[0, signs.Length - 1].Select(k => signs[k]).Array[0, 5],
                Gen.Int[0, signs.Length - 1].Select(k => signs[k]),
                Gen.Int[0, 300]
            )
            .Sample(
                (some, one, waited) =>
                {
                    Diary With(IEnumerable<string> ids)
                    {
                        var diary = new Diary().LegSpan(60, 399).With(waited + 10, new Molted());
                        foreach (var id in ids)
                        {
                            diary.Sign(id, 1);
                        }

                        return diary;
                    }

                    var (less, more) = (With(some).Judge().Molt.Value!, With(some.Append(one)).Judge().Molt.Value!);
                    Assert.True(more.PremoltChance >= less.PremoltChance - 1e-12);
                    Assert.True(more.P50 <= less.P50);
                    Assert.True(more.P10 >= Diary.Room().Tonight);
                },
                iter: 200
            );
    }

    [Fact]
    public void The_ladder_ends_at_the_chance_that_is_shown()
    {
        var molt = Juvenile().Sign("plump", 3).Refused(2).Sign("dark-under-hair", 1).Judge().Molt.Value!;
        Assert.Equal(molt.PremoltChance, molt.Ladder[^1].Chance, 1e-12);
        // Nights waited, the last meal, and three signs.
        Assert.Equal(5, molt.Ladder.Count);
    }

    [Fact]
    public void A_mature_male_and_an_adult_jumper_wait_for_no_molt()
    {
        Assert.Null(new Diary(sex: Sex.Male).With(90, new Molted(Ultimate: true)).Judge().Molt.Value);
        Assert.Null(new Diary("hyllus-diardi", Sex.Female, mature: true).Judge().Molt.Value);
        Assert.NotNull(new Diary(sex: Sex.Female).With(90, new Molted(Ultimate: true)).Judge().Molt.Value);
    }

    [Fact]
    public void A_very_long_wait_is_said_to_be_long_and_never_to_be_dug_up()
    {
        var j = new Diary(cameNightsAgo: 1200).LegSpan(60, 1100).With(1000, new Molted()).Judge();
        Assert.True(j.Molt.Value!.LongerThanNormal);
        var why = Assert.Single(j.Molt.Reasons, r => r.Topic == "Long wait");
        Assert.Contains("leave the animal be", why.Text, StringComparison.Ordinal);
        Assert.DoesNotContain(" dig ", why.Text, StringComparison.OrdinalIgnoreCase);
    }

    [Fact]
    public void Own_intervals_pull_the_forecast_towards_the_animals_own_pace()
    {
        Diary Every(int days)
        {
            var diary = new Diary(cameNightsAgo: 900).LegSpan(60, 899);
            for (var ago = 800; ago > 20; ago -= days)
            {
                diary.Add(ago, new Molted());
            }

            return diary;
        }

        var (quick, slow) = (Every(70).Judge().Molt, Every(150).Judge().Molt);
        Assert.Contains(quick.Reasons, r => r.Topic == "Own pace");
        Assert.True(quick.Value!.P50 < slow.Value!.P50);
    }
}
