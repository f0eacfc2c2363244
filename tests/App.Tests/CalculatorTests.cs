using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>The open calculators, with the fixed names and fields of their contract.</summary>
public sealed class CalculatorTests : IDisposable
{
    private readonly LanternFactory app = new();
    private readonly Api api;

    public CalculatorTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    [Fact]
    public async Task Growth_fit_answers_with_every_field_of_the_contract()
    {
        // Source: R 4.2.2 lm and predict.lm on head capsule widths of Capinera (1999), table from memory.
        var answer = await api.TakeAsync(
            "/api/calc/growth-fit",
            Parse(
                """{"points":[{"instar":1,"lengthMm":0.35},{"instar":2,"lengthMm":0.45},{"instar":3,"lengthMm":0.75},{"instar":4,"lengthMm":1.3},{"instar":5,"lengthMm":2.0},{"instar":6,"lengthMm":2.6}]}"""
            )
        );
        var result = answer["result"]!;
        Close(1.53733126, result["ratio"]);
        Close(0.430047966, result["logSlope"]);
        Close(-1.54266605, result["logIntercept"]);
        Close(0.987826856, result["rSquared"]);
        Close(0.099854326, result["residualStandardError"]);
        Assert.Equal(6, result["n"]!.GetValue<int>());
        Assert.Equal(7, result["next"]!["instar"]!.GetValue<int>());
        Close(4.33911198, result["next"]!["medianMm"]);
        Close(3.24406863, result["next"]!["low90Mm"]);
        Close(5.80378991, result["next"]!["high90Mm"]);
        Assert.Equal(5, result["steps"]!.AsArray().Count);
        Assert.Equal(1, result["steps"]![0]!["likelyMolts"]!.GetValue<int>());
        var reason = answer["reasons"]![0]!;
        Assert.All(new[] { "text", "rule", "tag", "source" }, field => Assert.NotNull(reason[field]));
    }

    [Fact]
    public async Task Vigil_without_history_is_the_conditioned_lognormal()
    {
        // Source: mpmath 1.2.1, scipy 1.10.1, R 4.2.2.
        var result = (
            await api.TakeAsync(
                "/api/calc/vigil",
                Parse("""{"prior":{"p10":60,"p50":75,"p90":95},"elapsedDays":70,"withinDays":[7,30]}""")
            )
        )["result"]!;
        Close(2.17343194, result["p10"]);
        Close(11.3603826, result["p50"]);
        Close(28.3934284, result["p90"]);
        Close(0.32034413, result["probabilityWithin"]![0]!["probability"]);
        Close(0.916449027, result["probabilityWithin"]![1]!["probability"]);
        Assert.False(result["longerThanNormal"]!.GetValue<bool>());
    }

    [Fact]
    public async Task Vigil_with_history_learns()
    {
        // Source: Murphy (2007); mpmath 1.2.1, scipy 1.10.1.
        var result = (
            await api.TakeAsync(
                "/api/calc/vigil",
                Parse(
                    """{"prior":{"p10":35,"p50":45,"p90":58},"elapsedDays":48,"withinDays":[7,30],"history":[40,52,47],"learning":{"kappa":2,"alpha":3,"beta":0.1}}"""
                )
            )
        )["result"]!;
        Close(0.922842433, result["p10"]);
        Close(5.53917054, result["p50"]);
        Close(16.9018963, result["p90"]);
        Close(0.591043421, result["probabilityWithin"]![0]!["probability"]);
    }

    [Fact]
    public async Task Vigil_far_beyond_normal_stays_finite_and_says_so()
    {
        var result = (
            await api.TakeAsync(
                "/api/calc/vigil",
                Parse("""{"prior":{"p10":60,"p50":75,"p90":95},"elapsedDays":100000}""")
            )
        )["result"]!;
        Assert.True(result["p50"]!.GetValue<double>() > 0);
        Assert.True(result["longerThanNormal"]!.GetValue<bool>());
    }

    [Fact]
    public async Task Prey_judges_every_class_with_the_words_of_the_contract()
    {
        // Source: common practice, no published source: two thirds of the body; never longer than it.
        var result = (
            await api.TakeAsync(
                "/api/calc/prey",
                Parse("""{"group":"tarantula","bodyLengthMm":24,"legSpanMm":57,"abdomenRatio":1.64}""")
            )
        )["result"]!;
        Close(16, result["maxPreyMm"]);
        Close(24, result["neverAboveMm"]);
        var options = result["options"]!.AsArray();
        JsonNode Of(string feeder, string size) =>
            options.Single(o =>
                o!["feeder"]!.GetValue<string>() == feeder && o["sizeClass"]!.GetValue<string>() == size
            )!;
        Assert.Equal("fits", Of("roach-nymph", "medium")["verdict"]!.GetValue<string>());
        Assert.Equal("cut", Of("roach-nymph", "large")["verdict"]!.GetValue<string>());
        Assert.Equal(2, Of("roach-nymph", "large")["pieces"]!.GetValue<int>());
        Assert.Equal("too-small", Of("springtail", "one")["verdict"]!.GetValue<string>());
    }

    [Theory]
    [InlineData(
        "growth-fit",
        """{"points":[{"instar":1,"lengthMm":1},{"instar":2,"lengthMm":2}]}""",
        "points",
        "3 to 1000"
    )]
    [InlineData(
        "growth-fit",
        """{"points":[{"instar":1,"lengthMm":1},{"instar":1,"lengthMm":2},{"instar":1,"lengthMm":3}]}""",
        "points",
        "same"
    )]
    [InlineData(
        "growth-fit",
        """{"points":[{"instar":1,"lengthMm":0},{"instar":2,"lengthMm":2},{"instar":3,"lengthMm":3}]}""",
        "points[0].lengthMm",
        "0 to 10000 mm"
    )]
    [InlineData(
        "growth-fit",
        """{"points":[null,{"instar":2,"lengthMm":2},{"instar":3,"lengthMm":3}]}""",
        "points[0]",
        "missing"
    )]
    [InlineData(
        "growth-fit",
        """{"points":[{"instar":1,"lengthMm":1},{"instar":2,"lengthMm":2},{"instar":3,"lengthMm":3}],"priorRatio":1}""",
        "priorRatio",
        "above 1"
    )]
    [InlineData("vigil", """{"prior":{"p10":60,"p50":50,"p90":95},"elapsedDays":1}""", "prior", "rise")]
    [InlineData("vigil", """{"prior":{"p10":60,"p50":75,"p90":95},"elapsedDays":-1}""", "elapsedDays", "0 to 100000")]
    [InlineData(
        "vigil",
        """{"prior":{"p10":60,"p50":75,"p90":95},"elapsedDays":1,"history":[0]}""",
        "history[0]",
        "days"
    )]
    [InlineData(
        "vigil",
        """{"prior":{"p10":60,"p50":75,"p90":95},"elapsedDays":1,"learning":{"kappa":0,"alpha":1,"beta":1}}""",
        "learning.kappa",
        "Must be"
    )]
    [InlineData("vigil", """{"elapsedDays":1}""", "prior", "missing")]
    [InlineData("prey", """{"group":"snail","bodyLengthMm":10}""", "group", "Known")]
    [InlineData("prey", """{"group":"tarantula","bodyLengthMm":0}""", "bodyLengthMm", "mm")]
    [InlineData("prey", """{"group":"tarantula","bodyLengthMm":1e999}""", "bodyLengthMm", "")]
    [InlineData("prey", """{"group":"tarantula","bodyLengthMm":20,"stage":"elder"}""", "stage", "sling (sling)")]
    public async Task Bad_input_names_field_and_range(string name, string json, string field, string says) =>
        Api.Refused(await api.SendAsync(HttpMethod.Post, $"/api/calc/{name}", json), field, says);

    [Theory]
    [InlineData("scorpion", "scorpling")]
    [InlineData("scorpion", "sling")]
    [InlineData("mantis", "sub-adult nymph")]
    [InlineData("beetle", "last-instar larva")]
    public async Task A_groups_own_stage_words_are_understood(string group, string stage)
    {
        var body = $$"""{"group":"{{group}}","bodyLengthMm":18,"stage":"{{stage}}"}""";
        var answer = await api.PostAsync("/api/calc/prey", JsonNode.Parse(body)!);
        Assert.Equal(HttpStatusCode.OK, answer.Status);
    }

    // Handbook, housing: snug and roomy; nymphs have a largest size too; larvae go by volume and number.
    [Theory]
    [InlineData("""{"group":"tarantula","legSpanMm":130}""", "minWidthMm", 195)]
    [InlineData("""{"group":"tarantula","legSpanMm":130}""", "minHeightMm", 130)]
    [InlineData("""{"group":"tarantula","legSpanMm":100,"school":"roomy"}""", "minWidthMm", 300)]
    [InlineData("""{"group":"mantis","bodyLengthMm":20,"stage":"nymph"}""", "maxWidthMm", 120)]
    [InlineData("""{"group":"hermit-crab","bodyLengthMm":30,"school":"snug"}""", "substrateDepthMm", 75)]
    [InlineData("""{"group":"moth","bodyLengthMm":60,"stage":"last-instar larva","count":1}""", "litres", 0.7)]
    public async Task Enclosures_by_school_stage_and_number(string json, string field, double value)
    {
        var (status, body) = await api.PostAsync("/api/calc/container", JsonNode.Parse(json)!);
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(value, body!["result"]![field]!.GetValue<double>(), 1e-9);
    }

    [Fact]
    public async Task An_unknown_calculator_is_not_found() =>
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await api.SendAsync(HttpMethod.Post, "/api/calc/horoscope", "{}")).Status
        );

    private static JsonNode Parse(string json) => JsonNode.Parse(json)!;

    private static void Close(double expected, JsonNode? actual) =>
        Assert.InRange(
            actual!.GetValue<double>(),
            expected - (Math.Abs(expected) * 1e-7),
            expected + (Math.Abs(expected) * 1e-7)
        );
}
