using Hosting.Tests;

namespace App.Tests;

/// <summary>Gear with its bookings, and people, come in as lists.</summary>
public sealed class SideListTests : ListRoom
{
    [Fact]
    public async Task Gear_and_people_come_in_as_lists_and_go_out_as_the_same_tables()
    {
        const string Gear = """
            Gear,From,To,For
            Net cage,2026-12-01,2026-12-14,Dapple × Reeve
            net cage,20/12,,cleaning
            Gram scale,,,
            """;
        var sheet = await ReadAsync(Api, "gear", Gear);
        Assert.All(sheet["rows"]!.AsArray(), r => Assert.Null(r!["problem"]));
        // Two pieces, two bookings.
        Assert.Equal(4, await WriteAsync(Api, "gear", sheet));
        Assert.Equal(0, await WriteAsync(Api, "gear", await ReadAsync(Api, "gear", Gear)));
        var odd = await ReadAsync(
            Api,
            "gear",
            "gear,from,to,for\nNet cage,2026-12-10,2026-12-11,others\n,2026-12-10,,x\nJar,soon,,x\nJar,,,x\nJar,2026-12-10,2026-12-01,x\nJar,2026-12-10,,"
        );
        string[] said =
        [
            "Booked then already",
            "Say which gear",
            "Say from when: a date",
            "Say from when it is booked",
            "nights after it",
            "1 to 80 characters",
        ];
        Assert.All(said.Index(), s => Assert.Contains(s.Item, Wrong(odd, s.Index), StringComparison.Ordinal));

        const string People = "Name,Note\nRowan,lends males\nSam,";
        var people = await ReadAsync(Api, "contacts", People);
        Assert.False(people["hasDates"]!.GetValue<bool>());
        Assert.Equal(2, await WriteAsync(Api, "contacts", people));
        Assert.Equal(0, await WriteAsync(Api, "contacts", await ReadAsync(Api, "contacts", People)));
        var changed = await ReadAsync(Api, "contacts", "name,note\nrowan,lends females too\n,nobody");
        Assert.Equal("Rowan: lends females too (another note than on record)", Said(changed, 0));
        Assert.Contains("characters", Wrong(changed, 1), StringComparison.Ordinal);

        using var elsewhere = new LanternFactory();
        using var to = new Api(elsewhere);
        foreach (var (table, entries) in new[] { ("gear", 4), ("contacts", 2) })
        {
            var text = await TableAsync(Room, table);
            Assert.Equal(entries, await WriteAsync(to, table, await ReadAsync(to, table, text)));
            Assert.Equal(text, await TableAsync(elsewhere, table));
        }
    }
}
