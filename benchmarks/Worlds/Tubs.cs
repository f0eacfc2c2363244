namespace Worlds;

/// <summary>A dose of powder in a made-up tub.</summary>
/// <param name="IsHeap">Whether it lies in a heap rather than dusted in.</param>
/// <param name="PutDay">Day on which it was put in.</param>
/// <param name="GoneDay">Day on which the last of it is gone.</param>
public sealed record TubDose(bool IsHeap, double PutDay, double GoneDay);

/// <summary>
/// A tub of isopods of which nobody knows how fast it uses up its calcium. Doses last a gamma time about 10 in 100 longer than the
/// keepers' books say, tubs differ by a lognormal factor of spread 0.4, and "some" is said from 45 in 100 left on, not from half.
/// </summary>
/// <param name="draws">Draws.</param>
public sealed class Tub(Draws draws)
{
    private const double Spread = 0.4;
    private const double Shape = 9;
    private const double Longer = 1.1;
    private const double DustedDays = 20;
    private const double HeapDays = 55;
    private const double SomeFrom = 0.45;
    private const double LookEvery = 7;
    private const double LookScatter = 3;

    private readonly double factor = Math.Exp(Spread * draws.Normal());

    /// <summary>A dose put in on a day.</summary>
    public TubDose Put(double day)
    {
        var heap = draws.Chance(0.5);
        return new TubDose(heap, day, day + ((heap ? HeapDays : DustedDays) * Longer * factor * draws.Gamma(Shape)));
    }

    /// <summary>Day of the look after one.</summary>
    public double NextLook(double day) => day + Math.Max(1, LookEvery + (LookScatter * draws.Normal()));

    /// <summary>What is seen of a dose on a day: 2 for plenty, 1 for some, 0 for nothing.</summary>
    public static int Seen(TubDose dose, double day)
    {
        ArgumentNullException.ThrowIfNull(dose);
        var left = 1 - ((day - dose.PutDay) / (dose.GoneDay - dose.PutDay));
        return left > SomeFrom ? 2
            : left > 0 ? 1
            : 0;
    }
}
