using Husbandry.Nursery;
using SkiaSharp;

namespace App.Growth;

/// <summary>A picture drawn anew: turned upright, no larger than needed, and with nothing in it but its pixels.</summary>
/// <param name="Jpeg">The picture as JPEG.</param>
/// <param name="Width">Pixels.</param>
/// <param name="Height">Pixels.</param>
public sealed record StoredPicture(byte[] Jpeg, int Width, int Height)
{
    /// <summary>Smallest side taken.</summary>
    public const int LeastPixels = 32;

    /// <summary>Largest side taken; guards the memory against pictures that unfold.</summary>
    public const int MostPixels = 12_000;

    /// <summary>Most pixels taken, in millions: more than any telephone gives.</summary>
    public const int MostMegapixels = 40;

    private const int Million = 1_000_000;

    // What is larger is unfolded to a part of its size at once, where its kind allows that.
    private const int UnfoldedMegapixels = 12;

    // One at a time: each unfolds to many times what was sent.
    private static readonly Lock Desk = new();

    private const int StoredPixels = 2000;
    private const int Quality = 88;

    private static readonly SKEncodedImageFormat[] Taken =
    [
        SKEncodedImageFormat.Jpeg,
        SKEncodedImageFormat.Png,
        SKEncodedImageFormat.Webp,
    ];

    /// <summary>Draws a picture anew; place, camera and whatever else it carried is left behind.</summary>
    /// <returns>None when the bytes are no picture that is taken.</returns>
    public static StoredPicture? From(byte[] bytes)
    {
        lock (Desk)
        {
            return FromOne(bytes);
        }
    }

    private static StoredPicture? FromOne(byte[] bytes)
    {
        using var drawn = Drawn(bytes);
        if (drawn is null)
        {
            return null;
        }

        using var data = drawn.Encode(SKEncodedImageFormat.Jpeg, Quality);
        return new StoredPicture(data.ToArray(), drawn.Width, drawn.Height);
    }

    /// <summary>The brightness of a picture, drawn anew as <see cref="From"/> does.</summary>
    /// <returns>None when the bytes are no picture that is taken.</returns>
    public static GreyPicture? GreyOf(byte[] bytes)
    {
        lock (Desk)
        {
            return GreyOfOne(bytes);
        }
    }

    private static GreyPicture? GreyOfOne(byte[] bytes)
    {
        using var drawn = Drawn(bytes);
        if (drawn is null)
        {
            return null;
        }

        using var grey = new SKBitmap(
            new SKImageInfo(drawn.Width, drawn.Height, SKColorType.Gray8, SKAlphaType.Opaque)
        );
        drawn.ReadPixels(grey.Info, grey.GetPixels(), grey.RowBytes, 0, 0);
        var luminance = new byte[drawn.Width * drawn.Height];
        var pixels = grey.GetPixelSpan();
        for (var row = 0; row < drawn.Height; row++)
        {
            pixels.Slice(row * grey.RowBytes, drawn.Width).CopyTo(luminance.AsSpan(row * drawn.Width));
        }

        return new GreyPicture(drawn.Width, drawn.Height, luminance);
    }

    private static SKImage? Drawn(byte[] bytes)
    {
        using var codec = SKCodec.Create(new MemoryStream(bytes), out _);
        if (
            codec is null
            || !Taken.Contains(codec.EncodedFormat)
            || Math.Min(codec.Info.Width, codec.Info.Height) < LeastPixels
            || Math.Max(codec.Info.Width, codec.Info.Height) > MostPixels
            || (long)codec.Info.Width * codec.Info.Height > (long)MostMegapixels * Million
        )
        {
            return null;
        }

        using var decoded = Unfolded(codec);
        if (decoded is null)
        {
            return null;
        }

        var turned = (int)codec.EncodedOrigin >= (int)SKEncodedOrigin.LeftTop;
        var (width, height) = turned ? (decoded.Height, decoded.Width) : (decoded.Width, decoded.Height);
        var scale = Math.Min(1, StoredPixels / (double)Math.Max(width, height));
        var info = new SKImageInfo(
            Math.Max(1, (int)Math.Round(width * scale)),
            Math.Max(1, (int)Math.Round(height * scale))
        );
        using var surface = SKSurface.Create(info);
        surface.Canvas.Clear(SKColors.White);
        surface.Canvas.Scale((float)scale);
        surface.Canvas.Concat(Upright(codec.EncodedOrigin, decoded.Width, decoded.Height));
        using var image = SKImage.FromBitmap(decoded);
        surface.Canvas.DrawImage(image, 0, 0, new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
        return surface.Snapshot();
    }

    private static SKBitmap? Unfolded(SKCodec codec)
    {
        var (width, height) = (codec.Info.Width, codec.Info.Height);
        if ((long)width * height <= (long)UnfoldedMegapixels * Million)
        {
            return SKBitmap.Decode(codec);
        }

        var size = codec.GetScaledDimensions(StoredPixels / (float)Math.Max(width, height));
        var bitmap = new SKBitmap(codec.Info.WithSize(size.Width, size.Height));
        if (codec.GetPixels(bitmap.Info, bitmap.GetPixels()) is SKCodecResult.Success or SKCodecResult.IncompleteInput)
        {
            return bitmap;
        }

        bitmap.Dispose();
        return null;
    }

    /// <summary>Turns a picture upright as its orientation says. Source: EXIF 2.3, orientation tag.</summary>
    private static SKMatrix Upright(SKEncodedOrigin origin, float w, float h) =>
        origin switch
        {
            SKEncodedOrigin.TopRight => new SKMatrix(-1, 0, w, 0, 1, 0, 0, 0, 1),
            SKEncodedOrigin.BottomRight => new SKMatrix(-1, 0, w, 0, -1, h, 0, 0, 1),
            SKEncodedOrigin.BottomLeft => new SKMatrix(1, 0, 0, 0, -1, h, 0, 0, 1),
            SKEncodedOrigin.LeftTop => new SKMatrix(0, 1, 0, 1, 0, 0, 0, 0, 1),
            SKEncodedOrigin.RightTop => new SKMatrix(0, -1, h, 1, 0, 0, 0, 0, 1),
            SKEncodedOrigin.RightBottom => new SKMatrix(0, -1, h, -1, 0, w, 0, 0, 1),
            SKEncodedOrigin.LeftBottom => new SKMatrix(0, 1, 0, -1, 0, w, 0, 0, 1),
            _ => SKMatrix.Identity,
        };
}
