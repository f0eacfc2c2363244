namespace Husbandry.Rulebook;

/// <summary>Rules of a whole group of animals, e.g. tarantulas.</summary>
/// <param name="Id">Identifier, e.g. <c>tarantula</c>.</param>
/// <param name="Name">Name of the group, plural.</param>
/// <param name="One">One animal of it.</param>
/// <param name="InstarMark">Letter before the instar number.</param>
/// <param name="InstarAtHatching">Number of the instar of an animal with no molt behind it.</param>
/// <param name="StageWords">What a keeper calls each stage; a stage without a word does not occur in the group.</param>
/// <param name="SizePart">The part that the hobby calls the animal's size.</param>
/// <param name="HardPart">The hard part by which growth is followed.</param>
/// <param name="StageBy">What decides the stage: size, or the number of molts.</param>
/// <param name="MoltsFollowed">Whether molts of single animals are followed at all.</param>
/// <param name="Diet">What it lives on.</param>
/// <param name="Prey">Prey size and meal size; none for groups that take no prey.</param>
/// <param name="Cadence">Days between meals by stage.</param>
/// <param name="MatureMaleCadence">Factor on the adult cadence for mature males, who eat little.</param>
/// <param name="Retry">Days until food is offered again after a refusal, by stage.</param>
/// <param name="FirstMeal">Wait after a molt until the first meal.</param>
/// <param name="FangCheck">Whether the fangs must be seen black and hard as well.</param>
/// <param name="FangCheckLapses">After this many cautious waits nobody is asked to check any more.</param>
/// <param name="Condition">Limits of the condition score.</param>
/// <param name="LivePreyHours">How long live prey may stay, by stage.</param>
/// <param name="DeadPreyHours">How long pre-killed prey may stay, in a warm room.</param>
/// <param name="DeadPreyHoursCool">The same in a cool room.</param>
/// <param name="PremoltDays">Length of premolt by stage.</param>
/// <param name="ImminentDays">How long before the molt an imminent sign shows.</param>
/// <param name="WaterEveryDays">Days between fillings of the dish, or mistings, by moisture school.</param>
/// <param name="SlingWaterEveryDays">Days between drops for slings.</param>
/// <param name="SlingUntilMm">Size at which the youngest stage ends, where the species has no rule of its own.</param>
/// <param name="BodyPerSize">Body length per size, until the animal has measures of its own.</param>
/// <param name="HardPartPerBody">Hard part per body length, likewise.</param>
/// <param name="GrowthRatio">Usual ratio of hard parts from one molt to the next.</param>
/// <param name="SizeLimitMm">What counts as an absurd size on entry.</param>
/// <param name="AdultsMolt">Which adults molt again.</param>
/// <param name="WaterWay">How water is given at each stage.</param>
/// <param name="ConditionByEye">Whether it has an abdomen that shows how well fed it is.</param>
/// <param name="MessyEater">Whether bits of a meal are taken out the night after.</param>
/// <param name="DampSideInPremolt">Whether one side is damped once when premolt begins, by moisture school.</param>
/// <param name="HazardUntilKnown">What an unlisted species counts as until its keeper says otherwise; none where it counts as harmless.</param>
/// <param name="Sexing">By what the sex can be told, and from when on.</param>
/// <param name="TraceForQueens">Whether a queen that founds on her reserves gets a trace of honey when she looks thin: a school; none where no queens are kept.</param>
/// <param name="LarvaLitres">Room for one larva by stage; none where larvae are not housed by volume.</param>
/// <param name="Menu">What suits each stage, the first offered first: a feeder, or one class of it as <c>cricket/pinhead</c>.</param>
/// <param name="Mass">Live mass from body length.</param>
/// <param name="Containers">Least enclosure by habit; the first is the group's usual one.</param>
/// <param name="LongWait">What a wait longer than normal can mean for this animal; never "dig it up".</param>
/// <param name="Underground">Nights a buried animal stays down, by size; empty where none buries itself to molt.</param>
/// <param name="Waits">Waits other than for a molt that are much alike in the whole group; a species' own go first.</param>
/// <param name="OtherEnds">How a wait can end otherwise than hoped, for every wait that the group knows besides molts.</param>
/// <param name="AdultLifeDays">Days an adult lives.</param>
/// <param name="PacePerFood">Waits between molts grow with this power of the days between meals.</param>
/// <param name="Shared">Whether several may live in one tank; others bite, eat or fight each other.</param>
public sealed record GroupRules(
    string Id,
    string Name,
    string One,
    string InstarMark,
    int InstarAtHatching,
    IReadOnlyDictionary<Stage, string> StageWords,
    BodyPart SizePart,
    BodyPart HardPart,
    StageBasis StageBy,
    Rule<bool> MoltsFollowed,
    Diet Diet,
    PreyRules? Prey,
    IReadOnlyDictionary<Stage, CadenceRule> Cadence,
    Rule<double> MatureMaleCadence,
    IReadOnlyDictionary<Stage, Rule<double>> Retry,
    IReadOnlyList<FirstMealRule> FirstMeal,
    Rule<bool> FangCheck,
    Rule<double> FangCheckLapses,
    ConditionRules Condition,
    IReadOnlyDictionary<Stage, Rule<double>> LivePreyHours,
    Rule<double> DeadPreyHours,
    Rule<double> DeadPreyHoursCool,
    IReadOnlyDictionary<Stage, Rule<double>> PremoltDays,
    Rule<double> ImminentDays,
    IReadOnlyDictionary<Moisture, Rule<double>> WaterEveryDays,
    Rule<double> SlingWaterEveryDays,
    Rule<double> SlingUntilMm,
    Rule<double> BodyPerSize,
    Rule<double> HardPartPerBody,
    Rule<double> GrowthRatio,
    Rule<Range> SizeLimitMm,
    Rule<AdultMolting> AdultsMolt,
    IReadOnlyDictionary<Stage, Rule<WaterWay>> WaterWay,
    Rule<bool> ConditionByEye,
    Rule<bool> MessyEater,
    IReadOnlyDictionary<Moisture, Rule<bool>> DampSideInPremolt,
    Rule<Hazard>? HazardUntilKnown,
    IReadOnlyDictionary<SexEvidence, SexingRule> Sexing,
    Rule<bool>? TraceForQueens,
    IReadOnlyDictionary<Stage, Rule<double>>? LarvaLitres,
    IReadOnlyDictionary<Stage, IReadOnlyList<string>> Menu,
    Rule<LengthMass> Mass,
    IReadOnlyDictionary<Habit, ContainerRules> Containers,
    Rule<string> LongWait,
    IReadOnlyList<SizedWait> Underground,
    IReadOnlyDictionary<VigilKind, Rule<WaitPrior>> Waits,
    IReadOnlyDictionary<VigilKind, OtherEndRules> OtherEnds,
    LifeBySex AdultLifeDays,
    Rule<double> PacePerFood,
    Rule<bool> Shared
)
{
    /// <summary>What a keeper of this group calls a stage.</summary>
    public string StageWord(Stage stage) => StageWords.GetValueOrDefault(stage) ?? "adult";

    /// <summary>Whether something other than a molt is awaited in this group.</summary>
    public bool Knows(VigilKind vigil) => OtherEnds.ContainsKey(vigil);

    /// <summary>Rules for an enclosure of a habit; the group's usual one where the habit has none of its own.</summary>
    public ContainerRules Container(Habit? habit) =>
        habit is { } h && Containers.TryGetValue(h, out var rules) ? rules : Containers.Values.First();
}

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
