using CsCheck;
using Husbandry.Climate;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Housing;
using Husbandry.Journal;
using Husbandry.Larder;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Sitter;
using Husbandry.Stock;
using Husbandry.Tanks;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>
/// A shared tank has the care of the enclosure, each animal in it its own molts; what is hushed for one is hushed for the
/// floor of all. Source of what is forbidden over a buried crab: handbook of the trade, molting of land hermit crabs.
/// </summary>
public class TankTests
{
    private const string Crab = "coenobita-rugosus";

    private static readonly CareAct[] CareActs = Enum.GetValues<CareAct>();

    private readonly Diary tank = new(Crab, Sex.Unknown, 200, kind: StockKind.Tank);
    private readonly List<Diary> crabs = [];

    private Diary Inmate(string species = Crab)
    {
        var crab = new Diary(species, Sex.Unknown, 190).With(189, new Placed(tank.StockId, "Tansy"));
        crabs.Add(crab);
        return crab;
    }

    private Room Room(DateTimeOffset? now = null) =>
        Diary.Room(now: now).With(TankBook.Of([tank.Standing(), .. crabs.Select(c => c.Standing())]));

    private Judgement Judge(Diary of) => Judgement.Of(of.Standing(), Room());

    private RoundLine Line(Diary of) => RoundLine.Of(Judge(of));

    [Fact]
    public void Food_and_water_are_due_for_the_tank_and_not_for_those_in_it()
    {
        var crab = Inmate();
        Inmate();
        tank.With(9, new Offered("crab-mix", "one", 1, Preparation.Fresh, OfferOutcome.Eaten))
            .With(20, new Watered(WaterKind.Pools));
        var line = Line(tank);
        Assert.Equal((LineState.Due, RoundAct.Feed), (line.State, line.Act));
        Assert.Equal(2, line.Offer!.Count);
        Assert.Contains("both pools", line.Do, StringComparison.Ordinal);

        var own = Judge(crab);
        Assert.Equal(LineState.Quiet, RoundLine.Of(own).State);
        Assert.Null(own.Meal.Value.Due);
        Assert.Empty(own.Water.Value.Clocks);
        Assert.Equal("Fed with Tansy.", own.Meal.Summary);
        Assert.DoesNotContain(LogMenu.Of(own).AtOnce, o => o.Acts is [Watered or LeftoversRemoved]);
        Assert.DoesNotContain(LogMenu.Of(own).Head, o => o.Form == EntryForm.Offered);
    }

    [Fact]
    public void Over_one_that_is_buried_the_floor_of_all_stays_as_it_is_and_the_rest_are_fed()
    {
        var down = Inmate().With(12, new Began(VigilKind.Surfacing));
        Inmate();
        tank.With(9, new Offered("crab-mix", "one", 1, Preparation.Fresh, OfferOutcome.Eaten));
        var judged = Judge(tank);
        var own = Judge(down);
        foreach (var act in new[] { CareAct.Dig, CareAct.Rehouse, CareAct.Clean, CareAct.BrightLight })
        {
            Assert.Equal(own.Hush[act].Verdict, judged.Hush[act].Verdict);
        }

        Assert.Equal(Verdict.Never, judged.Hush[CareAct.Dig].Verdict);
        Assert.StartsWith("Tansy: ", judged.Hush[CareAct.Dig].Contributors[0].Why.Text, StringComparison.Ordinal);
        Assert.Equal(Verdict.Fine, judged.Hush[CareAct.FeedDead].Verdict);
        Assert.Equal(Verdict.Fine, judged.Hush[CareAct.Water].Verdict);
        Assert.Equal(LineState.PassBy, RoundLine.Of(own).State);

        Assert.Equal("Tansy (buried): the floor stays as it is, the rest are fed.", judged.Phase.Summary);

        // Only the one that is up is fed, and the line says whom to leave alone.
        var line = RoundLine.Of(judged);
        Assert.Equal(1, line.Offer!.Count);
        Assert.Contains(line.Mind, m => m.Contains("dig nothing up", StringComparison.Ordinal));
    }

    /// <summary>Handbook of the trade, land hermit crabs: extra, rich food and calcium after a molt.</summary>
    [Fact]
    public void One_that_is_just_up_gets_calcium_with_the_food_of_all()
    {
        Inmate().With(40, new Began(VigilKind.Surfacing)).With(2, new Ended(VigilKind.Surfacing, VigilEnd.AsHoped));
        tank.With(9, new Offered("crab-mix", "one", 1, Preparation.Fresh, OfferOutcome.Eaten));
        var line = Line(tank);
        Assert.Contains("Tansy just up: much food and calcium", line.Detail, StringComparison.Ordinal);
        Assert.True(line.Offer!.FeederId == "cuttlebone" || line.Offer.With?.FeederId == "cuttlebone");
    }

    [Fact]
    public void The_sitter_is_told_the_same_of_the_tank_and_of_the_one_below()
    {
        var down = Inmate().With(12, new Began(VigilKind.Surfacing));
        Inmate();
        tank.With(9, new Offered("crab-mix", "one", 1, Preparation.Fresh, OfferOutcome.Eaten));
        var sheet = SitterSheet.Of([Judge(tank), Judge(down)], twoPeople: false, Room());
        var line = Assert.Single(sheet.Lines);
        Assert.Contains("dig nothing up", line.Note, StringComparison.Ordinal);
        // One below forbids prey that runs, not the dish of the rest.
        Assert.Equal(RoundAct.Feed, line.Act);
        Assert.Contains(line.Done, act => act is Offered { FeederId: "crab-mix" });
        var shut = Assert.Single(sheet.LeaveShut);
        Assert.Equal(down.StockId, shut.StockId);
        Assert.Contains("opened for food and water only", shut.Why, StringComparison.Ordinal);
    }

    [Fact]
    public void It_stands_where_its_tank_stands_and_out_of_it_where_it_was_put()
    {
        var crab = Inmate();
        tank.With(50, new Moved(new Place("C", 2, 4)));
        Assert.Equal("C2·04", Glance.Of(Judge(crab)).Where.Place.Code);
        Assert.Equal(tank.StockId, Glance.Of(Judge(crab)).Where.TankId);
        crab.With(10, new Moved(new Place("D", 1, 1)));
        Assert.Equal("D1·01", Glance.Of(Judge(crab)).Where.Place.Code);
        Assert.Null(Glance.Of(Judge(crab)).Where.TankId);
        Assert.Equal(
            ["A1·03", "A1·03", "C2·04", "D1·01"],
            Subject.Of(crab.Standing(), Room()).Stays.Select(s => s.Place.Code)
        );
    }

    /// <summary>Days count by the warmth of where the tank stood, as long as it lived in it.</summary>
    [Fact]
    public void Its_waits_pass_by_the_warmth_of_the_tank()
    {
        var crab = Inmate();
        tank.With(100, new Moved(new Place("C", 2, 4)));
        var readings = Enumerable
            .Range(0, 210)
            .SelectMany(d =>
                new[]
                {
                    new ClimateReading(Diary.Evening.AddDays(-d), 18, Zone: "A"),
                    new ClimateReading(Diary.Evening.AddDays(-d), 28, Zone: "C"),
                }
            );
        var room = Room().With(RoomClimate.Of(readings));
        var tropical = Subject.Of(crab.Standing(), room).Pace;
        Assert.Equal(Subject.Of(tank.Standing(), room).Pace.CelsiusNow, tropical.CelsiusNow);
        Assert.Equal(28, tropical.CelsiusNow, 1);
    }

    [Fact]
    public void What_is_told_of_an_animal_is_not_told_of_a_tank()
    {
        foreach (
            var act in new Act[]
            {
                new Molted(),
                new SignSeen("ashy-skin"),
                new Began(VigilKind.Surfacing),
                new Counted(3),
                new Placed(tank.StockId),
                new Departed(DepartureKind.Died),
            }
        )
        {
            Assert.NotEmpty(EntryCheck.Check(act, Occurrence.At(Diary.Evening), tank.Standing(), Room()));
        }

        var taken = new Departed(DepartureKind.TakenDown);
        Assert.Empty(EntryCheck.Check(taken, Occurrence.At(Diary.Evening), tank.Standing(), Room()));
        Inmate();
        var refused = EntryCheck.Check(taken, Occurrence.At(Diary.Evening), tank.Standing(), Room());
        Assert.Contains("still lives in it", Assert.Single(refused).Message, StringComparison.Ordinal);
        Assert.NotEmpty(EntryCheck.Check(taken, Occurrence.At(Diary.Evening), crabs[0].Standing(), Room()));
    }

    [Theory]
    [InlineData("tliltocatl-albopilosus")]
    [InlineData("hyllus-diardi")]
    [InlineData("hierodula-membranacea")]
    public void Those_that_eat_each_other_share_no_tank(string species)
    {
        var spider = new Diary(species).Standing();
        var problems = EntryCheck.Check(new Placed(tank.StockId), Occurrence.At(Diary.Evening), spider, Room());
        Assert.Contains("shares no tank", Assert.Single(problems).Message, StringComparison.Ordinal);
        Assert.NotEmpty(DetailsCheck.Check(spider.Details with { Kind = StockKind.Tank, Sex = Sex.Unknown }, Room()));
    }

    [Fact]
    public void An_animal_goes_only_into_a_tank_of_the_room()
    {
        var crab = new Diary(Crab, Sex.Unknown);
        var at = Occurrence.At(Diary.Evening);
        Assert.Empty(EntryCheck.Check(new Placed(tank.StockId), at, crab.Standing(), Room()));
        Assert.Equal(
            "act.tankId",
            Assert.Single(EntryCheck.Check(new Placed(Guid.NewGuid()), at, crab.Standing(), Room())).Field
        );
    }

    [Fact]
    public void The_enclosure_is_that_of_the_tank()
    {
        var crab = Inmate();
        var box = new Housed(TankBox, Rehoused: false);
        tank.With(5, box);
        Assert.Equal(TankBox, Judge(crab).Subject.House!.Enclosure);
        Assert.Equal(
            "act.enclosure",
            Assert.Single(EntryCheck.Check(box, Occurrence.At(Diary.Evening), crab.Standing(), Room())).Field
        );
        Assert.DoesNotContain(LogMenu.Of(Judge(crab)).Forms, f => f.Form == EntryForm.Housed);
    }

    private static readonly Enclosure TankBox = new(
        "box",
        800,
        400,
        400,
        200,
        Ventilation.FewHoles,
        DampSide.Whole,
        HeatSource.Room,
        null
    );

    [Fact]
    public void An_empty_tank_can_be_judged_and_a_new_one_needs_no_quarantine()
    {
        var fresh = new Diary(Crab, Sex.Unknown, 3, kind: StockKind.Tank);
        var judged = Judgement.Of(fresh.Standing(), Room());
        Assert.Empty(judged.Inmates);
        Assert.Null(Quarantine.Of(judged.Subject).Value);
        Assert.Equal(0, Glance.Of(judged).Who.Count);
        Assert.Null(judged.Molt.Value);
        Assert.Equal(LineState.Quiet, RoundLine.Of(judged).State);
        Assert.Null(judged.Meal.Value.Due);
        Assert.Empty(judged.Water.Value.Clocks);
    }

    /// <summary>A tank is one enclosure: what is in it is bought for once.</summary>
    [Fact]
    public void The_larder_counts_a_tank_once_and_nobody_who_is_lent()
    {
        Inmate();
        Inmate();
        var lent = new Diary(Crab, Sex.Unknown).With(5, new Lent("a friend"));
        var room = Room();
        var all = crabs.Append(tank).Append(lent).Select(d => d.Standing()).ToList();
        var needs = RoomNeeds.Of(all, room);
        Assert.Equal(1, needs.Enclosures["hermit-crab"]);
        Assert.Equal(RoomNeeds.Of([tank.Standing()], room).Needs.Sum(n => n.Amount), needs.Needs.Sum(n => n.Amount), 6);
        Assert.True(needs.Needs.Sum(n => n.Amount) > 0);
    }

    [Fact]
    public void Nothing_is_asked_for_one_that_is_lent_until_it_is_due_back()
    {
        var male = new Diary().LegSpan(90).Ate(60).With(20, new Lent("a friend", null, Until(5)));
        var line = male.Line();
        Assert.Equal(LineState.Quiet, line.State);
        Assert.Contains("with a friend", line.Do, StringComparison.Ordinal);
        Assert.DoesNotContain(Glance.Of(male.Judge()).Care.Clocks, c => c.Due is not null);
        Assert.Equal("Fed with a friend.", male.Judge().Meal.Summary);
        Assert.Empty(SitterSheet.Of([male.Judge()], false, Diary.Room()).Lines);

        // Nothing that is done in the room is offered of what is not in it.
        var menu = LogMenu.Of(male.Judge());
        Assert.Equal([EntryForm.Returned], menu.Head.Select(o => o.Form!.Value));
        Assert.Empty(menu.AtOnce);
        Assert.DoesNotContain(menu.Forms, o => o.Form is EntryForm.Offered or EntryForm.Watered or EntryForm.Moved);

        var late = new Diary().LegSpan(90).With(20, new Lent("a friend", null, Until(0))).Line();
        Assert.Equal((LineState.Due, RoundAct.AskBack), (late.State, late.Act));
        Assert.False(late.Signs);
        var later = new Diary()
            .LegSpan(90)
            .With(20, new Lent("a friend", null, Until(0)))
            .With(0, new PutOff(Until(3)));
        Assert.Equal(LineState.Quiet, later.Line().State);
        Assert.Equal(Until(3), DateOnly.FromDateTime(later.Line().NextDue!.Value.DateTime));

        // Away, it is hushed here for nobody.
        var molting = new Diary().LegSpan(90).Sign("on-its-back", 1).With(0, new Lent("a friend"));
        Assert.Equal(LineState.Quiet, molting.Line().State);
        var back = new Diary().LegSpan(90).Ate(60).With(20, new Lent("a friend")).With(1, new Returned());
        Assert.Equal(RoundAct.Feed, back.Line().Act);

        static DateOnly Until(int nights) => DateOnly.FromDateTime(Diary.Evening.DateTime).AddDays(nights);
    }

    /// <summary>
    /// Whatever has happened to those in it: nothing is allowed to the floor of all that is forbidden to one of them, nothing
    /// is offered that would be refused, and everything can be shown.
    /// </summary>
    [Fact]
    public void A_tank_of_any_animals_forbids_what_any_of_them_forbids()
    {
        var shared = RuleSet.Shipped.Species.Where(s => RuleSet.Shipped.Group(s.Group)!.Shared.Value).ToList();
        Gen.Int[0, 1_000_000]
            .Sample(
                seed =>
                {
                    var random = new Random(seed);
                    var home = new Diary(shared[seed % shared.Count].Id, Sex.Unknown, 300, kind: StockKind.Tank);
                    List<Standing> inmates =
                    [
                        .. Enumerable
                            .Range(0, 1 + random.Next(4))
                            .Select(_ => AnyStock.OfSpecies(shared[random.Next(shared.Count)], random))
                            .Select(d => d.With(0, new Placed(home.StockId)).Standing())
                            .Where(s => s is { Departure: null, IsTank: false }),
                    ];
                    var room = Diary.Room().With(TankBook.Of([home.Standing(), .. inmates]));
                    var judged = Judgement.Of(home.Standing(), room);
                    Assert.Equal(inmates.Count, judged.Inmates.Count);
                    foreach (var act in CareActs.Where(a => a is not (CareAct.Water or CareAct.FeedDead)))
                    {
                        var strictest = judged.Inmates.Select(i => i.Hush[act].Verdict).DefaultIfEmpty().Max();
                        Assert.True(judged.Hush[act].Verdict >= strictest);
                    }

                    foreach (var each in judged.Inmates.Append(judged))
                    {
                        Assert.NotEmpty(RoundLine.Of(each).Name);
                        Assert.NotNull(Glance.Of(each));
                        var offered = LogMenu.Of(each);
                        foreach (var act in offered.AtOnce.Concat(offered.Head).SelectMany(o => o.Acts))
                        {
                            Assert.DoesNotContain(
                                EntryCheck.Check(act, Occurrence.At(room.Now), each.Subject.Standing, room),
                                p => p.Field == "act.kind"
                            );
                        }
                    }
                },
                iter: 200
            );
    }
}
