namespace Husbandry.Rulebook;

/// <summary>What the rulebook knows of the caterpillars of a species.</summary>
/// <param name="TogetherUntil">Instar up to which they keep company; 0 where each lives for itself from the egg.</param>
/// <param name="LeafOfLifeG">Leaf that one eats from hatching to pupating, g, without what spoils.</param>
/// <param name="Hosts">Plants that it takes, the best first.</param>
/// <param name="HostMayChange">Whether it takes another of them midway.</param>
/// <param name="MalesEarlierDays">Days by which males come out before the females.</param>
public sealed record LarvaRules(
    Rule<int> TogetherUntil,
    Rule<double> LeafOfLifeG,
    Rule<IReadOnlyList<string>> Hosts,
    Rule<bool> HostMayChange,
    Rule<double> MalesEarlierDays
);

/// <summary>Rules of leaf and the plants it comes from that hold for the whole room.</summary>
/// <param name="MassRatio">How much more a larva eats in each instar than in the one before.</param>
/// <param name="SpoilsSoft">Factor (≥ 1) on what is eaten, for soft leaf that wilts and is left.</param>
/// <param name="SpoilsWoody">The same for woody leaf.</param>
/// <param name="ReadyBeforeDays">Days before the first hatch by which leaf must be there.</param>
/// <param name="DaysAhead">Days for which leaf is reckoned ahead.</param>
/// <param name="BoxOf">Larvae in one box by the usual school, and at most.</param>
public sealed record RoomPlantRules(
    Rule<double> MassRatio,
    Rule<double> SpoilsSoft,
    Rule<double> SpoilsWoody,
    Rule<double> ReadyBeforeDays,
    Rule<int> DaysAhead,
    Rule<Range> BoxOf
);
