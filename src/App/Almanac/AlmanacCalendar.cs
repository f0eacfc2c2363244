using Husbandry.Almanac;
using Husbandry.Rooms;
using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;

namespace App.Almanac;

/// <summary>
/// Writes the almanac as iCalendar (RFC 5545): bands as all-day ranges with a UID that stays the same while a wait lasts,
/// and what ended of late as cancelled, so that a calendar that subscribes strikes it.
/// </summary>
internal static class AlmanacCalendar
{
    private const string Domain = "hushed-lantern";

    // A calendar takes a copy of higher sequence for the newer one; a forecast moves with the nights at most.
    private static readonly DateOnly SequenceFrom = new(2020, 1, 1);

    public static string Write(AlmanacPlan plan, Room room)
    {
        var calendar = new Calendar { ProductId = "-//Hushed Lantern//Almanac//EN", Method = "PUBLISH" };
        calendar.AddProperty("X-WR-CALNAME", $"{room.Settings.RoomName}, almanac");
        calendar.AddProperty("X-PUBLISHED-TTL", "PT6H");
        var stamp = new CalDateTime(room.Now.UtcDateTime, "UTC");
        var sequence = room.Tonight.DayNumber - SequenceFrom.DayNumber;
        foreach (var band in plan.Bands)
        {
            calendar.Events.Add(
                new CalendarEvent
                {
                    Uid = Uid(band.Key),
                    DtStamp = stamp,
                    Sequence = sequence,
                    Start = new CalDateTime(band.From),
                    // The end of an all-day range is the day after its last (RFC 5545, 3.6.1).
                    End = new CalDateTime(band.To.AddDays(1)),
                    Summary = Summary(band),
                    Description = Description(band, room),
                    Categories = [band.Kind.ToString()],
                    Location = band.Shelf,
                    Transparency = TransparencyType.Transparent,
                    Status = EventStatus.Confirmed,
                }
            );
        }

        foreach (var ended in plan.Ended)
        {
            calendar.Events.Add(
                new CalendarEvent
                {
                    Uid = Uid(ended.Key),
                    DtStamp = stamp,
                    Sequence = sequence + 1,
                    Start = new CalDateTime(ended.On),
                    End = new CalDateTime(ended.On.AddDays(1)),
                    Summary = $"{ended.Who}: {ended.Label}",
                    Transparency = TransparencyType.Transparent,
                    Status = EventStatus.Cancelled,
                }
            );
        }

        return new CalendarSerializer().SerializeToString(calendar)!;
    }

    private static string Uid(string key) => $"{key}@{Domain}";

    private static string Summary(AlmanacBand band) => band.Label.Length == 0 ? band.Who : $"{band.Who}: {band.Label}";

    private static string Description(AlmanacBand band, Room room) =>
        band.Likely is { } likely
            ? $"In eight of ten such waits between {room.Wording.Date(band.From)} and {room.Wording.Date(band.To)}, half of them by {room.Wording.Date(likely)}.{(band.Hushed ? " Hushed now: leave it alone." : "")}"
            : "";
}
