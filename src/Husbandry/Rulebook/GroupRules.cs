using System.Text.Json.Serialization;
using Husbandry.Reasons;

namespace Husbandry.Rulebook;

/// <summary>Rules of a whole group of animals, e.g. tarantulas: what it is, its stages of life, and the rules of each feature.</summary>
/// <param name="Id">Identifier, e.g. <c>tarantula</c>.</param>
/// <param name="Name">Name of the group, plural.</param>
/// <param name="One">One animal of it.</param>
/// <param name="EggCase">What a pairing is to give, e.g. "sac"; none where nothing is paired.</param>
/// <param name="InstarMark">Letter before the instar number.</param>
/// <param name="InstarAtHatching">Number of the instar of an animal with no molt behind it.</param>
/// <param name="Shared">Whether several may live in one tank; others bite, eat or fight each other.</param>
/// <param name="Stages">Its stages of life, each with the care that it has.</param>
/// <param name="Growth">Rules of growth.</param>
/// <param name="Vigils">Rules of waits.</param>
/// <param name="Hardening">Rules of the days after a molt; none where no molts are followed.</param>
/// <param name="Feeding">Rules of meals.</param>
/// <param name="Water">Rules of water.</param>
/// <param name="Housing">Rules of enclosures.</param>
/// <param name="Nursery">Rules of rearing young; none where nobody rears them apart.</param>
/// <param name="Courtship">What is seen of a pairing; none where nothing is paired by hand.</param>
/// <param name="Air">Warmth and humidity that are right for it.</param>
public sealed record GroupRules(
    string Id,
    string Name,
    string One,
    string? EggCase,
    string InstarMark,
    int InstarAtHatching,
    Rule<bool> Shared,
    IReadOnlyList<StageRules> Stages,
    GrowthRules Growth,
    VigilRules Vigils,
    HardeningRules? Hardening,
    FeedingRules Feeding,
    WaterRules Water,
    HousingRules Housing,
    NurseryRules? Nursery,
    CourtshipRules? Courtship,
    AirRules Air
)
{
    /// <summary>Whether fangs must be seen black before it eats after a molt.</summary>
    [JsonIgnore]
    public bool ChecksFangs => Hardening?.FangCheck.Value == true;

    /// <summary>Whether a stage of life occurs in the group.</summary>
    public bool Has(Stage stage) => Find(stage) is not null;

    /// <summary>The care of a stage of life.</summary>
    /// <exception cref="InvalidOperationException">The stage does not occur in the group; <see cref="Has"/> says so.</exception>
    public StageRules At(Stage stage) =>
        Find(stage) ?? throw new InvalidOperationException($"The stage {stage} does not occur among {Name}.");

    // Asked many times in every judgement, so without a delegate.
    private StageRules? Find(Stage stage)
    {
        for (var i = 0; i < Stages.Count; i++)
        {
            if (Stages[i].Stage == stage)
            {
                return Stages[i];
            }
        }

        return null;
    }

    /// <summary>What is done at regular times at any of its stages.</summary>
    [JsonIgnore]
    public IEnumerable<UpkeepTask> Tasks => Stages.SelectMany(s => s.Upkeep);

    /// <summary>Whether it is kept as a colony: a nest of ants, a tub of isopods.</summary>
    [JsonIgnore]
    public bool IsColonial => Feeding.Diet is Diet.Litter or Diet.SugarAndProtein;

    /// <summary>What a keeper of this group calls a stage.</summary>
    public string StageWord(Stage stage) => Find(stage)?.Word ?? "adult";

    /// <summary>How long before the molt an imminent sign shows.</summary>
    [JsonIgnore]
    public EffectiveDays Imminent => new(Vigils.ImminentDays.Value);

    /// <summary>Whether something other than a molt is awaited in this group.</summary>
    public bool Knows(VigilKind vigil) => Vigils.OtherEnds.ContainsKey(vigil);

    /// <summary>Rules for an enclosure of a habit; the group's usual one where the habit has none of its own.</summary>
    public ContainerRules Container(Habit? habit) =>
        habit is { } h && Housing.Containers.TryGetValue(h, out var rules) ? rules : Housing.Containers.Values.First();
}

/// <summary>A stage of life with the care that it has; what it has none of is left out.</summary>
/// <param name="Stage">The stage, as stage-keyed rules call it.</param>
/// <param name="Word">What a keeper calls it.</param>
/// <param name="WaterWay">How water is given.</param>
/// <param name="Food">Its meals; none for what takes nothing.</param>
/// <param name="PremoltDays">Length of premolt; none where no molt is awaited.</param>
/// <param name="LarvaLitres">Room for one larva; none where larvae are not housed by volume.</param>
/// <param name="Upkeep">What is done at regular times besides food and water; empty for most.</param>
public sealed record StageRules(
    Stage Stage,
    string Word,
    Rule<WaterWay> WaterWay,
    StageFood? Food,
    Rule<double>? PremoltDays,
    Rule<double>? LarvaLitres,
    IReadOnlyList<UpkeepTask> Upkeep
);

/// <summary>Something that is done for an enclosure at regular times besides food and water.</summary>
/// <param name="Id">Written with the entry.</param>
/// <param name="Name">What it is about, in a word or two.</param>
/// <param name="Do">What to do.</param>
/// <param name="Done">The same in the past tense, for the journal.</param>
/// <param name="EveryDays">Days between two times.</param>
/// <param name="Care">The act of the hush table that it is; none for a look or a wipe that disturbs nobody.</param>
/// <param name="DoneBy">What else does it: <c>clean</c> when the whole enclosure was cleaned.</param>
/// <param name="OfColony">Whether it is only for a queen with workers.</param>
/// <param name="ForSitter">Whether somebody else may do it.</param>
public sealed record UpkeepTask(
    string Id,
    string Name,
    string Do,
    string Done,
    Rule<double> EveryDays,
    CareAct? Care,
    string? DoneBy,
    bool OfColony,
    bool ForSitter
)
{
    /// <summary>The only rule of a task, in the names of rules.</summary>
    public const string Interval = "everyDays";

    /// <summary>Most tasks of one stage.</summary>
    public const int MostOfStage = 2;
}

/// <summary>Meals of a stage of life.</summary>
/// <param name="Cadence">Days between meals.</param>
/// <param name="Retry">Days until food is offered again after a refusal.</param>
/// <param name="LivePreyHours">How long live prey may stay.</param>
/// <param name="Menu">What suits it, the first offered first: a feeder, or one class of it as <c>cricket/pinhead</c>.</param>
public sealed record StageFood(
    CadenceRule Cadence,
    Rule<double> Retry,
    Rule<double> LivePreyHours,
    IReadOnlyList<string> Menu
);

/// <summary>Rules of growth in a group.</summary>
/// <param name="SizePart">The part that the hobby calls the animal's size.</param>
/// <param name="HardPart">The hard part by which growth is followed.</param>
/// <param name="StageBy">What decides the stage: size, or the number of molts.</param>
/// <param name="MoltsFollowed">Whether molts of single animals are followed at all.</param>
/// <param name="AdultsMolt">Which adults molt again.</param>
/// <param name="SlingUntilMm">Size at which the youngest stage ends, where the species has no rule of its own.</param>
/// <param name="BodyPerSize">Body length per size, until the animal has measures of its own.</param>
/// <param name="HardPartPerBody">Hard part per body length, likewise.</param>
/// <param name="GrowthRatio">Usual ratio of hard parts from one molt to the next.</param>
/// <param name="SizeLimitMm">What counts as an absurd size on entry.</param>
/// <param name="Mass">Live mass from body length.</param>
/// <param name="Sexing">By what the sex can be told, and from when on.</param>
/// <param name="AdultLifeDays">Days an adult lives.</param>
public sealed record GrowthRules(
    BodyPart SizePart,
    BodyPart HardPart,
    StageBasis StageBy,
    Rule<bool> MoltsFollowed,
    Rule<AdultMolting> AdultsMolt,
    Rule<double> SlingUntilMm,
    Rule<double> BodyPerSize,
    Rule<double> HardPartPerBody,
    Rule<double> GrowthRatio,
    Rule<Range> SizeLimitMm,
    Rule<LengthMass> Mass,
    IReadOnlyDictionary<SexEvidence, SexingRule> Sexing,
    LifeBySex AdultLifeDays
);

/// <summary>Rules of waits in a group.</summary>
/// <param name="ImminentDays">How long before the molt an imminent sign shows.</param>
/// <param name="LongWait">What a wait longer than normal can mean for this animal; never "dig it up".</param>
/// <param name="Underground">Nights a buried animal stays down, by size; empty where none buries itself to molt.</param>
/// <param name="Waits">Waits other than for a molt that are much alike in the whole group; a species' own go first.</param>
/// <param name="OtherEnds">The ways in which a wait can end otherwise than hoped, by their ids, for every wait that the group knows besides molts.</param>
/// <param name="EmergenceWatch">What an adult needs as it comes out of its pupa, where that is watched for daily; none where it is not.</param>
public sealed record VigilRules(
    Rule<double> ImminentDays,
    Rule<string> LongWait,
    IReadOnlyList<SizedWait> Underground,
    IReadOnlyDictionary<VigilKind, Rule<WaitPrior>> Waits,
    IReadOnlyDictionary<VigilKind, IReadOnlyDictionary<string, OtherEndRules>> OtherEnds,
    Rule<string>? EmergenceWatch = null
);

/// <summary>Rules of the days after a molt in a group.</summary>
/// <param name="FirstMeal">Wait after a molt until the first meal.</param>
/// <param name="FangCheck">Whether the fangs must be seen black and hard as well.</param>
/// <param name="FangCheckLapses">After this many cautious waits nobody is asked to check any more.</param>
public sealed record HardeningRules(
    IReadOnlyList<FirstMealRule> FirstMeal,
    Rule<bool> FangCheck,
    Rule<double> FangCheckLapses
);

/// <summary>Rules of meals in a group.</summary>
/// <param name="Diet">What it lives on.</param>
/// <param name="Prey">Prey size and meal size; none for groups that take no prey.</param>
/// <param name="MatureMaleCadence">Factor on the adult cadence for mature males, who eat little.</param>
/// <param name="DeadPreyHours">How long pre-killed prey may stay, in a warm room.</param>
/// <param name="DeadPreyHoursCool">The same in a cool room.</param>
/// <param name="Condition">Limits of the condition score.</param>
/// <param name="ConditionByEye">Whether it has an abdomen that shows how well fed it is.</param>
/// <param name="MessyEater">Whether bits of a meal are taken out the night after.</param>
/// <param name="TraceForQueens">Whether a queen that founds on her reserves gets a trace of honey when she looks thin: a school; none where no queens are kept.</param>
/// <param name="PacePerFood">Waits between molts grow with this power of the days between meals.</param>
public sealed record FeedingRules(
    Diet Diet,
    PreyRules? Prey,
    Rule<double>? MatureMaleCadence,
    Rule<double> DeadPreyHours,
    Rule<double> DeadPreyHoursCool,
    ConditionRules? Condition,
    Rule<bool> ConditionByEye,
    Rule<bool> MessyEater,
    Rule<bool>? TraceForQueens,
    Rule<double> PacePerFood
);

/// <summary>Rules of water in a group.</summary>
/// <param name="WaterEveryDays">Days between fillings of the dish, or mistings, by moisture school.</param>
/// <param name="SlingWaterEveryDays">Days between drops for slings.</param>
/// <param name="DampSideInPremolt">Whether one side is damped once when premolt begins, by moisture school.</param>
public sealed record WaterRules(
    IReadOnlyDictionary<Moisture, Rule<double>> WaterEveryDays,
    Rule<double>? SlingWaterEveryDays,
    IReadOnlyDictionary<Moisture, Rule<bool>> DampSideInPremolt
);

/// <summary>Rules of enclosures in a group.</summary>
/// <param name="Containers">Least enclosure by habit; the first is the group's usual one.</param>
/// <param name="HazardUntilKnown">What an unlisted species counts as until its keeper says otherwise; none where it counts as harmless.</param>
public sealed record HousingRules(
    IReadOnlyDictionary<Habit, ContainerRules> Containers,
    Rule<Hazard>? HazardUntilKnown
);
