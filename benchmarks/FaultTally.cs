using Husbandry.Climate;
using Husbandry.Rulebook;
using Worlds;

namespace Benchmarks;

/// <summary>How faults of made-up instruments were found; the tests run it too, on fewer of them.</summary>
/// <param name="Faults">Faults that were there.</param>
/// <param name="Found">Those found in time.</param>
/// <param name="FalseAlarms">Alarms without a fault.</param>
/// <param name="SensorQuarters">Sensors times quarters of a year.</param>
public sealed record FaultTally(int Faults, int Found, int FalseAlarms, double SensorQuarters)
{
    private const int MinutesADay = 1440;
    private const double QuarterDays = 91.3;
    private static readonly DateTimeOffset Start = new(2026, 1, 1, 0, 0, 0, TimeSpan.Zero);

    /// <summary>Watches instruments through their days, looking every ten minutes as the application looks every minute.</summary>
    public static FaultTally Of(IEnumerable<Air> instruments, int days, RoomAlarmRules rules)
    {
        var (faults, found, wrong, count) = (0, 0, 0, 0);
        foreach (var air in instruments)
        {
            count++;
            var (hits, misses) = Watch(air, days, rules);
            faults += air.Faults.Count;
            found += hits.Count(h => h);
            wrong += misses;
        }

        return new FaultTally(faults, found, wrong, count * days / QuarterDays);
    }

    private static (bool[] Hits, int Wrong) Watch(Air air, int days, RoomAlarmRules rules)
    {
        var hits = new bool[air.Faults.Count];
        var (track, wrong, calling) = (SensorTrack.Empty, 0, false);
        using var said = air.Says().GetEnumerator();
        var more = said.MoveNext();
        for (var minute = 10; minute < days * MinutesADay; minute += 10)
        {
            while (more && said.Current.Minute <= minute)
            {
                track = track.After(
                    new SensorReading(
                        Start.AddMinutes(said.Current.Minute),
                        said.Current.Celsius,
                        said.Current.Humidity
                    )
                );
                more = said.MoveNext();
            }

            var now = Start.AddMinutes(minute);
            var silent = track.SilentSince(now, rules) is not null;
            var stuck = !silent && track.StuckSince(rules) is not null;
            if (!silent && !stuck)
            {
                calling = false;
                continue;
            }

            // A gateway that comes back is late by as much as it was out of reach: an alarm just after a fault is still its own.
            var at = air.Faults.ToList().FindIndex(f => minute >= f.From && minute <= f.To + 60);
            if (at >= 0)
            {
                var fault = air.Faults[at];
                var within = fault.IsStuck ? (air.IsHeld ? 24 : 6) * 60 : 60;
                hits[at] |= stuck == fault.IsStuck && minute - fault.From <= within;
            }
            else if (!calling)
            {
                wrong++;
            }

            calling = true;
        }

        return (hits, wrong);
    }
}
