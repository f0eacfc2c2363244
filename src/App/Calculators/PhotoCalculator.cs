using App.Hosting;
using Husbandry.Growth;
using Husbandry.Reasons;

namespace App.Calculators;

/// <summary>A length clicked in a picture beside a scale of known length.</summary>
/// <param name="ScaleFrom">One end of the scale, pixels.</param>
/// <param name="ScaleTo">Its other end.</param>
/// <param name="ScaleMm">Its length, 0.1 to 1000 mm.</param>
/// <param name="From">One end of what is measured.</param>
/// <param name="To">Its other end.</param>
public sealed record PhotoMeasureRequest(
    PicturePoint ScaleFrom,
    PicturePoint ScaleTo,
    double ScaleMm,
    PicturePoint From,
    PicturePoint To
);

internal static class PhotoCalculator
{
    private const double LongestMm = 1000;
    private const double MostPixels = 100_000;

    public static IResult Answer(PhotoMeasureRequest body)
    {
        var problems = CalculatorEndpoints
            .Within("scaleMm", body.ScaleMm, 0.1, LongestMm, "mm")
            .Concat(Point("scaleFrom", body.ScaleFrom))
            .Concat(Point("scaleTo", body.ScaleTo))
            .Concat(Point("from", body.From))
            .Concat(Point("to", body.To))
            .ToList();
        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        return PhotoMeasure.Of(body.ScaleFrom, body.ScaleTo, body.ScaleMm, body.From, body.To) is { } measure
            ? TypedResults.Ok(
                new CalcAnswer<PhotoMeasure>(
                    measure,
                    [
                        new CalcReason(
                            $"One pixel is {Wording.Plain(measure.MmPerPixel)} mm; four clicks of about 1.5 pixels give ± {Wording.Plain(measure.ErrorMm)} mm. Lay the scale flat beside the animal, as far from the camera.",
                            PhotoMeasure.RuleName,
                            RuleTag.House,
                            PhotoMeasure.Source
                        ),
                    ]
                )
            )
            : Problems.Of("to", "Both lines must be at least 5 pixels long: come nearer, or use a larger picture.");
    }

    private static IEnumerable<Problem> Point(string field, PicturePoint point) =>
        CalculatorEndpoints
            .Within($"{field}.x", point.X, 0, MostPixels, "pixels")
            .Concat(CalculatorEndpoints.Within($"{field}.y", point.Y, 0, MostPixels, "pixels"));
}
