namespace Husbandry.Nursery;

/// <summary>A picture as so many grey values, row after row.</summary>
/// <param name="Width">Pixels in a row.</param>
/// <param name="Height">Rows.</param>
/// <param name="Luminance">Brightness of each pixel, 0 black to 255 white; width × height of them.</param>
public sealed record GreyPicture(int Width, int Height, byte[] Luminance)
{
    private const int TilesAlong = 24;
    private const int LeastTile = 12;
    private const double GroundQuantile = 0.75;

    /// <summary>
    /// How much darker each pixel is than the ground about it, 0–255: an uneven light, such as a corner in the shade, is taken out.
    /// </summary>
    /// <remarks>
    /// The ground is the upper quartile of brightness of each part of the picture, straight between their middles, so that bodies
    /// lying in it do not darken it. Source: common practice in image analysis, no one published source.
    /// </remarks>
    internal byte[] DarkerThanGround()
    {
        var smooth = Smoothed();
        var tile = Math.Max(LeastTile, Math.Max(Width, Height) / TilesAlong);
        var (across, down) = ((Width + tile - 1) / tile, (Height + tile - 1) / tile);
        var ground = new double[across * down];
        var counts = new int[across * down][];
        for (var t = 0; t < counts.Length; t++)
        {
            counts[t] = Counts(smooth, t % across * tile, t / across * tile, tile);
        }

        for (var y = 0; y < down; y++)
        {
            for (var x = 0; x < across; x++)
            {
                ground[(y * across) + x] = Quantile(Around(counts, across, down, x, y));
            }
        }

        var darker = new byte[smooth.Length];
        for (var y = 0; y < Height; y++)
        {
            var (top, low, between) = Between(y, tile, down);
            for (var x = 0; x < Width; x++)
            {
                var (left, right, along) = Between(x, tile, across);
                var above = Mix(ground[(top * across) + left], ground[(top * across) + right], along);
                var below = Mix(ground[(low * across) + left], ground[(low * across) + right], along);
                var at = (y * Width) + x;
                darker[at] = (byte)Math.Clamp(Mix(above, below, between) - smooth[at], 0, byte.MaxValue);
            }
        }

        return darker;
    }

    /// <summary>The mean of each pixel and those beside it: takes the grain out.</summary>
    private byte[] Smoothed()
    {
        var smooth = new byte[Luminance.Length];
        for (var y = 0; y < Height; y++)
        {
            for (var x = 0; x < Width; x++)
            {
                var (sum, count) = (0, 0);
                for (var v = Math.Max(0, y - 1); v <= Math.Min(Height - 1, y + 1); v++)
                {
                    for (var u = Math.Max(0, x - 1); u <= Math.Min(Width - 1, x + 1); u++)
                    {
                        sum += Luminance[(v * Width) + u];
                        count++;
                    }
                }

                smooth[(y * Width) + x] = (byte)(sum / count);
            }
        }

        return smooth;
    }

    private int[] Counts(byte[] smooth, int left, int top, int tile)
    {
        var counts = new int[byte.MaxValue + 1];
        for (var y = top; y < Math.Min(Height, top + tile); y++)
        {
            for (var x = left; x < Math.Min(Width, left + tile); x++)
            {
                counts[smooth[(y * Width) + x]]++;
            }
        }

        return counts;
    }

    /// <summary>A tile with its neighbours, as many on either side, so that a slope of brightness pulls it nowhere.</summary>
    private static int[] Around(int[][] counts, int across, int down, int x, int y)
    {
        var (beside, above) = (x > 0 && x < across - 1 ? 1 : 0, y > 0 && y < down - 1 ? 1 : 0);
        var sum = new int[byte.MaxValue + 1];
        for (var v = y - above; v <= y + above; v++)
        {
            for (var u = x - beside; u <= x + beside; u++)
            {
                for (var k = 0; k < sum.Length; k++)
                {
                    sum[k] += counts[(v * across) + u][k];
                }
            }
        }

        return sum;
    }

    private static int Quantile(int[] counts)
    {
        var left = (1 - GroundQuantile) * counts.Sum();
        var value = counts.Length - 1;
        while (value > 0 && left > counts[value])
        {
            left -= counts[value--];
        }

        return value;
    }

    private static (int From, int To, double Share) Between(int at, int tile, int tiles)
    {
        var place = ((at + 0.5) / tile) - 0.5;
        var from = Math.Clamp((int)Math.Floor(place), 0, tiles - 1);
        return (from, Math.Min(tiles - 1, from + 1), Math.Clamp(place - from, 0, 1));
    }

    private static double Mix(double a, double b, double share) => a + ((b - a) * share);
}
