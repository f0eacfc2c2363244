namespace Worlds;

/// <summary>
/// A queen who founds in a tube. Her stages last gamma times about 10 in 100 longer than the keepers' books say, queens differ by a
/// lognormal factor of spread 0.15, and at a peek by red light one stage in fifteen is overlooked.
/// </summary>
public sealed class MadeQueen
{
    private const double Longer = 1.1;
    private const double Spread = 0.15;
    private const double Overlooked = 1.0 / 15;
    private static readonly (double Days, double Shape)[] Stages = [(8, 6), (11, 20), (14, 12), (16, 20)];

    private readonly double[] begins = new double[4];
    private readonly Draws draws;

    /// <summary>Draws a queen.</summary>
    public MadeQueen(Draws draws)
    {
        ArgumentNullException.ThrowIfNull(draws);
        this.draws = draws;
        var factor = Math.Exp(Spread * draws.Normal());
        var day = 0.0;
        for (var k = 0; k < Stages.Length; k++)
        {
            day += Stages[k].Days * Longer * factor * draws.Gamma(Stages[k].Shape);
            begins[k] = day;
        }
    }

    /// <summary>Day on which her first workers are there.</summary>
    public double WorkersDay => begins[^1];

    /// <summary>What is seen on a day: 0 for eggs, 1 for larvae, 3 for pupae.</summary>
    public IEnumerable<int> SeenOn(double day)
    {
        foreach (var (k, what) in new[] { (0, 0), (1, 1), (2, 3) })
        {
            if (begins[k] <= day && !draws.Chance(Overlooked))
            {
                yield return what;
            }
        }
    }
}

/// <summary>
/// A colony in which every egg has its own gamma times. The queen lays as many as nobody knows, one egg in eight comes to nothing,
/// workers live a gamma time of thirteen months.
/// </summary>
public sealed class MadeColony
{
    private const int Days = 260;
    private const double Queen = 1.2;
    private const double QueenSpread = 0.5;
    private const double PerWorker = 0.035;
    private const double LivesToWork = 0.875;
    private const double Life = 400;
    private const double CountScatter = 0.12;

    private readonly List<(double Born, double Dies)> workers = [];

    /// <summary>Draws a colony and lets it live.</summary>
    public MadeColony(Draws draws)
    {
        ArgumentNullException.ThrowIfNull(draws);
        var queen = Queen * Math.Exp(QueenSpread * draws.Normal());
        for (var day = 0; day < Days; day++)
        {
            var rate = queen + (PerWorker * WorkersOn(day));
            var laid = (int)Math.Floor(rate + draws.Between(0, 1));
            for (var egg = 0; egg < laid; egg++)
            {
                if (draws.Chance(LivesToWork))
                {
                    var born = day + (11 * draws.Gamma(20)) + (14 * draws.Gamma(12)) + (16 * draws.Gamma(20));
                    workers.Add((born, born + (Life * draws.Gamma(4))));
                }
            }
        }
    }

    /// <summary>Workers on a day.</summary>
    public int WorkersOn(double day) => workers.Count(w => w.Born <= day && w.Dies > day);

    /// <summary>Workers as somebody counts them through glass.</summary>
    public int Counted(double day, Draws draws)
    {
        ArgumentNullException.ThrowIfNull(draws);
        return (int)Math.Round(WorkersOn(day) * Math.Exp(CountScatter * draws.Normal()));
    }
}
