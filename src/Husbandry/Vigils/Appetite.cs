using Husbandry.Climate;
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
        var next = 0;
        foreach (var offer in standing.Vigils.Appetite)
        {
            while (next < standing.Growth.Molts.Count && standing.Growth.Molts[next].When.Middle < offer.At)
            {
                next++;
            }

            // Offers shortly before a molt, and those turned down just now, say nothing of its usual appetite.
            if (InPremolt(subject, offer.At, next) || offer.At >= sinceMeal)
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
    internal static IEnumerable<bool> TakenInPremolt(Subject subject)
    {
        var molts = subject.Standing.Growth.Molts;
        var next = 0;
        foreach (var offer in subject.Standing.Vigils.Appetite)
        {
            while (next < molts.Count && molts[next].When.Middle < offer.At)
            {
                next++;
            }

            if (InPremolt(subject, offer.At, next))
            {
                yield return offer.Taken;
            }
        }
    }

    private static bool InPremolt(Subject subject, DateTimeOffset at, int next) =>
        next < subject.Standing.Growth.Molts.Count
        && subject.Pace.Between(at, subject.Standing.Growth.Molts[next].When.Middle)
            < VigilForecast.Premolt(subject, next);

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
