using Husbandry.Colonies;
using Husbandry.Feeding;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Vigils;
using Worlds;

namespace Husbandry.Tests;

/// <summary>
/// Founding queens and colonies: what is seen moves the dates, moves, winters, flights, growth. Source unless said otherwise: common
/// practice, no published source.
/// </summary>
public class AntColonyTests
{
    private static readonly DateOnly Tonight = Diary.Room().Tonight;

    private static Diary Queen(int nights, string species = "lasius-niger") =>
        new Diary(species, Sex.Female, nights, mature: true).With(nights, new Began(VigilKind.FirstWorkers));

    private static FoundingChain Chain(Diary queen) => FoundingChain.Of(queen.Judge().Subject)!.Value;

    private static string? Refused(Diary diary, Act act) =>
        EntryCheck.Check(act, Occurrence.At(Diary.Evening), diary.Standing(), Diary.Room()) is [var first, ..]
            ? first.Field
            : null;

    [Fact]
    public void Stages_come_in_turn_and_the_last_is_the_forecast_of_the_round()
    {
        var queen = Queen(20).With(8, new Peeked([BroodSeen.Eggs]));
        var steps = Chain(queen).Steps;
        Assert.Equal(
            [BroodSeen.Eggs, BroodSeen.Larvae, BroodSeen.Pupae, BroodSeen.Workers],
            steps.Select(s => s.Stage)
        );
        Assert.All(steps.Zip(steps.Skip(1)), p => Assert.True(p.First.Likely < p.Second.Likely));
        Assert.Equal(Tonight.AddDays(-8), steps[0].SeenOn);
        Assert.Null(steps[1].SeenOn);
        var forecast = queen.Judge().Wait.Value!;
        Assert.Equal((forecast.P10, forecast.P50, forecast.P90), (steps[3].From, steps[3].Likely, steps[3].To));
    }

    /// <summary>Pupae seen early bring the workers nearer; larvae still missing late put them off.</summary>
    [Fact]
    public void What_is_seen_moves_the_dates()
    {
        DateOnly Likely(params (int Ago, BroodSeen[] Seen)[] peeks)
        {
            var queen = Queen(40);
            foreach (var (ago, seen) in peeks)
            {
                queen.With(ago, new Peeked(seen));
            }

            return queen.Judge().Wait.Value!.P50;
        }

        var unseen = Likely();
        Assert.True(Likely((1, [BroodSeen.Pupae])) < unseen);
        Assert.True(Likely((1, [BroodSeen.Eggs])) > unseen);
        // By handbook figures pupae stand for 12 to 20 days at 25 °C: those seen last night bring workers within three weeks.
        Assert.InRange(
            Likely((12, [BroodSeen.Larvae]), (1, [BroodSeen.Larvae, BroodSeen.Pupae])).DayNumber - Tonight.DayNumber,
            4,
            21
        );
    }

    /// <summary>What is said beside the stages is what the hush says: no food for one that lives on her reserves.</summary>
    [Fact]
    public void Beside_the_stages_nothing_is_offered_that_the_hush_forbids()
    {
        var queen = Queen(20).Judge();
        Assert.Equal(Verdict.Never, queen.Hush[CareAct.FeedDead].Verdict);
        Assert.DoesNotContain(
            FoundingChain.Of(queen.Subject)!.Value.Mind,
            m => m.Contains("honey", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void A_queen_that_ate_her_brood_begins_anew()
    {
        var queen = Queen(60)
            .With(30, new Peeked([BroodSeen.Eggs, BroodSeen.Larvae]))
            .With(10, new Peeked([BroodSeen.Eggs]));
        Assert.True(Chain(queen).BeganAnew);
        Assert.True(
            queen.Judge().Wait.Value!.P50 > Queen(60).With(30, new Peeked([BroodSeen.Larvae])).Judge().Wait.Value!.P50
        );
    }

    [Fact]
    public void First_workers_seen_at_a_peek_end_the_founding_between_two_looks()
    {
        var colony = Queen(70)
            .With(20, new Peeked([BroodSeen.Pupae], Water: TubeWater.Full))
            .With(2, new Peeked([BroodSeen.Pupae, BroodSeen.Workers], 6));
        var wait = Assert.Single(colony.Standing().Vigils.All);
        Assert.Equal(
            (VigilEnd.AsHoped, Diary.Evening.AddDays(-20), Diary.Evening.AddDays(-2)),
            (wait.End, wait.Ended!.From, wait.Ended.To)
        );
        Assert.False(colony.Judge().Subject.IsQueenAlone);
        Assert.Null(FoundingChain.Of(colony.Judge().Subject));
        // The same of one of whom nobody wrote down when she began.
        var unsaid = new Diary("lasius-niger", Sex.Female, 70, mature: true).With(2, new Peeked([BroodSeen.Workers]));
        Assert.False(unsaid.Judge().Subject.IsQueenAlone);
    }

    [Fact]
    public void A_peek_counts_as_the_look_at_the_tube()
    {
        var queen = Queen(40).With(3, new Peeked([BroodSeen.Eggs], Water: TubeWater.Low));
        Assert.Equal(TubeWater.Low, queen.Standing().Water.Tube!.Water);
        var offers = Queen(40).Line();
        Assert.Equal(RoundAct.LookAtTube, offers.Act);
        Assert.Contains(offers.Beside, o => o.Form == EntryForm.Peeked);
        // Between looks she is hushed: nothing to be opened or lit.
        Assert.Contains(CareAct.BrightLight, queen.Judge().Hush.Never);
    }

    /// <summary>Both schools are common practice, no published source: a look every few weeks, or none until workers are due.</summary>
    [Fact]
    public void A_room_that_does_not_peek_leaves_her_shut_until_her_workers_are_due()
    {
        var none = Diary.Settings with { Peeking = PeekingSchool.None };
        static WaterClock Tube(Judgement j) => j.Water.Value.Clocks.Single(c => c.Way == WaterWay.Tube);
        var queen = Queen(30);
        Assert.True(Tube(queen.Judge()).Due <= Tonight);
        var shut = queen.Judge(none);
        Assert.Equal(FoundingChain.Of(shut.Subject)!.Value.Steps[^1].From, Tube(shut).Due);
        Assert.True(Tube(shut).Due > Tonight);
        Assert.NotEqual(RoundAct.LookAtTube, RoundLine.Of(shut).Act);
        Assert.Contains("no look until her workers", shut.Phase.Summary, StringComparison.Ordinal);
        var schools = shut.Water.Reasons.Single(r => r.Schools.Count > 0).Schools;
        Assert.Equal(["none"], schools.Where(s => s.Chosen).Select(s => s.Name));
        Assert.Contains("when her first workers are due", Look(none), StringComparison.Ordinal);
        Assert.Contains("in 3 weeks", Look(Diary.Settings), StringComparison.Ordinal);

        // Little water is looked after all the same, and one that is fed is visited.
        var low = Queen(20).With(6, new Peeked([BroodSeen.Eggs], Water: TubeWater.Low)).Judge(none);
        Assert.True(Tube(low).Due <= Tonight);
        Assert.True(Tube(Queen(20, "manica-rubida").Judge(none)).Due <= Tonight);
        // Once workers may be there she is looked at as by anybody.
        Assert.True(Tube(Queen(200).Judge(none)).Due <= Tonight);
    }

    private static string Look(RoomSettings settings)
    {
        var asked = new Husbandry.Guide.GuideAsked(
            RuleSet.Shipped.Group("ant")!,
            RuleSet.Shipped.Room,
            settings.FirstMeal,
            Peeking: settings.Peeking
        );
        return Husbandry.Guide.GuideFigures.Fill("Look again {queenLook}.", asked);
    }

    [Fact]
    public void What_cannot_be_is_refused()
    {
        Assert.Equal("act.kind", Refused(new Diary(), new Peeked([])));
        Assert.Equal("act.seen", Refused(Queen(9), new Peeked([BroodSeen.Eggs, BroodSeen.Eggs])));
        Assert.Equal("act.seen", Refused(Queen(9), new Peeked([BroodSeen.Pupae], 4)));
        Assert.Equal("act.workersMost", Refused(Queen(9), new Peeked([BroodSeen.Workers], 9, 4)));
        Assert.Equal("act.kind", Refused(Queen(9), new NestMoved(NestStep.Begun)));
        Assert.Equal("act.step", Refused(Colony(12), new NestMoved(NestStep.Scout)));
        Assert.Null(Refused(Colony(12), new NestMoved(NestStep.Begun)));
        Assert.Equal("act.kind", Refused(new Diary(), new QueenCaught(CatchWay.Walking)));
    }

    private static Diary Colony(int workers, string species = "lasius-niger", double ago = 2) =>
        Queen(120, species).With(ago, new Peeked([BroodSeen.Workers, BroodSeen.Larvae], workers));

    /// <summary>Tubes are left with 10 to 30 workers by species; the nest is not much larger than the colony.</summary>
    [Theory]
    [InlineData("lasius-niger", 9, false)]
    [InlineData("lasius-niger", 22, true)]
    [InlineData("camponotus-ligniperda", 9, true)]
    public void A_colony_moves_when_its_tube_is_crowded(string species, int workers, bool due)
    {
        var plan = NestPlan.Of(Colony(workers, species).Judge().Subject)!.Value;
        Assert.Equal(due, plan.IsDue);
        Assert.InRange(plan.NestMl, workers, Math.Max(5, 5 * workers));
        Assert.Contains(plan.Ready, r => r.Contains("scalds", StringComparison.Ordinal));
    }

    [Fact]
    public void A_move_goes_on_until_it_is_over()
    {
        var begun = Colony(25, ago: 9).With(3, new NestMoved(NestStep.Begun, NestSchool.Connect));
        Assert.Contains("no scout yet", NestPlan.Of(begun.Judge().Subject)!.Summary, StringComparison.Ordinal);
        var scout = begun.With(2, new NestMoved(NestStep.Scout));
        Assert.NotNull(NestPlan.Of(scout.Judge().Subject)!.Value.Move!.ScoutAt);
        var over = scout.With(1, new NestMoved(NestStep.Over));
        var plan = NestPlan.Of(over.Judge().Subject)!.Value;
        Assert.Equal((false, null), (plan.IsDue, plan.Move));
        Assert.Null(NestPlan.Of(Queen(20).Judge().Subject));
    }

    [Theory]
    [InlineData(CatchWay.Dug, true, "probably not mated")]
    [InlineData(CatchWay.Walking, false, "most likely mated")]
    public void The_catch_tells_whether_she_is_mated(CatchWay way, bool winged, string says) =>
        Assert.Contains(
            says,
            QueenCaughtEntry.Mated(Queen(9).With(9, new QueenCaught(way, winged)).Standing().Colony.Catch),
            StringComparison.Ordinal
        );

    [Fact]
    public void A_winter_is_counted_by_what_was_read_and_days_too_cold_are_told()
    {
        var winter = AntWinter
            .Of(Colony(20, ago: 99).With(40, new Chilled(true)).ReadEachDay(40, 7).Judge().Subject)!
            .Value;
        Assert.Equal((true, 40, 0), (winter.IsCold, winter.Done.DoneDays, winter.TooColdDays));
        // Twelve weeks at least.
        Assert.Equal((12 * 7) - 40, winter.Done.MissingDays);
        var frozen = AntWinter
            .Of(Colony(20, ago: 99).With(40, new Chilled(true)).ReadEachDay(40, 1).Judge().Subject)!
            .Value;
        Assert.Equal(40, frozen.TooColdDays);
        var unread = AntWinter.Of(
            Colony(20, ago: 99).With(40, new Chilled(true)).ReadEachDay(40, 21, "").Judge().Subject
        )!;
        Assert.Contains("by the calendar", unread.Summary, StringComparison.Ordinal);
        Assert.Null(AntWinter.Of(new Diary().Judge().Subject));
    }

    [Fact]
    public void Flights_are_told_with_the_days_that_are_left_and_half_a_year_later_in_the_south()
    {
        var flights = FlightSeason.Of(Diary.Room());
        Assert.Equal(5, flights.Count);
        var niger = flights.Single(f => f.Species == "Lasius niger");
        // July and August, from memory.
        Assert.Equal((7, 8), (niger.From.Month, niger.To.Month));
        Assert.Null(niger.DaysLeft);
        var summer = FlightSeason.Of(Diary.Room(now: new DateTimeOffset(2026, 8, 21, 21, 0, 0, TimeSpan.Zero)));
        Assert.Equal(10, summer.Single(f => f.Species == "Lasius niger").DaysLeft);
        Assert.Equal(new DateOnly(2027, 1, 9), FlightSeason.Next(new DateOnly(2026, 11, 23), 192 + 182));
    }

    /// <summary>
    /// Founding queens whose stages last gamma times 10 in 100 longer than the rulebook's, looked at every two to four weeks: the
    /// windows of eight in ten hold in 70 to 90 of 100.
    /// </summary>
    [Fact]
    public void Windows_of_foundings_hold_on_made_up_queens()
    {
        var draws = new Draws(18);
        var (held, scored) = (0, 0);
        for (var k = 0; k < 240; k++)
        {
            var queen = new MadeQueen(draws);
            var days = (int)(queen.WorkersDay * (0.35 + (0.5 * draws.Between(0, 1))));
            if (days < 12)
            {
                continue;
            }

            var diary = Queen(days);
            for (var at = 10 + (8 * draws.Between(0, 1)); at < days - 1; at += 14 + (14 * draws.Between(0, 1)))
            {
                diary.With(days - at, new Peeked([.. queen.SeenOn(at).Select(s => (BroodSeen)s)]));
            }

            var forecast = diary.Judge().Wait.Value!;
            var workers = Tonight.AddDays((int)Math.Round(queen.WorkersDay - days));
            held += workers >= forecast.P10 && workers <= forecast.P90 ? 1 : 0;
            scored++;
        }

        Assert.InRange(held / (double)scored, 0.70, 0.90);
    }

    /// <summary>
    /// Colonies of which every egg, larva and pupa has its own gamma time, laid at a rate that nobody knows: bands of eight in ten of
    /// the workers two months ahead hold in 70 to 90 of 100.
    /// </summary>
    [Fact]
    public void Bands_of_growth_hold_on_made_up_colonies()
    {
        var draws = new Draws(81);
        var (held, scored) = (0, 0);
        for (var k = 0; k < 120; k++)
        {
            var colony = new MadeColony(draws);
            var diary = Queen(200);
            foreach (var day in new[] { 60, 90, 120 })
            {
                var workers = colony.Counted(day, draws);
                if (workers > 0)
                {
                    diary.With(120 - day, new Peeked([BroodSeen.Workers], workers));
                }
            }

            if (ColonyGrowth.Of(diary.Judge().Subject) is not { } growth || growth.Value.Counts.Count < 3)
            {
                continue;
            }

            var ahead = growth.Value.Ahead[8];
            var there = colony.WorkersOn(120 + (8 * 7));
            held += there >= ahead.P10 && there <= ahead.P90 ? 1 : 0;
            scored++;
        }

        Assert.InRange(scored, 60, 120);
        Assert.InRange(held / (double)scored, 0.70, 0.90);
    }

    /// <summary>Nothing is lost in the chain of delays: what was laid is brood, workers or dead workers.</summary>
    [Fact]
    public void The_chain_of_delays_keeps_its_mean_times()
    {
        var life = RuleSet.Shipped.Profile("lasius-niger")!.Colony!;
        var rules = RuleSet.Shipped.Room.Colonies;
        var model = new BroodModel(life, rules, 0, 1);
        var eggs = model.Now.Eggs;
        // A steady queen: brood of a stage is her eggs a day times its length (Little's law).
        Assert.Equal(rules.EggsPerDay.Value.P50 * life.Larvae.Value.P50, eggs, 1e-9);
        Assert.Equal(rules.EggsPerDay.Value.P50 * life.Pupae.Value.P50, model.Now.Larvae, 1e-9);
        for (var day = 0; day < 30; day++)
        {
            model.Pass(1);
        }

        Assert.InRange(
            model.Now.Workers,
            0.85 * 30 * rules.EggsPerDay.Value.P50,
            1.15 * 30 * rules.EggsPerDay.Value.P50
        );
    }
}
