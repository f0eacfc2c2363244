using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;
using Husbandry.Climate;
using Husbandry.Reasons;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>
/// Single readings, ten minutes, hours and quarter days of all sensors as one table of an archive (RFC 4180): they are too many for the
/// room file, which has the days. Written and read row by row, so that years of them need no memory.
/// </summary>
public sealed class AirTable(LanternDb db)
{
    /// <summary>Its name in an archive.</summary>
    public const string Name = "air.csv";

    private const double Centi = 100;
    private const double Deci = 10;
    private const double Rounding = 1e-6;
    private const int MostReadings = 100_000;
    private const int SecondsOfMinute = 60;

    private static readonly string[] Headings =
    [
        "sensor",
        "minutes",
        "from",
        "count",
        "minC",
        "meanC",
        "maxC",
        "humidities",
        "minHumidity",
        "meanHumidity",
        "maxHumidity",
    ];

    // A single reading is a span of no width.
    private static readonly int[] Widths = [0, 10, 60, 360];

    private static readonly (long First, long Last) Seconds = (
        new DateTimeOffset(2000, 1, 1, 0, 0, 0, TimeSpan.Zero).ToUnixTimeSeconds(),
        new DateTimeOffset(2200, 1, 1, 0, 0, 0, TimeSpan.Zero).ToUnixTimeSeconds()
    );

    private const string All = """
        SELECT SensorNo, 0, At, 1, CentiC, CentiC, CentiC, DeciHumidity IS NOT NULL, IFNULL(DeciHumidity, 0), IFNULL(DeciHumidity, 0), IFNULL(DeciHumidity, 0)
        FROM SensorReadings
        UNION ALL
        SELECT SensorNo, Minutes, "From", Count, MinC, SumC, MaxC, HumidityCount, MinHumidity, SumHumidity, MaxHumidity
        FROM SensorSpans WHERE Minutes IN (10, 60, 360)
        """;

    private const string AddReading = """
        INSERT OR IGNORE INTO SensorReadings (SensorNo, At, CentiC, DeciHumidity) VALUES ($no, $from, $min, $hmin)
        """;

    private const string AddSpan = """
        INSERT OR IGNORE INTO SensorSpans (SensorNo, Minutes, "From", Count, MinC, SumC, MaxC, HumidityCount, MinHumidity, SumHumidity, MaxHumidity)
        VALUES ($no, $minutes, $from, $count, $min, $sum, $max, $hcount, $hmin, $hsum, $hmax)
        """;

    /// <summary>Writes the table.</summary>
    /// <returns>How many rows it has.</returns>
    public async Task<long> WriteAsync(Stream to, CancellationToken cancel)
    {
        var ids = await db.Sensors.AsNoTracking().ToDictionaryAsync(s => s.No, s => s.Id, cancel);
        await using var text = new StreamWriter(to, leaveOpen: true);
        await using var csv = new CsvWriter(
            text,
            new CsvConfiguration(CultureInfo.InvariantCulture) { NewLine = "\r\n" }
        );
        Row(csv, [.. Headings]);
        await using var command = db.Statement(All);
        await using var reader = await command.ExecuteReaderAsync(cancel);
        var rows = 0L;
        while (await reader.ReadAsync(cancel))
        {
            var (count, damp) = (reader.GetInt64(3), reader.GetInt64(7));
            Row(
                csv,
                ids[reader.GetInt32(0)],
                reader.GetInt32(1),
                DateTimeOffset
                    .FromUnixTimeSeconds(reader.GetInt64(2))
                    .ToString("yyyy-MM-dd'T'HH:mm:ss'Z'", CultureInfo.InvariantCulture),
                count,
                reader.GetInt64(4) / Centi,
                reader.GetInt64(5) / Centi / count,
                reader.GetInt64(6) / Centi,
                damp,
                damp == 0 ? "" : reader.GetInt64(8) / Deci,
                damp == 0 ? "" : reader.GetInt64(9) / Deci / damp,
                damp == 0 ? "" : reader.GetInt64(10) / Deci
            );
            rows++;
        }

        return rows;
    }

    /// <summary>Takes a table in; what is known already stays as it is. In the caller's transaction.</summary>
    /// <param name="from">The table.</param>
    /// <param name="book">The sensors that there are.</param>
    /// <param name="cancel">Cancels.</param>
    /// <returns>What is wrong with it; none when all of it was taken.</returns>
    public async Task<Problem?> ReadAsync(Stream from, ClimateBook book, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        var numbers = await db.Sensors.AsNoTracking().ToDictionaryAsync(s => s.Id, s => s.No, cancel);
        using var text = new StreamReader(from);
        using var csv = new CsvParser(text, new CsvConfiguration(CultureInfo.InvariantCulture) { BadDataFound = null });
        if (!await csv.ReadAsync() || csv.Record?.SequenceEqual(Headings) != true)
        {
            return new Problem(Name, $"Its headings must be {string.Join(", ", Headings)}.");
        }

        await using var reading = db.Statement(AddReading, "$no", "$from", "$min", "$hmin");
        await using var span = db.Statement(
            AddSpan,
            "$no",
            "$minutes",
            "$from",
            "$count",
            "$min",
            "$sum",
            "$max",
            "$hcount",
            "$hmin",
            "$hsum",
            "$hmax"
        );
        for (var row = 1; await csv.ReadAsync(); row++)
        {
            cancel.ThrowIfCancellationRequested();
            if (Read(csv.Record ?? []) is not { } line || line.Problem(book) is not null)
            {
                return new Problem(
                    Name,
                    string.Create(
                        CultureInfo.InvariantCulture,
                        $"Row {row} cannot be: {Read(csv.Record ?? [])?.Problem(book) ?? "it has not the form of the others."}"
                    )
                );
            }

            if (!numbers.TryGetValue(line.Sensor, out var no))
            {
                var sensor = new SensorRow { Id = line.Sensor };
                db.Sensors.Add(sensor);
                await db.SaveChangesAsync(cancel);
                no = numbers[line.Sensor] = sensor.No;
            }

            if (line.Minutes == 0)
            {
                reading.Set(
                    no,
                    line.From,
                    Whole(line.MinC * Centi),
                    line.Damp == 0 ? null : Whole(line.MinHumidity * Deci)
                );
                await reading.ExecuteNonQueryAsync(cancel);
            }
            else
            {
                span.Set(
                    no,
                    line.Minutes,
                    line.From,
                    line.Count,
                    Whole(line.MinC * Centi),
                    Whole(line.MeanC * Centi * line.Count),
                    Whole(line.MaxC * Centi),
                    line.Damp,
                    Whole(line.MinHumidity * Deci),
                    Whole(line.MeanHumidity * Deci * line.Damp),
                    Whole(line.MaxHumidity * Deci)
                );
                await span.ExecuteNonQueryAsync(cancel);
            }
        }

        return null;
    }

    private readonly record struct Line(
        Guid Sensor,
        int Minutes,
        long From,
        int Count,
        double MinC,
        double MeanC,
        double MaxC,
        int Damp,
        double MinHumidity,
        double MeanHumidity,
        double MaxHumidity
    )
    {
        public string? Problem(ClimateBook book) =>
            book.Sensor(Sensor) is null ? "no such sensor is in climateNotes."
            : !Widths.Contains(Minutes) ? $"minutes must be {string.Join(", ", Widths)}."
            : From < Seconds.First || From > Seconds.Last || (Minutes > 0 && From % (Minutes * SecondsOfMinute) != 0)
                ? "from must be the start of a span between 2000 and 2200."
            : Count is < 1 or > MostReadings || (Minutes == 0 && Count > 1) || Damp < 0 || Damp > Count
                ? $"count must be 1 to {MostReadings}, and humidities no more than that."
            : !(MinC <= MeanC + Rounding && MeanC <= MaxC + Rounding)
            || !(MinHumidity <= MeanHumidity + Rounding && MeanHumidity <= MaxHumidity + Rounding)
                ? "the mean must lie between lowest and highest."
            : new[] { (MinC, MinHumidity), (MaxC, MaxHumidity) }
                .Select(x => new ClimateReading(DateTimeOffset.UnixEpoch, x.Item1, x.Item2).Problem)
                .FirstOrDefault(p => p is not null);
    }

    private static Line? Read(string[] cells)
    {
        if (cells.Length != Headings.Length)
        {
            return null;
        }

        double? Number(int at) =>
            double.TryParse(cells[at], NumberStyles.Float, CultureInfo.InvariantCulture, out var number)
                ? number
                : null;
        int? Counted(int at) =>
            int.TryParse(cells[at], NumberStyles.None, CultureInfo.InvariantCulture, out var number) ? number : null;
        return
            Guid.TryParse(cells[0], out var sensor)
            && DateTimeOffset.TryParse(
                cells[2],
                CultureInfo.InvariantCulture,
                DateTimeStyles.AssumeUniversal,
                out var from
            )
            && (Counted(1), Counted(3), Counted(7)) is ({ } minutes, { } count, { } damp)
            && (Number(4), Number(5), Number(6)) is ({ } minC, { } meanC, { } maxC)
            && (damp == 0 || (Number(8), Number(9), Number(10)) is ({ }, { }, { }))
            ? new Line(
                sensor,
                minutes,
                from.ToUnixTimeSeconds(),
                count,
                minC,
                meanC,
                maxC,
                damp,
                Number(8) ?? 0,
                Number(9) ?? 0,
                Number(10) ?? 0
            )
            : null;
    }

    private static long Whole(double value) => (long)Math.Round(value);

    private static void Row(CsvWriter csv, params object[] cells)
    {
        foreach (var cell in cells)
        {
            csv.WriteField(cell);
        }

        csv.NextRecord();
    }
}
