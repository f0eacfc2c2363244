using Husbandry.Feeding;
using Husbandry.Journal;

namespace Husbandry.Rounds;

/// <summary>One thing that can be logged at a line of the round with one key or tap.</summary>
/// <param name="Key">Its key, one letter or digit.</param>
/// <param name="Label">What it says.</param>
/// <param name="Brief">The same for a phone.</param>
/// <param name="Acts">What is logged, in order; all or nothing.</param>
/// <param name="IsRefusal">Whether it stands behind "Refused".</param>
public sealed record LineChoice(string Key, string Label, string Brief, IReadOnlyList<Act> Acts, bool IsRefusal = false)
{
    /// <summary>Choices of a visit with food: water first where it is due, then what came of the offer.</summary>
    internal static IReadOnlyList<LineChoice> OfMeal(MealOffer? offer, IReadOnlyList<WaterClock> waters)
    {
        var water = Pour(waters);
        if (offer is null)
        {
            return water.Count == 0 ? [] : [OfWater(waters, "Water given", "Watered")];
        }

        Act[] Meal(OfferOutcome outcome, bool? leftIn = null) =>
            [.. water, .. Offers(offer).Select(o => o with { Outcome = outcome, LeftIn = leftIn })];
        var choices = new List<LineChoice>
        {
            new(
                "f",
                offer.Preparation == Preparation.Fresh ? (water.Count > 0 ? "Water and food in" : "Put in")
                    : water.Count > 0 ? "Watered and fed"
                    : "Fed as offered",
                offer.Preparation == Preparation.Fresh ? "Put in" : "Fed",
                Meal(OfferOutcome.Eaten)
            ),
        };
        if (water.Count > 0)
        {
            choices.Add(OfWater(waters, "Water only", "Water"));
        }

        if (offer.Preparation != Preparation.Fresh)
        {
            choices.AddRange([
                new("1", "Batted it away, taken out", "Batted", Meal(OfferOutcome.BattedAway), true),
                new("2", "Fled from it, taken out", "Fled", Meal(OfferOutcome.Fled), true),
                new("3", "Killed and left it, still in", "Killed", Meal(OfferOutcome.KilledAndLeft), true),
                new("4", "Not seen: left in", "Not seen", Meal(OfferOutcome.NotSeen), true),
                new("5", "Still eating: leave it, look again", "Eating", Meal(OfferOutcome.StillEating), true),
                new("6", "Partly eaten, the rest still in", "Partly", Meal(OfferOutcome.Eaten, leftIn: true), true),
                new("7", "Seen to catch it: its first hunt here", "Caught", Meal(OfferOutcome.SeenToCatch), true),
            ]);
        }

        return choices;
    }

    /// <summary>The choice that logs the waters that are due.</summary>
    internal static LineChoice OfWater(IReadOnlyList<WaterClock> waters, string label, string brief) =>
        new("w", label, brief, Pour(waters));

    /// <summary>An offer as it is logged when it is put in, what goes in beside it included.</summary>
    public static IEnumerable<Offered> Offers(MealOffer? offer) =>
        offer is null
            ? []
            : Offers(offer.With)
                .Prepend(
                    new Offered(offer.FeederId, offer.SizeClassId, offer.Count, offer.Preparation, OfferOutcome.NotSeen)
                );

    private static IReadOnlyList<Act> Pour(IReadOnlyList<WaterClock> waters) =>
        [.. waters.Select(w => w.Kind).OfType<WaterKind>().Distinct().Select(kind => new Watered(kind))];
}
