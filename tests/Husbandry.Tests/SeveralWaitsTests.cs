using CsCheck;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>An animal may wait for several things at once and be in several phases; the strictest speaks, all are listed.</summary>
public class SeveralWaitsTests
{
    private static Diary Mother =>
        new Diary(mature: true).With(260, new Molted()).Ate(60).With(30, new Began(VigilKind.Young));

    private static IEnumerable<Phase> PhasesOf(Judgement j) => j.Phases.Select(p => p.Value);

    [Fact]
    public void A_brooding_mother_on_her_back_is_molting_and_brooding()
    {
        var j = Mother.Sign("on-its-back", 0.2).Judge();
        Assert.Equal([Phase.Imminent, Phase.Brooding], PhasesOf(j));
        Assert.NotNull(j.Molt.Value);
        Assert.Equal(VigilKind.Young, j.Wait.Value!.Vigil);
        var handling = j.Hush[CareAct.Handle];
        Assert.Equal(Verdict.Never, handling.Verdict);
        Assert.Contains(handling.Contributors, c => c.Cause == HushCause.Imminent);
        Assert.Contains(handling.Contributors, c => c.Cause == HushCause.Brooding);
        var line = RoundLine.Of(j);
        Assert.Equal(LineState.PassBy, line.State);
        Assert.Contains("leave the lid shut", line.Do, StringComparison.Ordinal);
    }

    [Fact]
    public void A_mother_whose_skin_darkens_broods_first_and_is_not_fed()
    {
        var j = Mother.Sign("dark-under-hair", 0.3).Sign("sluggish", 0.3).Judge();
        Assert.Equal(Phase.Brooding, j.Phase.Value);
        Assert.Contains(PhasesOf(j), p => p is Phase.Suspected or Phase.Likely);
        Assert.Equal(Verdict.Never, j.Hush[CareAct.FeedDead].Verdict);
    }

    [Fact]
    public void A_mother_without_signs_is_only_brooding_and_not_asked_for_her_fangs()
    {
        Assert.Equal([Phase.Brooding], PhasesOf(Mother.Judge()));
        var notLooked = new Diary(mature: true).With(40, new Molted()).With(6, new Began(VigilKind.Young)).Judge();
        Assert.Equal([Phase.Brooding], PhasesOf(notLooked));
    }

    [Fact]
    public void A_molt_of_hers_can_be_logged_and_so_can_the_end_of_the_brood()
    {
        var menu = LogMenu.Of(Mother.Judge());
        Assert.Contains(menu.Head, o => o.Form == EntryForm.Molted);
        Assert.Contains(menu.Head, o => o.Label == "The young came out…");
        var molted = Mother.With(0.1, new Molted());
        Assert.Equal([Phase.Hardening, Phase.Brooding], PhasesOf(molted.Judge()));
    }

    [Fact]
    public void Of_a_brood_some_are_eggs_and_some_are_pupae()
    {
        var brood = new Diary("samia-ricini", cameNightsAgo: 40, molts: 4, kind: StockKind.Brood)
            .With(6, new Began(VigilKind.Emergence, 5))
            .With(4, new Began(VigilKind.Hatching, 3));
        var j = brood.Judge();
        Assert.Equal([VigilKind.Emergence, VigilKind.Hatching], j.Waits.Select(w => w.Value!.Vigil));
        Assert.Equal(["5 of 20: ", "3 of 20: "], j.Hush.Causes.Select(c => c.Why.Text[..9]));
        // The one that ends is the one that is named, whichever began first.
        var after = brood.With(1, new Ended(VigilKind.Hatching, VigilEnd.AsHoped, 3)).Standing();
        Assert.Equal([VigilKind.Emergence], after.Vigils.Open.Select(w => w.Vigil));
        Assert.Equal(5, after.Vigils.OpenOf(VigilKind.Emergence)!.Count);
        var emerged = brood.With(0.5, new Ended(VigilKind.Emergence, VigilEnd.AsHoped, 5)).Standing();
        Assert.Empty(emerged.Vigils.Open);
    }

    [Theory]
    [InlineData(VigilKind.Emergence, VigilKind.Hatching)]
    [InlineData(VigilKind.Hatching, VigilKind.Emergence)]
    public void Whichever_wait_ends_the_other_lasts(VigilKind ends, VigilKind lasts)
    {
        var brood = new Diary("samia-ricini", cameNightsAgo: 40, molts: 4, kind: StockKind.Brood)
            .With(6, new Began(VigilKind.Emergence, 5))
            .With(4, new Began(VigilKind.Hatching, 3))
            .With(1, new Ended(ends, VigilEnd.AsHoped))
            .Standing();
        Assert.Equal([lasts], brood.Vigils.Open.Select(w => w.Vigil));
        Assert.Equal([VigilKind.Emergence, VigilKind.Hatching], brood.Vigils.All.Select(v => v.Vigil));
        Assert.NotNull(brood.Vigils.All.Single(v => v.Vigil == ends).Ended);
    }

    [Fact]
    public void An_end_may_say_which_of_two_alike_waits_it_ends()
    {
        Diary Two(out Guid first, out Guid second)
        {
            var brood = new Diary("samia-ricini", cameNightsAgo: 40, molts: 4, kind: StockKind.Brood);
            first = brood.Add(9, new Began(VigilKind.Emergence));
            var end = brood.Add(8, new Ended(VigilKind.Emergence, VigilEnd.Otherwise));
            second = brood.Add(6, new Began(VigilKind.Emergence, 2));
            brood.Add(0.1, new Withdrawn(end));
            return brood;
        }

        // Which of the two is still open, counted from 1.
        int[] Open(Func<Guid, Guid, Guid?> meant)
        {
            var brood = Two(out var first, out var second);
            brood.With(0.05, new Ended(VigilKind.Emergence, VigilEnd.AsHoped, VigilId: meant(first, second)));
            return [.. brood.Standing().Vigils.Open.Select(w => Array.IndexOf([first, second], w.Id) + 1)];
        }

        Assert.Equal([2], Open((_, _) => null));
        Assert.Equal([2], Open((first, _) => first));
        Assert.Equal([1], Open((_, second) => second));
        // A beginning that was mended has another id by now.
        Assert.Equal([2], Open((_, _) => Guid.NewGuid()));

        var at = Occurrence.At(Diary.Evening);
        var standing = Two(out _, out var youngest).Standing();
        Assert.Empty(
            EntryCheck.Check(
                new Ended(VigilKind.Emergence, VigilEnd.AsHoped, VigilId: youngest),
                at,
                standing,
                Diary.Room()
            )
        );
        var unknown = new Ended(VigilKind.Emergence, VigilEnd.AsHoped, VigilId: Guid.NewGuid());
        Assert.Equal(["act.vigilId"], EntryCheck.Check(unknown, at, standing, Diary.Room()).Select(p => p.Field));
        var odd = new Ended(VigilKind.Emergence, "vanished");
        Assert.Equal(["act.end"], EntryCheck.Check(odd, at, standing, Diary.Room()).Select(p => p.Field));
    }

    [Fact]
    public void An_end_that_is_taken_back_may_leave_a_wait_twice_and_is_judged_all_the_same()
    {
        var brood = new Diary("samia-ricini", cameNightsAgo: 40, molts: 4, kind: StockKind.Brood).With(
            9,
            new Began(VigilKind.Emergence)
        );
        var end = brood.Add(8, new Ended(VigilKind.Emergence, VigilEnd.Otherwise));
        brood.With(6, new Began(VigilKind.Emergence, 2));
        brood.Add(0.1, new Withdrawn(end));
        brood.With(0.05, new Began(VigilKind.Emergence, 3));
        var j = brood.Judge();
        Assert.Distinct(PhasesOf(j));
        Assert.NotEmpty(RoundLine.Of(j).Do);
        Assert.NotEmpty(j.Hush.Causes);
    }

    [Fact]
    public void Every_wait_has_its_phase_its_cause_and_its_words() =>
        Gen.Int[0, 1_000_000]
            .Select(AnyStock.Of)
            .Sample(
                diary =>
                {
                    var j = diary.Judge();
                    var s = j.Subject;
                    Assert.Equal(s.Waits.Count, j.Waits.Count);
                    Assert.NotEmpty(j.Phases);
                    Assert.Distinct(PhasesOf(j));
                    // The one that speaks for all closes as many shutters as any.
                    Assert.Equal(PhasesOf(j).Max(p => PhaseMark.Of(p).Shutters), PhaseMark.Of(j.Phase.Value).Shutters);
                    foreach (var (wait, forecast) in s.Waits.Zip(j.Waits))
                    {
                        Assert.Equal(wait.Vigil, forecast.Value!.Vigil);
                        Assert.NotEmpty(VigilDefinition.Of(wait.Vigil).EndsEarlyBy);
                    }

                    // One that lasts can be ended, as long as the animal is here.
                    var ends = s
                        .Waits.Where(_ => s.Standing.Departure is null)
                        .Select(w => new Ended(w.Vigil, VigilEnd.AsHoped));
                    Assert.All(
                        ends,
                        e => Assert.Empty(EntryCheck.Check(e, Occurrence.At(s.Room.Now), s.Standing, s.Room))
                    );
                },
                iter: 400
            );

    [Fact]
    public void Every_phase_has_its_word_and_its_shutters() =>
        Assert.Distinct(Enum.GetValues<Phase>().Select(p => PhaseMark.Of(p).Word));

    [Fact]
    public void Everything_awaited_besides_a_molt_has_one_definition_with_all_its_words()
    {
        Assert.Equal(
            Enum.GetValues<VigilKind>().Where(v => v != VigilKind.Molt),
            VigilDefinition.All.Select(d => d.Kind).Order()
        );
        foreach (var d in VigilDefinition.All)
        {
            string[] words =
            [
                d.Began,
                d.State,
                d.Many,
                d.Ends,
                d.EndsEarlyBy,
                d.Meanwhile,
                .. d.AllEnds.SelectMany(e => new[] { e.Id, e.Says, e.Past }),
            ];
            Assert.All(words, w => Assert.False(string.IsNullOrWhiteSpace(w), d.Kind.ToString()));
            Assert.True(d.AllEnds.Length > 1 && d.Hoped.IsHoped, $"{d.Kind}: the hoped end stands first");
            Assert.Distinct(d.AllEnds.Select(e => e.Id));
            Assert.Distinct(d.AllEnds.Select(e => e.Says));
            // Who was paired is fed and seen to as before; whatever else waits is left shut.
            var goesOn = d.Kind == VigilKind.EggCase;
            Assert.Equal((!goesOn, !goesOn), (PhaseMark.Of(d.Phase).PassesBy, PhaseMark.Of(d.Phase).Fasts));
            Assert.Contains(RuleSet.Shipped.Hush, rule => rule.Cause == d.Cause);
        }

        Assert.Distinct(VigilDefinition.All.Select(d => d.Phase));
        Assert.Distinct(VigilDefinition.All.Select(d => d.Cause));
    }

    [Fact]
    public void A_molt_is_neither_begun_nor_ended_as_a_wait()
    {
        var standing = new Diary().LegSpan(60).Standing();
        foreach (Act act in new Act[] { new Began(VigilKind.Molt), new Ended(VigilKind.Molt, VigilEnd.AsHoped) })
        {
            var problem = Assert.Single(EntryCheck.Check(act, Occurrence.At(Diary.Evening), standing, Diary.Room()));
            Assert.Equal("act.vigil", problem.Field);
        }
    }
}
