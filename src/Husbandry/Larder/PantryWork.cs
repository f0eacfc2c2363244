using Husbandry.Reasons;
using Husbandry.Rooms;

namespace Husbandry.Larder;

/// <summary>What is to be done at the food plants: watering, throwing away, cutting, buying.</summary>
internal static class PantryWork
{
    /// <summary>All of it that can be seen coming; nothing before somebody wrote down a plant.</summary>
    public static IEnumerable<LarderWork> Of(LarderStanding larder, LarderPlan plan, Room room)
    {
        if (larder.Plants.Count == 0)
        {
            return [];
        }

        return larder
            .Plants.Where(p => p.IsThere)
            .SelectMany(p => OfPlant(p, room))
            .Concat(plan.Plants.SelectMany(o => OfOutlook(o, room)));
    }

    private static IEnumerable<LarderWork> OfPlant(PantryPlant plant, Room room)
    {
        var (rules, words) = (room.Rules.Room.Plants, room.Wording);
        var where = plant.Where is { Length: > 0 } place ? $", {place}" : "";
        if (plant.WaterDue(rules) is { } due)
        {
            var watered = room.Clock.NightOf(plant.WateredAt);
            yield return Work(
                LarderTask.WaterPlant,
                room.Clock.NightOf(due),
                $"Water the {plant.Plant}{where}",
                $"last watered {words.Ago(watered)}",
                room.Rules.Larder.MinutesPerPot.Value,
                [
                    rules.PotWaterDays.Because(
                        "Watering",
                        "room.potWaterDays",
                        $"Every {Wording.Days(plant.WaterEveryDays ?? rules.PotWaterDays.Value)}; last {words.Day(watered)}."
                    ),
                ],
                plant.Id
            );
        }

        if (plant.KeepsUntil(rules) is { } until)
        {
            var keeps = PantryPlant.Keeps(plant.Leaf, rules);
            yield return Work(
                LarderTask.ThrowLeaf,
                room.Clock.NightOf(until),
                $"Throw away the cut {plant.Plant}",
                $"cut {words.Ago(room.Clock.NightOf(plant.Since))}",
                room.Rules.Larder.MinutesPerPot.Value,
                [
                    keeps.Because(
                        "Cut leaf",
                        plant.Leaf == Rulebook.LeafKind.Soft ? "room.cutKeepsSoft" : "room.cutKeepsWoody",
                        $"It keeps {Wording.Days(keeps.Value)} in the cold; foul leaf kills larvae."
                    ),
                ],
                plant.Id
            );
        }
    }

    private static IEnumerable<LarderWork> OfOutlook(Answer<PlantOutlook> answer, Room room)
    {
        var outlook = answer.Value;
        if (outlook.CutOn is { } cut)
        {
            yield return Work(
                LarderTask.CutLeaf,
                cut,
                $"Cut about {Wording.Plain(Math.Ceiling(outlook.CutGrams))} g of {outlook.Plant}",
                "wash it, bag it, keep it cold; unsprayed, not from the roadside",
                room.Rules.Room.Plants.CutMinutes.Value,
                answer.Reasons
            );
        }

        if (outlook.BuyBy is { } buy)
        {
            yield return Work(
                LarderTask.BuyPlant,
                buy,
                $"Buy {outlook.PotsShort} pot{(outlook.PotsShort == 1 ? "" : "s")} of {outlook.Plant}",
                $"short from {room.Wording.Day(outlook.ShortOn!.Value)} on",
                0,
                answer.Reasons
            );
        }
    }

    private static LarderWork Work(
        LarderTask task,
        DateOnly due,
        string text,
        string because,
        double minutes,
        IReadOnlyList<Reason> reasons,
        Guid? plantId = null
    ) => new(task, due, null, "", 0, null, text, because, minutes, reasons, plantId);
}
