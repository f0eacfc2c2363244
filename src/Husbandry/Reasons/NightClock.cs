using System.Globalization;

namespace Husbandry.Reasons;

/// <summary>
/// Turns instants into the keeper's nights. A night is named by the date of its evening and lasts from the
/// cut-over hour to the same hour next day, so that a round after midnight still belongs to the evening before.
/// </summary>
/// <param name="Zone">The room's time zone.</param>
/// <param name="CutoverHour">Local hour (0–12) at which a new night begins.</param>
public sealed record NightClock(TimeZoneInfo Zone, int CutoverHour)
{
    /// <summary>Cut-over used unless the keeper sets another: 06:00. Source: house rule, before the day's first feeding.</summary>
    public const int DefaultCutoverHour = 6;

    private const int EveningHour = 21;

    /// <summary>The night to which an instant belongs.</summary>
    public DateOnly NightOf(DateTimeOffset instant) =>
        DateOnly.FromDateTime(TimeZoneInfo.ConvertTime(instant, Zone).DateTime.AddHours(-CutoverHour));

    /// <summary>The instant at which a night begins.</summary>
    public DateTimeOffset StartOf(DateOnly night) => At(night, CutoverHour);

    /// <summary>The instant at which a night ends and the next begins.</summary>
    public DateTimeOffset EndOf(DateOnly night) => StartOf(night.AddDays(1));

    /// <summary>A representative evening instant (21:00) of a night, for events known only by their date.</summary>
    public DateTimeOffset EveningOf(DateOnly night) => At(night, EveningHour);

    /// <summary>
    /// Hour and minute of an instant where the room is, such as "00:30"; in the hour that comes twice in autumn also which of
    /// the two, "02:30 (second)".
    /// </summary>
    public string HourOf(DateTimeOffset instant)
    {
        var local = TimeZoneInfo.ConvertTime(instant, Zone);
        var hour = local.ToString("HH:mm", CultureInfo.InvariantCulture);
        return Zone.IsAmbiguousTime(local.DateTime)
            ? $"{hour} ({(local.Offset == Zone.GetAmbiguousTimeOffsets(local.DateTime).Max() ? "first" : "second")})"
            : hour;
    }

    /// <summary>Weekday of an instant where the room is, such as "Thu".</summary>
    public string DayOf(DateTimeOffset instant) =>
        TimeZoneInfo.ConvertTime(instant, Zone).ToString("ddd", CultureInfo.InvariantCulture);

    private DateTimeOffset At(DateOnly date, int hour)
    {
        var local = date.ToDateTime(new TimeOnly(hour, 0));
        // A wall-clock hour skipped by daylight saving does not exist; the hour after it does.
        var valid = Zone.IsInvalidTime(local) ? local.AddHours(1) : local;
        return new DateTimeOffset(valid, Zone.GetUtcOffset(valid));
    }
}
