using App.Growth;
using App.Hosting;
using Husbandry.Nursery;
using Husbandry.Reasons;

namespace App.Calculators;

/// <summary>How many dark bodies lie on a light ground in a picture.</summary>
/// <param name="Count">How many were found.</param>
/// <param name="Low">Hardly fewer than this (95 %).</param>
/// <param name="High">Nor more than this.</param>
/// <param name="InHeaps">How many of them touch others.</param>
/// <param name="Width">Width of the picture as it was counted, pixels.</param>
/// <param name="Height">Its height.</param>
/// <param name="Marks">Where they lie.</param>
public sealed record PictureCountResult(
    int Count,
    int Low,
    int High,
    int InHeaps,
    int Width,
    int Height,
    IReadOnlyList<BodyMark> Marks
);

internal static class PictureCountCalculator
{
    public static async Task<IResult> AnswerAsync(HttpRequest request, CancellationToken cancel)
    {
        if (await SentPicture.ReadAsync(request, cancel) is not { } bytes)
        {
            return SentPicture.TooLarge();
        }

        if (StoredPicture.GreyOf(bytes) is not { } picture)
        {
            return SentPicture.NoPicture();
        }

        var answer = PictureCount.Of(picture);
        return answer.Value is { } count
            ? TypedResults.Ok(
                new CalcAnswer<PictureCountResult>(
                    new PictureCountResult(
                        count.Marks.Count,
                        count.Low,
                        count.High,
                        count.InHeaps,
                        picture.Width,
                        picture.Height,
                        count.Marks
                    ),
                    [
                        .. answer.Reasons.Select(r => new CalcReason(
                            r.Text,
                            r.Rule,
                            RuleTag.Published,
                            PictureCount.Source
                        )),
                    ]
                )
            )
            : Problems.Of("picture", answer.Summary);
    }
}
