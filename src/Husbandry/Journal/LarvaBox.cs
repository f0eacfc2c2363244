using Husbandry.Rulebook;

namespace Husbandry.Journal;

/// <summary>How larvae are kept.</summary>
/// <param name="At">Since when.</param>
/// <param name="School">The way.</param>
/// <param name="Litres">Volume of the box, litres, where it was said.</param>
/// <param name="HoleMm">Width of its widest hole, mm; 0 where it has none; none where it was not said.</param>
/// <param name="Lining">What lies on its floor, in the keeper's words.</param>
/// <param name="Numbers">How many were in each box then, where there are several and that was said.</param>
public sealed record BoxEvent(
    DateTimeOffset At,
    BoxSchool School,
    double? Litres = null,
    double? HoleMm = null,
    string? Lining = null,
    IReadOnlyList<int>? Numbers = null
);

/// <summary>What is seen of young that do not thrive. Source: handbook of the trade, common practice.</summary>
public enum SickSign
{
    /// <summary>Slow, does not eat.</summary>
    Sluggish,

    /// <summary>Frass that runs.</summary>
    RunnyFrass,

    /// <summary>Shrunken or limp.</summary>
    Shrunken,

    /// <summary>Dark, soft, hanging down.</summary>
    DarkAndSoft,

    /// <summary>Only coloured otherwise than the rest: no sickness by itself.</summary>
    OddColour,
}

/// <summary>A look at young for those that do not thrive.</summary>
/// <param name="At">When.</param>
/// <param name="Signs">What was seen.</param>
/// <param name="Count">How many of them, where that was said.</param>
public sealed record SickEvent(DateTimeOffset At, IReadOnlyList<SickSign> Signs, int? Count = null);
