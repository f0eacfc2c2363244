using Husbandry.Colonies;
using Husbandry.Housing;
using Husbandry.Journal;
using Husbandry.Larder;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Upkeep;

namespace Husbandry.Tests;

/// <summary>Tubs of isopods that nobody can count: marked ones, scoops, trend, harvest, trouble.</summary>
public class TubTests
{
    private static Diary Tub(int count = 60) =>
        new("porcellio-scaber", Sex.Unknown, 300, kind: StockKind.Colony, count: count);

    private static string? Refused(Diary diary, Act act) =>
        EntryCheck.Check(act, Occurrence.At(Diary.Evening), diary.Standing(), Diary.Room()) is [var first, ..]
            ? first.Field
            : null;

    /// <summary>Chapman (1951): (25 + 1)(30 + 1) / (7 + 1) − 1 = 99.75; reckoned by hand.</summary>
    [Fact]
    public void Marked_ones_caught_again_are_the_number_of_the_tub()
    {
        var tub = Tub().With(4, new Marked(25)).With(1, new Recaught(30, 7));
        var count = tub.Standing().Counts[^1];
        Assert.Equal((100, CountMethod.Recaptured), (count.Now, count.Taken!.Method));
        Assert.InRange(count.Taken.Low!.Value, 48, 100);
        Assert.InRange(count.Taken.High!.Value, 100, 160);
        Assert.Null(tub.Standing().Colony.Marked);
    }

    [Fact]
    public void A_mark_counts_for_a_week_and_no_longer()
    {
        Assert.Null(Refused(Tub().With(6, new Marked(25)), new Recaught(30, 7)));
        Assert.Equal("act.kind", Refused(Tub().With(9, new Marked(25)), new Recaught(30, 7)));
        Assert.Equal("act.kind", Refused(Tub(), new Recaught(30, 7)));
        Assert.Equal("act.markedAmong", Refused(Tub().With(2, new Marked(25)), new Recaught(30, 26)));
        Assert.Equal("act.markedAmong", Refused(Tub().With(2, new Marked(25)), new Recaught(30, 31)));
        Assert.Equal("act.count", Refused(Tub(), new Marked(0)));
        Assert.Equal("act.kind", Refused(new Diary(), new Marked(20)));
        Assert.Equal("act.each", Refused(Tub(), new Scooped([4])));
        Assert.Equal("act.each", Refused(Tub(), new Scooped([4, -1])));
        Assert.Equal("act.signs", Refused(Tub(), new TubLooked([TubSign.Sour, TubSign.Sour])));
    }

    /// <summary>60 and 120 counted 70 days apart double: ln 2 ÷ 70 a day, by definition.</summary>
    [Fact]
    public void Growth_is_read_off_repeated_counts()
    {
        var trend = TubTrend.Of(Tub().With(70, new Counted(60)).With(0, new Counted(120)).Judge().Subject)!.Value;
        Assert.Equal(Math.Log(2) / 70, trend.PerDay, 1e-9);
        Assert.InRange(trend.Low, 0, trend.PerDay);
        Assert.False(trend.IsIndex);
        Assert.Null(TubTrend.Of(Tub().With(70, new Counted(60)).Judge().Subject));
        // A guess by eye says much less.
        var rough = TubTrend
            .Of(
                Tub()
                    .With(70, new Counted(60, Method: CountMethod.ByEye))
                    .With(0, new Counted(120, Method: CountMethod.ByEye))
                    .Judge()
                    .Subject
            )!
            .Value;
        Assert.True(rough.Low < trend.Low);
    }

    [Fact]
    public void Equal_scoops_tell_growth_and_not_how_many()
    {
        var tub = Tub().With(40, new Scooped([10, 14, 12])).With(2, new Scooped([22, 30, 26]));
        var trend = TubTrend.Of(tub.Judge().Subject)!.Value;
        Assert.True(trend.IsIndex);
        Assert.InRange(trend.PerDay, 0.015, 0.025);
        // 12 ± t(0.975, 2) · 2 ÷ √3 = 12 ± 4.303 · 1.1547: Student (1908), table value from memory.
        Assert.Equal((12 - 4.968, 12 + 4.968), (trend.Counts[0].Low, trend.Counts[0].High), new Near(0.01));
        Assert.Null(TubHarvest.Of(tub.Judge().Subject));
    }

    private sealed class Near(double by) : IEqualityComparer<(double, double)>
    {
        public bool Equals((double, double) a, (double, double) b) =>
            Math.Abs(a.Item1 - b.Item1) < by && Math.Abs(a.Item2 - b.Item2) < by;

        public int GetHashCode((double, double) x) => 0;
    }

    private static Diary Housed(Diary tub) =>
        tub.With(
            200,
            new Housed(
                new Enclosure("tub", 300, 200, 150, 60, Ventilation.FewHoles, DampSide.Left, HeatSource.Room, null),
                true
            )
        );

    /// <summary>9 L hold 540 by the rule; 0.012 · 540 ÷ 4 = 1.62 a day at most, half of that 0.81, 5.67 a week.</summary>
    [Fact]
    public void Half_of_the_largest_lasting_harvest_is_advised()
    {
        var tub = Housed(Tub()).With(3, new Counted(200)).Judge().Subject;
        var harvest = TubHarvest.Of(tub)!.Value;
        Assert.Equal(5, harvest.PerWeek);
        Assert.True(harvest.Insure);
        Assert.InRange(harvest.Starter, 10, 20);
    }

    /// <summary>What may be taken stands on the larder's plan, and what may not does not.</summary>
    [Fact]
    public void A_counted_tub_gives_isopods_to_the_larder()
    {
        static IReadOnlyDictionary<FoodKey, double> Gives(Diary tub) =>
            RoomNeeds.Of([tub.Standing()], Diary.Room()).FromTubs;
        var given = Gives(Housed(Tub()).With(3, new Counted(200)));
        Assert.Equal(5.0 / 7, given.Values.Sum(), 1e-9);
        Assert.All(given.Keys, food => Assert.Equal("isopod", food.FeederId));
        var plan = LarderPlan.Of([], LarderStanding.Empty, [], new Dictionary<string, int>(), [], Diary.Room(), given);
        Assert.Equal(5, plan.Foods.Sum(f => f.Weeks[0].Coming), 1e-9);
        Assert.Empty(Gives(Housed(Tub()).With(3, new Counted(40))));
        Assert.Empty(Gives(Housed(Tub()).With(9, new Counted(200)).With(3, new TubLooked([TubSign.DeadInMolt]))));
    }

    /// <summary>A tablespoon of 15 g lasts 55 days in a tub of which nothing is known: 15 · 7 ÷ 55; reckoned by hand.</summary>
    [Fact]
    public void Powder_put_in_draws_on_the_goods_in_place_of_what_tubs_take_at_large()
    {
        static GoodsOutlook Powder(Diary tub)
        {
            var needs = RoomNeeds.Of([tub.Standing()], Diary.Room());
            return LarderPlan
                .Of(
                    needs.Needs,
                    LarderStanding.Empty,
                    [],
                    needs.Enclosures,
                    needs.Eaters,
                    Diary.Room(),
                    needs.FromTubs,
                    needs.ByRecord
                )
                .Goods.Single(g => g.GoodsId == "calcium-carbonate");
        }

        Assert.Equal(3, Powder(Tub()).PerWeek, 1e-9);
        var heap = Tub().With(3, new CalciumLooked([], ["powder-heap", "cuttlebone"]));
        Assert.Equal(15.0 * 7 / 55, Powder(heap).PerWeek, 1e-9);
        Assert.Contains("By what stands in them", Powder(heap).Reasons[0].Text, StringComparison.Ordinal);
        // One that uses it up in twelve days takes more.
        var greedy = Tub()
            .With(40, new CalciumLooked([], ["powder-heap"]))
            .With(28, new CalciumLooked([new CalciumLook("powder-heap", CalciumLeft.Gone)], ["powder-heap"]));
        Assert.True(Powder(greedy).PerWeek > 1.3 * Powder(heap).PerWeek);
    }

    [Fact]
    public void Nothing_is_taken_from_a_small_shrinking_or_ailing_tub()
    {
        Assert.Equal(0, TubHarvest.Of(Housed(Tub()).With(3, new Counted(40)).Judge().Subject)!.Value.PerWeek);
        var shrinking = Housed(Tub()).With(60, new Counted(300)).With(3, new Counted(150));
        Assert.Equal(0, TubHarvest.Of(shrinking.Judge().Subject)!.Value.PerWeek);
        var ailing = Housed(Tub()).With(9, new Counted(200)).With(3, new TubLooked([TubSign.DeadInMolt]));
        Assert.Equal(0, TubHarvest.Of(ailing.Judge().Subject)!.Value.PerWeek);
        Assert.False(TubHarvest.Of(ailing.Judge().Subject)!.Value.Insure);
    }

    /// <summary>Three to six weeks in the pouch (recalled, no published source at hand), filled since the look before.</summary>
    [Fact]
    public void Full_pouches_say_when_young_are_to_be_expected()
    {
        PouchYoung? Young(Diary tub) => PouchYoung.Of(tub.Judge().Subject)?.Value;
        DateOnly Ago(int nights) => Diary.Room().Tonight.AddDays(-nights);
        static Diary Looked() => Tub().With(20, new TubLooked([])).With(10, new TubLooked([TubSign.Pouches]));
        // Filled between 20 and 10 nights ago.
        Assert.Equal(new PouchYoung(Ago(10), Ago(-1), Ago(-17), Ago(-35)), Young(Looked()));
        // Nobody looked before: they may be about to open.
        Assert.Equal(Ago(10), Young(Tub().With(10, new TubLooked([TubSign.Pouches])))!.From);
        // Seen again, they are the same pouches; young in between empty them.
        Assert.Equal(Ago(10), Young(Looked().With(3, new TubLooked([TubSign.Pouches])))!.SeenOn);
        Assert.Null(Young(Looked().With(5, new TubLooked([TubSign.ManyYoung]))));
        var anew = Looked().With(5, new TubLooked([TubSign.ManyYoung])).With(2, new TubLooked([TubSign.Pouches]));
        Assert.Equal((Ago(2), Ago(-16)), (Young(anew)!.SeenOn, Young(anew)!.From));
        Assert.Null(Young(Tub().With(2, new TubLooked([]))));

        var glance = Glance.Of(Looked().Judge());
        Assert.Equal((Ago(-1), "young leave the pouch"), (glance.Waits.Band!.From, glance.Waits.Band.Label));
        var late = Tub().With(60, new TubLooked([TubSign.Pouches]));
        Assert.Contains("should be about", PouchYoung.Of(late.Judge().Subject)!.Summary, StringComparison.Ordinal);
        Assert.Null(Glance.Of(late.Judge()).Waits.Band);
        Assert.Null(Young(late.With(2, new TubLooked([]))));
    }

    [Fact]
    public void Trouble_is_traced_to_calcium_and_the_damp_end_first()
    {
        var tub = Tub().With(30, new CalciumLooked([], ["cuttlebone"])).With(2, new TubLooked([TubSign.DeadInMolt]));
        var trouble = TubTrouble.Of(tub.Judge().Subject)!.Value;
        Assert.StartsWith("Calcium: 1 source", trouble.LookAt[0], StringComparison.Ordinal);
        Assert.StartsWith("The damp end", trouble.LookAt[1], StringComparison.Ordinal);
        Assert.Null(TubTrouble.Of(Tub().With(2, new TubLooked([TubSign.ManyYoung])).Judge().Subject));
        // Looked at again, and all well: it is over.
        Assert.Null(TubTrouble.Of(tub.With(1, new TubLooked([])).Judge().Subject));
        var barren = Tub().With(120, new TubLooked([TubSign.FewYoung])).With(1, new TubLooked([TubSign.Pouches]));
        Assert.Contains("No young", TubTrouble.Of(barren.Judge().Subject)!.Summary, StringComparison.Ordinal);
    }
}
