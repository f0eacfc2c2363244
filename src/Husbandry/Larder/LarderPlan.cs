using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Larder;

/// <summary>What the larder plan asks for.</summary>
public enum LarderDo
{
    /// <summary>Start a culture.</summary>
    StartCulture,

    /// <summary>Order pots of a culture, or of pupae.</summary>
    OrderPots,

    /// <summary>Order animals or portions.</summary>
    Order,
}

/// <summary>One thing to do so that a food does not run short.</summary>
/// <param name="Do">What.</param>
/// <param name="Food">Of which food.</param>
/// <param name="What">"2 pots of small fruit flies".</param>
/// <param name="Amount">Pots or animals.</param>
/// <param name="By">Last night on which it is in time.</param>
/// <param name="NeededOn">Night on which the food would run short without it.</param>
/// <param name="IsLate">Whether it comes too late to keep that night.</param>
/// <param name="Why">Why, in a sentence.</param>
public sealed record LarderStep(
    LarderDo Do,
    FoodKey Food,
    string What,
    int Amount,
    DateOnly By,
    DateOnly NeededOn,
    bool IsLate,
    string Why
);

/// <summary>Food that was fed: by how many animals the stock fell, and when.</summary>
public sealed record FoodFed(FoodKey Food, DateTimeOffset At, double Quantity);

/// <summary>What will be eaten, what will be there, and what to start or order by when.</summary>
/// <param name="Foods">Every food that is needed or there, the first to run short first.</param>
/// <param name="Steps">What to do, the most urgent first.</param>
/// <param name="Goods">What is used up besides food.</param>
/// <param name="Plants">Food plants of larvae, the first to run short first.</param>
public sealed record LarderPlan(
    IReadOnlyList<FoodOutlook> Foods,
    IReadOnlyList<LarderStep> Steps,
    IReadOnlyList<GoodsOutlook> Goods,
    IReadOnlyList<Answer<PlantOutlook>> Plants
)
{
    /// <summary>Standard normal quantile that one in ten passes.</summary>
    internal const double OneInTen = LogNormalWait.NormalQuantile90;

    /// <summary>Plans the weeks ahead.</summary>
    /// <param name="needs">Needs of every enclosure, as <see cref="FoodNeed.Of"/> gives them.</param>
    /// <param name="larder">What is there, growing and on its way.</param>
    /// <param name="fed">What was fed since the foods were counted.</param>
    /// <param name="enclosures">Enclosures by group, for what is used up besides food.</param>
    /// <param name="eaters">Larvae and eggs that need leaf.</param>
    /// <param name="room">Rules, climate and tonight.</param>
    /// <param name="fromTubs">Animals that own tubs give a day, by food; none when left out.</param>
    /// <param name="byRecord">Goods whose use is on record; none when left out.</param>
    public static LarderPlan Of(
        IEnumerable<FoodNeed> needs,
        LarderStanding larder,
        IReadOnlyList<FoodFed> fed,
        IReadOnlyDictionary<string, int> enclosures,
        IReadOnlyList<LeafEater> eaters,
        Room room,
        IReadOnlyDictionary<FoodKey, double>? fromTubs = null,
        IReadOnlyList<GoodsUsed>? byRecord = null
    )
    {
        var nights = NightsAhead(room.Rules);
        var supply = new LarderSupply(larder, fed, room, nights);
        var flows = supply.Flows();
        foreach (var (food, perDay) in fromTubs ?? new Dictionary<FoodKey, double>())
        {
            supply.Harvest(supply.FlowOf(flows, food), perDay);
        }

        foreach (var need in needs.Where(n => n.Ahead < nights))
        {
            var flow = supply.FlowOf(flows, need.Food);
            flow.Need[need.Ahead] += need.Amount;
            flow.NeedVariance[need.Ahead] += need.Variance;
        }

        var steps = new List<LarderStep>();
        var foods = new List<FoodOutlook>();
        foreach (var (food, flow) in flows)
        {
            if (room.Rules.Feeder(food.FeederId) is not { } feeder || feeder.Class(food.SizeClassId) is not { } size)
            {
                continue;
            }

            foods.Add(Outlook(food, feeder, size, flow, supply, room));
            if (feeder.From != FeederFrom.Kitchen && larder.WasCounted)
            {
                steps.AddRange(LarderSteps.Of(food, feeder, size, flow, supply, room));
            }
        }

        return new LarderPlan(
            [
                .. foods
                    .OrderBy(f => f.ShortOn ?? DateOnly.MaxValue)
                    .ThenByDescending(f => f.Weeks.Sum(w => w.Demand))
                    .ThenBy(f => f.Name, StringComparer.Ordinal),
            ],
            [.. steps.OrderBy(s => s.By).ThenBy(s => s.NeededOn).ThenBy(s => s.What, StringComparer.Ordinal)],
            GoodsOutlook.Of(larder, enclosures, byRecord ?? [], room),
            PlantOutlook.Of(eaters, larder.Plants, room)
        );
    }

    /// <summary>Nights that are planned.</summary>
    public static int NightsAhead(RuleSet rules) => (int)rules.Larder.Weeks.Value * 7;

    private static FoodOutlook Outlook(
        FoodKey food,
        FeederRules feeder,
        FeederClass size,
        FoodFlow flow,
        LarderSupply supply,
        Room room
    )
    {
        var left = flow.Left(feeder.KeepsDays.Value);
        var (low, shortAt, _) = flow.Low(feeder.KeepsDays.Value);
        var weeks = Enumerable
            .Range(0, flow.Nights / 7)
            .Select(w =>
            {
                var (from, to) = (w * 7, (w * 7) + 7);
                var need = flow.Need[from..to].Sum();
                var band = OneInTen * Math.Sqrt(flow.NeedVariance[from..to].Sum());
                return new FoodWeek(
                    room.Tonight.AddDays(from),
                    need,
                    Math.Max(0, need - band),
                    need + band,
                    flow.Coming[from..to].Sum(),
                    left[to - 1],
                    low[to - 1]
                );
            })
            .ToList();
        return new FoodOutlook(
            food,
            feeder.NameOf(size, many: true),
            flow.OnHand,
            supply.CountedOn(food),
            weeks,
            feeder.From != FeederFrom.Kitchen && shortAt is { } t ? room.Tonight.AddDays(t) : null,
            Glut(flow, left, size, room) is { } g ? room.Tonight.AddDays(g) : null,
            feeder.From,
            LarderReasons.Of(food, feeder, size, flow, supply, room)
        );
    }

    /// <summary>First night on which more than a pack is there and more than will be eaten in some weeks.</summary>
    private static int? Glut(FoodFlow flow, double[] left, FeederClass size, Room room)
    {
        var daily = flow.Need.Average();
        var most = Math.Max(room.Rules.Larder.PackOf(size), daily * room.Rules.Larder.GlutWeeks.Value * 7);
        var at = Array.FindIndex(left, stock => stock > most);
        return at < 0 ? null : at;
    }
}
