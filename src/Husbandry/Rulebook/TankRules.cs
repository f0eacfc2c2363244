namespace Husbandry.Rulebook;

/// <summary>Rules of shared tanks of land hermit crabs that hold for the whole room.</summary>
/// <param name="OpeningPerClaw">Width of a shell's opening for each mm of the large claw.</param>
/// <param name="SizesUp">A shell is in size up to so many times what the claw needs.</param>
/// <param name="ShellsEach">Empty shells to choose from, for each crab.</param>
/// <param name="PerhapsBuriedNights">Nights without being seen after which a crab is perhaps buried.</param>
/// <param name="FloorPerCrabCm2">Floor for each crab of the reference claw, cm².</param>
/// <param name="ReferenceClawMm">Claw for which that holds, mm; the floor goes with its square.</param>
/// <param name="DepthPerClaw">Depth of the floor for each mm of the largest claw, mm.</param>
/// <param name="LeastDepthMm">Depth of the floor at least, mm.</param>
/// <param name="SeasonDays">Mating season, first and last day of the year (1–365) in the north.</param>
public sealed record RoomTankRules(
    Rule<double> OpeningPerClaw,
    Rule<double> SizesUp,
    Rule<Range> ShellsEach,
    Rule<int> PerhapsBuriedNights,
    Rule<double> FloorPerCrabCm2,
    Rule<double> ReferenceClawMm,
    Rule<double> DepthPerClaw,
    Rule<double> LeastDepthMm,
    Rule<Range> SeasonDays
);
