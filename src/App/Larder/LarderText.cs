using System.Globalization;
using Husbandry.Larder;
using Husbandry.Rulebook;

namespace App.Larder;

/// <summary>What happened in the larder, in words.</summary>
internal static class LarderText
{
    public static string Of(LarderAct act, LarderStanding larder, RuleSet rules) =>
        act switch
        {
            FoodCounted c => $"counted {Food(c.Food, c.Quantity, rules)}",
            FoodGained g => $"{Food(g.Food, g.Quantity, rules)} more",
            FoodLost l => $"{Food(l.Food, l.Quantity, rules)} lost",
            CultureStarted s => $"started {Pots(s.Pots, s.FeederId, rules)}",
            CultureSplit s =>
                $"parted {s.Pots} of the {Name(s.CultureId, larder, rules)}{(s.IntoCold ? " into the cold" : "")}",
            CultureChilled c =>
                $"{Name(c.CultureId, larder, rules)} {(c.IntoCold ? "into the cold" : "out of the cold")}",
            MitesSeen m => $"mites in the {Name(m.CultureId, larder, rules)}",
            CultureEnded e => $"{Name(e.CultureId, larder, rules)} thrown away: {Ended(e.End)}",
            OrderPlaced o => $"ordered {string.Join(", ", o.Lines.Select(l => Line(l, rules)))}",
            OrderArrived a => a.Lines.All(l => l.Quantity == 0)
                ? "a parcel came empty"
                : $"arrived: {string.Join(", ", a.Lines.Select(l => Line(l, rules)))}",
            OrderCancelled => "an order given up",
            GoodsCounted g =>
                $"counted {g.Quantity.ToString("0.#", CultureInfo.InvariantCulture)} {rules.Larder.GoodsOf(g.GoodsId)?.Unit} of {rules.Larder.GoodsOf(g.GoodsId)?.Name ?? g.GoodsId}",
            PlantAdded p => $"{p.Plant} {FormOf(p.Form)}{(p.Grams > 0 ? $", {Grams(p.Grams)} of leaf" : "")}",
            PlantSeen p => $"{Plant(p.PlantId, larder)}: {Grams(p.Grams)} of leaf left",
            PlantCut p =>
                $"{Grams(p.Grams)} taken from the {Plant(p.PlantId, larder)}{(p.CutId is null ? "" : ", bagged and cold")}",
            PlantWatered p => $"{Plant(p.PlantId, larder)} watered",
            PlantEnded p => $"{Plant(p.PlantId, larder)} used up or thrown away",
            LarderWithdrawn => "taken back",
            _ => throw new ArgumentOutOfRangeException(nameof(act), act, "No words for such an entry."),
        };

    /// <summary>One line of an order, such as "50 small crickets".</summary>
    public static string Line(OrderLine line, RuleSet rules)
    {
        if (line.SizeClassId.Length == 0)
        {
            var goods = rules.Larder.GoodsOf(line.ItemId);
            return $"{line.Quantity} {goods?.Unit} of {goods?.Name ?? line.ItemId}";
        }

        return rules.Feeder(line.ItemId) is { BoughtAsPots: true }
            ? Pots(line.Quantity, line.ItemId, rules)
            : Food(new FoodKey(line.ItemId, line.SizeClassId), line.Quantity, rules);
    }

    private static string Food(FoodKey food, int quantity, RuleSet rules)
    {
        var feeder = rules.Feeder(food.FeederId);
        var name = feeder?.Class(food.SizeClassId) is { } size
            ? feeder.NameOf(size, many: quantity != 1)
            : food.FeederId;
        return $"{quantity} {name}";
    }

    private static string Pots(int pots, string feederId, RuleSet rules) =>
        rules.Feeder(feederId)?.PotsOf(pots) ?? feederId;

    private static string Name(Guid culture, LarderStanding larder, RuleSet rules) =>
        larder.Cultures.FirstOrDefault(c => c.Id == culture) is { } found
            ? $"pot of {rules.Feeder(found.FeederId)?.Plural ?? found.FeederId}"
            : "pot";

    private static string Grams(double grams) => $"{grams.ToString("0.#", CultureInfo.InvariantCulture)} g";

    private static string Plant(Guid id, LarderStanding larder) =>
        larder.Plants.FirstOrDefault(p => p.Id == id) is { } plant ? plant.Plant : "plant";

    private static string FormOf(PlantForm form) =>
        form switch
        {
            PlantForm.Pot => "in a pot",
            PlantForm.Cut => "cut",
            PlantForm.Site => "at a place outside",
            _ => throw new ArgumentOutOfRangeException(nameof(form), form, "No words for such a form."),
        };

    private static string Ended(CultureEnd end) =>
        end switch
        {
            CultureEnd.Mold => "moldy",
            CultureEnd.Mites => "mites",
            CultureEnd.Failed => "it never gave anything",
            _ => "spent",
        };
}
