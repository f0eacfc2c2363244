using Husbandry.Rulebook;

namespace Husbandry.Climate;

/// <summary>Degree-days of a part of the room: done by what was read, and to come by the season.</summary>
/// <param name="Done">°C·d from the first day to today, by what was read.</param>
/// <param name="Unread">Days in that time on which nothing was read: they count for nothing.</param>
/// <param name="Ahead">°C·d day by day from tomorrow on, added up.</param>
public sealed record WarmDays(double Done, int Unread, IReadOnlyList<double> Ahead)
{
    /// <summary>Sums warmth above a threshold. Source: mean method, common practice.</summary>
    /// <param name="climate">What was read.</param>
    /// <param name="zone">Part of the room.</param>
    /// <param name="baseC">Threshold, °C.</param>
    /// <param name="from">First day.</param>
    /// <param name="days">How far to look ahead, days.</param>
    /// <param name="rules">What is to be expected.</param>
    /// <param name="now">The present instant.</param>
    public static WarmDays Of(
        RoomClimate climate,
        string zone,
        double baseC,
        DateOnly from,
        int days,
        RoomClimateRules rules,
        DateTimeOffset now
    )
    {
        ArgumentNullException.ThrowIfNull(climate);
        var today = DateOnly.FromDateTime(now.UtcDateTime);
        var (done, unread) = (0.0, 0);
        for (var day = from; day <= today; day = day.AddDays(1))
        {
            if (climate.ReadOn(zone, day).Celsius is { } mean)
            {
                done += Warmth(mean, baseC);
            }
            else
            {
                unread++;
            }
        }

        var (sum, ahead) = (0.0, new List<double>());
        for (var i = 1; i <= days; i++)
        {
            if (climate.ExpectedC(zone, today.AddDays(i), rules, now) is not { } expected)
            {
                break;
            }

            sum += Warmth(expected, baseC);
            ahead.Add(sum);
        }

        return new WarmDays(done, unread, ahead);
    }

    private static double Warmth(double mean, double baseC) =>
        DegreeDays.Of(new DayTemperatures(mean, mean), baseC, null, DegreeDayMethod.Average);
}
