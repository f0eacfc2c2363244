using CsCheck;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Hush;
using Husbandry.Journal;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>
/// What may be done to an animal, act by act. Source of the law: handbook, the engine, section 3 (the strictest of all causes
/// wins and every cause is listed); of the single cases: handbook, molting, or common practice where it says so.
/// </summary>
public class HushTableTests
{
    private static readonly CareAct[] Acts = Enum.GetValues<CareAct>();

    private static Diary Tarantula => new Diary(molts: 5).LegSpan(60).Watered(0.5);

    private static HushTable Hush(Diary diary) => diary.Judge().Hush;

    private static CareAct[] Never(Diary diary) => [.. Hush(diary).Never];

    [Fact]
    public void Nothing_is_forbidden_to_an_animal_in_the_open()
    {
        var hush = Hush(Tarantula.Ate(3));
        Assert.Empty(hush.Causes);
        Assert.All(hush.Lines, l => Assert.Equal(Verdict.Fine, l.Verdict));
        Assert.Equal(Acts, hush.Lines.Select(l => l.Act));
    }

    [Fact]
    public void On_its_back_it_is_left_wholly_alone_but_for_what_the_table_allows()
    {
        var molting = Tarantula.Sign("on-its-back", 0.05);
        Assert.Equal(Phase.Imminent, molting.Judge().Phase.Value);
        // Handbook, molting: no food, no handling, no moving, no digging out while it molts.
        Assert.Subset(
            Never(molting).ToHashSet(),
            new HashSet<CareAct>
            {
                CareAct.FeedLive,
                CareAct.Handle,
                CareAct.Rehouse,
                CareAct.Dig,
                CareAct.Ship,
                CareAct.Pair,
            }
        );
    }

    [Fact]
    public void Soft_after_a_molt_it_gets_water_and_no_food()
    {
        var soft = Tarantula.With(1, new Molted());
        var never = Never(soft);
        Assert.Contains(CareAct.FeedLive, never);
        Assert.Contains(CareAct.Handle, never);
        Assert.DoesNotContain(CareAct.Water, never);
        var line = Hush(soft)[CareAct.FeedLive];
        Assert.Equal(soft.Judge().FirstMeal.Value!.Night, line.Until!.Night);
        Assert.Equal(HushCause.Hardening, line.Contributors[0].Cause);
    }

    [Fact]
    public void Once_the_days_are_over_only_the_fangs_still_hold_the_food_back()
    {
        var resting = Tarantula.With(15, new Molted());
        var judgement = resting.Judge();
        Assert.Equal(Phase.FangsUnchecked, judgement.Phase.Value);
        Assert.NotEqual(Verdict.Fine, judgement.Hush[CareAct.FeedLive].Verdict);
        Assert.Equal("the fangs seen black", judgement.Hush[CareAct.FeedLive].Contributors[0].EndsEarlyBy);
        Assert.Equal(Verdict.Fine, Hush(resting.With(0.1, new FangsChecked(true)))[CareAct.FeedLive].Verdict);
    }

    [Fact]
    public void A_buried_crab_is_never_dug_out()
    {
        var buried = new Diary("coenobita-perlatus", cameNightsAgo: 200).With(20, new Began(VigilKind.Surfacing));
        Assert.Contains(CareAct.Dig, Never(buried));
        Assert.NotNull(Hush(buried)[CareAct.Dig].Until);
    }

    [Fact]
    public void A_founding_queen_that_lives_on_her_own_is_not_looked_at_in_bright_light_nor_fed()
    {
        var claustral = RuleSet.Shipped.Species.First(s => s.Founding?.Value == Founding.Claustral).Id;
        var queen = new Diary(claustral, cameNightsAgo: 60).With(20, new Began(VigilKind.FirstWorkers));
        var hush = Hush(queen);
        Assert.Contains(hush.Causes, c => c.Cause == HushCause.Claustral);
        Assert.NotEqual(Verdict.Fine, hush[CareAct.BrightLight].Verdict);
        Assert.NotEqual(Verdict.Fine, hush[CareAct.FeedLive].Verdict);
    }

    [Fact]
    public void A_crab_that_came_up_is_given_its_nights_of_peace()
    {
        var nights = RuleSet.Shipped.Room.Lessons.SurfacedNights.Value;
        Diary Up(double ago) =>
            new Diary("coenobita-perlatus", cameNightsAgo: 200)
                .With(60, new Began(VigilKind.Surfacing))
                .With(ago, new Ended(VigilKind.Surfacing, VigilEnd.AsHoped));
        Assert.Contains(Hush(Up(1)).Causes, c => c.Cause == HushCause.Surfaced);
        Assert.DoesNotContain(Hush(Up(nights + 0.1)).Causes, c => c.Cause == HushCause.Surfaced);
    }

    private static readonly Gen<Diary> AnyDiary = Gen.Select(
            Gen.Int[0, RuleSet.Shipped.Species.Count - 1],
            Gen.Int[0, 80],
            Gen.Int[0, 60],
            Gen.Int[0, RuleSet.Shipped.Signs.Count - 1].List[0, 4],
            Gen.Bool
        )
        .Select(
            (species, molted, ate, signs, waits) =>
            {
                var profile = RuleSet.Shipped.Species[species];
                var group = RuleSet.Shipped.Group(profile.Group)!;
                var diary = new Diary(profile.Id, Sex.Female, 300, molts: 4);
                diary.With(molted + 0.5, new Molted()).Ate(ate + 0.3);
                if (ate % 3 == 0)
                {
                    diary.With(0.4, new ConditionSeen((BodyCondition)(molted % 4)));
                }

                foreach (var sign in signs.Select(s => RuleSet.Shipped.Signs[s]))
                {
                    if (sign.Groups.Contains(profile.Group))
                    {
                        diary.Sign(sign.Id, 0.2);
                    }
                }

                foreach (var vigil in Enum.GetValues<VigilKind>().Where(v => v != VigilKind.Molt && waits))
                {
                    if (group.Knows(vigil))
                    {
                        return diary.With(0.1, new Began(vigil));
                    }
                }

                return diary;
            }
        );

    [Fact]
    public void The_strictest_cause_wins_and_every_cause_is_listed() =>
        AnyDiary.Sample(
            diary =>
            {
                var judgement = diary.Judge();
                var hush = judgement.Hush;
                // Read off the rulebook itself, cause by cause; of many a few may wait while the rest eat.
                if (judgement.Subject.Waits.All(w => w.Count is null))
                {
                    var rules = hush
                        .Causes.Select(c => RuleSet.Shipped.HushOf(c.Cause, judgement.Subject.Group.Id).Acts)
                        .ToList();
                    Assert.All(
                        hush.Lines,
                        line =>
                            Assert.Equal(
                                rules.Select(r => r.GetValueOrDefault(line.Act)).DefaultIfEmpty(Verdict.Fine).Max(),
                                line.Verdict
                            )
                    );
                }

                foreach (var line in hush.Lines)
                {
                    var strictest = line.Verdict;
                    Assert.Equal(line.Verdict == Verdict.Never, hush.Never.Contains(line.Act));
                    Assert.All(line.Contributors, c => Assert.NotEqual(Verdict.Fine, c.Verdict));
                    Assert.All(line.Contributors, c => Assert.NotEqual("", c.Why.Text));
                    // As long as the longest of the strictest lasts, and never shorter than it began.
                    var ends = line.Contributors.Where(c => c.Verdict == strictest).Select(c => c.Until?.Night);
                    Assert.Equal(ends.Max(), line.Until?.Night);
                }

                foreach (var cause in hush.Causes)
                {
                    Assert.Contains(hush.Lines, l => l.Contributors.Any(c => c.Cause == cause.Cause));
                    Assert.True(cause.Until is not { } until || (until.From <= until.Night && until.Night <= until.To));
                }
            },
            iter: 800
        );

    /// <summary>Source: the law of this product that the round, the hush and the sitter's sheet never contradict each other.</summary>
    [Fact]
    public void Nothing_that_the_round_offers_is_forbidden_by_the_table() =>
        AnyDiary.Sample(
            diary =>
            {
                var judgement = diary.Judge();
                var line = RoundLine.Of(judgement);
                var told =
                    $"{judgement.Subject.SpeciesName}, {judgement.Phase.Value}: {line.Do}; {string.Join(", ", judgement.Hush.Causes.Select(c => c.Cause))}";
                foreach (var act in line.Choices.SelectMany(c => c.Acts))
                {
                    Assert.False(
                        EntryDefinition.Of(act).Care(act, judgement.Subject) is { } care
                            && judgement.Hush.Never.Contains(care),
                        told
                    );
                }

                var fed = line.Choices.SelectMany(c => c.Acts).OfType<Offered>().ToList();
                // Live prey only where nothing speaks against it.
                Assert.False(
                    fed.Any(o => o.Preparation == Preparation.Live)
                        && judgement.Hush[CareAct.FeedLive].Verdict != Verdict.Fine,
                    told
                );
                Assert.False(line.Act == RoundAct.Feed && judgement.Meal.Value.Forbidden, told);
                // Darkening, or a door shut from within, ends all feeding of those that are fed by the meal.
                Assert.False(
                    judgement.Subject.Group.Feeding.Diet == Diet.Prey
                        && (judgement.Reading.Value.Darkening || judgement.Reading.Value.SealedIn)
                        && judgement.Phase.Value is not (Phase.Hardening or Phase.FangsUnchecked)
                        && fed.Count > 0,
                    told
                );
            },
            iter: 3000
        );
}
