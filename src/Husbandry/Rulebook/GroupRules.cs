using Husbandry.Stock;

namespace Husbandry.Rulebook;

/// <summary>Rules of a whole group of animals, e.g. tarantulas.</summary>
/// <param name="Id">Identifier, e.g. <c>tarantula</c>.</param>
/// <param name="Name">Name of the group, plural.</param>
/// <param name="One">One animal of it.</param>
/// <param name="InstarMark">Letter before the instar number.</param>
/// <param name="InstarAtHatching">Number of the instar of an animal with no molt behind it.</param>
/// <param name="Prey">Prey size and meal size.</param>
/// <param name="Cadence">Days between meals by stage.</param>
/// <param name="MatureMaleCadence">Factor on the adult cadence for mature males, who eat little.</param>
/// <param name="Retry">Days until food is offered again after a refusal, by stage.</param>
/// <param name="FirstMeal">Wait after a molt until the first meal.</param>
/// <param name="FangCheck">Whether the fangs must be seen black and hard as well.</param>
/// <param name="FangCheckLapses">After this many cautious waits nobody is asked to check any more.</param>
/// <param name="Condition">Limits of the condition score.</param>
/// <param name="LivePreyHours">How long live prey may stay, by stage.</param>
/// <param name="DeadPreyHours">How long pre-killed prey may stay, in a warm room.</param>
/// <param name="PremoltDays">Length of premolt by stage.</param>
/// <param name="ImminentDays">How long before the molt an imminent sign shows.</param>
/// <param name="WaterEveryDays">Days between fillings of the dish, or mistings, by moisture school.</param>
/// <param name="SlingWaterEveryDays">Days between drops for slings.</param>
/// <param name="SlingUntilLegSpanMm">End of the sling stage where the species has no rule of its own.</param>
/// <param name="BodyPerLegSpan">Body length as a share of leg span, until the animal has measures of its own.</param>
/// <param name="CarapacePerBody">Carapace length as a share of body length, likewise.</param>
/// <param name="GrowthRatio">Usual ratio of hard parts from one molt to the next.</param>
/// <param name="LegSpanLimitMm">What counts as an absurd leg span on entry.</param>
/// <param name="AdultsMolt">Which adults molt again.</param>
/// <param name="DrinksDrops">Whether it drinks drops at every stage, so that it is misted rather than given a dish.</param>
/// <param name="Staples">Feeders offered first, in order.</param>
public sealed record GroupRules(
    string Id,
    string Name,
    string One,
    string InstarMark,
    int InstarAtHatching,
    PreyRules Prey,
    IReadOnlyDictionary<Stage, CadenceRule> Cadence,
    Rule<double> MatureMaleCadence,
    IReadOnlyDictionary<Stage, Rule<double>> Retry,
    IReadOnlyList<FirstMealRule> FirstMeal,
    Rule<bool> FangCheck,
    Rule<double> FangCheckLapses,
    ConditionRules Condition,
    IReadOnlyDictionary<Stage, Rule<double>> LivePreyHours,
    Rule<double> DeadPreyHours,
    IReadOnlyDictionary<Stage, Rule<double>> PremoltDays,
    Rule<double> ImminentDays,
    IReadOnlyDictionary<Moisture, Rule<double>> WaterEveryDays,
    Rule<double> SlingWaterEveryDays,
    Rule<double> SlingUntilLegSpanMm,
    Rule<double> BodyPerLegSpan,
    Rule<double> CarapacePerBody,
    Rule<double> GrowthRatio,
    Rule<Range> LegSpanLimitMm,
    Rule<AdultMolting> AdultsMolt,
    Rule<bool> DrinksDrops,
    IReadOnlyList<string> Staples
);

/// <summary>How large prey may be and how much makes a meal.</summary>
/// <param name="ShareOfBody">Longest prey as a share of the predator's body length.</param>
/// <param name="NeverAboveShare">Length that prey must never exceed, as a share of body length.</param>
/// <param name="MealShareOfBody">A meal weighs as much as one insect of this share of body length.</param>
/// <param name="MostPieces">Prey that needs more cuts than this is not worth cutting.</param>
/// <param name="MostForAMeal">Prey of which a meal needs more than this is too small to matter.</param>
public sealed record PreyRules(
    Rule<double> ShareOfBody,
    Rule<double> NeverAboveShare,
    Rule<double> MealShareOfBody,
    Rule<int> MostPieces,
    Rule<int> MostForAMeal
);

/// <summary>Days between meals: both schools and our default.</summary>
public sealed record CadenceRule(Rule<double> Often, Rule<double> Lean, Rule<double> Default);

/// <summary>Days from a molt to the first meal: both schools and our default.</summary>
/// <param name="Stage">Stage after the molt.</param>
/// <param name="AboveLegSpanMm">Holds above this leg span only; the largest limit that is passed wins.</param>
/// <param name="Quick">The quick school.</param>
/// <param name="Cautious">The cautious school.</param>
/// <param name="Default">Ours.</param>
public sealed record FirstMealRule(
    Stage Stage,
    double AboveLegSpanMm,
    Rule<Range> Quick,
    Rule<Range> Cautious,
    Rule<double> Default
);

/// <summary>Limits of the condition score, abdomen width ÷ carapace width.</summary>
/// <param name="ThinBelow">Below this: thin.</param>
/// <param name="PlumpAbove">Above this: plump.</param>
/// <param name="VeryPlumpAbove">Above this: very plump, hold food.</param>
/// <param name="ThinFactor">Factor on the cadence when thin.</param>
/// <param name="PlumpFactor">Factor on the cadence when plump.</param>
public sealed record ConditionRules(
    Rule<double> ThinBelow,
    Rule<double> PlumpAbove,
    Rule<double> VeryPlumpAbove,
    Rule<double> ThinFactor,
    Rule<double> PlumpFactor
);

/// <summary>Which adults of a group go on molting.</summary>
public enum AdultMolting
{
    /// <summary>Adult females do, adult males do not.</summary>
    FemalesOnly,

    /// <summary>No adult does.</summary>
    Neither,
}

/// <summary>How damp the floor is kept.</summary>
public enum Moisture
{
    /// <summary>Dry floor, a dish.</summary>
    Dry,

    /// <summary>One side of the floor damp, the dish always full.</summary>
    Damp,
}
