using Husbandry.Chores;
using Husbandry.Climate;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Stock;

namespace Husbandry.Almanac;

/// <summary>What a line of the almanac is about.</summary>
public enum AlmanacKind
{
    /// <summary>A molt.</summary>
    Molt,

    /// <summary>A first meal after a molt.</summary>
    FirstMeal,

    /// <summary>A buried crab, a pupa, a founding queen, a brooding mother.</summary>
    Wait,

    /// <summary>A chore.</summary>
    Chore,

    /// <summary>A season of the keeper's calendar.</summary>
    Season,

    /// <summary>A booking of gear.</summary>
    Booking,

    /// <summary>New stock standing apart.</summary>
    Quarantine,

    /// <summary>The young of a brood are put apart, each alone.</summary>
    Apart,

    /// <summary>A pupa is taken out of the cold, as planned.</summary>
    WarmUp,

    /// <summary>A programme of the room's air changes its target.</summary>
    Programme,
}

/// <summary>One band of the almanac: something expected within a range of nights.</summary>
/// <param name="Key">Names the same thing from one reading to the next; the calendar's UID is made of it.</param>
/// <param name="Kind">What it is about.</param>
/// <param name="StockId">The animal, if it is about one.</param>
/// <param name="Shelf">Shelf, or the part of the room; empty for the whole.</param>
/// <param name="Who">Place and name, or the title of the chore.</param>
/// <param name="Label">What happens, in two or three words.</param>
/// <param name="From">First night of the band.</param>
/// <param name="Likely">Middle of the band; none where one is as likely as another.</param>
/// <param name="To">Last night of the band.</param>
/// <param name="Hushed">Whether the animal is hushed now.</param>
public sealed record AlmanacBand(
    string Key,
    AlmanacKind Kind,
    Guid? StockId,
    string Shelf,
    string Who,
    string Label,
    DateOnly From,
    DateOnly? Likely,
    DateOnly To,
    bool Hushed
);

/// <summary>A band that is over: the wait ended, the animal left, the chore was done.</summary>
/// <param name="Key">As in <see cref="AlmanacBand"/>.</param>
/// <param name="Who">Place and name.</param>
/// <param name="Label">What was awaited.</param>
/// <param name="On">Night on which it ended.</param>
public sealed record EndedBand(string Key, string Who, string Label, DateOnly On);

/// <summary>The weeks ahead as bands.</summary>
/// <param name="From">Tonight.</param>
/// <param name="To">Last night shown.</param>
/// <param name="Bands">Bands that touch those nights, the earliest first.</param>
/// <param name="Ended">Waits of the last weeks that are over.</param>
public sealed record AlmanacPlan(
    DateOnly From,
    DateOnly To,
    IReadOnlyList<AlmanacBand> Bands,
    IReadOnlyList<EndedBand> Ended
)
{
    private const int EndedShownDays = 35;

    /// <summary>Draws up the almanac.</summary>
    /// <param name="all">What is and was in the room.</param>
    /// <param name="chores">Chores and gear.</param>
    /// <param name="room">The room.</param>
    /// <param name="programmes">Programmes of the room's air; none when left out.</param>
    public static AlmanacPlan Of(
        IReadOnlyList<Glance> all,
        ChoreStanding chores,
        Room room,
        IReadOnlyList<PlannedProgramme>? programmes = null
    )
    {
        var to = room.Tonight.AddDays(room.Rules.Room.Rounds.AlmanacWeeks.Value * 7);
        var bands = all.Where(g => g.IsHere)
            .SelectMany(OfAnimal)
            .Concat(chores.Chores.SelectMany(c => OfChore(c, room.Tonight, to)))
            .Concat(chores.Gear.SelectMany(OfGear))
            .Concat((programmes ?? []).SelectMany(OfProgramme))
            .Where(b => b.To >= room.Tonight && b.From <= to)
            .OrderBy(b => b.From < room.Tonight ? room.Tonight : b.From)
            .ThenBy(b => b.To)
            .ThenBy(b => b.Who, StringComparer.Ordinal)
            .ToList();
        var since = room.Tonight.AddDays(-EndedShownDays);
        return new AlmanacPlan(
            room.Tonight,
            to,
            bands,
            [.. all.SelectMany(OfEnded).Where(e => e.On >= since).OrderByDescending(e => e.On)]
        );
    }

    private static string WaitKey(Glance g, GlanceBand band) =>
        band.Kind == BandKind.FirstMeal
            ? FirstMealKey(g, band.Ordinal)
            : $"{g.StockId:N}-{band.Vigil.ToString().ToLowerInvariant()}-{band.Ordinal}";

    private static string FirstMealKey(Glance g, int molts) => $"{g.StockId:N}-firstmeal-{molts}";

    private static string Who(Glance g) => $"{g.Where.Place.Code} {g.Who.Name}";

    private static IEnumerable<AlmanacBand> OfAnimal(Glance g)
    {
        if (g.Waits.Band is { } band)
        {
            var kind = band.Kind switch
            {
                BandKind.FirstMeal => AlmanacKind.FirstMeal,
                BandKind.Wait => AlmanacKind.Wait,
                BandKind.Molt => AlmanacKind.Molt,
                _ => throw new ArgumentOutOfRangeException(nameof(g), band.Kind, "No band of such a kind."),
            };
            yield return new AlmanacBand(
                WaitKey(g, band),
                kind,
                g.StockId,
                g.Where.Place.ShelfCode,
                Who(g),
                band.Label,
                band.From,
                band.Likely,
                band.To,
                g.IsHushed
            );
        }

        if (g.Waits.Apart is { } apart)
        {
            yield return new AlmanacBand(
                $"{g.StockId:N}-apart",
                AlmanacKind.Apart,
                g.StockId,
                g.Where.Place.ShelfCode,
                Who(g),
                "each alone",
                apart.From,
                null,
                apart.To,
                g.IsHushed
            );
        }

        if (g.Waits.WarmUp is { } warm)
        {
            yield return new AlmanacBand(
                $"{g.StockId:N}-warm-up",
                AlmanacKind.WarmUp,
                g.StockId,
                g.Where.Place.ShelfCode,
                Who(g),
                "out of the cold",
                warm,
                warm,
                warm,
                false
            );
        }

        if (g.Where.Quarantine is { } until)
        {
            yield return new AlmanacBand(
                $"{g.StockId:N}-quarantine",
                AlmanacKind.Quarantine,
                g.StockId,
                g.Where.Place.ShelfCode,
                Who(g),
                "apart, new stock",
                g.Who.Came,
                null,
                until.AddDays(-1),
                false
            );
        }
    }

    /// <summary>The nights on which a thermostat is set anew, and the last of all.</summary>
    private static IEnumerable<AlmanacBand> OfProgramme(PlannedProgramme programme)
    {
        var plan = programme.Plan;
        AlmanacBand Band(DateOnly on, string label) =>
            new(
                $"{programme.Id:N}-{on:yyyyMMdd}",
                AlmanacKind.Programme,
                null,
                plan.Zone,
                plan.Name,
                label,
                on,
                on,
                on,
                false
            );
        return plan
            .Steps.Select(s => Band(s.From, $"{Wording.Plain(s.LowC)}–{Wording.Plain(s.HighC)} °C from here"))
            .Append(Band(plan.Until, "last day"))
            .DistinctBy(b => b.Key);
    }

    private static IEnumerable<AlmanacBand> OfChore(Chore chore, DateOnly tonight, DateOnly to)
    {
        AlmanacBand Band(DateOnly from, DateOnly until, int k) =>
            new(
                $"{chore.Id:N}-{from:yyyyMMdd}",
                chore.Plan.Season is null ? AlmanacKind.Chore : AlmanacKind.Season,
                null,
                ShelfOf(chore.Plan.Where),
                chore.Plan.Title,
                k == 0 && chore.Plan.EveryDays is { } every ? $"every {Wording.Days(every)}" : "",
                from,
                null,
                until,
                false
            );
        var start = chore.PutOffUntil is { } later && later > tonight ? later : tonight;
        if (chore.Plan is { Season: { } season, EveryDays: null })
        {
            return chore
                .Plan.Between(chore.LastDone, start, to)
                .Take(2)
                .Select((n, k) => Band(n, season.EndAfter(season.StartFor(n)), k));
        }

        return chore.Plan.Between(chore.LastDone, start, to).Select((n, k) => Band(n, n, k));
    }

    private static IEnumerable<AlmanacBand> OfGear(Gear gear) =>
        gear.Bookings.Select(b => new AlmanacBand(
            $"{b.Id:N}-booking",
            AlmanacKind.Booking,
            null,
            "",
            gear.Name,
            b.For,
            b.From,
            null,
            b.To,
            false
        ));

    /// <summary>Waits that are over: known by the molts on record, or by the animal's having left.</summary>
    private static IEnumerable<EndedBand> OfEnded(Glance g)
    {
        if (g.Waits.LastMolt is { } molted)
        {
            yield return new EndedBand($"{g.StockId:N}-molt-{g.Waits.Molts}", Who(g), "molted", molted);
            if (g.Waits.AteAgain is { } night && g.Waits.Band is not { Kind: BandKind.FirstMeal })
            {
                yield return new EndedBand(FirstMealKey(g, g.Waits.Molts), Who(g), "eats again", night);
            }
        }

        if (g.Where.LeftOn is { } left)
        {
            yield return new EndedBand($"{g.StockId:N}-molt-{g.Waits.Molts + 1}", Who(g), "left the collection", left);
        }

        foreach (var ended in g.Waits.EndedWaits)
        {
            yield return new EndedBand(
                $"{g.StockId:N}-{ended.Vigil.ToString().ToLowerInvariant()}-{ended.Ordinal}",
                Who(g),
                ended.Label,
                ended.On
            );
        }
    }

    private static string ShelfOf(string where) => Place.Parse(where)?.ShelfCode ?? where;
}
