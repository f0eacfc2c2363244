using System.Globalization;
using Husbandry.Journal;
using Husbandry.Rulebook;

namespace Husbandry.Feeding;

/// <summary>Food in words.</summary>
public static class FoodWords
{
    /// <summary>The food of an offer, such as "2 pieces of cut medium mealworm".</summary>
    public static string Of(Offer offer, RuleSet rules)
    {
        var feeder = rules.Feeder(offer.FeederId);
        var size = feeder?.Classes.FirstOrDefault(c => c.Id == offer.SizeClassId);
        var noun =
            feeder is null ? offer.FeederId
            : offer.Count == 1 || offer.Preparation == Preparation.Cut ? feeder.Name
            : feeder.Plural;
        var named = size is { Name.Length: > 0 } ? $"{size.Name} {noun}" : noun;
        var count = offer.Count.ToString(CultureInfo.InvariantCulture);
        return offer.Preparation switch
        {
            Preparation.Cut => $"{count} piece{(offer.Count == 1 ? "" : "s")} of cut {named}",
            Preparation.PreKilled => $"{count} pre-killed {named}",
            Preparation.Fresh => offer.Count == 1 ? named : $"{count} portions of {named}",
            _ => $"{count} {named}",
        };
    }
}
