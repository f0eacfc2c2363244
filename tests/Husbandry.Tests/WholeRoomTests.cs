using CsCheck;
using Husbandry.Almanac;
using Husbandry.Chores;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Labels;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Sitter;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>Kit, pace, summaries, nights ahead, almanac, labels and the sitter's sheet.</summary>
public class WholeRoomTests
{
    private static readonly Offered Fed = new("cricket", "small", 1, Preparation.Live, OfferOutcome.Eaten);

    private static JournalEntry At(DateTimeOffset at, Act act, string by = "Keeper", Guid? stock = null) =>
        new(Guid.NewGuid(), stock ?? Guid.NewGuid(), 1, Occurrence.At(at), at, by, null, act);

    private static RoomRules Rules => RuleSet.Shipped.Room;

    [Fact]
    public void The_pace_is_the_rulebooks_until_acts_were_timed()
    {
        var pace = RoundPace.Unlearned(Rules);
        Assert.Equal(Rules.Rounds.SecondsPerAct["feed"].Value, pace.SecondsFor("feed"));
        Assert.Empty(pace.Why(Rules));
    }

    [Fact]
    public void The_pace_follows_the_keepers_own_median_with_the_weight_of_what_was_timed()
    {
        // Thirty feedings forty seconds apart, one break of an hour among them that is no feeding.
        var entries = Enumerable
            .Range(0, 31)
            .Select(k => At(Diary.Evening.AddDays(-1).AddSeconds((40 * k) + (k > 15 ? 3600 : 0)), Fed))
            .ToList();
        var feed = RoundPace.Of(entries, Rules).Acts.Single(a => a.Act == "feed");
        Assert.Equal(29, feed.Measured);
        var weight = Rules.Rounds.PacePriorActs.Value;
        var rulebook = Rules.Rounds.SecondsPerAct["feed"].Value;
        Assert.Equal(((weight * rulebook) + (29 * 40)) / (weight + 29), feed.Seconds, 6);
    }

    [Fact]
    public void However_acts_were_timed_the_pace_lies_between_the_rulebook_and_the_keeper() =>
        Gen.Int[1, (int)Rules.Rounds.LongestActSeconds.Value]
            .Array[0, 40]
            .Sample(
                gaps =>
                {
                    var at = Diary.Evening.AddDays(-1);
                    List<JournalEntry> entries = [At(at, Fed)];
                    entries.AddRange(gaps.Select(gap => At(at = at.AddSeconds(gap), Fed)));
                    var seconds = RoundPace.Of(entries, Rules).SecondsFor("feed");
                    var rulebook = Rules.Rounds.SecondsPerAct["feed"].Value;
                    return seconds >= Math.Min(rulebook, gaps.DefaultIfEmpty(int.MaxValue).Min())
                        && seconds <= Math.Max(rulebook, gaps.DefaultIfEmpty(0).Max());
                },
                iter: 300
            );

    [Fact]
    public void Two_hands_are_timed_apart_and_a_batch_shares_its_time()
    {
        var start = Diary.Evening.AddDays(-1);
        List<JournalEntry> entries =
        [
            At(start, new Watered(WaterKind.Dish), "Ann"),
            At(start.AddSeconds(10), new Watered(WaterKind.Dish), "Keeper"),
            .. Enumerable.Range(0, 4).Select(_ => At(start.AddSeconds(90), new Watered(WaterKind.Dish), "Keeper")),
        ];
        var water = RoundPace.Of(entries, Rules).Acts.Single(a => a.Act == "water");
        // Four in 80 s by the keeper; Ann's single one times nothing.
        Assert.Equal(4, water.Measured);
        var weight = Rules.Rounds.PacePriorActs.Value;
        Assert.Equal(
            ((weight * Rules.Rounds.SecondsPerAct["water"].Value) + (4 * 20)) / (weight + 4),
            water.Seconds,
            6
        );
    }

    [Fact]
    public void The_kit_adds_food_up_and_says_what_protects()
    {
        var lines = new[]
        {
            new Diary("brachypelma-hamorii").LegSpan(60).Ate(30).Watered(0).Line(),
            new Diary("brachypelma-hamorii").LegSpan(60).Ate(30).Watered(0).Line(),
            new Diary("babycurus-jacksoni").With(2, new Measured(BodyPart.Body, 40)).Ate(30).Watered(0).Line(),
        };
        var kit = RoundKit.Of(lines);
        Assert.Equal(3, kit.Where(n => n.Item.Kind == KitKind.Food).Sum(n => n.Item.Amount));
        Assert.Equal(KitKind.Food, kit[0].Item.Kind);
        Assert.Contains(kit, n => n.Item.What == "a second person" && n.Item.Kind == KitKind.Safety);
        Assert.Contains(kit, n => n.Item.What.StartsWith("gloves", StringComparison.Ordinal));
        Assert.Single(kit, n => n.Item.What == "feeding tongs");
    }

    [Fact]
    public void A_summary_counts_and_says_what_to_check_tomorrow()
    {
        var (a, b) = (Guid.NewGuid(), Guid.NewGuid());
        var start = Diary.Evening;
        var summary = RoundSummary.Of(
            [
                At(start, Fed, stock: a),
                At(start.AddMinutes(2), new Watered(WaterKind.Dish), stock: a),
                At(start.AddMinutes(62), Fed with { Outcome = OfferOutcome.BattedAway }, "Ann", b),
                At(start.AddMinutes(63), new Molted(), "Ann", b),
            ],
            id => (new Place("A", 1, id == a ? 1 : 2), id == a ? "Tansy" : "Moss"),
            Diary.Room()
        );
        Assert.Equal(
            (2, 1, 1, 1, 1),
            (summary.Enclosures, summary.Eaten, summary.Refused, summary.Watered, summary.Molts)
        );
        // The hour between was a break.
        Assert.Equal(3, summary.Minutes!.Value, 6);
        Assert.Equal(["Ann", "Keeper"], summary.Hands.Select(h => h.By));
        var check = Assert.Single(summary.Tomorrow);
        Assert.Equal(("Moss", "molted: still soft, no food; water there?"), (check.Name, check.Text));
    }

    [Fact]
    public void A_night_ahead_names_meals_water_and_chores_that_fall_on_it()
    {
        var room = Diary.Room();
        var diary = new Diary().LegSpan(60).Ate(2).Watered(0.1);
        var glance = Glance.Of(diary.Judge());
        var meal = glance.Care.MealDue!.Value;
        var chores = ChoreStanding.Fold([
            new ChoreEntry(
                Guid.NewGuid(),
                1,
                Diary.Evening,
                "Keeper",
                new ChorePlanned(Guid.NewGuid(), new ChorePlan(ChoreKind.Cleaning, "Wipe", "", meal, 7, null, "", 10))
            ),
        ]);
        var ahead = NightAhead.Of([glance], chores, meal, room);
        var line = Assert.Single(ahead.Lines);
        Assert.Contains(new PlannedCare(CareClock.Food, "meal", Again: false), line.Care);
        Assert.Single(ahead.Chores);
        var food = Assert.Single(glance.Care.Clocks, c => c.Clock == CareClock.Food);
        var again = NightAhead.Of([glance], chores, meal.AddDays((int)Math.Round(food.EveryDays)), room);
        Assert.Contains(new PlannedCare(CareClock.Food, "meal", Again: true), Assert.Single(again.Lines).Care);
        Assert.Empty(NightAhead.Of([glance], chores, room.Tonight.AddDays(1), room).Lines);
    }

    [Fact]
    public void The_almanac_keeps_the_key_of_a_wait_and_ends_it_with_the_molt()
    {
        var diary = new Diary(molts: 5).With(120, new Molted()).LegSpan(60).Ate(2);
        var room = Diary.Room();
        AlmanacPlan Plan() => AlmanacPlan.Of([Glance.Of(diary.Judge())], ChoreStanding.Empty, room);
        var before = Plan();
        var band = Assert.Single(before.Bands, b => b.Kind == AlmanacKind.Molt);
        diary.Ate(0.5);
        Assert.Equal(band.Key, Plan().Bands.Single(b => b.Kind == AlmanacKind.Molt).Key);
        diary.With(0.1, new Molted());
        var after = Plan();
        Assert.Contains(after.Ended, e => e.Key == band.Key && e.On == room.Tonight);
        Assert.DoesNotContain(after.Bands, b => b.Key == band.Key);
    }

    [Fact]
    public void An_animal_that_left_ends_what_was_awaited_of_it()
    {
        var diary = new Diary(molts: 5).With(120, new Molted()).LegSpan(60);
        var room = Diary.Room();
        var key = AlmanacPlan
            .Of([Glance.Of(diary.Judge())], ChoreStanding.Empty, room)
            .Bands.Single(b => b.Kind == AlmanacKind.Molt)
            .Key;
        diary.With(0.2, new Departed(DepartureKind.Sold));
        var plan = AlmanacPlan.Of([Glance.Of(diary.Judge())], ChoreStanding.Empty, room);
        Assert.Empty(plan.Bands);
        Assert.Contains(plan.Ended, e => e.Key == key && e.Label == "left the collection");
    }

    [Fact]
    public void A_label_says_who_where_when_and_what_it_can_do()
    {
        var scorpion = new Diary("babycurus-jacksoni", molts: 3).With(40, new Molted());
        var label = LabelText.Of(Glance.Of(scorpion.Judge()));
        Assert.Equal(("A1·03", "Tansy", "Babycurus jacksoni"), (label.Code, label.Name, label.Species));
        Assert.Equal("DANGEROUS VENOM · TWO PEOPLE", label.HazardText);
        Assert.Contains("molted 14 Oct 2026", label.Lines);
        Assert.EndsWith(scorpion.StockId.ToString(), label.Path, StringComparison.Ordinal);
    }

    [Fact]
    public void A_label_bears_the_last_pairings_until_a_molt_undoes_them()
    {
        var female = new Diary(molts: 9, mature: true).LegSpan(120);
        string? Paired() =>
            LabelText
                .Of(Glance.Of(female.Judge()))
                .Lines.SingleOrDefault(l => l.StartsWith("paired", StringComparison.Ordinal));
        Assert.Null(Paired());
        female.With(30, new Handled(CareAct.Pair)).With(20, new Handled(CareAct.Pair));
        female.With(12, new Handled(CareAct.Clean)).With(9, new Handled(CareAct.Pair));
        Assert.Equal("paired 3 Nov 2026, 14 Nov 2026", Paired());
        // Handbook, pairing: if she molts before laying, the pairing is lost.
        female.With(2, new Molted());
        Assert.Null(Paired());
    }

    private static SitterSheet Sheet(bool twoPeople, params Diary[] diaries) =>
        SitterSheet.Of(diaries.Select(d => d.Judge()), twoPeople, Diary.Room());

    [Fact]
    public void What_cannot_be_judged_is_named_on_the_sheet_and_stays_shut()
    {
        var odd = new Diary();
        var sheet = Sheet(twoPeople: true, new Diary()).With([odd.Standing()], Diary.Room());
        var shut = Assert.Single(sheet.LeaveShut, s => s.StockId == odd.StockId);
        Assert.Contains("Do not open", shut.Why, StringComparison.Ordinal);
        Assert.DoesNotContain(sheet.Lines, l => l.StockId == odd.StockId);
    }

    [Fact]
    public void A_sitter_feeds_and_waters_what_is_open_and_opens_nothing_that_is_hushed()
    {
        var hungry = new Diary().LegSpan(60).Ate(20).Watered(0);
        var thirsty = new Diary().LegSpan(60).Ate(1).Watered(20);
        var premolt = new Diary().LegSpan(60).Ate(40).Sign("dark-under-hair", 1).Sign("sluggish", 1).Watered(0);
        var unsized = new Diary().Watered(0.1);
        var limp = new Diary().LegSpan(60).Ate(1).Sign("curled-under", 0.2);
        var sheet = Sheet(false, hungry, thirsty, premolt, unsized, limp);
        Assert.Equal([RoundAct.Help, RoundAct.Feed, RoundAct.Water], sheet.Lines.Select(l => l.Act).Order());
        Assert.Equal("Put water within reach at once, then call", sheet.Lines.Single(l => l.Act == RoundAct.Help).Do);
        Assert.Equal(premolt.StockId, Assert.Single(sheet.LeaveShut).StockId);
        Assert.Equal(1, sheet.LeftOut);
        // Who has never held a brush to a tarantula is told what its hairs do.
        var hairy = RuleSet.Shipped.Profile("tliltocatl-albopilosus")!.Hazard!.Value;
        Assert.Equal(Hazard.IrritantHairs, hairy);
        Assert.All(sheet.Lines, l => Assert.Equal(hairy, l.Hazard));
    }

    [Fact]
    public void A_hushed_animal_gets_its_water_from_a_sitter_and_nothing_else()
    {
        Diary Premolt() => new Diary().LegSpan(60).Ate(40).Sign("dark-under-hair", 1).Sign("sluggish", 1).Watered(30);
        var line = Assert.Single(Sheet(false, Premolt()).Lines);
        Assert.Equal(RoundAct.Water, line.Act);
        Assert.Contains("Likely premolt: nothing else, and do not touch her", line.Note, StringComparison.Ordinal);
        Assert.Empty(Sheet(false, Premolt()).LeaveShut);
        // On its back even the dish waits.
        var turned = Sheet(false, Premolt().Sign("on-its-back", 0.1));
        Assert.Empty(turned.Lines);
        Assert.Single(turned.LeaveShut);
    }

    [Fact]
    public void What_only_the_keeper_does_is_not_told_to_who_leaves_it_shut()
    {
        // Fangs are due for a look, by the keeper: to a sitter that would be an order to open it.
        var soft = new Diary().LegSpan(60).Watered(0).With(8, new Molted());
        Assert.Equal(RoundAct.CheckFangs, RoundLine.Of(soft.Judge()).Act);
        var shut = Assert.Single(Sheet(false, soft).LeaveShut);
        Assert.Equal("fangs unchecked: what is due waits for the keeper", shut.Why);
        // Live prey with a soft animal is not to be fished for by another hand, nor kept quiet.
        var inDanger = new Diary()
            .LegSpan(60)
            .Watered(0)
            .With(0.5, Fed with { Outcome = OfferOutcome.NotSeen, LeftIn = true });
        var called = Assert.Single(Sheet(false, inDanger.With(0.2, new Molted())).LeaveShut);
        Assert.Equal("hardening, and food is still in there: call the keeper", called.Why);
    }

    [Fact]
    public void Dangerous_venom_is_left_shut_or_needs_two()
    {
        Diary Scorpion() => new Diary("babycurus-jacksoni").With(2, new Measured(BodyPart.Body, 40)).Ate(30).Watered(0);
        Assert.Empty(Sheet(false, Scorpion()).Lines);
        Assert.Contains(
            "not for one person",
            Assert.Single(Sheet(false, Scorpion()).LeaveShut).Why,
            StringComparison.Ordinal
        );
        Assert.True(Assert.Single(Sheet(true, Scorpion()).Lines).TwoPeople);
    }

    [Fact]
    public void A_queen_that_is_fed_while_she_founds_is_fed_by_the_sitter_too_and_one_on_her_reserves_is_not()
    {
        Diary Queen(string species) =>
            new Diary(species, cameNightsAgo: 20, mature: true).With(10, new Began(VigilKind.FirstWorkers));
        var fed = Queen("manica-rubida").With(0.2, new TubeSeen(TubeWater.Full));
        var line = Assert.Single(Sheet(false, fed).Lines);
        Assert.Equal(RoundAct.Feed, line.Act);
        Assert.StartsWith("Red light, no knocks", line.Note, StringComparison.Ordinal);
        // What she left would be mouldy by the time the keeper is back.
        fed.With(4, new Offered("cut-insect", "one", 1, Preparation.Fresh, OfferOutcome.NotSeen, LeftIn: true));
        Assert.Equal(RoundAct.RemoveLeftovers, Assert.Single(Sheet(false, fed).Lines).Act);
        var claustral = Sheet(false, Queen("lasius-niger"));
        Assert.DoesNotContain(claustral.Lines, l => l.Act is RoundAct.Feed or RoundAct.RemoveLeftovers);
    }

    [Fact]
    public void A_tick_becomes_what_was_done_and_nothing_else()
    {
        var line = Assert.Single(Sheet(false, new Diary().LegSpan(60).Ate(20).Watered(0)).Lines);
        var put = Assert.IsType<Offered>(Assert.Single(SitterSheet.ActsOf(line, SitterTick.Done, "")));
        Assert.Equal((OfferOutcome.NotSeen, true), (put.Outcome, put.AsOffer().StaysIn()));
        Assert.False(
            Assert.IsType<Offered>(Assert.Single(SitterSheet.ActsOf(line, SitterTick.NotTaken, ""))).AsOffer().StaysIn()
        );
        Assert.Equal(
            "looks wrong: limp",
            Assert.IsType<Noted>(Assert.Single(SitterSheet.ActsOf(line, SitterTick.LooksWrong, "limp"))).Text
        );
        Assert.Empty(SitterSheet.ActsOf(line with { Act = RoundAct.Water }, SitterTick.NotTaken, ""));
    }

    [Fact]
    public void Whatever_the_record_a_sitter_is_never_sent_into_a_hush()
    {
        var species = RuleSet.Shipped.Species.Select(s => s.Id).ToArray();
        Gen.Select(
                Gen.Int[0, species.Length - 1],
                Gen.Int[0, 60],
                Gen.Int[0, 200],
                Gen.Int[0, 30],
                Gen.Int[0, 5],
                Gen.Bool
            )
            .Sample(
                (k, ate, molted, watered, signs, two) =>
                {
                    var id = species[k];
                    var profile = RuleSet.Shipped.Profile(id)!;
                    var part = RuleSet.Shipped.Group(profile.Group)!.Growth.SizePart;
                    var diary = new Diary(id, molts: 4).With(molted + 0.5, new Molted());
                    diary.With(0.4, new Measured(part, profile.AdultSizeMm.Female.Value.Low * 0.5));
                    diary.With(ate + 0.3, Fed).Watered(watered + 0.2);
                    foreach (var sign in RuleSet.Shipped.Signs.Where(s => s.Groups.Contains(profile.Group)).Take(signs))
                    {
                        diary.Sign(sign.Id, 0.1);
                    }

                    var judgement = diary.Judge();
                    return SitterSheet
                        .Of([judgement], two, Diary.Room())
                        .Lines.All(l =>
                            // A queen that is fed while she founds is the one hushed animal that needs more than water.
                            (
                                judgement.Phase.Value < Phase.Likely
                                || l.Act is RoundAct.Tend or RoundAct.Water or RoundAct.Help
                                || (judgement.Phase.Value, profile.Founding?.Value)
                                    == (Phase.Founding, Founding.SemiClaustral)
                            )
                            && l.Done.Select(act => EntryDefinition.Of(act).Care(act, judgement.Subject))
                                .OfType<CareAct>()
                                // Where misting is to be avoided, drops on the wall are told instead.
                                .All(care =>
                                    judgement.Hush[care].Verdict == Verdict.Fine
                                    || (care == CareAct.Mist && l.Do.Contains("drops on the wall"))
                                )
                            && (l.Act != RoundAct.Water || judgement.Hush[CareAct.Water].Verdict == Verdict.Fine)
                            && (l.TwoPeople || profile.Hazard?.Value != Hazard.MedicallySignificant)
                        );
                },
                iter: 1500
            );
    }
}
