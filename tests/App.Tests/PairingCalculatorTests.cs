using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>The calculators of pairing, with the fixed names and fields of their contract.</summary>
public sealed class PairingCalculatorTests : IDisposable
{
    private readonly LanternFactory app = new();
    private readonly Api api;

    public PairingCalculatorTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    [Fact]
    public async Task Kinship_answers_for_every_animal_and_every_pair_asked()
    {
        // Source: Mrode, Linear Models for the Prediction of Animal Breeding Values, example 2.1.
        var result = await ResultAsync(
            "kinship",
            """{"animals":[{"id":"3","sire":"1","dam":"2"},{"id":"4","sire":"1"},{"id":"5","sire":"4","dam":"3"},{"id":"6","sire":"5","dam":"2"}],"pairs":[["3","4"],["5","6"],["6","6"]]}"""
        );
        Assert.Equal([0, 0, 0.125, 0.125], result["inbreeding"]!.AsArray().Select(x => x!["f"]!.GetValue<double>()));
        Assert.Equal([0.125, 0.34375, 0.5625], result["kinship"]!.AsArray().Select(x => x!["phi"]!.GetValue<double>()));
        Assert.Equal("4", result["kinship"]![0]!["b"]!.GetValue<string>());
    }

    [Fact]
    public async Task The_race_has_every_day_the_best_and_the_last_sensible_one()
    {
        var result = await ResultAsync(
            "pairing-race",
            """{"moltPrior":{"p10":180,"p50":250,"p90":400},"daysSinceMolt":60,"sacPrior":{"p10":40,"p50":70,"p90":150},"horizonDays":800,"takeRate":0.6,"firstDay":12}"""
        );
        var byDay = result["byDay"]!.AsArray().Select(d => d!["probability"]!.GetValue<double>()).ToList();
        Assert.Equal(801, byDay.Count);
        Assert.Equal(12, result["bestDay"]!.GetValue<int>());
        var last = result["lastSensibleDay"]!.GetValue<int>();
        Assert.True(byDay[last] >= byDay[12] / 2 && byDay[last + 1] < byDay[12] / 2);
        // The chance is that of all pairings: at most the take rate.
        Assert.InRange(byDay[0], 0.3, 0.6);
    }

    [Fact]
    public async Task Without_any_chance_no_day_is_the_last_sensible_one()
    {
        var result = await ResultAsync(
            "pairing-race",
            """{"moltPrior":{"p10":180,"p50":250,"p90":400},"daysSinceMolt":60,"sacPrior":{"p10":40,"p50":70,"p90":150},"horizonDays":10,"takeRate":0}"""
        );
        Assert.Equal(0, result["bestDay"]!.GetValue<int>());
        Assert.True(result.AsObject().ContainsKey("lastSensibleDay"));
        Assert.Null(result["lastSensibleDay"]);
    }

    [Fact]
    public async Task Overlap_agrees_with_quadrature()
    {
        // Source: scipy 1.10.1 quadrature, confirmed by 4·10⁶ draws.
        var result = await ResultAsync(
            "overlap",
            """{"first":{"adultIn":{"p10":40,"p50":60,"p90":90},"lifeDays":{"p10":30,"p50":60,"p90":110}},"second":{"adultIn":{"p10":70,"p50":110,"p90":170},"lifeDays":{"p10":90,"p50":150,"p90":240}},"nights":1,"days":[30,90]}"""
        );
        Assert.Equal(0.6010556, result["probability"]!.GetValue<double>(), 0.002);
        Assert.Equal(1.242553e-06, result["byDay"]![0]!["probability"]!.GetValue<double>(), 0.002);
        Assert.Equal(0.2148411, result["byDay"]![1]!["probability"]!.GetValue<double>(), 0.002);
    }

    private const string Race =
        """{"moltPrior":{"p10":180,"p50":250,"p90":400},"sacPrior":{"p10":40,"p50":70,"p90":150},"daysSinceMolt":60,"horizonDays":100""";

    [Theory]
    [InlineData("kinship", """{"animals":[]}""", "animals", "1 to")]
    [InlineData("kinship", """{"animals":[{"id":"a"},{"id":"a"}]}""", "animals[1].id", "listed twice")]
    [InlineData("kinship", """{"animals":[{"id":"a"}],"pairs":[["a","x"]]}""", "pairs[0]", "x is not among")]
    [InlineData("kinship", """{"animals":[{"id":"a"}],"pairs":[["a"]]}""", "pairs[0]", "two ids")]
    [InlineData("kinship", """{"animals":[{"id":""}]}""", "animals[0].id", "1 to 100")]
    [InlineData(
        "kinship",
        """{"animals":[{"id":"a","sire":"b"},{"id":"b","dam":"a"}]}""",
        "animals",
        "its own ancestor: a ← b ← a"
    )]
    [InlineData("pairing-race", Race + ""","firstDay":101}""", "firstDay", "0 to 100")]
    [InlineData("pairing-race", Race + ""","takeRate":1.2}""", "takeRate", "0 to 1")]
    [InlineData(
        "pairing-race",
        """{"moltPrior":{"p10":180,"p50":150,"p90":400},"sacPrior":{"p10":40,"p50":70,"p90":150},"daysSinceMolt":60,"horizonDays":801}""",
        "moltPrior",
        "Must rise"
    )]
    [InlineData(
        "overlap",
        """{"first":{"lifeDays":{"p10":1,"p50":2,"p90":3}},"second":{"lifeDays":{"p10":1,"p50":2,"p90":3}},"nights":0}""",
        "nights",
        "above 0"
    )]
    [InlineData(
        "overlap",
        """{"first":{"lifeDays":{"p10":1,"p50":2,"p90":3}},"second":{"lifeDays":{"p10":1,"p50":2,"p90":3}},"days":[4000]}""",
        "days[0]",
        "0 to 3650"
    )]
    public async Task Bad_input_names_field_and_range(string name, string json, string field, string says) =>
        Api.Refused(await api.SendAsync(HttpMethod.Post, $"/api/calc/{name}", json), field, says);

    private async Task<JsonNode> ResultAsync(string name, string json) =>
        (await api.TakeAsync($"/api/calc/{name}", JsonNode.Parse(json)!))["result"]!;
}
