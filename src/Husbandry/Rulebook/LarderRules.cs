namespace Husbandry.Rulebook;

/// <summary>Rules for planning food and goods.</summary>
/// <param name="Weeks">Weeks that are planned ahead.</param>
/// <param name="MarginDays">Days by which food must be there before it is needed.</param>
/// <param name="GlutWeeks">Weeks of demand in stock above which there is too much.</param>
/// <param name="OrderForDays">Days that one order is to last.</param>
/// <param name="Lead">Days from order to arrival.</param>
/// <param name="FastShareOfPremolt">Last share of premolt in which nothing is eaten.</param>
/// <param name="LeastYieldShare">Share of its usual yield that a poor culture gives.</param>
/// <param name="CultureC">Temperature at which cultures are timed, °C.</param>
/// <param name="CultureQ10">Factor on their pace per 10 °C.</param>
/// <param name="ChillMinutes">Minutes for which flies are chilled before they are tipped out.</param>
/// <param name="ChillLookMinutes">Minutes between looks at them.</param>
/// <param name="QuarantineNights">Nights for which a pot with mites is kept apart and handled last.</param>
/// <param name="MinutesPerPot">Minutes that starting, fetching or throwing away one pot takes.</param>
/// <param name="Packs">Animals in a tub as bought, by their length.</param>
/// <param name="Goods">What is used up besides food.</param>
public sealed record LarderRules(
    Rule<double> Weeks,
    Rule<double> MarginDays,
    Rule<double> GlutWeeks,
    Rule<double> OrderForDays,
    Rule<WaitPrior> Lead,
    Rule<double> FastShareOfPremolt,
    Rule<double> LeastYieldShare,
    Rule<double> CultureC,
    Rule<double> CultureQ10,
    Rule<Range> ChillMinutes,
    Rule<double> ChillLookMinutes,
    Rule<double> QuarantineNights,
    Rule<double> MinutesPerPot,
    IReadOnlyList<PackRules> Packs,
    IReadOnlyList<GoodsRules> Goods
)
{
    /// <summary>A kind of goods by id.</summary>
    public GoodsRules? GoodsOf(string id) => Goods.FirstOrDefault(g => g.Id == id);

    /// <summary>Animals in a tub of a size class; 1 for food that is no animal.</summary>
    public int PackOf(FeederClass size) =>
        size.LengthMm is { } length
            ? (int)Packs.Where(p => length.Value.Middle >= p.AboveMm).MaxBy(p => p.AboveMm)!.Animals.Value
            : 1;
}

/// <summary>Animals in a tub as bought.</summary>
/// <param name="AboveMm">Holds from this length on.</param>
/// <param name="Animals">Animals.</param>
public sealed record PackRules(double AboveMm, Rule<double> Animals);

/// <summary>Something that is used up: calcium, vials, lining, salt.</summary>
/// <param name="Id">Identifier.</param>
/// <param name="Name">Name.</param>
/// <param name="Unit">What it is counted in.</param>
/// <param name="PerWeek">Used a week for each enclosure of a group.</param>
/// <param name="Pack">How much is in a pack.</param>
public sealed record GoodsRules(
    string Id,
    string Name,
    string Unit,
    IReadOnlyDictionary<string, Rule<double>> PerWeek,
    Rule<double> Pack
);
