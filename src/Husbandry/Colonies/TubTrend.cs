using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using MathNet.Numerics.Distributions;

namespace Husbandry.Colonies;

/// <summary>One count of a tub, or an index of one.</summary>
/// <param name="Night">When.</param>
/// <param name="Value">How many, or the mean of equal scoops.</param>
/// <param name="Low">Lower end, 95 in 100.</param>
/// <param name="High">Upper end.</param>
public sealed record TubNumber(DateOnly Night, double Value, double Low, double High);

/// <summary>How a tub grows, by repeated counts of one kind.</summary>
/// <param name="Counts">The counts, in order.</param>
/// <param name="IsIndex">Whether they are scoops: they tell growth, and not how many there are.</param>
/// <param name="PerDay">Growth of ln(animals) in a day.</param>
/// <param name="Low">Lower end of that, 8 in 10.</param>
/// <param name="High">Upper end.</param>
public sealed record TubTrend(IReadOnlyList<TubNumber> Counts, bool IsIndex, double PerDay, double Low, double High)
{
    private const double Z80 = 1.2815515655446004;
    private const double Z95 = 1.959964;
    private const double Fewest = 0.5;

    // Spread of ln(count) by how it was counted, where no range was said.
    private const double LeastSpread = 0.05;

    /// <summary>The trend of a tub; none before two counts of one kind, some days apart.</summary>
    public static Answer<TubTrend>? Of(Subject tub)
    {
        ArgumentNullException.ThrowIfNull(tub);
        var counts = CountsOf(tub);
        var scoops = ScoopsOf(tub);
        var index = counts.Count < 2 && scoops.Count >= 2;
        var used = index ? scoops : counts;
        if (used.Count < 2 || used[^1].Night.DayNumber - used[0].Night.DayNumber < 1)
        {
            return null;
        }

        var (slope, error) = Slope(used);
        var trend = new TubTrend(used, index, slope, slope - (Z80 * error), slope + (Z80 * error));
        return new Answer<TubTrend>(trend, Says(trend), [Why(trend)]);
    }

    /// <summary>Counts of the tub: one by one, from marked ones, from a part, in a picture.</summary>
    public static IReadOnlyList<TubNumber> CountsOf(Subject tub)
    {
        ArgumentNullException.ThrowIfNull(tub);
        return
        [
            .. tub
                .Standing.Counts.Where(c =>
                    c is { Change: CountChange.Counted, Taken: { Container: null, Count: > 0 } }
                )
                .Select(c => Records(c, tub)),
        ];
    }

    private static TubNumber Records(CountEvent c, Subject tub)
    {
        var taken = c.Taken!;
        var spread =
            taken.Method == CountMethod.ByEye
                ? Math.Log(tub.Room.Rules.Room.Nursery.EyeSeesOneIn.Value)
                : LeastSpread * Z95;
        return new TubNumber(
            tub.Night(c.At),
            taken.Count,
            taken.Low ?? taken.Count * Math.Exp(-spread),
            taken.High ?? taken.Count * Math.Exp(spread)
        );
    }

    /// <summary>Means of equal scoops with their intervals. Source: Student's t for the mean of a small sample.</summary>
    public static IReadOnlyList<TubNumber> ScoopsOf(Subject tub)
    {
        ArgumentNullException.ThrowIfNull(tub);
        return
        [
            .. tub.Standing.Colony.Scoops.Select(s =>
            {
                var mean = s.Each.Average();
                var sd = Math.Sqrt(s.Each.Sum(n => (n - mean) * (n - mean)) / (s.Each.Count - 1));
                var half = StudentT.InvCDF(0, 1, s.Each.Count - 1, 0.975) * sd / Math.Sqrt(s.Each.Count);
                return new TubNumber(tub.Night(s.At), mean, Math.Max(0, mean - half), mean + half);
            }),
        ];
    }

    /// <summary>Weighted least squares of ln(count) on days. Source: Draper &amp; Smith (1998), Applied Regression Analysis, ch. 9.</summary>
    private static (double Slope, double Error) Slope(IReadOnlyList<TubNumber> counts)
    {
        List<(double Day, double Ln, double Weight)> points =
        [
            .. counts.Select(c =>
            {
                var sd = Math.Max(
                    LeastSpread,
                    Math.Log(Math.Max(Fewest, c.High) / Math.Max(Fewest, c.Low)) / (2 * Z95)
                );
                return ((double)c.Night.DayNumber, Math.Log(Math.Max(Fewest, c.Value)), 1 / (sd * sd));
            }),
        ];
        var weight = points.Sum(p => p.Weight);
        var day = points.Sum(p => p.Weight * p.Day) / weight;
        var ln = points.Sum(p => p.Weight * p.Ln) / weight;
        var squares = points.Sum(p => p.Weight * (p.Day - day) * (p.Day - day));
        return (points.Sum(p => p.Weight * (p.Day - day) * (p.Ln - ln)) / squares, 1 / Math.Sqrt(squares));
    }

    private static string Says(TubTrend t)
    {
        static string Percent(double perDay) => $"{100 * double.ExpM1(7 * perDay):0.#}";
        return t.Low > 0 ? $"Growing by {Percent(t.PerDay)} in 100 a week ({Percent(t.Low)} to {Percent(t.High)})."
            : t.High < 0 ? $"Shrinking by {Percent(-t.PerDay)} in 100 a week ({Percent(-t.High)} to {Percent(-t.Low)})."
            : $"Neither growth nor loss is certain yet ({Percent(t.Low)} to {Percent(t.High)} in 100 a week).";
    }

    private static Reason Why(TubTrend t) =>
        Reason.FromRecord(
            "Counts",
            $"{t.Counts.Count} {(t.IsIndex ? "counts of equal scoops: they tell growth, not how many there are" : "counts")}, each weighed by its range; the ends hold 8 times in 10.",
            t.IsIndex ? "record.scooped" : "record.counted"
        );
}
