using Husbandry.Larder;
using Husbandry.Rulebook;

namespace Husbandry.Tests;

/// <summary>Entries of the larder that cannot be are refused with the field's name; those at the bounds are not.</summary>
public class LarderCheckTests
{
    private static readonly Guid Flies = Guid.NewGuid();
    private static readonly Guid Pupae = Guid.NewGuid();
    private static readonly Guid Spent = Guid.NewGuid();
    private static readonly Guid Open = Guid.NewGuid();
    private static readonly Guid Closed = Guid.NewGuid();
    private static readonly FoodKey Cricket = new("cricket", "small");
    private static readonly OrderLine Line = new("cricket", "small", 100);
    private static readonly DateOnly Friday = new(2026, 11, 27);

    private static string PupaFeeder => RuleSet.Shipped.Feeders.First(f => f.Culture?.ColdHoldsDays is not null).Id;

    private static readonly LarderStanding Larder = LarderStanding.Fold(
        new LarderAct[]
        {
            new CultureStarted(Flies, "fruit-fly-small", 4),
            new CultureStarted(Pupae, PupaFeeder, 1),
            new CultureStarted(Spent, "fruit-fly-small", 2),
            new CultureEnded(Spent, CultureEnd.Spent),
            new OrderPlaced(Open, [Line], Friday),
            new OrderPlaced(Closed, [Line], Friday),
            new OrderCancelled(Closed),
        }.Select((act, k) => new LarderEntry(Guid.NewGuid(), k + 1, Diary.Evening, "Keeper", act)),
        RuleSet.Shipped
    );

    private static IReadOnlyList<string> Fields(LarderAct act) =>
        [.. LarderCheck.Check(act, Larder, RuleSet.Shipped).Select(p => p.Field)];

    public static TheoryData<LarderAct, string> Impossible =>
        new()
        {
            { new FoodCounted(new FoodKey("dragon", "small"), 1), "act.food.feederId" },
            { new FoodCounted(new FoodKey("cricket", "vast"), 1), "act.food.sizeClassId" },
            { new FoodCounted(Cricket, -1), "act.quantity" },
            { new FoodCounted(Cricket, LarderCheck.Most + 1), "act.quantity" },
            { new FoodGained(Cricket, 0), "act.quantity" },
            { new FoodLost(Cricket, 0), "act.quantity" },
            { new CultureStarted(Guid.NewGuid(), "dragon", 1), "act.feederId" },
            { new CultureStarted(Guid.NewGuid(), "fruit-fly-small", 0), "act.pots" },
            { new CultureStarted(Guid.NewGuid(), "fruit-fly-small", 201), "act.pots" },
            { new CultureStarted(Guid.NewGuid(), "fruit-fly-small", 1, -1), "act.ageDays" },
            { new CultureStarted(Guid.NewGuid(), "fruit-fly-small", 1, double.NaN), "act.ageDays" },
            { new CultureStarted(Guid.NewGuid(), "fruit-fly-small", 1, 701), "act.ageDays" },
            { new CultureStarted(Flies, "fruit-fly-small", 1), "act.cultureId" },
            { new CultureStarted(Spent, "fruit-fly-small", 1), "act.cultureId" },
            { new CultureSplit(Flies, Guid.NewGuid(), 4, false), "act.pots" },
            { new CultureSplit(Pupae, Guid.NewGuid(), 1, true), "act.pots" },
            { new CultureSplit(Flies, Pupae, 1, false), "act.newCultureId" },
            { new CultureSplit(Spent, Guid.NewGuid(), 1, false), "act.cultureId" },
            { new CultureChilled(Flies, true), "act.intoCold" },
            { new CultureChilled(Guid.NewGuid(), false), "act.cultureId" },
            { new MitesSeen(Spent), "act.cultureId" },
            { new CultureEnded(Spent, CultureEnd.Mold), "act.cultureId" },
            { new OrderPlaced(Open, [Line], Friday), "act.orderId" },
            { new OrderPlaced(Guid.NewGuid(), [], Friday), "act.lines" },
            { new OrderPlaced(Guid.NewGuid(), [.. Enumerable.Repeat(Line, 101)], Friday), "act.lines" },
            { new OrderPlaced(Guid.NewGuid(), [Line with { Quantity = 0 }], Friday), "act.lines[0].quantity" },
            { new OrderPlaced(Guid.NewGuid(), [Line, Line with { ItemId = "x" }], Friday), "act.lines[1].itemId" },
            { new OrderPlaced(Guid.NewGuid(), [Line with { SizeClassId = "" }], Friday), "act.lines[0].itemId" },
            { new OrderArrived(Closed, [Line]), "act.orderId" },
            { new OrderArrived(Open, [Line with { Quantity = -1 }]), "act.lines[0].quantity" },
            { new OrderCancelled(Guid.NewGuid()), "act.orderId" },
            { new GoodsCounted("gold", 1), "act.goodsId" },
            { new GoodsCounted(RuleSet.Shipped.Larder.Goods[0].Id, -0.5), "act.quantity" },
            { new GoodsCounted(RuleSet.Shipped.Larder.Goods[0].Id, double.NaN), "act.quantity" },
        };

    [Theory]
    [MemberData(nameof(Impossible))]
    public void What_cannot_be_names_its_field(LarderAct act, string field) => Assert.Equal([field], Fields(act));

    public static TheoryData<LarderAct> Possible =>
        [
            new FoodCounted(Cricket, 0),
            new FoodCounted(Cricket, LarderCheck.Most),
            new FoodGained(Cricket, 1),
            new CultureStarted(Guid.NewGuid(), "fruit-fly-small", 200, 700),
            new CultureSplit(Flies, Guid.NewGuid(), 3, false),
            new CultureChilled(Pupae, true),
            new CultureChilled(Flies, false),
            new MitesSeen(Flies),
            new CultureEnded(Flies, CultureEnd.Mites),
            new OrderPlaced(Guid.NewGuid(), [.. Enumerable.Repeat(Line, 100)], Friday),
            // A parcel may come without what was ordered.
            new OrderArrived(Open, [Line with { Quantity = 0 }]),
            new OrderCancelled(Open),
            new GoodsCounted(RuleSet.Shipped.Larder.Goods[0].Id, 0),
        ];

    [Theory]
    [MemberData(nameof(Possible))]
    public void The_last_value_that_can_be_is_let_through(LarderAct act) => Assert.Empty(Fields(act));
}
