using CsCheck;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Husbandry.Tests;

public class JournalTests
{
    [Fact]
    public void A_withdrawn_entry_no_longer_counts()
    {
        var diary = new Diary().LegSpan(60);
        var meal = diary.Add(2, new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.Eaten));
        Assert.Single(diary.Standing().Feeding.Meals);
        diary.Add(0, new Withdrawn(meal));
        Assert.Empty(diary.Standing().Feeding.Meals);
    }

    [Fact]
    public void A_correction_takes_the_place_of_what_it_corrects_until_it_is_withdrawn_itself()
    {
        var diary = new Diary();
        var first = diary.Add(5, new Measured(BodyPart.LegSpan, 600));
        var second = diary.Add(5, new Measured(BodyPart.LegSpan, 60), supersedes: first);
        Assert.Equal([60], diary.Standing().Growth.Measures.Select(m => m.LengthMm));
        diary.Add(0, new Withdrawn(second));
        Assert.Equal([600], diary.Standing().Growth.Measures.Select(m => m.LengthMm));
    }

    [Fact]
    public void A_skin_measured_after_its_molt_tells_the_size_before_it()
    {
        var diary = new Diary()
            .With(10, new Molted())
            .With(9, new Measured(BodyPart.Carapace, 8, FromExuvia: true))
            .With(8, new Measured(BodyPart.Carapace, 10.4));
        Assert.Equal([0, 1], diary.Standing().Growth.Measures.Select(m => m.MoltsHere));
    }

    [Fact]
    public void A_molt_logged_late_is_folded_where_it_happened()
    {
        var diary = new Diary().Sign("plump", 20).Sign("dull", 3).With(10, new Molted());
        Assert.Equal(["dull"], diary.Standing().SignsNow.Select(s => s.SignId));
    }

    [Fact]
    public void Applying_entries_one_by_one_equals_folding_them_all() =>
        Gen.Select(Gen.Int[0, 60], Gen.Int[0, 8])
            .List[1, 25]
            .Sample(steps =>
            {
                var diary = new Diary();
                foreach (var (ago, kind) in steps.OrderByDescending(s => s.Item1))
                {
                    diary.Add(ago, Some(kind));
                }

                var folded = Standing.Fold(diary.Entries)!;
                var applied = Standing.Fold(diary.Entries.Take(1))!;
                foreach (var entry in diary.Entries.Skip(1))
                {
                    Assert.True(applied.CanApply(entry));
                    applied = applied.Apply(entry);
                }

                Assert.Equivalent(folded, applied, strict: true);
            });

    [Theory]
    [InlineData("A1·03", "A1·03")]
    [InlineData("a1-3", "A1·03")]
    [InlineData(" b12.120 ", "B12·120")]
    [InlineData("AA2 7", "AA2·07")]
    public void Places_are_read_in_every_common_spelling(string text, string code) =>
        Assert.Equal(code, Place.Parse(text)!.Code);

    [Theory]
    [InlineData("")]
    [InlineData("A·3")]
    [InlineData("A0·03")]
    [InlineData("A1·0")]
    [InlineData("ABC1·03")]
    [InlineData("A1·1000")]
    public void What_is_no_place_is_refused(string text) => Assert.Null(Place.Parse(text));

    [Fact]
    public void The_walk_goes_by_rack_then_shelf_then_slot() =>
        Assert.Equal(
            ["A1·02", "A1·10", "A2·01", "A10·01", "B1·01", "AA1·01"],
            new[] { "AA1·01", "A10·01", "A1·10", "B1·01", "A2·01", "A1·02" }
                .Select(c => Place.Parse(c)!)
                .Order()
                .Select(p => p.Code)
        );

    [Theory]
    [InlineData("2026-11-23T23:59:00Z", "2026-11-23")]
    [InlineData("2026-11-24T05:59:00Z", "2026-11-23")]
    [InlineData("2026-11-24T06:00:00Z", "2026-11-24")]
    public void A_round_after_midnight_belongs_to_the_evening_before(string instant, string night) =>
        Assert.Equal(
            DateOnly.Parse(night, null),
            new NightClock(TimeZoneInfo.Utc, 6).NightOf(DateTimeOffset.Parse(instant, null))
        );

    [Fact]
    public void Nights_follow_the_rooms_zone_through_daylight_saving()
    {
        // Source: the clocks of Central Europe went forward on 29 March 2026 at 01:00 UTC (IANA time zone database).
        var clock = new NightClock(TimeZoneInfo.FindSystemTimeZoneById("Europe/Berlin"), 6);
        var spring = new DateOnly(2026, 3, 28);
        Assert.Equal(23, (clock.EndOf(spring) - clock.StartOf(spring)).TotalHours);
        Assert.Equal(spring, clock.NightOf(clock.EndOf(spring).AddMinutes(-1)));
        Assert.Equal(spring.AddDays(1), clock.NightOf(clock.EndOf(spring)));
    }

    [Fact]
    public void Growth_of_an_animal_points_to_the_molt_nobody_saw_and_changes_nothing()
    {
        var diary = new Diary(molts: 4);
        var sizes = new[] { 5.0, 6.3, 7.938, 12.6, 15.88 };
        for (var k = 0; k < sizes.Length; k++)
        {
            diary.Add(300 - (50 * k), new Molted());
            diary.Add(299 - (50 * k), new Measured(BodyPart.Carapace, sizes[k], FromExuvia: true));
        }

        var growth = diary.Judge().Growth;
        Assert.Equal([false, false, true, false], growth.Value!.Skins.Take(4).Select(s => s.RatioToNext!.HidesAMolt));
        Assert.Equal(5, growth.Value.Skins[0].Instar);
        Assert.Equal(10, growth.Value.Fit!.Next!.Instar - 1);
        Assert.Contains(growth.Reasons, r => r.Topic == "Missed molt?");
        Assert.Equal(5, diary.Standing().Growth.Molts.Count);
    }

    [Fact]
    public void Every_reason_of_a_judgement_names_its_rule_and_source()
    {
        var j = new Diary(molts: 5).LegSpan(60).Ate(20).Refused(9).Sign("plump", 4).Sign("dark-under-hair", 2).Judge();
        var reasons = j
            .Phase.Reasons.Concat(j.Molt.Reasons)
            .Concat(j.Meal.Reasons)
            .Concat(j.Prey.Reasons)
            .Concat(j.Growth.Reasons)
            .Concat(j.Stage.Reasons)
            .Concat(j.Water.Reasons)
            .Concat(j.HushReasons)
            .ToList();
        Assert.All(
            reasons,
            r =>
                Assert.True(
                    r.Text.Length > 0 && r.Rule.Contains('.', StringComparison.Ordinal) && r.Source.Length > 0,
                    r.ToString()
                )
        );
    }

    private static Act Some(int kind) =>
        kind switch
        {
            0 => new Molted(),
            1 => new SignSeen("plump"),
            2 => new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.Eaten),
            3 => new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.NotSeen),
            4 => new LeftoversRemoved(),
            5 => new Watered(WaterKind.Dish),
            6 => new Looked(),
            7 => new Measured(BodyPart.Carapace, 9),
            _ => new FangsChecked(true),
        };
}
