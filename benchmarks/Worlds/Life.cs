namespace Worlds;

/// <summary>One wait of a life, as it truly was.</summary>
/// <param name="From">When it began, in days of the world.</param>
/// <param name="To">When it ended.</param>
/// <param name="Molts">Molts behind the animal while it waited.</param>
/// <param name="MeanWarmDays">Mean length of such waits of the population, days of warmth.</param>
/// <param name="Pupa">Whether it is the rest of a pupa, in the warm.</param>
/// <param name="Premolt">When premolt began; the end where it has none.</param>
public sealed record TrueWait(double From, double To, int Molts, double MeanWarmDays, bool Pupa, double Premolt);

/// <summary>The true life of an animal, of which a keeper sees a part.</summary>
/// <param name="Kind">Its kind.</param>
/// <param name="Own">Its own pace: factor on all its waits.</param>
/// <param name="Waits">Its waits, from hatching on.</param>
/// <param name="IsMale">Its sex.</param>
/// <param name="MoltsToAdult">After how many molts it is adult.</param>
/// <param name="ColdFrom">When its pupa was put in the cold; none if it never was.</param>
/// <param name="ColdTo">When it was taken out.</param>
/// <param name="WithinShape">
/// Shape of its waits about their mean: gamma, coefficient of variation 1/√shape, where the product has a lognormal or a Student t on
/// the log scale.
/// </param>
public sealed record Life(
    Kind Kind,
    double Own,
    IReadOnlyList<TrueWait> Waits,
    bool IsMale,
    int MoltsToAdult,
    double? ColdFrom,
    double? ColdTo,
    double WithinShape
)
{
    /// <summary>Shape of animals about the mean of their kind: gamma, coefficient of variation 0.17.</summary>
    public const double BetweenShape = 34;

    private const int Adulthood = 6;

    /// <summary>Lives one life.</summary>
    /// <param name="kind">Its kind.</param>
    /// <param name="roomFactor">Factor of the room on all waits of the kind.</param>
    /// <param name="hatched">Day of hatching.</param>
    /// <param name="weather">The room's weather.</param>
    /// <param name="scatter">Coefficient of variation of its waits about their mean.</param>
    /// <param name="draws">Where chance comes from.</param>
    public static Life Of(Kind kind, double roomFactor, double hatched, Weather weather, double scatter, Draws draws)
    {
        var shape = 1 / (scatter * scatter);
        var own = draws.Gamma(BetweenShape);
        var male = draws.Chance(0.45);
        var toAdult = kind.MoltsToAdult - (male && kind.Group != "moth" ? 1 : 0);
        var last = kind.AdultsMolt && !(male && kind.Group != "hermit-crab") ? toAdult + Adulthood : toAdult;
        var (waits, at) = (new List<TrueWait>(), hatched);
        for (var molts = 0; molts < last; molts++)
        {
            var mean = roomFactor * kind.DaysAfter(Math.Min(molts, molts >= toAdult ? kind.MoltsToAdult : molts));
            var length = mean * own * draws.Gamma(shape);
            var premolt = weather.After(kind, at, length * (1 - (kind.PremoltShare * draws.Gamma(shape))));
            var end = weather.After(kind, at, length);
            waits.Add(new TrueWait(at, end, molts, mean, false, Math.Min(premolt, end)));
            at = end;
        }

        if (kind.PupaDays is not { } pupa)
        {
            return new Life(kind, own, waits, male, toAdult, null, null, shape);
        }

        // Put in the cold in late autumn, as its keeper does; most a little longer than it needs.
        double? coldFrom = null;
        double? coldTo = null;
        var warmFrom = at;
        if (kind.ChillDays > 0)
        {
            // A pupa made in winter goes there at once.
            var autumn = (Math.Floor((at - 300) / 365.25) * 365.25) + 300 + draws.Between(0, 30);
            coldFrom = Math.Max(at + 5, at - autumn > 100 ? autumn + 365.25 : autumn);
            coldTo = coldFrom + (kind.ChillDays * draws.Between(1, 1.35));
            warmFrom = coldTo.Value;
        }

        var rest = roomFactor * pupa;
        waits.Add(
            new TrueWait(
                warmFrom,
                weather.After(kind, warmFrom, rest * own * draws.Gamma(shape)),
                toAdult,
                rest,
                true,
                double.MaxValue
            )
        );
        return new Life(kind, own, waits, male, toAdult, coldFrom, coldTo, shape);
    }
}
