namespace Husbandry.Rulebook;

/// <summary>What the rulebook knows of the caterpillars of a species.</summary>
/// <param name="TogetherUntil">Instar up to which they keep company; 0 where each lives for itself from the egg.</param>
/// <param name="LeafOfLifeG">Leaf that one eats from hatching to pupating, g, without what spoils.</param>
/// <param name="Hosts">Plants that it takes, the best first.</param>
/// <param name="HostMayChange">Whether it takes another of them midway.</param>
/// <param name="MalesEarlierDays">Days by which males come out before the females.</param>
/// <param name="ComesOut">When of the day most adults come out, e.g. "in the morning"; none where nobody knows.</param>
/// <param name="Looks">What is seen of the grown larva.</param>
/// <param name="Cues">How it looks instar by instar; empty where nobody wrote that down.</param>
public sealed record LarvaRules(
    Rule<int> TogetherUntil,
    Rule<double> LeafOfLifeG,
    Rule<IReadOnlyList<string>> Hosts,
    Rule<bool> HostMayChange,
    Rule<double> MalesEarlierDays,
    Rule<string>? ComesOut = null,
    Rule<IReadOnlyList<LarvaLook>>? Looks = null,
    IReadOnlyList<InstarCue>? Cues = null
);

/// <summary>What the larvae of a species look like in an instar.</summary>
/// <param name="Instar">The instar, from 1.</param>
/// <param name="Looks">How it looks, in words.</param>
public sealed record InstarCue(int Instar, Rule<string> Looks);

/// <summary>How larvae are kept.</summary>
public enum BoxSchool
{
    /// <summary>In a box with a tight lid: leaf stays fresh.</summary>
    TightLid,

    /// <summary>In a box with a vented or mesh lid: drier, leaf wilts sooner.</summary>
    Vented,

    /// <summary>On cut stems in water, the neck plugged.</summary>
    StemsInWater,

    /// <summary>In a sleeve or a floorless cage on a living plant.</summary>
    LivingPlant,

    /// <summary>In a bare jar with a sprig: frass falls clear.</summary>
    Jar,
}

/// <summary>One way of keeping larvae.</summary>
/// <param name="Id">Identifier, as of the school.</param>
/// <param name="School">The school.</param>
/// <param name="Name">In two or three words.</param>
/// <param name="Way">What to mind with it.</param>
/// <param name="LeafSoftDays">Days after which soft leaf is changed, or looked at on the plant.</param>
/// <param name="LeafWoodyDays">The same for woody leaf.</param>
/// <param name="FrassDays">Days between two times of taking the frass out.</param>
/// <param name="Of">Larvae in one by the usual school, and at most.</param>
public sealed record BoxSchoolRules(
    string Id,
    BoxSchool School,
    string Name,
    Rule<string> Way,
    Rule<double> LeafSoftDays,
    Rule<double> LeafWoodyDays,
    Rule<double> FrassDays,
    Rule<Range> Of
);

/// <summary>What is seen of a caterpillar, by which an unknown one is told.</summary>
public enum LarvaLook
{
    /// <summary>A horn on its tail.</summary>
    TailHorn,

    /// <summary>Branched spines.</summary>
    Spines,

    /// <summary>Warts or knobs with bristles.</summary>
    Warts,

    /// <summary>Soft fleshy horns or pegs.</summary>
    FleshyPegs,

    /// <summary>Long hair all over.</summary>
    Hairy,

    /// <summary>Smooth and bare.</summary>
    Smooth,

    /// <summary>Green.</summary>
    Green,

    /// <summary>Black, or nearly.</summary>
    Black,

    /// <summary>Pale, white or waxy blue.</summary>
    Pale,

    /// <summary>Rings or bands of another colour.</summary>
    Banded,

    /// <summary>Slanting stripes on its sides.</summary>
    SlantStripes,

    /// <summary>Many together in a web.</summary>
    InWeb,

    /// <summary>Pushes a forked scent horn out behind its head when touched.</summary>
    ScentFork,
}

/// <summary>Rules of leaf and the plants it comes from that hold for the whole room.</summary>
/// <param name="MassRatio">How much more a larva eats in each instar than in the one before.</param>
/// <param name="SpoilsSoft">Factor (≥ 1) on what is eaten, for soft leaf that wilts and is left.</param>
/// <param name="SpoilsWoody">The same for woody leaf.</param>
/// <param name="ReadyBeforeDays">Days before the first hatch by which leaf must be there.</param>
/// <param name="DaysAhead">Days for which leaf is reckoned ahead.</param>
/// <param name="BoxOf">Larvae in one box by the usual school, and at most.</param>
/// <param name="PotGrams">Leaf on a full pot, g.</param>
/// <param name="PotRegrowthShare">Share of that which grows again in a week.</param>
/// <param name="PotWaterDays">Days between two waterings of a pot.</param>
/// <param name="PotBuyDays">Days from buying a pot until it can be fed from.</param>
/// <param name="PotSowDays">Days from sowing until a pot can be fed from.</param>
/// <param name="CutKeepsSoft">Days for which soft leaf keeps, washed, bagged and cold.</param>
/// <param name="CutKeepsWoody">The same for woody leaf.</param>
/// <param name="CutMinutes">Minutes to go out, cut, wash and bag leaf.</param>
/// <param name="PlantFits">Looks that a plant it takes counts for, in guessing an unknown larva.</param>
/// <param name="PlantAgainst">Looks that one it is not known to take counts against it.</param>
/// <param name="Boxes">Ways of keeping larvae.</param>
/// <param name="VentedFrom">Instar from which a vented lid is advised instead of a tight one.</param>
/// <param name="LastInstarLeafDays">Days after which leaf of the last instar is looked at, however it is kept.</param>
/// <param name="HoleShare">Width of a hole through which none gets, as a share of the length of the smallest.</param>
/// <param name="SickWatchNights">Nights after sick ones were seen for which their box is tended last and the others are watched.</param>
/// <param name="HeadCapsule">What a molt leaves in the frass, in words.</param>
public sealed record RoomPlantRules(
    Rule<double> MassRatio,
    Rule<double> SpoilsSoft,
    Rule<double> SpoilsWoody,
    Rule<double> ReadyBeforeDays,
    Rule<int> DaysAhead,
    Rule<Range> BoxOf,
    Rule<double> PotGrams,
    Rule<double> PotRegrowthShare,
    Rule<double> PotWaterDays,
    Rule<double> PotBuyDays,
    Rule<double> PotSowDays,
    Rule<double> CutKeepsSoft,
    Rule<double> CutKeepsWoody,
    Rule<double> CutMinutes,
    Rule<double> PlantFits,
    Rule<double> PlantAgainst,
    IReadOnlyList<BoxSchoolRules> Boxes,
    Rule<int> VentedFrom,
    Rule<double> LastInstarLeafDays,
    Rule<double> HoleShare,
    Rule<int> SickWatchNights,
    Rule<string> HeadCapsule
)
{
    /// <summary>A way of keeping larvae.</summary>
    public BoxSchoolRules? Box(BoxSchool school) => Boxes.FirstOrDefault(b => b.School == school);
}
