using Husbandry.Journal;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using MathNet.Numerics.Distributions;

namespace Husbandry.Upkeep;

/// <summary>How fast a tub uses up its calcium, beside others: learned from what was seen of every piece in it.</summary>
/// <param name="Shift">Mean of ln(days) beside the rulebook's; negative for a tub that is faster.</param>
/// <param name="Variance">Variance of that.</param>
/// <remarks>
/// ln T = ln p50 of the source + tub + piece; the tub's part is normal with a spread that is a rule, the piece's is what is left of the
/// source's spread, or a least one. What was seen tells T within an interval: longer than the age at the last look with plenty, and at
/// most so many times the age at the first look with some; gone between two looks. Its middle on the log scale is weighed by the width.
/// Source: house; the normal update is that of any textbook.
/// </remarks>
public readonly record struct CalciumPace(double Shift, double Variance)
{
    private const double LeastDays = 0.5;
    private const double JustBeyond = 1.1;
    private const double UniformVariance = 12;
    private const double NormalQuantile90 = 1.2815515655446004;

    /// <summary>The pace of a tub by everything on record of its pieces.</summary>
    public static CalciumPace Of(Subject tub)
    {
        ArgumentNullException.ThrowIfNull(tub);
        var rules = tub.Room.Rules.Room.Colonies;
        var prior = rules.TubSpread.Value * rules.TubSpread.Value;
        var (precision, weighted) = (1 / prior, 0.0);
        foreach (var piece in tub.Standing.Calcium)
        {
            if (rules.Source(piece.SourceId) is not { } source || Interval(piece, rules) is not ({ } low, { } high))
            {
                continue;
            }

            var spread = PieceSpread(source, rules);
            var width = Math.Log(high) - Math.Log(low);
            var weight = 1 / ((spread * spread) + (width * width / UniformVariance));
            precision += weight;
            weighted += weight * (((Math.Log(low) + Math.Log(high)) / 2) - Math.Log(source.Days.Value.P50));
        }

        return new CalciumPace(weighted / precision, 1 / precision);
    }

    /// <summary>Chance (0–1) that a piece that stands is gone by an instant.</summary>
    /// <param name="piece">The piece.</param>
    /// <param name="source">Its source.</param>
    /// <param name="rules">Rules of colonies.</param>
    /// <param name="at">The instant.</param>
    public double GoneBy(CalciumPiece piece, CalciumSource source, RoomColonyRules rules, DateTimeOffset at)
    {
        ArgumentNullException.ThrowIfNull(piece);
        ArgumentNullException.ThrowIfNull(source);
        var spread = PieceSpread(source, rules);
        var scale = Math.Sqrt((spread * spread) + Variance);
        var centre = Math.Log(source.Days.Value.P50) + Shift;
        double Within(double days) => days <= 0 ? 0 : Normal.CDF(centre, scale, Math.Log(days));
        var (low, high) = Bounds(piece, rules);
        var floor = Within(low);
        var ceiling = high is { } most ? Within(most) : 1;
        var age = Days(piece.PutAt, at);
        if (age <= low)
        {
            return 0;
        }

        // Where the prior says that neither can be, the time between the bounds is as likely throughout.
        return ceiling - floor < 1e-9
            ? high is { } end
                ? Math.Clamp((age - low) / Math.Max(LeastDays, end - low), 0, 1)
                : 1
            : Math.Clamp((Within(age) - floor) / (ceiling - floor), 0, 1);
    }

    /// <summary>Between which ages, days, a piece that stands will be gone by what was seen of it; no latest while there is plenty.</summary>
    private static (double Low, double? High) Bounds(CalciumPiece piece, RoomColonyRules rules)
    {
        var low = Days(piece.PutAt, piece.ThereAt);
        return (
            low,
            piece.SomeAt is { } some
                ? Math.Max(Days(piece.PutAt, some) * rules.SomeLastsTimes.Value, low * JustBeyond)
                : null
        );
    }

    /// <summary>Ages, days, between which a piece was or will be used up, where that is known on both sides.</summary>
    private static (double? Low, double? High) Interval(CalciumPiece piece, RoomColonyRules rules)
    {
        double Age(DateTimeOffset at) => Math.Max(LeastDays, Days(piece.PutAt, at));
        return piece.IsUsedUp ? (Age(piece.ThereAt), Age(piece.EndedAt!.Value))
            : piece.SomeAt is { } some ? (Age(piece.PlentyAt), Age(some) * rules.SomeLastsTimes.Value)
            : (null, null);
    }

    private static double PieceSpread(CalciumSource source, RoomColonyRules rules)
    {
        var whole = (Math.Log(source.Days.Value.P90) - Math.Log(source.Days.Value.P10)) / (2 * NormalQuantile90);
        var tub = rules.TubSpread.Value;
        return Math.Max(rules.PieceSpread.Value, Math.Sqrt(Math.Max(0, (whole * whole) - (tub * tub))));
    }

    private static double Days(DateTimeOffset from, DateTimeOffset to) => Math.Max(0, (to - from).TotalDays);
}
