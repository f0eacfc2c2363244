using Husbandry.Nursery;

namespace Husbandry.Tests;

/// <summary>A picture of a brood on paper, drawn by the tests: how many lie in it is known.</summary>
internal sealed class DrawnBrood
{
    private readonly Random random;
    private readonly double[] light;
    private readonly int width;
    private readonly int height;
    private readonly List<(double X, double Y)> placed = [];

    public DrawnBrood(int seed, int width = 1200, int height = 900)
    {
        (random, this.width, this.height) = (new Random(seed), width, height);
        light = new double[width * height];
        Array.Fill(light, 232);
    }

    /// <summary>Bodies of two ovals each, with eight legs; <paramref name="apart"/> in lengths of a body, middle to middle.</summary>
    public DrawnBrood Bodies(int count, double length, double apart = 1.5, bool legs = true)
    {
        for (var tries = 0; placed.Count < count; tries++)
        {
            Assert.True(tries < 200_000, "They do not fit on the paper.");
            var (x, y) = (
                length + (random.NextDouble() * (width - (2 * length))),
                length + (random.NextDouble() * (height - (2 * length)))
            );
            if (placed.All(p => Square(p.X - x) + Square(p.Y - y) >= Square(apart * length)))
            {
                placed.Add((x, y));
                Body(x, y, length * (0.92 + (0.16 * random.NextDouble())), legs);
            }
        }

        return this;
    }

    /// <summary>Pairs that touch side by side, as many as are told.</summary>
    public DrawnBrood Touching(int pairs, double length)
    {
        var first = placed.Count;
        Bodies(first + pairs, length, apart: 2.6, legs: false);
        foreach (var (x, y) in placed.Skip(first).ToList())
        {
            placed.Add((x + (0.55 * length), y));
            Body(x + (0.55 * length), y, length, legs: false);
        }

        return this;
    }

    /// <summary>Soft shadows to the lower right of all that was drawn so far.</summary>
    public DrawnBrood Shadows(double length, double depth = 26)
    {
        foreach (var (x, y) in placed)
        {
            Blend(
                x + (0.4 * length),
                y + (0.4 * length),
                0.9 * length,
                (at, share) => light[at] -= depth * share * share
            );
        }

        return this;
    }

    /// <summary>Specks of frass.</summary>
    public DrawnBrood Frass(int count, double radius = 1.6)
    {
        for (var k = 0; k < count; k++)
        {
            Oval(random.NextDouble() * width, random.NextDouble() * height, radius, radius, 0, 90);
        }

        return this;
    }

    /// <summary>Corners in the shade.</summary>
    public DrawnBrood Vignette(double depth = 70)
    {
        for (var k = 0; k < light.Length; k++)
        {
            var (x, y) = (((k % width) / (double)width) - 0.5, ((k / width) / (double)height) - 0.5);
            light[k] -= depth * 2 * (Square(x) + Square(y));
        }

        return this;
    }

    /// <summary>Grain, and blocks of eight as strong compression leaves them.</summary>
    public DrawnBrood Grain(double sd = 6, double blocks = 5)
    {
        var across = (width / 8) + 1;
        double[] block =
        [
            .. Enumerable.Range(0, across * ((height / 8) + 1)).Select(_ => (random.NextDouble() - 0.5) * blocks),
        ];
        for (var k = 0; k < light.Length; k++)
        {
            var normal =
                Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
            light[k] += (sd * normal) + block[(k / width / 8 * across) + (k % width / 8)];
        }

        return this;
    }

    public int Count => placed.Count;

    public GreyPicture Picture() => new(width, height, Array.ConvertAll(light, l => (byte)Math.Clamp(l, 0, 255)));

    private void Body(double x, double y, double length, bool legs)
    {
        var turn = random.NextDouble() * Math.PI;
        var (along, across) = (Math.Cos(turn), Math.Sin(turn));
        Oval(x - (0.24 * length * along), y - (0.24 * length * across), 0.28 * length, 0.22 * length, turn, 55);
        Oval(x + (0.2 * length * along), y + (0.2 * length * across), 0.24 * length, 0.19 * length, turn, 70);
        for (var leg = 0; legs && leg < 8; leg++)
        {
            var angle = turn + ((leg + 0.5) * Math.PI / 4);
            for (var r = 0.3; r < 0.75; r += 0.02)
            {
                Oval(x + (r * length * Math.Cos(angle)), y + (r * length * Math.Sin(angle)), 0.7, 0.7, 0, 110);
            }
        }
    }

    /// <summary>An oval with a soft edge, never lighter than what is there.</summary>
    private void Oval(double x, double y, double a, double b, double turn, double value)
    {
        var (cos, sin) = (Math.Cos(turn), Math.Sin(turn));
        var reach = Math.Max(a, b) + 1;
        Each(
            x,
            y,
            reach,
            (at, u, v) =>
            {
                var (p, q) = (((u * cos) + (v * sin)) / a, ((v * cos) - (u * sin)) / b);
                var edge = (1 - Math.Sqrt((p * p) + (q * q))) * Math.Min(a, b);
                var share = Math.Clamp(edge + 0.5, 0, 1);
                light[at] = Math.Min(light[at], light[at] + ((value - light[at]) * share));
            }
        );
    }

    private void Blend(double x, double y, double radius, Action<int, double> with) =>
        Each(x, y, radius, (at, u, v) => with(at, Math.Max(0, 1 - (Math.Sqrt((u * u) + (v * v)) / radius))));

    private void Each(double x, double y, double reach, Action<int, double, double> with)
    {
        for (var row = Math.Max(0, (int)(y - reach)); row <= Math.Min(height - 1, (int)(y + reach)); row++)
        {
            for (var column = Math.Max(0, (int)(x - reach)); column <= Math.Min(width - 1, (int)(x + reach)); column++)
            {
                with((row * width) + column, column - x, row - y);
            }
        }
    }

    private static double Square(double x) => x * x;
}
