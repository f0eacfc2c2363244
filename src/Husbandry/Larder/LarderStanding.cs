using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Larder;

/// <summary>A change of what is there of a food or of goods: set by a count, or more or fewer.</summary>
/// <param name="At">When.</param>
/// <param name="IsCount">Whether <paramref name="Quantity"/> is all there is.</param>
/// <param name="Quantity">How many; negative for fewer.</param>
public sealed record StockChange(DateTimeOffset At, bool IsCount, double Quantity);

/// <summary>A culture or a pot of pupae.</summary>
/// <param name="Id">Id.</param>
/// <param name="FeederId">What it gives.</param>
/// <param name="Pots">Pots.</param>
/// <param name="StartedAt">When it was set up here.</param>
/// <param name="AgeDays">Days it was along then, at the usual warmth.</param>
/// <param name="Cold">Stays in the cold; the last may last.</param>
/// <param name="MitesAt">When mites were seen.</param>
/// <param name="EndedAt">When it was thrown away.</param>
/// <param name="End">Why.</param>
public sealed record Culture(
    Guid Id,
    string FeederId,
    int Pots,
    DateTimeOffset StartedAt,
    double AgeDays,
    IReadOnlyList<ColdStay> Cold,
    DateTimeOffset? MitesAt,
    DateTimeOffset? EndedAt,
    CultureEnd? End
)
{
    /// <summary>Whether it stands in the cold now.</summary>
    public bool IsCold => Cold.Count > 0 && Cold[^1].To is null;

    /// <summary>The night on which it was begun, here or wherever it came from.</summary>
    public DateOnly BegunOn(NightClock clock) => clock.NightOf(StartedAt).AddDays(-(int)Math.Round(AgeDays));

    /// <summary>The night on which it would have been begun, had it never stood in the cold: by it a culture is told to others.</summary>
    /// <param name="clock">The room's clock.</param>
    /// <param name="now">Until when the cold is counted.</param>
    public DateOnly WarmSince(NightClock clock, DateTimeOffset now) =>
        BegunOn(clock).AddDays((int)Math.Round(Emergence.ColdDays(this, now)));
}

/// <summary>A stay in the cold.</summary>
public sealed record ColdStay(DateTimeOffset From, DateTimeOffset? To);

/// <summary>An order and how far it has come.</summary>
public sealed record Order(
    Guid Id,
    IReadOnlyList<OrderLine> Lines,
    DateTimeOffset PlacedAt,
    DateOnly PromisedOn,
    IReadOnlyList<OrderLine>? Arrived,
    DateTimeOffset? ClosedAt
)
{
    /// <summary>Whether it is still awaited.</summary>
    public bool IsOpen => ClosedAt is null;
}

/// <summary>The larder as its journal tells it.</summary>
/// <param name="Foods">Changes of each food, in order.</param>
/// <param name="Cultures">Every culture there was.</param>
/// <param name="Orders">Every order there was.</param>
/// <param name="Goods">Changes of each kind of goods, in order.</param>
/// <param name="Plants">Every food plant there was.</param>
public sealed record LarderStanding(
    IReadOnlyDictionary<FoodKey, IReadOnlyList<StockChange>> Foods,
    IReadOnlyList<Culture> Cultures,
    IReadOnlyList<Order> Orders,
    IReadOnlyDictionary<string, IReadOnlyList<StockChange>> Goods,
    IReadOnlyList<PantryPlant> Plants
)
{
    /// <summary>Whether anybody ever counted or set up anything in it: before that it asks for nothing.</summary>
    public bool WasCounted => Cultures.Count > 0 || Foods.Values.Any(changes => changes.Any(c => c.IsCount));

    /// <summary>An empty larder.</summary>
    public static LarderStanding Empty { get; } =
        new(
            new Dictionary<FoodKey, IReadOnlyList<StockChange>>(),
            [],
            [],
            new Dictionary<string, IReadOnlyList<StockChange>>(),
            []
        );

    /// <summary>Folds the whole journal of the larder; what was taken back counts for nothing.</summary>
    /// <param name="entries">All entries, in any order.</param>
    /// <param name="rules">Rules, for how old a bought pot is.</param>
    public static LarderStanding Fold(IEnumerable<LarderEntry> entries, RuleSet rules)
    {
        var all = entries.OrderBy(e => e.At).ThenBy(e => e.Sequence).ToList();
        var gone = all.Select(e => (e.Act as LarderWithdrawn)?.EntryId).OfType<Guid>().ToHashSet();
        return all.Where(e => !gone.Contains(e.Id)).Aggregate(Empty, (larder, e) => larder.After(e, rules));
    }

    /// <summary>Foods that this room keeps: counted, grown or ordered since an instant.</summary>
    public IReadOnlySet<FoodKey> KeptSince(DateTimeOffset since, RuleSet rules) =>
        Foods
            .Where(f => f.Value[^1].At >= since)
            .Select(f => f.Key)
            .Concat(
                StandingCultures
                    .Select(c => rules.Feeder(c.FeederId))
                    .OfType<FeederRules>()
                    .Select(f => new FoodKey(f.Id, f.Classes[0].Id))
            )
            .Concat(
                Orders
                    .Where(o => o.IsOpen)
                    .SelectMany(o => o.Lines)
                    .Where(l => l.SizeClassId.Length > 0)
                    .Select(l => new FoodKey(l.ItemId, l.SizeClassId))
            )
            .ToHashSet();

    /// <summary>Cultures that still stand.</summary>
    public IEnumerable<Culture> StandingCultures => Cultures.Where(c => c.EndedAt is null);

    /// <summary>The larder after one more entry, not before those folded so far.</summary>
    public LarderStanding After(LarderEntry entry, RuleSet rules) =>
        entry.Act switch
        {
            FoodCounted c => With(c.Food, new StockChange(entry.At, true, c.Quantity)),
            FoodGained g => With(g.Food, new StockChange(entry.At, false, g.Quantity)),
            FoodLost l => With(l.Food, new StockChange(entry.At, false, -l.Quantity)),
            CultureStarted s => With(
                new Culture(s.CultureId, s.FeederId, s.Pots, entry.At, s.AgeDays, [], null, null, null)
            ),
            CultureSplit s => Split(s, entry.At),
            CultureChilled c => With(c.CultureId, culture => Chill(culture, c.IntoCold, entry.At)),
            MitesSeen m => With(m.CultureId, culture => culture with { MitesAt = entry.At }),
            CultureEnded e => With(e.CultureId, culture => culture with { EndedAt = entry.At, End = e.End }),
            OrderPlaced o => this with
            {
                Orders = [.. Orders, new Order(o.OrderId, o.Lines, entry.At, o.PromisedOn, null, null)],
            },
            OrderArrived a => Arrive(a, entry.At, rules),
            OrderCancelled c => With(c.OrderId, order => order with { ClosedAt = entry.At }),
            GoodsCounted g => With(g.GoodsId, new StockChange(entry.At, true, g.Quantity)),
            PlantAdded p => With(Added(p, entry.At)),
            PlantSeen p => WithPlant(p.PlantId, plant => plant.Seen(p.Grams, entry.At)),
            PlantCut p => Cut(p, entry.At, rules.Room.Plants),
            PlantWatered p => WithPlant(p.PlantId, plant => plant with { WateredAt = entry.At }),
            PlantEnded p => WithPlant(p.PlantId, plant => plant with { EndedAt = entry.At }),
            LarderWithdrawn => this,
            _ => throw new ArgumentOutOfRangeException(nameof(entry), entry.Act, "No fold for such an entry."),
        };

    private static PantryPlant Added(PlantAdded p, DateTimeOffset at) =>
        new(
            p.PlantId,
            p.Plant.Trim(),
            p.Form,
            p.Leaf,
            at,
            p.Grams,
            at,
            p.Grams,
            p.RegrowthGPerWeek,
            p.WaterEveryDays,
            at,
            p.IsWashed,
            p.Where,
            null
        );

    /// <summary>Leaf taken from a plant; in a bag it is a plant of its own.</summary>
    private LarderStanding Cut(PlantCut cut, DateTimeOffset at, RoomPlantRules rules)
    {
        if (Plants.FirstOrDefault(p => p.Id == cut.PlantId) is not { } plant)
        {
            return this;
        }

        var taken = WithPlant(cut.PlantId, p => p.After(cut.Grams, at, rules));
        return cut.CutId is { } bag
            ? taken.With(
                Added(
                    new PlantAdded(
                        bag,
                        plant.Plant,
                        PlantForm.Cut,
                        plant.Leaf,
                        cut.Grams,
                        IsWashed: cut.IsWashed,
                        Where: plant.Where
                    ),
                    at
                )
            )
            : taken;
    }

    private LarderStanding With(PantryPlant plant) => this with { Plants = [.. Plants, plant] };

    private LarderStanding WithPlant(Guid plantId, Func<PantryPlant, PantryPlant> change) =>
        this with
        {
            Plants = [.. Plants.Select(p => p.Id == plantId ? change(p) : p)],
        };

    private LarderStanding Arrive(OrderArrived arrived, DateTimeOffset at, RuleSet rules)
    {
        var larder = With(arrived.OrderId, order => order with { Arrived = arrived.Lines, ClosedAt = at });
        foreach (var line in arrived.Lines.Where(l => l.Quantity > 0))
        {
            larder =
                line.SizeClassId.Length == 0 ? larder.With(line.ItemId, new StockChange(at, false, line.Quantity))
                : rules.Feeder(line.ItemId) is { BoughtAsPots: true, Culture.ArrivesAtDays.Value: var age }
                    ? larder.With(
                        new Culture(
                            IdOfPots(arrived.OrderId, line.ItemId),
                            line.ItemId,
                            line.Quantity,
                            at,
                            age,
                            [],
                            null,
                            null,
                            null
                        )
                    )
                : larder.With(new FoodKey(line.ItemId, line.SizeClassId), new StockChange(at, false, line.Quantity));
        }

        return larder;
    }

    /// <summary>An id for a pot that came with an order: the same whenever the journal is folded.</summary>
    private static Guid IdOfPots(Guid order, string item)
    {
        var bytes = System.Security.Cryptography.SHA256.HashData([
            .. order.ToByteArray(),
            .. System.Text.Encoding.UTF8.GetBytes(item),
        ]);
        return new Guid(bytes.AsSpan(0, 16));
    }

    private LarderStanding Split(CultureSplit split, DateTimeOffset at)
    {
        if (Cultures.FirstOrDefault(c => c.Id == split.CultureId) is not { } culture || culture.Pots <= split.Pots)
        {
            return this;
        }

        var part = culture with { Id = split.NewCultureId, Pots = split.Pots };
        return With(split.CultureId, c => c with { Pots = c.Pots - split.Pots })
            .With(split.IntoCold ? Chill(part, true, at) : part);
    }

    private static Culture Chill(Culture culture, bool into, DateTimeOffset at) =>
        into == culture.IsCold ? culture
        : into ? culture with { Cold = [.. culture.Cold, new ColdStay(at, null)] }
        : culture with { Cold = [.. culture.Cold.SkipLast(1), culture.Cold[^1] with { To = at }] };

    private LarderStanding With(Culture culture) => this with { Cultures = [.. Cultures, culture] };

    private LarderStanding With(Guid cultureId, Func<Culture, Culture> change) =>
        this with
        {
            Cultures = [.. Cultures.Select(c => c.Id == cultureId ? change(c) : c)],
        };

    private LarderStanding With(Guid orderId, Func<Order, Order> change) =>
        this with
        {
            Orders = [.. Orders.Select(o => o.Id == orderId ? change(o) : o)],
        };

    private LarderStanding With(FoodKey food, StockChange change) =>
        this with
        {
            Foods = new Dictionary<FoodKey, IReadOnlyList<StockChange>>(Foods)
            {
                [food] = [.. Foods.GetValueOrDefault(food) ?? [], change],
            },
        };

    private LarderStanding With(string goods, StockChange change) =>
        this with
        {
            Goods = new Dictionary<string, IReadOnlyList<StockChange>>(Goods)
            {
                [goods] = [.. Goods.GetValueOrDefault(goods) ?? [], change],
            },
        };
}
