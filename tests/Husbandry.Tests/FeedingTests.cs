using CsCheck;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>Facts of the trade about feeding. Source unless said otherwise: common practice, no published source.</summary>
public class FeedingTests
{
    private static readonly RuleSet Rules = RuleSet.Shipped;

    private static readonly GroupRules Tarantula = Rules.Group("tarantula")!;

    private static DateOnly Night(int nightsAgo) => Diary.Room().Tonight.AddDays(-nightsAgo);

    [Theory]
    [InlineData(15, 10, 15)]
    [InlineData(24, 16, 24)]
    [InlineData(9, 6, 9)]
    public void Prey_is_at_most_two_thirds_of_the_body_and_never_longer(double body, double max, double never)
    {
        var fit = PreyFit.Of(Tarantula, body, Rules.Feeders, Stage.Juvenile);
        Assert.Equal(max, fit.MaxPreyMm, 1e-9);
        Assert.Equal(never, fit.NeverAboveMm, 1e-9);
    }

    [Fact]
    public void Prey_of_just_the_limit_fits_and_longer_prey_is_cut()
    {
        // A medium roach nymph is up to 15 mm: a 22.5 mm body allows just that.
        var at = Option(22.5, "roach-nymph", "medium");
        Assert.Equal((PreyVerdict.Fits, 1), (at.Verdict, at.Pieces));
        var below = Option(22.4, "roach-nymph", "medium");
        Assert.Equal((PreyVerdict.Cut, 2), (below.Verdict, below.Pieces));
    }

    [Theory]
    [InlineData(24, "large", 2)]
    [InlineData(15, "large", 3)]
    [InlineData(12, "medium", 2)]
    public void The_cut_plan_is_the_length_over_what_is_allowed_rounded_up(double body, string size, int pieces) =>
        Assert.Equal(pieces, Option(body, "roach-nymph", size).Pieces);

    [Fact]
    public void Flies_are_never_cut_and_a_giant_insect_gives_one_piece()
    {
        Assert.Equal(PreyVerdict.TooLarge, Option(9, "blue-bottle-fly", "one").Verdict);
        // Handbook, corrections: pieces have no cap; crush the head, cut to length, serve one piece.
        var giant = Option(6, "locust", "medium");
        Assert.Equal((PreyVerdict.Cut, 8, 1), (giant.Verdict, giant.Pieces, giant.Count));
        Assert.StartsWith("Crush the head first", giant.Serving, StringComparison.Ordinal);
    }

    [Fact]
    public void Fruit_flies_are_too_small_to_matter_to_an_adult() =>
        Assert.Equal(PreyVerdict.TooSmall, Option(50, "fruit-fly-small", "one").Verdict);

    [Fact]
    public void Small_prey_is_counted_up_to_one_meal()
    {
        Assert.Equal(2, Option(24, "roach-nymph", "small").Count);
        Assert.Equal(1, Option(24, "roach-nymph", "medium").Count);
    }

    [Theory]
    [InlineData(1, 0.0305)]
    [InlineData(5, 2.06824151)]
    [InlineData(10, 12.7145162)]
    [InlineData(30, 226.129658)]
    public void Insect_mass_follows_the_published_curve(double mm, double mg) =>
        // Source: Rogers, Hinds & Buschbom (1976); coefficients from memory.
        Assert.InRange(InsectMass.FromLengthMm(mm), mg * (1 - 1e-7), mg * (1 + 1e-7));

    [Fact]
    public void Cutting_always_makes_pieces_that_are_allowed() =>
        Gen.Double[2, 60]
            .Sample(body =>
                Assert.All(
                    PreyFit
                        .Of(Tarantula, body, Rules.Feeders, Stage.Juvenile)
                        .Options.Where(o => o.Verdict == PreyVerdict.Cut),
                    o => Assert.True(o.MaxMm / o.Pieces <= (body * 2 / 3) + 1e-4)
                )
            );

    [Theory]
    [InlineData(17, 2, 1, 7)]
    [InlineData(60, 7, 4, 10)]
    [InlineData(122, 14, 7, 30)]
    [InlineData(119.9, 7, 4, 10)]
    public void First_meal_waits_by_stage_with_both_schools(double legSpan, int days, int quick, int cautious)
    {
        // 119.9 mm is below the smallest adult female of the species, so it waits as a sub-adult.
        var first = new Diary()
            .LegSpan(legSpan, 0)
            .With(0.5, new Molted())
            .LegSpan(legSpan, 0)
            .Judge()
            .FirstMeal.Value!;
        Assert.Equal(Night(0).AddDays(days), first.Night);
        Assert.Equal(Night(0).AddDays(quick), first.From);
        Assert.Equal(Night(0).AddDays(cautious), first.To);
        Assert.True(first.FangsMustBeSeen);
    }

    [Fact]
    public void A_small_adult_waits_ten_days()
    {
        var first = new Diary("ceratogyrus-darlingi", mature: true)
            .LegSpan(112, 300)
            .With(0, new Molted())
            .LegSpan(112, 0)
            .Judge()
            .FirstMeal.Value!;
        Assert.Equal(Night(0).AddDays(10), first.Night);
    }

    [Fact]
    public void Hardening_counts_from_the_latest_date_it_can_have_been()
    {
        var diary = new Diary().LegSpan(60);
        diary.Add(3, new Molted(), notBefore: 9);
        var first = diary.Judge().FirstMeal.Value!;
        Assert.Equal(Night(3).AddDays(7), first.Night);
    }

    [Fact]
    public void After_the_days_food_still_waits_for_black_fangs()
    {
        var diary = new Diary().LegSpan(60).Watered(0).With(8, new Molted());
        var waiting = diary.Judge();
        Assert.Equal(Phase.FangsUnchecked, waiting.Phase.Value);
        Assert.Equal(Verdict.Never, waiting.Hush[CareAct.FeedLive].Verdict);
        Assert.Equal(RoundAct.CheckFangs, RoundLine.Of(waiting).Act);
        var black = diary.With(0.1, new FangsChecked(true)).Judge();
        Assert.Equal(Phase.Open, black.Phase.Value);
        Assert.Equal(RoundAct.Feed, RoundLine.Of(black).Act);
    }

    [Fact]
    public void Fangs_not_yet_black_are_looked_at_again_tomorrow()
    {
        var j = new Diary().LegSpan(60).Watered(0).With(8, new Molted()).With(0.1, new FangsChecked(false)).Judge();
        Assert.Equal(LineState.PassBy, RoundLine.Of(j).State);
        var tomorrow = new Diary()
            .LegSpan(60)
            .Watered(0)
            .With(8, new Molted())
            .With(0.1, new FangsChecked(false))
            .Judge(now: Diary.Evening.AddDays(1));
        Assert.Equal(RoundAct.CheckFangs, RoundLine.Of(tomorrow).Act);
    }

    [Fact]
    public void The_cautious_school_waits_longer_than_the_quick()
    {
        var diary = new Diary().LegSpan(60).With(6, new Molted());
        Assert.Equal(
            Phase.FangsUnchecked,
            diary.Judge(Diary.Settings with { FirstMeal = FirstMealSchool.Quick }).Phase.Value
        );
        Assert.Equal(
            Phase.Hardening,
            diary.Judge(Diary.Settings with { FirstMeal = FirstMealSchool.Cautious }).Phase.Value
        );
    }

    [Fact]
    public void A_paired_female_is_fed_by_the_rooms_school_and_a_plump_one_never_more()
    {
        Diary She(BodyCondition look) =>
            new Diary(sex: Sex.Female, molts: 9, cameNightsAgo: 500)
                .LegSpan(150)
                .With(60, new Molted(Ultimate: true))
                .Ate(4)
                .With(3, new Paired(null, "a friend's male"))
                .With(2, new ConditionSeen(look));
        MealPlan Of(Diary she, AfterPairingSchool school) =>
            she.Judge(Diary.Settings with { AfterPairing = school }).Meal.Value;
        var fit = She(BodyCondition.Normal);
        var steady = Of(fit, AfterPairingSchool.Steady).EveryDays;
        Assert.Equal(0.8 * steady, Of(fit, AfterPairingSchool.Extra).EveryDays, 1e-9);
        var plump = She(BodyCondition.VeryFull);
        Assert.Equal(
            Of(plump, AfterPairingSchool.Steady).EveryDays,
            Of(plump, AfterPairingSchool.Extra).EveryDays,
            1e-9
        );
        var schools = fit.Judge().Meal.Reasons.Single(r => r.Topic == "Paired").Schools;
        Assert.Equal(["steady", "extra"], schools.Select(s => s.Name));
        Assert.Equal([true, false], schools.Select(s => s.Chosen));
        // Nothing is said of it once she has laid.
        var laid = fit.With(0.5, new Ended(VigilKind.EggCase, VigilEnd.AsHoped));
        Assert.DoesNotContain(laid.Judge().Meal.Reasons, r => r.Topic == "Paired");
    }

    [Theory]
    [InlineData(17, 4)]
    [InlineData(60, 7)]
    [InlineData(105, 10)]
    [InlineData(130, 14)]
    public void Meals_come_at_the_cadence_of_the_stage(double legSpan, int days) =>
        Assert.Equal(Night(3).AddDays(days), new Diary().LegSpan(legSpan).Ate(3).Judge().Meal.Value.Due);

    [Theory]
    [InlineData(4.1, 5.6, 4)]
    [InlineData(6.0, 5.6, 7)]
    [InlineData(10.0, 5.6, 14)]
    public void Thin_animals_eat_sooner_and_plump_ones_skip_a_meal(double abdomen, double carapace, int days)
    {
        var diary = new Diary().LegSpan(60).Ate(3);
        diary
            .With(2, new Measured(BodyPart.CarapaceWidth, carapace))
            .With(2, new Measured(BodyPart.AbdomenWidth, abdomen));
        Assert.Equal(Night(3).AddDays(days), diary.Judge().Meal.Value.Due);
    }

    [Fact]
    public void A_sling_that_refused_is_offered_again_after_three_days() =>
        Assert.Equal(Night(1).AddDays(3), new Diary().LegSpan(17).Ate(6).Refused(1).Judge().Meal.Value.Due);

    [Fact]
    public void Live_prey_comes_out_within_a_day_and_at_once_when_premolt_is_suspected()
    {
        var offered = new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.NotSeen);
        var calm = new Diary().LegSpan(60).With(0.2, offered).Judge();
        Assert.Equal(Diary.Evening.AddDays(-0.2).AddHours(24), calm.Leftover.Value!.OutBy);
        Assert.False(calm.Leftover.Value.AtOnce);
        var suspected = new Diary().LegSpan(60).Refused(5).Sign("plump", 3).With(0.2, offered).Judge();
        Assert.True(suspected.Leftover.Value!.AtOnce);
        Assert.Equal(RoundAct.RemoveLeftovers, RoundLine.Of(suspected).Act);
    }

    [Fact]
    public void Prey_that_was_taken_out_or_eaten_is_no_leftover()
    {
        var diary = new Diary()
            .LegSpan(60)
            .With(0.5, new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.NotSeen));
        Assert.NotNull(diary.Judge().Leftover.Value);
        Assert.Null(diary.With(0.1, new LeftoversRemoved()).Judge().Leftover.Value);
        Assert.Null(new Diary().Refused(1).Judge().Leftover.Value);
    }

    [Fact]
    public void Suspected_animals_are_offered_pre_killed_food_only() =>
        Assert.Equal(
            Preparation.PreKilled,
            new Diary().LegSpan(60).Ate(30).Refused(12).Sign("plump", 3).Judge().Meal.Value.Offer!.Preparation
        );

    [Fact]
    public void One_feeder_does_not_make_up_more_than_half_of_ten_meals()
    {
        var diary = new Diary().LegSpan(60);
        for (var ago = 80; ago >= 8; ago -= 8)
        {
            diary.Ate(ago);
        }

        Assert.NotEqual("roach-nymph", diary.Judge().Meal.Value.Offer!.FeederId);
    }

    [Fact]
    public void A_brood_eats_for_all_its_animals()
    {
        var standing = new Diary().LegSpan(14).Standing();
        var brood = standing with { Details = standing.Details with { Kind = StockKind.Brood, Count = 46 } };
        var (one, all) = (
            Judgement.Of(standing, Diary.Room()).Meal.Value.Offer!,
            Judgement.Of(brood, Diary.Room()).Meal.Value.Offer!
        );
        Assert.Equal(one.Count * 46, all.Count);
    }

    [Fact]
    public void Units_change_words_and_never_a_judgement()
    {
        var diary = new Diary().LegSpan(60).Ate(8);
        var (mm, inch) = (diary.Judge(), diary.Judge(Diary.Settings with { Unit = LengthUnit.In }));
        Assert.Equal(mm.Prey.Value!.MaxPreyMm, inch.Prey.Value!.MaxPreyMm);
        Assert.Equal(mm.Meal.Value, inch.Meal.Value);
        Assert.EndsWith(" in.", inch.Prey.Summary, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(24.9, Stage.Sling)]
    [InlineData(25, Stage.Juvenile)]
    [InlineData(90, Stage.SubAdult)]
    [InlineData(120, Stage.Adult)]
    public void The_stage_is_decided_by_the_species_own_sizes(double legSpan, Stage stage) =>
        Assert.Equal(stage, new Diary().LegSpan(legSpan).Judge().Stage.Value);

    [Fact]
    public void A_male_is_adult_by_his_ultimate_molt_whatever_his_size()
    {
        Assert.Equal(Stage.SubAdult, new Diary(sex: Sex.Male).LegSpan(150).Judge().Stage.Value);
        Assert.Equal(
            Stage.Adult,
            new Diary(sex: Sex.Male).LegSpan(80).With(5, new Molted(Ultimate: true)).Judge().Stage.Value
        );
    }

    [Theory]
    [InlineData(4, Stage.Sling)]
    [InlineData(5, Stage.Juvenile)]
    [InlineData(8, Stage.SubAdult)]
    [InlineData(12, Stage.Adult)]
    public void Without_a_size_the_molts_decide(int molts, Stage stage) =>
        // The species' 9 to 12 molts to adult are from memory; the share that ends the sling stage is house.
        Assert.Equal(stage, new Diary(molts: molts).Judge().Stage.Value);

    [Fact]
    public void Giants_stay_slings_longer() =>
        Assert.Equal(Stage.Sling, new Diary("acanthoscurria-geniculata").LegSpan(30).Judge().Stage.Value);

    [Fact]
    public void Size_is_carried_over_a_molt_by_the_species_ratio_and_said_to_be_an_estimate()
    {
        var size = BodySize
            .Of(Subject.Of(new Diary().LegSpan(50, 20).With(5, new Molted()).Standing(), Diary.Room()))
            .Value!;
        Assert.Equal(65, size.SizeMm, 1e-9);
        Assert.True(size.IsEstimate);
    }

    private static PreyOption Option(double body, string feeder, string size) =>
        PreyFit
            .Of(Tarantula, body, Rules.Feeders, Stage.Juvenile)
            .Options.Single(o => o.FeederId == feeder && o.SizeClassId == size);
}
