using CsCheck;
using Husbandry.Almanac;
using Husbandry.Chores;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>The weeks ahead as bands: what they hold, that each keeps its key, and that what is over is said to be.</summary>
public class AlmanacTests
{
    private static AlmanacPlan Plan(Diary diary, DateTimeOffset? now = null) =>
        Plan([Glance.Of(diary.Judge(now: now))], ChoreStanding.Empty, now);

    private static AlmanacPlan Plan(IReadOnlyList<Glance> all, ChoreStanding chores, DateTimeOffset? now = null) =>
        AlmanacPlan.Of(all, chores, Diary.Room(now: now));

    private static ChoreStanding Chores(params ChoreAct[] acts) =>
        ChoreStanding.Fold(acts.Select((a, k) => new ChoreEntry(Guid.NewGuid(), k + 1, Diary.Evening, "Keeper", a)));

    private static DateOnly Tonight => Diary.Room().Tonight;

    [Fact]
    public void A_first_meal_is_awaited_after_the_molt_and_over_once_it_has_eaten()
    {
        var diary = new Diary(molts: 5).LegSpan(60).With(1, new Molted());
        var soft = Plan(diary);
        var meal = Assert.Single(soft.Bands, b => b.Kind == AlmanacKind.FirstMeal);
        Assert.DoesNotContain(soft.Ended, e => e.Key == meal.Key);
        Assert.Contains(soft.Ended, e => e.Label == "molted");
        diary.With(-16, new FangsChecked(true));
        var hard = Plan(diary, Diary.Evening.AddDays(17));
        Assert.DoesNotContain(hard.Bands, b => b.Key == meal.Key);
        Assert.DoesNotContain(hard.Ended, e => e.Key == meal.Key);
        var ate = Plan(diary.Ate(-18).Ate(-19), Diary.Evening.AddDays(20));
        var ended = Assert.Single(ate.Ended, e => e.Key == meal.Key);
        Assert.Equal(("eats again", Tonight.AddDays(18)), (ended.Label, ended.On));
    }

    [Fact]
    public void A_wait_that_is_over_keeps_its_key()
    {
        var pupa = new Diary("samia-ricini", cameNightsAgo: 40).With(10, new Began(VigilKind.Emergence));
        var band = Assert.Single(Plan(pupa).Bands, b => b.Kind == AlmanacKind.Wait);
        var over = Plan(pupa.With(0.2, new Ended(VigilKind.Emergence, VigilEnd.AsHoped)));
        var ended = Assert.Single(over.Ended, e => e.Key == band.Key);
        Assert.Equal(("emerged", Tonight), (ended.Label, ended.On));
    }

    [Fact]
    public void New_stock_stands_apart_as_a_band_of_thirty_nights()
    {
        var plan = Plan(new Diary(cameNightsAgo: 3).LegSpan(60, 1));
        var apart = Assert.Single(plan.Bands, b => b.Kind == AlmanacKind.Quarantine);
        // Thirty nights, the first of them the one on which it came; common practice, no published source.
        Assert.Equal(29, apart.To.DayNumber - apart.From.DayNumber);
        Assert.Equal(Tonight.AddDays(-3), apart.From);
        Assert.Null(apart.Likely);
    }

    [Fact]
    public void Chores_stand_at_their_nights_seasons_as_ranges_and_gear_as_booked()
    {
        var (weekly, leaves, cage) = (Guid.NewGuid(), Guid.NewGuid(), Guid.NewGuid());
        var plan = Plan(
            [],
            Chores(
                new ChorePlanned(
                    weekly,
                    new ChorePlan(ChoreKind.Cleaning, "Wipe", "B2·03", Tonight.AddDays(2), 7, null, "", 5)
                ),
                new ChorePlanned(
                    leaves,
                    new ChorePlan(
                        ChoreKind.Season,
                        "Leaves",
                        "",
                        Tonight.AddDays(-60),
                        null,
                        new SeasonSpan(10, 15, 12, 5),
                        "",
                        60
                    )
                ),
                new GearAdded(cage, "Net cage"),
                new GearBooked(Guid.NewGuid(), cage, Tonight.AddDays(4), Tonight.AddDays(6), "Tansy")
            )
        );
        var wipes = plan.Bands.Where(b => b.Kind == AlmanacKind.Chore).ToList();
        Assert.Equal(12, wipes.Count);
        Assert.All(wipes, w => Assert.Equal(("B2", w.From), (w.Shelf, w.To)));
        Assert.Equal("every 7 days", wipes[0].Label);
        var season = Assert.Single(plan.Bands, b => b.Kind == AlmanacKind.Season);
        Assert.Equal(new DateOnly(2026, 12, 5), season.To);
        var booked = Assert.Single(plan.Bands, b => b.Kind == AlmanacKind.Booking);
        Assert.Equal(("Net cage", "Tansy", 2), (booked.Who, booked.Label, booked.To.DayNumber - booked.From.DayNumber));
    }

    private static readonly Gen<Diary> AnyDiary = Gen.Select(
            Gen.Int[0, RuleSet.Shipped.Species.Count - 1],
            Gen.Int[5, 500],
            Gen.Int[0, 120],
            Gen.Int[0, 40],
            Gen.Bool,
            Gen.Bool
        )
        .Select(
            (species, came, molted, ate, mature, gone) =>
            {
                var diary = new Diary(RuleSet.Shipped.Species[species].Id, Sex.Female, came, mature, 3);
                if (molted < came - 1)
                {
                    diary.With(molted + 0.5, new Molted());
                }

                if (ate < came - 1)
                {
                    diary.Ate(ate + 0.3);
                }

                return gone ? diary.With(0.1, new Departed(DepartureKind.Sold)) : diary;
            }
        );

    [Fact]
    public void Whatever_is_kept_each_key_is_there_once_and_each_band_touches_the_weeks_ahead() =>
        AnyDiary
            .List[0, 6]
            .Sample(
                diaries =>
                {
                    var plan = Plan([.. diaries.Select(d => Glance.Of(d.Judge()))], ChoreStanding.Empty);
                    var keys = plan.Bands.Select(b => b.Key).Concat(plan.Ended.Select(e => e.Key)).ToList();
                    return keys.Distinct().Count() == keys.Count
                        && plan.Bands.All(b =>
                            b.From <= b.To
                            && b.To >= plan.From
                            && b.From <= plan.To
                            && (b.Likely is not { } likely || (b.From <= likely && likely <= b.To))
                        )
                        && plan.Ended.All(e => e.On <= plan.From)
                        && diaries
                            .Where(d => d.Standing().Departure is not null)
                            .All(d => plan.Bands.All(b => b.StockId != d.StockId));
                },
                iter: 400
            );

    [Fact]
    public void Bands_stand_in_the_order_in_which_they_begin() =>
        AnyDiary
            .List[2, 8]
            .Sample(
                diaries =>
                {
                    var starts = Plan([.. diaries.Select(d => Glance.Of(d.Judge()))], ChoreStanding.Empty)
                        .Bands.Select(b => b.From < Tonight ? Tonight : b.From)
                        .ToList();
                    return starts.SequenceEqual(starts.Order());
                },
                iter: 200
            );
}
