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
/// <param name="MarksThatTell">So many marks on one that came up tell a molt.</param>
/// <param name="AfterNights">Nights of extra food and calcium after a molt.</param>
/// <param name="Burial">How one that buries itself is kept safe.</param>
/// <param name="LooseEggsHours">Hours after a transfer at which loose eggs are looked for.</param>
/// <param name="AttachedEggsHours">Hours after it at which attached ones are.</param>
/// <param name="CarriedDays">Days for which eggs are carried.</param>
/// <param name="Salinity">Salt water of the second pool, g of salt in a kg.</param>
public sealed record RoomTankRules(
    Rule<double> OpeningPerClaw,
    Rule<double> SizesUp,
    Rule<Range> ShellsEach,
    Rule<int> PerhapsBuriedNights,
    Rule<double> FloorPerCrabCm2,
    Rule<double> ReferenceClawMm,
    Rule<double> DepthPerClaw,
    Rule<double> LeastDepthMm,
    Rule<Range> SeasonDays,
    Rule<int> MarksThatTell,
    Rule<int> AfterNights,
    Rule<BurialSchool> Burial,
    Rule<double> LooseEggsHours,
    Rule<Range> AttachedEggsHours,
    Rule<Range> CarriedDays,
    Rule<double> Salinity
);

/// <summary>How a crab that buries itself is kept safe from others.</summary>
public enum BurialSchool
{
    /// <summary>Left where it is; a sleeve round it when others dig at it.</summary>
    LeaveAndSleeve,

    /// <summary>Into a tank of its own before it digs, when the signs are seen in time.</summary>
    Isolate,
}
