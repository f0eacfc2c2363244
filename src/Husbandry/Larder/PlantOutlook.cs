using System.Globalization;
using Husbandry.Plants;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Larder;

/// <summary>Larvae, or eggs that will be, that eat a plant.</summary>
/// <param name="StockId">Which.</param>
/// <param name="Name">Their name.</param>
/// <param name="Place">Where they stand.</param>
/// <param name="Plant">The plant they are fed with, or are best begun on.</param>
/// <param name="IsOnRecord">Whether that is on record, rather than the first that the rulebook names.</param>
/// <param name="Leaf">Soft or woody leaf.</param>
/// <param name="GramsByDay">Leaf for each night from tonight on, g.</param>
/// <param name="ReadyOn">Of eggs: night by which leaf must be there.</param>
public sealed record LeafEater(
    Guid StockId,
    string Name,
    Place Place,
    string Plant,
    bool IsOnRecord,
    LeafKind Leaf,
    IReadOnlyList<double> GramsByDay,
    DateOnly? ReadyOn
)
{
    /// <summary>What an animal or brood eats of leaf; none where it eats none, or nobody knows how much.</summary>
    public static LeafEater? Of(Judgement j)
    {
        ArgumentNullException.ThrowIfNull(j);
        var s = j.Subject;
        var hatch = j.Waits.FirstOrDefault(w => w.Value?.Vigil == VigilKind.Hatching)?.Value;
        return LeafNeed.Of(s, j.Stage.Value, hatch) is { Value: var need }
            ? new LeafEater(
                s.Standing.StockId,
                s.Standing.Details.Nickname,
                s.Place,
                need.Host,
                need.IsHostOnRecord,
                s.Profile.Leaf?.Value ?? LeafKind.Woody,
                need.GramsByDay,
                need.ReadyOn
            )
            : null;
    }
}

/// <summary>One food plant: how much of it is there, how much is going to be eaten, and when it runs short.</summary>
/// <param name="Plant">Its name.</param>
/// <param name="Grams">Leaf there tonight, g.</param>
/// <param name="GrowsGPerWeek">Leaf that its pots grow in a week, g.</param>
/// <param name="Pots">Pots of it.</param>
/// <param name="HasSite">Whether a place outside is known.</param>
/// <param name="Eaters">Who eats it.</param>
/// <param name="GramsByDay">Leaf that is eaten of it night by night, g.</param>
/// <param name="LeftByDay">Leaf that is left after each night, g.</param>
/// <param name="ShortOn">First night on which it does not suffice; none when it does, or is cut outside.</param>
/// <param name="PotsShort">As many full pots are lacking at the worst.</param>
/// <param name="BuyBy">Last night on which a pot can be bought in time.</param>
/// <param name="SowBy">Last night on which it can be sown in time; none when that is over.</param>
/// <param name="CutGrams">Leaf to be cut outside for the nights that cut leaf keeps, g; 0 where none is lacking or no place is known.</param>
/// <param name="CutOn">Night by which that is cut; none likewise.</param>
/// <param name="ReadyOn">Night by which the first of it must be there, where only eggs wait for it.</param>
public sealed record PlantOutlook(
    string Plant,
    double Grams,
    double GrowsGPerWeek,
    int Pots,
    bool HasSite,
    IReadOnlyList<LeafEater> Eaters,
    IReadOnlyList<double> GramsByDay,
    IReadOnlyList<double> LeftByDay,
    DateOnly? ShortOn,
    int PotsShort,
    DateOnly? BuyBy,
    DateOnly? SowBy,
    double CutGrams,
    DateOnly? CutOn,
    DateOnly? ReadyOn
)
{
    private const double Crumb = 0.05;

    /// <summary>Every plant that somebody eats or that is there, the first to run short first.</summary>
    /// <param name="eaters">Larvae and eggs.</param>
    /// <param name="plants">Plants that are there.</param>
    /// <param name="room">Rules and tonight.</param>
    public static IReadOnlyList<Answer<PlantOutlook>> Of(
        IEnumerable<LeafEater> eaters,
        IEnumerable<PantryPlant> plants,
        Room room
    )
    {
        static string Key(string name) => name.Trim().ToUpperInvariant();
        var there = plants.Where(p => p.IsThere).ToLookup(p => Key(p.Plant), StringComparer.Ordinal);
        var eating = eaters.ToLookup(e => Key(e.Plant), StringComparer.Ordinal);
        return
        [
            .. there
                .Select(g => g.Key)
                .Union(eating.Select(g => g.Key), StringComparer.Ordinal)
                .Select(key => One([.. eating[key]], [.. there[key]], room))
                .OrderBy(a => a.Value.ShortOn ?? DateOnly.MaxValue)
                .ThenByDescending(a => a.Value.GramsByDay.Sum())
                .ThenBy(a => a.Value.Plant, StringComparer.Ordinal),
        ];
    }

    private static Answer<PlantOutlook> One(List<LeafEater> eaters, List<PantryPlant> plants, Room room)
    {
        var rules = room.Rules.Room.Plants;
        var nights = rules.DaysAhead.Value;
        var name = plants.Count > 0 ? plants[0].Plant : eaters[0].Plant;
        double[] need =
        [
            .. Enumerable.Range(0, nights).Select(d => eaters.Sum(e => e.GramsByDay.ElementAtOrDefault(d))),
        ];
        var (left, lacking) = Walk(need, plants, room, rules);
        var site = plants.Any(p => p.Form == PlantForm.Site);
        var first = Array.FindIndex(lacking, g => g > Crumb);
        var leaf = plants.Count > 0 ? plants[0].Leaf : eaters[0].Leaf;
        var keeps = (int)PantryPlant.Keeps(leaf, rules).Value;
        var cut = site && first >= 0 ? lacking.Skip(first).Take(keeps).Sum() : 0;
        DateOnly? shortOn = first >= 0 && !site ? room.Tonight.AddDays(first) : null;
        // A week's lack is what the pots must give together; they stand there for all of it.
        var worst = shortOn is null ? 0 : Enumerable.Range(0, nights).Max(d => lacking.Skip(d).Take(7).Sum());
        var pot = rules.PotGrams.Value;
        var outlook = new PlantOutlook(
            name,
            plants.Sum(p => p.GramsOn(room.Now, rules)),
            plants.Sum(p => p.Regrowth(rules)),
            plants.Count(p => p.Form == PlantForm.Pot),
            site,
            eaters,
            need,
            left,
            shortOn,
            worst > 0 ? (int)Math.Ceiling(worst / (pot * (1 + rules.PotRegrowthShare.Value))) : 0,
            shortOn?.AddDays(-(int)rules.PotBuyDays.Value) is { } buy
                ? (buy < room.Tonight ? room.Tonight : buy)
                : null,
            shortOn?.AddDays(-(int)rules.PotSowDays.Value) is { } sow && sow >= room.Tonight ? sow : null,
            cut,
            cut > 0 ? room.Tonight.AddDays(first) : null,
            eaters.Count > 0 && eaters.All(e => e.ReadyOn is not null) ? eaters.Min(e => e.ReadyOn) : null
        );
        return new Answer<PlantOutlook>(outlook, Say(outlook, room), Why(outlook, leaf, plants, room));
    }

    /// <summary>Night by night: what grows, what has gone off, what is eaten; cut leaf first, the oldest of it before the rest.</summary>
    private static (double[] Left, double[] Lacking) Walk(
        double[] need,
        List<PantryPlant> plants,
        Room room,
        RoomPlantRules rules
    )
    {
        var (left, lacking) = (new double[need.Length], new double[need.Length]);
        var order = plants
            .Where(p => p.Form != PlantForm.Site)
            .OrderBy(p => p.KeepsUntil(rules) ?? DateTimeOffset.MaxValue)
            .ToList();
        for (var d = 0; d < need.Length; d++)
        {
            var at = room.Now.AddDays(d);
            var wanted = need[d];
            for (var k = 0; k < order.Count && wanted > 0; k++)
            {
                var taken = Math.Min(wanted, order[k].GramsOn(at, rules));
                order[k] = taken > 0 ? order[k].After(taken, at, rules) : order[k];
                wanted -= taken;
            }

            (left[d], lacking[d]) = (order.Sum(p => p.GramsOn(at, rules)), wanted);
        }

        return (left, lacking);
    }

    private static string Say(PlantOutlook o, Room room)
    {
        var words = room.Wording;
        var there =
            o.Pots == 0 && o.Grams < 1
                ? o.HasSite
                    ? "cut outside"
                    : "none there"
                : $"{Grams_(o.Grams)} there{(o.Pots > 0 ? $" on {o.Pots} pot{(o.Pots == 1 ? "" : "s")}" : "")}";
        var name = o.Plant.ToUpperFirst();
        if (o.Eaters.Count == 0)
        {
            return $"{name}: {there}, and nobody eats it now.";
        }

        var ready = o.ReadyOn is { } by
            ? $" It must be there {(by <= room.Tonight ? "now" : $"by {words.Date(by)}")}, before the first hatch."
            : "";
        return o switch
        {
            { ShortOn: { } night } =>
                $"{name}: {there}; {(night <= room.Tonight ? "too little already" : $"enough until {words.Date(night.AddDays(-1))}")}, then about {Pots_(o.PotsShort)} short: buy by {words.Date(o.BuyBy!.Value)}{(o.SowBy is { } sow ? $", or sow by {words.Date(sow)}" : "")}.{ready}",
            { CutGrams: > 0 } =>
                $"{name}: {there}; cut about {Grams_(o.CutGrams)} outside {(o.CutOn <= room.Tonight ? "now" : $"by {words.Date(o.CutOn!.Value)}")}, wash it and keep it cold.{ready}",
            _ => $"{name}: {there}, enough for the weeks ahead.{ready}",
        };
    }

    private static string Pots_(int pots) =>
        pots == 1 ? "one pot" : $"{pots.ToString(CultureInfo.InvariantCulture)} pots";

    private static string Grams_(double grams) =>
        grams < 1 ? "less than 1 g"
        : grams < 1000 ? $"{Wording.Plain(Math.Round(grams))} g"
        : $"{Wording.Plain(Math.Round(grams / 1000, 1))} kg";

    private static List<Reason> Why(PlantOutlook o, LeafKind leaf, List<PantryPlant> plants, Room room)
    {
        var rules = room.Rules.Room.Plants;
        var why = new List<Reason>
        {
            Reason.FromRecord(
                "Eaten by",
                o.Eaters.Count == 0
                    ? "Nobody now."
                    : string.Join(
                        "; ",
                        o.Eaters.Select(e =>
                            $"{e.Name} {Grams_(e.GramsByDay.Take(7).Sum())} within a week{(e.IsOnRecord ? "" : ", as the rulebook's first plant")}"
                        )
                    ) + ".",
                "record.hostChosen"
            ),
        };
        if (plants.Any(p => p.Form == PlantForm.Pot))
        {
            why.Add(
                rules.PotRegrowthShare.Because(
                    "Grows",
                    "room.potRegrowthShare",
                    $"{Grams_(o.GrowsGPerWeek)} a week on all pots: your own figure, else {Wording.Plain(100 * rules.PotRegrowthShare.Value)} in 100 of a full pot, and never beyond full."
                )
            );
        }

        if (plants.Any(p => p.Form == PlantForm.Cut) || o.HasSite)
        {
            var keeps = PantryPlant.Keeps(leaf, rules);
            why.Add(
                keeps.Because(
                    "Cut leaf",
                    leaf == LeafKind.Soft ? "room.cutKeepsSoft" : "room.cutKeepsWoody",
                    $"Washed, bagged and cold it keeps {Wording.Days(keeps.Value)}; washed again before it is served. Unsprayed, and not from the roadside."
                )
            );
        }

        if (o.ShortOn is not null)
        {
            why.Add(
                rules.PotGrams.Because(
                    "A pot",
                    "room.potGrams",
                    $"A full pot bears about {Wording.Plain(rules.PotGrams.Value)} g of leaf: {Pots_(o.PotsShort)} for the week that lacks most."
                )
            );
            why.Add(
                rules.PotBuyDays.Because(
                    "In time",
                    "room.potBuyDays",
                    $"A bought pot is unsprayed and settled after {Wording.Days(rules.PotBuyDays.Value)}; a sown one bears after {Wording.Days(rules.PotSowDays.Value)}."
                )
            );
        }

        return why;
    }
}
