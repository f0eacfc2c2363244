using Husbandry.Colonies;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Housing;
using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Plants;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Tanks;
using Husbandry.Trays;
using Husbandry.Upkeep;
using Husbandry.Vigils;

namespace Husbandry.Tests;

public class WordingTests
{
    private static readonly Wording Words = new(LengthUnit.Mm, new DateOnly(2026, 11, 23));

    [Theory]
    [InlineData(LengthUnit.Mm, 14.64, "14.6 mm")]
    [InlineData(LengthUnit.Mm, 21.9, "22 mm")]
    [InlineData(LengthUnit.Cm, 60, "6 cm")]
    [InlineData(LengthUnit.Cm, 5, "0.5 cm")]
    [InlineData(LengthUnit.In, 25.4, "1 in")]
    [InlineData(LengthUnit.In, 60, "2.36 in")]
    public void Lengths_carry_their_unit(LengthUnit unit, double mm, string text) =>
        // Source: 1 in = 25.4 mm exactly, NIST SP 811 appendix B.
        Assert.Equal(text, (Words with { Unit = unit }).Length(mm));

    [Theory]
    [InlineData("2026-10-25T00:30:00Z", "02:30 (first)")]
    [InlineData("2026-10-25T01:30:00Z", "02:30 (second)")]
    [InlineData("2026-10-25T02:30:00Z", "03:30")]
    [InlineData("2026-10-24T23:59:00Z", "01:59")]
    public void The_hour_that_comes_twice_says_which_of_the_two_it_is(string instant, string says)
    {
        // The last Sunday of October in central Europe, where clocks go back at 01:00 UTC: Directive 2000/84/EC.
        var clock = new NightClock(TimeZoneInfo.FindSystemTimeZoneById("Europe/Berlin"), NightClock.DefaultCutoverHour);
        Assert.Equal(
            says,
            clock.HourOf(DateTimeOffset.Parse(instant, System.Globalization.CultureInfo.InvariantCulture))
        );
    }

    [Fact]
    public void Days_print_as_days() =>
        Assert.Equal(
            ("2.5 effective days", "3 days"),
            (new EffectiveDays(2.5).ToString(), new CalendarDays(3).ToString())
        );

    [Fact]
    public void Dates_say_the_year_when_it_is_not_this_one()
    {
        Assert.Equal("24 Dec", Words.Date(new DateOnly(2026, 12, 24)));
        Assert.Equal("24 Dec 2027", Words.Date(new DateOnly(2027, 12, 24)));
        Assert.Equal("Thu 19 Nov", Words.Day(new DateOnly(2026, 11, 19)));
        Assert.Equal("10 May 2025", Words.Date(new DateOnly(2025, 5, 10)));
        Assert.Equal("8 Jan 2027", Words.Date(new DateOnly(2027, 1, 8)));
        Assert.Equal("5 Nov – 18 Dec", Words.Dates(new DateOnly(2026, 11, 5), new DateOnly(2026, 12, 18)));
        Assert.Equal("5 Dec 2026 – 18 Jan 2027", Words.Dates(new DateOnly(2026, 12, 5), new DateOnly(2027, 1, 18)));
        Assert.Equal("10 Jan 2028 – 8 Feb 2028", Words.Dates(new DateOnly(2028, 1, 10), new DateOnly(2028, 2, 8)));
    }

    [Theory]
    [InlineData(0, "tonight")]
    [InlineData(1, "last night")]
    [InlineData(4, "4 nights ago")]
    public void Nights_ago_are_said_as_a_keeper_says_them(int ago, string text) =>
        Assert.Equal(text, Words.Ago(Words.Tonight.AddDays(-ago)));

    [Theory]
    [InlineData(0, "fewer than 1 in 100")]
    [InlineData(0.24, "24 in 100")]
    [InlineData(0.999, "more than 99 in 100")]
    public void No_chance_is_ever_nought_or_a_hundred(double chance, string text) =>
        Assert.Equal(text, Wording.Chance(chance));

    public static TheoryData<Act, string> Acts =>
        new()
        {
            {
                new Offered("roach-nymph", "small", 1, Preparation.Live, OfferOutcome.Eaten),
                "took 1 small roach nymph"
            },
            {
                new Offered("fruit-fly-large", "one", 3, Preparation.Live, OfferOutcome.Eaten),
                "took 3 large flightless fruit flies"
            },
            {
                new Offered("mealworm", "medium", 2, Preparation.Cut, OfferOutcome.BattedAway),
                "batted away 2 pieces of cut medium mealworm"
            },
            {
                new Offered("cricket", "small", 1, Preparation.PreKilled, OfferOutcome.NotSeen),
                "not seen to take 1 pre-killed small cricket"
            },
            { new SignSeen("dark-line"), "sign: dark line round the edge of the abdomen" },
            { new Molted(Ultimate: true, Mismolt: true), "molted to adult, a mismolt" },
            { new Measured(BodyPart.Carapace, 9.24, FromExuvia: true), "carapace 9.2 mm, from the shed skin" },
            { new Moved(Place.Parse("B2·07")!), "moved to B2·07" },
            { new PutOff(new DateOnly(2026, 11, 24)), "put off until Tue 24 Nov" },
            { new Departed(DepartureKind.GivenAway, "a school"), "given away: a school" },
            { new FangsChecked(false), "fangs not black yet" },
            { new Watered(WaterKind.Mist), "misted" },
            { new Watered(WaterKind.Dish), "dish filled" },
            { new Looked(), "looked: no sign" },
            { new LeftoversRemoved(), "leftovers taken out" },
            { new Counted(18), "counted: 18" },
            {
                new Offered("roach-nymph", "small", 20, Preparation.Live, OfferOutcome.Eaten, null, [3, 7]),
                "took 20 small roach nymphs; no. 3, 7 left theirs"
            },
            {
                new Measured(BodyPart.Carapace, 9.24, ErrorMm: 0.31, PictureId: Guid.Empty),
                "carapace 9.2 mm ± 0.3 mm, in a picture"
            },
            { new Handled(CareAct.Pair), "put together with a mate" },
            { new Paired(), "put together with a mate" },
            {
                new Paired(Guid.Empty, "Bolt", PairingMethod.Watched, "he drummed at once"),
                "put together with Bolt, watched: he drummed at once"
            },
            { new Handled(CareAct.Dig), "dug up or opened" },
            { new Began(VigilKind.Surfacing), "buried itself" },
            { new Ended(VigilKind.Surfacing, VigilEnd.AsHoped), "came up after a molt" },
            { new Ended(VigilKind.Emergence, VigilEnd.Otherwise), "the pupa failed" },
            { new Chilled(true), "put into the cold" },
            { new Chilled(false), "taken out of the cold" },
            { new LimbNoted("leg 3 left", LimbState.Small), "leg 3 left: grown again, still small" },
            { new SexSeen(Sex.Female, SexEvidence.ShedSkin), "told as female from the shed skin" },
            { new TubeSeen(TubeWater.Low), "tube looked at: water low" },
            { new Tended("frass"), "frass out, walls wiped dry" },
            { new ConditionSeen(BodyCondition.VeryFull), "looks very full" },
            { new Began(Rulebook.VigilKind.Surfacing, 1), "buried itself, 1 of them" },
            { new Departed(DepartureKind.Escaped, "through the vent", 3), "escaped, 3 of them: through the vent" },
            { new Pictured(Guid.Empty, "in its hammock"), "picture: in its hammock" },
            { new PutOff(new DateOnly(2026, 11, 26), "eggs"), "put off until Thu 26 Nov: eggs" },
            {
                new Housed(
                    new Enclosure("3 L tub", 180, 120, 100, 40, Ventilation.Mesh, DampSide.None, HeatSource.Room, null),
                    true
                ),
                "rehoused into 3 L tub, 180 × 120 mm, 60 mm free height over 40 mm of floor"
            },
            { new Withdrawn(Guid.Empty), "an entry taken back" },
            { new Divided(40, "30 mL vials"), "divided into 40 vials: 30 mL vials" },
            { new VialsMolted([3, 7]), "molted: no. 3, 7" },
            { new Ended(VigilKind.Young, VigilEnd.Otherwise, Loss: CaseLoss.Eaten), "lost her brood (eaten)" },
            { new Promised("Ada", 6), "6 promised to Ada" },
            { new Promised("Ada", 0), "no longer promised to Ada" },
            { new Capped(40), "40 young are wanted, no more" },
            { new Capped(), "all young are wanted" },
            {
                new CalciumLooked([new CalciumLook("powder", CalciumLeft.Some)], ["cuttlebone"]),
                "calcium: powder, dusted in some; put in half a cuttlebone"
            },
            { new HostChosen("oak"), "fed with oak from now on" },
            {
                new Boxed(BoxSchool.Vented, 2.5, 0.8, "paper towel", [12, 11]),
                "kept: a box with a vented lid, 2.5 L, holes of 0.8 mm, paper towel, 12 and 11 in 2 boxes"
            },
            { new SickSeen([SickSign.RunnyFrass, SickSign.Sluggish], 2), "2 runny frass, sluggish" },
            { new SickSeen([SickSign.OddColour]), "some coloured otherwise" },
            {
                new QueenCaught(CatchWay.Walking, false, "warm, after rain"),
                "caught walking, without wings, warm, after rain"
            },
            { new LookedRound([]), "looked round: nobody up" },
            { new ShellTaken(ShellShape.Oval, 14), "wears a shell, oval, 14 mm" },
            { new ShellsCounted([]), "no empty shells" },
            {
                new MoltMarksSeen([MoltMark.LongAntennae, MoltMark.BlackTips]),
                "marks of a molt: long antennae, sharp black tips"
            },
            { new MoltMarksSeen([]), "no mark of a molt seen" },
            {
                new BurialGuarded(true, [SleeveStep.BottleCut, SleeveStep.Rinsed]),
                "others dig at its place; sleeve: bottle cut, rinsed"
            },
            { new BurialGuarded(false, []), "nobody digs at its place" },
            {
                new MatingSeen(Guid.NewGuid(), Guid.NewGuid(), MatingSight.Transfer),
                "mating log: shells together, transfer"
            },
            { new QueenCaught(CatchWay.Dug, true), "dug from a nest, with her wings" },
            { new Peeked([], Water: TubeWater.Low), "peeked: no brood; water low" },
            { new Peeked([BroodSeen.Pupae, BroodSeen.Workers], 12, 15), "peeked: pupae, workers (12–15)" },
            {
                new NestMoved(NestStep.Begun, NestSchool.Connect),
                "connected to a new nest: new one dark, old one light"
            },
            { new NestMoved(NestStep.Over), "all in the new nest, the queen among them" },
            { new TubLooked([]), "looked into the tub: all as it should be" },
            { new TubLooked([TubSign.Pouches, TubSign.DeadInMolt]), "in the tub: full pouches, dead in the molt" },
            { new Marked(30), "30 marked with a dot of paint and put back" },
            { new Recaught(40, 6), "40 caught again, 6 of them marked" },
            { new Scooped([12, 9], Bait: true), "at the bait: 12, 9" },
            { new WarmUpPlanned(), "no night planned for taking it out of the cold" },
            { new SecondLook(2), "looked a second time: 2 found, the rest are lost" },
            {
                new Graded([new VialGrade(3, SizeGrade.Runt), new VialGrade(1, SizeGrade.Fast, 9)]),
                "graded: fast no. 1; runt no. 3"
            },
            {
                new CaseTaken(
                    Guid.Empty,
                    "the sac",
                    new Place("A", 1, 2),
                    Kept: new Incubation(26.5, Moisture.Damp, 1)
                ),
                "eggs taken and kept apart, now the sac, at 26.5 °C, damp, turned daily"
            },
            { new Departed(DepartureKind.Died, null, null, LossCause.Mismolt, 12), "died (mismolt), vial 12" },
            { new Parted(Guid.Empty, 4, "tray 2", new Place("A", 1, 2)), "4 parted, now tray 2" },
            { new GaveBirth(Guid.Empty, 40, "the sac", new Place("A", 1, 2)), "40 young came out, now the sac" },
            { new Lent("a friend", BackBy: new DateOnly(2026, 12, 1)), "lent to a friend, back by 1 Dec" },
            { new PairingSeen(PairingSight.Insertion, 4, null, "Bolt"), "insertion seen, 4 min (with Bolt)" },
            { new PairingEnded(PairingEnding.MaleEaten, "within the hour"), "she ate him: within the hour" },
            { new WebLooked(WebLook.New, 0.25, Guid.Empty, "Tansy"), "a new sperm web after the pairing with Tansy" },
            { new Returned("thin"), "back from its loan: thin" },
            { new Placed(Guid.Empty, "Reef tank"), "put into Reef tank" },
            { new Gained(GainKind.Found, 2, "behind the rack"), "2 found again: behind the rack" },
            {
                new Counted(200, 150, 260, CountMethod.ByEye, "box 2", "young under the bark"),
                "counted in box 2: 200 (150–260), by eye; young under the bark"
            },
        };

    [Fact]
    public void No_entry_is_called_by_the_name_of_its_class()
    {
        var told = Acts.Select(row => row.Data.Item1.GetType()).ToHashSet();
        var kinds = typeof(Act)
            .Assembly.GetTypes()
            .Where(t => t.IsSubclassOf(typeof(Act)) && !t.IsAbstract)
            .ToHashSet();
        // Those in which details stand are told by the tests of the records.
        kinds.ExceptWith([typeof(Acquired), typeof(DetailsChanged), typeof(Noted)]);
        Assert.Equal(kinds.Select(k => k.Name).Order(), told.Select(k => k.Name).Order());
    }

    [Theory]
    [MemberData(nameof(Acts))]
    public void The_journal_reads_like_a_notebook(Act act, string text) =>
        Assert.Equal(text, EntryDefinition.Of(act).Say(act, RuleSet.Shipped, Words));
}
