namespace Worlds;

/// <summary>
/// The best that can be said of the end of a wait by somebody who knows more than any record tells: bounds for every
/// forecaster.
/// </summary>
public static class Knowing
{
    private const int Animals = 15;
    private const int Steps = 400;
    private const double FurthestTimes = 4;

    private static readonly (double Own, double Weight)[] Paces = Drawn();

    /// <summary>Quantiles in days from a day on, by one who knows the animal's own pace and the weather to come.</summary>
    public static double[] TheAnimal(World world, Life life, TrueWait wait, double day, double[] chances) =>
        Left(world, life, wait, day, chances, [(life.Own, 1)]);

    /// <summary>The same by one who knows the kind and the room, but not the animal.</summary>
    public static double[] TheKind(World world, Life life, TrueWait wait, double day, double[] chances) =>
        Left(world, life, wait, day, chances, Paces);

    /// <summary>Paces of equal chance, read off many draws from the true family.</summary>
    private static (double Own, double Weight)[] Drawn()
    {
        const int Each = 200;
        var draws = new Draws(1);
        var many = Enumerable.Range(0, Animals * Each).Select(_ => draws.Gamma(Life.BetweenShape)).Order().ToList();
        return [.. Enumerable.Range(0, Animals).Select(k => (many[(k * Each) + (Each / 2)], 1.0))];
    }

    private static double[] Left(
        World world,
        Life life,
        TrueWait wait,
        double day,
        double[] chances,
        (double Own, double Weight)[] paces
    )
    {
        var kind = life.Kind;
        var elapsed = world.Weather.Between(kind, wait.From, Math.Max(wait.From, day));
        var step = wait.MeanWarmDays * FurthestTimes / Steps;
        var density = new double[Steps];
        for (var k = 0; k < Steps; k++)
        {
            var warm = elapsed + ((k + 0.5) * step);
            density[k] = paces.Sum(p => p.Weight * Density(warm, wait.MeanWarmDays * p.Own, life.WithinShape));
        }

        var total = density.Sum();
        var start = Math.Max(day, wait.From);
        return
        [
            .. chances.Select(p =>
            {
                var (sum, k) = (0.0, 0);
                while (k < Steps - 1 && sum + density[k] < p * total)
                {
                    sum += density[k++];
                }

                var warm = (k + (density[k] > 0 ? ((p * total) - sum) / density[k] : 0)) * step;
                return world.Weather.After(kind, start, warm) - day;
            }),
        ];
    }

    /// <summary>Density of a gamma wait up to a constant that is the same for all days of one pace.</summary>
    private static double Density(double warm, double mean, double shape)
    {
        var x = warm / mean;
        return Math.Exp(((shape - 1) * Math.Log(Math.Max(1e-9, x))) - (shape * (x - 1))) / mean;
    }
}
