using Husbandry.Chores;
using Husbandry.Reasons;

namespace App.Chores;

/// <summary>Entries of the chores in words.</summary>
internal static class ChoreText
{
    public static string Of(ChoreAct act, IReadOnlyList<ChoreEntry> entries, Wording words)
    {
        string Chore(Guid id) =>
            entries.Select(e => e.Act).OfType<ChorePlanned>().LastOrDefault(p => p.ChoreId == id)?.Plan.Title
            ?? "a chore";
        string Gear(Guid id) =>
            entries.Select(e => e.Act).OfType<GearAdded>().FirstOrDefault(g => g.GearId == id)?.Name ?? "gear";
        GearBooked? Booking(Guid id) =>
            entries.Select(e => e.Act).OfType<GearBooked>().FirstOrDefault(b => b.BookingId == id);
        static string With(string note) => note.Length == 0 ? "" : $": {note}";
        return act switch
        {
            ChorePlanned p => $"planned “{p.Plan.Title}”",
            ChoreDone d => $"did “{Chore(d.ChoreId)}”, {words.Day(d.Night)}{With(d.Note)}",
            ChorePutOff p => $"put “{Chore(p.ChoreId)}” off until {words.Day(p.UntilNight)}{With(p.Reason)}",
            ChoreDropped d => $"dropped “{Chore(d.ChoreId)}”",
            GearAdded g => $"added {g.Name} to the gear",
            GearDropped g => $"took {Gear(g.GearId)} off the gear",
            GearBooked b => $"booked {Gear(b.GearId)} for {b.For}, {words.Dates(b.From, b.To)}",
            BookingDropped b => Booking(b.BookingId) is { } booking
                ? $"gave up {Gear(booking.GearId)} for {booking.For}"
                : "gave a booking up",
            _ => "changed something",
        };
    }
}
