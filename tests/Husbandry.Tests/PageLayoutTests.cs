using CsCheck;
using Husbandry.Growth;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>What the page of each kind and stage of life is composed of, and what it says beforehand.</summary>
public class PageLayoutTests
{
    private static PageLayout Page(Diary diary)
    {
        var judgement = diary.Judge();
        return PageLayout.Of(judgement, Lifeline.Of(judgement, diary.Entries));
    }

    [Fact]
    public void A_colony_has_food_and_numbers_and_no_growth_or_molt()
    {
        var colony = new Diary("lasius-niger", kind: StockKind.Colony);
        var page = Page(colony);
        Assert.Empty(page.Drawn);
        Assert.Equal([PageSection.Food, PageSection.Numbers, PageSection.Notes], page.Body);
        Assert.Equal(
            [],
            page.Tonight.Intersect([PageSection.Signs, PageSection.Stage, PageSection.Condition, PageSection.Meal])
        );
        Assert.DoesNotContain("molt", colony.Judge().Phase.Summary);
    }

    [Fact]
    public void A_growing_spider_has_its_life_its_signs_and_its_prey()
    {
        var page = Page(new Diary().LegSpan(70).Ate(9));
        Assert.Equal([PageSection.Life, PageSection.Awaited], page.Drawn);
        Assert.Empty(page.Wide);
        Assert.Equal(
            [PageSection.Signs, PageSection.Water, PageSection.Meal],
            page.Tonight.Intersect([PageSection.Signs, PageSection.Water, PageSection.Meal])
        );
        Assert.Contains(PageSection.Condition, page.Tonight);
        Assert.Equal([PageSection.Food, PageSection.Growth, PageSection.Notes], page.Body);
    }

    [Fact]
    public void A_moth_that_eats_nothing_has_no_body_to_its_page_only_a_remark()
    {
        var page = Page(new Diary("saturnia-pyri", mature: true));
        Assert.Empty(page.Body);
        Assert.Equal([PageSection.Fasting, PageSection.Notes], page.Tonight.TakeLast(2));
        Assert.False(page.Has(PageSection.Meal));
    }

    [Fact]
    public void Eggs_are_awaited_and_counted_and_nothing_else()
    {
        var page = Page(
            new Diary("samia-ricini", kind: StockKind.Brood, molts: 0).With(5, new Began(VigilKind.Hatching))
        );
        Assert.Equal([PageSection.Awaited], page.Drawn);
        Assert.Contains(PageSection.Ends, page.Tonight);
        Assert.Equal([PageSection.Fasting, PageSection.Numbers, PageSection.Notes], page.Body);
    }

    [Fact]
    public void A_tank_shows_who_lives_in_it()
    {
        var page = Page(new Diary("coenobita-clypeatus", Sex.Unknown, 200, kind: StockKind.Tank));
        Assert.Equal([PageSection.Inmates], page.Wide);
        Assert.Empty(page.Drawn);
        Assert.False(page.Has(PageSection.Growth));
    }

    [Fact]
    public void Any_page_has_each_part_once_and_never_an_empty_band_of_remarks() =>
        Gen.Int[0, 1_000_000]
            .Select(AnyStock.Of)
            .Sample(
                diary =>
                {
                    var judgement = diary.Judge();
                    var page = PageLayout.Of(judgement, Lifeline.Of(judgement, diary.Entries));
                    Assert.Distinct([.. page.Drawn, .. page.Wide, .. page.Tonight, .. page.Body, .. page.Care]);
                    Assert.True(page.Has(PageSection.Notes) && page.Has(PageSection.Enclosure));
                    Assert.NotEqual([PageSection.Notes], page.Body);
                    Assert.NotEmpty(PageLayout.HeadingOf(judgement));
                    // A wait has its ends drawn, and only a wait has.
                    Assert.Equal(judgement.Waits.Any(w => w.Value is not null), page.Has(PageSection.Ends));
                    // Food and that it takes none exclude each other.
                    Assert.False(page.Has(PageSection.Food) && page.Has(PageSection.Fasting));
                },
                iter: 600
            );

    [Fact]
    public void A_grown_caterpillar_is_about_to_pupate_rather_than_in_premolt()
    {
        var grown = new Diary("samia-ricini", cameNightsAgo: 30, molts: 4).With(8, new Molted());
        Assert.EndsWith("that it is about to pupate", PageLayout.HeadingOf(grown.Judge()));
    }

    [Theory]
    [InlineData("tliltocatl-albopilosus", "dark-under-hair", 90, "Molting mat spun, or on its back", "Legs curled")]
    [InlineData("hierodula-membranacea", "hangs-still,refuses-food", 24, "Hangs head down", null)]
    [InlineData("pandinus-imperator", "segments-parted,hides-for-days", 300, null, "Legs curled")]
    public void What_would_change_the_reading_is_what_can_be_seen_in_its_group(
        string species,
        string signs,
        int nights,
        string? molting,
        string? help
    )
    {
        var diary = new Diary(species, molts: 3).With(nights, new Molted());
        var judgement = signs.Split(',').Aggregate(diary, (d, sign) => d.Sign(sign, 1)).Judge();
        Assert.True(judgement.Phase.Value is Phase.Suspected or Phase.Likely, judgement.Phase.Summary);
        var turns = Turn.Of(judgement).ToList();
        Assert.Equal(molting is not null, turns.Any(t => molting is not null && t.When.StartsWith(molting)));
        Assert.Equal(help is not null, turns.Any(t => t.When.StartsWith("Legs curled")));
        Assert.DoesNotContain(turns, t => molting?.StartsWith("Molting") != true && t.When.Contains("mat"));
    }

    [Fact]
    public void One_strong_sign_of_the_belly_is_no_verdict_but_is_not_told_as_plump()
    {
        var judgement = new Diary("pandinus-imperator", molts: 3)
            .With(250, new Molted())
            .Sign("segments-parted", 1)
            .Judge();
        Assert.Equal(Phase.Open, judgement.Phase.Value);
        Assert.StartsWith("One sign is no verdict", judgement.Phase.Summary);
        Assert.Contains("what was seen", judgement.Phase.Summary);
    }

    [Theory]
    [InlineData("tliltocatl-albopilosus", "on-its-back", "stuck")]
    [InlineData("hierodula-membranacea", "molting-hanging", "fell")]
    public void While_it_molts_the_page_names_the_cases_of_the_guide_that_fit(string species, string sign, string id)
    {
        var judgement = new Diary(species, molts: 3).With(90, new Molted()).Sign(sign, 0.1).Judge();
        Assert.Equal(Phase.Imminent, judgement.Phase.Value);
        Assert.Equal([id], Turn.Of(judgement).Select(t => t.Case));
    }

    [Fact]
    public void The_grid_of_any_forecast_climbs_evenly_spaced_through_the_night_that_is_told() =>
        Gen.Int[0, 1_000_000]
            .Select(AnyStock.Of)
            .Sample(
                diary =>
                {
                    var judgement = diary.Judge();
                    foreach (
                        var forecast in judgement
                            .Waits.Append(judgement.Molt)
                            .Select(w => w.Value)
                            .OfType<VigilForecast>()
                    )
                    {
                        var grid = forecast.Grid;
                        Assert.InRange(grid.Count, 2, 42);
                        Assert.Equal(0, grid[0].Chance, 1e-9);
                        Assert.True(grid[^1].Chance >= 0.95);
                        Assert.Equal(grid.Select(by => by.Chance).Order(), grid.Select(by => by.Chance));
                        Assert.Single(
                            grid.Zip(grid.Skip(1), (a, b) => b.Night.DayNumber - a.Night.DayNumber).Distinct()
                        );
                        // The night that is told as half lies where the grid passes one half.
                        var passed = grid.First(by => by.Chance >= 0.5).Night.AddDays(1);
                        Assert.True(forecast.P50 <= passed);
                        Assert.True(grid.Last(by => by.Chance <= 0.5).Night.AddDays(-1) <= forecast.P50);
                    }
                },
                iter: 300
            );
}
