namespace Worlds;

/// <summary>Random draws from a seed: the same seed makes the same world.</summary>
/// <param name="seed">Any number.</param>
public sealed class Draws(int seed)
{
    private readonly Random random = new(seed);

    /// <summary>Whether something of a chance (0–1) happens.</summary>
    public bool Chance(double p) => random.NextDouble() < p;

    /// <summary>Evenly between two numbers.</summary>
    public double Between(double low, double high) => low + ((high - low) * random.NextDouble());

    /// <summary>A whole number between two, both included.</summary>
    public int Whole(int low, int high) => random.Next(low, high + 1);

    /// <summary>A factor spread evenly on the log scale by up to so much either way.</summary>
    public double Factor(double spread) => Math.Exp(Between(-spread, spread));

    /// <summary>Standard normal. Source: Box &amp; Muller (1958), Ann. Math. Stat. 29:610–611.</summary>
    public double Normal() =>
        Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());

    /// <summary>Gamma with mean 1. Source: Marsaglia &amp; Tsang (2000), ACM Trans. Math. Softw. 26:363–372.</summary>
    /// <param name="shape">Shape, ≥ 1; the coefficient of variation is 1/√shape.</param>
    public double Gamma(double shape)
    {
        var d = shape - (1.0 / 3);
        var c = 1 / Math.Sqrt(9 * d);
        while (true)
        {
            var x = Normal();
            var v = Math.Pow(1 + (c * x), 3);
            if (v > 0 && Math.Log(1 - random.NextDouble()) < (0.5 * x * x) + d - (d * v) + (d * Math.Log(v)))
            {
                return d * v / shape;
            }
        }
    }
}
