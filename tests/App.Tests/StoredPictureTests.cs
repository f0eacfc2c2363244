using App.Growth;
using SkiaSharp;

namespace App.Tests;

// What a telephone of today gives is taken and made small; what would unfold beyond reason is not unfolded at all.
public sealed class StoredPictureTests
{
    private static byte[] Picture(int width, int height, SKEncodedImageFormat format = SKEncodedImageFormat.Jpeg)
    {
        using var bitmap = new SKBitmap(new SKImageInfo(width, height, SKColorType.Gray8, SKAlphaType.Opaque));
        using (var canvas = new SKCanvas(bitmap))
        {
            // Its left half is dark: which way it lies can be seen of it.
            canvas.Clear(SKColors.White);
            using var ink = new SKPaint { Color = SKColors.Black };
            canvas.DrawRect(0, 0, width / 2f, height, ink);
        }

        using var data = bitmap.Encode(format, 90);
        return data.ToArray();
    }

    private static (bool Left, bool Right) IsDark(StoredPicture picture)
    {
        using var drawn = SKBitmap.Decode(picture.Jpeg);
        bool Dark(double share) => drawn.GetPixel((int)(drawn.Width * share), drawn.Height / 2).Red < 100;
        return (Dark(0.2), Dark(0.8));
    }

    [Theory]
    [InlineData(7300, 5400)]
    [InlineData(5400, 7300)]
    [InlineData(4000, 3000)]
    [InlineData(300, 200)]
    public void A_picture_of_up_to_forty_megapixels_is_taken_no_larger_than_needed(int width, int height)
    {
        var stored = StoredPicture.From(Picture(width, height))!;
        var longest = Math.Max(stored.Width, stored.Height);
        Assert.InRange(longest, Math.Min(1500, Math.Max(width, height)), 2000);
        Assert.Equal((double)width / height, (double)stored.Width / stored.Height, 2);
        Assert.Equal((true, false), IsDark(stored));
    }

    [Fact]
    public void One_that_can_only_be_unfolded_whole_is_taken_too()
    {
        var stored = StoredPicture.From(Picture(5000, 4000, SKEncodedImageFormat.Png))!;
        Assert.Equal((2000, 1600), (stored.Width, stored.Height));
        Assert.Equal((true, false), IsDark(stored));
    }

    [Theory]
    [InlineData(8000, 5100)]
    [InlineData(12_001, 40)]
    [InlineData(40, 31)]
    public void What_is_larger_than_that_or_too_small_is_not(int width, int height) =>
        Assert.Null(StoredPicture.From(Picture(width, height)));

    [Fact]
    public void A_small_file_that_would_unfold_to_gigabytes_is_refused_by_its_head()
    {
        var png = Picture(64, 64, SKEncodedImageFormat.Png);
        // Width and height of a PNG stand at bytes 16 to 23, big end first (ISO 15948, IHDR). The sum over them is left wrong too.
        new byte[] { 0, 1, 0, 0, 0, 1, 0, 0 }.CopyTo(png, 16);
        Assert.Null(StoredPicture.From(png));
        Assert.Null(StoredPicture.From(Picture(900, 600)[..40]));
    }
}
