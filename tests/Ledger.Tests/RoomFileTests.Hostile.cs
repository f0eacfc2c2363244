using System.Globalization;
using System.Text;
using System.Text.Json.Nodes;
using Husbandry.Climate;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Ledger.Tests;

// A room file in which one value is not what it should be: taken whole or refused with a sentence, never a failure.
public sealed partial class RoomFileTests
{
    // So many in every run, by a seed; all of them by ./lantern bench faults.
    private const int Tried = 120;

    private static readonly string[] HostileValues =
    [
        "null",
        "[null]",
        "[]",
        "{}",
        "true",
        "-1",
        "0",
        "7",
        "2147483647",
        "99999999999",
        "5e-324",
        "1e308",
        "\"\"",
        "\"~\"",
        "\"0001-01-01\"",
        "\"9999-12-31\"",
        "\"0001-01-01T00:00:00Z\"",
        "\"9999-12-31T23:59:59Z\"",
        "\"9999-12-31T23:59:59-14:00\"",
        "\"00000000-0000-0000-0000-000000000000\"",
        "\"2\"",
    ];

    // Found by trying all of them: these are tried every time.
    private static readonly HashSet<(string Shape, string Value)> OnceFailed =
    [
        (".journal[].act(ended).end", "\"2\""),
        (".species[].moltInterval.adult", "null"),
        (".species[].pairing.broodSize.value", "null"),
        (".species[].adultSizeMm.male.value", "null"),
        (".feeders[].classes[].lengthMm.value", "null"),
    ];

    /// <summary>One place of each kind in a file: of a list the first that has it.</summary>
    private static List<(string Shape, Func<JsonNode, JsonNode> Parent, object Key)> Places(JsonNode whole)
    {
        var seen = new HashSet<string>();
        var found = new List<(string, Func<JsonNode, JsonNode>, object)>();
        void Walk(JsonNode node, string shape, Func<JsonNode, JsonNode> reach)
        {
            if (node is JsonObject fields)
            {
                var of = fields["kind"] is JsonValue kind ? $"{shape}({kind})" : shape;
                foreach (var (name, value) in fields)
                {
                    if (seen.Add($"{of}.{name}"))
                    {
                        found.Add(($"{of}.{name}", reach, name));
                    }

                    if (value is not null)
                    {
                        Walk(value, $"{of}.{name}", root => reach(root)[name]!);
                    }
                }
            }
            else if (node is JsonArray list)
            {
                foreach (var (value, i) in list.Select((v, i) => (v, i)))
                {
                    if (seen.Add($"{shape}[]"))
                    {
                        found.Add(($"{shape}[]", reach, i));
                    }

                    if (value is not null)
                    {
                        Walk(value, $"{shape}[]", root => reach(root)[i]!);
                    }
                }
            }
        }

        Walk(whole, "", root => root);
        return found;
    }

    [Fact]
    public async Task A_file_with_one_hostile_value_is_taken_or_refused_with_a_sentence_and_never_fails()
    {
        await FillAsync();
        var path = Path.Combine(Folder, "room.json");
        await RoomFiles.SaveAsync(File, path);
        var text = await System.IO.File.ReadAllTextAsync(path, Cancel);
        var template = await MakeAsync("template.db");
        SqliteConnection.ClearAllPools();
        var random = new Random(83);
        var every = (
            from place in Places(JsonNode.Parse(text)!)
            from value in HostileValues
            select (place, value)
        ).ToList();
        var most = int.TryParse(
            Environment.GetEnvironmentVariable("LANTERN_FAULTS"),
            CultureInfo.InvariantCulture,
            out var asked
        )
            ? asked
            : Tried;
        var failures = new List<string>();
        var (taken, refused) = (0, 0);
        var tried = every
            .Where(x => OnceFailed.Contains((x.place.Shape, x.value)))
            .Concat(every.OrderBy(_ => random.Next()).Take(most))
            .ToList();
        foreach (var ((shape, parent, key), value) in tried)
        {
            var whole = JsonNode.Parse(text)!;
            var at = parent(whole);
            if (key is string name)
            {
                at[name] = JsonNode.Parse(value);
            }
            else
            {
                at[(int)key] = JsonNode.Parse(value);
            }

            try
            {
                if (await TakeAsync(whole.ToJsonString(), template))
                {
                    taken++;
                }
                else
                {
                    refused++;
                }
            }
            catch (Exception error) when (error is not OutOfMemoryException)
            {
                failures.Add($"{shape} = {value}: {error.GetType().Name} {error.Message.Split('\n')[0]}");
            }
        }

        Assert.True(failures.Count == 0, string.Join('\n', failures.Take(40)));
        // Both ends must have been reached, or nothing was asked.
        Assert.True(taken > 0 && refused > taken / 4, $"{taken} taken, {refused} refused");
    }

    /// <summary>Loads a file into an empty room, and if it was taken has all of it judged, listed and written out.</summary>
    private async Task<bool> TakeAsync(string json, LedgerFile template)
    {
        var folder = Directory.CreateDirectory(Path.Combine(Folder, Guid.NewGuid().ToString("N"))).FullName;
        using var file = new LedgerFile(Path.Combine(folder, "lantern.db"));
        System.IO.File.Copy(template.Path, file.Path);
        try
        {
            var (room, problems) = RoomArchive.Open(new MemoryStream(Encoding.UTF8.GetBytes(json)));
            if (room is null)
            {
                Assert.NotEmpty(problems);
                return false;
            }

            var loaded = await RoomFiles.LoadAsync(file, new MemoryStream(Encoding.UTF8.GetBytes(json)), Evening);
            await using var db = Open(file);
            if (loaded.Problems.Count > 0)
            {
                Assert.All(loaded.Problems, p => Assert.NotEmpty(p.Message));
                Assert.Equal(0, await db.Entries.CountAsync(Cancel));
                Assert.Equal(0, await db.Larder.CountAsync(Cancel));
                return false;
            }

            var cache = new RoomCache();
            var settings = (await new RoomStore(db).ReadAsync(Cancel)).Settings;
            var rules = await RoomFiles.Rulebook(db, cache).ReadAsync(Cancel);
            var now = Husbandry.Rooms.Room.At(rules, settings, Evening);
            await new NightJudge(db, new JournalReader(db), cache).RejudgeAsync(now, Cancel);
            var index = await StockIndex.ReadAsync(db, Cancel);
            Assert.DoesNotContain(index.Here, g => g.Who.Species == "cannot be judged");
            await RoomFiles.SaveAsync(file, Path.Combine(folder, "again.json"));
            return true;
        }
        finally
        {
            SqliteConnection.ClearAllPools();
            Directory.Delete(folder, recursive: true);
        }
    }

    [Fact]
    public async Task An_id_that_stands_for_two_things_is_refused_whether_in_the_file_or_in_the_room()
    {
        const string Stock =
            "\"stock\":[{\"id\":\"00000000-0000-0000-0000-000000000001\",\"group\":\"mantis\",\"speciesId\":\"hierodula-membranacea\",\"acquiredOn\":\"2026-03-01\"}]";
        string File(string acts) => $$"""{"format":"hushed-lantern-room","version":1,{{Stock}},"journal":[{{acts}}]}""";
        string Line(string act, string id = "11") =>
            $$"""{"id":"00000000-0000-0000-0000-0000000000{{id}}","stockId":"00000000-0000-0000-0000-000000000001","night":"2026-03-20","act":{{act}}}""";
        const string Looked = """{"kind":"looked"}""";
        const string Molted = """{"kind":"molted"}""";
        var twice = await LoadTextAsync(File(Line(Looked) + "," + Line(Molted)));
        Assert.Contains("given twice", Assert.Single(twice.Problems).Message, StringComparison.Ordinal);
        Assert.Empty((await LoadTextAsync(File(Line(Looked)))).Problems);
        Assert.Empty((await LoadTextAsync(File(Line(Looked)))).Problems);
        var other = await LoadTextAsync(File(Line(Molted)));
        Assert.Contains("for something else", Assert.Single(other.Problems).Message, StringComparison.Ordinal);
        var lost = await LoadTextAsync(
            File(Line("""{"kind":"withdrawn","entryId":"00000000-0000-0000-0000-000000000099"}""", "12"))
        );
        Assert.Contains("No such entry", Assert.Single(lost.Problems).Message, StringComparison.Ordinal);
    }

    [Fact]
    public async Task An_archive_carries_the_pictures_beside_the_room_and_reads_the_same()
    {
        await FillAsync();
        byte[] jpeg = [0xFF, 0xD8, .. Enumerable.Repeat((byte)7, 3000), 0xFF, 0xD9];
        await using (var db = Open())
        {
            await db.Pictures.ExecuteUpdateAsync(p => p.SetProperty(x => x.Jpeg, jpeg), Cancel);
        }

        var path = Path.Combine(Folder, "room.zip");
        await RoomFiles.SaveAsync(File, path);
        using (var zip = await System.IO.Compression.ZipFile.OpenReadAsync(path, Cancel))
        {
            Assert.Equal(["room.json", AirTable.Name, $"pictures/{Picture}.jpg"], zip.Entries.Select(e => e.FullName));
        }

        var other = await MakeAsync("other.db");
        var loaded = await RoomFiles.LoadAsync(other, path, Evening);
        Assert.Empty(loaded.Problems);
        Assert.Equal(1, loaded.Pictures);
        Assert.Equal(await RoomFiles.StatesAsync(File), await RoomFiles.StatesAsync(other));
        await using (var db = Open(other))
        {
            Assert.Equal(jpeg, (await db.Pictures.SingleAsync(Cancel)).Jpeg);
        }

        // The air by the minute, the ten minutes, the hour and the quarter day.
        var air = await AirOfAsync(File);
        Assert.NotEmpty(air);
        Assert.Equal(air, await AirOfAsync(other));
        Assert.Empty((await RoomFiles.LoadAsync(other, path, Evening)).Problems);
        Assert.Equal(air, await AirOfAsync(other));

        // Cut short, as by a disk that was pulled out.
        var bytes = await System.IO.File.ReadAllBytesAsync(path, Cancel);
        var (none, problems) = RoomArchive.Open(new MemoryStream(bytes[..(bytes.Length / 2)]));
        Assert.Null(none);
        Assert.Contains("damaged", Assert.Single(problems).Message, StringComparison.Ordinal);
    }

    private static async Task<List<string>> AirOfAsync(LedgerFile file)
    {
        await using var db = Open(file);
        var ids = await db.Sensors.ToDictionaryAsync(s => s.No, s => s.Id, Cancel);
        var readings = await db.SensorReadings.AsNoTracking().ToListAsync(Cancel);
        var spans = await db.SensorSpans.AsNoTracking().ToListAsync(Cancel);
        return
        [
            .. readings
                .Select(r => $"{ids[r.SensorNo]} {r.At} {r.CentiC} {r.DeciHumidity}")
                .Concat(
                    spans.Select(s =>
                        $"{ids[s.SensorNo]} {s.Minutes} {s.From} {s.Count} {s.MinC} {s.SumC} {s.MaxC} {s.HumidityCount} {s.MinHumidity} {s.SumHumidity} {s.MaxHumidity}"
                    )
                )
                .Order(StringComparer.Ordinal),
        ];
    }

    [Theory]
    [InlineData("60,2026-11-20T10:00:00Z,5,20,21,22,0,,,", null)]
    [InlineData("60,2026-11-20T10:20:00Z,5,20,21,22,0,,,", "start of a span")]
    [InlineData("7,2026-11-20T10:00:00Z,5,20,21,22,0,,,", "minutes must be")]
    [InlineData("60,2026-11-20T10:00:00Z,0,20,21,22,0,,,", "count must be")]
    [InlineData("60,2026-11-20T10:00:00Z,5,20,25,22,0,,,", "mean must lie")]
    [InlineData("60,2026-11-20T10:00:00Z,5,-300,21,22,0,,,", "60")]
    [InlineData("60,2026-11-20T10:00:00Z,5,20,21,22,5,60,61,140", "100")]
    [InlineData("60,2026-11-20T10:00:00Z,5,20,21,22,9,60,61,62", "humidities")]
    [InlineData("60,9999-11-20T10:00:00Z,5,20,21,22,0,,,", "2200")]
    [InlineData("60,yesterday,5,20,21,22,0,,,", "form of the others")]
    [InlineData("60,2026-11-20T10:00:00Z,5", "form of the others")]
    public async Task A_table_of_the_air_is_checked_row_by_row(string row, string? says)
    {
        var sensor = Guid.NewGuid();
        var book = ClimateBook.Fold([
            new ClimateEntry(Guid.NewGuid(), 1, Evening, "Ann", new SensorFound(sensor, "loft-1", Guid.NewGuid())),
        ]);
        const string Headings =
            "sensor,minutes,from,count,minC,meanC,maxC,humidities,minHumidity,meanHumidity,maxHumidity\r\n";
        await using var db = Open();
        var text = Headings + $"{sensor},60,2026-11-20T09:00:00Z,5,20,21,22,0,,,\r\n{sensor},{row}\r\n";
        var problem = await new AirTable(db).ReadAsync(new MemoryStream(Encoding.UTF8.GetBytes(text)), book, Cancel);
        Assert.Equal(says is null, problem is null);
        Assert.Contains(says ?? "", problem?.Message ?? "", StringComparison.Ordinal);
        var stranger = await new AirTable(db).ReadAsync(
            new MemoryStream(
                Encoding.UTF8.GetBytes(
                    text.Replace(sensor.ToString(), Guid.NewGuid().ToString(), StringComparison.Ordinal)
                )
            ),
            book,
            Cancel
        );
        Assert.Contains("no such sensor", stranger!.Message, StringComparison.Ordinal);
    }
}
