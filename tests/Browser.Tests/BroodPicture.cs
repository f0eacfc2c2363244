using SkiaSharp;

namespace Browser.Tests;

/// <summary>A picture of a brood on paper, drawn by the tests.</summary>
internal static class BroodPicture
{
    /// <summary>So many dark bodies in rows, as a JPEG file.</summary>
    public static string Of(int across, int down)
    {
        const int Apart = 60;
        using var bitmap = new SKBitmap((across + 1) * Apart, (down + 1) * Apart);
        using var canvas = new SKCanvas(bitmap);
        canvas.Clear(new SKColor(232, 230, 226));
        using var ink = new SKPaint { Color = new SKColor(60, 50, 45), IsAntialias = true };
        for (var k = 0; k < across * down; k++)
        {
            var (x, y) = (((k % across) + 1) * Apart, ((k / across) + 1) * Apart);
            canvas.DrawOval(x - 6, y, 9, 7, ink);
            canvas.DrawOval(x + 7, y, 7, 6, ink);
            for (var leg = -2; leg <= 2; leg++)
            {
                canvas.DrawLine(x, y, x + (leg * 6), y - 17, ink);
                canvas.DrawLine(x, y, x + (leg * 6), y + 17, ink);
            }
        }

        var path = Path.Combine(Directory.CreateTempSubdirectory("lantern-brood-").FullName, "brood.jpg");
        File.WriteAllBytes(path, bitmap.Encode(SKEncodedImageFormat.Jpeg, 80).ToArray());
        return path;
    }
}
