using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rounds;
using Husbandry.Rulebook;

namespace Husbandry.Tests;

/// <summary>What a line of the round asks for, and in which order of urgency.</summary>
public class RoundLineTests
{
    private static readonly Offered LeftIn = new("cricket", "small", 1, Preparation.Live, OfferOutcome.NotSeen);

    private static Diary Fed() => new Diary().LegSpan(60).Ate(2).Watered(0.1);

    [Fact]
    public void Nothing_due_is_a_quiet_line_with_the_next_instant()
    {
        var line = Fed().Line();
        Assert.Equal((LineState.Quiet, RoundAct.None), (line.State, line.Act));
        Assert.Equal("next meal Sat 28 Nov", line.Do);
        // Water every three days comes before the meal of the 28th.
        Assert.Equal(new DateTimeOffset(2026, 11, 26, 6, 0, 0, TimeSpan.Zero), line.NextDue);
    }

    [Fact]
    public void A_due_meal_names_count_food_and_limit()
    {
        var line = new Diary().LegSpan(60).Ate(8).Watered(0).Line();
        Assert.Equal(RoundAct.Feed, line.Act);
        Assert.Equal("Offer 1 medium roach nymph, ≤ 16.8 mm", line.Do);
        Assert.Contains("last fed 8 nights ago, Sun 15 Nov", line.Detail, StringComparison.Ordinal);
        Assert.Contains("leftovers out within 24 h", line.Detail, StringComparison.Ordinal);
        Assert.True(line.Seconds > 0);
    }

    private static IEnumerable<string> Beside(RoundLine line) => line.Beside.Select(o => $"{o.Key} {o.Label}");

    [Fact]
    public void What_can_be_told_besides_is_what_the_line_is_about()
    {
        var meal = new Diary().LegSpan(60).Ate(8).Watered(0).Line();
        Assert.Equal(["s Sign seen", "l Later"], Beside(meal));
        Assert.Equal(("Fed as offered", LineSection.Shelf), (meal.Together!.Word, meal.Section));
        Assert.Equal(meal.Choices[0].Acts, meal.Together.Acts);
        Assert.Equal(new PutOff(new DateOnly(2026, 11, 24)), Assert.Single(meal.Beside.Single(o => o.Key == "l").Acts));

        var leftovers = new Diary().LegSpan(60).Ate(20).With(0.9, LeftIn).Line();
        Assert.Equal(["t Taken after all", "s Sign seen", "l Later"], Beside(leftovers));
        var after = leftovers.Beside[0];
        Assert.Equal(leftovers.PreyIn!.EntryId, after.Corrects);
        Assert.Equal(LeftIn with { Outcome = OfferOutcome.TakenLater }, Assert.Single(after.Acts));
        Assert.Equal((null, LineSection.First), (leftovers.Together, leftovers.Section));

        var molting = Fed().Sign("mat", 2).Line();
        Assert.Equal(RoundAct.LookForMolt, molting.Act);
        Assert.Equal(["m Molted", "s Sign seen", "l Not yet"], Beside(molting));
        Assert.Equal((EntryForm.Molted, true), (molting.Beside[0].Form, molting.Beside[0].IsMain));

        // Where nothing needs a hand, nothing is offered.
        Assert.Empty(Fed().Line().Beside);
    }

    [Fact]
    public void Leftovers_go_before_feeding_and_water()
    {
        var line = new Diary().LegSpan(60).Ate(20).With(0.9, LeftIn).Line();
        Assert.Equal(RoundAct.RemoveLeftovers, line.Act);
        Assert.Equal("Take out 1 small cricket, in for 21 h", line.Do);
        Assert.Equal(LeftIn.AsOffer(), line.PreyIn!.Offer);
    }

    [Fact]
    public void A_call_for_help_goes_before_everything()
    {
        var line = new Diary().LegSpan(60).With(0.9, LeftIn).Sign("curled-under", 0.1).Line();
        Assert.Equal(RoundAct.Help, line.Act);
        Assert.Contains("exotics vet", line.Detail, StringComparison.Ordinal);
    }

    [Fact]
    public void A_call_for_help_is_answered_by_water()
    {
        var diary = new Diary().LegSpan(60).Ate(1).Sign("curled-under", 0.2);
        Assert.Equal(RoundAct.Help, diary.Line().Act);
        Assert.NotEqual(RoundAct.Help, diary.Watered(0.1).Line().Act);
        Assert.Equal(RoundAct.Help, diary.Sign("curled-under", 0.05).Line().Act);
    }

    [Fact]
    public void A_call_for_help_stands_tonight_and_tomorrow()
    {
        Assert.Equal(RoundAct.Help, new Diary().LegSpan(60).Ate(3).Sign("curled-under", 1).Line().Act);
        Assert.NotEqual(RoundAct.Help, new Diary().LegSpan(60).Ate(3).Sign("curled-under", 2).Line().Act);
    }

    [Fact]
    public void Whether_it_has_molted_can_wait_until_tomorrow()
    {
        var diary = Fed().Sign("mat", 2).With(0.05, new PutOff(Diary.Room().Tonight.AddDays(1)));
        Assert.NotEqual(RoundAct.LookForMolt, diary.Line().Act);
        Assert.Equal(RoundAct.LookForMolt, RoundLine.Of(diary.Judge(now: Diary.Evening.AddDays(1))).Act);
    }

    [Fact]
    public void A_hushed_animal_is_passed_by_with_reason_and_until_when()
    {
        var line = Fed().Refused(1.5).Sign("dark-under-hair", 1).With(0.1, new Watered(WaterKind.Damp)).Line();
        Assert.Equal(LineState.PassBy, line.State);
        Assert.Equal(2, line.Shutters);
        Assert.Matches(@"^likely premolt: no food until about \d+ \w{3} \(.+ – .+\)$", line.Do);
        Assert.NotEmpty(line.Why.Reasons);
    }

    [Fact]
    public void Water_is_due_even_for_a_hushed_animal_but_never_for_a_molting_one()
    {
        // Handbook, molting: one task "damp one side", once; then the dish by its own clock.
        var premolt = new Diary().LegSpan(60).Refused(1.5).Sign("dark-under-hair", 1);
        Assert.Equal(RoundAct.DampSide, premolt.Line().Act);
        Assert.Equal(RoundAct.Water, premolt.With(0.2, new Watered(WaterKind.Damp)).Watered(3).Line().Act);
        var molting = new Diary().LegSpan(60).Sign("on-its-back", 0.1).Line();
        Assert.Equal((LineState.PassBy, "on its back: leave the lid shut"), (molting.State, molting.Do));
    }

    [Fact]
    public void After_the_usual_wait_the_keeper_is_asked_whether_it_has_molted()
    {
        var line = Fed().Sign("mat", 2).Line();
        Assert.Equal(RoundAct.LookForMolt, line.Act);
        Assert.Equal("Look softly: has she molted?", line.Do);
    }

    [Fact]
    public void Work_that_was_put_off_rests_until_its_night()
    {
        var tomorrow = Diary.Room().Tonight.AddDays(1);
        var diary = new Diary().LegSpan(60).Ate(20).With(0.1, new PutOff(tomorrow));
        Assert.Equal((LineState.Quiet, "put off until Tue 24 Nov"), (diary.Line().State, diary.Line().Do));
        Assert.Equal(RoundAct.Feed, RoundLine.Of(diary.Judge(now: Diary.Evening.AddDays(1))).Act);
    }

    [Fact]
    public void What_left_the_collection_asks_for_nothing()
    {
        var line = new Diary().LegSpan(60).With(1, new Departed(DepartureKind.Sold)).Line();
        Assert.Equal(LineState.Quiet, line.State);
        Assert.Null(line.NextDue);
    }

    [Fact]
    public void An_animal_never_measured_is_measured_first()
    {
        var line = new Diary().Watered(0).Line();
        Assert.Equal("Measure her, then feed: size unknown", line.Do);
        Assert.Null(line.Offer);
    }

    [Theory]
    [InlineData("tliltocatl-albopilosus", 60, "Fill the water dish")]
    [InlineData("tliltocatl-albopilosus", 15, "Mist: drops to drink")]
    [InlineData("hyllus-diardi", 18, "Mist: drops to drink")]
    public void Water_is_given_as_the_animal_drinks(string species, double legSpan, string what) =>
        Assert.Equal(what, new Diary(species).LegSpan(legSpan).Ate(0.1).Watered(7).Line().Do);

    [Theory]
    [InlineData("tliltocatl-albopilosus", 3)]
    [InlineData("tliltocatl-vagans", 7)]
    [InlineData("hyllus-diardi", 1)]
    public void Water_follows_the_moisture_school_of_the_species(string species, int days)
    {
        var water = new Diary(species).LegSpan(species == "hyllus-diardi" ? 18 : 60).Watered(0).Judge().Water.Value;
        Assert.Equal(Diary.Room().Tonight.AddDays(days), water.Due);
    }

    [Theory]
    [InlineData(7.9, 10, Growth.ConditionWord.Thin)]
    [InlineData(8.0, 10, Growth.ConditionWord.Normal)]
    [InlineData(15.0, 10, Growth.ConditionWord.Normal)]
    [InlineData(15.1, 10, Growth.ConditionWord.Plump)]
    [InlineData(20.1, 10, Growth.ConditionWord.VeryPlump)]
    public void The_condition_score_has_the_limits_of_the_rulebook(
        double abdomen,
        double carapace,
        Growth.ConditionWord word
    )
    {
        // Source of 0.8 and 2: house; of 1.5: common practice, no published source.
        var diary = new Diary()
            .With(2, new Measured(BodyPart.CarapaceWidth, carapace))
            .With(2, new Measured(BodyPart.AbdomenWidth, abdomen));
        Assert.Equal(word, diary.Judge().Condition.Value.Word);
    }

    [Fact]
    public void A_condition_score_grows_old_and_none_is_read_for_a_mature_male()
    {
        static Diary Measured(Diary diary, double ago) =>
            diary.With(ago, new Measured(BodyPart.CarapaceWidth, 10)).With(ago, new Measured(BodyPart.AbdomenWidth, 5));
        Assert.Equal(Growth.ConditionWord.Thin, Measured(new Diary(), 30).Judge().Condition.Value.Word);
        Assert.Equal(Growth.ConditionWord.Unknown, Measured(new Diary(), 31).Judge().Condition.Value.Word);
        Assert.Equal(
            Growth.ConditionWord.Unknown,
            Measured(new Diary(sex: Sex.Male, mature: true), 2).Judge().Condition.Value.Word
        );
    }

    [Fact]
    public void A_very_plump_animal_is_held_and_its_hush_says_so()
    {
        var diary = new Diary().LegSpan(60).Ate(20).Watered(0);
        var j = diary
            .With(1, new Measured(BodyPart.CarapaceWidth, 10))
            .With(1, new Measured(BodyPart.AbdomenWidth, 21))
            .Judge();
        Assert.Null(j.Meal.Value.Due);
        Assert.Contains(j.Hush[CareAct.FeedLive].Contributors, c => c.Cause == HushCause.VeryPlump);
    }

    [Fact]
    public void The_strictest_verdict_wins_and_every_contributor_is_listed()
    {
        var j = new Diary()
            .LegSpan(60)
            .Refused(3)
            .Sign("plump", 3)
            .Sign("dark-under-hair", 2)
            .With(1, new Measured(BodyPart.CarapaceWidth, 10))
            .With(1, new Measured(BodyPart.AbdomenWidth, 21))
            .Judge();
        var line = j.Hush[CareAct.FeedDead];
        Assert.Equal(Verdict.Never, line.Verdict);
        Assert.Equal(
            [HushCause.Darkening, HushCause.Likely, HushCause.VeryPlump],
            line.Contributors.Select(c => c.Cause).Order()
        );
        Assert.Equal(
            line.Contributors.Select(c => c.Verdict).OrderDescending(),
            line.Contributors.Select(c => c.Verdict)
        );
    }

    [Fact]
    public void The_nightline_bands_marks_and_chores_come_from_the_judgements()
    {
        var waiting = new Diary().LegSpan(60).Ate(2).With(90, new Molted());
        var hardening = new Diary("caribena-versicolor").LegSpan(70, 100).With(2, new Molted());
        var male = new Diary(sex: Sex.Male).With(200, new Molted(Ultimate: true));
        var room = Diary.Room();
        var strip = Nightline.Of(
            [.. new[] { waiting.Judge(), hardening.Judge(), male.Judge() }.Select(Glance.Of)],
            room
        );
        Assert.Equal(room.Tonight.AddDays(-14), strip.From);
        Assert.Equal(room.Tonight.AddDays(70), strip.To);
        Assert.Equal([BandKind.FirstMeal, BandKind.Molt], strip.Bands.Select(b => b.Kind));
        Assert.All(strip.Bands, b => Assert.True(b.From <= b.Likely && b.Likely <= b.To));
        Assert.Equal(room.Tonight.AddDays(-2), Assert.Single(strip.Marks).Night);
        Assert.Contains(strip.Chores, c => c.Night == new DateOnly(2026, 11, 28) && c.Count == 1);
    }

    [Fact]
    public void The_lifeline_steps_from_molt_to_molt_and_carries_sizes_to_unmeasured_skins()
    {
        var diary = new Diary(molts: 4, cameNightsAgo: 200)
            .Ate(180)
            .Refused(120)
            .With(100, new Molted())
            .With(99, new Measured(BodyPart.Carapace, 10, FromExuvia: true))
            .Sign("plump", 5);
        var life = Lifeline.Of(diary.Judge(), diary.Entries);
        Assert.Equal([5, 6], life.Steps.Select(s => s.Instar!.Value));
        Assert.Equal(10, life.Steps[0].LengthMm!.Value, 1e-9);
        Assert.False(life.Steps[0].IsEstimate);
        // Source of the ratio: the species' rule, 1.3 from memory.
        Assert.Equal(13, life.Steps[1].LengthMm!.Value, 1e-9);
        Assert.True(life.Steps[1].IsEstimate);
        Assert.Equal(life.Steps[0].To, life.Steps[1].From);
        Assert.Single(life.Meals);
        Assert.Single(life.Refusals);
        Assert.Equal("plump", Assert.Single(life.Signs).Label);
    }

    [Fact]
    public void A_withdrawn_meal_is_not_drawn()
    {
        var diary = new Diary().LegSpan(60);
        var meal = diary.Add(3, new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.Eaten));
        diary.Add(0, new Withdrawn(meal));
        Assert.Empty(Lifeline.Of(diary.Judge(), diary.Entries).Meals);
    }
}
