using System.Globalization;
using System.Text;
using System.Text.RegularExpressions;
using App.Hosting;
using App.Live;
using CsvHelper;
using CsvHelper.Configuration;
using Husbandry.Climate;
using Husbandry.Reasons;
using Ledger;

namespace App.Climate;

/// <summary>One line of readings as a table.</summary>
public sealed record ReadingLine(
    string Time,
    string Sensor,
    string Zone,
    double Minutes,
    double TemperatureC,
    double LowestC,
    double HighestC,
    double? RelativeHumidity
);

/// <summary>What came of a file.</summary>
/// <param name="Taken">Readings that were new.</param>
/// <param name="Known">Readings that were there already.</param>
/// <param name="Sensors">Sensors in it.</param>
public sealed record FileTaken(int Taken, int Known, IReadOnlyList<string> Sensors);

/// <summary>Readings of sensors as CSV, in and out.</summary>
public static partial class ReadingFiles
{
    private const int MostBytes = 20_000_000;
    private const int MostRows = 200_000;
    private const int LinesNamed = 20;
    private const int MostDays = 366 * 6;
    private const double FahrenheitZero = 32;
    private const double FahrenheitPerC = 1.8;

    private static readonly string[] Times = ["time", "at", "timestamp", "date", "when"];
    private static readonly string[] Warmths = ["temperature", "temp", "celsius", "°c", "°f", "fahrenheit"];
    private static readonly string[] Damps = ["humidity", "rh", "%"];
    private static readonly string[] Names = ["sensor", "name", "device", "place", "zone"];

    private static readonly string[] Formats =
    [
        "yyyy-MM-dd HH:mm",
        "yyyy-MM-dd HH:mm:ss",
        "yyyy-MM-ddTHH:mm",
        "yyyy-MM-ddTHH:mm:ss",
        "dd.MM.yyyy HH:mm",
        "dd.MM.yyyy HH:mm:ss",
        "dd/MM/yyyy HH:mm",
        "dd/MM/yyyy HH:mm:ss",
    ];

    public static void MapReadingFiles(this WebApplication app)
    {
        var files = app.MapGroup("/api/climate/readings.csv").WithTags("Climate");
        files
            .MapGet("", WriteAsync)
            .WithName("readingsFile")
            .Produces<string>(200, "text/csv")
            .ProducesValidationProblem();
        files
            .MapPost("", ReadAsync)
            .WithName("takeReadingsFile")
            .Accepts<string>("text/csv")
            .Produces<FileTaken>()
            .ProducesValidationProblem();
    }

    private static async Task<IResult> WriteAsync(
        DateTimeOffset from,
        DateTimeOffset to,
        int? minutes,
        RoomNow now,
        ClimateStore store,
        SensorStore sensors,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        if (!(from < to) || (to - from).TotalDays > MostDays || from.Year < 2000 || to > room.Now.AddDays(366))
        {
            return Problems.Of("from", "Must lie before the end, at most 6 years, from 2000 on.");
        }

        if (minutes is < 1 or > SensorStore.Day)
        {
            return Problems.Of("minutes", $"Must be 1 to {SensorStore.Day}.");
        }

        var book = await store.BookAsync(cancel);
        var most = Math.Max(1, (int)Math.Floor((to - from).TotalMinutes / (minutes ?? 60)));
        var spans = await sensors.SpansAsync([], from, to, most, room.Now, cancel);
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        await using (
            var csv = new CsvWriter(
                text,
                new CsvConfiguration(CultureInfo.InvariantCulture) { InjectionOptions = InjectionOptions.Escape }
            )
        )
        {
            await csv.WriteRecordsAsync(
                book.Sensors.SelectMany(s => spans.GetValueOrDefault(s.Id, []).Select(x => Line(s, x))),
                cancel
            );
        }

        return TypedResults.File(
            Encoding.UTF8.GetBytes(text.ToString()),
            "text/csv; charset=utf-8",
            $"readings-{room.Tonight:yyyy-MM-dd}.csv"
        );
    }

    private static ReadingLine Line(Sensor sensor, AirSpan span) =>
        new(
            span.From.ToString("yyyy-MM-ddTHH:mm:ssZ", CultureInfo.InvariantCulture),
            sensor.Name,
            sensor.ZoneAt(span.From) ?? "",
            span.Wide.TotalMinutes,
            Math.Round(span.MeanC, 2),
            span.MinC,
            span.MaxC,
            sensor.Correct(span.MeanHumidity, span.From) is { } h ? Math.Round(h, 1) : null
        );

    /// <summary>Takes a file in: all of it, or none with the lines that cannot be.</summary>
    private static async Task<IResult> ReadAsync(
        HttpRequest request,
        string? sensor,
        string? zone,
        RoomNow now,
        ReadingTaker taker,
        ClimateStore store,
        LiveRoom live,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var at = zone?.Trim().ToUpperInvariant();
        if (at is not null && AirProgramme.ZoneProblem(at) is { } wrong)
        {
            return Problems.Of("zone", wrong);
        }

        if (await TextAsync(request, cancel) is not { } text)
        {
            return Problems.Of("file", $"At most {MostBytes / 1_000_000} MB of UTF-8 text.");
        }

        var (readings, problems) = Parse(text, sensor?.Trim() ?? "", room.Clock.Zone);
        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        var names = readings.Select(r => r.Sensor).Distinct().ToList();
        var (taken, refused, _) = await taker.TakeFileAsync(readings, at, cancel);
        if (refused.Count > 0)
        {
            return Problems.Of(refused);
        }

        live.Tell(LiveTopic.Alarms, room.Settings.KeeperName);
        return TypedResults.Ok(new FileTaken(taken, readings.Count - taken, names));
    }

    private static async Task<string?> TextAsync(HttpRequest request, CancellationToken cancel)
    {
        using var kept = new MemoryStream();
        var buffer = new byte[81920];
        int read;
        while ((read = await request.Body.ReadAsync(buffer, cancel)) > 0)
        {
            if (kept.Length + read > MostBytes)
            {
                return null;
            }

            kept.Write(buffer, 0, read);
        }

        return Encoding.UTF8.GetString(kept.ToArray()).TrimStart('\ufeff');
    }

    private static (List<GatewayReading> Readings, List<Problem> Problems) Parse(
        string text,
        string sensor,
        TimeZoneInfo zone
    )
    {
        var (readings, problems) = (new List<GatewayReading>(), new List<Problem>());
        using var parser = new CsvParser(
            new StringReader(text),
            new CsvConfiguration(CultureInfo.InvariantCulture)
            {
                DetectDelimiter = true,
                HasHeaderRecord = false,
                BadDataFound = null,
                TrimOptions = TrimOptions.Trim,
            }
        );
        if (!parser.Read() || parser.Record is not { Length: > 1 } head)
        {
            return (
                readings,
                [new Problem("file", "The first line must name the columns: time, temperature, humidity, sensor.")]
            );
        }

        var (time, warm, damp, name) = (
            Column(head, Times),
            Column(head, Warmths),
            Column(head, Damps),
            Column(head, Names)
        );
        if (time < 0 || warm < 0 || (name < 0 && sensor.Length == 0))
        {
            return (
                readings,
                [
                    new Problem(
                        "file",
                        "Needs a column for time and one for temperature, and one for the sensor where none is chosen."
                    ),
                ]
            );
        }

        var fahrenheit = FahrenheitPattern().IsMatch(head[warm]);
        while (parser.Read() && problems.Count < LinesNamed)
        {
            if (parser.Record is not { } row || row.All(c => c.Length == 0))
            {
                continue;
            }

            if (readings.Count >= MostRows)
            {
                problems.Add(new Problem("file", $"At most {MostRows} lines at a time: part it."));
                break;
            }

            if (Read(row, time, warm, damp, name, sensor, fahrenheit, zone, out var problem) is { } reading)
            {
                readings.Add(reading);
            }
            else
            {
                problems.Add(new Problem($"line {parser.Row}", problem));
            }
        }

        if (readings.Count == 0 && problems.Count == 0)
        {
            problems.Add(new Problem("file", "No reading is in it."));
        }

        return (readings, problems);
    }

    private static GatewayReading? Read(
        string[] row,
        int time,
        int warm,
        int damp,
        int name,
        string sensor,
        bool fahrenheit,
        TimeZoneInfo zone,
        out string problem
    )
    {
        problem = "";
        string Cell(int at) => at >= 0 && at < row.Length ? row[at] : "";
        if (TimeOf(Cell(time), zone) is not { } at)
        {
            problem = "The time cannot be read: write it like 2026-03-01 18:30.";
        }
        else if (NumberOf(Cell(warm)) is not { } celsius)
        {
            problem = "The temperature is no number.";
        }
        else if (Cell(damp).Length > 0 && NumberOf(Cell(damp)) is null)
        {
            problem = "The humidity is no number.";
        }
        else
        {
            return new GatewayReading(
                Cell(name) is { Length: > 0 } named ? named : sensor,
                fahrenheit ? (celsius - FahrenheitZero) / FahrenheitPerC : celsius,
                NumberOf(Cell(damp)),
                at
            );
        }

        return null;
    }

    [GeneratedRegex(@"fahrenheit|°\s*f|[ _(\[]f[)\]]?$", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)]
    private static partial Regex FahrenheitPattern();

    private static int Column(string[] head, string[] words)
    {
        var exact = Array.FindIndex(head, h => words.Contains(h, StringComparer.OrdinalIgnoreCase));
        return exact >= 0
            ? exact
            : Array.FindIndex(head, h => words.Any(w => h.Contains(w, StringComparison.OrdinalIgnoreCase)));
    }

    private static double? NumberOf(string text) =>
        double.TryParse(text.Replace(',', '.'), NumberStyles.Float, CultureInfo.InvariantCulture, out var number)
        && double.IsFinite(number)
            ? number
            : null;

    private static DateTimeOffset? TimeOf(string text, TimeZoneInfo zone)
    {
        if (
            DateTime.TryParseExact(text, Formats, CultureInfo.InvariantCulture, DateTimeStyles.None, out var local)
            && local.Year is > 1999 and < 2200
        )
        {
            return new DateTimeOffset(local, zone.GetUtcOffset(local));
        }

        return
            DateTimeOffset.TryParse(text, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out var at)
            && at.Year is > 1999 and < 2200
            ? at.ToUniversalTime()
            : null;
    }
}
