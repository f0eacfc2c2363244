using Husbandry.Chores;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Stock;

namespace Husbandry.Almanac;

/// <summary>Something to be done for it on a night to come.</summary>
/// <param name="Clock">What kind of care.</param>
/// <param name="What">In a word or two.</param>
/// <param name="Again">Whether it is counted from a time still to come, so that it may shift.</param>
public sealed record PlannedCare(CareClock Clock, string What, bool Again);

/// <summary>One enclosure that will need a hand on a night to come.</summary>
/// <param name="StockId">Which.</param>
/// <param name="Place">Where it stands.</param>
/// <param name="Name">Its name.</param>
/// <param name="Species">Its species.</param>
/// <param name="Care">What falls on that night.</param>
/// <param name="Awaited">What is awaited of it around that night, in words; empty for nothing.</param>
public sealed record PlannedLine(
    Guid StockId,
    Place Place,
    string Name,
    string Species,
    IReadOnlyList<PlannedCare> Care,
    string Awaited
);

/// <summary>A night to come, if all is done until then on the night it is due.</summary>
/// <param name="Night">The night.</param>
/// <param name="Lines">Enclosures, in walking order.</param>
/// <param name="Chores">Chores that fall on it.</param>
/// <param name="Seconds">Estimated time.</param>
public sealed record NightAhead(
    DateOnly Night,
    IReadOnlyList<PlannedLine> Lines,
    IReadOnlyList<Chore> Chores,
    double Seconds
)
{
    /// <summary>Looks ahead.</summary>
    /// <param name="here">What is in the room.</param>
    /// <param name="chores">Chores.</param>
    /// <param name="night">A night after tonight.</param>
    /// <param name="room">The room.</param>
    public static NightAhead Of(IReadOnlyList<Glance> here, ChoreStanding chores, DateOnly night, Room room)
    {
        var lines = here.Select(g => LineOf(g, night, room))
            .OfType<PlannedLine>()
            .OrderBy(l => l.Place, room.Layout.WalkingOrder())
            .ToList();
        var due = chores.Chores.Where(c => FallsOn(c, night, room.Tonight)).ToList();
        var seconds =
            lines.Sum(l => l.Care.DistinctBy(c => c.Clock).Sum(c => room.RoundPace.SecondsFor(PaceOf(c.Clock))))
            + due.Sum(c => c.Plan.Minutes * 60);
        return new NightAhead(night, lines, due, seconds);
    }

    private static string PaceOf(CareClock clock) =>
        clock switch
        {
            CareClock.Food => "feed",
            CareClock.Water => "water",
            CareClock.Upkeep => "upkeep",
            _ => throw new ArgumentOutOfRangeException(nameof(clock), clock, "Nothing says how long that takes."),
        };

    private static PlannedLine? LineOf(Glance g, DateOnly night, Room room)
    {
        List<PlannedCare> care =
        [
            .. g
                .Care.Clocks.Select(c => On(c, night, room.Tonight))
                .OfType<PlannedCare>()
                // A meal that would fall into the window of the molt is not promised.
                .Where(c =>
                    !(
                        c is { Clock: CareClock.Food, Again: true }
                        && g.Waits.Band is { } b
                        && night >= b.From
                        && night <= b.To
                    )
                ),
        ];
        var awaited =
            g.Waits.Band is { } band && (night == band.From || night == band.Likely)
                ? $"{band.Label} about {room.Wording.Date(band.Likely)} ({room.Wording.Dates(band.From, band.To)})"
                : "";
        if (g.Waits.Apart is { } apart && apart.From == night)
        {
            awaited = $"{(awaited.Length == 0 ? "" : $"{awaited}; ")}each alone from now on: {apart.What}";
        }

        return care.Count > 0 || awaited.Length > 0
            ? new PlannedLine(g.StockId, g.Where.Place, g.Who.Name, g.Who.Species, care, awaited)
            : null;
    }

    private static PlannedCare? On(CareDue care, DateOnly night, DateOnly tonight)
    {
        if (care.Due is not { } due)
        {
            return null;
        }

        var first = due < tonight ? tonight : due;
        var step = Math.Max(1, (int)Math.Round(care.EveryDays));
        var nights = night.DayNumber - first.DayNumber;
        return nights < 0 || nights % step != 0 ? null : new PlannedCare(care.Clock, care.What, nights > 0);
    }

    private static bool FallsOn(Chore chore, DateOnly night, DateOnly tonight)
    {
        var from = chore.PutOffUntil is { } until && until > tonight ? until : tonight;
        return chore.Plan.Between(chore.LastDone, from, night).Any(n => n == night);
    }
}
