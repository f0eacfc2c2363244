using CsCheck;
using Husbandry.Almanac;
using Husbandry.Growth;
using Husbandry.Housing;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Tests;

/// <summary>Whether an animal fits its enclosure, now and after the molts to come, and when it may be moved over.</summary>
public class HousingTests
{
    private static Enclosure Tub(string name, double width, double depth, double height, double floor) =>
        new(name, width, depth, height, floor, Ventilation.FewHoles, DampSide.None, HeatSource.Room, null);

    private static Diary Mantis(double bodyMm, Enclosure tub) =>
        new Diary("hierodula-membranacea", cameNightsAgo: 60, molts: 3)
            .With(2, new Measured(BodyPart.Body, bodyMm))
            .With(1, new Housed(tub, false));

    private static Diary Tarantula(double legSpanMm, Enclosure tub) =>
        new Diary(molts: 6).LegSpan(legSpanMm, 2).With(1, new Housed(tub, false));

    /// <summary>Source: handbook, housing: a mantis needs 3 × its body length of free height and 2 × of width.</summary>
    [Theory]
    [InlineData(60, true)]
    [InlineData(59, false)]
    public void A_mantis_hangs_freely_over_three_body_lengths(double freeMm, bool fits)
    {
        var fit = Mantis(20, Tub("cup", 60, 60, freeMm + 10, 10)).Judge().Fit.Value!;
        Assert.Equal(60, fit.Needs.MinHeightMm, 6);
        Assert.Equal(40, fit.Needs.MinWidthMm, 6);
        Assert.Equal(fits, fit.Now.Count == 0);
        if (!fits)
        {
            Assert.Equal(HousingMeasure.TooLow, Assert.Single(fit.Now).Measure);
        }
    }

    /// <summary>
    /// Source: handbook, housing: the snug school gives a lone adult a floor of about 1.5 × its leg span each way and one
    /// leg span of height; no more than about 1.5 × above the floor (a fall kills).
    /// </summary>
    [Theory]
    [InlineData(90, 90, 120, 60, null)]
    [InlineData(180, 120, 160, 60, HousingMeasure.TooHigh)]
    [InlineData(85, 85, 120, 60, HousingMeasure.TooNarrow)]
    [InlineData(95, 85, 120, 60, HousingMeasure.TooShallow)]
    [InlineData(95, 95, 110, 60, HousingMeasure.TooLow)]
    public void A_terrestrial_tarantula_has_floor_and_no_height_to_fall_from(
        double width,
        double depth,
        double height,
        double floor,
        HousingMeasure? wrong
    )
    {
        var fit = Tarantula(60, Tub("box", width, depth, height, floor)).Judge().Fit.Value!;
        Assert.Equal(wrong, fit.Now.Count == 0 ? null : fit.Now[0].Measure);
    }

    [Fact]
    public void What_fits_now_is_said_to_be_outgrown_with_the_window_of_that_molt()
    {
        // 20 mm fits under 66 mm; after one molt of the species' ratio it does not.
        var judgement = Mantis(20, Tub("cup", 80, 80, 76, 10)).Judge();
        var answer = judgement.Fit;
        var outgrown = answer.Value!.Outgrown!;
        Assert.Empty(answer.Value.Now);
        Assert.Equal(1, outgrown.Molts);
        Assert.Equal(judgement.Molt.Value!.P10, outgrown.From);
        Assert.Equal(judgement.Molt.Value.P90, outgrown.To);
        Assert.Equal("L5", outgrown.Instar);
        Assert.StartsWith("Too low from L5 on: about ", answer.Summary, StringComparison.Ordinal);
        Assert.Contains(answer.Reasons, r => r.Rule == "species.growthRatio");
    }

    [Fact]
    public void Several_molts_ahead_are_counted_one_after_another()
    {
        var near = Mantis(20, Tub("cup", 80, 80, 76, 10)).Judge().Fit.Value!.Outgrown!;
        var far = Mantis(20, Tub("cup", 110, 110, 96, 10)).Judge().Fit.Value!.Outgrown!;
        Assert.Equal(2, far.Molts);
        Assert.True(far.Likely > near.Likely);
        Assert.True(far.To.DayNumber - far.From.DayNumber > near.To.DayNumber - near.From.DayNumber);
    }

    [Fact]
    public void Nothing_is_said_of_what_was_never_measured()
    {
        Assert.Null(new Diary().LegSpan(60).Judge().Fit.Value);
        Assert.Null(Tarantula(60, Tub("box", 1, 1, 1, 0)).Judge().Fit.Value!.Outgrown);
        var brood = new Diary(kind: StockKind.Brood)
            .LegSpan(12, 2)
            .With(1, new Housed(Tub("tray", 300, 200, 50, 10), false));
        Assert.Null(brood.Judge().Fit.Value);
    }

    [Fact]
    public void A_move_never_lies_inside_a_hush()
    {
        var hushed = Tarantula(60, Tub("small", 100, 80, 90, 40))
            .Sign("dark-under-hair", 0.4)
            .Sign("sluggish", 0.3)
            .Judge();
        var room = Diary.Room();
        var plan = RehousePlan.Of([hushed], [Tub("large", 300, 200, 160, 80)], room);
        var need = Assert.Single(plan.Needs);
        var hush = hushed.Hush[CareAct.Rehouse];
        Assert.NotEqual(Verdict.Fine, hush.Verdict);
        Assert.Equal(hush.Until!.Night, need.From);
        Assert.NotEqual("", need.Waits);
        Assert.Equal("large", need.Tub);
    }

    [Fact]
    public void Whatever_the_record_a_move_is_proposed_for_a_night_that_allows_it()
    {
        var signs = RuleSet.Shipped.Signs.Where(s => s.Groups.Contains("tarantula")).Select(s => s.Id).ToArray();
        Gen.Select(Gen.Double[8, 120], Gen.Int[0, signs.Length - 1].List[0, 4], Gen.Int[1, 300], Gen.Bool)
            .Sample(
                (legSpan, seen, molted, tight) =>
                {
                    var diary = new Diary(molts: 5).With(molted, new Molted()).LegSpan(legSpan, 0.9);
                    seen.ForEach(s => diary.Sign(signs[s], 0.5));
                    diary.With(0.4, new Housed(tight ? Tub("t", 30, 30, 40, 10) : Tub("w", 200, 150, 120, 60), false));
                    var judgement = diary.Judge();
                    var needs = RehousePlan.Of([judgement], [], Diary.Room()).Needs;
                    return needs.All(n =>
                        judgement.Hush[CareAct.Rehouse].Verdict == Verdict.Fine
                        || n.From is null
                        || n.From > Diary.Room().Tonight
                    );
                },
                iter: 300
            );
    }

    [Fact]
    public void What_will_fit_for_a_season_is_not_on_the_list_yet()
    {
        Judgement Outgrows(double moltedAgo) =>
            new Diary(molts: 7)
                .With(moltedAgo, new Molted())
                .LegSpan(60, moltedAgo - 0.5)
                .With(0.4, new Housed(Tub("box", 110, 90, 110, 41), false))
                .Judge();
        var (soon, late) = (Outgrows(110), Outgrows(20));
        Assert.Empty(late.Fit.Value!.Now);
        Assert.NotNull(late.Fit.Value!.Outgrown);
        Assert.Empty(RehousePlan.Of([late], [], Diary.Room()).Needs);
        Assert.Single(RehousePlan.Of([soon], [], Diary.Room()).Needs);
    }

    [Fact]
    public void A_taller_box_does_when_its_floor_is_raised()
    {
        var small = Tarantula(60, Tub("small", 100, 80, 90, 40)).Judge();
        var need = Assert.Single(RehousePlan.Of([small], [Tub("tall", 320, 220, 220, 60)], Diary.Room()).Needs);
        Assert.Equal("tall", need.Tub);
        // No more free height than the animal may fall from: what is above that is filled with floor.
        Assert.Equal(220 - need.Needs.MaxHeightMm!.Value, need.FloorMm!.Value, 3);
    }

    [Fact]
    public void Animals_of_one_size_share_a_size_that_the_room_does_not_have()
    {
        Judgement Of(double legSpan) => Tarantula(legSpan, Tub("small", 60, 50, 60, 30)).Judge();
        var plan = RehousePlan.Of([Of(60), Of(62), Of(120)], [], Diary.Room());
        Assert.Equal(3, plan.Needs.Count);
        Assert.Equal([1, 2], plan.Tubs.Select(t => t.Count).Order());
        Assert.All(plan.Tubs, t => Assert.Null(t.Tub));
    }

    /// <summary>Common practice, no published source: new stock stands apart for thirty nights.</summary>
    [Theory]
    [InlineData(29, true)]
    [InlineData(30, false)]
    public void New_stock_stands_apart_for_thirty_nights(int nights, bool apart)
    {
        var standing = new Diary(cameNightsAgo: nights).Standing();
        Assert.Equal(apart, Quarantine.Of(Subject.Of(standing, Diary.Room())).Value is not null);
    }

    [Fact]
    public void New_stock_on_the_wrong_shelf_is_said_to_be_so()
    {
        var standing = new Diary(cameNightsAgo: 3).Standing();
        var among = Quarantine.Of(Subject.Of(standing, Diary.Room()));
        Assert.False(among.Value!.Apart);
        Assert.StartsWith("New: belongs on a quarantine shelf", among.Summary, StringComparison.Ordinal);
        var layout = new RoomLayout(
            [new RackLayout("A", "", [new ShelfLayout(1, 800, 300, 300, 6, true, null, null)])],
            []
        );
        Assert.True(Quarantine.Of(Subject.Of(standing, Diary.Room() with { Layout = layout })).Value!.Apart);
    }

    [Fact]
    public void What_an_enclosure_cannot_be_is_named_field_by_field()
    {
        var wrong = new Enclosure(
            " ",
            5,
            100,
            100,
            100,
            Ventilation.Mesh,
            DampSide.None,
            HeatSource.Room,
            new MistPlan(0, 0, 90)
        );
        Assert.Equal(
            [
                "enclosure.name",
                "enclosure.widthMm",
                "enclosure.substrateMm",
                "enclosure.mist.mlPerSquirt",
                "enclosure.mist.squirts",
                "enclosure.mist.everyDays",
            ],
            wrong.Problems().Select(p => p.Field)
        );
    }
}
