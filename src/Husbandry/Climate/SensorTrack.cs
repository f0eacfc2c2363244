using Husbandry.Rulebook;

namespace Husbandry.Climate;

/// <summary>Lowest and highest temperature of a day of one instrument, and how long it stood still.</summary>
/// <param name="Day">Number of the UTC day.</param>
/// <param name="MinC">Lowest temperature, °C.</param>
/// <param name="MaxC">Highest temperature, °C.</param>
/// <param name="Longest">Longest time in which it said the same, ended that day.</param>
public sealed record TrackedDay(int Day, double MinC, double MaxC, TimeSpan Longest);

/// <summary>What must be remembered of an instrument to know whether it is silent or stuck.</summary>
/// <param name="Last">Its newest reading; none before its first.</param>
/// <param name="SameSince">Since when it says exactly what it says now.</param>
/// <param name="Same">How many readings in a row.</param>
/// <param name="Days">The last days, the present one last.</param>
public sealed record SensorTrack(
    SensorReading? Last,
    DateTimeOffset SameSince,
    int Same,
    IReadOnlyList<TrackedDay> Days
)
{
    private const int DaysKept = 8;
    private const int FewestDays = 3;

    // A gap ends a run: what it said meanwhile nobody knows.
    private static readonly TimeSpan Gap = TimeSpan.FromMinutes(30);

    /// <summary>An instrument that has said nothing yet.</summary>
    public static SensorTrack Empty { get; } = new(null, default, 0, []);

    /// <summary>With one more reading; one that is no newer than the last is passed over.</summary>
    public SensorTrack After(SensorReading reading)
    {
        if (Last is { } last && reading.At <= last.At)
        {
            return this;
        }

        var same =
            Last is { } former
            && former.TemperatureC.Equals(reading.TemperatureC)
            && Nullable.Equals(former.RelativeHumidity, reading.RelativeHumidity)
            && reading.At - former.At <= Gap;
        return new SensorTrack(reading, same ? SameSince : reading.At, same ? Same + 1 : 1, DaysAfter(reading, same));
    }

    private IReadOnlyList<TrackedDay> DaysAfter(SensorReading reading, bool same)
    {
        var day = RoomClimate.Day(reading.At);
        var ended = same || Last is not { } last ? TimeSpan.Zero : last.At - SameSince;
        var c = reading.TemperatureC;
        if (Days.Count > 0 && Days[^1] is var today && today.Day == day)
        {
            // Most readings change nothing of the day.
            return c >= today.MinC && c <= today.MaxC && ended <= today.Longest
                ? Days
                :
                [
                    .. Days.Take(Days.Count - 1),
                    new TrackedDay(
                        day,
                        Math.Min(today.MinC, c),
                        Math.Max(today.MaxC, c),
                        ended > today.Longest ? ended : today.Longest
                    ),
                ];
        }

        return [.. Days.Skip(Math.Max(0, Days.Count - DaysKept + 1)), new TrackedDay(day, c, c, ended)];
    }

    /// <summary>Since when nothing was heard of it; none while it speaks.</summary>
    public DateTimeOffset? SilentSince(DateTimeOffset now, RoomAlarmRules rules) =>
        Last is { } last && now - last.At >= TimeSpan.FromMinutes(rules.SilentMinutes.Value) ? last.At : null;

    /// <summary>
    /// Since when it says the same, where that is longer than can be: soon where day and night differ, else by how long it stood
    /// still of late.
    /// </summary>
    /// <remarks>Source: house, from made-up rooms of other parameters (benchmarks, climate).</remarks>
    public DateTimeOffset? StuckSince(RoomAlarmRules rules) =>
        Last is { } last && Same >= rules.StuckReadings.Value && last.At - SameSince >= StuckAfter(rules)
            ? SameSince
            : null;

    /// <summary>How long it may say the same.</summary>
    public TimeSpan StuckAfter(RoomAlarmRules rules)
    {
        // The present day is not over, and a stuck one knows no swing.
        var before = Days.Take(Math.Max(0, Days.Count - 1)).ToList();
        var swings = before.Select(d => d.MaxC - d.MinC).Order().ToList();
        var swing = swings.Count >= FewestDays ? swings[swings.Count / 2] : 0;
        var bounds = swing >= rules.StuckSwingC.Value ? rules.StuckSwingHours.Value : rules.StuckStillHours.Value;
        var longest = Days.Count == 0 ? 0 : Days.Max(d => d.Longest).TotalHours;
        var hours =
            swings.Count >= FewestDays
                ? Math.Clamp(longest * rules.StuckTimesLongest.Value, bounds.Low, bounds.High)
                : bounds.High;
        return TimeSpan.FromHours(hours);
    }
}
