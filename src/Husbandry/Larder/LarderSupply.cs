using Husbandry.Climate;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Larder;

/// <summary>What is there, what grows and what is on its way, by nights.</summary>
internal sealed class LarderSupply(LarderStanding larder, IReadOnlyList<FoodFed> fed, Room room, int nights)
{
    private readonly ILookup<FoodKey, FoodFed> fedByFood = fed.ToLookup(f => f.Food);

    /// <summary>Warm days that one day here is worth to a culture.</summary>
    public double Pace { get; } = Emergence.Pace(room.Rules.Larder, room.RecentC);

    /// <summary>Nights that are looked at.</summary>
    public int Nights => nights;

    /// <summary>A flow for every food that is there, grows or is on its way.</summary>
    public Dictionary<FoodKey, FoodFlow> Flows()
    {
        var flows = new Dictionary<FoodKey, FoodFlow>();
        foreach (var food in larder.Foods.Keys)
        {
            _ = FlowOf(flows, food);
        }

        foreach (var culture in larder.StandingCultures)
        {
            if (room.Rules.Feeder(culture.FeederId) is { Culture: { } rules } feeder)
            {
                Grow(FlowOf(flows, FoodOf(feeder)), culture, rules, 0);
            }
        }

        foreach (var order in larder.Orders.Where(o => o.IsOpen))
        {
            foreach (var line in order.Lines.Where(l => l.SizeClassId.Length > 0))
            {
                Expect(flows, line, Math.Max(1, order.PromisedOn.DayNumber - room.Tonight.DayNumber));
            }
        }

        return flows;
    }

    /// <summary>The flow of a food, made with what is on hand when there was none.</summary>
    public FoodFlow FlowOf(Dictionary<FoodKey, FoodFlow> flows, FoodKey food)
    {
        if (!flows.TryGetValue(food, out var flow))
        {
            flow = new FoodFlow(nights) { OnHand = OnHand(food) };
            flows[food] = flow;
        }

        return flow;
    }

    /// <summary>Night of the last count; none when it was never counted.</summary>
    public DateOnly? CountedOn(FoodKey food) =>
        larder.Foods.GetValueOrDefault(food)?.LastOrDefault(c => c.IsCount) is { } count
            ? room.Clock.NightOf(count.At)
            : null;

    /// <summary>Adds a parcel that is to arrive so many nights from now, late at worst.</summary>
    public void Deliver(FoodFlow flow, FeederRules feeder, double amount, int ahead)
    {
        var lead = room.Rules.Larder.Lead.Value;
        var late = ahead + (int)Math.Ceiling(lead.P90 - lead.P50);
        if (feeder is { BoughtAsPots: true, Culture: { } culture })
        {
            Pots(flow.Coming, culture, amount, ahead, 1);
            Pots(flow.ComingLow, culture, amount, late, room.Rules.Larder.LeastYieldShare.Value);
            return;
        }

        if (ahead < nights)
        {
            flow.Coming[ahead] += amount;
        }

        if (late < nights)
        {
            flow.ComingLow[late] += amount;
        }
    }

    /// <summary>Adds what may be taken from own tubs, from tonight on.</summary>
    public void Harvest(FoodFlow flow, double perDay)
    {
        flow.FromTubsADay += perDay;
        for (var t = 0; t < nights; t++)
        {
            flow.Coming[t] += perDay;
            flow.ComingLow[t] += perDay * room.Rules.Larder.LeastYieldShare.Value;
        }
    }

    /// <summary>Adds a culture that is started so many nights from now.</summary>
    public void Start(FoodFlow flow, CultureRules rules, int pots, int ahead)
    {
        var culture = NewCulture(pots, ahead, 0);
        Grow(flow, culture, rules, ahead);
    }

    /// <summary>What one pot started or arriving then gives by a night, if it is a poor one.</summary>
    public double PotGives(CultureRules rules, int ahead, double age, int by) =>
        Emergence.Between(NewCulture(1, ahead, age), rules, room.Now.AddDays(ahead), room.Now.AddDays(by), Pace)
        * room.Rules.Larder.LeastYieldShare.Value;

    /// <summary>The food that a culture gives: the smallest class.</summary>
    public static FoodKey FoodOf(FeederRules feeder) => new(feeder.Id, feeder.Classes[0].Id);

    private Culture NewCulture(int pots, int ahead, double age) =>
        new(Guid.Empty, "", pots, room.Now.AddDays(ahead), age, [], null, null, null);

    private void Grow(FoodFlow flow, Culture culture, CultureRules rules, int from)
    {
        if (culture.IsCold)
        {
            return;
        }

        for (var t = from; t < nights; t++)
        {
            var many = Emergence.Between(culture, rules, room.Now.AddDays(t), room.Now.AddDays(t + 1), Pace);
            flow.Coming[t] += many;
            flow.ComingLow[t] += many * room.Rules.Larder.LeastYieldShare.Value;
        }
    }

    private void Pots(double[] coming, CultureRules rules, double pots, int ahead, double share)
    {
        var culture = NewCulture((int)pots, ahead, rules.ArrivesAtDays.Value);
        for (var t = ahead; t < nights; t++)
        {
            coming[t] += Emergence.Between(culture, rules, room.Now.AddDays(t), room.Now.AddDays(t + 1), Pace) * share;
        }
    }

    private void Expect(Dictionary<FoodKey, FoodFlow> flows, OrderLine line, int ahead)
    {
        if (room.Rules.Feeder(line.ItemId) is { } feeder)
        {
            Deliver(FlowOf(flows, new FoodKey(line.ItemId, line.SizeClassId)), feeder, line.Quantity, ahead);
        }
    }

    /// <summary>The last count, with what came since and less what was fed and, by its half-life, died.</summary>
    private double OnHand(FoodKey food)
    {
        var changes = (larder.Foods.GetValueOrDefault(food) ?? [])
            .Concat(Hatched(food))
            .Concat(fedByFood[food].Select(f => new StockChange(f.At, false, -f.Quantity)))
            .Where(c => c.At <= room.Now)
            .OrderBy(c => c.At);
        var halfLife = room.Rules.Feeder(food.FeederId)?.KeepsDays.Value ?? double.PositiveInfinity;
        var (stock, at) = (0.0, DateTimeOffset.MinValue);
        foreach (var change in changes)
        {
            stock = change.IsCount ? change.Quantity : Math.Max(0, Keep(stock, at, change.At) + change.Quantity);
            at = change.At;
        }

        return at == DateTimeOffset.MinValue ? 0 : Keep(stock, at, room.Now);

        double Keep(double quantity, DateTimeOffset from, DateTimeOffset to) =>
            quantity * Math.Pow(0.5, (to - from).TotalDays / halfLife);
    }

    /// <summary>What cultures have given since the last count, day by day.</summary>
    private IEnumerable<StockChange> Hatched(FoodKey food)
    {
        if (room.Rules.Feeder(food.FeederId) is not { Culture: { } rules } feeder || FoodOf(feeder) != food)
        {
            yield break;
        }

        var counted = larder.Foods.GetValueOrDefault(food)?.LastOrDefault(c => c.IsCount)?.At;
        foreach (var culture in larder.Cultures.Where(c => c.FeederId == food.FeederId && !c.IsCold))
        {
            var from = counted is { } at && at > culture.StartedAt ? at : culture.StartedAt;
            var to = culture.EndedAt is { } ended && ended < room.Now ? ended : room.Now;
            for (var day = from; day < to; day = day.AddDays(1))
            {
                var until = day.AddDays(1) < to ? day.AddDays(1) : to;
                var many = Emergence.Between(culture, rules, day, until, Pace);
                if (many > 0)
                {
                    yield return new StockChange(until, false, many);
                }
            }
        }
    }
}
