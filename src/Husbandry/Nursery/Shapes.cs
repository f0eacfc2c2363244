namespace Husbandry.Nursery;

/// <summary>Pixels of a picture that are set, and how they hang together.</summary>
internal static class Shapes
{
    /// <summary>Squared distance of every set pixel to the nearest that is not; 0 of those.</summary>
    /// <remarks>Source: Felzenszwalb &amp; Huttenlocher (2012), Theory of Computing 8:415–428.</remarks>
    public static double[] SquaredDistance(bool[] set, int width, int height)
    {
        var far = (double)(width + height) * (width + height);
        var distance = new double[set.Length];
        var column = new double[height];
        for (var x = 0; x < width; x++)
        {
            for (var y = 0; y < height; y++)
            {
                column[y] = set[(y * width) + x] ? far : 0;
            }

            var found = Envelope(column);
            for (var y = 0; y < height; y++)
            {
                distance[(y * width) + x] = found[y];
            }
        }

        for (var y = 0; y < height; y++)
        {
            Envelope(distance.AsSpan(y * width, width)).CopyTo(distance.AsSpan(y * width, width));
        }

        return distance;
    }

    /// <summary>The pixels of each part that hangs together, corners counted.</summary>
    public static List<List<int>> Parts(bool[] set, int width, int height)
    {
        var (parts, seen, open) = (new List<List<int>>(), new bool[set.Length], new Stack<int>());
        for (var start = 0; start < set.Length; start++)
        {
            if (!set[start] || seen[start])
            {
                continue;
            }

            var part = new List<int>();
            seen[start] = true;
            open.Push(start);
            while (open.TryPop(out var at))
            {
                part.Add(at);
                var (x, y) = (at % width, at / width);
                for (var v = Math.Max(0, y - 1); v <= Math.Min(height - 1, y + 1); v++)
                {
                    for (var u = Math.Max(0, x - 1); u <= Math.Min(width - 1, x + 1); u++)
                    {
                        var next = (v * width) + u;
                        if (set[next] && !seen[next])
                        {
                            seen[next] = true;
                            open.Push(next);
                        }
                    }
                }
            }

            parts.Add(part);
        }

        return parts;
    }

    /// <summary>What is left of the set pixels when all that is thinner than twice a radius is taken off.</summary>
    public static bool[] Opened(double[] squaredDistance, double radius, int width, int height)
    {
        // Off the core everything is "set": its distance to the core is what counts.
        var outside = Array.ConvertAll(squaredDistance, d => d < radius * radius);
        var toCore = SquaredDistance(outside, width, height);
        return [.. squaredDistance.Zip(toCore, (inside, core) => inside > 0 && core <= radius * radius)];
    }

    /// <summary>The lower envelope of parabolas over a row: the squared distance along it.</summary>
    private static double[] Envelope(ReadOnlySpan<double> f)
    {
        var n = f.Length;
        var (at, from, k) = (new int[n], new double[n + 1], 0);
        (from[0], from[1]) = (double.NegativeInfinity, double.PositiveInfinity);
        for (var q = 1; q < n; q++)
        {
            var meet = Meet(f, q, at[k]);
            while (meet <= from[k])
            {
                meet = Meet(f, q, at[--k]);
            }

            at[++k] = q;
            (from[k], from[k + 1]) = (meet, double.PositiveInfinity);
        }

        var found = new double[n];
        k = 0;
        for (var q = 0; q < n; q++)
        {
            while (from[k + 1] < q)
            {
                k++;
            }

            found[q] = ((q - at[k]) * (double)(q - at[k])) + f[at[k]];
        }

        return found;
    }

    private static double Meet(ReadOnlySpan<double> f, int q, int p) =>
        (f[q] + ((double)q * q) - f[p] - ((double)p * p)) / (2.0 * (q - p));
}
