namespace Husbandry.Growth;

/// <summary>A point in a picture, in pixels.</summary>
public sealed record PicturePoint(double X, double Y);

/// <summary>A length measured in a picture against a scale of known length.</summary>
/// <param name="LengthMm">Length.</param>
/// <param name="ErrorMm">Standard error from setting four points by hand; tilt and distance come on top.</param>
/// <param name="MmPerPixel">Scale.</param>
public sealed record PhotoMeasure(double LengthMm, double ErrorMm, double MmPerPixel)
{
    /// <summary>Name of the rule.</summary>
    public const string RuleName = "growth.photoMeasure";

    /// <summary>Source of the rule.</summary>
    public const string Source =
        "propagation of error, common practice; the standard error of a click is a house pick of 1.5 pixels";

    // Standard error of one clicked point along the measured line.
    private const double ClickPixels = 1.5;

    private const double LeastPixels = 5;

    /// <summary>Measures the distance of two points against the distance of the ends of a scale.</summary>
    /// <returns>None when the scale or the length is too short in the picture to mean anything.</returns>
    public static PhotoMeasure? Of(
        PicturePoint scaleFrom,
        PicturePoint scaleTo,
        double scaleMm,
        PicturePoint from,
        PicturePoint to
    )
    {
        var scale = Distance(scaleFrom, scaleTo);
        var length = Distance(from, to);
        if (scale < LeastPixels || length < LeastPixels)
        {
            return null;
        }

        var mm = scaleMm * length / scale;
        var twoClicks = ClickPixels * Math.Sqrt(2);
        var relative = Math.Sqrt(Math.Pow(twoClicks / scale, 2) + Math.Pow(twoClicks / length, 2));
        return new PhotoMeasure(mm, mm * relative, scaleMm / scale);
    }

    private static double Distance(PicturePoint a, PicturePoint b) =>
        Math.Sqrt(Math.Pow(a.X - b.X, 2) + Math.Pow(a.Y - b.Y, 2));
}
