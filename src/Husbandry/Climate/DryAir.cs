using Husbandry.Rulebook;

namespace Husbandry.Climate;

/// <summary>Vapour-pressure deficit of the air by day, kPa.</summary>
internal sealed record DryAir(IReadOnlyDictionary<int, double> DeficitKPa)
{
    public static DryAir Of(IEnumerable<ZoneDay> days) =>
        new(
            days.Where(d => d.MeanHumidity is not null)
                .ToDictionary(d => d.Day, d => new MoistAir(d.MeanC, d.MeanHumidity!.Value).DeficitKPa)
        );

    /// <summary>The last days over those before; none when either were not read.</summary>
    public double? Factor(int day, RoomClimateRules rules)
    {
        var (last, before) = (rules.DryDays.Value, rules.DryAgainstDays.Value);
        var recent = Between(day - last + 1, day);
        var former = Between(day - last - before + 1, day - last);
        return recent.Count > 0 && former.Count >= rules.DryFewestDays.Value && former.Average() > 0
            ? recent.Average() / former.Average()
            : null;
    }

    /// <summary>The newest of the last week; none where there is none.</summary>
    public double? Newest(int day)
    {
        const int Week = 7;
        return Between(day - Week + 1, day) is [.., var newest] ? newest : null;
    }

    private List<double> Between(int from, int to) =>
        [.. Enumerable.Range(from, to - from + 1).Where(DeficitKPa.ContainsKey).Select(d => DeficitKPa[d])];
}
