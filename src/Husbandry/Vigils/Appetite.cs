using Husbandry.Climate;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>How readily an animal eats when no molt is near: what a refusal or a meal then says.</summary>
/// <param name="Share">Share of offers that it takes outside premolt, 0–1.</param>
/// <param name="Offers">Offers counted.</param>
public sealed record Appetite(double Share, int Offers)
{
    /// <summary>The appetite of an animal: its own offers, weighed against what animals usually take.</summary>
    public static Appetite Of(Subject subject)
    {
        var rules = subject.Room.Rules.Room;
        var standing = subject.Standing;
        var sinceMeal = standing.Feeding.Untaken.Count == 0 ? DateTimeOffset.MaxValue : standing.Feeding.Untaken[0].At;
        var (taken, all) = (0, 0);
        var next = 0;
        foreach (var offer in standing.Vigils.Appetite)
        {
            while (next < standing.Growth.Molts.Count && standing.Growth.Molts[next].When.Middle < offer.At)
            {
                next++;
            }

            // Offers shortly before a molt, and those turned down just now, say nothing of its usual appetite.
            var inPremolt =
                next < standing.Growth.Molts.Count
                && subject.Pace.Between(offer.At, standing.Growth.Molts[next].When.Middle)
                    < VigilForecast.Premolt(subject, next);
            if (inPremolt || offer.At >= sinceMeal)
            {
                continue;
            }

            all++;
            taken += offer.Taken ? 1 : 0;
        }

        var weight = rules.Signs.AppetitePriorOffers.Value;
        var share = ((weight * rules.Signs.AppetitePrior.Value) + taken) / (weight + all);
        return new Appetite(Math.Clamp(share, rules.Signs.AppetiteLeast.Value, rules.Signs.AppetiteMost.Value), all);
    }

    /// <summary>Likelihood ratio of so many refusals in a row; refusals are alike, so together they are capped.</summary>
    public double RefusalRatio(int refusals, RoomRules rules) =>
        Math.Clamp(
            Math.Pow(rules.Signs.RefusedInPremolt.Value / (1 - Share), refusals),
            1,
            rules.Signs.RefusalsCap.Value
        );

    /// <summary>Likelihood ratio of a meal taken: below 1.</summary>
    public double MealRatio(RoomRules rules) => Math.Min(1, (1 - rules.Signs.RefusedInPremolt.Value) / Share);
}
