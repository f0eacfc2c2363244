using Husbandry.Reasons;

namespace Husbandry.Nursery;

/// <summary>Where a body lies in a picture.</summary>
/// <param name="X">Share of the width from the left, 0–1.</param>
/// <param name="Y">Share of the height from above, 0–1.</param>
public sealed record BodyMark(double X, double Y);

/// <summary>The bodies found in a picture.</summary>
/// <param name="Marks">One for each.</param>
/// <param name="Low">The number is hardly lower than this (95 %).</param>
/// <param name="High">Nor higher than this.</param>
/// <param name="InHeaps">How many of them lie so that they touch others; their number is taken from the area.</param>
/// <param name="BodyPixels">Pixels that one body covers.</param>
public sealed record PictureCount(IReadOnlyList<BodyMark> Marks, int Low, int High, int InHeaps, double BodyPixels)
{
    /// <summary>What is said where nothing can be counted.</summary>
    public const string NoBodies =
        "No dark bodies stand out from a light ground: lay them on white paper in even light, near enough to fill the picture.";

    /// <summary>Where the method comes from.</summary>
    public const string Source =
        "threshold by Otsu (1979), IEEE Trans. Syst. Man Cybern. 9:62–66; clumps by the area of one body";

    private const double Normal975 = 1.959963984540054;

    // In grey values: less is no body but paper.
    private const double LeastContrast = 22;

    // In spreads of the ground's own grain.
    private const double GrainSpreads = 5;

    // The standard deviation of a normal is so many times its median absolute deviation.
    private const double PerDeviation = 1.4826;
    private const int Beside = 6;
    private const double CoreShare = 0.5;
    private const double SpeckShare = 0.4;
    private const double LeastRadius = 1.5;
    private const double Alike = 0.5;
    private const double LowerQuarter = 0.25;
    private const int Refinings = 4;

    // More than these lie on no sheet of paper: it is grain.
    private const int MostBodies = 20_000;

    /// <summary>Counts the dark bodies on a light ground.</summary>
    /// <param name="picture">The picture.</param>
    /// <remarks>
    /// The ground is flattened; what is darker by Otsu's threshold (1979, IEEE Trans. Syst. Man Cybern. 9:62–66), taken over the
    /// neighbourhood of whatever stands out, is a body; legs are opened away by the width of the bodies; parts that hang together
    /// are split by the area of one body.
    /// </remarks>
    /// <returns>No value where nothing can be told apart.</returns>
    public static Answer<PictureCount?> Of(GreyPicture picture)
    {
        ArgumentNullException.ThrowIfNull(picture);
        var (width, height) = (picture.Width, picture.Height);
        var darker = picture.DarkerThanGround();
        if (Threshold(darker, width, height) is not { } threshold)
        {
            return Nothing();
        }

        var set = Array.ConvertAll(darker, d => d > threshold);
        var inside = Shapes.SquaredDistance(set, width, height);
        if (HalfWidth(Shapes.Parts(set, width, height), inside) is not { } half || half < LeastRadius)
        {
            return Nothing();
        }

        var parts = Shapes.Parts(Shapes.Opened(inside, half * CoreShare, width, height), width, height);
        if (parts.Count is 0 or > MostBodies)
        {
            return Nothing();
        }

        var body = BodyArea([.. parts.Select(p => (double)p.Count)]);
        var bodies = parts.Where(p => p.Count >= body * SpeckShare).ToList();
        var singles = bodies.Where(p => Math.Abs((p.Count / body) - 1) <= Alike).ToList();
        var spread = singles.Count < 2 ? Alike : Math.Sqrt(singles.Average(p => Square((p.Count / body) - 1)));
        var marks = new List<BodyMark>();
        var (inHeaps, variance) = (0, 0.0);
        foreach (var part in bodies)
        {
            var many = Math.Max(1, (int)Math.Round(part.Count / body));
            marks.AddRange(Spread(part, many, width, height));
            if (many > 1)
            {
                inHeaps += many;
                // The area of so many bodies, and that they cover each other.
                variance += (many * spread * spread) + Square(many * spread / 2);
            }
        }

        // What nearly is two, or nearly is a speck, may be told wrongly.
        variance += bodies.Sum(p => Doubt(p.Count / body, spread));
        var range = (int)Math.Ceiling(Normal975 * Math.Sqrt(variance));
        var count = new PictureCount(
            marks,
            Math.Max(bodies.Count == 0 ? 0 : 1, marks.Count - range),
            marks.Count + range,
            inHeaps,
            body
        );
        return new Answer<PictureCount?>(count, Says(count), Why(count));
    }

    private static Answer<PictureCount?> Nothing() =>
        new(null, NoBodies, [Reason.FromRecord("Count", NoBodies, "nursery.count")]);

    /// <summary>
    /// Otsu's threshold over what stands out and the ground beside it: over the whole sheet a few bodies would weigh nothing. None
    /// where nothing stands out.
    /// </summary>
    private static double? Threshold(byte[] darker, int width, int height)
    {
        var counts = new int[byte.MaxValue + 1];
        foreach (var d in darker)
        {
            counts[d]++;
        }

        var middle = Median(counts);
        var away = new int[byte.MaxValue + 1];
        for (var k = 0; k < counts.Length; k++)
        {
            away[Math.Abs(k - middle)] += counts[k];
        }

        var grain = Math.Max(1, Median(away) * PerDeviation);
        var floor = middle + Math.Max(LeastContrast / 2, GrainSpreads * grain);
        // How far each pixel is from what stands out: far off it is sheet and nothing else.
        var off = Shapes.SquaredDistance(Array.ConvertAll(darker, d => d <= floor), width, height);
        var near = new int[byte.MaxValue + 1];
        for (var k = 0; k < darker.Length; k++)
        {
            if (off[k] <= Beside * Beside)
            {
                near[darker[k]]++;
            }
        }

        var (threshold, light, dark) = Otsu(near);
        return dark - light < Math.Max(LeastContrast, GrainSpreads * grain) ? null : Math.Max(threshold, floor);
    }

    /// <summary>The grey value that parts two classes best, and the mean of each.</summary>
    /// <remarks>Otsu (1979), IEEE Trans. Syst. Man Cybern. 9:62–66.</remarks>
    private static (double At, double Light, double Dark) Otsu(int[] counts)
    {
        var (all, sum) = (counts.Sum(c => (double)c), counts.Select((c, k) => (double)c * k).Sum());
        var (best, found) = (-1.0, (At: 0.0, Light: 0.0, Dark: 0.0));
        var (below, sumBelow) = (0.0, 0.0);
        for (var k = 0; k < counts.Length - 1; k++)
        {
            below += counts[k];
            sumBelow += (double)counts[k] * k;
            if (below == 0 || below == all)
            {
                continue;
            }

            var (light, dark) = (sumBelow / below, (sum - sumBelow) / (all - below));
            var between = below * (all - below) * Square(dark - light);
            if (between > best)
            {
                (best, found) = (between, (k, light, dark));
            }
        }

        return found;
    }

    private static int Median(int[] counts)
    {
        var (left, k) = (counts.Sum() / 2.0, 0);
        while (left > counts[k])
        {
            left -= counts[k++];
        }

        return k;
    }

    /// <summary>
    /// Half the width of a body: the largest circle that fits, of the middle part by area. A heap is no thicker than a body, and specks
    /// have little area.
    /// </summary>
    private static double? HalfWidth(List<List<int>> parts, double[] inside)
    {
        var found = parts.Select(p => (Radius: Math.Sqrt(p.Max(at => inside[at])), Area: p.Count)).ToList();
        var left = found.Sum(f => (double)f.Area) / 2;
        foreach (var (radius, area) in found.OrderBy(f => f.Radius))
        {
            left -= area;
            if (left <= 0)
            {
                return radius;
            }
        }

        return null;
    }

    /// <summary>The area of one body: the middle of those alike, begun from the smaller ones, of which most lie alone.</summary>
    private static double BodyArea(double[] areas)
    {
        Array.Sort(areas);
        // Specks that are left weigh little by area.
        var (total, passed, k) = (areas.Sum(), 0.0, 0);
        while (k < areas.Length - 1 && passed + areas[k] < total * LowerQuarter)
        {
            passed += areas[k++];
        }

        var body = areas[k];
        for (var round = 0; round < Refinings; round++)
        {
            var alike = areas.Where(a => Math.Abs((a / body) - 1) <= Alike).ToList();
            body = alike[alike.Count / 2];
        }

        return body;
    }

    /// <summary>Variance of whether a part is one body more or less.</summary>
    private static double Doubt(double bodies, double spread)
    {
        var many = Math.Max(1, Math.Round(bodies));
        var toNext = 0.5 - Math.Abs(bodies - many);
        var chance = MathNet.Numerics.Distributions.Normal.CDF(
            0,
            1,
            -toNext / Math.Max(0.02, spread * Math.Sqrt(many))
        );
        return chance * (1 - chance);
    }

    /// <summary>Marks spread evenly over a part: the middle of all that lie nearest to each.</summary>
    /// <remarks>Lloyd (1982), IEEE Trans. Inf. Theory 28:129–137.</remarks>
    private static IEnumerable<BodyMark> Spread(List<int> part, int many, int width, int height)
    {
        const int Rounds = 8;
        const int PointsEach = 24;
        // Of a great heap some pixels tell as much as all.
        var step = Math.Max(1, part.Count / (many * PointsEach));
        var points = part.Where((_, k) => k % step == 0)
            .Select(at => (X: (double)(at % width), Y: (double)(at / width)))
            .ToList();
        var centers = Enumerable
            .Range(0, many)
            .Select(k => points[((2 * k) + 1) * points.Count / (2 * many)])
            .ToArray();
        for (var round = 0; round < Rounds; round++)
        {
            var sums = new (double X, double Y, int Count)[many];
            foreach (var point in points)
            {
                var nearest = 0;
                for (var k = 1; k < many; k++)
                {
                    nearest = Away(point, centers[k]) < Away(point, centers[nearest]) ? k : nearest;
                }

                var (x, y, count) = sums[nearest];
                sums[nearest] = (x + point.X, y + point.Y, count + 1);
            }

            for (var k = 0; k < many; k++)
            {
                centers[k] = sums[k].Count == 0 ? centers[k] : (sums[k].X / sums[k].Count, sums[k].Y / sums[k].Count);
            }
        }

        return centers.Select(c => new BodyMark((c.X + 0.5) / width, (c.Y + 0.5) / height));

        static double Away((double X, double Y) a, (double X, double Y) b) => Square(a.X - b.X) + Square(a.Y - b.Y);
    }

    private static double Square(double x) => x * x;

    private static string Says(PictureCount count) =>
        count.Low == count.High
            ? $"{count.Marks.Count} bodies."
            : $"{count.Marks.Count} bodies, between {count.Low} and {count.High}.";

    private static List<Reason> Why(PictureCount count) =>
        [
            Reason.FromRecord(
                "Count",
                count.InHeaps == 0
                    ? "All lie apart: what is darker than the ground is counted one by one, legs and specks left out."
                    : $"{count.InHeaps} of them touch others: their number is their area over that of one body, about {Wording.Plain(Math.Round(count.BodyPixels))} pixels. Tap where one was missed or is none.",
                "nursery.count"
            ),
        ];
}
