namespace Husbandry.Colonies;

/// <summary>How many may be taken from a tub each day so that it does not dwindle.</summary>
/// <param name="MaximumPerDay">The growth of a half-full tub, animals per day: r·K ÷ 4, never below 0.</param>
/// <param name="AdvisedPerDay">Half of that, as neither figure is known well.</param>
/// <remarks>Source: logistic growth, Verhulst (1838); Schaefer (1954), Bull. Inter-Am. Trop. Tuna Comm. 1:27–56. Half of it: house.</remarks>
public sealed record SustainableHarvest(double MaximumPerDay, double AdvisedPerDay)
{
    /// <summary>The harvest.</summary>
    /// <param name="growthPerDay">Growth rate r of a tub with room to spare, per day; a shrinking one gives nothing.</param>
    /// <param name="capacity">Animals that the tub holds in the long run (K), &gt; 0.</param>
    /// <param name="advisedShare">Share of the most that is advised (0–1).</param>
    public static SustainableHarvest Of(double growthPerDay, double capacity, double advisedShare)
    {
        var most = Math.Max(0, growthPerDay * capacity / 4);
        return new SustainableHarvest(most, most * advisedShare);
    }
}
