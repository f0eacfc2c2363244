using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Larder;

/// <summary>Checks an entry of the larder before it is written.</summary>
public static class LarderCheck
{
    /// <summary>Most animals, portions or units in one entry.</summary>
    public const int Most = 1_000_000;

    private const int MostPots = 200;
    private const int MostLines = 100;
    private const double OldestPotDays = 700;

    /// <summary>All problems of an entry; none when it may be written.</summary>
    /// <param name="act">What happened.</param>
    /// <param name="larder">The larder before it.</param>
    /// <param name="rules">Feeders and goods.</param>
    public static IReadOnlyList<Problem> Check(LarderAct act, LarderStanding larder, RuleSet rules) =>
        [
            .. act switch
            {
                FoodCounted c => Food(c.Food, rules).Concat(Quantity("act.quantity", c.Quantity, 0)),
                FoodGained g => Food(g.Food, rules).Concat(Quantity("act.quantity", g.Quantity, 1)),
                FoodLost l => Food(l.Food, rules).Concat(Quantity("act.quantity", l.Quantity, 1)),
                CultureStarted s => Started(s, larder, rules),
                CultureSplit s => Split(s, larder),
                CultureChilled c => Chilled(c, larder, rules),
                MitesSeen m => Standing(m.CultureId, larder),
                CultureEnded e => Standing(e.CultureId, larder),
                OrderPlaced o => Placed(o, larder, rules),
                OrderArrived a => Open(a.OrderId, larder).Concat(Lines(a.Lines, rules, least: 0)),
                OrderCancelled c => Open(c.OrderId, larder),
                GoodsCounted g => Goods(g, rules),
                PlantAdded p => PantryCheck.Added(p, larder),
                PlantSeen p => PantryCheck.There(p.PlantId, larder).Concat(PantryCheck.Grams(p.Grams, 0)),
                PlantCut p => PantryCheck.Cut(p, larder),
                PlantWatered p => PantryCheck.Watered(p, larder),
                PlantEnded p => PantryCheck.There(p.PlantId, larder),
                LarderWithdrawn => [],
                _ => throw new ArgumentOutOfRangeException(nameof(act), act, "No check for such an entry."),
            },
        ];

    private static IEnumerable<Problem> Food(FoodKey food, RuleSet rules)
    {
        if (rules.Feeder(food.FeederId) is not { } feeder)
        {
            yield return new Problem(
                "act.food.feederId",
                $"Unknown feeder. Known: {string.Join(", ", rules.Feeders.Select(f => f.Id))}."
            );
        }
        else if (feeder.Class(food.SizeClassId) is null)
        {
            yield return new Problem(
                "act.food.sizeClassId",
                $"Unknown size of {feeder.Name}. Known: {string.Join(", ", feeder.Classes.Select(c => c.Id))}."
            );
        }
    }

    private static IEnumerable<Problem> Quantity(string field, int quantity, int least)
    {
        if (quantity < least || quantity > Most)
        {
            yield return new Problem(field, $"Must be {least} to {Most}.");
        }
    }

    private static IEnumerable<Problem> Pots(int pots)
    {
        if (pots is < 1 or > MostPots)
        {
            yield return new Problem("act.pots", $"Must be 1 to {MostPots} pots.");
        }
    }

    private static IEnumerable<Problem> Started(CultureStarted s, LarderStanding larder, RuleSet rules)
    {
        if (rules.Feeder(s.FeederId)?.Culture is null)
        {
            var known = rules.Feeders.Where(f => f.Culture is not null).Select(f => f.Id);
            yield return new Problem("act.feederId", $"Cannot be cultured here. Known: {string.Join(", ", known)}.");
        }

        if (larder.Cultures.Any(c => c.Id == s.CultureId))
        {
            yield return new Problem("act.cultureId", "There is a culture of this id already.");
        }

        if (!(s.AgeDays >= 0 && s.AgeDays <= OldestPotDays))
        {
            yield return new Problem("act.ageDays", $"Must be 0 to {OldestPotDays:0} days.");
        }

        foreach (var problem in Pots(s.Pots))
        {
            yield return problem;
        }
    }

    private static IEnumerable<Problem> Split(CultureSplit s, LarderStanding larder)
    {
        foreach (var problem in Standing(s.CultureId, larder).Concat(Pots(s.Pots)))
        {
            yield return problem;
        }

        if (larder.Cultures.FirstOrDefault(c => c.Id == s.CultureId) is { } culture && s.Pots >= culture.Pots)
        {
            yield return new Problem(
                "act.pots",
                culture.Pots == 1 ? "One pot cannot be split." : $"Must be 1 to {culture.Pots - 1}: some must stay."
            );
        }

        if (larder.Cultures.Any(c => c.Id == s.NewCultureId))
        {
            yield return new Problem("act.newCultureId", "There is a culture of this id already.");
        }
    }

    private static IEnumerable<Problem> Chilled(CultureChilled c, LarderStanding larder, RuleSet rules)
    {
        foreach (var problem in Standing(c.CultureId, larder))
        {
            yield return problem;
        }

        var culture = larder.Cultures.FirstOrDefault(x => x.Id == c.CultureId);
        if (c.IntoCold && culture is not null && rules.Feeder(culture.FeederId)?.Culture?.ColdHoldsDays is null)
        {
            yield return new Problem(
                "act.intoCold",
                "The cold kills this one: only pots of pupae are held back by it."
            );
        }
    }

    private static IEnumerable<Problem> Standing(Guid id, LarderStanding larder)
    {
        if (larder.StandingCultures.All(c => c.Id != id))
        {
            yield return new Problem("act.cultureId", "No such culture stands here.");
        }
    }

    private static IEnumerable<Problem> Placed(OrderPlaced o, LarderStanding larder, RuleSet rules)
    {
        if (larder.Orders.Any(x => x.Id == o.OrderId))
        {
            yield return new Problem("act.orderId", "There is an order of this id already.");
        }

        foreach (var problem in Lines(o.Lines, rules, least: 1))
        {
            yield return problem;
        }
    }

    private static IEnumerable<Problem> Open(Guid id, LarderStanding larder)
    {
        if (larder.Orders.All(o => o.Id != id || !o.IsOpen))
        {
            yield return new Problem("act.orderId", "No such order is awaited.");
        }
    }

    /// <summary>Problems of the lines of an order.</summary>
    public static IEnumerable<Problem> Lines(IReadOnlyList<OrderLine> lines, RuleSet rules, int least)
    {
        if (lines.Count is < 1 or > MostLines)
        {
            yield return new Problem("act.lines", $"Give 1 to {MostLines} lines.");
        }

        for (var i = 0; i < lines.Count; i++)
        {
            if (lines[i] is not { } line)
            {
                yield return new Problem($"act.lines[{i}]", "Is missing.");
                continue;
            }

            var known =
                line.SizeClassId.Length == 0
                    ? rules.Larder.GoodsOf(line.ItemId) is not null
                    : rules.Feeder(line.ItemId)?.Class(line.SizeClassId) is not null;
            if (!known)
            {
                yield return new Problem($"act.lines[{i}].itemId", "No such feeder, size or kind of goods.");
            }

            foreach (var problem in Quantity($"act.lines[{i}].quantity", line.Quantity, least))
            {
                yield return problem;
            }
        }
    }

    private static IEnumerable<Problem> Goods(GoodsCounted g, RuleSet rules)
    {
        if (rules.Larder.GoodsOf(g.GoodsId) is null)
        {
            var known = rules.Larder.Goods.Select(x => x.Id);
            yield return new Problem("act.goodsId", $"Unknown kind of goods. Known: {string.Join(", ", known)}.");
        }

        if (!(g.Quantity >= 0 && g.Quantity <= Most))
        {
            yield return new Problem("act.quantity", $"Must be 0 to {Most}.");
        }
    }
}
