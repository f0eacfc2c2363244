using System.Text.RegularExpressions;
using Husbandry.Guide;
using Husbandry.Rulebook;

namespace Husbandry.Tests;

/// <summary>
/// The guide says what the rulebook says, to every group and stage. Sources: the chapters of the handbook named at each
/// test; all of them common practice, no published source.
/// </summary>
public class GuideTests
{
    private static readonly RuleSet Rules = RuleSet.Shipped;

    private static IReadOnlyList<GuideCase> Of(string group) =>
        GuideReading.OfGroup(Rules, Rules.Group(group)!, Diary.Room().Settings);

    private static IReadOnlyList<GuideCase> Of(Diary diary) => GuideReading.OfAnimal(diary.Judge());

    private static IEnumerable<string> Lines(GuideOutcome outcome) =>
        [outcome.Likely, .. outcome.Now, .. outcome.Never, outcome.Ask];

    private static IEnumerable<string> Texts(GuideCase guide) =>
        guide
            .Questions.SelectMany(q => q.Answers.Select(a => a.Text).Append(q.Text))
            .Concat(guide.Outcomes.SelectMany(Lines))
            .Append(guide.Title);

    /// <summary>An animal of every species in every stage that its group has.</summary>
    private static IEnumerable<Diary> Everyone =>
        from profile in Rules.Species
        let kin = Rules.Group(profile.Group)!
        from molts in kin.Growth.StageBy == StageBasis.Molts ? new int?[] { 0, 2, 4 } : [(int?)null]
        from mature in new[] { false, true }
        select new Diary(profile.Id, molts: molts, mature: mature).LegSpan(
            Math.Round((kin.Growth.SizeLimitMm.Value.Low + profile.AdultSizeMm.Female.Value.Low) / 2)
        );

    [Fact]
    public void Every_figure_is_filled_for_every_group_and_animal()
    {
        foreach (var guide in Rules.Groups.SelectMany(g => Of(g.Id)).Concat(Everyone.SelectMany(Of)))
        {
            Assert.All(Texts(guide), t => Assert.DoesNotMatch(@"[{}]|\b0 (days|h)\b", t));
        }
    }

    [Fact]
    public void Nobody_reads_of_another_kind_of_animal()
    {
        foreach (var group in Rules.Groups)
        {
            var others = Rules
                .Groups.Where(g => g.Id != group.Id)
                .Select(g => g.One.Split(' ')[0])
                .Except([group.One.Split(' ')[0], "ground"]);
            var foreign = new Regex($@"\b({string.Join('|', others)})s?\b", RegexOptions.IgnoreCase);
            Assert.All(Of(group.Id).SelectMany(Texts), t => Assert.DoesNotMatch(foreign, t));
        }
    }

    /// <summary>Source: the law of this product that guide, round and hush never contradict each other.</summary>
    [Fact]
    public void What_the_guide_offers_is_not_forbidden_once_its_signs_are_logged()
    {
        var checks = 0;
        foreach (var diary in Everyone)
        {
            var animal = diary.Judge();
            foreach (var (guide, outcome) in Of(diary).SelectMany(c => c.Outcomes.Select(o => (c, o))))
            {
                var logged = new Diary(
                    animal.Subject.Profile.Id,
                    molts: animal.Subject.Standing.Details.MoltsAtArrival,
                    mature: animal.Subject.Standing.Details.MatureAtArrival
                ).LegSpan(animal.Size.Value?.SizeMm ?? 10);
                foreach (var sign in outcome.Signs.Where(s => Rules.Sign(s)!.Groups.Contains(animal.Subject.Group.Id)))
                {
                    logged.Sign(sign, 0.1);
                }

                var hush = logged.Judge().Hush;
                var told =
                    $"{animal.Subject.Profile.Id} {animal.Stage.Value} {guide.Id} {outcome.Id}: {string.Join(' ', outcome.Now)}";
                if (
                    hush.Never.Contains(CareAct.FeedLive)
                    && hush.Never.Contains(CareAct.FeedDead)
                    && outcome.Signs.Count > 0
                )
                {
                    Assert.False(
                        outcome.Now.Any(n => Regex.IsMatch(n, @"^(Offer|Small|One small|Food from)|\bOffer\b")),
                        told
                    );
                    checks++;
                }

                if (hush.Never.Contains(CareAct.Water) && outcome.Signs.Count > 0)
                {
                    Assert.False(
                        outcome.Now.Any(n => Regex.IsMatch(n, @"\b(drops|mist|spray|fill)\b", RegexOptions.IgnoreCase)),
                        told
                    );
                    checks++;
                }

                // Live food only to what still hunts.
                Assert.False(
                    outcome.Now.Any(n => n.Contains("pre-killed", StringComparison.Ordinal))
                        && animal.Subject.Group.Feeding.Prey?.LiveOnly.Value == true,
                    told
                );
            }
        }

        Assert.True(checks > 50);
    }

    [Fact]
    public void The_free_drop_of_a_mantis_is_the_rulebooks()
    {
        // Housing: free height three times the body.
        var hanging = Of("mantis").Single(c => c.Id == "hanging-still");
        Assert.Contains(hanging.Questions, q => q.Text.Contains("3 body lengths", StringComparison.Ordinal));
        Assert.DoesNotContain(Of("mantis").SelectMany(Texts), t => Regex.IsMatch(t, "one and a half|1.5 body"));
    }

    [Theory]
    [InlineData("mantis", "no-strike")]
    [InlineData("jumping-spider", "not-eating-jumper")]
    public void A_mantis_or_a_jumping_spider_that_is_thin_has_days(string group, string id)
    {
        // Feeding: not eating is judged by the group's own clock.
        var guide = Of(group).Single(c => c.Id == id);
        Assert.DoesNotContain(
            guide.Outcomes.SelectMany(o => o.Now.Append(o.Likely)),
            t => Regex.IsMatch(t, @"\bmonths\b.*\bnormal")
        );
        var thin = guide.Outcomes.Single(o => o.Id is "weak" or "thin");
        Assert.Contains("tomorrow", thin.Ask, StringComparison.Ordinal);
        Assert.Contains(thin.Now, n => n.StartsWith("Drops", StringComparison.Ordinal));
        Assert.Contains(
            thin.Now,
            n =>
                n.Contains("out again after 4", StringComparison.Ordinal)
                || n.Contains("out after 4", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void An_adult_mantis_that_hangs_still_is_not_about_to_molt()
    {
        // Molting: adults of mantises do not molt again.
        var adult = new Diary("hierodula-membranacea", mature: true).LegSpan(80);
        foreach (var id in new[] { "hanging-still", "no-strike" })
        {
            var guide = Of(adult).Single(c => c.Id == id);
            Assert.DoesNotContain(guide.Outcomes, o => o.Id is "molt" or "full");
            Assert.DoesNotContain(
                guide.Questions,
                q => q.Text.Contains("wings of full length", StringComparison.Ordinal)
            );
        }

        var nymph = new Diary("hierodula-membranacea", molts: 4).LegSpan(35);
        Assert.Contains(Of(nymph).Single(c => c.Id == "hanging-still").Outcomes, o => o.Id == "molt");
        Assert.Contains(
            "2 days",
            Of(nymph).Single(c => c.Id == "fell").Outcomes.Single(o => o.Id == "after").Now[0],
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void A_queen_of_a_known_kind_is_not_asked_about_and_one_of_an_unknown_kind_is_never_guessed()
    {
        // Ants: kind unknown? Ask for the thorax; never assume.
        var asked = Of("ant").Single(c => c.Id == "no-eggs").Questions.Single(q => q.Id == "thorax");
        Assert.Equal(["again", "hungry", "unsure"], asked.Answers.Select(a => a.To));
        foreach (var species in Rules.Species.Where(s => s.Founding is not null))
        {
            var guide = Of(new Diary(species.Id, kind: StockKind.Colony)).Single(c => c.Id == "no-eggs");
            Assert.DoesNotContain(guide.Questions, q => q.Id == "thorax");
            Assert.DoesNotContain(
                guide.Outcomes,
                o => o.Id == (species.Founding!.Value == Founding.Claustral ? "hungry" : "again")
            );
        }
    }

    [Fact]
    public void Figures_follow_a_changed_rule()
    {
        var group = Rules.Group("tarantula")!;
        var changed = group with
        {
            Feeding = group.Feeding with { DeadPreyHours = group.Feeding.DeadPreyHours with { Value = 17 } },
        };
        var eaten = GuideReading.OfGroup(Rules, changed, Diary.Room().Settings).Single(c => c.Id == "not-eating");
        Assert.Contains(
            eaten.Outcomes.SelectMany(o => o.Now),
            n => n.Contains("out after 17 h", StringComparison.Ordinal)
        );
        Assert.DoesNotContain(
            eaten.Outcomes.SelectMany(o => o.Now),
            n =>
                n.Contains("24 h", StringComparison.Ordinal) && n.Contains("Small pre-killed", StringComparison.Ordinal)
        );
        // The wait for the first meal follows the school of the room.
        var crooked = GuideReading
            .OfGroup(Rules, Rules.Group("scorpion")!, Diary.Room().Settings with { FirstMeal = FirstMealSchool.Quick })
            .Single(c => c.Id == "crooked");
        Assert.Contains(crooked.Questions, q => q.Text.Contains("3 days", StringComparison.Ordinal));
    }
}
