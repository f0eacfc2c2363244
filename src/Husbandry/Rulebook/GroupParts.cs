namespace Husbandry.Rulebook;

/// <summary>What decides the stage of life.</summary>
public enum StageBasis
{
    /// <summary>Size against the species' sizes.</summary>
    Size,

    /// <summary>Molts behind it against the species' number of molts.</summary>
    Molts,
}

/// <summary>What a group lives on.</summary>
public enum Diet
{
    /// <summary>Prey that it overpowers.</summary>
    Prey,

    /// <summary>Leaves of its food plant.</summary>
    Leaves,

    /// <summary>Leaf litter, wood and some of everything.</summary>
    Litter,

    /// <summary>Plant and animal food of many kinds.</summary>
    Mixed,

    /// <summary>Sugar water at all times, and protein for the brood.</summary>
    SugarAndProtein,
}

/// <summary>Mass from length: W(mg) = a · L(mm)^b.</summary>
public sealed record LengthMass(double Coefficient, double Exponent);

/// <summary>Which length an enclosure is sized by.</summary>
public enum ContainerBasis
{
    /// <summary>Body length.</summary>
    Body,

    /// <summary>Leg span.</summary>
    LegSpan,
}

/// <summary>Least enclosure as multiples of a length of the animal.</summary>
/// <param name="By">Which length.</param>
/// <param name="Height">Least free height.</param>
/// <param name="MostHeight">Greatest free height, where a fall kills.</param>
/// <param name="Width">Longer side of the floor.</param>
/// <param name="Depth">Shorter side of the floor.</param>
/// <param name="Substrate">Depth of substrate.</param>
/// <param name="SubstrateLeastMm">Depth of substrate that is never gone below.</param>
/// <param name="MostWidth">Widest and highest for nymphs, which must find their prey.</param>
/// <param name="UpperLeastMm">No box up to this size is called too large.</param>
/// <param name="School">Which school holds where there are two; these are the measures of the roomy one.</param>
/// <param name="Snug">Measures of the snug school.</param>
public sealed record ContainerRules(
    ContainerBasis By,
    Rule<double> Height,
    Rule<double>? MostHeight,
    Rule<double> Width,
    Rule<double>? Depth,
    Rule<double>? Substrate,
    Rule<double>? SubstrateLeastMm,
    Rule<double>? MostWidth = null,
    Rule<double>? UpperLeastMm = null,
    Rule<ContainerSchool>? School = null,
    ContainerRules? Snug = null
)
{
    /// <summary>The measures of a school; the rulebook's default when none is asked for.</summary>
    public ContainerRules Of(ContainerSchool? school) =>
        (school ?? School?.Value) == ContainerSchool.Snug && Snug is { } snug ? snug : this;
}

/// <summary>How much room an animal is given.</summary>
public enum ContainerSchool
{
    /// <summary>The smaller size that common practice supports.</summary>
    Snug,

    /// <summary>The larger.</summary>
    Roomy,
}

/// <summary>How an animal gets its water.</summary>
public enum WaterWay
{
    /// <summary>From a dish.</summary>
    Dish,

    /// <summary>Drops on web, wall or leaf.</summary>
    Drops,

    /// <summary>From a tube that is looked at: it cannot be filled.</summary>
    Tube,

    /// <summary>From a damp end of the floor.</summary>
    DampEnd,

    /// <summary>From two pools, fresh and salt.</summary>
    Pools,

    /// <summary>From nothing but a light mist now and then while it lies in the cold.</summary>
    ColdMist,

    /// <summary>From its food, or not at all.</summary>
    None,
}

/// <summary>From when on a mark tells the sex.</summary>
/// <param name="FromStage">The stage; none where the instar decides.</param>
/// <param name="FromInstar">The instar; none where the stage decides.</param>
/// <param name="Why">The sentence a keeper reads who looked too early.</param>
public sealed record SexingRule(Stage? FromStage, int? FromInstar, Rule<string> Why);

/// <summary>How large prey may be and how much makes a meal.</summary>
/// <param name="ShareOfBody">Longest prey as a share of the predator's body length.</param>
/// <param name="NeverAboveShare">Length that prey must never exceed, as a share of body length.</param>
/// <param name="MealShareOfBody">A meal weighs as much as one insect of this share of body length.</param>
/// <param name="MostForAMeal">Prey of which a meal needs more than this is too small to matter.</param>
/// <param name="LeastShareOfBody">Prey shorter than this share of the body is too small; 0 where its mass alone decides.</param>
/// <param name="LiveOnly">Whether only what moves is taken.</param>
/// <param name="HeldByForelegs">Whether prey must also be short enough for the forelegs to hold, once they were measured.</param>
public sealed record PreyRules(
    Rule<double> ShareOfBody,
    Rule<double> NeverAboveShare,
    Rule<double> MealShareOfBody,
    Rule<int> MostForAMeal,
    Rule<double> LeastShareOfBody,
    Rule<bool> LiveOnly,
    Rule<bool> HeldByForelegs
);

/// <summary>Days of adult life by sex.</summary>
public sealed record LifeBySex(Rule<Range> Female, Rule<Range> Male)
{
    /// <summary>Those of a sex; unknown sex is taken as female.</summary>
    public Rule<Range> Of(Sex sex) => sex == Sex.Male ? Male : Female;
}

/// <summary>Days between meals: both schools and our default.</summary>
public sealed record CadenceRule(Rule<double> Often, Rule<double> Lean, Rule<double> Default);

/// <summary>Days from a molt to the first meal: both schools and our default.</summary>
/// <param name="Stage">Stage after the molt.</param>
/// <param name="AboveSizeMm">Holds above this leg span only; the largest limit that is passed wins.</param>
/// <param name="Quick">The quick school.</param>
/// <param name="Cautious">The cautious school.</param>
/// <param name="Default">Ours.</param>
public sealed record FirstMealRule(
    Stage Stage,
    double AboveSizeMm,
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

    /// <summary>All adults do, all their lives.</summary>
    Both,
}

/// <summary>How damp the floor is kept.</summary>
public enum Moisture
{
    /// <summary>Dry floor, a dish.</summary>
    Dry,

    /// <summary>One side of the floor damp, the dish always full.</summary>
    Damp,
}
