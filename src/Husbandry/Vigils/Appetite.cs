using Husbandry.Climate;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>How readily an animal eats when no molt is near: what a refusal or a meal then says.</summary>
/// <param name="Share">Share of offers that it takes outside premolt, 0–1.</param>
/// <param name="Offers">Offers counted.</param>
/// <param name="RefusedInPremolt">Share of offers that animals of its group turn down in premolt here, 0–1.</param>
public sealed record Appetite(double Share, int Offers, double RefusedInPremolt)
{
    /// <summary>The appetite of an animal: its own offers, weighed against what animals usually take.</summary>
    public static Appetite Of(Subject subject)
    {
        var rules = subject.Room.Rules.Room;
        var standing = subject.Standing;
        var sinceMeal = standing.Feeding.Untaken.Count == 0 ? DateTimeOffset.MaxValue : standing.Feeding.Untaken[0].At;
        var (taken, all) = (0, 0);
        foreach (var (offer, inPremolt) in OffersOf(subject))
        {
            // Offers shortly before a molt, and those turned down just now, say nothing of its usual appetite.
            if (inPremolt || offer.At >= sinceMeal)
            {
                continue;
            }

            all++;
            taken += offer.Taken ? 1 : 0;
        }

        var weight = rules.Signs.AppetitePriorOffers.Value;
        var share = ((weight * rules.Signs.AppetitePrior.Value) + taken) / (weight + all);
        return new Appetite(
            Math.Clamp(share, rules.Signs.AppetiteLeast.Value, rules.Signs.AppetiteMost.Value),
            all,
            subject.Room.Lessons.RefusedInPremolt(subject.Group.Id)?.Share ?? rules.Signs.RefusedInPremolt.Value
        );
    }

    /// <summary>Offers before molts that came, as near to them as premolt lasts, and whether they were taken.</summary>
    internal static IEnumerable<bool> TakenInPremolt(Subject subject) =>
        OffersOf(subject).Where(o => o.InPremolt).Select(o => o.Offer.Taken);

    /// <summary>Every offer, and whether it was made as near to a molt that came as premolt lasts.</summary>
    private static IEnumerable<(AppetiteEvent Offer, bool InPremolt)> OffersOf(Subject subject)
    {
        var molts = subject.Standing.Growth.Molts;
        var (next, pace) = (0, subject.Pace);
        EffectiveDays? premolt = null;
        foreach (var offer in subject.Standing.Vigils.Appetite)
        {
            while (next < molts.Count && molts[next].When.Middle < offer.At)
            {
                (next, premolt) = (next + 1, null);
            }

            yield return (
                offer,
                next < molts.Count
                    && pace.Between(offer.At, molts[next].When.Middle)
                        < (premolt ??= VigilForecast.Premolt(subject, next))
            );
        }
    }

    /// <summary>Likelihood ratio of so many refusals in a row; refusals are alike, so together they are capped.</summary>
    public double RefusalRatio(int refusals, RoomRules rules) =>
        Math.Clamp(Math.Pow(RefusedInPremolt / (1 - Share), refusals), 1, rules.Signs.RefusalsCap.Value);

    /// <summary>Likelihood ratio of a meal taken: below 1.</summary>
    public double MealRatio() => Math.Min(1, (1 - RefusedInPremolt) / Share);
}

/// <summary>How often animals of a group turn food down in premolt, in this room.</summary>
/// <param name="Share">Share of offers (0–1), the rulebook's weighed against what was counted.</param>
/// <param name="Offers">Offers in premolt that were counted.</param>
/// <param name="Refused">Of them turned down.</param>
public sealed record RefusalLesson(double Share, int Offers, int Refused)
{
    /// <summary>
    /// A Beta count: the rulebook's share stands for some offers of its own. Appetite goes gradually, and how long premolt lasts
    /// is not known either; what was counted has both in it.
    /// </summary>
    /// <remarks>Source: conjugate prior of a binomial share, Gelman et al. (2013), Bayesian Data Analysis, 3rd ed., §2.4.</remarks>
    internal static RefusalLesson Of((int Offers, int Refused) seen, RoomSignRules rules)
    {
        var weight = rules.RefusedPriorOffers.Value;
        var share = ((weight * rules.RefusedInPremolt.Value) + seen.Refused) / (weight + seen.Offers);
        return new RefusalLesson(share, seen.Offers, seen.Refused);
    }
}
