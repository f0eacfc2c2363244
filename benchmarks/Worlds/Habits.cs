namespace Worlds;

/// <summary>What a keeper does and writes down.</summary>
/// <param name="Name">Its name.</param>
/// <param name="LookEveryDays">Days between looks that are written down; none for hardly ever.</param>
/// <param name="FoundWithinDays">A molt is found at most so many days later, both days written down.</param>
/// <param name="MissesMolt">Share of molts that are never noticed.</param>
/// <param name="WritesMeals">Share of meals that are written down.</param>
/// <param name="Measures">Share of molts after which the length is taken.</param>
/// <param name="SeesSign">Chance to see a sign that is there.</param>
/// <param name="SeesWrong">Chance to see a sign that is none.</param>
/// <param name="BuysGrown">Share of animals that come half grown or adult, their last molt unknown.</param>
/// <param name="KnowsHatching">Share of those that come with a day of hatching.</param>
/// <param name="LosesPerYear">Share that dies or is sold in a year.</param>
/// <param name="MeanC">Mean warmth of the year, °C.</param>
/// <param name="SwingC">Half of the difference between summer and winter, K.</param>
/// <param name="ReadsEveryDays">Days between readings of the thermometer; none for never.</param>
public sealed record Habits(
    string Name,
    int? LookEveryDays,
    int FoundWithinDays,
    double MissesMolt,
    double WritesMeals,
    double Measures,
    double SeesSign,
    double SeesWrong,
    double BuysGrown,
    double KnowsHatching,
    double LosesPerYear,
    double MeanC,
    double SwingC,
    int? ReadsEveryDays
)
{
    /// <summary>Six kinds of keeper.</summary>
    public static IReadOnlyList<Habits> All { get; } =
    [
        new("looks weekly", 7, 1, 0.01, 0.95, 0.7, 0.75, 0.03, 0.2, 0.3, 0.08, 24.5, 1.5, 3),
        new("seldom writes", null, 21, 0.05, 0.15, 0.1, 0.5, 0.05, 0.3, 0.1, 0.1, 24, 1, null),
        new("misses molts", 10, 6, 0.2, 0.6, 0.3, 0.6, 0.04, 0.2, 0.2, 0.1, 24, 1.5, 14),
        new("buys them grown", 10, 3, 0.03, 0.8, 0.5, 0.7, 0.04, 0.85, 0.4, 0.1, 25, 1, 7),
        new("cold winters", 9, 2, 0.03, 0.8, 0.5, 0.7, 0.04, 0.3, 0.3, 0.1, 22.5, 4, 2),
        new("sees signs everywhere", 5, 2, 0.03, 0.9, 0.4, 0.8, 0.25, 0.3, 0.3, 0.15, 25, 1.5, 7),
    ];
}
