using Husbandry.Nursery;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>Winters of pupae, counted from what was read where they lie.</summary>
public class WinterTests
{
    private static Diary Pupa(string species = "saturnia-pyri") =>
        new Diary(species, Sex.Unknown, 300, molts: 4).With(150, new Began(VigilKind.Emergence));

    private static WinterWeeks? Of(Diary diary) => WinterWeeks.Of(diary.Judge().Subject);

    [Fact]
    public void Warm_days_are_told_and_undo_nothing()
    {
        var cold = Pupa().With(70, new Chilled(true)).ReadEachDay(70, 4);
        Assert.Equal(
            (10, 70, 0, 0),
            (Of(cold)!.Done, Of(cold)!.Days.DoneDays, Of(cold)!.WarmDays, Of(cold)!.Days.UnreadDays)
        );
        Assert.Empty(Of(cold)!.Besides);
        var warm = Of(Pupa().With(70, new Chilled(true)).ReadEachDay(70, 12))!;
        Assert.Equal((0, 70), (warm.Done, warm.WarmDays));
        Assert.Contains("up to 12 °C", warm.Besides, StringComparison.Ordinal);
        Assert.False(warm.IsDone || warm.IsDoneUnread);
    }

    [Fact]
    public void A_warm_room_tells_nothing_of_the_refrigerator_in_it_and_a_cold_one_is_the_winter()
    {
        Diary In(double celsius, string zone) => Pupa().With(100, new Chilled(true)).ReadEachDay(100, celsius, zone);
        var fridge = In(21, "");
        Assert.Equal((0, 0, 100), (Of(fridge)!.Days.DoneDays, Of(fridge)!.WarmDays, Of(fridge)!.Days.UnreadDays));
        Assert.True(Of(fridge)!.IsDoneUnread);
        Assert.Contains("by the calendar", fridge.Judge().Phase.Summary, StringComparison.Ordinal);
        Assert.True(Of(In(5, ""))!.IsDone);
        // Read at its own shelf it is where it lies, and no winter.
        var shelf = In(21, "A1");
        Assert.True(Of(shelf)!.IsReadWarm);
        Assert.Contains("no winter is counted", shelf.Judge().Phase.Summary, StringComparison.Ordinal);
        Assert.Contains(CareAct.Ship, shelf.Judge().Hush.Never);
    }

    [Fact]
    public void Who_was_taken_out_too_early_is_told_so_and_nothing_that_was_not_read_is_held_against_it()
    {
        var early = Pupa().With(70, new Chilled(true)).With(20, new Chilled(false)).ReadEachDay(70, 4);
        Assert.True(Of(early)!.IsCutShort);
        Assert.Contains("may lie over", early.Judge().Phase.Summary, StringComparison.Ordinal);
        var unread = Pupa().With(130, new Chilled(true)).With(20, new Chilled(false));
        Assert.False(Of(unread)!.IsCutShort);
        Assert.True(Of(unread)!.IsDone);
    }

    [Fact]
    public void A_kind_of_which_only_some_rest_has_a_winter_once_it_was_put_in_the_cold()
    {
        Assert.Null(Of(Pupa("papilio-machaon")));
        var summer = Pupa("papilio-machaon").Judge().Wait.Value!;
        Assert.Equal(0, summer.Left.Within(new(0)));
        var wintering = Pupa("papilio-machaon").With(20, new Chilled(true)).ReadEachDay(20, 4);
        Assert.Equal(12, Of(wintering)!.Needed);
        // Ten weeks of cold are still to come.
        Assert.Equal(0, wintering.Judge().Wait.Value!.Left.Within(new CalendarDays(60)));
    }

    [Fact]
    public void Both_sexes_are_planned_with_the_earlier_males_later_and_the_unsexed_left_out()
    {
        Subject In(Sex sex) =>
            new Diary("saturnia-pyri", sex, 300, molts: 4)
                .With(150, new Began(VigilKind.Emergence))
                .With(110, new Chilled(true))
                .ReadEachDay(110, 4)
                .Judge()
                .Subject;
        var plan = Assert.Single(
            SpeciesWarmUp.Of([
                In(Sex.Female),
                In(Sex.Female),
                In(Sex.Male),
                In(Sex.Male),
                In(Sex.Unknown),
                new Diary().Judge().Subject,
            ])
        );
        Assert.Equal((4, 1), (plan.Pupae.Count, plan.Unsexed));
        Assert.InRange(plan.Pairs, plan.PairsAtOnce, 2);
        Assert.All(plan.Pupae, p => Assert.True(p.On >= Diary.Room().Tonight && p.EmergesFrom > p.On));
        Assert.Contains(plan.Why, r => r.Rule == "species.malesEarlierDays");
        var females = Assert.Single(SpeciesWarmUp.Of([In(Sex.Female), In(Sex.Female)]));
        Assert.Empty(females.Pupae);
        Assert.Contains("Only females", females.Says, StringComparison.Ordinal);
        Assert.Empty(SpeciesWarmUp.Of([In(Sex.Female)]));
    }

    [Fact]
    public void In_the_cold_the_nights_after_it_are_reckoned_as_warm()
    {
        // A refrigerator of 4 °C must not slow the weeks after it.
        var cold = Pupa().With(97, new Chilled(true)).ReadEachDay(97, 4).Judge().Wait.Value!;
        var unread = Pupa().With(97, new Chilled(true)).Judge().Wait.Value!;
        Assert.Equal(unread.P50, cold.P50);
    }
}
