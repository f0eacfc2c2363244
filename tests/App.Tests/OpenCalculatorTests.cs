using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>The calculators of larvae, colonies and tanks as they are open to scripts: fields, nulls and refusals.</summary>
public sealed class OpenCalculatorTests : IDisposable
{
    private readonly LanternFactory app = new();
    private readonly Api api;

    public OpenCalculatorTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    [Theory]
    // Sources: see the tests of the core; here the names of the fields count.
    [InlineData(
        "chill",
        """{"belowC":8,"neededDays":3,"days":[{"meanC":7},{"meanC":null},{"meanC":9}]}""",
        "missingDays",
        2
    )]
    [InlineData(
        "chill",
        """{"belowC":8,"neededDays":3,"days":[{"meanC":7},{"meanC":null},{"meanC":9}]}""",
        "unreadDays",
        1
    )]
    [InlineData("population", """{"marked":60,"caught":50,"recaptured":12}""", "lincolnPetersen", 250)]
    [InlineData("harvest", """{"growthRate":0.08,"capacity":500}""", "advised", 5)]
    [InlineData("seawater", """{"salinity":35,"temperatureC":25,"litres":20}""", "saltGrams", 723.247223)]
    [InlineData("substrate", """{"shape":"box","lengthMm":600,"widthMm":300,"depthMm":120}""", "litres", 21.6)]
    [InlineData(
        "leaf-demand",
        """{"larvae":[{"instar":1,"dayInInstar":0,"count":30}],"instarDays":[4,4,4,5,8],"totalLeafG":20,"days":25}""",
        "totalG",
        600
    )]
    public async Task Each_answers_with_reasons(string name, string body, string field, double value)
    {
        var answer = await api.TakeAsync($"/api/calc/{name}", JsonNode.Parse(body)!);
        Assert.Equal(value, answer["result"]![field]!.GetValue<double>(), 1e-6);
        Assert.All(answer["reasons"]!.AsArray(), r => Assert.NotEmpty(r!["source"]!.GetValue<string>()));
        Assert.NotEmpty(answer["reasons"]!.AsArray());
    }

    [Theory]
    [InlineData("chill", """{"belowC":8,"neededDays":3,"days":[{"meanC":9}]}""", "completeOnDay")]
    [InlineData("population", """{"marked":30,"caught":25,"recaptured":0}""", "lincolnPetersen")]
    [InlineData("seawater", """{"salinity":35,"temperatureC":25}""", "saltGrams")]
    public async Task What_is_not_known_is_null_and_present(string name, string body, string field)
    {
        var answer = await api.TakeAsync($"/api/calc/{name}", JsonNode.Parse(body)!);
        Assert.True(answer["result"]!.AsObject().ContainsKey(field));
        Assert.Null(answer["result"]![field]);
    }

    [Fact]
    public async Task Stages_are_numbered_from_one_and_widen()
    {
        var answer = await api.TakeAsync(
            "/api/calc/chain",
            JsonNode.Parse("""{"stages":[{"p10":7,"p50":10,"p90":14},{"p10":12,"p50":16,"p90":22}],"elapsedDays":5}""")!
        );
        var ends = answer["result"]!["cumulative"]!.AsArray();
        Assert.Equal([1, 2], ends.Select(e => e!["stage"]!.GetValue<int>()));
        // Five of about ten days are over; the second stage adds about sixteen.
        Assert.InRange(ends[0]!["p50"]!.GetValue<double>(), 4.9, 5.5);
        Assert.InRange(ends[1]!["p50"]!.GetValue<double>(), 20, 23);
    }

    [Theory]
    [InlineData("population", """{"marked":10,"caught":5,"recaptured":6}""", "recaptured")]
    [InlineData("population", """{"marked":0,"caught":5,"recaptured":0}""", "marked")]
    [InlineData("harvest", """{"growthRate":6,"capacity":0}""", "capacity")]
    [InlineData("seawater", """{"salinity":43,"temperatureC":25}""", "salinity")]
    [InlineData("substrate", """{"shape":"cylinder","lengthMm":60,"diameterMm":20,"depthMm":10}""", "lengthMm")]
    [InlineData("substrate", """{"shape":"box","lengthMm":60,"depthMm":10}""", "widthMm")]
    [InlineData("chill", """{"belowC":8,"neededDays":0,"days":[{"meanC":-300}]}""", "days[0].meanC")]
    [InlineData("chill", """{"belowC":8,"neededDays":1,"days":[]}""", "days")]
    [InlineData(
        "leaf-demand",
        """{"larvae":[{"instar":3,"dayInInstar":0,"count":1}],"instarDays":[4,4],"totalLeafG":20,"days":5}""",
        "larvae[0].instar"
    )]
    [InlineData(
        "leaf-demand",
        """{"larvae":[{"instar":1,"dayInInstar":5,"count":1}],"instarDays":[4,4],"totalLeafG":20,"days":5}""",
        "larvae[0].dayInInstar"
    )]
    [InlineData("chain", """{"stages":[{"p10":7,"p50":10,"p90":14}],"elapsedDays":500}""", "elapsedDays")]
    [InlineData("chain", """{"stages":[]}""", "stages")]
    public async Task What_cannot_be_is_refused_by_field(string name, string body, string field)
    {
        var (status, answer) = await api.PostAsync($"/api/calc/{name}", JsonNode.Parse(body)!);
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.NotNull(answer!["errors"]![field]);
    }
}
