using Husbandry.Reasons;
using Husbandry.Rooms;

namespace Husbandry.Chores;

/// <summary>Checks an entry of the chores before it is written.</summary>
public static class ChoreCheck
{
    private const int MostChores = 500;
    private const int MostGear = 200;
    private const int LongestName = 80;
    private const int LongestNote = 200;
    private const int LongestBookingDays = 730;
    private const int FurthestBookingDays = 3650;

    /// <summary>All problems of an entry; none when it may be written.</summary>
    /// <param name="act">What happened.</param>
    /// <param name="chores">Chores and gear before it.</param>
    /// <param name="room">The room.</param>
    public static IReadOnlyList<Problem> Check(ChoreAct act, ChoreStanding chores, Room room) =>
        [
            .. act switch
            {
                ChorePlanned p => Planned(p, chores, room),
                ChoreDone d => Known(d.ChoreId, chores)
                    .Concat(Night("act.night", d.Night, room))
                    .Concat(Text("act.note", d.Note, 0, LongestNote)),
                ChorePutOff p => Known(p.ChoreId, chores)
                    .Concat(Later(p.UntilNight, room))
                    .Concat(Text("act.reason", p.Reason, 0, LongestNote)),
                ChoreDropped d => Known(d.ChoreId, chores),
                GearAdded g => Added(g, chores),
                GearDropped g => KnownGear(g.GearId, chores),
                GearBooked b => Booked(b, chores, room),
                BookingDropped b => chores.Gear.SelectMany(g => g.Bookings).Any(x => x.Id == b.BookingId)
                    ? []
                    : [new Problem("act.bookingId", "There is no such booking.")],
                ChoreWithdrawn => [],
                _ => throw new ArgumentOutOfRangeException(nameof(act), act, "No check for such an entry."),
            },
        ];

    private static IEnumerable<Problem> Planned(ChorePlanned p, ChoreStanding chores, Room room)
    {
        if (chores.Chores.Count >= MostChores && chores.Chores.All(c => c.Id != p.ChoreId))
        {
            yield return new Problem("act.plan", $"At most {MostChores} chores; drop one first.");
        }

        foreach (var problem in p.Plan.Problems(room.Tonight))
        {
            yield return problem with
            {
                Field = $"act.plan.{problem.Field}",
            };
        }
    }

    private static IEnumerable<Problem> Added(GearAdded g, ChoreStanding chores)
    {
        if (chores.Gear.Count >= MostGear)
        {
            yield return new Problem("act.name", $"At most {MostGear} pieces of gear; drop one first.");
        }

        if (chores.Gear.Any(x => x.Id == g.GearId || string.Equals(x.Name, g.Name, StringComparison.OrdinalIgnoreCase)))
        {
            yield return new Problem("act.name", "There is gear of this name already.");
        }

        foreach (var problem in Text("act.name", g.Name, 1, LongestName))
        {
            yield return problem;
        }
    }

    private static IEnumerable<Problem> Booked(GearBooked b, ChoreStanding chores, Room room)
    {
        foreach (var problem in KnownGear(b.GearId, chores).Concat(Text("act.for", b.For, 1, LongestName)))
        {
            yield return problem;
        }

        if (Math.Abs(b.From.DayNumber - room.Tonight.DayNumber) > FurthestBookingDays)
        {
            yield return new Problem("act.from", $"Must lie within {FurthestBookingDays / 365} years of tonight.");
        }
        else if (b.To < b.From || b.To.DayNumber - b.From.DayNumber > LongestBookingDays)
        {
            yield return new Problem(
                "act.to",
                $"Must be the first night or up to {LongestBookingDays} nights after it."
            );
        }

        var taken = chores
            .Gear.FirstOrDefault(g => g.Id == b.GearId)
            ?.Bookings.FirstOrDefault(x => x.From <= b.To && x.To >= b.From);
        if (taken is not null)
        {
            yield return new Problem(
                "act.from",
                $"Booked then already: {taken.For}, {room.Wording.Dates(taken.From, taken.To)}."
            );
        }
    }

    private static IEnumerable<Problem> Known(Guid id, ChoreStanding chores) =>
        chores.Chores.Any(c => c.Id == id) ? [] : [new Problem("act.choreId", "There is no such chore.")];

    private static IEnumerable<Problem> KnownGear(Guid id, ChoreStanding chores) =>
        chores.Gear.Any(g => g.Id == id) ? [] : [new Problem("act.gearId", "There is no such gear.")];

    private static IEnumerable<Problem> Night(string field, DateOnly night, Room room)
    {
        var earliest = room.Tonight.AddYears(-1);
        if (night > room.Tonight || night < earliest)
        {
            yield return new Problem(
                field,
                $"Must be between {room.Wording.Date(earliest)} and tonight, {room.Wording.Date(room.Tonight)}."
            );
        }
    }

    private static IEnumerable<Problem> Later(DateOnly night, Room room)
    {
        if (night <= room.Tonight || night > room.Tonight.AddYears(2))
        {
            yield return new Problem("act.untilNight", "Must be a night after tonight, within two years.");
        }
    }

    private static IEnumerable<Problem> Text(string field, string text, int least, int most)
    {
        if ((least > 0 && string.IsNullOrWhiteSpace(text)) || text.Length > most)
        {
            yield return new Problem(
                field,
                least > 0 ? $"Write 1 to {most} characters." : $"At most {most} characters."
            );
        }
    }
}
