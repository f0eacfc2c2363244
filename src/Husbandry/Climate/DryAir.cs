using Husbandry.Rulebook;

namespace Husbandry.Climate;

/// <summary>Vapour-pressure deficit of the air by day, kPa.</summary>
internal sealed record DryAir(IReadOnlyDictionary<int, double> DeficitKPa)
{
    public static DryAir Of(IEnumerable<ClimateReading> readings) =>
        new(
            readings
                .Where(r => r.RelativeHumidity is not null)
                .GroupBy(r => RoomClimate.Day(r.At))
                .ToDictionary(
                    g => g.Key,
                    g => g.Average(r => new MoistAir(r.TemperatureC, r.RelativeHumidity!.Value).DeficitKPa)
                )
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

    private List<double> Between(int from, int to) =>
        [.. Enumerable.Range(from, to - from + 1).Where(DeficitKPa.ContainsKey).Select(d => DeficitKPa[d])];
}
