namespace Husbandry.Rulebook;

/// <summary>Rules that hold for the whole room, each feature with its own.</summary>
/// <param name="Rounds">Those of the evening round and the almanac.</param>
/// <param name="Growth">Those of growth and condition.</param>
/// <param name="Signs">Those of what signs and appetite tell.</param>
/// <param name="Lessons">Those of what waits teach.</param>
/// <param name="Climate">Those of warmth and dryness.</param>
/// <param name="Feeding">Those of meals.</param>
/// <param name="Water">Those of water.</param>
/// <param name="Housing">Those of enclosures.</param>
/// <param name="Pairing">Those of pairing.</param>
/// <param name="Nursery">Those of rearing.</param>
/// <param name="Plants">Those of leaf and the plants it comes from.</param>
/// <param name="Colonies">Those of tubs and nests that nobody can count.</param>
/// <param name="Tanks">Shared tanks.</param>
public sealed record RoomRules(
    RoundRules Rounds,
    RoomGrowthRules Growth,
    RoomSignRules Signs,
    RoomLessonRules Lessons,
    RoomClimateRules Climate,
    RoomFeedingRules Feeding,
    RoomWaterRules Water,
    RoomHousingRules Housing,
    RoomPairingRules Pairing,
    RoomNurseryRules Nursery,
    RoomPlantRules Plants,
    RoomColonyRules Colonies,
    RoomTankRules Tanks
);

/// <summary>Rules of the evening round and the almanac.</summary>
/// <param name="SecondsPerAct">Time for one enclosure by act, for the estimate.</param>
/// <param name="LongestActSeconds">Longest time between two entries that still counts as the time of an act.</param>
/// <param name="PacePriorActs">Acts for which the rulebook's time stands when the keeper's own are counted.</param>
/// <param name="PaceEntries">Newest entries from which the pace of rounds is learned.</param>
/// <param name="WaterAskedFrom">Enclosures without water on record from which it is asked once for all.</param>
/// <param name="AlmanacWeeks">How far the almanac looks ahead.</param>
/// <param name="EmergenceAheadNights">So many nights before one in ten is out pupae are looked at daily.</param>
/// <param name="SexLookNights">So many nights after a molt that shows the sex it is asked for.</param>
public sealed record RoundRules(
    IReadOnlyDictionary<string, Rule<double>> SecondsPerAct,
    Rule<double> LongestActSeconds,
    Rule<double> PacePriorActs,
    Rule<int> PaceEntries,
    Rule<int> WaterAskedFrom,
    Rule<int> AlmanacWeeks,
    Rule<int> SexLookNights,
    Rule<int> EmergenceAheadNights
);

/// <summary>Rules of growth and condition.</summary>
/// <param name="UsualGrowthRatio">Growth ratio where nothing is known of the species.</param>
/// <param name="ConditionLastsDays">How long a condition score says something of today.</param>
/// <param name="SlingShareOfMolts">End of the sling stage as a share of the molts to adult, where no size is known.</param>
/// <param name="ShrinkageSteps">Weight of the species' growth ratio, in molt steps.</param>
/// <param name="MissedMoltChance">Prior chance that a step hides one more molt than recorded.</param>
/// <param name="StepNoiseFloor">Least spread of ln(ratio) around its mean.</param>
/// <param name="StepRatioPriorSd">Spread of the usual ln(ratio) around the group's.</param>
/// <param name="NearlyAdultMolts">Molts that may be lacking to the adult size and no more are counted.</param>
public sealed record RoomGrowthRules(
    Rule<double> UsualGrowthRatio,
    Rule<double> ConditionLastsDays,
    Rule<double> SlingShareOfMolts,
    Rule<double> ShrinkageSteps,
    Rule<double> MissedMoltChance,
    Rule<double> StepNoiseFloor,
    Rule<double> StepRatioPriorSd,
    Rule<double> NearlyAdultMolts
);

/// <summary>Rules of what signs and appetite tell.</summary>
/// <param name="HelpCallNights">For how many nights after it a sign that needs help still calls for it.</param>
/// <param name="ReadingLooksBackDays">A look without a sign counts for this long.</param>
/// <param name="SignsLapse">After this many lengths of premolt a sign counts no more.</param>
/// <param name="ImminentSignsLapse">After this many usual waits an imminent sign counts no more.</param>
/// <param name="LookWithoutSign">Likelihood ratio of a look that shows no sign.</param>
/// <param name="LookAgainNights">For so many nights after a look another one tells nothing.</param>
/// <param name="WorthALookNights">Nights by which a look must narrow a window to be worth it.</param>
/// <param name="WorthALookShare">Share of the window by which it must.</param>
/// <param name="LooksProposed">Looks that the round proposes at most.</param>
/// <param name="SignPriorSpans">Weight of the rulebook's likelihood ratio of a sign, in premolts.</param>
/// <param name="SignShown">Share of premolts in which a sign of a strength is seen, before anything was counted.</param>
/// <param name="RefusedInPremolt">Share of offers turned down in premolt.</param>
/// <param name="RefusedPriorOffers">Weight of that share, in offers.</param>
/// <param name="AppetitePrior">Share of offers taken outside premolt, before anything was counted.</param>
/// <param name="AppetitePriorOffers">Weight of that share, in offers.</param>
/// <param name="RefusalsCap">Greatest odds that refusals together may give.</param>
/// <param name="ForecastSpeaksAbove">Chance of premolt above which an open lantern says why it differs.</param>
/// <param name="ForecastDoubtsBelow">Chance of premolt below which signs that make a verdict are said to be early.</param>
/// <param name="AppetiteMost">Greatest share of offers that any animal is believed to take.</param>
/// <param name="AppetiteLeast">Least share.</param>
/// <param name="PremoltEdge">How sharply premolt begins, as a power of the time before the molt in lengths of premolt.</param>
/// <param name="ImminentEdge">The same of the last hours.</param>
public sealed record RoomSignRules(
    Rule<int> HelpCallNights,
    Rule<double> ReadingLooksBackDays,
    Rule<double> SignsLapse,
    Rule<double> ImminentSignsLapse,
    Rule<double> LookWithoutSign,
    Rule<int> LookAgainNights,
    Rule<double> WorthALookNights,
    Rule<double> WorthALookShare,
    Rule<int> LooksProposed,
    Rule<double> SignPriorSpans,
    IReadOnlyDictionary<SignStrength, Rule<double>> SignShown,
    Rule<double> RefusedInPremolt,
    Rule<double> RefusedPriorOffers,
    Rule<double> AppetitePrior,
    Rule<double> AppetitePriorOffers,
    Rule<double> RefusalsCap,
    Rule<double> ForecastSpeaksAbove,
    Rule<double> ForecastDoubtsBelow,
    Rule<double> AppetiteMost,
    Rule<double> AppetiteLeast,
    Rule<double> PremoltEdge,
    Rule<double> ImminentEdge
);

/// <summary>Rules of what waits teach.</summary>
/// <param name="RoomShare">Share of a prior's variance that is how far this room's animals lie from the rulebook.</param>
/// <param name="BetweenAnimalsShare">Share of it that is how much animals of a species differ in one room.</param>
/// <param name="BetweenPriorAnimals">Weight of that share, in animals.</param>
/// <param name="PartShare">Share of it that is how much an eighth of growing up, or adulthood, differs from the room as a whole.</param>
/// <param name="NeighbourParts">Correlation of two neighbouring eighths, 0–1.</param>
/// <param name="OddWaitShare">Share of waits that are something else, such as the molt of another animal.</param>
/// <param name="OddWaitSpreads">How far off these may be, in spreads of a wait.</param>
/// <param name="AdultUnmarked">Share of molts to adult that are written down without saying so.</param>
/// <param name="AdultUnmarkedOnArrival">Share of animals that come as adults and are not written down as such.</param>
/// <param name="AdultSaidFrom">Chance from which it is said that an animal may be adult already.</param>
/// <param name="MissedMoltSpread">Most of the rulebook's variance by which a wait is told from two of which the molt between went unseen.</param>
/// <param name="Unforeseen">Share of the variance that is added for what no record tells, once the room's own waits have replaced the rulebook's.</param>
/// <param name="MissedMoltShare">Share of waits that hide a molt nobody saw, before the room has taught its own.</param>
/// <param name="MissedMoltWaits">Weight of that share, in waits.</param>
/// <param name="WithinWaits">Weight of the rulebook's spread of one animal's waits, in waits.</param>
/// <param name="LearningKappa">Weight of a prior median, in intervals.</param>
/// <param name="LearningAlpha">Shape of the prior on the spread.</param>
/// <param name="LongerThanNormal">Quantile beyond which a wait is longer than normal.</param>
/// <param name="UnknownWait">A wait of which the rulebook knows nothing: an honest shrug.</param>
/// <param name="OtherEndPriorWaits">Weight of the rulebook's share of waits that end otherwise than hoped, in waits.</param>
/// <param name="ColdFrom">Day of the year on which pupae are put in the cold.</param>
/// <param name="ColdStillBegins">Days after it within which a cold that has not begun still begins this winter.</param>
/// <param name="ColdFromSpread">Standard deviation of that.</param>
/// <param name="ColdLasts">How long they stay there, as a multiple of what they need.</param>
/// <param name="ColdLastsSpread">Standard deviation of that.</param>
/// <param name="WinterPriorPupae">Weight of these, in pupae of the room.</param>
/// <param name="SurfacedNights">For how many nights a crab is left in peace after it came up.</param>
public sealed record RoomLessonRules(
    Rule<double> RoomShare,
    Rule<double> BetweenAnimalsShare,
    Rule<double> BetweenPriorAnimals,
    Rule<double> PartShare,
    Rule<double> NeighbourParts,
    Rule<double> OddWaitShare,
    Rule<double> OddWaitSpreads,
    Rule<double> AdultUnmarked,
    Rule<double> AdultUnmarkedOnArrival,
    Rule<double> AdultSaidFrom,
    Rule<double> MissedMoltSpread,
    Rule<double> Unforeseen,
    Rule<double> MissedMoltShare,
    Rule<double> MissedMoltWaits,
    Rule<double> WithinWaits,
    Rule<double> LearningKappa,
    Rule<double> LearningAlpha,
    Rule<double> LongerThanNormal,
    Rule<WaitPrior> UnknownWait,
    Rule<double> OtherEndPriorWaits,
    Rule<int> ColdFrom,
    Rule<double> ColdStillBegins,
    Rule<double> ColdFromSpread,
    Rule<double> ColdLasts,
    Rule<double> ColdLastsSpread,
    Rule<double> WinterPriorPupae,
    Rule<double> SurfacedNights
);

/// <summary>Rules of warmth and dryness.</summary>
/// <param name="SlowestPace">Least effective days that a day counts for.</param>
/// <param name="FastestPace">Most effective days that a day counts for.</param>
/// <param name="LevelDays">Days whose mean is the present level of warmth.</param>
/// <param name="CourseDays">Days before and after over which the course of former years is smoothed.</param>
/// <param name="AnomalyDays">Days in which what is warmer or cooler than the season fades to a third.</param>
/// <param name="DryDays">Days whose air is held against that before them.</param>
/// <param name="DryAgainstDays">Days before them.</param>
/// <param name="DryFewestDays">Fewest of these on which it must have been read.</param>
/// <param name="ColdBelowC">A day counts as winter cold when its mean is no warmer, where the species has no limit of its own, °C.</param>
/// <param name="ZoneFadeDays">Days in which what a place was warmer than the room around it fades to a third, once it is not read there.</param>
/// <param name="WinterC">Warmth of a winter box, °C.</param>
/// <param name="DampShare">Share of the floor that is damp where one side is.</param>
/// <param name="Drying">Water that a damp floor loses by the way air comes in, mL per cm², day and kPa of deficit.</param>
/// <param name="Alarms">When what is read is an alarm.</param>
/// <param name="WorthMovingC">An animal that stands so far outside its right warmth is better moved, °C.</param>
public sealed record RoomClimateRules(
    Rule<double> SlowestPace,
    Rule<double> FastestPace,
    Rule<int> LevelDays,
    Rule<int> CourseDays,
    Rule<double> AnomalyDays,
    Rule<int> DryDays,
    Rule<int> DryAgainstDays,
    Rule<int> DryFewestDays,
    Rule<double> ColdBelowC,
    Rule<double> ZoneFadeDays,
    Rule<Range> WinterC,
    Rule<double> DampShare,
    IReadOnlyDictionary<string, Rule<double>> Drying,
    RoomAlarmRules Alarms,
    Rule<double> WorthMovingC
);

/// <summary>Rules of meals.</summary>
/// <param name="SettleDays">Nights before a new arrival is first fed.</param>
/// <param name="VarietyShareLimit">No feeder above this share of the last meals.</param>
/// <param name="MealsRemembered">How many last meals are looked at.</param>
/// <param name="FattyShareLimit">Share of the last meals above which fat-rich feeders are held back.</param>
/// <param name="CoolBelowC">Room temperature below which dead prey keeps longer, °C.</param>
/// <param name="CadencePerPaceLimit">Greatest factor by which warmth changes the days between meals.</param>
/// <param name="OldFromShareOfLife">Share of its adult life from which an animal is old.</param>
/// <param name="OldCadence">Factor on the days between meals of an old animal.</param>
/// <param name="ProteinEveryDays">Days between two proteins for an ant colony.</param>
/// <param name="WorkersPerPiece">Workers for each piece of protein.</param>
/// <param name="VialRestsAfter">Meals left in a row after which a vial of a brood is passed over.</param>
/// <param name="NotEatingAfter">Cadences after which not eating is explained.</param>
/// <param name="CoolBelowPace">Share of its usual pace below which coolness explains a small appetite.</param>
/// <param name="OffersThatTell">Offers of a feeder from which a dislike shows.</param>
/// <param name="DislikedBelow">Share taken below which a feeder is disliked.</param>
/// <param name="PiecesOfOne">Pieces that one animal on record was cut into.</param>
/// <param name="LeafDaysSoft">Days that soft leaf stays fit to eat.</param>
/// <param name="LeafDaysWoody">Days that woody leaf does.</param>
/// <param name="BitsNights">Nights for which the bits of a meal are asked for.</param>
/// <param name="ChoicesForVariety">Possible foods from which variety is looked at.</param>
/// <param name="ShortLifeDays">Longest adult life that is counted in days.</param>
public sealed record RoomFeedingRules(
    Rule<double> SettleDays,
    Rule<double> VarietyShareLimit,
    Rule<int> MealsRemembered,
    Rule<double> FattyShareLimit,
    Rule<double> CoolBelowC,
    Rule<double> CadencePerPaceLimit,
    Rule<double> OldFromShareOfLife,
    Rule<double> OldCadence,
    Rule<double> ProteinEveryDays,
    Rule<double> WorkersPerPiece,
    Rule<int> VialRestsAfter,
    Rule<double> NotEatingAfter,
    Rule<double> CoolBelowPace,
    Rule<int> OffersThatTell,
    Rule<double> DislikedBelow,
    Rule<int> PiecesOfOne,
    Rule<double> LeafDaysSoft,
    Rule<double> LeafDaysWoody,
    Rule<int> BitsNights,
    Rule<int> ChoicesForVariety,
    Rule<double> ShortLifeDays
);

/// <summary>Rules of water.</summary>
/// <param name="MistDriestFactor">Greatest factor by which dry or damp air changes the days between two mistings.</param>
/// <param name="ColdMistDays">Days between light mistings of pupae in the cold.</param>
/// <param name="ClaustralLookDays">Days between looks at a queen that founds on her reserves.</param>
/// <param name="SemiClaustralVisitDays">Days between visits to a queen that is fed.</param>
/// <param name="WinterLookDays">Days between looks at the water of ants in their winter rest.</param>
/// <param name="LowTubeDays">Days until a tube seen low is looked at again.</param>
public sealed record RoomWaterRules(
    Rule<double> MistDriestFactor,
    Rule<double> ColdMistDays,
    Rule<double> ClaustralLookDays,
    Rule<double> SemiClaustralVisitDays,
    Rule<double> WinterLookDays,
    Rule<double> LowTubeDays
);

/// <summary>Rules of enclosures.</summary>
/// <param name="QuarantineNights">Nights that new stock stands apart.</param>
/// <param name="RehouseAheadDays">How far ahead moves into larger enclosures are planned.</param>
/// <param name="MostFloorShare">Share of an enclosure that may be floor.</param>
/// <param name="TubRoomierBy">How much wider than needed one size for several animals may be.</param>
/// <param name="MoltsAhead">Molts for which it is looked ahead whether an enclosure is outgrown.</param>
public sealed record RoomHousingRules(
    Rule<int> QuarantineNights,
    Rule<double> RehouseAheadDays,
    Rule<double> MostFloorShare,
    Rule<double> TubRoomierBy,
    Rule<int> MoltsAhead
);
