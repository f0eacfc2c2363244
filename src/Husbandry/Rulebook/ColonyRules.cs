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
public sealed record RoomColonyRules(
    Rule<double> AdvisedHarvestShare,
    Rule<int> LeastSources,
    Rule<double> WarnAheadDays,
    Rule<double> WarnChance,
    Rule<double> TubSpread,
    Rule<double> PieceSpread,
    Rule<double> SomeLastsTimes,
    Rule<int> LookAgainNights,
    IReadOnlyList<CalciumSource> Calcium
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
public sealed record CalciumSource(
    string Id,
    string Name,
    bool IsPowder,
    bool Counts,
    string Prepare,
    Rule<WaitPrior> Days
);
