using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;
using static Husbandry.Tests.Pair;

namespace Husbandry.Tests;

/// <summary>What tells whether a pairing took, and what the room's own pairings teach of it.</summary>
public sealed class PairingEvidenceTests
{
    private static readonly RoomPairingRules Rules = RuleSet.Shipped.Room.Pairing;

    [Fact]
    public void The_odds_are_moved_by_what_was_seen()
    {
        double Took(params Act[] seen)
        {
            var diary = Female().With(10, Led());
            foreach (var act in seen)
            {
                diary.With(9.9, act);
            }

            return diary.With(9.8, Out()).Judge().Waits[0].Value!.Ladder[^2].Chance;
        }

        // From 0.60 odds of 1.5: six times as much after an insertion, 0.35 of it when nothing was seen. Worked by hand.
        Assert.Equal(9.0 / 10, Took(new PairingSeen(PairingSight.Insertion, 4)), 1e-9);
        Assert.Equal(0.525 / 1.525, Took(), 1e-9);
        Assert.Equal(
            9.0 / 10,
            Took(new PairingSeen(PairingSight.Lunge), new PairingSeen(PairingSight.Insertion)),
            1e-9
        );
    }

    [Theory]
    [InlineData(0.0, 0.02)]
    [InlineData(0.2, 0.2)]
    [InlineData(0.6, 0.6)]
    [InlineData(1.0, 0.98)]
    public void A_web_tells_the_less_the_oftener_he_spins_anyway(double told, double anyway)
    {
        double Ratio(WebLook look) =>
            PairingEvidence
                .Of(
                    Subject.Of(
                        Female().With(10, Net()).With(9.5, Out()).With(7.6, Half(look, told)).Standing(),
                        Diary.Room()
                    ),
                    Female().With(10, Net()).Standing().Vigils.Open.Single()
                )
                .Clues.Single()
                .Ratio;
        var late = Rules.Evidence.WebLate.Value;
        // No share that was told makes certain of it.
        Assert.Equal(late / anyway, Ratio(WebLook.New), 1e-9);
        Assert.Equal((1 - late) / (1 - anyway), Ratio(WebLook.None), 1e-9);
    }

    [Fact]
    public void A_web_is_told_of_the_pairing_with_him_and_of_no_other()
    {
        var other = Guid.NewGuid();
        var she = Female()
            .With(10, Led())
            .With(9.9, Out())
            .With(9.5, new Paired(other, "Twig", PairingMethod.Watched))
            .With(8.8, Half(WebLook.New, 0.2));
        var pairings = she.Standing().Pairings;
        Assert.Equal([PairingSight.NewWeb], pairings[0].Seen.Select(m => m.Sight));
        Assert.Empty(pairings[1].Seen);
    }

    [Fact]
    public void How_often_a_male_spins_unmated_is_counted_on_looks_that_follow_no_pairing()
    {
        var he = Male()
            .With(40, new WebLooked(WebLook.New))
            .With(35, new WebLooked(WebLook.None))
            .With(30, new WebLooked(WebLook.OldCleared))
            .With(20, Net())
            .With(19.6, Out())
            .With(18.6, new WebLooked(WebLook.New, 0.3, MateId));
        // Four looks' worth of 0.25, and one web in two looks of his own. Worked by hand.
        Assert.Equal((4 * 0.25 + 1) / (4 + 2), PairingEvidence.SpinsAnyway(he.Standing(), Rules), 1e-9);
    }

    [Fact]
    public void The_ends_of_the_wait_are_those_of_many_such_lives()
    {
        // Lives drawn one by one from the rules: the sum over days must say the same.
        var diary = Female(molted: 190).With(40, Watched());
        var j = diary.Judge();
        var (wait, molt) = (j.Waits[0].Value!, j.Molt.Value!);
        var sac = RuleSet.Shipped.Profile("tliltocatl-albopilosus")!.Pairing!.SacWait.Value.P50;
        var rule = RuleSet
            .Shipped.Group("tarantula")!
            .Vigils.OtherEnds[VigilKind.EggCase][VigilEnd.Otherwise]
            .Wait.Value;
        var nothing = new RemainingWait(
            LogNormalWait.FromPrior(new WaitPrior(rule.P10 * sac, rule.P50 * sac, rule.P90 * sac)),
            new EffectiveDays(40)
        );
        var random = new Random(7);
        var ends = new int[3];
        const int Lives = 40_000;
        for (var k = 0; k < Lives; k++)
        {
            var which = random.NextDouble() < wait.Ladder[^1].Chance ? 0 : 1;
            var ended = which == 0 ? wait.Left.Quantile(Open(random)).Value : nothing.Quantile(Open(random)).Value;
            ends[molt.Left.Quantile(Open(random)).Value < ended ? 2 : which]++;
        }

        var told = wait.Ends!;
        Assert.Equal([VigilEnd.AsHoped, VigilEnd.Otherwise, VigilEnd.CutShort], told.Ends.Select(e => e.End));
        Assert.All(told.Ends.Zip(ends), x => Assert.Equal(x.Second / (double)Lives, x.First.Chance, 0.012));
        Assert.Equal(1, told.Ends.Sum(e => e.Chance), 1e-9);
    }

    [Fact]
    public void Pairings_of_the_room_teach_how_long_a_sac_takes_and_how_often_it_comes()
    {
        var room = Diary.Room();
        List<Standing> here = [];
        for (var k = 0; k < 14; k++)
        {
            // Quick sacs, and hardly any that did not take.
            here.Add(
                Female()
                    .With(200 + k, Watched())
                    .With(170 + k, new Ended(VigilKind.EggCase, VigilEnd.AsHoped))
                    .Standing()
            );
        }

        here.Add(Female().With(300, Watched()).With(120, new Ended(VigilKind.EggCase, VigilEnd.Otherwise)).Standing());
        var she = Female();
        var before = SacOutlook.Of(Subject.Of(she.Standing(), room));
        var after = SacOutlook.Of(Subject.Of(she.Standing(), room.With(Lessons.Of(here, room))));
        double Half(SacOutlook sac) => new RemainingWait(sac.Wait, EffectiveDays.Zero).Quantile(0.5).Value;
        Assert.Equal(RuleSet.Shipped.Profile("tliltocatl-albopilosus")!.Pairing!.SacWait.Value.P50, Half(before), 1.0);
        Assert.InRange(Half(after), 25, 50);
        Assert.True(after.Takes > before.Takes + 0.1);
        Assert.Equal((14, 15), (after.Seen, after.Ended));
    }

    [Fact]
    public void Whether_he_is_charged_is_read_off_his_webs()
    {
        string Web(Diary he) =>
            ReadinessChecks.Of(he.Judge().Mate).Checks.Single(c => c.Why.Topic == "Sperm web").Why.Text;
        Assert.StartsWith("No sperm web of his", Web(Male()), StringComparison.Ordinal);
        Assert.EndsWith("charged.", Web(Male().With(9, new WebLooked(WebLook.New))), StringComparison.Ordinal);
        Assert.StartsWith(
            "No new sperm web on record since",
            Web(Male().With(9, new WebLooked(WebLook.New)).With(3, Led()).With(2.9, Out())),
            StringComparison.Ordinal
        );
        var scorpion = new Diary("pandinus-imperator", Sex.Male, mature: true).Judge().Mate;
        Assert.DoesNotContain(ReadinessChecks.Of(scorpion).Checks, c => c.Why.Topic == "Sperm web");
    }

    /// <summary>A female whose wait ended, after a pairing of which something was seen.</summary>
    private static Standing Tried(bool took, params Act[] seen)
    {
        var diary = Female(400).With(200, Led());
        foreach (var act in seen)
        {
            diary.With(199.9, act);
        }

        return diary
            .With(199.8, Out())
            .With(120, new Ended(VigilKind.EggCase, took ? VigilEnd.AsHoped : VigilEnd.Otherwise))
            .Standing();
    }

    private static ClueLessons Taught(params Standing[] all) => Lessons.Of(all, Diary.Room()).Clues;

    [Fact]
    public void What_is_seen_of_those_that_took_and_of_those_that_did_not_is_counted()
    {
        var insertion = new PairingSeen(PairingSight.Insertion);
        Standing[] all =
        [
            .. Enumerable.Range(0, 6).Select(k => k < 5 ? Tried(true, insertion) : Tried(true)),
            .. Enumerable.Range(0, 3).Select(k => k < 2 ? Tried(false, insertion) : Tried(false)),
        ];
        var lesson = Taught(all).Of(PairingSight.Insertion, Rules.Evidence)!;
        Assert.Equal((5, 6, 2, 3), (lesson.SeenOfTaken, lesson.Taken, lesson.SeenOfOthers, lesson.Others));
        // Twelve pairings' worth of 0.6, and half as many of 0.1 since half as many came to nothing. Worked by hand.
        Assert.Equal((7.2 + 5) / 18 / ((0.6 + 2) / 9), lesson.Ratio, 1e-9);
        // What was seen of both alike tells less than the rulebook has it, and never seen it tells what the rulebook says.
        Assert.True(lesson.Ratio < Rules.Evidence.Ratios[PairingSight.Insertion].Value);
        var never = Taught(Tried(true), Tried(false), Tried(false)).Of(PairingSight.Fattens, Rules.Evidence)!;
        Assert.Equal(Rules.Evidence.Ratios[PairingSight.Fattens].Value, never.Ratio, 1e-9);
    }

    [Fact]
    public void With_nothing_counted_the_odds_are_the_rulebooks()
    {
        foreach (var (sight, rule) in Rules.Evidence.Ratios)
        {
            Assert.Equal(rule.Value, ClueLessons.None.Of(sight, Rules.Evidence)!.Ratio, 1e-9);
        }

        Assert.Equal(Rules.Evidence.NothingSeen.Value, ClueLessons.None.NothingSeen(Rules.Evidence).Ratio, 1e-9);
        Assert.Equal(Rules.Evidence.WebLate.Value, ClueLessons.None.Web(false, Rules.Evidence).Share, 1e-9);
    }

    [Fact]
    public void What_her_molt_cut_short_and_what_nobody_watched_teaches_nothing()
    {
        var molted = Female(400).With(200, Led()).With(199.8, Out()).With(60, new Molted()).Standing();
        var unwatched = Female(400)
            .With(200, Watched())
            .With(120, new Ended(VigilKind.EggCase, VigilEnd.AsHoped))
            .Standing();
        var clues = Taught(molted, unwatched);
        Assert.Equal(0, clues.Of(PairingSight.Insertion, Rules.Evidence)!.Taken);
        // What is seen of her afterwards needs nobody to watch them.
        Assert.Equal(1, clues.Of(PairingSight.Fattens, Rules.Evidence)!.Taken);
        Assert.Equal(0, clues.NothingSeen(Rules.Evidence).Taken);
    }

    [Fact]
    public void What_was_counted_stands_in_the_reasons_and_moves_the_ladder()
    {
        var insertion = new PairingSeen(PairingSight.Insertion);
        Standing[] all = [.. Enumerable.Range(0, 8).Select(k => Tried(k % 2 == 0, insertion))];
        var room = Diary.Room().With(Lessons.Of(all, Diary.Room()));
        var she = Female().With(10, Led()).With(9.9, insertion).With(9.8, Out()).Standing();
        var clue = PairingEvidence.Of(Subject.Of(she, room), she.Vigils.Open.Single()).Clues.Single();
        Assert.Contains(
            "Counted here: in 4 of 4 that took, 4 of 4 that did not.",
            clue.Why.Text,
            StringComparison.Ordinal
        );
        Assert.InRange(clue.Ratio, 1, Rules.Evidence.Ratios[PairingSight.Insertion].Value - 0.5);
    }

    private static double Open(Random random) => Math.Clamp(random.NextDouble(), 1e-6, 1 - 1e-6);
}
