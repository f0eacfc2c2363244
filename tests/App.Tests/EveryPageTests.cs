using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;
using Husbandry.Rulebook;

namespace App.Tests;

/// <summary>
/// The page of whatever can be kept: it comes, its parts fit its stage of life, and what its menu logs at once is taken.
/// </summary>
public sealed class EveryPageTests
{
    private static readonly string[] MeaninglessToEggs = ["molted", "signSeen", "offered", "conditionSeen"];

    private static IEnumerable<string> Forms(JsonNode page) =>
        page["log"]!["head"]!
            .AsArray()
            .Concat(page["log"]!["forms"]!.AsArray())
            .Select(o => o!["form"]?.GetValue<string>())
            .OfType<string>();

    private static HashSet<string> Sections(JsonNode page) =>
        [
            .. page["layout"]!
                .AsObject()
                .SelectMany(column => column.Value!.AsArray())
                .Select(s => s!.GetValue<string>()),
        ];

    /// <summary>What must hold of any page.</summary>
    private static void Check(JsonNode page)
    {
        var told = $"{page["species"]}, {page["stageWord"]}, {page["details"]!["kind"]}";
        var (sections, forms) = (Sections(page), Forms(page).ToList());
        var eatsNothing = page["meal"]!["value"]!["eatsNothing"]!.GetValue<bool>();
        Assert.True(!eatsNothing || !sections.Contains("food"), $"{told}: food of what eats nothing");
        Assert.True(!eatsNothing || !forms.Contains("offered"), $"{told}: an offer to what eats nothing");
        if (page["stage"]!["value"]!.GetValue<string>() is "egg" or "pupa")
        {
            Assert.True(!forms.Any(MeaninglessToEggs.Contains), $"{told}: {string.Join(", ", forms)}");
            Assert.DoesNotContain("signs", sections);
            Assert.DoesNotContain("condition", sections);
        }

        if (
            page["details"]!["group"]!.GetValue<string>() == "ant"
            || page["details"]!["kind"]!.GetValue<string>() == "colony"
        )
        {
            Assert.DoesNotContain("growth", sections);
            Assert.True(!forms.Contains("molted") && !forms.Contains("limbNoted"), told);
        }

        // Nothing is asked for tonight that the page forbids.
        var never = page["hush"]!
            .AsArray()
            .Where(h => h!["verdict"]!.GetValue<string>() == "never")
            .Select(h => h!["act"]!.GetValue<string>())
            .ToHashSet();
        var act = page["line"]!["act"]!.GetValue<string>();
        Assert.True(act != "feed" || !(never.Contains("feedLive") && never.Contains("feedDead")), $"{told}: fed");
        Assert.True(act != "water" || !never.Contains("water"), $"{told}: watered");
        Assert.True(act != "tend" || page["upkeep"]!["value"]!["clocks"]!.AsArray().Count > 0, $"{told}: tended");
        foreach (var wait in page["waits"]!.AsArray().Select(w => w!["value"]).OfType<JsonNode>())
        {
            var chances = wait["ends"]!["ends"]!.AsArray().Sum(e => e!["chance"]!.GetValue<double>());
            Assert.Equal(1, chances, 1e-9);
            Assert.All(
                wait["ends"]!["nights"]!.AsArray(),
                n => Assert.Equal(wait["ends"]!["ends"]!.AsArray().Count, n!["chances"]!.AsArray().Count)
            );
        }

        // Every answer says why.
        foreach (var part in new[] { "phase", "water", "meal", "stage" })
        {
            Assert.False(string.IsNullOrWhiteSpace(page[part]!["summary"]!.GetValue<string>()), $"{told}: {part}");
        }
    }

    [Fact]
    public async Task Every_enclosure_of_the_demo_has_a_page_that_fits_it()
    {
        using var app = new LanternFactory(demo: true);
        using var api = new Api(app);
        foreach (var one in await api.StockAsync())
        {
            Check(await api.GetAsync($"/api/stock/{one!["stockId"]}"));
        }
    }

    public static TheoryData<string> AllGroups => [.. RuleSet.Shipped.Groups.Select(g => g.Id)];

    [Theory]
    [MemberData(nameof(AllGroups))]
    public async Task Every_species_of_a_group_can_be_kept_as_any_kind_and_has_a_page(string group)
    {
        using var app = new LanternFactory();
        using var api = new Api(app);
        var slot = 0;
        foreach (var species in RuleSet.Shipped.Species.Where(s => s.Group == group))
        {
            foreach (var kind in new[] { "specimen", "brood", "colony" })
            {
                var details = Api.Details(
                    $"{species.Id} {kind}"[..Math.Min(38, species.Id.Length + kind.Length + 1)],
                    species.Id,
                    group
                );
                details["kind"] = kind;
                details["count"] = kind == "specimen" ? 1 : 12;
                details["sex"] = "unknown";
                details["moltsAtArrival"] = null;
                slot++;
                var body = Api.New(
                    $"{(char)('A' + (slot / 90))}{1 + (slot / 9 % 9)}·{1 + (slot % 9):00}",
                    details,
                    null
                );
                var (status, answer) = await api.PostAsync("/api/stock", body);
                Assert.True(
                    status is HttpStatusCode.OK or HttpStatusCode.BadRequest,
                    $"{species.Id} {kind}: {status} {answer}"
                );
                if (status == HttpStatusCode.OK)
                {
                    Check(await api.GetAsync($"/api/stock/{body["id"]}"));
                }
            }
        }

        var kept = await api.StockAsync();
        Assert.NotEmpty(kept);
        await TryMenuAsync(api, kept[0]!["stockId"]!.GetValue<string>());
    }

    /// <summary>Logs everything that the menu offers at once, one after another, and looks at the page after each.</summary>
    private static async Task TryMenuAsync(Api api, string id)
    {
        var page = await api.GetAsync($"/api/stock/{id}");
        var offers = page["log"]!["head"]!.AsArray().Concat(page["log"]!["atOnce"]!.AsArray());
        foreach (var act in offers.Where(o => o!["form"] is null).SelectMany(o => o!["acts"]!.AsArray()))
        {
            await api.LogAsync(id, act!.DeepClone().AsObject());
            Check(await api.GetAsync($"/api/stock/{id}"));
        }
    }
}
