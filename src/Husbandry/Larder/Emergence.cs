using Husbandry.Climate;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Larder;

/// <summary>What a culture gives and when: a triangle from the first day over the peak to the last.</summary>
/// <remarks>
/// Source of the days: the rulebook's cultures. The triangle is a house pick: it needs nothing but the three days that
/// keepers know. In the cold a culture stands still, and what would have hatched halves every so many days.
/// </remarks>
public static class Emergence
{
    /// <summary>Share of all its animals (0–1) that have come by an age in days at the usual warmth.</summary>
    public static double Share(CultureRules rules, double age)
    {
        var (first, peak, end) = (rules.FirstDays.Value, rules.PeakDays.Value, rules.EndDays.Value);
        return age <= first ? 0
            : age >= end ? 1
            : age <= peak ? (age - first) * (age - first) / ((end - first) * (peak - first))
            : 1 - ((end - age) * (end - age) / ((end - first) * (end - peak)));
    }

    /// <summary>Age in warm days at an instant: stays in the cold stand still, warmth counts by Q10.</summary>
    /// <param name="culture">The culture.</param>
    /// <param name="at">The instant.</param>
    /// <param name="pace">Warm days that one day out of the cold is worth.</param>
    public static double Age(Culture culture, DateTimeOffset at, double pace) =>
        culture.AgeDays + (Math.Max(0, (at - culture.StartedAt).TotalDays - ColdDays(culture, at)) * pace);

    /// <summary>Share of what is still to come that the cold has left able to hatch (0–1).</summary>
    public static double Viable(Culture culture, CultureRules rules, DateTimeOffset at) =>
        rules.ColdHoldsDays is { } holds ? Math.Pow(0.5, ColdDays(culture, at) / holds.Value)
        : ColdDays(culture, at) > 0 ? 0
        : 1;

    /// <summary>Animals expected between two instants from a culture that stands.</summary>
    public static double Between(
        Culture culture,
        CultureRules rules,
        DateTimeOffset from,
        DateTimeOffset to,
        double pace
    )
    {
        var share = Share(rules, Age(culture, to, pace)) - Share(rules, Age(culture, from, pace));
        return Math.Max(0, share) * culture.Pots * rules.Yield.Value * Viable(culture, rules, to);
    }

    /// <summary>Warm days that one day at a temperature is worth to a culture.</summary>
    public static double Pace(LarderRules rules, double? celsius) =>
        celsius is { } t ? Math.Pow(rules.CultureQ10.Value, (t - rules.CultureC.Value) / 10) : 1;

    /// <summary>Night on which a culture that stays warm from now on reaches an age in warm days; past ones too.</summary>
    public static DateOnly NightAt(Culture culture, double ageDays, Room room)
    {
        var pace = Pace(room.Rules.Larder, room.RecentC);
        return room.Tonight.AddDays((int)Math.Ceiling((ageDays - Age(culture, room.Now, pace)) / pace));
    }

    /// <summary>Days that a culture has stood in the cold by an instant.</summary>
    public static double ColdDays(Culture culture, DateTimeOffset at) =>
        culture.Cold.Sum(c => Math.Max(0, ((c.To is { } to && to < at ? to : at) - c.From).TotalDays));
}
