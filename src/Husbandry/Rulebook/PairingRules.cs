using Husbandry.Reasons;

namespace Husbandry.Rulebook;

/// <summary>Rules of pairing that hold for the whole room.</summary>
/// <param name="LastSensibleShare">Share of the best day's chance that the last sensible day must still have.</param>
/// <param name="KinWarnAbove">Inbreeding of the young from which a pair is warned of.</param>
/// <param name="KinStopAbove">Inbreeding of the young from which a pair must be confirmed.</param>
/// <param name="HorizonDays">How far ahead the race is worked out.</param>
/// <param name="RetryNights">After so many nights a second try is made.</param>
/// <param name="UsualTries">How often a female is paired before she is left to wait.</param>
/// <param name="MeetNights">For how many nights two must be adult together.</param>
/// <param name="SteerWarmthC">By how much a warmer or cooler shelf is reckoned, °C; never further from the reference of the species.</param>
/// <param name="SteerFood">Factor on the days between meals, of feeding leaner.</param>
/// <param name="SteerOn">Nights from tonight from which steering may also begin.</param>
/// <param name="SteerWorth">Chance that must be gained before steering is proposed.</param>
/// <param name="LungesAbort">After so many lunges they are parted.</param>
/// <param name="WebHours">Hours after the pairing at which his web is looked for.</param>
/// <param name="WebEarlyShare">Share of that time by which an evening's look may come too early.</param>
/// <param name="RetryLapses">After so many times the nights to a second try it is not proposed any more.</param>
/// <param name="ShelfNoticedC">Shelves that differ by less are alike, °C.</param>
/// <param name="RaceNoticed">Chance that must be gained or lost before a what-if of the race is told.</param>
/// <param name="FedAfter">How both are fed afterwards, by school.</param>
/// <param name="Evidence">What tells whether a pairing took.</param>
/// <param name="FirstProject">What makes a species fit for a first pairing.</param>
/// <param name="WarmUp">When pupae are taken out of the cold, so that both sexes are out at once.</param>
public sealed record RoomPairingRules(
    Rule<double> LastSensibleShare,
    Rule<double> KinWarnAbove,
    Rule<double> KinStopAbove,
    Rule<int> HorizonDays,
    Rule<int> RetryNights,
    Rule<int> UsualTries,
    Rule<int> MeetNights,
    Rule<double> SteerWarmthC,
    Rule<double> SteerFood,
    Rule<IReadOnlyList<int>> SteerOn,
    Rule<double> SteerWorth,
    Rule<int> LungesAbort,
    Rule<IReadOnlyList<int>> WebHours,
    Rule<double> WebEarlyShare,
    Rule<double> RetryLapses,
    Rule<double> ShelfNoticedC,
    Rule<double> RaceNoticed,
    FedAfterRules FedAfter,
    PairingEvidenceRules Evidence,
    FirstProjectRules FirstProject,
    WarmUpRules WarmUp
);

/// <summary>How pupae are taken out of the cold so that both sexes are out at once.</summary>
/// <param name="NightsTogether">Nights for which two must be out together to count as a pair.</param>
/// <param name="LatestDays">For how many days after the first possible one any pupa is held back at most.</param>
/// <param name="StepDays">Days between the dates that are tried.</param>
/// <param name="Seasons">Seasons drawn to weigh a plan.</param>
/// <param name="Rounds">How often the plan is bettered pupa by pupa at most.</param>
/// <param name="WorthPairs">Pairs that holding one back must gain.</param>
/// <param name="MostPupae">Most pupae of a species that are planned together.</param>
/// <param name="CagePlaces">Adults for which there is room at once.</param>
public sealed record WarmUpRules(
    Rule<double> NightsTogether,
    Rule<int> LatestDays,
    Rule<int> StepDays,
    Rule<int> Seasons,
    Rule<int> Rounds,
    Rule<double> WorthPairs,
    Rule<int> MostPupae,
    Rule<int> CagePlaces
);

/// <summary>How a pair is fed after its pairing, by school.</summary>
/// <param name="Steady">The school of steady meals, in words.</param>
/// <param name="Extra">The school of a little extra, in words.</param>
/// <param name="ExtraCadence">Factor (&gt; 0) on the days between her meals in the school of a little extra.</param>
public sealed record FedAfterRules(Rule<string> Steady, Rule<string> Extra, Rule<double> ExtraCadence)
{
    /// <summary>What a school does, in words.</summary>
    public string Of(AfterPairingSchool school) => school == AfterPairingSchool.Extra ? Extra.Value : Steady.Value;
}

/// <summary>What makes a species fit for a first pairing.</summary>
/// <param name="EasyUntil">Difficulty of breeding (1–5) up to which it counts as calm and easy.</param>
/// <param name="MaleLivesFrom">Share of males that come out alive (0–1) from which he usually does.</param>
/// <param name="SacWithinDays">Usual wait up to which a sac comes soon.</param>
/// <param name="Named">How many species are named.</param>
public sealed record FirstProjectRules(
    Rule<int> EasyUntil,
    Rule<double> MaleLivesFrom,
    Rule<double> SacWithinDays,
    Rule<int> Named
);

/// <summary>
/// How much what is seen speaks for a pairing having taken: likelihood ratios, seen among those that took over seen among those
/// that did not. Of his webs both likelihoods are kept, as one male spins oftener than another.
/// </summary>
/// <param name="Ratios">Likelihood ratio (&gt; 0) by what was seen.</param>
/// <param name="ClueShown">Share (0–1) of the pairings in which a clue is seen, of those in which it is seen oftener.</param>
/// <param name="CluePriorPairings">How many pairings of the room the rulebook's likelihoods weigh as much as.</param>
/// <param name="WebCertain">A male's own share of looks with a web is held so far from 0 and from 1.</param>
/// <param name="NothingSeen">Of a pairing that was watched to its end, and no mating seen.</param>
/// <param name="WebEarly">Likelihood (0–1) of a new web at the first look, if they mated.</param>
/// <param name="WebLate">The same at the last.</param>
/// <param name="SpinsAnyway">Likelihood (0–1) of a new web in the same time, if they did not.</param>
/// <param name="SpinsAnywayLooks">How many looks of his own that stands for.</param>
public sealed record PairingEvidenceRules(
    IReadOnlyDictionary<PairingSight, Rule<double>> Ratios,
    Rule<double> ClueShown,
    Rule<double> CluePriorPairings,
    Rule<double> WebCertain,
    Rule<double> NothingSeen,
    Rule<double> WebEarly,
    Rule<double> WebLate,
    Rule<double> SpinsAnyway,
    Rule<double> SpinsAnywayLooks
);

/// <summary>What is seen of a pairing in a group.</summary>
/// <param name="Sights">What can be seen while they are together, in the order in which it mostly comes.</param>
/// <param name="Afterwards">What can be seen of her afterwards.</param>
/// <param name="SpermWeb">Whether males spin a sperm web.</param>
/// <param name="Ways">How a pair is put together, each with its steps; the first is the usual one.</param>
public sealed record CourtshipRules(
    IReadOnlyList<PairingSight> Sights,
    IReadOnlyList<PairingSight> Afterwards,
    Rule<bool> SpermWeb,
    IReadOnlyList<PairingWay> Ways
);

/// <summary>A way of putting a pair together.</summary>
/// <param name="Method">Which.</param>
/// <param name="Kit">What must be at hand.</param>
/// <param name="Before">Steps before they meet.</param>
/// <param name="Meanwhile">What to do, and not to do, while they are together.</param>
/// <param name="After">Steps when they are parted.</param>
/// <param name="Abort">When they are parted at once.</param>
/// <param name="Tag">How far it can be trusted.</param>
/// <param name="Source">Where it comes from.</param>
public sealed record PairingWay(
    PairingMethod Method,
    IReadOnlyList<string> Kit,
    IReadOnlyList<string> Before,
    IReadOnlyList<string> Meanwhile,
    IReadOnlyList<string> After,
    string Abort,
    RuleTag Tag,
    string Source
);

/// <summary>How two animals were put together.</summary>
public enum PairingMethod
{
    /// <summary>Put together and watched, then parted.</summary>
    Watched,

    /// <summary>Open tubs side by side, until one of them crosses.</summary>
    TubToTub,

    /// <summary>Both tubs open in a zipped net cage from lights out until morning.</summary>
    NetOvernight,

    /// <summary>Left together.</summary>
    LeftTogether,

    /// <summary>Shown to each other through a mesh or a pane.</summary>
    ThroughMesh,
}

/// <summary>At what time of the day moths and butterflies find each other.</summary>
public enum CallingHour
{
    /// <summary>At dusk and in the first hours of the dark.</summary>
    Evening,

    /// <summary>In the middle of the night or towards morning.</summary>
    Night,

    /// <summary>In daylight with some sun.</summary>
    Daylight,
}

/// <summary>What the rulebook knows of the pairing of a species.</summary>
/// <param name="Method">How a pair is put together.</param>
/// <param name="AfterMoltNights">Nights after her molt (to adult, or the last one) between which she is best paired.</param>
/// <param name="SacWait">Days from the pairing to the sac, ootheca, eggs or young.</param>
/// <param name="TakeRate">Share of pairings that give one if nothing comes between (0–1).</param>
/// <param name="MaleLives">Share of males that come out alive (0–1).</param>
/// <param name="MaleNights">Nights after his ultimate molt between which he is of use.</param>
/// <param name="Season">When of the year, or what season she needs first; none where any time will do.</param>
/// <param name="Programme">The cool or dry weeks that she is given first; none where none are.</param>
/// <param name="CallingHour">At what hour, of what flies.</param>
/// <param name="CasesPerPairing">Sacs, oothecae or clutches from one pairing.</param>
/// <param name="BroodSize">Young in one.</param>
public sealed record SpeciesPairing(
    Rule<PairingMethod> Method,
    Rule<Range> AfterMoltNights,
    Rule<WaitPrior> SacWait,
    Rule<double> TakeRate,
    Rule<double> MaleLives,
    Rule<Range> MaleNights,
    Rule<string>? Season,
    Rule<SeasonProgramme>? Programme,
    Rule<CallingHour>? CallingHour,
    Rule<Range> CasesPerPairing,
    Rule<Range> BroodSize
);

/// <summary>Weeks of another climate that a female is given before she is paired.</summary>
/// <param name="Weeks">How many weeks.</param>
/// <param name="Celsius">Between which temperatures, °C.</param>
/// <param name="Moisture">How damp her floor is kept meanwhile.</param>
/// <param name="Where">Where that is had.</param>
public sealed record SeasonProgramme(Range Weeks, Range Celsius, Moisture Moisture, string Where);
