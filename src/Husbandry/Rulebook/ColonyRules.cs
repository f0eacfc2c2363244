using System.Text.Json.Serialization;

namespace Husbandry.Rulebook;

/// <summary>Rules of colonies that hold for the whole room.</summary>
/// <param name="AdvisedHarvestShare">Share (0–1) of the largest lasting harvest that is advised.</param>
/// <param name="LeastSources">Standing sources of calcium that a tub has at least.</param>
/// <param name="WarnAheadDays">Days before calcium would be lacking by which it is seen to.</param>
/// <param name="WarnChance">Chance (0–1) of lacking it from which it is.</param>
/// <param name="TubSpread">Spread of ln(days) between tubs.</param>
/// <param name="PieceSpread">Least spread of ln(days) between pieces of one source in one tub.</param>
/// <param name="SomeLastsTimes">A piece of which only some is left is gone by so many times its age then.</param>
/// <param name="LookAgainNights">Nights for which a tub is not asked for again that was looked at and has enough.</param>
/// <param name="Calcium">Sources of calcium.</param>
/// <param name="Overlooked">Chance (0–1) that brood is there and overlooked at a peek by red light.</param>
/// <param name="SeasonShiftDays">Days by which the seasons here come later than in the north; about 182 in the south.</param>
/// <param name="NestMlPerWorker">Volume of a nest for each worker, mL.</param>
/// <param name="NestAheadTimes">A new nest is for so many times the workers there are.</param>
/// <param name="EggsPerDay">Eggs that a queen with few workers lays in a day.</param>
/// <param name="EggsPerWorker">Eggs that each worker adds to that, a day.</param>
/// <param name="WorkerLifeDays">Days that a worker lives.</param>
/// <param name="StageShape">Steps of which a stage of the brood is made in the model of growth.</param>
/// <param name="CountSpread">Spread of ln(count) of workers counted through glass.</param>
/// <param name="GrowthSpread">Spread of ln(workers) that no model foresees, after sixty days.</param>
/// <param name="BroodMealMg">Protein that a larva eats in a day, mg of fresh insect.</param>
/// <param name="MarkLastsDays">Days for which a paint mark counts: it is shed at the molt.</param>
/// <param name="InsuranceAt">Animals in a tub from which a second one is begun.</param>
/// <param name="Starter">Animals for a new tub.</param>
/// <param name="LeastToSplit">Animals below which nothing is taken.</param>
/// <param name="HeldPerLitre">Grown animals that a litre of a good tub holds in the long run.</param>
/// <param name="GrowthPerDay">Growth of a tub with room to spare, per day, before its own counts tell.</param>
/// <param name="FewYoungDays">Days without young seen after which that is a sign of trouble.</param>
/// <param name="PouchDays">Days for which isopods carry their young in the pouch.</param>
public sealed record RoomColonyRules(
    Rule<double> AdvisedHarvestShare,
    Rule<int> LeastSources,
    Rule<double> WarnAheadDays,
    Rule<double> WarnChance,
    Rule<double> TubSpread,
    Rule<double> PieceSpread,
    Rule<double> SomeLastsTimes,
    Rule<int> LookAgainNights,
    IReadOnlyList<CalciumSource> Calcium,
    Rule<double> Overlooked,
    Rule<int> SeasonShiftDays,
    Rule<double> NestMlPerWorker,
    Rule<double> NestAheadTimes,
    Rule<WaitPrior> EggsPerDay,
    Rule<double> EggsPerWorker,
    Rule<double> WorkerLifeDays,
    Rule<int> StageShape,
    Rule<double> CountSpread,
    Rule<double> GrowthSpread,
    Rule<double> BroodMealMg,
    Rule<int> MarkLastsDays,
    Rule<Range> InsuranceAt,
    Rule<Range> Starter,
    Rule<int> LeastToSplit,
    Rule<double> HeldPerLitre,
    Rule<double> GrowthPerDay,
    Rule<int> FewYoungDays,
    Rule<WaitPrior> PouchDays
)
{
    /// <summary>A source of calcium by id.</summary>
    public CalciumSource? Source(string id) => Calcium.FirstOrDefault(s => s.Id == id);
}

/// <summary>A source of calcium, in one form.</summary>
/// <param name="Id">Identifier.</param>
/// <param name="Name">Its name.</param>
/// <param name="IsPowder">Whether it is a fine powder.</param>
/// <param name="Counts">Whether it counts as a standing source.</param>
/// <param name="Prepare">What is to be done with it before; empty for nothing.</param>
/// <param name="Days">Days until one is used up.</param>
/// <param name="Goods">Goods of the larder of which it is taken; none where it is not bought in bulk.</param>
/// <param name="Dose">How much of them one takes, in their unit; none likewise.</param>
public sealed record CalciumSource(
    string Id,
    string Name,
    bool IsPowder,
    bool Counts,
    string Prepare,
    Rule<WaitPrior> Days,
    string? Goods = null,
    Rule<double>? Dose = null
);

/// <summary>How a species of ants founds, winters, flies and moves.</summary>
/// <param name="Eggs">From the catch to the first eggs.</param>
/// <param name="Larvae">From the first eggs to larvae.</param>
/// <param name="Pupae">From the first larvae to pupae.</param>
/// <param name="Workers">From the first pupae to workers.</param>
/// <param name="Flies">Nuptial flights, first and last day of the year (1–365) in the north.</param>
/// <param name="WintersFirst">Whether a queen that flew late lays only after her winter.</param>
/// <param name="Winter">Her winter rest; none where the species has none.</param>
/// <param name="MoveWorkers">Workers with which a colony moves out of its tube.</param>
/// <param name="SpinsCocoons">Whether the larvae spin, and need grains of sand for it.</param>
/// <param name="LargestWorkerMm">Length of the largest workers, mm: the bore of tubing goes by it.</param>
/// <param name="FinalWorkers">Workers of a grown colony.</param>
/// <param name="Queens">Queens of a colony, in words.</param>
public sealed record ColonyLife(
    Rule<WaitPrior> Eggs,
    Rule<WaitPrior> Larvae,
    Rule<WaitPrior> Pupae,
    Rule<WaitPrior> Workers,
    Rule<Range> Flies,
    Rule<bool> WintersFirst,
    AntWinterRules? Winter,
    Rule<Range> MoveWorkers,
    Rule<bool> SpinsCocoons,
    Rule<double> LargestWorkerMm,
    Rule<double> FinalWorkers,
    Rule<string> Queens
)
{
    /// <summary>The four stages of founding in turn.</summary>
    [JsonIgnore]
    public IReadOnlyList<Rule<WaitPrior>> Stages => [Eggs, Larvae, Pupae, Workers];
}

/// <summary>Winter rest of ants.</summary>
/// <param name="Weeks">Weeks of it.</param>
/// <param name="Celsius">Warmth of it, °C.</param>
/// <param name="FromDay">Day of the year (1–365) in the north on which it usually begins.</param>
public sealed record AntWinterRules(Rule<Range> Weeks, Rule<Range> Celsius, Rule<int> FromDay);
