namespace Husbandry.Climate;

/// <summary>Vapour-pressure deficit of the air by day, kPa.</summary>
internal sealed record DryAir(IReadOnlyDictionary<int, double> DeficitKPa)
{
    private const int RecentDays = 2;
    private const int FormerDays = 28;
    private const int FewestFormerDays = 3;

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
    public double? Factor(int day)
    {
        var recent = Between(day - RecentDays + 1, day);
        var former = Between(day - RecentDays - FormerDays + 1, day - RecentDays);
        return recent.Count > 0 && former.Count >= FewestFormerDays && former.Average() > 0
            ? recent.Average() / former.Average()
            : null;
    }

    private List<double> Between(int from, int to) =>
        [.. Enumerable.Range(from, to - from + 1).Where(DeficitKPa.ContainsKey).Select(d => DeficitKPa[d])];
}
