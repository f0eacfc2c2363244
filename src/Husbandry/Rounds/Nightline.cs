using Husbandry.Rooms;

namespace Husbandry.Rounds;

/// <summary>What a band on the nightline waits for.</summary>
public enum BandKind
{
    /// <summary>The next molt.</summary>
    Molt,

    /// <summary>The first meal after a molt.</summary>
    FirstMeal,

    /// <summary>A buried crab, a pupa, a founding queen.</summary>
    Wait,
}

/// <summary>Something awaited, as a band of nights.</summary>
public sealed record NightBand(
    Guid StockId,
    string Code,
    string Name,
    BandKind Kind,
    string Label,
    DateOnly From,
    DateOnly Likely,
    DateOnly To,
    bool Hushed
);

/// <summary>Something that happened.</summary>
public sealed record NightMark(Guid StockId, string Code, string Name, string Label, DateOnly Night);

/// <summary>How many enclosures need a hand on a night to come.</summary>
public sealed record NightChores(DateOnly Night, int Count);

/// <summary>The strip of nights: what happened, what is awaited, what will be due.</summary>
/// <param name="From">First night shown.</param>
/// <param name="Tonight">Tonight.</param>
/// <param name="To">Last night shown.</param>
/// <param name="Bands">Bands, the most pressing first.</param>
/// <param name="Awaited">How many are awaited in all; not all of them are among the bands of a large room.</param>
/// <param name="Marks">Marks of the past, newest first.</param>
/// <param name="Chores">Nights with meals due.</param>
public sealed record Nightline(
    DateOnly From,
    DateOnly Tonight,
    DateOnly To,
    IReadOnlyList<NightBand> Bands,
    int Awaited,
    IReadOnlyList<NightMark> Marks,
    IReadOnlyList<NightChores> Chores
)
{
    private const int NightsBack = 14;
    private const int NightsAhead = 70;

    // More than any strip can draw; the rest is in the almanac and only counted here.
    private const int MostBands = 60;
    private const int MostMarks = 12;

    /// <summary>Builds the strip from glances of what is here: two weeks back, ten weeks ahead.</summary>
    public static Nightline Of(IReadOnlyList<Glance> glances, Room room)
    {
        var from = room.Tonight.AddDays(-NightsBack);
        var to = room.Tonight.AddDays(NightsAhead);
        var bands = glances
            .Where(g => g.Waits.Band is { } b && b.From <= to && b.To >= room.Tonight)
            .OrderByDescending(g => g.IsHushed)
            .ThenBy(g => g.Waits.Band!.Likely)
            .ToList();
        var marks = glances
            .Where(g => g.Waits.LastMolt >= from)
            .OrderByDescending(g => g.Waits.LastMolt)
            .Take(MostMarks)
            .Select(g => new NightMark(g.StockId, Code(g), g.Who.Name, "molted", g.Waits.LastMolt!.Value))
            .ToList();
        var chores = glances
            .Select(g => g.Care.MealDue)
            .OfType<DateOnly>()
            .Where(d => d > room.Tonight && d <= to)
            .GroupBy(d => d)
            .Select(g => new NightChores(g.Key, g.Count()))
            .OrderBy(c => c.Night)
            .ToList();
        return new Nightline(
            from,
            room.Tonight,
            to,
            [.. bands.Take(MostBands).Select(BandOf)],
            bands.Count,
            marks,
            chores
        );
    }

    private static NightBand BandOf(Glance g) =>
        new(
            g.StockId,
            Code(g),
            g.Who.Name,
            g.Waits.Band!.Kind,
            g.Waits.Band.Label,
            g.Waits.Band.From,
            g.Waits.Band.Likely,
            g.Waits.Band.To,
            g.IsHushed
        );

    // Those of one tank stand in one place: they are told apart by name.
    private static string Code(Glance glance) =>
        glance.Where.TankId is null ? glance.Where.Place.Code : glance.Who.Name;
}
