using System.Net;
using System.Text.Json.Nodes;
using Hosting.Tests;

namespace App.Tests;

/// <summary>What happened comes in as a table.</summary>
public sealed class HappenedListTests : ListRoom
{
    private const string Happened = """
        Animal,Date,What,Size,Note
        Tansy,2026-10-03,molted,,
        Tansy,2026-10-05,measured,6 cm,leg span
        A1-3,20/10,fed,,
        tansy,1 Nov,refused,,
        Tansy,2 Nov,note,,"moved its burrow, again"
        Tansy,3 Nov,watered,,
        """;

    [Fact]
    public async Task What_happened_comes_in_as_a_table_and_twice_writes_nothing()
    {
        var id = await Api.AddAsync();
        var sheet = await ReadAsync(Api, "happened", Happened);
        Assert.All(sheet["rows"]!.AsArray(), r => Assert.Null(r!["problem"]));
        Assert.Equal(
            ["who", "night", "what", "size", "note"],
            sheet["columns"]!.AsArray().Select(c => c!.GetValue<string>())
        );
        Assert.Contains("leg span 60 mm", Said(sheet, 1), StringComparison.Ordinal);
        var (status, written) = await Api.PostAsync("/api/intake/happened", Body(Again(sheet)));
        Assert.Equal((HttpStatusCode.OK, 6), (status, written!["entries"]!.GetValue<int>()));
        var journal = (await Api.GetAsync($"/api/stock/{id}"))["journal"]!.AsArray();
        string On(string night) =>
            journal.Single(l => l!["night"]!.GetValue<string>() == night)!["text"]!.GetValue<string>();
        Assert.Equal("molted", On("2026-10-03"));
        Assert.StartsWith("took", On("2026-10-20"), StringComparison.Ordinal);
        Assert.DoesNotContain("took", On("2026-11-01"), StringComparison.Ordinal);
        Assert.Equal("moved its burrow, again", On("2026-11-02"));

        (_, written) = await Api.PostAsync("/api/intake/happened", Body(Again(sheet)));
        Assert.Equal(0, written!["entries"]!.GetValue<int>());

        // The table of the journal that goes out: what was written here comes in elsewhere, the rest is named.
        using var http = Room.CreateClient();
        var table = await http.GetStringAsync(new Uri("/api/safekeeping/tables/journal.csv", UriKind.Relative));
        using var elsewhere = new LanternFactory();
        using var to = new Api(elsewhere);
        await to.AddAsync();
        var read = await to.TakeAsync("/api/intake/happened/read", new JsonObject { ["text"] = table });
        var odd = read["rows"]!.AsArray().Where(r => r!["problem"] is not null).ToList();
        Assert.All(
            odd,
            r => Assert.Contains("not taken from a table", r!["problem"]!.GetValue<string>(), StringComparison.Ordinal)
        );
        Assert.Contains(
            read["rows"]!.AsArray(),
            r => r!["says"]!.GetValue<string>().EndsWith("molted", StringComparison.Ordinal)
        );
    }

    [Fact]
    public async Task Rows_of_what_happened_that_cannot_be_are_named_and_can_be_left_out()
    {
        await Api.AddAsync();
        const string Odd = """
            Tansy	2026-10-03	molted
            Nobody	2026-10-04	molted
            Tansy	someday	fed
            Tansy	2031-01-01	molted
            Tansy	2026-10-06	acquired
            B9-9	2026-10-06	fed
            """;
        var sheet = await ReadAsync(Api, "happened", Odd);
        Assert.Null(Wrong(sheet, 0));
        Assert.Contains("Nobody here is called", Wrong(sheet, 1), StringComparison.Ordinal);
        Assert.Contains("Say when", Wrong(sheet, 2), StringComparison.Ordinal);
        Assert.Contains("beyond tonight", Wrong(sheet, 3), StringComparison.Ordinal);
        Assert.Contains("not taken from a table", Wrong(sheet, 4), StringComparison.Ordinal);
        Assert.Contains("Nothing stands at B9·09", Wrong(sheet, 5), StringComparison.Ordinal);
        Api.Refused(await Api.PostAsync("/api/intake/happened", Body(Again(sheet))), "rows[1]", "Row 2");
        var (status, written) = await Api.PostAsync("/api/intake/happened", Body(Again(sheet, 2, 3, 4, 5, 6)));
        Assert.Equal((HttpStatusCode.OK, 1), (status, written!["entries"]!.GetValue<int>()));
        Api.Refused(await Api.PostAsync("/api/intake/happened", Body([])), "text", "Paste");
    }
}
