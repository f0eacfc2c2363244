using System.Reflection;
using System.Reflection.Metadata;
using System.Reflection.PortableExecutable;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Tests;

public class RulebookTests
{
    [Fact]
    public void The_shipped_rulebook_knows_nine_groups_with_at_least_four_species_each()
    {
        var rules = RuleSet.Shipped;
        Assert.Equal(
            ["ant", "beetle", "hermit-crab", "isopod", "jumping-spider", "mantis", "moth", "scorpion", "tarantula"],
            rules.Groups.Select(g => g.Id).Order()
        );
        Assert.True(rules.Species.Count >= 40);
        Assert.All(rules.Groups, g => Assert.True(rules.Species.Count(s => s.Group == g.Id) >= 4, g.Id));
    }

    [Fact]
    public void No_rule_says_to_dig_an_animal_up() =>
        // Common practice, no published source: a wait longer than normal never means "dig it up".
        Assert.All(
            RuleSet.Shipped.Groups,
            g =>
                Assert.DoesNotMatch(
                    "(?<!not )(?<!never )(?<!to )\\bdig (it|her|him) (up|out)",
                    g.Vigils.LongWait.Value.ToLowerInvariant()
                )
        );

    [Fact]
    public void Crabs_stay_down_longer_the_larger_they_are()
    {
        // Common practice, no published source: small at least two weeks, medium four to six, large six to nine.
        var waits = RuleSet.Shipped.Group("hermit-crab")!.Vigils.Underground;
        Assert.Equal(
            waits.OrderBy(w => w.SizeMm).Select(w => w.Wait.Value.P50),
            waits.Select(w => w.Wait.Value.P50).Order()
        );
        Assert.InRange(waits[0].Wait.Value.P50, 14, 28);
        Assert.InRange(waits[1].Wait.Value.P50, 28, 42);
        Assert.InRange(waits[2].Wait.Value.P50, 42, 63);
    }

    [Theory]
    [InlineData("groups.json", "\"growthRatio\": {", "\"growthRadio\": {", "growthRadio")]
    [InlineData("groups.json", "\"tag\": \"practice\"", "\"tag\": \"hearsay\"", "groups.json")]
    [InlineData("groups.json", "\"fruit-fly-large\"", "\"moon-cheese\"", "menu")]
    [InlineData(
        "signs.json",
        "\"likelihoodRatio\": {\n      \"value\": 4.0",
        "\"likelihoodRatio\": {\n      \"value\": 0.4",
        "likelihoodRatio"
    )]
    [InlineData("species/hyllus-diardi.json", "\"p10\": 12", "\"p10\": 120", "moltInterval")]
    [InlineData("species/hyllus-diardi.json", "\"group\": \"jumping-spider\"", "\"group\": \"snail\"", "group")]
    [InlineData("hush.json", "\"cause\": \"likely\"", "\"cause\": \"suspected\"", "hush.json")]
    public void A_broken_rulebook_is_refused_and_says_where(string document, string good, string bad, string named)
    {
        var documents = RuleSet.ShippedDocuments().ToList();
        var at = documents.FindIndex(d => d.Name == document);
        Assert.Contains(good, documents[at].Json, StringComparison.Ordinal);
        documents[at] = documents[at] with { Json = documents[at].Json.Replace(good, bad, StringComparison.Ordinal) };
        var reading = RuleSet.Read(documents);
        Assert.Null(reading.Rules);
        Assert.Contains(reading.Problems, p => (p.Field + p.Message).Contains(named, StringComparison.Ordinal));
    }

    [Fact]
    public void A_missing_document_is_named() =>
        Assert.Contains(
            RuleSet.Read([.. RuleSet.ShippedDocuments().Where(d => d.Name != "signs.json")]).Problems,
            p => p.Field == "signs.json"
        );

    [Fact]
    public void Every_false_friend_belongs_to_a_sign_of_the_species_group() =>
        Assert.All(
            RuleSet.Shipped.Species.SelectMany(s => s.FalseFriends.Keys.Select(sign => (s.Group, sign))),
            f => Assert.Contains(f.Group, RuleSet.Shipped.Sign(f.sign)!.Groups)
        );

    [Fact]
    public void Another_species_gets_the_whole_span_of_its_group()
    {
        var details = new StockDetails(
            StockKind.Specimen,
            "tarantula",
            null,
            "Nova species",
            "X",
            Sex.Unknown,
            default,
            null,
            null,
            false,
            null,
            1
        );
        var profile = RuleSet.Shipped.For(details.Species, Guid.NewGuid()).Profile;
        var relatives = RuleSet.Shipped.Species.Where(s => s.Group == "tarantula").ToList();
        foreach (
            var stage in RuleSet.Shipped.Group("tarantula")!.Stages.Select(s => s.Stage).Where(s => s != Stage.Egg)
        )
        {
            var span = profile.MoltInterval[stage].Value;
            Assert.All(
                relatives,
                r =>
                    Assert.True(
                        span.P10 <= r.MoltInterval[stage].Value.P10 && span.P90 >= r.MoltInterval[stage].Value.P90
                    )
            );
            Assert.Equal(RuleTag.House, profile.MoltInterval[stage].Tag);
        }
    }

    [Fact]
    public void The_core_touches_no_file_network_clock_database_or_web()
    {
        using var stream = File.OpenRead(typeof(RuleSet).Assembly.Location);
        using var image = new PEReader(stream);
        var metadata = image.GetMetadataReader();
        var assemblies = metadata
            .AssemblyReferences.Select(h => metadata.GetString(metadata.GetAssemblyReference(h).Name))
            .ToList();
        Assert.All(
            assemblies,
            a =>
                Assert.True(
                    a.StartsWith("System", StringComparison.Ordinal) || a is "netstandard" or "MathNet.Numerics",
                    a
                )
        );
        var types = metadata
            .TypeReferences.Select(h => metadata.GetTypeReference(h))
            .Select(t => $"{metadata.GetString(t.Namespace)}.{metadata.GetString(t.Name)}")
            .ToList();
        string[] forbidden =
        [
            "System.IO.File",
            "System.IO.Directory",
            "System.Net.",
            "System.Diagnostics.Process",
            "System.Console",
            "System.Data.",
        ];
        Assert.DoesNotContain(types, t => forbidden.Any(f => t.StartsWith(f, StringComparison.Ordinal)));
        var members = metadata.MemberReferences.Select(h => metadata.GetString(metadata.GetMemberReference(h).Name));
        Assert.DoesNotContain(members, m => m is "get_Now" or "get_UtcNow" or "get_Today" or "GetEnvironmentVariable");
    }

    [Fact]
    public void Every_public_type_of_the_core_is_documented()
    {
        var xml = File.ReadAllText(Path.ChangeExtension(typeof(RuleSet).Assembly.Location, ".xml"));
        var types = typeof(RuleSet)
            .Assembly.GetExportedTypes()
            .Where(t => t.GetCustomAttribute<System.Runtime.CompilerServices.CompilerGeneratedAttribute>() is null)
            // What the compiler makes of extension blocks has names that no code can write.
            .Where(t => !t.FullName!.Contains('<', StringComparison.Ordinal));
        Assert.All(
            types,
            t => Assert.Contains($"\"T:{t.FullName!.Replace('+', '.')}\"", xml, StringComparison.Ordinal)
        );
    }

    /// <summary>
    /// Names of rules stay when rules are put in order: what a keeper changed under a name is found under it. The names are
    /// those under which changes are stored.
    /// </summary>
    [Theory]
    [InlineData("tarantula", "cadence.adult.default")]
    [InlineData("tarantula", "cadence.adult")]
    [InlineData("tarantula", "retry.juvenile")]
    [InlineData("tarantula", "livePreyHours.sling")]
    [InlineData("tarantula", "premoltDays.subAdult")]
    [InlineData("tarantula", "waterWay.adult")]
    [InlineData("tarantula", "firstMeal.adultAbove120.quick")]
    [InlineData("tarantula", "condition.thinBelow")]
    [InlineData("tarantula", "prey.shareOfBody")]
    [InlineData("tarantula", "fangCheck")]
    [InlineData("moth", "larvaLitres.sling")]
    [InlineData("mantis", "waits.hatching")]
    [InlineData("hermit-crab", "otherEnds.surfacing.share")]
    [InlineData("ant", "waterEveryDays.damp")]
    [InlineData("mantis", "sexing.segments.why")]
    public void A_rule_of_a_group_keeps_its_name(string group, string name) =>
        Assert.NotNull(
            RuleSet.Shipped.Rule($"group.{name}", group, RuleSet.Shipped.Species.First(s => s.Group == group).Id, null)
        );

    [Theory]
    [InlineData("settleDays")]
    [InlineData("surfacedNights")]
    [InlineData("secondsPerAct.feed")]
    [InlineData("signShown.strong")]
    [InlineData("learningKappa")]
    [InlineData("almanacWeeks")]
    public void A_rule_of_the_room_keeps_its_name(string name) =>
        Assert.NotNull(RuleSet.Shipped.Rule($"room.{name}", "tarantula", null, null));

    [Fact]
    public void Every_rule_is_found_under_the_name_under_which_it_is_shown()
    {
        foreach (var group in RuleSet.Shipped.Groups)
        {
            var names = RuleSheet.Of(group).Select(line => line.Name).ToList();
            Assert.Distinct(names);
            var species = RuleSet.Shipped.Species.First(s => s.Group == group.Id).Id;
            Assert.All(names, name => Assert.NotNull(RuleSet.Shipped.Rule(name, group.Id, species, null)));
        }
    }

    [Fact]
    public void Every_rule_has_a_section_and_a_word_of_its_own()
    {
        foreach (var group in RuleSet.Shipped.Groups)
        {
            var lines = RuleSheet
                .Of(group)
                .Concat(RuleSet.Shipped.Species.Where(s => s.Group == group.Id).SelectMany(RuleSheet.Of))
                .ToList();
            Assert.Empty(lines.Where(line => line.Section == "Other").Select(line => line.Name));
        }

        var ants = RuleSheet.Of(RuleSet.Shipped.Groups.Single(g => g.Id == "ant"));
        Assert.Contains(ants, line => line is { Label: "Upkeep, adult, outworld", Text: "14 days" });
    }

    [Fact]
    public void A_species_that_is_not_in_the_rulebook_can_be_kept_in_every_group()
    {
        foreach (var group in RuleSet.Shipped.Groups)
        {
            var rules = RuleSet.Shipped.For(new SpeciesRef(group.Id, null, "Nova species"), Guid.NewGuid());
            Assert.All(
                group.Stages.Where(s => s.Stage != Stage.Egg),
                s => Assert.Contains(s.Stage, rules.Profile.MoltInterval.Keys)
            );
        }
    }

    /// <summary>No group has a rule that means nothing to it.</summary>
    [Fact]
    public void A_stage_has_only_the_care_that_it_has()
    {
        foreach (var group in RuleSet.Shipped.Groups)
        {
            Assert.Equal(group.Growth.MoltsFollowed.Value, group.Hardening is not null);
            foreach (var stage in group.Stages)
            {
                var runsAbout = stage.Stage is not (Stage.Egg or Stage.Pupa);
                Assert.Equal(runsAbout, stage.Food is not null);
                Assert.Equal(runsAbout && group.Growth.MoltsFollowed.Value, stage.PremoltDays is not null);
                Assert.True(stage.LarvaLitres is null || group.Has(Stage.Pupa));
                Assert.True(
                    group.Hardening is null || runsAbout == group.Hardening.FirstMeal.Any(r => r.Stage == stage.Stage)
                );
            }

            Assert.True(group.Water.SlingWaterEveryDays is null || group.Has(Stage.Sling));
            Assert.True(group.Feeding.TraceForQueens is null || group.Feeding.Diet == Diet.SugarAndProtein);
        }
    }
}
