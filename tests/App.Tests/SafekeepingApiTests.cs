using System.Globalization;
using System.Net;
using System.Text.Json.Nodes;
using App.Safekeeping;
using Hosting.Tests;
using Ledger;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;

namespace App.Tests;

/// <summary>The record is copied, put back, written out and loaded by the screen; what is wrong with it is said.</summary>
public sealed class SafekeepingApiTests : IDisposable
{
    private readonly LanternFactory app = new();
    private readonly Api api;

    public SafekeepingApiTests() => api = new Api(app);

    public void Dispose()
    {
        api.Dispose();
        app.Dispose();
    }

    private Task<string> AddAsync(string place = "A1·03") => api.AddAsync(Api.New(place));

    private static JsonObject Note(string text) => Api.Log(Api.Act("noted", ("text", text)));

    private async Task<T> InAsync<T>(Func<LanternDb, Task<T>> work)
    {
        using var scope = app.Services.CreateScope();
        return await work(scope.ServiceProvider.GetRequiredService<LanternDb>());
    }

    private async Task<IReadOnlyList<string>> TroublesAsync() =>
        [.. (await api.GetAsync("/api/troubles")).AsArray().Select(t => t!.GetValue<string>())];

    [Fact]
    public async Task A_copy_is_made_shown_previewed_and_put_back()
    {
        var id = await AddAsync();
        var (_, made) = await api.PostAsync("/api/safekeeping/backups", new JsonObject());
        var copy = Assert.Single(made!["backups"]!.AsArray())!;
        Assert.Equal("byHand", copy["reason"]!.GetValue<string>());
        var name = copy["name"]!.GetValue<string>();
        await api.PostAsync($"/api/stock/{id}/journal", Note("written after the copy"));
        await AddAsync("A1·04");

        var preview = await api.GetAsync($"/api/safekeeping/backups/{name}/preview");
        Assert.Equal(3, preview["lost"]!.GetValue<int>() + preview["found"]!.GetValue<int>());
        var (status, after) = await api.PostAsync($"/api/safekeeping/backups/{name}/restore", new JsonObject());
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(
            ["beforeRestore", "byHand"],
            after!["backups"]!.AsArray().Select(b => b!["reason"]!.GetValue<string>())
        );
        Assert.Single(await api.StockAsync());
        Assert.Equal(HttpStatusCode.OK, (await api.PostAsync($"/api/stock/{id}/journal", Note("on again"))).Status);
    }

    [Fact]
    public async Task An_archive_goes_from_one_room_into_another_and_twice_adds_nothing()
    {
        await AddAsync();
        await AddAsync("A1·04");
        using var from = app.CreateClient();
        var archive = await from.GetByteArrayAsync(new Uri("/api/safekeeping/archive", UriKind.Relative));
        using var elsewhere = new LanternFactory();
        using var to = elsewhere.CreateClient();
        async Task<(HttpStatusCode Status, JsonNode Body)> LoadAsync(byte[] file)
        {
            using var content = new ByteArrayContent(file);
            content.Headers.ContentType = new("application/zip");
            using var answer = await to.PostAsync(new Uri("/api/safekeeping/load", UriKind.Relative), content);
            return (answer.StatusCode, JsonNode.Parse(await answer.Content.ReadAsStringAsync())!);
        }

        var (status, added) = await LoadAsync(archive);
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(2, added["stock"]!.GetValue<int>());
        Assert.Equal(0, (await LoadAsync(archive)).Body["entries"]!.GetValue<int>());
        var (refused, problem) = await LoadAsync([1, 2, 3]);
        Assert.Equal(HttpStatusCode.BadRequest, refused);
        Assert.NotEmpty(problem["errors"]!.AsObject());
        // What was there before the second was copied first, and nothing else is left behind.
        var folder = Path.GetDirectoryName(elsewhere.DataFile)!;
        Assert.NotEmpty(Directory.GetFiles(Path.Combine(folder, "backups"), "*-before-load.db"));
        Assert.Empty(Directory.GetFiles(folder, ".*"));
    }

    [Fact]
    public async Task Whoever_writes_while_a_file_is_loaded_hears_so_at_once_and_reads_on()
    {
        var id = await AddAsync();
        var gate = app.Services.GetRequiredService<WriteGate>();
        using (gate.TryClose(Keeping.Loading))
        {
            using var http = app.CreateClient();
            using var content = new StringContent(Note("now").ToJsonString(), null, "application/json");
            using var answer = await http.PostAsync(new Uri($"/api/stock/{id}/journal", UriKind.Relative), content);
            Assert.Equal(HttpStatusCode.ServiceUnavailable, answer.StatusCode);
            Assert.NotNull(answer.Headers.RetryAfter);
            Assert.Contains("Busy", await answer.Content.ReadAsStringAsync(), StringComparison.Ordinal);
            Assert.Null(gate.TryClose("again"));
            await api.GetAsync($"/api/stock/{id}");
            Assert.Contains("Busy", Assert.Single(await TroublesAsync()), StringComparison.Ordinal);
        }

        Assert.Equal(HttpStatusCode.OK, (await api.PostAsync($"/api/stock/{id}/journal", Note("then"))).Status);
        Assert.Empty(await TroublesAsync());
        Assert.Equal("well", (await api.GetAsync("/api/health"))["status"]!.GetValue<string>());
    }

    [Fact]
    public async Task A_damaged_file_is_told_and_takes_nothing_more_until_a_copy_is_put_back()
    {
        var id = await AddAsync();
        var (_, made) = await api.PostAsync("/api/safekeeping/backups", new JsonObject());
        var name = made!["backups"]![0]!["name"]!.GetValue<string>();
        app.Services.GetRequiredService<RoomHealth>().Note(["Tree 4 page 9: never used"]);
        var (status, health) = await api.SendAsync(HttpMethod.Get, "/api/health");
        Assert.Equal((HttpStatusCode.ServiceUnavailable, "damaged"), (status, health!["status"]!.GetValue<string>()));
        Assert.Contains("damaged", Assert.Single(await TroublesAsync()), StringComparison.Ordinal);
        Assert.Equal(
            HttpStatusCode.ServiceUnavailable,
            (await api.PostAsync($"/api/stock/{id}/journal", Note("now"))).Status
        );
        await api.PostAsync($"/api/safekeeping/backups/{name}/restore", new JsonObject());
        Assert.Empty(await TroublesAsync());
        Assert.Equal(HttpStatusCode.OK, (await api.PostAsync($"/api/stock/{id}/journal", Note("then"))).Status);
    }

    [Fact]
    public async Task A_clock_that_is_behind_the_record_is_said()
    {
        await AddAsync();
        var ahead = LanternFactory.Evening.AddDays(400).UtcTicks;
        await InAsync(db =>
            db.Database.ExecuteSqlAsync(
                $"INSERT INTO Entries (Id, StockId, FromTicks, ToTicks, WrittenTicks, WrittenBy, Act) SELECT {Guid.NewGuid()}, StockId, FromTicks, ToTicks, {ahead}, 'Keeper', '{{\"kind\":\"looked\"}}' FROM Entries LIMIT 1"
            )
        );
        Assert.Contains("clock is behind", Assert.Single(await TroublesAsync()), StringComparison.Ordinal);
        Assert.Equal("ailing", (await api.GetAsync("/api/health"))["status"]!.GetValue<string>());
    }

    [Fact]
    public async Task One_animal_that_cannot_be_judged_is_one_line_and_every_list_is_answered()
    {
        var odd = await AddAsync();
        await AddAsync("A1·04");
        var id = Guid.Parse(odd);
        await InAsync(db =>
            db.Database.ExecuteSqlAsync(
                $"UPDATE Standings SET State = replace(State, '\"tarantula\"', '\"gryphon\"') WHERE StockId = {id}"
            )
        );
        await InAsync(db => db.Database.ExecuteSqlAsync($"UPDATE Rooms SET JudgedDay = 0"));
        app.Services.GetRequiredService<RoomCache>().LetGo();
        var round = await api.GetAsync("/api/round");
        var line = Assert.Single(round["lines"]!.AsArray(), l => l!["stockId"]!.GetValue<string>() == odd)!;
        Assert.Equal("passBy", line["state"]!.GetValue<string>());
        Assert.Contains("cannot be judged", line["do"]!.GetValue<string>(), StringComparison.Ordinal);
        foreach (
            var address in new[]
            {
                "stock",
                "shelves",
                "almanac",
                "larder",
                "nursery",
                "colonies",
                "pairing",
                "nightline",
                "shelves/rehousing",
            }
        )
        {
            var (status, _) = await api.SendAsync(HttpMethod.Get, $"/api/{address}");
            Assert.True(status == HttpStatusCode.OK, $"{address}: {status}");
        }
    }

    [Fact]
    public async Task Tables_are_read_by_any_reader_of_csv_and_start_no_formula()
    {
        var id = await api.AddAsync(Api.New(details: Api.Details("=1+1")));
        await api.LogAsync(id, Api.Act("noted", ("text", "+49, \"quoted\"\nand on a second line")));
        using var http = app.CreateClient();
        async Task<List<dynamic>> ReadAsync(string table)
        {
            var text = await http.GetStringAsync(new Uri($"/api/safekeeping/tables/{table}.csv", UriKind.Relative));
            using var csv = new CsvHelper.CsvReader(new StringReader(text), CultureInfo.InvariantCulture);
            return [.. csv.GetRecords<dynamic>()];
        }

        Assert.StartsWith("'=1+1", (string)Assert.Single(await ReadAsync("stock")).name, StringComparison.Ordinal);
        var journal = await ReadAsync("journal");
        Assert.Equal(["acquired", "measured", "noted"], journal.Select(e => (string)e.kind));
        Assert.Contains("second line", (string)journal[2].says, StringComparison.Ordinal);
        var one = Assert.Single(await ReadAsync("occurrences"));
        Assert.Equal(
            ("LivingSpecimen", "Tliltocatl albopilosus", $"urn:uuid:{id}"),
            ((string)one.basisOfRecord, (string)one.scientificName, (string)one.occurrenceID)
        );
        Assert.All(await ReadAsync("events"), e => Assert.Equal($"urn:uuid:{id}", (string)e.occurrenceID));
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await api.SendAsync(HttpMethod.Get, "/api/safekeeping/tables/7.csv")).Status
        );
    }

    [Fact]
    public async Task Another_zone_says_first_which_entries_would_lie_on_another_night()
    {
        var id = await AddAsync();
        await api.LogAsync(id, Api.Act("looked"));
        Task<JsonNode> AskAsync(string zone, int hour) =>
            api.TakeAsync("/api/settings/nights", new JsonObject { ["zoneId"] = zone, ["cutoverHour"] = hour });
        var settings = (await api.GetAsync("/api/settings"))["settings"]!;
        var (zone, cutover) = (settings["zoneId"]!.GetValue<string>(), settings["cutoverHour"]!.GetValue<int>());
        Assert.Equal(0, (await AskAsync(zone, cutover))["moved"]!.GetValue<int>());
        // 20:30 UTC is after ten in the morning of the next day there.
        var moved = await AskAsync("Pacific/Kiritimati", cutover);
        Assert.True(moved["moved"]!.GetValue<int>() > 0);
        Assert.Equal("2026-11-24", moved["newest"]![0]!["to"]!.GetValue<string>());
        Api.Refused(
            await api.PostAsync(
                "/api/settings/nights",
                new JsonObject { ["zoneId"] = "Quay/Loft", ["cutoverHour"] = cutover }
            ),
            "zoneId",
            "time zone"
        );
    }

    [Theory]
    [InlineData(
        """{"id":"00000000-0000-0000-0000-000000000009","act":{"kind":"putOff","untilNight":"9999-12-31"}}""",
        "untilNight",
        "1900"
    )]
    [InlineData(
        """{"id":"00000000-0000-0000-0000-000000000009","act":{"kind":"measured","part":"legSpan","lengthMm":5e-324}}""",
        "lengthMm",
        "1e-12"
    )]
    [InlineData(
        """{"id":"00000000-0000-0000-0000-000000000009","foundOn":"0001-01-01","act":{"kind":"looked"}}""",
        "foundOn",
        "1900"
    )]
    public async Task A_date_or_number_beyond_all_bounds_is_refused_by_name(string body, string field, string says)
    {
        var id = await AddAsync();
        var (status, problem) = await api.PostAsync($"/api/stock/{id}/journal", JsonNode.Parse(body)!);
        Assert.Equal(HttpStatusCode.BadRequest, status);
        var (name, messages) = Assert.Single(problem!["errors"]!.AsObject());
        Assert.EndsWith(field, name, StringComparison.Ordinal);
        Assert.Contains(says, messages!.ToJsonString(), StringComparison.Ordinal);
    }
}
