using Husbandry.Rulebook;

namespace Husbandry.Climate;

/// <summary>A day of one instrument.</summary>
/// <param name="Day">Number of the UTC day.</param>
/// <param name="MeanC">Mean temperature, °C.</param>
/// <param name="MeanHumidity">Mean humidity, per cent; none where it was not read.</param>
public sealed record SensorDay(int Day, double MeanC, double? MeanHumidity);

/// <summary>An instrument that goes away from its neighbours.</summary>
/// <param name="ByC">By how much it reads more than before, against them, °C.</param>
/// <param name="ByHumidity">The same, per cent; none where humidity is not read.</param>
/// <param name="Since">About since when.</param>
/// <param name="OfHumidity">Whether it is the humidity that drifts.</param>
public sealed record SensorDrift(double ByC, double? ByHumidity, DateOnly Since, bool OfHumidity)
{
    // A difference must stand out from how it scatters from day to day: so many median deviations.
    private const double StandsOut = 4;
    private const int FewestDays = 7;

    /// <summary>
    /// Holds the last days of an instrument against the days before, each as the difference to the median of its neighbours.
    /// </summary>
    /// <param name="own">Its days.</param>
    /// <param name="neighbours">Days of the others, one list for each.</param>
    /// <param name="today">Number of the present UTC day.</param>
    /// <param name="rules">How much is too much.</param>
    /// <returns>None where it agrees as it always did, or where too little was read.</returns>
    /// <remarks>Neighbours' humidity is taken at its own warmth, from their vapour pressure. Source: house; FAO-56 eq. 11 for the pressure.</remarks>
    public static SensorDrift? Of(
        IReadOnlyList<SensorDay> own,
        IReadOnlyList<IReadOnlyList<SensorDay>> neighbours,
        int today,
        RoomAlarmRules rules
    )
    {
        var from = today - rules.DriftDays.Value - rules.DriftAgainstDays.Value;
        var others = neighbours.SelectMany(n => n).Where(d => d.Day >= from && d.Day < today).ToLookup(d => d.Day);
        var celsius = new List<(int Day, double By)>();
        var humidity = new List<(int Day, double By)>();
        foreach (var day in own.Where(d => d.Day >= from && d.Day < today && others.Contains(d.Day)))
        {
            celsius.Add((day.Day, day.MeanC - Median([.. others[day.Day].Select(o => o.MeanC)])));
            var damp = others[day.Day]
                .Where(o => o.MeanHumidity is not null)
                .Select(o => new MoistAir(o.MeanC, o.MeanHumidity!.Value).RelativeHumidityAt(day.MeanC))
                .ToList();
            if (day.MeanHumidity is { } own1 && damp.Count > 0)
            {
                humidity.Add((day.Day, own1 - Median(damp)));
            }
        }

        var byC = Shift(celsius, today, rules);
        var byHumidity = Shift(humidity, today, rules);
        var since = DateOnly.FromDayNumber(today - rules.DriftDays.Value);
        return byC is { } c && Math.Abs(c) >= rules.DriftC.Value ? new SensorDrift(c, byHumidity, since, false)
            : byHumidity is { } h && Math.Abs(h) >= rules.DriftHumidity.Value
                ? new SensorDrift(byC ?? 0, h, since, true)
            : null;
    }

    /// <summary>By how much the last days lie beside those before; none where that is no more than usual, or too little is known.</summary>
    private static double? Shift(List<(int Day, double By)> differences, int today, RoomAlarmRules rules)
    {
        var edge = today - rules.DriftDays.Value;
        var late = differences.Where(d => d.Day >= edge).Select(d => d.By).ToList();
        var before = differences.Where(d => d.Day < edge).Select(d => d.By).ToList();
        if (late.Count < rules.DriftDays.Value || before.Count < FewestDays)
        {
            return null;
        }

        var usual = Median(before);
        var scatter = Median([.. before.Select(b => Math.Abs(b - usual))]);
        var shift = Median(late) - usual;
        return Math.Abs(shift) >= StandsOut * scatter ? shift : null;
    }

    private static double Median(List<double> values)
    {
        values.Sort();
        var middle = values.Count / 2;
        return values.Count % 2 == 1 ? values[middle] : (values[middle - 1] + values[middle]) / 2;
    }
}
