namespace Husbandry.Rulebook;

/// <summary>Rules of rearing young in a group.</summary>
/// <param name="Keeping">How the young are kept, in a sentence.</param>
/// <param name="CasesChill">Whether egg cases may be given a winter; none where they are not.</param>
/// <param name="TakenDays">Days after laying between which a sac may be taken from its mother; none where it is left, or needs none of her.</param>
/// <param name="ApartFrom">Instar from which each lives alone; none where they may stay together.</param>
/// <param name="ApartBeforeMolt">Whether that is done before the molt into that instar, as they eat each other from it on; else after it, when they hunt.</param>
/// <param name="Vial">What each of them goes into; none where they may stay together.</param>
/// <param name="Seed">Small cleaners that each vial is given before; none where none are.</param>
/// <param name="EatsFrom">Instar from which they eat; none where they do from the first.</param>
/// <param name="LeaveFrom">Instar before which no young leaves its keeper; none where no such instar is known.</param>
/// <param name="LeaveBetterFrom">Instar from which they travel well; none likewise.</param>
/// <param name="EarlyLoss">Share (0–1) that is lost in each instar before they are hardy.</param>
/// <param name="HardyFrom">Instar from which they are hardy.</param>
/// <param name="LaterLoss">Share (0–1) that is lost in each instar after that.</param>
/// <param name="SearchIn">Where those are looked for that are missing at a clean-out.</param>
/// <param name="LookAt">What to look at where more are lost than usual.</param>
public sealed record NurseryRules(
    Rule<string> Keeping,
    Rule<bool>? CasesChill,
    Rule<Range>? TakenDays,
    Rule<int>? ApartFrom,
    Rule<bool>? ApartBeforeMolt,
    Rule<VialKind>? Vial,
    Rule<VialSeed>? Seed,
    Rule<int>? EatsFrom,
    Rule<int>? LeaveFrom,
    Rule<int>? LeaveBetterFrom,
    Rule<double> EarlyLoss,
    Rule<int> HardyFrom,
    Rule<double> LaterLoss,
    Rule<string> SearchIn,
    Rule<string> LookAt
)
{
    /// <summary>Share (0–1) that the rulebook expects to be lost in an instar.</summary>
    public double LossIn(int instar) => instar < HardyFrom.Value ? EarlyLoss.Value : LaterLoss.Value;
}

/// <summary>A small container for one young.</summary>
/// <param name="Name">What it is, e.g. "a vial of about 30 mL".</param>
/// <param name="WidthMm">Its width, mm.</param>
public sealed record VialKind(string Name, double WidthMm);

/// <summary>Small cleaners that a vial is given before its young: they eat mold and leftovers.</summary>
/// <param name="What">What they are, e.g. "springtails".</param>
/// <param name="FeederId">The feeder of the rulebook that they are, so that the room's own culture is known.</param>
/// <param name="Each">How many for one vial.</param>
public sealed record VialSeed(string What, string FeederId, int Each);

/// <summary>Rules of rearing that hold for the whole room.</summary>
/// <param name="EyeSeesOneIn">Of a brood guessed by eye there may be so many times as many.</param>
/// <param name="BodiesScatter">Scatter of the weights of young of one brood, as a share of their mean.</param>
/// <param name="WorseFrom">From how many spreads above the usual losses a brood is called worse.</param>
/// <param name="ComparedFrom">Animals of earlier broods from which they are what a brood is measured by.</param>
/// <param name="SecondLookNights">So many nights a second look for missing young is on the round.</param>
/// <param name="ApartAheadNights">So many nights before a molt that ends their living together it is on the round.</param>
/// <param name="ApartSeconds">Seconds to put one young into its vial.</param>
/// <param name="MotherAfterNights">So many nights after her brood a mother is followed in the nursery.</param>
/// <param name="TakesUnknown">Share of pairings that take where the rulebook knows nothing of the species.</param>
/// <param name="FliesEach">Small feeders for one hatchling at a meal, while nobody has measured any.</param>
/// <param name="VialPitch">Width of shelf that a vial takes, in widths of the vial.</param>
/// <param name="SurplusEggs">What is done with eggs beyond those wanted.</param>
/// <param name="SurplusYoung">What is done with young beyond those wanted.</param>
/// <param name="WaveDays">Finds outside so many days apart are one wave, and a wave is looked for as long after its last find.</param>
public sealed record RoomNurseryRules(
    Rule<double> EyeSeesOneIn,
    Rule<double> BodiesScatter,
    Rule<double> WorseFrom,
    Rule<int> ComparedFrom,
    Rule<int> SecondLookNights,
    Rule<int> ApartAheadNights,
    Rule<double> ApartSeconds,
    Rule<int> MotherAfterNights,
    Rule<double> TakesUnknown,
    Rule<double> FliesEach,
    Rule<double> VialPitch,
    Rule<string> SurplusEggs,
    Rule<string> SurplusYoung,
    Rule<int> WaveDays
);
