using App.Hosting;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Growth;

/// <summary>A picture in the body of a request.</summary>
internal static class SentPicture
{
    private const int MostBytes = 12 * 1024 * 1024;

    /// <summary>Reads it; none when it is larger than is taken.</summary>
    public static Task<byte[]?> ReadAsync(HttpRequest request, CancellationToken cancel) =>
        ReadAsync(request, MostBytes, cancel);

    /// <summary>The same of any file, up to so many bytes.</summary>
    public static async Task<byte[]?> ReadAsync(HttpRequest request, int mostBytes, CancellationToken cancel)
    {
        if (request.ContentLength > mostBytes)
        {
            return null;
        }

        using var bytes = new MemoryStream();
        var buffer = new byte[81920];
        for (int read; (read = await request.Body.ReadAsync(buffer, cancel)) > 0; )
        {
            if (bytes.Length + read > mostBytes)
            {
                return null;
            }

            bytes.Write(buffer, 0, read);
        }

        return bytes.ToArray();
    }

    public static ValidationProblem TooLarge() => Problems.Of("picture", $"At most {MostBytes / 1024 / 1024} MB.");

    public static ValidationProblem NoPicture() =>
        Problems.Of(
            "picture",
            $"Must be a JPEG, PNG or WebP picture of {StoredPicture.LeastPixels} to {StoredPicture.MostPixels} pixels a side and at most {StoredPicture.MostMegapixels} megapixels."
        );
}
