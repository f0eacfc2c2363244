using Husbandry.Hush;
using Husbandry.Vigils;

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
/// <param name="Marks">Marks of the past, newest first.</param>
/// <param name="Chores">Nights with meals due.</param>
public sealed record Nightline(
    DateOnly From,
    DateOnly Tonight,
    DateOnly To,
    IReadOnlyList<NightBand> Bands,
    IReadOnlyList<NightMark> Marks,
    IReadOnlyList<NightChores> Chores
)
{
    private const int NightsBack = 14;
    private const int NightsAhead = 70;

    /// <summary>Builds the strip from judgements: two weeks back, ten weeks ahead.</summary>
    public static Nightline Of(IReadOnlyList<Judgement> judgements, Room room)
    {
        var from = room.Tonight.AddDays(-NightsBack);
        var to = room.Tonight.AddDays(NightsAhead);
        var bands = judgements
            .SelectMany(BandsOf)
            .Where(b => b.From <= to && b.To >= room.Tonight)
            .OrderByDescending(b => b.Hushed)
            .ThenBy(b => b.Likely)
            .ToList();
        var marks = judgements
            .Where(j => j.Subject.Standing.LastMolt is not null)
            .Select(j => (Judgement: j, Night: j.Subject.Night(j.Subject.Standing.LastMolt!.When.To)))
            .Where(m => m.Night >= from)
            .Select(m => new NightMark(
                m.Judgement.Subject.Standing.StockId,
                m.Judgement.Subject.Standing.Place.Code,
                m.Judgement.Subject.Standing.Details.Nickname,
                "molted",
                m.Night
            ))
            .OrderByDescending(m => m.Night)
            .ToList();
        var chores = judgements
            .Select(j => j.Meal.Value.Due)
            .OfType<DateOnly>()
            .Where(d => d > room.Tonight && d <= to)
            .GroupBy(d => d)
            .Select(g => new NightChores(g.Key, g.Count()))
            .OrderBy(c => c.Night)
            .ToList();
        return new Nightline(from, room.Tonight, to, bands, marks, chores);
    }

    private static IEnumerable<NightBand> BandsOf(Judgement j)
    {
        var standing = j.Subject.Standing;
        NightBand Band(BandKind kind, string label, DateOnly from, DateOnly likely, DateOnly to) =>
            new(
                standing.StockId,
                standing.Place.Code,
                standing.Details.Nickname,
                kind,
                label,
                from,
                likely,
                to,
                j.Phase.Value >= Phase.Likely
            );
        if (j.Phase.Value == Phase.Hardening && j.FirstMeal.Value is { } first)
        {
            yield return Band(BandKind.FirstMeal, "first meal", first.From, first.Night, first.To);
        }
        else if (j.Wait.Value is { } wait)
        {
            yield return Band(BandKind.Wait, VigilWords.Ends(wait.Vigil), wait.P10, wait.P50, wait.P90);
        }
        else if (j.Molt.Value is { } molt)
        {
            yield return Band(BandKind.Molt, "molts", molt.P10, molt.P50, molt.P90);
        }
    }
}
