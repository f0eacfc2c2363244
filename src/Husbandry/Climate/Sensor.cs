namespace Husbandry.Climate;

/// <summary>Where an instrument hung from a time on.</summary>
/// <param name="From">Since when.</param>
/// <param name="Zone">Empty for the whole room, or a rack, shelf or place; none while it hangs nowhere and counts for nothing.</param>
public sealed record SensorStay(DateTimeOffset From, string? Zone);

/// <summary>How an instrument's humidity is corrected from a time on.</summary>
/// <param name="From">Since when.</param>
/// <param name="Check">The straight line.</param>
/// <param name="Points">The salts on which it rests; empty where it was taken back.</param>
public sealed record SensorCorrection(
    DateTimeOffset From,
    HygrometerCheck Check,
    IReadOnlyList<HygrometerPoint> Points
);

/// <summary>A check over salt that is going on.</summary>
/// <param name="Begun">Since when the instrument is closed in.</param>
/// <param name="Salts">Salts over which it is to lie, in turn.</param>
/// <param name="Points">What was read over those that are done.</param>
/// <param name="Home">Where it hangs again afterwards.</param>
public sealed record SaltCheck(
    DateTimeOffset Begun,
    IReadOnlyList<Salt> Salts,
    IReadOnlyList<HygrometerPoint> Points,
    string? Home
)
{
    /// <summary>The salt over which it lies; none when all are done.</summary>
    public Salt? Now => Points.Count < Salts.Count ? Salts[Points.Count] : null;
}

/// <summary>An instrument that tells temperature, and mostly humidity, by itself.</summary>
/// <param name="Id">Which.</param>
/// <param name="Key">What its gateway calls it.</param>
/// <param name="Gateway">The gateway that brings its readings.</param>
/// <param name="Name">What the keeper calls it.</param>
/// <param name="Stays">Where it hung, in order.</param>
/// <param name="Corrections">How its humidity is corrected, in order.</param>
/// <param name="Salt">The check over salt that is going on; none mostly.</param>
/// <param name="RetiredAt">When it was put away for good.</param>
public sealed record Sensor(
    Guid Id,
    string Key,
    Guid Gateway,
    string Name,
    IReadOnlyList<SensorStay> Stays,
    IReadOnlyList<SensorCorrection> Corrections,
    SaltCheck? Salt = null,
    DateTimeOffset? RetiredAt = null
)
{
    /// <summary>Where it hangs; none where it hangs nowhere.</summary>
    public string? Zone => Stays[^1].Zone;

    /// <summary>Where it hung at a time; none where it counted for nothing.</summary>
    public string? ZoneAt(DateTimeOffset at) => Stays.LastOrDefault(s => s.From <= at)?.Zone;

    /// <summary>How its humidity is corrected at a time; none where it is taken as it is.</summary>
    public SensorCorrection? CorrectionAt(DateTimeOffset at) => Corrections.LastOrDefault(c => c.From <= at);

    /// <summary>Days where it hung, corrected. A day on which it was moved, or lay over salt, counts for nothing.</summary>
    /// <param name="days">Its days as it said them.</param>
    public IEnumerable<ZoneDay> DaysByZone(IReadOnlyList<AirSpan> days) =>
        days.Where(d => Stays.All(s => s.From <= d.From || s.From >= d.To))
            .Select(d => (Day: d.CorrectedBy(this), Zone: ZoneAt(d.From)))
            .Where(x => x.Zone is not null)
            .Select(x => new ZoneDay(x.Zone!, RoomClimate.Day(x.Day.From), x.Day.MeanC, x.Day.MeanHumidity));

    /// <summary>Humidity as corrected for its time, per cent.</summary>
    public double? Correct(double? humidity, DateTimeOffset at) =>
        humidity is { } read && CorrectionAt(at) is { } correction ? correction.Check.Correct(read) : humidity;
}

/// <summary>One reading of an instrument.</summary>
/// <param name="At">When.</param>
/// <param name="TemperatureC">°C.</param>
/// <param name="RelativeHumidity">Per cent; none of an instrument that reads none.</param>
public readonly record struct SensorReading(DateTimeOffset At, double TemperatureC, double? RelativeHumidity);

/// <summary>Readings of some minutes, an hour or a day together.</summary>
/// <param name="From">Its start.</param>
/// <param name="Wide">How long it is.</param>
/// <param name="Count">Readings in it.</param>
/// <param name="MinC">Lowest temperature, °C.</param>
/// <param name="MeanC">Mean temperature, °C.</param>
/// <param name="MaxC">Highest temperature, °C.</param>
/// <param name="MinHumidity">Lowest humidity, per cent.</param>
/// <param name="MeanHumidity">Mean humidity, per cent; none where it was not read.</param>
/// <param name="MaxHumidity">Highest humidity, per cent.</param>
public sealed record AirSpan(
    DateTimeOffset From,
    TimeSpan Wide,
    int Count,
    double MinC,
    double MeanC,
    double MaxC,
    double? MinHumidity = null,
    double? MeanHumidity = null,
    double? MaxHumidity = null
)
{
    /// <summary>Its end.</summary>
    public DateTimeOffset To => From + Wide;

    /// <summary>Puts readings together by spans of a width that begin at whole multiples of it, in UTC.</summary>
    /// <param name="readings">Readings in any order.</param>
    /// <param name="wide">Width of a span.</param>
    public static IReadOnlyList<AirSpan> Of(IEnumerable<SensorReading> readings, TimeSpan wide) =>
        [
            .. readings
                .GroupBy(r => r.At.UtcTicks / wide.Ticks)
                .OrderBy(g => g.Key)
                .Select(g => Of(new DateTimeOffset(g.Key * wide.Ticks, TimeSpan.Zero), wide, [.. g])),
        ];

    private static AirSpan Of(DateTimeOffset from, TimeSpan wide, List<SensorReading> readings)
    {
        var damp = readings.Select(r => r.RelativeHumidity).OfType<double>().ToList();
        return new AirSpan(
            from,
            wide,
            readings.Count,
            readings.Min(r => r.TemperatureC),
            readings.Average(r => r.TemperatureC),
            readings.Max(r => r.TemperatureC),
            damp.Count == 0 ? null : damp.Min(),
            damp.Count == 0 ? null : damp.Average(),
            damp.Count == 0 ? null : damp.Max()
        );
    }

    /// <summary>The span with its humidity corrected as its instrument is at the time.</summary>
    public AirSpan CorrectedBy(Sensor sensor) =>
        this with
        {
            MinHumidity = sensor.Correct(MinHumidity, From),
            MeanHumidity = sensor.Correct(MeanHumidity, From),
            MaxHumidity = sensor.Correct(MaxHumidity, From),
        };
}
