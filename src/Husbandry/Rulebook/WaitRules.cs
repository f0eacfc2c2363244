namespace Husbandry.Rulebook;

/// <summary>A wait at a size of the animal.</summary>
public sealed record SizedWait(double SizeMm, Rule<WaitPrior> Wait);

/// <summary>What the lengths of a wait are counted in.</summary>
public enum WaitMeasure
{
    /// <summary>Days.</summary>
    Days,

    /// <summary>Multiples of the median of the wait as it is hoped to end.</summary>
    UsualWaits,
}

/// <summary>One way in which a wait can end otherwise than hoped: it has a share of its own, and a clock of its own.</summary>
/// <param name="Share">Share of all such waits that end so (0–1); none where every species has its own, as of pairings.</param>
/// <param name="Measure">What its clock counts in.</param>
/// <param name="Wait">Its clock: how long until it has ended so.</param>
public sealed record OtherEndRules(Rule<double>? Share, WaitMeasure Measure, Rule<WaitPrior> Wait);
