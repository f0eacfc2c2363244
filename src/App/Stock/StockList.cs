using System.Text.Json;
using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Ledger;
using Microsoft.AspNetCore.Mvc;

namespace App.Stock;

/// <summary>One animal in the stock list.</summary>
public sealed record StockLine(
    Guid StockId,
    Place Place,
    string Name,
    string Species,
    string Group,
    Sex Sex,
    StockKind Kind,
    int Count,
    Stage Stage,
    string? Instar,
    Phase Phase,
    string PhaseWord,
    int Shutters,
    DateOnly Came,
    DateOnly? LastMolt,
    DateOnly? LastMeal,
    GlanceBand? Awaited,
    IReadOnlyList<string> Tags,
    string Fit,
    Husbandry.Rulebook.Hazard? Hazard,
    Husbandry.Journal.DepartureKind? Departure,
    DateOnly? LeftOn
)
{
    public static StockLine Of(Glance g) =>
        new(
            g.StockId,
            g.Where.Place,
            g.Who.Name,
            g.Who.Species,
            g.Who.GroupOne,
            g.Who.Sex,
            g.Who.Kind,
            g.Who.Count,
            g.Who.Stage,
            g.Who.Instar,
            g.Waits.Phase,
            PhaseMark.Of(g.Waits.Phase).Word,
            g.Waits.Shutters,
            g.Who.Came,
            g.Waits.LastMolt,
            g.Care.LastMeal,
            g.Waits.Band,
            g.Who.Tags,
            g.House.Fit is FitWord.Misfits or FitWord.Outgrows ? g.House.FitText : "",
            g.Who.Hazard,
            g.Where.Departure,
            g.Where.LeftOn
        );
}

/// <summary>A stretch of the stock list.</summary>
/// <param name="Tonight">Tonight.</param>
/// <param name="Total">Enclosures that match.</param>
/// <param name="Animals">Animals in them.</param>
/// <param name="From">Number of the first line, from 0.</param>
/// <param name="Lines">The lines.</param>
/// <param name="Choices">What can be filtered by.</param>
public sealed record StockStretch(
    DateOnly Tonight,
    int Total,
    int Animals,
    int From,
    IReadOnlyList<StockLine> Lines,
    StockChoices Choices
);

/// <summary>What the stock can be filtered by.</summary>
public sealed record StockChoices(
    IReadOnlyList<string> Species,
    IReadOnlyList<string> Tags,
    IReadOnlyList<string> Racks,
    IReadOnlyList<string> Groups
);

/// <summary>By what the stock list is ordered.</summary>
public enum StockOrder
{
    /// <summary>Place, rack by rack.</summary>
    Place,

    /// <summary>Name.</summary>
    Name,

    /// <summary>Species.</summary>
    Species,

    /// <summary>Stage of life, the youngest first.</summary>
    Stage,

    /// <summary>The most hushed first.</summary>
    Phase,

    /// <summary>Last meal, the longest ago first.</summary>
    LastMeal,

    /// <summary>Last molt, the longest ago first.</summary>
    LastMolt,

    /// <summary>What is awaited soonest first.</summary>
    Awaited,

    /// <summary>The latest to come first.</summary>
    Came,
}

/// <summary>Filters and orders the stock.</summary>
/// <param name="Here">Those in the room, or those that left.</param>
/// <param name="Find">Code, name, species or tag, mistakes forgiven.</param>
/// <param name="Group">Group in a word.</param>
/// <param name="Species">Scientific name.</param>
/// <param name="Tag">Tag.</param>
/// <param name="Rack">Rack.</param>
/// <param name="Stage">Stage of life.</param>
/// <param name="Sex">Sex.</param>
/// <param name="Show">hushed, misfits, hazard, new, unmeasured, undated: whose last molt is not known, or changed: with rules of their own.</param>
/// <param name="AwaitedBefore">Those of which something is likely by a day.</param>
/// <param name="NewSince">Those that came on a day or later.</param>
/// <param name="Order">Order.</param>
/// <param name="Back">Whether the order is turned round.</param>
public sealed record StockQuery(
    [property: FromQuery(Name = "here")] bool Here = true,
    [property: FromQuery(Name = "find")] string? Find = null,
    [property: FromQuery(Name = "group")] string? Group = null,
    [property: FromQuery(Name = "species")] string? Species = null,
    [property: FromQuery(Name = "tag")] string? Tag = null,
    [property: FromQuery(Name = "rack")] string? Rack = null,
    [property: FromQuery(Name = "stage")] string? Stage = null,
    [property: FromQuery(Name = "sex")] string? Sex = null,
    [property: FromQuery(Name = "show")] string? Show = null,
    [property: FromQuery(Name = "awaitedBefore")] DateOnly? AwaitedBefore = null,
    [property: FromQuery(Name = "newSince")] DateOnly? NewSince = null,
    [property: FromQuery(Name = "order")] string Order = "place",
    [property: FromQuery(Name = "back")] bool Back = false
)
{
    /// <summary>What shows those with rules of their own.</summary>
    public const string Changed = "changed";

    private const int LongestFind = 80;
    private static readonly string[] Shows = ["hushed", "misfits", "hazard", "new", "unmeasured", "undated", Changed];

    /// <summary>What cannot be read of it; none when all can.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (Find?.Length > LongestFind)
        {
            yield return new Problem("find", $"At most {LongestFind} characters.");
        }

        if (Show is { Length: > 0 } && !Shows.Contains(Show))
        {
            yield return new Problem("show", $"Must be one of {string.Join(", ", Shows)}, or left out.");
        }

        if (!IsOne<StockOrder>(Order))
        {
            yield return new Problem("order", $"Must be one of {Names<StockOrder>()}.");
        }

        if (Stage is { Length: > 0 } && !IsOne<Stage>(Stage))
        {
            yield return new Problem("stage", $"Must be one of {Names<Stage>()}, or left out.");
        }

        if (Sex is { Length: > 0 } && !IsOne<Sex>(Sex))
        {
            yield return new Problem("sex", $"Must be one of {Names<Sex>()}, or left out.");
        }
    }

    private static bool IsOne<T>(string text)
        where T : struct, Enum => Enum.GetNames<T>().Contains(text, StringComparer.OrdinalIgnoreCase);

    private static string Names<T>()
        where T : struct, Enum => string.Join(", ", Enum.GetNames<T>().Select(JsonNamingPolicy.CamelCase.ConvertName));
}

/// <summary>
/// Filtered and ordered lists, kept as long as the index does not change, so that a list is put in order once and not
/// again for every stretch of it that is scrolled to.
/// </summary>
public sealed class StockLists
{
    private const int KeptLists = 16;

    private readonly Lock door = new();
    private readonly Dictionary<StockQuery, IReadOnlyList<Glance>> lists = [];
    private (StockIndex Index, long Version, StockFinder Here, StockChoices Choices)? words;

    /// <summary>All that match, in order.</summary>
    public IReadOnlyList<Glance> Of(StockIndex index, StockQuery query)
    {
        lock (door)
        {
            KeepUp(index);
            if (lists.TryGetValue(query, out var kept))
            {
                return kept;
            }

            if (lists.Count >= KeptLists)
            {
                lists.Clear();
            }

            return lists[query] = List(index, query);
        }
    }

    /// <summary>What can be filtered by.</summary>
    public StockChoices ChoicesOf(StockIndex index)
    {
        lock (door)
        {
            KeepUp(index);
            return words!.Value.Choices;
        }
    }

    private void KeepUp(StockIndex index)
    {
        if (words is { } w && w.Index == index && w.Version == index.Version)
        {
            return;
        }

        lists.Clear();
        var here = index.Here;
        words = (
            index,
            index.Version,
            new StockFinder(here),
            new StockChoices(
                [.. here.Select(g => g.Who.Species).Distinct().Order(StringComparer.Ordinal)],
                [.. here.SelectMany(g => g.Who.Tags).Distinct().Order(StringComparer.OrdinalIgnoreCase)],
                [.. here.Select(g => g.Where.Place.Rack).Distinct()],
                [.. here.Select(g => g.Who.GroupOne).Distinct().Order(StringComparer.Ordinal)]
            )
        );
    }

    private IReadOnlyList<Glance> List(StockIndex index, StockQuery query)
    {
        var find = query.Find is { Length: > 0 } asked ? asked : null;
        var all =
            !query.Here ? (find is null ? index.Gone : new StockFinder(index.Gone).Find(find))
            : find is null ? index.Here
            : words!.Value.Here.Find(find);
        var some = all.Where(g => Matches(g, query));
        // What was asked for by words stays in the order of how well it was met, unless another order is asked for.
        var ordered = Ordered(some, query, find is not null);
        return query.Back ? [.. ordered.Reverse()] : [.. ordered];
    }

    private static IEnumerable<Glance> Ordered(IEnumerable<Glance> some, StockQuery query, bool found) =>
        Enum.Parse<StockOrder>(query.Order, ignoreCase: true) switch
        {
            StockOrder.Name => some.OrderBy(g => g.Who.Name, StringComparer.OrdinalIgnoreCase)
                .ThenBy(g => g.Where.Place),
            StockOrder.Species => some.OrderBy(g => g.Who.Species, StringComparer.Ordinal).ThenBy(g => g.Where.Place),
            StockOrder.Stage => some.OrderBy(g => g.Who.Stage).ThenBy(g => g.Where.Place),
            StockOrder.Phase => some.OrderByDescending(g => g.Waits.Shutters).ThenBy(g => g.Where.Place),
            StockOrder.LastMeal => some.OrderBy(g => g.Care.LastMeal ?? DateOnly.MinValue).ThenBy(g => g.Where.Place),
            StockOrder.LastMolt => some.OrderBy(g => g.Waits.LastMolt ?? DateOnly.MinValue).ThenBy(g => g.Where.Place),
            StockOrder.Awaited => some.OrderBy(g => g.Waits.Band?.Likely ?? DateOnly.MaxValue)
                .ThenBy(g => g.Where.Place),
            StockOrder.Came => some.OrderByDescending(g => g.Who.Came).ThenBy(g => g.Where.Place),
            _ => found || !query.Here ? some : some.OrderBy(g => g.Where.Place),
        };

    private static bool Matches(Glance g, StockQuery query) =>
        (query.Group is null || g.Who.GroupOne == query.Group)
        && (query.Species is null || g.Who.Species == query.Species)
        && (query.Tag is null || g.Who.Tags.Contains(query.Tag))
        && (query.Rack is null || g.Where.Place.Rack == query.Rack)
        && (query.Stage is null || g.Who.Stage.ToString().Equals(query.Stage, StringComparison.OrdinalIgnoreCase))
        && (query.Sex is null || g.Who.Sex.ToString().Equals(query.Sex, StringComparison.OrdinalIgnoreCase))
        && (query.AwaitedBefore is not { } before || g.Waits.Band?.Likely <= before)
        && (query.NewSince is not { } since || g.Who.Came >= since)
        && query.Show switch
        {
            "hushed" => g.IsHushed,
            "misfits" => g.House.Fit is FitWord.Misfits or FitWord.Outgrows,
            "hazard" => g.Who.Hazard is not null,
            "new" => g.Where.Quarantine is not null,
            "unmeasured" => g.House.Enclosure is null,
            "undated" => g.IsMoltUnknown,
            _ => true,
        };
}
