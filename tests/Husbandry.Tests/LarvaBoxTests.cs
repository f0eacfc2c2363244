using Husbandry.Almanac;
using Husbandry.Chores;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Larder;
using Husbandry.Nursery;
using Husbandry.Plants;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Sitter;
using Husbandry.Stock;
using Husbandry.Upkeep;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>
/// How larvae are kept, those that do not thrive, nights out of the cold, and the year ahead. Source unless said otherwise: common
/// practice, no published source.
/// </summary>
public class LarvaBoxTests
{
    private static readonly DateOnly Tonight = Diary.Room().Tonight;

    private static Diary Larvae(string species = "samia-ricini", int count = 30, int molts = 0) =>
        new(species, Sex.Unknown, 20, molts: molts, kind: StockKind.Brood, count: count);

    private static BoxPlan Boxes(Diary diary)
    {
        var j = diary.Judge();
        return BoxPlan.Of(j.Subject, j.Stage.Value, j.Size.Value)!.Value;
    }

    private static string? Refused(Diary diary, Act act) =>
        EntryCheck.Check(act, Occurrence.At(Diary.Evening), diary.Standing(), Diary.Room()) is [var first, ..]
            ? first.Field
            : null;

    /// <summary>Fresh daily where it is soft, every two or three days where it is woody and the lid is tight; stems last longer.</summary>
    [Theory]
    [InlineData("vanessa-cardui", BoxSchool.TightLid, 1)]
    [InlineData("samia-ricini", BoxSchool.TightLid, 2)]
    [InlineData("samia-ricini", BoxSchool.Vented, 1)]
    [InlineData("samia-ricini", BoxSchool.StemsInWater, 3)]
    [InlineData("samia-ricini", BoxSchool.LivingPlant, 2)]
    public void Leaf_is_changed_by_how_they_are_kept(string species, BoxSchool school, double every)
    {
        var kept = Larvae(species).With(9, new Boxed(school)).Judge();
        Assert.Equal(every, kept.Meal.Value.EveryDays);
        // The last instar eats most of what it ever eats: it is looked at every day.
        var grown = Larvae(species, molts: 4).With(9, new Boxed(school)).Judge();
        Assert.Equal(1, grown.Meal.Value.EveryDays);
    }

    [Fact]
    public void The_round_asks_for_leaf_as_they_are_kept()
    {
        var fed = new Offered("fresh-leaves", "one", 1, Preparation.Fresh, OfferOutcome.Eaten);
        RoundLine Line(BoxSchool school) =>
            Larvae().With(9, new Boxed(school)).With(4, fed).With(0, new Tended("frass")).Line();
        Assert.StartsWith("Look: is leaf left on the plant?", Line(BoxSchool.LivingPlant).Do, StringComparison.Ordinal);
        Assert.Contains("the neck plugged", Line(BoxSchool.StemsInWater).Detail, StringComparison.Ordinal);
        Assert.StartsWith("Put in fresh leaves", Line(BoxSchool.Vented).Do, StringComparison.Ordinal);
    }

    [Fact]
    public void Frass_of_a_tight_box_comes_out_daily_and_falls_clear_on_a_plant()
    {
        DateOnly Due(BoxSchool? school)
        {
            var box = Larvae().With(1, new Tended("frass"));
            return (school is { } s ? box.With(1, new Boxed(s)) : box).Judge().Upkeep.Value.Clocks.Single().Due!.Value;
        }

        Assert.Equal(Tonight, Due(BoxSchool.TightLid));
        Assert.Equal(Tonight.AddDays(1), Due(null));
        Assert.Equal(Tonight.AddDays(3), Due(BoxSchool.LivingPlant));
    }

    [Fact]
    public void Boxes_are_planned_by_their_school_and_what_does_not_fit_is_said()
    {
        Assert.Equal((3, 10), (Boxes(Larvae()).Boxes, Boxes(Larvae()).Each));
        Assert.Equal(1, Boxes(Larvae().With(2, new Boxed(BoxSchool.LivingPlant))).Boxes);
        Assert.Equal(8, Boxes(Larvae().With(2, new Boxed(BoxSchool.Jar))).Boxes);
        Assert.Null(Boxes(Larvae()).Kept);
        var stems = Boxes(Larvae().With(2, new Boxed(BoxSchool.StemsInWater)));
        Assert.Contains(stems.Mind, m => m.Contains("drown", StringComparison.Ordinal));
        var small = Boxes(Larvae(molts: 3).With(2, new Boxed(BoxSchool.TightLid, 0.3)));
        Assert.Contains(small.Mind, m => m.StartsWith("0.3 L is small", StringComparison.Ordinal));
        Assert.Contains(small.Mind, m => m.Contains("damp", StringComparison.Ordinal));
    }

    /// <summary>A hatchling of 4 mm is about 0.6 mm broad: it walks through a hole of 1 mm, and not through a pin hole.</summary>
    [Theory]
    [InlineData(1, true)]
    [InlineData(0.4, false)]
    [InlineData(0, false)]
    public void Holes_are_held_against_the_smallest(double holeMm, bool escapes)
    {
        var box = Larvae()
            .With(3, new Measured(BodyPart.Body, 4, false))
            .With(2, new Boxed(BoxSchool.Vented, null, holeMm));
        Assert.Equal(escapes, Boxes(box).Mind.Any(m => m.Contains("get out", StringComparison.Ordinal)));
    }

    [Theory]
    [InlineData(-1.0, null, "act.litres")]
    [InlineData(double.NaN, null, "act.litres")]
    [InlineData(null, 21.0, "act.holeMm")]
    [InlineData(2.5, 0.8, null)]
    public void A_box_is_checked(double? litres, double? hole, string? field) =>
        Assert.Equal(field, Refused(Larvae(), new Boxed(BoxSchool.Vented, litres, hole)));

    /// <summary>The numbers of the boxes are one record: they count all, and the full one is named.</summary>
    [Fact]
    public void Numbers_of_boxes_count_all_of_them_and_name_the_full_one()
    {
        var box = Larvae(molts: 3).With(2, new Boxed(BoxSchool.Vented, 3, null, null, [24, 3]));
        Assert.Equal((27, CountChange.Counted), (box.Standing().Details.Count, box.Standing().Counts[^1].Change));
        var plan = Boxes(box);
        Assert.Contains("24 and 3 in 2 boxes", plan.Kept, StringComparison.Ordinal);
        Assert.Equal("Box 1 holds 24, at most 20 are good: split it.", plan.Mind[0]);
        Assert.Contains(plan.Mind, m => m.StartsWith("3 L is small for 24 of them", StringComparison.Ordinal));
        // Parted or dead since: from which box nobody knows.
        var fewer = Boxes(box.With(1, new Counted(20)));
        Assert.DoesNotContain("boxes", fewer.Kept, StringComparison.Ordinal);
        Assert.DoesNotContain(fewer.Mind, m => m.StartsWith("Box", StringComparison.Ordinal));
        Assert.DoesNotContain(
            Boxes(Larvae(molts: 3).With(2, new Boxed(BoxSchool.Vented, 30, null, null, [12, 15]))).Mind,
            m => m.StartsWith("Box", StringComparison.Ordinal) || m.Contains("small", StringComparison.Ordinal)
        );
        Assert.Equal("act.numbers", Refused(Larvae(), new Boxed(BoxSchool.Vented, Numbers: [12, -1])));
        Assert.Equal(
            "act.numbers",
            Refused(Larvae(), new Boxed(BoxSchool.Vented, Numbers: [.. Enumerable.Repeat(1, 101)]))
        );
        Assert.Equal(
            "act.numbers",
            Refused(Larvae(), new Boxed(BoxSchool.Vented, Numbers: [int.MaxValue, int.MaxValue]))
        );
    }

    [Fact]
    public void What_lives_on_no_leaf_is_kept_on_none()
    {
        Assert.Equal("act.kind", Refused(new Diary(), new Boxed(BoxSchool.Vented)));
        Assert.Equal("act.kind", Refused(new Diary(), new SickSeen([SickSign.Sluggish])));
        Assert.Null(Refused(Larvae(), new SickSeen([SickSign.Sluggish], 30)));
        Assert.Equal("act.count", Refused(Larvae(), new SickSeen([SickSign.Sluggish], 31)));
        Assert.Equal("act.signs", Refused(Larvae(), new SickSeen([])));
        Assert.Equal("act.signs", Refused(Larvae(), new SickSeen([SickSign.Sluggish, SickSign.Sluggish])));
    }

    [Fact]
    public void A_sick_box_is_tended_last_with_its_own_tools_and_for_two_weeks()
    {
        var line = Larvae().With(2, new SickSeen([SickSign.RunnyFrass], 3)).Line();
        Assert.True(line.IsSick);
        Assert.Contains(line.Mind, m => m.StartsWith("Sick ones were seen", StringComparison.Ordinal));
        Assert.Contains(line.Kit, k => k.What.Contains("for the sick alone", StringComparison.Ordinal));
        Assert.False(Larvae().With(15, new SickSeen([SickSign.RunnyFrass])).Line().IsSick);
        // A larva about to molt is sluggish too, and dies of being moved.
        Assert.Contains("about to molt: leave it", SickSeenEntry.Advice([SickSign.Sluggish]), StringComparison.Ordinal);
        // Only coloured otherwise is no sickness, and ends no watch for it.
        Assert.False(Larvae().With(2, new SickSeen([SickSign.OddColour])).Line().IsSick);
        var both = Larvae().With(3, new SickSeen([SickSign.Shrunken])).With(1, new SickSeen([SickSign.OddColour]));
        Assert.True(both.Line().IsSick);
    }

    [Fact]
    public void Those_parted_go_on_with_their_plant_and_are_watched_as_well()
    {
        var box = Larvae().With(9, new HostChosen("lilac", Anyway: true)).With(2, new SickSeen([SickSign.Sluggish]));
        var begun = new Parted(Guid.NewGuid(), 3, "the sick", new Place("F", 1, 1)).Beginning(
            box.Standing(),
            Occurrence.At(Diary.Evening),
            Diary.Room().Clock,
            RuleSet.Shipped.Group("moth")!
        );
        Assert.Contains(begun, b => b.Act is HostChosen { Plant: "lilac", Anyway: true });
        Assert.Contains(begun, b => b.Act is SickSeen);
    }

    private static Diary Cold(int nights, double celsius = 4) =>
        new Diary("saturnia-pyri", Sex.Female, 300, molts: 5)
            .With(nights + 10, new Began(VigilKind.Emergence))
            .With(nights, new Chilled(true))
            .With(2, new Watered(WaterKind.Mist))
            .ReadEachDay(nights, celsius);

    [Fact]
    public void The_round_asks_for_the_night_out_of_the_cold_and_never_before_its_cold_is_done()
    {
        Assert.NotEqual(RoundAct.WarmUp, Cold(120).Line().Act);
        var due = Cold(120).With(1, new WarmUpPlanned(Tonight));
        Assert.Equal(RoundAct.WarmUp, due.Line().Act);
        Assert.Equal(new Chilled(false), due.Line().Choices[0].Acts[0]);
        Assert.NotEqual(RoundAct.WarmUp, Cold(120).With(1, new WarmUpPlanned(Tonight.AddDays(2))).Line().Act);
        Assert.Null(due.With(0, new Chilled(false)).Standing().Vigils.WarmUpOn);
        // 98 cold days are needed, 60 were read: waiting is offered first, until they are done.
        var early = Cold(60).With(1, new WarmUpPlanned(Tonight)).Line();
        Assert.Equal(new WarmUpPlanned(Tonight.AddDays(38)), early.Choices[0].Acts[0]);
        Assert.Contains("38 nights", early.Do, StringComparison.Ordinal);
        // Of a refrigerator that nobody read the keeper's word counts.
        var unread = new Diary("saturnia-pyri", Sex.Female, 300, molts: 5)
            .With(130, new Began(VigilKind.Emergence))
            .With(120, new Chilled(true))
            .With(2, new Watered(WaterKind.Mist))
            .With(1, new WarmUpPlanned(Tonight));
        Assert.Equal(new Chilled(false), unread.Line().Choices[0].Acts[0]);
        Assert.Empty(SitterSheet.Of([due.Judge()], twoPeople: true, Diary.Room()).Lines);
    }

    [Fact]
    public void A_planned_night_is_in_the_almanac_and_is_checked()
    {
        var on = Tonight.AddDays(20);
        var bands = AlmanacPlan
            .Of([Glance.Of(Cold(100).With(1, new WarmUpPlanned(on)).Judge())], ChoreStanding.Empty, Diary.Room())
            .Bands;
        Assert.Equal(on, Assert.Single(bands, b => b.Kind == AlmanacKind.WarmUp).From);
        Assert.Equal("act.on", Refused(Cold(90), new WarmUpPlanned(Tonight.AddDays(-1))));
        Assert.Equal("act.on", Refused(Cold(90), new WarmUpPlanned(Tonight.AddDays(9000))));
        Assert.Equal("act.kind", Refused(Larvae(), new WarmUpPlanned(on)));
        Assert.Null(Refused(Cold(90), new WarmUpPlanned(on)));
    }

    [Fact]
    public void A_box_of_pupae_is_warmed_as_one_and_half_of_it_are_reckoned_males()
    {
        var box = new Diary("saturnia-pyri", Sex.Unknown, 300, molts: 5, kind: StockKind.Brood, count: 8)
            .With(130, new Began(VigilKind.Emergence))
            .With(100, new Chilled(true))
            .With(1, new WarmUpPlanned(Tonight.AddDays(3)));
        var plan = Assert.Single(SpeciesWarmUp.Of([box.Judge().Subject, Cold(100).Judge().Subject]));
        Assert.Equal([(Sex.Unknown, 8), (Sex.Female, 1)], plan.Pupae.Select(p => (p.Sex, p.Count)));
        Assert.Equal(Tonight.AddDays(3), plan.Pupae[0].Kept);
        // Four males at most, of pupae of which not all come out.
        Assert.InRange(plan.Pairs, 1, 4);
        Assert.StartsWith(
            "Boxes ",
            plan.Says.Replace("Take all", "Boxes all", StringComparison.Ordinal),
            StringComparison.Ordinal
        );
    }

    /// <summary>Vials of slings get their cleaners before the young: so many each, on the night on which they go apart.</summary>
    [Fact]
    public void Cleaners_of_vials_are_on_the_larder_plan_before_the_young_go_apart()
    {
        var brood = new Diary("tliltocatl-albopilosus", Sex.Unknown, 3, molts: 0, kind: StockKind.Brood, count: 40)
            .With(3, new Counted(40))
            .Judge();
        var seed = brood.Subject.Group.Nursery!.Seed!.Value;
        var need = Assert.Single(FoodNeed.Of(brood, 60), n => n.Food.FeederId == seed.FeederId);
        Assert.Equal(40 * seed.Each, need.Amount, 1e-9);
        Assert.Equal(Math.Max(0, brood.Apart.Value!.On!.Value.DayNumber - Tonight.DayNumber), need.Ahead);
        // Cut where nobody lives in a vial of its own: silkworms stay together.
        Assert.DoesNotContain(FoodNeed.Of(Larvae().Judge(), 60), n => n.Food.FeederId == seed.FeederId);
    }

    /// <summary>Each part follows the other without a gap; a kind with a winter has one in the year, a silkworm kind has none.</summary>
    [Theory]
    [InlineData("saturnia-pyri", true)]
    [InlineData("samia-ricini", false)]
    public void The_year_ahead_goes_round_without_gaps(string species, bool winters)
    {
        var j = Larvae(species).Judge();
        var year = Assert.Single(YearAhead.Of([(j.Subject, j.Stage.Value, null)]));
        Assert.Equal(Tonight, year.Spans[0].From);
        Assert.True(year.Spans[0].IsForecast);
        Assert.All(year.Spans.Zip(year.Spans.Skip(1)), p => Assert.Equal(p.First.To, p.Second.From));
        Assert.Equal(winters, year.Spans.Any(s => s.Part == YearPart.Winter));
        Assert.Equal(YearPart.Larvae, year.Spans[0].Part);
        Assert.All(year.Spans, s => Assert.True(s.From < s.To));
    }

    [Fact]
    public void Looks_by_instar_are_those_of_the_last_cue_and_the_next()
    {
        // From memory: red-brown first, orange after the first molt, green from the third instar on.
        var looks = InstarLooks.Of(Larvae("actias-selene", molts: 1).Judge().Subject)!.Value;
        Assert.Contains("orange", looks.Now, StringComparison.Ordinal);
        Assert.Equal("L3", looks.NextInstar);
        Assert.Null(InstarLooks.Of(Larvae("actias-selene", molts: 4).Judge().Subject)!.Value.Next);
        Assert.Null(InstarLooks.Of(new Diary().Judge().Subject));
    }
}
