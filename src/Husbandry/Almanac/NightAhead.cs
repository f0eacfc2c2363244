using Husbandry.Chores;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Stock;

namespace Husbandry.Almanac;

/// <summary>One enclosure that will need a hand on a night to come.</summary>
/// <param name="StockId">Which.</param>
/// <param name="Place">Where it stands.</param>
/// <param name="Name">Its name.</param>
/// <param name="Species">Its species.</param>
/// <param name="Meal">Whether a meal falls on that night.</param>
/// <param name="Water">Whether water does.</param>
/// <param name="Tend">Whether something of its upkeep does.</param>
/// <param name="Awaited">What is awaited of it around that night, in words; empty for nothing.</param>
/// <param name="Again">Whether that is counted from a meal, water or upkeep still to come, so that it may shift.</param>
public sealed record PlannedLine(
    Guid StockId,
    Place Place,
    string Name,
    string Species,
    bool Meal,
    bool Water,
    bool Tend,
    string Awaited,
    bool Again
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
            lines.Sum(l =>
                (l.Meal ? room.RoundPace.SecondsFor("feed") : 0)
                + (l.Water ? room.RoundPace.SecondsFor("water") : 0)
                + (l.Tend ? room.RoundPace.SecondsFor("upkeep") : 0)
            ) + due.Sum(c => c.Plan.Minutes * 60);
        return new NightAhead(night, lines, due, seconds);
    }

    private static PlannedLine? LineOf(Glance g, DateOnly night, Room room)
    {
        var (meal, mealAgain) = Falls(g.Care.MealDue, g.Care.MealEveryDays, night, room.Tonight);
        var (water, waterAgain) = Falls(g.Care.WaterDue, g.Care.WaterEveryDays, night, room.Tonight);
        var (tend, tendAgain) = Falls(g.Care.TendDue, g.Care.TendEveryDays, night, room.Tonight);
        // A meal that would fall into the window of the molt is not promised.
        if (meal && mealAgain && g.Waits.Band is { } b && night >= b.From && night <= b.To)
        {
            meal = false;
        }

        var awaited =
            g.Waits.Band is { } band && (night == band.From || night == band.Likely)
                ? $"{band.Label} about {room.Wording.Date(band.Likely)} ({room.Wording.Dates(band.From, band.To)})"
                : "";
        return meal || water || tend || awaited.Length > 0
            ? new PlannedLine(
                g.StockId,
                g.Where.Place,
                g.Who.Name,
                g.Who.Species,
                meal,
                water,
                tend,
                awaited,
                (meal && mealAgain) || (water && waterAgain) || (tend && tendAgain)
            )
            : null;
    }

    private static (bool Falls, bool Again) Falls(DateOnly? due, double every, DateOnly night, DateOnly tonight)
    {
        if (due is not { } first)
        {
            return (false, false);
        }

        var start = first < tonight ? tonight : first;
        if (night < start)
        {
            return (false, false);
        }

        var step = Math.Max(1, (int)Math.Round(every));
        var nights = night.DayNumber - start.DayNumber;
        return (nights % step == 0, nights > 0);
    }

    private static bool FallsOn(Chore chore, DateOnly night, DateOnly tonight)
    {
        var from = chore.PutOffUntil is { } until && until > tonight ? until : tonight;
        return chore.Plan.Between(chore.LastDone, from, night).Any(n => n == night);
    }
}
