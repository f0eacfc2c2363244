using CsCheck;
using Husbandry.Climate;
using Husbandry.Larder;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Tests;

/// <summary>Work at the cultures and orders that falls on a round.</summary>
public class LarderWorkTests
{
    private static readonly CultureRules FlyPot = RuleSet.Shipped.Feeder("fruit-fly-small")!.Culture!;
    private static readonly CultureRules Casters = RuleSet.Shipped.Feeder("house-fly")!.Culture!;

    private static IReadOnlyList<LarderWork> Work(
        Room room,
        IEnumerable<FoodNeed> needs,
        params (double DaysAgo, LarderAct Act)[] acts
    )
    {
        var larder = LarderStanding.Fold(
            acts.Select(
                (a, i) => new LarderEntry(Guid.NewGuid(), i + 1, Diary.Evening.AddDays(-a.DaysAgo), "Keeper", a.Act)
            ),
            RuleSet.Shipped
        );
        return LarderWork.Of(larder, LarderPlan.Of(needs, larder, [], new Dictionary<string, int>(), [], room), room);
    }

    private static CultureStarted Flies(Guid id, int pots = 1) => new(id, "fruit-fly-small", pots);

    [Fact]
    public void A_pot_is_thrown_away_when_it_is_past_its_time_and_not_before()
    {
        var room = Diary.Room();
        var end = FlyPot.EndDays.Value;
        var id = Guid.NewGuid();
        var soon = Assert.Single(Work(room, [], (end - 5, Flies(id, 2))));
        Assert.Equal(room.Tonight.AddDays(5), soon.Due);
        var late = Assert.Single(Work(room, [], (end + 3, Flies(id, 2))));
        Assert.Equal(room.Tonight.AddDays(-3), late.Due);
        Assert.Equal((LarderTask.ThrowAway, CultureEnd.Spent, 2), (late.Task, late.End, late.Pots));
        Assert.Equal(2 * room.Rules.Larder.MinutesPerPot.Value, late.Minutes);
        Assert.Contains("2 pots of", late.Text, StringComparison.Ordinal);
        Assert.Contains(late.Reasons, r => r.Rule == "feeder.fruit-fly-small.culture.endDays");
    }

    [Fact]
    public void A_pot_with_mites_goes_at_once_however_young()
    {
        // Common practice, no published source: a culture with mites is discarded.
        var id = Guid.NewGuid();
        var room = Diary.Room();
        var work = Assert.Single(Work(room, [], (5, Flies(id)), (2, new MitesSeen(id))));
        Assert.Equal((LarderTask.ThrowAway, CultureEnd.Mites, id), (work.Task, work.End, work.CultureId));
        Assert.Equal(room.Tonight.AddDays(-2), work.Due);
        Assert.Empty(
            Work(room, [], (5, Flies(id)), (2, new MitesSeen(id)), (1, new CultureEnded(id, CultureEnd.Mites)))
        );
    }

    [Fact]
    public void Pots_leave_the_cold_before_more_than_half_are_lost()
    {
        var id = Guid.NewGuid();
        var room = Diary.Room();
        var holds = Casters.ColdHoldsDays!.Value;
        var work = Assert.Single(
            Work(room, [], (10, new CultureStarted(id, "house-fly", 1)), (4, new CultureChilled(id, IntoCold: true)))
        );
        Assert.Equal(LarderTask.OutOfCold, work.Task);
        Assert.Equal(room.Tonight.AddDays((int)holds - 4), work.Due);
        var chilled = new Culture(
            id,
            "house-fly",
            1,
            Diary.Evening,
            0,
            [new ColdStay(Diary.Evening, null)],
            null,
            null,
            null
        );
        Assert.True(Emergence.Viable(chilled, Casters, Diary.Evening.AddDays((int)holds)) >= 0.5 - 1e-9);
    }

    [Fact]
    public void What_the_plan_wants_started_or_ordered_comes_with_its_night_and_its_reasons()
    {
        var room = Diary.Room();
        var flies = Enumerable.Range(0, 56).Select(t => new FoodNeed(new FoodKey("fruit-fly-small", "one"), t, 20, 0));
        var crickets = Enumerable.Range(0, 56).Select(t => new FoodNeed(new FoodKey("cricket", "small"), t, 5, 0));
        var counted = new FoodCounted(new FoodKey("cricket", "small"), 0);
        var work = Work(room, flies.Concat(crickets), (0, counted));
        var order = work.First(w => w.Task == LarderTask.Order && w.FeederId == "cricket");
        Assert.Equal(room.Tonight, order.Due);
        Assert.NotEmpty(order.Reasons);
        Assert.All(work.Where(w => w.Task == LarderTask.Start), w => Assert.True(w.Pots > 0 && w.Minutes > 0));
        Assert.Contains(work, w => w.Task == LarderTask.Start);
    }

    [Fact]
    public void What_the_night_of_an_age_says_is_the_night_on_which_the_culture_has_that_age() =>
        Gen.Select(Gen.Double[0, 40], Gen.Double[0, 60])
            .Sample(
                (ago, age) =>
                {
                    var room = Diary.Room();
                    var pot = new Culture(Guid.Empty, "", 1, Diary.Evening.AddDays(-ago), 0, [], null, null, null);
                    var pace = Emergence.Pace(room.Rules.Larder, room.RecentC);
                    var nights = Emergence.NightAt(pot, age, room).DayNumber - room.Tonight.DayNumber;
                    var then = Emergence.Age(pot, room.Now, pace) + (nights * pace);
                    return then >= age - 1e-9 && then - pace < age + 1e-9;
                }
            );
}
